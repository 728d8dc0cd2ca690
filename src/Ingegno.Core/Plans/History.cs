using Ingegno.Core.Programmes;

namespace Ingegno.Core.Plans;

/// <summary>Reads the list of changes back: what a line asked on a day, and how it came to what it asks.</summary>
public static class History
{
    /// <summary>What the lines of all places asked at the end of a day; of a line that came later, what it asked first.</summary>
    /// <param name="changes">The whole list, oldest first.</param>
    public static IEnumerable<(string Place, int Line, Prescription Prescription)> AskedOn(this Plan plan, IReadOnlyList<PlanChange> changes, DateOnly day)
    {
        var states = LineStates.Of(plan);
        foreach (var delta in changes.Reverse().TakeWhile(c => c.On > day).SelectMany(c => c.Lines.Reverse()))
        {
            // A line that came later is taken as it came: what was logged before it was typed in was asked so as far as anybody knows.
            if ((delta.Before ?? delta.After) is { } state)
            {
                states[(delta.Place, delta.Line)] = state;
            }
        }

        return states.Where(s => s.Value is { IsAside: false, Prescription: not null }).Select(s => (s.Key.Place, s.Key.Line, s.Value.Prescription!));
    }

    /// <summary>Changes that are about a line, or the line it took the place of; oldest first.</summary>
    public static IEnumerable<PlanChange> Of(this IReadOnlyList<PlanChange> changes, Plan plan, int line)
    {
        var names = new HashSet<int>();
        for (int? at = line; at is { } name && names.Add(name); at = FollowedBy(name))
        {
        }

        return changes.Where(c => c.Concerns.Any(names.Contains) || c.Lines.Any(l => names.Contains(l.Line % PlannedLine.AddedFrom)) || c is { Weeks: not null });

        int? FollowedBy(int name) => plan.AllLines.FirstOrDefault(l => l.Line == name)?.Follows
            ?? changes.SelectMany(c => c.Lines).LastOrDefault(l => l.Line == name && l.After?.Follows is not null)?.After?.Follows;
    }
}

using System.Collections.Immutable;
using Ingegno.Core.Programmes;
using Ingegno.Core.Substitution;

namespace Ingegno.Core.Plans;

/// <summary>
/// A text and choices as they stand on the bench, laid over the plan in force: which lines stand, what is changed on them, what comes and goes.
/// </summary>
public sealed class PlanEdit
{
    private readonly Plan _plan;
    private readonly WrittenProgramme _after;
    private readonly LineMatching _matching;
    private readonly Choices _keyed;
    private readonly ImmutableArray<LineChoice> _changed;

    /// <param name="before">The plan's own text as read.</param>
    /// <param name="after">The text as typed now.</param>
    /// <param name="choices">As they stand on the bench.</param>
    /// <param name="seen">What the bench began with; null where it began with the plan as it is.</param>
    public PlanEdit(Plan plan, WrittenProgramme before, WrittenProgramme after, ImmutableArray<LineChoice> choices, SeenPlan? seen)
    {
        (_plan, _after) = (plan, after);
        _matching = LineMatching.Of(before, after);
        _keyed = new Choices(after);
        var known = (seen?.Choices ?? plan.Choices).ToHashSet();
        _changed = [.. choices.Where(c => !known.Contains(c))];
    }

    public WrittenProgramme Programme => _after;

    /// <summary>Lines in force that the text does not hold any more; their log is kept.</summary>
    public IEnumerable<PlannedLine> Gone =>
        from was in _matching.Gone
        let line = _plan.AllLines.FirstOrDefault(l => !l.IsAdded && l.Number == was.Number)
        where line is not null
        select line;

    /// <summary>The name of a line of the text in the plan; null for one that is new.</summary>
    public int? LineOf(int number) =>
        _matching.Before.TryGetValue(number, out var was) ? _plan.AllLines.FirstOrDefault(l => !l.IsAdded && l.Number == was.Number)?.Line : null;

    /// <summary>The line a new one takes the place of; null where there is none.</summary>
    internal int? FollowedBy(int number) =>
        _matching.Replaced.TryGetValue(number, out var was) ? _plan.AllLines.FirstOrDefault(l => !l.IsAdded && l.Number == was.Number)?.Line : null;

    /// <summary>As planned at a place, with what was added behind it; null where the line is new there.</summary>
    internal (PlannedLine Main, ImmutableArray<PlannedLine> Added, bool Aside)? At(string place, int number)
    {
        if (LineOf(number) is not { } line || _plan.Places.FirstOrDefault(p => p.Place == place) is not { } planned)
        {
            return null;
        }

        bool aside = planned.Aside.Any(l => l.Line == line);
        var all = aside ? planned.Aside.Where(l => l.Main == line) : planned.Sessions.SelectMany(s => s.Lines).Where(l => l.Main == line);
        PlannedLine[] found = [.. all];
        return found.FirstOrDefault(l => !l.IsAdded) is { } main ? (main, [.. found.Where(l => l.IsAdded).OrderBy(l => l.Line)], aside) : null;
    }

    private WrittenDifference DifferenceOf(WrittenLine line) =>
        _matching.Before.TryGetValue(line.Number, out var was) ? WrittenDifferences.Between(was, line) : WrittenDifference.Asked;

    /// <summary>Lines in force at a place that go on asking what they asked, by their number in the text.</summary>
    public IReadOnlyDictionary<int, StandingLine> StandingAt(string place) =>
        (from line in Lines
         where DifferenceOf(line) != WrittenDifference.Asked
         let planned = At(place, line.Number)
         where planned is { Main.Prescription: not null }
         select (line.Number, Standing: new StandingLine(planned.Value.Main.Prescription!, [.. planned.Value.Added.Select(a => a.Prescription).OfType<Prescription>()], planned.Value.Main.Choice)))
        .ToDictionary(l => l.Number, l => l.Standing);

    private IEnumerable<WrittenLine> Lines => _after.Sessions.SelectMany(s => s.Lines);

    /// <summary>What was chosen by hand on a line since the bench was opened; null where nothing was.</summary>
    internal LineChoice? ChangedOn(WrittenLine line) => _keyed.For(line, _changed);

    /// <summary>
    /// The choices a place is rebuilt with: what is settled there, what the text changed in manner, and what was changed by hand. A nudge of a line
    /// that stands is for the place in use alone; what is new, or taken afresh, for all.
    /// </summary>
    public ImmutableArray<LineChoice> ChoicesAt(string place) => [.. Lines.Select(line => ChoiceOn(line, place)).OfType<LineChoice>()];

    /// <summary>Whether the line goes on asking what it asked at a place.</summary>
    private bool Stands(string place, WrittenLine line) => At(place, line.Number) is { Main.Prescription: not null } && DifferenceOf(line) != WrittenDifference.Asked;

    /// <summary>What was changed by hand on a line, where that holds for the place; null where it does not.</summary>
    internal LineChoice? ChangedAt(string place, WrittenLine line) =>
        ChangedOn(line) is { } changed && (changed.Afresh || _plan.Place is null || place == _plan.Place || !Stands(place, line)) ? changed : null;

    private LineChoice? ChoiceOn(WrittenLine line, string place)
    {
        var settled = At(place, line.Number)?.Main.Choice is { } kept ? kept with { Line = line.Number, Text = line.Text } : null;
        bool stands = Stands(place, line);
        var choice = ChangedAt(place, line) ?? settled;
        choice = choice is null ? null : choice with { Line = line.Number, Text = line.Text };
        return stands && DifferenceOf(line) == WrittenDifference.Manner
            ? WrittenDifferences.Laid(choice ?? new LineChoice(line.Number, line.Text), _matching.Before[line.Number], line)
            : choice;
    }
}

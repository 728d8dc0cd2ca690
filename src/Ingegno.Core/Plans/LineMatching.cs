using Ingegno.Core.Programmes;

namespace Ingegno.Core.Plans;

/// <summary>
/// Finds the lines of a text again after it was changed: the same words first, then the same exercise in its session, then anywhere. A line
/// whose exercise changed is another line.
/// </summary>
/// <param name="Before">For each line of the new text, by its number, the line of the old one it was; lines that are new are left out.</param>
/// <param name="Gone">Lines of the old text that are not in the new one.</param>
public sealed record LineMatching(IReadOnlyDictionary<int, WrittenLine> Before, IReadOnlyList<WrittenLine> Gone)
{
    /// <summary>For a new line, the line that is gone from its place in the session: its log is shown with it.</summary>
    public required IReadOnlyDictionary<int, WrittenLine> Replaced { get; init; }

    private sealed record Placed(WrittenLine Line, int Session, int Place);

    /// <param name="before">The text the plan in force was made from.</param>
    public static LineMatching Of(WrittenProgramme before, WrittenProgramme after)
    {
        var old = All(before).ToList();
        Placed[] now = [.. All(after)];
        int[] sessionWas = SessionsOf(before, after);
        var matched = new Dictionary<int, WrittenLine>();
        Pass((n, o) => n.Line.Text == o.Line.Text && InItsSession(n, o) && n.Place == o.Place);
        Pass((n, o) => n.Line.Text == o.Line.Text && InItsSession(n, o));
        Pass((n, o) => SameExercise(n.Line, o.Line) && InItsSession(n, o));
        Pass((n, o) => n.Line.Text == o.Line.Text);
        Pass((n, o) => SameExercise(n.Line, o.Line));
        var replaced = new Dictionary<int, WrittenLine>();
        foreach (var line in now.Where(n => !matched.ContainsKey(n.Line.Number)))
        {
            if (old.FirstOrDefault(o => InItsSession(line, o) && o.Place == line.Place) is { } was)
            {
                replaced[line.Line.Number] = was.Line;
            }
        }

        return new(matched, [.. old.Select(o => o.Line)]) { Replaced = replaced };

        void Pass(Func<Placed, Placed, bool> same)
        {
            foreach (var line in now.Where(n => !matched.ContainsKey(n.Line.Number)))
            {
                if (old.Where(o => same(line, o)).MinBy(o => Math.Abs(o.Place - line.Place)) is { } was)
                {
                    matched[line.Line.Number] = was.Line;
                    old.Remove(was);
                }
            }
        }

        bool InItsSession(Placed n, Placed o) => sessionWas[n.Session] == o.Session;
    }

    private static IEnumerable<Placed> All(WrittenProgramme programme) =>
        programme.Sessions.SelectMany((session, s) => session.Lines.Select((line, i) => new Placed(line, s, i)));

    /// <summary>By title, else by place; -1 for a session that is new.</summary>
    private static int[] SessionsOf(WrittenProgramme before, WrittenProgramme after)
    {
        int[] was = [.. Enumerable.Repeat(-1, after.Sessions.Length)];
        var free = Enumerable.Range(0, before.Sessions.Length).ToHashSet();
        Settle((n, o) => n == o && after.Sessions[n].Title == before.Sessions[o].Title);
        Settle((n, o) => after.Sessions[n].Title == before.Sessions[o].Title);
        Settle((n, o) => n == o);
        return was;

        void Settle(Func<int, int, bool> same)
        {
            for (int n = 0; n < was.Length; n++)
            {
                if (was[n] < 0 && free.Where(o => same(n, o)).Select(o => (int?)o).Min() is { } found)
                {
                    was[n] = found;
                    free.Remove(found);
                }
            }
        }
    }

    private static bool SameExercise(WrittenLine a, WrittenLine b) =>
        a.Exercise is null && b.Exercise is null
            ? string.Equals(a.ExerciseName.Trim(), b.ExerciseName.Trim(), StringComparison.OrdinalIgnoreCase)
            : a.Exercise == b.Exercise;
}

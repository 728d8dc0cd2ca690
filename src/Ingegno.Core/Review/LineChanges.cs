using System.Collections.Immutable;
using Ingegno.Core.Programmes;
using Ingegno.Core.Substitution;

namespace Ingegno.Core.Review;

/// <summary>Puts the changes of a remedy on top of what a coach chose by hand.</summary>
public static class LineChanges
{
    /// <param name="programme">For the text of the lines: a choice belongs to a line as typed.</param>
    public static ImmutableArray<LineChoice> On(IReadOnlyList<LineChoice> choices, IEnumerable<LineChange> changes, WrittenProgramme programme)
    {
        var found = new Choices(programme);
        ImmutableArray<LineChoice> with = [.. choices];
        foreach (var change in changes)
        {
            var line = programme.Sessions.SelectMany(s => s.Lines).First(l => l.Number == change.Line);
            var before = found.For(line, with);
            var after = before ?? new LineChoice(line.Number, line.Text);
            with =
            [
                .. with.Where(c => c != before),
                (change.Exercise is { } exercise && exercise != after.Exercise ? new LineChoice(line.Number, line.Text, exercise, Alone: after.Alone, Pinned: after.Pinned) : after) with
                {
                    Alone = after.Alone || change.Alone,
                    Sets = change.Sets ?? after.Sets,
                    Repetitions = change.Repetitions ?? after.Repetitions,
                    Rest = change.Rest ?? after.Rest,
                    Group = change.Group ?? after.Group,
                    LeftOut = after.LeftOut || change.LeftOut,
                },
            ];
        }

        return with;
    }
}

using Ingegno.Core.Substitution;

namespace Ingegno.Core.Plans;

/// <summary>A rebuilt session as it would be trained, for a day that is not kept: shown, printed, gone.</summary>
public static class LaidSession
{
    /// <param name="nameOf">Name of a line of the text in the plan; null for one that is not in it.</param>
    public static PlannedSession Of(RebuiltSession session, Func<int, int?> nameOf) =>
        new(session.Title, session.Whole, [.. session.Lines.Where(l => l.Outcome != LineOutcome.LeftOut).OrderBy(l => l.TrainedAt).SelectMany(l => Lines(l, nameOf(l.Written.Number) ?? l.Written.Number))])
        {
            LayOut = session.LayOut,
            WarmUp = session.WarmUp,
            CoolDown = session.CoolDown,
        };

    private static IEnumerable<PlannedLine> Lines(RebuiltLine line, int name)
    {
        Alternative?[] all = [line.Chosen, .. line.Added];
        for (int i = 0; i < all.Length; i++)
        {
            var done = all[i];
            yield return new PlannedLine(
                name + (PlannedLine.AddedFrom * i), i == 0 ? line.TagHere : line.TagHere.Length == 0 ? "+" : line.TagHere + "+", line.Group, line.Written.Text,
                done is null ? line.WouldOpen ?? "" : done.Why, done?.Prescription)
            {
                Number = line.Written.Number,
                Behind = i == all.Length - 1 ? line.Behind : [],
            };
        }
    }
}

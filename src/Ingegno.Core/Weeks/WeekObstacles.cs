using System.Collections.Immutable;

namespace Ingegno.Core.Weeks;

/// <summary>Why no week is possible, and the cheapest way out of each reason.</summary>
public static class WeekObstacles
{
    /// <param name="titles">Of the sessions.</param>
    /// <returns>Empty where no single session or group is to blame.</returns>
    public static ImmutableArray<string> Of(WeekModel model, IReadOnlyList<string> titles) =>
        [.. Sessions(model, titles).Concat(Groups(model))];

    private static IEnumerable<string> Sessions(WeekModel model, IReadOnlyList<string> titles)
    {
        if (model.MostSeconds is not { } most)
        {
            yield break;
        }

        for (int session = 0; session < model.Sessions; session++)
        {
            WeekSlot[] own = [.. model.Slots.Where(s => s.Session == session)];
            int least = model.Overhead(session) + own.Sum(s => s.Options.Min(o => o.Seconds));
            if (least > most)
            {
                // What can be spared first: accessory work, and of it what takes longest.
                var spare = own.OrderByDescending(s => s.Role).ThenByDescending(s => s.Options.Min(o => o.Seconds)).First();
                yield return $"{titles[session]} takes at least {Minutes(least)} minutes however its lines are done, {most / 60} are there. Cheapest: leave out line {spare.Line} ({Minutes(spare.Options.Min(o => o.Seconds))} minutes), or give it {Minutes(least)}.";
            }
        }
    }

    private static int Minutes(int seconds) => (int)Math.Ceiling(seconds / 60.0);

    private static IEnumerable<string> Groups(WeekModel model) =>
        from a in Enumerable.Range(0, model.Slots.Length)
        from b in Enumerable.Range(a + 1, model.Slots.Length - a - 1)
        let first = model.Slots[a]
        let second = model.Slots[b]
        where first.Options.All(o => second.Options.All(p => WeekModel.Clash(first, o, second, p)))
        select $"Lines {first.Line} and {second.Line} of superset {first.Group} want {first.Options[0].SetUp} set two ways at once. Cheapest: do them one after the other.";
}

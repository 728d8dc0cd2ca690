using Ingegno.Core.Anatomy;

namespace Ingegno.Core.Weeks;

/// <summary>What a choice for every slot is worth, part by part; more is better.</summary>
/// <param name="ClassSteps">Steps below the best class of each line, times its role: weighed before everything else.</param>
/// <param name="Fit">Fit times role.</param>
/// <param name="Twice">Taken off for exercises done twice in a session; so with the others.</param>
/// <param name="PartsLost">Ranges, one-limb work and grips that nothing has any more.</param>
/// <param name="Later">Sum of the places of the options taken: among equals the earlier ones win.</param>
public sealed record WeekScore(int ClassSteps, int Fit, int Twice, int Changeovers, int OutsideBands, int ConsecutiveDays, int PatternsLost, int PartsLost, int Later)
{
    public int Objective => Fit - Twice - Changeovers - OutsideBands - ConsecutiveDays - PatternsLost - PartsLost;

    /// <summary>All in one number: classes first, then the objective.</summary>
    public long Worth => Objective - (WeekModel.ClassStep * ClassSteps);

    /// <summary>Worth first, then the earlier options.</summary>
    public bool Beats(WeekScore other) => Worth > other.Worth || (Worth == other.Worth && Later < other.Later);

    /// <param name="chosen">Place of the option taken in each slot.</param>
    /// <returns>Null where the choice is not allowed: a session too long, or a group that clashes.</returns>
    public static WeekScore? Of(WeekModel model, IReadOnlyList<int> chosen)
    {
        var options = model.Slots.Select((s, i) => s.Options[chosen[i]]).ToArray();
        return IsTooLong(model, options) || Clashes(model, options) ? null : new WeekScore(
            model.Slots.Select((s, i) => model.StepsDown(s, options[i])).Sum(),
            model.Slots.Select((s, i) => model.FitOf(s, options[i])).Sum(),
            model.Prices.TwiceInSession * Repeated(model, options),
            model.Prices.Changeover * model.Neighbours.Count(n => IsChangeover(options[n.First], options[n.Next])),
            model.Prices.TenthOutsideBand * model.Bands.Sum(b => Outside(b, options.Sum(o => o.TenthSets.GetValueOrDefault(b.Group)))),
            model.Prices.HardOnConsecutiveDays * model.FollowingDays.Sum(d => HardInBoth(model, options, d)),
            Lost(model, options).Where(q => q.IsPattern).Sum(q => q.Price),
            Lost(model, options).Where(q => !q.IsPattern).Sum(q => q.Price),
            chosen.Sum());
    }

    public static bool IsChangeover(WeekOption first, WeekOption next) => next.SetUp is not null && first.SetUp != next.SetUp;

    public static int Outside(WeekBand band, int tenths) => Math.Max(0, band.Least - tenths) + Math.Max(0, tenths - band.Most);

    private static IEnumerable<WeekQuality> Lost(WeekModel model, WeekOption[] options) =>
        model.Wanted.Where(q => options.All(o => !o.Has.Contains(q.Name)));

    private static bool IsTooLong(WeekModel model, WeekOption[] options) =>
        model.MostSeconds is { } most
        && Enumerable.Range(0, model.Sessions).Any(s =>
            model.Overhead(s) + model.Slots.Select((slot, i) => slot.Session == s ? options[i].Seconds : 0).Sum() > most);

    private static bool Clashes(WeekModel model, WeekOption[] options)
    {
        for (int a = 0; a < options.Length; a++)
        {
            for (int b = a + 1; b < options.Length; b++)
            {
                if (WeekModel.Clash(model.Slots[a], options[a], model.Slots[b], options[b]))
                {
                    return true;
                }
            }
        }

        return false;
    }

    private static int Repeated(WeekModel model, WeekOption[] options) =>
        options.Select((o, i) => (model.Slots[i].Session, o.Exercise)).GroupBy(k => k).Sum(g => g.Count() - 1);

    private static int HardInBoth(WeekModel model, WeekOption[] options, (int First, int Next) days) =>
        Enum.GetValues<MuscleGroup>().Count(g => g != MuscleGroup.Small && IsHard(model, options, days.First, g) && IsHard(model, options, days.Next, g));

    private static bool IsHard(WeekModel model, WeekOption[] options, int session, MuscleGroup group) =>
        options.Where((_, i) => model.Slots[i].Session == session).Sum(o => o.TenthSets.GetValueOrDefault(group)) >= model.Prices.HardFromTenths;
}

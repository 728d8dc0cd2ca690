using System.Collections.Immutable;
using Ingegno.Core.Anatomy;
using Ingegno.Core.Clients;
using Ingegno.Core.Exercises;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Review;

/// <summary>Weekly effective sets of a muscle group in the gym and at home, and the band they should lie in.</summary>
/// <param name="DaysApart">Most days from one session that trains it to the next, week after week; null where the days are not known or nothing trains it.</param>
/// <param name="Least">Null where no band applies: the gym did not train it, or it is not counted towards size.</param>
public sealed record MuscleRow(MuscleGroup Group, double Gym, double Home, double? Least, double? Most, int? DaysApart = null);

/// <summary>Weekly effective sets of a pattern, and which ranges it is hardest in.</summary>
public sealed record PatternRow(
    Pattern Pattern, double Gym, double Home, ImmutableArray<HardestRange> GymRanges, ImmutableArray<HardestRange> HomeRanges);

/// <summary>Two sides of the body set against each other, effective sets at home.</summary>
public sealed record BalanceRow(string Name, string First, double FirstSets, string Second, double SecondSets);

/// <summary>One session in figures.</summary>
/// <param name="HardSets">Effective sets.</param>
/// <param name="LightWork">Share of the working time at a demand under the review's mark with less rest than work.</param>
public sealed record SessionRow(string Title, Duration Length, double HardSets, int FailureSets, int JumpContacts, Duration Work, Duration Resting, Share LightWork);

/// <summary>The whole week set against the gym's, in effective sets.</summary>
public sealed record WeeklyLedger(
    ImmutableArray<MuscleRow> Muscles, ImmutableArray<PatternRow> Patterns, ImmutableArray<BalanceRow> Balances, ImmutableArray<SessionRow> Sessions)
{
    private static readonly ImmutableArray<MuscleGroup> Counted =
        [.. Enum.GetValues<MuscleGroup>().Where(g => g is not (MuscleGroup.Small or MuscleGroup.Forearm or MuscleGroup.Shins or MuscleGroup.Adductors or MuscleGroup.HipSide))];

    private static readonly ImmutableHashSet<Pattern> Pushes =
        [Pattern.HorizontalPress, Pattern.VerticalPress, Pattern.Dip, Pattern.Fly];

    private static readonly ImmutableHashSet<Pattern> Pulls =
        [Pattern.HorizontalPull, Pattern.VerticalPull, Pattern.RearFly];

    private static readonly ImmutableHashSet<Pattern> Knees = [Pattern.Squat, Pattern.KneeExtension];

    private static readonly ImmutableHashSet<Pattern> Hips = [Pattern.Hinge, Pattern.HipThrust, Pattern.HipExtension, Pattern.KneeFlexion];

    public static WeeklyLedger Of(IReadOnlyList<TrainedSession> week, ClientProfile client, ReviewThresholds marks, DateOnly today)
    {
        TrainedLine[] gym = [.. week.SelectMany(s => s.Gym)], home = [.. week.SelectMany(s => s.Home)];
        var (gymSets, homeSets) = (ByGroup(gym), ByGroup(home));
        var chosenFor = gym.SelectMany(l => MuscleGroups.CountsOf(l.Exercise.Muscles).Where(c => c.Value >= MuscleGroups.PrimeMover))
            .Select(c => c.Key).ToHashSet();
        IReadOnlyDictionary<MuscleGroup, double>[] homeByDay = [.. week.Select(s => ByGroup(s.Home))];
        return new(
            [.. Enum.GetValues<MuscleGroup>()
                .Select(g => Row(g, gymSets.GetValueOrDefault(g), homeSets.GetValueOrDefault(g), chosenFor.Contains(g), client, marks, today)
                    with { DaysApart = DaysApart(homeByDay, g, client) })
                .Where(r => r.Gym > 0 || r.Home > 0)],
            [.. Enum.GetValues<Pattern>().Select(p => Row(p, gym, home)).Where(r => r.Gym > 0 || r.Home > 0)],
            [
                Balance("push against pull", "push", Pushes, "pull", Pulls, home),
                Balance("knee against hip", "knee", Knees, "hip", Hips, home),
            ],
            [.. week.Select(s => Row(s, marks))]);
    }

    /// <summary>Effective sets by muscle group.</summary>
    public static IReadOnlyDictionary<MuscleGroup, double> ByGroup(IEnumerable<TrainedLine> lines) =>
        lines.SelectMany(l => MuscleGroups.CountsOf(l.Exercise.Muscles).Select(c => (c.Key, Sets: c.Value * l.EffectiveSets)))
            .GroupBy(c => c.Key)
            .ToDictionary(g => g.Key, g => g.Sum(c => c.Sets));

    /// <summary>A session trains a muscle from one set that counts.</summary>
    private static int? DaysApart(IReadOnlyDictionary<MuscleGroup, double>[] home, MuscleGroup group, ClientProfile client)
    {
        int[] days = [.. client.Days.Distinct().Select(d => ((int)d + 6) % 7).Order()];
        int[] trained = days.Length < home.Length ? [] :
            [.. Enumerable.Range(0, home.Length).Where(i => home[i].GetValueOrDefault(group) >= 1).Select(i => days[i])];
        return trained.Length == 0 ? null : trained.Select((day, i) => i + 1 < trained.Length ? trained[i + 1] - day : trained[0] + 7 - day).Max();
    }

    private static MuscleRow Row(MuscleGroup group, double gym, double home, bool chosenFor, ClientProfile client, ReviewThresholds marks, DateOnly today) =>
        !Counted.Contains(group) || !chosenFor || gym <= 0 ? new(group, gym, home, null, null)
        : client.Goal == Goal.BuildMuscle ? new(group, gym, home, marks.LeastToGrow, marks.MostInWeek)
        : new(group, gym, home, gym * marks.ToKeep(client, today), marks.MostInWeek);

    private static PatternRow Row(Pattern pattern, TrainedLine[] gym, TrainedLine[] home)
    {
        return new(pattern, Sets(gym), Sets(home), Ranges([.. gym.Where(l => !l.Exercise.IsSlot)]), Ranges(home));

        double Sets(TrainedLine[] lines) => lines.Where(l => l.Exercise.Pattern == pattern).Sum(l => (double)l.Counts.Length);

        ImmutableArray<HardestRange> Ranges(TrainedLine[] lines) =>
            [.. lines.Where(l => l.Exercise.Pattern == pattern).Select(l => l.Exercise.Range).Distinct().Order()];
    }

    private static BalanceRow Balance(
        string name, string first, ImmutableHashSet<Pattern> firsts, string second, ImmutableHashSet<Pattern> seconds, TrainedLine[] home) =>
        new(name, first, home.Where(l => firsts.Contains(l.Exercise.Pattern)).Sum(l => l.EffectiveSets),
            second, home.Where(l => seconds.Contains(l.Exercise.Pattern)).Sum(l => l.EffectiveSets));

    private static SessionRow Row(TrainedSession session, ReviewThresholds marks)
    {
        var work = Sum(session.Home, l => l.Work);
        return new(
            session.Title, session.Length, session.Home.Sum(l => l.EffectiveSets), session.Home.Sum(l => l.FailureSets),
            session.Home.Sum(l => l.JumpContacts), work, Sum(session.Home, l => l.Resting),
            work > Duration.Zero
                ? Share.Of(Sum(session.Home.Where(marks.IsForBreath), l => l.Work).Seconds / work.Seconds)
                : Share.Of(0));
    }

    private static Duration Sum(IEnumerable<TrainedLine> lines, Func<TrainedLine, Duration> of) =>
        lines.Aggregate(Duration.Zero, (sum, l) => sum + of(l));
}

using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Dosing;

/// <summary>What a goal is usually trained with.</summary>
/// <param name="LeastPercent">Of the one-repetition maximum; with <paramref name="MostPercent"/> read on equivalent demand.</param>
/// <param name="LeastRest">Between sets.</param>
/// <param name="Source">Where the row comes from.</param>
public sealed record GoalRow(
    string Goal, Share LeastPercent, Share MostPercent, int LeastRepetitions, int MostRepetitions, int LeastSets, int MostSets,
    Duration LeastRest, Duration MostRest, string Source);

/// <summary>
/// Load, repetitions, sets and rest by goal, for showing beside a line. Haff and Triplett, Essentials of Strength Training and
/// Conditioning, 4th ed. (from memory), for strength, growth, endurance and power; the other goals by common practice. Rests by the
/// repetitions they go with.
/// </summary>
public static class GoalTable
{
    private const string Book = "Haff and Triplett, Essentials of Strength Training and Conditioning, 4th ed. (from memory)";

    private const string Practice = "common practice";

    public static GoalRow Strength { get; } = Row("strength", 85, 100, 1, 6, 2, 6, 120, 300, Book);

    public static GoalRow Growth { get; } = Row("growth", 67, 85, 6, 12, 3, 6, 60, 120, Book);

    public static GoalRow Endurance { get; } = Row("endurance", 30, 67, 12, 30, 2, 3, 30, 60, Book);

    public static GoalRow Power { get; } = Row("power", 75, 90, 1, 5, 3, 5, 120, 300, Book);

    public static ImmutableArray<GoalRow> All { get; } =
    [
        Strength, Growth, Endurance, Power,
        Row("keeping muscle", 30, 85, 6, 30, 1, 3, 60, 120, Practice),
        Row("general preparation", 40, 75, 8, 20, 2, 4, 30, 90, Practice),
        Row("fat loss, muscle kept", 30, 85, 6, 20, 2, 4, 30, 120, Practice),
        Row("skill", 20, 50, 3, 8, 2, 4, 60, 120, Practice),
        Row("joint care", 10, 50, 10, 20, 2, 3, 30, 60, Practice),
        Row("activation", 10, 50, 6, 15, 1, 2, 0, 60, Practice),
    ];

    /// <summary>The row a line belongs to: its purpose where one is written, else what its repetitions train.</summary>
    public static GoalRow For(Purpose? purpose, int repetitions) => purpose switch
    {
        Purpose.Strength => Strength,
        Purpose.Growth => Growth,
        Purpose.Conditioning => Endurance,
        Purpose.Skill => Named("skill"),
        Purpose.JointCare => Named("joint care"),
        Purpose.Activation => Named("activation"),
        _ => repetitions switch
        {
            <= 5 => Strength,
            <= 12 => Growth,
            _ => Endurance,
        },
    };

    /// <summary>The row of a client's goal.</summary>
    public static GoalRow For(Goal goal) => goal switch
    {
        Goal.KeepMuscle => Named("keeping muscle"),
        Goal.BuildMuscle => Growth,
        Goal.Power => Power,
        Goal.StrengthEndurance => Endurance,
        Goal.GeneralPreparation => Named("general preparation"),
        Goal.FatLoss => Named("fat loss, muscle kept"),
        _ => Strength,
    };

    private static GoalRow Named(string goal) => All.Single(r => r.Goal == goal);

    private static GoalRow Row(
        string goal, int least, int most, int leastReps, int mostReps, int leastSets, int mostSets, int leastRest, int mostRest, string source) =>
        new(goal, Share.Of(least / 100.0), Share.Of(most / 100.0), leastReps, mostReps, leastSets, mostSets,
            Duration.FromSeconds(leastRest), Duration.FromSeconds(mostRest), source);
}

using System.Collections.Immutable;
using Ingegno.Core.Dosing;
using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;
using Ingegno.Core.Substitution;

namespace Ingegno.Core.Review;

/// <summary>
/// One exercise of a session as it is trained, in the gym or at home: the facts that ledger and review count, however they were come by.
/// </summary>
public sealed record TrainedLine
{
    /// <summary>Line number in the text.</summary>
    public required int Number { get; init; }

    /// <summary>Letter of its superset or circuit; null where it stands alone.</summary>
    public string? Group { get; init; }

    public required Exercise Exercise { get; init; }

    public Role Role { get; init; } = Role.Secondary;

    public Purpose? Purpose { get; init; }

    public required CountKind Count { get; init; }

    /// <summary>Per set, per side where <see cref="PerSide"/>.</summary>
    public required ImmutableArray<int> Counts { get; init; }

    public bool PerSide { get; init; }

    /// <summary>How long one count takes.</summary>
    public required Duration Each { get; init; }

    public required Duration Rest { get; init; }

    /// <summary>Resistance over the maximum; null where no model stands behind it.</summary>
    public Demand? Demand { get; init; }

    public Demand? Equivalent { get; init; }

    /// <summary>Empty where no model stands behind it.</summary>
    public ImmutableArray<ForecastSet> Forecast { get; init; } = [];

    public SetForm Form { get; init; } = SetForm.Straight;

    /// <summary>Effective repetitions at which a set counts whole (common practice).</summary>
    private const double WholeSet = 3;

    /// <summary>
    /// Sets that count: min(1, effective repetitions / 3) each (common practice). Work without a forecast counts as it is
    /// written, in the gym and at home alike, so that the two compare.
    /// </summary>
    public double EffectiveSets => Forecast.IsEmpty
        ? Exercise.Pattern == Pattern.Jump || Purposes.IsCapped(Purpose) ? 0 : Counts.Length
        : Forecast.Sum(s => Math.Min(1, s.Effective / WholeSet));

    /// <summary>Sets that leave less than half a repetition.</summary>
    public int FailureSets => Forecast.Count(s => s.Reserve < 0.5);

    /// <summary>Both sides.</summary>
    public Duration Work => Each * (Counts.Sum() * (PerSide ? 2 : 1));

    public Duration Resting => Rest * Counts.Length;

    /// <summary>Landings on the feet, both sides.</summary>
    public int JumpContacts => Exercise.Pattern == Pattern.Jump && Count.IsRepetitions() ? Counts.Sum() * (PerSide ? 2 : 1) : 0;
}

/// <summary>A session as trained in the gym and at home.</summary>
/// <param name="Length">At home, warm-up and cool-down counted.</param>
public sealed record TrainedSession(string Title, ImmutableArray<TrainedLine> Gym, ImmutableArray<TrainedLine> Home, Duration Length)
{
    /// <summary>A rebuilt session read for what it trains.</summary>
    public static TrainedSession Of(RebuiltSession session, Catalogue catalogue) => new(
        session.Title,
        [.. session.Lines.SelectMany(l => l.GymBlocks().Select(b => InTheGym(l, b, catalogue))).OfType<TrainedLine>()],
        [.. session.Lines.SelectMany(l => AtHome(l, catalogue))],
        session.Whole);

    private static TrainedLine? InTheGym(RebuiltLine line, GymBlock block, Catalogue catalogue)
    {
        if (line.Written.Exercise is not { } id || catalogue.Find(id) is not { } exercise)
        {
            return null;
        }

        var (written, gym) = (Strides.AsRepetitions(block.Written, exercise), block.Intent);
        var kind = written.Sets[0].Kind;
        ImmutableArray<int> counts = gym?.Repetitions ?? [.. written.Sets.SelectMany(s => s.Planned)];
        return new TrainedLine
        {
            Number = written.Number,
            Group = written.Group,
            Exercise = exercise,
            Role = line.Role,
            Purpose = written.Purpose,
            Count = kind,
            Counts = counts,
            PerSide = written.PerSide || exercise.Sides == Sides.OneAtATime,
            Each = Duration.FromSeconds(kind.IsRepetitions() ? (written.Tempo ?? Tempo.Reference).Seconds : kind.SecondsEach()),
            Rest = HouseRules.RestOf(written, counts[0]),
            Demand = gym?.Demand,
            Equivalent = gym?.Equivalent,
            Forecast = gym is { } intent
                ? [.. intent.Repetitions.Select((planned, i) => Set(planned, planned + Left(written, intent, i), intent.Equivalent))]
                : [],
        };
    }

    /// <summary>What the coach wrote of the last set goes before what the forecast says of it.</summary>
    private static double Left(WrittenLine written, Intent intent, int set) =>
        set == intent.Repetitions.Length - 1 && written.Intensity.Reserve is { } reserve ? Math.Min(reserve, intent.Reserves[set]) : intent.Reserves[set];

    private static ForecastSet Set(int planned, double toFailure, Demand equivalent) =>
        new(planned, toFailure, SetForecast.Effective(planned, toFailure, equivalent));

    internal static IEnumerable<TrainedLine> AtHome(RebuiltLine line, Catalogue catalogue) =>
        from done in new[] { line.Chosen }.Concat(line.Added)
        where done is not null
        let given = done.Prescription
        select new TrainedLine
        {
            Number = line.Written.Number,
            Group = line.Group,
            Exercise = catalogue[given.Exercise],
            Role = line.Role,
            Purpose = given.Purpose,
            Count = given.Count,
            Counts = given.Counts,
            PerSide = given.PerSide,
            Each = given.Count.IsRepetitions() ? given.Style.Lasts : Duration.FromSeconds(given.Count.SecondsEach()),
            Rest = given.Rest,
            Demand = done.Demand,
            Equivalent = done.Equivalent,
            Forecast = done.Forecast,
            Form = given.Form,
        };
}

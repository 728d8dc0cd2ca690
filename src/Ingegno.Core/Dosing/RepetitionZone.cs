namespace Ingegno.Core.Dosing;

/// <summary>
/// The counts that serve a written count at home: a triple may become up to eight, never eighteen (common practice).
/// </summary>
/// <param name="Least">Of the zone.</param>
/// <param name="Most">Of the zone.</param>
/// <param name="Ceiling">Never more than this where it was not written.</param>
public readonly record struct RepetitionZone(int Least, int Most, int Ceiling)
{
    /// <summary>Part of the lowest written count a client must be able to do for a variation to be given (common practice).</summary>
    public const double EnoughOfTheCount = 0.6;

    public bool Holds(int count) => count >= Least && count <= Most;
}

/// <summary>The zones of a practice, by the lowest written count: common practice, the coach's to move within bounds.</summary>
public sealed record RepetitionZones
{
    public static RepetitionZones Default { get; } = new();

    /// <summary>Written with one to five.</summary>
    public RepetitionZone UpToFive { get; init; } = new(3, 8, 12);

    /// <summary>Six to twelve.</summary>
    public RepetitionZone UpToTwelve { get; init; } = new(5, 15, 20);

    /// <summary>Thirteen to twenty.</summary>
    public RepetitionZone UpToTwenty { get; init; } = new(10, 25, 30);

    /// <summary>Over twenty: to the written count, or to this.</summary>
    public RepetitionZone Over { get; init; } = new(12, 30, 30);

    /// <param name="lowest">The lowest written count.</param>
    public RepetitionZone Of(int lowest) => lowest switch
    {
        <= 5 => UpToFive,
        <= 12 => UpToTwelve,
        <= 20 => UpToTwenty,
        _ => new(Over.Least, Math.Max(Over.Most, lowest), Math.Max(Over.Ceiling, lowest)),
    };

    /// <summary>Whether so little of the written count is left that the dose is none.</summary>
    internal bool IsUnderFloor(Intent intent, Dose dose)
    {
        int lowest = intent.Repetitions.Min();
        return intent.Cap is null && dose.Form == Effort.SetForm.Straight
            && dose.Repetitions.Min() < Math.Ceiling(RepetitionZone.EnoughOfTheCount * Math.Min(lowest, Of(lowest).Most));
    }
}

namespace Ingegno.Core.Effort;

/// <summary>Repetitions to failure with the 80 percent range that comes from how well the maximum is known.</summary>
public sealed record RepetitionRange(double Low, double Middle, double High);

/// <summary>How far the given effective repetitions may be off, fewest and most.</summary>
public sealed record EffectiveRange(double Low, double High);

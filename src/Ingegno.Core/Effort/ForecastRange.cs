namespace Ingegno.Core.Effort;

/// <summary>Repetitions to failure, with the range they lie in four of five times.</summary>
public sealed record RepetitionRange(double Low, double Middle, double High);

/// <summary>How far the given effective repetitions may be off, fewest and most.</summary>
public sealed record EffectiveRange(double Low, double High);

using Ingegno.Core.Quantities;

namespace Ingegno.Simulation;

/// <summary>The truth about one exercise for one body, which nobody asks and no log contains.</summary>
/// <param name="Greatest">The most that can be met once, the body it moves counted.</param>
/// <param name="BodyMoved">Mass of the body that moves with the load.</param>
/// <param name="LoadCounts">Part of the load that is met.</param>
public sealed record HiddenExercise(string Exercise, MuscleRegion Region, Mass Greatest, Mass BodyMoved, double LoadCounts = 1)
{
    /// <summary>The muscle that gives out, shared with other exercises where the law shares; by itself where none is named.</summary>
    public string Muscle { get; init; } = Exercise;
}

/// <summary>How a body differs from the books, and how its owner behaves.</summary>
/// <param name="Endurance">Below 1 it tires faster than most.</param>
/// <param name="Recovery">Below 1 it recovers slower than most.</param>
/// <param name="Unsaid">Repetitions left beyond what is said, on average.</param>
/// <param name="Adherence">Part of the sessions that are trained.</param>
/// <param name="GainAWeek">Strength gained in a trained week, as a part.</param>
/// <param name="Law">By which its muscles tire and recover.</param>
/// <param name="AlwaysSays">What is said to be left after every set, whatever is; null for who says what is felt.</param>
public sealed record HiddenNature(
    double Endurance = 1, double Recovery = 1, double Unsaid = 0, double Adherence = 1, double GainAWeek = 0.005,
    FatigueLaw Law = FatigueLaw.ThreeCompartments, int? AlwaysSays = null);

using System.Collections.Immutable;
using Ingegno.Core.Anatomy;
using Ingegno.Core.Exercises;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Clients;

/// <summary>Training age, as coaches sort it.</summary>
public enum Level
{
    Beginner,
    Intermediate,
    Advanced,
}

/// <summary>What the client trains for now.</summary>
public enum Goal
{
    KeepMuscle,
    BuildMuscle,
    KeepStrength,
    BuildStrength,
    StrengthEndurance,
    Power,
    GeneralPreparation,
    FatLoss,
}

/// <summary>Unit of mass on screen and paper; inside, everything is kilograms.</summary>
public enum MassUnit
{
    Kilogram,
    Pound,
}

/// <summary>What came of a movement screen.</summary>
public enum ScreenResult
{
    Passed,
    Failed,
}

/// <summary>A set the client has done, from which a maximum is estimated.</summary>
/// <param name="Exercise">Catalogue id.</param>
/// <param name="Load">External load; zero for body weight alone.</param>
/// <param name="Repetitions">Whole repetitions done, 1 and over.</param>
/// <param name="Reserve">Repetitions that were left; 0 is failure.</param>
public sealed record KnownLift(string Exercise, Mass Load, int Repetitions, double Reserve = 0, DateOnly? On = null);

/// <summary>A joint that is sore, 0 (not) to 10 (worst).</summary>
public sealed record Soreness(Joint Joint, int Pain);

/// <summary>A screen and what came of it.</summary>
public sealed record Screened(Screen Screen, ScreenResult Result);

/// <summary>Who trains: what the choice of exercises and doses needs to know about a person.</summary>
public sealed record ClientProfile
{
    public required string Name { get; init; }

    /// <summary>A line that tells this client from the others: "lives afloat".</summary>
    public string Note { get; init; } = "";

    public Level Level { get; init; } = Level.Intermediate;

    public Goal Goal { get; init; } = Goal.KeepMuscle;

    public Sex Sex { get; init; } = Sex.Female;

    public Mass BodyMass { get; init; } = Mass.FromKilograms(70);

    public Length Stature { get; init; } = Length.FromMetres(1.70);

    /// <summary>Minutes a session may take. Null: no limit.</summary>
    public int? SessionMinutes { get; init; }

    public MassUnit Unit { get; init; } = MassUnit.Kilogram;

    public ImmutableArray<KnownLift> Lifts { get; init; } = [];

    public ImmutableArray<Soreness> SoreJoints { get; init; } = [];

    public ImmutableArray<Screened> Screens { get; init; } = [];

    /// <summary>Pain of a joint, 0 when not named.</summary>
    public int PainAt(Joint joint) => SoreJoints.Where(s => s.Joint == joint).Select(s => s.Pain).DefaultIfEmpty(0).Max();
}

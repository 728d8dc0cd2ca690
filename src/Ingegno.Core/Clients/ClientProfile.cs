using System.Collections.Immutable;
using System.Text.Json.Serialization;
using Ingegno.Core.Anatomy;
using Ingegno.Core.Exercises;
using Ingegno.Core.Quantities;
using Ingegno.Core.Schools;

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
/// <param name="Note">The coach's pass mark or remark: "heels stay down to parallel".</param>
public sealed record Screened(Screen Screen, ScreenResult Result, string? Note = null);

/// <summary>Habits of a body that change choices and cues.</summary>
public enum Trait
{
    ShrugsEasily,
    WeakGrip,
    KneesFallIn,
    BackArches,
    OneSideStronger,
    UncomfortableUpsideDown,
    KneeSoreOnLunges,
}

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

    /// <summary>Null: not asked. Age decides whom supported versions come first for, and how much of the former sets keeps what there is.</summary>
    public int? BirthYear { get; init; }

    /// <summary>Noted before years of birth were asked; without a year it counts as <see cref="AgeOfOverSixty"/>.</summary>
    public bool OverSixty { get; init; }

    /// <summary>Day of a competition, if one is ahead.</summary>
    public DateOnly? CompetitionOn { get; init; }

    /// <summary>When the home period is expected to end. Null: open.</summary>
    public DateOnly? HomeUntil { get; init; }

    /// <summary>Weekdays the client can train.</summary>
    public ImmutableArray<DayOfWeek> Days { get; init; } = [];

    /// <summary>Minutes a session may take. Null: no limit.</summary>
    public int? SessionMinutes { get; init; }

    public MassUnit Unit { get; init; } = MassUnit.Kilogram;

    /// <summary>Where their days begin and end, by its IANA name: "Europe/Lisbon". Null: where the practice is.</summary>
    public string? TimeZone { get; init; }

    public ImmutableArray<KnownLift> Lifts { get; init; } = [];

    public ImmutableArray<Soreness> SoreJoints { get; init; } = [];

    public ImmutableArray<Screened> Screens { get; init; } = [];

    public ImmutableArray<Trait> Traits { get; init; } = [];

    /// <summary>Catalogue ids of what the client cannot do yet, though level alone would allow it.</summary>
    public ImmutableArray<string> NotYet { get; init; } = [];

    /// <summary>Sides of the schools agreed with this client, against the practice's.</summary>
    public ImmutableArray<Teaching> Teachings { get; init; } = [];

    public HealthScreen Health { get; init; } = new();

    /// <summary>Never given to this client, beside what the practice bans.</summary>
    public ImmutableArray<Ban> Bans { get; init; } = [];

    /// <summary>Catalogue ids this client likes: of nearly equal fits these come first.</summary>
    public ImmutableArray<string> Preferred { get; init; } = [];

    /// <summary>What the log has taught; kept beside the profile and never typed.</summary>
    [JsonIgnore]
    public Learned Learned { get; init; } = Learned.Nothing;

    /// <summary>Age of a client of whom only "over sixty" was noted.</summary>
    public const int AgeOfOverSixty = 70;

    /// <summary>The age reached in the year of a day; null where neither year nor note tells.</summary>
    public int? AgeOn(DateOnly day) => BirthYear is { } year ? day.Year - year : OverSixty ? AgeOfOverSixty : null;

    /// <summary>Pain of a joint, 0 when not named.</summary>
    public int PainAt(Joint joint) => SoreJoints.Where(s => s.Joint == joint).Select(s => s.Pain).DefaultIfEmpty(0).Max();
}

using System.Collections.Immutable;
using System.Text.Json.Serialization;
using Ingegno.Core.Anatomy;
using Ingegno.Core.Homes;
using Ingegno.Core.Loads;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Exercises;

/// <summary>
/// An exercise a coach added: like one of the catalogue, and what differs. Whatever is null is as there. What an exercise
/// may not be given with (health, screens, movement over the head) always comes from the one it is like.
/// </summary>
/// <example>"Door-frame row" like the standing lean row, hardest in the middle, 80 percent as hard.</example>
public sealed record OwnExercise
{
    /// <summary>What every id of an own exercise begins with, and none of the shipped catalogue's.</summary>
    public const string Mark = "own-";

    /// <summary>Stable for ever, as logs refer to it.</summary>
    public required string Id { get; init; }

    public required string Name { get; init; }

    /// <summary>What the coach also calls it.</summary>
    public ImmutableArray<string> AlsoCalled { get; init; } = [];

    /// <summary>Catalogue id of the exercise it is like.</summary>
    public required string Like { get; init; }

    /// <summary>How much each muscle works, above 0 to 1.</summary>
    public IReadOnlyDictionary<Muscle, double>? Muscles { get; init; }

    public LineOfForce? Line { get; init; }

    public Sides? Sides { get; init; }

    public HardestRange? Range { get; init; }

    /// <summary>Ways a load can be held.</summary>
    public ImmutableArray<Hold>? Holds { get; init; }

    public bool? NeedsLoad { get; init; }

    /// <summary>What it is nothing without, beside a load of any kind.</summary>
    public KitWanted? Wants { get; init; }

    /// <summary>How much of a load arrives where the body presses or pulls.</summary>
    public LoadTest? Test { get; init; }

    /// <summary>What is lifted in this over what is lifted in the one it is like; 1 where nothing is said.</summary>
    public double? Strength { get; init; }

    public ImmutableArray<OwnFixture>? Fixtures { get; init; }

    public ImmutableArray<JointStress>? Joints { get; init; }

    /// <summary>1 anybody to 4 very trained.</summary>
    public int? Skill { get; init; }

    public ImmutableArray<string>? SetUp { get; init; }

    public ImmutableArray<string>? Cues { get; init; }

    /// <summary>Given no more; what was done with it keeps its name.</summary>
    public bool IsRetired { get; init; }

    /// <summary>An id for a new exercise, of its name and not taken.</summary>
    public static string IdOf(string name, ImmutableArray<OwnExercise> own)
    {
        string words = string.Join('-', new string([.. name.ToLowerInvariant().Select(c => char.IsAsciiLetterLower(c) || char.IsAsciiDigit(c) ? c : ' ')])
            .Split(' ', StringSplitOptions.RemoveEmptyEntries));
        string id = Mark + (words.Length == 0 ? "exercise" : words[..Math.Min(words.Length, LongestId)].TrimEnd('-'));
        return Enumerable.Range(1, own.Length + 1).Select(n => n == 1 ? id : $"{id}-{n}").First(free => own.All(o => o.Id != free));
    }

    private const int LongestId = 60;

    /// <summary>The exercise as choice, dose and log know it.</summary>
    /// <param name="like">The catalogue's entry for <see cref="Like"/>.</param>
    public Exercise From(Exercise like)
    {
        double strength = Strength ?? 1;
        return like with
        {
            Id = Id,
            Name = Name,
            Synonyms = AlsoCalled,
            SharedNames = [],
            Usual = Usualness.Common,
            Muscles = Muscles is null ? like.Muscles : new(Muscles),
            // How a change of stance shifts the work was told of the other's muscles.
            Emphasis = Muscles is null ? like.Emphasis : [],
            Line = Line ?? like.Line,
            Sides = Sides ?? like.Sides,
            Range = Range ?? like.Range,
            Holds = Holds ?? like.Holds,
            NeedsLoad = NeedsLoad ?? like.NeedsLoad,
            Wants = Wants ?? like.Wants,
            Load = Test is { } test ? like.Load with { LoadCounts = like.Load.LoadCounts * test.Counts } : like.Load,
            Strength = LinkTo(like, strength),
            Fixtures = Fixtures is { } own ? [.. own.Select(f => f.From(like))] : like.Fixtures,
            Joints = Joints is { } joints ? AskedOfBody.Joints(joints, like.Pattern) : like.Joints,
            Skill = Skill ?? like.Skill,
            SetUp = SetUp ?? like.SetUp,
            Cues = Cues ?? like.Cues,
            IsRetired = IsRetired,
        };
    }

    /// <summary>Its maximum by the one it is like; a guess of the coach's, so it spreads more than the catalogue's own ratios.</summary>
    private static StrengthLink? LinkTo(Exercise like, double strength) => like switch
    {
        { Endurance: EnduranceClass.OwnLogOnly } => null,
        { Strength: { } link } => link with
        {
            Ratio = link.Ratio * strength,
            HoldLimit = link.HoldLimit * strength,
            Spread = Math.Sqrt((link.Spread * link.Spread) + (CoachsSpread * CoachsSpread)),
        },
        // A root's own maximum is what is held, so this one's is too.
        _ => new(like.Id, strength, RatioBasis.External, CoachsSpread),
    };

    /// <summary>Standard deviation of the logarithm a coach's "about as hard as" adds (coach).</summary>
    private const double CoachsSpread = 0.12;
}

/// <summary>A test with a weight: so much put on, so much shown by a scale where the body presses or pulls.</summary>
public sealed record LoadTest(Mass Put, Mass Arrives)
{
    /// <summary>The part that arrives, above 0 to 1.</summary>
    [JsonIgnore]
    public double Counts => Arrives.Kilograms / Put.Kilograms;
}

/// <summary>A fixture an own exercise needs. How hard it is loaded comes from the exercise it is like; a use that one does not have bears the whole body.</summary>
/// <param name="Lowest">Over stature.</param>
/// <param name="Highest">Over stature.</param>
public sealed record OwnFixture(FixtureRole Role, ImmutableArray<FixtureKind> Kinds, Share Lowest, Share Highest)
{
    internal FixtureNeed From(Exercise like) =>
        (like.Fixtures.FirstOrDefault(f => f.Role == Role)
            ?? new() { Role = Role, Kinds = Kinds, LowestOfStature = Lowest, HighestOfStature = Highest, Bears = Share.Of(1) }) with
        {
            Kinds = Kinds,
            LowestOfStature = Lowest,
            HighestOfStature = Highest,
            WantedOfStature = null,
        };
}

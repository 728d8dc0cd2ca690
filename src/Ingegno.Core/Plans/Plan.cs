using System.Collections.Immutable;
using System.Text.Json.Serialization;
using Ingegno.Core.Blocks;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;
using Ingegno.Core.Sessions;
using Ingegno.Core.Substitution;

namespace Ingegno.Core.Plans;

/// <summary>One line of a plan as it is in force at one place.</summary>
/// <param name="Line">
/// Names it for good: logs refer to it, and it stays with the line when others are put before it. In contrast, <see cref="Number"/> is where it
/// stands in the text now.
/// </param>
/// <param name="Tag">"B1", or empty.</param>
/// <param name="Group">Letter it is done back to back under; null alone.</param>
/// <param name="Written">The line as typed.</param>
/// <param name="Why">Why it is done so.</param>
/// <param name="Prescription">In force; null where nothing here is possible.</param>
public sealed record PlannedLine(int Line, string Tag, string? Group, string Written, string Why, Prescription? Prescription)
{
    /// <summary>Exercises added to a line are named this far on from it, so that each has a log of its own.</summary>
    public const int AddedFrom = 1000;

    /// <summary>Line number in the text, from 1; what was added to a line has that line's.</summary>
    public int Number { get; init; }

    /// <summary>
    /// What the coach settled by hand here: the exercise, what is kept, what is left out. The dose lies in the prescription; of the line it names
    /// nothing, for lines move.
    /// </summary>
    public LineChoice? Choice { get; init; }

    /// <summary>The line as it was when anything but repetitions was last raised; null in plans that did not keep it.</summary>
    public Prescription? Start { get; init; }

    /// <summary>First day whose sets count for the next step: what earned another load, exercise or tempo earns nothing twice. Null: all do.</summary>
    public DateOnly? Since { get; init; }

    /// <summary>Harder variations possible when it was rebuilt, nearest first.</summary>
    public ImmutableArray<Prescription> Harder { get; init; } = [];

    /// <summary>What to do instead on a day when the set-up does not stand, best first.</summary>
    public ImmutableArray<Prescription> Instead { get; init; } = [];

    /// <summary>Mobility work behind this line.</summary>
    public ImmutableArray<GivenDrill> Behind { get; init; } = [];

    /// <summary>The line of the text it took the place of, whose log is kept under its own name; null for most.</summary>
    public int? Follows { get; init; }

    /// <summary>The written line it belongs to: its own name, or that of the line it was added to.</summary>
    [JsonIgnore]
    public int Main => Line % AddedFrom;

    [JsonIgnore]
    public bool IsAdded => Line >= AddedFrom;
}

/// <summary>One session of a plan at one place.</summary>
/// <param name="Length">With warm-up and cool-down.</param>
public sealed record PlannedSession(string Title, Duration Length, ImmutableArray<PlannedLine> Lines)
{
    public ImmutableArray<GivenDrill> WarmUp { get; init; } = [];

    public ImmutableArray<GivenDrill> CoolDown { get; init; } = [];

    /// <summary>Put out before it starts; empty in plans saved before there was one.</summary>
    public ImmutableArray<LaidOut> LayOut { get; init; } = [];
}

/// <summary>The same programme at another place of the client: travel, work.</summary>
/// <param name="Place">Id of the place.</param>
public sealed record PlannedPlace(string Place, string Name, ImmutableArray<PlannedSession> Sessions)
{
    /// <summary>Lines that wait: left out by the coach, or with nothing that stands in for what hurts. They come back as they were.</summary>
    public ImmutableArray<PlannedLine> Aside { get; init; } = [];
}

/// <summary>How often a line was changed; a command names what it has seen.</summary>
public sealed record LineVersion(int Line, int Version);

/// <summary>
/// The plan in force: what is written, and for each place what every line asks now. It changes by commands alone, each of which appends to the
/// list of changes (<see cref="PlanChange"/>); the list gives the plan again when it is replayed.
/// </summary>
/// <param name="Text">The programme as typed.</param>
/// <param name="Sessions">At the place in use.</param>
/// <param name="SavedAt">Last changed; null before the first time.</param>
public sealed record Plan(string Text, ImmutableArray<PlannedSession> Sessions, DateTimeOffset? SavedAt)
{
    /// <summary>The weeks it is trained over; null until the coach has said so.</summary>
    public Block? Block { get; init; }

    /// <summary>Place in use; null before anything was rebuilt.</summary>
    public string? Place { get; init; }

    public string PlaceName { get; init; } = "";

    /// <summary>Lines that wait at the place in use.</summary>
    public ImmutableArray<PlannedLine> Aside { get; init; } = [];

    /// <summary>The client's other places.</summary>
    public ImmutableArray<PlannedPlace> Elsewhere { get; init; } = [];

    /// <summary>Of every line that was changed since it came.</summary>
    public ImmutableArray<LineVersion> Versions { get; init; } = [];

    public static Plan Empty { get; } = new("", [], null);

    /// <summary>What the coach settled by hand at the place in use.</summary>
    public ImmutableArray<LineChoice> Choices => [.. Sessions.SelectMany(s => s.Lines).Concat(Aside).Where(l => l is { IsAdded: false, Choice: not null }).Select(l => l.Choice! with { Line = l.Number, Text = l.Written })];

    /// <summary>The place in use, then the others.</summary>
    [JsonIgnore]
    public IEnumerable<PlannedPlace> Places =>
        Place is { } here ? Elsewhere.Prepend(new PlannedPlace(here, PlaceName, Sessions) { Aside = Aside }) : Elsewhere;

    /// <summary>All lines of all places, those that wait too.</summary>
    [JsonIgnore]
    public IEnumerable<PlannedLine> AllLines => Places.SelectMany(p => p.Sessions.SelectMany(s => s.Lines).Concat(p.Aside));

    public int VersionOf(int line) => Versions.FirstOrDefault(v => v.Line == line)?.Version ?? 0;

    /// <summary>The plan as trained at a place: what was made for it comes to the front, the rest is kept. As it is where nothing was.</summary>
    public Plan At(string place) =>
        Place is { } here && here != place && Elsewhere.FirstOrDefault(p => p.Place == place) is { } there
            ? this with
            {
                Place = place,
                PlaceName = there.Name,
                Sessions = there.Sessions,
                Aside = there.Aside,
                Elsewhere = [.. Elsewhere.Where(p => p != there), new PlannedPlace(here, PlaceName, Sessions) { Aside = Aside }],
            }
            : this;

    /// <summary>With these places, in their order: the first is in use.</summary>
    public Plan With(IReadOnlyList<PlannedPlace> places) =>
        places.Count == 0
            ? this with { Place = null, PlaceName = "", Sessions = [], Aside = [], Elsewhere = [] }
            : this with { Place = places[0].Place, PlaceName = places[0].Name, Sessions = places[0].Sessions, Aside = places[0].Aside, Elsewhere = [.. places.Skip(1)] };
}

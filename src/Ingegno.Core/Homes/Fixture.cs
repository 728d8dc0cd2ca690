using Ingegno.Core.Quantities;

namespace Ingegno.Core.Homes;

/// <summary>What kind of thing carries the hands, the feet or the body. Needs of exercises are written in these.</summary>
public enum FixtureKind
{
    Wall,
    Counter,

    /// <summary>The inside corner of a counter: a hand on each wing, for dips.</summary>
    CounterCorner,
    Table,
    Chair,
    Sofa,
    Bed,
    Ottoman,
    Bench,
    Step,
    Stairs,

    /// <summary>A rail the hands can close around.</summary>
    Rail,
    Banister,
    Gate,
    Fence,
    Beam,

    /// <summary>A door with a strap or towel anchor, on the side it closes against.</summary>
    DoorAnchor,

    /// <summary>A post to hold on to.</summary>
    Post,
    Tree,
    PullUpBar,

    /// <summary>A rack with hooks for a bar and safety arms that catch it; its height is that of the highest hook.</summary>
    Rack,
}

/// <summary>What the last check of a fixture came to.</summary>
public enum CheckVerdict
{
    /// <summary>Pulled or sat on with rising force, joints and feet looked at: holds.</summary>
    Passed,

    /// <summary>Looked at and found wanting.</summary>
    NotPassed,

    /// <summary>Never to be used under load: glued, glass, hinged the wrong way.</summary>
    Never,
}

/// <summary>A check of a fixture, made by somebody on a day.</summary>
/// <param name="Reason">For a refusal, why; shown to coach and client.</param>
public sealed record FixtureCheck(CheckVerdict Verdict, DateOnly On, string By, string? Reason = null);

/// <summary>A thing in the place that can carry part of a body.</summary>
public sealed record Fixture
{
    /// <summary>Short and stable within the home, used by saved set-ups.</summary>
    public required string Id { get; init; }

    /// <summary>The owner's word for it: "Berth", "Saloon table".</summary>
    public required string Name { get; init; }

    public required FixtureKind Kind { get; init; }

    /// <summary>Height of the bearing surface, rail or anchor above the floor; of a post, tree or door the highest usable point, of a stair one step.</summary>
    public required Length Height { get; init; }

    /// <summary>Height of a chair's back above the floor. Null: not measured, or no back.</summary>
    public Length? BackHeight { get; init; }

    /// <summary>How many of the same height stand here; two chairs make a pair.</summary>
    public int Count { get; init; } = 1;

    /// <summary>Its top or shelf is glass: never loaded, whatever a check says.</summary>
    public bool Glass { get; init; }

    /// <summary>What it may carry. Null: unknown; seats and tables are then taken to bear what domestic seating is tested for.</summary>
    public Mass? Bears { get; init; }

    /// <summary>The last check. Null: never checked.</summary>
    public FixtureCheck? Check { get; init; }
}

/// <summary>What a kind of fixture can stand in for, and where on it a hand or strap can go.</summary>
public static class FixtureKinds
{
    /// <summary>A tree serves where a post is asked for, a gate where a rail is: needs are written once, in the plain kind.</summary>
    public static FixtureKind CountsAs(FixtureKind kind) => kind switch
    {
        FixtureKind.Banister or FixtureKind.Gate or FixtureKind.Fence or FixtureKind.Beam => FixtureKind.Rail,
        FixtureKind.Tree => FixtureKind.Post,
        FixtureKind.Ottoman => FixtureKind.Sofa,
        _ => kind,
    };

    /// <summary>True for an exercise need written in <paramref name="asked"/>: the kind itself, or one that counts as it.</summary>
    public static bool Serves(FixtureKind kind, FixtureKind asked) => kind == asked || CountsAs(kind) == asked;

    /// <summary>A strap can be tied anywhere below its height, so the anchor's height is chosen, not given.</summary>
    public static bool AnchorSlides(FixtureKind kind) => CountsAs(kind) is FixtureKind.Post or FixtureKind.DoorAnchor;

    /// <summary>A strap can hang from it, which brings the grip down to where it is wanted.</summary>
    public static bool TakesStrap(FixtureKind kind) =>
        CountsAs(kind) is FixtureKind.Rail or FixtureKind.PullUpBar or FixtureKind.DoorAnchor or FixtureKind.Post;

    /// <summary>Seats and table-like surfaces, tested as furniture; what one hangs or pulls from is not, nor what catches a bar.</summary>
    public static bool IsFurniture(FixtureKind kind) => !TakesStrap(kind) && kind is not (FixtureKind.Wall or FixtureKind.Rack);
}

using Ingegno.Core.Quantities;

namespace Ingegno.Core.Homes;

/// <summary>What kind of thing carries the hands, the feet or the body. Needs of exercises are written in these.</summary>
public enum FixtureKind
{
    Wall,
    Counter,
    Table,
    Chair,
    Sofa,
    Bed,
    Bench,
    Step,
    Stairs,

    /// <summary>A rail, gate, banister or beam the hands can close around.</summary>
    Rail,

    /// <summary>A door with a strap or towel anchor, on the side it closes against.</summary>
    DoorAnchor,

    /// <summary>A post or tree to hold on to.</summary>
    Post,
    PullUpBar,
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

    /// <summary>Height of the bearing surface, rail or anchor above the floor.</summary>
    public required Length Height { get; init; }

    /// <summary>How many of the same height stand here; two chairs make a pair.</summary>
    public int Count { get; init; } = 1;

    /// <summary>What it may carry. Null: unknown; seats and tables are then taken to bear what domestic seating is tested for.</summary>
    public Mass? Bears { get; init; }

    /// <summary>The last check. Null: never checked.</summary>
    public FixtureCheck? Check { get; init; }
}

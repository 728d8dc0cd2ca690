using Ingegno.Core.Substitution;

namespace Ingegno.Core.Weeks;

/// <summary>
/// What the whole week is chosen by, the coach's to move (common practice): the fit of each line, 0 to 1000, times its role, less these.
/// A price of 0 says that it does not matter here.
/// </summary>
public sealed record WeekPrices
{
    public static WeekPrices Default { get; } = new();

    /// <summary>A fit of 1 in points.</summary>
    public const int WholeFit = 1000;

    /// <summary>A main lift counts so many times an accessory line.</summary>
    public int Main { get; init; } = 3;

    /// <inheritdoc cref="Main"/>
    public int Secondary { get; init; } = 2;

    /// <inheritdoc cref="Main"/>
    public int Accessory { get; init; } = 1;

    /// <summary>An exercise again in one session.</summary>
    public int TwiceInSession { get; init; } = 300;

    /// <summary>Something else has to be put up between two neighbouring lines.</summary>
    public int Changeover { get; init; } = 50;

    /// <summary>An effective set outside the weekly band, in tens: tenths of a set are weighed.</summary>
    public int SetOutsideBand { get; init; } = 40;

    /// <summary>A muscle hard on two days that follow each other.</summary>
    public int HardOnConsecutiveDays { get; init; } = 80;

    /// <summary>A movement of the written week that nothing at home does any more: worth more than a changeover, less than doing one exercise twice.</summary>
    public int PatternLost { get; init; } = 200;

    /// <summary>A range of a muscle that nothing loads any more: about a changeover, never a movement.</summary>
    public int RangeLost { get; init; } = 60;

    /// <summary>All one-limb work.</summary>
    public int OneLimbLost { get; init; } = 60;

    /// <summary>A grip of the pulls.</summary>
    public int GripLost { get; init; } = 40;

    /// <summary>From so many effective sets in a session a muscle was worked hard.</summary>
    public double HardFromSets { get; init; } = 3;

    /// <summary>The same in tenths of a set, as a model counts.</summary>
    public int HardFromTenths => (int)Math.Round(HardFromSets * 10);

    /// <summary>A tenth of an effective set outside the band.</summary>
    public int TenthOutsideBand => SetOutsideBand / 10;

    public int Of(Role role) => role switch
    {
        Role.Main => Main,
        Role.Secondary => Secondary,
        _ => Accessory,
    };
}

using System.Collections.Immutable;
using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Review;
using Ingegno.Core.Weeks;

namespace Ingegno.Core.Practices;

/// <summary>By which rules a coach works: house rules with the weights of the fit, where the review speaks up, what
/// a whole week is weighed by, and the price list.</summary>
public sealed record Practice
{
    public HouseRules Rules { get; init; } = HouseRules.Default;

    /// <summary>Where the review speaks up.</summary>
    public ReviewThresholds Marks { get; init; } = ReviewThresholds.Default;

    /// <summary>What the whole week is chosen by.</summary>
    public WeekPrices WeekPrices { get; init; } = WeekPrices.Default;

    /// <summary>What the coach calls exercises by, beside the trade's names.</summary>
    public ImmutableArray<OwnName> Names { get; init; } = [];

    /// <summary>Where the practice is, by its IANA name; days of clients without a zone of their own are counted in it.</summary>
    public string TimeZone { get; init; } = Clients.ClientDay.UsualZone;

    /// <summary>"EUR", "GBP"; shown before a price.</summary>
    public string Currency { get; init; } = "EUR";

    /// <summary>What small kit costs where the coach buys; made up until the coach enters it.</summary>
    public ImmutableArray<Price> Prices { get; init; } =
    [
        new("Loop band, light", 12), new("Loop band, medium", 16), new("Loop band, heavy", 22), new("Mini band", 5),
        new("Pair of straps with handles", 28), new("Slider pads", 10), new("Door anchor", 9), new("Pull-up bar for a door", 30),
        new("Kettlebell, 16 kg", 45), new("Pair of handles with 20 kg of plates", 60), new("Rucksack, fitted", 35),
    ];

    /// <summary>What a thing costs here, by its name whatever the case; null where no price was entered.</summary>
    public Price? PriceOf(string item) => Prices.FirstOrDefault(p => p.Item.Equals(item, StringComparison.OrdinalIgnoreCase));
}

/// <summary>A thing that could be bought and what it costs.</summary>
public sealed record Price(string Item, decimal Cost);

using System.Collections.Immutable;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Practices;
using Ingegno.Core.Substitution;

namespace Ingegno.Core.Weeks;

/// <summary>
/// One thing that might be changed about a home: bought, borrowed, or a fixture checked or a thing weighed, which costs nothing.
/// </summary>
/// <param name="Id">The item's name, or what is done with the id of the fixture or thing.</param>
/// <param name="Words">"Loop band, medium", "check the galley top".</param>
/// <param name="Cost">Null where it is lent or no price was entered; 0 for a check or a measure.</param>
/// <param name="Price">"9 EUR", "free", "lent", "no price".</param>
public sealed record UnlockOffer(string Id, string Words, decimal? Cost, bool Lent, string Price);

/// <summary>What the offer would do for the whole week, solved anew with it.</summary>
/// <param name="Gain">Worth of the week with it less without it; a whole point of fit, or a class nearer to what is written, on an accessory line is 1000.</param>
/// <param name="GainPerMoney">Null where it costs nothing or has no price.</param>
/// <param name="Lines">What changes: "Line 5: Band pulldown, fit 0.94".</param>
public sealed record Unlock(UnlockOffer Offer, int Gain, double? GainPerMoney, ImmutableArray<string> Lines);

/// <summary>What one purchase, loan or check would unlock most.</summary>
public static class Unlocks
{
    /// <summary>Fits nearer than this are no change worth a word.</summary>
    private const double WorthAWord = 0.02;

    private const string Check = "check", Measure = "measure";

    /// <summary>Checks and measures first, which cost nothing, then the price list's things by what they cost, lent things last.</summary>
    public static ImmutableArray<UnlockOffer> For(Home home, Practice practice) =>
    [
        .. home.Fixtures.Where(f => f.Check is null && !f.Glass).Select(f => new UnlockOffer($"{Check}:{f.Id}", $"check the {f.Name.ToLowerInvariant()}", 0, Lent: false, "free")),
        .. MissingMeasures.In(home).Select(m => new UnlockOffer($"{Measure}:{m.Usual.Id}", $"{m.Doing} ({m.Taken})", 0, Lent: false, "free")),
        .. Purchases.All.Select(p => Bought(p, p.Lent ? null : practice.PriceOf(p.Item)?.Cost, practice.Currency))
            .OrderBy(o => o.Lent).ThenBy(o => o.Cost ?? decimal.MaxValue),
    ];

    private static UnlockOffer Bought(Purchase thing, decimal? cost, string currency) => new(
        thing.Item, thing.Item, cost, thing.Lent,
        thing.Lent ? "lent" : cost is { } price ? FormattableString.Invariant($"{price:0.##} {currency}") : "no price");

    /// <summary>The home with it; null for an offer that is not known here.</summary>
    public static Home? With(Home home, UnlockOffer offer, DateOnly today) => offer.Id.Split(':', 2) switch
    {
        [Check, var fixture] => Checked(home, fixture, today),
        [Measure, var thing] => Measured(home, thing),
        _ => Purchases.All.FirstOrDefault(p => p.Item == offer.Id) is { } thing ? Purchases.With(home, thing, today) : null,
    };

    private static Home? Checked(Home home, string fixture, DateOnly today) => home.Fixtures.Any(f => f.Id == fixture)
        ? home with { Fixtures = [.. home.Fixtures.Select(f => f.Id == fixture ? f with { Check = new FixtureCheck(CheckVerdict.Passed, today, "if it passes its check") } : f)] }
        : null;

    private static Home? Measured(Home home, string thing) => MissingMeasures.In(home).FirstOrDefault(m => m.Usual.Id == thing) is { } missing
        ? home with { Kit = [.. home.Kit.Select(k => k.Id == thing ? missing.Usual : k)] }
        : null;

    /// <param name="without">The week as solved now, with its model.</param>
    /// <param name="with">The week as solved with the offer.</param>
    public static Unlock Told(UnlockOffer offer, (WeekModel Model, WeekSolution Solution) without, (WeekModel Model, WeekSolution Solution) with, Catalogue catalogue)
    {
        int gain = Worth(with) - Worth(without);
        return new(
            offer, gain, offer.Cost is > 0 ? gain / (double)offer.Cost.Value : null,
            [.. from i in Enumerable.Range(0, with.Model.Slots.Length)
                let now = with.Model.Slots[i].Options[with.Solution.Chosen[i]]
                let before = Before(without, with.Model.Slots[i].Line)
                where before?.Exercise != now.Exercise && (before is null || now.Class < before.Class || (now.Class == before.Class && now.Fit - before.Fit > WorthAWord))
                orderby now.Class - (before?.Class ?? CandidateClass.UnderFloor), now.Fit - (before?.Fit ?? 0) descending
                select FormattableString.Invariant($"Line {with.Model.Slots[i].Line}: {catalogue[now.Exercise].Name}, fit {now.Fit:0.00}{(before is null ? "" : $" for {before.Fit:0.00}")}")]);
    }

    /// <summary>Points of a week, a class of a line counted as a whole fit of it: homes are compared that differ in their best classes.</summary>
    private static int Worth((WeekModel Model, WeekSolution Solution) week) =>
        week.Solution.Score.Objective + week.Model.Slots.Select((s, i) =>
            WeekPrices.WholeFit * (CandidateClass.UnderFloor - s.Options[week.Solution.Chosen[i]].Class) * week.Model.Prices.Of(s.Role)).Sum();

    private static WeekOption? Before((WeekModel Model, WeekSolution Solution) week, int line) =>
        Enumerable.Range(0, week.Model.Slots.Length)
            .Where(i => week.Model.Slots[i].Line == line)
            .Select(i => week.Model.Slots[i].Options[week.Solution.Chosen[i]])
            .FirstOrDefault();
}

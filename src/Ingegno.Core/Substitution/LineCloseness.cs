using Ingegno.Core.Clients;
using Ingegno.Core.Homes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Substitution;

/// <summary>What to do about a main lift that home does not copy closely enough.</summary>
public enum ClosenessVerdict
{
    /// <summary>Close enough as it is.</summary>
    Kept,
    Buy,
    Borrow,

    /// <summary>Nothing that could be had brings it closer: the client is told what will not be kept.</summary>
    Accept,
}

/// <summary>How closely a main lift is copied, held against what this client needs; apart from the fit.</summary>
/// <param name="Reached">Direction times kind times dose times sides times muscles of the stand-in: all must hold, no meet is lifted on one leg.</param>
/// <param name="With">The thing that brings it closest, null where none does.</param>
/// <param name="ReachedWith">What would be reached with it.</param>
/// <param name="Sentence">What will not be kept and what would change it.</param>
public sealed record LineCloseness(
    ClosenessVerdict Verdict, Share Reached, Share Required, string? With, Share? ReachedWith, string Sentence)
{
    /// <summary>Weeks of home left under which a thing is lent rather than bought (common practice).</summary>
    private const int WorthBuyingWeeks = 4;

    /// <summary>Less gain than this changes nothing.</summary>
    private const double WorthHaving = 0.05;

    /// <summary>The closeness of one candidate.</summary>
    internal static Share Of(Fit fit) => Share.Of(
        fit[FitPart.Direction].Fraction * fit[FitPart.Kind].Fraction * fit[FitPart.Dose].Fraction * fit[FitPart.Sides].Fraction * fit[FitPart.Muscles].Fraction);

    /// <param name="best">What each thing that could be had would reach.</param>
    internal static LineCloseness Judge(
        Candidate chosen, string lost, Share required, ClientProfile client, DateOnly today, IEnumerable<(Purchase Thing, Share Reached)> best)
    {
        var reached = Of(chosen.Fit);
        if (reached >= required)
        {
            return new(ClosenessVerdict.Kept, reached, required, null, null, "Close enough for this client.");
        }

        var ordered = best.OrderBy(b => b.Thing.Lent).ThenByDescending(b => b.Reached.Fraction).ToArray();
        var enough = ordered.FirstOrDefault(b => b.Reached >= required);
        var pick = enough.Thing is not null ? enough : ordered.MaxBy(b => b.Reached.Fraction);
        if (pick.Thing is null || pick.Reached.Fraction - reached.Fraction < WorthHaving)
        {
            return new(ClosenessVerdict.Accept, reached, required, null, null, $"Accept it: {lost} Nothing on the price list or lent by the hall brings it closer.");
        }

        bool shortStay = client.HomeUntil is { } until && until.DayNumber - today.DayNumber < WorthBuyingWeeks * 7;
        var verdict = pick.Thing.Lent || shortStay ? ClosenessVerdict.Borrow : ClosenessVerdict.Buy;
        return new(verdict, reached, required, pick.Thing.Item, pick.Reached,
            $"{verdict} {pick.Thing.Item.ToLowerInvariant()}. {lost} With it the lift would come to {pick.Reached}{(pick.Reached >= required ? "" : ", still short of what is needed")}.");
    }
}

using Ingegno.Core.Weeks;

namespace Ingegno.Core.Tests.Weeks;

/// <summary>What to take for a sum of money, against trying every set.</summary>
public class BasketTests
{
    private static UnlockOffer Offer(int i, decimal? cost) => new($"{i}", $"thing {i}", cost, Lent: cost is null, "");

    [Fact]
    public void Never_over_the_budget_never_worse_than_any_set_and_everything_free_comes_along() =>
        Gen.Select(Gen.Select(Gen.Int[0, 40], Gen.Int[-20, 200]).Array[0, 9], Gen.Int[0, 80]).Sample((things, budget) =>
        {
            UnlockOffer[] offers = [.. things.Select((t, i) => Offer(i, t.Item1))];
            TriedOffer[] tried = [.. things.Select((t, i) => new TriedOffer($"{i}", t.Item2))];
            var basket = Basket.Under(budget, offers, tried);
            basket.Sum(o => o.Cost ?? 0).ShouldBeLessThanOrEqualTo(budget);
            int Gain(IEnumerable<UnlockOffer> set) => set.Sum(o => tried[int.Parse(o.Id, System.Globalization.CultureInfo.InvariantCulture)].Gain);
            int best = Enumerable.Range(0, 1 << offers.Length)
                .Select(mask => offers.Where((_, i) => (mask & (1 << i)) != 0).ToArray())
                .Where(set => set.Sum(o => o.Cost ?? 0) <= budget)
                .Max(Gain);
            Gain(basket).ShouldBe(best);
        }, iter: 200);

    [Fact]
    public void What_is_lent_or_has_no_price_is_not_bought() =>
        Basket.Under(100, [Offer(0, null)], [new("0", 50)]).ShouldBeEmpty();
}

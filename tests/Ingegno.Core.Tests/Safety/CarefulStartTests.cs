using Ingegno.Core.Clients;
using Ingegno.Core.Exercises;
using Ingegno.Core.Quantities;
using Ingegno.Core.Review;
using Ingegno.Core.Safety;

namespace Ingegno.Core.Tests.Safety;

/// <summary>Age is a year of birth; who is over sixty-five, untrained or over 110 kg starts supported (common practice).</summary>
public class CarefulStartTests
{
    [Theory]
    [InlineData(1960, false, false)]
    [InlineData(1961, false, false)]
    [InlineData(1959, true, true)]
    public void Over_sixty_five_starts_carefully(int born, bool oldToo, bool careful)
    {
        var client = People.Man with { BirthYear = born, OverSixty = oldToo };
        (CarefulStart.For(client, new DateOnly(2025, 1, 1)) is not null).ShouldBe(careful);
    }

    [Fact]
    public void A_year_of_birth_goes_before_a_former_note_and_the_note_alone_counts_as_seventy()
    {
        (People.Man with { OverSixty = true }).AgeOn(People.Today).ShouldBe(70);
        (People.Man with { OverSixty = true, BirthYear = 1990 }).AgeOn(People.Today).ShouldBe(36);
        People.Man.AgeOn(People.Today).ShouldBeNull();
    }

    /// <summary>Half of the former sets keeps what there is past sixty, a third before (Bickel et al. 2011; common practice).</summary>
    [Theory]
    [InlineData(1966, 1.0 / 3)]
    [InlineData(1965, 0.5)]
    public void Keeping_takes_more_past_sixty(int born, double share) =>
        ReviewThresholds.Default.ToKeep(People.Man with { BirthYear = born }, People.Today).ShouldBe(share, 0.01);

    [Fact]
    public void A_floor_push_up_between_low_blocks_is_earned_like_one_on_the_floor()
    {
        var old = People.Man with { BirthYear = 1950 };
        CarefulStart.Against(People.Exercise("deep-push-up"), old, People.Today).ShouldNotBeNull();
        CarefulStart.Against(People.Exercise("incline-push-up"), old, People.Today).ShouldBeNull();
        CarefulStart.Against(People.Exercise("deep-push-up"), old.With("incline-push-up", 0, 12), People.Today).ShouldBeNull();
    }

    [Theory]
    [InlineData(1850)]
    [InlineData(2030)]
    public void A_year_nobody_was_born_in_is_refused_with_its_place(int year) =>
        ClientProblems.Of(People.Man with { BirthYear = year }, Catalogue.Shipped).ShouldHaveSingleItem().Path.ShouldBe("birthYear");

    [Fact]
    public void A_heavy_client_starts_carefully_from_110_kg()
    {
        CarefulStart.For(People.Man with { BodyMass = Mass.FromKilograms(110) }, People.Today).ShouldBeNull();
        CarefulStart.For(People.Man with { BodyMass = Mass.FromKilograms(111) }, People.Today).ShouldNotBeNull();
    }
}

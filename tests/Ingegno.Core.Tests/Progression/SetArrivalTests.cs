using Ingegno.Core.Progression;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Tests.Progression;

/// <summary>Who may change a set: whoever had seen what stands. No clock is asked.</summary>
public sealed class SetArrivalTests
{
    private static readonly Guid Phone = Guid.Parse("11111111-1111-4111-8111-111111111111"), Other = Guid.Parse("22222222-2222-4222-8222-222222222222");

    [Fact]
    public void Mondays_offline_edit_that_arrives_on_Wednesday_does_not_undo_Tuesdays_correction()
    {
        // Logged as 8 on Monday; the coach makes it 9 on Tuesday; the phone made 10 of its 8 on Monday, without a signal.
        var first = Set(Phone, 8, version: 1);
        var coachs = Set(Phone, 9, version: 2);
        SetArrivals.Of(Set(Phone, 10, version: 1), [coachs], [first]).ShouldBe(SetArrival.Conflict);
        SetArrivals.Of(Set(Phone, 10, version: 2), [coachs], [first]).ShouldBe(SetArrival.Correction, "made from what stands");
    }

    [Fact]
    public void A_resend_is_a_resend_whatever_was_corrected_since()
    {
        var first = Set(Phone, 8, version: 1);
        SetArrivals.Of(Set(Phone, 8), [first], []).ShouldBe(SetArrival.Again);
        SetArrivals.Of(Set(Phone, 8), [Set(Phone, 9, version: 2)], [first]).ShouldBe(SetArrival.Again);
        SetArrivals.Of(Set(Phone, 8), [], [first]).ShouldBe(SetArrival.Again, "taken out since: a late resend does not put it back");
    }

    [Fact]
    public void A_phone_that_never_heard_its_answer_corrects_its_own_first_entry_and_nobody_elses()
    {
        SetArrivals.Of(Set(Phone, 9), [Set(Phone, 8, version: 1)], []).ShouldBe(SetArrival.Correction);
        SetArrivals.Of(Set(Phone, 9), [Set(Phone, 8, version: 2)], []).ShouldBe(SetArrival.Conflict, "somebody corrected it in between");
        SetArrivals.Of(Set(Other, 9), [Set(Phone, 8, version: 1)], []).ShouldBe(SetArrival.Conflict, "another phone logged the same set");
        SetArrivals.Of(Set(Other, 8), [Set(Phone, 8, version: 1)], []).ShouldBe(SetArrival.Again, "two phones that say the same");
    }

    [Fact]
    public void A_correction_taken_back_is_a_correction()
    {
        var first = Set(Phone, 8, version: 1);
        SetArrivals.Of(Set(Phone, 8, version: 2), [Set(Phone, 9, version: 2)], [first]).ShouldBe(SetArrival.Correction);
    }

    /// <summary>A phone's clock may say anything: it never decides what holds.</summary>
    [Fact]
    public void What_holds_does_not_depend_on_any_clock() => (
        from hours in Gen.Int[-10_000, 10_000]
        from version in Gen.Int[0, 3]
        from repetitions in Gen.Int[7, 9]
        from mine in Gen.Bool
        select (hours, set: Set(mine ? Phone : Other, repetitions, version)))
        .Sample(about =>
        {
            SetLog[] standing = [Set(Phone, 8, version: 2)], former = [Set(Phone, 7, version: 1)];
            var noon = new DateTimeOffset(2026, 11, 23, 12, 0, 0, TimeSpan.Zero);
            SetArrivals.Of(about.set with { At = noon.AddHours(about.hours) }, standing, former)
                .ShouldBe(SetArrivals.Of(about.set with { At = noon }, standing, former));
        });

    /// <summary>Two writers in any order: whatever was acknowledged stands, is what another said again, or waits as a conflict.</summary>
    [Fact]
    public void Nothing_wins_silently() => (
        from version in Gen.Int[0, 4]
        from stands in Gen.Int[1, 4]
        from said in Gen.Int[5, 9]
        from mine in Gen.Bool
        select (version, stands, said, mine))
        .Sample(about =>
        {
            var arrival = SetArrivals.Of(Set(about.mine ? Phone : Other, about.said, about.version), [Set(Phone, 12, about.stands)], []);
            (arrival == SetArrival.Correction).ShouldBe(about.version == about.stands || (about is { mine: true, version: 0, stands: 1 }));
            arrival.ShouldBeOneOf(SetArrival.Correction, SetArrival.Conflict);
        });

    private static SetLog Set(Guid id, int repetitions, int version = 0) =>
        new(id, 1, "push-up", new(2026, 11, 23), 1, Mass.Zero, repetitions, 2) { Version = version };
}

using Ingegno.Core.Anatomy;
using Ingegno.Core.Clients;
using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Tests.Substitution;

/// <summary>
/// What is written for speed is never replaced by slow work, and cleans and snatches are done in few repetitions (power 1 to 5: Haff and
/// Triplett, from memory; common practice).
/// </summary>
public class FastWorkTests
{
    private const int MostOfAZone = 12, MostForPower = 5;

    private static readonly Intensity SeventyPercent = new(Percent: Share.Of(0.7));

    [Theory]
    [InlineData("power-clean")]
    [InlineData("hang-clean")]
    [InlineData("power-snatch")]
    public void No_stand_in_for_a_triple_is_slow_or_long(string lift)
    {
        foreach (var given in Homes().SelectMany(m => m.Line(lift, 5, 3, intensity: SeventyPercent).Alternatives).Select(a => a.Prescription).Where(p => p.Tempo is not null))
        {
            given.Style.ShouldBe(RepetitionStyle.Plain, given.Exercise);
            given.Counts.Max().ShouldBeLessThanOrEqualTo(Of(given).IsOlympicLift ? MostForPower : MostOfAZone, given.Exercise);
        }
    }

    [Fact]
    public void Where_something_fast_is_possible_a_triple_stays_fast()
    {
        var lines = Homes().Select(m => m.Line("power-clean", 5, 3, intensity: SeventyPercent)).Where(l => l.Alternatives.Any(a => Of(a.Prescription).IsBallistic)).ToArray();
        lines.ShouldNotBeEmpty();
        lines.ShouldAllBe(l => Of(l.Chosen!.Prescription).IsBallistic);
    }

    /// <summary>Fifteen swings are no fifteen cleans, and no fifteen jumps.</summary>
    [Fact]
    public void Many_swings_become_neither_cleans_nor_jumps()
    {
        foreach (var line in Homes().Select(m => m.Line("kettlebell-swing", 5, 15, intensity: new Intensity(Load: Mass.FromKilograms(24)))))
        {
            line.Alternatives.ShouldAllBe(a => !Of(a.Prescription).IsOlympicLift);
            Of(line.Chosen!.Prescription).Pattern.ShouldNotBe(Pattern.Jump);
        }
    }

    /// <summary>A coach who writes a clean for an intermediate has taught it; to a beginner and over a sore back it stays closed, and nobody is offered one unasked.</summary>
    [Theory]
    [InlineData(Level.Intermediate, 0, "power-clean")]
    [InlineData(Level.Beginner, 0, null)]
    [InlineData(Level.Intermediate, 4, null)]
    public void A_written_clean_is_the_coachs_to_judge(Level level, int pain, string? kept)
    {
        var member = Member.Named("runa-castellane").WithKit(Bar).Who(c => c with { Level = level, SoreJoints = [new(Joint.LowerBack, pain)] });
        var line = member.Line("power-clean", 5, 3, intensity: SeventyPercent);
        (line.Chosen?.Prescription.Exercise == "power-clean").ShouldBe(kept is not null);
        line.Alternatives.ShouldAllBe(a => a.Prescription.Exercise == kept || !Of(a.Prescription).IsOlympicLift);
    }

    /// <summary>Fifteen swings with the one bell there is stay fifteen: swings are not done for as many as go (common practice).</summary>
    [Fact]
    public void Swings_keep_their_count_with_the_bell_that_is_there()
    {
        var bell = new FixedWeights { Id = "bell", Name = "Bell", Shape = FixedWeightShape.Kettlebell, Weights = [new(Mass.FromKilograms(24), 1)] };
        var swing = Member.Named("joost-aalders").WithKit(bell).Line("kettlebell-swing", 5, 15).Chosen!.Prescription;
        (swing.Exercise, swing.Load.Kilograms).ShouldBe(("kettlebell-swing", 24));
        swing.Counts.ShouldBe([15, 15, 15, 15, 15]);
    }

    /// <summary>The members as they are, and as advanced lifters with a bar and nothing else.</summary>
    private static IEnumerable<Member> Homes() =>
        Member.All().Concat(Member.All().Select(m => m.WithKit(Bar).Who(c => c with { Level = Level.Advanced })));

    private static Exercise Of(Prescription given) => Catalogue.Shipped[given.Exercise];

    private static readonly PlateLoadedBar Bar = new()
    {
        Id = "bar",
        Name = "Bar",
        BarMass = Mass.FromKilograms(20),
        Plates = [new(Mass.FromKilograms(10), 4), new(Mass.FromKilograms(5), 2), new(Mass.FromKilograms(2.5), 2)],
    };

    /// <summary>Who pulls 125 kg once swings 24 kg for twenty (common practice): it stays a swing.</summary>
    [Theory]
    [InlineData(5, 20)]
    [InlineData(10, 10)]
    [InlineData(4, 12)]
    public void A_bell_of_twenty_four_is_swung_by_who_pulls_a_hundred_and_twenty_five(int sets, int count)
    {
        var bell = new FixedWeights { Id = "bell", Name = "Bell", Shape = FixedWeightShape.Kettlebell, Weights = [new(Mass.FromKilograms(24), 1)] };
        var swing = Member.Named("joost-aalders").WithKit(bell).Who(c => (c with { Lifts = [] }).With("deadlift", 125, 1)).Line("kettlebell-swing", sets, count).Chosen!.Prescription;
        (swing.Exercise, swing.Load.Kilograms, swing.Counts.Max()).ShouldBe(("kettlebell-swing", 24, count));
    }
}

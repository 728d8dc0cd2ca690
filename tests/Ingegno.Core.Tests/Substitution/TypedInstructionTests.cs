using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Homes;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;
using Ingegno.Core.Substitution;

namespace Ingegno.Core.Tests.Substitution;

/// <summary>What a coach types around the sets reaches the client in words, with what is at hand, and never where going on could hurt (common practice).</summary>
public class TypedInstructionTests
{
    private static readonly KitItem Bells = new FixedWeights
    {
        Id = "bells",
        Name = "Bells",
        Shape = FixedWeightShape.Dumbbell,
        Weights = [.. new[] { 4, 6, 8, 10, 12, 16, 20 }.Select(kg => new WeightCount(Mass.FromKilograms(kg), 2))],
    };

    private static Member At(ClientProfile client) => new Member(client, new Home { Name = "Floor" }).WithKit([Bells]);

    private static RebuiltLine Rebuilt(ClientProfile client, string exercise, int sets, int count, params WrittenTechnique[] techniques) =>
        At(client).Line(Member.Written(exercise, sets, count, Intensity.NotWritten) with { Techniques = [.. techniques] });

    [Fact]
    public void A_drop_set_names_the_next_good_step_lighter()
    {
        var given = Rebuilt(People.Man, "lateral-raise", 3, 12, new WrittenTechnique(TechniqueKind.DropSet)).Chosen!.Prescription;
        string told = given.Cues[0];
        told.ShouldStartWith("After the last set on at once with ");
        double lighter = double.Parse(told.Split("with ")[1].Split(" kg")[0], System.Globalization.CultureInfo.InvariantCulture) * 2;
        (lighter / given.Load.Kilograms).ShouldBeInRange(0.5, 0.85);
    }

    /// <summary>A bottle that had to be emptied first is nothing to go on with at once.</summary>
    [Fact]
    public void Where_nothing_lighter_stands_ready_a_short_rest_is_told() =>
        new Member(People.Man, new Home { Name = "Floor" }).WithKit([People.Handles(2, 2, (1.25, 4), (2.5, 4), (5, 4))])
            .Line(Member.Written("lateral-raise", 3, 12, Intensity.NotWritten) with { Techniques = [new(TechniqueKind.DropSet)] })
            .Chosen!.Prescription.Cues[0].ShouldContain("s of rest, then as many more");

    [Theory]
    [InlineData("push-up")]
    [InlineData("lateral-raise")]
    [InlineData("overhead-press")]
    [InlineData("back-squat")]
    public void Nobody_is_sent_past_a_hard_set_who_or_where_it_could_hurt(string exercise)
    {
        var going = new[] { TechniqueKind.DropSet, TechniqueKind.Partials };
        foreach (var client in new[]
        {
            People.Man with { Level = Level.Beginner },
            People.Man with { Health = new HealthScreen { Answers = [new(HealthQuestion.BloodPressure, true)] } },
        })
        {
            foreach (var alternative in Rebuilt(client, exercise, 3, 10, [.. going.Select(k => new WrittenTechnique(k))]).Alternatives)
            {
                alternative.Prescription.Cues.ShouldNotContain(c => c.Contains("as many", StringComparison.Ordinal) || c.Contains("short ones", StringComparison.Ordinal));
                alternative.Leanings.Count(l => l.Name.EndsWith("left out", StringComparison.Ordinal)).ShouldBe(2, alternative.Prescription.Name);
            }
        }
    }

    /// <summary>So many repetitions at the top of every minute leave less of it to rest the more they are.</summary>
    [Fact]
    public void A_round_of_a_minute_is_a_minute_the_shorter_the_rest_the_more_is_done() =>
        Gen.Select(Gen.Int[1, 40], Gen.Int[1, 40]).Sample((a, b) =>
        {
            double Rest(int count) => HouseRules.RestOf(Member.Written("kettlebell-swing", 10, count, Intensity.NotWritten) with { Techniques = [new(TechniqueKind.EveryMinute)] }).Seconds;
            return Rest(Math.Min(a, b)) >= Rest(Math.Max(a, b)) && Rest(a) is >= 10 and <= 55 && (a is < 3 or > 25 || Rest(a) + (2 * a) == 60);
        });

    [Fact]
    public void A_written_rest_stands_before_the_minute() =>
        HouseRules.RestOf(Member.Written("push-up", 3, 10, Intensity.NotWritten) with { Rest = Duration.FromSeconds(75), Techniques = [new(TechniqueKind.EveryMinute)] })
            .Seconds.ShouldBe(75);

    [Theory]
    [InlineData(TechniqueKind.Cluster, "small bunches, 20 s")]
    [InlineData(TechniqueKind.EveryMinute, "A new set every ")]
    [InlineData(TechniqueKind.Partials, "three to five short ones")]
    public void Each_is_told_in_words(TechniqueKind kind, string words) =>
        Rebuilt(People.Man, "goblet-squat", 5, 8, new WrittenTechnique(kind, kind == TechniqueKind.Cluster ? 20 : null)).Chosen!.Prescription.Cues[0].ShouldContain(words);

    [Fact]
    public void A_line_without_techniques_is_told_nothing_more()
    {
        var chosen = Rebuilt(People.Man, "goblet-squat", 3, 8).Chosen!;
        Ingegno.Core.Exercises.Catalogue.Shipped[chosen.Prescription.Exercise].Cues.ShouldContain(chosen.Prescription.Cues[0]);
    }
}

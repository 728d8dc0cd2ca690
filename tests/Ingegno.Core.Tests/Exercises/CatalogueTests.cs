using Ingegno.Core.Anatomy;
using Ingegno.Core.Clients;
using Ingegno.Core.Exercises;

namespace Ingegno.Core.Tests.Exercises;

public class CatalogueTests
{
    private static readonly Catalogue Shipped = Catalogue.Shipped;

    [Fact]
    public void Holds_75_gym_originals_160_home_versions_and_40_drills()
    {
        Shipped.Exercises.Count(e => e.Setting != Setting.Home).ShouldBeGreaterThanOrEqualTo(75);
        Shipped.Exercises.Count(e => e.Setting != Setting.Gym).ShouldBeGreaterThanOrEqualTo(160);
        Shipped.Drills.Length.ShouldBeGreaterThanOrEqualTo(40);
    }

    [Fact]
    public void Every_muscle_but_the_smallest_is_a_prime_mover_somewhere()
    {
        Muscle[] onlyHelp = [Muscle.TrapeziusUpper, Muscle.TrapeziusLower, Muscle.Adductors, Muscle.HipFlexors, Muscle.Soleus,
            Muscle.TibialisAnterior, Muscle.Serratus, Muscle.RotatorCuff, Muscle.GluteusMedius];
        Enum.GetValues<Muscle>().Except(onlyHelp).Except(Shipped.Exercises.SelectMany(e => e.Muscles.PrimeMovers)).ShouldBeEmpty();
    }

    [Fact]
    public void Every_modelled_exercise_gets_a_maximum_from_any_client()
    {
        var anchors = StrengthAnchors.Of(People.Man, Shipped);
        foreach (var exercise in Shipped.Exercises.Where(e => e.Endurance != EnduranceClass.OwnLogOnly))
        {
            anchors.For(exercise).ShouldNotBeNull(exercise.Id);
        }
    }

    /// <summary>strength-ratios.csv: dumbbell press of Saeterbakken et al. 2011 (from memory), the rest common practice.</summary>
    [Fact]
    public void Ratios_are_those_of_the_reference_table()
    {
        var published = Published.Rows("strength-ratios.csv").ToDictionary(r => r["exercise"], r => (Reference: r["reference"], Ratio: r.Number("ratio"), Note: r["note"]));
        int compared = 0;
        // What one leg carries is held against totals instead: LegWorkTests.
        foreach (var exercise in Shipped.Exercises.Where(e => e.Strength is { Basis: not RatioBasis.TotalOverTotal }))
        {
            if (!published.TryGetValue(TableName(exercise), out var row) || Shipped.Named(row.Reference)?.Id != exercise.Strength!.Reference)
            {
                continue;
            }

            double ratio = exercise.Strength.HoldLimit ?? exercise.Strength.Ratio;
            ratio.ShouldBe(row.Ratio, 1e-9, exercise.Id);
            (exercise.Strength.Basis == RatioBasis.Total).ShouldBe(row.Note.StartsWith("total", StringComparison.Ordinal), exercise.Id);
            compared++;
        }

        compared.ShouldBeGreaterThanOrEqualTo(20);
    }

    private static string TableName(Exercise exercise) => exercise.Id switch
    {
        "seated-dumbbell-press" => "two-dumbbell overhead press",
        "two-dumbbell-squat" => "two-dumbbell squat at the shoulder",
        "one-arm-dumbbell-row" => "one-arm dumbbell row",
        "one-leg-squat-to-chair" => "one-leg squat to a chair",
        "reverse-lunge" => "forward or reverse lunge",
        "step-up" => "step-up at knee height",
        "barbell-hip-thrust" => "hip thrust",
        "table-row" => "inverted row",
        "one-arm-lateral-raise" => "lateral raise",
        "lateral-raise" => "both hands: the table gives one",
        "bag-good-morning" => "good morning",
        _ => exercise.Name.Replace("Barbell ", "barbell ", StringComparison.Ordinal) is var name && char.IsUpper(name[0])
            ? exercise.Name.StartsWith("Romanian", StringComparison.Ordinal) ? name : char.ToLowerInvariant(name[0]) + name[1..]
            : exercise.Name.ToLowerInvariant(),
    };

    [Theory]
    [InlineData("  FRONT   squats ", "front-squat")]
    [InlineData("rdl", "romanian-deadlift")]
    [InlineData("DB bench press", "dumbbell-bench-press")]
    [InlineData("Push-ups", "push-up")]
    [InlineData("single leg RDL", "one-leg-romanian-deadlift")]
    [InlineData("OHP", "overhead-press")]
    public void Names_are_found_however_they_are_typed(string typed, string id) =>
        Shipped.Named(typed)?.Id.ShouldBe(id);

    [Theory]
    [InlineData("frnt squat", "front-squat")]
    [InlineData("lat puldown", "lat-pulldown")]
    [InlineData("seated row cable", "seated-cable-row")]
    public void Misspelt_names_bring_the_right_one_among_three(string typed, string id)
    {
        Shipped.Named(typed).ShouldBeNull();
        Shipped.Nearest(typed).Select(e => e.Id).ShouldContain(id);
    }

    [Fact]
    public void A_name_used_twice_is_refused()
    {
        var squat = People.Exercise("back-squat");
        Should.Throw<InvalidDataException>(() => new Catalogue([squat, squat with { Id = "another" }]))
            .Message.ShouldContain("used twice");
    }

    [Fact]
    public void Strength_links_in_a_circle_are_refused()
    {
        var a = People.Exercise("back-squat") with { Id = "a", Name = "a", Synonyms = [], Strength = new StrengthLink("b", 1) };
        var b = a with { Id = "b", Name = "b", Strength = new StrengthLink("a", 1) };
        Should.Throw<InvalidDataException>(() => new Catalogue([a, b])).Message.ShouldContain("circle");
    }
}

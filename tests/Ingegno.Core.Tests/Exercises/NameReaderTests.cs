using Ingegno.Core.Exercises;

namespace Ingegno.Core.Tests.Exercises;

/// <summary>Names as they are typed; what each means is the trade's common practice.</summary>
public sealed class NameReaderTests
{
    [Fact]
    public void Every_name_and_synonym_of_the_catalogue_reads_as_its_exercise()
    {
        foreach (var exercise in Catalogue.Shipped.Exercises)
        {
            foreach (string name in exercise.Synonyms.Prepend(exercise.Name))
            {
                var read = NameReader.Shipped.Read(name).ShouldNotBeNull(name);
                (read.Exercise.Id, read.Sureness).ShouldBe((exercise.Id, NameSureness.Known), name);
            }
        }
    }

    [Theory]
    [InlineData("Push-ups", "push-up")]
    [InlineData("PULL UPS", "pull-up")]
    [InlineData("BSS", "rear-foot-raised-split-squat")]
    [InlineData("SLDL", "stiff-leg-deadlift")]
    [InlineData("SL RDL", "one-leg-romanian-deadlift")]
    [InlineData("deads", "deadlift")]
    [InlineData("skulls", "lying-triceps-extension-bar")]
    [InlineData("Farmer's carries", "two-hand-carry")]
    [InlineData("Pulldown wide grip", "lat-pulldown")]
    [InlineData("rear delt flies", "rear-shoulder-fly")]
    [InlineData("Bench dips", "bench-dip")]
    [InlineData("Single leg press", "one-leg-press")]
    [InlineData("Leg extension (single leg)", "one-leg-extension")]
    [InlineData("Single leg hamstring curl", "one-leg-curl")]
    [InlineData("Single-arm lat pulldown", "one-arm-lat-pulldown")]
    [InlineData("Calf press", "leg-press-calf-raise")]
    [InlineData("Heel elevated squat", "heel-raised-squat")]
    public void Shorthand_plurals_and_the_order_of_words_do_not_count(string typed, string exercise)
    {
        var read = NameReader.Shipped.Read(typed).ShouldNotBeNull();
        (read.Exercise.Id, read.Sureness).ShouldBe((exercise, NameSureness.Known));
    }

    [Theory]
    [InlineData("Paused bench", "barbell-bench-press", NameModifier.Pause)]
    [InlineData("Banded goblet squat", "goblet-squat", NameModifier.Band)]
    [InlineData("Alternating reverse lunge", "reverse-lunge", NameModifier.Alternating)]
    [InlineData("Goblet squat wide stance", "goblet-squat", NameModifier.Stance)]
    public void A_word_beside_a_name_modifies_it_and_is_told(string typed, string exercise, NameModifier modifier)
    {
        var read = NameReader.Shipped.Read(typed).ShouldNotBeNull();
        (read.Exercise.Id, read.Sureness).ShouldBe((exercise, NameSureness.Modified));
        read.Modifiers.ShouldContain(modifier);
        read.Left.ShouldNotBeEmpty();
    }

    [Theory]
    [InlineData("Dumbell romanion deadlift", "dumbbell-romanian-deadlift")]
    [InlineData("Gobelt squat", "goblet-squat")]
    [InlineData("Lat puldown", "lat-pulldown")]
    public void A_slip_of_the_finger_is_mended_and_said(string typed, string exercise)
    {
        var read = NameReader.Shipped.Read(typed).ShouldNotBeNull();
        (read.Exercise.Id, read.Sureness).ShouldBe((exercise, NameSureness.Guessed));
    }

    [Theory]
    [InlineData("")]
    [InlineData("...")]
    [InlineData("Flying dragon")]
    [InlineData("Tuesday")]
    [InlineData("the")]
    public void What_comes_near_nothing_is_asked(string typed) => NameReader.Shipped.Read(typed).ShouldBeNull();
}

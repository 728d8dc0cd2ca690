using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Loads;
using Ingegno.Core.Programmes;
using Ingegno.Core.Progression;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Tests.Progression;

/// <summary>Sets are judged by the prescription they were asked as, whatever the line has come to ask since (common practice).</summary>
public class AskedAsTests
{
    private static readonly Exercise PushUp = People.Exercise("push-up");

    private static Prescription Asking(params int[] counts) => new()
    {
        Exercise = PushUp.Id,
        Name = PushUp.Name,
        Count = CountKind.Repetitions,
        Counts = [.. counts],
        TopOfRange = counts.Max(),
        PerSide = false,
        Load = Mass.Zero,
        LoadInWords = "own weight",
        Rest = Duration.FromSeconds(90),
        Reserve = 2,
        Geometry = new Geometry(),
    };

    private static SetLog[] Session(int daysAgo, params int[] done) =>
        [.. done.Select((count, i) => new SetLog(Guid.NewGuid(), 1, PushUp.Id, People.Today.AddDays(-daysAgo), i + 1, Mass.Zero, count, 2))];

    private static Step Next(Prescription line, Prescription asked, params SetLog[][] sessions)
    {
        SetLog[] sets = [.. sessions.SelectMany(s => s)];
        return NextStep.For(new(line, PushUp, null, People.Man, StrengthAnchors.Of(People.Man, Catalogue.Shipped).For(PushUp), HouseRules.Default, sets)
        {
            AskedAs = sets.ToDictionary(s => s.Id, _ => asked),
        })!;
    }

    /// <summary>Three sessions of 23 asked and done; the line asks 27 now.</summary>
    [Fact]
    public void Sets_whole_when_they_were_done_are_not_short_of_what_came_later()
    {
        int[] done = [23, 23, 23];
        var step = Next(Asking(27, 27, 27), Asking(23, 23, 23), Session(7, done), Session(5, done), Session(3, done));
        step.Kind.ShouldBe(StepKind.Hold);
        step.Sentence.ShouldBe("3 x 27 waits to be trained: the last sets were asked as 3 x 23.");
        Next(Asking(27, 27, 27), Asking(27, 27, 27), Session(7, done), Session(5, done), Session(3, done)).Kind.ShouldBe(StepKind.Back, "asked at 27 they were short");
    }

    [Fact]
    public void Sets_short_of_what_was_asked_stay_short_though_less_is_asked_now()
    {
        int[] done = [10, 10, 10];
        Next(Asking(9, 9, 9), Asking(20, 20, 20), Session(3, done)).Kind.ShouldBe(StepKind.TooMuch);
        Next(Asking(9, 9, 9), Asking(9, 9, 9), Session(3, done)).Kind.ShouldNotBe(StepKind.TooMuch);
    }

    [Fact]
    public void Fewer_sets_than_were_asked_then_are_told_with_their_number()
    {
        Next(Asking(10, 10), Asking(10, 10, 10, 10), Session(3, 10, 10)).Sentence.ShouldBe("The same again: 2 of 4 sets were done.");
    }
}

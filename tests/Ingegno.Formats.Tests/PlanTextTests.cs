using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Loads;
using Ingegno.Core.Plans;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;
using Ingegno.Formats.ProgrammeText;

namespace Ingegno.Formats.Tests;

/// <summary>A rebuilt programme goes out as text and comes back as it was.</summary>
public class PlanTextTests
{
    private static readonly Exercise[] Home = [.. Catalogue.Shipped.Exercises.Where(e => e.Setting != Setting.Gym)];

    private static readonly Gen<Prescription> Any =
        from exercise in Gen.OneOf([.. Home.Select(Gen.Const)])
        from kind in exercise.Counted == Counted.Seconds ? Gen.Const(CountKind.Seconds) : Gen.Frequency((6, Gen.Const(CountKind.Repetitions)), (1, Gen.Const(CountKind.Seconds)), (1, Gen.Const(CountKind.Metres)), (1, Gen.Const(CountKind.Breaths)))
        from counts in Gen.OneOf(Gen.Select(Gen.Int[1, 40], Gen.Int[1, 6], (count, sets) => Enumerable.Repeat(count, sets).ToArray()), Gen.Int[1, 30].Array[2, 5])
        from load in Gen.Int[0, 160]
        from hold in OneOf<Hold?>(Hold.Pair, Hold.OnBack, Hold.Band, null)
        from tempo in OneOf<Tempo?>(null, new Tempo(3, 1, 1, 0), new Tempo(4, 0, 2, 1))
        from rest in Gen.Int[3, 36]
        from reserve in OneOf<double?>(null, 0, 1, 2.4, 4)
        from form in OneOf(SetForm.Straight, SetForm.PushFirst, SetForm.HoldToFatigue, SetForm.RestPause)
        from side in Gen.Bool
        from pulses in OneOf(0, 0, 3, 5)
        select new Prescription
        {
            Exercise = exercise.Id,
            Name = exercise.Name,
            Count = kind,
            Counts = [.. counts],
            TopOfRange = counts.Max(),
            PerSide = side && exercise.Sides == Sides.OneAtATime,
            Load = Mass.FromKilograms(hold is null ? 0 : load * 0.25),
            Hold = hold,
            LoadInWords = hold is null ? "own weight" : "Rucksack: 2 books, 1 jug, 6.5 kg",
            Tempo = kind == CountKind.Repetitions ? tempo : null,
            Rest = Duration.FromSeconds(5 * rest),
            Reserve = kind == CountKind.Repetitions ? reserve : null,
            Form = kind == CountKind.Repetitions ? form : SetForm.Straight,
            Pulses = kind == CountKind.Repetitions ? pulses : 0,
            Geometry = new Geometry(),
        };

    private static Gen<T> OneOf<T>(params T[] those) => Gen.OneOf([.. those.Select(Gen.Const)]);

    [Fact]
    public void What_is_in_force_reads_back_the_same() => Any.Array[1, 4].Sample(lines =>
    {
        var plan = PlanOf([.. lines.Select((p, i) => new PlannedLine(i + 1, "", lines.Length > 1 && i < 2 ? "A" : null, "", "", p))]);
        string text = PlanText.Of(plan, Catalogue.Shipped);
        var read = ProgrammeReader.Read(text, Catalogue.Shipped, MassUnit.Kilogram);
        read.Problems.ShouldBeEmpty(text);
        var session = read.Programme.Sessions.ShouldHaveSingleItem();
        session.Title.ShouldBe("Lower");
        foreach (var (line, back) in plan.Sessions[0].Lines.Zip(session.Lines))
        {
            var given = line.Prescription!;
            back.Exercise.ShouldBe(given.Exercise, text);
            back.Group.ShouldBe(line.Group, text);
            back.Sets.Select(s => (s.Kind, s.Low, s.High)).ShouldBe(given.Counts.Select(c => (given.Count, c, c)), text);
            back.Tempo.ShouldBe(given.Tempo, text);
            back.Rest.ShouldBe(given.Rest, text);
            back.PerSide.ShouldBe(given.PerSide, text);
            back.Intensity.Reserve.ShouldBe(given.Reserve is { } left ? Math.Round(left) : null, text);
            back.Intensity.Load.ShouldBe(given.Load > Mass.Zero && given.Hold != Hold.Band ? given.Load : null, text);
            back.Techniques.Any(t => t.Kind == TechniqueKind.Pulses && t.Figure == given.Pulses).ShouldBe(given.Pulses > 0, text);
            back.Techniques.Any(t => t.Kind is TechniqueKind.RestPause or TechniqueKind.HoldFirst or TechniqueKind.HoldLast).ShouldBe(given.Form != SetForm.Straight, text);
        }
    });

    [Fact]
    public void A_line_nothing_stands_in_for_stays_as_it_was_typed() =>
        PlanText.Of(PlanOf([new(1, "", null, " Sled push 4 x 20 m ", "", null)]), Catalogue.Shipped).ShouldBe("# Lower\nSled push 4 x 20 m\n");

    private static Plan PlanOf(ImmutableArray<PlannedLine> lines) => Plan.Empty with { Sessions = [new PlannedSession("Lower", Duration.Zero, lines)] };
}

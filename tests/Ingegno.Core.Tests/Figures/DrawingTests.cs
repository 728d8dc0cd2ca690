using Ingegno.Core.Anatomy;
using Ingegno.Core.Exercises;
using Ingegno.Core.Figures;
using Ingegno.Core.Homes;
using Ingegno.Core.Loads;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Tests.Figures;

/// <summary>A figure is the body of the lever arms, standing where the set-up says.</summary>
public class DrawingTests
{
    private static readonly Length Stature = Length.FromMetres(1.72);

    /// <summary>Seen neither from the side nor from the front, or gone through in more than two positions.</summary>
    private static readonly string[] NotDrawn = ["get-up", "kneeling-side-raise", "knee-side-plank", "prone-fly", "prone-pulldown", "floor-slide-pull"];

    private static SetUpFigure? Usual(Exercise exercise, double stature = 1.72) => Drawing.Of(exercise, FigureSetting.Usual(exercise, Length.FromMetres(stature), Sex.Female));

    [Fact]
    public void Every_home_exercise_but_a_named_few_has_a_figure() =>
        Catalogue.Shipped.Exercises.Where(e => e.Setting != Setting.Gym && !e.IsSlot && Usual(e) is null).Select(e => e.Id).ShouldBe(NotDrawn, ignoreOrder: true);

    /// <summary>Whatever the stature: links keep their lengths from start to end, and nothing lies in the floor.</summary>
    [Theory]
    [InlineData(1.45)]
    [InlineData(1.72)]
    [InlineData(2.05)]
    public void Limbs_keep_their_lengths_and_nothing_sinks(double stature)
    {
        foreach (var exercise in Catalogue.Shipped.Exercises.Where(e => e.Poses is not null || e.FrontPoses is not null))
        {
            if (Usual(exercise, stature) is not { } figure)
            {
                continue;
            }

            foreach (var moment in figure.Moments)
            {
                // The near leg is the second last line of the body, the near arm the last (Drawing).
                FigureStroke[] body = [.. moment.Where(s => s.Ink is FigureInk.Body or FigureInk.Far)];
                var leg = body[^2].Points;
                Far(leg[0], leg[1]).ShouldBe(0.245 * stature, 0.001, exercise.Id);
                Far(leg[1], leg[2]).ShouldBe(0.285 * stature, 0.001, exercise.Id);
                Far(body[^1].Points[0], body[^1].Points[1]).ShouldBe(0.186 * stature, 0.001, exercise.Id);
                body.SelectMany(s => s.Points).Min(p => p.Y).ShouldBeGreaterThan(-0.2, exercise.Id);
            }
        }
    }

    /// <summary>An upright row ends elbows first, what is held below them and between the hands (common practice).</summary>
    [Theory]
    [InlineData("upright-row")]
    [InlineData("bag-upright-row")]
    public void An_upright_row_ends_elbows_high(string exercise)
    {
        var figure = Usual(People.Exercise(exercise))!;
        var arm = figure.Moments[^1].Last(s => s.Ink == FigureInk.Body).Points;
        (arm[1].Y - arm[2].Y).ShouldBeGreaterThan(0.1);
        double[] load = [.. figure.Moments[^1].Where(s => s.Ink == FigureInk.Load).SelectMany(s => s.Points).Select(p => p.X)];
        double head = figure.Moments[^1].Single(s => s.Ink == FigureInk.Body && s.Points.Length == 1).Points[0].X;
        ((load.Min() + load.Max()) / 2).ShouldBe(head, 0.01);
    }

    /// <summary>Nobody sits on air: behind the back stands a wall, or under the hips a seat.</summary>
    [Fact]
    public void Who_sits_has_something_to_sit_on_or_to_lean_on()
    {
        foreach (var exercise in Catalogue.Shipped.Exercises.Where(e => e is { FrontPoses: null, Poses.Support: PoseSupport.Seat or PoseSupport.Wall }))
        {
            var hips = Usual(exercise) is { } figure ? figure.Moments[0].Where(s => s.Ink == FigureInk.Body).SelectMany(s => s.Points).First() : default;
            if (hips.Y > 0.3)
            {
                Usual(exercise)!.Still.Count(s => s.Ink == FigureInk.Fixture).ShouldBeGreaterThan(exercise.Poses!.Support == PoseSupport.Wall ? 0 : 2, exercise.Id);
            }
        }
    }

    /// <summary>The floor under the feet, the hands on the edge: at the height the home has, not at the usual one.</summary>
    [Theory]
    [InlineData(0.45)]
    [InlineData(0.75)]
    public void Hands_are_drawn_at_the_height_of_the_fixture_and_the_height_is_written(double height)
    {
        var push = People.Exercise("incline-push-up");
        var figure = Drawing.Of(push, new(Stature, Sex.Male, new Dictionary<FixtureRole, FixtureUsed> { [FixtureRole.Hands] = new(Length.FromMetres(height), FixtureKind.Table) }))!;
        foreach (var moment in figure.Moments)
        {
            moment.Last(s => s.Ink == FigureInk.Body).Points[^1].Y.ShouldBe(height, 0.06);
        }

        figure.Labels.ShouldContain(l => l.Words == $"{height * 100:0}");
    }

    /// <summary>Under a low deck it is drawn at its height over a press that comes near it; not over a plank, and not outdoors.</summary>
    [Fact]
    public void A_ceiling_is_drawn_where_it_is_near()
    {
        CeilingOver("seated-dumbbell-press", new Room { Headroom = Length.FromMetres(1.83) }).ShouldBe([1.83]);
        CeilingOver("plank", new Room { Headroom = Length.FromMetres(1.83) }).ShouldBeEmpty();
        CeilingOver("seated-dumbbell-press", new Room { Headroom = Length.FromMetres(2.6) }).ShouldBeEmpty();
        CeilingOver("seated-dumbbell-press", new Room { Headroom = Length.FromMetres(1.83), Outdoors = true }).ShouldBeEmpty();

        static double[] CeilingOver(string id, Room room)
        {
            var exercise = People.Exercise(id);
            var line = new Prescription
            {
                Exercise = id,
                Name = exercise.Name,
                Count = CountKind.Repetitions,
                Counts = [8],
                TopOfRange = 8,
                PerSide = false,
                Load = Mass.Zero,
                LoadInWords = "own weight",
                Rest = Duration.FromSeconds(90),
                Geometry = new(),
            };
            var figure = Drawing.Of(exercise, FigureSetting.Of(line, exercise, new Home { Name = "Boat", Room = room }, People.Man with { Stature = Length.FromMetres(Stature.Metres) }))!;
            string[] words = [.. figure.Labels.Select(l => l.Words)];
            return [.. figure.Still.Where(s => s.Ink == FigureInk.Measure && s.Points[0].Y > 1 && words.Contains($"{s.Points[0].Y * 100:0}")).Select(s => s.Points[0].Y)];
        }
    }

    [Fact]
    public void A_held_position_has_one_moment_and_no_path()
    {
        var plank = Usual(People.Exercise("plank"))!;
        plank.Moments.Length.ShouldBe(1);
        plank.Path.ShouldBeEmpty();
    }

    [Fact]
    public void The_load_goes_with_the_hand()
    {
        var curl = People.Exercise("dumbbell-curl");
        var figure = Drawing.Of(curl, new(Stature, Sex.Male, new Dictionary<FixtureRole, FixtureUsed>(), Hold.Pair, HeldThing.Dumbbell))!;
        foreach (var moment in figure.Moments)
        {
            var hand = moment.Last(s => s.Ink == FigureInk.Body).Points[^1];
            var load = moment.First(s => s.Ink == FigureInk.Load).Points;
            Far(hand, new((load[0].X + load[1].X) / 2, (load[0].Y + load[1].Y) / 2)).ShouldBeLessThan(0.01);
        }
    }

    /// <summary>A band runs from its anchor, and gets longer towards the end where it gives the load.</summary>
    [Theory]
    [InlineData("band-standing-row")]
    [InlineData("band-standing-press")]
    [InlineData("band-pulldown")]
    [InlineData("band-leg-curl")]
    [InlineData("band-curl")]
    [InlineData("band-pull-apart")]
    public void A_band_is_longer_at_the_end(string id)
    {
        var figure = Usual(People.Exercise(id))!;
        Band(^1).ShouldBeGreaterThan(Band(0));

        double Band(Index moment) => figure.Moments[moment].Where(s => s.Ink == FigureInk.Band).Sum(s => Far(s.Points[0], s.Points[1]));
    }

    [Fact]
    public void Machines_are_not_drawn() => Usual(People.Exercise("leg-press")).ShouldBeNull();

    private static double Far(Spot a, Spot b) => double.Hypot(a.X - b.X, a.Y - b.Y);
}

using Ingegno.Core.Anatomy;
using Ingegno.Core.Clients;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;

namespace Ingegno.Core.Tests.Exercises;

/// <summary>What every entry of the catalogue must keep to, whoever adds it.</summary>
public class CatalogueDataTests
{
    private static readonly Catalogue Shipped = Catalogue.Shipped;

    private static readonly Exercise[] AtHome = [.. Shipped.Exercises.Where(e => e.Setting != Setting.Gym)];

    public static TheoryData<ExerciseFamily> Families => [.. Enum.GetValues<ExerciseFamily>()];

    [Theory]
    [MemberData(nameof(Families))]
    public void The_ladder_of_a_family_is_in_one_piece(ExerciseFamily family)
    {
        var members = AtHome.Where(e => e.Family == family).ToDictionary(e => e.Id);
        members.Count.ShouldBeGreaterThanOrEqualTo(3);
        var seen = new HashSet<string>();
        var next = new Queue<string>([members.Keys.First()]);
        while (next.TryDequeue(out string? id))
        {
            if (!seen.Add(id))
            {
                continue;
            }

            foreach (string near in members[id].Harder.Concat(Shipped.EasierThan(id)).Select(h => h.Exercise).Where(members.ContainsKey))
            {
                next.Enqueue(near);
            }
        }

        members.Keys.Except(seen).ShouldBeEmpty();
    }

    [Fact]
    public void Every_neighbour_is_in_the_catalogue_and_done_at_home() =>
        Shipped.Exercises.SelectMany(e => e.Harder, (e, h) => (e.Id, h.Exercise))
            .Where(p => Shipped.Find(p.Exercise) is not { Setting: not Setting.Gym }).ShouldBeEmpty();

    /// <summary>An exercise left out here would be dosed by a guess from body mass though its family's lift is known.</summary>
    [Fact]
    public void Everything_with_a_model_is_linked_to_bench_press_or_squat() =>
        Shipped.Exercises
            .Where(e => e.Endurance != EnduranceClass.OwnLogOnly && e.Strength is null).Select(e => e.Id)
            .ShouldBe(["back-squat", "barbell-bench-press"], ignoreOrder: true);

    [Fact]
    public void A_ladder_in_a_circle_is_refused()
    {
        var a = People.Exercise("push-up") with { Id = "a", Name = "a", Synonyms = [], Strength = null, Harder = [new("b", LadderStep.Load)] };
        var b = a with { Id = "b", Name = "b", Harder = [new("a", LadderStep.Load)] };
        Should.Throw<InvalidDataException>(() => new Catalogue([a, b])).Message.ShouldContain("circle");
    }

    /// <summary>A prime mover that is one, and a mix that is neither a single crumb nor everything at once.</summary>
    [Fact]
    public void Muscle_mixes_add_up_sanely()
    {
        foreach (var e in Shipped.Exercises)
        {
            e.Muscles.Weights.Values.Max().ShouldBeInRange(0.6, 1, e.Id);
            e.Muscles.Weights.Values.Sum().ShouldBeInRange(0.9, 5, e.Id);
            (e.Kind == MovementKind.Compound && e.Muscles.Weights.Count == 1).ShouldBeFalse(e.Id);
        }
    }

    [Fact]
    public void Everything_says_how_it_is_set_up_cued_and_gone_wrong() =>
        Shipped.Exercises.Where(e => e.SetUp.IsEmpty || e.Cues.Length < 3 || e.Faults.Length < 2 || e.Techniques.IsEmpty)
            .Select(e => e.Id).ShouldBeEmpty();

    /// <summary>Known dangers, each told by what an exercise is, and the word its caution must carry (common practice).</summary>
    [Fact]
    public void Everything_with_a_known_danger_carries_its_caution()
    {
        (Func<Exercise, bool> Danger, string Word)[] known =
        [
            (e => e.Band is not null || e.WantsMiniBand, "nick"),
            (e => e.Band?.Anchor is not null, "closes against"),
            (e => e.Load.Body == BodyModel.Pike || e.Id.StartsWith("wall-handstand", StringComparison.Ordinal), "high blood pressure"),
            (e => e.Pattern == Pattern.Jump && e.Room.Noise == Noise.Loud, "Landings"),
            (e => e.Pattern == Pattern.Hinge && e.NeedsLoad && e.Load.Body == BodyModel.Hinge, "flat"),
            (e => e.Fixtures.Any(n => n.Kinds.SequenceEqual([FixtureKind.Chair]) && n.Role == FixtureRole.Hands), "tip"),
            (e => e.Conditions.Contains(HealthQuestion.BloodPressure) && e.Counted == Counted.Seconds, "blood pressure"),
            (e => e.Id is "barbell-bench-press" or "back-squat", "alone under a bar"),
        ];
        foreach (var (danger, word) in known)
        {
            AtHome.Concat(Shipped.Exercises.Where(e => e.Setting == Setting.Gym && word == "alone under a bar")).Where(danger)
                .Where(e => !e.Cautions.Any(c => c.Contains(word, StringComparison.Ordinal))).Select(e => e.Id).ShouldBeEmpty(word);
        }
    }

    /// <summary>No orphan: each home exercise stands in for some gym line, or is the harder or easier neighbour of one that does.</summary>
    [Fact]
    public void Every_home_exercise_can_be_reached_from_a_gym_line()
    {
        var gym = Shipped.Exercises.Where(e => e.Setting != Setting.Home).ToArray();
        AtHome.Where(e => !gym.Any(g => g.Pattern == e.Pattern || g.Muscles.OverlapWith(e.Muscles).Fraction >= 0.5)
                && !e.Harder.Concat(Shipped.EasierThan(e.Id)).Any())
            .Select(e => e.Id).ShouldBeEmpty();
    }

    [Fact]
    public void Every_screen_has_work_that_opens_it_and_every_kind_of_drill_is_there()
    {
        Enum.GetValues<Screen>().Except(Shipped.Drills.Where(d => d.Kind == DrillKind.Mobility).Select(d => d.Opens).OfType<Screen>()).ShouldBeEmpty();
        Enum.GetValues<DrillKind>().Except(Shipped.Drills.Select(d => d.Kind)).ShouldBeEmpty();
        Shipped.Drills.Where(d => d.Cues.Length < 3 || d.SetUp.IsEmpty || d.Dose.Low < 1 || d.Dose.High < d.Dose.Low).Select(d => d.Id).ShouldBeEmpty();
    }

    [Fact]
    public void Stretches_cover_the_big_muscles() =>
        new[] { Muscle.Quadriceps, Muscle.HamstringsHip, Muscle.GluteusMaximus, Muscle.Gastrocnemius, Muscle.ChestMiddle, Muscle.Lats, Muscle.Triceps, Muscle.Biceps }
            .Except(Shipped.Drills.Where(d => d.Kind == DrillKind.Stretch).SelectMany(d => d.Muscles)).ShouldBeEmpty();

    /// <summary>
    /// Prime movers and plane as anatomy handbooks give them (Neumann, Kinesiology of the Musculoskeletal System; Kendall et al.,
    /// Muscles: Testing and Function; both from memory): movement, muscles that must lead, plane.
    /// </summary>
    [Theory]
    [InlineData("barbell-bench-press", Plane.Transverse, Muscle.ChestMiddle)] // horizontal adduction: sternal pectoralis major
    [InlineData("incline-bench-press", Plane.Transverse, Muscle.ChestUpper)] // flexion with adduction: clavicular head
    [InlineData("overhead-press", Plane.Frontal, Muscle.FrontDeltoid)]
    [InlineData("lateral-raise", Plane.Frontal, Muscle.SideDeltoid)] // abduction: middle deltoid
    [InlineData("rear-shoulder-fly", Plane.Transverse, Muscle.RearDeltoid)] // horizontal abduction: posterior deltoid
    [InlineData("lat-pulldown", Plane.Frontal, Muscle.Lats)] // adduction: latissimus dorsi
    [InlineData("barbell-row", Plane.Sagittal, Muscle.Lats)] // extension: latissimus, with retraction by trapezius and rhomboids
    [InlineData("back-squat", Plane.Sagittal, Muscle.Quadriceps)] // knee extension
    [InlineData("leg-extension", Plane.Sagittal, Muscle.Quadriceps)]
    [InlineData("romanian-deadlift", Plane.Sagittal, Muscle.HamstringsHip)] // hip extension, knees fixed
    [InlineData("barbell-hip-thrust", Plane.Sagittal, Muscle.GluteusMaximus)] // hip extension, knees bent: hamstrings slack
    [InlineData("leg-curl", Plane.Sagittal, Muscle.HamstringsKnee)] // knee flexion
    [InlineData("hip-abduction-machine", Plane.Frontal, Muscle.GluteusMedius)]
    [InlineData("hip-adduction-machine", Plane.Frontal, Muscle.Adductors)]
    [InlineData("calf-raise-on-step", Plane.Sagittal, Muscle.Gastrocnemius)] // knee straight
    [InlineData("bent-knee-calf-raise", Plane.Sagittal, Muscle.Soleus)] // knee bent: gastrocnemius slack
    [InlineData("wall-toe-raise", Plane.Sagittal, Muscle.TibialisAnterior)]
    [InlineData("barbell-curl", Plane.Sagittal, Muscle.Biceps)]
    [InlineData("triceps-pushdown", Plane.Sagittal, Muscle.Triceps)]
    [InlineData("dumbbell-shrug", Plane.Frontal, Muscle.TrapeziusUpper)] // elevation
    [InlineData("band-external-rotation", Plane.Transverse, Muscle.RotatorCuff)] // infraspinatus and teres minor
    [InlineData("crunch", Plane.Sagittal, Muscle.TrunkFront)]
    [InlineData("side-bend", Plane.Frontal, Muscle.TrunkSide)]
    [InlineData("cable-rotation", Plane.Transverse, Muscle.TrunkSide)] // obliques
    [InlineData("wall-slide", Plane.Frontal, Muscle.TrapeziusLower)] // upward rotation: lower trapezius with serratus
    public void Prime_movers_and_planes_are_those_of_the_handbooks(string id, Plane plane, Muscle leads)
    {
        var exercise = Shipped[id];
        exercise.Plane.ShouldBe(plane);
        exercise.Muscles.PrimeMovers.ShouldContain(leads);
    }

    [Theory]
    [InlineData("leg press", "leg-press", "lying-leg-press-hold")]
    [InlineData("Bridge", "glute-bridge", "full-back-bridge")]
    [InlineData("dips", "parallel-bar-dip", "two-chair-dip")]
    public void A_word_with_two_meanings_is_read_as_the_usual_one_and_the_other_is_named(string typed, string read, string other)
    {
        Shipped.Named(typed)!.Id.ShouldBe(read);
        Shipped.AlsoMeant(typed).Select(e => e.Id).ShouldContain(other);
    }

    [Fact]
    public void A_word_with_no_usual_meaning_offers_those_it_has()
    {
        Shipped.Named("wall pull-up").ShouldBeNull();
        Shipped.Nearest("wall pull-up").Take(2).Select(e => e.Id).ShouldBe(["pull-up", "standing-lean-row"], ignoreOrder: true);
    }
}

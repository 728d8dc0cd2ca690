using System.Text.Json;
using Ingegno.Core.Anatomy;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Loads;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;
using Ingegno.Core.Substitution;

namespace Ingegno.Core.Tests.Exercises;

/// <summary>What a coach adds is like an exercise of the catalogue but for what was said to differ, and as safe.</summary>
public class OwnExerciseTests
{
    private static OwnExercise Like(string like, string name = "Odd lift") => new() { Id = OwnExercise.IdOf(name, []), Name = name, Like = like };

    private static Catalogue With(params OwnExercise[] own) => new HouseRules { Exercises = [.. own] }.Catalogue;

    public static TheoryData<string> Shipped() => [.. Catalogue.Shipped.Exercises.Select(e => e.Id)];

    /// <summary>Whichever it is like, and whatever else differs: what keeps somebody from harm cannot be left out.</summary>
    [Theory]
    [MemberData(nameof(Shipped))]
    public void Every_caution_of_the_exercise_it_is_like_comes_along(string id)
    {
        var like = Catalogue.Shipped[id];
        var made = (Like(id) with
        {
            Fixtures = [],
            Joints = [],
            Muscles = new Dictionary<Muscle, double> { [Muscle.Soleus] = 1 },
            Skill = 1,
            NeedsLoad = false,
            Wants = KitWanted.Anything,
        }).From(like);
        made.Conditions.ShouldBe(like.Conditions);
        made.Screens.ShouldBe(like.Screens);
        made.Cautions.ShouldBe(like.Cautions);
        made.OffByDefault.ShouldBe(like.OffByDefault);
        (made.OverHead, made.ThumbsDown, made.Room, made.KneesForward, made.IsBallistic).ShouldBe((like.OverHead, like.ThumbsDown, like.Room, like.KneesForward, like.IsBallistic));
    }

    /// <summary>A press bends shoulder, elbow and wrist, a squat hip, knee and ankle, whatever is said (common practice).</summary>
    [Theory]
    [InlineData("push-up", Joint.Shoulder, Joint.Elbow, Joint.Wrist)]
    [InlineData("goblet-squat", Joint.Hip, Joint.Knee, Joint.Ankle)]
    [InlineData("dumbbell-romanian-deadlift", Joint.Hip, Joint.LowerBack)]
    [InlineData("side-bend", Joint.LowerBack)]
    public void The_joints_its_movement_bends_cannot_be_said_away(string id, params Joint[] bends) =>
        (Like(id) with { Joints = [] }).From(Catalogue.Shipped[id]).Joints.Select(j => j.Joint).ShouldBe(bends, ignoreOrder: true);

    /// <summary>Common practice: an exercise about as hard as another is done with the same weight for the same repetitions.</summary>
    [Theory]
    [InlineData("goblet-squat")]
    [InlineData("dumbbell-floor-press")]
    [InlineData("push-up")]
    [InlineData("back-squat")]
    public void Without_a_difference_it_is_as_strong_as_the_one_it_is_like(string id)
    {
        var catalogue = With(Like(id));
        var anchors = StrengthAnchors.Of(People.Man, catalogue);
        var (like, own) = (anchors.For(catalogue[id])!, anchors.For(catalogue["own-odd-lift"])!);
        own.Maximum.Kilograms.ShouldBe(like.Maximum.Kilograms, 0.01);
        own.Spread.ShouldBeGreaterThanOrEqualTo(like.Spread, "a guess is never surer than what it was guessed from");
    }

    [Fact]
    public void A_harder_one_is_done_with_less_the_harder_the_less() =>
        Gen.Select(Gen.Double[0.2, 2], Gen.Double[0.2, 2]).Sample((a, b) =>
        {
            double Maximum(double strength)
            {
                var made = (Like("goblet-squat") with { Strength = strength }).From(Catalogue.Shipped["goblet-squat"]);
                return made.Strength!.Ratio;
            }

            return (a < b) == (Maximum(a) < Maximum(b)) || Math.Abs(a - b) < 1e-9;
        });

    [Fact]
    public void A_weight_that_arrives_in_part_counts_in_part()
    {
        var like = Catalogue.Shipped["goblet-squat"];
        var made = (Like(like.Id) with { Test = new(Mass.FromKilograms(20), Mass.FromKilograms(15)) }).From(like);
        made.Load.LoadCounts.ShouldBe(0.75 * like.Load.LoadCounts, 1e-9);
        made.Load.Body.ShouldBe(like.Load.Body);
    }

    [Fact]
    public void It_is_read_by_its_names_alone_or_with_words_beside_them_and_offered_until_it_is_retired()
    {
        var own = Like("standing-lean-row", "Door-frame row") with { AlsoCalled = ["frame pull"] };
        var known = HouseCatalogue.Of([own]);
        known.Names.Read("door frame rows")!.Exercise.Id.ShouldBe(own.Id);
        known.Names.Read("Frame pull")!.Exercise.Id.ShouldBe(own.Id);
        known.Names.Read("paused door-frame row")!.Exercise.Id.ShouldBe(own.Id);
        var retired = HouseCatalogue.Of([own with { IsRetired = true }]);
        retired.Names.Read("door frame rows")!.Exercise.Id.ShouldBe(own.Id, "a programme that names it is still read");
        HouseCatalogue.Of([own with { IsRetired = true }, Like("push-up", "Door-frame row") with { Id = "own-new" }]).Names.Read("door frame row")!.Exercise.Id.ShouldBe("own-new");
        retired.Catalogue.Nearest("door frame row").ShouldNotContain(e => e.Id == own.Id);
        retired.Catalogue.Exercises.ShouldNotContain(e => e.Id == own.Id);
        retired.Catalogue[own.Id].Name.ShouldBe("Door-frame row", "what was done with it keeps its name");
    }

    [Fact]
    public void Equal_lists_make_one_catalogue_and_none_makes_the_shipped_one()
    {
        HouseCatalogue.Of([]).Catalogue.ShouldBeSameAs(Catalogue.Shipped);
        With(Like("push-up")).ShouldBeSameAs(With(Like("push-up")));
        With(Like("push-up")).ShouldNotBeSameAs(With(Like("pike-push-up")));
    }

    [Fact]
    public void It_comes_back_from_its_file_the_same()
    {
        var own = Like("goblet-squat") with
        {
            Muscles = new Dictionary<Muscle, double> { [Muscle.Quadriceps] = 1, [Muscle.Adductors] = 0.5 },
            Holds = [Hold.AtChest],
            Fixtures = [new(FixtureRole.Seat, [FixtureKind.Chair], Share.Of(0.2), Share.Of(0.3))],
            Test = new(Mass.FromKilograms(10), Mass.FromKilograms(8)),
            Cues = ["One", "Two", "Three"],
        };
        string written = JsonSerializer.Serialize(own, TradeJson.Options);
        JsonSerializer.Serialize(JsonSerializer.Deserialize<OwnExercise>(written, TradeJson.Options), TradeJson.Options).ShouldBe(written);
    }

    private static readonly OwnExercise[] Differing =
    [
        Like("push-up"),
        Like("push-up") with { Fixtures = [] },
        Like("push-up") with { Fixtures = [new(FixtureRole.Grip, [FixtureKind.Table], Share.Zero, Share.Of(2))] },
        Like("push-up") with { Fixtures = [new(FixtureRole.Hands, [FixtureKind.Chair], Share.Zero, Share.Of(1))], Sides = Sides.OneAtATime },
        Like("push-up") with { Holds = [Hold.Pair, Hold.OnBack], NeedsLoad = true, Strength = 0.3 },
        Like("push-up") with { Holds = [Hold.FootOnScale], Test = new(Mass.FromKilograms(10), Mass.FromKilograms(1)) },
        Like("push-up") with { Holds = [], NeedsLoad = false, Skill = 1 },
    ];

    /// <summary>Whatever it is like and whatever differs: refused at its place, or a line of it is worked out, and what it is told is finite.</summary>
    [Fact]
    public void What_passes_can_be_rebuilt_in_any_home() =>
        Gen.Select(Gen.Int[0, Catalogue.Shipped.Exercises.Length - 1], Gen.Int[0, Differing.Length - 1], Gen.Int[0, 100]).Sample(
            (like, differs, home) =>
            {
                var own = Differing[differs] with { Like = Catalogue.Shipped.Exercises[like].Id };
                if (OwnExerciseProblems.Of([own]).Any())
                {
                    return;
                }

                Member[] members = [.. Member.All()];
                var member = members[home % members.Length];
                var rules = new HouseRules { Exercises = [own] };
                var session = new WrittenSession("Day", [Member.Written(own.Id, 3, 8, Intensity.NotWritten)]);
                var rebuild = new SessionRebuild(member.Client, member.Home, rules.Catalogue, rules, People.Today, new WrittenProgramme([session]));
                JsonSerializer.Serialize(rebuild.Rebuild(session, []).Lines[0], TradeJson.Options).ShouldNotBeEmpty();
            },
            iter: 60);

    public static TheoryData<string, OwnExercise> Wrong() => new()
    {
        { "[0].id", Like("push-up") with { Id = "push-up" } },
        { "[0].name", Like("push-up") with { Name = " " } },
        { "[0].name", Like("push-up") with { Name = "3 x 8 lift" } },
        { "[0].name", Like("push-up") with { Name = "Goblet squats" } },
        { "[0].alsoCalled[0]", Like("push-up") with { AlsoCalled = ["RDL"] } },
        { "[0].like", Like("no-such-thing") },
        { "[0].like", Like("any-squat") },
        { "[0].muscles", Like("push-up") with { Muscles = new Dictionary<Muscle, double> { [Muscle.Soleus] = 2 } } },
        { "[0].muscles", Like("push-up") with { Muscles = new Dictionary<Muscle, double> { [Muscle.Soleus] = 0.4 } } },
        { "[0].test", Like("push-up") with { Test = new(Mass.FromKilograms(10), Mass.FromKilograms(12)) } },
        { "[0].test", Like("push-up") with { Test = new(Mass.Zero, Mass.Zero) } },
        { "[0].strength", Like("push-up") with { Strength = 5 } },
        { "[0].skill", Like("push-up") with { Skill = 9 } },
        { "[0].holds", Like("goblet-squat") with { Holds = [] } },
        { "[0].needsLoad", Like("barbell-curl") with { NeedsLoad = false } },
        { "[0].joints", Like("push-up") with { Joints = [new(Joint.Knee, 4)] } },
        { "[0].fixtures[0]", Like("push-up") with { Fixtures = [new(FixtureRole.Hands, [], Share.Zero, Share.Of(1))] } },
        { "[0].fixtures[0]", Like("push-up") with { Fixtures = [new(FixtureRole.Hands, [FixtureKind.Chair], Share.Of(1), Share.Of(0.5))] } },
        { "[0].fixtures", Like("table-row") with { Fixtures = [] } },
        { "[0].fixtures", Like("band-pushdown") with { Fixtures = [new(FixtureRole.Seat, [FixtureKind.Chair], Share.Zero, Share.Of(1))] } },
        { "[0].fixtures", Like("two-chair-dip") with { Fixtures = [] } },
        { "[0].cues", Like("push-up") with { Cues = ["Only one"] } },
        { "[0].setUp", Like("push-up") with { SetUp = [new string('x', 500)] } },
    };

    [Theory]
    [MemberData(nameof(Wrong))]
    public void What_cannot_be_right_is_named_at_its_place_and_left_out_of_the_catalogue(string place, OwnExercise own)
    {
        OwnExerciseProblems.Of([own]).Select(p => p.Path).ShouldContain(place);
        With(own, Like("pike-push-up", "A good one")).Find("own-a-good-one").ShouldNotBeNull();
        With(own).Exercises.Length.ShouldBe(Catalogue.Shipped.Exercises.Length);
    }

    [Fact]
    public void Two_of_one_name_are_told_and_a_retired_one_gives_its_name_free()
    {
        var (one, two) = (Like("push-up"), Like("pike-push-up") with { Id = "own-other" });
        OwnExerciseProblems.Of([one, two]).ShouldNotBeEmpty();
        OwnExerciseProblems.Of([one with { IsRetired = true }, two]).ShouldBeEmpty();
        OwnExerciseProblems.Of([one, two with { Id = one.Id, Name = "Else" }]).ShouldContain(p => p.Path.EndsWith("id", StringComparison.Ordinal));
        OwnExercise.IdOf("Odd lift", [one]).ShouldBe("own-odd-lift-2");
        OwnExercise.IdOf("Кольца", []).ShouldBe("own-exercise");
    }

    [Fact]
    public void No_id_of_the_shipped_catalogue_looks_like_an_own_one() =>
        Catalogue.Shipped.Exercises.ShouldNotContain(e => e.Id.StartsWith(OwnExercise.Mark, StringComparison.Ordinal));
}

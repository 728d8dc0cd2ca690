using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace Ingegno.Server.Tests;

/// <summary>
/// Twelve plans written by hand, good and bad, with the findings a coach would name (common practice), read and reviewed through the
/// engine.
/// </summary>
public sealed class ReviewedPlansTests(ServerHost host) : IClassFixture<ServerHost>
{
    private static CancellationToken Stop => TestContext.Current.CancellationToken;

    private static readonly object[] Lifts =
    [
        new { exercise = "barbell-bench-press", load = 80, repetitions = 8 },
        new { exercise = "back-squat", load = 100, repetitions = 6 },
        new { exercise = "lat-pulldown", load = 60, repetitions = 10 },
    ];

    private static object Person(string level = "intermediate", string goal = "keepMuscle", int minutes = 60, bool lifts = true) =>
        new { name = "Somebody", sex = "male", bodyMass = 80, stature = 1.80, level, goal, sessionMinutes = minutes, lifts = lifts ? Lifts : [] };

    /// <param name="Has">Must be found.</param>
    /// <param name="Not">Must not be.</param>
    public sealed record Plan(string Name, string Text, object Client, string[] Has, string[] Not)
    {
        public override string ToString() => Name;
    }

    private static readonly Plan[] Plans =
    [
        new("a balanced full body with holds", """
            Monday
            Back squat 3 x 8 RPE 8, rest 2 min
            Bench press 3 x 8 RPE 8, rest 2 min
            Seated cable row 3 x 10 RPE 8, rest 90 s
            Romanian deadlift 3 x 8 RPE 7, rest 2 min
            Plank 3 x 40 s, rest 60 s
            """, Person(), [], ["conditioning", "allCircuit", "noSteadiness", "piledUp", "unbalanced", "noPurpose", "restsMissing"]),
        new("everything one circuit", """
            Monday
            A1 Back squat 3 x 10 RPE 8, rest 15 s
            A2 Push-up 3 x 12 RPE 8, rest 15 s
            A3 Seated cable row 3 x 12 RPE 8, rest 15 s
            A4 Plank 3 x 30 s, rest 60 s
            """, Person(), ["allCircuit"], ["noSteadiness"]),
        new("light and hurried from start to end", """
            Monday
            Body-weight squat 4 x 20, rest 15 s
            Glute bridge 4 x 25, rest 15 s
            Body-weight squat 4 x 20, rest 15 s
            """, Person(), ["conditioning", "noSteadiness"], ["tooLong"]),
        new("the same for somebody who wants endurance", """
            Monday
            Body-weight squat 4 x 20 RPE 7, rest 15 s
            Glute bridge 4 x 25 RPE 7, rest 15 s
            """, Person(goal: "strengthEndurance"), ["noSteadiness"], ["noPurpose"]),
        new("no rests, no effort, no purpose", """
            Monday
            Back squat 3 x 10
            Bench press 3 x 10
            Seated cable row 3 x 10
            """, Person(), ["restsMissing", "noPurpose", "noSteadiness"], ["allCircuit"]),
        new("jumping for breath by somebody untrained", """
            Monday
            Squat jump 3 x 15, rest 30 s
            Plank 3 x 30 s, rest 60 s
            """, Person("beginner", lifts: false), ["jumpContacts"], ["noSteadiness"]),
        new("a few jumps by an advanced athlete", """
            Monday
            Squat jump 4 x 5, rest 2 min
            Back squat 4 x 4 @ 85 %, rest 3 min
            """, Person("advanced"), [], ["jumpContacts", "noPurpose"]),
        new("five exercises in one", """
            Monday
            Squat to press to row and lunge 3 x 10, rest 60 s
            Bench press 3 x 8 RPE 8, rest 2 min
            """, Person(), ["exercisesMerged"], []),
        new("chest day", """
            Monday
            Bench press 5 x 8 RPE 10, rest 3 min
            Dumbbell bench press 5 x 10 RPE 10, rest 3 min
            Incline bench press 5 x 10 RPE 10, rest 3 min
            Plank 3 x 30 s, rest 60 s
            """, Person(), ["piledUp", "unbalanced"], ["noSteadiness"]),
        new("a beginner sent to failure", """
            Monday
            Push-up 3 x 10 RIR 0, rest 90 s
            Body-weight squat 3 x 12 RIR 3, rest 90 s
            """, Person("beginner"), ["failureForBeginner"], ["jumpContacts"]),
        new("too little to grow on", """
            Monday
            Leg extension 3 x 12 RPE 8, rest 90 s
            Plank 2 x 30 s, rest 60 s
            """, Person(goal: "buildMuscle"), ["tooFewSets"], ["tooManySets"]),
        new("an hour's work in twenty minutes", """
            Monday
            Back squat 5 x 5 RPE 8, rest 3 min
            Bench press 5 x 5 RPE 8, rest 3 min
            Barbell row 5 x 5 RPE 8, rest 3 min
            """, Person(minutes: 20), ["tooLong"], ["conditioning"]),
    ];

    public static TheoryData<string> Names => [.. Plans.Select(p => p.Name)];

    [Theory]
    [MemberData(nameof(Names))]
    public async Task Is_found_as_a_coach_would(string name)
    {
        var plan = Plans.Single(p => p.Name == name);
        var answer = await (await host.CoachAsync()).PostAsJsonAsync("/api/engine/review", new { client = plan.Client, programme = plan.Text }, Stop);
        answer.StatusCode.ShouldBe(HttpStatusCode.OK, await answer.Content.ReadAsStringAsync(Stop));
        var found = (await answer.Content.ReadFromJsonAsync<JsonNode>(Stop))!["findings"]!.AsArray();
        string[] kinds = [.. found.Select(f => f!["kind"]!.GetValue<string>())];
        foreach (string kind in plan.Has)
        {
            kinds.ShouldContain(kind);
        }

        kinds.Intersect(plan.Not).ShouldBeEmpty();
        found.ShouldAllBe(f => f!["sentence"]!.GetValue<string>().Length > 10 && f["why"]!.GetValue<string>().Length > 10);
    }

    /// <summary>A bare room: what the move loses is told, and the remedies name exercises that are possible there.</summary>
    [Fact]
    public async Task A_week_moved_into_a_bare_room_is_told_what_it_lost()
    {
        var answer = await (await host.CoachAsync()).PostAsJsonAsync("/api/engine/review", new
        {
            client = Person(),
            home = new { name = "Bare", room = new { headroom = 2.4, floorLength = 2.5 } },
            programme = "Monday\nLat pulldown 3 x 10 RPE 8, rest 90 s\nBack squat 3 x 8 RPE 8, rest 2 min",
        }, Stop);
        var review = (await answer.Content.ReadFromJsonAsync<JsonNode>(Stop))!;
        var kinds = review["findings"]!.AsArray().Select(f => f!["kind"]!.GetValue<string>()).ToArray();
        kinds.ShouldContain("patternLost"); // nothing pulls from above in a bare room, only its imitation on the floor
        kinds.ShouldContain("gripLost");
        review["ledger"]!["muscles"]!.AsArray().Count.ShouldBeGreaterThan(3);
    }

    [Fact]
    public async Task A_whole_case_is_rebuilt_and_reviewed_at_once()
    {
        var answer = await (await host.CoachAsync()).PostAsJsonAsync("/api/engine/rebuild", new
        {
            client = Person(),
            home = new { name = "Bare", room = new { headroom = 2.4, floorLength = 2.5 } },
            programme = "Monday\nBench press 3 x 10 RPE 8, rest 90 s",
        }, Stop);
        answer.StatusCode.ShouldBe(HttpStatusCode.OK);
        var view = (await answer.Content.ReadFromJsonAsync<JsonNode>(Stop))!;
        view["sessions"]![0]!["lines"]![0]!["chosen"]!["prescription"]!["exercise"]!.GetValue<string>().ShouldContain("push-up");
        view["review"]!["ledger"]!["sessions"]!.AsArray().Count.ShouldBe(1);
    }

    [Theory]
    [InlineData("", "programme")]
    [InlineData("nothing to read here", "programme")]
    public async Task A_text_without_a_line_is_told_so(string programme, string path)
    {
        var answer = await (await host.CoachAsync()).PostAsJsonAsync("/api/engine/review", new { client = Person(), programme }, Stop);
        answer.StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        (await answer.Content.ReadFromJsonAsync<JsonNode>(Stop))!["errors"]!.AsObject().ShouldContain(e => e.Key == path);
    }
}

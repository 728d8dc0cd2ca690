using System.Net.Http.Json;

namespace Ingegno.Server.Tests;

/// <summary>The note of a rebuild says of every line that changed what it was, what it is, why, and when it goes up.</summary>
public sealed class ChangeNoteApiTests(ServerHost host) : IClassFixture<ServerHost>
{
    [Fact]
    public async Task Lines_that_changed_are_told_and_the_others_only_named()
    {
        var api = await Api.WithPlanAsync(await host.CoachAsync(), "Monday\nBarbell bench press 3 x 8 @ 40 kg\nLat pulldown 3 x 10 RPE 8\nPush-up 3 x 8 RPE 8");
        var note = (await api.GetAsync("change-note"))["note"]!;
        note["client"]!.GetValue<string>().ShouldBe("Somebody");
        note["coach"]!.GetValue<string>().ShouldBe("Ilse Vandermolen");
        var session = note["sessions"]!.AsArray().ShouldHaveSingleItem()!;
        session["title"]!.GetValue<string>().ShouldBe("Monday");
        var lines = session["lines"]!.AsArray();
        lines.Count.ShouldBeGreaterThanOrEqualTo(2);
        lines[0]!["gym"]!.GetValue<string>().ShouldContain("bench press", Case.Insensitive);
        string[] names = [.. Api.Lines(await api.PlanAsync()).Select(l => l["prescription"]!["name"]!.GetValue<string>())];
        foreach (var line in lines)
        {
            string home = line!["home"]!.GetValue<string>();
            home.ShouldNotStartWith(line["gym"]!.GetValue<string>());
            line["why"]!.GetValue<string>().Length.ShouldBeGreaterThan(10, home);
            line["forClient"]!.GetValue<string>().ShouldNotContain("equivalent");
            string name = names.Single(n => home.StartsWith(n + " ", StringComparison.Ordinal));
            string up = line["moveUp"]!.GetValue<string>();
            up.ShouldStartWith("When every set");
            up.ShouldNotEndWith($"to the {name.ToLowerInvariant()}.", "the next thing is never the one there is");
        }

        session["asBefore"]!.AsArray().Select(a => a!.GetValue<string>()).ShouldContain(a => a.StartsWith("Push-up", StringComparison.Ordinal));
    }

    [Fact]
    public async Task The_obvious_exercise_is_answered_with_what_it_lacks_here()
    {
        var api = await Api.WithPlanAsync(await host.CoachAsync(), "Nordic hamstring curl 3 x 6\nBarbell row 3 x 8 @ 60 kg", home: new { name = "Empty" });
        var lines = (await api.GetAsync("change-note"))["note"]!["sessions"]![0]!["lines"]!.AsArray();
        lines.Count.ShouldBe(2);
        foreach (var line in lines)
        {
            line!["notTheOther"]!.GetValue<string>().ShouldContain("needs a ");
        }

        lines[1]!["lost"]!.GetValue<string>().ShouldContain("load", Case.Insensitive, "60 kg in the gym, own weight here");
    }

    /// <summary>Kept with the client, in the case file too; nothing said goes back to the usual words.</summary>
    [Fact]
    public async Task What_the_coach_says_over_the_page_is_kept_with_the_client()
    {
        var stop = TestContext.Current.CancellationToken;
        var api = await Api.WithPlanAsync(await host.CoachAsync(), "Barbell row 3 x 8 @ 60 kg");
        (await api.GetAsync("change-note"))["words"].ShouldBeNull();
        (await SayAsync("See you on Monday.")).EnsureSuccessStatusCode();
        (await api.GetAsync("change-note"))["words"]!.GetValue<string>().ShouldBe("See you on Monday.");

        byte[] file = await api.Coach.GetByteArrayAsync($"/api/clients/{api.Id}/files/case.json", stop);
        using var content = new ByteArrayContent(file);
        content.Headers.ContentType = new("application/octet-stream");
        var brought = await api.Coach.PostAsync("/api/case-files?keep=true", content, stop);
        brought.EnsureSuccessStatusCode();
        string id = System.Text.Json.Nodes.JsonNode.Parse(await brought.Content.ReadAsStringAsync(stop))!["clients"]![0]!["id"]!.GetValue<string>();
        (await api.Coach.GetStringAsync($"/api/clients/{id}/change-note", stop)).ShouldContain("See you on Monday.");

        (await SayAsync(new string('a', 2001))).StatusCode.ShouldBe(System.Net.HttpStatusCode.BadRequest);
        (await SayAsync(" ")).EnsureSuccessStatusCode();
        (await api.GetAsync("change-note"))["words"].ShouldBeNull();

        Task<HttpResponseMessage> SayAsync(string words) => api.Coach.PutAsJsonAsync($"/api/clients/{api.Id}/change-note/words", new { words }, stop);
    }
}

namespace Ingegno.Server.Tests;

/// <summary>The note of a rebuild says of every line that changed what it was, what it is, why, and when it goes up.</summary>
public sealed class ChangeNoteApiTests(ServerHost host) : IClassFixture<ServerHost>
{
    [Fact]
    public async Task Lines_that_changed_are_told_and_the_others_only_named()
    {
        var api = await Api.WithPlanAsync(await host.CoachAsync(), "Monday\nBarbell bench press 3 x 8 @ 40 kg\nLat pulldown 3 x 10 RPE 8\nPush-up 3 x 8 RPE 8");
        var note = await api.GetAsync("change-note");
        note["client"]!.GetValue<string>().ShouldBe("Somebody");
        note["coach"]!.GetValue<string>().ShouldBe("Ilse Vandermolen");
        var session = note["sessions"]!.AsArray().ShouldHaveSingleItem()!;
        session["title"]!.GetValue<string>().ShouldBe("Monday");
        var lines = session["lines"]!.AsArray();
        lines.Count.ShouldBeGreaterThanOrEqualTo(2);
        lines[0]!["gym"]!.GetValue<string>().ShouldContain("bench press", Case.Insensitive);
        foreach (var line in lines)
        {
            string home = line!["home"]!.GetValue<string>();
            home.ShouldNotStartWith(line["gym"]!.GetValue<string>());
            line["why"]!.GetValue<string>().Length.ShouldBeGreaterThan(10, home);
            line["forClient"]!.GetValue<string>().ShouldNotContain("equivalent");
            string up = line["moveUp"]!.GetValue<string>();
            if (home != "left out")
            {
                up.Length.ShouldBeGreaterThan(10, home);
                // The next thing is never the one there is.
                up.ShouldNotEndWith($"to the {home.Split(' ')[0].ToLowerInvariant()}.");
            }
        }

        session["asBefore"]!.AsArray().Select(a => a!.GetValue<string>()).ShouldContain(a => a.StartsWith("Push-up", StringComparison.Ordinal));
    }

    [Fact]
    public async Task What_nothing_stands_in_for_says_what_would_open_it()
    {
        var api = await Api.WithPlanAsync(await host.CoachAsync(), "Nordic hamstring curl 3 x 6", home: new { name = "Empty" });
        var line = (await api.GetAsync("change-note"))["sessions"]![0]!["lines"]![0];
        (line is null || line["why"]!.GetValue<string>().Length > 10).ShouldBeTrue();
    }
}

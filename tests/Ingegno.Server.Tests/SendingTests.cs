using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace Ingegno.Server.Tests;

/// <summary>Link, frozen version and letter go out together or not at all.</summary>
public sealed class SendingTests
{
    private static readonly DateTimeOffset Monday = new(2026, 11, 23, 9, 0, 0, TimeSpan.Zero);

    private static CancellationToken Stop => TestContext.Current.CancellationToken;

    [Fact]
    public async Task An_outbox_that_cannot_be_written_sends_nothing_and_says_so()
    {
        await using var host = new ClockedHost(Monday);
        var api = await Api.WithPlanAsync(await host.CoachAsync(first: true), "Push-up 3 x 8");
        // A file where the folder should be: no letter can be laid there.
        await File.WriteAllTextAsync(host.Outbox, "in the way", Stop);
        var answer = await api.Coach.PostAsync($"/api/clients/{api.Id}/sending", null, Stop);
        answer.StatusCode.ShouldBe(HttpStatusCode.UnprocessableEntity);
        var problem = (await answer.Content.ReadFromJsonAsync<JsonNode>(Stop))!;
        problem["title"]!.GetValue<string>().ShouldBe("Nothing was sent.");
        problem["detail"]!.GetValue<string>().ShouldContain("outbox cannot be written");
        (await api.AnswerAsync(await api.ProposalAsync("unsent"))).StatusCode.ShouldBe(HttpStatusCode.UnprocessableEntity);
        var looked = await api.GetAsync("sending");
        looked["sentAt"].ShouldBeNull();
        looked["openLinks"]!.GetValue<int>().ShouldBe(0, "no link that nobody has");
        (await api.GetAsync("decisions")).AsArray().ShouldBeEmpty();
        File.Delete(host.Outbox);
        (await api.SendAsync()).Length.ShouldBe(22);
    }

    /// <summary>Killed between the last write and the posting: at the next start the letter goes out with its link, and one whose link was never written is dropped.</summary>
    [Fact]
    public async Task What_was_prepared_when_the_power_went_is_posted_or_dropped_by_what_is_in_the_file()
    {
        string folder;
        await using (var host = new ClockedHost(Monday) { KeepsFolder = true })
        {
            folder = host.Folder;
            var api = await Api.WithPlanAsync(await host.CoachAsync(first: true), "Push-up 3 x 8");
            await api.SendAsync();
            string letter = Directory.GetFiles(host.Outbox, "*.eml").ShouldHaveSingleItem();
            File.Copy(letter, $"{letter[..^40]}{Guid.NewGuid()}.eml.part");
            File.Move(letter, letter + ".part");
            (await api.Coach.GetFromJsonAsync<JsonNode>("/api/outbox", Stop))!.AsArray().ShouldBeEmpty();
        }

        await using var again = new ClockedHost(Monday, folder);
        var coach = await again.CoachAsync();
        (await coach.GetFromJsonAsync<JsonNode>("/api/outbox", Stop))!.AsArray().ShouldHaveSingleItem();
        Directory.GetFiles(again.Outbox, "*.part").ShouldBeEmpty();
    }

    [Fact]
    public async Task Nothing_is_sent_that_has_no_exercises_for_the_place_in_use()
    {
        await using var host = new ClockedHost(Monday);
        var api = await Api.WithPlanAsync(await host.CoachAsync(first: true), "Push-up 3 x 8");
        string loft = (await api.GetAsync("places"))[0]!["id"]!.GetValue<string>();
        var added = await api.Coach.PostAsJsonAsync($"/api/clients/{api.Id}/places", new { name = "Shed", kit = Array.Empty<object>(), fixtures = Array.Empty<object>() }, Stop);
        string shed = (await added.Content.ReadFromJsonAsync<JsonNode>(Stop))!["id"]!.GetValue<string>();
        await ReadableAsync(api);
        (await api.Coach.PostAsync($"/api/clients/{api.Id}/places/{shed}/use", null, Stop)).StatusCode.ShouldBe(HttpStatusCode.NoContent);
        await ReadableAsync(api);
        (await api.Coach.DeleteAsync($"/api/clients/{api.Id}/places/{loft}", Stop)).IsSuccessStatusCode.ShouldBeTrue();
        await ReadableAsync(api);
    }

    /// <summary>Either it is refused, naming the place, or the phone gets exercises for it.</summary>
    private static async Task ReadableAsync(Api api)
    {
        var answer = await api.Coach.PostAsync($"/api/clients/{api.Id}/sending", null, Stop);
        if (answer.StatusCode == HttpStatusCode.UnprocessableEntity)
        {
            (await answer.Content.ReadAsStringAsync(Stop)).ShouldMatch("Shed|Nothing is saved to send");
            return;
        }

        string token = await api.SendAsync();
        var place = (await api.Coach.GetFromJsonAsync<JsonNode>($"/api/link/{token}", Stop))!["programme"]!["places"]![0]!;
        place["sessions"]!.AsArray().SelectMany(s => s!["lines"]!.AsArray()).ShouldNotBeEmpty();
        place["id"]!.GetValue<string>().ShouldBe((await api.GetAsync("places")).AsArray()[0]!["id"]!.GetValue<string>());
    }
}

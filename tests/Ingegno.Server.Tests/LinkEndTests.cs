namespace Ingegno.Server.Tests;

/// <summary>A link lives while it is used; the Desk says before it closes, and after.</summary>
public sealed class LinkEndTests
{
    private static readonly DateTimeOffset Monday = new(2026, 11, 23, 9, 0, 0, TimeSpan.Zero);

    private static CancellationToken Stop => TestContext.Current.CancellationToken;

    [Fact]
    public async Task The_desk_says_whose_link_closes_and_a_used_one_stays_open()
    {
        await using var host = new ClockedHost(Monday);
        var api = await Api.WithPlanAsync(await host.CoachAsync(first: true), "Push-up 3 x 8");
        string token = await api.SendAsync();
        (await EndsAsync()).ShouldBeEmpty();

        // No block: closes 28 + 30 days on, unless it is used.
        host.Clock.Advance(TimeSpan.FromDays(52));
        await api.SignInAsync();
        (await EndsAsync()).ShouldHaveSingleItem().ShouldContain("closes on 20 Jan");
        (await host.CreateClient().GetAsync($"/api/link/{token}", Stop)).EnsureSuccessStatusCode();
        (await EndsAsync()).ShouldBeEmpty("used, so it stays open");

        host.Clock.Advance(TimeSpan.FromDays(40));
        await api.SignInAsync();
        (await EndsAsync()).ShouldHaveSingleItem().ShouldContain("closed on");
        var proposal = await api.ProposalAsync("linkEnds");
        (await api.AnswerAsync(proposal)).EnsureSuccessStatusCode();
        (await EndsAsync()).ShouldBeEmpty("a new one was sent");

        async Task<string[]> EndsAsync() =>
            [.. (await api.ProposalsAsync()).Where(p => p["kind"]!.GetValue<string>() == "linkEnds").Select(p => p["sentence"]!.GetValue<string>())];
    }
}

using System.Net;
using System.Net.Http.Json;

namespace Ingegno.Server.Tests;

/// <summary>Tries are counted by account and by address; a host of its own, for they count for a minute.</summary>
public sealed class GuessingTests(ServerHost host) : IClassFixture<ServerHost>
{
    private static CancellationToken Stop => TestContext.Current.CancellationToken;

    [Fact]
    public async Task Guessing_at_one_account_is_stopped_and_says_for_how_long()
    {
        HttpResponseMessage? last = null;
        for (int i = 0; i < 12; i++)
        {
            last = await host.Stranger().PostAsJsonAsync("/api/session", new { email = "Guessed@lockside.example ", password = "no" }, Stop);
        }

        last!.StatusCode.ShouldBe(HttpStatusCode.TooManyRequests);
        last.Headers.RetryAfter!.Delta!.Value.TotalSeconds.ShouldBeInRange(1, 300);
    }
}

using Ingegno.Core.Homes;
using Ingegno.Core.Practices;
using Ingegno.Formats.CaseFiles;
using Ingegno.Server.Accounts;
using Ingegno.Server.Bench;
using Ingegno.Storage;
using Microsoft.AspNetCore.Identity;

namespace Ingegno.Server.Demo;

/// <summary>
/// The demo: a community strength hall in a canal town has its floor torn up for ten weeks, and the coach carries
/// its members through at home. Made-up people; each ships as a case file.
/// </summary>
internal sealed class DemoData(
    Coaches coaches, Storage.Clients clients, Plans plans, SetLogs logs, IPasswordHasher<Coach> hasher, TimeProvider clock)
{
    internal const string Email = "coach@lockside.example", Password = "floor-torn-up";

    /// <summary>The day the case files were written; their dates move along with the day the demo is made.</summary>
    private static readonly DateOnly Written = new(2026, 11, 23);

    internal async Task FillIfEmptyAsync()
    {
        if (await coaches.AnyAsync())
        {
            return;
        }

        var coach = AccountEndpoints.New("Ilse Vandermolen", Email, Password, hasher);
        await coaches.AddAsync(coach, clock.GetUtcNow(), onlyFirst: true);
        var assembly = typeof(DemoData).Assembly;
        foreach (string name in assembly.GetManifestResourceNames().Where(n => n.StartsWith("demo/", StringComparison.Ordinal)).Order())
        {
            await using var stream = assembly.GetManifestResourceStream(name)!;
            await AddAsync(coach, CaseFile.Parse(stream));
        }
    }

    private async Task AddAsync(Coach coach, CaseFile file)
    {
        var today = Today.ByThe(clock);
        int days = today.DayNumber - Written.DayNumber;
        var client = file.Client with { Lifts = [.. file.Client.Lifts.Select(l => l with { On = l.On?.AddDays(days) })] };
        var home = file.Home with { Fixtures = [.. file.Home.Fixtures.Select(f => Moved(f, days))] };
        var block = file.Block is { } planned ? planned with { Starts = planned.Starts?.AddDays(7 * (days / 7)) } : null;
        string id = Guid.CreateVersion7().ToString();
        await clients.AddAsync(coach.Id, id, client, home, clock.GetUtcNow());
        if (file.Log.IsEmpty)
        {
            await plans.SaveAsync(coach.Id, id, Plan.Empty with { Text = file.Programme, Block = block }, 0);
            return;
        }

        var rebuilt = BenchEndpoints.Rebuild(file.Programme, [], client, home, new Practice(), today);
        await plans.SaveAsync(
            coach.Id, id, new Plan(file.Programme, [], [.. rebuilt.Sessions.Select(BenchEndpoints.Frozen)], clock.GetUtcNow()) { Block = block }, 0);
        await logs.SaveAsync(coach.Id, id, file.Log.Select(s => s with { On = s.On.AddDays(days) }));
    }

    private static Fixture Moved(Fixture fixture, int days) =>
        fixture.Check is { } check ? fixture with { Check = check with { On = check.On.AddDays(days) } } : fixture;
}

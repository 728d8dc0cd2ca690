using Ingegno.Core.Homes;
using Ingegno.Core.Plans;
using Ingegno.Core.Progression;
using Ingegno.Core.Safety;
using Ingegno.Formats.CaseFiles;
using Ingegno.Server.Accounts;
using Ingegno.Server.Clients;
using Ingegno.Server.Desk;
using Ingegno.Server.Links;
using Ingegno.Server.Log;
using Ingegno.Server.Plans;
using Ingegno.Storage;

namespace Ingegno.Server.Demo;

/// <summary>
/// The demo: a community strength hall in a canal town has its floor torn up for ten weeks, and the coach carries
/// its members through at home. Made-up people; each ships as a case file.
/// </summary>
internal sealed class DemoData(
    Coaches coaches, Storage.Clients clients, Places places, Storage.Plans plans, PlanCommands commands, SetLogs logs, LogLessons lessons, Cases cases, DeskRows desk, Sender sender,
    Passwords passwords, TimeProvider clock)
{
    internal const string Email = "coach@lockside.example", Password = "floor-torn-up";

    /// <summary>Weeks since the floor was torn up.</summary>
    private const int WeeksAtHome = 3;

    /// <summary>The day the case files were written; their dates move along with the day the demo is made.</summary>
    private static readonly DateOnly Written = new(2026, 11, 23);

    internal async Task FillIfEmptyAsync(DemoKind demo)
    {
        if (await coaches.AnyAsync())
        {
            return;
        }

        var coach = AccountEndpoints.New(new("Ilse Vandermolen", Email, Password), passwords);
        await coaches.AddAsync(coach, clock.GetUtcNow(), onlyFirst: true);
        var assembly = typeof(DemoData).Assembly;
        foreach (string name in assembly.GetManifestResourceNames().Where(n => n.StartsWith("demo/", StringComparison.Ordinal)).Order())
        {
            await using var stream = assembly.GetManifestResourceStream(name)!;
            await AddAsync(coach, CaseFile.Parse(stream), demo);
        }
    }

    private async Task AddAsync(Coach coach, CaseFile file, DemoKind demo)
    {
        var today = Today.ByThe(clock);
        int days = today.DayNumber - Written.DayNumber;
        var client = file.Client with { Lifts = [.. file.Client.Lifts.Select(l => l with { On = l.On?.AddDays(days) })] };
        var home = Moved(file.Home, days);
        var block = file.Block is { } planned ? planned with { Starts = planned.Starts?.AddDays(7 * (days / 7)) } : null;
        string id = Guid.CreateVersion7().ToString();
        await clients.AddAsync(coach.Id, id, client, home, clock.GetUtcNow());
        foreach (var elsewhere in file.Elsewhere)
        {
            await places.AddAsync(coach.Id, id, Guid.CreateVersion7().ToString(), Moved(elsewhere, days));
        }

        if (file.Log.IsEmpty || demo == DemoKind.Members)
        {
            await plans.SaveAsync(coach.Id, id, Plan.Empty with { Text = file.Programme, Block = block }, 0);
            return;
        }

        var firstAtHome = today.AddDays(-7 * WeeksAtHome);
        await DoAsync(coach, id, firstAtHome, on => on.Bench.Save(on.Plan.Value, new BenchDraft(file.Programme, [], block), _ => null, on.By));
        await TrainAsync(coach, id, [.. file.Log.Select(s => s with { On = s.On.AddDays(days), At = s.At?.AddDays(days) })], today);
    }

    /// <summary>
    /// The weeks as they were trained: the coach took each week's steps, the last week's still wait. What was sent is the plan before them.
    /// </summary>
    private async Task TrainAsync(Coach coach, string id, SetLog[] log, DateOnly today)
    {
        var firstAtHome = today.AddDays(-7 * WeeksAtHome);
        var weeks = log.GroupBy(s => s.On < firstAtHome ? -1 : (s.On.DayNumber - firstAtHome.DayNumber) / 7).OrderBy(g => g.Key);
        foreach (var week in weeks)
        {
            var asked = (await plans.FindAsync(coach.Id, id)).Value.Sessions.SelectMany(s => s.Lines).Where(l => l.Prescription is not null).ToDictionary(l => l.Line, l => l.Prescription!);
            await logs.SaveAsync(coach.Id, id, week.Select(s => new AskedSet(s, asked.GetValueOrDefault(s.Line) is { } p && p.Exercise == s.Exercise ? week.Key < 0 ? p : SendingCheck.Spelled(p) : null)), LogWriter.Phone(clock.GetUtcNow()));
            await lessons.LearnAsync(coach.Id, id);
            if (week.Key is >= 0 and < WeeksAtHome - 1)
            {
                await TakeStepsAsync(coach, id, week.Max(s => s.On));
            }
        }

        await sender.SendAsync(coach.Id, coach.Name, (await cases.FindAsync(coach.Id, id))!);
    }

    private async Task TakeStepsAsync(Coach coach, string id, DateOnly on)
    {
        var about = (await desk.CaseAsync(coach.Id, id))!.Value.About;
        LineProgress[] taken = [.. DeskRows.Lines(about, on).Where(l => l.Step is { IsTheSameAgain: false, Next: not null, Kind: not StepKind.Stuck })];
        await DoAsync(coach, id, on, now => now.Plan.Value.Take([.. taken.Select(l => LogEndpoints.TakenAt(now, l))], now.Bench.Framing, now.By));
    }

    /// <summary>As if it had been done on that day.</summary>
    private async Task DoAsync(Coach coach, string id, DateOnly on, Func<PlanCase, PlanOutcome> command) =>
        await commands.RunAsync(coach.Id, coach.Name, id, about => Task.FromResult(command(about with
        {
            By = about.By with { On = on, At = new(on.ToDateTime(new TimeOnly(20, 0)), TimeSpan.Zero) },
        })));

    private static Home Moved(Home home, int days) => home with { Fixtures = [.. home.Fixtures.Select(f => Moved(f, days))] };

    private static Fixture Moved(Fixture fixture, int days) =>
        fixture.Check is { } check ? fixture with { Check = check with { On = check.On.AddDays(days) } } : fixture;
}

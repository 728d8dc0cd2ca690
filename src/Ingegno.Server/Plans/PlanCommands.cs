using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Plans;
using Ingegno.Core.Progression;
using Ingegno.Server.Clients;
using Ingegno.Server.Log;
using Ingegno.Server.Practices;
using Ingegno.Storage;

namespace Ingegno.Server.Plans;

/// <summary>What a command works on, as read at one moment.</summary>
/// <param name="Plan">As trained at the place in use.</param>
internal sealed record PlanCase(Case About, Versioned<Plan> Plan, Training Training, PlanBench Bench, Commanded By)
{
    internal DateOnly? LastTrained(int line) => Training.LastTrained(line);
}

/// <summary>What came of a command.</summary>
/// <param name="Name">Of the client.</param>
/// <param name="Refusal">Null when it was done; nothing was written otherwise.</param>
/// <param name="Version">Of the plan, as it is now.</param>
internal sealed record PlanDone(string Name, Plan Plan, long Version, ImmutableArray<PlanChange> Changes, PlanRefusal? Refusal);

/// <summary>
/// Runs commands on the plan in force: reads, lets the core decide, and writes plan, changes and whatever goes with them in one transaction.
/// Somebody who wrote in between makes it read and decide again; whether the two collide is the core's to say, by lines.
/// </summary>
internal sealed class PlanCommands(Database database, Cases cases, Storage.Plans plans, Storage.Clients clients, Trainings trainings, TimeProvider clock)
{
    private const int MostTries = 6;

    /// <param name="with">Another profile to decide with, such as one with a joint gone sore.</param>
    internal static PlanBench BenchOf(Case about, DateOnly today, ClientProfile? with = null)
    {
        var profile = with ?? about.Profile;
        return new(profile, about.Practice, about.Practice.Rules.Catalogue, about.ClientPlaces, today, text => ProgrammeReading.Read(text, about.Practice, profile.Unit).Programme);
    }

    /// <returns>Null when the coach has no such client.</returns>
    internal async Task<PlanCase?> ReadAsync(string coach, string who, string client)
    {
        if (await cases.FindAsync(coach, client) is not { } about)
        {
            return null;
        }

        var today = about.Today(clock);
        return new(
            about, (await plans.FindAsync(coach, client)).At(about.Place.Id), await trainings.OfClientAsync(coach, client, today, about.Rules.Catalogue), BenchOf(about, today),
            new Commanded(Guid.CreateVersion7(), today, clock.GetUtcNow(), who));
    }

    /// <param name="who">The coach's name, for the list of changes.</param>
    /// <param name="decide">What is to come of it; may be asked several times.</param>
    /// <param name="also">Written with it, all or none; false: what it was read from has changed, and all is decided again.</param>
    /// <param name="keep">Asked before it is kept; false: nothing of it is.</param>
    /// <returns>Null when the coach has no such client.</returns>
    internal async Task<PlanDone?> RunAsync(
        string coach, string who, string client, Func<PlanCase, Task<PlanOutcome>> decide, Func<PlanCase, PlanOutcome, Writing, Task<bool>>? also = null,
        Func<bool>? keep = null)
    {
        for (int i = 0; i < MostTries; i++)
        {
            if (await ReadAsync(coach, who, client) is not { } about)
            {
                return null;
            }

            var outcome = await decide(about);
            if (outcome.Refusal is not null || (outcome.Changes.IsEmpty && also is null))
            {
                return new(about.About.Profile.Name, about.Plan.Value, about.Plan.Version, [], outcome.Refusal);
            }

            if (await WriteAsync(coach, client, about, outcome, also, keep) is { } version)
            {
                return new(about.About.Profile.Name, outcome.Plan, version, outcome.Changes, null);
            }
        }

        return new("", Plan.Empty, 0, [], new("Somebody else is writing to this plan over and over: try again in a moment.", IsStale: true));
    }

    /// <returns>The plan's version; null when something was written in between, and nothing was.</returns>
    private async Task<long?> WriteAsync(string coach, string client, PlanCase about, PlanOutcome outcome, Func<PlanCase, PlanOutcome, Writing, Task<bool>>? also, Func<bool>? keep)
    {
        await using var writing = await Writing.BeginAsync(database);
        long version = about.Plan.Version;
        if (!outcome.Changes.IsEmpty)
        {
            var saved = await plans.SaveAsync(coach, client, outcome.Plan, about.Plan.Version, outcome.Changes, writing);
            if (!saved.Saved)
            {
                return null;
            }

            version = saved.Version;
        }

        if (outcome.Changes.LastOrDefault(c => c.Sore is not null)?.Sore is { } sore
            && !(await clients.SaveAsync(coach, client, about.About.Profile with { SoreJoints = [.. sore.On(about.About.Profile.SoreJoints)] }, about.About.Client.Version, writing)).Saved)
        {
            return null;
        }

        if (also is not null && !await also(about, outcome, writing))
        {
            return null;
        }

        if (keep?.Invoke() == false)
        {
            return about.Plan.Version;
        }

        await writing.CommitAsync();
        return version;
    }
}

using System.Globalization;
using Ingegno.Core.Plans;
using Ingegno.Core.Substitution;
using Ingegno.Formats.ProgrammeText;
using Ingegno.Server.Clients;
using Ingegno.Server.Practices;
using Ingegno.Storage;
using Microsoft.Extensions.Caching.Memory;

namespace Ingegno.Server.Bench;

/// <summary>
/// Keeps the rebuild of a week at hand while a coach works on it: what was worked out of a line stands as long as nothing it was worked out
/// from changes, so that a nudge costs its own line and not the week.
/// </summary>
internal sealed class RebuildsAtHand : IDisposable
{
    /// <summary>Weeks kept at once, and for how long after the last look.</summary>
    private const int MostAtHand = 48, MinutesAtHand = 20;

    private readonly MemoryCache _atHand = new(new MemoryCacheOptions { SizeLimit = MostAtHand });

    /// <param name="Of">All it was worked out from.</param>
    private sealed record AtHand(string Of, ReadProgramme Before, ReadProgramme Read, SessionRebuild Rebuild)
    {
        internal Lock Gate { get; } = new();
    }

    public void Dispose() => _atHand.Dispose();

    /// <summary>Works with the draft over the plan in force and its rebuild; one at a time for a place.</summary>
    internal T With<T>(BenchDraft draft, Versioned<Plan> plan, Case about, DateOnly today, Func<BenchAtHand, T> work)
    {
        string text = draft.Seen is { } seen && draft.Text == seen.Text ? plan.Value.Text : draft.Text;
        string of = string.Create(CultureInfo.InvariantCulture, $"{plan.Version} {about.Stamp} {today:O} {text}");
        if (_atHand.Get<AtHand>(about.Place.Id) is not { } known || known.Of != of)
        {
            var read = ProgrammeReading.Read(text, about.Practice, about.Profile.Unit);
            var before = text == plan.Value.Text ? read : ProgrammeReading.Read(plan.Value.Text, about.Practice, about.Profile.Unit);
            var standing = Edit(before, read).StandingAt(about.Place.Id);
            known = new(
                of, before, read, new SessionRebuild(about.Profile, about.Home, about.Rules.Catalogue, about.Rules, today, read.Programme, about.Practice, standing));
            _atHand.Set(about.Place.Id, known, new MemoryCacheEntryOptions { Size = 1, SlidingExpiration = TimeSpan.FromMinutes(MinutesAtHand) });
        }

        lock (known.Gate)
        {
            return work(new(known.Read, known.Rebuild, Edit(known.Before, known.Read)));
        }

        PlanEdit Edit(ReadProgramme before, ReadProgramme read) => new(plan.Value, before.Programme, read.Programme, draft.Choices, draft.Seen);
    }
}

/// <summary>A draft as read, ready to be worked out.</summary>
internal sealed record BenchAtHand(ReadProgramme Read, SessionRebuild Rebuild, PlanEdit Edit)
{
    /// <param name="place">Whose choices hold.</param>
    /// <param name="ask">Catalogue ids every line answers for.</param>
    internal RebuiltSession[] Sessions(string place, CancellationToken stop, HashSet<string>? ask = null)
    {
        var choices = Edit.ChoicesAt(place);
        return [.. Read.Programme.Sessions.Select(s => Rebuild.RebuildUntil(s, choices, ask, stop))];
    }
}

using System.Collections.Immutable;
using System.Text.Json;
using Ingegno.Core.Clients;
using Ingegno.Core.Plans;
using Ingegno.Core.Programmes;
using Ingegno.Core.Progression;
using Ingegno.Core.Quantities;
using Ingegno.Server.Clients;
using Ingegno.Server.Log;
using Ingegno.Storage;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Server.Links;

/// <summary>Takes in what a phone logged: each entry is kept, refused or asked about by itself, and what is kept is kept in one transaction.</summary>
internal static class LinkLogging
{
    private const int VersionsRead = 6, LongestTitle = 10_000;

    internal static async Task<Results<Ok<LinkLogView>, ProblemHttpResult>> LogAsync(
        string token, HttpRequest request, Database database, ClientLinks links, Cases cases, SetLogs logs, SessionNotes notes, LogLessons lessons, TimeProvider clock)
    {
        var now = clock.GetUtcNow();
        var (state, holder) = await links.OpenAsync(token, now);
        if (holder is null || await cases.FindAsync(holder.Coach, holder.Client) is not { } about)
        {
            return LinkEndpoints.Closed(state);
        }

        var batch = await LinkBatch.ReadAsync(request);
        var refused = batch.Unread.ToBuilder();
        var asked = ImmutableArray.CreateBuilder<AskedEntry>();
        var good = new List<(string Entry, SetLog Set)>();
        var firstSent = about.DayOf(await links.FirstMadeAsync(holder.Coach, holder.Client) ?? now);
        string zone = ClientDay.ZoneOf(about.Profile, about.Practice);
        foreach (var (entry, set) in batch.Sets)
        {
            var day = PhoneDay.Of(set.On, set.At, batch.PhoneNow, now, firstSent, zone);
            if (SetLogProblems.Of(set, "", about.Rules.Catalogue).FirstOrDefault() is { } problem)
            {
                refused.Add(new(set.Id, entry, problem.Message));
            }
            else if (day.On is not { } on)
            {
                asked.Add(new(set.Id, day.Question!, day.Suggested));
            }
            else
            {
                good.Add((entry, set with { On = on }));
            }
        }

        var ways = await AskedAsync(links, holder, [.. good.Select(g => g.Set)]);
        foreach (var (entry, set) in good.ToArray().Where(g => !ways.Knows(g.Set.Line)))
        {
            refused.Add(new(set.Id, entry, "This line was never sent to you: tell the coach what was done."));
            good.RemoveAll(g => g.Entry == entry);
        }

        var said = new List<LinkNote>();
        foreach (var (entry, note) in batch.Notes)
        {
            var day = PhoneDay.Of(note.On, note.At, batch.PhoneNow, now, firstSent, zone);
            if (note is not { Sore: null or (>= 0 and <= 3), Session.Length: <= LongestTitle } || (day.On is null && note.Id is null))
            {
                refused.Add(new(note.Id, entry, "This answer could not be kept: tell the coach how it felt."));
            }
            else if (day.On is not { } on)
            {
                asked.Add(new(note.Id!.Value, day.Question!, day.Suggested));
            }
            else
            {
                said.Add(note with { On = on });
            }
        }

        var kept = ImmutableArray.CreateBuilder<KeptEntry>();
        await using (var writing = await Writing.BeginAsync(database))
        {
            var saved = await logs.SaveAsync(holder.Coach, holder.Client, good.Select(g => new AskedSet(g.Set, ways.Of(g.Set))), LogWriter.Phone(now), writing);
            foreach (var (set, entry) in saved.Zip(good.Select(g => g.Entry)))
            {
                if (set.Arrival is { } arrival)
                {
                    kept.Add(new(set.Id, set.Version, arrival == SetArrival.Conflict));
                }
                else
                {
                    refused.Add(new(set.Id, entry, "This set's number is another's already: log the set anew."));
                }
            }

            await notes.SaveAsync(holder.Coach, holder.Client, said.Select(n => n.Note), writing);
            await writing.CommitAsync();
        }

        kept.AddRange(said.Where(n => n.Id is not null).Select(n => new KeptEntry(n.Id!.Value, 0, false)));
        await lessons.LearnAsync(holder.Coach, holder.Client);
        return TypedResults.Ok(new LinkLogView(kept.ToImmutable(), refused.ToImmutable(), asked.ToImmutable(), about.Today(clock)));
    }

    /// <summary>What sets were asked as: by the newest version sent before they were done that asks them so, else the newest that asks them at all.</summary>
    private sealed class SentWays(IReadOnlyList<(DateTimeOffset SentAt, AskedAs Asked, ImmutableHashSet<int> Lines)> versions)
    {
        internal bool Knows(int line) => versions.Any(v => v.Lines.Contains(line));

        internal Prescription? Of(SetLog set)
        {
            Prescription[] ways = [.. versions.Where(v => set.At is null || v.SentAt <= set.At).Concat(versions).Select(v => v.Asked.Of(set)).OfType<Prescription>()];
            return ways.FirstOrDefault(p => p.Load.Grams == set.Load.Grams) ?? ways.FirstOrDefault();
        }

        /// <summary>The newest asks just this, and did when it was done.</summary>
        internal bool Answers(SetLog set) => versions.Any(v => (set.At is null || v.SentAt <= set.At) && v.Asked.Of(set)?.Load.Grams == set.Load.Grams);
    }

    /// <summary>Nearly always the newest version answers for all; older ones are read for a phone that was long without a signal, all for a line long gone.</summary>
    private static async Task<SentWays> AskedAsync(ClientLinks links, LinkHolder holder, IReadOnlyList<SetLog> sets)
    {
        var newest = await ReadAsync(1);
        if (sets.All(newest.Answers))
        {
            return newest;
        }

        var last = await ReadAsync(VersionsRead);
        return sets.All(s => last.Knows(s.Line)) ? last : await ReadAsync(int.MaxValue);

        async Task<SentWays> ReadAsync(int most) => new(
        [
            .. from sent in await links.SentAsync(holder.Coach, holder.Client, most)
               let lines = JsonSerializer.Deserialize<LinkProgramme>(sent.Document, TradeJson.Options)!.Places.SelectMany(p => p.Sessions).SelectMany(s => s.Lines).ToArray()
               select (
                   sent.SentAt, new AskedAs(lines.SelectMany(l => l.Instead.Prepend(l)).Select(l => (l.Line, l.Prescription))),
                   lines.Select(l => l.Line).ToImmutableHashSet()),
        ]);
    }
}

using System.Collections.Immutable;
using Ingegno.Core.Plans;
using Ingegno.Core.Progression;
using Ingegno.Server.Log;
using Ingegno.Storage;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Server.Links;

/// <summary>Takes in what a phone logged: each entry is kept, refused or asked about by itself, and what is kept is kept in one transaction.</summary>
internal static class LinkLogging
{
    private const int LongestTitle = 10_000;

    internal static async Task<Results<Ok<LinkLogView>, ProblemHttpResult>> LogAsync(
        string token, HttpRequest request, PhoneCases phones, SharedWriting writings, SetLogs logs, SessionNotes notes, Learner learner, TimeProvider clock)
    {
        var now = clock.GetUtcNow();
        var (state, about) = await phones.OpenAsync(token, now);
        if (about is null)
        {
            return LinkEndpoints.Closed(state);
        }

        var batch = await LinkBatch.ReadAsync(request);
        var refused = batch.Unread.ToBuilder();
        var asked = ImmutableArray.CreateBuilder<AskedEntry>();
        var good = new List<(string Entry, SetLog Set)>();
        var (holder, catalogue) = (about.Holder, about.Catalogue);
        foreach (var (entry, set) in batch.Sets)
        {
            var day = PhoneDay.Of(set.On, set.At, batch.PhoneNow, now, about.FirstSent, about.Zone);
            if (SetLogProblems.Of(set, "", catalogue).FirstOrDefault() is { } problem)
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

        var ways = await phones.AskedAsync(about, [.. good.Select(g => g.Set)]);
        foreach (var (entry, set) in good.ToArray().Where(g => !ways.Knows(g.Set.Line)))
        {
            refused.Add(new(set.Id, entry, "This line was never sent to you: tell the coach what was done."));
            good.RemoveAll(g => g.Entry == entry);
        }

        var said = new List<LinkNote>();
        foreach (var (entry, note) in batch.Notes)
        {
            var day = PhoneDay.Of(note.On, note.At, batch.PhoneNow, now, about.FirstSent, about.Zone);
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
        var saved = await writings.WriteAsync(async writing =>
        {
            var sets = await logs.SaveAsync(holder.Coach, holder.Client, good.Select(g => new AskedSet(g.Set, ways.Of(g.Set))), LogWriter.Phone(now), writing);
            if (said.Count > 0)
            {
                await notes.SaveAsync(holder.Coach, holder.Client, said.Select(n => n.Note), writing);
            }

            return sets;
        });
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

        kept.AddRange(said.Where(n => n.Id is not null).Select(n => new KeptEntry(n.Id!.Value, 0, false)));
        learner.Ask(holder.Coach, holder.Client);
        return TypedResults.Ok(new LinkLogView(kept.ToImmutable(), refused.ToImmutable(), asked.ToImmutable(), about.DayOf(now)));
    }
}

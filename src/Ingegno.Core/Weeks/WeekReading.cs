using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Exercises;
using Ingegno.Core.Practices;
using Ingegno.Core.Review;
using Ingegno.Core.Sessions;
using Ingegno.Core.Substitution;

namespace Ingegno.Core.Weeks;

/// <summary>Makes the model of a week from its sessions as rebuilt line by line.</summary>
public static class WeekReading
{
    /// <param name="isPinned">Lines that stay as they are: chosen by hand or kept.</param>
    /// <param name="mostSeconds">A session may take; null for no limit.</param>
    /// <param name="practice">Its marks give the weekly bands, its prices what a choice is worth.</param>
    public static WeekModel Of(
        IReadOnlyList<RebuiltSession> sessions, ClientProfile client, Catalogue catalogue, Func<RebuiltLine, bool> isPinned, int? mostSeconds, Practice practice, DateOnly today)
    {
        var ledger = ProgrammeReview.Of(sessions, client, catalogue, today, marks: practice.Marks).Ledger;
        return new(
            [.. sessions.SelectMany((s, day) => s.Lines.Where(l => l.Chosen is not null).Select(l => Slot(l, day, catalogue, isPinned(l), EndsItsGroup(l, s))))],
            sessions.Count,
            mostSeconds,
            FollowingDays(client, sessions.Count),
            [.. ledger.Muscles.Where(m => m.Least is not null).Select(m => new WeekBand(m.Group, Tenths(m.Least!.Value), Tenths(m.Most!.Value)))],
            WeekQualities.Wanted(sessions.SelectMany(s => s.Lines).Select(l => l.Written.Exercise is { } id ? catalogue.Find(id) : null).OfType<Exercise>(), practice.WeekPrices))
        {
            Prices = practice.WeekPrices,
            Around = [.. sessions.Select(s => (int)Math.Ceiling((s.Whole - s.Length).Seconds))],
        };
    }

    private static int Tenths(double sets) => (int)Math.Round(sets * 10);

    private static WeekSlot Slot(RebuiltLine line, int session, Catalogue catalogue, bool pinned, bool endsGroup) => new(
        line.Written.Number,
        session,
        line.Written.Exercise ?? line.Written.ExerciseName,
        line.Role,
        line.Group,
        pinned ? [Option(line, line.Chosen!, catalogue, endsGroup)] : InOrder([.. line.Alternatives.Select(a => Option(line, a, catalogue, endsGroup))]));

    /// <summary>Of one class the order of the line holds: what comes later, for its dose or a leaning, is not worth more for its fit.</summary>
    private static ImmutableArray<WeekOption> InOrder(ImmutableArray<WeekOption> options) =>
        [.. options.Select((o, i) => o with { Fit = options.Take(i).Where(p => p.Class == o.Class).Select(p => p.Fit).Append(o.Fit).Min() })];

    /// <summary>Rest after its last set is the change to the next line.</summary>
    private static bool EndsItsGroup(RebuiltLine line, RebuiltSession session) =>
        line.Group is not { } group || session.Lines.Last(l => l.Group == group).Written.Number == line.Written.Number;

    /// <summary>What is done now counts with what was added to it; any other way counts alone.</summary>
    private static WeekOption Option(RebuiltLine line, Alternative way, Catalogue catalogue, bool endsGroup)
    {
        var done = way.Prescription.Exercise == line.Chosen?.Prescription.Exercise ? line : line with { Chosen = way, Added = [] };
        var given = way.Prescription;
        return new(
            given.Exercise,
            way.Class,
            way.Fit.Score.Fraction,
            WeekQualities.Of(catalogue[given.Exercise]),
            given.Kit ?? given.Supports.Select(s => s.Fixture).FirstOrDefault(),
            given.Kit is null ? null : given.LoadInWords,
            WeeklyLedger.ByGroup(TrainedSession.AtHome(done, catalogue)).ToImmutableDictionary(g => g.Key, g => Tenths(g.Value)),
            (int)Math.Ceiling(done.Prescriptions().Select((p, i) => SessionLength.OfOne(p, endsGroup && i == done.Added.Length).Seconds).Sum())
                + (done.Added.Length * WeekModel.SecondsALine));
    }

    /// <summary>Sessions are done on the client's days in their order; where the days are not known nothing follows anything.</summary>
    private static ImmutableArray<(int First, int Next)> FollowingDays(ClientProfile client, int sessions)
    {
        DayOfWeek[] days = [.. client.Days.Distinct().OrderBy(d => ((int)d + 6) % 7)];
        return days.Length < sessions ? [] :
        [
            .. from i in Enumerable.Range(0, sessions)
               from j in Enumerable.Range(0, sessions)
               where i != j && ((int)days[i] + 1) % 7 == (int)days[j]
               select (i, j),
        ];
    }
}

using System.Collections.Immutable;
using Ingegno.Core.Blocks;
using Ingegno.Core.Effort;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Progression;

/// <summary>What days without training ask of the first session after them (common practice).</summary>
internal static class LayOff
{
    /// <summary>Days from which the same again is enough, from which it is lighter, and from which it is a return.</summary>
    private const int SameAgain = 10, Lighter = 21, Return = 42;

    /// <summary>A tenth lighter after three weeks, a fifth after six.</summary>
    private const double Tenth = 0.10, Fifth = 0.20;

    /// <summary>A session twice a week does not always fall on the same day of the week.</summary>
    private const int AWeek = 6;

    /// <summary>Null where the last session is near enough, or nobody said what day it is.</summary>
    internal static Step? Of(LineCase about, SetLog[][] sessions)
    {
        int days = about.Today is { } today ? today.DayNumber - sessions[0][0].On.DayNumber : 0;
        if (days <= SameAgain)
        {
            return null;
        }

        ImmutableArray<string> why =
        [
            $"{days} days since {sessions[0][0].On:d MMM}: over {SameAgain} nothing is raised, over {Lighter} it is a tenth lighter and a set less, over {Return} a fifth and half the sets.",
        ];
        if (days <= Lighter)
        {
            return new(StepKind.Hold, $"The same again: {days} days without it.", why, about.Line);
        }

        var (lighter, line) = (Down(about, days > Return ? Fifth : Tenth), about.Line);
        int full = Math.Max(line.FullSets, line.Counts.Length - line.OptionalSets), sets = line.Form == SetForm.RestPause ? full : days > Return ? (full + 1) / 2 : Math.Max(1, full - 1);
        var next = (lighter ?? line) with
        {
            Counts = line.Counts[..Math.Min(sets, line.Counts.Length)],
            OptionalSets = 0,
            FullSets = sets < full ? full : 0,
        };
        string load = lighter is { } down ? $"{down.Load}, {next.CountInWords}" : $"{next.CountInWords}, stopping earlier";
        string rest = sets < full ? $"; a set more each week, up to {full}" : "";
        return new(lighter is null && next == line ? StepKind.Hold : StepKind.Back, $"Back after {days / 7} weeks with {load}{rest}.", why, next);
    }

    /// <summary>
    /// Sets that a lay-off took come back one a week, before anything else is raised: what was lost is the work, and the load went down for it
    /// (common practice). Null where none is missing.
    /// </summary>
    internal static Step? SetsComeBack(LineCase about, SetLog[][] sessions)
    {
        var line = about.Line;
        if (line.FullSets <= line.Counts.Length || about.Week != WeekKind.Full)
        {
            return null;
        }

        var since = sessions.TakeWhile(s => about.AskedOf(s).Counts.Length == line.Counts.Length).LastOrDefault()?[0].On ?? sessions[0][0].On;
        ImmutableArray<string> why = [$"{line.FullSets} sets before the break, {line.Counts.Length} since {since:d MMM}: one comes back a week, and nothing else is raised until then."];
        if (about.Today is { } today && today.DayNumber - since.DayNumber < AWeek)
        {
            return new(StepKind.Hold, $"The same again: the next set comes back a week after {since:d MMM}.", why, line);
        }

        var next = line with { Counts = line.Counts.Add(line.Counts[^1]), FullSets = line.Counts.Length + 1 < line.FullSets ? line.FullSets : 0 };
        return new(StepKind.Set, $"A set comes back: {next.CountInWords}{(next.FullSets > 0 ? $", of {next.FullSets} before the break" : ", as before the break")}.", why, next);
    }

    /// <summary>The heaviest load at least so much lighter in what the muscles meet; null where there is none.</summary>
    private static Prescription? Down(LineCase about, double less)
    {
        if (about.Implement is not { } implement || about.Anchor is not { } anchor)
        {
            return null;
        }

        var rung = implement.Ladder.Below(about.Line.Load);
        while (rung is { } at && at.Load > Mass.Zero)
        {
            if (LoadStep.Jump(about.Line, about.Exercise, at, about.Client, anchor) <= -less + 0.02)
            {
                return Correction.On(about.Line, at, implement);
            }

            rung = implement.Ladder.Below(at.Load);
        }

        return null;
    }
}

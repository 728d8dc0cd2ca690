using System.Collections.Immutable;
using Ingegno.Core.Programmes;

namespace Ingegno.Core.Progression;

/// <summary>What counts as done cleanly, what a set at its end when it was to leave some says, and what was done with another load.</summary>
internal static class CleanWork
{
    /// <summary>Sets meant to leave at least so many and leaving none were too hard.</summary>
    private const double MeantToLeave = 1;

    /// <summary>
    /// Never less than was just done cleanly at the same load (common practice). Sets to the limit and sets at their end are no measure of what is
    /// asked next.
    /// </summary>
    internal static Step AtLeast(Step step, LineCase about, SetLog[] last)
    {
        if (step.Next is not { } next || next.Exercise != about.Line.Exercise || next.Load != about.Line.Load || next.Tempo != about.Line.Tempo
            || next.Counts.Length != about.Line.Counts.Length || !(step.Kind is StepKind.Hold or StepKind.Repetitions) || !next.Count.IsRepetitions() || next.Form != about.Line.Form)
        {
            return step;
        }

        int most = Math.Max(about.Rules.RepetitionCap, next.Counts.Max());
        ImmutableArray<int> counts = [.. next.Counts.Select((c, i) => i < last.Length && IsClean(about, last[i]) && !((about.FoundItsNumbers || about.Client.Learned.SaysAlways is not null) && i == last.Length - 1) ? Math.Max(c, Math.Min(most, Sides.Done(last[i]))) : c)];
        // 13/13/12/13 is four thirteens; 8/8/10 is told as it was.
        counts = [.. counts.Select((c, i) => counts.Skip(i).Max() is var later && later - c == 1 && counts.Take(i).Contains(later) ? later : c)];
        if (counts.SequenceEqual(next.Counts))
        {
            return step;
        }

        var raised = next with { Counts = counts, TopOfRange = Math.Max(next.TopOfRange, counts.Max()) };
        // What the step was about stays said, behind its own opening words.
        int at = step.Sentence.IndexOf(step.Kind == StepKind.Repetitions ? "; " : ": ", StringComparison.Ordinal);
        string earn = at >= 0 ? $"; {step.Sentence[(at + 2)..]}" : ".";
        return new(StepKind.Repetitions, $"{raised.CountInWords}, as was done{earn}", [.. step.Arithmetic, "What was done cleanly is not asked for less of."], raised);
    }

    private static bool IsClean(LineCase about, SetLog set) =>
        set is { Pain: 0, ToLimit: false, EndedByMuscle: true } && !IsAtItsEnd(about.AskedOf([set]), set);

    /// <summary>Nothing was left where some were to be; far past its count it was as many as went.</summary>
    private static bool IsAtItsEnd(Prescription asked, SetLog set) =>
        !set.ToLimit && Sides.Done(set) < asked.Counts[Math.Clamp(set.SetNumber, 1, asked.Counts.Length) - 1] + Correction.TooEasyBy && set.Reserve is { IsOpen: false, Figure: < 0.5 } && (asked.Reserve ?? 0) >= MeantToLeave;

    /// <summary>A session at its end holds the step, two running go down (common practice). Null where the last sets left something.</summary>
    internal static Step? AtTheEnd(LineCase about, SetLog[][] sessions)
    {
        if (!sessions[0].Any(s => IsAtItsEnd(about.AskedOf(sessions[0]), s)))
        {
            return null;
        }

        var line = about.Line;
        string meant = $"{about.AskedOf(sessions[0]).Reserve:0.#} were to be left and none was";
        if (sessions.Length < 2 || !sessions[1].Any(s => IsAtItsEnd(about.AskedOf(sessions[1]), s)))
        {
            return new(StepKind.Hold, $"The same again: {meant}.", ["A set at its end when it was to leave some earns nothing."], line);
        }

        ImmutableArray<string> why = ["Two sessions running at their end go down: a small rung, else a repetition a set."];
        if (Correction.StepDown(about, Correction.Meant(about, about.AskedOf(sessions[0]))) is { } lighter)
        {
            return new(StepKind.Back, $"Back to {lighter.Load}: {meant}, twice running.", why, lighter);
        }

        var fewer = line with { Counts = [.. line.Counts.Select(c => Math.Max(1, c - 1))] };
        return fewer.Counts.SequenceEqual(line.Counts)
            ? new(StepKind.Hold, $"The same again: {meant}.", why, line)
            : new(StepKind.Back, $"Back to {fewer.CountInWords}: {meant}, twice running.", why, fewer);
    }

    /// <summary>
    /// A last session done with another load than asked is the new base (common practice). Null where it was done as asked, or with more loads
    /// than one.
    /// </summary>
    /// <param name="newest">The last session, whatever its load.</param>
    internal static Step? OtherLoad(LineCase about, SetLog[] newest)
    {
        var line = about.Line;
        var load = newest[0].Load;
        if (load == line.Load || newest.Any(s => s.Load != load) || newest.Any(s => about.AskedAs.GetValueOrDefault(s.Id) is not { } asked || asked.Load == load))
        {
            return null;
        }

        ImmutableArray<string> why = [$"{newest[0].On:d MMM}: {string.Join('/', newest.Select(Sides.Done))} with {load} where {about.AskedOf(newest).Load} was asked."];
        if (newest.Any(s => UnitSlip.Is(s, about.AskedOf([s]))))
        {
            return new(
                StepKind.Hold, $"The same again: {UnitSlip.Question(line.Name, newest[0].On, load, about.AskedOf(newest).Load)}",
                [.. why, "Nothing is learned from it until the log is corrected, or the plan says that load."], line);
        }

        if (about.Implement is not { } implement || implement.Ladder.At(load) is not { } rung)
        {
            return new(StepKind.Hold, $"{load} was used and cannot be built from what is known to be here: correct the log or the home.", why, line);
        }

        var done = Correction.On(line, rung, implement) with { Counts = LastSessions.Falling([.. line.Counts.Select((c, i) => i < newest.Length ? Sides.Done(newest[i]) : c)]) };
        done = done with { TopOfRange = Math.Max(line.TopOfRange, done.Counts.Max()) };
        return new(load > line.Load ? StepKind.Load : StepKind.Back, $"{load} was used: taken as the new base, {done.CountInWords}.", why, done);
    }
}

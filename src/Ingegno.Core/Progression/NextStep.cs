using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Loads;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Progression;

/// <summary>What to do with a line next week.</summary>
public enum StepKind
{
    /// <summary>Pain over 5, or a set-up that does not stand any more: the line stops and is rebuilt.</summary>
    Stop,

    /// <summary>The same again.</summary>
    Hold,

    /// <summary>More load.</summary>
    Load,

    /// <summary>More repetitions with the same load.</summary>
    Repetitions,

    /// <summary>Less rest, where density is what goes up.</summary>
    Rest,

    /// <summary>A harder variation, where milestones are what is climbed.</summary>
    Variation,
}

/// <summary>A proposal for next week: one sentence, the figures behind it, and the line as it would then be.</summary>
/// <param name="Next">The prescription to follow; null when the line stops.</param>
public sealed record Step(StepKind Kind, string Sentence, ImmutableArray<string> Arithmetic, Prescription? Next);

/// <summary>
/// The first rules of progression: pain decides before anything, then load where the next rung is near enough, else
/// repetitions up to the count that earns the rung.
/// </summary>
public static class NextStep
{
    /// <summary>Pain 0-10: over 5 stop, from 3 hold (Thomee 1997, Phys Ther 77:1690-1703; from memory).</summary>
    private const int PainStops = 5, PainHolds = 3;

    /// <param name="implement">What the line is loaded with, or could be; null where nothing can be added.</param>
    /// <param name="anchor">The maximum on this exercise, for the shape of the forecast.</param>
    /// <param name="logs">Sets of this line at this prescription, any order; a day is a session.</param>
    /// <param name="harder">The next exercise of the ladder; null at its top.</param>
    /// <returns>Null when nothing was logged.</returns>
    public static Step? For(
        Prescription line, Exercise exercise, HeldImplement? implement, ClientProfile client, StrengthAnchor? anchor,
        HouseRules rules, IReadOnlyList<SetLog> logs, Exercise? harder = null)
    {
        rules = rules.For(client);
        var sessions = logs.GroupBy(l => l.On).OrderByDescending(g => g.Key)
            .Select(g => g.OrderBy(l => l.SetNumber).ToArray()).ToArray();
        if (sessions.Length == 0)
        {
            return null;
        }

        var last = sessions[0];
        if (Pain(line, last) is { } painful)
        {
            return painful;
        }

        if (Short(line, last) is { } shortfall)
        {
            return shortfall;
        }

        if (SchoolStep.For(line, rules, sessions, harder) is { } taught)
        {
            return taught;
        }

        if (line.Form == SetForm.RestPause)
        {
            return MoreInAll(line, rules);
        }

        if (anchor is null || !line.Count.IsRepetitions())
        {
            return MoreRepetitions(line, line.TopOfRange + 1, rules, "no load to raise here");
        }

        return implement?.Ladder.Above(line.Load) is not { } rung
            ? MoreRepetitions(
                line, rules.RepetitionCap, rules, line.Load > Mass.Zero ? "this is the heaviest load here" : "nothing can be added to it here")
            : RungStep(line, exercise, implement, rung, client, anchor, rules, sessions);
    }

    /// <summary>A line that may not be trained as it was planned, whatever was logged on it.</summary>
    /// <param name="against">Why, at least one reason.</param>
    public static Step NotAsPlanned(Prescription line, IReadOnlyList<string> against) =>
        new(StepKind.Stop, $"Do not train {Lower(line.Name)} as planned: {string.Join("; ", against)}. Rebuild this line.", [], null);

    private static Step? Pain(Prescription line, SetLog[] last)
    {
        var worst = last.MaxBy(l => l.Pain)!;
        return worst.Pain > PainStops
            ? new Step(
                StepKind.Stop,
                $"Stop {Lower(line.Name)}: pain {worst.Pain} of 10 on set {worst.SetNumber}. Swap it, and send the client to a physician or physiotherapist if it stays.",
                [$"Pain over {PainStops} stops a line; nothing is raised until the coach clears it."],
                null)
            : worst.Pain >= PainHolds
            ? new Step(
                StepKind.Hold,
                $"Hold {Lower(line.Name)} as it is: pain {worst.Pain} of 10 on set {worst.SetNumber}.",
                [$"Pain of {PainHolds} to {PainStops} holds a line where it is."],
                line)
            : null;
    }

    private static Step? Short(Prescription line, SetLog[] last)
    {
        if (last.Length < line.Counts.Length - line.OptionalSets)
        {
            return new Step(
                StepKind.Hold, $"The same again: {last.Length} of {line.Counts.Length} sets were done.",
                [], line);
        }

        int missed = Enumerable.Range(0, Math.Min(last.Length, line.Counts.Length)).Sum(i => Math.Max(0, line.Counts[i] - last[i].Repetitions));
        return missed > 0
            ? new Step(StepKind.Hold, $"The same again: {missed} {Plural(missed, "repetition")} short of {line.CountInWords}.", [], line)
            : null;
    }

    private static Step RungStep(
        Prescription line, Exercise exercise, HeldImplement implement, Rung rung,
        ClientProfile client, StrengthAnchor anchor, HouseRules rules, SetLog[][] sessions)
    {
        double jump = LoadStep.Jump(line, exercise, rung, client, anchor);
        string jumpWords = $"{line.Load} to {rung.Load} is {jump * 100:0.#} % more of what the muscles meet";
        int overTwice = sessions.Take(LoadStep.SessionsRunning).Count(s => Over(line, s) >= LoadStep.OverTarget);
        int earning = LoadStep.EarningCount(line, exercise, rung, client, anchor, rules);
        // A step small enough to take is earned over two sessions, never by one good day.
        bool earned = jump > LoadStep.Largest && sessions[0].Take(line.Counts.Length).All(s => s.Repetitions >= earning);
        if (jump > LoadStep.Largest && !earned)
        {
            return MoreRepetitions(
                line, earning, rules,
                $"{earning} earn {rung.Load}",
                $"{jumpWords}, over the {LoadStep.Largest * 100:0} % a step may be.",
                $"{earning} at {line.Load} forecast {line.Counts[^1]} at {rung.Load} with the same left over.");
        }

        if (!earned && overTwice < LoadStep.SessionsRunning)
        {
            return new Step(
                StepKind.Hold,
                overTwice == 1
                    ? $"The same once more: {LoadStep.OverTarget} over the target again earn {rung.Load}."
                    : $"The same again: {LoadStep.OverTarget} over the target, {LoadStep.SessionsRunning} sessions running, earn {rung.Load}.",
                [jumpWords + ".", $"Over the target last time: {Over(line, sessions[0])}, counting what was left beyond the plan."],
                line);
        }

        return new Step(
            StepKind.Load,
            $"Take {rung.Load} next: {line.CountInWords}.",
            [jumpWords + ".", earned ? $"All sets reached the {earning} that earn it." : $"{LoadStep.OverTarget} or more over the target in {LoadStep.SessionsRunning} sessions running."],
            line with { Load = rung.Load, Kit = implement.KitId, Hold = implement.Hold, LoadInWords = LoadWords.Of(rung, implement) });
    }

    /// <summary>Repetitions over the target on the last set; reserve beyond the plan counts as done.</summary>
    private static int Over(Prescription line, SetLog[] session)
    {
        var set = session[Math.Min(line.Counts.Length, session.Length) - 1];
        double spare = set.Reserve is { } left && line.Reserve is { } planned ? Math.Max(0, left - planned) : 0;
        return set.Repetitions + (int)Math.Floor(spare) - line.Counts[^1];
    }

    private static Step MoreRepetitions(Prescription line, int goal, HouseRules rules, string why, params string[] arithmetic)
    {
        int most = Math.Min(rules.RepetitionCap, Math.Max(goal, line.Counts.Max()));
        if (line.Counts.Min() >= most)
        {
            return new Step(
                StepKind.Hold, $"The same again: {most} is the most this line is given; a harder variation comes next ({why}).",
                [.. arithmetic], line);
        }

        var next = line with
        {
            Counts = [.. line.Counts.Select(c => Math.Min(most, c + 1))],
            TopOfRange = Math.Max(line.TopOfRange, Math.Min(most, line.Counts.Max() + 1)),
        };
        string unit = line.Count == CountKind.Seconds ? "second" : "rep";
        return new Step(StepKind.Repetitions, $"Add 1 {unit} a set: {next.CountInWords}; {why}.", [.. arithmetic], next);
    }

    /// <summary>A rest-pause grows by its first bout: two more in all, so that the small ones still add up to it.</summary>
    private static Step MoreInAll(Prescription line, HouseRules rules)
    {
        if (line.Counts[0] >= rules.RepetitionCap)
        {
            return new Step(StepKind.Hold, $"The same again: {line.Counts[0]} is the most a first bout is given; a heavier load or a harder variation comes next.", [], line);
        }

        var next = line with { Counts = line.Counts.SetItem(0, line.Counts[0] + 1).SetItem(line.Counts.Length - 1, line.Counts[^1] + 1) };
        return new Step(StepKind.Repetitions, $"Add 1 to the first bout and 1 to the last: {next.CountInWords}.", ["The small bouts add up to the first."], next);
    }

    private static string Plural(int count, string word) => count == 1 ? word : word + "s";

    private static string Lower(string name) => char.ToLowerInvariant(name[0]) + name[1..];
}

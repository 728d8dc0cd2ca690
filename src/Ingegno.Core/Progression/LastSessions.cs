using System.Collections.Immutable;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;
using Ingegno.Core.Safety;

namespace Ingegno.Core.Progression;

/// <summary>What the last sessions of a line say against going on as usual, worst first. Null: nothing.</summary>
internal static class LastSessions
{
    /// <summary>Running sessions after which a stop reason, or falling short, changes something (coach).</summary>
    private const int Running = 3;

    /// <summary>Missing so large a part of what was asked is no bad day: it was too much (coach).</summary>
    private const double FarShort = 1.0 / 3;

    /// <summary>Breath gave out: so much more rest, seconds (common practice).</summary>
    private const int MoreRest = 30;

    /// <summary>Missing so small a part of what was asked is not missing it (common practice).</summary>
    private const double SmallPart = 0.05;

    /// <summary>Soreness of 0 to 3 before the next day for the muscle, from which nothing is added.</summary>
    private const int StillSore = 2;

    internal static Step? Pain(LineCase about, SetLog[] last)
    {
        var line = about.Line;
        var worst = last.MaxBy(l => l.Pain)!;
        bool counts = about.ClearedThrough is not { } cleared || worst.On > cleared;
        if (counts && worst.Pain > PainHold.Stops)
        {
            return new Step(
                StepKind.Stop,
                $"Stop {PlainWords.InSentence(line.Name)}: pain {worst.Pain} of 10{At(worst)} on set {worst.SetNumber}. Swap it, and send the client to a physician or physiotherapist if it stays.",
                [$"Pain over {PainHold.Stops} stops a line; nothing is raised until the coach clears it."],
                null)
            {
                Stops = StopCause.Pain,
            };
        }

        if (about.Pain?.Against(about.Exercise) is { } report)
        {
            return new Step(
                StepKind.Hold, $"Hold {PlainWords.InSentence(line.Name)} as it is until the pain is cleared: {report.InWords}.",
                ["After pain over 5 the exercise, its neighbours on the ladder and all that loads the joint are not made harder (bands of Thomee 1997)."],
                line);
        }

        if (about.Pain?.Repeated(about.Exercise) is { } again)
        {
            return new Step(
                StepKind.Swap,
                $"Swap {PlainWords.InSentence(line.Name)}: {again.InWords}, the second report there within four sessions. Ask for a physician or physiotherapist to look at it.",
                [$"Two reports of {PainHold.Holds} or more at one place within four sessions ask for a swap."],
                null);
        }

        return counts && worst.Pain >= PainHold.Holds
            ? new Step(
                StepKind.Hold,
                $"Hold {PlainWords.InSentence(line.Name)} as it is: pain {worst.Pain} of 10{At(worst)} on set {worst.SetNumber}.",
                [$"Pain of {PainHold.Holds} to {PainHold.Stops} holds a line where it is."],
                line)
            : null;
    }

    internal static Step? StopReasons(Prescription line, SetLog[][] sessions)
    {
        bool Ran(StopReason reason) => sessions.Length >= Running && sessions.Take(Running).All(s => s.Any(set => set.Stopped == reason));
        return Ran(StopReason.Grip)
            ? new Step(
                StepKind.Change,
                $"Another grip for {PlainWords.InSentence(line.Name)}: the grip gave out first {Running} sessions running. A strap, a thicker towel off, or a hook in the elbow; the sets are no credit to the muscles meant.",
                ["A set the grip ends says nothing about the muscles it was for."],
                null)
            : Ran(StopReason.Breath)
            ? new Step(
                StepKind.Rest,
                $"Rest {line.Rest + Duration.FromSeconds(MoreRest)} instead of {line.Rest}: the breath gave out first {Running} sessions running.",
                ["A set the breath ends stops short of the muscle."],
                line with { Rest = line.Rest + Duration.FromSeconds(MoreRest) })
            : sessions[0].LastOrDefault()?.Stopped == StopReason.Form
            ? new Step(StepKind.Hold, "The same again, cleaner: form ended the last set.", ["Loss of form earns nothing."], line)
            : sessions[0].LastOrDefault()?.Stopped is StopReason.Grip or StopReason.Breath
            ? new Step(
                StepKind.Hold, $"The same again: {(sessions[0][^1].Stopped == StopReason.Grip ? "the grip" : "the breath")} ended the last set, not the muscle.",
                ["Only sets the muscle ends earn a step."], line)
            : null;
    }

    /// <summary>Not one repetition, and nothing lighter here: another set-up or exercise, for counts cannot help.</summary>
    internal static Step? NotOne(LineCase about, SetLog[] last) =>
        last.All(s => Sides.Done(s) == 0) && about.Line.Count.IsRepetitions() && Correction.Lighter(about, last, surely: true) is null
            ? new Step(
                StepKind.Change, $"Rebuild this line with an easier variation: not one repetition of {PlainWords.InSentence(about.Line.Name)} was done.",
                ["Nothing lighter is here, and no count is smaller than one."], null)
            : null;

    internal static Step? Falling(LineCase about, SetLog[][] sessions)
    {
        var line = about.Line;
        if (sessions.Length < Running || IsSmall(about.AskedOf(sessions[0]), sessions[0]) || !sessions.Take(Running).All(s => Missed(about.AskedOf(s), s) > 0))
        {
            return null;
        }

        string reason = $"short of {about.AskedOf(sessions[0]).CountInWords}, {Running} sessions running";
        // A small miss is small: a rung that is a step, else the count that is done.
        if (Correction.StepDown(about, Correction.Meant(about, about.AskedOf(sessions[0]))) is { } lighter)
        {
            return new Step(StepKind.Back, $"Back to {lighter.Load}: {reason}.", ["Lighter and clean beats the same again and short."], lighter);
        }

        var fewer = Correction.Fewer(about, sessions[0]);
        return new Step(StepKind.Back, $"Back to what is done, {fewer.CountInWords}: {reason}.", [], fewer);
    }

    /// <summary>Short by so small a part that it may be a plateau as well as a load too high.</summary>
    private const double SlightlyShort = 1.0 / 6;

    internal static bool IsSlightlyShort(LineCase about, SetLog[] last) =>
        about.AskedOf(last) is var asked && Missed(asked, last) is > 0 and var missed && missed <= SlightlyShort * asked.Counts.Sum();

    internal static Step? Short(LineCase about, SetLog[][] sessions)
    {
        var last = sessions[0];
        var (line, was) = (about.Line, about.AskedOf(last));
        // Asked about once; who always logs so is judged by what is there, and the desk says so.
        if (last.Length < about.SetsAsked(last) && !about.LeftSetsOutBefore && !sessions.Skip(1).Any(s => s.Length < about.SetsAsked(s)))
        {
            string ask = "If the others were done too they were not logged: worth asking once.";
            return 2 * last.Length > about.SetsAsked(last) && Correction.Up(about, sessions) is { } easy
                ? easy with { Arithmetic = [.. easy.Arithmetic, $"{last.Length} of {was.Counts.Length} sets were logged. {ask}"] }
                : new Step(StepKind.Hold, $"The same again: {last.Length} of {was.Counts.Length} sets were done.", [ask], line);
        }

        int missed = Missed(was, last);
        if (missed == 0)
        {
            return null;
        }

        int asked = was.Counts.Take(last.Length).Sum();
        string of = $"{missed} of {asked} {(line.Count == CountKind.Seconds ? "seconds" : "repetitions")} short";
        if (TooMuch(about, sessions, missed >= FarShort * asked) is not { } why)
        {
            return new Step(StepKind.Hold, $"The same again: {of}.", [], line);
        }

        if (Correction.Lighter(about, last, surely: missed >= FarShort * asked) is { } lighter)
        {
            return new Step(StepKind.TooMuch, $"Down to {lighter.Load}, {lighter.CountInWords}: {of}.", [why], lighter);
        }

        var fewer = Correction.Fewer(about, last);
        return new Step(StepKind.TooMuch, $"Down to what is done, {fewer.CountInWords}: {of}.", [why], fewer);
    }

    /// <summary>Why falling short is no bad day: a correction goes down as straight as up. Null where it may be one.</summary>
    private static string? TooMuch(LineCase about, SetLog[][] sessions, bool isFar)
    {
        var was = about.AskedOf(sessions[0]);
        if (isFar)
        {
            return $"A third or more short is more than a bad day: {was.CountInWords} was too much.";
        }

        var sets = about.Foresee(about.Line).Zip(about.Line.Counts, (range, count) => (range, count)).ToArray();
        if (sets.FirstOrDefault(s => s.range.High < s.count) is { range: not null } never)
        {
            return $"Even the high end of the forecast, {never.range.High:0.#}, does not reach the {never.count} asked.";
        }

        bool again = sessions.Length > 1 && !IsSmall(was, sessions[0]) && !IsSmall(about.AskedOf(sessions[1]), sessions[1]);
        return again && sets.FirstOrDefault(s => s.range.Middle < s.count) is { range: not null } low
            ? $"Short twice running, and the forecast, {low.range.Middle:0.#}, does not reach the {low.count} asked."
            : null;
    }

    /// <summary>One missed is not missed, nor two of sixty.</summary>
    private static bool IsSmall(Prescription asked, SetLog[] session) => Missed(asked, session) <= Math.Max(1, SmallPart * asked.Counts.Sum());

    /// <summary>
    /// All done, but with less left than was meant, and the forecast says so too: it sits above its effort as it is. What always is said tells nothing.
    /// </summary>
    internal static Step? LessLeft(LineCase about, SetLog[] last)
    {
        var was = about.AskedOf(last);
        double meant = Correction.Meant(about, was);
        return last[^1] is { ToLimit: false, Reserve: { IsOpen: false } left } && left.Figure < meant && about.Client.Learned.SaysAlways is null
            && about.Foresee(about.Line) is { IsEmpty: false } foreseen && foreseen.Zip(about.Line.Counts).Any(set => set.First.Middle < set.Second + meant)
            ? new Step(StepKind.Hold, $"The same again: {left.Figure:0.#} left on the last set, {meant:0.#} were meant.", ["More is asked for once the effort is the one that was meant."], about.Line)
            : null;
    }

    /// <summary>A line that asks more than it did earns nothing on what it asked before.</summary>
    internal static Step? NotAskedYet(LineCase about, SetLog[] last)
    {
        var (line, was) = (about.Line, about.AskedOf(last));
        return was.Counts.Sum() < line.Counts.Sum() && was.Count == line.Count
            ? new Step(
                StepKind.Hold, $"{line.CountInWords} waits to be trained: the last sets were asked as {was.CountInWords}.",
                [$"Sets are judged by what they were asked as on {last[0].On:d MMM}."], line)
            : null;
    }

    /// <summary>No later set asks more than an earlier one, and each asks one at least.</summary>
    internal static ImmutableArray<int> Falling(ImmutableArray<int> done) => [.. done.Select((_, i) => Math.Max(1, done.Take(i + 1).Min()))];

    internal static Step? Sore(LineCase about) =>
        about.Sore >= StillSore
            ? new Step(
                StepKind.Hold, $"The same again: still sore, {about.Sore} of 3, before the next day for it.",
                ["Nothing is added to a muscle that is still sore."], about.Line)
            : null;

    /// <summary>All that was asked.</summary>
    internal static bool IsDone(LineCase about, SetLog[] last) => about.AskedOf(last) is var asked && last.Length >= asked.Counts.Length && Missed(asked, last) == 0;

    private static int Missed(Prescription line, SetLog[] session) =>
        Enumerable.Range(0, Math.Min(session.Length, line.Counts.Length)).Sum(i => Math.Max(0, line.Counts[i] - Sides.Done(session[i])));

    private static string At(SetLog set) => set.PainAt is { } joint ? $" at the {PlainWords.Of(joint)}" : "";
}

/// <summary>Both sides of a one-limb exercise: the weaker one decides, and the stronger stops at its count.</summary>
internal static class Sides
{
    /// <summary>So many repetitions apart, a difference is told.</summary>
    private const int Apart = 2;

    internal static int Done(SetLog set) => Math.Min(set.Repetitions, set.OtherSide ?? set.Repetitions);

    /// <summary>What a difference between the sides asks for; null where there is none.</summary>
    internal static string? Told(SetLog[] session)
    {
        int first = session.Count(s => s.OtherSide - s.Repetitions >= Apart), other = session.Count(s => s.Repetitions - s.OtherSide >= Apart);
        return other > 0 ? "Start with the other side: it is the weaker one, and its count holds for both."
            : first > 0 ? "The stronger side went on: it stops at the weaker side's count."
            : null;
    }
}

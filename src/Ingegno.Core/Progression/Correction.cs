using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Effort;
using Ingegno.Core.Loads;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Progression;

/// <summary>
/// A dose that was plainly wrong is put right at once and in proportion, load and count together, up as well as down. In contrast to the
/// order of progression, which raises a right one by small steps.
/// </summary>
internal static class Correction
{
    /// <summary>Resistance moves by at most a fifth an exposure, unless a safe set to the limit backs more (common practice).</summary>
    private const double MostAtOnce = 0.20;

    /// <summary>Too easy where even the low end of the range leaves so many more than meant (common practice).</summary>
    private const double TooEasyBy = 3;

    /// <summary>A line leaves at most so many on purpose; a beginner one more (common practice).</summary>
    private const double MostMeant = 4, MostMeantForBeginners = 5;

    /// <summary>Repetitions a line is meant to leave: as planned, where that was not for want of load.</summary>
    internal static double Meant(LineCase about, Prescription asked) => Math.Min(
        asked.Reserve ?? about.Rules.Reserve, about.Client.Level == Level.Beginner ? MostMeantForBeginners : MostMeant);

    /// <summary>To the dose that leaves what was meant; null where the line is not far too easy, or nothing harder is here.</summary>
    /// <param name="sessions">Newest first, all of it done.</param>
    internal static Step? Up(LineCase about, SetLog[][] sessions)
    {
        var line = about.Line;
        if (line.Form != SetForm.Straight || about.Foresee(line) is not { IsEmpty: false } foreseen)
        {
            return null;
        }

        double meant = Meant(about, about.AskedOf(sessions[0]));
        bool limit = sessions[0].Any(s => s.ToLimit);
        bool isSaid = IsSaid(about, sessions[0], meant);
        if (!(IsFarTooEasy(foreseen, line, meant) || (isSaid && IsFarTooEasyInTheMiddle(foreseen, line, meant))) || !IsBorneOut(about, sessions[0], meant))
        {
            return null;
        }

        int last = line.Counts[^1];
        ImmutableArray<string> why =
        [
            IsFarTooEasy(foreseen, line, meant)
                ? $"Even the low end of the forecast leaves {Math.Floor(foreseen[^1].Low - last):0} after {last}, meant were {meant:0.#}."
                : $"Every set was said to leave {meant + TooEasyBy:0.#} and more, and the forecast says so too: {Math.Floor(foreseen[^1].Middle - last):0} after {last}, meant were {meant:0.#}.",
            limit ? "A set to the limit backs the whole way." : $"Load moves by a fifth at most until a set to the limit backs more.",
        ];
        var zone = about.Rules.Zones.Of((about.Start ?? line).Counts.Min());
        if (Heavier(about, limit ? double.MaxValue : MostAtOnce, meant) is { } rung)
        {
            var loaded = On(line, rung, about.Implement!);
            // A fifth is not always enough: then the count goes with it, inside its zone.
            var next = Counted(about, loaded, meant, zone.Most) ?? loaded;
            return new(StepKind.Load, $"Far too easy: take {rung.Load}, {next.CountInWords}.", why, next);
        }

        if (Counted(about, line, meant, zone.Most) is { } counted)
        {
            return new(StepKind.Repetitions, $"Far too easy: {counted.CountInWords}.", why, counted);
        }

        return about.Variations is [var harder, ..]
            ? new(StepKind.Variation, $"Far too easy: move up to {PlainWords.InSentence(harder.Name)}, {harder.CountInWords}.", why, harder)
            : null;
    }

    private static bool IsFarTooEasy(ImmutableArray<RepetitionRange> foreseen, Prescription line, double meant) =>
        foreseen.Zip(line.Counts, (range, count) => range.Low >= count + meant + TooEasyBy).All(easy => easy);

    private static bool IsFarTooEasyInTheMiddle(ImmutableArray<RepetitionRange> foreseen, Prescription line, double meant) =>
        foreseen.Zip(line.Counts, (range, count) => range.Middle >= count + meant + TooEasyBy).All(easy => easy);

    /// <summary>Every set asked for was done and said to leave far more than was meant.</summary>
    private static bool IsSaid(LineCase about, SetLog[] last, double meant) =>
        last.Length >= about.SetsAsked(last) && last.All(s => s.ToLimit || s.Reserve is not null) && IsBorneOut(about, last, meant);

    /// <summary>What was done and said does not speak against it. Who said nothing is taken at the forecast.</summary>
    private static bool IsBorneOut(LineCase about, SetLog[] last, double meant)
    {
        var asked = about.AskedOf(last);
        var told = last.Select((s, i) => (Set: s, Count: asked.Counts[Math.Min(i, asked.Counts.Length - 1)])).Where(s => s.Set.ToLimit || s.Set.Reserve is not null).ToArray();
        return told.All(s => Sides.Done(s.Set) + (s.Set.ToLimit ? 0 : s.Set.Reserve!.Value.Figure) >= s.Count + meant + TooEasyBy);
    }

    /// <summary>The heaviest load here, so much more of what the muscles meet at most, at which the counts leave what was meant.</summary>
    private static Rung? Heavier(LineCase about, double most, double meant)
    {
        Rung? heaviest = null;
        for (var rung = about.Implement?.Ladder.Above(about.Line.Load);
            rung is not null && LoadStep.Jump(about.Line, about.Exercise, rung, about.Client, about.Anchor!) <= most + 1e-9
                && IsBorne(rung);
            rung = about.Implement!.Ladder.Above(rung.Load))
        {
            heaviest = rung;
        }

        return heaviest;

        // Past a fifth the low end has to bear it too: so far off the forecast leans on the curve more than on what was done.
        bool IsBorne(Rung rung) =>
            about.Line with { Load = rung.Load } is var there && about.Leaves(meant, there)
            && (LoadStep.Jump(about.Line, about.Exercise, rung, about.Client, about.Anchor!) <= MostAtOnce + 1e-9
                || about.Foresee(there).Zip(there.Counts).All(set => set.First.Low >= set.Second));
    }

    /// <summary>Counts that leave what was meant, where the low end still leaves far more; null where they are there already.</summary>
    private static Prescription? Counted(LineCase about, Prescription line, double meant, int top)
    {
        if (!IsFarTooEasy(about.Foresee(line), line, meant))
        {
            return null;
        }

        // Earlier sets tire later ones: the last count that leaves enough is found by trying.
        int more = 0;
        while (line.Counts.Max() + more < top && about.Leaves(meant, Raised(more + 1)))
        {
            more++;
        }

        return more == 0 ? null : Raised(more);

        Prescription Raised(int by) => line with
        {
            Counts = [.. line.Counts.Select(c => Math.Max(c, Math.Min(top, c + by)))],
            TopOfRange = Math.Max(line.TopOfRange, Math.Min(top, line.Counts.Max() + by)),
        };
    }

    /// <summary>
    /// A lighter load of a fifth less at most: the heaviest at which the counts are forecast, else the lightest of them with as many as it
    /// allows. Where every set went to failure and a fifth less would not even leave the zone's fewest, as far as it takes. Null where none lies
    /// so near.
    /// </summary>
    /// <param name="last">Sets of the last session.</param>
    internal static Prescription? Lighter(LineCase about, SetLog[] last)
    {
        if (about.Implement is not { } implement || about.Anchor is not { } anchor || about.Foresee(about.Line).IsEmpty)
        {
            return null;
        }

        int fewest = about.Rules.Zones.Of((about.Start ?? about.Line).Counts.Min()).Least;
        Prescription? lightest = null;
        for (var rung = implement.Ladder.Below(about.Line.Load); rung is not null && rung.Load > Mass.Zero; rung = implement.Ladder.Below(rung.Load))
        {
            if (LoadStep.Jump(about.Line, about.Exercise, rung, about.Client, anchor) < -MostAtOnce - 1e-9
                && !(last.All(Belief.IsToFailure) && (lightest is null || AsForecast(about, lightest).Counts.Max() < fewest)))
            {
                break;
            }

            lightest = On(about.Line, rung, implement);
            if (about.Leaves(0, lightest))
            {
                return lightest;
            }
        }

        return lightest is null ? null : AsForecast(about, lightest);
    }

    /// <summary>A step down is at least so much, else nobody would feel it (common practice).</summary>
    private const double LeastStep = 0.02;

    /// <summary>The heaviest load that is a step lighter, at most a tenth; null where none lies so near.</summary>
    internal static Prescription? StepDown(LineCase about)
    {
        if (about is not { Implement: { } implement, Anchor: { } anchor })
        {
            return null;
        }

        for (var rung = implement.Ladder.Below(about.Line.Load); rung is not null && rung.Load > Mass.Zero; rung = implement.Ladder.Below(rung.Load))
        {
            double jump = LoadStep.Jump(about.Line, about.Exercise, rung, about.Client, anchor);
            if (jump <= -LeastStep)
            {
                return jump >= -LoadStep.Largest - 1e-9 ? On(about.Line, rung, implement) : null;
            }
        }

        return null;
    }

    /// <summary>With as many in every set as are forecast to leave so many.</summary>
    internal static Prescription AsForecast(LineCase about, Prescription line, double reserve = 0)
    {
        var counts = line.Counts;
        while (counts.Max() > 1 && !about.Leaves(reserve, line with { Counts = counts }))
        {
            int highest = counts.Max();
            counts = [.. counts.Select(c => Math.Min(c, highest - 1))];
        }

        return line with { Counts = counts };
    }

    internal static Prescription On(Prescription line, Rung rung, HeldImplement implement) =>
        line with { Load = rung.Load, Kit = implement.KitId, Hold = implement.Hold, LoadInWords = LoadWords.Of(rung, implement) };
}

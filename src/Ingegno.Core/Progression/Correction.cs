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
    /// <summary>Resistance moves by at most a fifth an exposure, unless a set to the limit, or one that far past its count, backs more (common practice).</summary>
    private const double MostAtOnce = 0.20;

    /// <summary>Too easy where even the low end of the range leaves so many more than meant (common practice).</summary>
    internal const double TooEasyBy = 3;

    /// <summary>While a line finds its dose a smaller surplus is put right as well: nobody has got used to it yet (common practice).</summary>
    private const double TooEasyAtFirstBy = 2;

    /// <summary>Exposures in which a line finds its dose (common practice).</summary>
    private const int Finding = 3;

    private static double EasyBy(LineCase about) => about.Exposures is > 0 and <= Finding ? TooEasyAtFirstBy : TooEasyBy;

    /// <summary>A line leaves at most so many on purpose; a beginner one more (common practice).</summary>
    private const double MostMeant = 4, MostMeantForBeginners = 5;

    /// <summary>Repetitions a line is meant to leave: as planned, where that was not for want of load.</summary>
    internal static double Meant(LineCase about, Prescription asked) => Math.Min(
        asked.Reserve ?? about.Rules.Reserve, about.Client.Level == Level.Beginner ? MostMeantForBeginners : MostMeant);

    /// <summary>To the dose that leaves what was meant; null where the line is not far too easy, or nothing harder is here.</summary>
    /// <param name="sessions">Newest first, all of it done.</param>
    internal static Step? Up(LineCase about, SetLog[][] sessions)
    {
        if (WhyTooEasy(about, sessions) is not { } why)
        {
            return null;
        }

        var line = about.Line;
        double meant = Meant(about, about.AskedOf(sessions[0]));
        var zone = about.Rules.Zones.Of((about.Start ?? line).Counts.Min());
        if (Heavier(about, sessions[0], meant) is { } rung)
        {
            var loaded = On(line, rung, about.Implement!);
            // A fifth is not always enough: then the count goes with it, inside its zone.
            var next = (IsFarTooEasy(about.Foresee(loaded), loaded, meant) ? Counted(about, loaded, meant, zone.Most) : null) ?? loaded;
            return new(StepKind.Load, $"Far too easy: take {rung.Load}, {next.CountInWords}.", why, next);
        }

        // Where only what was said calls it too easy, a load that was earned comes first, and else as many more as were said.
        bool isForeseen = IsFarTooEasy(about.Foresee(line), line, meant);
        if (!isForeseen && NextStep.EarnedALoad(about, sessions))
        {
            return null;
        }

        int top = isForeseen ? zone.Most : Math.Min(zone.Most, line.Counts.Max() + SaidToSpare(about, sessions[0], meant));
        if (Counted(about, line, meant, top) is not { } counted)
        {
            return about.Variations is [var up, ..] ? MoveUp(up, why) : null;
        }

        // What even the most repetitions of its zone leave far too easy is not cured by counting; where no answer tells, counting shows it first.
        return Told(about, sessions[0]).Any() && counted.Counts.Max() >= zone.Most && about.Foresee(counted) is var most && IsFarTooEasyInTheMiddle(most, counted, meant + (2 * TooEasyBy))
            && about.Variations.FirstOrDefault(v => v.Count == line.Count && v.Counts.All(zone.Holds)) is { } harder
            ? MoveUp(harder, [.. why, $"With {counted.CountInWords}, the most of its zone, the forecast would still leave {Math.Floor(most[^1].Middle - counted.Counts[^1]):0}."])
            : new(StepKind.Repetitions, $"Far too easy: {counted.CountInWords}.", why, counted);
    }

    private static Step MoveUp(Prescription harder, ImmutableArray<string> why) =>
        new(StepKind.Variation, $"Far too easy: move up to {PlainWords.InSentence(harder.Name)}, {harder.CountInWords}.", why, harder);

    /// <summary>Why the line is far too easy; null where it is not, or where what was done and said speaks against it.</summary>
    internal static ImmutableArray<string>? WhyTooEasy(LineCase about, SetLog[][] sessions)
    {
        var line = about.Line;
        if (line.Form != SetForm.Straight || about.Foresee(line) is not { IsEmpty: false } foreseen)
        {
            return null;
        }

        double meant = Meant(about, about.AskedOf(sessions[0]));
        bool isSaid = IsSaid(about, sessions[0], meant);
        if (!(IsFarTooEasy(foreseen, line, meant) || (isSaid && IsFarTooEasyInTheMiddle(foreseen, line, meant + EasyBy(about)))) || !IsBorneOut(about, sessions[0], meant))
        {
            return null;
        }

        int last = line.Counts[^1];
        return
        [
            IsFarTooEasy(foreseen, line, meant)
                ? $"Even the low end of the forecast leaves {Math.Floor(foreseen[^1].Low - last):0} after {last}, meant were {meant:0.#}."
                : $"{WhatWasSaid()}: {Math.Floor(foreseen[^1].Middle - last):0} after {last}, meant were {meant:0.#}.",
            IsBacked(about, sessions[0], meant)
                ? $"{sessions[0].Max(Sides.Done)} repetitions in one set back the whole way." : "Load moves by a fifth at most until a set to the limit backs more.",
        ];

        string WhatWasSaid() => Told(about, sessions[0]).Any()
            ? $"Every set was said to leave {meant + EasyBy(about):0.#} and more, and the forecast says so too"
            : $"What is left is always said to be {about.Client.Learned.SaysAlways:0.#}, so the forecast decides";
    }

    /// <summary>A set to the limit, or one that went far past its count, shows what is there.</summary>
    private static bool IsBacked(LineCase about, SetLog[] last, double meant) =>
        last.Select((s, i) => s.ToLimit || Sides.Done(s) >= CountOf(about, last, i) + meant + TooEasyBy).Any(backed => backed);

    private static bool IsFarTooEasy(ImmutableArray<RepetitionRange> foreseen, Prescription line, double meant) =>
        foreseen.Zip(line.Counts, (range, count) => range.Low >= count + meant + TooEasyBy).All(easy => easy);

    private static bool IsFarTooEasyInTheMiddle(ImmutableArray<RepetitionRange> foreseen, Prescription line, double least) =>
        foreseen.Zip(line.Counts, (range, count) => range.Middle >= count + least).All(easy => easy);

    /// <summary>Most of the sets asked for were logged, and all of them said to leave far more than was meant.</summary>
    private static bool IsSaid(LineCase about, SetLog[] last, double meant) =>
        2 * last.Length > about.SetsAsked(last) && last.All(s => s.ToLimit || s.Reserve is not null) && IsBorneOut(about, last, meant);

    private static int CountOf(LineCase about, SetLog[] session, int set) =>
        about.AskedOf(session).Counts is var asked ? asked[Math.Min(set, asked.Length - 1)] : 0;

    /// <summary>What was done and said does not speak against it. Who said nothing is taken at the forecast.</summary>
    private static bool IsBorneOut(LineCase about, SetLog[] last, double meant) => Told(about, last).All(s => Surplus(s) >= meant + EasyBy(about));

    /// <summary>Repetitions the tightest set had beyond its count and what was meant, by what was done and said; very many where no figure was said.</summary>
    private static int SaidToSpare(LineCase about, SetLog[] last, double meant) =>
        Told(about, last).Where(s => s.Set.ToLimit || s.Set.Reserve is { IsOpen: false }).Select(s => (int)Math.Floor(Surplus(s) - meant)).DefaultIfEmpty(about.Rules.RepetitionCap).Min();

    /// <summary>Beyond its count, what was left counted.</summary>
    private static double Surplus((SetLog Set, int Count) told) => Sides.Done(told.Set) + (told.Set.ToLimit ? 0 : told.Set.Reserve!.Value.Figure) - told.Count;

    /// <summary>Sets that tell: what is always answered does not, nor what the next set refuted.</summary>
    private static IEnumerable<(SetLog Set, int Count)> Told(LineCase about, SetLog[] last)
    {
        return last.Select((s, i) => (Set: s, Count: CountOf(about, last, i))).Where(s => s.Set.ToLimit || IsTold(s.Set, s.Count));

        bool IsTold(SetLog set, int count) =>
            set.Reserve is { } said && !(said.Figure == about.Client.Learned.SaysAlways && Sides.Done(set) <= count) && Refuted.By(set, last) is null;
    }

    /// <summary>The heaviest load here, so much more of what the muscles meet at most, at which the counts leave what was meant.</summary>
    private static Rung? Heavier(LineCase about, SetLog[] last, double meant)
    {
        if (about.Anchor is not { } anchor)
        {
            return null;
        }

        var effort = new ExerciseEffort(about.Exercise, about.Client, anchor, about.Line.Geometry);
        double most = IsBacked(about, last, meant) ? double.MaxValue : MostAtOnce;
        Rung? heaviest = null;
        for (var rung = about.Implement?.Ladder.Above(about.Line.Load);
            rung is not null && LoadStep.Jump(about.Line, about.Exercise, rung, about.Client, anchor) is var jump && jump <= most + 1e-9 && IsEnough(rung, jump);
            rung = about.Implement!.Ladder.Above(rung.Load))
        {
            heaviest = rung;
        }

        return heaviest;

        // Past a fifth the low end has to bear it too, and the sets by themselves: so far off the forecast leans on the curve more than on what was done.
        bool IsEnough(Rung rung, double jump) =>
            about.Line with { Load = rung.Load } is var there && about.Leaves(meant, there)
            && (jump <= MostAtOnce + 1e-9 || (IsBorne(about, there) && ByEpley(rung.Load, there.Counts.Max()) <= last.Max(s => ByEpley(s.Load, Possible(s)))));

        Mass ByEpley(Mass load, int repetitions) => MaximumFormulas.Epley(effort.ResistanceOf(load), repetitions);

        static int Possible(SetLog set) => Sides.Done(set) + (set.ToLimit ? 0 : (int)(set.Reserve?.Figure ?? 0));
    }

    /// <summary>The most repetitions that leave what was meant; null where no more do.</summary>
    private static Prescription? Counted(LineCase about, Prescription line, double meant, int top)
    {
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
    /// A lighter load of a fifth less at most: the heaviest that leaves what was meant, else the lightest of them with as many as it allows. Where every
    /// set went to failure and a fifth less would not even leave the zone's fewest, further, unless that is farther off on the other side. Null where none lies
    /// so near.
    /// </summary>
    /// <param name="last">Sets of the last session.</param>
    /// <param name="surely">The low end of the range has to bear the counts too: who fell far short is to come through next time.</param>
    internal static Prescription? Lighter(LineCase about, SetLog[] last, bool surely)
    {
        if (about.Implement is not { } implement || about.Anchor is not { } anchor || about.Foresee(about.Line).IsEmpty)
        {
            return null;
        }

        var asked = about.AskedOf(last);
        double meant = Meant(about, asked);
        int fewest = about.Rules.Zones.Of((about.Start ?? about.Line).Counts.Min()).Least;
        Prescription? lightest = null;
        for (var rung = implement.Ladder.Below(about.Line.Load); rung is not null && rung.Load > Mass.Zero; rung = implement.Ladder.Below(rung.Load))
        {
            if (LoadStep.Jump(about.Line, about.Exercise, rung, about.Client, anchor) < -MostAtOnce - 1e-9
                && !(last.All(s => new TrainedSet(s, asked).IsToFailure) && IsNearer(On(about.Line, rung, implement), lightest ?? about.Line)))
            {
                break;
            }

            lightest = On(about.Line, rung, implement);
            if (about.Leaves(meant, lightest) && (!surely || IsBorne(about, lightest)))
            {
                return lightest;
            }
        }

        return lightest is null ? null : AsForecast(about, lightest, meant);

        // Too light by no more than what is here is too heavy, and what is here leaves less than the zone's fewest.
        bool IsNearer(Prescription there, Prescription here) =>
            AsForecast(about, here).Counts.Max() < fewest && Possible(there) * Possible(here) <= Math.Pow(about.Line.Counts.Max(), 2);

        double Possible(Prescription line) => Math.Max(1, about.Foresee(line)[^1].Middle - meant);
    }

    /// <summary>Even the low end of the range reaches every count.</summary>
    private static bool IsBorne(LineCase about, Prescription line) => about.Foresee(line).Zip(line.Counts).All(set => set.First.Low >= set.Second);

    /// <summary>As many in every set as leave what was meant, where no load can be taken off; never fewer than every set had.</summary>
    internal static Prescription Fewer(LineCase about, SetLog[] last)
    {
        int least = Math.Max(1, last.Min(Sides.Done));
        // The most first: 13/9/12 is 13/12/9, the same work, and one odd set does not make the next one odd.
        var done = about.Line with { Counts = [.. about.Line.Counts.Select((c, i) => Math.Max(1, Math.Min(c, i < last.Length ? Sides.Done(last[i]) : c))).OrderDescending()] };
        return about.Foresee(done).IsEmpty ? done : done with { Counts = [.. AsForecast(about, done, Meant(about, about.AskedOf(last))).Counts.Zip(done.Counts, (c, d) => Math.Min(d, Math.Max(c, least)))] };
    }

    /// <summary>A step down is at least so much, else nobody would feel it (common practice).</summary>
    private const double LeastStep = 0.02;

    /// <summary>
    /// A step lighter, a tenth at most: the heaviest load that leaves what was meant, else the lightest of them. Null where none lies so near.
    /// </summary>
    internal static Prescription? StepDown(LineCase about, double meant)
    {
        if (about is not { Implement: { } implement, Anchor: { } anchor })
        {
            return null;
        }

        Prescription? lighter = null;
        for (var rung = implement.Ladder.Below(about.Line.Load);
            rung is not null && rung.Load > Mass.Zero && LoadStep.Jump(about.Line, about.Exercise, rung, about.Client, anchor) is var jump && jump >= -LoadStep.Largest - 1e-9
                && (lighter is null || !about.Leaves(meant, lighter));
            rung = implement.Ladder.Below(rung.Load))
        {
            lighter = jump <= -LeastStep ? On(about.Line, rung, implement) : lighter;
        }

        return lighter;
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

using System.Collections.Immutable;
using System.Text.Json.Serialization;
using Ingegno.Core.Blocks;
using Ingegno.Core.Dosing;
using Ingegno.Core.Effort;
using Ingegno.Core.Loads;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Progression;

/// <summary>What to do with a line next week.</summary>
public enum StepKind
{
    /// <summary>Pain over 5, or a set-up that does not stand any more: the line stops and is rebuilt.</summary>
    Stop,

    /// <summary>Pain again at one place: another exercise.</summary>
    Swap,

    /// <summary>Something else than the muscle ends the sets: another grip or set-up.</summary>
    Change,

    /// <summary>Far short at once: it asked too much.</summary>
    TooMuch,

    /// <summary>Short for several sessions: a step back.</summary>
    Back,

    /// <summary>No rise for long: something else is raised, or an easier week comes first.</summary>
    Stuck,

    /// <summary>The same again.</summary>
    Hold,

    /// <summary>More load.</summary>
    Load,

    /// <summary>More repetitions with the same load.</summary>
    Repetitions,

    /// <summary>Another rest: less where density goes up, more where the breath gives out.</summary>
    Rest,

    /// <summary>A set more, the total kept.</summary>
    Set,

    /// <summary>A harder variation.</summary>
    Variation,

    /// <summary>Slower on the way down.</summary>
    Tempo,

    /// <summary>Held longer at the hard end.</summary>
    Pause,
}

/// <summary>Why a line stops.</summary>
public enum StopCause
{
    Pain,
    SetUp,
}

/// <summary>A proposal for next week: one sentence, the figures behind it, and the line as it would then be.</summary>
/// <param name="Next">The prescription to follow; null when the line stops or only the coach can say what comes.</param>
public sealed record Step(StepKind Kind, string Sentence, ImmutableArray<string> Arithmetic, Prescription? Next)
{
    /// <summary>Why the line stops; null for steps that do not stop it.</summary>
    public StopCause? Stops { get; init; }

    /// <summary>Nobody has to decide anything.</summary>
    [JsonIgnore]
    public bool IsTheSameAgain => Kind == StepKind.Hold;
}

/// <summary>
/// Next week by a table of rules: the first that has something to say decides. Pain comes before anything, then what the last sessions say
/// against going on, then a dose that is plainly wrong; else one thing is raised, load before repetitions before a set, a variation, tempo and a
/// pause, each when the one before has run out.
/// </summary>
public static class NextStep
{
    /// <summary>A held line grows by so many seconds, a carried one by so many metres (coach).</summary>
    private const int SecondsAStep = 5, MetresAStep = 10;

    private static int StepOf(CountKind count) => count switch
    {
        CountKind.Seconds => SecondsAStep,
        CountKind.Metres => MetresAStep,
        _ => 1,
    };

    /// <summary>Repetitions added at once where every set had them to spare (coach).</summary>
    private const int MostAtOnce = 4;

    /// <returns>Null when nothing was logged.</returns>
    public static Step? For(LineCase about)
    {
        about = about with { Rules = about.Rules.For(about.Client) };
        var line = about.Line;
        SetLog[][] sessions =
        [
            .. about.Logs.GroupBy(l => l.On).OrderByDescending(g => g.Key).Select(g => g.OrderBy(l => l.SetNumber).ToArray()),
        ];
        // Pain counts with whatever load it came.
        if (!about.Otherwise.IsEmpty && (sessions.Length == 0 || about.Otherwise[0].On > sessions[0][0].On)
            && (LastSessions.Pain(about, [.. about.Otherwise]) ?? CleanWork.OtherLoad(about, [.. about.Otherwise])) is { } based)
        {
            return based;
        }

        if (sessions.Length == 0)
        {
            return null;
        }

        var step = Against.Select(rule => rule(about, sessions)).FirstOrDefault(s => s is not null)
            ?? CleanWork.AtLeast(Onward.Select(rule => rule(about, sessions)).First(s => s is not null)!, about, sessions[0]);
        step = step.Arithmetic.IsEmpty ? step with { Arithmetic = [DecidedFrom(about, sessions[0])] } : step;
        return Sides.Told(sessions[0]) is { } told ? step with { Arithmetic = step.Arithmetic.Add(told) } : step;
    }

    /// <summary>What was done and said, and what is foreseen: all there is to say where a rule needs no arithmetic of its own.</summary>
    private static string DecidedFrom(LineCase about, SetLog[] last)
    {
        string left = last.All(s => s.Reserve is null) ? "" : $", {string.Join('/', last.Select(s => s.Reserve?.ToString() ?? "?"))} left";
        var foreseen = about.Foresee(about.Line);
        return $"{last[0].On:d MMM}: {string.Join('/', last.Select(Sides.Done))} done of {about.AskedOf(last).CountInWords}{left}."
            + (foreseen.IsEmpty ? "" : $" The forecast now: {string.Join('/', foreseen.Select(f => $"{f.Middle:0}"))} to failure.");
    }

    /// <summary>One rule: null where it has nothing to say.</summary>
    /// <param name="sessions">Newest first, sets in order; at least one.</param>
    private delegate Step? Rule(LineCase about, SetLog[][] sessions);

    /// <summary>What speaks against going on, worst first.</summary>
    private static readonly ImmutableArray<Rule> Against =
    [
        (about, sessions) => LastSessions.Pain(about, sessions[0]),
        LayOff.Of,
        (about, sessions) => LastSessions.StopReasons(about.Line, sessions),
        (about, sessions) => sessions.Length >= Plateau.Back && LastSessions.IsSlightlyShort(about, sessions[0]) ? Stuck(about, sessions) : null,
        (about, sessions) => LastSessions.NotOne(about, sessions[0]),
        LastSessions.Falling,
        LastSessions.Short,
        CleanWork.AtTheEnd,
        (about, sessions) => LastSessions.NotAskedYet(about, sessions[0]),
        (about, _) => LastSessions.Sore(about),
        (about, _) => SchoolStep.Capped(about),
        LayOff.SetsComeBack,
        (about, _) => about.Week == WeekKind.Full ? null : new Step(StepKind.Hold, "The same again: the week was a lighter one, and the full sets come first.", [], about.Line),
    ];

    /// <summary>How it goes on; the last always has something to say.</summary>
    private static readonly ImmutableArray<Rule> Onward =
    [
        (about, sessions) => LastSessions.LessLeft(about, sessions[0]),
        Correction.Up,
        Slower,
        SchoolStep.For,
        (about, _) => about.Line.Form == SetForm.RestPause ? MoreInAll(about.Line, about.Rules) : null,
        Stuck,
        Raised,
    ];

    /// <summary>
    /// A flat line over four exposures as it stands now, without a better set, where the last session did not beat its target either: a line that
    /// was raised since has risen, and one that goes down while all that is asked is done is not going down.
    /// </summary>
    private static Step? Stuck(LineCase about, SetLog[][] sessions)
    {
        var trend = Plateau.Of(about.Estimates);
        int asNow = sessions.TakeWhile(s => about.AskedOf(s) is var was && was.Tempo == about.Line.Tempo && was.Load == about.Line.Load).Count();
        if (trend is Trend.TooEarly or Trend.Rising || asNow < Plateau.Back || (trend == Trend.Falling && LastSessions.IsDone(about, sessions[0]))
            || Over(about, about.AskedOf(sessions[0]), sessions[0]) > 0 || IsBetterLately(sessions))
        {
            return null;
        }

        ImmutableArray<string> arithmetic =
        [
            $"Smoothed estimate ({Plateau.Newest} on the newest) after {about.Estimates.Length} exposures against {Plateau.Back} before: "
                + $"{(trend == Trend.Flat ? "no higher" : "lower")}.",
        ];
        return trend == Trend.Falling
            ? new(StepKind.Stuck, $"{about.Line.Name} is going down: an easier week first, then on from there.", arithmetic, null)
            : Further(about, [Raise.Variation, Raise.Tempo, Raise.Pause]) is { } other
            ? new(StepKind.Stuck, $"{about.Line.Name} has stood still for {Plateau.Back} exposures: change one thing, {other.Words}{(other.Next.Counts.SequenceEqual(about.Line.Counts) ? "" : $", {other.Next.CountInWords}")}.", arithmetic, other.Next)
            : new(StepKind.Stuck, $"{about.Line.Name} has stood still for {Plateau.Back} exposures: an easier week, or another exercise.", arithmetic, null);
    }

    /// <summary>A set of the last exposures beats every one before them at this load.</summary>
    private static bool IsBetterLately(SetLog[][] sessions) =>
        sessions.Length > Plateau.Back && sessions.Take(Plateau.Back).Max(Best) > sessions.Skip(Plateau.Back).Max(Best);

    private static int Best(SetLog[] session) => session.Max(Sides.Done);

    private static Step Raised(LineCase about, SetLog[][] sessions)
    {
        var line = about.Line;
        int spare = Spare(about, sessions);
        foreach (var what in spare > 0 ? ProgressionOrder.ForEasy(about.Purpose, about.Rules) : ProgressionOrder.For(about.Purpose, about.Rules))
        {
            var step = what switch
            {
                Raise.Load => Rung(about, sessions),
                Raise.Repetitions => MoreRepetitions(line, TopOf(about), spare, about.Rules, WhyRepetitions(about)),
                Raise.Set when spare > 0 && Further(about, [what]) is { } more => WithAll(line, more),
                _ => Further(about, [what]) is { } raised ? new Step(KindOf(raised.What), Sentence(raised), [], raised.Next) : null,
            };
            if (step is not null)
            {
                return step;
            }
        }

        return new(StepKind.Hold, $"The same again: nothing on this line is left to raise here, {WhyRepetitions(about)}.", [], line);
    }

    /// <summary>Where every set had some to spare the counts stay as they are beside the new one: shared out they would only get easier.</summary>
    private static Step WithAll(Prescription line, Raised more)
    {
        var next = more.Next with { Counts = [.. line.Counts, line.Counts[^1]] };
        return new(StepKind.Set, $"Add a set more: {next.CountInWords}.", ["Every set had some to spare: none is made shorter for it."], next);
    }

    /// <summary>
    /// Far too easy at the top of its zone, with nothing harder here and no load that repetitions could earn: slower on the way down, then held
    /// longer, as many seconds as still leave what was meant with the counts as they are.
    /// </summary>
    private static Step? Slower(LineCase about, SetLog[][] sessions)
    {
        if (about.Line.Counts.Min() < about.Rules.Zones.Of((about.Start ?? about.Line).Counts.Min()).Most || EarnsALoad(about)
            || Correction.WhyTooEasy(about, sessions) is not { } why)
        {
            return null;
        }

        double meant = Correction.Meant(about, about.Line);
        Prescription? slower = null;
        for (var line = about.Line; Next(line) is { } next && about.Leaves(meant, next); line = next)
        {
            slower = next;
        }

        return slower is null ? null : new(StepKind.Tempo, $"Far too easy: tempo {slower.Tempo}, {slower.CountInWords}.", why, slower);

        Prescription? Next(Prescription line) => ProgressionOrder.After(
            new(line, line, about.Exercise, about.Implement, about.Anchor, []), [Raise.Tempo, Raise.Pause], about.Client, about.Rules)?.Next;
    }

    private static bool EarnsALoad(LineCase about) =>
        about is { Implement: { } held, Anchor: { } anchor } && held.Ladder.Above(about.Line.Load) is { } rung
        && LoadStep.Earning(about.Line with { Counts = FromStart(about) }, about.Exercise, rung, about.Client, anchor, about.Rules) <= about.Rules.RepetitionCap;

    /// <summary>What is raised once load and repetitions have run out.</summary>
    private static Raised? Further(LineCase about, ImmutableArray<Raise> order) =>
        order.Select(what => ProgressionOrder.After(
            new(about.Line, about.Start ?? about.Line, about.Exercise, about.Implement, about.Anchor, about.Variations), [what], about.Client, about.Rules))
            .Select(raised => raised is null ? null : WithinReach(about, raised)).FirstOrDefault(raised => raised is not null);

    /// <summary>Slower repetitions are fewer: as many as leave what was meant, null where those fall out of the line's zone.</summary>
    private static Raised? WithinReach(LineCase about, Raised raised)
    {
        double meant = Correction.Meant(about, about.Line);
        if (raised.What is not (Raise.Tempo or Raise.Pause) || about.Foresee(raised.Next).IsEmpty || about.Leaves(meant, raised.Next))
        {
            return raised;
        }

        var fewer = Correction.AsForecast(about, raised.Next, meant);
        return fewer.Counts.Min() >= Math.Min(about.Line.Counts.Min(), about.Rules.Zones.Of((about.Start ?? about.Line).Counts.Min()).Least) ? raised with { Next = fewer } : null;
    }

    private static StepKind KindOf(Raise what) => what switch
    {
        Raise.Load => StepKind.Load,
        Raise.Repetitions => StepKind.Repetitions,
        Raise.Set => StepKind.Set,
        Raise.Variation => StepKind.Variation,
        Raise.Tempo => StepKind.Tempo,
        Raise.Pause => StepKind.Pause,
        Raise.Rest => StepKind.Rest,
        _ => throw new ArgumentOutOfRangeException(nameof(what)),
    };

    private static string Sentence(Raised raised) => raised.What switch
    {
        Raise.Repetitions => $"Add {raised.Words}: {raised.Next.CountInWords}.",
        Raise.Set => $"Add {raised.Words}.",
        Raise.Variation => $"Move up to the {raised.Words}: {raised.Next.CountInWords}.",
        Raise.Tempo or Raise.Pause => $"Add {raised.Words}: {raised.Next.CountInWords}, tempo {raised.Next.Tempo}.",
        Raise.Rest => $"Take less rest, {raised.Words}: the same work in less time.",
        _ => $"Take {raised.Words}.",
    };

    private static string WhyRepetitions(LineCase about) =>
        about is { Implement: { } held, Anchor: not null } && about.Line.Count.IsRepetitions() && held.Ladder.Above(about.Line.Load) is { } rung
            ? $"{rung.Load} is too far from here to be earned with repetitions"
        : about.Line.Load > Mass.Zero && about.Implement is not null && about.Anchor is not null ? "this is the heaviest load here"
        : about.Anchor is null || !about.Line.Count.IsRepetitions() ? "no load to raise here"
        : "nothing can be added to it here";

    /// <summary>Up to the top of the range and a few more where the start is known; else to the cap, where nothing can be added.</summary>
    private static int TopOf(LineCase about) =>
        about.Start is { } start ? ProgressionOrder.TopOf(start, about.Rules)
        : about.Anchor is null || !about.Line.Count.IsRepetitions() ? about.Line.TopOfRange + StepOf(about.Line.Count)
        : about.Rules.RepetitionCap;

    /// <summary>A line that may not be trained as it was planned, whatever was logged on it.</summary>
    /// <param name="against">Why, at least one reason.</param>
    public static Step NotAsPlanned(Prescription line, IReadOnlyList<string> against) =>
        new(StepKind.Stop, $"Do not train {PlainWords.InSentence(line.Name)} as planned: {string.Join("; ", against)}. Rebuild this line.", [], null) { Stops = StopCause.SetUp };

    /// <summary>The next rung is earned now.</summary>
    internal static bool EarnedALoad(LineCase about, SetLog[][] sessions) => Rung(about, sessions) is { Kind: StepKind.Load };

    /// <summary>The next rung: earned, on the way, or refused as too big a jump. Null where there is none, or its price is past the cap.</summary>
    private static Step? Rung(LineCase about, SetLog[][] sessions)
    {
        var (line, exercise, client, rules) = (about.Line, about.Exercise, about.Client, about.Rules);
        if (about is not { Implement: { } implement, Anchor: { } anchor } || !line.Count.IsRepetitions()
            || implement.Ladder.Above(line.Load) is not { } rung)
        {
            return null;
        }

        double jump = LoadStep.Jump(line, exercise, rung, client, anchor);
        string jumpWords = $"{line.Load} to {rung.Load} is {jump * 100:0.#} % more of what the muscles meet";
        var there = line with { Counts = FromStart(about) };
        int overTwice = sessions.Take(LoadStep.SessionsRunning).Count(s => Beyond(about, about.AskedOf(s), s[Math.Min(line.Counts.Length, s.Length) - 1], there.Counts[^1]) >= LoadStep.OverTarget);
        int? earning = LoadStep.EarningCount(there, exercise, rung, client, anchor, rules);
        // A step small enough to take is earned over two sessions, never by one good day.
        bool earned = jump > LoadStep.Largest && sessions[0].Take(line.Counts.Length).All(s => Sides.Done(s) >= earning);
        if (jump > LoadStep.Largest && !earned)
        {
            return earning is { } goal
                ? MoreRepetitions(
                    line, goal, Spare(about, sessions), rules,
                    $"{goal} earn {rung.Load}",
                    $"{jumpWords}, over the {LoadStep.Largest * 100:0} % a step may be.",
                    $"{goal} at {line.Load} forecast {there.CountInWords} at {rung.Load} with the same left over.")
                : null;
        }

        if (!earned && overTwice < LoadStep.SessionsRunning)
        {
            return new Step(
                StepKind.Hold,
                overTwice == 1
                    ? $"The same once more: {LoadStep.OverTarget} over the target again earn {rung.Load}."
                    : $"The same again: {LoadStep.OverTarget} over the target, {LoadStep.SessionsRunning} sessions running, earn {rung.Load}.",
                [jumpWords + ".", about.Client.Learned.SaysAlways is { } always
                    ? $"The answer is always {always:0.#}: what is done clean counts, as {LoadStep.OverTarget} over."
                    : $"Over the target last time: {Over(about, about.AskedOf(sessions[0]), sessions[0])}, counting what was left beyond the plan."],
                line);
        }

        if (PlainFormulas.Repetitions(sessions[0], line, exercise, rung) is { } plain && plain < there.Counts.Min())
        {
            string bound = $"Epley and Brzycki, the lower, give {plain:0.#} with {rung.Load} after the last set";
            return MoreRepetitions(line, line.Counts.Max() + 1, 0, rules, $"{rung.Load} comes when they bear it", jumpWords + ".", bound + ".")
                ?? new Step(StepKind.Hold, $"The same again: {rung.Load} comes when it bears {there.Counts.Min()}.", [jumpWords + ".", bound + "."], line);
        }

        if (!earned && Farther(about, rung) is { } farther)
        {
            jumpWords = $"{line.Load} to {farther.Load} is {LoadStep.Jump(line, exercise, farther, client, anchor) * 100:0.#} % more of what the muscles meet, "
                + $"with {rung.Load} passed over: the forecast still leaves what was planned";
            rung = farther;
        }

        return new Step(
            StepKind.Load,
            $"Take {rung.Load} next: {there.CountInWords}.",
            [jumpWords + ".", earned ? $"All sets reached the {earning} that earn it." : $"{LoadStep.OverTarget} or more over the target in {LoadStep.SessionsRunning} sessions running."],
            Correction.On(there, rung, implement));
    }

    /// <summary>Rungs that lie close are passed over: the heaviest within a step at which the forecast leaves what was planned. Null where that is the next.</summary>
    private static Rung? Farther(LineCase about, Rung next)
    {
        Rung? farther = null;
        for (var rung = about.Implement!.Ladder.Above(next.Load);
            rung is not null && LoadStep.Jump(about.Line, about.Exercise, rung, about.Client, about.Anchor!) <= LoadStep.Largest
                && about.Leaves(about.Line.Reserve ?? about.Rules.Reserve, about.Line with { Load = rung.Load });
            rung = about.Implement.Ladder.Above(rung.Load))
        {
            farther = rung;
        }

        return farther;
    }

    /// <summary>Counts climb towards a rung from where they started, and start there again on it; the goal must not climb along.</summary>
    private static ImmutableArray<int> FromStart(LineCase about) =>
        about.Start is not { } start ? about.Line.Counts
        : start.Counts.Length == about.Line.Counts.Length ? start.Counts
        : [.. about.Line.Counts.Select(_ => start.Counts.Min())];

    /// <summary>Repetitions over the target on the last set; reserve beyond the plan counts as done.</summary>
    private static int Over(LineCase about, Prescription line, SetLog[] session) =>
        Beyond(about, line, session[Math.Min(line.Counts.Length, session.Length) - 1], line.Counts[^1]);

    /// <summary>Of who always says the same, a set that is done counts as earning: nothing else would ever tell.</summary>
    private static int Beyond(LineCase about, Prescription line, SetLog set, int count)
    {
        if (about.Client.Learned.SaysAlways is { } always && set.Reserve is { } said && said.Figure == always && Sides.Done(set) >= count)
        {
            return Math.Max(LoadStep.OverTarget, Sides.Done(set) - count);
        }

        double spare = set.Reserve is { } left && line.Reserve is { } planned ? Math.Max(0, left.Figure - planned) : 0;
        return Sides.Done(set) + (int)Math.Floor(spare) - count;
    }

    /// <summary>
    /// What every set of the last two sessions had beyond target and plan, where it is as much as earns a load: then one repetition a week is too
    /// slow. At most <see cref="MostAtOnce"/>.
    /// </summary>
    private static int Spare(LineCase about, SetLog[][] sessions)
    {
        int spare = sessions.Length < LoadStep.SessionsRunning ? 0 : sessions.Take(LoadStep.SessionsRunning).Min(SpareOf);
        return spare >= LoadStep.OverTarget ? Math.Min(spare, MostAtOnce) : 0;

        int SpareOf(SetLog[] session)
        {
            var asked = about.AskedOf(session);
            return session.Length < asked.Counts.Length ? 0 : asked.Counts.Select((count, i) => Beyond(about, asked, session[i], count)).Min();
        }
    }

    /// <summary>One more a set, or null where all are at the goal or the cap.</summary>
    /// <param name="spare">Repetitions every set had to spare in two sessions running; 0 for none.</param>
    private static Step? MoreRepetitions(Prescription line, int goal, int spare, HouseRules rules, string why, params string[] arithmetic)
    {
        bool held = line.Count is CountKind.Seconds or CountKind.Metres;
        int most = held ? goal : Math.Min(rules.RepetitionCap, goal), by = held ? StepOf(line.Count) : Math.Max(1, spare);
        if (line.Counts.Min() >= most)
        {
            return null;
        }

        var next = line with
        {
            Counts = [.. line.Counts.Select(c => Math.Max(c, Math.Min(most, c + by)))],
            TopOfRange = Math.Max(line.TopOfRange, Math.Min(most, line.Counts.Max() + by)),
        };
        int[] added = [.. next.Counts.Zip(line.Counts, (then, now) => then - now)];
        bool isEven = added.Min() == added.Max();
        string unit = line.Count == CountKind.Seconds ? $"{by} seconds a set"
            : line.Count == CountKind.Metres ? $"{by} metres a set"
            : added.Max() == 1 ? isEven ? "1 rep a set" : "1 rep to the shorter sets"
            : $"{(isEven ? "" : "up to ")}{added.Max()} reps a set";
        if (!held && spare > 0)
        {
            arithmetic = [.. arithmetic, $"Every set had {spare} to spare, {LoadStep.SessionsRunning} sessions running."];
        }

        return new Step(StepKind.Repetitions, $"Add {unit}: {next.CountInWords}; {why}.", [.. arithmetic], next);
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
}

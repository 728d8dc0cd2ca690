using System.Collections.Immutable;
using System.Runtime.CompilerServices;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Loads;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Substitution;

/// <summary>Finds what can stand in for a written exercise: gate, set-ups, dose, fit, order.</summary>
public sealed class SubstituteSearch(
    ClientProfile client, PreparedHome home, Catalogue catalogue, StrengthAnchors anchors, HouseRules rules, StyleSpaces? styles = null)
{
    /// <summary>Likeness under which nobody would think of an exercise for this line.</summary>
    private const double WorthNaming = 0.35;

    /// <summary>Fits nearer than this are equal.</summary>
    private const double EqualFits = 0.005;

    private static readonly Share Unlike = Share.Of(-1);

    /// <summary>Where it looks.</summary>
    internal PreparedHome Home => home;

    private readonly StyleSpaces _styles = styles ?? new(client, rules);
    private readonly Dictionary<string, SetUpSearch.Found> _setUps = new(StringComparer.Ordinal);
    private readonly Dictionary<Pattern, Demand> _most = [];
    private readonly ConditionalWeakTable<Intent, KnownClosest> _closest = [];

    /// <param name="intent">What the line asks; null where it is copied, not computed.</param>
    /// <param name="wishes">Doses a coach has fixed by hand, by exercise id.</param>
    /// <param name="among">Narrows what is looked at; null for the whole catalogue.</param>
    /// <param name="worthNaming">Likeness under which an exercise is passed over.</param>
    /// <param name="wanted">How many of the best are wanted; others are left out without a dose being searched for them.</param>
    /// <param name="asked">Exercises answered for, however far down they come; the written one always is.</param>
    public Choice For(Exercise written, Intent? intent, Role role, Func<string, DoseWish> wishes,
        Func<Exercise, bool>? among = null, double worthNaming = WorthNaming, int wanted = int.MaxValue, Func<string, bool>? asked = null)
    {
        var possible = new List<Possible>();
        var refused = new List<Refused>();
        foreach (var exercise in catalogue.Exercises)
        {
            if (among is not null && !among(exercise))
            {
                continue;
            }

            var likeness = Likeness(written, exercise);
            if (likeness.Fraction < worthNaming)
            {
                continue;
            }

            var (found, reasons) = Look(exercise, written, intent, role);
            if (found is not null)
            {
                possible.Add(found);
            }
            else if (exercise.Setting != Setting.Gym)
            {
                refused.Add(new Refused(exercise, reasons, likeness));
            }
        }

        var candidates = new List<Candidate>();
        var best = new PriorityQueue<double, double>();
        foreach (var p in possible.OrderByDescending(p => p.MostRank))
        {
            var wish = wishes(p.Exercise.Id);
            bool mustAnswer = wish != DoseWish.None || p.Exercise.Id == written.Id || asked?.Invoke(p.Exercise.Id) == true;
            if (!mustAnswer && best.Count >= wanted && p.MostRank < best.Peek())
            {
                continue;
            }

            if (Try(p, written, intent, role, wish) is not { } candidate)
            {
                refused.Add(new Refused(p.Exercise, [new Refusal(RefusalCause.Dose, TooHeavy(p.Exercise))], Likeness(written, p.Exercise)));
                continue;
            }

            candidates.Add(candidate);
            best.Enqueue(candidate.Rank, candidate.Rank);
            if (best.Count > wanted)
            {
                best.Dequeue();
            }
        }

        HoldBack(candidates, written, [.. refused.Where(r => r.Reasons.Any(x => x.Cause == RefusalCause.Dose)).Select(r => r.Exercise), .. candidates.Where(IsTooHard).Select(c => c.Exercise)]);
        return new Choice(
            [.. candidates.OrderByDescending(c => Math.Round(c.Rank, 6)).ThenBy(c => c.Exercise.Id, StringComparer.Ordinal)],
            [.. refused.OrderByDescending(r => r.Likeness).ThenBy(r => r.Exercise.Id, StringComparer.Ordinal)]);
    }

    private static bool IsTooHard(Candidate candidate) => candidate.StandIn.Class == CandidateClass.UnderFloor;

    /// <summary>
    /// What no forecast tells of is too hard where an easier variation of it is, by its forecast: who cannot do the sliding leg curl is not given
    /// the kneeling lowering.
    /// </summary>
    private void HoldBack(List<Candidate> candidates, Exercise written, Exercise[] tooHard)
    {
        string[] ownWeight = [.. tooHard.Where(e => !e.NeedsLoad).Select(e => e.Id)];
        for (int i = 0; i < candidates.Count; i++)
        {
            if (candidates[i] is { Dose: null } c && c.Exercise.Id != written.Id && ownWeight.Any(easier => catalogue.IsHarderThan(c.Exercise.Id, easier)))
            {
                candidates[i] = c with { StandIn = new(CandidateClass.UnderFloor, 1) };
            }
        }
    }

    /// <summary>The closest copy of a main lift that anything here comes to.</summary>
    /// <param name="atLeast">Reached already: what comes no closer is not looked at, and this is then the answer.</param>
    public Share Closest(Exercise written, Intent intent, Share atLeast)
    {
        // What was found beyond a bound holds for every bound; that nothing was, for every higher one.
        if (_closest.TryGetValue(intent, out var known) && known.Written == written.Id && (known.Found > known.Beyond || atLeast >= known.Beyond))
        {
            return known.Found > atLeast ? known.Found : atLeast;
        }

        var found = ClosestBeyond(written, intent, atLeast);
        _closest.AddOrUpdate(intent, new(written.Id, atLeast, found));
        return found;
    }

    /// <param name="Beyond">Nothing was looked at that comes no closer.</param>
    private sealed record KnownClosest(string Written, Share Beyond, Share Found);

    private Share ClosestBeyond(Exercise written, Intent intent, Share atLeast)
    {
        var best = atLeast;
        foreach (var exercise in catalogue.Exercises.Where(e => e.Pattern == written.Pattern && e.Line == written.Line))
        {
            if (Look(exercise, written, intent, Role.Main).Found is { } found && found.MostCloseness > best
                && Try(found, written, intent, Role.Main, DoseWish.None) is { } candidate)
            {
                var reached = LineCloseness.Of(candidate.Fit);
                best = reached > best ? reached : best;
            }
        }

        return best;
    }

    /// <summary>The highest equivalent demand an exercise of this pattern can be loaded to here; zero where none can.</summary>
    public Demand MostFor(Pattern pattern)
    {
        if (!_most.TryGetValue(pattern, out var most))
        {
            _most[pattern] = most = catalogue.Exercises
                .Where(e => e.Pattern == pattern && e.IsForecast && e.Setting != Setting.Gym && !Gate.Against(e, client, home, rules).Any())
                .SelectMany(e => SetUpsOf(e).SetUps.Select(s => MostOn(e, s)))
                .DefaultIfEmpty(Demand.Of(0))
                .Max();
        }

        return most;
    }

    /// <summary>Of the heaviest rung that still can be lifted.</summary>
    private Demand MostOn(Exercise exercise, SetUp setUp)
    {
        if (anchors.For(exercise) is not { } anchor)
        {
            return Demand.Of(0);
        }

        var effort = new ExerciseEffort(exercise, client, anchor, setUp.Geometry);
        return Holdable(setUp.Ladder, exercise, anchor).Rungs
            .Select(r => effort.DemandOf(r.Load))
            .Where(d => d <= effort.MostDemand && d >= RepetitionCost.LeastDemand)
            .Select(effort.EquivalentOf)
            .DefaultIfEmpty(Demand.Of(0))
            .Max();
    }

    /// <summary>An exercise that passed its gate and has a set-up, with the most it could come to.</summary>
    private sealed record Possible(
        Exercise Exercise, ImmutableArray<PossibleSetUp> SetUps, ImmutableArray<Leaning> Leanings, bool Preferred, Fit MostFit, StandIn AtBest)
    {
        internal double MostRank { get; } = Candidate.RankOf(AtBest, MostFit, Preferred, Leanings, Candidate.StressOf(Exercise), Exercise.Usual);

        internal Share MostCloseness => LineCloseness.Of(MostFit);
    }

    /// <param name="Effort">Null where no dose is computed.</param>
    /// <param name="Equivalent">Of the rung that would be taken.</param>
    /// <param name="MostFit">With the most a dose on it could reach.</param>
    private sealed record PossibleSetUp(SetUp SetUp, ExerciseEffort? Effort, LoadLadder Ladder, Demand Equivalent, Fit MostFit);

    private bool IsPreferred(Exercise exercise) =>
        rules.Preferred.Contains(exercise.Id) || client.Preferred.Contains(exercise.Id);

    /// <summary>How readily a coach would think of it: muscles, helped by the same pattern.</summary>
    private static Share Likeness(Exercise written, Exercise exercise)
    {
        bool related = Patterns.AreRelated(written.Pattern, exercise.Pattern) || (written.IsBallistic && exercise.IsBallistic);
        if (written.IsForecast != exercise.IsForecast && written.Pattern != exercise.Pattern && !related)
        {
            return Unlike;
        }

        double muscles = written.Muscles.OverlapWith(exercise.Muscles).Fraction;
        double likeness = (0.7 * muscles) + (written.Pattern == exercise.Pattern ? 0.3 : 0);
        return Share.Of(related ? Math.Max(likeness, WorthNaming) : likeness);
    }

    private (Possible? Found, ImmutableArray<Refusal> Reasons) Look(Exercise exercise, Exercise written, Intent? intent, Role role)
    {
        if (exercise.Setting == Setting.Gym)
        {
            return (null, [new Refusal(RefusalCause.Kit, "needs the gym")]);
        }

        if (exercise.IsOlympicLift && exercise.Id != written.Id && !written.IsOlympicLift && intent?.Repetitions.Min() > DoseSearch.MostForPower)
        {
            return (null, [new Refusal(RefusalCause.Dose, $"is done in sets of one to {DoseSearch.MostForPower}, and {intent.Repetitions.Min()} are written")]);
        }

        ImmutableArray<Refusal> against = [.. Gate.Against(exercise, client, home, rules, isTheCoachs: exercise.Id == written.Id)];
        bool helped = home.HelpsByFeel(exercise);
        if (helped && !StandIn.IsSameMovement(written, exercise) && !Patterns.AreRelated(written.Pattern, exercise.Pattern))
        {
            return (null, [new Refusal(RefusalCause.Kit, "needs a bathroom scale to read the foot's help off, and there is none here")]);
        }

        var found = SetUpsOf(exercise);
        if (!against.IsEmpty || found.SetUps.IsEmpty)
        {
            return (null, [.. against, .. found.Refusals]);
        }

        ImmutableArray<PossibleSetUp> setUps = intent is null || !exercise.IsForecast || helped
            ? [new(found.SetUps[0], null, found.SetUps[0].Ladder, Demand.Of(0), Fit.Of(FitParts.Of(written, exercise, intent, null, client.Level), role, rules.Weights))]
            : [.. Bounded(exercise, written, intent, role, found.SetUps)];
        return setUps.IsEmpty
            ? (null, [new Refusal(RefusalCause.Dose, TooHeavy(exercise))])
            : (new(exercise, setUps, Leaning.On(exercise, client, rules, home.Today), IsPreferred(exercise), setUps.MaxBy(s => s.MostFit.Score)!.MostFit, setUps.Select(s => StandIn.AtBest(written, exercise, s.SetUp, role)).MinBy(s => s.Class)), []);
    }

    private IEnumerable<PossibleSetUp> Bounded(
        Exercise exercise, Exercise written, Intent intent, Role role, ImmutableArray<SetUp> setUps)
    {
        var anchor = exercise.Id == written.Id ? intent.Anchor : anchors.For(exercise);
        if (anchor is null)
        {
            yield break;
        }

        var efforts = new Dictionary<Geometry, ExerciseEffort>();
        foreach (var setUp in setUps)
        {
            if (!efforts.TryGetValue(setUp.Geometry, out var effort))
            {
                efforts[setUp.Geometry] = effort = new ExerciseEffort(exercise, client, anchor, setUp.Geometry);
            }

            var ladder = Holdable(setUp.Ladder, exercise, anchor);
            if (DoseSearch.Bound(intent, effort, ladder, rules, client) is { } bound)
            {
                yield return new(setUp, effort, ladder, bound.Equivalent, Fit.Of(FitParts.AtMost(written, exercise, intent, bound, client.Level), role, rules.Weights));
            }
        }
    }

    private Candidate? Try(Possible possible, Exercise written, Intent? intent, Role role, DoseWish wish)
    {
        var candidate = possible.SetUps[0].Effort is null || intent is null
            ? new Candidate(possible.Exercise, possible.SetUps[0].SetUp, null, null, possible.MostFit) { StandIn = StandIn.Of(written, possible.Exercise, possible.SetUps[0].SetUp, role, intent, null, rules.Zones) }
            : BestSetUp(possible, written, intent, role, wish);
        return candidate is null ? null : candidate with { Preferred = possible.Preferred, Leanings = possible.Leanings };
    }

    private SetUpSearch.Found SetUpsOf(Exercise exercise)
    {
        if (!_setUps.TryGetValue(exercise.Id, out var found))
        {
            _setUps[exercise.Id] = found = SetUpSearch.For(exercise, client, home, rules);
        }

        return found;
    }

    private Candidate? BestSetUp(Possible possible, Exercise written, Intent intent, Role role, DoseWish wish)
    {
        var exercise = possible.Exercise;
        var anchor = (exercise.Id == written.Id ? intent.Anchor : anchors.For(exercise))!;
        Candidate? best = null;
        foreach (var setUp in possible.SetUps)
        {
            if (wish == DoseWish.None && best is { StandIn.Off: <= 0 } && StandIn.AtBest(written, exercise, setUp.SetUp, role).Class >= best.StandIn.Class
                && setUp.MostFit.Score.Fraction < best.Fit.Score.Fraction - EqualFits)
            {
                continue;
            }

            if (DoseSearch.Find(intent, setUp.Effort!, setUp.Ladder, rules, client, wish, _styles.Of(exercise, IsImmovableHere(exercise))) is not { } dose)
            {
                continue;
            }

            var fit = Fit.Of(FitParts.Of(written, exercise, intent, dose, client.Level), role, rules.Weights);
            var standing = StandIn.Of(written, exercise, setUp.SetUp, role, intent, dose, rules.Zones);
            if (best is null || (Nearer(dose, best, wish) is { } nearer ? nearer : IsBetter(standing, fit, dose, best)))
            {
                best = new Candidate(exercise, setUp.SetUp, dose, anchor, fit) { StandIn = standing };
            }
        }

        return best;
    }

    /// <summary>What no dose is computed for, with the thing whose load comes nearest the line's.</summary>
    public Choice LoadedFor(Choice found, Exercise written, WrittenLine line) => found with
    {
        Candidates =
        [
            .. found.Candidates.Select(c => c.Dose is null && c.SetUp.Implement is not null
                ? c with { SetUp = Prescribing.Nearest(c.Exercise, [.. SetUpsOf(c.Exercise).SetUps.Where(s => s.Implement is not null)], written, line, client) } : c),
        ],
    };

    /// <summary>The written exercise done as it was written; null where it, its load or enough of its count is not to be had here.</summary>
    /// <param name="wish">Techniques that were written, and nothing else.</param>
    public Candidate? AsWritten(Exercise written, WrittenLine line, Intent intent, Role role, DoseWish wish)
    {
        if (written.Setting == Setting.Gym || !written.IsForecast || CareLeanings.SoreFrom(written, client) >= CareLeanings.Clearly || Gate.Against(written, client, home, rules, isTheCoachs: true).Any())
        {
            return null;
        }

        double least = client.Level == Level.Beginner ? rules.BeginnerReserve : 0;
        Candidate? best = null;
        foreach (var setUp in SetUpsOf(written).SetUps)
        {
            var effort = new ExerciseEffort(written, client, intent.Anchor, setUp.Geometry);
            if (KeptAsWritten.RungOf(line, written, intent, effort, setUp, least) is not { } rung
                || !KeptAsWritten.CanDo(intent, rung, effort)
                || DoseSearch.Find(
                    intent, effort, new LoadLadder([rung]), rules, client,
                    wish with { Load = rung.Load, Counts = intent.Repetitions, Tempo = intent.Tempo, Rest = intent.Rest }, _styles.Of(written, IsImmovableHere(written))) is not { } dose)
            {
                continue;
            }

            var fit = Fit.Of(FitParts.Of(written, written, intent, dose, client.Level), role, rules.Weights);
            if (best is null || IsBetter(best.StandIn, fit, dose, best))
            {
                best = new Candidate(written, setUp, dose, intent.Anchor, fit) { StandIn = new(CandidateClass.AsWritten, 0) };
            }
        }

        return best is null ? null : best with { Preferred = IsPreferred(written), Leanings = Leaning.On(written, client, rules, home.Today) };
    }

    /// <summary>A line as it stands in a plan, in the set-up it stands in. Null where that is not here, or its load is not.</summary>
    /// <param name="wish">The dose it has, what was nudged apart.</param>
    public Candidate? InForce(Exercise exercise, Exercise written, Intent? intent, Role role, Prescription line, DoseWish wish)
    {
        SetUp[] standing = [.. SetUpsOf(exercise).SetUps.Where(s => s.Geometry.IsAsSetUp(line.Geometry) && Holds(s, line)).OrderBy(s => s.Implement is null ? 0 : 1)];
        if (standing.Length == 0)
        {
            return null;
        }

        var anchor = intent is null || !exercise.IsForecast ? null : exercise.Id == written.Id ? intent.Anchor : anchors.For(exercise);
        if (anchor is null || intent is null)
        {
            return new(exercise, standing[0], null, null, Fit.Of(FitParts.Of(written, exercise, intent, null, client.Level), role, rules.Weights)) { StandIn = StandIn.Of(written, exercise, standing[0], role, intent, null, rules.Zones) };
        }

        foreach (var setUp in standing)
        {
            var effort = new ExerciseEffort(exercise, client, anchor, setUp.Geometry);
            if (DoseSearch.Find(intent, effort, setUp.Ladder, rules, client, wish, _styles.Of(exercise, IsImmovableHere(exercise))) is { } dose)
            {
                return new Candidate(exercise, setUp, dose, anchor, Fit.Of(FitParts.Of(written, exercise, intent, dose, client.Level), role, rules.Weights)) { StandIn = StandIn.Of(written, exercise, setUp, role, intent, dose, rules.Zones) };
            }
        }

        return null;
    }

    private static bool Holds(SetUp setUp, Prescription line) =>
        line.Kit is null || (setUp.Implement is { } held && held.KitId == line.Kit && held.Hold == line.Hold && held.Ladder.At(line.Load) is not null);

    /// <summary>Something to push or pull against that will not give: a strap, or for presses the wall.</summary>
    private bool IsImmovableHere(Exercise exercise) =>
        home.Straps is not null || exercise.Pattern is Pattern.HorizontalPress or Pattern.VerticalPress or Pattern.Dip;

    /// <summary>The rungs the arms can hold, where holding is the limit.</summary>
    private static LoadLadder Holdable(LoadLadder ladder, Exercise exercise, StrengthAnchor anchor) =>
        exercise.Strength is { HoldLimit: { } limit } link
            ? new LoadLadder([.. ladder.Rungs.Where(r => r.Load <= anchor.Maximum * (limit / link.Ratio))])
            : ladder;

    /// <summary>Of a load fixed by hand the set-up that comes nearest; null where both come as near or none is fixed.</summary>
    private static bool? Nearer(Dose dose, Candidate best, DoseWish wish)
    {
        if (wish.Load is not { } fixedLoad)
        {
            return null;
        }

        double off = Off(dose), before = Off(best.Dose!);
        return off == before ? null : off < before;

        double Off(Dose of) => Math.Round(Math.Abs((of.Rung.Load - fixedLoad).Kilograms), 1);
    }

    /// <summary>Of equal fits the one with fewer repetitions away from plain tempo, then with fewer pieces to handle.</summary>
    private static bool IsBetter(StandIn standing, Fit fit, Dose dose, Candidate best)
    {
        if (standing.Class != best.StandIn.Class || Math.Abs(standing.Off - best.StandIn.Off) > EqualFits)
        {
            return standing.Class != best.StandIn.Class ? standing.Class < best.StandIn.Class : standing.Off < best.StandIn.Off;
        }

        double gain = fit.Score.Fraction - best.Fit.Score.Fraction;
        if (Math.Abs(gain) > EqualFits)
        {
            return gain > 0;
        }

        int repetitions = dose.Repetitions.Sum(), before = best.Dose!.Repetitions.Sum();
        return repetitions != before
            ? repetitions < before
            : dose.Rung.Recipe.PieceCount < best.Dose.Rung.Recipe.PieceCount;
    }

    private static string TooHeavy(Exercise exercise) => exercise.NeedsLoad
        ? "no load here is light enough for one good repetition, or none is heavy enough to count"
        : "one clean repetition is more than the estimated maximum allows";
}

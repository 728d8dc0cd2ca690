using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Loads;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Substitution;

/// <summary>Finds what can stand in for a written exercise: gate, set-ups, dose, fit, order.</summary>
public sealed class SubstituteSearch(
    ClientProfile client, PreparedHome home, Catalogue catalogue, StrengthAnchors anchors, HouseRules rules)
{
    /// <summary>Likeness under which nobody would think of an exercise for this line.</summary>
    private const double WorthNaming = 0.35;

    private static readonly Share Unlike = Share.Of(-1);

    private readonly Dictionary<string, SetUpSearch.Found> _setUps = new(StringComparer.Ordinal);

    /// <param name="intent">What the line asks; null where it is copied, not computed.</param>
    /// <param name="wishes">Doses a coach has fixed by hand, by exercise id.</param>
    /// <param name="among">Narrows what is looked at; null for the whole catalogue.</param>
    /// <param name="worthNaming">Likeness under which an exercise is passed over.</param>
    public Choice For(Exercise written, Intent? intent, Role role, Func<string, DoseWish> wishes,
        Func<Exercise, bool>? among = null, double worthNaming = WorthNaming)
    {
        var candidates = new List<Candidate>();
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

            var (candidate, reasons) = Try(exercise, written, intent, role, wishes(exercise.Id));
            if (candidate is not null)
            {
                candidates.Add(candidate with { Preferred = IsPreferred(exercise), Leanings = Leaning.On(exercise, client, rules) });
            }
            else if (exercise.Setting != Setting.Gym)
            {
                refused.Add(new Refused(exercise, reasons, likeness));
            }
        }

        return new Choice(
            [.. candidates.OrderByDescending(c => Math.Round(c.Rank, 6)).ThenBy(c => c.Exercise.Id, StringComparer.Ordinal)],
            [.. refused.OrderByDescending(r => r.Likeness).ThenBy(r => r.Exercise.Id, StringComparer.Ordinal)]);
    }

    private bool IsPreferred(Exercise exercise) =>
        rules.Preferred.Contains(exercise.Id) || client.Preferred.Contains(exercise.Id);

    /// <summary>How readily a coach would think of it: muscles, helped by the same pattern.</summary>
    private static Share Likeness(Exercise written, Exercise exercise)
    {
        if (written.IsForecast != exercise.IsForecast && written.Pattern != exercise.Pattern)
        {
            return Unlike;
        }

        double muscles = written.Muscles.OverlapWith(exercise.Muscles).Fraction;
        return Share.Of((0.7 * muscles) + (written.Pattern == exercise.Pattern ? 0.3 : 0));
    }

    private (Candidate? Candidate, ImmutableArray<Refusal> Reasons) Try(
        Exercise exercise, Exercise written, Intent? intent, Role role, DoseWish wish)
    {
        if (exercise.Setting == Setting.Gym)
        {
            return (null, [new Refusal(RefusalCause.Kit, "needs the gym")]);
        }

        ImmutableArray<Refusal> against = [.. Gate.Against(exercise, client, home.Home, rules)];
        var found = SetUpsOf(exercise);
        if (!against.IsEmpty || found.SetUps.IsEmpty)
        {
            return (null, [.. against, .. found.Refusals]);
        }

        if (intent is null || !exercise.IsForecast)
        {
            var parts = FitParts.Of(written, exercise, intent, null, client.Level);
            return (new Candidate(exercise, found.SetUps[0], null, null, Fit.Of(parts, role, rules.Weights), null), []);
        }

        return BestSetUp(exercise, written, intent, role, wish, found.SetUps) is { } best
            ? (best, [])
            : (null, [new Refusal(RefusalCause.Dose, TooHeavy(exercise))]);
    }

    private SetUpSearch.Found SetUpsOf(Exercise exercise)
    {
        if (!_setUps.TryGetValue(exercise.Id, out var found))
        {
            _setUps[exercise.Id] = found = SetUpSearch.For(exercise, client, home, rules);
        }

        return found;
    }

    private Candidate? BestSetUp(
        Exercise exercise, Exercise written, Intent intent, Role role, DoseWish wish, ImmutableArray<SetUp> setUps)
    {
        var anchor = exercise.Id == written.Id ? intent.Anchor : anchors.For(exercise);
        if (anchor is null)
        {
            return null;
        }

        Candidate? best = null;
        foreach (var setUp in setUps)
        {
            var effort = new ExerciseEffort(exercise, client, anchor, setUp.Geometry);
            if (DoseSearch.Find(intent, effort, Holdable(setUp.Ladder, exercise, anchor), rules, client, wish) is not { } dose)
            {
                continue;
            }

            var fit = Fit.Of(FitParts.Of(written, exercise, intent, dose, client.Level), role, rules.Weights);
            if (best is null || IsBetter(fit, dose, best))
            {
                best = new Candidate(exercise, setUp, dose, anchor, fit, null);
            }
        }

        return best is null ? null : best with { ToFailure = RangeOf(best, anchor) };
    }

    /// <summary>The rungs the arms can hold, where holding is the limit.</summary>
    private static LoadLadder Holdable(LoadLadder ladder, Exercise exercise, StrengthAnchor anchor) =>
        exercise.Strength is { HoldLimit: { } limit } link
            ? new LoadLadder([.. ladder.Rungs.Where(r => r.Load <= anchor.Maximum * (limit / link.Ratio))])
            : ladder;

    /// <summary>Of equal fits the one with fewer repetitions away from plain tempo, then with fewer pieces to handle.</summary>
    private static bool IsBetter(Fit fit, Dose dose, Candidate best)
    {
        double gain = fit.Score.Fraction - best.Fit.Score.Fraction;
        if (Math.Abs(gain) > 0.005)
        {
            return gain > 0;
        }

        int repetitions = dose.Repetitions.Sum(), before = best.Dose!.Repetitions.Sum();
        return repetitions != before
            ? repetitions < before
            : dose.Rung.Recipe.PieceCount < best.Dose.Rung.Recipe.PieceCount;
    }

    private RepetitionRange RangeOf(Candidate candidate, StrengthAnchor anchor)
    {
        return new(At(anchor.Low), At(anchor.Maximum), At(anchor.High));

        double At(Mass maximum)
        {
            var effort = new ExerciseEffort(candidate.Exercise, client, anchor.At(maximum), candidate.SetUp.Geometry);
            var demand = effort.DemandOf(candidate.Dose!.Rung.Load);
            return demand > effort.MostDemand ? 0 : 1 / effort.CostOfRepetition(demand, candidate.Dose.Style);
        }
    }

    private static string TooHeavy(Exercise exercise) => exercise.NeedsLoad
        ? "no load here is light enough for one good repetition, or none is heavy enough to count"
        : "one clean repetition is more than the estimated maximum allows";
}

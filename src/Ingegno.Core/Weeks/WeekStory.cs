using System.Collections.Immutable;
using System.Globalization;
using Ingegno.Core.Exercises;
using Ingegno.Core.Quantities;
using Ingegno.Core.Review;

namespace Ingegno.Core.Weeks;

/// <summary>What a week chosen as a whole changed against the choice line by line.</summary>
/// <param name="Sentences">What was given up for what, in a coach's words.</param>
/// <param name="Changes">The lines that change; each is weighed, and taken, without a second exercise beside it.</param>
/// <param name="Before">Worth of the choice line by line; null where that one is not allowed.</param>
/// <param name="After">Worth of the whole week's choice.</param>
public sealed record WeekOutcome(ImmutableArray<string> Sentences, ImmutableArray<LineChange> Changes, WeekScore? Before, WeekScore After, bool Proven);

/// <summary>Puts a solution into words.</summary>
public static class WeekStory
{
    /// <param name="before">Place of the option each slot has now.</param>
    public static WeekOutcome Of(WeekModel model, IReadOnlyList<int> before, WeekSolution solution, Catalogue catalogue)
    {
        var was = WeekScore.Of(model, before);
        int[] changed = [.. Enumerable.Range(0, model.Slots.Length).Where(i => before[i] != solution.Chosen[i])];
        return new(
            [.. Told(model, before, solution, changed, was, catalogue)],
            [.. changed.Select(i => new LineChange(model.Slots[i].Line, model.Slots[i].Options[solution.Chosen[i]].Exercise, Alone: true))],
            was, solution.Score, solution.Proven);
    }

    private static IEnumerable<string> Told(
        WeekModel model, IReadOnlyList<int> before, WeekSolution solution, int[] changed, WeekScore? was, Catalogue catalogue)
    {
        if (!solution.Proven)
        {
            yield return "The search was cut short: a better week may exist.";
        }

        if (changed.Length == 0)
        {
            yield return "The week already is the best of what is on offer.";
            yield break;
        }

        foreach (int i in changed)
        {
            var (old, now) = (model.Slots[i].Options[before[i]], model.Slots[i].Options[solution.Chosen[i]]);
            double less = old.Fit - now.Fit;
            yield return string.Create(CultureInfo.InvariantCulture,
                $"Line {model.Slots[i].Line}: {catalogue[now.Exercise].Name} instead of {PlainWords.InSentence(catalogue[old.Exercise].Name)}{(less > 0.005 ? $", {less:0.00} of the fit given up" : "")}.");
        }

        if (was is null)
        {
            yield return "Line by line the week was not possible: a session too long, or a group that fights over one thing.";
            yield break;
        }

        string[] gains = [.. Gains(was, solution.Score, model.Prices)];
        if (gains.Length > 0)
        {
            yield return $"For that: {string.Join("; ", gains)}.";
        }
    }

    private static IEnumerable<string> Gains(WeekScore was, WeekScore now, WeekPrices prices)
    {
        if (was.PatternsLost != now.PatternsLost)
        {
            yield return Count((was.PatternsLost - now.PatternsLost) / prices.PatternLost, "movement kept", "movements kept", "movement more lost", "movements more lost");
        }

        if (was.PartsLost != now.PartsLost)
        {
            yield return was.PartsLost > now.PartsLost ? "ranges, sides or grips kept" : "ranges, sides or grips given up";
        }

        if (was.OutsideBands != now.OutsideBands)
        {
            double sets = (was.OutsideBands - now.OutsideBands) / (10.0 * prices.TenthOutsideBand);
            yield return string.Create(CultureInfo.InvariantCulture, $"weekly sets {Math.Abs(sets):0.#} {(sets > 0 ? "nearer to" : "further from")} where they should lie");
        }

        if (was.Twice != now.Twice)
        {
            yield return Count((was.Twice - now.Twice) / prices.TwiceInSession, "exercise fewer done twice", "exercises fewer done twice", "exercise more done twice", "exercises more done twice");
        }

        if (was.Changeovers != now.Changeovers)
        {
            yield return Count((was.Changeovers - now.Changeovers) / prices.Changeover, "changeover fewer", "changeovers fewer", "changeover more", "changeovers more");
        }

        if (was.ConsecutiveDays != now.ConsecutiveDays)
        {
            yield return Count((was.ConsecutiveDays - now.ConsecutiveDays) / prices.HardOnConsecutiveDays, "muscle fewer hard two days running", "muscles fewer hard two days running", "muscle more hard two days running", "muscles more hard two days running");
        }
    }

    private static string Count(int better, string one, string several, string oneWorse, string severalWorse) =>
        $"{Math.Abs(better)} {(better > 0 ? better == 1 ? one : several : better == -1 ? oneWorse : severalWorse)}";
}

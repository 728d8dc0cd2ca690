using System.Collections.Immutable;

namespace Ingegno.Core.Weeks;

/// <summary>A week chosen as a whole.</summary>
/// <param name="Chosen">Place of the option taken in each slot.</param>
/// <param name="Proven">No choice is better; false where the search was cut short.</param>
public sealed record WeekSolution(ImmutableArray<int> Chosen, WeekScore Score, bool Proven);

/// <summary>How far a search is.</summary>
/// <param name="Best">Worth of the best choice found so far.</param>
/// <param name="AtMost">No choice is worth more.</param>
public sealed record WeekProgress(long Best, long AtMost)
{
    public string Words => Best >= AtMost
        ? "the best there is, to be proven"
        : $"found one at most {Math.Max(0.1, 100.0 * (AtMost - Best) / Math.Max(1, Math.Abs(AtMost))):0.#} % short of the best possible";
}

/// <summary>Chooses a whole week. Same model, same answer.</summary>
public interface IWeekSolver
{
    /// <param name="told">Hears of every better choice found on the way; null where nobody listens.</param>
    /// <returns>Null where no choice is allowed.</returns>
    WeekSolution? Solve(WeekModel model, Action<WeekProgress>? told = null, CancellationToken stop = default);
}

/// <summary>Tries every choice: for small weeks, and to check the real solver by.</summary>
public sealed class ExhaustiveWeekSolver : IWeekSolver
{
    /// <summary>More choices than this are not tried.</summary>
    public const long MostChoices = 2_000_000;

    /// <exception cref="ArgumentException">Too many choices to try.</exception>
    public WeekSolution? Solve(WeekModel model, Action<WeekProgress>? told = null, CancellationToken stop = default)
    {
        if (model.Slots.Aggregate(1L, (product, s) => Math.Min(MostChoices + 1, product * s.Options.Length)) > MostChoices)
        {
            throw new ArgumentException($"More than {MostChoices} choices: use the real solver.");
        }

        int[] chosen = new int[model.Slots.Length];
        (ImmutableArray<int> Chosen, WeekScore Score)? best = null;
        do
        {
            stop.ThrowIfCancellationRequested();
            if (WeekScore.Of(model, chosen) is { } score && (best is null || score.Beats(best.Value.Score)))
            {
                best = ([.. chosen], score);
                told?.Invoke(new(score.Worth, model.MostPossible));
            }
        }
        while (Next(model, chosen));

        return best is { } found ? new(found.Chosen, found.Score, Proven: true) : null;
    }

    private static bool Next(WeekModel model, int[] chosen)
    {
        for (int i = chosen.Length - 1; i >= 0; i--)
        {
            if (++chosen[i] < model.Slots[i].Options.Length)
            {
                return true;
            }

            chosen[i] = 0;
        }

        return false;
    }
}

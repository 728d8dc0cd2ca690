using Ingegno.Core.Anatomy;
using Ingegno.Core.Clients;
using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Review;

/// <summary>Too much, too little or too easy: sets against the goal, the load floor, failure, landings, balance.</summary>
internal static class DoseFindings
{
    internal static IEnumerable<Finding> Of(ReviewedWeek week) =>
        [.. WeeklySets(week), .. PiledUp(week), .. LoadFloor(week), .. ManyRepetitions(week), .. Failure(week), .. Jumps(week), .. Balance(week)];

    private static IEnumerable<Finding> WeeklySets(ReviewedWeek week)
    {
        MuscleRow[] few = [.. week.Ledger.Muscles.Where(r => r.Home < r.Least - 1e-9)], many = [.. week.Ledger.Muscles.Where(r => r.Home > r.Most + 1e-9)];
        if (few.Length > 0)
        {
            bool grows = week.Client.Goal == Goal.BuildMuscle;
            yield return new Finding(
                FindingKind.TooFewSets, grows ? Severity.Decide : Severity.Mend,
                $"Too few sets that count in the week: {string.Join(", ", few.Select(r => $"{PlainWords.Of(r.Group)} {r.Home:0.#} of {r.Least:0.#}"))}.",
                grows
                    ? "Ten and more weekly sets build most (Schoenfeld et al. 2017, J Sports Sci 35:1073-1082; from memory)."
                    : ReviewThresholds.IsOld(week.Client, week.Today) ? "Over sixty half of the former sets keeps what there is, with the effort kept (common practice)."
                    : "A third of the former sets keeps what there is, with the effort kept (Bickel et al. 2011, Med Sci Sports Exerc 43:1177-1187; from memory).",
                LossFindings.Numbers(few.SelectMany(r => For(week, r))),
                ReviewedWeek.Together(few.Select(r => MoreFor(week, r))));
        }

        if (many.Length > 0)
        {
            yield return new Finding(
                FindingKind.TooManySets, Severity.Decide,
                $"Over {week.Marks.MostInWeek:0.#} sets that count in the week: {string.Join(", ", many.Select(r => $"{PlainWords.Of(r.Group)} {r.Home:0.#}"))}.",
                "Beyond that recovery is what runs short (common practice).",
                LossFindings.Numbers(many.SelectMany(r => For(week, r))),
                ReviewedWeek.Together(many.Select(r => ReviewedWeek.Sets(For(week, r), -1, most: 20))));
        }
    }

    private static TrainedLine[] For(ReviewedWeek week, MuscleRow row) => [.. week.Home.Where(l => LossFindings.CountsFor(l.Exercise, row.Group))];

    /// <summary>A set more where a set counts; where none does, something heavier.</summary>
    private static Remedy? MoreFor(ReviewedWeek week, MuscleRow row) =>
        ReviewedWeek.Sets([.. For(week, row).Where(l => l.EffectiveSets > 0)], +1, most: 6)
        ?? For(week, row).Select(l => week.Heavier(l, a => a.Equivalent >= SetForecast.HalfCredit)).FirstOrDefault(r => r is not null);

    private static IEnumerable<Finding> PiledUp(ReviewedWeek week) =>
        from session in week.Sessions
        from entry in WeeklyLedger.ByGroup(session.Home)
        where entry.Key != MuscleGroup.Small && entry.Value > week.Marks.HardSetsInSession
        let lines = session.Home.Where(l => LossFindings.CountsFor(l.Exercise, entry.Key)).ToArray()
        select new Finding(
            FindingKind.PiledUp, Severity.Decide,
            $"{session.Title}: {entry.Value:0.#} hard sets for the {PlainWords.Of(entry.Key)} in one session.",
            $"Over {week.Marks.HardSetsInSession:0.#} the later ones are hard without being worth much (common practice): spread them over the week.",
            LossFindings.Numbers(lines),
            ReviewedWeek.Sets(lines, -1, most: 20));

    private static IEnumerable<Finding> LoadFloor(ReviewedWeek week) =>
        from line in week.Home
        where line.Equivalent is { } given && given < SetForecast.HalfCredit && !Purposes.IsCapped(line.Purpose) && line.Purpose != Purpose.Conditioning
        select new Finding(
            FindingKind.UnderTheLoadFloor, week.Client.Goal == Goal.StrengthEndurance ? Severity.Note : Severity.Decide,
            $"{line.Exercise.Name}: the load asks {line.Equivalent}, under {SetForecast.HalfCredit}.",
            "So light a set counts for endurance, not for growth (Lasevicius et al. 2018, Eur J Sport Sci 18:772-780; from memory).",
            [line.Number],
            week.Heavier(line, a => a.Equivalent >= SetForecast.HalfCredit));

    private static IEnumerable<Finding> ManyRepetitions(ReviewedWeek week) =>
        from line in week.Home
        where line.Count.IsRepetitions() && line.Form != SetForm.RestPause && line.Counts.Max() > week.Marks.RepetitionsInSet
        select new Finding(
            FindingKind.TooManyRepetitions, Severity.Decide,
            $"{line.Exercise.Name}: {line.Counts.Max()} repetitions in a set.",
            $"Over {week.Marks.RepetitionsInSet} the breath or the patience ends the set: the variation is too easy (common practice).",
            [line.Number],
            week.Heavier(line, a => a.Prescription.Counts.Max() <= week.Marks.RepetitionsInSet));

    private static IEnumerable<Finding> Failure(ReviewedWeek week) =>
        from line in week.Home
        where line.FailureSets > 0 && week.Client.Level == Level.Beginner
        select new Finding(
            FindingKind.FailureForBeginner, Severity.Mend,
            $"{line.Exercise.Name}: {line.FailureSets} of {line.Counts.Length} sets end at failure.",
            "A beginner stops with two in reserve, or when form goes (common practice).",
            [line.Number],
            line.Counts.Min() > 2
                ? new Remedy($"Two repetitions fewer on line {line.Number}", [new(line.Number, Repetitions: line.Counts.Min() - 2)])
                : null);

    private static IEnumerable<Finding> Jumps(ReviewedWeek week)
    {
        int most = week.Marks.Landings(week.Client);
        foreach (var session in week.Sessions)
        {
            int contacts = session.Home.Sum(l => l.JumpContacts);
            if (contacts > most)
            {
                var lines = LossFindings.Numbers(session.Home.Where(l => l.JumpContacts > 0));
                yield return new Finding(
                    FindingKind.JumpContacts, Severity.Mend,
                    $"{session.Title}: {contacts} landings, at most {most} for {(most == 0 ? "the untrained" : $"the {PlainWords.Of(week.Client.Level)}")}.",
                    "Landings load tendons more than they tire (Potach and Chu in Haff and Triplett; from memory).",
                    lines,
                    week.Taking(lines, e => e.Pattern != Pattern.Jump));
            }
        }
    }

    private static IEnumerable<Finding> Balance(ReviewedWeek week) =>
        from row in week.Ledger.Balances
        let more = Math.Max(row.FirstSets, row.SecondSets)
        let less = Math.Min(row.FirstSets, row.SecondSets)
        where more >= week.Marks.BalanceFrom && more > week.Marks.Imbalance * less
        select new Finding(
            FindingKind.Unbalanced, Severity.Note,
            row.FirstSets > row.SecondSets
                ? $"{row.FirstSets:0.#} sets of {row.First} against {row.SecondSets:0.#} of {row.Second}."
                : $"{row.SecondSets:0.#} sets of {row.Second} against {row.FirstSets:0.#} of {row.First}.",
            $"More than {week.Marks.Imbalance:0.#} to one pulls the joints between them one way (common practice).",
            []);
}

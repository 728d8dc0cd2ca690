using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;
using Ingegno.Core.Substitution;

namespace Ingegno.Core.Review;

/// <summary>How sessions are made: their length, rests, circuits, what they train - the muscle or the breath.</summary>
internal static class SessionFindings
{
    internal static IEnumerable<Finding> Of(ReviewedWeek week) =>
        [.. Possible(week), .. Length(week), .. Conditioning(week), .. Circuits(week), .. Rests(week), .. Merged(week), .. Steadiness(week), .. Purposes(week)];

    private static IEnumerable<Finding> Possible(ReviewedWeek week) =>
        from line in week.Rebuilt
        where line.Outcome == LineOutcome.Nothing
        select new Finding(
            FindingKind.NothingPossible, Severity.Mend,
            $"Line {line.Written.Number}, {line.Written.ExerciseName}: nothing here stands in for it.",
            line.WouldOpen ?? "A line that cannot be trained is not sent.",
            [line.Written.Number]);

    private static IEnumerable<Finding> Length(ReviewedWeek week)
    {
        if (week.Client.SessionMinutes is not { } most)
        {
            yield break;
        }

        foreach (var session in week.Sessions.Where(s => s.Length.Minutes > most))
        {
            // Accessory work gives way first: it is what the session can spare.
            TrainedLine[] spare = [.. session.Home.Where(l => l.Role == Role.Accessory && l.Counts.Length > 1)];
            TrainedLine[] cut = spare.Length > 0 ? spare : [.. session.Home.Where(l => l.Counts.Length > 2)];
            yield return new Finding(
                FindingKind.TooLong, Severity.Mend,
                $"{session.Title} takes {session.Length.Minutes:0} minutes, {most} are there.",
                "A session that does not fit is one that is not done.",
                LossFindings.Numbers(cut),
                ReviewedWeek.Sets(cut, -1, most: 20, all: true));
        }
    }

    /// <summary>
    /// Over half the working minutes light and hurried: such a session leaves one as after a run. Wanted where endurance is the goal.
    /// </summary>
    private static IEnumerable<Finding> Conditioning(ReviewedWeek week)
    {
        foreach (var (session, row) in week.Sessions.Zip(week.Ledger.Sessions))
        {
            if (row.LightWork.Fraction > week.Marks.ConditioningShare)
            {
                TrainedLine[] light = [.. session.Home.Where(week.Marks.IsForBreath)];
                yield return new Finding(
                    FindingKind.Conditioning,
                    week.Client.Goal is Goal.StrengthEndurance ? Severity.Note : Severity.Decide,
                    $"{session.Title} is conditioning: {row.LightWork.Fraction:P0} of its working time is under {week.Marks.LightDemand:0.0#} of the maximum with less rest than work.",
                    "It leaves one as after a run, not worked in the muscle.",
                    LossFindings.Numbers(light),
                    new Remedy("Rest as long as the work lasts", [.. light.Select(l => new LineChange(l.Number, Rest: LongEnough(l)))]));
            }
        }
    }

    private static Duration LongEnough(TrainedLine line) =>
        Duration.FromSeconds(Math.Max(60, Math.Ceiling(line.Work.Seconds / line.Counts.Length / 15) * 15));

    private static IEnumerable<Finding> Circuits(ReviewedWeek week)
    {
        WrittenLine[] written = [.. week.Rebuilt.Select(l => l.Written)];
        if (written.Length >= week.Marks.CircuitFrom
            && written.GroupBy(l => l.Group).All(g => g.Key is not null && g.Count() >= week.Marks.CircuitFrom))
        {
            yield return new Finding(
                FindingKind.AllCircuit, Severity.Decide, "Everything is a circuit.",
                "Without rests of their own the main lifts are done tired; circuits suit the last third of a session (common practice).",
                [.. written.Select(l => l.Number)]);
        }
    }

    private static IEnumerable<Finding> Rests(ReviewedWeek week)
    {
        WrittenLine[] without = [.. week.Rebuilt.Select(l => l.Written).Where(l => l.Rest is null && l.Sets.Length > 1)];
        if (without.Length > 0 && without.Length * 2 > week.Rebuilt.Length)
        {
            yield return new Finding(
                FindingKind.RestsMissing, Severity.Note, $"{without.Length} of {week.Rebuilt.Length} lines have no rest written.",
                "Rest decides how hard the next set is; the usual ones were taken (Haff and Triplett; from memory).",
                [.. without.Select(l => l.Number)],
                new Remedy("Keep the usual rests on these lines", [.. without.Select(l => new LineChange(l.Number, Rest: HouseRules.UsualRest(l.Sets[0].Middle)))]));
        }
    }

    /// <summary>Words that join exercises into one: "squat to press to row".</summary>
    private static readonly string[] Joins = [" to ", " into ", " + ", " then ", " and "];

    /// <summary>Three and more exercises in one line: none of them is loaded as it should be.</summary>
    private static IEnumerable<Finding> Merged(ReviewedWeek week) =>
        from line in week.Rebuilt
        let name = line.Written.ExerciseName
        where line.Outcome == LineOutcome.Unknown && Joins.Sum(j => name.Split(j).Length - 1) >= 2
        select new Finding(
            FindingKind.ExercisesMerged, Severity.Decide, $"Line {line.Written.Number} is several exercises in one: {name}.",
            "What is heavy for one is nothing for the next; give each a line of its own.", [line.Written.Number]);

    private static IEnumerable<Finding> Steadiness(ReviewedWeek week)
    {
        if (week.Home.Length > 0 && week.Home.All(l => l.Exercise.Kind != MovementKind.Steadiness && l.Exercise.Steadiness < 2 && l.Count != CountKind.Seconds))
        {
            yield return new Finding(
                FindingKind.NoSteadiness, Severity.Note, "No hold and no work on steadiness in the week.",
                "Home work without machines asks the trunk to hold; a plank, a dead bug or one-leg work trains that.", []);
        }
    }

    private static IEnumerable<Finding> Purposes(ReviewedWeek week)
    {
        if (week.Rebuilt.Length > 0 && week.Rebuilt.All(l => l.Written.Purpose is null && l.Written.Intensity == Intensity.NotWritten))
        {
            yield return new Finding(
                FindingKind.NoPurpose, Severity.Decide, "No line says how hard it is or what it is for.",
                "Write an effort (RPE 8, 2 left), a load or a purpose (for growth): then the plan can be held against it.",
                [.. week.Rebuilt.Select(l => l.Written.Number)]);
        }
    }
}

using Ingegno.Core.Blocks;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Progression;

/// <summary>What keeps a log from being believed as it stands: for the coach to ask about once a month, in words.</summary>
internal static class Evidence
{
    /// <summary>Looked back so far; enough exercises in it to tell a habit, and the part of them with sets missing that is one (common practice).</summary>
    private const int Days = 28, Enough = 6;

    private const double Mostly = 0.6;

    internal static IEnumerable<Proposal> Of(DeskCase about, DateOnly today) => [.. HalfLogged(about, today), .. AlwaysAlike(about, today), .. KeepsMissing(about, today), .. OtherUnits(about, today)];

    private static IEnumerable<Proposal> HalfLogged(DeskCase about, DateOnly today)
    {
        var done = (
            from set in about.Training.Asked
            where set.As is not null && set.Set.On >= today.AddDays(-Days) && BlockCalendar.KindOn(about.Plan.Block, set.Set.On) == WeekKind.Full
            group set by (set.Set.Line, set.Set.Exercise, set.Set.On) into line
            let asked = line.First().As!
            where line.All(s => s.Set.Stopped != StopReason.Pain)
            select (Missing: line.Count() < asked.Counts.Length - asked.OptionalSets, line.Key)).ToArray();
        int missing = done.Count(l => l.Missing);
        if (done.Length >= Enough && missing >= Mostly * done.Length)
        {
            yield return Said(
                EvidenceKind.SetsMissing, today,
                $"Sets are missing from the log: {missing} of {done.Length} exercises in four weeks had fewer than asked. Are they not done, or not logged?",
                "What is there is judged as it is; missing sets neither hold a line back nor earn anything.");
        }
    }

    private static IEnumerable<Proposal> AlwaysAlike(DeskCase about, DateOnly today)
    {
        if (about.Training.Digest.Learned.SaysAlways is { } always)
        {
            yield return Said(
                EvidenceKind.SameAnswer, today,
                $"Says {always:0.#} left after every set, easy or hard. Ask what it would take to do one more.",
                "Such answers count for nothing: sets to the limit, sets that failed and counts done by feel say how much is left. The phone asks for open last sets until the numbers are known.");
        }
    }

    private static IEnumerable<Proposal> KeepsMissing(DeskCase about, DateOnly today) =>
        from miss in about.Training.Digest.Misses
        let name = about.Rules.Catalogue.Find(miss.Exercise)?.Name
        where name is not null && about.Plan.Sessions.Any(s => s.Lines.Any(l => l.Prescription?.Exercise == miss.Exercise))
        select Said(
            EvidenceKind.ForecastMisses, today,
            $"The forecast of {PlainWords.InSentence(name)} keeps missing: {miss.Outside} of the last {ForecastMiss.LastSets} sets lay outside their range. {WhyOf(miss)}",
            "One in five lies outside by chance. What is believed of the exercise is open again until the sets agree.", miss.Exercise);

    private static IEnumerable<Proposal> OtherUnits(DeskCase about, DateOnly today) =>
        from set in about.Training.Asked
        where set.Set.On >= today.AddDays(-Days) && set.As is not null && UnitSlip.Is(set.Set, set.As)
        group set by (set.Set.Exercise, set.Set.On) into day
        let name = about.Rules.Catalogue.Find(day.Key.Exercise)?.Name ?? day.Key.Exercise
        select Said(
            EvidenceKind.OtherUnit, day.Key.On, UnitSlip.Question(name, day.Key.On, day.First().Set.Load, day.First().As!.Load),
            "Nothing is learned from it: correct it in the Log, or, where it was right, write that load into the plan, which is learned from then on.", day.Key.Exercise);

    private static string WhyOf(ForecastMiss miss) => (2 * miss.Above).CompareTo(miss.Outside) switch
    {
        > 0 => "More was done than foreseen: is the load lighter than written, or the range shorter?",
        < 0 => "Less was done than foreseen: is the load heavier than written, the tempo slower, or the client tired?",
        _ => "Now more, now less: do rests, tempo or the way it is set up change from day to day?",
    };

    private static Proposal Said(EvidenceKind kind, DateOnly today, string sentence, string arithmetic, string exercise = "") => new(
        [new EvidenceSubject(kind, exercise, new DateOnly(today.Year, today.Month, 1))], ProposalKind.Evidence, sentence, [arithmetic], "log", null, "Asked");
}

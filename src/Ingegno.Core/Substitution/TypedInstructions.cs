using System.Globalization;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Loads;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Substitution;

/// <summary>
/// Typed techniques that are done around the sets and not by their count: told to the client with what is at hand here. Where one must not be
/// used on the exercise chosen it is left out, and the coach is told. In contrast, <see cref="TypedTechniques"/> go into the dose itself.
/// </summary>
internal static class TypedInstructions
{
    /// <summary>What a drop set goes on with, over the load before it (common practice: a fifth to a half off, about a third as a rule).</summary>
    private const double MostOfLoad = 0.85, UsualOfLoad = 0.7, LeastOfLoad = 0.5;

    /// <summary>Seconds between the bunches of a cluster, and before more of a set nothing lighter is there for (common practice).</summary>
    private const int UsualBreath = 15;

    /// <summary>Seconds within which a round still is called a minute (common practice).</summary>
    private const int NearAMinute = 8;

    /// <summary>Sentences for the client, in the order typed.</summary>
    internal static IEnumerable<string> For(WrittenLine line, Exercise written, Candidate candidate, ClientProfile client) =>
        from technique in line.Techniques
        where Against(technique.Kind, candidate, client) is null
        let told = Told(technique, written, candidate)
        where told is not null
        select told;

    /// <summary>What was typed and is left out on this exercise, in the coach's words.</summary>
    internal static IEnumerable<Leaning> LeftOut(WrittenLine line, Candidate candidate, ClientProfile client) =>
        from technique in line.Techniques
        let against = Against(technique.Kind, candidate, client)
        where against is not null
        select new Leaning($"{Name(technique.Kind)} left out", Dose: against);

    private static string? Told(WrittenTechnique technique, Exercise written, Candidate candidate) => technique.Kind switch
    {
        TechniqueKind.DropSet => Lighter(candidate) is { } lighter
            ? $"After the last set on at once with {lighter}, as many as stay clean"
            : $"After the last set {UsualBreath} s of rest, then as many more as stay clean",
        TechniqueKind.Cluster => $"Each set in two or three small bunches, {technique.Figure ?? UsualBreath} s between them with the load put down",
        TechniqueKind.Partials => "When no whole repetition is left in the last set, three to five short ones in the easier half",
        TechniqueKind.LoweringOnly when !written.IsLoweringOnly && candidate.Exercise.Techniques.Contains(Technique.LoweringOnly) => "Only lower it, slowly; come back up with the help of the other limb or the legs",
        TechniqueKind.BandAdded when candidate.SetUp.Implement?.Hold != Hold.Band && candidate.Dose?.Rung.Pull is null =>
            "Push harder the further it goes: at the end of the way a band would pull most",
        TechniqueKind.EveryMinute when candidate.Dose is { } dose => EveryRound(dose),
        _ => null,
    };

    private static string EveryRound(Dose dose)
    {
        double repetition = dose.Style == RepetitionStyle.Plain ? HouseRules.BriskRepetition : dose.Style.Lasts.Seconds;
        double round = (dose.Repetitions.Max() * repetition) + dose.Rest.Seconds;
        string every = Math.Abs(round - 60) <= NearAMinute ? "minute" : $"{(5 * Math.Round(round / 5)).ToString("0", CultureInfo.InvariantCulture)} s";
        return $"A new set every {every}; what is left of it is the rest";
    }

    /// <summary>What stands ready and is a good step lighter; null where nothing is, or it had to be filled or packed first.</summary>
    private static string? Lighter(Candidate candidate) =>
        candidate.Dose is { } dose && dose.Rung.Load > Mass.Zero && candidate.SetUp.Implement is { IsReady: true } held
        && candidate.SetUp.Ladder.Rungs.Where(r => r.Load <= dose.Rung.Load * MostOfLoad && r.Load >= dose.Rung.Load * LeastOfLoad)
            .MinBy(r => Math.Abs(r.Load.Kilograms - (dose.Rung.Load.Kilograms * UsualOfLoad))) is { } rung
            ? LoadWords.Of(rung, held).Split(". ")[0]
            : null;

    /// <summary>Going on past a set that was already hard is for those and for exercises that may be taken to the end.</summary>
    private static string? Against(TechniqueKind kind, Candidate candidate, ClientProfile client) =>
        kind is TechniqueKind.DropSet or TechniqueKind.Partials
            ? TechniqueLimits.AgainstGoingOn(candidate.Exercise, candidate.SetUp.Implement?.Hold, client)
            : null;

    private static string Name(TechniqueKind kind) => kind == TechniqueKind.DropSet ? "Drop set" : "Partial repetitions";
}

using System.Collections.Immutable;
using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Substitution;

/// <content>Lines that are in a plan already: told with today's forecast, changed by nothing but the coach.</content>
public sealed partial class SessionRebuild
{
    /// <summary>What other lines of the session are and stay is no proposal for this one.</summary>
    private IEnumerable<string> StandingBeside(WrittenSession session, IReadOnlyList<LineChoice> choices, int place) =>
        from other in session.Lines
        where other.Number != session.Lines[place].Number && other.Exercise != session.Lines[place].Exercise
        let standing = _standing.GetValueOrDefault(other.Number)
        where standing is not null && standing.IsKeptBy(_choices.For(other, choices))
        select standing.InForce.Exercise;

    /// <summary>What the engine is not to reconsider when it says what it would do now.</summary>
    private static LineChoice? Kept(StandingLine standing, WrittenLine line) =>
        standing.Settled is { Pinned: true } settled ? new LineChoice(line.Number, line.Text, settled.Exercise ?? standing.InForce.Exercise, Alone: settled.Alone, Pinned: true) : null;

    /// <summary>
    /// A line in force with what a choice changes on it, and beside it what the engine would say now. What is in force is told with today's forecast
    /// but never altered by it.
    /// </summary>
    private RebuiltLine Standing(LineCase about, StandingLine standing, Exercise written, Role role, Intent? intent, RebuiltLine fresh)
    {
        var (line, choice, was) = (about.Line, about.Choice, standing.InForce);
        if (_catalogue.Find(was.Exercise) is not { } exercise)
        {
            return fresh with { Against = [$"{was.Name} is not in the catalogue any more: what stands here is worked out anew"], LapsedChoice = null };
        }

        bool nudged = choice is { FixesDose: true };
        var candidate = _search.InForce(exercise, written, intent, role, was, standing.With(choice));
        var told = candidate is null
            ? Untold(standing, written, exercise, role, intent)
            : Alternatives.Of(candidate, written, line, intent, _client, _rules);
        var prescription = !nudged || candidate is null ? was
            : candidate.Dose is null ? standing.Plainly(choice!)
            : Nudged(was, told.Prescription, choice!);
        bool wantsFinish = choice is { FinishEasier: true }, hadFinish = standing.Settled is { FinishEasier: true };
        if (choice is not null && wantsFinish != hadFinish)
        {
            prescription = prescription with
            {
                FinishOn = wantsFinish && candidate is not null ? FinishChoice.For(
                candidate, line, among => _search.For(written, intent, role, _ => DoseWish.None, among, worthNaming: 0).Candidates, _catalogue, _client, _rules, true) : null
            };
        }

        var inForce = told with { Prescription = prescription };
        bool aloneNow = (choice?.Alone ?? false) && !(standing.Settled?.Alone ?? false), againWith = choice is not null && !choice.Alone && standing.Settled is { Alone: true };
        ImmutableArray<Alternative> added = aloneNow && standing.Added.Any(a => a.Exercise != was.Exercise) ? []
            : againWith ? fresh.Added
            : [.. standing.Added.Select(p => AsAdded(p, written, line, role, intent)).OfType<Alternative>()];
        return fresh with
        {
            Outcome = was.Exercise == written.Id ? LineOutcome.Unchanged : LineOutcome.Swapped,
            Chosen = inForce,
            Added = added,
            Stands = prescription == was && added.Select(a => a.Prescription).SequenceEqual(standing.Added),
            Afresh = fresh.Chosen is { } now && !AsksTheSame(now.Prescription, prescription) ? InWords(now.Prescription) : null,
            Against = PlannedSetUp.Of(was, exercise, _client, _search.Home, _rules).Against,
            Covered = candidate is null ? fresh.Covered : Share.Of(Pairs.Coverage(written, [candidate])),
            Closeness = candidate is null || intent is null || role != Role.Main || written.IsSlot ? null : ClosenessOf(written, intent, candidate),
            Gap = null,
            WouldOpen = null,
            LapsedChoice = null,
            ChosenByHand = standing.Settled?.Exercise is not null,
            Alternatives = [inForce, .. fresh.Alternatives.Where(a => a.Prescription.Exercise != was.Exercise)],
        };
    }

    private Alternative? AsAdded(Prescription added, Exercise written, WrittenLine line, Role role, Intent? intent)
    {
        if (_catalogue.Find(added.Exercise) is not { } exercise)
        {
            return null;
        }

        var standing = new StandingLine(added, [], null);
        return (_search.InForce(exercise, written, intent, role, added, standing.With(null)) is { } candidate
            ? Alternatives.Of(candidate, written, line, intent, _client, _rules)
            : Untold(standing, written, exercise, role, intent)) with
        { Prescription = added };
    }

    /// <summary>No forecast can be told of it here: it is shown as it stands.</summary>
    private Alternative Untold(StandingLine standing, Exercise written, Exercise exercise, Role role, Intent? intent) => new()
    {
        Prescription = standing.InForce,
        Fit = Fit.Of(FitParts.Of(written, exercise, intent, null, _client.Level), role, _rules.Weights),
        Class = StandIn.Uncounted(written, exercise),
        Reason = "Stands in the plan; nothing is forecast of it here today.",
        Decided = "It stands in the plan.",
    };

    /// <summary>What was fixed by hand comes from the new dose, the rest from what stood.</summary>
    private static Prescription Nudged(Prescription was, Prescription dose, LineChoice choice) => was with
    {
        Counts = dose.Counts,
        TopOfRange = choice is { Load: null, Repetitions: null, Tempo: null, Partial: null, Pulses: null, Form: null } ? Math.Max(was.TopOfRange, dose.Counts.Max()) : dose.TopOfRange,
        OptionalSets = Math.Min(was.OptionalSets, dose.Counts.Length - 1),
        FullSets = dose.Counts.Length == was.Counts.Length ? was.FullSets : 0,
        Load = dose.Load,
        Kit = dose.Kit,
        Hold = dose.Hold,
        LoadInWords = dose.LoadInWords,
        Tempo = choice is { Tempo: null } ? was.Tempo : dose.Tempo,
        Partial = dose.Partial,
        Pulses = dose.Pulses,
        Form = dose.Form,
        Rest = dose.Rest,
        Reserve = choice is { Load: null, Repetitions: null, Tempo: null, Partial: null, Pulses: null, Form: null } ? was.Reserve : dose.Reserve,
        Cues = was.Cues,
    };

    /// <summary>What a client would notice.</summary>
    private static bool AsksTheSame(Prescription a, Prescription b) =>
        a.Exercise == b.Exercise && a.Load == b.Load && a.Counts.SequenceEqual(b.Counts) && a.Style == b.Style && a.Form == b.Form && a.Rest == b.Rest && a.Geometry == b.Geometry;

    private static string InWords(Prescription line) =>
        $"{line.Name}{(line.Load == Mass.Zero ? "" : $", {line.Load}")}, {line.CountInWords}{(line.Tempo is { } tempo ? $", tempo {tempo}" : "")}, rest {line.Rest}";
}

using System.Collections.Immutable;
using Ingegno.Core.Dosing;
using Ingegno.Core.Effort;
using Ingegno.Core.Programmes;

namespace Ingegno.Core.Substitution;

/// <summary>A written line as training has brought it so far, for a rebuild to leave as it is.</summary>
/// <param name="InForce">What it asks now.</param>
/// <param name="Added">What was added to it.</param>
/// <param name="Settled">The coach's own choice on it.</param>
public sealed record StandingLine(Prescription InForce, ImmutableArray<Prescription> Added, LineChoice? Settled)
{
    /// <summary>Whether a choice leaves its exercise; one that says nothing does.</summary>
    internal bool IsKeptBy(LineChoice? choice) =>
        choice is null or { Afresh: false, LeftOut: false } && (choice?.Exercise is null || choice.Exercise == InForce.Exercise);

    /// <summary>The dose in force with what a choice fixes: a new load or tempo asks for new counts, a rest or a set does not.</summary>
    internal DoseWish With(LineChoice? choice)
    {
        bool recount = choice is { Load: not null } or { Tempo: not null } or { Partial: not null } or { Pulses: not null } or { Form: not null };
        return new(
            choice?.Load ?? InForce.Load, choice?.Repetitions, choice?.Tempo ?? InForce.Style.Tempo, choice?.Rest ?? InForce.Rest, choice?.Partial ?? InForce.Partial,
            choice?.Pulses ?? InForce.Pulses, choice?.Form ?? InForce.Form, choice?.Sets ?? (recount && InForce.Form == SetForm.RestPause ? null : InForce.Counts.Length))
        {
            Counts = recount || choice?.Repetitions is not null ? null : CountsWith(choice),
        };
    }

    /// <summary>The line in force with what can be fixed without a forecast.</summary>
    internal Prescription Plainly(LineChoice choice) => InForce with
    {
        Counts = choice.Repetitions is { } count ? [.. CountsWith(choice).Select(_ => count)] : CountsWith(choice),
        TopOfRange = Math.Max(InForce.TopOfRange, choice.Repetitions ?? 0),
        Rest = choice.Rest ?? InForce.Rest,
        Tempo = choice.Tempo ?? InForce.Tempo,
    };

    /// <summary>Sets more are like the last.</summary>
    private ImmutableArray<int> CountsWith(LineChoice? choice) =>
        choice?.Sets is { } sets && InForce.Form != SetForm.RestPause
            ? [.. Enumerable.Range(0, sets).Select(i => InForce.Counts[Math.Min(i, InForce.Counts.Length - 1)])]
            : InForce.Counts;
}

using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Programmes;
using Ingegno.Core.Progression;
using Ingegno.Core.Substitution;

namespace Ingegno.Core.Blocks;

/// <summary>What one line asks in one week.</summary>
/// <param name="Raised">What went up since the last whole week; null where nothing did.</param>
/// <param name="What">Kind of the raise.</param>
public sealed record WeekTarget(Prescription Prescription, string? Raised, Raise? What);

/// <summary>A line through all weeks of a block.</summary>
/// <param name="Line">Line number in the text.</param>
/// <param name="Session">Place of its session, from 0.</param>
/// <param name="Weeks">One a week, in order.</param>
public sealed record LineTargets(int Line, int Session, ImmutableArray<WeekTarget> Weeks);

/// <summary>
/// Each week's targets generated ahead: one thing raised a week on every line, by the progression order, as if each target were met. The log
/// decides in the end; this is the plan it is held against.
/// </summary>
public static class BlockTargets
{
    /// <param name="sessions">The week as rebuilt.</param>
    /// <param name="weeks">As laid out by <see cref="BlockCalendar"/>.</param>
    /// <param name="anchors">Maxima the week was rebuilt with.</param>
    public static ImmutableArray<LineTargets> Of(
        IReadOnlyList<RebuiltSession> sessions, Block block, ImmutableArray<BlockWeek> weeks, ClientProfile client, PreparedHome home,
        Catalogue catalogue, StrengthAnchors anchors, HouseRules rules)
    {
        rules = block.Over(rules).For(client);
        return
        [
            .. from s in Enumerable.Range(0, sessions.Count)
               from line in sessions[s].Lines
               where line.Chosen is not null
               select new LineTargets(line.Written.Number, s, [.. Through(line, line.Chosen!.Prescription)]),
        ];

        IEnumerable<WeekTarget> Through(RebuiltLine line, Prescription start)
        {
            var at = Climb(line, start, start);
            bool trained = false;
            foreach (var week in weeks)
            {
                if (week.Kind != WeekKind.Full)
                {
                    // The easier week repeats what was reached, with fewer sets.
                    yield return new(Fewer(at.Line, week.Kind, rules), null, null);
                    continue;
                }

                var raised = trained ? ProgressionOrder.After(at, ProgressionOrder.For(PurposeOf(week), rules), client, rules) : null;
                if (raised is not null)
                {
                    bool anew = raised.What != Raise.Repetitions;
                    at = raised.What == Raise.Variation
                        ? Climb(line, raised.Next, raised.Next)
                        : at with { Line = raised.Next, Base = anew ? raised.Next : at.Base };
                }

                trained = true;
                yield return new(at.Line, raised?.Words, raised?.What);
            }
        }

        Purpose PurposeOf(BlockWeek week) => week.Phase is { } phase ? block.Phases[phase].Purpose : Purpose.Growth;

        Climbing Climb(RebuiltLine line, Prescription now, Prescription from)
        {
            var exercise = catalogue[now.Exercise];
            return new(
                now, from, exercise, PlannedSetUp.Of(now, exercise, client, home, rules).Implement, anchors.For(exercise),
                [.. line.Alternatives.Select(a => a.Prescription).Where(p => exercise.Harder.Any(h => h.Exercise == p.Exercise))]);
        }
    }

    /// <summary>The bouts of a rest-pause are one set and stay.</summary>
    private static Prescription Fewer(Prescription line, WeekKind kind, HouseRules rules) =>
        line.Form == SetForm.RestPause
            ? line
            : line with { Counts = line.Counts[..BlockCalendar.Sets(line.Counts.Length, kind, rules)], OptionalSets = 0 };
}

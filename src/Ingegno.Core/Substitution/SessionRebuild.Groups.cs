using System.Collections.Immutable;
using Ingegno.Core.Dosing;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;
using Ingegno.Core.Sessions;

namespace Ingegno.Core.Substitution;

/// <content>Lines done back to back: chosen so that they can be, then re-paired or broken where they cannot.</content>
public sealed partial class SessionRebuild
{
    /// <summary>
    /// No group is broken by a swap of our own while another candidate of the same class in the zone would leave it whole: the later line takes
    /// its next one, or the earlier line does (common practice). What is written, fixed by hand or in force stays.
    /// </summary>
    private void KeepTogether(ImmutableArray<RebuiltLine>.Builder lines, Func<int, LineCase> caseOf, string?[] groups, List<(string? Written, string Exercise)> used)
    {
        foreach (int[] group in Enumerable.Range(0, lines.Count).Where(i => groups[i] is not null).GroupBy(i => groups[i]).Select(g => g.ToArray()).Where(g => g.Length > 1))
        {
            foreach (int place in group.OrderDescending())
            {
                string[] clashes = [.. group.Where(i => i != place).Select(i => Between(lines[i].Chosen, lines[place].Chosen)).OfType<string>()];
                if (clashes.Length == 0 || !MayTakeAnother(lines[place], caseOf(place)))
                {
                    continue;
                }

                var before = lines[place];
                var next = before.Alternatives
                    .Where(a => a.Class < CandidateClass.OutsideZone && a.Class <= before.Chosen!.Class && used.All(u => u.Exercise != a.Prescription.Exercise)
                        && lines.All(l => l.Written.Exercise != a.Prescription.Exercise) && IsAtPeace(a))
                    .Take(MostTried)
                    .Select(a => Line(caseOf(place) with { Keep = a.Prescription.Exercise }, [.. used.Select(u => u.Exercise)]))
                    .FirstOrDefault(l => l.Chosen is { } c && used.All(u => u.Exercise != c.Prescription.Exercise) && IsAtPeace(c));
                if (next is not null)
                {
                    used.AddRange(next.Prescriptions().Select(p => (next.Written.Exercise, p.Exercise)));
                    lines[place] = next with { Group = before.Group, Moved = $"In place of the {PlainWords.InSentence(before.Chosen!.Prescription.Name)}, so that the group stays whole: {clashes[0]}." };
                }

                bool IsAtPeace(Alternative way) => group.All(i => i == place || Between(lines[i].Chosen, way) is null);
            }
        }
    }

    /// <summary>Each is a search of its own: what does not fit by the second will not by the fifth.</summary>
    private const int MostTried = 2;

    private static string? GroupOf(RebuiltLine line, LineChoice? choice) => choice?.Group switch { null => line.Written.Group, "" => null, var letter => letter };

    private static bool MayTakeAnother(RebuiltLine line, LineCase about) =>
        line is { Outcome: LineOutcome.Swapped, Stands: false, ChosenByHand: false, Added.IsEmpty: true } && about.Choice is not { Pinned: true } and not { FixesDose: true };

    private string? Between(Alternative? a, Alternative? b) =>
        a is null || b is null ? null : NeedsOf(a.Prescription).Against(NeedsOf(b.Prescription));

    /// <summary>Groups as written or as set by hand, and broken or re-paired where two halves want one thing two ways.</summary>
    private void Regroup(ImmutableArray<RebuiltLine>.Builder lines, LineChoice?[] choices)
    {
        var groups = Grouping.Of([.. lines.Select((line, i) => new GroupedLine(
            line.Written.ExerciseName,
            GroupOf(line, choices[i]),
            line.Chosen is { } chosen ? NeedsOf(chosen.Prescription) : null))]);
        for (int i = 0; i < lines.Count; i++)
        {
            lines[i] = Grouped(lines[i], groups[i].Group, groups[i].Why ?? lines[i].Moved);
        }
    }

    /// <summary>The very same line where that is its group already.</summary>
    private static RebuiltLine Grouped(RebuiltLine line, string? group, string? moved) =>
        line.Group == group && line.Moved == moved ? line : line with { Group = group, Moved = moved };

    private SetUpNeeds NeedsOf(Prescription given) => SetUpNeeds.Of(given, _catalogue[given.Exercise], _home);

    /// <summary>What the partners of a line take from it as rebuilt; null where it stands alone or they share too little to tell.</summary>
    private ImmutableArray<PartnerSet>? HomePartners(ImmutableArray<RebuiltLine>.Builder lines, int place)
    {
        var line = lines[place];
        if ((line.Written.Group is null && line.Group is null) || line.Intent is null || line.Chosen is not { Forecast.IsEmpty: false } chosen)
        {
            return null;
        }

        var partners = SharedWork.For(
            line.Written.Number,
            _catalogue[chosen.Prescription.Exercise],
            from other in lines
            where line.Group is not null && other.Group == line.Group && other.Chosen is not null
            select SharedWork.AtHome(other.Written.Number, _catalogue[other.Chosen!.Prescription.Exercise], other.Chosen));
        return line.Group != line.Written.Group || SharedWork.IsWorthCounting(partners) || SharedWork.IsWorthCounting(line.Intent.Partners) ? partners : null;
    }
}

using System.Collections.Immutable;
using Ingegno.Core.Blocks;
using Ingegno.Core.Clients;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Practices;
using Ingegno.Core.Programmes;
using Ingegno.Core.Substitution;

namespace Ingegno.Core.Plans;

/// <summary>What a coach has on the bench.</summary>
/// <param name="Seen">What they began with; null: the plan as it is.</param>
public sealed record BenchDraft(string Text, ImmutableArray<LineChoice> Choices, Block? Block, SeenPlan? Seen = null);

/// <summary>
/// Works a draft out over the plan in force, for showing and for saving alike: what is saved is what was shown.
/// </summary>
/// <param name="places">The place in use first.</param>
/// <param name="read">Reads a programme text.</param>
public sealed class PlanBench(
    ClientProfile client, Practice practice, Catalogue catalogue, IReadOnlyList<ClientPlace> places, DateOnly today, Func<string, WrittenProgramme> read)
{
    public Framing Framing { get; } = new(client, places.ToDictionary(p => p.Id, p => p.Home, StringComparer.Ordinal), catalogue, practice.Rules, today, read);

    /// <summary>The draft over the plan. A text the coach did not touch is the plan's own, though another window changed it.</summary>
    public PlanEdit Edit(Plan plan, BenchDraft draft) =>
        new(plan, read(plan.Text), read(TextOf(plan, draft)), draft.Choices, draft.Seen);

    private static string TextOf(Plan plan, BenchDraft draft) => draft.Seen is { } seen && draft.Text == seen.Text ? plan.Text : draft.Text;

    /// <summary>The rebuild of a place, its lines in force left as they stand.</summary>
    public SessionRebuild RebuildAt(PlanEdit edit, ClientPlace place) =>
        new(client, place.Home, catalogue, practice.Rules, today, edit.Programme, practice, edit.StandingAt(place.Id));

    private RebuiltPlace At(PlanEdit edit, ClientPlace place)
    {
        var rebuild = RebuildAt(edit, place);
        var choices = edit.ChoicesAt(place.Id);
        return new(place.Id, place.Home.Name, [.. edit.Programme.Sessions.Select(s => rebuild.Rebuild(s, choices))]);
    }

    /// <summary>Saves a draft: what was not changed on it stands.</summary>
    public PlanOutcome Save(Plan plan, BenchDraft draft, Func<int, DateOnly?> lastTrained, Commanded by)
    {
        var now = plan.At(places[0].Id);
        var edit = Edit(now, draft);
        return Saving.Of(now, edit, TextOf(now, draft), draft.Block, [.. places.Select(p => At(edit, p))], draft.Seen, catalogue, Framing, lastTrained, by);
    }

    /// <summary>
    /// These lines worked out anew, at every place where they are what they are at <paramref name="place"/> or may not be trained as they stand; a
    /// line nothing else stands in for waits aside. All others stand.
    /// </summary>
    /// <param name="unlike">The new exercise must be another.</param>
    public PlanOutcome Anew(Plan plan, string place, IReadOnlySet<int> lines, bool unlike, ChangeKind kind, string cause, Func<int, DateOnly?> lastTrained, Commanded by)
    {
        var now = plan.At(places[0].Id);
        var edit = Edit(now, new BenchDraft(now.Text, now.Choices, now.Block));
        PlannedLine[] there = [.. now.Places.First(p => p.Place == place).Sessions.SelectMany(s => s.Lines).Where(l => lines.Contains(l.Line))];
        var given = there.Select(l => l.Prescription?.Exercise).OfType<string>().ToHashSet(StringComparer.Ordinal);
        var outcome = Saving.Of(
            now, edit, now.Text, now.Block, [.. places.Where(p => now.Places.Any(made => made.Place == p.Id)).Select(Rebuilt)], null, catalogue, Framing, lastTrained, by, (kind, cause));
        return outcome.Plan.Sessions.SelectMany(s => s.Lines).Any()
            ? outcome
            : PlanOutcome.Refused(plan, "Nothing else stands in for this line, and without it nothing is left to train: choose on the bench what else it may be.");

        RebuiltPlace Rebuilt(ClientPlace at)
        {
            var standing = edit.StandingAt(at.Id).ToDictionary();
            var hurt = NumbersOf(at).ToHashSet();
            foreach (int number in hurt)
            {
                standing.Remove(number);
            }

            var rebuild = new SessionRebuild(client, at.Home, catalogue, practice.Rules, today, edit.Programme, practice, standing);
            LineChoice[] choices = [.. edit.ChoicesAt(at.Id).Where(c => !hurt.Contains(c.Line))];
            return new(at.Id, at.Home.Name, [.. edit.Programme.Sessions.Select(s => Without(rebuild.Rebuild(s, choices), hurt))]);
        }

        // Elsewhere only where the line is the same exercise.
        IEnumerable<int> NumbersOf(ClientPlace at) =>
            at.Id == place
                ? there.Select(l => l.Number)
                : now.Places.First(p => p.Place == at.Id).Sessions.SelectMany(s => s.Lines)
                    .Where(l => there.Any(t => t.Main == l.Main) && l.Prescription is { } asked && given.Contains(asked.Exercise))
                    .Select(l => l.Number);

        RebuiltSession Without(RebuiltSession session, HashSet<int> hurt) => session with
        {
            Lines =
            [
                .. session.Lines.Select(l => !hurt.Contains(l.Written.Number) ? l
                    : l.Chosen is null || (unlike && given.Contains(l.Chosen.Prescription.Exercise)) ? l with { Outcome = LineOutcome.LeftOut, Chosen = null, Added = [] }
                    : l with { Added = [.. l.Added.Where(a => !unlike || !given.Contains(a.Prescription.Exercise))] }),
            ],
        };
    }
}

using System.Collections.Immutable;
using System.Globalization;
using Ingegno.Core.Blocks;
using Ingegno.Core.Exercises;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;
using Ingegno.Core.Substitution;

namespace Ingegno.Core.Plans;

/// <summary>A place with the programme as rebuilt for it.</summary>
public sealed record RebuiltPlace(string Place, string Name, ImmutableArray<RebuiltSession> Sessions);

/// <summary>
/// Makes a plan of what stands on the bench: lines that stand are kept to the letter, and what differs becomes a list of changes, one a line.
/// </summary>
public static class Saving
{
    private const int MostKept = 2;

    /// <param name="rebuilt">The place in use first.</param>
    /// <param name="block">The weeks as they stand on the bench.</param>
    /// <param name="told">What it is called where it is no edit of the bench.</param>
    /// <param name="lastTrained">Last day a line was trained; sets up to then were asked as it was before.</param>
    public static PlanOutcome Of(
        Plan plan, PlanEdit edit, string text, Block? block, IReadOnlyList<RebuiltPlace> rebuilt, SeenPlan? seen, Catalogue catalogue, Framing framing,
        Func<int, DateOnly?> lastTrained, Commanded by, (ChangeKind Kind, string Cause)? told = null)
    {
        if (seen is not null && text != seen.Text && plan.Text != seen.Text && text != plan.Text)
        {
            return PlanOutcome.Refused(plan, "The text was changed in another window meanwhile, and so was yours: load the newer one and type yours into it.", stale: true);
        }

        var before = LineStates.Of(plan);
        var (arranged, states) = Wanted(plan, edit, text, rebuilt, catalogue, lastTrained);
        string[] places = [.. rebuilt.Select(p => p.Place)];
        LineDelta[] deltas =
        [
            .. from key in before.Keys.Union(states.Keys)
               let was = before.GetValueOrDefault(key)
               let now = states.GetValueOrDefault(key)
               where !LineStates.Same(was, now)
               orderby Array.IndexOf(places, key.Place), key.Line
               select new LineDelta(key.Place, key.Line, was, now),
        ];
        if (Overtaken(plan, seen, deltas) is { } overtaken)
        {
            return PlanOutcome.Refused(plan, overtaken, stale: true);
        }

        var changes = new List<PlanChange>();
        var arrangedBefore = LineStates.ArrangementOf(plan);
        bool rearranged = !LineStates.Same(arrangedBefore, arranged);
        LineDelta[] withText = rearranged ? [.. deltas.Where(IsOfTheText)] : [];
        if (rearranged)
        {
            Add(told?.Kind ?? KindOf(plan, text, withText), told?.Cause ?? CauseOf(plan, text, withText), withText, new TextDelta(arrangedBefore, arranged));
        }

        foreach (var line in deltas.Except(withText).GroupBy(d => d.Line % PlannedLine.AddedFrom))
        {
            LineDelta[] of = [.. line];
            bool byHand = edit.Programme.Sessions.SelectMany(s => s.Lines).FirstOrDefault(l => edit.LineOf(l.Number) == line.Key) is { } written
                && edit.ChangedOn(written) is { Afresh: false };
            Add(
                told?.Kind ?? (byHand ? ChangeKind.Nudged : ChangeKind.Rebuilt),
                told?.Cause ?? $"{(byHand ? "Set by hand" : "Taken afresh")}: {Told(of[0])}.", of, null);
        }

        if ((seen is null || !LineStates.Same(seen.Block, block)) && !LineStates.Same(plan.Block, block))
        {
            if (seen is not null && !LineStates.Same(seen.Block, plan.Block))
            {
                return PlanOutcome.Refused(plan, "The weeks were changed in another window meanwhile: load the newer ones first.", stale: true);
            }

            changes.Add(Change(ChangeKind.Shifted, block is null ? "The weeks were taken out." : "The weeks were laid out.") with { Weeks = new(plan.Block, block) });
        }

        var with = changes.Aggregate(plan, (p, change) => p.With(change, framing));
        return new(with with { SavedAt = by.At, Place = with.Place ?? rebuilt[0].Place, PlaceName = rebuilt[0].Name }, [.. changes]);

        void Add(ChangeKind kind, string cause, LineDelta[] lines, TextDelta? delta) => changes.Add(Change(kind, cause) with { Lines = [.. lines], Text = delta });

        PlanChange Change(ChangeKind kind, string cause) => new(by.IdOf(changes.Count), by.Command, by.On, by.At, kind, by.Who, cause);
    }

    /// <summary>Comes, goes, waits, or is typed otherwise.</summary>
    private static bool IsOfTheText(LineDelta delta) =>
        delta.Before is null || delta.After is null || delta.Before.IsAside != delta.After.IsAside || delta.Before.Written != delta.After.Written;

    private static string? Overtaken(Plan plan, SeenPlan? seen, LineDelta[] deltas)
    {
        if (seen is null)
        {
            return null;
        }

        var versions = seen.Lines.ToDictionary(l => l.Line, l => l.Version);
        string[] overtaken =
        [
            .. from line in deltas.Where(d => d.Before is not null).GroupBy(d => d.Line % PlannedLine.AddedFrom)
               where plan.VersionOf(line.Key) != versions.GetValueOrDefault(line.Key)
               let now = line.First().Before!
               select PlainWords.InSentence(now.Prescription?.Name ?? now.Written),
        ];
        return overtaken.Length == 0 ? null
            : $"{string.Join(", ", overtaken)} {(overtaken.Length == 1 ? "was" : "were")} changed in another window meanwhile. Your other lines are safe: load the newer plan and change {(overtaken.Length == 1 ? "it" : "them")} there.";
    }

    private static ChangeKind KindOf(Plan plan, string text, LineDelta[] deltas) =>
        text != plan.Text || plan.Place is null ? ChangeKind.Written
        : deltas.Any(d => d.Before is not null && d.After is not null && d.Before.IsAside != d.After.IsAside) ? ChangeKind.SetAside
        : ChangeKind.Rebuilt;

    private static string CauseOf(Plan plan, string text, LineDelta[] deltas)
    {
        LineDelta[] here = [.. deltas.Where(d => d.Line < PlannedLine.AddedFrom).DistinctBy(d => d.Line)];
        int came = here.Count(d => d.Before is null), went = here.Count(d => d.After is null), typed = here.Length - came - went;
        if (plan.Place is null)
        {
            return $"Rebuilt from the text: {Lines(came)}.";
        }

        var parts = new List<string>();
        AddIf(came, "new");
        AddIf(typed, text == plan.Text ? "left out or taken in" : "typed otherwise");
        AddIf(went, "taken out");
        return parts.Count == 0 ? "The session was laid in another order." : $"{(text == plan.Text ? "The session was changed" : "The text was changed")}: {string.Join(", ", parts)}.";

        void AddIf(int count, string words)
        {
            if (count > 0)
            {
                parts.Add($"{Lines(count)} {words}");
            }
        }

        static string Lines(int count) => string.Create(CultureInfo.InvariantCulture, $"{count} {(count == 1 ? "line" : "lines")}");
    }

    /// <summary>"goblet squat 3 x 12 with 16 kg instead of 3 x 15 with 12 kg".</summary>
    internal static string Told(LineDelta delta)
    {
        var (was, now) = (delta.Before?.Prescription, delta.After?.Prescription);
        return now is null ? $"nothing stands in for {delta.After?.Written ?? delta.Before?.Written}"
            : was is null || was.Exercise != now.Exercise ? $"{PlainWords.InSentence(now.Name)} {Dose(now)}{(was is null ? "" : $" instead of {PlainWords.InSentence(was.Name)} {Dose(was)}")}"
            : Dose(was) == Dose(now) ? $"{PlainWords.InSentence(now.Name)} {Dose(now)}"
            : $"{PlainWords.InSentence(now.Name)} {Dose(now)} instead of {Dose(was)}";

        static string Dose(Prescription line) =>
            $"{line.CountInWords}{(line.Load == Mass.Zero ? "" : $" with {line.Load}")}{(line.Tempo is { } tempo ? $", tempo {tempo}" : "")}, rest {line.Rest}";
    }

    /// <summary>How the plan is to be: states of all lines at the places rebuilt, and where they stand.</summary>
    private static (Arrangement Arranged, Dictionary<(string Place, int Line), LineState> States) Wanted(
        Plan plan, PlanEdit edit, string text, IReadOnlyList<RebuiltPlace> rebuilt, Catalogue catalogue, Func<int, DateOnly?> lastTrained)
    {
        var states = new Dictionary<(string, int), LineState>();
        int next = plan.AllLines.Select(l => l.Main).Concat(plan.Versions.Select(v => v.Line)).DefaultIfEmpty(0).Max();
        var names = edit.Programme.Sessions.SelectMany(s => s.Lines).ToDictionary(
            l => l.Number, l => edit.LineOf(l.Number) ?? (plan.Place is null && next == 0 ? l.Number : -1));
        foreach (int number in names.Where(n => n.Value < 0).Select(n => n.Key).Order().ToArray())
        {
            names[number] = ++next;
        }

        var places = new List<ArrangedPlace>();
        foreach (var place in rebuilt)
        {
            var planned = plan.Places.FirstOrDefault(p => p.Place == place.Place);
            places.Add(new(place.Place, place.Name, [.. place.Sessions.Select((session, i) => Session(place.Place, session, Before(planned, session, i)))]));
        }

        return (new(text, [.. places]), states);

        PlannedSession? Before(PlannedPlace? planned, RebuiltSession session, int place) =>
            planned is null ? null
            : planned.Sessions.FirstOrDefault(s => s.Title == session.Title) ?? planned.Sessions.ElementAtOrDefault(place);

        ArrangedSession Session(string place, RebuiltSession session, PlannedSession? before)
        {
            var trained = new List<ArrangedLine>();
            bool exercisesStay = true;
            foreach (var line in session.Lines.OrderBy(l => l.TrainedAt))
            {
                var was = edit.At(place, line.Written.Number);
                int name = names[line.Written.Number];
                if (line.Outcome == LineOutcome.LeftOut && was is { } waits)
                {
                    foreach (var planned in waits.Added.Prepend(waits.Main))
                    {
                        states[(place, planned.Line)] = LineStates.Of(planned, aside: true) with { Choice = planned.IsAdded ? planned.Choice : SettledOn(place, line, planned) };
                    }

                    continue;
                }

                if (line.Outcome == LineOutcome.LeftOut)
                {
                    states[(place, name)] = New(line, null) with { IsAside = true, Choice = edit.ChangedAt(place, line.Written)?.Settled() };
                    continue;
                }

                string tag = line.TagHere;
                foreach (var (id, label, state) in line.Stands && was is { } kept ? Kept(place, line, kept, tag) : Anew(place, line, was, name, tag))
                {
                    states[(place, id)] = state;
                    trained.Add(new(id, line.Written.Number, label, line.Group));
                    exercisesStay &= before?.Lines.FirstOrDefault(l => l.Line == id)?.Prescription?.Exercise == state.Prescription?.Exercise;
                }
            }

            // The same exercises in the same groups are trained in the order they were.
            return new(
                session.Title,
                exercisesStay && before is not null && before.Lines.Length == trained.Count && trained.All(t => before.Lines.Any(b => b.Line == t.Line && b.Group == t.Group))
                    ? [.. trained.OrderBy(t => before.Lines.Select((l, i) => (l.Line, i)).First(p => p.Line == t.Line).i)]
                    : [.. trained]);
        }

        IEnumerable<(int, string, LineState)> Kept(string place, RebuiltLine line, (PlannedLine Main, ImmutableArray<PlannedLine> Added, bool Aside) was, string tag) =>
            was.Added.Prepend(was.Main).Select(p => (
                p.Line, p.IsAdded ? (tag.Length == 0 ? "+" : tag + "+") : tag,
                LineStates.Of(p) with { Written = line.Written.Text, Choice = p.IsAdded ? p.Choice : SettledOn(place, line, p) }));

        IEnumerable<(int, string, LineState)> Anew(string place, RebuiltLine line, (PlannedLine Main, ImmutableArray<PlannedLine> Added, bool Aside)? was, int name, string tag)
        {
            DateOnly? since = was is not null && lastTrained(name) is { } day ? day.AddDays(1) : null;
            yield return (name, tag, New(line, line.Chosen) with
            {
                Since = since,
                Choice = SettledOn(place, line, was?.Main),
                Follows = was is { } known ? known.Main.Follows : edit.FollowedBy(line.Written.Number),
            });
            for (int i = 0; i < line.Added.Length; i++)
            {
                int added = name + (PlannedLine.AddedFrom * (i + 1));
                // What was added before and is added again stays as it was.
                var before = was?.Added.FirstOrDefault(a => a.Line == added && a.Prescription?.Exercise == line.Added[i].Prescription.Exercise);
                yield return (added, tag.Length == 0 ? "+" : tag + "+", before is null ? New(line, line.Added[i]) with { Since = since } : LineStates.Of(before) with { Written = line.Written.Text });
            }
        }

        // That the exercise in force is in force is no choice of the coach's.
        LineChoice? SettledOn(string place, RebuiltLine line, PlannedLine? was) =>
            edit.ChangedAt(place, line.Written) is not { } changed ? was?.Choice
            : was?.Choice?.Exercise is null && changed.Exercise is not null && changed.Exercise == was?.Prescription?.Exercise ? (changed with { Exercise = null }).Settled()
            : changed.Settled();

        LineState New(RebuiltLine line, Alternative? done) => new()
        {
            Written = line.Written.Text,
            Why = done is null ? line.WouldOpen ?? "" : done.Why,
            Prescription = done?.Prescription,
            Start = done?.Prescription,
            Harder = done is null ? [] : [.. Others(line, done).Where(p => catalogue[done.Prescription.Exercise].Harder.Any(h => h.Exercise == p.Exercise)).Take(MostKept)],
            Instead = done is null ? [] : [.. Others(line, done).Where(p => !p.Supports.Any(s => done.Prescription.Supports.Any(used => used.Fixture == s.Fixture))).Take(MostKept)],
        };

        // What was added to a line has no alternatives of its own.
        static IEnumerable<Prescription> Others(RebuiltLine line, Alternative done) => done == line.Chosen
            ? line.Alternatives.Select(a => a.Prescription).Where(p => p.Exercise != done.Prescription.Exercise)
            : [];
    }
}

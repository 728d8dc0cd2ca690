using System.Collections.Immutable;
using System.Text.Json;
using Ingegno.Core.Blocks;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Plans;
using Ingegno.Core.Practices;
using Ingegno.Core.Progression;
using Ingegno.Core.Quantities;
using Ingegno.Core.Substitution;

namespace Ingegno.Core.Tests.Plans;

/// <summary>Generated histories of a plan: texts changed, lines nudged, steps taken, weeks moved, changes taken back.</summary>
public class PlanHistoryTests
{
    private const int Histories = 12;

    private static readonly string[] Exercises =
        ["goblet-squat", "push-up", "two-dumbbell-row", "dumbbell-romanian-deadlift", "dead-bug", "plank", "split-squat", "hammer-curl"];

    private static readonly Home Loft = new()
    {
        Name = "Loft",
        Kit = [People.Handles(2, 2, (2.5, 8), (1.25, 4)), People.Rucksack(1, 25, ("bottle", 1.5, 6))],
    };

    private static readonly Home Shed = new() { Name = "Shed", Kit = [People.Rucksack(1, 25, ("brick", 2.5, 5))] };

    private static readonly ImmutableArray<ClientPlace> Places = [new("loft", Loft), new("shed", Shed)];

    private static readonly PlanBench Bench = new(People.Man, new Practice(), Catalogue.Shipped, Places, People.Today, Typed.Read);

    /// <summary>What a coach does next; the numbers choose among what there is.</summary>
    private enum Deed
    {
        Nudge,
        Afresh,
        OtherRest,
        OtherCount,
        NewLine,
        TakeOut,
        LeaveOut,
        Step,
        Weeks,
        Undo,
    }

    private static readonly Gen<(Deed Deed, int At, int By)[]> Deeds =
        Gen.Select(Gen.Enum<Deed>(), Gen.Int[0, 1000], Gen.Int[0, 1000], (deed, at, by) => (deed, at, by)).Array[1, 7];

    private sealed class Kept
    {
        internal Plan Plan { get; set; } = Plan.Empty;

        internal List<PlanChange> Changes { get; } = [];

        private int _commands;

        internal Commanded By() => new(new Guid(++_commands, 0, 0, new byte[8]), People.Today.AddDays(_commands), new(2026, 11, 23, 9, 0, 0, TimeSpan.Zero), "coach");

        internal PlanOutcome Keep(PlanOutcome outcome)
        {
            if (outcome.Refusal is null)
            {
                Plan = outcome.Plan;
                Changes.AddRange(outcome.Changes);
            }

            return outcome;
        }
    }

    private static Kept Begun()
    {
        var kept = new Kept();
        string text = "# Monday\n" + string.Join('\n', Exercises.Take(3).Select(e => Typed.Line(e, 3, 8, 90))) + "\n# Thursday\n"
            + string.Join('\n', Exercises.Skip(3).Take(2).Select(e => Typed.Line(e, 3, 10, 60)));
        kept.Keep(Save(kept, text, []));
        return kept;
    }

    private static PlanOutcome Save(Kept kept, string text, ImmutableArray<LineChoice> choices, SeenPlan? seen = null) =>
        Bench.Save(kept.Plan, new(text, choices, kept.Plan.Block, seen), _ => null, kept.By());

    private static PlannedLine[] Mains(Plan plan) => [.. plan.Sessions.SelectMany(s => s.Lines).Where(l => !l.IsAdded)];

    /// <summary>Does one thing; null where it cannot be done now.</summary>
    private static PlanOutcome? Do(Kept kept, (Deed Deed, int At, int By) what)
    {
        var plan = kept.Plan;
        var lines = Mains(plan);
        if (lines.Length == 0)
        {
            return null;
        }

        var line = lines[what.At % lines.Length];
        List<string> text = [.. plan.Text.Split('\n')];
        switch (what.Deed)
        {
            case Deed.Nudge when line.Prescription is { } asked:
                return Save(kept, plan.Text, With(plan, new LineChoice(line.Number, line.Written, asked.Exercise, Rest: Duration.FromSeconds(30 + (15 * (what.By % 12))))));
            case Deed.Afresh:
                return Save(kept, plan.Text, With(plan, new LineChoice(line.Number, line.Written) { Afresh = true }));
            case Deed.OtherRest or Deed.OtherCount:
                string[] words = line.Written.Split(' ');
                words[what.Deed == Deed.OtherRest ? 5 : 3] = (what.Deed == Deed.OtherRest ? 45 + (5 * (what.By % 20)) : 5 + (what.By % 10)).ToString(System.Globalization.CultureInfo.InvariantCulture);
                text[line.Number - 1] = string.Join(' ', words);
                return Save(kept, string.Join('\n', text), plan.Choices);
            case Deed.NewLine:
                text.Insert(line.Number - 1, Typed.Line(Exercises[what.By % Exercises.Length], 3, 9, 75));
                return Save(kept, string.Join('\n', text), plan.Choices);
            case Deed.TakeOut when lines.Length > 1:
                text.RemoveAt(line.Number - 1);
                return Save(kept, string.Join('\n', text), plan.Choices);
            case Deed.LeaveOut:
                return Save(kept, plan.Text, With(plan, new LineChoice(line.Number, line.Written, LeftOut: true)));
            case Deed.Step when line.Prescription is { } asked:
                var next = asked with { Counts = [.. asked.Counts.Select(c => c + 1)] };
                return plan.Take([new("loft", line.Line, new Step(StepKind.Repetitions, "Add 1 rep a set.", [], next), People.Today)], Bench.Framing, kept.By());
            case Deed.Weeks:
                return plan.Over(new Block { Starts = People.Today.AddDays(7 * (what.By % 9)) }, ChangeKind.Shifted, "Shifted.", kept.By());
            case Deed.Undo:
                var undone = kept.Changes[what.By % kept.Changes.Count];
                return undone == kept.Changes[0] ? null : plan.Undo(kept.Changes, c => c.Id == undone.Id, Bench.Framing, kept.By());
            default:
                return null;
        }
    }

    private static ImmutableArray<LineChoice> With(Plan plan, LineChoice choice) => [.. plan.Choices.Where(c => c.Line != choice.Line), choice];

    /// <summary>All of a plan but when it was saved and how often its lines were changed.</summary>
    private static string Said(Plan plan) => JsonSerializer.Serialize(
        new { plan.Text, plan.Block, Places = plan.Places.OrderBy(p => p.Place, StringComparer.Ordinal).Select(p => new { p.Place, p.Name, p.Sessions, p.Aside }) }, TradeJson.Options);

    private static string Said(PlannedLine? line) => JsonSerializer.Serialize(line is null ? null : line with { Number = 0, Tag = "", Behind = [] }, TradeJson.Options);

    private static void Sample(Action<Kept, (Deed Deed, int At, int By)[]> check) => Deeds.Sample(deeds => check(Begun(), deeds), iter: Histories, threads: 1);

    [Fact]
    public void A_save_without_a_change_changes_nothing() => Sample((kept, deeds) =>
    {
        foreach (var deed in deeds)
        {
            if (Do(kept, deed) is { } outcome)
            {
                kept.Keep(outcome);
            }
        }

        var again = Save(kept, kept.Plan.Text, kept.Plan.Choices);
        again.Changes.ShouldBeEmpty(string.Join(' ', again.Changes.Select(c => c.Cause)));
        Said(again.Plan).ShouldBe(Said(kept.Plan));
        Save(kept, kept.Plan.Text, []).Changes.ShouldBeEmpty("choices nobody speaks of stay");
    });

    [Fact]
    public void A_change_to_one_line_changes_no_other_and_every_change_is_on_the_list() => Sample((kept, deeds) =>
    {
        foreach (var deed in deeds)
        {
            var before = kept.Plan;
            if (Do(kept, deed) is not { Refusal: null } outcome)
            {
                continue;
            }

            kept.Keep(outcome);
            var named = outcome.Changes.SelectMany(c => c.Lines).Select(l => (l.Place, l.Line % PlannedLine.AddedFrom)).ToHashSet();
            foreach (var place in before.Places)
            {
                var now = kept.Plan.Places.First(p => p.Place == place.Place);
                foreach (var line in place.Sessions.SelectMany(s => s.Lines).Concat(place.Aside).Where(l => !named.Contains((place.Place, l.Main))))
                {
                    Said(now.Sessions.SelectMany(s => s.Lines).Concat(now.Aside).FirstOrDefault(l => l.Line == line.Line)).ShouldBe(Said(line), $"{deed} touched {line.Written}");
                }
            }

            if (deed.Deed is Deed.Nudge or Deed.Step or Deed.Afresh or Deed.OtherRest or Deed.OtherCount)
            {
                named.Select(n => n.Item2).Distinct().Count().ShouldBeLessThanOrEqualTo(1, deed.ToString());
            }
        }
    });

    [Fact]
    public void Replaying_the_changes_gives_the_plan() => Sample((kept, deeds) =>
    {
        foreach (var deed in deeds)
        {
            if (Do(kept, deed) is { } outcome)
            {
                kept.Keep(outcome);
            }
        }

        var replayed = Changing.Replayed(kept.Changes, Bench.Framing);
        Said(replayed).ShouldBe(Said(kept.Plan));
        replayed.Versions.ShouldBe(kept.Plan.Versions);
    });

    [Fact]
    public void Undo_and_undo_of_that_is_where_one_was() => Sample((kept, deeds) =>
    {
        foreach (var deed in deeds)
        {
            var before = kept.Plan;
            if (Do(kept, deed) is not { Refusal: null, Changes.IsEmpty: false } outcome)
            {
                continue;
            }

            kept.Keep(outcome);
            var after = kept.Plan;
            var command = outcome.Changes[0].Command;
            var back = kept.Keep(kept.Plan.Undo(kept.Changes, c => c.Command == command, Bench.Framing, kept.By()));
            back.Refusal.ShouldBeNull(deed.ToString());
            Said(kept.Plan).ShouldBe(Said(before), deed.ToString());
            kept.Keep(kept.Plan.Undo(kept.Changes, c => c.Command == back.Changes[0].Command, Bench.Framing, kept.By())).Refusal.ShouldBeNull();
            Said(kept.Plan).ShouldBe(Said(after), deed.ToString());
        }
    });

    [Fact]
    public void What_was_changed_again_is_not_undone_and_says_so()
    {
        var kept = Begun();
        var line = Mains(kept.Plan)[0];
        var first = kept.Keep(Do(kept, (Deed.Step, 0, 0))!);
        kept.Keep(Do(kept, (Deed.Nudge, 0, 3))!);
        var refused = kept.Plan.Undo(kept.Changes, c => c.Id == first.Changes[0].Id, Bench.Framing, kept.By());
        refused.Refusal!.Reason.ShouldStartWith($"{line.Prescription!.Name} was changed again since");
        refused.Changes.ShouldBeEmpty();
    }

    [Fact]
    public void Nothing_lowers_a_line_in_force_but_what_is_on_its_list()
    {
        // Five weeks of steps; then the rest of another line is changed on the bench and saved.
        var kept = Begun();
        for (int week = 0; week < 5; week++)
        {
            foreach (int at in Enumerable.Range(0, 5))
            {
                kept.Keep(Do(kept, (Deed.Step, at, 0))!);
            }
        }

        var before = Mains(kept.Plan).ToDictionary(l => l.Line);
        var outcome = kept.Keep(Do(kept, (Deed.OtherRest, 1, 4))!);
        outcome.Changes.SelectMany(c => c.Lines).Select(l => l.Line).Distinct().ShouldBe([before.Values.ElementAt(1).Line]);
        foreach (var line in Mains(kept.Plan))
        {
            line.Prescription!.Counts.ShouldBe(before[line.Line].Prescription!.Counts);
            line.Prescription.Load.ShouldBe(before[line.Line].Prescription!.Load);
        }
    }

    [Fact]
    public void Two_windows_never_lose_what_the_other_kept() =>
        Gen.Select(Gen.Int[0, 4], Gen.Int[0, 4], Gen.Int[0, 11], Gen.Int[0, 11]).Sample(
            (a, b, restA, restB) =>
            {
                var kept = Begun();
                var seen = new SeenPlan(kept.Plan.Text, kept.Plan.Choices, kept.Plan.Block, kept.Plan.Versions);
                var lines = Mains(kept.Plan);
                LineChoice Rest(PlannedLine line, int rest) => new(line.Number, line.Written, line.Prescription!.Exercise, Rest: Duration.FromSeconds(31 + (15 * rest)));
                kept.Keep(Save(kept, seen.Text, [Rest(lines[a], restA)], seen)).Refusal.ShouldBeNull();
                var second = kept.Keep(Save(kept, seen.Text, [Rest(lines[b], restB)], seen));
                if (a == b && restA != restB)
                {
                    second.Refusal!.IsStale.ShouldBeTrue();
                    second.Refusal.Reason.ShouldContain("changed in another window meanwhile");
                }
                else
                {
                    second.Refusal.ShouldBeNull();
                    Mains(kept.Plan)[b].Prescription!.Rest.Seconds.ShouldBe(31 + (15 * restB));
                }

                Mains(kept.Plan)[a].Prescription!.Rest.Seconds.ShouldBe(31 + (15 * restA));
            },
            iter: Histories, threads: 1);

    [Fact]
    public void A_nudge_is_for_the_place_in_use_and_a_new_line_for_all()
    {
        var kept = Begun();
        var shed = kept.Plan.Elsewhere[0];
        kept.Keep(Do(kept, (Deed.Nudge, 0, 3))!);
        kept.Plan.Elsewhere[0].Sessions.ShouldBe(shed.Sessions);
        kept.Keep(Do(kept, (Deed.NewLine, 0, 5))!);
        kept.Plan.Elsewhere[0].Sessions[0].Lines.Count(l => !l.IsAdded).ShouldBe(shed.Sessions[0].Lines.Count(l => !l.IsAdded) + 1);
    }

    [Fact]
    public void A_line_left_out_comes_back_as_it_was()
    {
        var kept = Begun();
        kept.Keep(Do(kept, (Deed.Step, 0, 0))!);
        var line = Mains(kept.Plan)[0];
        kept.Keep(Do(kept, (Deed.LeaveOut, 0, 0))!);
        Mains(kept.Plan).ShouldNotContain(l => l.Line == line.Line);
        kept.Plan.Aside.ShouldContain(l => l.Line == line.Line);
        kept.Keep(Save(kept, kept.Plan.Text, With(kept.Plan, new LineChoice(line.Number, line.Written))));
        Mains(kept.Plan).Single(l => l.Line == line.Line).Prescription.ShouldBe(line.Prescription);
    }

    [Fact]
    public void A_place_that_is_given_up_takes_its_lines_along_and_the_list_keeps_them()
    {
        var kept = Begun();
        var outcome = kept.Keep(kept.Plan.Without("shed", "Shed", kept.By()));
        kept.Plan.Elsewhere.ShouldBeEmpty();
        outcome.Changes[0].Lines.ShouldAllBe(l => l.Place == "shed" && l.Before != null && l.After == null);
        Said(Changing.Replayed(kept.Changes, Bench.Framing)).ShouldBe(Said(kept.Plan));
    }

    [Fact]
    public void An_exercise_that_left_the_catalogue_is_told_and_worked_out_anew()
    {
        var kept = Begun();
        var line = Mains(kept.Plan)[0];
        var gone = line.Prescription! with { Exercise = "no-longer-there", Name = "Once upon a lift" };
        kept.Keep(kept.Plan.Take([new("loft", line.Line, new Step(StepKind.Variation, "Up.", [], gone), null)], Bench.Framing, kept.By()));
        var edit = Bench.Edit(kept.Plan, new(kept.Plan.Text, [], null));
        var rebuilt = Bench.RebuildAt(edit, Places[0]).Rebuild(edit.Programme.Sessions[0], edit.ChoicesAt("loft")).Lines[0];
        rebuilt.Against.ShouldHaveSingleItem().ShouldContain("Once upon a lift is not in the catalogue any more");
        rebuilt.Chosen.ShouldNotBeNull();
    }
}

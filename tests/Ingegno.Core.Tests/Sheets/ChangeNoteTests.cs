using System.Globalization;
using System.Text.RegularExpressions;
using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Loads;
using Ingegno.Core.Progression;
using Ingegno.Core.Quantities;
using Ingegno.Core.Sheets;
using Ingegno.Core.Substitution;

namespace Ingegno.Core.Tests.Sheets;

/// <summary>What a note says of a line: when it goes up by the rules of the steps, and sentences a coach would send.</summary>
public partial class ChangeNoteTests
{
    private static readonly (string Exercise, int Repetitions)[] Gym =
    [
        ("back-squat", 8), ("barbell-bench-press", 6), ("barbell-row", 10), ("romanian-deadlift", 8), ("overhead-press", 8), ("lat-pulldown", 12), ("barbell-curl", 12),
        ("lateral-raise", 15), ("leg-curl", 12), ("barbell-hip-thrust", 10), ("triceps-pushdown", 12), ("face-pull", 15),
    ];

    private static IEnumerable<(Member Member, RebuiltLine Line, NoteLine Note)> Notes() =>
        from member in Member.All()
        from asked in Gym
        let session = member.Session([Member.Written(asked.Exercise, 3, asked.Repetitions)])
        let note = ChangeNotes.Of(member.Client, "Ilse", "home", [session], HouseRules.Default, _ => null).Sessions[0].Lines
        where note.Length == 1 && session.Lines[0].Chosen is not null
        select (member, session.Lines[0], note[0]);

    /// <summary>A load is the next one there is; one that is more than a step (a tenth, ACSM 2009) is earned with repetitions, two over the plan at least.</summary>
    [Fact]
    public void The_next_load_is_a_step_or_is_earned_with_repetitions()
    {
        int told = 0;
        foreach (var (member, line, note) in Notes())
        {
            if (Load().Match(note.MoveUp) is not { Success: true } load)
            {
                continue;
            }

            told++;
            var asked = line.Chosen!.Prescription;
            double kilograms = double.Parse(load.Groups["kg"].Value, CultureInfo.InvariantCulture);
            kilograms.ShouldBeGreaterThan(Math.Round(asked.Load.Kilograms, 2), $"{member.Client.Name}: {note.Home}, {note.MoveUp}");
            var rung = new Rung(Mass.FromKilograms(kilograms), Recipe.Nothing);
            if (LoadStep.Jump(asked, Catalogue.Shipped.Find(asked.Exercise)!, rung, member.Client, line.Chosen.Anchor!) > LoadStep.Largest + 0.01)
            {
                int reach = int.Parse(Reached().Match(note.MoveUp).Groups["count"].ValueSpan, CultureInfo.InvariantCulture);
                reach.ShouldBeGreaterThanOrEqualTo(asked.Counts.Max() + LoadStep.OverTarget, $"{member.Client.Name}: {note.Home}, {note.MoveUp}");
            }
        }

        told.ShouldBeGreaterThan(20);
    }

    [Fact]
    public void Sentences_are_whole_agree_in_number_and_promise_nothing_nobody_can_count()
    {
        foreach (var (member, _, note) in Notes())
        {
            string all = $"{note.Why} {note.Lost} {note.MoveUp}";
            string who = $"{member.Client.Name}: {all}";
            Spare().Matches(note.MoveUp).ShouldAllBe(m => int.Parse(m.Groups["left"].Value, CultureInfo.InvariantCulture) <= 6, who);
            all.ShouldNotContain("romanian", Case.Sensitive, who);
            all.ShouldNotMatch(@"\b1 (more rep|more set) (make|carry|bring)\b", who);
            all.ShouldNotMatch(@"\+\d", who);
            note.Lost.ShouldMatch(@"^([A-Z0-9].*\.)?$", who);
            // Never lighter and heavier in one breath.
            (note.Why.Contains("is lighter", StringComparison.Ordinal) && note.Lost.StartsWith("Heavier", StringComparison.Ordinal)).ShouldBeFalse(who);
        }
    }

    [GeneratedRegex(@": to (?<kg>[\d.]+) kg")]
    private static partial Regex Load();

    [GeneratedRegex(@"has come to (?<count>\d+)")]
    private static partial Regex Reached();

    [GeneratedRegex(@"more than (?<left>\d+)")]
    private static partial Regex Spare();
}

using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Loads;
using Ingegno.Core.Programmes;
using Ingegno.Core.Progression;
using Ingegno.Core.Quantities;
using Ingegno.Core.Substitution;

namespace Ingegno.Core.Sheets;

/// <summary>What a rebuild changed and why, line by line: for the coach's own file, and in the client's words.</summary>
/// <param name="Client">First name.</param>
public sealed record ChangeNote(string Client, string Coach, string Place, ImmutableArray<NoteSession> Sessions);

/// <summary>A session of the note; lines that go across unchanged are only named.</summary>
public sealed record NoteSession(string Title, ImmutableArray<NoteLine> Lines, ImmutableArray<string> AsBefore);

/// <summary>A line that changed.</summary>
/// <param name="Gym">As written. <paramref name="Home"/> as done at home.</param>
/// <param name="Why">Why it stands in.</param>
/// <param name="NotTheOther">Why not the one a coach would think of first; null where that one is possible here, or is this.</param>
/// <param name="Lost">What is given up, in words; empty where nothing worth a word is.</param>
/// <param name="MoveUp">When it goes up, and to what.</param>
/// <param name="ForClient">The same in a sentence or two for the client.</param>
public sealed record NoteLine(string Gym, string Home, string Why, string? NotTheOther, string Lost, string MoveUp, string ForClient);

/// <summary>Writes the note of a rebuilt week.</summary>
public static class ChangeNotes
{
    /// <param name="harder">Harder variations of a line by its place in the text, nearest first.</param>
    public static ChangeNote Of(
        ClientProfile client, string coach, string place, IEnumerable<RebuiltSession> sessions, HouseRules rules, Func<WrittenLine, string?> harder) => new(
        client.Name.Split(' ')[0], coach, place,
        [
            .. sessions.Select(s => new NoteSession(
                s.Title, [.. s.Lines.Where(l => l.Outcome is LineOutcome.Swapped or LineOutcome.Nothing or LineOutcome.LeftOut).Select(l => Line(l, rules.For(client), harder(l.Written), client))],
                [.. s.Lines.Where(l => l.Outcome is LineOutcome.Unchanged && l.Chosen is not null).Select(l => $"{l.Chosen!.Prescription.Name}, {l.Chosen.Prescription.CountInWords}")])),
        ]);

    private static NoteLine Line(RebuiltLine line, HouseRules rules, string? harder, ClientProfile client)
    {
        string gym = line.Reading.Length > 0 ? line.Reading : line.Written.ExerciseName;
        if (line.Chosen is not { } chosen)
        {
            string because = line.Outcome == LineOutcome.LeftOut ? "Left out for now, to fit the time." : line.WouldOpen ?? "Nothing here is possible or safe for it.";
            return new(gym, "left out", because, NotTheOther(line), "", "", $"{line.Written.ExerciseName} rests for now.");
        }

        var asked = chosen.Prescription;
        string home = string.Join(", with ", line.Prescriptions().Select(p => $"{p.Name} {p.CountInWords}{(p.Tempo is { } tempo && tempo != Tempo.Reference ? $", tempo {tempo}" : "")}; {p.LoadInWords}"));
        string lost = chosen.Loss ?? (chosen.Loses.IsEmpty ? "" : $"{PlainWords.Opening(string.Join("; ", chosen.Loses))}.");
        return new(
            gym, home, chosen.Reason, NotTheOther(line), lost, MoveUp(chosen, rules, harder, client),
            $"{(line.Written.ExerciseName.StartsWith("any ", StringComparison.OrdinalIgnoreCase) ? "Here" : $"In place of the {PlainWords.InSentence(line.Written.ExerciseName)}")} you do the {PlainWords.InSentence(asked.Name)}: {asked.CountInWords}"
            + (asked.Reserve is <= SheetWriting.FarFromLimit and var left && Math.Round(left) > 0 ? $", stopping with {Math.Round(left)} left. " : ". ")
            + $"It trains {Trained(rules.Catalogue, asked.Exercise)}.");
    }

    private static string Trained(Catalogue catalogue, string exercise) => catalogue.Find(exercise) is { } found
        ? string.Join(" and ", found.Muscles.PrimeMovers.Take(2).Select(m => $"the {PlainWords.Of(Anatomy.MuscleGroups.Of(m))}").Distinct())
        : "the same muscles";

    /// <summary>The written exercise itself, or the first that was refused.</summary>
    private static string? NotTheOther(RebuiltLine line) => line.Refused is [var first, ..] && !first.Reasons.IsEmpty
        ? $"{first.Name}: {string.Join("; ", first.Reasons.Take(2).Select(r => r.Reason))}."
        : null;

    private static string MoveUp(Alternative chosen, HouseRules rules, string? harder, ClientProfile client)
    {
        var asked = chosen.Prescription;
        if (!asked.Count.IsRepetitions() || asked.Counts.IsEmpty)
        {
            return "A little longer each week while it stays clean.";
        }

        string when = asked.TopOfRange > asked.Counts[0] ? $"When every set has come to {asked.TopOfRange}"
            : asked.Reserve > SheetWriting.FarFromLimit ? $"When every set of {asked.Counts[0]} is done, twice running"
            : $"When every set of {asked.Counts[0]} leaves {(asked.Reserve is { } left && Math.Round(left) >= 1 ? $"more than {Math.Round(left):0}" : "one or more")}, twice running";
        if (Heavier(chosen, rules, client) is ({ } to, var earning))
        {
            return earning is { } reach ? $"When every set has come to {Math.Max(reach, asked.TopOfRange)}: {to}." : $"{when}: {to}.";
        }

        return harder is not null && harder != asked.Exercise && rules.Catalogue.Find(harder) is { } other
            ? $"{when}: to the {PlainWords.InSentence(other.Name)}."
            : $"{when}: to slower repetitions, for no load here is the next step.";
    }

    /// <summary>The next load, with the repetitions that earn it where it is more than a step; null where there is none, or no number of them does.</summary>
    private static (string To, int? Earning)? Heavier(Alternative chosen, HouseRules rules, ClientProfile client)
    {
        var asked = chosen.Prescription;
        if (chosen.Ladder.FirstOrDefault(r => r.Load.Grams > asked.Load.Grams) is not { } load || chosen.Anchor is not { } anchor || rules.Catalogue.Find(asked.Exercise) is not { } exercise)
        {
            return null;
        }

        string how = load.Pull is null ? "" : $" ({load.Words[(load.Words.IndexOf(". ", StringComparison.Ordinal) + 2)..]})";
        string to = $"to {(client.Unit == MassUnit.Pound ? $"{load.Load.Pounds:0.#} lb" : $"{load.Load.Kilograms:0.##} kg")}{how}";
        var rung = new Rung(load.Load, new Recipe([], load.Words), null, load.Pull);
        return LoadStep.Jump(asked, exercise, rung, client, anchor) <= LoadStep.Largest ? (to, null)
            : LoadStep.Earning(asked, exercise, rung, client, anchor, rules) is { } earning && earning <= rules.RepetitionCap ? (to, earning)
            : null;
    }
}

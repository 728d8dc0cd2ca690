using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Practices;
using Ingegno.Core.Schools;

namespace Ingegno.Core.Clients;

/// <summary>Checks what a person entered about a client.</summary>
public static class ClientProblems
{
    /// <summary>Years of birth that are believed.</summary>
    private const int EarliestYear = 1900, LatestYear = 2020;

    /// <summary>Every problem with its place; empty when the profile can be used.</summary>
    public static IReadOnlyList<InputProblem> Of(ClientProfile client, Catalogue catalogue)
    {
        var problems = new List<InputProblem>();
        if (string.IsNullOrWhiteSpace(client.Name) || client.Name.Length > 80)
        {
            problems.Add(new("name", "Give the client a name of 1 to 80 letters."));
        }

        if (client.Note.Length > 200)
        {
            problems.Add(new("note", "Keep the note under 200 letters."));
        }

        if (!(client.BodyMass.Kilograms is >= 25 and <= 350))
        {
            problems.Add(new("bodyMass", $"A body mass of {client.BodyMass.Kilograms:0.#} kg cannot be right: give 25 to 350 kg."));
        }

        if (!(client.Stature.Metres is >= 1.0 and <= 2.5))
        {
            problems.Add(new("stature", $"A stature of {client.Stature.Metres:0.##} m cannot be right: give 1.00 to 2.50 m."));
        }

        if (client.BirthYear is { } year && (year < EarliestYear || year > LatestYear))
        {
            problems.Add(new("birthYear", $"A year of birth of {year} cannot be right: give {EarliestYear} to {LatestYear}, or leave it empty."));
        }

        if (client.TimeZone is { } zone && !ClientDay.IsZone(zone))
        {
            problems.Add(new("timeZone", $"There is no time zone \"{zone}\": choose one from the list, or leave it empty for the practice's."));
        }

        if (client.SessionMinutes is < 5 or > 240)
        {
            problems.Add(new("sessionMinutes", "A session takes 5 to 240 minutes, or leave it empty for no limit."));
        }

        if (School.Contradiction(client.Teachings) is { } both)
        {
            problems.Add(new("teachings", both));
        }

        if (client.Lifts.Length > 200)
        {
            problems.Add(new("lifts", "Keep at most 200 lifts: the newest ones count most."));
        }

        for (int i = 0; i < client.Lifts.Length; i++)
        {
            LiftProblems(client.Lifts[i], $"lifts[{i}]", catalogue, problems);
        }

        for (int i = 0; i < client.SoreJoints.Length; i++)
        {
            if (client.SoreJoints[i].Pain is < 0 or > 10)
            {
                problems.Add(new($"soreJoints[{i}].pain", "Pain goes from 0 (none) to 10 (worst)."));
            }
        }

        if (client.NotYet.Length > 100 || client.Preferred.Length > 100 || client.Traits.Length > 20 || client.Days.Length > 7)
        {
            problems.Add(new("notYet", "A list is too long: keep at most 100 exercises, 20 traits and 7 days."));
        }

        problems.AddRange(PracticeProblems.Bans(client.Bans, "bans", catalogue));
        problems.AddRange(PracticeProblems.Named(client.Preferred, "preferred", catalogue));
        problems.AddRange(PracticeProblems.Named(client.NotYet, "notYet", catalogue));
        if (client.Health.Note.Length > 1000 || client.Health.ClearedBy is { Length: > 200 })
        {
            problems.Add(new("health.note", "Keep the health note under 1000 letters and the name under 200."));
        }

        problems.AddRange(client.Health.Answers.GroupBy(a => a.Question).Where(g => g.Count() > 1)
            .Select(g => new InputProblem("health.answers", $"{g.Key} is answered twice: keep one answer.")));
        return problems;
    }

    private static void LiftProblems(KnownLift lift, string path, Catalogue catalogue, List<InputProblem> problems)
    {
        var exercise = catalogue.Find(lift.Exercise);
        if (exercise is null)
        {
            problems.Add(new(path + ".exercise", $"No exercise \"{lift.Exercise}\" in the catalogue: pick one from the list."));
            return;
        }

        if (exercise.Endurance == EnduranceClass.OwnLogOnly)
        {
            problems.Add(new(path + ".exercise", $"{exercise.Name} has no load to estimate a maximum from; log it instead."));
        }

        if (!(lift.Load.Kilograms is >= 0 and <= 1000))
        {
            problems.Add(new(path + ".load", $"{exercise.Name}: a load lies between 0 and 1000 kg."));
        }
        else if (exercise.NeedsLoad && lift.Load.Kilograms == 0)
        {
            problems.Add(new(path + ".load", $"{exercise.Name}: give the load that was lifted."));
        }

        if (lift.Repetitions is < 1 or > 100)
        {
            problems.Add(new(path + ".repetitions", $"{exercise.Name}: give 1 to 100 repetitions."));
        }

        if (!(lift.Reserve is >= 0 and <= 10))
        {
            problems.Add(new(path + ".reserve", $"{exercise.Name}: repetitions in reserve go from 0 to 10."));
        }
    }
}

using System.Globalization;
using Ingegno.Core.Exercises;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Tests.Plans;

/// <summary>Texts of the plan tests: "# Monday" opens a session, "goblet-squat 3 x 8 rest 90" is a line.</summary>
internal static class Typed
{
    internal static WrittenProgramme Read(string text)
    {
        var sessions = new List<WrittenSession>();
        string[] lines = text.Split('\n');
        for (int i = 0; i < lines.Length; i++)
        {
            if (lines[i].StartsWith('#'))
            {
                sessions.Add(new(lines[i][1..].Trim(), []));
            }
            else if (lines[i].Trim().Length > 0)
            {
                sessions[^1] = sessions[^1] with { Lines = sessions[^1].Lines.Add(Line(i + 1, lines[i])) };
            }
        }

        return new([.. sessions]);
    }

    internal static string Line(string exercise, int sets, int count, int rest) =>
        string.Create(CultureInfo.InvariantCulture, $"{exercise} {sets} x {count} rest {rest}");

    private static WrittenLine Line(int number, string text)
    {
        string[] words = text.Split(' ');
        int sets = int.Parse(words[1], CultureInfo.InvariantCulture), count = int.Parse(words[3], CultureInfo.InvariantCulture);
        return new()
        {
            Number = number,
            Text = text,
            ExerciseName = words[0],
            Exercise = Catalogue.Shipped.Find(words[0])?.Id,
            Sets = [.. Enumerable.Repeat(new SetTarget(CountKind.Repetitions, count, count), sets)],
            Rest = Duration.FromSeconds(int.Parse(words[5], CultureInfo.InvariantCulture)),
        };
    }
}

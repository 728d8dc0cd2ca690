using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Exercises;
using Ingegno.Core.Practices;
using Ingegno.Core.Programmes;
using Ingegno.Formats.ProgrammeText;

namespace Ingegno.Server.Practices;

/// <summary>Reads programmes with the names a practice has for exercises, the same way everywhere.</summary>
internal static class ProgrammeReading
{
    internal static ReadProgramme Read(string text, Practice practice, MassUnit unit) =>
        ProgrammeReader.Read(text, practice.Rules.Catalogue, unit, NamesOf(practice));

    /// <summary>The week in force and those that wait behind it; of a text without weeks nothing is read.</summary>
    internal static (TrainedWeek? Now, ImmutableArray<WaitingWeek> Waiting) Weeks(string text, Practice practice, MassUnit unit) =>
        ProgrammeReader.HasWeeks(text) && Read(text, practice, unit).Programme is var read ? (read.Week, read.Waiting) : (null, []);

    internal static NameReader NamesOf(Practice practice) => HouseCatalogue.Of(practice.Rules.Exercises).Names.Knowing(practice.Names);

    /// <summary>What nobody could read in it, a sentence each; what is only asked after is none of it.</summary>
    internal static ImmutableArray<string> Unread(string text, Practice practice, MassUnit unit)
    {
        string[] lines = text.ReplaceLineEndings("\n").Split('\n');
        return
        [
            .. from problem in Read(text, practice, unit).Problems
               where !problem.IsDoubt && problem.Line <= lines.Length && lines[problem.Line - 1].Length >= problem.Column
               let typed = lines[problem.Line - 1][(problem.Column - 1)..]
               select $"Line {problem.Line}, \"{typed[..Math.Min(problem.Length, typed.Length)].Trim()}\": {problem.Message}",
        ];
    }
}

using System.Collections.Immutable;
using Ingegno.Core.Exercises;
using Ingegno.Core.Substitution;

namespace Ingegno.Formats.ProgrammeText;

/// <summary>What is asked after of an exercise's name, and what it may have meant.</summary>
internal static class NameDoubts
{
    /// <summary>Exercises offered beside what a name is read as, at most.</summary>
    private const int MostMeant = 4;

    /// <summary>The question, in a sentence; null where the name is known and means one exercise.</summary>
    internal static string? Of(string name, NameRead? read, Catalogue catalogue) => Meant(name, catalogue) ?? ReadAs(name, read);

    /// <summary>Said where a name was not typed as it is known.</summary>
    private static string? ReadAs(string name, NameRead? read) => read switch
    {
        { Sureness: NameSureness.Guessed } => $"\"{name}\" is read as {read.Exercise.Name.ToLowerInvariant()}. Not meant? Write the name in full.",
        { Sureness: NameSureness.Modified } => $"\"{name}\" is read as {read.Exercise.Name.ToLowerInvariant()}, {string.Join(", ", read.Left)} beside it.",
        _ => null,
    };

    /// <summary>What a name that is asked after may mean: all that share it, then what comes near; last what it is read as, to be kept so.</summary>
    internal static ImmutableArray<NamedExercise> Options(string name, NameRead? read, Catalogue catalogue) =>
        [.. catalogue.AlsoMeant(name).Concat(catalogue.Nearest(name, MostMeant)).Where(e => e.Id != read?.Exercise.Id).DistinctBy(e => e.Id).Take(MostMeant)
            .Concat(read is null ? [] : [read.Exercise]).Select(e => new NamedExercise(e.Id, e.Name))];

    /// <summary>The same word means different exercises to different coaches; null where it means one.</summary>
    private static string? Meant(string name, Catalogue catalogue)
    {
        string others = string.Join(", ", catalogue.AlsoMeant(name).Select(e => e.Name.ToLowerInvariant()));
        return others.Length == 0 ? null
            : catalogue.Named(name) is { } read ? $"\"{name}\" is read as {read.Name.ToLowerInvariant()}. Some mean {others}: write that name if you do."
            : $"\"{name}\" can mean {others}: write which.";
    }
}

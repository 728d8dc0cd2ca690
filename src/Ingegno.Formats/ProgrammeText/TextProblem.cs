using System.Collections.Immutable;
using Ingegno.Core.Substitution;

namespace Ingegno.Formats.ProgrammeText;

/// <summary>Something in a pasted text that could not be read.</summary>
/// <param name="Line">From 1.</param>
/// <param name="Column">From 1.</param>
/// <param name="Length">Characters it concerns; 0 for the line as a whole.</param>
/// <param name="Message">What is wrong and what to type instead.</param>
/// <param name="IsDoubt">The line was read; only its meaning is asked after.</param>
public sealed record TextProblem(int Line, int Column, int Length, string Message, bool IsDoubt = false)
{
    /// <summary>Of a name: the exercises it may mean, likeliest first; one of them written in its place settles it.</summary>
    public ImmutableArray<NamedExercise> Meant { get; init; } = [];
}

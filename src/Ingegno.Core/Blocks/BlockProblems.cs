using Ingegno.Core.Homes;
using Ingegno.Core.Schools;

namespace Ingegno.Core.Blocks;

/// <summary>Checks what a person entered about a block.</summary>
public static class BlockProblems
{
    /// <summary>More than a year is not planned ahead.</summary>
    public const int MostWeeks = 52;

    private const int LongestPhase = 12;

    /// <summary>Every problem with its place; empty when the block can be used.</summary>
    public static IEnumerable<InputProblem> Of(Block block)
    {
        for (int i = 0; i < block.Phases.Length; i++)
        {
            var phase = block.Phases[i];
            if (phase.Weeks is < 1 or > LongestPhase)
            {
                yield return new($"phases[{i}].weeks", $"A phase lasts 1 to {LongestPhase} weeks; three to six are usual.");
            }

            if (string.IsNullOrWhiteSpace(phase.Name) || phase.Name.Length > 60)
            {
                yield return new($"phases[{i}].name", "Give the phase a name of 1 to 60 letters.");
            }
        }

        if (block.Phases.Sum(p => (long)p.Weeks) > MostWeeks)
        {
            yield return new("phases", $"At most {MostWeeks} weeks are planned ahead.");
        }

        if (block.ReviewEvery is < 1 or > LongestPhase)
        {
            yield return new("reviewEvery", $"Look at an open-ended plan every 1 to {LongestPhase} weeks.");
        }

        if (block.Easier.Length > MostWeeks || block.Easier.Any(day => day > block.Starts?.AddDays(7 * MostWeeks)))
        {
            yield return new("easier", $"An easier week lies within {MostWeeks} weeks of the first day.");
        }

        if (block.Progress is { } progress && progress is not (Teaching.LoadFirst or Teaching.Milestones or Teaching.Density))
        {
            yield return new("progress", "A block goes on by load first, by milestones or by density.");
        }
    }
}

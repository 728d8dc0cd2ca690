using System.Collections.Immutable;
using Ingegno.Core.Effort;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Dosing;

/// <summary>What a coach has fixed by hand on a line; null leaves it to the search.</summary>
/// <param name="Repetitions">Of the last set; the others keep their written proportion.</param>
public sealed record DoseWish(
    Mass? Load = null, int? Repetitions = null, Tempo? Tempo = null, Duration? Rest = null,
    PartialPart? Partial = null, int? Pulses = null, SetForm? Form = null, int? Sets = null)
{
    /// <summary>The count of every set, as they stand in a plan; null leaves them to the search.</summary>
    public ImmutableArray<int>? Counts { get; init; }

    public static DoseWish None { get; } = new();

    internal bool FixesStyle => Tempo is not null || Partial is not null || Pulses is not null;
}

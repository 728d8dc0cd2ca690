using System.Collections.Immutable;
using Superpower.Model;

namespace Ingegno.Formats.ProgrammeText;

/// <summary>A top set and its back-offs on one line.</summary>
internal static class LineBlocks
{
    /// <summary>Belongs to a block of sets, not to the line.</summary>
    internal static bool IsOfBlock(LinePart part) => part is LinePart.Dose or LinePart.Load or LinePart.Percent or LinePart.Reserve;

    /// <summary>
    /// Several doses on one line, nothing but marks between them and each with a load, a percent or an effort beside it: a top set and its
    /// back-offs. Empty where it is not so: then only the first dose is read, and that is told.
    /// </summary>
    internal static ImmutableArray<Stretch[]> Of(Token<ProgrammeToken>[] tokens, List<Stretch> found)
    {
        int[] doses = [.. found.Select((s, i) => (s, i)).Where(x => x.s.Parts.Any(p => p is LinePart.Dose)).Select(x => x.i)];
        if (doses.Length < 2 || found.Any(s => s.Parts.Any(p => p is LinePart.Each)))
        {
            return [];
        }

        // "100 kg 1x5, 80 kg 3x8": what stands before the first sets stands before all of them.
        bool before = found.Take(doses[0]).Any(s => s.Parts.Any(p => IsOfBlock(p)));
        var blocks = doses.Select((at, k) => before
            ? found[(k == 0 ? 0 : doses[k - 1] + 1)..(k == doses.Length - 1 ? found.Count : at + 1)]
            : found[at..(k == doses.Length - 1 ? found.Count : doses[k + 1])]).Select(b => b.Where(s => s.Parts.Any(IsOfBlock)).ToArray()).ToImmutableArray();
        bool divided = found[doses[0]..doses[^1]].Any(s => s.IsLoose && Enumerable.Range(s.First, s.End - s.First).Any(i => tokens[i].Kind is ProgrammeToken.Word or ProgrammeToken.Number));
        return !divided && blocks.All(b => b.Sum(s => s.Parts.Count(p => p is not LinePart.Dose && IsOfBlock(p))) > 0) ? blocks : [];
    }
}

using System.Collections.Immutable;

namespace Ingegno.Core.Programmes;

/// <summary>
/// Sets of one line written with loads, percents or efforts of their own: a top set and its back-offs, three sets that climb. Every block of
/// like sets is worked out as a line for itself; what fatigue one leaves to the next is not counted.
/// </summary>
public static class SetBlocks
{
    /// <summary>The blocks in order; the line itself where all its sets are alike.</summary>
    public static ImmutableArray<WrittenLine> Of(WrittenLine line)
    {
        if (!line.IsInBlocks)
        {
            return [line];
        }

        var blocks = ImmutableArray.CreateBuilder<WrittenLine>();
        for (int from = 0, to; from < line.Sets.Length; from = to)
        {
            var first = line.Sets[from];
            to = from;
            while (to < line.Sets.Length && line.Sets[to] is var set && (set.Percent, set.Load, set.Reserve) == (first.Percent, first.Load, first.Reserve))
            {
                to++;
            }

            blocks.Add(line with
            {
                Sets = [.. line.Sets[from..to].Select(s => s with { Percent = null, Load = null, Reserve = null })],
                OptionalSets = to == line.Sets.Length ? Math.Min(line.OptionalSets, to - from - 1) : 0,
                Intensity = new Intensity(first.Percent, first.Load, first.Reserve ?? line.Intensity.Reserve),
            });
        }

        return blocks.ToImmutable();
    }

    /// <summary>The block that asks most of a repetition: what the line is read by where it is read as one.</summary>
    public static WrittenLine Hardest(WrittenLine line) => Of(line).MaxBy(AskedOf)!;

    /// <summary>All sets of the line on the terms of the block with most of them, where what is here cannot tell the blocks apart.</summary>
    public static WrittenLine AsOne(WrittenLine line) =>
        line with { Sets = [.. line.Sets.Select(s => s with { Percent = null, Load = null, Reserve = null })], Intensity = Of(line).MaxBy(b => b.Sets.Length)!.Intensity };

    private static (double, double, double) AskedOf(WrittenLine block) =>
        (block.Intensity.Load?.Kilograms ?? 0, block.Intensity.Percent?.Fraction ?? 0, -(block.Intensity.Reserve ?? 0));
}

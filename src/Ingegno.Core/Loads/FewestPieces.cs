using Ingegno.Core.Homes;

namespace Ingegno.Core.Loads;

/// <summary>
/// For every mass on the grid the packing of fewest pieces, of equal ones the least bulky, whatever the room. One pass
/// a kind: along each residue of the kind's mass a window slides over the last so many cells and keeps its least, so the
/// time does not grow with the counts.
/// </summary>
internal sealed class FewestPieces
{
    /// <summary>A piece outweighs any volume in the key pieces first, then millilitres.</summary>
    private const long OnePiece = 1L << 32;

    private const long Unreached = long.MaxValue / 4;

    private readonly Content[] _kinds;
    private readonly int _cells;
    private readonly long[] _best;
    private readonly ushort[][] _taken;

    internal FewestPieces(Content[] kinds, int cells)
    {
        (_kinds, _cells) = (kinds, cells);
        _best = new long[cells + 1];
        Array.Fill(_best, Unreached);
        _best[0] = 0;
        _taken = new ushort[kinds.Length][];
        var window = new (long Key, int Index)[cells + 1];
        for (int kind = 0; kind < kinds.Length; kind++)
        {
            _taken[kind] = Add(kinds[kind], window);
        }
    }

    /// <summary>Counts by kind, lightest mass first, for every mass that can be reached.</summary>
    internal IEnumerable<int[]> Packings()
    {
        for (int cell = 0; cell <= _cells; cell++)
        {
            if (_best[cell] < Unreached)
            {
                yield return Counts(cell);
            }
        }
    }

    private int[] Counts(int cell)
    {
        int[] counts = new int[_kinds.Length];
        for (int kind = _kinds.Length - 1; kind >= 0; kind--)
        {
            counts[kind] = _taken[kind][cell];
            cell -= counts[kind] * Packing.Cells(_kinds[kind].Mass);
        }

        return counts;
    }

    private ushort[] Add(Content content, (long Key, int Index)[] window)
    {
        int step = Packing.Cells(content.Mass);
        long cost = OnePiece + (long)Math.Round((content.Volume?.Litres ?? 0) * 1000);
        var taken = new ushort[_cells + 1];
        for (int residue = 0; residue < Math.Min(step, _cells + 1); residue++)
        {
            int head = 0, tail = 0;
            for (int i = 0, cell = residue; cell <= _cells; i++, cell += step)
            {
                // Keys are taken relative to i, so that taking one more costs the same wherever the window stands.
                long key = _best[cell] >= Unreached ? Unreached : _best[cell] - (i * cost);
                while (tail > head && window[tail - 1].Key >= key)
                {
                    tail--;
                }

                window[tail++] = (key, i);
                while (window[head].Index < i - content.Count)
                {
                    head++;
                }

                if (window[head].Key < Unreached)
                {
                    _best[cell] = window[head].Key + (i * cost);
                    taken[cell] = (ushort)(i - window[head].Index);
                }
            }
        }

        return taken;
    }
}

using Ingegno.Core.Homes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Loads;

/// <summary>
/// For every mass on the grid the packing of fewest pieces that fits the room. On the way all packings of a mass are kept
/// that no other beats in both pieces and room, so a bulky short one does not hide a compact long one. In contrast,
/// <see cref="FewestPieces"/> needs no room and is much faster.
/// </summary>
internal sealed class RoomyPackings
{
    /// <summary>So many pieces taking so many millilitres, the last step being <paramref name="Count"/> of one kind.</summary>
    private readonly record struct Step(int Pieces, int Millilitres, int Before, short Kind, short Count);

    private readonly Content[] _kinds;
    private readonly int _room;
    private readonly List<Step> _steps = [new(0, 0, -1, -1, 0)];
    private readonly List<int>?[] _front;

    internal RoomyPackings(Content[] kinds, int cells, Volume room)
    {
        _kinds = kinds;
        _room = (int)Math.Floor((room.Litres * 1000) + 1e-6);
        _front = new List<int>?[cells + 1];
        _front[0] = [0];
        for (short kind = 0; kind < kinds.Length; kind++)
        {
            Add(kind);
        }
    }

    internal IEnumerable<int[]> Packings() =>
        _front.Where(front => front is { Count: > 0 }).Select(front => Counts(front!.MinBy(s => _steps[s].Pieces)));

    private int[] Counts(int at)
    {
        int[] counts = new int[_kinds.Length];
        for (var step = _steps[at]; step.Before >= 0; step = _steps[step.Before])
        {
            counts[step.Kind] = step.Count;
        }

        return counts;
    }

    /// <summary>
    /// Lets each mass be reached with 1 to n more of one kind. Masses are walked downwards, so the lighter ones
    /// read from have not had this kind yet and no count is exceeded.
    /// </summary>
    private void Add(short kind)
    {
        var content = _kinds[kind];
        int weight = Packing.Cells(content.Mass);
        int millilitres = (int)Math.Round((content.Volume?.Litres ?? 0) * 1000);
        for (int cell = _front.Length - 1; cell >= weight; cell--)
        {
            for (short n = 1; n <= content.Count && n * weight <= cell; n++)
            {
                if (_front[cell - (n * weight)] is not { } starts)
                {
                    continue;
                }

                foreach (int start in starts)
                {
                    var from = _steps[start];
                    var step = new Step(from.Pieces + n, from.Millilitres + (n * millilitres), start, kind, n);
                    if (step.Millilitres <= _room)
                    {
                        Keep(step, _front[cell] ??= []);
                    }
                }
            }
        }
    }

    private void Keep(Step step, List<int> rivals)
    {
        foreach (int rival in rivals)
        {
            if (_steps[rival].Pieces <= step.Pieces && _steps[rival].Millilitres <= step.Millilitres)
            {
                return;
            }
        }

        rivals.RemoveAll(r => step.Pieces <= _steps[r].Pieces && step.Millilitres <= _steps[r].Millilitres);
        rivals.Add(_steps.Count);
        _steps.Add(step);
    }
}

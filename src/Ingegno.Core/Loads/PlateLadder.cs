using System.Collections.Immutable;
using System.Globalization;
using Ingegno.Core.Homes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Loads;

/// <summary>
/// Every load plate-loaded handles can make, exact to the gram. Both ends of a handle carry the same plates, so
/// a single handle can use half the plates of a kind on each end, a matched pair a quarter.
/// </summary>
public static class PlateLadder
{
    /// <summary>One end's filling: so many plates of each kind.</summary>
    private sealed record EndLoad(long Grams, double Room, int Pieces, ImmutableArray<int> Counts);

    /// <summary>One handle: the load is that handle with its plates.</summary>
    public static LoadLadder OneHandle(PlateLoadedHandles kit) => Build(Loadable.Of(kit), handles: 1);

    /// <summary>
    /// A matched pair: the load is both handles together. Empty when only one handle is owned.
    /// </summary>
    public static LoadLadder Pair(PlateLoadedHandles kit) =>
        kit.Handles >= 2 ? Build(Loadable.Of(kit), handles: 2) : LoadLadder.Empty;

    /// <summary>A long bar with its plates.</summary>
    public static LoadLadder OfBar(PlateLoadedBar bar) => Build(Loadable.Of(bar), handles: 1);

    /// <summary>What plates go on, long or short.</summary>
    private sealed record Loadable(
        string Bare, Mass Empty, ImmutableArray<Plates> Plates, int? PlatesPerEnd, Length? SleeveRoom, Mass? Most)
    {
        internal static Loadable Of(PlateLoadedHandles kit) => new(
            "bare handle", kit.HandleMass + (kit.CollarMass * 2), kit.Plates, kit.PlatesPerEnd, kit.SleeveRoom, kit.MostPerHandle);

        internal static Loadable Of(PlateLoadedBar bar) => new(
            "bare bar", bar.BarMass + (bar.CollarMass * 2), bar.Plates, bar.PlatesPerEnd, bar.SleeveRoom, bar.MostInAll);
    }

    private static LoadLadder Build(Loadable kit, int handles)
    {
        var kinds = kit.Plates
            .GroupBy(p => (p.Mass.Grams, p.Thickness))
            .Select(g => new Plates(g.First().Mass, g.Sum(p => p.Count), g.Key.Thickness))
            .OrderByDescending(p => p.Mass)
            .ToArray();
        return LoadLadder.From(EndLoads(kit, kinds, ends: handles * 2)
            .Select(end => ToRung(kit, kinds, end, handles))
            .Where(rung => kit.Most is not { } most || rung.Load.Grams <= handles * most.Grams));
    }

    /// <summary>
    /// All sums one end can carry. Per sum only fillings that no other beats in both room and pieces are kept on
    /// the way, so a thin plate is not lost because a thick one gave the same mass first.
    /// </summary>
    private static IEnumerable<EndLoad> EndLoads(Loadable kit, Plates[] kinds, int ends)
    {
        double room = kit.SleeveRoom?.Metres ?? double.PositiveInfinity;
        int most = kit.PlatesPerEnd ?? int.MaxValue;
        var reachable = new Dictionary<long, List<EndLoad>>
        {
            [0] = [new EndLoad(0, 0, 0, [.. new int[kinds.Length]])],
        };
        for (int kind = 0; kind < kinds.Length; kind++)
        {
            var plate = kinds[kind];
            double thickness = plate.Thickness?.Metres ?? 0;
            foreach (var start in reachable.Values.SelectMany(l => l).ToArray())
            {
                for (int n = 1; n <= plate.Count / ends; n++)
                {
                    var end = new EndLoad(
                        start.Grams + (n * plate.Mass.Grams),
                        start.Room + (n * thickness),
                        start.Pieces + n,
                        start.Counts.SetItem(kind, n));
                    if (end.Room > room + 1e-9 || end.Pieces > most)
                    {
                        break;
                    }

                    Keep(reachable, end);
                }
            }
        }

        return reachable.Values.Select(l => l.MinBy(e => e.Pieces)!);
    }

    private static void Keep(Dictionary<long, List<EndLoad>> reachable, EndLoad end)
    {
        if (!reachable.TryGetValue(end.Grams, out var rivals))
        {
            reachable[end.Grams] = [end];
            return;
        }

        if (rivals.Any(r => r.Room <= end.Room && r.Pieces <= end.Pieces))
        {
            return;
        }

        rivals.RemoveAll(r => end.Room <= r.Room && end.Pieces <= r.Pieces);
        rivals.Add(end);
    }

    private static Rung ToRung(Loadable kit, Plates[] kinds, EndLoad end, int handles)
    {
        long grams = handles * (kit.Empty.Grams + (2 * end.Grams));
        var pieces = ImmutableArray.CreateBuilder<Piece>();
        var words = new List<string>();
        for (int kind = 0; kind < kinds.Length; kind++)
        {
            int perEnd = end.Counts[kind];
            if (perEnd == 0)
            {
                continue;
            }

            string mass = kinds[kind].Mass.Kilograms.ToString("0.###", CultureInfo.InvariantCulture);
            pieces.Add(new Piece(mass + " kg plate", kinds[kind].Mass, perEnd * 2 * handles, "on each end"));
            words.AddRange(Enumerable.Repeat(mass, perEnd));
        }

        string text = words.Count == 0 ? kit.Bare : string.Join(" + ", words) + " kg on each end";
        return new Rung(Mass.FromGrams(grams), new Recipe(pieces.ToImmutable(), text));
    }
}

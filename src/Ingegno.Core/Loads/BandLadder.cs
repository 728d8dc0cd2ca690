using System.Collections.Immutable;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Loads;

/// <summary>How bands are set before a movement starts.</summary>
/// <param name="Strands">1, or 2 and more when folded.</param>
/// <param name="ChokeUp">Length taken up in the hand.</param>
/// <param name="Stance">Feet apart, for a band that is stood on.</param>
/// <param name="Distance">Anchor to hand at the start, for an anchored band.</param>
public sealed record BandSetting(int Strands, Length ChokeUp, Length? Stance, Length? Distance);

/// <summary>
/// The resistances bands give in one exercise for one client: every band, pair and triple, by strands, choke-up, stance
/// or distance in 5 cm steps. For failure a band counts max(mean, end / c), c = 1.3 where the movement eases off toward
/// its end and 1 where it does not (common practice). Settings that would pull a band past its limit are left out.
/// </summary>
public static class BandLadder
{
    private static readonly Length Step = Length.FromCentimetres(5);

    /// <summary>Stances people can stand in (common practice).</summary>
    private static readonly Length Narrow = Length.FromCentimetres(30), Wide = Length.FromCentimetres(90);

    /// <summary>More of a band than this is not wound round the hand (common practice).</summary>
    private const double MostChokedUp = 0.4;

    /// <summary>Where the movement gets easier toward its end this much more pull is met there (common practice; log).</summary>
    private const double EasesOffBy = 1.3;

    /// <summary>A pull under this is no resistance.</summary>
    private static readonly Mass Least = Mass.FromGrams(300);

    private const int MostTogether = 3;

    /// <param name="anchorHeight">Height of what the band hangs from, for a sling; the anchor of others does not matter.</param>
    /// <param name="room">Longest distance from an anchor.</param>
    public static LoadLadder For(
        IEnumerable<Band> bands, BandRun run, Length stature, Length? anchorHeight, Length room)
    {
        var usable = bands
            .Where(b => (b.Shape == BandShape.MiniLoop) == (run.Hold == BandHold.AroundThighs))
            .SelectMany(b => Enumerable.Repeat(b, Math.Min(b.Count, MostTogether)))
            .Select(b => (band: b, curve: BandCurve.Fit(b).Curve))
            .Where(b => b.curve is not null)
            .Select(b => new Used(b.band, b.curve!))
            .ToImmutableArray();
        return LoadLadder.From(Together(usable)
            .SelectMany(set => Settings(set, run, stature, room).Select(setting => Rung(set, setting, run, stature, anchorHeight)))
            .OfType<Rung>());
    }

    private sealed record Used(Band Band, BandCurve Curve);

    /// <summary>Single bands, pairs and triples; like bands are not told apart.</summary>
    private static IEnumerable<ImmutableArray<Used>> Together(ImmutableArray<Used> bands)
    {
        var sets = new List<ImmutableArray<Used>> { ImmutableArray<Used>.Empty };
        foreach (var band in bands)
        {
            sets.AddRange(sets.Where(s => s.Length < MostTogether).Select(s => s.Add(band)).ToArray());
        }

        return sets.Where(s => s.Length > 0).DistinctBy(s => string.Join('|', s.Select(b => b.Band.Id)));
    }

    private static IEnumerable<BandSetting> Settings(ImmutableArray<Used> set, BandRun run, Length stature, Length room)
    {
        // A tube is held by both handles wherever it goes round something: two strands of half its length.
        bool tube = set.Any(b => b.Band.Shape == BandShape.Tube) && run.Hold is not BandHold.HandToHand;
        int strands = tube ? Math.Max(2, run.Strands) : run.Strands;
        // Nobody folds a band once more behind the back, round the thighs or over a bar (common practice).
        bool foldable = !tube && run.Hold is (BandHold.Underfoot or BandHold.Anchored or BandHold.HandToHand);
        int[] folds = foldable ? [strands, strands * 2] : [strands];
        foreach (int fold in folds)
        {
            var shortest = set.Min(b => b.Curve.RestOf(fold, Length.Zero));
            switch (run.Hold)
            {
                case BandHold.Anchored:
                    for (var distance = RoundUp(shortest); distance <= room; distance += Step)
                    {
                        yield return new(fold, Length.Zero, null, distance);
                    }

                    break;
                case BandHold.Underfoot:
                    for (var stance = Narrow; stance <= Wide; stance += Step)
                    {
                        yield return new(fold, Length.Zero, stance, null);
                    }

                    foreach (var choke in Chokes(set))
                    {
                        yield return new(fold, choke, Narrow, null);
                    }

                    break;
                case BandHold.AroundBack or BandHold.HandToHand:
                    foreach (var choke in Chokes(set).Prepend(Length.Zero))
                    {
                        yield return new(fold, choke, null, null);
                    }

                    break;
                default:
                    yield return new(fold, Length.Zero, null, null);
                    break;
            }
        }
    }

    private static IEnumerable<Length> Chokes(ImmutableArray<Used> set)
    {
        var most = set.Min(b => b.Band.RestLength) * MostChokedUp;
        for (var choke = Step; choke <= most; choke += Step)
        {
            yield return choke;
        }
    }

    private static Length RoundUp(Length length) => Step * Math.Ceiling((length / Step) - 1e-9);

    /// <summary>Length of one run at the start.</summary>
    public static Length RunAtStart(BandRun run, BandSetting setting, Length stature, Length? anchorHeight)
    {
        var start = stature * run.Start.Fraction;
        return run.Hold switch
        {
            BandHold.Anchored => setting.Distance ?? Length.Zero,
            BandHold.Underfoot => Length.FromMetres(double.Hypot(start.Metres, (setting.Stance ?? Length.Zero).Metres / 2)),
            BandHold.Sling => (anchorHeight ?? Length.Zero) - start,
            _ => start,
        };
    }

    private static Rung? Rung(ImmutableArray<Used> set, BandSetting setting, BandRun run, Length stature, Length? anchorHeight)
    {
        var start = RunAtStart(run, setting, stature, anchorHeight);
        var end = start + (stature * run.Path.Fraction);
        var longest = start > end ? start : end;
        if (set.Any(b => longest > b.Curve.LongestRun(setting.Strands, setting.ChokeUp)))
        {
            return null;
        }

        var pull = Along(set, setting, start, end);
        var met = ForFailure(pull, run);
        return met < Least ? null : new Rung(run.Assists ? met * -1 : met, RecipeOf(set, setting, run), Error(set, setting, longest, met), pull);
    }

    private static PullAlong Along(ImmutableArray<Used> set, BandSetting setting, Length start, Length end)
    {
        Mass from = At(start), middle = At((start + end) * 0.5), to = At(end);
        var longest = start > end ? start : end;
        return new(
            from, middle, to,
            (from + (middle * 4) + to) * (1.0 / 6),
            set.Any(b => b.Curve.Rough),
            set.Any(b => b.Curve.AsWhole(longest, setting.Strands, setting.ChokeUp).Metres > b.Curve.LongestPull.Metres + 1e-6));

        Mass At(Length run) => set.Aggregate(Force.Zero, (sum, b) => sum + b.Curve.At(run, setting.Strands, setting.ChokeUp)).AsMass();
    }

    /// <summary>What counts for failure; of help, what is there at the hardest position.</summary>
    private static Mass ForFailure(PullAlong pull, BandRun run)
    {
        if (run.Assists)
        {
            return run.HardestAtEnd ? pull.End : pull.Start;
        }

        var atEnd = pull.End * (run.EasesOff ? 1 / EasesOffBy : 1);
        return pull.Mean > atEnd ? pull.Mean : atEnd;
    }

    private static Mass Error(ImmutableArray<Used> set, BandSetting setting, Length longest, Mass met) =>
        met * set.Max(b => b.Curve.SpreadAt(b.Curve.AsWhole(longest, setting.Strands, setting.ChokeUp)).Fraction);

    private static Recipe RecipeOf(ImmutableArray<Used> set, BandSetting setting, BandRun run)
    {
        string bands = string.Join(" + ", set.Select(b => b.Band.Name));
        int plain = set.Any(b => b.Band.Shape == BandShape.Tube) ? Math.Max(2, run.Strands) : run.Strands;
        string[] parts =
        [
            bands,
            .. setting.Strands > plain ? ["folded in two"] : Array.Empty<string>(),
            .. setting.ChokeUp > Length.Zero ? [$"choked up {setting.ChokeUp}"] : Array.Empty<string>(),
            .. setting.Stance is { } stance && run.Hold == BandHold.Underfoot ? [$"feet {stance} apart"] : Array.Empty<string>(),
            .. setting.Distance is { } distance ? [$"hands {distance} from the anchor at the start"] : Array.Empty<string>(),
        ];
        return new Recipe([.. set.Select(b => new Piece(b.Band.Name, Mass.Zero, 1, $"{setting.Strands}"))], string.Join(", ", parts));
    }
}

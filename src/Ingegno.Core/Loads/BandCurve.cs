using System.Collections.Immutable;
using Ingegno.Core.Homes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Loads;

/// <summary>A curve, or why none can be drawn.</summary>
/// <param name="Curve">Null exactly when there are problems.</param>
public sealed record BandFit(BandCurve? Curve, ImmutableArray<InputProblem> Problems);

/// <summary>
/// How hard a band pulls at a stretch. With L the length over the rest length, force = (a + b / L)(L - 1 / L^2): the
/// two-constant law of incompressible rubber (Mooney and Rivlin; Treloar, The Physics of Rubber Elasticity; from memory).
/// Checked against Treloar 1944, Trans Faraday Soc 40:59-70: from two pulls within 6 percent between 1.2 and 3.0.
/// </summary>
public sealed record BandCurve(Length RestLength, double A, double B, bool Rough, Length LongestPull)
{
    /// <summary>Never stretched past this many times its rest length (common practice).</summary>
    public const double MostStretch = 3.5;

    /// <summary>Pulls nearer to each other than this, over the rest length, tell no more than one.</summary>
    private const double ApartEnough = 0.6;

    /// <summary>How far the curve may be off: by Treloar's rubber with two pulls and with one; more past the longest pull.</summary>
    private const double CalibratedSpread = 0.06, RoughSpread = 0.25, ExtrapolatedSpread = 0.10;

    /// <summary>Stretch over the rest length; 1 is slack.</summary>
    public double StretchAt(Length length) => length / RestLength;

    /// <summary>Zero while slack.</summary>
    public Force At(Length length)
    {
        double stretch = StretchAt(length);
        return stretch <= 1
            ? Force.Zero
            : Force.FromNewtons((A + (B / stretch)) * (stretch - (1 / (stretch * stretch))));
    }

    /// <summary>The force may lie this far either side, over itself.</summary>
    public Share SpreadAt(Length length)
    {
        double spread = Rough ? RoughSpread : CalibratedSpread;
        return Share.Of(length > LongestPull ? spread + ExtrapolatedSpread : spread);
    }

    /// <summary>The same band cut into equal strands side by side: each so much shorter, all pulling together.</summary>
    /// <param name="strands">1 or more; 2 is folded in two.</param>
    /// <param name="chokeUp">Taken out of the length before it is folded.</param>
    public Force At(Length run, int strands, Length chokeUp) =>
        (this with { RestLength = RestOf(strands, chokeUp) }).At(run) * strands;

    /// <summary>Rest length of one strand.</summary>
    public Length RestOf(int strands, Length chokeUp) => (RestLength - chokeUp) * (1.0 / strands);

    /// <summary>Length of the whole band laid single, stretched as much as these strands are.</summary>
    public Length AsWhole(Length run, int strands, Length chokeUp) => RestLength * (run / RestOf(strands, chokeUp));

    /// <summary>The longest a run of these strands may be pulled.</summary>
    public Length LongestRun(int strands, Length chokeUp) => RestOf(strands, chokeUp) * MostStretch;

    /// <summary>Fits a band's own pulls.</summary>
    public static BandFit Fit(Band band) => Fit(band.RestLength, band.Pulls);

    /// <param name="rest">Rest length, above zero.</param>
    /// <param name="pulls">One or more; two far apart make the curve, one leaves it rough.</param>
    public static BandFit Fit(Length rest, ImmutableArray<BandPull> pulls)
    {
        var problems = Problems(rest, pulls).ToImmutableArray();
        if (!problems.IsEmpty)
        {
            return new(null, problems);
        }

        var curve = Solve(rest, pulls);
        return RisesThroughout(curve)
            ? new(curve, [])
            : new(null, [new("pulls", "No band pulls like this: between its rest length and 3.5 times it, the force would fall or turn negative. Measure both pulls again, well apart.")]);
    }

    private static IEnumerable<InputProblem> Problems(Length rest, ImmutableArray<BandPull> pulls)
    {
        if (!(rest.Metres is >= 0.05 and <= 10))
        {
            yield return new("restLength", $"A rest length of {rest.Metres:0.###} m cannot be right: lay the band flat, just straight, and give 0.05 to 10 m.");
            yield break;
        }

        if (pulls.IsEmpty)
        {
            yield return new("pulls", "Give one pull at least, better two: a length and what the scale reads there.");
        }

        for (int i = 0; i < pulls.Length; i++)
        {
            if (!(pulls[i].Length > rest) || pulls[i].Length.Metres > 40)
            {
                yield return new($"pulls[{i}].length", $"A pull is read with the band stretched: longer than its rest length of {rest.Centimetres:0} cm.");
            }
            else if (pulls[i].Length / rest > MostStretch)
            {
                yield return new($"pulls[{i}].length", $"{pulls[i].Length} is past {MostStretch} times the rest length: a band is not pulled that far.");
            }

            if (!(pulls[i].Force.Newtons is > 0 and <= 3000))
            {
                yield return new($"pulls[{i}].force", "A pull lies above 0 and under 3000 N (about 300 kg).");
            }
        }

        var sorted = pulls.OrderBy(p => p.Length).ToArray();
        for (int i = 1; i < sorted.Length; i++)
        {
            if (sorted[i].Force <= sorted[i - 1].Force)
            {
                yield return new("pulls", $"Pulls contradict each other: {sorted[i].Force} at {sorted[i].Length}, but {sorted[i - 1].Force} at {sorted[i - 1].Length}. A longer pull must read more.");
            }
        }
    }

    private static BandCurve Solve(Length rest, ImmutableArray<BandPull> pulls)
    {
        double uu = 0, uv = 0, vv = 0, uf = 0, vf = 0;
        foreach (var pull in pulls)
        {
            double stretch = pull.Length / rest;
            double u = stretch - (1 / (stretch * stretch)), v = u / stretch;
            uu += u * u;
            uv += u * v;
            vv += v * v;
            uf += u * pull.Force.Newtons;
            vf += v * pull.Force.Newtons;
        }

        var longest = pulls.Max(p => p.Length);
        double apart = (longest - pulls.Min(p => p.Length)) / rest;
        if (apart < ApartEnough - 1e-9)
        {
            return new(rest, uf / uu, 0, Rough: true, longest);
        }

        double determinant = (uu * vv) - (uv * uv);
        return new(rest, ((uf * vv) - (vf * uv)) / determinant, ((uu * vf) - (uv * uf)) / determinant, Rough: false, longest);
    }

    /// <summary>A real band pulls harder the longer it is, all the way.</summary>
    private static bool RisesThroughout(BandCurve curve)
    {
        double last = 0;
        for (double stretch = 1.02; stretch <= MostStretch + 1e-9; stretch += 0.02)
        {
            double force = curve.At(curve.RestLength * stretch).Newtons;
            if (force <= last)
            {
                return false;
            }

            last = force;
        }

        return true;
    }
}

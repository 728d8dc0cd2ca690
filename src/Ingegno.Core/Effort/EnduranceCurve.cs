using Ingegno.Core.Exercises;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Effort;

/// <summary>
/// Fresh repetitions to failure at the reference tempo, by demand. Falls strictly as demand rises; the logarithm of
/// repetitions is linear between points and goes on with the end slopes outside them.
/// </summary>
public sealed class EnduranceCurve
{
    /// <summary>Far over the maximum the curve is held just above zero, so that a cost stays a number.</summary>
    private const double FewestRepetitions = 1e-9;

    /// <summary>Past both ends of what any exercise asks, so that every count has its demand.</summary>
    private const double LeastLookedAt = -2, MostLookedAt = 3;

    private readonly double[] _demands;
    private readonly double[] _logRepetitions;
    private readonly Func<double, double>? _factor;
    private readonly double _endurance = 1;

    private EnduranceCurve(IEnumerable<(double Demand, double Repetitions)> points, Func<double, double>? factor = null)
    {
        var sorted = points.OrderBy(p => p.Demand).ToArray();
        _demands = [.. sorted.Select(p => p.Demand)];
        _logRepetitions = [.. sorted.Select(p => Math.Log(p.Repetitions))];
        _factor = factor;
    }

    private EnduranceCurve(EnduranceCurve plain, double endurance) =>
        (_demands, _logRepetitions, _factor, _endurance) = (plain._demands, plain._logRepetitions, plain._factor, endurance);

    /// <summary>
    /// The curve of somebody with more or less staying power than most: repetitions past the first times a factor, so that the
    /// maximum itself stays one repetition.
    /// </summary>
    /// <param name="endurance">1 for most; above 0.</param>
    public EnduranceCurve WithEndurance(double endurance) => endurance == 1 ? this : new(this, endurance);

    /// <summary>Pressing and pulling: the load chart from 0.65 up, Hoeger's bench press below.</summary>
    public static EnduranceCurve Base(bool trained) => trained ? BaseTrained : BaseUntrained;

    private static readonly EnduranceCurve BaseTrained = new(BasePoints(trained: true));

    private static readonly EnduranceCurve BaseUntrained = new(BasePoints(trained: false));

    private static IEnumerable<(double, double)> BasePoints(bool trained)
    {
        var bench = LoadChart.Bench(trained);
        return [.. LoadChart.Points, (0.60, bench.At60), (0.40, bench.At40)];
    }

    /// <summary>The curve of an exercise for one client.</summary>
    /// <param name="endurance">Class of the exercise.</param>
    /// <param name="trained">False for beginners.</param>
    /// <param name="maximumOverBodyMass">The client's own external maximum over body mass, for leg work.</param>
    /// <param name="bodyShare">Share of body mass the exercise moves, for leg work.</param>
    public static EnduranceCurve For(EnduranceClass endurance, bool trained, double maximumOverBodyMass, Share bodyShare) =>
        endurance switch
        {
            EnduranceClass.Upper or EnduranceClass.OneLeg or EnduranceClass.OwnLogOnly => Base(trained),
            EnduranceClass.Squat => Squat(trained, maximumOverBodyMass, bodyShare.Fraction),
            EnduranceClass.Lower => Lower(trained, maximumOverBodyMass, bodyShare.Fraction),
            EnduranceClass.LegExtension => Isolation(LoadChart.LegExtension(trained), trained),
            EnduranceClass.LegCurl => Isolation(LoadChart.LegCurl(trained), trained),
            EnduranceClass.ArmCurl => Isolation(LoadChart.ArmCurl(trained), trained),
            EnduranceClass.SitUp => Isolation(LoadChart.SitUp(trained), trained),
            _ => throw new ArgumentOutOfRangeException(nameof(endurance)),
        };

    /// <summary>
    /// Leg work moves the body too, so a bar percentage p stands at demand (p m + s) / (m + s), with m the maximum
    /// over body mass held in 0.75 to 2.5. Below that come the leg press's own points.
    /// </summary>
    private static EnduranceCurve Lower(bool trained, double maximumOverBodyMass, double share)
    {
        double m = Math.Clamp(maximumOverBodyMass, 0.75, 2.5);
        var press = LoadChart.LegPress(trained);
        return new(
        [
            .. LoadChart.Points.Select(p => (((p.Share * m) + share) / (m + share), p.Repetitions)),
            (0.60, press.At60), (0.40, press.At40),
        ]);
    }

    /// <summary>The squat's own points of the bar in place of the chart's, the leg press's below them.</summary>
    private static EnduranceCurve Squat(bool trained, double maximumOverBodyMass, double share)
    {
        double m = Math.Clamp(maximumOverBodyMass, 0.75, 2.5);
        var press = LoadChart.LegPress(trained);
        return new(
        [
            .. LoadChart.Squat(trained).Select(p => (((p.Share * m) + share) / (m + share), p.Repetitions)),
            (0.60, Math.Max(press.At60, LoadChart.SquatAt60(trained) + 1)), (0.40, press.At40),
        ]);
    }

    /// <summary>The base curve times class over bench press at 40, 60 and 80 percent, linear between, 1 at the maximum.</summary>
    private static EnduranceCurve Isolation(LoadChart.Hoeger own, bool trained)
    {
        var bench = LoadChart.Bench(trained);
        double q40 = own.At40 / bench.At40, q60 = own.At60 / bench.At60, q80 = own.At80 / bench.At80;
        return new(BasePoints(trained), x => x switch
        {
            <= 0.4 => q40,
            <= 0.6 => q40 + ((q60 - q40) * (x - 0.4) / 0.2),
            <= 0.8 => q60 + ((q80 - q60) * (x - 0.6) / 0.2),
            < 1.0 => q80 + ((1 - q80) * (x - 0.8) / 0.2),
            _ => 1,
        });
    }

    /// <summary>Repetitions to failure, rested, at 2-0-1-0. Under 1 where the demand is over the maximum.</summary>
    public double FreshRepetitions(Demand demand)
    {
        double x = demand.Value;
        int high = 1;
        while (high < _demands.Length - 1 && x > _demands[high])
        {
            high++;
        }

        double slope = (_logRepetitions[high] - _logRepetitions[high - 1]) / (_demands[high] - _demands[high - 1]);
        double repetitions = Math.Max(
            FewestRepetitions, Math.Exp(_logRepetitions[high - 1] + (slope * (x - _demands[high - 1]))));
        repetitions = _factor is null ? repetitions : repetitions * _factor(x);
        return repetitions <= 1 ? repetitions : 1 + ((repetitions - 1) * _endurance);
    }

    /// <summary>The demand at which just so many fresh repetitions are possible.</summary>
    /// <param name="repetitions">Above zero.</param>
    public Demand DemandFor(double repetitions) =>
        Demand.Of(Crossing.Of(demand => Math.Log(repetitions / FreshRepetitions(Demand.Of(demand))), LeastLookedAt, MostLookedAt));

    /// <summary>
    /// Equivalent demand: where the base curve allows as many fresh repetitions as this curve does at this demand.
    /// Squats, push-ups and curls compare only on this scale.
    /// </summary>
    public Demand EquivalentOf(Demand demand, bool trained) =>
        ReferenceEquals(this, Base(trained)) ? demand : Base(trained).Inverse(FreshRepetitions(demand));

    /// <summary>Exact inverse of a curve without a class factor; 0 where so many repetitions lie past no load at all.</summary>
    private Demand Inverse(double repetitions)
    {
        double log = Math.Log(repetitions);
        int high = 1;
        while (high < _demands.Length - 1 && log < _logRepetitions[high])
        {
            high++;
        }

        double slope = (_logRepetitions[high] - _logRepetitions[high - 1]) / (_demands[high] - _demands[high - 1]);
        return Demand.Of(Math.Max(0, _demands[high - 1] + ((log - _logRepetitions[high - 1]) / slope)));
    }
}

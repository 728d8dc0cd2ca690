using System.Collections.Immutable;
using Ingegno.Core.Effort;
using Ingegno.Core.Loads;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Dosing;

/// <summary>What a dose is made of beside its rung and its counts.</summary>
public readonly record struct DoseMake(RepetitionStyle Style, Duration Rest, SetForm Form, int Sets);

/// <summary>
/// One line on one rung: plans for any make, whether they leave what must be left, and what they score. In contrast,
/// <see cref="DoseSearch"/> chooses among them.
/// </summary>
public sealed class LineDose
{
    /// <summary>What a gym set leaves beyond this is not left at home (common practice); only what is meant to be easy stays so.</summary>
    private const double MostLeft = 3.5;

    /// <summary>Reserve beyond this is kept in proportion to the way to failure, so that an easy set stays easy with a light load.</summary>
    private const double EasyReserve = 4;

    /// <summary>Reserve is met to the nearest whole repetition; nobody judges it finer. A beginner's floor is never rounded.</summary>
    private const double ReserveRounding = 0.5;

    private readonly Intent _intent;
    private readonly ExerciseEffort _effort;
    private readonly Rung _rung;
    private readonly int _cap;
    private readonly double _leastReserve, _reserveWanted;
    private readonly Duration _writtenRest;
    private readonly Demand _counted;
    private RepetitionStyle? _costedStyle;
    private double _cost;
    private (Duration OneSide, Duration Own) _between;
    private SetInterval? _interval;

    /// <param name="cap">Most repetitions a set is given.</param>
    /// <param name="leastReserve">Repetitions every set must leave, whatever was asked.</param>
    public LineDose(Intent intent, ExerciseEffort effort, Rung rung, int cap, double leastReserve)
    {
        (_intent, _effort, _rung, _cap, _leastReserve) = (intent, effort, rung, cap, leastReserve);
        _reserveWanted = Math.Max(leastReserve, intent.Cap is null ? Math.Min(MostLeft, intent.Reserve) : intent.Reserve);
        _writtenRest = intent.Rest;
        Equivalent = effort.EquivalentOf(effort.DemandOf(rung.Load));
        // A light set counts for less, but one near failure is still the better one there.
        _counted = Equivalent < SetForecast.FullCredit ? SetForecast.FullCredit : Equivalent;
    }

    public Rung Rung => _rung;

    public Demand Equivalent { get; }

    /// <summary>
    /// The most effective repetitions so many sets could give here, however they are done: what every set may go to, times the
    /// sets; of a push first no more, of a rest-pause at most what was asked.
    /// </summary>
    public double MostEffective(int sets)
    {
        if (_counted >= SetForecast.AllCount)
        {
            // No repetition costs under half a plain one.
            return sets * Math.Min(_cap, 2 * _effort.FreshRepetitions(_effort.DemandOf(_rung.Load)));
        }

        double lastLeaves = _reserveWanted > EasyReserve ? _leastReserve : Math.Max(_leastReserve, _reserveWanted - ReserveRounding);
        double straight = ((sets - 1) * (SetForecast.EffectiveSpan - _leastReserve)) + SetForecast.EffectiveSpan - lastLeaves;
        return Math.Max(straight, Asked);
    }

    /// <summary>
    /// Effective repetitions to be met: those of the gym line, and of a line whose gym sets left much those of sets that leave the most a set
    /// at home may leave.
    /// </summary>
    public double Asked => _intent.Cap is not null ? _intent.Effective
        : Math.Max(_intent.Effective, SetForecast.Credit(_intent.Equivalent) * _intent.Reserves.Sum(left => Math.Max(0, SetForecast.EffectiveSpan - Math.Clamp(left, _leastReserve, MostLeft))));

    /// <summary>Written counts in their proportion, the last set so many; further sets like the last.</summary>
    public SetPlan Plan(DoseMake make, int last)
    {
        double factor = (double)last / _intent.Repetitions[^1];
        int most = Math.Max(last, _cap);
        var counts = ImmutableArray.CreateBuilder<int>(make.Sets);
        for (int i = 0; i < make.Sets; i++)
        {
            counts.Add(i < Math.Min(make.Sets, _intent.Repetitions.Length) - 1
                ? Math.Min(most, (int)Math.Round(_intent.Repetitions[i] * factor))
                : last);
        }

        return With(make, counts.MoveToImmutable());
    }

    private SetPlan With(DoseMake make, ImmutableArray<int> counts) =>
        new(counts, _rung.Load, make.Style, make.Rest, _intent.Partners) { Form = make.Form };

    /// <summary>
    /// The best counts of a make: the most repetitions that leave what must be left, a set at a time where that is worth its
    /// price. Null when not one repetition is possible.
    /// </summary>
    public ScoredPlan? Best(DoseMake make, double price)
    {
        if (make.Form == SetForm.RestPause)
        {
            return Bouts(make, price);
        }

        int most = MostRepetitions(make);
        most = _intent.Cap is null ? most : Math.Min(most, _intent.Repetitions[^1]);
        if (most < 1)
        {
            return null;
        }

        var equal = Scored(Plan(make, most), price);
        return SetBySet(make, price) is { } unequal && unequal.Score < equal.Score - 1e-9 ? unequal : equal;
    }

    /// <summary>A plan with the count fixed by hand, whatever it leaves.</summary>
    public ScoredPlan ByHand(DoseMake make, int repetitions, double price) =>
        make.Form == SetForm.RestPause
            ? Scored(BoutPlan(make, repetitions), price)
            : Scored(Plan(make, repetitions), price);

    public ScoredPlan Scored(SetPlan plan, double price)
    {
        var end = SetForecast.EndOf(SeriesOf(plan));
        double scored = Math.Min(end.Effective, plan.Form == SetForm.RestPause ? Asked : double.PositiveInfinity);
        return new(
            plan,
            Math.Max(0, Asked - scored) + price,
            SetForecast.Credit(Equivalent) * scored,
            IsPossible(plan));
    }

    /// <summary>
    /// Equal sets of many light repetitions leave the first ones far from failure. Here each set gets the count that leaves what
    /// its gym set left, never more than the set before it. Null for lines kept easy.
    /// </summary>
    public ScoredPlan? SetBySet(DoseMake make, double price)
    {
        if (_intent.Cap is not null || _reserveWanted > EasyReserve || make.Sets < 2)
        {
            return null;
        }

        var plan = Plan(make, 1);
        for (int i = 0; i < plan.Repetitions.Length; i++)
        {
            double asked = _intent.Reserves[Math.Min(i, _intent.Reserves.Length - 1)];
            double left = Math.Max(_leastReserve, Math.Max(asked, _reserveWanted) - ReserveRounding);
            double toFailure = SetForecast.EndOf(SeriesOf(plan with { Repetitions = plan.Repetitions[..(i + 1)] })).LastToFailure;
            int count = (int)Math.Floor(toFailure - left + 1e-9);
            int most = i == 0 ? _cap : plan.Repetitions[i - 1];
            plan = plan with { Repetitions = plan.Repetitions.SetItem(i, Math.Clamp(count, 1, most)) };
        }

        return plan.Repetitions.All(r => r == plan.Repetitions[0]) || !IsPossible(plan) ? null : Scored(plan, price + (MeasurePrice.UnequalSets * _intent.Repetitions.Length));
    }

    /// <summary>Whether every set leaves what it must, and the last what was asked; a rest cut must still let the set be repeated.</summary>
    public bool IsPossible(SetPlan plan)
    {
        var end = SetForecast.EndOf(SeriesOf(plan));
        double easy = Math.Max(0, _reserveWanted - EasyReserve);
        double wanted = _reserveWanted - easy + (easy * end.LastToFailure / Math.Max(_intent.LastToFailure, _reserveWanted));
        double last = end.LastToFailure - plan.Repetitions[^1];
        return end.LeastReserve >= _leastReserve - 1e-9
            && last >= Math.Max(_leastReserve, wanted - ReserveRounding) - 1e-9
            && (plan.Rest >= _writtenRest || end.LeastReserve >= RepeatsWith - 1e-9);
    }

    /// <summary>Repetitions more than asked that may be left before a further measure is taken, and the most that may be left whatever was asked: four, as it is rounded.</summary>
    private const double LeftOver = 1, MostMet = 4.5;

    /// <summary>The last set ends as near failure as asked: no further measure is called for.</summary>
    public bool IsMet(SetPlan plan)
    {
        var end = SetForecast.EndOf(SeriesOf(plan));
        return plan.Form == SetForm.RestPause || end.LastToFailure - plan.Repetitions[^1] <= Math.Max(Math.Min(_reserveWanted + LeftOver, MostMet), _leastReserve + LeftOver) + 1e-9;
    }

    /// <summary>Repetitions a set must have over its plan for its rest to be called long enough to repeat it; 0 where short rests are taught.</summary>
    public double RepeatsWith { get; init; } = 1;

    /// <summary>Most repetitions on the last set that leave the wanted reserve, up to the cap; they fall as effort rises, so halving finds them.</summary>
    private int MostRepetitions(DoseMake make)
    {
        int low = 0, high = _cap;
        while (low < high)
        {
            int middle = (low + high + 1) / 2;
            if (IsPossible(Plan(make, middle)))
            {
                low = middle;
            }
            else
            {
                high = middle - 1;
            }
        }

        return low;
    }

    /// <summary>First bout as near failure as the line asks, then small ones until they add up to it.</summary>
    private ScoredPlan? Bouts(DoseMake make, double price)
    {
        int first = Math.Min(_cap, (int)Math.Floor((1 / CostOf(make.Style)) - Math.Max(_leastReserve, _reserveWanted - ReserveRounding) + 1e-9));
        if (first < 1)
        {
            return null;
        }

        var plan = BoutPlan(make, first);
        return plan.Repetitions.Sum() == 2 * first ? Scored(plan, price) : null;
    }

    private SetPlan BoutPlan(DoseMake make, int first) =>
        With(make, RestPause.Bouts(CostOf(make.Style), first, 2 * first, _leastReserve, RestPause.UsualRest));

    private SetSeries SeriesOf(SetPlan plan)
    {
        var between = (plan.RestOfOneSide(_effort.Exercise), plan.Rest);
        if (_interval is null || _between != between)
        {
            (_between, _interval) = (between, plan.IntervalOn(_effort));
        }

        return plan.On(_effort, CostOf(plan.Style), _counted, _interval);
    }

    /// <summary>Asked many times in a row for one style.</summary>
    private double CostOf(RepetitionStyle style)
    {
        if (_costedStyle != style)
        {
            (_costedStyle, _cost) = (style, _effort.CostOfRepetition(_effort.DemandOf(_rung.Load), style));
        }

        return _cost;
    }
}

/// <summary>A plan with what it scores and gives.</summary>
/// <param name="Score">Effective repetitions left open plus the prices of its measures; less is better.</param>
/// <param name="Effective">Effective repetitions it gives.</param>
/// <param name="Possible">Leaves what it must.</param>
public sealed record ScoredPlan(SetPlan Plan, double Score, double Effective, bool Possible);

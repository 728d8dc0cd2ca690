using System.Collections.Immutable;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Effort;

/// <summary>All sets of one exercise and one side as they would be done: what a forecast is asked about.</summary>
/// <param name="CostOfRepetition">Part of the budget, from <see cref="RepetitionCost"/>; above 0.</param>
/// <param name="Equivalent">Equivalent demand, for what counts.</param>
/// <param name="Repetitions">Planned per set; for <see cref="SetForm.RestPause"/> the first set alone counts.</param>
/// <param name="Interval">Between two sets.</param>
/// <param name="RepetitionLasts">For drawing over time.</param>
public sealed record SetSeries(
    double CostOfRepetition, Demand Equivalent, ImmutableArray<int> Repetitions, SetInterval Interval, Duration RepetitionLasts)
{
    public SetForm Form { get; init; } = SetForm.Straight;

    /// <summary>Rest between the small sets of a rest-pause.</summary>
    public Duration ShortRest { get; init; } = RestPause.UsualRest;

    /// <summary>What a held second drains, for <see cref="SetForm.HoldToFatigue"/>.</summary>
    public double CostOfHeldSecond { get; init; }
}

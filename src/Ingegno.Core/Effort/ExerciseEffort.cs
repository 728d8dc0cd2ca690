using Ingegno.Core.Clients;
using Ingegno.Core.Exercises;
using Ingegno.Core.Loads;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Effort;

/// <summary>
/// One exercise in one set-up for one client with one maximum: turns a load into a demand, an equivalent demand and
/// the cost of a repetition. Built once, asked many times.
/// </summary>
public sealed class ExerciseEffort
{
    private readonly ClientProfile _client;
    private readonly EnduranceCurve _curve;
    private readonly bool _trained;
    private readonly double _steepness;
    private readonly Mass _pivot;

    /// <param name="anchor">The maximum on this exercise.</param>
    /// <param name="geometry">Where hands, feet or grip stand.</param>
    public ExerciseEffort(Exercise exercise, ClientProfile client, StrengthAnchor anchor, Geometry geometry)
    {
        Exercise = exercise;
        _client = client;
        _trained = client.Level != Level.Beginner;
        BodyMoved = Resistance.BodyMoved(exercise.Load, client, geometry);
        _steepness = anchor.Pivot is { } pivot && pivot > Mass.Zero ? anchor.Steepness : 0;
        _pivot = anchor.Pivot ?? Mass.Zero;
        GreatestResistance = anchor.GreatestResistance(BodyMoved, client.BodyMass);
        _curve = EnduranceCurve.For(
            exercise.LastsAs,
            _trained,
            anchor.ExternalMaximum(BodyMoved, client.BodyMass) / client.BodyMass,
            BodyMoved).WithEndurance(anchor.Endurance);
        Recovery = anchor.Recovery;
    }

    public Exercise Exercise { get; }

    public Share BodyMoved { get; }

    public Mass GreatestResistance { get; }

    /// <summary>A rest counts as so many times its length; 1 for most.</summary>
    public double Recovery { get; }

    public Demand DemandOf(Mass load) => Demand.Of(ResistanceOf(load) / GreatestAt(load));

    /// <summary>The most that could be met, as it counts at this load: what the log says of lighter and heavier ones taken in.</summary>
    public Mass GreatestAt(Mass load) =>
        _steepness == 0 || ResistanceOf(load) is var met && met <= Mass.Zero ? GreatestResistance : GreatestResistance * Math.Pow(met / _pivot, _steepness);

    /// <summary>What the muscles meet: the load where it counts and the moved part of the body.</summary>
    public Mass ResistanceOf(Mass load) => Resistance.Of(Exercise.Load, load, BodyMoved, _client.BodyMass);

    /// <summary>The load that meets a demand; may come out negative where the body alone is too much.</summary>
    public Mass LoadFor(Demand demand) => (ResistanceFor(demand) - (BodyMoved * _client.BodyMass)) * (1 / Exercise.Load.LoadCounts);

    /// <summary>What the muscles meet at a demand, the moved part of the body counted.</summary>
    public Mass ResistanceFor(Demand demand)
    {
        var met = demand.Value * GreatestResistance;
        return _steepness == 0 || met <= Mass.Zero ? met : _pivot * Math.Pow(met / _pivot, 1 / (1 - _steepness));
    }

    public Demand EquivalentOf(Demand demand) => _curve.EquivalentOf(Held(demand), _trained);

    /// <summary>The demand on this exercise that asks as much as this equivalent demand.</summary>
    public Demand DemandForEquivalent(Demand equivalent)
    {
        var held = _curve.DemandFor(EnduranceCurve.Base(_trained).FreshRepetitions(equivalent));
        return Exercise.IsLoweringOnly ? Demand.Of(held.Value * RepetitionCost.LoweringStrength) : held;
    }

    /// <summary>The demand at which just so many fresh repetitions are possible.</summary>
    public Demand DemandForRepetitions(double repetitions) => _curve.DemandFor(repetitions);

    public double FreshRepetitions(Demand demand) => _curve.FreshRepetitions(Held(demand));

    /// <summary>Where only the lowering is done, the load is held against lowering strength.</summary>
    private Demand Held(Demand demand) =>
        Exercise.IsLoweringOnly ? Demand.Of(demand.Value / RepetitionCost.LoweringStrength) : demand;

    /// <summary>The heaviest that is still given: the maximum, and a good step over it where only the lowering is done.</summary>
    public Demand MostDemand => Exercise.IsLoweringOnly ? RepetitionCost.MostLowering : Demand.Of(1);

    public double CostOfRepetition(Demand demand, RepetitionStyle style) =>
        RepetitionCost.Of(_curve, demand, style, Exercise);

    /// <summary>Whole movements one repetition is worth; a lowering alone is half of one.</summary>
    public double PathOf(RepetitionStyle style) => Exercise.IsLoweringOnly ? 0.5 : style.Path;

    /// <summary>What a second of holding still at the hard end drains.</summary>
    public double CostOfHeldSecond(Demand demand) => RepetitionCost.OfHeldSecond(_curve, demand);
}

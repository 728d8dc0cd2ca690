using System.Collections.Immutable;
using Ingegno.Core.Effort;
using Ingegno.Core.Loads;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Dosing;

/// <summary>A home prescription for one line, with the forecast it stands on.</summary>
public sealed record Dose
{
    private readonly Lazy<Bridge> _bridge;

    internal Dose(Func<Bridge> bridge) => _bridge = new(bridge);

    public required Rung Rung { get; init; }

    /// <summary>The step of the stair of measures it was found on; null where it was fixed by hand or stands in a plan.</summary>
    public MeasureStep? Step { get; init; }

    /// <summary>Planned per set, per side where one limb works; of a rest-pause the bouts.</summary>
    public required ImmutableArray<int> Repetitions { get; init; }

    /// <summary>Upper end to climb to before the load goes up; equal to the count where none was written.</summary>
    public required int TopOfRange { get; init; }

    public required RepetitionStyle Style { get; init; }

    public required SetForm Form { get; init; }

    public required Duration Rest { get; init; }

    public required ImmutableArray<ForecastSet> Forecast { get; init; }

    public required Demand Equivalent { get; init; }

    /// <summary>Effective repetitions of all sets.</summary>
    public required double Effective { get; init; }

    /// <summary>Told when it is asked for: of the many doses a search weighs, few are shown.</summary>
    public Bridge Bridge => _bridge.Value;

    /// <summary>Whole movements the client is able to do of those asked, at the home load; 1 when all.</summary>
    public required Share Feasible { get; init; }

    /// <summary>What is left open and what the measures cost, in effective repetitions: the search finds the least.</summary>
    public required double Score { get; init; }

    public Tempo Tempo => Style.Tempo;

    /// <summary>Repetitions left on the last set.</summary>
    public double Reserve => Forecast[^1].Reserve;
}

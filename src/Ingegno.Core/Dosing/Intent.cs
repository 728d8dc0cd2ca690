using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Dosing;

/// <summary>What a written line really asks of this client, wherever it is done.</summary>
public sealed record Intent
{
    public required ImmutableArray<int> Repetitions { get; init; }

    /// <summary>Width of the written range, 0 for exact counts; kept at home so that there is room to climb.</summary>
    public required int RangeWidth { get; init; }

    /// <summary>External load in the gym; both hands together.</summary>
    public required Mass Load { get; init; }

    public required Demand Demand { get; init; }

    /// <summary>On the base curve's scale, on which all exercises compare.</summary>
    public required Demand Equivalent { get; init; }

    /// <summary>Effective repetitions of all sets together, per side.</summary>
    public required double Effective { get; init; }

    /// <summary>Repetitions left on each set.</summary>
    public required ImmutableArray<double> Reserves { get; init; }

    /// <summary>Repetitions left on the last set.</summary>
    public double Reserve => Reserves[^1];

    /// <summary>Repetitions the last set could go to.</summary>
    public required double LastToFailure { get; init; }

    /// <summary>Few repetitions for speed: what stands in for them is never slow.</summary>
    public bool IsFast { get; init; }

    /// <summary>As many as possible: it may go to the cap of test sets.</summary>
    public bool IsTestSet { get; init; }

    public required Tempo Tempo { get; init; }

    public required Duration Rest { get; init; }

    /// <summary>Sets of the partners of a superset; empty for a line that stands alone.</summary>
    public ImmutableArray<PartnerSet> Partners { get; init; } = [];

    /// <summary>Never more than this, whatever is at hand: skill, joint care and activation. Null: no cap.</summary>
    public Demand? Cap { get; init; }

    /// <summary>What the gym sets come to, per side.</summary>
    public required SetTotals Totals { get; init; }

    /// <summary>The maximum it was read with.</summary>
    public required StrengthAnchor Anchor { get; init; }

    /// <summary>What had to be assumed or does not add up, in words.</summary>
    public ImmutableArray<string> Notes { get; init; } = [];
}

using System.Collections.Immutable;
using System.Text.Json.Serialization;
using Ingegno.Core.Dosing;
using Ingegno.Core.Programmes;
using Ingegno.Core.Schools;

namespace Ingegno.Core.Blocks;

/// <summary>How the sessions of a plan fall on days.</summary>
public enum Rhythm
{
    /// <summary>On the client's weekdays, in order. Fixed days beat whim.</summary>
    OnTheirDays,

    /// <summary>Every second day, the sessions taking turns: four in one week, three in the next.</summary>
    EverySecondDay,
}

/// <summary>Some weeks with one purpose.</summary>
/// <param name="Name">As the coach calls it: "Settle in".</param>
/// <param name="Purpose">Decides what is raised first from week to week.</param>
/// <param name="Weeks">With the easier one.</param>
/// <param name="EndsEasier">The last week has fewer sets at the same loads.</param>
public sealed record Phase(string Name, Purpose Purpose, int Weeks, bool EndsEasier = true);

/// <summary>Weeks over which a plan is trained. Without phases it is open-ended and looked at again after so many weeks.</summary>
public sealed record Block
{
    /// <summary>First day of the first week; null until it is known.</summary>
    public DateOnly? Starts { get; init; }

    public ImmutableArray<Phase> Phases { get; init; } = [];

    /// <summary>Of an open-ended plan: weeks between two looks at it.</summary>
    public int ReviewEvery { get; init; } = 4;

    /// <summary>New exercises and slow lowerings make people sore first.</summary>
    public bool FirstWeekLighter { get; init; } = true;

    /// <summary>Weeks made easier beyond those that end a phase, each by a day in it.</summary>
    public ImmutableArray<DateOnly> Easier { get; init; } = [];

    public Rhythm Rhythm { get; init; }

    /// <summary>A school of progress this block follows against the house rule; null follows the house.</summary>
    public Teaching? Progress { get; init; }

    [JsonIgnore]
    public bool IsOpenEnded => Phases.IsEmpty;

    /// <summary>The house rules with the block's way of going on; what was agreed with the client stands above both.</summary>
    public HouseRules Over(HouseRules rules) =>
        Progress is { } progress ? rules with { Teachings = School.Over(rules.Teachings, [progress]) } : rules;
}

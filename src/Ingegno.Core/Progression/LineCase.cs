using System.Collections.Frozen;
using System.Collections.Immutable;
using Ingegno.Core.Blocks;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Loads;
using Ingegno.Core.Programmes;
using Ingegno.Core.Safety;

namespace Ingegno.Core.Progression;

/// <summary>All that next week's step on one line is decided from.</summary>
/// <param name="Implement">What the line is loaded with, or could be; null where nothing can be added.</param>
/// <param name="Anchor">The maximum on this exercise, for the shape of the forecast; null where there is no model.</param>
/// <param name="Logs">Sets of this line at this prescription, any order; a day is a session.</param>
public sealed record LineCase(
    Prescription Line, Exercise Exercise, HeldImplement? Implement, ClientProfile Client, StrengthAnchor? Anchor, HouseRules Rules, IReadOnlyList<SetLog> Logs)
{
    /// <summary>What sets were asked as, by their ids; a set is judged by that, not by what the line asks now.</summary>
    public IReadOnlyDictionary<Guid, Prescription> AskedAs { get; init; } = FrozenDictionary<Guid, Prescription>.Empty;

    /// <summary>The line as it was when anything but repetitions was last raised; counts climb from it. Null in plans that did not keep it.</summary>
    public Prescription? Start { get; init; }

    /// <summary>The next exercise of the ladder, possible here or not; null at its top.</summary>
    public Exercise? Harder { get; init; }

    /// <summary>Harder variations possible here, worked out whole, nearest first: another height of the same exercise, then its neighbours.</summary>
    public ImmutableArray<Prescription> Variations { get; init; } = [];

    /// <summary>Reports of pain not cleared yet.</summary>
    public PainHold? Pain { get; init; }

    /// <summary>Pain reported on this exercise up to that day has been cleared.</summary>
    public DateOnly? ClearedThrough { get; init; }

    /// <summary>Estimated maximum after each exposure of the exercise, oldest first.</summary>
    public ImmutableArray<double> Estimates { get; init; } = [];

    /// <summary>How sore the muscles were before the next day for them, 0 to 3; null when nobody asked.</summary>
    public int? Sore { get; init; }

    /// <summary>How much of the week of the last session was to be done.</summary>
    public WeekKind Week { get; init; }

    /// <summary>Sets the last session was to have.</summary>
    internal int SetsAsked(SetLog[] last) => AskedOf(last) is var asked ? BlockCalendar.Sets(asked.Counts.Length - asked.OptionalSets, Week, Rules) : 0;

    /// <summary>What a session was asked as; the line itself where nobody kept it.</summary>
    internal Prescription AskedOf(SetLog[] session) =>
        session.Select(s => AskedAs.GetValueOrDefault(s.Id)).FirstOrDefault(p => p is not null && p.Exercise == Line.Exercise && !p.Counts.IsEmpty) ?? Line;

    /// <summary>
    /// The last session was the first of this exercise, and its last set as many as leave what is meant (<see cref="LimitAsk.Calibrates"/>): it tells what
    /// is possible, not what every set is to be.
    /// </summary>
    public bool FoundItsNumbers { get; init; }

    /// <summary>Days its exercise was done on, on whatever line and with whatever load; 0 where nobody counted.</summary>
    public int Exposures { get; init; }

    /// <summary>A session before the last, at whatever load, was logged with sets missing: that was asked about then.</summary>
    public bool LeftSetsOutBefore { get; init; }

    /// <summary>The day it is decided on; null where days off are not to count.</summary>
    public DateOnly? Today { get; init; }

    /// <summary>Sets of the newest session where they were done with another load than the line's, in order; else empty.</summary>
    public ImmutableArray<SetLog> Otherwise { get; init; } = [];

    /// <summary>Done back to back with it; none for a line that stands alone.</summary>
    public ImmutableArray<PartnerSet> Partners { get; init; } = [];

    /// <summary>What a prescription of this line would allow next time, set by set; empty where nothing is forecast.</summary>
    internal ImmutableArray<RepetitionRange> Foresee(Prescription line) => Foreseen.Of(line, Exercise, Client, Anchor, Partners);

    /// <summary>Whether every set of it is forecast to reach its count with so many left over; false where nothing is forecast.</summary>
    internal bool Leaves(double reserve, Prescription line) => Foreseen.Leaves(reserve, line, Exercise, Client, Anchor, Partners);

    /// <summary>Decides what is raised first.</summary>
    public Purpose Purpose { get; init; } = Purpose.Growth;
}

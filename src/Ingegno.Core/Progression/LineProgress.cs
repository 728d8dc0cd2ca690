using System.Collections.Immutable;
using Ingegno.Core.Effort;
using Ingegno.Core.Programmes;

namespace Ingegno.Core.Progression;

/// <summary>A line of the plan with what was logged on it and what comes next.</summary>
/// <param name="Line">Its name in the plan; a line rebuilt for several places has one at each.</param>
/// <param name="Place">Where it is done so, where that is not the place in use; null there.</param>
/// <param name="Logs">Sets of this line's exercise, newest day first.</param>
/// <param name="Step">Null when nothing was logged at this prescription; a stop, logged or not, when it may not be trained as planned.</param>
/// <param name="Forecast">Repetitions to failure of each set next time, with their range; empty where none is forecast.</param>
/// <param name="Trend">Whether its smoothed estimate still rises.</param>
public sealed record LineProgress(
    int Line, string Tag, string Session, Prescription Prescription, ImmutableArray<SetLog> Logs, Step? Step, Trend Trend,
    ImmutableArray<RepetitionRange> Forecast, LinePlace? Place = null)
{
    /// <summary>How often the line was changed: a step taken names what it was read at.</summary>
    public int Version { get; init; }

    /// <summary>Days whose sets were asked otherwise than the line asks now, with what they were asked; newest first.</summary>
    public ImmutableArray<AskedOn> AskedOtherwise { get; init; } = [];

    /// <summary>What was done under this line's name, or that of the line it follows, with other exercises; newest first.</summary>
    public ImmutableArray<FormerExercise> Former { get; init; } = [];

    /// <summary>Names the line among all places: "3", or "3@" and the id of the place.</summary>
    public string Key => Place is null ? $"{Line}" : $"{Line}@{Place.Id}";
}

/// <summary>Another place of the client.</summary>
public sealed record LinePlace(string Id, string Name);

/// <summary>Sets of a line that the plan has no more: trained all the same.</summary>
/// <param name="Logs">Newest day first.</param>
public sealed record PastLine(int Line, string Exercise, string Name, ImmutableArray<SetLog> Logs);

/// <summary>What a line asked on a day.</summary>
public sealed record AskedOn(DateOnly On, string Words);

/// <summary>An exercise a line was before, with when it was done and its best set.</summary>
public sealed record FormerExercise(string Exercise, string Name, DateOnly First, DateOnly Last, int Sets, string Best);

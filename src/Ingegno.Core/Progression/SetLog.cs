using Ingegno.Core.Quantities;

namespace Ingegno.Core.Progression;

/// <summary>One set as done.</summary>
/// <param name="Id">Made where it was logged, so that sending it twice is harmless.</param>
/// <param name="Line">Line of the plan it belongs to.</param>
/// <param name="Exercise">Catalogue id of what was done.</param>
/// <param name="SetNumber">From 1.</param>
/// <param name="Load">External load; a pair counts both pieces.</param>
/// <param name="Repetitions">Done, per side where one limb works; seconds for held work.</param>
/// <param name="Reserve">Repetitions that were left; null when nobody said.</param>
/// <param name="Pain">0 to 10.</param>
/// <param name="Finished">Repetitions of the easier variation the set was finished on; counted apart, never among the whole ones.</param>
public sealed record SetLog(
    Guid Id,
    int Line,
    string Exercise,
    DateOnly On,
    int SetNumber,
    Mass Load,
    int Repetitions,
    double? Reserve = null,
    int Pain = 0,
    int Finished = 0);

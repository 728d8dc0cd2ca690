using Ingegno.Core.Programmes;

namespace Ingegno.Core.Progression;

/// <summary>A set as done, with what it was asked as: heights, tempo and rest stand there.</summary>
public sealed record TrainedSet(SetLog Set, Prescription As);

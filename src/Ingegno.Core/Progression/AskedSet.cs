using Ingegno.Core.Programmes;

namespace Ingegno.Core.Progression;

/// <summary>A set as done, with what it was asked as; null in logs older than that was kept. In contrast, a <see cref="TrainedSet"/> always has one.</summary>
public sealed record AskedSet(SetLog Set, Prescription? As);

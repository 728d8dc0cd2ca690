using System.Collections.Immutable;
using System.Text.Json.Serialization;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Homes;

/// <summary>A guided step of a client's own check, and whether it held.</summary>
public sealed record CheckedStep(string Step, bool Held);

/// <summary>
/// What a client found when pulling, pushing or sitting on a fixture with rising force. It passes nothing: the coach does.
/// </summary>
/// <param name="Fixture">Id within the home.</param>
/// <param name="Force">The most it was tried with, as the client reckons; null when nobody measured.</param>
public sealed record FixtureReport(string Fixture, DateOnly On, ImmutableArray<CheckedStep> Steps, Mass? Force = null, string Remark = "")
{
    /// <summary>Every step held.</summary>
    [JsonIgnore]
    public bool AllHeld => Steps.Length > 0 && Steps.All(s => s.Held);
}

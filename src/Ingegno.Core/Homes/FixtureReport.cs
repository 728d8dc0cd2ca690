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
    private const int MostSteps = 10, LongestText = 500;

    /// <summary>Every step held.</summary>
    [JsonIgnore]
    public bool AllHeld => Steps.Length > 0 && Steps.All(s => s.Held);

    /// <summary>What in it cannot be kept; null where all can.</summary>
    [JsonIgnore]
    public InputProblem? Problem =>
        Steps.Length is 0 or > MostSteps ? new("steps", $"Tick each step: a check has 1 to {MostSteps}.")
        : Steps.Any(s => s.Step.Length > LongestText) ? new("steps", $"Keep a step under {LongestText} letters.")
        : Remark.Length > LongestText ? new("remark", $"Keep the remark under {LongestText} letters.")
        : null;
}

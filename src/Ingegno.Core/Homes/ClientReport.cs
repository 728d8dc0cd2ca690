namespace Ingegno.Core.Homes;

/// <summary>A client's own check of a fixture, waiting for the coach or judged.</summary>
/// <param name="Place">Id of the place.</param>
public sealed record ClientReport(string Id, string Place, FixtureReport Report, bool HasPhoto, bool Judged);

namespace Ingegno.Core.Homes;

/// <summary>A place a client trains in.</summary>
/// <param name="Id">Names it in plans and links.</param>
public sealed record ClientPlace(string Id, Home Home);

namespace Ingegno.Core.Effort;

/// <summary>How one figure came about, for opening it on the screen.</summary>
/// <param name="What">The figure by name: "Cost of a repetition".</param>
/// <param name="Value">With its unit.</param>
/// <param name="Formula">With the inputs put in.</param>
/// <param name="Source">Where the law or the default comes from.</param>
public sealed record Explained(string What, string Value, string Formula, string Source);

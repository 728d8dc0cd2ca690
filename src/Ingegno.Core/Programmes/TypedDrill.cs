namespace Ingegno.Core.Programmes;

/// <summary>A warm-up, mobility or cool-down item a coach typed among the lines: given with the warm-up or the cool-down as written.</summary>
/// <param name="Drill">Catalogue id.</param>
/// <param name="Line">As read; it names no exercise.</param>
/// <param name="Ends">It stands behind the exercises of its session.</param>
public sealed record TypedDrill(string Drill, WrittenLine Line, bool Ends);

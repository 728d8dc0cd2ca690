namespace Ingegno.Formats.ProgrammeText;

/// <summary>A stretch of the line: what was read from it, or nothing.</summary>
/// <param name="First">Of its tokens; <paramref name="End"/> is the first behind them.</param>
internal sealed record Stretch(int First, int End, LinePart[] Parts)
{
    internal bool IsLoose => Parts.Length == 0;
}

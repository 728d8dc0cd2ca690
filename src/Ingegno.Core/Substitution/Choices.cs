using Ingegno.Core.Programmes;

namespace Ingegno.Core.Substitution;

/// <summary>Finds the choice that belongs to a line of a programme: lines move when a text is edited, and choices follow them.</summary>
public sealed class Choices(WrittenProgramme programme)
{
    private readonly HashSet<(int Number, string Text)> _typed = [.. programme.Sessions.SelectMany(s => s.Lines).Select(l => (l.Number, l.Text))];

    /// <summary>
    /// The same text on the same line, else the same text where the choice's own line is gone; null when the line was rewritten. Of two lines
    /// typed alike each keeps its own.
    /// </summary>
    public LineChoice? For(WrittenLine line, IReadOnlyList<LineChoice> choices) =>
        choices.LastOrDefault(c => c.Line == line.Number && c.Text == line.Text)
        ?? choices.LastOrDefault(c => c.Text == line.Text && !_typed.Contains((c.Line, c.Text)));
}

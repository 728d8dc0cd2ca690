using Ingegno.Core.Programmes;

namespace Ingegno.Core.Substitution;

/// <summary>Finds the choice that belongs to a line.</summary>
internal static class Choices
{
    /// <summary>The same text on the same line, else the same text anywhere; null when the line was rewritten.</summary>
    internal static LineChoice? For(WrittenLine line, IReadOnlyList<LineChoice> choices) =>
        choices.LastOrDefault(c => c.Line == line.Number && c.Text == line.Text)
        ?? choices.LastOrDefault(c => c.Text == line.Text);
}

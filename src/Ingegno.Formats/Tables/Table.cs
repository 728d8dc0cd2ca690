using System.Collections.Immutable;

namespace Ingegno.Formats.Tables;

/// <summary>A sheet of a file as text, row by row as it stands; short rows are filled up with empty cells.</summary>
/// <param name="Name">Of the sheet; empty for a text file.</param>
public sealed record Table(string Name, ImmutableArray<ImmutableArray<string>> Rows)
{
    public int Columns => Rows.IsEmpty ? 0 : Rows[0].Length;

    /// <summary>Rows without a cell at the end of a file say nothing.</summary>
    internal static Table Of(string name, List<List<string>> rows)
    {
        while (rows.Count > 0 && rows[^1].All(string.IsNullOrWhiteSpace))
        {
            rows.RemoveAt(rows.Count - 1);
        }

        int columns = rows.Count == 0 ? 0 : rows.Max(r => r.FindLastIndex(c => !string.IsNullOrWhiteSpace(c)) + 1);
        return new(name, [.. rows.Select(r => (ImmutableArray<string>)[.. Enumerable.Range(0, columns).Select(i => i < r.Count ? r[i].Trim() : "")])]);
    }
}

/// <summary>A file that cannot be read, with what to do, for the coach.</summary>
public sealed class UnreadableFileException(string message, Exception? inner = null) : Exception(message, inner);

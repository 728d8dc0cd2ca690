using System.Globalization;

namespace Ingegno.Core.Tests;

/// <summary>Published values, one file a source; the source stands in each file's first line.</summary>
internal static class Published
{
    /// <summary>Rows by column name, comment and header left out.</summary>
    internal static IEnumerable<IReadOnlyDictionary<string, string>> Rows(string file)
    {
        string[] lines = [.. File.ReadLines(Path.Combine(AppContext.BaseDirectory, "Reference", file)).Where(l => !l.StartsWith('#'))];
        string[] names = lines[0].Split(',');
        return lines.Skip(1).Select(line => names.Zip(line.Split(',')).ToDictionary(p => p.First, p => p.Second));
    }

    internal static double Number(this IReadOnlyDictionary<string, string> row, string column) =>
        double.Parse(row[column], CultureInfo.InvariantCulture);
}

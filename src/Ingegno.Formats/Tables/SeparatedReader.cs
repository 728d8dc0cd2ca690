using System.Globalization;
using System.Text;
using CsvHelper;
using CsvHelper.Configuration;

namespace Ingegno.Formats.Tables;

/// <summary>Text with separators (RFC 4180), as spreadsheets of any country write it: comma, semicolon, tab or bar, UTF-8, UTF-16 or Windows-1252.</summary>
internal static class SeparatedReader
{
    private static readonly string[] Separators = ["\t", ";", ",", "|"];

    private static readonly Encoding Strict = new UTF8Encoding(encoderShouldEmitUTF8Identifier: false, throwOnInvalidBytes: true);

    internal static Table Read(byte[] file)
    {
        string text = Decoded(file);
        if (text.Contains('\0', StringComparison.Ordinal))
        {
            throw new UnreadableFileException("This is no text file. Save the sheet as .csv or .xlsx and try again.");
        }

        using var reader = new CsvReader(new StringReader(text), new CsvConfiguration(CultureInfo.InvariantCulture)
        {
            HasHeaderRecord = false,
            Delimiter = SeparatorOf(text),
            // A quote inside a cell, as in 5" band, is no reason to lose the row.
            BadDataFound = null,
            IgnoreBlankLines = false,
        });
        var rows = new List<List<string>>();
        while (Next(reader, rows.Count + 1))
        {
            if (rows.Count == TableFile.MostRows)
            {
                throw TableFile.TooManyRows();
            }

            string[] cells = reader.Parser.Record ?? [];
            if (cells.Length > TableFile.MostColumns && cells.Skip(TableFile.MostColumns).Any(c => c.Length > 0))
            {
                throw TableFile.TooManyColumns(rows.Count + 1);
            }

            rows.Add([.. cells.Take(TableFile.MostColumns).Select((c, i) => TableFile.Cell(c, rows.Count + 1, i + 1))]);
        }

        return Table.Of("", rows);
    }

    private static bool Next(CsvReader reader, int row)
    {
        try
        {
            return reader.Read();
        }
        catch (CsvHelperException wrong)
        {
            throw new UnreadableFileException($"Row {row} cannot be read: a quotation mark is opened and not closed, or the row is too long.", wrong);
        }
    }

    private static string Decoded(byte[] file)
    {
        if (file.AsSpan().StartsWith(Encoding.Unicode.Preamble) || file.AsSpan().StartsWith(Encoding.BigEndianUnicode.Preamble))
        {
            return (file[0] == 0xFF ? Encoding.Unicode : Encoding.BigEndianUnicode).GetString(file, 2, file.Length - 2);
        }

        int from = file.AsSpan().StartsWith(Encoding.UTF8.Preamble) ? 3 : 0;
        try
        {
            return Strict.GetString(file, from, file.Length - from);
        }
        catch (DecoderFallbackException)
        {
            return CodePagesEncodingProvider.Instance.GetEncoding(1252)!.GetString(file, from, file.Length - from);
        }
    }

    /// <summary>The separator that splits most rows into the same number of cells, two at least; a comma where none does.</summary>
    private static string SeparatorOf(string text)
    {
        string[] lines = [.. text.ReplaceLineEndings("\n").Split('\n').Where(l => l.Length > 0).Take(50)];
        return Separators
            .Select(s => (Separator: s, Rows: lines.Select(l => Outside(l, s[0])).Where(n => n > 0).GroupBy(n => n).Select(g => g.Count() * (1 + (0.01 * g.Key))).DefaultIfEmpty(0).Max()))
            .MaxBy(s => s.Rows) is { Rows: > 0 } best ? best.Separator : ",";
    }

    /// <summary>How often it stands outside quotation marks.</summary>
    private static int Outside(string line, char separator)
    {
        bool quoted = false;
        int count = 0;
        foreach (char letter in line)
        {
            quoted = letter == '"' ? !quoted : quoted;
            count += letter == separator && !quoted ? 1 : 0;
        }

        return count;
    }
}

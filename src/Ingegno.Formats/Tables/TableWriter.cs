using System.Globalization;
using System.Text;
using CsvHelper;
using CsvHelper.Configuration;
using DocumentFormat.OpenXml;
using DocumentFormat.OpenXml.Packaging;
using DocumentFormat.OpenXml.Spreadsheet;

namespace Ingegno.Formats.Tables;

/// <summary>
/// Writes tables as CSV (RFC 4180, UTF-8 with a byte order mark, so that spreadsheets take the letters right) and as XLSX (ECMA-376). Numbers stay
/// numbers; a text that would start a formula gets an apostrophe before it.
/// </summary>
public static class TableWriter
{
    private const int LongestSheetName = 31;

    private const double WidthALetter = 1.1, Widest = 60;

    public static byte[] ToCsv(Table table)
    {
        using var stream = new MemoryStream();
        using (var writer = new CsvWriter(new StreamWriter(stream, new UTF8Encoding(encoderShouldEmitUTF8Identifier: true)), new CsvConfiguration(CultureInfo.InvariantCulture) { NewLine = "\r\n" }))
        {
            foreach (var row in table.Rows)
            {
                foreach (string cell in row)
                {
                    writer.WriteField(Harmless(cell));
                }

                writer.NextRecord();
            }
        }

        return stream.ToArray();
    }

    /// <summary>The first row of each sheet is its header.</summary>
    public static byte[] ToWorkbook(IReadOnlyList<Table> sheets)
    {
        using var stream = new MemoryStream();
        using (var book = SpreadsheetDocument.Create(stream, SpreadsheetDocumentType.Workbook))
        {
            var parts = book.AddWorkbookPart();
            parts.AddNewPart<WorkbookStylesPart>().Stylesheet = Styles();
            var listed = new Sheets();
            var names = new HashSet<string>(StringComparer.OrdinalIgnoreCase);
            for (int i = 0; i < sheets.Count; i++)
            {
                var part = parts.AddNewPart<WorksheetPart>();
                part.Worksheet = new Worksheet(Frozen(), Widths(sheets[i]), Data(sheets[i]));
                listed.Append(new Sheet { Id = parts.GetIdOfPart(part), SheetId = (uint)i + 1, Name = NameOf(sheets[i].Name, i, names) });
            }

            parts.Workbook = new Workbook(listed);
        }

        return stream.ToArray();
    }

    private static string Harmless(string cell) =>
        cell.Length > 0 && cell[0] is '=' or '+' or '-' or '@' or '\t' or '\r' && Number(cell) is null ? "'" + cell : cell;

    private static double? Number(string cell) =>
        double.TryParse(cell, NumberStyles.AllowLeadingSign | NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out double number) && double.IsFinite(number) ? number : null;

    /// <summary>The header stays in sight.</summary>
    private static SheetViews Frozen() => new(new SheetView(
        new Pane { VerticalSplit = 1, TopLeftCell = "A2", ActivePane = PaneValues.BottomLeft, State = PaneStateValues.Frozen })
    { WorkbookViewId = 0 });

    private static Columns Widths(Table table) => new(Enumerable.Range(0, Math.Max(1, table.Columns)).Select(c => new Column
    {
        Min = (uint)c + 1,
        Max = (uint)c + 1,
        CustomWidth = true,
        Width = Math.Min(Widest, 3 + (WidthALetter * table.Rows.Select(r => c < r.Length ? r[c].Split('\n').Max(l => l.Length) : 0).DefaultIfEmpty(0).Max())),
    }));

    private static SheetData Data(Table table) => new(table.Rows.Select((row, i) => new Row(row.Select(cell => CellOf(cell, header: i == 0))) { RowIndex = (uint)i + 1 }));

    private static Cell CellOf(string cell, bool header) => !header && Number(cell) is { } number
        ? new Cell { DataType = CellValues.Number, CellValue = new CellValue(number), StyleIndex = 0 }
        : new Cell
        {
            DataType = CellValues.InlineString,
            InlineString = new InlineString(new Text(Printable(Harmless(cell))) { Space = SpaceProcessingModeValues.Preserve }),
            StyleIndex = header ? 1u : 2u,
        };

    /// <summary>Control characters cannot stand in XML.</summary>
    private static string Printable(string cell) => string.Concat(cell.Where(c => c is '\n' or '\t' || !char.IsControl(c)).Where(System.Xml.XmlConvert.IsXmlChar));

    /// <summary>Plain, the header in bold, and text that wraps.</summary>
    private static Stylesheet Styles() => new(
        new Fonts(new Font(), new Font(new Bold())),
        new Fills(new Fill(new PatternFill { PatternType = PatternValues.None }), new Fill(new PatternFill { PatternType = PatternValues.Gray125 })),
        new Borders(new Border()),
        new CellStyleFormats(new CellFormat()),
        new CellFormats(
            new CellFormat(),
            new CellFormat { FontId = 1, ApplyFont = true },
            new CellFormat(new Alignment { WrapText = true, Vertical = VerticalAlignmentValues.Top }) { ApplyAlignment = true }));

    /// <summary>Sheet names are short, without the characters a formula would read, and each other's alike only once.</summary>
    private static string NameOf(string wanted, int place, HashSet<string> names)
    {
        string name = string.Concat(wanted.Select(c => c is '[' or ']' or ':' or '*' or '?' or '/' or '\\' || char.IsControl(c) ? ' ' : c)).Trim('\'', ' ');
        name = name.Length == 0 ? $"Sheet {place + 1}" : name.Length > LongestSheetName ? name[..LongestSheetName].Trim() : name;
        for (int i = 2; !names.Add(name); i++)
        {
            string end = $" {i}";
            name = name[..Math.Min(name.Length, LongestSheetName - end.Length)] + end;
        }

        return name;
    }
}

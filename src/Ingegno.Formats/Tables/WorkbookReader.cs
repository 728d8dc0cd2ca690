using System.Collections.Immutable;
using System.Globalization;
using System.IO.Compression;
using DocumentFormat.OpenXml.Packaging;
using DocumentFormat.OpenXml.Spreadsheet;

namespace Ingegno.Formats.Tables;

/// <summary>Reads the values of an XLSX workbook (ECMA-376): what its cells show, formulas by the value they were saved with. Macros are not looked at.</summary>
internal static class WorkbookReader
{
    /// <summary>A workbook may unpack to so many times its bound; more is a bomb.</summary>
    private const long MostUnpacked = 60_000_000;

    internal static ImmutableArray<Table> Read(byte[] file)
    {
        try
        {
            using (var archive = new ZipArchive(new MemoryStream(file), ZipArchiveMode.Read))
            {
                if (archive.Entries.Sum(e => e.Length) > MostUnpacked)
                {
                    throw new UnreadableFileException("The workbook unpacks to far more than a programme or a log holds. Save the sheet you need as a file of its own.");
                }
            }

            using var book = SpreadsheetDocument.Open(new MemoryStream(file), isEditable: false);
            var parts = book.WorkbookPart ?? throw new UnreadableFileException("The workbook holds no sheets.");
            string[] shared = [.. parts.SharedStringTablePart?.SharedStringTable?.Elements<SharedStringItem>().Select(s => s.InnerText) ?? []];
            return
            [
                .. (parts.Workbook?.Sheets?.Elements<Sheet>() ?? []).Take(TableFile.MostSheets)
                    .Where(s => s.Id?.Value is { } id && parts.TryGetPartById(id, out var part) && part is WorksheetPart)
                    .Select(s => Sheet(s.Name?.Value ?? "", ((WorksheetPart)parts.GetPartById(s.Id!.Value!)).Worksheet!, shared)),
            ];
        }
        catch (Exception damaged) when (damaged is InvalidDataException or OpenXmlPackageException or System.Xml.XmlException or FormatException or IOException or ArgumentException or NotSupportedException or InvalidOperationException)
        {
            throw new UnreadableFileException("The workbook is damaged or locked with a password. Open it, save it anew as .xlsx and try again.", damaged);
        }
    }

    private static Table Sheet(string name, Worksheet sheet, string[] shared)
    {
        var rows = new List<List<string>>();
        foreach (var row in sheet.Descendants<Row>())
        {
            int number = (int)(row.RowIndex?.Value ?? (uint)rows.Count + 1);
            if (number > TableFile.MostRows)
            {
                throw TableFile.TooManyRows();
            }

            while (rows.Count < number)
            {
                rows.Add([]);
            }

            // A cell that does not say where it stands stands behind the one before, be that empty.
            int column = -1;
            foreach (var cell in row.Elements<Cell>())
            {
                string text = TextOf(cell, shared);
                column = ColumnOf(cell.CellReference?.Value) ?? column + 1;
                if (text.Length == 0)
                {
                    continue;
                }

                if (column >= TableFile.MostColumns)
                {
                    throw TableFile.TooManyColumns(number);
                }

                while (rows[number - 1].Count <= column)
                {
                    rows[number - 1].Add("");
                }

                rows[number - 1][column] = TableFile.Cell(text, number, column + 1);
            }
        }

        return Table.Of(name, rows);
    }

    private static string TextOf(Cell cell, string[] shared)
    {
        string value = cell.CellValue?.Text ?? "";
        var type = cell.DataType?.Value;
        return type == CellValues.SharedString
                ? int.TryParse(value, NumberStyles.None, CultureInfo.InvariantCulture, out int at) && at < shared.Length ? shared[at] : ""
            : type == CellValues.InlineString ? cell.InlineString?.InnerText ?? ""
            : type == CellValues.Error ? ""
            : type == null && double.TryParse(value, NumberStyles.Float, CultureInfo.InvariantCulture, out double number) ? number.ToString("0.####", CultureInfo.InvariantCulture)
            : value;
    }

    /// <summary>"BC12" is column 54, counted from 0.</summary>
    private static int? ColumnOf(string? reference)
    {
        int column = 0;
        foreach (char letter in (reference ?? "").TakeWhile(char.IsAsciiLetterUpper).Take(4))
        {
            column = (column * 26) + letter - 'A' + 1;
        }

        return column == 0 ? null : column - 1;
    }
}

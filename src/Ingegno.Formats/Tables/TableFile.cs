using System.Collections.Immutable;

namespace Ingegno.Formats.Tables;

/// <summary>Reads the sheets of a CSV or XLSX file, within bounds of size.</summary>
public static class TableFile
{
    /// <summary>Bytes of a file, rows and columns of a sheet, letters of a cell and sheets of a file that are read.</summary>
    public const int MostBytes = 5_000_000, MostRows = 5_000, MostColumns = 60, MostLetters = 2_000, MostSheets = 24;

    /// <summary>The first bytes of every ZIP archive, which an XLSX file is.</summary>
    private static ReadOnlySpan<byte> ZipMark => "PK"u8;

    /// <summary>The first bytes of the binary workbooks from before XLSX.</summary>
    private static ReadOnlySpan<byte> OldWorkbookMark => [0xD0, 0xCF, 0x11, 0xE0];

    /// <exception cref="UnreadableFileException">Too big, damaged, or neither CSV nor XLSX.</exception>
    public static ImmutableArray<Table> Read(byte[] file)
    {
        if (file.Length > MostBytes)
        {
            throw new UnreadableFileException($"The file has {file.Length / 1_000_000.0:0.#} MB. Save the part you need as a file of its own, {MostBytes / 1_000_000} MB at most.");
        }

        if (file.AsSpan().StartsWith(OldWorkbookMark))
        {
            throw new UnreadableFileException("This is a workbook in an old binary format. Save it as .xlsx or .csv and try again.");
        }

        ImmutableArray<Table> tables = file.AsSpan().StartsWith(ZipMark) ? WorkbookReader.Read(file) : [SeparatedReader.Read(file)];
        tables = [.. tables.Where(t => !t.Rows.IsEmpty)];
        return tables.IsEmpty ? throw new UnreadableFileException("The file holds no rows.") : tables;
    }

    internal static string Cell(string text, int row, int column) => text.Length <= MostLetters
        ? text
        : throw new UnreadableFileException($"Row {row}, column {column} has {text.Length:N0} letters; {MostLetters:N0} at most.");

    internal static UnreadableFileException TooManyRows() => new($"A sheet has more than {MostRows:N0} rows. Save the part you need as a file of its own.");

    internal static UnreadableFileException TooManyColumns(int row) => new($"Row {row} has more than {MostColumns} columns. Save the part you need as a file of its own.");
}

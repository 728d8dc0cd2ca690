using Ingegno.Core.Sheets;
using PdfSharp;
using PdfSharp.Drawing;
using PdfSharp.Pdf;
using PdfSharp.UniversalAccessibility;

namespace Ingegno.Formats.Printing;

/// <summary>Paper a sheet is laid out for.</summary>
public enum Paper
{
    A4,
    Letter,
}

/// <summary>The sheet as a PDF: a page a session where it fits, fonts embedded, tagged for screen readers.</summary>
public static class SheetPdf
{
    /// <summary>Lines that share a page; more are spread over two (a page is read at arm's length).</summary>
    private const int MostOnAPage = 6;

    /// <summary>Sizes tried, largest first, before a session takes another page.</summary>
    private static readonly double[] Sizes = [1, 0.93, 0.86, 0.8];

    /// <param name="address">What the code opens; null for a sheet without one.</param>
    /// <exception cref="ArgumentException">The sheet has no session.</exception>
    public static byte[] Write(Sheet sheet, Paper paper, string? address)
    {
        if (sheet.Sessions.IsEmpty)
        {
            throw new ArgumentException("A sheet has at least one session.");
        }

        SheetFonts.Register();
        var document = new PdfDocument();
        document.Info.Title = $"{sheet.Client}: training at home";
        document.Info.Author = sheet.Coach;
        var tags = UAManager.ForDocument(document);
        tags.SetDocumentLanguage("en-GB");
        var code = address is null ? null : QrSquares.Of(address);
        foreach (var session in sheet.Sessions)
        {
            foreach (var (lines, size, part) in Spread(sheet.Caution, session, paper))
            {
                var page = document.AddPage();
                page.Size = paper == Paper.A4 ? PageSize.A4 : PageSize.Letter;
                using var graphics = XGraphics.FromPdfPage(page);
                new SheetPage(graphics, tags.StructureBuilder, page.Width.Point, page.Height.Point, size).Draw(session, lines, part, sheet.Caution, code);
            }
        }

        using var bytes = new MemoryStream();
        document.Save(bytes, closeStream: false);
        return bytes.ToArray();
    }

    /// <summary>Lines by page, with the size they are set in; the part is told where there is more than one.</summary>
    private static IEnumerable<(SheetLine[] Lines, double Size, string Part)> Spread(string caution, SheetSession session, Paper paper)
    {
        var (width, height) = paper == Paper.A4 ? (595.0, 842.0) : (612.0, 792.0);
        using var measuring = XGraphics.CreateMeasureContext(new XSize(width, height), XGraphicsUnit.Point, XPageDirection.Downwards);
        SheetLine[] all = [.. session.Lines];
        for (int pages = Math.Max(1, (int)Math.Ceiling(all.Length / (double)MostOnAPage)); ; pages++)
        {
            SheetLine[][] parts = Parts(all, pages);
            foreach (double size in Sizes)
            {
                if (parts.All(p => SheetPage.Fits(measuring, caution, session, p, width, height, size)) || (size == Sizes[^1] && pages >= all.Length))
                {
                    return parts.Select((p, i) => (p, size, parts.Length > 1 ? $"page {i + 1} of {parts.Length}" : ""));
                }
            }
        }
    }

    /// <summary>Nearly as many on each page, lines of a superset together where that is possible.</summary>
    private static SheetLine[][] Parts(SheetLine[] all, int pages)
    {
        var parts = new List<SheetLine[]>();
        int from = 0;
        for (int page = 0; page < pages && from < all.Length; page++)
        {
            int to = from + (int)Math.Ceiling((all.Length - from) / (double)(pages - page));
            int moved = to;
            while (moved < all.Length && moved > from + 1 && Group(all[moved]) is { } group && group == Group(all[moved - 1]))
            {
                moved--;
            }

            to = moved > from ? moved : to;
            to = page == pages - 1 ? all.Length : to;
            parts.Add(all[from..to]);
            from = to;
        }

        return [.. parts];
    }

    private static char? Group(SheetLine line) => line.Tag.Length > 1 ? line.Tag[0] : null;
}

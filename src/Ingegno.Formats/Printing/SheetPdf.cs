using Ingegno.Core.Sheets;
using PdfSharp;
using PdfSharp.Drawing;
using PdfSharp.Pdf;
using PdfSharp.UniversalAccessibility;

namespace Ingegno.Formats.Printing;

/// <summary>The sheet as a PDF, laid out by <see cref="SheetLayout"/>: fonts embedded, tagged for screen readers.</summary>
public static class SheetPdf
{
    /// <param name="address">What the code opens; null for a sheet without one.</param>
    /// <exception cref="ArgumentException">The sheet has no session.</exception>
    public static byte[] Write(Sheet sheet, Paper paper, string? address)
    {
        if (sheet.Sessions.IsEmpty)
        {
            throw new ArgumentException("A sheet has at least one session.");
        }

        var laid = SheetLayout.Of(sheet, paper);
        var document = new PdfDocument();
        document.Info.Title = $"{sheet.Client}: training at home";
        document.Info.Author = sheet.Coach;
        var tags = UAManager.ForDocument(document);
        tags.SetDocumentLanguage("en-GB");
        var code = address is null ? null : QrSquares.Of(address);
        foreach (var one in laid)
        {
            var page = document.AddPage();
            page.Size = paper == Paper.A4 ? PageSize.A4 : PageSize.Letter;
            using var graphics = XGraphics.FromPdfPage(page);
            new SheetPage(graphics, tags.StructureBuilder, page.Width.Point, page.Height.Point, sheet, one).Draw(code);
        }

        using var bytes = new MemoryStream();
        document.Save(bytes, closeStream: false);
        return bytes.ToArray();
    }
}

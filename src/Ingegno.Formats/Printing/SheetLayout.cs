using System.Collections.Immutable;
using Ingegno.Core.Sheets;
using PdfSharp.Drawing;

namespace Ingegno.Formats.Printing;

/// <summary>Paper a sheet is laid out for.</summary>
public enum Paper
{
    A4,
    Letter,
}

/// <summary>A page of the sheet: some lines of a session, with its heading and its cautions.</summary>
/// <param name="Session">From 0. <paramref name="From"/> is its first line here, from 0.</param>
/// <param name="Size">Of type and boxes, 1 where there is room.</param>
/// <param name="Full">How to set up runs on, and of the cues there are as many as stand in one line, the first always.</param>
/// <param name="Part">"page 1 of 2" where the session takes more than one; else empty.</param>
public sealed record LaidPage(int Session, int From, int Count, double Size, bool Full, string Part);

/// <summary>What of a sheet stands on which page and how large, for whatever prints it: a page a session where it fits.</summary>
public static class SheetLayout
{
    /// <summary>Lines that share a page; more are spread over two (a page is read at arm's length).</summary>
    private const int MostOnAPage = 6;

    /// <summary>Tried in this order before a session takes another page: smaller, then closer. How to set up is never cut.</summary>
    private static readonly (double Size, bool Full)[] Settings = [(1, false), (0.93, false), (0.86, false), (0.86, true), (0.8, true)];

    public static ImmutableArray<LaidPage> Of(Sheet sheet, Paper paper)
    {
        SheetFonts.Register();
        var (width, height) = paper == Paper.A4 ? (595.0, 842.0) : (612.0, 792.0);
        using var measuring = XGraphics.CreateMeasureContext(new XSize(width, height), XGraphicsUnit.Point, XPageDirection.Downwards);
        return [.. sheet.Sessions.SelectMany((session, at) => Spread(session, at, p => SheetPage.Fits(measuring, sheet, p, width, height)))];
    }

    private static LaidPage[] Spread(SheetSession session, int at, Func<LaidPage, bool> fits)
    {
        for (int pages = Math.Max(1, (int)Math.Ceiling(session.Lines.Length / (double)MostOnAPage)); ; pages++)
        {
            var parts = Parts(session.Lines, pages);
            foreach (var (size, full) in Settings)
            {
                LaidPage[] laid = [.. parts.Select((p, i) => new LaidPage(at, p.From, p.Count, size, full, parts.Count > 1 ? $"page {i + 1} of {parts.Count}" : ""))];
                if (laid.All(fits) || ((size, full) == Settings[^1] && pages >= session.Lines.Length))
                {
                    return laid;
                }
            }
        }
    }

    /// <summary>Nearly as many on each page, lines of a superset together where that is possible.</summary>
    private static List<(int From, int Count)> Parts(ImmutableArray<SheetLine> all, int pages)
    {
        var parts = new List<(int, int)>();
        int from = 0;
        for (int page = 0; page < pages && from < all.Length; page++)
        {
            int to = from + (int)Math.Ceiling((all.Length - from) / (double)(pages - page));
            int moved = to;
            while (moved < all.Length && moved > from + 1 && Group(all[moved]) is { } group && group == Group(all[moved - 1]))
            {
                moved--;
            }

            to = page == pages - 1 ? all.Length : moved > from ? moved : to;
            parts.Add((from, to - from));
            from = to;
        }

        return parts.Count > 0 ? parts : [(0, 0)];
    }

    private static char? Group(SheetLine line) => line.Tag.Length > 1 ? line.Tag[0] : null;
}

using Ingegno.Core.Quantities;
using Ingegno.Core.Sheets;
using PdfSharp.Drawing;
using PdfSharp.UniversalAccessibility;

namespace Ingegno.Formats.Printing;

/// <summary>
/// One page of the sheet: who and where, what to put out, the warm-up, the exercises with their figures and boxes to write in, the cool-down and
/// the cautions once. Measures are points (1/72 inch).
/// </summary>
internal sealed class SheetPage
{
    /// <summary>What printers leave white.</summary>
    private const double Margin = 36;

    /// <summary>Columns of a line: the figure, the words, the boxes.</summary>
    private const double FigureWide = 112, BoxesWide = 122, BoxTall = 15.5, BoxGap = 3;

    private static readonly XPen Rule = new(XColor.FromGrayScale(0.6), 0.5), Heavy = new(XColors.Black, 1.2), Box = new(XColors.Black, 0.7);

    private readonly XGraphics _on;
    private readonly StructureBuilder? _tags;
    private readonly double _width;
    private readonly double _height;
    private readonly LaidPage _laid;
    private readonly string _caution;
    private readonly SheetSession _session;
    private readonly XFont _title, _name, _dose, _text, _strong, _small;
    private double _y = Margin;

    internal SheetPage(XGraphics on, StructureBuilder? tags, double width, double height, Sheet sheet, LaidPage laid)
    {
        (_on, _tags, _width, _height, _laid, _session, _caution) = (on, tags, width, height, laid, sheet.Sessions[laid.Session], sheet.Caution);
        _title = Font(20, bold: true);
        _name = Font(11.5, bold: true);
        _dose = Font(16, bold: true);
        _text = Font(9.8, least: 8.2);
        _strong = Font(9.8, bold: true, least: 8.2);
        _small = Font(8, least: 7);

        XFont Font(double points, bool bold = false, double least = 0) => new(SheetFonts.Family, Math.Max(points * laid.Size, least), bold ? XFontStyleEx.Bold : XFontStyleEx.Regular);
    }

    /// <summary>Keeps a line from the next.</summary>
    private double Gap => _laid.Full ? 3.5 : 6;

    private double Inner => _width - (2 * Margin);

    private const double WordsAt = Margin + FigureWide + 10;

    private double WordsWide => Inner - FigureWide - BoxesWide - 24;

    private IEnumerable<SheetLine> Lines => _session.Lines.Skip(_laid.From).Take(_laid.Count);

    private bool IsFirst => _laid.From == 0;

    private bool IsLast => _laid.From + _laid.Count == _session.Lines.Length;

    internal static bool Fits(XGraphics measuring, Sheet sheet, LaidPage laid, double width, double height)
    {
        var page = new SheetPage(measuring, null, width, height, sheet, laid);
        return page.Head(null, draws: false) + page.Lines.Sum(l => page.Line(l, draws: false)) + page.Foot(draws: false) <= height - (2 * Margin);
    }

    /// <param name="code">Squares of what opens the training on a phone; null for none.</param>
    internal void Draw(bool[][]? code)
    {
        Within(PdfGroupingElementTag.Section, () =>
        {
            Head(code, draws: true);
            foreach (var line in Lines)
            {
                Within(PdfGroupingElementTag.Section, () => Line(line, draws: true));
            }

            // At the foot of the page, wherever the lines end.
            double ends = _y, tall = Foot(draws: false);
            _y = Math.Max(ends, _height - Margin - tall);
            Foot(draws: true);
        });
    }

    private double Head(bool[][]? code, bool draws)
    {
        double from = _y, wide = Inner - (code is null ? 110 : 170);
        Say(PdfBlockLevelElementTag.Heading1, _session.Title, _title, Margin, wide, draws);
        Say(PdfBlockLevelElementTag.Paragraph, _laid.Part.Length > 0 ? $"{_session.Under} · {_laid.Part}" : _session.Under, _text, Margin, wide, draws);
        if (draws)
        {
            Aside(() =>
            {
                double right = _width - Margin - (code is null ? 0 : 58);
                _on.DrawString("date", _text, XBrushes.Black, new XPoint(right - 88, from + 12));
                _on.DrawLine(Box, right - 64, from + 13, right - 8, from + 13);
            });
            if (code is not null)
            {
                Figure("Code that opens this training on a phone", new XRect(_width - Margin - 52, from - 4, 52, 52), box => Code(code, box));
            }
        }

        // Measured with room for the code, whether there is one yet or not.
        _y = Math.Max(_y, from + (code is null && draws ? 0 : 50)) + 3;
        Ruled(Heavy, draws);
        foreach (string made in _session.Today)
        {
            Say(PdfBlockLevelElementTag.Paragraph, made, _text, Margin, Inner, draws);
        }

        if (IsFirst && !_session.PutOut.IsEmpty)
        {
            PutOut(draws);
        }

        if (IsFirst && _session.First.Length > 0)
        {
            Say(PdfBlockLevelElementTag.Paragraph, $"Warm-up: {_session.First}", _text, Margin, Inner, draws);
            _y += 3;
            Ruled(Rule, draws);
        }

        return _y - from;
    }

    private void PutOut(bool draws)
    {
        int columns = Math.Min(4, _session.PutOut.Length);
        double wide = Inner / columns;
        foreach (var row in _session.PutOut.Chunk(columns))
        {
            double top = _y, low = _y;
            for (int i = 0; i < row.Length; i++)
            {
                _y = top;
                Say(PdfBlockLevelElementTag.Paragraph, row[i].Thing, _strong, Margin + (i * wide), wide - 8, draws);
                for (int s = 0; s < row[i].Settings.Length; s++)
                {
                    Say(PdfBlockLevelElementTag.Paragraph, s == 0 ? row[i].Settings[s] : $"then {row[i].Settings[s]}", _small, Margin + (i * wide), wide - 8, draws);
                }

                low = Math.Max(low, _y);
            }

            _y = low + 2;
        }

        _y += 2;
        Ruled(Rule, draws);
    }

    private double Line(SheetLine line, bool draws)
    {
        double from = _y;
        string name = line.Tag.Length > 0 ? $"{line.Tag}  {line.Name}" : line.Name;
        if (line.LeftOut is { } why)
        {
            Say(PdfBlockLevelElementTag.Heading2, name, _name, WordsAt, Inner - FigureWide - 10, draws);
            Say(PdfBlockLevelElementTag.Paragraph, $"Not now: {why}", _strong, WordsAt, Inner - FigureWide - 10, draws);
            _y += Gap;
            Ruled(Rule, draws);
            return _y - from;
        }

        Say(PdfBlockLevelElementTag.Heading2, name, _name, WordsAt, WordsWide, draws);
        Say(PdfBlockLevelElementTag.Paragraph, line.Dose, _dose, WordsAt, WordsWide, draws);
        Say(PdfBlockLevelElementTag.Paragraph, line.How, _text, WordsAt, WordsWide, draws);
        Say(PdfBlockLevelElementTag.Paragraph, PlainWords.Opening(line.With), _strong, WordsAt, WordsWide, draws);
        foreach (string how in _laid.Full ? [string.Join(' ', line.SetUp.Select(Sentence))] : line.SetUp.Select(Sentence))
        {
            Say(PdfBlockLevelElementTag.Paragraph, how, _text, WordsAt, WordsWide, draws);
        }

        Say(PdfBlockLevelElementTag.Paragraph, Cues(line), _text, WordsAt, WordsWide, draws);
        foreach (string drill in line.Behind)
        {
            Say(PdfBlockLevelElementTag.Paragraph, $"Between: {drill}", _text, WordsAt, WordsWide, draws);
        }

        if (line.Gym.Length > 0)
        {
            Say(PdfBlockLevelElementTag.Paragraph, $"gym: {line.Gym}", _small, WordsAt, WordsWide, draws, most: 1);
        }

        double words = _y - from, boxes = 13 + (line.Sets * ((BoxTall * _laid.Size) + BoxGap));
        if (draws)
        {
            if (line.Figure is { } figure)
            {
                Figure($"{line.Name}: the start pale, the end dark", new XRect(Margin, from + 2, FigureWide, Math.Max(words, boxes) - 4), box => PdfFigure.Draw(_on, figure, box));
            }

            Aside(() => Boxes(line, from));
        }

        _y = from + Math.Max(words, boxes) + (Gap / 2);
        Ruled(Rule, draws);
        return _y - from;
    }

    private string Cues(SheetLine line)
    {
        string[] cues = [.. line.Cues.Select(c => $"•\u00A0{c}")];
        int most = cues.Length;
        while (_laid.Full && most > 1 && _on.MeasureString(string.Join("   ", cues[..most]), _text).Width > WordsWide)
        {
            most--;
        }

        return string.Join("   ", cues[..most]);
    }

    private void Boxes(SheetLine line, double from)
    {
        double right = _width - Margin, wide = 46;
        _on.DrawString(line.Counted, _small, XBrushes.Black, new XPoint(right - wide, from + 8));
        if (line.Weighed)
        {
            _on.DrawString("load", _small, XBrushes.Black, new XPoint(right - (2 * wide) - 4, from + 8));
        }

        double tall = BoxTall * _laid.Size;
        for (int set = 0; set < line.Sets; set++)
        {
            double y = from + 12 + (set * (tall + BoxGap));
            _on.DrawString($"{set + 1}", _small, XBrushes.Black, new XPoint(right - BoxesWide + 8, y + tall - 4));
            _on.DrawRectangle(Box, right - wide, y, wide, tall);
            if (line.Weighed)
            {
                _on.DrawRectangle(Box, right - (2 * wide) - 4, y, wide, tall);
            }
        }
    }

    /// <summary>The usual cautions and where they end; they defer to those who examine the client.</summary>
    private double Foot(bool draws)
    {
        double from = _y;
        if (IsLast && _session.Then.Length > 0)
        {
            Say(PdfBlockLevelElementTag.Paragraph, $"Cool-down: {_session.Then}", _text, Margin, Inner, draws);
            _y += 3;
        }

        Say(
            PdfBlockLevelElementTag.Paragraph,
            $"{_caution} "
            + string.Join(' ', _session.Care.Select(Sentence)),
            _small, Margin, Inner, draws);
        return _y - from;
    }

    private void Code(bool[][] code, XRect box)
    {
        double one = box.Width / code.Length;
        for (int row = 0; row < code.Length; row++)
        {
            for (int column = 0; column < code[row].Length; column++)
            {
                if (code[row][column])
                {
                    // A hair wider than a square: no white seams between them.
                    _on.DrawRectangle(XBrushes.Black, box.X + (column * one), box.Y + (row * one), one + 0.05, one + 0.05);
                }
            }
        }
    }

    private void Ruled(XPen pen, bool draws)
    {
        if (draws)
        {
            double y = _y;
            Aside(() => _on.DrawLine(pen, Margin, y, _width - Margin, y));
        }

        _y += Gap;
    }

    /// <summary>Text in as many lines as it takes, or as are allowed; what does not fit in those ends in dots.</summary>
    private void Say(PdfBlockLevelElementTag tag, string text, XFont font, double x, double wide, bool draws, int most = int.MaxValue)
    {
        if (text.Length == 0)
        {
            return;
        }

        string[] lines = Wrapped(text, font, wide, most);
        double leading = font.Size * 1.22;
        if (draws)
        {
            double y = _y;
            _tags!.BeginElement(tag);
            foreach (string line in lines)
            {
                y += leading;
                _on.DrawString(line, font, XBrushes.Black, new XPoint(x, y - (font.Size * 0.24)));
            }

            _tags.End();
        }

        _y += lines.Length * leading;
    }

    private string[] Wrapped(string text, XFont font, double wide, int most)
    {
        var lines = new List<string>();
        string now = "";
        foreach (string word in text.Split(' '))
        {
            string longer = now.Length == 0 ? word : $"{now} {word}";
            if (now.Length > 0 && _on.MeasureString(longer, font).Width > wide)
            {
                lines.Add(now);
                now = word;
            }
            else
            {
                now = longer;
            }
        }

        lines.Add(now);
        if (lines.Count > most)
        {
            lines = lines[..most];
            lines[^1] = lines[^1].TrimEnd('.', ',', ' ') + "…";
        }

        return [.. lines.Select(l => l.TrimEnd())];
    }

    private static string Sentence(string text) => text.EndsWith('.') ? text : text + ".";

    private void Within(PdfGroupingElementTag tag, Action draw)
    {
        _tags!.BeginElement(tag);
        draw();
        _tags.End();
    }

    private void Aside(Action draw)
    {
        _tags!.BeginArtifact();
        draw();
        _tags.End();
    }

    private void Figure(string words, XRect box, Action<XRect> draw)
    {
        _tags!.BeginElement(PdfIllustrationElementTag.Figure, words, box);
        draw(box);
        _tags.End();
    }
}

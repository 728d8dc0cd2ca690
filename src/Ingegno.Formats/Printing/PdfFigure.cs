using Ingegno.Core.Figures;
using PdfSharp.Drawing;

namespace Ingegno.Formats.Printing;

/// <summary>A set-up figure on paper, in black and greys.</summary>
internal static class PdfFigure
{
    /// <summary>Enough that a figure of one who lies is not as tall as of one who stands.</summary>
    private const double MostPointsPerMetre = 52;

    internal static void Draw(XGraphics graphics, SetUpFigure figure, XRect box)
    {
        var (low, high) = figure.Bounds;
        double left = Math.Min(low.X, figure.Labels.Select(l => l.At.X - 0.1).DefaultIfEmpty(low.X).Min()), right = Math.Max(high.X, figure.Labels.Select(l => l.At.X + 0.1).DefaultIfEmpty(high.X).Max());
        double bottom = Math.Min(low.Y, figure.Labels.Select(l => l.At.Y - 0.08).DefaultIfEmpty(low.Y).Min());
        double scale = Math.Min(MostPointsPerMetre, Math.Min(box.Width / (right - left), box.Height / (high.Y - bottom)));
        double x0 = box.X + ((box.Width - ((right - left) * scale)) / 2) - (left * scale), y0 = box.Y + (high.Y * scale);
        XPoint At(Spot spot) => new(x0 + (spot.X * scale), y0 - (spot.Y * scale));

        foreach (var stroke in figure.Still)
        {
            Stroke(stroke, pale: false);
        }

        if (figure.Moments.Length > 1)
        {
            foreach (var stroke in figure.Moments[0].Where(s => s.Ink != FigureInk.Worked))
            {
                Stroke(stroke, pale: true);
            }
        }

        foreach (var stroke in figure.Moments[^1])
        {
            Stroke(stroke, pale: false);
        }

        if (!figure.Path.IsEmpty)
        {
            graphics.DrawLines(new XPen(XColors.Gray, 0.7) { DashStyle = XDashStyle.Dot }, [.. figure.Path.Select(At)]);
        }

        var small = new XFont(SheetFonts.Family, 7);
        foreach (var label in figure.Labels)
        {
            graphics.DrawString(label.Words, small, XBrushes.Black, At(label.At), XStringFormats.Center);
        }

        void Stroke(FigureStroke stroke, bool pale)
        {
            var color = Color(stroke.Ink, pale);
            double width = Math.Max(0.5, stroke.Width * scale);
            if (stroke.Points.Length == 1)
            {
                var at = At(stroke.Points[0]);
                graphics.DrawEllipse(new XSolidBrush(color), at.X - (width / 2), at.Y - (width / 2), width, width);
                return;
            }

            XPoint[] points = [.. stroke.Points.Select(At)];
            if (stroke.Filled)
            {
                graphics.DrawPolygon(new XSolidBrush(color), points, XFillMode.Winding);
            }

            graphics.DrawLines(
                new XPen(color, width)
                {
                    LineCap = XLineCap.Round,
                    LineJoin = XLineJoin.Round,
                    DashStyle = stroke.Ink is FigureInk.Band or FigureInk.Measure ? XDashStyle.Dash : XDashStyle.Solid,
                },
                points);
        }
    }

    private static XColor Color(FigureInk ink, bool pale) => ink switch
    {
        _ when pale => XColor.FromGrayScale(0.78),
        FigureInk.Body => XColors.Black,
        FigureInk.Far => XColor.FromGrayScale(0.5),
        // White within black: seen on any printer.
        FigureInk.Worked => XColors.White,
        FigureInk.Load => XColor.FromGrayScale(0.2),
        _ => XColor.FromGrayScale(0.25),
    };
}

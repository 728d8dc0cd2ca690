using System.Collections.Immutable;
using System.Globalization;
using System.Text;
using Ingegno.Core.Figures;

namespace Ingegno.Formats.Figures;

/// <summary>A line for a scalable drawing: centimetres, downwards from the top.</summary>
/// <param name="Path">In the path notation of SVG.</param>
public sealed record FigureLine(FigureInk Ink, double Width, string Path, bool Filled);

/// <summary>Words in a drawing, their middle at the point.</summary>
public sealed record FigureWords(double X, double Y, string Words);

/// <summary>A set-up figure as lines for a scalable drawing.</summary>
/// <param name="Width">Of the drawing, in centimetres; <paramref name="Height"/> alike.</param>
/// <param name="Moments">The body with what it holds, from start to end.</param>
/// <param name="Way">Path of what moves; empty where nothing does.</param>
public sealed record FigureView(
    double Width, double Height, ImmutableArray<FigureLine> Still, ImmutableArray<ImmutableArray<FigureLine>> Moments, string Way, ImmutableArray<FigureWords> Labels)
{
    private const double Margin = 0.06;

    public static FigureView Of(SetUpFigure figure)
    {
        var (low, high) = figure.Bounds;
        double left = Math.Min(low.X, figure.Labels.Select(l => l.At.X - 0.12).DefaultIfEmpty(low.X).Min()) - Margin;
        double right = Math.Max(high.X, figure.Labels.Select(l => l.At.X + 0.12).DefaultIfEmpty(high.X).Max()) + Margin;
        double bottom = Math.Min(low.Y, figure.Labels.Select(l => l.At.Y - 0.06).DefaultIfEmpty(low.Y).Min()) - Margin, top = high.Y + Margin;
        return new(
            Round((right - left) * 100), Round((top - bottom) * 100), [.. figure.Still.Select(Line)],
            [.. figure.Moments.Select(m => (ImmutableArray<FigureLine>)[.. m.Select(Line)])], figure.Path.IsEmpty ? "" : Path(figure.Path),
            [.. figure.Labels.Select(l => new FigureWords(Round((l.At.X - left) * 100), Round((top - l.At.Y) * 100), l.Words))]);

        FigureLine Line(FigureStroke stroke) => new(stroke.Ink, Round(stroke.Width * 100), Path(stroke.Points), stroke.Filled);

        string Path(ImmutableArray<Spot> points)
        {
            var text = new StringBuilder();
            foreach (var point in points)
            {
                text.Append(CultureInfo.InvariantCulture, $"{(text.Length == 0 ? 'M' : 'L')}{Round((point.X - left) * 100)} {Round((top - point.Y) * 100)}");
            }

            // A disc is a line without length.
            return points.Length == 1 ? text.Append("h0").ToString() : text.ToString();
        }
    }

    private static double Round(double value) => Math.Round(value, 1);
}

using System.Collections.Immutable;

namespace Ingegno.Core.Figures;

/// <summary>What a line of a drawing stands for; colours and greys are chosen where it is drawn.</summary>
public enum FigureInk
{
    /// <summary>The working side of the body.</summary>
    Body,

    /// <summary>The other side.</summary>
    Far,

    /// <summary>A part of the body the exercise is chosen for, drawn inside its line.</summary>
    Worked,
    Floor,
    Fixture,
    Load,
    Band,

    /// <summary>A distance that is to be set up.</summary>
    Measure,
}

/// <summary>A line through points with round ends; one point alone is a disc.</summary>
/// <param name="Width">Metres.</param>
/// <param name="Filled">The area within is filled too.</param>
public sealed record FigureStroke(FigureInk Ink, double Width, ImmutableArray<Spot> Points, bool Filled = false);

/// <summary>Words beside a drawing, their middle at the point.</summary>
public sealed record FigureLabel(Spot At, string Words);

/// <summary>A set-up drawn from joint angles: what stands still, and the body with what it holds at moments from start to end.</summary>
/// <param name="Moments">At least one; the first is the start, the last the end.</param>
/// <param name="Path">Where hand, foot or hips go; empty where nothing moves.</param>
public sealed record SetUpFigure(
    ImmutableArray<FigureStroke> Still, ImmutableArray<ImmutableArray<FigureStroke>> Moments, ImmutableArray<Spot> Path, ImmutableArray<FigureLabel> Labels)
{
    /// <summary>Lowest and leftmost, highest and rightmost of all that is drawn.</summary>
    public (Spot Low, Spot High) Bounds
    {
        get
        {
            var all = Still.Concat(Moments.SelectMany(m => m)).SelectMany(s => s.Points.SelectMany(p => new[] { p - new Spot(s.Width / 2, s.Width / 2), p + new Spot(s.Width / 2, s.Width / 2) })).ToArray();
            return (new(all.Min(p => p.X), all.Min(p => p.Y)), new(all.Max(p => p.X), all.Max(p => p.Y)));
        }
    }
}

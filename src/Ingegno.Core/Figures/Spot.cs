namespace Ingegno.Core.Figures;

/// <summary>A point of a drawing: metres to the right and above the floor.</summary>
public readonly record struct Spot(double X, double Y)
{
    public static Spot operator +(Spot a, Spot b) => new(a.X + b.X, a.Y + b.Y);

    public static Spot operator -(Spot a, Spot b) => new(a.X - b.X, a.Y - b.Y);

    public static Spot operator *(Spot a, double by) => new(a.X * by, a.Y * by);

    internal double Far => double.Hypot(X, Y);

    /// <summary>So far in that direction: 0 to the right, 90 up.</summary>
    internal static Spot Along(double degrees, double metres) => new(metres * Math.Cos(degrees * Math.PI / 180), metres * Math.Sin(degrees * Math.PI / 180));

    internal Spot Turned(double degrees)
    {
        double turn = degrees * Math.PI / 180, cos = Math.Cos(turn), sin = Math.Sin(turn);
        return new((X * cos) - (Y * sin), (X * sin) + (Y * cos));
    }

    /// <summary>Direction from the origin, in degrees.</summary>
    internal double Direction => Math.Atan2(Y, X) * 180 / Math.PI;
}

using Ingegno.Core.Quantities;

namespace Ingegno.Core.Effort;

/// <summary>Lifting a light load fast, for those who keep strength or power. Partial at best, and the set ends when speed drops.</summary>
public static class FastIntent
{
    private const double Gravity = 9.80665;

    /// <summary>
    /// The upward acceleration, in metres a second squared, with which the home mass would push back like the gym mass held
    /// still: g (gym / home - 1). 0 where home is as heavy.
    /// </summary>
    /// <param name="gym">All that is moved in the gym, the body's part counted.</param>
    /// <param name="home">All that is moved at home, above zero.</param>
    public static double AccelerationToMatch(Mass gym, Mass home) =>
        Math.Max(0, Gravity * ((gym / home) - 1));
}

using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Progression;

/// <summary>
/// A load that was logged in the wrong unit: to a few percent the asked one in pounds, the pounds of it in kilograms, or its grams, and done for just
/// about what was asked. It is asked about, and nothing is learned from it until the log or the plan says what was meant.
/// </summary>
public static class UnitSlip
{
    /// <summary>Figures are typed to the pound or half kilogram.</summary>
    private const double Rounding = 0.03;

    private static readonly Mass Kilogram = Mass.FromKilograms(1);

    /// <summary>A set with more than twice or less than half the load is done for about the count asked only where the load was not what was written (common practice).</summary>
    private const double LeastOfTheCount = 0.6, MostOfTheCount = 1.5;

    /// <summary>A lighter load that was meant leaves more repetitions than this beyond the plan.</summary>
    private const double SpareOnALighter = 2;

    /// <summary>Whether the load asked for was meant; false where nothing speaks for a slip.</summary>
    public static bool Is(SetLog set, Prescription asked)
    {
        if (asked.Load <= Mass.Zero || set.Load <= Mass.Zero || set.Exercise != asked.Exercise || asked.Counts.IsDefaultOrEmpty || !asked.Count.IsRepetitions())
        {
            return false;
        }

        double times = set.Load.Kilograms / asked.Load.Kilograms, part = (double)Sides.Done(set) / asked.Counts[Math.Clamp(set.SetNumber, 1, asked.Counts.Length) - 1];
        return part is >= LeastOfTheCount and <= MostOfTheCount
            && (IsNear(times, Kilogram.Pounds) || ((IsNear(times, 1 / Kilogram.Pounds) || IsNear(times, 1.0 / Kilogram.Grams)) && LeftAsAsked()));

        bool LeftAsAsked() => set.Reserve is not { } left || left.Figure <= (asked.Reserve ?? 0) + SpareOnALighter;

        static bool IsNear(double times, double unit) => Math.Abs((times / unit) - 1) <= Rounding;
    }

    /// <summary>Several sets of one exercise on one day, as a question to the coach.</summary>
    public static string Question(string exercise, DateOnly on, Mass logged, Mass meant) => logged.Kilograms > meant.Kilograms
        ? $"{exercise} on {on:d MMM} is logged with {logged} where {meant} was asked, for about as many: {logged.Kilograms:0.#} are the pounds of {meant}. Were pounds meant?"
        : $"{exercise} on {on:d MMM} is logged with {logged} where {meant} was asked, for about as many: was it typed in another unit?";
}

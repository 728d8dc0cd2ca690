using Ingegno.Core.Exercises;
using Ingegno.Core.Loads;

namespace Ingegno.Formats.ProgrammeText;

/// <summary>The lift with two dumbbells that a lift with a bar is when two weights are written for it.</summary>
internal static class PairedLift
{
    /// <summary>Muscles both share at least: a row is one with either, a deadlift and a dumbbell Romanian deadlift are two lifts (common practice).</summary>
    private const double Alike = 0.65;

    /// <summary>Null where the catalogue has none, or it is done with other things than a bar.</summary>
    internal static Exercise? Of(Exercise lift, Catalogue catalogue) =>
        lift is not { Holds: [Hold.Bar], IsBallistic: false } ? null
        : (from e in catalogue.Exercises
           where e.IsLoadedPerHand && e.Pattern == lift.Pattern && e.Line == lift.Line && e.Kind == lift.Kind && e.Sides == lift.Sides
           let alike = lift.Muscles.OverlapWith(e.Muscles).Fraction
           where alike >= Alike
           orderby Math.Abs(e.Fixtures.Length - lift.Fixtures.Length), alike descending, e.Id
           select e).FirstOrDefault();
}

using System.Collections.Immutable;
using Ingegno.Core.Exercises;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Sessions;

/// <summary>The drills a coach typed, before those the day asks for: as written, unless room, health or a sore joint forbid one.</summary>
public static class TypedDrills
{
    /// <summary>Typed drills of one end of the session, then the others without those.</summary>
    internal static ImmutableArray<GivenDrill> Before(
        ImmutableArray<GivenDrill> given, IEnumerable<TypedDrill> typed, IReadOnlyList<Drill> allowed)
    {
        GivenDrill[] first =
        [
            .. from drill in typed
               join known in allowed on drill.Drill equals known.Id
               select GivenDrill.Of(known, "as written") with { Dose = PlainLine.DoseOf(drill.Line), Lasts = LastsOf(drill.Line) },
        ];
        return [.. first, .. given.Where(g => first.All(f => f.Drill != g.Drill))];
    }

    /// <summary>Names of typed drills that are not given here.</summary>
    internal static ImmutableArray<string> LeftOut(IEnumerable<TypedDrill> typed, IReadOnlyList<Drill> allowed) =>
        [.. typed.Where(t => allowed.All(d => d.Id != t.Drill)).Select(t => t.Line.ExerciseName)];

    /// <summary>By the seconds of any drill; getting into place anew for each set.</summary>
    private static Duration LastsOf(WrittenLine line) => Duration.FromSeconds(line.Sets.Sum(s =>
        GivenDrill.IntoPlace + (s.Middle * (s.Kind switch { CountKind.Seconds or CountKind.Steps or CountKind.Metres => 1, CountKind.Breaths => GivenDrill.Breath, _ => GivenDrill.Repetition }) * (line.PerSide ? 2 : 1))));
}

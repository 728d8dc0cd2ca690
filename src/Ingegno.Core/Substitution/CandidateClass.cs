using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Loads;

namespace Ingegno.Core.Substitution;

/// <summary>
/// What kind of stand-in a candidate is, best first (common practice). Candidates are compared by it before anything else: no better fit
/// makes up for another movement, and no movement for a dose that is not to be had.
/// </summary>
public enum CandidateClass
{
    /// <summary>The written exercise, its load and count to be had here.</summary>
    AsWritten = 1,

    /// <summary>The same movement with another implement, in the zone.</summary>
    SameMovement,

    /// <summary>The same movement on one limb or harder, in the zone.</summary>
    OneLimb,

    /// <summary>The same movement against a band, alone or beside a weight, or on both limbs where one was written; in the zone.</summary>
    Band,

    /// <summary>The same pattern along another line; for accessory lines the same muscles by another movement; in the zone.</summary>
    SameMuscles,

    /// <summary>The same movement, and the count or the effort outside the zone, or only the lowering of it.</summary>
    OutsideZone,

    /// <summary>Muscles of it by another movement: the movement is lost.</summary>
    OtherMovement,

    /// <summary>Hardly anything of it: far from the zone, or few of the muscles.</summary>
    Remote,

    /// <summary>Too hard for enough of the count: never given unasked.</summary>
    UnderFloor,
}

/// <summary>Where a candidate stands: its class, and inside the class how far its dose is from the zone.</summary>
/// <param name="Off">0 inside the zone, to 1.</param>
public readonly record struct StandIn(CandidateClass Class, double Off)
{
    /// <summary>Muscles shared from which another movement is for the same ones, and under which it is for few of them (common practice).</summary>
    private const double SameMuscles = 0.5, FewMuscles = 0.35;

    /// <summary>Muscles shared from which one joint of the same pattern does for several: a pull-apart for a face pull (common practice).</summary>
    private const double NearlyAll = 0.75;

    /// <summary>Repetitions left beyond what was asked at which a dose is wholly off, and what each measure after the first puts it off (common practice).</summary>
    private const double FarFromFailure = 10, FurtherMeasure = 0.2;

    /// <summary>Dosed by feel, and not at all: nothing is known to be in the zone (common practice).</summary>
    private const double ByFeel = 0.3, ByItsLog = 0.5;

    /// <summary>How far off its zone the movement alone counts at most; it trains nothing else where the load is too light for any credit (coach).</summary>
    private const double MovementAlone = 0.4;

    /// <summary>A growth or strength line ends with so many left at most, and one that asked for none is not off with two (common practice).</summary>
    private const double MostAsked = 4, FewestAsked = 2;

    /// <summary>Of two doses in the zone the one without a measure, or without a band beside the weight, comes first (common practice).</summary>
    private const double PlainFirst = 0.03;

    /// <summary>Repetitions over what was asked that still count as its effort: one, and the half it is rounded by (common practice).</summary>
    private const double NearReserve = 1.5;

    /// <summary>The best a candidate could be, before it is dosed.</summary>
    internal static StandIn AtBest(Exercise written, Exercise exercise, SetUp setUp, Role role) =>
        new(exercise.Id == written.Id ? CandidateClass.AsWritten : InZone(written, exercise, setUp, null, role), 0);

    /// <summary>Where nothing is forecast here: by the movement alone.</summary>
    internal static CandidateClass Uncounted(Exercise written, Exercise exercise) =>
        exercise.Id == written.Id ? CandidateClass.AsWritten : IsSameMovement(written, exercise) ? CandidateClass.SameMovement : ByAnother(written, exercise);

    /// <param name="dose">Null where none is computed.</param>
    /// <param name="zones">Of the practice.</param>
    internal static StandIn Of(Exercise written, Exercise exercise, SetUp setUp, Role role, Intent? intent, Dose? dose, RepetitionZones zones)
    {
        if (dose is null || intent is null)
        {
            // A clean of triples becomes jumps of triples; a swing of fifteen becomes no fifteen jumps.
            if (intent is not null && written.IsForecast && !exercise.IsForecast && IsFastForFast(written, exercise))
            {
                return new(intent.IsFast ? CandidateClass.SameMuscles : CandidateClass.Remote, ByItsLog);
            }

            // Against a mini band, say: the movement and a load, though no forecast tells of it.
            if (intent is not null && written.IsForecast && !exercise.IsForecast && setUp.Implement is not null && !exercise.IsLoweringOnly && IsSameMovement(written, exercise))
            {
                return new(CandidateClass.Band, ByItsLog);
            }

            // Dosed by feel, or an unloaded imitation of loaded work.
            return written.IsForecast && exercise.IsForecast && intent is not null && exercise.Id != written.Id
                ? AtBest(written, exercise, setUp, role) with { Off = ByFeel }
                : written.IsForecast && !exercise.IsForecast && exercise.Id != written.Id
                ? new(CandidateClass.OtherMovement, ByItsLog)
                : AtBest(written, exercise, setUp, role);
        }

        int most = dose.Repetitions.Max();
        var zone = zones.Of(intent.Repetitions.Min());
        if (zones.IsUnderFloor(intent, dose))
        {
            return new(CandidateClass.UnderFloor, 1);
        }

        double wanted = Math.Clamp(intent.Reserve, FewestAsked, MostAsked);
        double left = intent.Cap is not null ? 0 : Math.Max(0, dose.Reserve - wanted - NearReserve);
        int over = Math.Max(0, most - Math.Max(zone.Most, intent.Repetitions.Max()));
        int techniques = MeasurePrice.Techniques(dose.Form) + MeasurePrice.Techniques(new(intent.Tempo), dose.Style);
        double off = Math.Min(1, (over / (double)zone.Most) + (left / FarFromFailure) + (FurtherMeasure * Math.Max(0, techniques - 1)));
        if (off <= 0)
        {
            int beside = dose.Rung.Pull is not null && setUp.Implement?.Hold != Hold.Band ? 1 : 0;
            return new(exercise.Id == written.Id ? CandidateClass.AsWritten : InZone(written, exercise, setUp, dose, role), (techniques + beside) * PlainFirst);
        }

        // Far too light, but the movement itself: easy repetitions of it come before an imitation without a load.
        bool movementAlone = IsSameMovement(written, exercise) && dose.Equivalent < Effort.SetForecast.HalfCredit;
        return new(IsSameMovement(written, exercise) && left < FarFromFailure ? CandidateClass.OutsideZone : ByAnother(written, exercise), movementAlone ? Math.Min(off, MovementAlone) : off);
    }

    private static CandidateClass InZone(Exercise written, Exercise exercise, SetUp setUp, Dose? dose, Role role)
    {
        if (IsSameMovement(written, exercise))
        {
            bool one = (written.Sides == Sides.Together && exercise.Sides == Sides.OneAtATime && !exercise.OnTheSpot && !written.IsSlot) || (exercise.KneesForward && !written.KneesForward);
            bool two = written.Sides == Sides.OneAtATime && exercise.Sides == Sides.Together;
            bool band = written.Band is null && (setUp.Implement?.Hold == Hold.Band || dose is { Rung.Pull: not null });
            return exercise.IsLoweringOnly && !written.IsLoweringOnly ? CandidateClass.OutsideZone
                : band || two ? CandidateClass.Band
                : one ? CandidateClass.OneLimb
                : CandidateClass.SameMovement;
        }

        double shared = Shared(written, exercise);
        bool pattern = written.Pattern == exercise.Pattern && (written.Kind == exercise.Kind || shared >= NearlyAll) && written.IsBallistic == exercise.IsBallistic;
        return IsFastForFast(written, exercise) || shared >= SameMuscles && (pattern || role == Role.Accessory) ? CandidateClass.SameMuscles
            : ByAnother(written, exercise);
    }

    /// <summary>Both done for speed, with muscles in common: speed is what was written.</summary>
    private static bool IsFastForFast(Exercise written, Exercise exercise) => written.IsBallistic && exercise.IsBallistic && Shared(written, exercise) >= FewMuscles;

    /// <summary>Another movement for muscles of it; one joint is far from several, and the lowering alone from the whole.</summary>
    private static CandidateClass ByAnother(Exercise written, Exercise exercise) =>
        Shared(written, exercise) < FewMuscles || (written.Kind == MovementKind.Compound && exercise.Kind == MovementKind.Isolation && !(written.Pattern == exercise.Pattern && Shared(written, exercise) >= NearlyAll))
            || (exercise.IsLoweringOnly && !written.IsLoweringOnly && !IsSameMovement(written, exercise))
            ? CandidateClass.Remote
            : CandidateClass.OtherMovement;

    /// <summary>Pattern, kind and line of force; a slot leaves the line free, and a squat on one leg or on both is a squat.</summary>
    internal static bool IsSameMovement(Exercise written, Exercise exercise) =>
        written.Pattern == exercise.Pattern && written.Kind == exercise.Kind && (written.IsSlot || LineOf(written) == LineOf(exercise))
        && written.IsBallistic == exercise.IsBallistic;

    internal static LineOfForce LineOf(Exercise e) => e is { Pattern: Pattern.Squat, Line: LineOfForce.OnEachLeg } ? LineOfForce.AlongTheSpine : e.Line;

    private static double Shared(Exercise written, Exercise exercise) => written.Muscles.OverlapWith(exercise.Muscles).Fraction;
}

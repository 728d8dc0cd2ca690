using Ingegno.Core.Dosing;
using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Substitution;

/// <summary>Why a candidate stands where it stands, in a coach's words: what is kept, what carries it, and the part that cost most.</summary>
public static class Reason
{
    /// <summary>Above this a part counts as kept.</summary>
    private const double Kept = 0.9;

    /// <summary>A demand nobody would give as a figure.</summary>
    private const double HardlyAnything = 0.05;

    /// <summary>What speaks for it.</summary>
    public static string For(Exercise written, Candidate candidate, Intent? intent)
    {
        if (candidate.Exercise.Id == written.Id)
        {
            return intent is null || candidate.Dose is not { } same || (IsAsWritten(written, candidate, intent) && Measures(same).Length == 0) ? "Needs nothing that is missing here. Goes across as it is."
                : Math.Abs(same.Equivalent.Value - intent.Equivalent.Value) >= 0.03 ? $"The same exercise with what is here: {Carried(same, intent)}."
                : Measures(same) is { Length: > 0 } measures ? $"The same exercise and its load; {Joined(measures)} {(IsOne(measures) ? "brings" : "bring")} it to what a set should ask."
                : same.Repetitions.SequenceEqual(intent.Repetitions) ? "Needs nothing that is missing here. Goes across as it is."
                : $"The same exercise with what is here: {Carried(same, intent)}.";
        }

        string kept = KeptWords(written, candidate);
        return candidate.Dose is { } dose && intent is not null ? $"{kept}; {Carried(dose, intent)}." : kept + ".";
    }

    /// <summary>Repetitions left from which a line that stays as written is called too easy (common practice).</summary>
    private const double EasyFrom = 8;

    /// <summary>Advice beside what stays as written: how easy it is, and the next rung where one is possible here. Null where it is not easy.</summary>
    internal static string? TooEasy(Candidate kept, IEnumerable<Candidate> possible)
    {
        if (kept.Dose is not { } dose || dose.Reserve <= EasyFrom)
        {
            return null;
        }

        var next = possible.FirstOrDefault(c => c.StandIn.Class != CandidateClass.UnderFloor && kept.Exercise.Harder.Any(h => h.Exercise == c.Exercise.Id));
        return $"Easy: about {dose.Reserve:0} would be left{(next is null ? "" : $"; the next rung is the {PlainWords.InSentence(next.Exercise.Name)}")}.";
    }

    /// <summary>The part of the fit that cost most, in a sentence; where nothing costs anything that is said.</summary>
    public static string Decided(Exercise written, Candidate candidate, Intent? intent) =>
        candidate.Fit[candidate.Fit.Decisive].Fraction >= 0.995
            ? "Nothing of the fit is lost."
            : $"Decided by {candidate.Fit.Decisive.ToString().ToLowerInvariant()}, {candidate.Fit[candidate.Fit.Decisive]}: {Lower(Cost(written, candidate, intent))}";

    private static string Lower(string sentence) => char.ToLowerInvariant(sentence[0]) + sentence[1..];

    /// <summary>What it costs; null when nothing worth a word is lost.</summary>
    public static string? Loss(Exercise written, Candidate candidate, Intent? intent)
    {
        if (candidate.Dose is { } dose && intent is { Cap: null } && !IsAsWritten(written, candidate, intent))
        {
            if (dose.Equivalent < SetForecast.HalfCredit)
            {
                string share = dose.Equivalent.Value < HardlyAnything ? "hardly anything" : $"{dose.Equivalent.InPercent}";
                return $"Too light to build on: {share} of what could be lifted counts for endurance, not growth.";
            }

            if (HeavyPracticeLost(dose, intent))
            {
                return $"Heavy practice is not kept: {dose.Equivalent.InPercent} of what could be lifted where {intent.Equivalent.InPercent} was asked.";
            }

            if (dose.Bridge.Open >= 1)
            {
                string open = $"{dose.Bridge.Open:0}";
                return $"{open} effective {(open == "1" ? "rep" : "reps")} short of the {dose.Bridge.Asked:0} asked.";
            }
        }

        if (candidate.Exercise.Pattern != written.Pattern)
        {
            return "Another movement than written: the pattern is lost here.";
        }

        if (written.IsForecast && !candidate.Exercise.IsForecast && candidate.SetUp.Implement is null)
        {
            return "The movement without its load: the loaded one is lost here.";
        }

        return candidate.Fit[candidate.Fit.Decisive].Fraction >= Kept || (intent is not null && IsAsWritten(written, candidate, intent)) ? null : Cost(written, candidate, intent);
    }

    /// <summary>Whether the loss waits for a person: effective repetitions open, a load too light to count or to practise with, another pattern.</summary>
    public static bool LossMatters(Exercise written, Candidate candidate, Intent? intent) =>
        candidate.Exercise.Pattern != written.Pattern
        || (intent is { Cap: null } && candidate.Dose is { } dose && !IsAsWritten(written, candidate, intent)
            && (dose.Bridge.Open >= 1 || dose.Equivalent < SetForecast.HalfCredit || HeavyPracticeLost(dose, intent)));

    /// <summary>The written exercise with its load, within a twentieth, and its counts: what the forecasts differ by is less than they know.</summary>
    private static bool IsAsWritten(Exercise written, Candidate candidate, Intent intent) =>
        candidate.Exercise.Id == written.Id && candidate.Dose is { } dose && KeptAsWritten.IsNear(dose.Rung.Load, intent.Load) && dose.Repetitions.SequenceEqual(intent.Repetitions);

    /// <summary>Strength work (five or fewer) done a good step lighter: size may be kept, the practice of heavy loads is not.</summary>
    private static bool HeavyPracticeLost(Dose dose, Intent intent) =>
        intent.Repetitions.Max() <= 5 && intent.Equivalent.Value - dose.Equivalent.Value > 0.10;

    private static string KeptWords(Exercise written, Candidate candidate)
    {
        string name = PlainWords.InSentence(written.Name);
        bool one = candidate.Exercise.Sides == Sides.OneAtATime && written.Sides == Sides.Together;
        bool muscles = candidate.Fit[FitPart.Muscles].Fraction >= 0.7, pattern = candidate.Exercise.Pattern == written.Pattern;
        string same = muscles ? "The same movement as" : "A movement like", spot = candidate.Exercise.OnTheSpot && !written.OnTheSpot ? ", on the spot" : "";
        return candidate.StandIn.Class switch
        {
            CandidateClass.AsWritten or CandidateClass.SameMovement when written.IsSlot => "The movement asked for",
            CandidateClass.AsWritten or CandidateClass.SameMovement => $"{same} the {name}{spot}",
            CandidateClass.OneLimb when one && written.Pattern is Pattern.TrunkBrace or Pattern.TrunkFlexion or Pattern.TrunkRotation => $"{same} the {name}, one side at a time",
            CandidateClass.OneLimb when one => $"The same movement as the {name}, on one {(HouseRules.IsForLegs(written) && !candidate.Exercise.Name.StartsWith("One-arm", StringComparison.Ordinal) ? "leg" : "arm")}",
            CandidateClass.OneLimb => $"A harder variation of the {name}",
            CandidateClass.Band when candidate.Exercise.Sides == Sides.Together && written.Sides == Sides.OneAtATime => $"{same} the {name}, with both limbs",
            CandidateClass.Band => $"The same movement as the {name}, against a band",
            CandidateClass.OutsideZone when candidate.Exercise.IsLoweringOnly => $"The lowering of the {name} alone",
            CandidateClass.OutsideZone => $"The same movement as the {name}, past its usual count or effort",
            CandidateClass.SameMuscles when written.IsBallistic && candidate.Exercise.IsBallistic && !candidate.Exercise.IsForecast => $"Done for speed as the {name} is, without its load",
            CandidateClass.SameMuscles when pattern => $"The pattern of the {name}, along another line",
            CandidateClass.SameMuscles => $"The muscles of the {name}, by another movement",
            _ when pattern && candidate.Exercise.IsForecast => $"The movement of the {name}, far from its effort",
            _ when pattern => $"The nearest to the {name} this place allows: its movement without its load",
            _ => muscles ? $"The muscles of the {name} by another movement" : $"The nearest to the {name} this place allows, by another movement",
        };
    }

    private static string Carried(Dose dose, Intent intent)
    {
        var measures = Measures(dose);
        string load = dose.Rung.Load > Mass.Zero ? dose.Rung.Load.ToString() : "own weight";
        if (measures.Length == 0)
        {
            return dose.Equivalent.Value >= intent.Equivalent.Value - 0.03
                ? $"{load} asks as much as the gym load"
                : dose.Repetitions.SequenceEqual(intent.Repetitions) ? $"{load} for the same count"
                : $"{load} for the count it allows";
        }

        if (dose.Equivalent.Value >= intent.Equivalent.Value)
        {
            return $"{load} with {Joined(measures)} asks as much as the gym load";
        }

        bool one = IsOne(measures);
        string carry = dose.Bridge.Open >= 1 ? one ? "carries part of it" : "carry part of it" : one ? "makes it up" : "make it up";
        return $"{load} is lighter, {Joined(measures)} {carry}";
    }

    private static BridgePart[] Measures(Dose dose) => [.. dose.Bridge.Parts.Where(p => p.Measure != Measure.Load)];

    /// <summary>"4 more reps, 3 s hold low and 1 more set".</summary>
    private static string Joined(BridgePart[] measures) => Each(measures) is [.. var others, var last] && others.Length > 0 ? $"{string.Join(", ", others)} and {last}" : Each(measures)[0];

    /// <summary>One thing does it: a hold, a tempo, one repetition more; not seven of them.</summary>
    private static bool IsOne(BridgePart[] measures) => Each(measures) is [var only] && (measures[0].Measure == Measure.ShorterRest || !only.EndsWith('s'));

    private static string[] Each(BridgePart[] measures) => [.. measures.SelectMany(m => Words(m).Split(", "))];

    private static string Words(BridgePart part) => part.Measure switch
    {
        Measure.Repetitions => part.Text.TrimStart('+').Replace(" rep", " more rep", StringComparison.Ordinal),
        Measure.MoreSets => part.Text.TrimStart('+').Replace(" set", " more set", StringComparison.Ordinal),
        _ => part.Text,
    };

    private static string Cost(Exercise written, Candidate candidate, Intent? intent) => candidate.Fit.Decisive switch
    {
        FitPart.Muscles => $"Shares {candidate.Fit[FitPart.Muscles]} of the muscles.",
        FitPart.Direction => "Another line of force than written.",
        FitPart.Kind => candidate.Exercise.Kind == MovementKind.Compound
            ? written.IsBallistic != candidate.Exercise.IsBallistic ? "Done for speed where slow work was written." : "Several joints share the work where one was isolated."
            : "One joint works where several were asked.",
        FitPart.Dose when candidate.Dose is null => "How much of the work it does shows in the log alone.",
        FitPart.Dose => candidate.Dose is { } dose && intent is not null && dose.Equivalent >= intent.Equivalent
            ? $"Heavier than asked: {dose.Repetitions.Sum()} repetitions instead of {intent.Repetitions.Sum()}."
            : "The load stays below what the gym line asks.",
        FitPart.Sides => candidate.Exercise.Sides == Sides.OneAtATime ? "One limb at a time instead of two." : "Both limbs instead of one.",
        FitPart.Range when candidate.Exercise.IsLoweringOnly => "Only the lowering is done.",
        FitPart.Range => $"Hardest in the {candidate.Exercise.Range.ToString().ToLowerInvariant()} range, written was the {written.Range.ToString().ToLowerInvariant()} one.",
        _ => "Takes more skill or balance than the written exercise.",
    };
}

using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Loads;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Substitution;

/// <summary>Turns a candidate into the words and numbers a client trains from.</summary>
internal static class Prescribing
{
    internal static Prescription Of(Candidate candidate, Exercise written, WrittenLine line, ClientProfile client)
    {
        var exercise = candidate.Exercise;
        var implement = candidate.SetUp.Implement;
        var dose = candidate.Dose;
        var rung = dose?.Rung ?? RungFor(exercise, candidate.SetUp, written, line, client) ?? candidate.SetUp.Ladder.Rungs[0];
        return new Prescription
        {
            Exercise = exercise.Id,
            Name = exercise.Name,
            Count = dose is null ? UncomputedCount.KindOf(exercise, written, line) : KindOf(dose, line),
            Counts = dose?.Repetitions ?? Held(UncomputedCount.Of(exercise, written, line), exercise, written, line, client),
            OptionalSets = Math.Max(0, Math.Min(line.OptionalSets, (dose?.Repetitions.Length ?? line.Sets.Length) - 1)),
            TopOfRange = dose is null ? UncomputedCount.TopOf(exercise, written, line) : TopOf(dose, line),
            PerSide = exercise.Sides == Sides.OneAtATime || (line.PerSide && exercise.Id == written.Id),
            Load = rung.Load,
            Kit = rung.Load != Mass.Zero ? implement?.KitId : null,
            Hold = rung.Load != Mass.Zero ? implement?.Hold : null,
            LoadInWords = dose is null && exercise.Holds is [Hold.FootOnScale] ? "a foot on the seat or floor helps, as much as the count needs" : LoadWords.Of(rung, implement),
            Tempo = dose?.Tempo,
            Partial = dose?.Style.Partial ?? PartialPart.None,
            Pulses = dose?.Style.Pulses ?? 0,
            Form = dose?.Form ?? SetForm.Straight,
            Alternating = line.Alternating && exercise.Sides == Sides.OneAtATime,
            Rest = dose?.Rest ?? HouseRules.RestOf(line),
            Reserve = dose is null ? null : Math.Round(Math.Max(0, dose.Reserve), 1),
            Purpose = line.Purpose,
            Geometry = candidate.SetUp.Geometry,
            Supports = [.. candidate.SetUp.Placed.Where(p => p.Fixture.Kind != Homes.FixtureKind.Wall).SelectMany(Supporting)],
            Placement = [.. candidate.SetUp.Placed.Where(IsTold).Select(PlacementInWords), .. FeetInWords(candidate.SetUp)],
            SetUp = CueVariants.Of(exercise.SetUp, candidate.Leanings),
            Cues = [.. TypedInstructions.For(line, written, candidate, client), .. Told(dose, exercise), .. CueVariants.Of(exercise.Cues, candidate.Leanings), .. Shifted(written, exercise), .. CueVariants.Added(candidate.Leanings), .. FormFirst(line), .. LeftToTheDay(line)],
            Cautions = exercise.Cautions,
        };
    }

    /// <summary>Longest hold, in seconds, for who named blood pressure or the heart (common practice).</summary>
    private const int LongestHardHold = 30;

    private static ImmutableArray<int> Held(ImmutableArray<int> counts, Exercise exercise, Exercise written, WrittenLine line, ClientProfile client) =>
        UncomputedCount.KindOf(exercise, written, line) == CountKind.Seconds && exercise.Pattern != Pattern.Carry
            && client.Health.Answers.Any(a => a is { Applies: true, Question: HealthQuestion.BloodPressure or HealthQuestion.Heart })
            ? [.. counts.Select(c => Math.Min(c, LongestHardHold))]
            : counts;

    /// <summary>The same line with its things standing otherwise.</summary>
    internal static Prescription On(Prescription line, SetUp setUp) => line with
    {
        Geometry = setUp.Geometry,
        Supports = [.. setUp.Placed.Where(p => p.Fixture.Kind != Homes.FixtureKind.Wall).SelectMany(Supporting)],
        Placement = [.. setUp.Placed.Where(IsTold).Select(PlacementInWords), .. FeetInWords(setUp)],
    };

    /// <summary>Where effort ends the set at home as it was written to, the count is what the forecast expects.</summary>
    private static CountKind KindOf(Dose dose, WrittenLine line) =>
        dose.Form == SetForm.RestPause ? CountKind.Repetitions
        : line.Sets.All(s => s.Kind == line.Sets[0].Kind) ? line.Sets[0].Kind
        : CountKind.Repetitions;

    /// <summary>An "up to" keeps its cap, or a higher one where the load is lighter.</summary>
    private static int TopOf(Dose dose, WrittenLine line) =>
        line.Sets[0].Kind == CountKind.UpTo ? Math.Max(line.Sets.Max(s => s.High), dose.Repetitions.Max()) : dose.TopOfRange;

    private static IEnumerable<string> Told(Dose? dose, Exercise exercise) =>
        dose is null ? [] : TechniqueWords.Of(exercise, dose.Style, dose.Form, dose.Repetitions);

    private static IEnumerable<string> Shifted(Exercise written, Exercise exercise)
    {
        if (EmphasisChoice.For(written, exercise) is { } emphasis)
        {
            yield return written.IsSlot ? emphasis.Change : $"{emphasis.Change}: nearer to the {PlainWords.InSentence(written.Name)}";
        }
    }

    private static IEnumerable<string> LeftToTheDay(WrittenLine line)
    {
        if (line.OptionalSets > 0)
        {
            yield return "The last set only if the one before was whole and easy enough; write down what you did";
        }
    }

    private static IEnumerable<string> FormFirst(WrittenLine line)
    {
        if (Purposes.IsCapped(line.Purpose))
        {
            yield return "Form ends the set, not fatigue";
        }
    }

    /// <summary>Carried over body mass where no load was written: a third in all, half of it in one hand (common practice).</summary>
    private const double CarriedInAll = 0.34, CarriedInOneHand = 0.17;

    /// <summary>Of set-ups without a computed dose the one whose load comes nearest what was written, or is usual; the first where none is.</summary>
    internal static SetUp Nearest(Exercise exercise, ImmutableArray<SetUp> setUps, Exercise written, WrittenLine line, ClientProfile client) =>
        setUps.MinBy(s => WantedFor(exercise, s.Implement, written, line, client) is { } wanted
            ? Math.Abs(((RungFor(exercise, s, written, line, client) ?? s.Ladder.Rungs[0]).Load - wanted).Kilograms) : 0)!;

    /// <summary>Where no dose is computed: of the exercise itself the rung nearest the load, of another the heaviest that is not heavier. Null where no load is known.</summary>
    private static Rung? RungFor(Exercise exercise, SetUp setUp, Exercise written, WrittenLine line, ClientProfile client) =>
        WantedFor(exercise, setUp.Implement, written, line, client) is not { } wanted ? null
        : exercise.Id == written.Id && line.Intensity.Load is not null ? RungChoice.Nearest(setUp.Ladder, wanted)
        : setUp.Ladder.Rungs.LastOrDefault(r => r.Load <= wanted);

    /// <summary>All that is held: what the coach wrote, for one hand where the written exercise is loaded so; else what is usual to carry.</summary>
    private static Mass? WantedFor(Exercise exercise, HeldImplement? held, Exercise written, WrittenLine line, ClientProfile client) =>
        line.Intensity.Load is { } load ? held?.Hold == Hold.Pair || (held?.Hold != Hold.OneHand && written.IsLoadedPerHand && exercise.Id != written.Id) ? load * 2 : load
        : exercise.Pattern == Pattern.Carry ? client.BodyMass * (held?.Hold == Hold.OneHand ? CarriedInOneHand : CarriedInAll)
        : null;

    private static IEnumerable<Support> Supporting(PlacedFixture placed)
    {
        yield return new(placed.Fixture.Id, placed.Role, placed.Height);
        if (placed.Partner is { } partner)
        {
            yield return new(partner.Id, placed.Role, placed.Height);
        }
    }

    /// <summary>A wall is everywhere: only where on it needs saying.</summary>
    private static bool IsTold(PlacedFixture placed) => placed.Fixture.Kind != Homes.FixtureKind.Wall || placed.Height < placed.Fixture.Height;

    private static string PlacementInWords(PlacedFixture placed)
    {
        string role = placed.Role switch
        {
            FixtureRole.RearFoot => "Rear foot",
            FixtureRole.ShouldersRaised => "Shoulders",
            FixtureRole.Catch => "Bar",
            _ => placed.Role.ToString(),
        };
        string where = placed.Partner is { } partner ? $"{placed.Fixture.Name} and {partner.Name}" : placed.Fixture.Name;
        string note = placed.Note is null ? "" : $" ({placed.Note})";
        return $"{role}: {where}, {(placed.Height < placed.Fixture.Height && placed.Fixture.Kind != Homes.FixtureKind.Wall ? placed.Fixture.Height : placed.Height)}{note}";
    }

    private static IEnumerable<string> FeetInWords(SetUp setUp)
    {
        if (setUp.FeetOut is { } feet)
        {
            yield return feet < Length.Zero ? $"Heels: {feet * -1} behind the point under the grip"
                : feet > Length.Zero ? $"Heels: {feet} in front of the point under the grip"
                : "Heels: straight under the grip";
        }
    }
}

using System.Collections.Immutable;
using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Loads;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Dosing;

/// <summary>Sets a coach wants to try out in thought, any load, tempo, technique and rest.</summary>
/// <param name="Exercise">Catalogue id.</param>
/// <param name="Load">External; both pieces of a pair.</param>
/// <param name="Repetitions">Per set and side; of a rest-pause the first bout.</param>
/// <param name="Geometry">Where hands, feet or grip stand; null for floor height.</param>
public sealed record SetTrial(
    string Exercise, Mass Load, ImmutableArray<int> Repetitions, Tempo Tempo, Duration Rest,
    PartialPart Partial = PartialPart.None, int Pulses = 0, SetForm Form = SetForm.Straight, Geometry? Geometry = null)
{
    private const int MostSets = 20, MostRepetitions = 100;

    /// <summary>Longest rest between sets; longer is another session.</summary>
    public static Duration LongestRest { get; } = Duration.FromMinutes(30);

    internal RepetitionStyle Style => new(Tempo, Partial, Pulses);

    /// <summary>What is wrong with it, with its place; empty when it can be worked out.</summary>
    public IEnumerable<InputProblem> Problems(Catalogue catalogue)
    {
        var exercise = catalogue.Find(Exercise);
        if (exercise is null)
        {
            yield return new("exercise", $"No exercise \"{Exercise}\" in the catalogue.");
        }
        else if (!exercise.IsForecast)
        {
            yield return new("exercise", $"{exercise.Name} has no load model: its sets are judged by its own log.");
        }

        if (!(Load.Kilograms is >= -200 and <= 500))
        {
            yield return new("load", "A load lies between -200 (taken off by a band or foot) and 500 kg.");
        }

        if (Repetitions.IsDefaultOrEmpty || Repetitions.Length > MostSets)
        {
            yield return new("repetitions", $"Give 1 to {MostSets} sets.");
        }
        else if (Repetitions.Any(r => r is < 1 or > MostRepetitions))
        {
            yield return new("repetitions", $"A set has 1 to {MostRepetitions} repetitions.");
        }

        if (new[] { Tempo.Lowering, Tempo.AfterLowering, Tempo.Lifting, Tempo.AfterLifting }.Any(s => s is < 0 or > Tempo.LongestPhase))
        {
            yield return new("tempo", $"Four counts of at most {Tempo.LongestPhase} s, lowering first, such as 3-1-1-0.");
        }

        if (!(Rest >= Duration.Zero && Rest <= LongestRest))
        {
            yield return new("rest", $"A rest lasts up to {LongestRest.Minutes:0} minutes.");
        }

        if (Pulses is < 0 or > RepetitionStyle.MostPulses)
        {
            yield return new("pulses", $"0 to {RepetitionStyle.MostPulses} pulses a repetition.");
        }

        if (new[] { Geometry?.Hands, Geometry?.Feet, Geometry?.Grip }.Any(h => h is { } height && !(height.Metres is >= 0 and <= 6)))
        {
            yield return new("geometry", "Heights lie between 0 and 6 m above the floor.");
        }
    }
}

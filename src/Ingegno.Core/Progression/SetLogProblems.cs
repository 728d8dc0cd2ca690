using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;

namespace Ingegno.Core.Progression;

/// <summary>Checks a logged set before it is kept.</summary>
public static class SetLogProblems
{
    /// <summary>Nobody whose log is kept here trained before; spreadsheets call an empty day 1900.</summary>
    private static readonly DateOnly Earliest = new(1950, 1, 1);

    /// <param name="path">Where the set stands in what was sent: "sets[2]".</param>
    public static IEnumerable<InputProblem> Of(SetLog set, string path, Catalogue catalogue)
    {
        if (set.On < Earliest)
        {
            yield return new(path + ".on", $"{set.On:d MMM yyyy} is too long ago: give the day it was done.");
        }

        if (set.Repetitions is < 0 or > 200)
        {
            yield return new(path + ".repetitions", $"Repetitions go from 0 to 200, not {set.Repetitions}.");
        }

        if (set.Finished is < 0 or > 200)
        {
            yield return new(path + ".finished", $"Repetitions on the easier variation go from 0 to 200, not {set.Finished}.");
        }

        double least = catalogue.Find(set.Exercise) is { IsAssisted: true } ? -200 : 0;
        if (!(set.Load.Kilograms >= least && set.Load.Kilograms <= 500))
        {
            yield return new(path + ".load", $"A load lies between {least:0} and 500 kg, not {set.Load.Kilograms:0.##} kg.");
        }

        if (set.Reserve is { } reserve && !(reserve.Least is >= 0 and <= 20 && (reserve.Most ?? 0) <= 20))
        {
            yield return new(path + ".reserve", "Repetitions left go from 0 to 20; leave it empty when nobody said.");
        }

        if (set.Pain is < 0 or > 10)
        {
            yield return new(path + ".pain", "Pain goes from 0 (none) to 10 (worst).");
        }

        if (set.OtherSide is < 0 or > 200)
        {
            yield return new(path + ".otherSide", $"Repetitions of the other side go from 0 to 200, not {set.OtherSide}.");
        }

        if (set.RestBefore is { } rest && !(rest.Seconds is >= 0 and <= 3600))
        {
            yield return new(path + ".restBefore", "A rest lasts up to an hour; leave it empty when nobody timed it.");
        }

        if (set.SetNumber is < 1 or > 50)
        {
            yield return new(path + ".setNumber", "Sets are numbered from 1 to 50.");
        }

        if (catalogue.Find(set.Exercise) is null)
        {
            yield return new(path + ".exercise", "This exercise is not known here any more: tell the coach what was done.");
        }

        if (set.Id == Guid.Empty)
        {
            yield return new(path + ".id", "Every set needs an id of its own.");
        }
    }
}

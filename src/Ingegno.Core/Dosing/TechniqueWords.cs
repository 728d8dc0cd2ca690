using System.Globalization;
using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;

namespace Ingegno.Core.Dosing;

/// <summary>What a client is told to do where more than plain repetitions are asked.</summary>
public static class TechniqueWords
{
    public static IEnumerable<string> Of(Exercise exercise, RepetitionStyle style, SetForm form, IReadOnlyList<int> counts)
    {
        bool low = exercise.HardestPause == PausePosition.AfterLowering;
        string end = low ? "at the bottom" : "at the top";
        if (form == SetForm.PushFirst)
        {
            yield return string.Create(CultureInfo.InvariantCulture, $"Before each set push or pull hard for {SetForecast.PushLasts.Seconds:0} s against something that will not give, breathing on, then straight into the set");
        }

        if (style.Partial is PartialPart.AndAHalf or PartialPart.AndAQuarter)
        {
            string part = style.Partial == PartialPart.AndAHalf ? "half" : "a quarter";
            yield return low
                ? $"Down, {part} way up, down again, all the way up: that counts one"
                : $"Up, {part} way down, up again, all the way down: that counts one";
        }
        else if (style.Partial == PartialPart.ShortHalf)
        {
            yield return "The short half of the movement only";
        }

        if (style.Pulses > 0)
        {
            yield return $"{RepetitionStyle.PulsesNamed(style.Pulses)} {end} of every repetition, small and slow";
        }

        if (form == SetForm.HoldToFatigue)
        {
            yield return $"Hold the last repetition {end} until it will not hold any more, breathing on";
        }

        if (form == SetForm.RestPause && counts.Count > 0)
        {
            yield return string.Create(CultureInfo.InvariantCulture, $"{counts[0]}, put it down for {RestPause.UsualRest.Seconds:0} s, a few more, and again, until {counts.Sum()} are done in all");
        }
    }
}

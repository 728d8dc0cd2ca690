using Ingegno.Core.Dosing;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Sessions;

/// <summary>How long prescribed work takes: repetitions at their tempo, sides, rests and changes, without the warm-up.</summary>
public static class SessionLength
{
    /// <summary>Going from one exercise to the next, and setting one up (common practice; coach).</summary>
    internal static readonly Duration ExerciseChange = Duration.FromSeconds(45), SettingUp = Duration.FromSeconds(30);

    /// <summary>A line with the letter of its superset, null when it stands alone.</summary>
    public readonly record struct Part(string? Group, Prescription Prescription);

    /// <param name="parts">In the order they are trained; lines of one letter follow each other.</param>
    public static Duration Of(IReadOnlyList<Part> parts)
    {
        var total = Duration.Zero;
        string? before = null;
        for (int i = 0; i < parts.Count; i++)
        {
            bool sameGroup = parts[i].Group is { } group && group == before;
            bool lastOfGroup = parts[i].Group is null || i + 1 == parts.Count || parts[i + 1].Group != parts[i].Group;
            total += SettingUp + OfOne(parts[i].Prescription, lastOfGroup);
            total += i > 0 && !sameGroup ? ExerciseChange : Duration.Zero;
            before = parts[i].Group;
        }

        return total;
    }

    /// <summary>One set with both its sides, without the rest after it.</summary>
    /// <param name="set">From 0.</param>
    public static Duration OfSet(Prescription line, int set)
    {
        double perCount = line.Count.IsRepetitions() ? line.Style.Lasts.Seconds : line.Count.SecondsEach();
        var side = Duration.FromSeconds(line.Counts[set] * perCount);
        return line.PerSide ? (side * 2) + SetPlan.SideSwitch : side;
    }

    /// <summary>Work and rests of one line; the rest after the very last set of a group is the change to the next.</summary>
    internal static Duration OfOne(Prescription line, bool lastOfGroup)
    {
        double perCount = line.Count.IsRepetitions() ? line.Style.Lasts.Seconds : line.Count.SecondsEach();
        var work = Duration.FromSeconds(line.Counts.Sum() * perCount * (line.PerSide ? 2 : 1));
        var switches = line.PerSide ? SetPlan.SideSwitch * line.Counts.Length : Duration.Zero;
        return work + switches + (line.Rest * (line.Counts.Length - (lastOfGroup ? 1 : 0)));
    }
}

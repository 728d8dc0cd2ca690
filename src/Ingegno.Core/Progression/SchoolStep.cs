using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;
using Ingegno.Core.Schools;

namespace Ingegno.Core.Progression;

/// <summary>Steps of the other schools of progress, and of lines whose load never goes up. All sets of the last session were done.</summary>
internal static class SchoolStep
{
    /// <summary>A step of density, and the shortest rest it leads to (common practice; coach).</summary>
    private const int LessRest = 10, ShortestRest = 30;

    /// <summary>A line for skill, joint care or activation stays as it is; null for any other.</summary>
    internal static Step? Capped(LineCase about) => Purposes.IsCapped(about.Line.Purpose)
        ? new(StepKind.Hold, $"The same again, cleaner: a line for {Words(about.Line.Purpose)} is not made heavier.", [], about.Line)
        : null;

    /// <summary>Null where load comes first.</summary>
    internal static Step? For(LineCase about, SetLog[][] sessions)
    {
        var (line, rules) = (about.Line, about.Rules);
        return rules.Teaches(Teaching.Density) ? Denser(line)
            : rules.Teaches(Teaching.Milestones) ? Milestone(about, sessions)
            : null;
    }

    private static Step? Denser(Prescription line) =>
        Shorter(line) is { } next
            ? new(StepKind.Rest, $"Rest {next.Rest} instead of {line.Rest}: the same work in less time.", [$"{School.Named(Teaching.Density)}."], next)
            : null;

    /// <summary>The line with a step less rest; null where it is as short as it gets.</summary>
    internal static Prescription? Shorter(Prescription line)
    {
        double rest = Math.Max(ShortestRest, line.Rest.Seconds - LessRest);
        return rest < line.Rest.Seconds ? line with { Rest = Duration.FromSeconds(rest) } : null;
    }

    private static Step? Milestone(LineCase about, SetLog[][] sessions)
    {
        var (line, rules, harder) = (about.Line, about.Rules, about.Harder);
        int standard = Math.Max(line.TopOfRange, line.Counts.Max());
        int clean = sessions.Take(rules.MilestoneSessions).Count(s => s.Take(line.Counts.Length).All(set => Sides.Done(set) >= standard && set.Pain == 0));
        string rule = $"{School.Named(Teaching.Milestones)}.";
        if (clean >= rules.MilestoneSessions)
        {
            return about.Variations is [var up, ..]
                ? new(StepKind.Variation, $"Move up to {PlainWords.InSentence(up.Name)}: every set at {standard}, clean, {rules.MilestoneSessions} {(rules.MilestoneSessions == 1 ? "session" : "sessions running")}.", [rule], up)
                : harder is null
                ? new(StepKind.Hold, $"The top of its ladder, {standard} in every set: keep it, or change the line.", [rule], line)
                : new(StepKind.Variation, $"Move up to {PlainWords.InSentence(harder.Name)}: every set at {standard}, clean, {rules.MilestoneSessions} {(rules.MilestoneSessions == 1 ? "session" : "sessions running")}.", [rule], line);
        }

        var next = line with { Counts = [.. line.Counts.Select(c => Math.Min(standard, c + 1))] };
        return new(
            line.Counts.Min() < standard ? StepKind.Repetitions : StepKind.Hold,
            line.Counts.Min() < standard ? $"Towards the milestone of {standard} a set: {next.CountInWords}." : $"The milestone of {standard} a set again: {clean} of {rules.MilestoneSessions} clean sessions.",
            [rule],
            next);
    }

    private static string Words(Purpose? purpose) => purpose switch
    {
        Purpose.JointCare => "joint care",
        _ => purpose.ToString()!.ToLowerInvariant(),
    };
}

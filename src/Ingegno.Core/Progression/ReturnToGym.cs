using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Loads;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Progression;

/// <summary>A week of the way back.</summary>
/// <param name="Sets">Of each written set count, so many are done.</param>
/// <param name="Below">Part of the written sets left out: 0.5 is half.</param>
public sealed record ReturnWeek(int Week, double Below, int Sets);

/// <summary>A written line as it comes back.</summary>
/// <param name="Written">Line as typed.</param>
/// <param name="FirstLoad">For the first week; null where nothing tells it.</param>
/// <param name="Estimate">Maximum the load comes from, with its range.</param>
/// <param name="Weeks">Sets over four weeks.</param>
/// <param name="Story">How the load came about.</param>
public sealed record ReturningLine(
    int Line, string Session, string Written, string Name, Mass? FirstLoad, StrengthAnchor? Estimate, ImmutableArray<ReturnWeek> Weeks, string Story);

/// <summary>
/// Back in the gym the swaps turn back: the written programme with first loads from what the log has taught, its volume ramped over four weeks.
/// </summary>
public static class ReturnToGym
{
    /// <summary>
    /// Volume half, then 30, 20 and 10 percent below (Caterisano et al. 2019, Strength Cond J 41(3):1-23: a consensus for conditioning after
    /// a break, borrowed for lifting; from memory).
    /// </summary>
    public static ImmutableArray<double> Below { get; } = [0.5, 0.3, 0.2, 0.1];

    /// <summary>Left over in the first week, at least; plates go by 2.5 kg.</summary>
    private const double FirstReserve = 3, Plates = 2.5;

    /// <param name="anchors">Maxima with what the log has taught.</param>
    public static ImmutableArray<ReturningLine> Of(
        WrittenProgramme programme, ClientProfile client, Catalogue catalogue, StrengthAnchors anchors, HouseRules rules) =>
    [
        .. from session in programme.Sessions
           from line in session.Lines
           let exercise = line.Exercise is { } id ? catalogue.Find(id) : null
           where exercise is { IsSlot: false }
           select Line(session, line, exercise, client, anchors, rules),
    ];

    private static ReturningLine Line(
        WrittenSession session, WrittenLine line, Exercise exercise, ClientProfile client, StrengthAnchors anchors, HouseRules rules)
    {
        var anchor = anchors.For(exercise);
        var (load, story) = anchor is null || !line.Sets[0].Kind.IsRepetitions()
            ? (null, "no maximum stands behind it: as written, and easy")
            : FirstLoad(line, exercise, client, anchor, rules);
        return new(
            line.Number, session.Title, line.Text, exercise.Name, load, anchor,
            [.. Below.Select((below, week) => new ReturnWeek(week + 1, below, Math.Max(1, (int)Math.Round(line.Sets.Length * (1 - below), MidpointRounding.AwayFromZero))))],
            story);
    }

    /// <summary>The heaviest whole step at which the first week's sets leave three, and never more than was written.</summary>
    private static (Mass? Load, string Story) FirstLoad(WrittenLine line, Exercise exercise, ClientProfile client, StrengthAnchor anchor, HouseRules rules)
    {
        var effort = new ExerciseEffort(exercise, client, anchor, new Geometry());
        int sets = Math.Max(1, (int)Math.Round(line.Sets.Length * (1 - Below[0]), MidpointRounding.AwayFromZero));
        ImmutableArray<int> counts = [.. line.Sets.Take(sets).Select(s => Math.Max(1, s.Middle))];
        double reserve = Math.Max(FirstReserve, line.Intensity.Reserve ?? rules.ReserveFor(client));
        var rest = HouseRules.RestOf(line, counts[0]);
        double least = exercise.IsAssisted ? -client.BodyMass.Kilograms : 0;
        double top = Math.Floor(Math.Max(least, effort.LoadFor(Demand.Of(1)).Kilograms) / Plates) * Plates;
        for (double kilograms = top; kilograms >= least; kilograms -= Plates)
        {
            var load = Mass.FromKilograms(kilograms);
            if (effort.DemandOf(load) >= RepetitionCost.LeastDemand
                && new SetPlan(counts, load, RepetitionStyle.Plain, rest, []).Forecast(effort)[^1].Reserve >= reserve)
            {
                return (load, $"{counts.Length} x {counts[0]} leaving {reserve:0.#} of an estimated maximum of {anchor.Maximum} ({anchor.Low} to {anchor.High}): {anchor.Story}");
            }
        }

        return (null, $"even the lightest step is more than {counts[0]} leaving {reserve:0.#}: {anchor.Story}");
    }
}

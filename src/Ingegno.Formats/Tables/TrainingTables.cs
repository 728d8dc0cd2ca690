using System.Collections.Immutable;
using System.Globalization;
using Ingegno.Core.Blocks;
using Ingegno.Core.Clients;
using Ingegno.Core.Exercises;
using Ingegno.Core.Plans;
using Ingegno.Core.Programmes;
using Ingegno.Core.Progression;
using Ingegno.Core.Quantities;

namespace Ingegno.Formats.Tables;

/// <summary>A plan and a log laid out for spreadsheets, loads in the client's unit.</summary>
public static class TrainingTables
{
    /// <summary>One sheet a session, the weeks of the block across.</summary>
    /// <param name="weeks">As laid out ahead; none where the plan has no block.</param>
    /// <param name="targets">What each line asks in each.</param>
    public static ImmutableArray<Table> Programme(Plan plan, MassUnit unit, ImmutableArray<BlockWeek> weeks, ImmutableArray<LineTargets> targets) =>
    [
        .. plan.Sessions.Select(session => new Table(TitleOf(session),
        [
            [.. Header(unit), .. weeks.Select(Week)],
            .. session.Lines.Select(line => (ImmutableArray<string>)
            [
                .. Row(line, unit),
                .. targets.FirstOrDefault(t => t.Line == line.Number && !line.IsAdded) is { } ahead ? ahead.Weeks.Select(w => InWeek(w.Prescription, line.Prescription)) : weeks.Select(_ => ""),
            ]),
        ])),
    ];

    private static string Week(BlockWeek week) => string.Create(
        CultureInfo.InvariantCulture, $"Week {week.Number}{(week.Starts is { } starts ? $", {starts:d MMM}" : "")}{(week.Kind == WeekKind.Full ? "" : $", {week.Kind.ToString().ToLowerInvariant()}")}");

    /// <summary>A tempo is told where it is another one than now.</summary>
    private static string InWeek(Prescription asked, Prescription? now) =>
        $"{asked.CountInWords}{(asked.Load == Mass.Zero ? "" : $", {asked.LoadInWords.Split(". ")[0]}")}{(asked.Tempo is { } tempo && tempo != now?.Tempo ? $", tempo {tempo}" : "")}";

    /// <summary>All sessions below each other.</summary>
    public static Table ProgrammeInOne(Plan plan, MassUnit unit) => new("Programme",
    [
        ["Day", .. Header(unit)],
        .. plan.Sessions.SelectMany(session => session.Lines.Select(line => (ImmutableArray<string>)[TitleOf(session), .. Row(line, unit)])),
    ]);

    private static string TitleOf(PlannedSession session) => session.Title.Length > 0 ? session.Title : "Session";

    private static ImmutableArray<string> Header(MassUnit unit) =>
        ["Group", "Exercise", "Sets", "Reps", $"Load {Unit(unit)}", "With", "Tempo", "Rest s", "Left", "How to set it up", "Instead of", "Why"];

    private static ImmutableArray<string> Row(PlannedLine line, MassUnit unit)
    {
        if (line.Prescription is not { } given)
        {
            return [line.Tag, "", "", "", "", "", "", "", "", "", line.Written.Trim(), line.Why];
        }

        string counts = given.Counts.Distinct().Count() == 1 ? $"{given.Counts[0]}" : string.Join('/', given.Counts);
        return
        [
            line.Tag, given.Name, $"{given.Counts.Length}", $"{counts}{Count(given.Count)}{(given.PerSide ? " a side" : "")}",
            given.Load == Mass.Zero ? "" : Figure(given.Load, unit), given.LoadInWords, given.Tempo?.ToString() ?? "", Text(given.Rest.Seconds),
            given.Reserve is { } left ? Text(Math.Round(left)) : "", string.Join(". ", given.Placement.Concat(given.SetUp)), line.Written.Trim(), line.Why,
        ];
    }

    private static string Count(Core.Programmes.CountKind count) => count switch
    {
        Core.Programmes.CountKind.Seconds => " s",
        Core.Programmes.CountKind.Metres => " m",
        Core.Programmes.CountKind.Breaths => " breaths",
        Core.Programmes.CountKind.Steps => " steps",
        Core.Programmes.CountKind.Trips => " trips",
        _ => "",
    };

    /// <summary>Oldest day first, a set a row.</summary>
    public static Table Log(IEnumerable<SetLog> sets, Catalogue catalogue, MassUnit unit) => new("Log",
    [
        ["Date", "Exercise", "Set", $"Load {Unit(unit)}", "Repetitions", "Other side", "Left", "To the limit", "Ended by", "Pain", "Pain at", "Rest before s"],
        .. sets.OrderBy(s => s.On).ThenBy(s => s.Line).ThenBy(s => s.SetNumber).Select(s => (ImmutableArray<string>)
        [
            s.On.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture), catalogue.Find(s.Exercise)?.Name ?? s.Exercise, $"{s.SetNumber}", Figure(s.Load, unit), $"{s.Repetitions}",
            s.OtherSide is { } other ? $"{other}" : "", s.Reserve?.ToString() ?? "", s.ToLimit ? "yes" : "", s.Stopped?.ToString().ToLowerInvariant() ?? "", s.Pain > 0 ? $"{s.Pain}" : "",
            s.PainAt?.ToString().ToLowerInvariant() ?? "", s.RestBefore is { } rest ? Text(rest.Seconds) : "",
        ]),
    ]);

    private static string Unit(MassUnit unit) => unit == MassUnit.Pound ? "lb" : "kg";

    private static string Figure(Mass load, MassUnit unit) => Text(Math.Round(unit == MassUnit.Pound ? load.Pounds : load.Kilograms, 2));

    private static string Text(double number) => number.ToString("0.##", CultureInfo.InvariantCulture);
}

using System.Collections.Immutable;
using System.Text.RegularExpressions;
using Ingegno.Core.Blocks;
using Ingegno.Core.Clients;
using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Figures;
using Ingegno.Core.Homes;
using Ingegno.Core.Plans;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;
using Ingegno.Core.Safety;
using Ingegno.Core.Sessions;

namespace Ingegno.Core.Sheets;

/// <summary>Writes the sheet of a place from the plan in force.</summary>
public static partial class SheetWriting
{
    private const int MostSetUp = 2, MostCues = 3;

    /// <summary>Nobody counts more than this many left (common practice).</summary>
    internal const double FarFromLimit = 6.5;

    /// <param name="sessions">As trained there.</param>
    /// <param name="leftOut">Why lines are not done now, by line.</param>
    /// <param name="today">What was done to the session of that number to make it fit; null for none.</param>
    public static Sheet Of(
        ClientProfile client, string coach, Plan plan, IReadOnlyList<PlannedSession> sessions, Home home, Catalogue catalogue, IReadOnlyDictionary<int, string> leftOut, DateOnly on,
        (int Session, ImmutableArray<string> Steps)? today = null)
    {
        string name = client.Name.Split(' ')[0];
        string week = WeekOf(plan, client, on);
        return new(
            name, coach,
            [
                .. sessions.Select((session, i) => new SheetSession(
                    session.Title, string.Join(" · ", new[] { name, home.Name, $"about {Math.Round(session.Length.Seconds / 60)} minutes", week }.Where(w => w.Length > 0)),
                    today?.Session == i ? today.Value.Steps : [],
                    [.. session.LayOut.Select(l => new SheetThing(l.Thing, l.Settings))],
                    Drills(session.WarmUp),
                    [.. session.Lines.Select(l => Line(l, home, client, catalogue, leftOut.GetValueOrDefault(l.Line)))],
                    Drills(session.CoolDown),
                    [.. session.Lines.Where(l => !leftOut.ContainsKey(l.Line)).SelectMany(l => l.Prescription?.Cautions ?? []).Distinct()])).Where(s => s.Lines.Length > 0),
            ]);
    }

    private static string WeekOf(Plan plan, ClientProfile client, DateOnly on)
    {
        if (plan.Block is not { Starts: { } starts } block || on < starts || block.IsOpenEnded)
        {
            return "";
        }

        int weeks = BlockCalendar.Of(block, client, Math.Max(plan.Sessions.Length, 1)).Length, week = ((on.DayNumber - starts.DayNumber) / 7) + 1;
        return week <= weeks ? $"week {week} of {weeks}" : "";
    }

    private static string Drills(ImmutableArray<GivenDrill> drills) => string.Join(" · ", drills.Select(d => $"{PlainWords.InSentence(d.Name)} {d.Dose}"));

    private static SheetLine Line(PlannedLine line, Home home, ClientProfile client, Catalogue catalogue, string? leftOut)
    {
        if (line.Prescription is not { } asked)
        {
            return new(line.Line, line.Tag, line.Written, "", "", "", [], [], "", 0, "", false, "Nothing stands in here yet; leave it out until the coach says.", []);
        }

        var spelled = SendingCheck.Spelled(asked);
        var exercise = catalogue.Find(spelled.Exercise);
        string gym = GymOf(line.Written, spelled);
        return new(
            line.Line, line.Tag, exercise is not null && spelled.Name.StartsWith(exercise.Name + ",", StringComparison.Ordinal) ? exercise.Name : spelled.Name, spelled.CountInWords, How(spelled, exercise), With(spelled),
            [.. SetUp(spelled).Take(MostSetUp)], [.. spelled.Cues.Take(MostCues)], gym, spelled.Form == SetForm.RestPause ? 1 : spelled.Counts.Length,
            Counted(spelled.Count), spelled.Load > Mass.Zero, leftOut, [.. line.Behind.Select(d => $"{d.Name}, {d.Dose}")])
        {
            Figure = exercise is null ? null : Drawing.Of(exercise, FigureSetting.Of(spelled, exercise, home, client)),
        };
    }

    /// <summary>Where things stand first, then how the body does; how that compares with what would suit best is the coach's business.</summary>
    private static ImmutableArray<string> SetUp(Prescription line)
    {
        string placed = Compared().Replace(string.Join("; ", line.Placement.Select(p => Easier().Replace(p, ""))), m => m.Groups["so"].Success ? $"{m.Groups["open"].Value}{m.Groups["so"].Value}" : m.Groups["open"].Value is " (" ? " (" : "")
            .Replace(" (; ", " (", StringComparison.Ordinal).Replace(" ()", "", StringComparison.Ordinal).Trim();
        return line.Placement.IsEmpty ? line.SetUp : line.SetUp.IsEmpty ? [placed] : [placed, string.Join(". ", line.SetUp)];
    }

    private static string How(Prescription line, Exercise? exercise)
    {
        var said = new List<string>();
        if (exercise is not null && Pace.Of(line, exercise) is { IsEmpty: false } pace)
        {
            said.Add(string.Join(", ", pace.Select(p => p.Word switch
            {
                "lower" => $"{p.Seconds} s down",
                "lift" => p.Seconds > 1 ? $"{p.Seconds} s up" : "up",
                "lift fast" => "fast up",
                "hold low" or "hold high" => $"hold {p.Seconds}",
                _ => p.Word,
            })));
        }

        if (line.Counts.Length > 1 || line.Rest > Duration.Zero)
        {
            said.Add($"rest {TimeSpan.FromSeconds(line.Rest.Seconds):m\\:ss}");
        }

        if (line.Reserve is { } left)
        {
            said.Add(left > FarFromLimit ? "an easy set" : Math.Round(left) > 0 ? $"stop with {Math.Round(left)} left" : "to the last clean one");
        }

        if (line.FinishOn is { } finish)
        {
            said.Add($"then {PlainWords.InSentence(finish.Name)}, about {finish.Expected}; write both down");
        }

        return string.Join(" · ", said);
    }

    /// <summary>What a band is worth in kilograms is the coach's business.</summary>
    private static string With(Prescription line) => Estimate().Replace(GiveOrTake().Replace(line.LoadInWords, ""), "");

    private static string Counted(CountKind count) => count switch
    {
        CountKind.Seconds => "s",
        CountKind.Breaths => "breaths",
        CountKind.Steps => "steps",
        CountKind.Metres => "m",
        CountKind.Trips => "trips",
        _ => "reps",
    };

    /// <summary>"gym: front squat 4 x 6 at 72.5 kg"; what is done as written needs no second name.</summary>
    private static string GymOf(string written, Prescription line)
    {
        string said = Tag().Replace(Comment().Replace(written, "").Trim(), "");
        return said.Length == 0 || said.StartsWith("any ", StringComparison.OrdinalIgnoreCase) || said.Contains(line.Name, StringComparison.OrdinalIgnoreCase) ? "" : PlainWords.InSentence(said);
    }

    [GeneratedRegex(@"^(as heavy as [\d.,]+ (kg|lb)(, roughly)?\. ([^:.]+: )?|weight and band as [\d.,]+ (kg|lb)(, roughly)?\. )")]
    private static partial Regex Estimate();

    [GeneratedRegex(@"(?<open> \(|; )\d+ cm (higher|lower) than best for you(: (?<so>[^;)]+))?")]
    private static partial Regex Compared();

    [GeneratedRegex(@"(; |(?<=\())\d+ cm (higher|lower) than a first incline for you(: [^;)]*)?")]
    private static partial Regex Easier();

    [GeneratedRegex(@", give or take [\d.,]+ (kg|lb)")]
    private static partial Regex GiveOrTake();

    [GeneratedRegex(@"^[A-Za-z]\d?[.)]?\s+(?=[A-Z])")]
    private static partial Regex Tag();

    [GeneratedRegex(@"//.*$")]
    private static partial Regex Comment();
}

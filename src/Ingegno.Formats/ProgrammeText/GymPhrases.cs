using System.Globalization;
using System.Text.RegularExpressions;
using Ingegno.Core.Programmes;

namespace Ingegno.Formats.ProgrammeText;

/// <summary>
/// What coaches write in words and shorthand, beside the figures <see cref="LineGrammar"/> reads: "3 sets of ten", "60s x3", "12 reps x 3 sets",
/// "8/side", "rest 2-3 min", "3 s down", "with 5 pulses". Each phrase is a pattern that has to begin where it is asked for.
/// </summary>
internal static partial class GymPhrases
{
    private const string N = @"\d+(?:[.,]\d+)?";
    private const string Whole = @"(?:\d{1,4}(?!\d)|(?:one|two|three|four|five|six|seven|eight|nine|ten|twelve|fifteen|twenty)\b)";
    private const string Cap = @"(?:max(?:imum)?(?: reps?| repetitions)?|amrap|as many(?: reps)? as possible|(?:to |till |until )?failure)";
    private const string Unit = @"(?:seconds?|secs?|s\b|""|''|minutes?|mins?\b|min\b|'|metres?\b|meters?\b|m\b|reps?\b|repetitions|steps?\b|breaths?\b|trips?\b|lengths?\b)";
    private const string Times = @"\s*[x×*]\s*";
    private const string Side = @"(?:sides?|legs?|arms?|hands?|way)";

    private static readonly Dictionary<string, int> Words = new(StringComparer.OrdinalIgnoreCase)
    {
        ["one"] = 1,
        ["two"] = 2,
        ["three"] = 3,
        ["four"] = 4,
        ["five"] = 5,
        ["six"] = 6,
        ["seven"] = 7,
        ["eight"] = 8,
        ["nine"] = 9,
        ["ten"] = 10,
        ["twelve"] = 12,
        ["fifteen"] = 15,
        ["twenty"] = 20,
    };

    /// <summary>No line of 400 letters takes a pattern nearly so long, its first use included.</summary>
    private static readonly TimeSpan Longest = TimeSpan.FromSeconds(5);

    private sealed record Phrase(Regex Pattern, Func<Match, LinePart?[]> Read);

    /// <summary>Not compiled: a hundred of them take three seconds of a start and thirty megabytes, and a line is read once (<see cref="LineReader"/> keeps it).</summary>
    private static Phrase Of(string pattern, Func<Match, LinePart?[]> read) =>
        new(new Regex(@"\G(?:" + pattern + ")", RegexOptions.IgnoreCase | RegexOptions.CultureInvariant | RegexOptions.ExplicitCapture, Longest), read);

    /// <summary>Sets and counts; the first that fits is taken.</summary>
    private static readonly Phrase[] Doses =
    [
        // "3 sets of ten", "10 rounds of 10", "3 sets to failure", "3 sets, 12 reps", "3 sets x 12 reps", "three sets of 8 to 12".
        Of($@"(?<sets>{Whole})\s*(?:sets?|rounds?)\s*(?:of|x|×|,|:|@)?\s*(?:(?<cap>{Cap})|(?<low>{Whole})(?:\s*(?:-|–|to)\s*(?<high>{Whole}))?(?<more>\+)?\s*(?<unit>{Unit})?)", m => [Sets(m)]),
        Of($@"sets?\s*:?\s*(?<sets>{Whole})\s*,?\s*reps?\s*:?\s*(?<low>{Whole})(?:\s*(?:-|–|to)\s*(?<high>{Whole}))?", m => [Sets(m)]),
        // "12 reps x 3 sets", "60s x3", "AMRAP x 3", "30 sec, 3 sets", "as many as possible, 2 sets".
        Of($@"(?:(?<cap>{Cap})|(?<low>{Whole})(?:\s*(?:-|–|to)\s*(?<high>{Whole}))?\s*(?<unit>{Unit}))(?:{Times}(?<sets>{Whole})(?:\s*sets?\b)?|\s*,\s*(?<sets>{Whole})\s*sets?\b)", m => [Sets(m)]),
        // "2x1:30", "3 x 1 min", "3x60\"".
        Of($@"(?<sets>\d{{1,2}}){Times}(?<minutes>\d{{1,2}}):(?<seconds>\d{{2}})(?!:)", m => [new LinePart.Dose(new SetsRead(Number(m, "sets"), [Exactly(CountKind.Seconds, (60 * Number(m, "minutes")) + Number(m, "seconds"))]))]),
        Of($@"(?<sets>\d{{1,2}}){Times}(?<low>\d{{1,3}})(?:\s*(?:-|–)\s*(?<high>\d{{1,3}}))?\s*(?<unit>minutes?\b|mins?\b|metres?\b|meters?\b|m\b|""|'')", m => [Sets(m)]),
        // "cluster 4 x 2+2+2, 20 s", "4 x (2+2+2) cluster": the set is their sum.
        Of($@"(?<cluster>clusters?\s*(?:sets?)?\s*(?:of|:|,)?\s*)?(?<sets>\d{{1,2}}){Times}\(?(?<bouts>\d{{1,2}}(?:\s*\+\s*\d{{1,2}}){{2,5}})\)?(?:(?:\s*,)?\s*(?<figure>\d{{1,2}})\s*(?:s|sec|secs|seconds?)\b(?:\s*(?:between|apart|inside|rest))?)?", m => [Bouts(m), Does(TechniqueKind.Cluster, m)]),
        // "3x8/side", "3x10 + band", "3x8 - keep the blades back": the mark behind belongs to what follows.
        Of($@"(?<sets>\d{{1,2}}){Times}(?<low>\d{{1,3}})(?:\s*-\s*(?<high>\d{{1,3}}))?(?=\s*(?:/\s*[a-z]|-\s*[a-z]|\+\s*(?:{N}\s*(?:kg|lbs?\b|\#|pulses?)|(?:an?\s+)?(?:bands?\b|partials?|drop|hold|iso))))", m => [Sets(m)]),
        Of($@"(?<sets>\d{{1,2}}){Times}(?<cap>{Cap})(?!\s*\d)", m => [Sets(m)]),
        // "3 x 8+8": the same on both sides.
        Of($@"(?<sets>\d{{1,2}}){Times}(?<low>\d{{1,3}})\s*\+\s*\k<low>\b(?!\s*\+)", m => [Sets(m), new LinePart.PerSide()]),
        // "2x5, 1x5+": blocks of one load.
        Of($@"(?<blocks>\d{{1,2}}{Times}\d{{1,3}}\+?(?:\s*(?:,|then|\+)\s*\d{{1,2}}{Times}\d{{1,3}}\+?)+)(?!\+|\s*(?:kg|lb|%|\d))", m => [Blocks(m.Groups["blocks"].Value)]),
        // "3 x 5 x 80": the third figure is the load.
        Of($@"(?<sets>\d{{1,2}}){Times}(?<low>\d{{1,3}}){Times}(?<load>\d{{2,3}}(?:[.,]\d+)?)\s*(?<kind>kg|kgs|lbs?|#)?(?!\d)", m => [Sets(m), new LinePart.Load(Figure(m, "load"), LoadUnit(m))]),
        // "x5x3" behind a load, "x 10 x 3": repetitions, then sets.
        Of($@"[x×]\s*(?<low>\d{{1,3}}){Times}(?<sets>\d{{1,2}})\b", m => [Sets(m)]),
        // "5,5,5+", "12, 12, 12", "10-8-6".
        Of(@"(?<list>\d{1,3}(?:\s*,\s*\d{1,3}){2,9}\+?|\d{1,3},\d{1,3}\+|\d{1,3}(?:-\d{1,3}){2}\+?(?![-\d])|\d{2,3}(?:-\d{1,3}){3,9}\+?)(?![\d:x×.])(?!\s*(?:kg|lb|%|s\b|tempo))", m => [List(m.Groups["list"].Value)]),
        // A minus sign right before a load takes nothing into the count; a row of a spreadsheet: name, sets, repetitions.
        Of($@"(?<sets>\d{{1,2}}){Times}(?<low>\d{{1,3}})(?=\s+-\s*{N}\s*(?:kg|kgs|lbs?\b|%))", m => [Sets(m)]),
        Of(@"(?<sets>\d{1,2})\s*[\t|;]\s*(?:(?<cap>amrap|max)|(?<low>\d{1,3})(?:\s*-\s*(?<high>\d{1,3}))?)(?=\s*(?:[\t|;]|$))", m => [Sets(m)]),
        // "top set of 5", "heavy single", "top set: 1x5" is left to what stands behind it.
        Of($@"top\s*set\s*(?:of|:|x)?\s*(?<low>\d{{1,2}})(?<more>\+)?(?!\s*(?:[x×*]|sets?\b)|\d|\s*-\s*\d)(?:\s*reps?\b)?", m => [Sets(m)]),
        Of(@"(?:top|heavy)\s+(?<one>single|double|triple)\b", m => [new LinePart.Dose(new SetsRead(1, [Exactly(CountKind.Repetitions, m.Groups["one"].Value.ToLowerInvariant() switch { "single" => 1, "double" => 2, _ => 3 })]))]),
        // "75 % x 5", "100 kg x 5", "5 @ 75 %": one set, and what it is done with.
        Of($@"(?<value>{N})\s*(?<kind>%|kgs?|lbs?|\#)\s*[x×*]\s*(?<low>\d{{1,2}})(?<more>\+)?(?=\s*(?:,|;|then\b|and\b|$))", m => [Sets(m), m.Groups["kind"].Value == "%" ? new LinePart.Percent(Figure(m, "value")) : new LinePart.Load(Figure(m, "value"), LoadUnit(m))]),
        Of($@"(?<low>\d{{1,2}})(?<more>\+)?\s*(?:reps?\s*)?(?=(?:@|at)\s*{N}\s*(?:%|kgs?\b|lbs?\b|,\s*\d{{1,2}}\s*@))", m => [Sets(m)]),
        Of($@"(?<=@\s*{N}\s*,\s*)(?<low>\d{{1,2}})(?<more>\+)?\s*(?=@\s*{N}\b)", m => [Sets(m)]),
        // "W1: 3x8 70 %, W2: ...": how it goes on is set with the block.
        Of(@"w(?:ee)?k?s?\s*(?<week>\d{1,2})\s*[:=]\s*", m => [new LinePart.Week(Number(m, "week"))]),
        // "12 + rest-pause": one set, and what is done on it.
        Of($@"(?<low>\d{{1,3}})(?=\s*\+\s*(?:rest-?\s?pause|myo|drop|partials?|pulses?))", m => [Sets(m)]),
        // "EMOM 10 min 15 reps", "3 reps every minute for 8 min", "10 EMOM for 8 minutes".
        Of($@"emom\s*(?:for\s*)?(?<sets>{Whole})\s*(?:minutes?|mins?|min|')\s*(?:of|x|:|,)?\s*(?<low>{Whole})\s*(?:reps?)?", EveryMinute),
        Of($@"(?<low>{Whole})\s*(?:reps?)?\s*(?:emom|every minute|each minute|on the minute)\s*(?:for|x)?\s*(?<sets>{Whole})\s*(?:minutes?|mins?|min|')", EveryMinute),
        // "25 total reps", "50 reps in as few sets as possible", "100 reps total": sets as they come.
        Of($@"(?<low>\d{{1,3}})\s*(?:reps?|repetitions)?\s*(?:in\s+)?(?:total|all)\b(?:\s*(?:reps?|repetitions)\b)?", m => [Total(m)]),
        Of($@"(?<low>\d{{1,3}})\s*total\s*(?:reps?|repetitions)\b", m => [Total(m)]),
        Of($@"(?<low>\d{{1,3}})\s*(?:reps?|repetitions)?\s*in as few sets as (?:possible|needed|you can|it takes)", m => [Total(m)]),
        Of($@"(?<low>\d{{1,3}})\s*(?:reps?|repetitions)?\s*in as many sets as (?:needed|it takes|you need)", m => [Total(m)]),
        Of(@"(?<low>\d{1,3})\s+(?=\p{L}[\p{L} -]*\bin total\s*$)", m => [Total(m)]),
        // "Plank 45s", "Push-ups x 20": one set.
        Of(@"(?<low>\d{1,3})\s*(?<unit>seconds?|secs?|s)\s*$", m => [Sets(m)]),
        Of(@"(?<low>\d{2,4})\s*(?<unit>metres?|meters?|m)\s*$", m => [Sets(m)]),
        Of(@"[x×]\s*(?<low>\d{1,3})\s*$", m => [Sets(m)]),
        // "Plank 1 min", "Rucksack walk 20 min", "4 trips": one set.
        Of(@"(?<low>\d{1,3})\s*(?<unit>minutes?\b|mins?\b|trips?\b|lengths?\b)(?!\s*(?:rest|between|on\b|off\b))", m => [Sets(m)]),
    ];

    /// <summary>What stands around the sets, before or behind them.</summary>
    private static readonly Phrase[] Parts =
    [
        Of($@"(?:,\s*)?(?:the\s+)?last set(?: is)?\s*(?:to |till |until )?(?:{Cap})", _ => [new LinePart.LastSet(new SetTarget(CountKind.AsManyAsPossible, 1, 0))]),
        Of(@"in total\s*$", _ => [new LinePart.Filler()]),
        // Sides.
        Of($@"/\s*(?:{Side})\b|/\s*e\b|e/s\b|e\.?s\.?\b|ea\b\.?(?:\s*{Side})?|(?:per|each|every|a)\s+{Side}\b|l\s*[/+]\s*r\b|r\s*[/+]\s*l\b|both\s+{Side}\b|left\s+(?:and|&|then)\s+right|right\s+(?:and|&|then)\s+left|on each {Side}|on both {Side}", _ => [new LinePart.PerSide()]),
        // Effort.
        Of($@"@?\s*(?<value>{N})\s*rpe\b", m => [new LinePart.Reserve(10 - Figure(m, "value"))]),
        Of($@"(?:leave|leaving|with)?\s*(?<value>{Whole})\s*(?:reps?\s*)?(?:in reserve|in the tank|in hand|left\b(?!\s+(?:and|&|then|leg|arm|side)))", m => [new LinePart.Reserve(Number(m, "value"))]),
        // Percent and load.
        Of($@"(?<=\s)(?:@\s*)?-{N}\s*(?:kg|kgs|lbs?\b|%)", _ => [new LinePart.NotYet("A load cannot be negative. Write it as 60 kg, 130 lb or 75 %.")]),
        Of($@"(?:@|at)?\s*(?<value>{N})\s*-\s*(?<most>{N})\s*(?:%|percent)", m => [new LinePart.Percent((Figure(m, "value") + Figure(m, "most")) / 2)]),
        // One a set: "75/85/95 %", "100, 90, 80 kg", "RPE 7/8/9".
        Of($@"(?:@|at)?\s*(?<each>{N}(?:(?:\s*/\s*|,\s+|\s*-\s*{N}\s*-\s*){N})+)\s*(?<kind>%|percent|kgs?|lbs?\b|\#)", m => [Each(m, m.Groups["kind"].Value is "%" or "percent" ? v => new LinePart.Percent(v) : v => new LinePart.Load(v, LoadUnit(m)))]),
        Of($@"(?:@|at)?\s*rpe\s*(?<each>{N}(?:\s*/\s*{N})+|{N}(?:,\s+{N}){{2,}})", m => [Each(m, v => new LinePart.Reserve(10 - v))]),
        Of($@"(?:@|at)?\s*rir\s*(?<each>{N}(?:\s*/\s*{N})+|{N}(?:,\s+{N}){{2,}})", m => [Each(m, v => new LinePart.Reserve(v))]),
        // What the sets behind are called.
        Of(@"(?:(?:and|then)\s+)?back-?\s?offs?\b(?:\s*sets?\b)?\s*[:,]?(?=\s*(?:of\s+)?\d)", _ => [new LinePart.Filler()]),
        Of(@"back-?\s?offs?\b(?:\s*sets?\b)?", _ => [new LinePart.NotYet("Back-off sets without sets and repetitions: write them, such as back-offs 3 x 8 @ 80 kg.")]),
        Of(@"(?:top|work(?:ing)?)\s*sets?\b\s*[:,]?", _ => [new LinePart.Filler()]),
        Of($@"(?:@|at)?\s*(?<value>{N})\s*(?:percent|per cent|pct)\b(?:\s*(?:of\s*)?(?:1\s*rm|max|one rep max))?", m => [new LinePart.Percent(Figure(m, "value"))]),
        Of($@"(?:@|at|with)?\s*(?:bw|bodyweight|body weight)\s*\+\s*(?<value>{N})\s*(?<kind>kg|kgs|kilos?|lbs?|pounds?|#)?", m => [new LinePart.Load(Figure(m, "value"), LoadUnit(m))]),
        Of($@"(?:@|at|with|w/)?\s*\+\s*(?<value>{N})\s*(?<kind>kg|kgs|kilos?|lbs?|pounds?|#)(?![a-z])", m => [new LinePart.Load(Figure(m, "value"), LoadUnit(m))]),
        Of($@"(?:@|at|with|w/)?\s*(?:2|two)\s*[x×]\s*(?<value>{N})\s*(?<kind>kg|kgs|kilos?|lbs?|pounds?|#)(?![a-z])", m => [new LinePart.Load(Figure(m, "value"), LoadUnit(m), PerHand: true)]),
        Of($@"(?:@|at|with|w/)?\s*(?<value>{N})\s*(?<kind>kg|kgs|kilos?|lbs?|pounds?|#)(?![a-z])(?<hand>\s*(?:per|each|a|in each)\s*(?:hand|dumbbell|db)\b)?", m => [new LinePart.Load(Figure(m, "value"), LoadUnit(m), m.Groups["hand"].Success)]),
        Of(@"(?:@|at|with)?\s*(?:bw|bodyweight|body weight)(?:\s+only)?\b", _ => [new LinePart.Load(0, "kg")]),
        // Rest.
        Of(@"(?:with\s+)?(?:rest|r)\s*[:=]?\s*(?<low>\d{1,3}(?:[.,]\d+)?)\s*(?:-|–|to)\s*(?<high>\d{1,3}(?:[.,]\d+)?)\s*(?<unit>seconds?|secs?|s\b|minutes?|mins?|min\b|m\b|'|"")?", m => [Rest(m)]),
        Of(@"r\s*[:=]?\s*(?<low>\d{1,3})\s*(?<unit>seconds?|secs?|s\b|minutes?|mins?|min\b|'|"")?(?![\d/:%a-z])", m => [Rest(m)]),
        Of(@"(?:with\s+)?(?<low>\d{1,3}(?:[.,]\d+)?)(?:\s*(?:-|–|to)\s*(?<high>\d{1,3}(?:[.,]\d+)?))?\s*(?<unit>seconds?|secs?|s\b|minutes?|mins?|min\b|'|"")\s*(?:of\s+)?(?:rest|between(?:\s+sets)?|off)\b", m => [Rest(m)]),
        Of(@"rest\s*[:=]?\s*(?:of\s+)?(?:a|one)\s+minute", _ => [new LinePart.Rest(60)]),
        Of(@"rest\s*[:=]?\s*(?<low>\d{1,2}(?:[.,]\d+)?)\s*(?<unit>')", m => [Rest(m)]),
        // Tempo in figures.
        Of(@"(?:@|tempo|t)\s*[:=]?\s*(?<tempo>\d[0-9][0-9x][0-9])(?![\d])", m => m.Groups["tempo"].Value is var t && (t.Contains('x', StringComparison.OrdinalIgnoreCase) || !m.Value.StartsWith('@')) ? [new LinePart.TempoText(t.ToUpperInvariant())] : []),
        // "31X0"; "10x3" is ten sets unless other sets stand on the line.
        Of(@"(?<tempo>[2-9]\dx\d|\d\dx0)(?!\d)|(?<=\d\s*[x×*]\s*\d.*|sets?\b.*)(?<tempo>\d\dx\d)(?!\d)(?!\s*@)|(?<tempo>\d\dx\d)(?!\d)(?=.*\d\s*[x×*]\s*\d)(?!\s*@)", m => [new LinePart.TempoText(m.Groups["tempo"].Value.ToUpperInvariant())]),
        Of(@"(?<a>\d{1,2}):(?<b>\d{1,2}):(?<c>\d{1,2}|x):(?<d>\d{1,2})", m => [new LinePart.TempoText($"{m.Groups["a"]}-{m.Groups["b"]}-{m.Groups["c"]}-{m.Groups["d"]}")]),
        Of(@"(?:tempo\s*)?(?<a>\d)-(?<b>\d)-(?<c>\d|x)(?:\s*tempo\b|(?<=tempo\s*\d-\d-[\dx]))(?![-\d])", m => [new LinePart.TempoText($"{m.Groups["a"]}-{m.Groups["b"]}-{m.Groups["c"]}-0")]),
        // Tempo in words.
        Of($@"(?<down>\d{{1,2}})\s*(?:s|sec|secs|seconds?)?\s*down,?\s*(?:and\s*)?(?<up>\d{{1,2}})\s*(?:s|sec|secs|seconds?)?\s*up\b", m => [new LinePart.Phases(Lowering: Number(m, "down"), Lifting: Number(m, "up"))]),
        Of($@"(?:with\s+|w/\s*)?(?:an?\s+)?(?<down>{Whole})\s*-?\s*(?:s|sec|secs|seconds?)\s*(?:down|eccentrics?|negatives?|lowering|descent)\b", m => [new LinePart.Phases(Lowering: Number(m, "down"))]),
        Of(@"(?:with\s+|w/\s*)?(?:an?\s+)?(?:slow|controlled)\s+(?:negatives?|eccentrics?|lowering|descent)\b", _ => [LinePart.Phases.Slow]),
        Of($@"(?:with\s+|w/\s*)?(?:an?\s+)?(?<hold>{Whole})\s*-?\s*(?:s|sec|secs|seconds?)\s*(?:pause|hold|squeeze)s?\s*(?:at|in)\s*(?:the\s*)?top\b", m => [new LinePart.Phases(High: Number(m, "hold"))]),
        Of($@"(?:hold|squeeze|pause)\s*(?:for\s*)?(?<hold>{Whole})\s*(?:s|sec|secs|seconds?)?\s*(?:at|in)\s*(?:the\s*)?top\b", m => [new LinePart.Phases(High: Number(m, "hold"))]),
        Of($@"(?:with\s+|w/\s*)?(?:an?\s+)?(?<hold>{Whole})\s*-?\s*(?:s|sec|secs|seconds?)\s*(?:pause|hold)s?(?:\s*(?:at|in)\s*(?:the\s*)?(?:bottom|hole|chest|stretch))?(?!\s*(?:first|before|last|at the end|at end|iso))\b(?!\s*(?:first|before|at the end|at end))", m => [new LinePart.Phases(Low: Number(m, "hold"))]),
        Of($@"paused?\s*(?:for\s*)?(?<hold>{Whole})\s*(?:s|sec|secs|seconds?)?\b", m => [new LinePart.Phases(Low: Number(m, "hold"))]),
        Of(@"paused?\b(?:\s*(?:at|in)\s*(?:the\s*)?(?:bottom|hole|chest))?", _ => [LinePart.Phases.Paused]),
        Of(@"(?:explosive(?:ly)?|fast up|explode up|as fast as possible)\b", _ => [new LinePart.Phases(Fast: true)]),
        // Techniques.
        Of(@"(?:\+|with|w/|and)?\s*(?<figure>\d{1,2})\s*pulses?(?:\s*(?:at|in)\s*(?:the\s*)?(?:bottom|top|end))?", m => [Does(TechniqueKind.Pulses, m)]),
        Of(@"(?:\+|with|w/)?\s*(?:1\.5|1,5|1 1/2|1½|one and a half|one-and-a-half)\s*(?:reps?|repetitions)?\b", _ => [Does(TechniqueKind.OneAndAHalf)]),
        Of(@"(?:\+|with|w/)?\s*(?:1\.25|1,25|1 1/4|1¼|one and a quarter|one-and-a-quarter)\s*(?:reps?|repetitions)?\b", _ => [Does(TechniqueKind.OneAndAQuarter)]),
        Of(@"(?:\+|with|w/)?\s*(?:rest-?\s?pause|myo-?\s?reps?)\s*(?:(?<figure>\d{1,2})\s*(?:s|sec|secs|seconds?)?)?", m => [Does(TechniqueKind.RestPause, m)]),
        Of(@"(?:,\s*)?(?:last set\s+|\+\s*|with\s+(?:an?\s+)?|w/\s*(?:an?\s+)?)?drop-?\s?sets?\b(?:\s*(?:on\s+)?(?:the\s+)?last set)?", _ => [Does(TechniqueKind.DropSet)]),
        Of(@"\(?clusters?\s*(?:of\s*\d{1,2})?,?\s*(?:(?<figure>\d{1,2})\s*(?:s|sec|secs|seconds?)(?:\s*(?:between|rest))?)?\)?", m => [Does(TechniqueKind.Cluster, m)]),
        Of(@"(?:\+|with|w/)\s*(?:an?\s+)?bands?\b|banded\b|band added|added band", _ => [Does(TechniqueKind.BandAdded)]),
        Of(@"(?:,\s*)?(?:hold|push|iso(?:metric)?(?: hold)?)\s*(?<figure>\d{1,2})\s*(?:s|sec|secs|seconds?)\s*(?:first|before)", m => [Does(TechniqueKind.HoldFirst, m)]),
        Of(@"(?:with\s+(?:an?\s+)?)?(?<figure>\d{1,2})\s*(?:s|sec|secs|seconds?)\s*(?:iso(?:metric)?\s*)?(?:hold|push)\s*(?:first|before)", m => [Does(TechniqueKind.HoldFirst, m)]),
        Of(@"(?:with\s+(?:an?\s+)?)?(?<figure>\d{1,2})\s*(?:s|sec|secs|seconds?)\s*(?:iso(?:metric)?\s*)?hold\s*(?:at\s*(?:the\s*)?end|on (?:the )?last(?: rep)?|last)", m => [Does(TechniqueKind.HoldLast, m)]),
        Of(@"(?:eccentrics?|lowering|negatives?)\s*only\b", _ => [Does(TechniqueKind.LoweringOnly)]),
        Of(@"(?:\+|with|w/|then)?\s*partials?(?:\s*reps?)?\b", _ => [Does(TechniqueKind.Partials)]),
        Of(@",?\s*then\s+(?:on\s+)?(?:the\s+)?(?:knees?|kneeling|easier[^,;]*)\s*(?:to|until|till)?\s*(?<figure>\d{1,2})?", m => [Does(TechniqueKind.BackOff, m)]),
        Of(@"emom\b", _ => [Does(TechniqueKind.EveryMinute)]),
        // How it is to go on is worked out, not typed.
        Of($@"(?:add|\+)\s*{N}\s*(?:kg|lbs?|reps?|%)?\s*(?:each|per|every|a)\s*(?:week|session|workout|time)", _ => [new LinePart.Filler()]),
        Of(@"last time[^,;)]*|pr\s*[:=]?\s*\d[^,;)]*|pb\s*[:=]?\s*\d[^,;)]*", _ => [new LinePart.Filler()]),
    ];

    /// <summary>Sets that begin here; null where none do. The end is where they do.</summary>
    internal static (LinePart[] Parts, int End)? DoseAt(string text, int at) => First(Doses, text, at);

    /// <summary>Any other part that begins here.</summary>
    internal static (LinePart[] Parts, int End)? PartAt(string text, int at) => First(Parts, text, at);

    private static (LinePart[] Parts, int End)? First(Phrase[] phrases, string text, int at)
    {
        foreach (var phrase in phrases)
        {
            if (phrase.Pattern.Match(text, at) is var match && match is { Success: true, Length: > 0 } && phrase.Read(match) is { Length: > 0 } read)
            {
                return ([.. read.OfType<LinePart>()], at + match.Length);
            }
        }

        return null;
    }

    private static LinePart.Dose Sets(Match m)
    {
        string unit = m.Groups["unit"].Value;
        var kind = unit.Length == 0 || unit.StartsWith("re", StringComparison.OrdinalIgnoreCase) ? CountKind.Repetitions
            : unit[0] is 'b' or 'B' ? CountKind.Breaths
            : unit[0] is 't' or 'T' or 'l' or 'L' ? CountKind.Trips
            : unit.StartsWith("st", StringComparison.OrdinalIgnoreCase) ? CountKind.Steps
            : unit.Equals("m", StringComparison.OrdinalIgnoreCase) || unit.StartsWith("me", StringComparison.OrdinalIgnoreCase) ? CountKind.Metres
            : CountKind.Seconds;
        int each = kind == CountKind.Seconds && (unit is "'" || unit.StartsWith("m", StringComparison.OrdinalIgnoreCase)) ? 60 : 1;
        int? sets = m.Groups["sets"].Success ? Number(m, "sets") : 1;
        if (m.Groups["cap"].Success)
        {
            return new(new SetsRead(sets, [new SetTarget(CountKind.AsManyAsPossible, 1, 0)]));
        }

        int low = Number(m, "low") * each, high = m.Groups["high"].Success ? Number(m, "high") * each : low;
        return new(new SetsRead(sets, [m.Groups["more"].Success ? new SetTarget(CountKind.AsManyAsPossible, low, 0) : new SetTarget(kind, Math.Min(low, high), Math.Max(low, high))]));
    }

    /// <summary>Figures divided by slashes, commas or dashes, one a set.</summary>
    private static LinePart.Each Each(Match m, Func<double, LinePart> part) => new(
        [.. m.Groups["each"].Value.Split(['/', '-'], StringSplitOptions.TrimEntries).SelectMany(v => ListComma().Split(v)).Select(v => part(double.Parse(v.Replace(',', '.'), NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture)))]);

    [GeneratedRegex(@",\s+")]
    private static partial Regex ListComma();

    private static LinePart.Dose Bouts(Match m) =>
        new(new SetsRead(Number(m, "sets"), [Exactly(CountKind.Repetitions, m.Groups["bouts"].Value.Split('+', StringSplitOptions.TrimEntries).Sum(Counted))]));

    private static LinePart.Dose Total(Match m) => new(new SetsRead(1, [Exactly(CountKind.Total, Number(m, "low"))]));

    private static LinePart.Dose List(string list)
    {
        bool open = list.EndsWith('+');
        SetTarget[] targets = [.. list.TrimEnd('+').Split([',', '-'], StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries).Select(n => Exactly(CountKind.Repetitions, Counted(n)))];
        if (open)
        {
            targets[^1] = new SetTarget(CountKind.AsManyAsPossible, targets[^1].Low, 0);
        }

        return new(new SetsRead(null, [.. targets]));
    }

    private static LinePart.Dose Blocks(string blocks) => new(new SetsRead(
        null,
        [
            .. Block().Matches(blocks).SelectMany(b => Enumerable.Repeat(
                b.Groups["more"].Success ? new SetTarget(CountKind.AsManyAsPossible, Number(b, "low"), 0) : Exactly(CountKind.Repetitions, Number(b, "low")),
                Math.Clamp(Number(b, "sets"), 1, 20))),
        ]));

    [GeneratedRegex(@"(?<sets>\d{1,2})\s*[x×*]\s*(?<low>\d{1,3})(?<more>\+)?(?!\d)", RegexOptions.IgnoreCase)]
    private static partial Regex Block();

    private static LinePart[] EveryMinute(Match m) => [Sets(m), Does(TechniqueKind.EveryMinute)];

    private static LinePart.Does Does(TechniqueKind kind, Match? m = null) => new(new(kind, m?.Groups["figure"].Success == true ? Number(m, "figure") : null));

    /// <summary>Of a range the middle: the coach leaves it to the day.</summary>
    private static LinePart.Rest Rest(Match m)
    {
        string unit = m.Groups["unit"].Value;
        double low = Figure(m, "low"), high = m.Groups["high"].Success ? Figure(m, "high") : low;
        bool minutes = unit is "'" || unit.StartsWith("m", StringComparison.OrdinalIgnoreCase) || (unit.Length == 0 && high <= 5);
        return new((low + high) / 2 * (minutes ? 60 : 1));
    }

    private static string? LoadUnit(Match m) => m.Groups["kind"].Value switch
    {
        "" => null,
        "#" => "lb",
        var kind => kind.ToLowerInvariant(),
    };

    private static SetTarget Exactly(CountKind kind, int count) => new(kind, count, count);

    private static int Number(Match m, string group) => Counted(m.Groups[group].Value);

    private static int Counted(string text) => Words.TryGetValue(text, out int word) ? word : int.Parse(text, NumberStyles.None, CultureInfo.InvariantCulture);

    private static double Figure(Match m, string group) => double.Parse(m.Groups[group].Value.Replace(',', '.'), NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture);
}

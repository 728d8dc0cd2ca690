using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Schools;

namespace Ingegno.Core.Practices;

/// <summary>Checks what a coach entered about the practice.</summary>
public static class PracticeProblems
{
    /// <summary>No zone ends higher.</summary>
    private const int MostCeiling = 50;

    private const int MostPrices = 200, MostBans = 200, MostPoints = 5000, MostNames = 500, LongestName = 80;

    /// <summary>What is wrong with a name of the practice's own.</summary>
    public static IEnumerable<InputProblem> Of(OwnName name, Catalogue catalogue)
    {
        if (string.IsNullOrWhiteSpace(name.Typed) || name.Typed.Length > LongestName || !name.Typed.Any(char.IsLetter))
        {
            yield return new("typed", $"A name has 1 to {LongestName} characters, letters among them.");
        }

        if (catalogue.Find(name.Exercise) is null)
        {
            yield return new("exercise", "That exercise is not in the catalogue: choose one from the list.");
        }
    }

    /// <summary>Every problem with its place; empty when the practice can be used.</summary>
    public static IReadOnlyList<InputProblem> Of(Practice practice)
    {
        var problems = new List<InputProblem>();
        var rules = practice.Rules;
        var catalogue = rules.Catalogue;
        if (!Clients.ClientDay.IsZone(practice.TimeZone))
        {
            problems.Add(new("timeZone", $"There is no time zone \"{practice.TimeZone}\": choose one from the list, such as Europe/Lisbon."));
        }

        if (practice.Names.Length > MostNames)
        {
            problems.Add(new("names", $"More than {MostNames} names of your own: forget some."));
        }

        problems.AddRange(practice.Names.SelectMany((n, i) => Of(n, catalogue).Select(p => p with { Path = $"names[{i}].{p.Path}" })));
        Between(rules.Reserve, 0, 6, "rules.reserve", "Repetitions left");
        Between(rules.BeginnerReserve, 1, 6, "rules.beginnerReserve", "A beginner's repetitions left");
        Between(rules.RepetitionCap, 10, 50, "rules.repetitionCap", "The most repetitions of a set");
        Between(rules.MostAboveIntent, 0, 0.5, "rules.mostAboveIntent", "How far a load may lie above what is asked");
        Between(rules.MostAddedSets, 0, 4, "rules.mostAddedSets", "Sets added to make up a light load");
        Between(rules.TestSetCap, 10, 200, "rules.testSetCap", "The most repetitions of a set to the limit");
        Between(rules.TestSetFloor, 1, 50, "rules.testSetFloor", "The fewest repetitions of a set to the limit");
        Between(rules.LongestRepetition, 3, 14, "rules.longestRepetition", "The longest repetition in seconds");
        Between(rules.SlowestLowering, 2, 10, "rules.slowestLowering", "The slowest lowering in seconds");
        Between(rules.LongestPause, 0, 10, "rules.longestPause", "The longest pause in seconds");
        Between(rules.SlowestLifting, 1, 10, "rules.slowestLifting", "The slowest lifting in seconds");
        Between(rules.FirstWeekSets, 0.3, 1, "rules.firstWeekSets", "The part of the sets in a first week");
        Between(rules.EasierWeekSets, 0.3, 1, "rules.easierWeekSets", "The part of the sets in an easier week");
        Between(rules.MilestoneSessions, 1, 10, "rules.milestoneSessions", "Sessions at the standard before moving up");
        Between(rules.PassDays, 7, 730, "rules.passDays", "The days a pass lasts");
        Between(rules.TechniquesOnLegs, 0, 4, "rules.techniquesOnLegs", "Techniques at once on legs");
        Between(rules.TechniquesOnUpperBody, 0, 4, "rules.techniquesOnUpperBody", "Techniques at once on the upper body");
        if (School.Contradiction(rules.Teachings) is { } both)
        {
            problems.Add(new("rules.teachings", both));
        }

        if (rules.ShrinkOrder.Length != 3 || rules.ShrinkOrder.Distinct().Count() != 3)
        {
            problems.Add(new("rules.shrinkOrder", "Name pairing, shortening and leaving out once each, in the order you would use them."));
        }

        if (MeasureStair.Against(rules.Stair) is { } order)
        {
            problems.Add(new("rules.stair", order));
        }

        Zone(rules.Zones.UpToFive, 1, 12, "upToFive", "one to five");
        Zone(rules.Zones.UpToTwelve, 3, 25, "upToTwelve", "six to twelve");
        Zone(rules.Zones.UpToTwenty, 6, 40, "upToTwenty", "thirteen to twenty");
        Zone(rules.Zones.Over, 8, 50, "over", "more than twenty");
        var marks = practice.Marks;
        Between(marks.HardSetsInSession, 1, 40, "marks.hardSetsInSession", "Hard sets for a muscle in a session");
        Between(marks.LeastToGrow, 1, 30, "marks.leastToGrow", "Weekly sets from which a muscle grows");
        Between(marks.MostInWeek, marks.LeastToGrow, 60, "marks.mostInWeek", "The most weekly sets for a muscle");
        Between(marks.ShareToKeep, 0, 1, "marks.shareToKeep", "The share of the former sets that keeps a muscle");
        Between(marks.ShareToKeepOverSixty, marks.ShareToKeep, 1, "marks.shareToKeepOverSixty", "The share that keeps a muscle over sixty");
        Between(marks.RepetitionsInSet, 5, 100, "marks.repetitionsInSet", "Repetitions in a set");
        Between(marks.LightDemand, 0, 1, "marks.lightDemand", "The share of the maximum under which work is light");
        Between(marks.ConditioningShare, 0, 1, "marks.conditioningShare", "The share of light work that makes a session conditioning");
        Between(marks.Imbalance, 1, 10, "marks.imbalance", "How many times one side of a pair may outdo the other");
        Between(marks.BalanceFrom, 0, 40, "marks.balanceFrom", "Weekly sets from which a pair is weighed");
        Between(marks.CircuitFrom, 2, 12, "marks.circuitFrom", "Lines that make a circuit");
        Between(marks.FullWeeksRunning, 2, 52, "marks.fullWeeksRunning", "Full weeks running");
        Between(marks.SameDoseFrom, 2, 60, "marks.sameDoseFrom", "Lines of one dose");
        Between(marks.PoorFit, 0, 1, "marks.poorFit", "A poor fit");
        Between(marks.LandingsUntrained, 0, 1000, "marks.landingsUntrained", "Landings for the untrained");
        Between(marks.LandingsBeginner, marks.LandingsUntrained, 1000, "marks.landingsBeginner", "Landings for a beginner");
        Between(marks.LandingsIntermediate, marks.LandingsBeginner, 1000, "marks.landingsIntermediate", "Landings for the intermediate");
        Between(marks.LandingsAdvanced, marks.LandingsIntermediate, 1000, "marks.landingsAdvanced", "Landings for the advanced");
        var prices = practice.WeekPrices;
        Between(prices.Main, 1, 20, "weekPrices.main", "How much a main lift counts");
        Between(prices.Secondary, 1, 20, "weekPrices.secondary", "How much a secondary line counts");
        Between(prices.Accessory, 1, 20, "weekPrices.accessory", "How much an accessory line counts");
        Between(prices.TwiceInSession, 0, MostPoints, "weekPrices.twiceInSession", "An exercise twice in a session");
        Between(prices.Changeover, 0, MostPoints, "weekPrices.changeover", "A changeover");
        Between(prices.SetOutsideBand, 0, MostPoints, "weekPrices.setOutsideBand", "A set outside the weekly band");
        Between(prices.HardOnConsecutiveDays, 0, MostPoints, "weekPrices.hardOnConsecutiveDays", "A muscle hard two days running");
        Between(prices.PatternLost, 0, MostPoints, "weekPrices.patternLost", "A movement lost");
        Between(prices.RangeLost, 0, MostPoints, "weekPrices.rangeLost", "A range lost");
        Between(prices.OneLimbLost, 0, MostPoints, "weekPrices.oneLimbLost", "One-limb work lost");
        Between(prices.GripLost, 0, MostPoints, "weekPrices.gripLost", "A grip lost");
        Between(prices.HardFromSets, 0.5, 20, "weekPrices.hardFromSets", "Sets from which a muscle was worked hard");
        if (prices.SetOutsideBand % 10 != 0)
        {
            problems.Add(new("weekPrices.setOutsideBand", "A set outside the weekly band is priced in tens: tenths of a set are weighed."));
        }

        Weights(rules.Weights.Main, "rules.weights.main", problems);
        Weights(rules.Weights.Accessory, "rules.weights.accessory", problems);
        if (practice.Currency.Length is 0 or > 5)
        {
            problems.Add(new("currency", "Give the currency in 1 to 5 letters."));
        }

        if (practice.Prices.Length > MostPrices)
        {
            problems.Add(new("prices", $"At most {MostPrices} prices."));
        }

        for (int i = 0; i < practice.Prices.Length; i++)
        {
            HomeProblems.Named(practice.Prices[i].Item, $"prices[{i}]", problems);
            if (practice.Prices[i].Cost is < 0 or > 100_000)
            {
                problems.Add(new($"prices[{i}].cost", $"{practice.Prices[i].Item}: a price lies between 0 and 100 000."));
            }
        }

        problems.AddRange(OwnExerciseProblems.Of(rules.Exercises).Select(p => p with { Path = $"rules.exercises{p.Path}" }));
        problems.AddRange(Bans(rules.Bans, "rules.bans", catalogue));
        problems.AddRange(Named(rules.Preferred, "rules.preferred", catalogue));
        problems.AddRange(Named(rules.Allowed, "rules.allowed", catalogue));
        return problems;

        // A zone is no narrower than a few counts and never past what a set is given anywhere.
        void Zone(RepetitionZone zone, int from, int to, string path, string what)
        {
            Between(zone.Least, from, zone.Most - 2, $"rules.zones.{path}.least", $"The fewest repetitions for {what} written");
            Between(zone.Most, zone.Least + 2, to, $"rules.zones.{path}.most", $"The most repetitions for {what} written");
            Between(zone.Ceiling, zone.Most, MostCeiling, $"rules.zones.{path}.ceiling", $"The ceiling for {what} written");
        }

        void Between(double value, double from, double to, string path, string what)
        {
            if (!(value >= from && value <= to))
            {
                problems.Add(new(path, $"{what}: give {from} to {to}, not {value}."));
            }
        }
    }

    /// <summary>Entries of a ban list that name nothing, or something unknown.</summary>
    public static IEnumerable<InputProblem> Bans(IReadOnlyList<Ban> bans, string path, Catalogue catalogue)
    {
        if (bans.Count > MostBans)
        {
            yield return new(path, $"At most {MostBans} bans: ban an attribute instead.");
        }

        for (int i = 0; i < bans.Count; i++)
        {
            if (bans[i].Exercise is null == bans[i].Attribute is null)
            {
                yield return new($"{path}[{i}]", "Ban one exercise or one attribute.");
            }
            else if (bans[i].Exercise is { } id && catalogue.Find(id) is null)
            {
                yield return new($"{path}[{i}].exercise", $"No exercise \"{id}\" in the catalogue: pick one from the list.");
            }

            if (string.IsNullOrWhiteSpace(bans[i].Reason) || bans[i].Reason.Length > 200)
            {
                yield return new($"{path}[{i}].reason", "Give the reason in 1 to 200 letters: it is shown wherever the ban bites.");
            }
        }
    }

    /// <summary>Ids that are not in the catalogue.</summary>
    public static IEnumerable<InputProblem> Named(IReadOnlyList<string> ids, string path, Catalogue catalogue) =>
        ids.Select((id, i) => (id, i))
            .Where(p => catalogue.Find(p.id) is null)
            .Select(p => new InputProblem($"{path}[{p.i}]", $"No exercise \"{p.id}\" in the catalogue: pick one from the list."));

    private static void Weights(IReadOnlyList<double> weights, string path, List<InputProblem> problems)
    {
        if (weights.Count != FitWeights.Parts)
        {
            problems.Add(new(path, $"Give {FitWeights.Parts} weights: muscles, direction, kind, dose, sides, range, skill."));
        }
        else if (weights.Any(w => !(w is >= 0 and <= 100)) || weights.Sum() <= 0)
        {
            problems.Add(new(path, "A weight lies between 0 and 100, and one at least is above 0."));
        }
    }
}

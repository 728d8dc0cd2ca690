using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Programmes;
using Ingegno.Core.Schools;

namespace Ingegno.Core.Blocks;

/// <summary>The programmes of the schools, for clients who bring none (common practice).</summary>
public static class Templates
{
    private static readonly Phase SettleIn = new("Settle in", Purpose.Growth, 4);

    private static readonly Phase Build = new("Build", Purpose.Growth, 5);

    public static ImmutableArray<Template> All { get; } =
    [
        new(
            "full-body-2", "Full body, two days", "Two days a week, everything in each: a start, and enough to keep what is there.",
            Level.Beginner,
            [
                Day("Day 1", "Any squat", "Any row", "Any press from the chest", "Any hip thrust", "Any trunk hold"),
                Day("Day 2", "Any hinge", "Any pull from above", "Any press overhead", "Any one-leg squat", "Any calf raise", "Any trunk hold"),
            ],
            new Block { Phases = [SettleIn, Build] }),
        new(
            "full-body-3", "Full body, three days", "Three days, every pattern each time with another exercise: the usual way to build at home.",
            Level.Beginner,
            [
                Day("Day 1", "Any squat", "Any press from the chest", "Any row", "Any knee curl", "Any shoulder raise", "Any trunk hold"),
                Day("Day 2", "Any hinge", "Any press overhead", "Any pull from above", "Any one-leg squat", "Any arm curl", "Any trunk curl"),
                Day("Day 3", "Any one-leg squat", "Any press from the chest", "Any row", "Any hip thrust", "Any arm extension", "Any calf raise"),
            ],
            new Block { Phases = [SettleIn, Build] }),
        new(
            "every-second-day", "Every second day", "Two sessions take turns, four in one week and three in the next: often and short, for light loads.",
            Level.Beginner,
            [
                Day("A", "Any squat", "Any press from the chest", "Any row", "Any trunk hold"),
                Day("B", "Any hinge", "Any press overhead", "Any pull from above", "Any one-leg squat"),
            ],
            new Block { Rhythm = Rhythm.EverySecondDay, ReviewEvery = 4 }),
        new(
            "paired-families-6", "Paired families, six short days", "Two families a day, back to back, each pair twice a week: twenty minutes before work.",
            Level.Intermediate,
            [
                Pairs("Monday, press and row", "Any press from the chest", "Any row", "Any chest fly", "Any rear-shoulder work"),
                Pairs("Tuesday, squat and knee curl", "Any squat", "Any knee curl", "Any one-leg squat", "Any calf raise"),
                Pairs("Wednesday, overhead and from above", "Any press overhead", "Any pull from above", "Any arm curl", "Any arm extension"),
                Pairs("Thursday, press and row", "Any press from the chest", "Any row", "Any shoulder raise", "Any trunk hold"),
                Pairs("Friday, hinge and hips", "Any hinge", "Any hip thrust", "Any hip to the side", "Any trunk curl"),
                Pairs("Saturday, overhead and from above", "Any press overhead", "Any pull from above", "Any arm curl", "Any arm extension"),
            ],
            new Block { Phases = [SettleIn, Build] }),
        new(
            "long-set-of-20", "One long set of 20", "One unhurried set of each: general preparation, and a way back after a break.",
            Level.Beginner,
            [
                Dosed("Day 1", "1 x 20, rest 60 s, for growth", "Any squat", "Any press from the chest", "Any row", "Any hinge", "Any press overhead", "Any calf raise"),
                Dosed("Day 2", "1 x 20, rest 60 s, for growth", "Any hip thrust", "Any pull from above", "Any knee curl", "Any shoulder raise", "Any trunk curl", "Any arm curl"),
            ],
            new Block { ReviewEvery = 3 }),
        new(
            "ten-by-ten", "Ten by ten", "Ten rounds of ten on one pair a day: much work from one load. Look at the minutes before sending it.",
            Level.Intermediate,
            [
                TenByTen("Day 1", "Any press from the chest", "Any row", "Any trunk hold"),
                TenByTen("Day 2", "Any squat", "Any knee curl", "Any calf raise"),
                TenByTen("Day 3", "Any press overhead", "Any pull from above", "Any arm curl"),
            ],
            new Block { Phases = [new("Much work", Purpose.Growth, 4)] }),
        new(
            "milestones", "Milestone ladder", "Five exercises, a standard for each, and the next rung of the ladder once it is met: own weight first.",
            Level.Beginner,
            [
                Dosed("Day 1", "2 x 8-12, rest 90 s, for growth", "Any squat", "Any press from the chest", "Any row", "Any hip thrust", "Any trunk curl"),
                Dosed("Day 2", "2 x 8-12, rest 90 s, for growth", "Any hinge", "Any press from the chest", "Any pull from above", "Any one-leg squat", "Any trunk curl"),
            ],
            new Block { Progress = Teaching.Milestones, ReviewEvery = 4 }),
    ];

    public static Template? Find(string id) => All.FirstOrDefault(t => t.Id == id);

    /// <summary>Those that suit the client's level.</summary>
    public static IEnumerable<Template> For(ClientProfile client) => All.Where(t => client.Level >= t.Least);

    private static TemplateSession Day(string title, params string[] slots) => new(title, [.. slots.Select(s => new TemplateLine(s))]);

    private static TemplateSession Dosed(string title, string dose, params string[] slots) =>
        new(title, [.. slots.Select(s => new TemplateLine(s, Dose: s == "Any one-leg squat" ? dose.Insert(dose.IndexOf(',', StringComparison.Ordinal), " a side") : dose))]);

    /// <summary>Neighbours are done back to back.</summary>
    private static TemplateSession Pairs(string title, params string[] slots) =>
        new(title, [.. slots.Select((s, i) => new TemplateLine(s, $"{(char)('A' + (i / 2))}{(i % 2) + 1}"))]);

    private static TemplateSession TenByTen(string title, string first, string second, string last) => new(
        title,
        [new(first, "A1", "10 x 10, rest 30 s, for growth"), new(second, "A2", "10 x 10, rest 60 s, for growth"), new(last)]);
}

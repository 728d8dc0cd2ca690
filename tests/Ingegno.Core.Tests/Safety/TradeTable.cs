using Ingegno.Core.Anatomy;

namespace Ingegno.Core.Tests.Safety;

/// <summary>What the trade says of one exercise, whatever the catalogue says; see trade-table.tsv.</summary>
internal sealed record TradeRow(string Exercise, string Posture, string Limbs, string Needs, IReadOnlyList<Joint> Joints, IReadOnlySet<string> Marks)
{
    internal bool Is(string mark) => Marks.Contains(mark);
}

/// <summary>The table of the independent checker, by catalogue id.</summary>
internal static class TradeTable
{
    private static readonly Dictionary<char, Joint> Letters = new()
    {
        ['S'] = Joint.Shoulder,
        ['E'] = Joint.Elbow,
        ['W'] = Joint.Wrist,
        ['N'] = Joint.Neck,
        ['U'] = Joint.UpperBack,
        ['L'] = Joint.LowerBack,
        ['H'] = Joint.Hip,
        ['K'] = Joint.Knee,
        ['A'] = Joint.Ankle,
    };

    internal static readonly Dictionary<string, TradeRow> Rows = File.ReadLines(Path.Combine(AppContext.BaseDirectory, "Safety", "trade-table.tsv"))
        .Where(l => !l.StartsWith('#')).Skip(1).Select(l => l.Split('\t')).ToDictionary(
            c => c[0],
            c => new TradeRow(
                c[0], c[1], c[2], c[3], [.. c[4].Where(Letters.ContainsKey).Select(l => Letters[l])], (c.Length > 5 ? c[5].Split(' ') : []).ToHashSet()));

    /// <summary>Each is harder than the one before it (common practice).</summary>
    internal static readonly string[][] Ladders =
    [
        ["wall-push-up", "incline-push-up", "push-up", "feet-raised-push-up"],
        ["kneeling-push-up", "push-up", "archer-push-up", "one-arm-push-up"],
        ["assisted-squat", "body-weight-squat"],
        ["assisted-one-leg-squat", "free-one-leg-squat"],
        ["standing-lean-row", "bent-knee-table-row", "table-row", "one-arm-table-row"],
        ["foot-assisted-pull-up", "pull-up"],
        ["foot-assisted-dip", "two-chair-dip"],
        ["kneeling-plank", "plank", "long-lever-plank"],
        ["knee-side-plank", "side-plank"],
        ["hanging-knee-raise", "hanging-leg-raise"],
        ["sliding-leg-curl", "one-leg-sliding-curl"],
        ["glute-bridge", "one-leg-bridge", "one-leg-feet-raised-bridge"],
        ["kneeling-pike-push-up", "pike-push-up", "feet-raised-pike-push-up", "wall-handstand-push-up"],
        ["split-squat", "rear-foot-raised-split-squat"],
    ];

    /// <summary>Where the body of a drill is; only what is certain of it.</summary>
    internal static readonly Dictionary<string, string> Drills = new()
    {
        ["cat-camel"] = "kneel",
        ["kneeling-opposite-reach"] = "kneel",
        ["hip-circles"] = "kneel",
        ["wrist-rocks"] = "kneel",
        ["shin-stretch"] = "kneel",
        ["childs-pose-reach"] = "kneel",
        ["hip-flexor-lunge"] = "kneel",
        ["belly-stretch"] = "front",
        ["rope-skip-soft"] = "jump",
        ["bridge-switch-on"] = "back",
    };
}

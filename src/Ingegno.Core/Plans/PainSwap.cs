using Ingegno.Core.Anatomy;
using Ingegno.Core.Clients;
using Ingegno.Core.Exercises;
using Ingegno.Core.Progression;
using Ingegno.Core.Safety;

namespace Ingegno.Core.Plans;

/// <summary>A line given up for pain: the joint that hurts is marked sore and the line worked out around it; everything else stays.</summary>
public static class PainSwap
{
    /// <summary>The client with the joint sore that the line hurt, as badly as it was last said.</summary>
    public static ClientProfile Sore(ClientProfile client, LineProgress line, Catalogue catalogue)
    {
        var worst = line.Logs.Where(l => l.Pain >= PainHold.Holds).MaxBy(l => l.On);
        var joint = worst?.PainAt ?? catalogue[line.Prescription.Exercise].Joints.OrderByDescending(j => j.Level).Select(j => (Joint?)j.Joint).FirstOrDefault();
        return joint is { } at
            ? client with { SoreJoints = [.. client.SoreJoints.Where(s => s.Joint != at), new(at, Math.Max(worst?.Pain ?? 0, client.PainAt(at)))] }
            : client;
    }

    /// <param name="bench">Of the client with the joint sore.</param>
    /// <param name="place">Where the line is done so.</param>
    public static PlanOutcome Of(Plan plan, PlanBench bench, string place, LineProgress line, SorenessDelta sore, Func<int, DateOnly?> lastTrained, Commanded by)
    {
        var outcome = bench.Anew(plan, place, new HashSet<int> { line.Line }, unlike: true, ChangeKind.SwappedForPain, line.Step!.Sentence, lastTrained, by);
        return outcome.Changes.IsEmpty ? outcome : outcome with { Changes = outcome.Changes.SetItem(0, outcome.Changes[0] with { Sore = sore }) };
    }
}

using System.Collections.Immutable;
using Ingegno.Core.Anatomy;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Programmes;
using Ingegno.Core.Progression;
using Ingegno.Core.Quantities;
using Ingegno.Core.Safety;
using Ingegno.Core.Substitution;

namespace Ingegno.Core.Plans;

/// <summary>What the phone must leave out: what is held back now, and what each report of pain would hold back, by the one rule (<see cref="PainHold"/>).</summary>
public static class HeldLines
{
    /// <summary>Lines of a sent programme that may not be trained now: pain not looked at yet, a joint gone sore, a set-up that does not stand any more.</summary>
    public static IEnumerable<HeldLine> Of(
        LinkProgramme programme, ClientProfile client, IReadOnlyList<ClientPlace> places, Training training, HouseRules rules, DateOnly today) =>
        from place in programme.Places
        let home = places.FirstOrDefault(p => p.Id == place.Id)
        where home is not null
        let prepared = new PreparedHome(home.Home, today)
        from line in place.Sessions.SelectMany(s => s.Lines).DistinctBy(l => l.Line)
        let why = Why(line.Prescription, client, prepared, training, rules)
        where why is not null
        select new HeldLine(place.Id, line.Line, why);

    private static string? Why(Prescription line, ClientProfile client, PreparedHome home, Training training, HouseRules rules)
    {
        if (rules.Catalogue.Find(line.Exercise) is not { } exercise)
        {
            return null;
        }

        if (training.Pain.HeldBack(exercise) is { } report)
        {
            return report.Exercise == exercise.Id
                ? "left out until the coach has looked at the pain"
                : $"left out until the coach has looked at the pain on {PlainWords.InSentence(report.Name)}";
        }

        // What a client named of their health never leaves the coach's side, nor does what the house bans: they are told of joints, room and things.
        Refusal[] gate = [.. Gate.Against(exercise, client, home, rules.For(client), isTheCoachs: true)];
        string? reason = gate.Length > 0
            ? gate.Where(r => r.Cause is RefusalCause.Joint or RefusalCause.Room).Select(r => r.Reason).FirstOrDefault()
            : PlannedSetUp.Of(line, exercise, client, home, rules).Against.FirstOrDefault();
        return reason is not null ? $"left out until the coach has changed it: {reason}"
            : gate.Length > 0 ? "left out until the coach has changed it"
            : null;
    }

    /// <summary>The programme with every branch that pain can open worked out.</summary>
    public static LinkProgramme Branched(LinkProgramme programme, Catalogue catalogue) => programme with
    {
        Places =
        [
            .. programme.Places.Select(place =>
            {
                LinkLine[] all = [.. place.Sessions.SelectMany(s => s.Lines)];
                return place with { Sessions = [.. place.Sessions.Select(s => s with { Lines = [.. s.Lines.Select(l => Branched(l, all, catalogue))] })] };
            }),
        ],
    };

    private static LinkLine Branched(LinkLine line, LinkLine[] all, Catalogue catalogue) => line with
    {
        Instead = [.. line.Instead.Select(l => Branched(l, all, catalogue))],
        LeavesOut = [.. Enum.GetValues<Joint>().Cast<Joint?>().Prepend(null).Select(at => new PainBranch(at, LeftOutBy(line, at, all, catalogue)))],
    };

    private static ImmutableArray<int> LeftOutBy(LinkLine painful, Joint? at, LinkLine[] all, Catalogue catalogue) =>
    [
        .. all.Where(l => l.Line == painful.Line
                || (catalogue.Find(l.Prescription.Exercise) is { } exercise && PainHold.Touches(painful.Prescription.Exercise, at, exercise, catalogue)))
            .Select(l => l.Line).Distinct(),
    ];
}

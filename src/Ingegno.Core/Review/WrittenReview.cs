using System.Collections.Immutable;
using Ingegno.Core.Blocks;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;
using Ingegno.Core.Sessions;
using Ingegno.Core.Substitution;

namespace Ingegno.Core.Review;

/// <summary>
/// A programme reviewed as it is written, before any home is known. In contrast, <see cref="ProgrammeReview"/> holds a rebuilt week
/// against the written one.
/// </summary>
public static class WrittenReview
{
    public static Reviewed Of(WrittenProgramme programme, ClientProfile client, HouseRules rules, Catalogue catalogue, DateOnly today, Block? block = null, ReviewThresholds? marks = null)
    {
        rules = rules.For(client);
        var anchors = WrittenAnchors.Of(client, catalogue, rules, programme);
        ImmutableArray<RebuiltSession> read = [.. programme.Sessions.Select(s => new RebuiltSession(s.Title, [.. s.Lines.Select((l, i) => Read(l, s, i == 0))], Duration.Zero))];
        var sessions = read.Select(s => TrainedSession.Of(s, catalogue)).Select(s => s with { Home = s.Gym, Length = LengthOf(s.Gym) });
        return ProgrammeReview.Of([.. sessions], [.. read.SelectMany(s => s.Lines)], client, catalogue, today, block, marks);

        RebuiltLine Read(WrittenLine line, WrittenSession session, bool first)
        {
            if (line.Exercise is not { } id || catalogue.Find(id) is not { } exercise)
            {
                return new RebuiltLine { Written = line, Reading = PlainLine.Of(line, catalogue), Outcome = LineOutcome.Unknown, Role = Role.Secondary };
            }

            return new RebuiltLine
            {
                Written = line,
                Reading = PlainLine.Of(line, catalogue),
                Outcome = LineOutcome.Unchanged,
                Role = Roles.Of(exercise, line, first),
                Intent = Asked(line),
                Blocks = line.IsInBlocks ? [.. SetBlocks.Of(line).Select(b => new GymBlock(b, Asked(b)))] : [],
            };

            Intent? Asked(WrittenLine block) =>
                IntentReading.Read(block, exercise, client, anchors.For(exercise), rules, Supersets.Partners(line, session));
        }
    }

    /// <summary>Work, rests and a change of exercise a line; the rest after the very last set falls away.</summary>
    private static Duration LengthOf(ImmutableArray<TrainedLine> lines) =>
        lines.Aggregate(Duration.Zero, (sum, l) => sum + l.Work + l.Resting + SessionLength.ExerciseChange) - (lines.IsEmpty ? Duration.Zero : lines[^1].Rest);
}

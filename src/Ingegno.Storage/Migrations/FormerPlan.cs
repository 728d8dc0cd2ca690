using System.Collections.Immutable;
using Ingegno.Core.Blocks;
using Ingegno.Core.Clients;
using Ingegno.Core.Plans;
using Ingegno.Core.Programmes;
using Ingegno.Core.Substitution;

namespace Ingegno.Storage.Migrations;

/// <summary>A plan as it lay in the file before there was a list of changes.</summary>
internal sealed record FormerPlan(
    string Id, string Coach, string Client, string CoachName, string Text, ImmutableArray<LineChoice> Choices, ImmutableArray<PlannedSession> Sessions, DateTimeOffset? SavedAt,
    Block? Block, string Place, string PlaceName, ImmutableArray<PlannedPlace> Elsewhere, long Version)
{
    /// <summary>The same plan: line numbers were the names of the lines.</summary>
    internal Plan AsPlan() => new(Text, With(Sessions, Choices), SavedAt)
    {
        Block = Block,
        Place = Sessions.IsEmpty ? null : Place,
        PlaceName = PlaceName,
        Elsewhere = [.. Elsewhere.Select(e => e with { Sessions = With(e.Sessions, []) })],
    };

    internal static ImmutableArray<PlannedSession> With(ImmutableArray<PlannedSession> sessions, ImmutableArray<LineChoice> choices) =>
    [
        .. sessions.Select(s => s with
        {
            Lines = [.. s.Lines.Select(l => l with { Number = l.Main, Choice = l.IsAdded ? null : choices.LastOrDefault(c => c.Line == l.Main && c.Text == l.Written)?.Settled() })],
        }),
    ];
}

/// <summary>A line of a plan as a decision kept it.</summary>
internal sealed record FormerLine(int Line, Prescription? Prescription, Prescription? Start, DateOnly? Since, string? Place = null);

internal sealed record FormerWeeks(Block? Block);

/// <summary>How things stood before or after a decision; the rest of what it kept stays where it is.</summary>
internal sealed record FormerSnapshot
{
    public ImmutableArray<FormerLine> Lines { get; init; } = [];

    public ImmutableArray<PlannedSession>? Sessions { get; init; }

    public ImmutableArray<PlannedPlace>? Elsewhere { get; init; }

    public ImmutableArray<Soreness>? SoreJoints { get; init; }

    public FormerWeeks? Weeks { get; init; }
}

/// <summary>A decision as it was kept.</summary>
internal sealed record FormerDecision(string Id, DateTimeOffset At, string Subject, string Sentence, bool Taken, FormerSnapshot? Before, FormerSnapshot? After, bool Undone);

/// <summary>What a line was asked as on a day.</summary>
internal sealed record FormerAsked(int Line, DateOnly On, Prescription As);

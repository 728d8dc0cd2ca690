using System.Collections.Immutable;
using System.Text.Json.Serialization;

namespace Ingegno.Core.Progression;

/// <summary>What a proposal is about, worst first: the order the Desk ranks by.</summary>
public enum ProposalKind
{
    /// <summary>Pain over 5 on a line.</summary>
    Pain,

    /// <summary>A line that may not be trained as it is set up.</summary>
    UnsafeSetUp,

    /// <summary>Pain again at one place.</summary>
    PainAgain,

    /// <summary>A set was told differently by somebody who had not seen what stands.</summary>
    ToldTwice,

    /// <summary>A client's own check of a fixture waits for a verdict.</summary>
    FixtureReport,

    /// <summary>Home, programme, stand-in or health screen is missing.</summary>
    Unready,

    /// <summary>A week without training.</summary>
    Missed,

    /// <summary>The plan changed since it was sent.</summary>
    Unsent,

    /// <summary>The client's way to the plan closes soon, or has.</summary>
    LinkEnds,

    /// <summary>The gym opens again.</summary>
    Return,

    /// <summary>The week in force is done, and the text holds another.</summary>
    NextWeek,

    /// <summary>Most lines go down together: an easier week for all.</summary>
    Deload,

    /// <summary>No rise for long.</summary>
    Stuck,

    /// <summary>Something else than the muscle ends the sets, or a step back.</summary>
    Change,

    /// <summary>A rung or a variation is earned.</summary>
    Earned,

    /// <summary>Smaller steps, all lines together.</summary>
    Ready,

    /// <summary>A session is felt where it was not meant to be.</summary>
    Felt,

    /// <summary>The log leaves something open: sets missing, one answer always, a forecast that keeps missing.</summary>
    Evidence,

    /// <summary>A crutch has its review date.</summary>
    Crutch,

    /// <summary>Pain reported before still holds lines back.</summary>
    StillHeld,

    /// <summary>An open-ended plan has its review date.</summary>
    Review,
}

/// <summary>A decision that waits, spelled out.</summary>
/// <param name="About">What it is about; it waits until all of that is settled.</param>
/// <param name="Arithmetic">The figures behind it.</param>
/// <param name="View">Where more of it can be seen: profile, home, bench, block, log.</param>
/// <param name="Take">What taking it is called; null where it can only be opened.</param>
/// <param name="Refuse">What saying no is called.</param>
/// <param name="Photo">Report whose photo belongs to it.</param>
public sealed record Proposal(
    [property: JsonIgnore] ImmutableArray<Subject> About, ProposalKind Kind, string Sentence, ImmutableArray<string> Arithmetic, string View, string? Take,
    string Refuse = "No", string? Photo = null)
{
    /// <summary>Names it for the answer; the same as long as nothing new was logged.</summary>
    public string Subject { get; } = Progression.Subject.NameOf(About);

    /// <summary>The lines it was made of.</summary>
    public IEnumerable<LineProgress> LinesOf(IEnumerable<LineProgress> lines) => lines.Where(l => l.Step is not null && About.Contains(LineSubject.Of(l)));
}

using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Storage;

namespace Ingegno.Server.Desk;

/// <summary>What a proposal is about, worst first: the order the Desk ranks by.</summary>
public enum ProposalKind
{
    /// <summary>Pain over 5 on a line.</summary>
    Pain,

    /// <summary>A line that may not be trained as it is set up.</summary>
    UnsafeSetUp,

    /// <summary>Pain again at one place.</summary>
    PainAgain,

    /// <summary>A client's own check of a fixture waits for a verdict.</summary>
    FixtureReport,

    /// <summary>Home, programme, stand-in or health screen is missing.</summary>
    Unready,

    /// <summary>A week without training.</summary>
    Missed,

    /// <summary>The plan changed since it was sent.</summary>
    Unsent,

    /// <summary>The gym opens again.</summary>
    Return,

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

    /// <summary>A crutch has its review date.</summary>
    Crutch,

    /// <summary>Pain reported before still holds lines back.</summary>
    StillHeld,

    /// <summary>An open-ended plan has its review date.</summary>
    Review,
}

/// <summary>A decision that waits, spelled out.</summary>
/// <param name="Subject">Names it for the answer; the same as long as nothing new was logged.</param>
/// <param name="Arithmetic">The figures behind it.</param>
/// <param name="View">Where more of it can be seen: profile, home, bench, block, log.</param>
/// <param name="Take">What taking it is called; null where it can only be opened.</param>
/// <param name="Refuse">What saying no is called.</param>
/// <param name="Photo">Report whose photo belongs to it.</param>
public sealed record Proposal(
    string Subject, ProposalKind Kind, string Sentence, ImmutableArray<string> Arithmetic, string View, string? Take, string Refuse = "No", string? Photo = null);

/// <summary>All that is known of a client when the Desk asks what waits.</summary>
/// <param name="Place">The one in use, the first of <paramref name="Places"/>.</param>
internal sealed record DeskCase(
    StoredClient Client, StoredPlace? Place, IReadOnlyList<StoredPlace> Places, HouseRules Rules, Versioned<Plan> Plan, Log.Training Training, IReadOnlyList<StoredReport> Reports,
    IReadOnlyList<DecisionRecord> Decisions, DateTimeOffset? SentAt, long? SentVersion)
{
    internal ClientProfile Profile => Client.Profile;
}

using System.Collections.Immutable;
using System.Text.Json.Serialization;
using Ingegno.Core.Anatomy;
using Ingegno.Core.Blocks;
using Ingegno.Core.Clients;
using Ingegno.Core.Homes;
using Ingegno.Core.Programmes;
using Ingegno.Core.Progression;
using Ingegno.Core.Quantities;
using Ingegno.Core.Sessions;

namespace Ingegno.Core.Plans;

/// <summary>A set to do, in the order of the session.</summary>
/// <param name="Rest">After it, before the next step.</param>
/// <param name="Lasts">With its rest and both sides, for the minutes still to go.</param>
public sealed record LinkStep(int Line, int Set, int Count, Duration Rest, Duration Lasts);

/// <summary>An exercise as the phone shows it.</summary>
/// <param name="Pace">Phases of a repetition in the order they come; empty for held or counted work.</param>
/// <param name="Joints">What it loads.</param>
/// <param name="Lighter">Sets kept in a first, lighter week; <paramref name="Easier"/> in an easier one.</param>
/// <param name="Instead">What to do when the set-up does not stand today, best first.</param>
/// <param name="Uses">Fixtures it leans on, by name.</param>
public sealed record LinkLine(
    int Line, string Tag, Prescription Prescription, ImmutableArray<PacePhase> Pace, ImmutableArray<Joint> Joints, int Lighter, int Easier,
    ImmutableArray<LinkLine> Instead, ImmutableArray<string> Uses, ImmutableArray<GivenDrill> Behind)
{
    /// <summary>What pain over 5 on it leaves out, by where it hurts; worked out when the link is opened (<see cref="HeldLines"/>).</summary>
    public ImmutableArray<PainBranch> LeavesOut { get; init; } = [];
}

/// <summary>Lines of the same place that pain over 5 leaves out.</summary>
/// <param name="At">Where it hurts; null where nobody said.</param>
public sealed record PainBranch(Joint? At, ImmutableArray<int> Lines);

/// <summary>A line kept out until the coach has looked at it, with the reason in words for the client.</summary>
public sealed record HeldLine(string Place, int Line, string Why);

/// <summary>A session ready to be trained.</summary>
public sealed record LinkSession(
    string Title, Duration Length, ImmutableArray<LaidOut> LayOut, ImmutableArray<GivenDrill> WarmUp, ImmutableArray<GivenDrill> CoolDown,
    ImmutableArray<LinkLine> Lines, ImmutableArray<LinkStep> Steps)
{
    /// <summary>Tells it from the others of its place, in words: the heading, counted where two are alike; given when the link is opened (<see cref="SessionNames"/>).</summary>
    public string Key { get; init; } = "";
}

/// <summary>The same plan in one place of the client.</summary>
public sealed record LinkPlace(string Id, string Name, ImmutableArray<LinkSession> Sessions, ImmutableArray<LinkFixture> ToCheck);

/// <summary>A fixture the client is asked to check, with what to do step by step.</summary>
public sealed record LinkFixture(string Id, string Name, ImmutableArray<string> Steps);

/// <summary>A week of the block by its first day.</summary>
public sealed record LinkWeek(DateOnly Starts, WeekKind Kind);

/// <summary>What was sent, frozen. Health answers are not in it; cautions are.</summary>
/// <param name="Client">First name.</param>
public sealed record LinkProgramme(
    string Client, MassUnit Unit, ImmutableArray<LinkPlace> Places, ImmutableArray<LinkWeek> Weeks, ImmutableArray<string> Cautions);

/// <summary>A last set asked to the true limit.</summary>
/// <param name="Session">Its key.</param>
public sealed record LimitSet(string Session, int Line);

/// <summary>What a link opens to: the frozen programme, and what is known of the last days.</summary>
/// <param name="ClientId">Whose it is: what waits on a phone is sent by any link of the same client.</param>
/// <param name="Done">Sets of the last two weeks, newest day first.</param>
/// <param name="ToLimit">The one set asked to the true limit today; null for none.</param>
/// <param name="HeldBack">Lines kept out until the coach has looked at them.</param>
/// <param name="Calibrates">Lines whose exercise was never done, whose last set is as many as leave what is meant: it finds their numbers.</param>
public sealed record LinkView(
    string ClientId, LinkProgramme Programme, DateTimeOffset SentAt, DateOnly Today, DateTimeOffset Expires, ImmutableArray<SetLog> Done,
    ImmutableArray<SessionNote> Notes, LimitSet? ToLimit, ImmutableArray<HeldLine> HeldBack, ImmutableArray<int> Calibrates);

/// <summary>
/// What the phone sends: everything logged since the last answer, with its own clock. Each entry is read, kept or refused by itself: one that
/// cannot be right never keeps another back.
/// </summary>
public sealed record LinkLogForm(DateTimeOffset? PhoneNow, ImmutableArray<SetLog> Sets, ImmutableArray<LinkNote> Notes);

/// <summary>A session's note as the phone sends it.</summary>
/// <param name="Id">Made on the phone, to answer it by.</param>
/// <param name="At">By the phone's clock; null where the day is known otherwise.</param>
public sealed record LinkNote(string Session, DateOnly On, Felt? Felt = null, int? Sore = null, Guid? Id = null, DateTimeOffset? At = null)
{
    [JsonIgnore]
    public SessionNote Note => new(Session, On, Felt, Sore);
}

/// <summary>An entry that is safe now.</summary>
/// <param name="Version">Of what stands, to name in a correction; 0 for notes.</param>
/// <param name="Conflict">Something else stands that its writer had not seen: both are kept, and the coach says which holds.</param>
public sealed record KeptEntry(Guid Id, int Version, bool Conflict);

/// <summary>An entry that could not be kept, with what to do; it stays on the phone.</summary>
/// <param name="Entry">Where it stood in what was sent: "sets[2]".</param>
public sealed record RefusedEntry(Guid? Id, string Entry, string Reason);

/// <summary>An entry whose day the phone's clock cannot tell: it stays on the phone until the client has said it.</summary>
public sealed record AskedEntry(Guid Id, string Question, DateOnly Suggested);

/// <summary>What became of each entry. Sending the same again changes nothing.</summary>
/// <param name="Today">The client's day by the server's clock.</param>
public sealed record LinkLogView(
    ImmutableArray<KeptEntry> Kept, ImmutableArray<RefusedEntry> Refused, ImmutableArray<AskedEntry> Asked, DateOnly Today);

/// <summary>A fixture as checked on the phone.</summary>
/// <param name="Photo">JPEG, base64; null without one.</param>
public sealed record LinkCheckForm(Guid Id, string Place, FixtureReport Report, string? Photo);

using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Homes;
using Ingegno.Core.Plans;
using Ingegno.Core.Programmes;

namespace Ingegno.Core.Progression;

/// <summary>All that is known of a client when the Desk asks what waits.</summary>
/// <param name="Places">The one in use first.</param>
/// <param name="Plan">As trained at the place in use.</param>
/// <param name="SentOn">The client's day something was last sent; null for never.</param>
/// <param name="SentVersion">Of the plan.</param>
public sealed record DeskCase(
    ClientProfile Profile, IReadOnlyList<ClientPlace> Places, HouseRules Rules, Plan Plan, long PlanVersion, Training Training,
    IReadOnlyList<ClientReport> Reports, IReadOnlyList<SetConflict> Conflicts, IReadOnlyList<Decision> Decisions, DateOnly? SentOn, long? SentVersion)
{
    /// <summary>Parts of the programme nobody could read, in words; only looked for while the plan is unsent.</summary>
    public ImmutableArray<string> Unread { get; init; } = [];

    /// <summary>Where the text has weeks behind the one in force; else null.</summary>
    public WeekInText? Week { get; init; }

    /// <summary>The client's day the last of their links closes; null where none was made, or the coach closed them all.</summary>
    public DateOnly? LinkEnds { get; init; }

    /// <summary>Place in use.</summary>
    public Home Home => Places.Count > 0 ? Places[0].Home : new Home();
}

/// <summary>The week of a text that is trained, and the one that waits behind it.</summary>
/// <param name="Now">Null where it has no name.</param>
/// <param name="Since">The client's day its text was taken.</param>
public sealed record WeekInText(TrainedWeek? Now, WaitingWeek Next, DateOnly Since);

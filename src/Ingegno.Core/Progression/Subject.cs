using System.Collections.Immutable;
using System.Security.Cryptography;
using System.Text;
using System.Text.Json;
using System.Text.Json.Serialization;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Progression;

/// <summary>What a decision is about: the same for the same proposal on the same log, so that what was answered is not asked again.</summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "about")]
[JsonDerivedType(typeof(LineSubject), "line")]
[JsonDerivedType(typeof(EasierWeekSubject), "easierWeek")]
[JsonDerivedType(typeof(ReportSubject), "report")]
[JsonDerivedType(typeof(ConflictSubject), "conflict")]
[JsonDerivedType(typeof(UnreadySubject), "unready")]
[JsonDerivedType(typeof(MissedSubject), "missed")]
[JsonDerivedType(typeof(UnsentSubject), "unsent")]
[JsonDerivedType(typeof(LinkEndsSubject), "linkEnds")]
[JsonDerivedType(typeof(ReturnSubject), "return")]
[JsonDerivedType(typeof(NextWeekSubject), "nextWeek")]
[JsonDerivedType(typeof(FeltSubject), "felt")]
[JsonDerivedType(typeof(CrutchSubject), "crutch")]
[JsonDerivedType(typeof(PainSubject), "pain")]
[JsonDerivedType(typeof(ReviewSubject), "review")]
[JsonDerivedType(typeof(EvidenceSubject), "evidence")]
public abstract record Subject
{
    /// <summary>A short name for several subjects together, to answer them by.</summary>
    public static string NameOf(ImmutableArray<Subject> about) =>
        Convert.ToHexStringLower(SHA256.HashData(Encoding.UTF8.GetBytes(JsonSerializer.Serialize(about, TradeJson.Options))))[..24];
}

/// <summary>A step of a line.</summary>
/// <param name="Place">Where it is done so, where that is not the place in use; null there.</param>
/// <param name="Next">What the line would ask; empty where the step names nothing.</param>
/// <param name="LastLogged">Day of its newest set; null where none was logged.</param>
public sealed record LineSubject(int Line, string? Place, StepKind Step, string Next, DateOnly? LastLogged) : Subject
{
    public static LineSubject Of(LineProgress line) => new(
        line.Line, line.Place?.Id, line.Step!.Kind, line.Step.Next is { } next ? $"{next.CountInWords} {next.Load}" : "", line.Logs.IsEmpty ? null : line.Logs[0].On);
}

/// <summary>A week to be made easier, by its first day.</summary>
public sealed record EasierWeekSubject(DateOnly Week) : Subject;

/// <summary>A client's own check of a fixture.</summary>
public sealed record ReportSubject(string Report) : Subject;

/// <summary>A set that two have told differently.</summary>
public sealed record ConflictSubject(string Conflict) : Subject;

/// <summary>What keeps a plan from being sent.</summary>
public enum Missing
{
    Home,
    Programme,
    StandIn,
    HealthScreen,
}

/// <summary>Something is missing.</summary>
/// <param name="Lines">Without a stand-in.</param>
public sealed record UnreadySubject(Missing What, int Lines = 0) : Subject;

/// <summary>Nothing was logged since that day.</summary>
public sealed record MissedSubject(DateOnly Since) : Subject;

/// <summary>A version of the plan that was not sent.</summary>
public sealed record UnsentSubject(long Version) : Subject;

/// <summary>The client's last open link closes that day.</summary>
public sealed record LinkEndsSubject(DateOnly On) : Subject;

/// <summary>The gym opens again that day.</summary>
public sealed record ReturnSubject(DateOnly On) : Subject;

/// <summary>A week of the text that waits behind the one taken that day.</summary>
public sealed record NextWeekSubject(int Week, DateOnly Since) : Subject;

/// <summary>A session felt where it was not meant to be.</summary>
public sealed record FeltSubject(string Session, DateOnly On) : Subject;

/// <summary>A crutch of a line, leaned on since that day.</summary>
public sealed record CrutchSubject(int Line, string Exercise, DateOnly Since) : Subject;

/// <summary>Pain reported on an exercise and not cleared.</summary>
public sealed record PainSubject(string Exercise, DateOnly On) : Subject;

/// <summary>An open-ended plan is to be looked at again that day.</summary>
public sealed record ReviewSubject(DateOnly Due) : Subject;

/// <summary>What a log leaves open.</summary>
public enum EvidenceKind
{
    /// <summary>Fewer sets than asked, session after session.</summary>
    SetsMissing,

    /// <summary>The same is said to be left whatever is.</summary>
    SameAnswer,

    /// <summary>An exercise's sets lie outside their range.</summary>
    ForecastMisses,

    /// <summary>A load that looks typed in pounds or grams.</summary>
    OtherUnit,
}

/// <summary>A doubt about the log, asked about once a month.</summary>
/// <param name="Exercise">Empty where it is about all.</param>
/// <param name="Month">Its first day.</param>
public sealed record EvidenceSubject(EvidenceKind Kind, string Exercise, DateOnly Month) : Subject;

namespace Ingegno.Core.Substitution;

/// <summary>What an exercise failed on.</summary>
public enum RefusalCause
{
    Kit,
    Room,
    Safety,
    Screen,
    Joint,

    /// <summary>Named on the health screen.</summary>
    Health,
    Skill,
    HouseRule,
    Ban,
    Dose,
}

/// <summary>Why an exercise is not offered here, in words.</summary>
public sealed record Refusal(RefusalCause Cause, string Reason);

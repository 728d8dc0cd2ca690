using System.Collections.Immutable;

namespace Ingegno.Core.Clients;

/// <summary>
/// What is asked before the first programme, after the preparticipation screening logic of Riebe et al. 2015, Med Sci
/// Sports Exerc 47:2473-2479 (from memory; own wording).
/// </summary>
public enum HealthQuestion
{
    Heart,
    BloodPressure,
    ChestPain,
    Dizziness,
    Pregnancy,
    RecentSurgery,
    UnexplainedJointPain,
}

/// <summary>One answer: true when it applies.</summary>
public sealed record HealthAnswer(HealthQuestion Question, bool Applies);

/// <summary>The short health screen. It stays on the coach's side; the client sees cautions only.</summary>
public sealed record HealthScreen
{
    public ImmutableArray<HealthAnswer> Answers { get; init; } = [];

    /// <summary>Who cleared what applies: a physician or physiotherapist, by name or practice. Null: nobody yet.</summary>
    public string? ClearedBy { get; init; }

    public DateOnly? ClearedOn { get; init; }

    /// <summary>The coach's own words on it.</summary>
    public string Note { get; init; } = "";

    /// <summary>A question in few words.</summary>
    public static string Words(HealthQuestion question) => question switch
    {
        HealthQuestion.Heart => "heart",
        HealthQuestion.BloodPressure => "blood pressure",
        HealthQuestion.ChestPain => "chest pain",
        HealthQuestion.Dizziness => "dizziness",
        HealthQuestion.Pregnancy => "pregnancy",
        HealthQuestion.RecentSurgery => "recent surgery",
        HealthQuestion.UnexplainedJointPain => "unexplained joint pain",
        _ => throw new ArgumentOutOfRangeException(nameof(question)),
    };
}

/// <summary>Whether anything may be sent to a client.</summary>
/// <param name="Why">What is missing and what to do; null when it may be sent.</param>
public sealed record SendingLeave(bool Allowed, string? Why)
{
    /// <summary>Asked before anything leaves for a client: every question answered, and what applies cleared by a professional.</summary>
    public static SendingLeave For(ClientProfile client)
    {
        var open = Enum.GetValues<HealthQuestion>().Except(client.Health.Answers.Select(a => a.Question)).ToArray();
        if (open.Length > 0)
        {
            return new(false, open.Length == Enum.GetValues<HealthQuestion>().Length
                ? "The health screen was not asked yet: nothing goes to the client before it is."
                : $"The health screen is not finished: {string.Join(", ", open.Select(HealthScreen.Words))} still to ask.");
        }

        var applies = client.Health.Answers.Where(a => a.Applies).Select(a => HealthScreen.Words(a.Question)).ToArray();
        return applies.Length == 0 || (!string.IsNullOrWhiteSpace(client.Health.ClearedBy) && client.Health.ClearedOn is not null)
            ? new(true, null)
            : new(false, $"Named on the health screen: {string.Join(", ", applies)}. Refer to a physician or physiotherapist first; enter who cleared it and when.");
    }
}

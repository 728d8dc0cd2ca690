using System.Collections.Immutable;

namespace Ingegno.Core.Progression;

/// <summary>What a coach answered to a proposal.</summary>
public enum Answer
{
    Taken,
    Refused,

    /// <summary>Asked again after a while.</summary>
    Later,
}

/// <summary>A decision as the Desk remembers it.</summary>
/// <param name="On">The client's day.</param>
public sealed record Decision(string Id, DateOnly On, ImmutableArray<Subject> About, string Sentence, Answer Answer, bool Undone);

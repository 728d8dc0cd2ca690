using System.Collections.Immutable;
using Ingegno.Core.Blocks;
using Ingegno.Core.Substitution;

namespace Ingegno.Core.Plans;

/// <summary>Who commands, and when.</summary>
/// <param name="Command">Names the decision; all changes that come of it carry it.</param>
/// <param name="On">The client's day.</param>
public sealed record Commanded(Guid Command, DateOnly On, DateTimeOffset At, string Who)
{
    /// <summary>Ids of its changes follow from the command's, so that the same command gives the same list.</summary>
    internal Guid IdOf(int change)
    {
        byte[] bytes = Command.ToByteArray();
        bytes[^1] ^= (byte)(change + 1);
        bytes[^2] ^= (byte)((change + 1) >> 8);
        return new(bytes);
    }
}

/// <summary>Why a command is not done. Nothing was changed.</summary>
/// <param name="IsStale">Somebody else changed what it was made from.</param>
public sealed record PlanRefusal(string Reason, bool IsStale = false);

/// <summary>What came of a command: a new plan and the changes that made it, or a refusal.</summary>
public sealed record PlanOutcome(Plan Plan, ImmutableArray<PlanChange> Changes, PlanRefusal? Refusal = null)
{
    internal static PlanOutcome Refused(Plan plan, string reason, bool stale = false) => new(plan, [], new(reason, stale));
}

/// <summary>What a coach had before them when they began: a command touches only what they changed of it.</summary>
/// <param name="Lines">Versions of the lines; a line that was changed since is not written over.</param>
public sealed record SeenPlan(string Text, ImmutableArray<LineChoice> Choices, Block? Block, ImmutableArray<LineVersion> Lines);

using System.Collections.Immutable;
using System.Text.Json.Serialization;
using Ingegno.Core.Blocks;
using Ingegno.Core.Clients;
using Ingegno.Core.Programmes;
using Ingegno.Core.Substitution;

namespace Ingegno.Core.Plans;

/// <summary>What became of a line or of the weeks.</summary>
public enum ChangeKind
{
    /// <summary>The text was typed or changed; lines came or went with it.</summary>
    Written,

    /// <summary>Worked out afresh by the engine.</summary>
    Rebuilt,

    /// <summary>A dose, an exercise or a group set by hand.</summary>
    Nudged,

    /// <summary>A step of next week taken.</summary>
    Stepped,

    /// <summary>Another exercise because of pain.</summary>
    SwappedForPain,

    /// <summary>A step was refused: the line stays.</summary>
    Held,

    /// <summary>An easier week came in.</summary>
    Deloaded,

    /// <summary>The weeks were laid anew or shifted.</summary>
    Shifted,

    /// <summary>Training went over to another place, or came back.</summary>
    WentOver,

    /// <summary>Left out for now, or taken in again.</summary>
    SetAside,

    /// <summary>An earlier change taken back.</summary>
    Undone,
}

/// <summary>All of a line that a change can touch; its place in the session is the text's (<see cref="Arrangement"/>).</summary>
public sealed record LineState
{
    public required string Written { get; init; }

    public string Why { get; init; } = "";

    public LineChoice? Choice { get; init; }

    public Prescription? Prescription { get; init; }

    public Prescription? Start { get; init; }

    public DateOnly? Since { get; init; }

    public ImmutableArray<Prescription> Harder { get; init; } = [];

    public ImmutableArray<Prescription> Instead { get; init; } = [];

    public int? Follows { get; init; }

    /// <summary>It waits and is not trained.</summary>
    public bool IsAside { get; init; }
}

/// <summary>A line at one place before and after a change.</summary>
/// <param name="Before">Null: it was not there.</param>
/// <param name="After">Null: it is gone; its log is kept.</param>
public sealed record LineDelta(string Place, int Line, LineState? Before, LineState? After);

/// <summary>Where a line stands.</summary>
/// <param name="Number">Of the text.</param>
public sealed record ArrangedLine(int Line, int Number, string Tag, string? Group);

/// <summary>A session's lines in the order they are trained.</summary>
public sealed record ArrangedSession(string Title, ImmutableArray<ArrangedLine> Lines);

/// <summary>The sessions of one place.</summary>
public sealed record ArrangedPlace(string Place, string Name, ImmutableArray<ArrangedSession> Sessions);

/// <summary>The text, and where its lines stand at every place.</summary>
public sealed record Arrangement(string Text, ImmutableArray<ArrangedPlace> Places);

/// <summary>The text before and after a change.</summary>
public sealed record TextDelta(Arrangement Before, Arrangement After);

/// <summary>The weeks before and after a change; null where none were laid out.</summary>
public sealed record WeeksDelta(Block? Before, Block? After);

/// <summary>What the client's joints bore before and after a change.</summary>
public sealed record SorenessDelta(ImmutableArray<Soreness> Before, ImmutableArray<Soreness> After)
{
    /// <summary>Joints the change names become what it says; others stay as they are by now.</summary>
    public IEnumerable<Soreness> On(ImmutableArray<Soreness> joints)
    {
        var named = Before.Concat(After).Where(s => !(Before.Contains(s) && After.Contains(s))).Select(s => s.Joint).ToHashSet();
        return [.. joints.Where(s => !named.Contains(s.Joint)), .. After.Where(s => named.Contains(s.Joint))];
    }
}

/// <summary>One entry of the list of changes. Nothing is ever taken off the list: what is undone is followed by its inverse.</summary>
/// <param name="Command">Shared by the changes that came of one decision.</param>
/// <param name="On">The client's day.</param>
/// <param name="Who">Name of the coach, or of what did it.</param>
/// <param name="Cause">One sentence, as it was told.</param>
public sealed record PlanChange(Guid Id, Guid Command, DateOnly On, DateTimeOffset At, ChangeKind Kind, string Who, string Cause)
{
    public ImmutableArray<LineDelta> Lines { get; init; } = [];

    public TextDelta? Text { get; init; }

    public WeeksDelta? Weeks { get; init; }

    public SorenessDelta? Sore { get; init; }

    /// <summary>Lines it is about though it leaves them as they are.</summary>
    public ImmutableArray<int> Concerns { get; init; } = [];

    /// <summary>The change this one takes back.</summary>
    public Guid? Undoes { get; init; }

    /// <summary>Nothing of the plan differs: a decision to leave it as it is, or to train elsewhere.</summary>
    [JsonIgnore]
    public bool IsNote => Lines.IsEmpty && Text is null && Weeks is null && Sore is null;

    /// <summary>The same change the other way round.</summary>
    internal PlanChange Inverse(Guid id, Guid command, DateOnly on, DateTimeOffset at, string who) => this with
    {
        Id = id,
        Command = command,
        On = on,
        At = at,
        Who = who,
        Kind = ChangeKind.Undone,
        Cause = $"Taken back: {Cause}",
        Undoes = Id,
        Lines = [.. Lines.Select(l => l with { Before = l.After, After = l.Before })],
        Text = Text is { } text ? new(text.After, text.Before) : null,
        Weeks = Weeks is { } weeks ? new(weeks.After, weeks.Before) : null,
        Sore = Sore is { } sore ? new(sore.After, sore.Before) : null,
    };
}

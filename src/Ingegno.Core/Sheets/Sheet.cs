using System.Collections.Immutable;
using System.Text.Json.Serialization;
using Ingegno.Core.Figures;

namespace Ingegno.Core.Sheets;

/// <summary>What a client is handed on paper: only what is needed while training.</summary>
/// <param name="Client">First name.</param>
public sealed record Sheet(string Client, string Coach, ImmutableArray<SheetSession> Sessions)
{
    /// <summary>The usual cautions, at the foot of each page; they defer to those who examine the client.</summary>
    public string Caution =>
        $"Sharp pain stops an exercise: stop, and tell {(Coach.Length > 0 ? Coach.Split(' ')[0] : "the coach")}. Nothing heavy over the face, nobody alone under a bar. Use only what was checked, and look at it each time. "
        + "With heart or blood pressure trouble, pregnancy, recent surgery, dizziness or chest pain ask a physician first; for joints a physiotherapist.";
}

/// <summary>A session on its page.</summary>
/// <param name="Under">Who, where, minutes and week.</param>
/// <param name="Today">What was done to make it fit a shorter day; empty for the whole session.</param>
/// <param name="PutOut">What is needed, and what changes into what on the way.</param>
/// <param name="First">Warm-up, with its minutes.</param>
/// <param name="Then">Cool-down.</param>
/// <param name="Care">Cautions of the session's own exercises, once.</param>
public sealed record SheetSession(
    string Title, string Under, ImmutableArray<string> Today, ImmutableArray<SheetThing> PutOut, string First, ImmutableArray<SheetLine> Lines, string Then,
    ImmutableArray<string> Care);

/// <summary>A thing to put out.</summary>
/// <param name="Settings">In the order they are used.</param>
public sealed record SheetThing(string Thing, ImmutableArray<string> Settings);

/// <summary>An exercise on the sheet.</summary>
/// <param name="Dose">"4 x 8 a side".</param>
/// <param name="How">Tempo, rest and where to stop, in words.</param>
/// <param name="With">What gives the load, as a recipe.</param>
/// <param name="SetUp">Two lines at most. <paramref name="Cues"/> three at most.</param>
/// <param name="Gym">The line as written for the gym; empty where it is nothing but this.</param>
/// <param name="Sets">Rows to write in.</param>
/// <param name="Counted">What is written down: "reps", "s".</param>
/// <param name="Weighed">There is a load to write down.</param>
/// <param name="LeftOut">Why it is not done now; null when it is.</param>
/// <param name="Behind">Mobility work between its sets or after them.</param>
public sealed record SheetLine(
    int Line, string Tag, string Name, string Dose, string How, string With, ImmutableArray<string> SetUp, ImmutableArray<string> Cues, string Gym, int Sets, string Counted,
    bool Weighed, string? LeftOut, ImmutableArray<string> Behind)
{
    /// <summary>Null where the exercise has no pose.</summary>
    [JsonIgnore]
    public SetUpFigure? Figure { get; init; }
}

using System.Collections.Immutable;
using System.Text.Json.Serialization;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Effort;
using Ingegno.Core.Loads;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;
using Ingegno.Core.Sessions;

namespace Ingegno.Core.Substitution;

/// <summary>What a coach has decided by hand on a line; everything left null is worked out.</summary>
/// <param name="Line">Line number in the text.</param>
/// <param name="Text">The line as typed then; a choice follows its text when lines move, and lapses when it changes.</param>
/// <param name="Exercise">Catalogue id taken instead of the first proposal.</param>
/// <param name="Alone">One exercise only, though a second would cover more.</param>
/// <param name="Pinned">Kept when the session is built anew.</param>
/// <param name="FinishEasier">Each set is finished on an easier variation.</param>
/// <param name="Group">Letter it is done back to back under; empty for alone; null leaves it as written.</param>
/// <param name="LeftOut">Not done for now, to fit the time.</param>
public sealed record LineChoice(
    int Line, string Text, string? Exercise = null, Mass? Load = null, int? Repetitions = null, Tempo? Tempo = null, Duration? Rest = null,
    bool Alone = false, bool Pinned = false, PartialPart? Partial = null, int? Pulses = null, SetForm? Form = null, int? Sets = null,
    bool FinishEasier = false, string? Group = null, bool LeftOut = false)
{
    /// <summary>A line in force is given up for what the engine would say now; on one that is new it says nothing.</summary>
    public bool Afresh { get; init; }

    /// <summary>A load, count, tempo, rest, technique or number of sets is fixed.</summary>
    [JsonIgnore]
    public bool FixesDose =>
        Load is not null || Repetitions is not null || Tempo is not null || Rest is not null || Partial is not null || Pulses is not null || Form is not null || Sets is not null;

    /// <summary>What stays settled once a line stands, of the line it names nothing: the dose is then the prescription's. Null where nothing is.</summary>
    public LineChoice? Settled() =>
        new LineChoice(0, "", Exercise, Alone: Alone, Pinned: Pinned, FinishEasier: FinishEasier, Group: Group, LeftOut: LeftOut) is var settled
            && settled == new LineChoice(0, "") ? null : settled;
}

/// <summary>Sets of a written line that are alike, and what they ask in the gym; null where it cannot be told.</summary>
public sealed record GymBlock(WrittenLine Written, Intent? Intent);

/// <summary>What became of a written line.</summary>
public enum LineOutcome
{
    /// <summary>The exercise goes across; only the load may differ.</summary>
    Unchanged,

    /// <summary>Another exercise stands in.</summary>
    Swapped,

    /// <summary>The name is not in the catalogue: kept as typed, with nearest names.</summary>
    Unknown,

    /// <summary>Nothing here is possible or safe for it.</summary>
    Nothing,

    /// <summary>Left out by the coach for now, to fit the time.</summary>
    LeftOut,
}

/// <summary>A load on offer for the exercise in hand.</summary>
/// <param name="Pull">For a band what it pulls along the movement; of help, bottom to top.</param>
public sealed record OfferedLoad(Mass Load, string Words, Demand Equivalent, PullAlong? Pull = null);

/// <summary>What an alternative is drawn with once it is chosen: budget through the sets, loads on offer, techniques that are not used.</summary>
internal sealed record AlternativeDetails(ImmutableArray<BudgetPoint> Budget, ImmutableArray<OfferedLoad> Ladder, ImmutableArray<TechniqueRefusal> NotUsed);

/// <summary>One way to do a line here, worked out whole.</summary>
public sealed record Alternative
{
    public required Prescription Prescription { get; init; }

    public required Fit Fit { get; init; }

    /// <summary>What kind of stand-in it is; compared before the fit.</summary>
    public required CandidateClass Class { get; init; }

    public required string Reason { get; init; }

    /// <summary>House rules and traits that changed its rank, its cues or its dose.</summary>
    public ImmutableArray<Leaning> Leanings { get; init; } = [];

    /// <summary>All that the swap gives up: direction, range, grip, sides, load.</summary>
    public ImmutableArray<string> Loses { get; init; } = [];

    /// <summary>A sentence naming the part of the fit that decided its place.</summary>
    public required string Decided { get; init; }

    /// <summary>What it costs, in words; null when nothing worth a word is lost.</summary>
    public string? Loss { get; init; }

    /// <summary>Reason and loss in one.</summary>
    [JsonIgnore]
    public string Why => Loss is null ? Reason : $"{Reason} {Loss}";

    /// <summary>True when the loss is one a coach should decide on: effect left open, or the pattern gone.</summary>
    public bool LossMatters { get; init; }

    public Bridge? Bridge { get; init; }

    public ImmutableArray<ForecastSet> Forecast { get; init; } = [];

    /// <summary>The budget of one side through all sets, for drawing.</summary>
    public ImmutableArray<BudgetPoint> Budget => Details.Value.Budget;

    /// <summary>Share of body mass the exercise moves in this set-up.</summary>
    public Share? BodyMoved { get; init; }

    public Demand? Demand { get; init; }

    /// <summary>Repetitions to failure of each set, four of five times: as the log, the phone and the steps foresee them. Empty without a forecast.</summary>
    public ImmutableArray<RepetitionRange> Ranges => Foretold.Value;

    /// <summary>Worked out when it is asked for, and what it is drawn with as well: of all but the chosen one nobody asks.</summary>
    [JsonIgnore]
    internal Lazy<AlternativeDetails> Details { get; init; } = NoDetails;

    private static readonly Lazy<AlternativeDetails> NoDetails = new(new AlternativeDetails([], [], []));

    [JsonIgnore]
    internal Lazy<ImmutableArray<RepetitionRange>> Foretold { get; init; } = Unforetold;

    private static readonly Lazy<ImmutableArray<RepetitionRange>> Unforetold = new(() => []);

    /// <summary>What the last set leaves, four of five times; under 0 where it may end before its count. Null without a forecast.</summary>
    public RepetitionRange? Leaves =>
        Ranges is [.., var last] && Forecast is [.., { Planned: var planned }] ? new(last.Low - planned, last.Middle - planned, last.High - planned) : null;

    public Demand? Equivalent { get; init; }

    /// <summary>Rungs of the implement in use, lightest first.</summary>
    public ImmutableArray<OfferedLoad> Ladder => Details.Value.Ladder;

    /// <summary>The load that would ask just what the gym line asks; null without a forecast.</summary>
    public Mass? WantedLoad { get; init; }

    public StrengthAnchor? Anchor { get; init; }

    /// <summary>What the sets come to, beside the gym's on the intent; null without a forecast.</summary>
    public SetTotals? Totals { get; init; }

    /// <summary>Effective repetitions given, four of five times: fewest and most.</summary>
    public EffectiveRange? GivenRange { get; init; }

    /// <summary>Techniques that are not used on it here, and why.</summary>
    public ImmutableArray<TechniqueRefusal> NotUsed => Details.Value.NotUsed;

    /// <summary>What one is compared by with another; what it was worked out with is told of the chosen one alone.</summary>
    [JsonIgnore]
    public Alternative InShort => this with
    {
        Forecast = [],
        Foretold = Unforetold,
        Details = NoDetails,
        Anchor = null,
        Prescription = Prescription with { SetUp = [], Cues = [], Cautions = [], Supports = [] },
    };
}

/// <summary>An exercise that was looked at and refused, with its reasons.</summary>
public sealed record RefusedAlternative(string Exercise, string Name, ImmutableArray<Refusal> Reasons);

/// <summary>A catalogue exercise offered by name.</summary>
public sealed record NamedExercise(string Exercise, string Name);

/// <summary>One line, as written against as rebuilt.</summary>
public sealed record RebuiltLine
{
    public required WrittenLine Written { get; init; }

    /// <summary>What was read of it, in the notation's plain form.</summary>
    public required string Reading { get; init; }

    public required LineOutcome Outcome { get; init; }

    public required Role Role { get; init; }

    /// <summary>What it asks; of several blocks of sets the first.</summary>
    public Intent? Intent { get; init; }

    /// <summary>The practice's zone for its count; null where nothing is asked of a load.</summary>
    public RepetitionZone? Zone { get; init; }

    /// <summary>The blocks of a line whose sets have loads of their own; empty for most lines.</summary>
    [JsonIgnore]
    public ImmutableArray<GymBlock> Blocks { get; init; } = [];

    /// <summary>All it asks in the gym, a block of like sets at a time.</summary>
    public ImmutableArray<GymBlock> GymBlocks() => Blocks.IsEmpty ? [new(Written, Intent)] : Blocks;

    /// <summary>The alternative in force; null for unknown lines and where nothing is possible.</summary>
    public Alternative? Chosen { get; init; }

    /// <summary>Done back to back with the chosen one where it covers too little alone, or the further blocks of sets with loads of their own; empty for most lines.</summary>
    public ImmutableArray<Alternative> Added { get; init; } = [];

    /// <summary>Share of the written exercise's muscles that is covered, by what is chosen and added together.</summary>
    public Share? Covered { get; init; }

    /// <summary>Letter of the lines it is done back to back with at home; the written one unless set otherwise or at odds over one thing.</summary>
    public string? Group { get; init; }

    /// <summary>Why its group or its place is another than written; null where it is not.</summary>
    public string? Moved { get; init; }

    /// <summary>Where the line is trained, from 1; another place than its own by house rule, or so that less has to be put up anew.</summary>
    public int TrainedAt { get; init; }

    /// <summary>Mobility work behind this line, for a screen that was not passed.</summary>
    public ImmutableArray<GivenDrill> Behind { get; init; } = [];

    /// <summary>How closely a main lift is copied; null for other lines and where nothing is chosen.</summary>
    public LineCloseness? Closeness { get; init; }

    /// <summary>A load that stays below what was asked and is not made up, with ways to it; null where none is short.</summary>
    public LoadGap? Gap { get; init; }

    /// <summary>What would open it, where nothing is possible; null otherwise.</summary>
    public string? WouldOpen { get; init; }

    /// <summary>As it stands in the plan, changed in nothing.</summary>
    public bool Stands { get; init; }

    /// <summary>What the engine would say of a line in force now, where that differs: "Goblet squat, 24 kg, 4 x 12".</summary>
    public string? Afresh { get; init; }

    /// <summary>Why a line in force may not be trained as it stands; empty for most.</summary>
    public ImmutableArray<string> Against { get; init; } = [];

    /// <summary>True when a coach chose the exercise by hand.</summary>
    public bool ChosenByHand { get; init; }

    /// <summary>Why the exercise a coach chose by hand is not used any more; null while it is, or none was chosen.</summary>
    public string? LapsedChoice { get; init; }

    /// <summary>Best fit first, the chosen one among them; on a line in force that one comes first.</summary>
    public ImmutableArray<Alternative> Alternatives { get; init; } = [];

    public ImmutableArray<RefusedAlternative> Refused { get; init; } = [];

    /// <summary>For an unknown name, the nearest ones in the catalogue.</summary>
    public ImmutableArray<NamedExercise> Nearest { get; init; } = [];

    /// <summary>"B1" where it keeps its written place in the group, "B" where it came to it at home; empty alone.</summary>
    [JsonIgnore]
    public string TagHere => Group is { } group ? group + (group == Written.Group && Written.PlaceInGroup > 0 ? Written.PlaceInGroup : "") : "";

    /// <summary>All that is trained on this line, in order.</summary>
    public IEnumerable<Prescription> Prescriptions() =>
        Chosen is { } chosen ? [chosen.Prescription, .. Added.Select(a => a.Prescription)] : [];
}

/// <summary>A session rebuilt for one home.</summary>
/// <param name="Length">Work, rests and changes, without warm-up and cool-down.</param>
public sealed record RebuiltSession(string Title, ImmutableArray<RebuiltLine> Lines, Duration Length)
{
    /// <summary>With warm-up, mobility work and cool-down: what the client's minutes are held against.</summary>
    public Duration Whole => WarmUp.Concat(CoolDown).Concat(Lines.SelectMany(l => l.Behind)).Aggregate(Length, (sum, d) => sum + d.Lasts);

    /// <summary>Put out before it starts.</summary>
    public ImmutableArray<LaidOut> LayOut { get; init; } = [];

    /// <summary>Before the session; half the day's repetitions of the first exercise follow.</summary>
    public ImmutableArray<GivenDrill> WarmUp { get; init; } = [];

    /// <summary>Drills that were typed and that room, health or a sore joint forbid.</summary>
    public ImmutableArray<string> DrillsLeftOut { get; init; } = [];

    public ImmutableArray<GivenDrill> CoolDown { get; init; } = [];
}

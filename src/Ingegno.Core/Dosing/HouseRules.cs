using System.Collections.Immutable;
using System.Text.Json.Serialization;
using Ingegno.Core.Clients;
using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;
using Ingegno.Core.Schools;
using Ingegno.Core.Sessions;

namespace Ingegno.Core.Dosing;

/// <summary>The practice's settings a dose must stay within; the defaults are common practice unless a source stands here.</summary>
public sealed record HouseRules
{
    public static HouseRules Default { get; } = new();

    /// <summary>Repetitions left on the last set where a line says nothing.</summary>
    public double Reserve { get; init; } = 2;

    /// <summary>A beginner never goes nearer to failure than this.</summary>
    public double BeginnerReserve { get; init; } = 2;

    /// <summary>Most repetitions a set is given.</summary>
    public int RepetitionCap { get; init; } = 30;

    /// <summary>Counts that serve a written one.</summary>
    public RepetitionZones Zones { get; init; } = RepetitionZones.Default;

    /// <summary>What is done where the load is missing, in this order, until the set asks what the gym asked.</summary>
    public ImmutableArray<StairMeasure> Stair { get; init; } = MeasureStair.Usual;

    /// <summary>
    /// Longest repetition in seconds. Schoenfeld et al. 2015, Sports Med 45:577-585 (from memory) sees no gain past 8.
    /// </summary>
    public int LongestRepetition { get; init; } = 9;

    /// <summary>Slowest lowering used to make a load harder, in seconds.</summary>
    public int SlowestLowering { get; init; } = 5;

    /// <summary>Longest pause at the hard end, in seconds.</summary>
    public int LongestPause { get; init; } = 3;

    /// <summary>Slowest lifting used, in seconds.</summary>
    public int SlowestLifting { get; init; } = 3;

    /// <summary>How far the home load's equivalent demand may pass the intended one.</summary>
    public double MostAboveIntent { get; init; } = 0.05;

    /// <summary>Most sets a line is given on top of the written ones, where nothing else closes a gap.</summary>
    public int MostAddedSets { get; init; }

    /// <summary>Test sets for as many as possible end at this count: then the variation is too easy.</summary>
    public int TestSetCap { get; init; } = 50;

    /// <summary>A test set that would stay under this is finished on an easier variation.</summary>
    public int TestSetFloor { get; init; } = 10;

    /// <summary>Part of the sets done in the first week after a change; the loads stay.</summary>
    public double FirstWeekSets { get; init; } = 0.67;

    /// <summary>The same of an easier week: 40 to 60 percent are usual.</summary>
    public double EasierWeekSets { get; init; } = 0.6;

    /// <summary>By milestones: sessions running at the standard, clean and free of pain, before moving up.</summary>
    public int MilestoneSessions { get; init; } = 2;

    /// <summary>Days a fixture's pass lasts.</summary>
    public int PassDays { get; init; } = 90;

    /// <summary>How much each part of the fit counts.</summary>
    public FitWeights Weights { get; init; } = FitWeights.Default;

    /// <summary>Never given in this practice; each entry is named as the reason of a refusal.</summary>
    public ImmutableArray<Ban> Bans { get; init; } = [];

    /// <summary>Sides taken in the schools against their defaults; at most one a school counts, the first.</summary>
    public ImmutableArray<Teaching> Teachings { get; init; } = [];

    /// <summary>Most ways at once in which a repetition is made slower or paused, legs and upper body (coach).</summary>
    public int TechniquesOnLegs { get; init; } = 2;

    /// <inheritdoc cref="TechniquesOnLegs"/>
    public int TechniquesOnUpperBody { get; init; } = 1;

    /// <summary>Catalogue ids this coach likes to give: of nearly equal fits these come first.</summary>
    public ImmutableArray<string> Preferred { get; init; } = [];

    /// <summary>Catalogue ids that are off by default and allowed here, screens permitting.</summary>
    public ImmutableArray<string> Allowed { get; init; } = [];

    /// <summary>
    /// Rest where none is written, by what the repetitions train: 1-5 strength, 6-12 size, 13 and over endurance
    /// (Haff and Triplett's goal table; from memory).
    /// </summary>
    public static Duration UsualRest(int repetitions) => Duration.FromSeconds(repetitions switch
    {
        <= 5 => 180,
        <= 12 => 90,
        _ => 60,
    });

    /// <summary>Exercises this practice added to the catalogue.</summary>
    public ImmutableArray<OwnExercise> Exercises { get; init; } = [];

    /// <summary>Everything that can be given here: what ships, and the practice's own.</summary>
    [JsonIgnore]
    public Catalogue Catalogue => HouseCatalogue.Of(Exercises).Catalogue;

    /// <summary>The rest of a line: as written, what a set leaves of the minute where one begins every minute, or the usual one.</summary>
    /// <param name="repetitions">Of a set; null for the first one's middle.</param>
    public static Duration RestOf(WrittenLine line, int? repetitions = null)
    {
        int count = repetitions ?? line.Sets[0].Middle;
        return line.Rest
            ?? (line.Techniques.Any(t => t.Kind == TechniqueKind.EveryMinute)
                ? Duration.FromSeconds(Math.Clamp(60 - (count * (line.Tempo?.Seconds ?? BriskRepetition)), ShortestOfMinute, LongestOfMinute))
                : UsualRest(count));
    }

    /// <summary>Seconds of a repetition against the clock where no tempo is written (common practice).</summary>
    internal const int BriskRepetition = 2;

    /// <summary>Seconds of the rest within a minute, at least and at most (common practice).</summary>
    private const int ShortestOfMinute = 10, LongestOfMinute = 55;

    /// <summary>In which order a session that is too long is made shorter; each means once.</summary>
    public ImmutableArray<ShrinkMeans> ShrinkOrder { get; init; } = [ShrinkMeans.Pair, ShrinkMeans.Shorten, ShrinkMeans.Drop];

    /// <summary>Whether this side of its school is in force.</summary>
    public bool Teaches(Teaching teaching) => School.IsTaught(teaching, Teachings);

    /// <summary>The rules with what was agreed for one client before them.</summary>
    public HouseRules For(ClientProfile client) =>
        client.Teachings.IsEmpty ? this : this with { Teachings = School.Over(Teachings, client.Teachings) };

    /// <summary>Repetitions left where a line says nothing; a beginner keeps some whatever the school.</summary>
    public double ReserveFor(ClientProfile client) =>
        !Teaches(Teaching.ToFailure) ? Reserve : client.Level == Level.Beginner ? BeginnerReserve : 0;

    /// <summary>Most added phases of a repetition for an exercise.</summary>
    public int MostTechniques(Exercise exercise) => IsForLegs(exercise) ? TechniquesOnLegs : TechniquesOnUpperBody;

    internal static bool IsForLegs(Exercise exercise) =>
        exercise.Endurance is EnduranceClass.Lower or EnduranceClass.LegCurl or EnduranceClass.LegExtension;

    /// <summary>Whether a style of repetition keeps within the rules: its tempo, and the whole of it.</summary>
    public bool Allows(RepetitionStyle style) =>
        Allows(style.Tempo) && style.Lasts.Seconds <= LongestRepetition && style.Pulses is >= 0 and <= RepetitionStyle.MostPulses;

    /// <summary>Whether a tempo keeps within the rules.</summary>
    public bool Allows(Tempo tempo) =>
        tempo.Seconds <= LongestRepetition
        && tempo.Lowering <= SlowestLowering
        && tempo.AfterLowering <= LongestPause
        && tempo.AfterLifting <= LongestPause
        && tempo.Lifting <= SlowestLifting;
}

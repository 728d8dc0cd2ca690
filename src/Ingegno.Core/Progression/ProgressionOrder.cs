using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Loads;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;
using Ingegno.Core.Schools;

namespace Ingegno.Core.Progression;

/// <summary>What can be raised from one week to the next.</summary>
public enum Raise
{
    Load,
    Repetitions,
    Set,
    Variation,
    Tempo,
    Pause,

    /// <summary>Less of it.</summary>
    Rest,
}

/// <summary>One thing raised: what, in a coach's words, and the line as it then is.</summary>
public sealed record Raised(Raise What, string Words, Prescription Next);

/// <summary>A line on its way up: what it was when it got its load, variation or set, and what stands above it here.</summary>
/// <param name="Line">As it is now.</param>
/// <param name="Base">As it was when the last thing but repetitions was raised; counts go back to it.</param>
/// <param name="Implement">What it is loaded with, or could be; null where nothing can be added.</param>
/// <param name="Anchor">The maximum on it, for the shape of the forecast; null where there is no model.</param>
/// <param name="Harder">Harder variations possible here, worked out whole, next first.</param>
public sealed record Climbing(
    Prescription Line, Prescription Base, Exercise Exercise, HeldImplement? Implement, StrengthAnchor? Anchor, ImmutableArray<Prescription> Harder);

/// <summary>
/// Each week raises one thing, in an order, each only when the one before has run out (order: coach). In contrast to
/// <see cref="NextStep"/>, which reads a log, this says what comes once a target is met.
/// </summary>
public static class ProgressionOrder
{
    /// <summary>Repetitions a line climbs where no range is written, and seconds where it is held (coach).</summary>
    private const int Climb = 4, ClimbSeconds = 20, SecondsAWeek = 5;

    /// <summary>Sets go from 2 to 6, mostly 3 or 4: none is added past this (coach).</summary>
    private const int MostSets = 5;

    private static readonly ImmutableArray<Raise> Usual =
        [Raise.Load, Raise.Repetitions, Raise.Set, Raise.Variation, Raise.Tempo, Raise.Pause];

    /// <summary>
    /// The usual order, but strength looks for a harder variation before more repetitions, conditioning rests less first, and skill,
    /// joint care and activation never reach for load.
    /// </summary>
    public static ImmutableArray<Raise> For(Purpose purpose, HouseRules rules) =>
        Purposes.IsCapped(purpose) ? [Raise.Tempo, Raise.Pause]
        : purpose == Purpose.Conditioning || rules.Teaches(Teaching.Density) ? [Raise.Rest, .. Usual]
        : rules.Teaches(Teaching.Milestones) ? [Raise.Repetitions, Raise.Variation, Raise.Load, Raise.Set, Raise.Tempo, Raise.Pause]
        : purpose == Purpose.Strength ? [Raise.Load, Raise.Variation, Raise.Repetitions, Raise.Set, Raise.Tempo, Raise.Pause]
        : Usual;

    /// <summary>Where every set has some to spare another easy set comes last.</summary>
    public static ImmutableArray<Raise> ForEasy(Purpose purpose, HouseRules rules) =>
        For(purpose, rules) is var order && order.Contains(Raise.Set) ? [.. order.Remove(Raise.Set), Raise.Set] : order;

    /// <returns>Null when everything in the order has run out, or the line is for skill, joint care or activation.</returns>
    public static Raised? After(Climbing at, ImmutableArray<Raise> order, ClientProfile client, HouseRules rules) =>
        Purposes.IsCapped(at.Line.Purpose) || at.Line.Form != Effort.SetForm.Straight
            ? null
            : order.Select(what => Try(what, at, client, rules)).FirstOrDefault(r => r is not null);

    private static Raised? Try(Raise what, Climbing at, ClientProfile client, HouseRules rules) => what switch
    {
        Raise.Load => Load(at, client, rules),
        Raise.Repetitions => Repetitions(at, TopOf(at.Base, rules), null),
        Raise.Set => Set(at),
        Raise.Variation => Variation(at, rules),
        Raise.Tempo => Tempo(at, client, rules),
        Raise.Pause => Pause(at, client, rules),
        Raise.Rest => Rest(at),
        _ => throw new ArgumentOutOfRangeException(nameof(what)),
    };

    /// <summary>The next rung once it is earned; until then a repetition a set towards it.</summary>
    private static Raised? Load(Climbing at, ClientProfile client, HouseRules rules)
    {
        if (at is not { Implement: { } implement, Anchor: { } anchor } || !at.Line.Count.IsRepetitions()
            || implement.Ladder.Above(at.Line.Load) is not { } rung)
        {
            return null;
        }

        return LoadStep.Earning(at.Line with { Counts = at.Base.Counts }, at.Exercise, rung, client, anchor, rules) is not { } needed || needed > rules.RepetitionCap ? null
            : at.Line.Counts.Min() < needed ? Repetitions(at, needed, $"{needed} earn {rung.Load}")
            : new(
                Raise.Load, $"{at.Line.Load} to {rung.Load}",
                at.Line with
                {
                    Load = rung.Load,
                    Kit = implement.KitId,
                    Hold = implement.Hold,
                    LoadInWords = LoadWords.Of(rung, implement),
                    Counts = Back(at),
                    TopOfRange = at.Base.TopOfRange,
                });
    }

    /// <summary>The top of the written range, or a few over the start where there is none.</summary>
    internal static int TopOf(Prescription start, HouseRules rules)
    {
        bool held = start.Count == CountKind.Seconds;
        int top = Math.Max(start.TopOfRange, start.Counts.Max() + (held ? ClimbSeconds : Climb));
        return held ? top : Math.Min(top, rules.RepetitionCap);
    }

    private static Raised? Repetitions(Climbing at, int top, string? why)
    {
        int by = at.Line.Count is CountKind.Seconds or CountKind.Metres ? SecondsAWeek : 1;
        if (at.Line.Counts.Min() >= top)
        {
            return null;
        }

        var next = at.Line with { Counts = [.. at.Line.Counts.Select(c => Math.Max(c, Math.Min(top, c + by)))] };
        string unit = at.Line.Count switch
        {
            CountKind.Seconds => $"{by} s",
            CountKind.Metres => $"{by} m",
            CountKind.Breaths => "1 breath",
            CountKind.Steps => "1 step",
            CountKind.Trips => "1 trip",
            _ => "1 rep",
        };
        return new(Raise.Repetitions, $"{unit} more a set{(why is null ? "" : $": {why}")}", next with { TopOfRange = Math.Max(next.TopOfRange, next.Counts.Max()) });
    }

    /// <summary>The total is kept, not raised twice over: 3 x 10 to 4 x 8, not 4 x 10.</summary>
    private static Raised? Set(Climbing at)
    {
        int sets = at.Line.Counts.Length;
        if (sets >= MostSets)
        {
            return null;
        }

        int each = (int)Math.Ceiling(at.Line.Counts.Sum() / (sets + 1.0));
        var next = at.Line with { Counts = [.. Enumerable.Repeat(each, sets + 1)] };
        return new(Raise.Set, $"a set more: {next.CountInWords}", next);
    }

    /// <summary>A harder variation is earned like a load: by two repetitions over the target.</summary>
    private static Raised? Variation(Climbing at, HouseRules rules)
    {
        if (at.Harder.FirstOrDefault(h => IsInZone(h, at.Base, rules)) is not { } harder)
        {
            return null;
        }

        string name = PlainWords.InSentence(harder.Name);
        int needed = Math.Min(rules.RepetitionCap, at.Base.Counts.Max() + LoadStep.OverTarget);
        return Repetitions(at, needed, $"{needed} earn the {name}") ?? new(Raise.Variation, name, harder);
    }

    /// <summary>A variation changes the count only as far as the line's zone goes: five fives do not become five eighteens from one week to the next.</summary>
    private static bool IsInZone(Prescription harder, Prescription start, HouseRules rules) =>
        !harder.Count.IsRepetitions() || !start.Count.IsRepetitions() || (rules.Zones.Of(start.Counts.Min()) is var zone && harder.Counts.All(zone.Holds));

    private static Raised? Tempo(Climbing at, ClientProfile client, HouseRules rules)
    {
        var tempo = at.Line.Style.Tempo;
        return at.Line.Count.IsRepetitions()
            ? Slower(at, Raise.Tempo, Technique.SlowLowering, tempo with { Lowering = tempo.Lowering + 1 }, client, rules, "1 s more on the way down")
            : null;
    }

    private static Raised? Pause(Climbing at, ClientProfile client, HouseRules rules)
    {
        var tempo = at.Line.Style.Tempo;
        bool low = at.Exercise.HardestPause == PausePosition.AfterLowering;
        return at.Line.Count.IsRepetitions()
            ? Slower(
                at, Raise.Pause, Technique.Pause,
                low ? tempo with { AfterLowering = tempo.AfterLowering + 1 } : tempo with { AfterLifting = tempo.AfterLifting + 1 },
                client, rules, $"1 s more held {(low ? "at the bottom" : "at the top")}")
            : null;
    }

    private static Raised? Slower(
        Climbing at, Raise what, Technique technique, Tempo tempo, ClientProfile client, HouseRules rules, string words)
    {
        var next = at.Line with { Tempo = tempo, Counts = Back(at) };
        return TechniqueLimits.Of(at.Exercise, client, rules).Allows(technique) && rules.Allows(next.Style) ? new(what, words, next) : null;
    }

    private static Raised? Rest(Climbing at) =>
        SchoolStep.Shorter(at.Line) is { } shorter ? new(Raise.Rest, $"rest {shorter.Rest} instead of {at.Line.Rest}", shorter) : null;

    private static ImmutableArray<int> Back(Climbing at) =>
        at.Line.Counts.Length == at.Base.Counts.Length ? at.Base.Counts : [.. at.Line.Counts.Select(_ => at.Base.Counts.Min())];
}

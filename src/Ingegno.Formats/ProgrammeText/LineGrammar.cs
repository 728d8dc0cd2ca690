using System.Collections.Immutable;
using System.Globalization;
using Ingegno.Core.Programmes;
using Superpower;
using Superpower.Model;
using Superpower.Parsers;

namespace Ingegno.Formats.ProgrammeText;

/// <summary>A part of a line that was read; applied to the line in the making.</summary>
internal abstract record LinePart
{
    internal sealed record Percent(double Value) : LinePart;

    /// <param name="PerHand">Two such weights are meant, one in each hand.</param>
    internal sealed record Load(double Value, string? Unit, bool PerHand = false) : LinePart;

    internal sealed record Reserve(double Value) : LinePart;

    /// <summary>One a set.</summary>
    internal sealed record Each(ImmutableArray<LinePart> Values) : LinePart;

    /// <summary>What follows is of one week.</summary>
    internal sealed record Week(int Number) : LinePart;

    internal sealed record TempoText(string Text) : LinePart;

    internal sealed record Rest(double Seconds) : LinePart;

    internal sealed record PerSide : LinePart;

    /// <summary>Both sides counted together, or taking turns: the count a side is half of it.</summary>
    internal sealed record OfBothSides(bool Alternating) : LinePart;

    internal sealed record For(Purpose Purpose) : LinePart;

    /// <summary>The sets, where they do not stand behind the name.</summary>
    internal sealed record Dose(SetsRead Sets) : LinePart;

    /// <summary>The last set is another one.</summary>
    internal sealed record LastSet(SetTarget Target) : LinePart;

    /// <summary>A phase of the repetition in words; what is not named stays.</summary>
    internal sealed record Phases(int? Lowering = null, int? Low = null, int? Lifting = null, int? High = null, bool Fast = false) : LinePart
    {
        /// <summary>"Paused" without a figure: 2 s (common practice).</summary>
        internal static Phases Paused { get; } = new(Low: 2);

        /// <summary>"Slow" without a figure: 4 s of lowering (common practice).</summary>
        internal static Phases Slow { get; } = new(Lowering: 4);
    }

    /// <summary>Understood, and nothing can be done with it: said.</summary>
    internal sealed record NotYet(string Why) : LinePart;

    internal sealed record Does(WrittenTechnique Technique) : LinePart;

    internal sealed record Filler : LinePart;
}

/// <summary>The sets of a line, before their bounds are checked.</summary>
internal sealed record SetsRead(int? Sets, ImmutableArray<SetTarget> Targets, double? Reserve = null)
{
    /// <summary>Of the sets, those that are left to the day: one of "2-3 x 10".</summary>
    public int Optional { get; init; }
}

/// <summary>
/// The grammar of one programme line after its exercise name: sets and repetitions, then load, effort, tempo and rest
/// in any order. What coaches type, whatever the case and spacing.
/// </summary>
internal static class LineGrammar
{
    private static readonly TokenListParser<ProgrammeToken, double> Number =
        Token.EqualTo(ProgrammeToken.Number).Select(t => Value(t));

    private static readonly TokenListParser<ProgrammeToken, int> Count =
        Token.EqualTo(ProgrammeToken.Number)
            .Where(t => int.TryParse(t.ToStringValue(), NumberStyles.None, CultureInfo.InvariantCulture, out _), "expected a whole number")
            .Select(t => int.Parse(t.ToStringValue(), CultureInfo.InvariantCulture));

    /// <summary>"10-50" behind "max": the floor and the cap.</summary>
    private static readonly TokenListParser<ProgrammeToken, (int Low, int High)> Bounds =
        from low in Count
        from dash in Token.EqualTo(ProgrammeToken.Dash)
        from high in Count
        select (Math.Min(low, high), Math.Max(low, high));

    private static readonly TokenListParser<ProgrammeToken, SetTarget> Target =
        (from low in Count
         from high in (from dash in Token.EqualTo(ProgrammeToken.Dash) from h in Count select h).OptionalOrDefault(low)
         from more in Token.EqualTo(ProgrammeToken.Plus).Optional()
         select more is null
             ? new SetTarget(CountKind.Repetitions, Math.Min(low, high), Math.Max(low, high))
             : new SetTarget(CountKind.AsManyAsPossible, low, 0))
        .Or(from word in Word("amrap", "max", "failure")
            from bounds in Bounds.Try().OptionalOrDefault((Low: 1, High: 0))
            select new SetTarget(CountKind.AsManyAsPossible, bounds.Low, bounds.High))
        .Or(from up in Word("up")
            from to in Word("to")
            from most in Count
            select new SetTarget(CountKind.UpTo, 1, most));

    /// <summary>A single "20 m" is read with the phrases, where minutes are told from metres.</summary>
    private static readonly string[] Units = ["s", "sec", "secs", "second", "seconds", "breath", "breaths", "trip", "trips", "length", "lengths", "step", "steps"];

    private static readonly TokenListParser<ProgrammeToken, ImmutableArray<SetTarget>> Targets =
        from targets in Target.AtLeastOnceDelimitedBy(Token.EqualTo(ProgrammeToken.Slash))
        from unit in Maybe(Word(targets.Length > 1 ? [.. Units, "m", "metres", "meters"] : Units))
        from repetitions in Maybe(Word("reps", "rep", "repetitions"))
        select unit is null
            ? targets.ToImmutableArray()
            : [.. targets.Select(t => t with { Kind = KindOf(unit) })];

    /// <summary>"until RPE 8", "until 2 left", "until grip".</summary>
    private static readonly TokenListParser<ProgrammeToken, (SetTarget Target, double? Reserve)> Until =
        from until in Word("until", "till")
        from end in (from rpe in Word("rpe") from value in Number select (new SetTarget(CountKind.UntilEffort, 1, 0), (double?)(10 - value))).Try()
            .Or((from value in Number from left in Word("left", "rir") select (new SetTarget(CountKind.UntilEffort, 1, 0), (double?)value)).Try())
            .Or(from the in Maybe(Word("the", "your"))
                from grip in Word("grip")
                from goes in Maybe(Word("goes", "fails"))
                select (new SetTarget(CountKind.UntilGrip, 1, 0), (double?)null))
        select end;

    private static CountKind KindOf(string unit) => unit[0] switch
    {
        'b' => CountKind.Breaths,
        't' or 'l' => CountKind.Trips,
        'm' => CountKind.Metres,
        _ when unit.StartsWith("st", StringComparison.Ordinal) => CountKind.Steps,
        _ => CountKind.Seconds,
    };

    /// <summary>"4 x 6", "2-3 x 10", "3 x 8-12", "3 x 10/10/8", "3 sets of 8", "10/10/8".</summary>
    internal static readonly TokenListParser<ProgrammeToken, SetsRead> Sets =
        (from fewest in Count
         from dash in Token.EqualTo(ProgrammeToken.Dash)
         from most in Count
         from rounds in Maybe(Word("rounds", "sets"))
         from times in Token.EqualTo(ProgrammeToken.Times).Or(Word("of").Select(_ => default(Token<ProgrammeToken>)))
         from targets in Targets
         select new SetsRead(Math.Max(fewest, most), targets) { Optional = Math.Abs(most - fewest) }).Try()
        .Or((from sets in Count
             from times in Token.EqualTo(ProgrammeToken.Times)
             from until in Until
             select new SetsRead(sets, [until.Target], until.Reserve)).Try())
        .Or((from sets in Count
             from times in Token.EqualTo(ProgrammeToken.Times)
             from targets in Targets
             select new SetsRead(sets, targets)).Try())
        .Or((from sets in Count
             from word in Word("set", "sets")
             from of in Maybe(Word("of"))
             from targets in Targets
             select new SetsRead(sets, targets)).Try())
        .Or((from first in Target
             from slash in Token.EqualTo(ProgrammeToken.Slash)
             from others in Target.AtLeastOnceDelimitedBy(Token.EqualTo(ProgrammeToken.Slash))
             select new SetsRead(null, [first, .. others])).Try());

    private static readonly TokenListParser<ProgrammeToken, double> Time =
        (from minutes in Count
         from colon in Token.EqualTo(ProgrammeToken.Colon)
         from seconds in Count
         select (minutes * 60.0) + seconds).Try()
        .Or(from value in Number
            from unit in Word("s", "sec", "secs", "second", "seconds", "min", "mins", "minute", "minutes", "m")
            select unit[0] == 'm' ? value * 60 : value);

    private static readonly TokenListParser<ProgrammeToken, Token<ProgrammeToken>?> At =
        Token.EqualTo(ProgrammeToken.At).Optional();

    private static readonly TokenListParser<ProgrammeToken, LinePart> Percent =
        from at in At
        from value in Number
        from sign in Token.EqualTo(ProgrammeToken.Percent)
        select (LinePart)new LinePart.Percent(value);

    private static readonly TokenListParser<ProgrammeToken, LinePart> Effort =
        (from at in At
         from word in Word("rpe")
         from value in Number
         select (LinePart)new LinePart.Reserve(10 - value)).Try()
        .Or((from at in At
             from word in Word("rir", "leave", "leaving")
             from value in Number
             select (LinePart)new LinePart.Reserve(value)).Try())
        .Or(from at in At
            from value in Number
            from word in Word("rir")
            select (LinePart)new LinePart.Reserve(value));

    /// <summary>"@ 60": in the client's unit.</summary>
    private static readonly TokenListParser<ProgrammeToken, LinePart> Load =
        from at in Token.EqualTo(ProgrammeToken.At)
        from value in Number
        select (LinePart)new LinePart.Load(value, null);

    private static readonly TokenListParser<ProgrammeToken, LinePart> BareTempo =
        from lowering in Number
        from _ in Token.EqualTo(ProgrammeToken.Dash)
        from pause in Number
        from __ in Token.EqualTo(ProgrammeToken.Dash)
        from lifting in Number.Select(n => n.ToString(CultureInfo.InvariantCulture)).Or(Word("x"))
        from ___ in Token.EqualTo(ProgrammeToken.Dash)
        from top in Number
        select (LinePart)new LinePart.TempoText($"{lowering}-{pause}-{lifting}-{top}");

    /// <summary>After the word, everything written together: 3-1-X-0, 3/1/1/0 or 31X0.</summary>
    private static readonly TokenListParser<ProgrammeToken, LinePart> NamedTempo =
        from word in Word("tempo")
        from tempo in BareTempo.Try().Or(
            Token.EqualTo(ProgrammeToken.Number)
                .Or(Token.EqualTo(ProgrammeToken.Word).Where(t => t.ToStringValue() is "x" or "X"))
                .Or(Token.EqualTo(ProgrammeToken.Times))
                .Or(Token.EqualTo(ProgrammeToken.Slash))
                .AtLeastOnce()
                .Select(tokens => (LinePart)new LinePart.TempoText(string.Concat(tokens.Select(t => t.ToStringValue())))))
        select tempo;

    private static readonly TokenListParser<ProgrammeToken, LinePart> Rest =
        (from word in Word("rest", "rests")
         from colon in Token.EqualTo(ProgrammeToken.Colon).Optional()
         from seconds in Time.Try().Or(Number)
         select (LinePart)new LinePart.Rest(seconds)).Try()
        .Or(from seconds in Time
            from word in Word("rest")
            select (LinePart)new LinePart.Rest(seconds));

    private static readonly TokenListParser<ProgrammeToken, LinePart> PerSide = Word("each").Select(_ => (LinePart)new LinePart.PerSide());

    private static readonly TokenListParser<ProgrammeToken, LinePart> OfBothSides =
        Word("alternating", "alternate").Select(_ => (LinePart)new LinePart.OfBothSides(true))
            .Or(Word("total").Select(_ => (LinePart)new LinePart.OfBothSides(false)));

    /// <summary>"for skill", "for joint care".</summary>
    private static readonly TokenListParser<ProgrammeToken, LinePart> For =
        from word in Word("for")
        from purpose in Word("growth", "size", "strength", "skill", "joint", "joints", "activation", "conditioning")
        from care in Maybe(Word("care"))
        select (LinePart)new LinePart.For(purpose switch
        {
            "growth" or "size" => Purpose.Growth,
            "strength" => Purpose.Strength,
            "skill" => Purpose.Skill,
            "activation" => Purpose.Activation,
            "conditioning" => Purpose.Conditioning,
            _ => Purpose.JointCare,
        });

    private static readonly TokenListParser<ProgrammeToken, LinePart> Filler =
        Token.EqualTo(ProgrammeToken.Separator).Select(_ => (LinePart)new LinePart.Filler())
            .Or(Word("at", "with", "of", "and", "then", "plus", "reps", "rep").Select(_ => (LinePart)new LinePart.Filler()));

    /// <summary>Any one part, longest readings first.</summary>
    internal static readonly TokenListParser<ProgrammeToken, LinePart> Part =
        NamedTempo.Try().Or(BareTempo.Try()).Or(Percent.Try()).Or(Effort.Try()).Or(Rest.Try()).Or(Load.Try())
            .Or(PerSide.Try()).Or(OfBothSides).Or(For.Try()).Or(Filler);

    private static TokenListParser<ProgrammeToken, string> Word(params string[] words) =>
        Token.EqualTo(ProgrammeToken.Word)
            .Where(t => words.Contains(t.ToStringValue(), StringComparer.OrdinalIgnoreCase), $"expected {words[0]}")
            .Select(t => t.ToStringValue().ToLowerInvariant());

    private static TokenListParser<ProgrammeToken, string?> Maybe(TokenListParser<ProgrammeToken, string> word) =>
        word.Select(w => (string?)w).Try().OptionalOrDefault();

    private static double Value(Token<ProgrammeToken> token) =>
        double.TryParse(token.ToStringValue().Replace(',', '.'), NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out double value)
            ? value
            : double.NaN;
}

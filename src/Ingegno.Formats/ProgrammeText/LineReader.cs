using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Exercises;
using Ingegno.Core.Programmes;
using Superpower.Model;

namespace Ingegno.Formats.ProgrammeText;

/// <summary>Reads one line: tag, exercise name, sets, then parts in any order.</summary>
internal static class LineReader
{
    private const int LongestLine = 400;

    private static readonly ProgrammeTokenizer Tokenizer = new();

    /// <param name="Line">Null when no sets and repetitions were found.</param>
    internal sealed record Result(WrittenLine? Line, ImmutableArray<TextProblem> Problems);

    internal static Result Read(string text, int number, Catalogue catalogue, MassUnit unit)
    {
        if (text.Length > LongestLine)
        {
            return new(null, [new(number, LongestLine + 1, text.Length - LongestLine, $"A line has at most {LongestLine} characters: put each exercise on its own line.")]);
        }

        var tokens = Tokenizer.Tokenize(text).ToArray();
        var (group, place, start) = Tag(tokens);
        for (int at = start; at < tokens.Length; at++)
        {
            var sets = LineGrammar.Sets.Invoke(new TokenList<ProgrammeToken>(tokens[at..]));
            if (!sets.HasValue || (at == start && !StartsWithName(tokens, at)))
            {
                continue;
            }

            int after = tokens.Length - sets.Remainder.Count();
            return Complete(text, number, tokens, (group, place, start, at, after), sets.Value, catalogue, unit);
        }

        int column = text.Length - text.TrimStart().Length + 1;
        return new(null, [new(number, column, text.Trim().Length, "No sets and repetitions found. Add them after the name, such as 3 x 8 or 10/10/8.")]);
    }

    /// <summary>The sets never open a line: there must be a name before them.</summary>
    private static bool StartsWithName(Token<ProgrammeToken>[] tokens, int at) => at > 0 && tokens[at - 1].Kind == ProgrammeToken.Word;

    /// <summary>"A1", "B2.", "C)": a letter with a place or a mark behind it.</summary>
    private static (string? Group, int Place, int Start) Tag(Token<ProgrammeToken>[] tokens)
    {
        if (tokens.Length < 2 || tokens[0].Kind != ProgrammeToken.Word || tokens[0].Span.Length != 1)
        {
            return (null, 0, 0);
        }

        string letter = tokens[0].ToStringValue().ToUpperInvariant();
        bool placed = tokens[1].Kind == ProgrammeToken.Number && Touches(tokens[0], tokens[1])
            && int.TryParse(tokens[1].ToStringValue(), out int n) && n is > 0 and < 20;
        int start = placed ? 2 : 1;
        bool marked = start < tokens.Length && tokens[start].Kind is ProgrammeToken.Separator or ProgrammeToken.Colon;
        return placed ? (letter, int.Parse(tokens[1].ToStringValue(), System.Globalization.CultureInfo.InvariantCulture), marked ? 3 : 2)
            : marked && Touches(tokens[0], tokens[1]) ? (letter, 0, 2)
            : (null, 0, 0);
    }

    private static bool Touches(Token<ProgrammeToken> a, Token<ProgrammeToken> b) =>
        a.Position.Absolute + a.Span.Length == b.Position.Absolute;

    private static Result Complete(
        string text, int number, Token<ProgrammeToken>[] tokens,
        (string? Group, int Place, int Name, int Sets, int Parts) at, SetsRead sets, Catalogue catalogue, MassUnit unit)
    {
        var problems = ImmutableArray.CreateBuilder<TextProblem>();
        int from = tokens[at.Name].Position.Absolute, to = tokens[at.Sets].Position.Absolute;
        string name = text[from..to].Trim().TrimEnd(':', ',', '-', ';').Trim();
        var line = new WrittenLine
        {
            Number = number,
            Text = text.Trim(),
            Group = at.Group,
            PlaceInGroup = at.Place,
            ExerciseName = name,
            Exercise = catalogue.Named(name)?.Id,
            Sets = SetsOf(sets, Place(at.Sets, at.Parts - 1), problems),
            OptionalSets = Math.Clamp(sets.Optional, 0, 10),
            Intensity = new Intensity(Reserve: sets.Reserve is >= 0 and <= 9 ? sets.Reserve : null),
        };
        if (Meant(name, catalogue) is { } doubt)
        {
            problems.Add(new(number, from + 1, name.Length, doubt, IsDoubt: true));
        }

        for (int i = at.Parts; i < tokens.Length;)
        {
            var part = LineGrammar.Part.Invoke(new TokenList<ProgrammeToken>(tokens[i..]));
            if (!part.HasValue)
            {
                i = SkipUnknown(tokens, i, number, problems);
                continue;
            }

            int next = tokens.Length - part.Remainder.Count();
            line = LineParts.Apply(line, part.Value, unit, Place(i, next - 1), problems);
            i = next;
        }

        return new(line, problems.ToImmutable());

        (int Line, int Column, int Length) Place(int first, int last) => (
            number,
            tokens[first].Position.Absolute + 1,
            tokens[last].Position.Absolute + tokens[last].Span.Length - tokens[first].Position.Absolute);
    }

    /// <summary>The same word means different exercises to different coaches; null where it means one.</summary>
    private static string? Meant(string name, Catalogue catalogue)
    {
        string others = string.Join(", ", catalogue.AlsoMeant(name).Select(e => e.Name.ToLowerInvariant()));
        return others.Length == 0 ? null
            : catalogue.Named(name) is { } read ? $"\"{name}\" is read as {read.Name.ToLowerInvariant()}. Some mean {others}: write that name if you do."
            : $"\"{name}\" can mean {others}: write which.";
    }

    private static ImmutableArray<SetTarget> SetsOf(
        SetsRead read, (int Line, int Column, int Length) at, ImmutableArray<TextProblem>.Builder problems)
    {
        int sets = read.Sets ?? read.Targets.Length;
        if (sets is < 1 or > 20)
        {
            problems.Add(new(at.Line, at.Column, at.Length, $"{sets} sets: a line has 1 to 20."));
            sets = Math.Clamp(sets, 1, 20);
        }

        if (read.Targets.Length > 1 && read.Targets.Length != sets)
        {
            problems.Add(new(at.Line, at.Column, at.Length, $"{sets} sets, but {read.Targets.Length} counts are given: write one count a set, or one for all."));
            sets = Math.Min(20, read.Targets.Length);
        }

        var (most, words) = Bounds(read.Targets[0].Kind);
        if (read.Targets.Any(t => t.Low < 1 || t.Low > most || t.High > most))
        {
            problems.Add(new(at.Line, at.Column, at.Length, words));
        }

        if (read.Reserve is not (null or >= 0 and <= 9))
        {
            problems.Add(new(at.Line, at.Column, at.Length, "Effort goes from RPE 1 to 10, or 0 to 9 repetitions in reserve."));
        }

        ImmutableArray<SetTarget> bounded = [.. read.Targets.Select(t => t with
        {
            Low = Math.Clamp(t.Low, 1, most),
            High = t.Kind is CountKind.AsManyAsPossible or CountKind.UntilEffort or CountKind.UntilGrip ? Math.Clamp(t.High, 0, most) : Math.Clamp(t.High, 1, most),
        })];
        return bounded.Length == 1 ? [.. Enumerable.Repeat(bounded[0], sets)] : bounded;
    }

    /// <summary>Most of a count in one set, and what to say over it.</summary>
    private static (int Most, string Words) Bounds(CountKind kind) => kind switch
    {
        CountKind.Seconds => (600, "A hold lasts 1 to 600 seconds."),
        CountKind.Breaths => (100, "A position is held for 1 to 100 breaths."),
        CountKind.Trips => (50, "A carry has 1 to 50 trips a set."),
        CountKind.Steps => (500, "A set has 1 to 500 steps."),
        _ => (100, "A set has 1 to 100 repetitions."),
    };

    /// <summary>Reports a stretch of tokens nothing could be made of, and goes on behind it.</summary>
    private static int SkipUnknown(
        Token<ProgrammeToken>[] tokens, int from, int number, ImmutableArray<TextProblem>.Builder problems)
    {
        int to = from + 1;
        while (to < tokens.Length && !LineGrammar.Part.Invoke(new TokenList<ProgrammeToken>(tokens[to..])).HasValue)
        {
            to++;
        }

        int start = tokens[from].Position.Absolute;
        int length = tokens[to - 1].Position.Absolute + tokens[to - 1].Span.Length - start;
        bool negative = tokens[from].Kind == ProgrammeToken.Dash || (tokens[from].Kind == ProgrammeToken.At && to > from + 1 && tokens[from + 1].Kind == ProgrammeToken.Dash);
        problems.Add(new(number, start + 1, length, negative
            ? "A load cannot be negative. Write it as 60 kg, 130 lb or 75 %."
            : "Not understood and left out. After the sets come load (60 kg, 75 %), effort (RPE 8, RIR 2), tempo 3-1-1-0, rest 1:30, each side."));
        return to;
    }
}

using Superpower;
using Superpower.Model;

namespace Ingegno.Formats.ProgrammeText;

/// <summary>Cuts one line into tokens. Never fails: what it does not know becomes <see cref="ProgrammeToken.Other"/>.</summary>
internal sealed class ProgrammeTokenizer : Tokenizer<ProgrammeToken>
{
    protected override IEnumerable<Result<ProgrammeToken>> Tokenize(TextSpan span, TokenizationState<ProgrammeToken> state)
    {
        var next = SkipWhiteSpace(span);
        while (next.HasValue)
        {
            var start = next.Location;
            var kind = KindOf(next.Value, start, state.Previous?.Kind);
            next = kind switch
            {
                ProgrammeToken.Number => Run(next, c => char.IsDigit(c) || c is '.' or ','),
                ProgrammeToken.Word => Word(next),
                _ => next.Remainder.ConsumeChar(),
            };
            yield return Result.Value(kind, start, next.Location);
            next = SkipWhiteSpace(next.Location);
        }
    }

    private static ProgrammeToken KindOf(char c, TextSpan at, ProgrammeToken? before) => c switch
    {
        _ when char.IsDigit(c) => ProgrammeToken.Number,
        'x' or 'X' or '×' or '*' when before == ProgrammeToken.Number && CountFollows(at) => ProgrammeToken.Times,
        _ when char.IsLetter(c) => ProgrammeToken.Word,
        '@' => ProgrammeToken.At,
        '%' => ProgrammeToken.Percent,
        '/' => ProgrammeToken.Slash,
        '-' or '–' or '−' => ProgrammeToken.Dash,
        ':' => ProgrammeToken.Colon,
        '+' => ProgrammeToken.Plus,
        ',' or ';' or '.' or '(' or ')' or '[' or ']' => ProgrammeToken.Separator,
        _ => ProgrammeToken.Other,
    };

    /// <summary>Words a count may start with.</summary>
    private static readonly string[] CountWords = ["amrap", "max", "failure", "up", "until", "till"];

    /// <summary>After the x comes a number or a word that counts; otherwise the x starts a word.</summary>
    private static bool CountFollows(TextSpan x)
    {
        string rest = x.Skip(1).ToStringValue().TrimStart();
        return rest.Length > 0 && (char.IsDigit(rest[0])
            || CountWords.Any(word => rest.StartsWith(word, StringComparison.OrdinalIgnoreCase)));
    }

    /// <summary>A number ends before a mark that no digit follows, so that "8, rest" is not read as a decimal.</summary>
    private static Result<char> Run(Result<char> next, Func<char, bool> belongs)
    {
        while (next.HasValue && belongs(next.Value))
        {
            var after = next.Remainder.ConsumeChar();
            if (!char.IsDigit(next.Value) && !(after.HasValue && char.IsDigit(after.Value)))
            {
                return next;
            }

            next = after;
        }

        return next;
    }

    /// <summary>Letters, with hyphens and apostrophes between letters.</summary>
    private static Result<char> Word(Result<char> next)
    {
        while (next.HasValue)
        {
            var after = next.Remainder.ConsumeChar();
            bool inside = next.Value is '-' or '\'' or '’' && after.HasValue && char.IsLetter(after.Value);
            if (!char.IsLetter(next.Value) && !inside)
            {
                return next;
            }

            next = after;
        }

        return next;
    }
}

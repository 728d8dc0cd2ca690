using System.Collections.Immutable;
using System.Globalization;
using Ingegno.Core.Progression;

namespace Ingegno.Storage.Migrations;

/// <summary>Subjects of decisions were one line of text each, joined by semicolons: read once, and typed from then on.</summary>
internal static class FormerSubjects
{
    /// <summary>What can be read of them; what cannot is asked again.</summary>
    internal static ImmutableArray<Subject> Of(string text) => [.. text.Split(';').Select(One).OfType<Subject>()];

    private static Subject? One(string text)
    {
        string[] words = text.Split(' ');
        return words[0] switch
        {
            "line" when words.Length > 3 => Line(words),
            "easier" when Day(words[^1]) is { } week => new EasierWeekSubject(week),
            "report" => new ReportSubject(words[1]),
            "home" => new UnreadySubject(Missing.Home),
            "plan" => new UnreadySubject(Missing.Programme),
            "health" => new UnreadySubject(Missing.HealthScreen),
            "lines" when int.TryParse(words[1], CultureInfo.InvariantCulture, out int lines) => new UnreadySubject(Missing.StandIn, lines),
            "missed" when Day(words[^1]) is { } since => new MissedSubject(since),
            "send" when long.TryParse(words[1], CultureInfo.InvariantCulture, out long version) => new UnsentSubject(version),
            "return" when Day(words[^1]) is { } on => new ReturnSubject(on),
            "felt" when Day(words[^1]) is { } on => new FeltSubject(string.Join(' ', words[1..^1]), on),
            "crutch" when Day(words[^1]) is { } since && int.TryParse(words[1], CultureInfo.InvariantCulture, out int line) => new CrutchSubject(line, words[2], since),
            "clear" when Day(words[^1]) is { } on => new PainSubject(words[1], on),
            "review" when Day(words[^1]) is { } due => new ReviewSubject(due),
            _ => null,
        };
    }

    /// <summary>"line 3@place Load 3 x 12 16 kg 2026-11-20".</summary>
    private static LineSubject? Line(string[] words)
    {
        string[] key = words[1].Split('@');
        return Enum.TryParse(words[2], out StepKind kind) && int.TryParse(key[0], CultureInfo.InvariantCulture, out int line)
            ? new(line, key.Length > 1 ? key[1] : null, kind, string.Join(' ', words[3..^1]).Trim(), Day(words[^1]))
            : null;
    }

    private static DateOnly? Day(string text) => DateOnly.TryParseExact(text, "yyyy-MM-dd", CultureInfo.InvariantCulture, DateTimeStyles.None, out var day) ? day : null;
}

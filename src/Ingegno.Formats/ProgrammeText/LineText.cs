using System.Text;
using System.Text.RegularExpressions;

namespace Ingegno.Formats.ProgrammeText;

/// <summary>A typed line made plain, letter for letter, so that columns stay: quotes, dashes, crosses and blanks of every kind are one of each.</summary>
internal static partial class LineText
{
    internal static string Plain(string line)
    {
        var plain = new StringBuilder(line.Length);
        foreach (char c in line)
        {
            plain.Append(c switch
            {
                '\u00A0' or '\u2007' or '\u202F' or '\u200B' or '\u200C' or '\u200D' or '\u200E' or '\u200F' or '\u2060' or '\uFEFF' => ' ',
                '‘' or '’' or '′' => '\'',
                '“' or '”' or '″' or '„' => '"',
                '‐' or '‑' or '‒' or '–' or '—' or '−' => '-',
                '✕' or '✖' or '╳' => '×',
                _ => c,
            });
        }

        return plain.ToString();
    }

    /// <summary>Where the line begins behind a bullet, a tick or its number in a list: "- ", "[x] ", "2) ".</summary>
    internal static int AfterListMark(string plain) => ListMark().Match(plain) is { Success: true } mark ? mark.Length : 0;

    [GeneratedRegex(@"^\s*(?:(?:[-*•·▪◦‣>]|\[[ xX✓✔]?\]|[☐☑☒✓✔])\s+)?(?:\d{1,2}[.)]\s+)?(?:(?:\[[ xX✓✔]?\]|[☐☑☒✓✔])\s+)?")]
    private static partial Regex ListMark();

    /// <summary>"1a.", "2B)": the number of a group and a letter in it.</summary>
    internal static (string Group, int Place, int End)? NumberedTag(string plain, int from) =>
        Tag().Match(plain, from) is { Success: true } tag && int.Parse(tag.Groups["group"].Value, System.Globalization.CultureInfo.InvariantCulture) is >= 1 and <= 26 and var group
            ? (((char)('A' + group - 1)).ToString(), char.ToUpperInvariant(tag.Groups["place"].Value[0]) - 'A' + 1, from + tag.Length)
            : null;

    [GeneratedRegex(@"\G(?<group>\d{1,2})(?<place>[a-hA-H])(?:[.):]\s*|\s+)(?=\p{L})")]
    private static partial Regex Tag();
}

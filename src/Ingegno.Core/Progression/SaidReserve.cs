using System.Globalization;
using System.Text.Json;
using System.Text.Json.Serialization;

namespace Ingegno.Core.Progression;

/// <summary>
/// Repetitions left in a set, kept as they were said: "2", "5-6" or "7+". Nobody tells five from six, and beyond that only that it was easy
/// (estimates far from failure are off by two and more: Steele et al. 2017, PeerJ 5:e4105, from memory).
/// </summary>
[JsonConverter(typeof(SaidReserveJson))]
public readonly record struct SaidReserve
{
    private SaidReserve(double least, double? most) => (Least, Most) = (least, most);

    public double Least { get; }

    /// <summary>Null where only the least was said.</summary>
    public double? Most { get; }

    /// <summary>So many and more: a floor, not a figure.</summary>
    public bool IsOpen => Most is null;

    /// <summary>The figure to reckon with: the middle of what was said; of an open answer its least.</summary>
    public double Figure => Most is { } most ? (Least + most) / 2 : Least;

    public static SaidReserve Exactly(double left) => new(left, left);

    public static SaidReserve Between(double least, double most) => new(least, most);

    public static SaidReserve OrMore(double least) => new(least, null);

    public static implicit operator SaidReserve(double left) => Exactly(left);

    /// <summary>Reads "2", "5-6" and "7+"; null for anything else.</summary>
    public static SaidReserve? Read(string said)
    {
        string text = said.Trim();
        if (text.EndsWith('+'))
        {
            return Number(text[..^1]) is { } least ? OrMore(least) : null;
        }

        int dash = text.IndexOfAny(['-', '–'], Math.Min(1, text.Length));
        return dash > 0
            ? Number(text[..dash]) is { } from && Number(text[(dash + 1)..]) is { } to && to >= from ? Between(from, to) : null
            : Number(text) is { } exact ? Exactly(exact) : null;
    }

    private static double? Number(string text) =>
        double.TryParse(text, NumberStyles.AllowDecimalPoint | NumberStyles.AllowLeadingSign | NumberStyles.AllowLeadingWhite | NumberStyles.AllowTrailingWhite, CultureInfo.InvariantCulture, out double number)
            ? number
            : null;

    public override string ToString() => Most is not { } most
        ? string.Create(CultureInfo.InvariantCulture, $"{Least:0.##}+")
        : most == Least ? Least.ToString("0.##", CultureInfo.InvariantCulture)
        : string.Create(CultureInfo.InvariantCulture, $"{Least:0.##}-{most:0.##}");
}

/// <summary>A number where one was said, else the text of the range.</summary>
internal sealed class SaidReserveJson : JsonConverter<SaidReserve>
{
    public override SaidReserve Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options) => reader.TokenType switch
    {
        JsonTokenType.Number => reader.GetDouble(),
        JsonTokenType.String => SaidReserve.Read(reader.GetString()!) ?? throw Unread(),
        _ => throw Unread(),
    };

    private static JsonException Unread() => new("Repetitions left are a number, a range such as \"5-6\", or \"7+\".");

    public override void Write(Utf8JsonWriter writer, SaidReserve value, JsonSerializerOptions options)
    {
        if (value.Most == value.Least)
        {
            writer.WriteNumberValue(value.Least);
        }
        else
        {
            writer.WriteStringValue(value.ToString());
        }
    }
}

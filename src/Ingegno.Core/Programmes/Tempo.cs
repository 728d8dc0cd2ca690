using System.Globalization;
using System.Text.Json;
using System.Text.Json.Serialization;

namespace Ingegno.Core.Programmes;

/// <summary>
/// The four phases of a repetition in seconds, in the order coaches write them: lowering, pause after lowering,
/// lifting, pause after lifting. "2-0-1-0" is the reference. Lifting as fast as possible is written X.
/// </summary>
[JsonConverter(typeof(TempoJson))]
public readonly record struct Tempo(int Lowering, int AfterLowering, int Lifting, int AfterLifting, bool FastLifting = false)
{
    /// <summary>Longest phase that means anything as a repetition; longer ones are holds.</summary>
    public const int LongestPhase = 20;

    /// <summary>2-0-1-0, three seconds a repetition: the tempo the load chart is read at.</summary>
    public static Tempo Reference { get; } = new(2, 0, 1, 0);

    /// <summary>Seconds one repetition takes; lowering and lifting last at least a second each.</summary>
    public int Seconds => Math.Max(1, Lowering) + AfterLowering + Math.Max(1, Lifting) + AfterLifting;

    /// <summary>Reads "3-1-X-0", "3/1/1/0" or "31X0". False when a phase is missing or over 20 s.</summary>
    public static bool TryParse(string text, out Tempo tempo)
    {
        tempo = Reference;
        string[] parts = text.Contains('-') || text.Contains('/')
            ? text.Split(['-', '/'])
            : [.. text.Select(c => c.ToString())];
        if (parts.Length != 4)
        {
            return false;
        }

        var seconds = new int[4];
        bool fast = false;
        for (int i = 0; i < 4; i++)
        {
            bool isFast = parts[i] is "x" or "X";
            if (isFast && i == 2)
            {
                fast = true;
            }
            else if (isFast || !int.TryParse(parts[i], NumberStyles.None, CultureInfo.InvariantCulture, out seconds[i])
                || seconds[i] > LongestPhase)
            {
                return false;
            }
        }

        tempo = new(seconds[0], seconds[1], seconds[2], seconds[3], fast);
        return true;
    }

    public override string ToString() =>
        $"{Lowering}-{AfterLowering}-{(FastLifting ? "X" : Lifting)}-{AfterLifting}";
}

/// <summary>A tempo in files is the text a coach writes, "3-1-X-0".</summary>
public sealed class TempoJson : JsonConverter<Tempo>
{
    public override Tempo Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options) =>
        Tempo.TryParse(reader.GetString() ?? "", out var tempo)
            ? tempo
            : throw new JsonException("A tempo is four counts such as 3-1-1-0, each at most 20 s; X only for fast lifting.");

    public override void Write(Utf8JsonWriter writer, Tempo value, JsonSerializerOptions options) =>
        writer.WriteStringValue(value.ToString());
}

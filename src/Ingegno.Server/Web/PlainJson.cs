using System.Globalization;
using System.Text.Json;
using Ingegno.Core.Homes;

namespace Ingegno.Server.Web;

/// <summary>
/// One gate for all JSON that comes in, before anybody is asked who they are: what no field of ours ever holds is refused here with its place,
/// so that no field has to think of it. Empty (null) entries of lists, half characters and control characters, numbers past any measure, years
/// nobody trains in, lists longer than any.
/// </summary>
internal static class PlainJson
{
    private const int LongestList = 5000, FirstYear = 1900, LastYear = 2200;

    private const double Largest = 1e12;

    internal static void UsePlainJson(this WebApplication app) => app.Use(async (context, next) =>
    {
        if (!context.Request.HasJsonContentType() || context.GetEndpoint()?.Metadata.GetMetadata<ReadEntryByEntry>() is not null)
        {
            await next(context);
            return;
        }

        context.Request.EnableBuffering();
        using var body = new MemoryStream();
        await context.Request.Body.CopyToAsync(body, context.RequestAborted);
        context.Request.Body.Position = 0;
        if (FirstIn(body.GetBuffer().AsSpan(0, (int)body.Length)) is { } problem)
        {
            await Answers.Invalid([problem]).ExecuteAsync(context);
            return;
        }

        await next(context);
    });

    /// <summary>The first thing that cannot be; null when there is none or the text is no JSON, which is told later.</summary>
    /// <param name="longestList">A file holds a log of years.</param>
    internal static InputProblem? FirstIn(ReadOnlySpan<byte> json, int longestList = LongestList)
    {
        var reader = new Utf8JsonReader(json, new JsonReaderOptions { CommentHandling = JsonCommentHandling.Skip });
        var open = new Stack<Level>();
        try
        {
            while (reader.Read())
            {
                switch (reader.TokenType)
                {
                    case JsonTokenType.EndArray or JsonTokenType.EndObject:
                        open.Pop();
                        continue;
                    case JsonTokenType.PropertyName:
                        open.Peek().Name = reader.GetString()!;
                        continue;
                }

                if (open.TryPeek(out var level) && level.IsList)
                {
                    level.Index++;
                }

                if (Against(reader, level, longestList) is { } words)
                {
                    return new(PathOf(open), words);
                }

                if (reader.TokenType is JsonTokenType.StartArray or JsonTokenType.StartObject)
                {
                    open.Push(new Level(reader.TokenType == JsonTokenType.StartArray));
                }
            }
        }
        catch (InvalidOperationException)
        {
            return new(PathOf(open), "This text holds half a character: copy it anew.");
        }
        catch (JsonException)
        {
            return null;
        }

        return null;
    }

    private static string? Against(Utf8JsonReader value, Level? within, int longestList) => value.TokenType switch
    {
        JsonTokenType.Null when within is { IsList: true } => "This entry is empty: fill it in or leave it out.",
        _ when within is { IsList: true } && within.Index >= longestList => $"A list holds at most {longestList:N0} entries: split it.",
        JsonTokenType.Number when !(value.TryGetDouble(out double number) && Math.Abs(number) <= Largest) => "This number is past any measure: look for a slip of the key.",
        JsonTokenType.String => AgainstText(value.GetString()!),
        _ => null,
    };

    private static string? AgainstText(string text) =>
        text.Any(c => char.IsControl(c) && !char.IsWhiteSpace(c)) ? "This text holds characters that cannot be seen: type it anew."
        : IsDay(text) && int.Parse(text.AsSpan(0, 4), CultureInfo.InvariantCulture) is < FirstYear or > LastYear ? $"A year lies between {FirstYear} and {LastYear}."
        : null;

    /// <summary>2026-11-23, alone or before a time.</summary>
    private static bool IsDay(string text) =>
        text.Length >= 10 && text[4] == '-' && text[7] == '-' && (text.Length == 10 || text[10] == 'T')
        && text.AsSpan(0, 4).IndexOfAnyExceptInRange('0', '9') < 0 && text.AsSpan(5, 2).IndexOfAnyExceptInRange('0', '9') < 0;

    private static string PathOf(Stack<Level> open) =>
        string.Concat(open.Reverse().Select((level, i) => level.IsList ? $"[{level.Index}]" : i == 0 ? level.Name : "." + level.Name));

    private sealed class Level(bool isList)
    {
        internal bool IsList { get; } = isList;

        internal int Index { get; set; } = -1;

        internal string Name { get; set; } = "";
    }
}

/// <summary>Marks what reads a list entry by entry: one that cannot be right is answered there, by itself.</summary>
internal sealed class ReadEntryByEntry
{
    private ReadEntryByEntry()
    {
    }

    internal static ReadEntryByEntry Instance { get; } = new();
}

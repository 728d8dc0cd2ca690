using System.Text.Json;
using Ingegno.Core.Homes;

namespace Ingegno.Server.Web;

/// <summary>
/// Refuses JSON with an empty (null) entry in a list, with its place. No list of ours has any; the JSON reader would let it
/// through, as it minds only properties.
/// </summary>
internal static class EmptyEntries
{
    internal static void UseNoEmptyEntries(this WebApplication app) => app.Use(async (context, next) =>
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
        if (FirstIn(body.GetBuffer().AsSpan(0, (int)body.Length)) is { } place)
        {
            await Answers.Invalid([new InputProblem(place, "This entry is empty: fill it in or leave it out.")]).ExecuteAsync(context);
            return;
        }

        await next(context);
    });

    /// <summary>Path of the first null that stands in a list; null when there is none or the text is no JSON, which is told later.</summary>
    internal static string? FirstIn(ReadOnlySpan<byte> json)
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
                    if (reader.TokenType == JsonTokenType.Null)
                    {
                        return PathOf(open);
                    }
                }

                if (reader.TokenType is JsonTokenType.StartArray or JsonTokenType.StartObject)
                {
                    open.Push(new Level(reader.TokenType == JsonTokenType.StartArray));
                }
            }
        }
        catch (JsonException)
        {
            return null;
        }

        return null;
    }

    private static string PathOf(Stack<Level> open) =>
        string.Concat(open.Reverse().Select((level, i) => level.IsList ? $"[{level.Index}]" : i == 0 ? level.Name : "." + level.Name));

    private sealed class Level(bool isList)
    {
        internal bool IsList { get; } = isList;

        internal int Index { get; set; } = -1;

        internal string Name { get; set; } = "";
    }
}

/// <summary>Marks what reads a list entry by entry: one that is empty is answered there, by itself.</summary>
internal sealed class ReadEntryByEntry
{
    private ReadEntryByEntry()
    {
    }

    internal static ReadEntryByEntry Instance { get; } = new();
}

using System.Collections.Immutable;
using System.Text.Json;
using Ingegno.Core.Plans;
using Ingegno.Core.Progression;
using Ingegno.Core.Quantities;

namespace Ingegno.Server.Links;

/// <summary>What a phone sent, read entry by entry: what cannot be read is named and keeps nothing else back.</summary>
/// <param name="PhoneNow">Null where the phone said nothing that is a time.</param>
internal sealed record LinkBatch(
    DateTimeOffset? PhoneNow, ImmutableArray<(string Entry, SetLog Set)> Sets, ImmutableArray<(string Entry, LinkNote Note)> Notes, ImmutableArray<RefusedEntry> Unread)
{
    private const int MostSets = 500, MostNotes = 50;

    /// <exception cref="BadHttpRequestException">It is no JSON object at all, or more than is taken at once.</exception>
    internal static async Task<LinkBatch> ReadAsync(HttpRequest request)
    {
        JsonDocument document;
        try
        {
            document = await JsonDocument.ParseAsync(request.Body, cancellationToken: request.HttpContext.RequestAborted);
        }
        catch (JsonException broken)
        {
            throw new BadHttpRequestException("What was sent arrived in part or is no JSON.", broken);
        }

        using (document)
        {
            try
            {
                return document.RootElement.ValueKind == JsonValueKind.Object
                    ? Read(document.RootElement)
                    : throw new BadHttpRequestException("Send an object with phoneNow, sets and notes.");
            }
            catch (InvalidOperationException broken)
            {
                throw new BadHttpRequestException("The name of a field holds half a character: it is phoneNow, sets or notes.", broken);
            }
        }
    }

    private static LinkBatch Read(JsonElement root)
    {
        var unread = ImmutableArray.CreateBuilder<RefusedEntry>();
        return new(
            root.TryGetProperty("phoneNow", out var now) && IsText(now) && now.TryGetDateTimeOffset(out var phone) ? phone : null,
            Entries<SetLog>(root, "sets", MostSets, unread), Entries<LinkNote>(root, "notes", MostNotes, unread), unread.ToImmutable());
    }

    private static ImmutableArray<(string, T)> Entries<T>(JsonElement root, string name, int most, ImmutableArray<RefusedEntry>.Builder unread)
    {
        if (!root.TryGetProperty(name, out var all) || all.ValueKind == JsonValueKind.Null)
        {
            return [];
        }

        if (all.ValueKind != JsonValueKind.Array)
        {
            throw new BadHttpRequestException($"{name} is a list.");
        }

        if (all.GetArrayLength() > most)
        {
            throw new BadHttpRequestException($"At most {most} {name} at a time.", StatusCodes.Status413PayloadTooLarge);
        }

        var read = ImmutableArray.CreateBuilder<(string, T)>();
        foreach (var (i, element) in all.EnumerateArray().Index())
        {
            string entry = $"{name}[{i}]";
            try
            {
                read.Add((entry, element.Deserialize<T>(TradeJson.Options) ?? throw new JsonException("This entry is empty.")));
            }
            catch (Exception broken) when (broken is JsonException or NotSupportedException or InvalidOperationException)
            {
                string? field = (broken as JsonException)?.Path?.TrimStart('$', '.');
                unread.Add(new(IdOf(element), entry, $"This entry could not be read{(string.IsNullOrEmpty(field) ? "" : $" at \"{field}\"")}: tell the coach what it said."));
            }
        }

        return read.ToImmutable();
    }

    private static Guid? IdOf(JsonElement element)
    {
        try
        {
            return element.ValueKind == JsonValueKind.Object && element.TryGetProperty("id", out var id) && IsText(id) && id.TryGetGuid(out var known) ? known : null;
        }
        catch (InvalidOperationException)
        {
            // The name of a field is half a character.
            return null;
        }
    }

    /// <summary>Half a character makes no text, and asking for one is an error by itself.</summary>
    private static bool IsText(JsonElement element)
    {
        try
        {
            return element.ValueKind == JsonValueKind.String && element.GetString() is not null;
        }
        catch (InvalidOperationException)
        {
            return false;
        }
    }
}

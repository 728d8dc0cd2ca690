using System.Collections.Immutable;
using System.Text.Json;
using Ingegno.Core.Plans;
using Ingegno.Core.Programmes;
using Ingegno.Core.Progression;
using Ingegno.Core.Quantities;
using Ingegno.Storage;

namespace Ingegno.Server.Links;

/// <summary>A version as it was sent: when, and what it asked of which line.</summary>
internal sealed record SentVersion(DateTimeOffset SentAt, AskedAs Asked, ImmutableHashSet<int> Lines)
{
    internal static SentVersion Of(Sending sent)
    {
        var lines = JsonSerializer.Deserialize<LinkProgramme>(sent.Document, TradeJson.Options)!.Places.SelectMany(p => p.Sessions).SelectMany(s => s.Lines).ToArray();
        return new(
            sent.SentAt, new AskedAs(lines.SelectMany(l => l.Instead.Prepend(l)).Select(l => (l.Line, l.Prescription))),
            lines.Select(l => l.Line).ToImmutableHashSet());
    }
}

/// <summary>What sets were asked as: by the newest version sent before they were done that asks them so, else the newest that asks them at all.</summary>
internal sealed class SentWays(IReadOnlyList<SentVersion> versions)
{
    internal bool Knows(int line) => versions.Any(v => v.Lines.Contains(line));

    internal Prescription? Of(SetLog set)
    {
        Prescription[] ways = [.. versions.Where(v => set.At is null || v.SentAt <= set.At).Concat(versions).Select(v => v.Asked.Of(set)).OfType<Prescription>()];
        return ways.FirstOrDefault(p => p.Load.Grams == set.Load.Grams) ?? ways.FirstOrDefault();
    }

    /// <summary>The newest asks just this, and did when it was done.</summary>
    internal bool Answers(SetLog set) => versions.Any(v => (set.At is null || v.SentAt <= set.At) && v.Asked.Of(set)?.Load.Grams == set.Load.Grams);
}

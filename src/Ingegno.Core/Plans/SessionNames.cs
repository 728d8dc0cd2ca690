using System.Collections.Immutable;

namespace Ingegno.Core.Plans;

/// <summary>Tells sessions apart where a programme does not: two of one heading are counted, one without gets its place in the week.</summary>
public static class SessionNames
{
    /// <summary>The programme with a key for every session, different from all others of its place.</summary>
    public static LinkProgramme Named(LinkProgramme programme) => programme with
    {
        Places = [.. programme.Places.Select(p => p with { Sessions = [.. p.Sessions.Zip(Of([.. p.Sessions.Select(s => s.Title)]), (s, key) => s with { Key = key })] })],
    };

    /// <summary>"Full body", "Full body (2)", "Session 3".</summary>
    public static ImmutableArray<string> Of(ImmutableArray<string> titles)
    {
        var taken = new HashSet<string>(StringComparer.Ordinal);
        return
        [
            .. titles.Select((title, i) =>
            {
                string name = title.Trim() is { Length: > 0 } words ? words : $"Session {i + 1}", key = name;
                for (int n = 2; !taken.Add(key); n++)
                {
                    key = $"{name} ({n})";
                }

                return key;
            }),
        ];
    }
}

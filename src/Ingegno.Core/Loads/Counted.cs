namespace Ingegno.Core.Loads;

/// <summary>A count with its noun: "1 dictionary", "2 dictionaries", "4 bags of flour".</summary>
internal static class Counted
{
    internal static string Of(int count, string name)
    {
        if (count == 1)
        {
            return "1 " + name;
        }

        int of = name.IndexOf(" of ", StringComparison.Ordinal);
        return of > 0 ? $"{count} {Plural(name[..of])}{name[of..]}" : $"{count} {Plural(name)}";
    }

    private static string Plural(string noun) => noun switch
    {
        [.., 's' or 'x'] or [.., 'c' or 's', 'h'] => noun + "es",
        [.., not ('a' or 'e' or 'i' or 'o' or 'u'), 'y'] => noun[..^1] + "ies",
        _ => noun + "s",
    };
}

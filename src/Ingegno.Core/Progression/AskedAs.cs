using Ingegno.Core.Programmes;

namespace Ingegno.Core.Progression;

/// <summary>What a logged set was asked as: a line is asked one way a place, so its number alone does not tell.</summary>
public sealed class AskedAs(IEnumerable<(int Line, Prescription Prescription)> asked)
{
    private readonly ILookup<(int, string), Prescription> _asked = asked.ToLookup(a => (a.Line, a.Prescription.Exercise), a => a.Prescription);

    /// <summary>The first place that asks this exercise of the line at this load, else the first that asks it at all; null where none does.</summary>
    public Prescription? Of(SetLog set)
    {
        var ways = _asked[(set.Line, set.Exercise)];
        return ways.FirstOrDefault(p => p.Load.Grams == set.Load.Grams) ?? ways.FirstOrDefault();
    }
}

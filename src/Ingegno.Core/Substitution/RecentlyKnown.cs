namespace Ingegno.Core.Substitution;

/// <summary>
/// What was worked out lately: two generations, the elder let go when the younger is full, what is asked for again always among the younger. What a week
/// stands on so outlives any number of nudges, and what they leave behind does not pile up.
/// </summary>
/// <param name="most">Of one generation: more than are asked for at a time, or it lets go of what it needs next.</param>
internal sealed class RecentlyKnown<TAsked, TKnown>(int most)
    where TAsked : notnull
    where TKnown : class
{
    private Dictionary<TAsked, TKnown> _young = [], _elder = [];

    internal TKnown Of(TAsked asked, Func<TKnown> work)
    {
        if (_young.TryGetValue(asked, out var known))
        {
            return known;
        }

        known = _elder.GetValueOrDefault(asked) ?? work();
        if (_young.Count >= most)
        {
            (_elder, _young) = (_young, []);
        }

        return _young[asked] = known;
    }
}

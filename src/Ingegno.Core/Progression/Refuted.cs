namespace Ingegno.Core.Progression;

/// <summary>
/// What is said of a set against what came after it: who says two are left and then, less fresh, does five more with the same load left more than two.
/// </summary>
internal static class Refuted
{
    /// <summary>Anybody judges what is left wrong by so many (common practice).</summary>
    private const double Misjudged = 1;

    /// <summary>Repetitions that were possible at least; null where nothing refutes what was said.</summary>
    /// <param name="later">Of the same line and day, done at the same tempo.</param>
    internal static int? By(SetLog set, IEnumerable<SetLog> later)
    {
        if (set is { ToLimit: true } || set.Reserve is not { IsOpen: false } left)
        {
            return null;
        }

        int most = later.Where(s => s.SetNumber > set.SetNumber && s.Load == set.Load).Select(Sides.Done).DefaultIfEmpty().Max();
        return most > Sides.Done(set) + left.Figure + Misjudged ? most : null;
    }
}

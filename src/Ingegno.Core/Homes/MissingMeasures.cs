using Ingegno.Core.Quantities;

namespace Ingegno.Core.Homes;

/// <summary>A thing in the house that is not used because one figure of it is not known.</summary>
/// <param name="Doing">What would tell: "weigh the feed sacks".</param>
/// <param name="Usual">The thing as it would stand if it were as such things usually are (common practice).</param>
/// <param name="Taken">What it was taken for, in words.</param>
public sealed record MissingMeasure(string Doing, KitItem Usual, string Taken);

/// <summary>
/// Finds them. A measure costs nothing, so it is tried before anything is bought; nothing is ever prescribed from the usual figures.
/// </summary>
public static class MissingMeasures
{
    private static readonly Mass PieceToPack = Mass.FromKilograms(2.5), UsualStraps = Mass.FromKilograms(120);

    private const int PiecesToPack = 4;

    public static IEnumerable<MissingMeasure> In(Home home) => home.Kit.Select(Of).OfType<MissingMeasure>();

    private static MissingMeasure? Of(KitItem thing) => thing switch
    {
        FixedWeights { Weights.IsEmpty: true } weights => Weighed(weights),
        Container { Contents.IsEmpty: true } container => Packed(container),
        Straps { Bears: null } straps => new(
            $"find out what the {Named(straps)} may carry", straps with { Bears = UsualStraps }, $"if they carry {UsualStraps}"),
        _ => null,
    };

    private static MissingMeasure Weighed(FixedWeights weights)
    {
        var (kilograms, count) = weights.Shape switch
        {
            FixedWeightShape.Dumbbell => (8, 2),
            FixedWeightShape.Kettlebell => (16, 1),
            FixedWeightShape.Jug => (5, 2),
            FixedWeightShape.Can => (1, 2),
            _ => (20, 1),
        };
        var mass = Mass.FromKilograms(kilograms);
        return new($"weigh the {Named(weights)}", weights with { Weights = [new(mass, count)] }, $"if {(count > 1 ? $"there are {count} of" : "it has")} {mass}");
    }

    /// <summary>As many pieces as it may carry.</summary>
    private static MissingMeasure? Packed(Container container)
    {
        int pieces = container.MostInAll is { } most ? Math.Min(PiecesToPack, (int)((most - container.OwnMass).Kilograms / PieceToPack.Kilograms)) : PiecesToPack;
        return pieces < 1 ? null : new(
            $"weigh what can go into the {Named(container)}", container with { Contents = [new("piece", PieceToPack, pieces)] },
            $"if it is {pieces} pieces of {PieceToPack}");
    }

    private static string Named(KitItem thing) => PlainWords.InSentence(thing.Name);
}

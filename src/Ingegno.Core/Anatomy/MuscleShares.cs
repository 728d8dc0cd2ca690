using System.Collections.Immutable;
using System.Text.Json;
using System.Text.Json.Serialization;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Anatomy;

/// <summary>
/// How much each muscle works in an exercise: 1 for a prime mover, less for a helper. Never empty, never negative.
/// </summary>
[JsonConverter(typeof(MuscleSharesJson))]
public sealed class MuscleShares
{
    private static readonly int MuscleCount = Enum.GetValues<Muscle>().Length;
    private readonly double[] _scaled;

    /// <exception cref="ArgumentException">No muscle, or a weight outside 0 to 1.</exception>
    public MuscleShares(IReadOnlyDictionary<Muscle, double> weights)
    {
        if (weights.Count == 0 || weights.Values.Any(w => w is not (> 0 and <= 1)))
        {
            throw new ArgumentException("Give at least one muscle, each with a weight above 0 and at most 1.");
        }

        Weights = weights.ToImmutableSortedDictionary();
        _scaled = new double[MuscleCount];
        double sum = weights.Values.Sum();
        foreach (var (muscle, weight) in weights)
        {
            _scaled[(int)muscle] = weight / sum;
        }
    }

    /// <summary>The weights as given, in anatomical order.</summary>
    public IReadOnlyDictionary<Muscle, double> Weights { get; }

    /// <summary>Muscles of weight 0.8 and over: the ones the exercise is chosen for.</summary>
    public IEnumerable<Muscle> PrimeMovers => Weights.Where(w => w.Value >= 0.8).Select(w => w.Key);

    /// <summary>
    /// Overlap with another exercise, 0 (nothing in common) to 1 (the same mix): the sum over muscles of the
    /// smaller of the two weights after each list is scaled to sum 1. Symmetric.
    /// </summary>
    public Share OverlapWith(MuscleShares other)
    {
        double overlap = 0;
        for (int i = 0; i < _scaled.Length; i++)
        {
            overlap += Math.Min(_scaled[i], other._scaled[i]);
        }

        return Share.Of(Math.Min(1, overlap));
    }
}

/// <summary>An object of muscle names to weights.</summary>
public sealed class MuscleSharesJson : JsonConverter<MuscleShares>
{
    public override MuscleShares Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options) =>
        new(JsonSerializer.Deserialize<Dictionary<Muscle, double>>(ref reader, options)
            ?? throw new JsonException("Muscles are missing."));

    public override void Write(Utf8JsonWriter writer, MuscleShares value, JsonSerializerOptions options) =>
        JsonSerializer.Serialize(writer, value.Weights, options);
}

using Ingegno.Core.Programmes;

namespace Ingegno.Core.Plans;

/// <summary>What was changed in the text of a line that stands.</summary>
public enum WrittenDifference
{
    /// <summary>Its words at most; it asks what it asked.</summary>
    None,

    /// <summary>Rest, tempo or the number of sets: the line in force takes that over and keeps the rest.</summary>
    Manner,

    /// <summary>Counts, load, effort, sides or purpose: the line asks something else and is worked out anew.</summary>
    Asked,
}

/// <summary>Compares a written line with itself after a change of the text.</summary>
public static class WrittenDifferences
{
    public static WrittenDifference Between(WrittenLine before, WrittenLine after) =>
        Asked(before) != Asked(after) || !SameTargets(before, after) ? WrittenDifference.Asked
        : before.Rest != after.Rest || before.Tempo != after.Tempo || before.Sets.Length != after.Sets.Length ? WrittenDifference.Manner
        : WrittenDifference.None;

    /// <summary>
    /// The choice that lays a change of manner on the line in force; what was taken out of the text is left to the engine.
    /// </summary>
    public static Substitution.LineChoice Laid(Substitution.LineChoice choice, WrittenLine before, WrittenLine after) => choice with
    {
        Rest = choice.Rest ?? (before.Rest != after.Rest ? Dosing.HouseRules.RestOf(after) : null),
        Tempo = choice.Tempo ?? (before.Tempo != after.Tempo ? after.Tempo ?? Tempo.Reference : null),
        Sets = choice.Sets ?? (before.Sets.Length != after.Sets.Length ? after.Sets.Length : null),
    };

    private static (string?, Intensity, bool, bool, Purpose?) Asked(WrittenLine line) => (line.Exercise, line.Intensity, line.PerSide, line.Alternating, line.Purpose);

    /// <summary>Sets more or fewer of one kind are the same targets; others are not.</summary>
    private static bool SameTargets(WrittenLine before, WrittenLine after) =>
        before.Sets.SequenceEqual(after.Sets) && before.OptionalSets == after.OptionalSets
        || (before.Sets.Distinct().Count() == 1 && after.Sets.Distinct().Count() == 1 && before.Sets[0].Equals(after.Sets[0]));
}

using Ingegno.Core.Exercises;
using Ingegno.Core.Programmes;

namespace Ingegno.Core.Substitution;

/// <summary>Reads a line's role from where and what it is; coaches seldom write it down.</summary>
internal static class Roles
{
    /// <summary>
    /// A compound lift that opens the session or is done for five or fewer is main; other compounds are secondary;
    /// isolation and steadiness are accessory.
    /// </summary>
    internal static Role Of(Exercise exercise, WrittenLine line, bool isFirst) => exercise.Kind switch
    {
        _ when Purposes.IsCapped(line.Purpose) => Role.Accessory,
        MovementKind.Compound when isFirst || (line.Sets[0].Kind == CountKind.Repetitions && line.Sets.Max(s => s.High) <= 5) => Role.Main,
        MovementKind.Compound => Role.Secondary,
        _ => Role.Accessory,
    };
}

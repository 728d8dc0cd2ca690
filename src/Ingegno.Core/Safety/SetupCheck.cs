using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Safety;

/// <summary>Whether a fixture may be used for what an exercise puts on it.</summary>
public enum SetupVerdict
{
    Pass,
    NotPassed,
    Never,
}

/// <summary>A verdict with its reason in words.</summary>
public sealed record SetupFinding(SetupVerdict Verdict, string Reason);

/// <summary>A set-up is used only after a check that is still valid and only under what it may carry.</summary>
public static class SetupCheck
{
    /// <summary>Domestic seating is tested for adults up to 110 kg (EN 12520; from memory).</summary>
    public static Mass DomesticSeating { get; } = Mass.FromKilograms(110);

    private const double MovingFactor = 1.3, ExplosiveFactor = 2.0;

    /// <param name="resting">What it bears when the body holds still.</param>
    /// <param name="today">Day of use; passes run out.</param>
    /// <param name="passDays">How long a pass lasts.</param>
    public static SetupFinding Of(Fixture fixture, Mass resting, FixtureMotion motion, DateOnly today, int passDays)
    {
        if (fixture.Glass)
        {
            return new(SetupVerdict.Never, $"{fixture.Name} is never to be used: glass");
        }

        if (fixture.Kind == FixtureKind.Wall)
        {
            return new(SetupVerdict.Pass, "a wall of the house");
        }

        return Standing(fixture, today, passDays) ?? UnderItsLimit(fixture, resting, motion);
    }

    /// <summary>What stands against a fixture whatever it would bear; null when its check is good today.</summary>
    public static SetupFinding? Standing(Fixture fixture, DateOnly today, int passDays) => fixture switch
    {
        { Glass: true } => new(SetupVerdict.Never, $"{fixture.Name} is never to be used: glass"),
        { Kind: FixtureKind.Wall } => null,
        { Check: null } => new(SetupVerdict.NotPassed, $"{fixture.Name} was never checked: pull or sit with rising force first"),
        { Check.Verdict: CheckVerdict.Never } => new(SetupVerdict.Never, $"{fixture.Name} is never to be used{Because(fixture.Check)}"),
        { Check.Verdict: CheckVerdict.NotPassed } => new(SetupVerdict.NotPassed, $"{fixture.Name} did not pass its check{Because(fixture.Check)}"),
        _ when today > Expires(fixture.Check, passDays) => new(
            SetupVerdict.NotPassed, $"the pass of {fixture.Name} ran out on {Expires(fixture.Check, passDays):d MMM yyyy}: check it again"),
        _ => null,
    };

    /// <summary>Last day a pass counts.</summary>
    public static DateOnly Expires(FixtureCheck check, int passDays) => check.On.AddDays(passDays);

    /// <summary>What straps of known strength bear; unknown ones never come here.</summary>
    public static SetupFinding OfStraps(Straps straps, Mass resting, FixtureMotion motion) =>
        straps.Bears is { } most && Peak(resting, motion) <= most
            ? new(SetupVerdict.Pass, $"{straps.Name} carry {most}")
            : new(SetupVerdict.NotPassed, $"{straps.Name} would bear up to {Peak(resting, motion)}, they may carry {straps.Bears}");

    /// <summary>The most it bears in the movement: 1.3 times the resting load when moving, twice when explosive (common practice).</summary>
    public static Mass Peak(Mass resting, FixtureMotion motion) => resting * motion switch
    {
        FixtureMotion.Still => 1.0,
        FixtureMotion.Moving => MovingFactor,
        FixtureMotion.Explosive => ExplosiveFactor,
        _ => throw new ArgumentOutOfRangeException(nameof(motion)),
    };

    /// <summary>
    /// What it may carry: as entered, else for furniture what domestic seating is tested for; what one hangs or pulls from
    /// must be known.
    /// </summary>
    public static Mass? MayCarry(Fixture fixture) =>
        fixture.Bears ?? (FixtureKinds.IsFurniture(fixture.Kind) ? DomesticSeating : null);

    private static SetupFinding UnderItsLimit(Fixture fixture, Mass resting, FixtureMotion motion)
    {
        if (MayCarry(fixture) is not { } most)
        {
            return new(SetupVerdict.NotPassed, $"what {fixture.Name} may carry is not known: enter it");
        }

        var peak = Peak(resting, motion);
        return peak > most
            ? new(SetupVerdict.NotPassed, $"{fixture.Name} would bear up to {peak}, it may carry {most}")
            : new(SetupVerdict.Pass, $"{fixture.Name} passed {fixture.Check!.On:d MMM}");
    }

    private static string Because(FixtureCheck check) => check.Reason is { Length: > 0 } reason ? $": {reason}" : "";
}

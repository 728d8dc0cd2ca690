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
    private static readonly Mass DomesticSeating = Mass.FromKilograms(110);

    private const double MovingFactor = 1.3, ExplosiveFactor = 2.0;

    /// <param name="resting">What it bears when the body holds still.</param>
    /// <param name="today">Day of use; passes run out.</param>
    /// <param name="passDays">How long a pass lasts.</param>
    public static SetupFinding Of(Fixture fixture, Mass resting, FixtureMotion motion, DateOnly today, int passDays)
    {
        if (fixture.Kind == FixtureKind.Wall)
        {
            return new(SetupVerdict.Pass, "a wall of the house");
        }

        if (fixture.Check is not { } check)
        {
            return new(SetupVerdict.NotPassed, $"{fixture.Name} was never checked: pull or sit with rising force first");
        }

        if (check.Verdict == CheckVerdict.Never)
        {
            return new(SetupVerdict.Never, $"{fixture.Name} is never to be used{Because(check)}");
        }

        if (check.Verdict == CheckVerdict.NotPassed)
        {
            return new(SetupVerdict.NotPassed, $"{fixture.Name} did not pass its check{Because(check)}");
        }

        if (today > check.On.AddDays(passDays))
        {
            return new(SetupVerdict.NotPassed, $"the pass of {fixture.Name} ran out on {check.On.AddDays(passDays):d MMM yyyy}: check it again");
        }

        return UnderItsLimit(fixture, resting, motion);
    }

    private static SetupFinding UnderItsLimit(Fixture fixture, Mass resting, FixtureMotion motion)
    {
        if ((fixture.Bears ?? UsualFor(fixture.Kind)) is not { } most)
        {
            return new(SetupVerdict.NotPassed, $"what {fixture.Name} may carry is not known: enter it");
        }

        var peak = resting * motion switch
        {
            FixtureMotion.Still => 1.0,
            FixtureMotion.Moving => MovingFactor,
            FixtureMotion.Explosive => ExplosiveFactor,
            _ => throw new ArgumentOutOfRangeException(nameof(motion)),
        };
        return peak > most
            ? new(SetupVerdict.NotPassed, $"{fixture.Name} would bear up to {peak}, it may carry {most}")
            : new(SetupVerdict.Pass, $"{fixture.Name} passed {fixture.Check!.On:d MMM}");
    }

    /// <summary>Seats and tables of unknown strength are taken to bear what domestic seating is tested for; rails and bars are not.</summary>
    private static Mass? UsualFor(FixtureKind kind) => kind switch
    {
        FixtureKind.Rail or FixtureKind.DoorAnchor or FixtureKind.Post or FixtureKind.PullUpBar => null,
        _ => DomesticSeating,
    };

    private static string Because(FixtureCheck check) => check.Reason is { Length: > 0 } reason ? $": {reason}" : "";
}

using System.Collections.Immutable;
using Ingegno.Core.Anatomy;
using Ingegno.Core.Clients;
using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Loads;
using Ingegno.Core.Quantities;
using Ingegno.Core.Safety;
using Ingegno.Core.Schools;

namespace Ingegno.Core.Dosing;

/// <summary>A technique that is not used here, and why.</summary>
public sealed record TechniqueRefusal(Technique Technique, string Reason);

/// <summary>
/// Which techniques may be used on an exercise for this client, and why the others may not. How many at once is the house
/// rules' matter (<see cref="HouseRules.MostTechniques"/>).
/// </summary>
public sealed record TechniqueLimits(ImmutableArray<Technique> Allowed, ImmutableArray<TechniqueRefusal> Refused)
{
    private static readonly ImmutableArray<Technique> ForBeginners =
        [Technique.SlowLowering, Technique.SlowBothWays, Technique.Pause, Technique.LoweringOnly, Technique.BackOff, Technique.OneLimb, Technique.WeightPlusBand];

    private static readonly ImmutableArray<Technique> HardHolds = [Technique.IsometricFirst, Technique.HoldToFatigue, Technique.Squeeze];

    private static readonly ImmutableArray<Technique> AtTheHardEnd =
        [Technique.Pause, Technique.Pulses, Technique.OneAndAHalf, Technique.IsometricFirst, Technique.HoldToFatigue];

    private static readonly ImmutableArray<Technique> ToTheEnd = [Technique.RestPause, Technique.HoldToFatigue];

    private static readonly ImmutableArray<Technique> Unsteady =
        [Technique.Pulses, Technique.OneAndAHalf, Technique.RestPause, Technique.FastIntent];

    public bool Allows(Technique technique) => Allowed.Contains(technique);

    /// <summary>Why a technique is not used; null where it may be.</summary>
    public string? Against(Technique technique) => Refused.FirstOrDefault(r => r.Technique == technique)?.Reason;

    /// <param name="immovable">There is something that will not give to push or pull against: a strap, or a wall for presses.</param>
    public static TechniqueLimits Of(Exercise exercise, ClientProfile client, HouseRules rules, bool immovable = true)
    {
        var allowed = ImmutableArray.CreateBuilder<Technique>();
        var refused = ImmutableArray.CreateBuilder<TechniqueRefusal>();
        foreach (var technique in Enum.GetValues<Technique>())
        {
            if (Reason(technique, exercise, client, rules, immovable) is { } reason)
            {
                refused.Add(new(technique, reason));
            }
            else
            {
                allowed.Add(technique);
            }
        }

        return new(allowed.ToImmutable(), refused.ToImmutable());
    }

    /// <summary>Failing a repetition could drop a load or the body: overhead, under a bar, hanging or head down.</summary>
    internal static bool IsRisky(Exercise exercise) =>
        exercise.OverHead || exercise.Holds.Contains(Hold.Bar) || exercise.Load.Body is BodyModel.Hands or BodyModel.Pike;

    /// <summary>Why nobody goes on past a last set that was hard already, by a drop in load or short repetitions; null where one may.</summary>
    /// <param name="hold">How the load is held here; null for none.</param>
    internal static string? AgainstGoingOn(Exercise exercise, Hold? hold, ClientProfile client) =>
        client.Level == Level.Beginner ? "not for beginners"
        : hold == Hold.Bar || exercise.OverHead || exercise.Load.Body is BodyModel.Hands or BodyModel.Pike ? "failing here is risky"
        : Named(client) is { } condition ? $"going on past a hard set is kept from clients who named {condition}"
        : SoreJoint(exercise, client) is { } joint ? $"the {PlainWords.Of(joint)} is sore"
        : client.Traits.Contains(Trait.WeakGrip) && IsPull(exercise) ? "the grip would fail first"
        : exercise.Steadiness >= MostSteadiness(client.Level) ? "balance would fail first"
        : null;

    /// <summary>A wish without the techniques that may not be used; a coach's hand does not pass a limit either.</summary>
    public DoseWish Within(DoseWish wish) => wish with
    {
        Partial = wish.Partial is { } partial && Of(partial) is { } technique && !Allows(technique) ? null : wish.Partial,
        Pulses = wish.Pulses > 0 && !Allows(Technique.Pulses) ? null : wish.Pulses,
        Form = wish.Form is { } form && Of(form) is { } formed && !Allows(formed) ? null : wish.Form,
    };

    private static Technique? Of(PartialPart partial) => partial switch
    {
        PartialPart.AndAQuarter or PartialPart.AndAHalf => Technique.OneAndAHalf,
        PartialPart.ShortHalf => Technique.ShortRangePartials,
        _ => null,
    };

    private static Technique? Of(SetForm form) => form switch
    {
        SetForm.PushFirst => Technique.IsometricFirst,
        SetForm.RestPause => Technique.RestPause,
        SetForm.HoldToFatigue => Technique.HoldToFatigue,
        _ => null,
    };

    private static string? Reason(Technique technique, Exercise exercise, ClientProfile client, HouseRules rules, bool immovable)
    {
        if (!exercise.Techniques.Contains(technique))
        {
            return "the exercise does not lend itself to it";
        }

        if (client.Level == Level.Beginner && !ForBeginners.Contains(technique))
        {
            return "not for beginners";
        }

        if (HardHolds.Contains(technique) && Named(client) is { } condition)
        {
            return $"long hard holds are kept from clients who named {condition}";
        }

        if (AtTheHardEnd.Contains(technique) && SoreJoint(exercise, client) is { } joint)
        {
            return $"the {PlainWords.Of(joint)} is sore: no holding or pulsing at the hard end";
        }

        if (ToTheEnd.Contains(technique) && IsRisky(exercise))
        {
            return "failing here is risky";
        }

        if (ToTheEnd.Contains(technique) && client.Traits.Contains(Trait.WeakGrip) && IsPull(exercise))
        {
            return "the grip would fail first";
        }

        if (Unsteady.Contains(technique) && exercise.Steadiness >= MostSteadiness(client.Level))
        {
            return "balance would fail first";
        }

        return technique switch
        {
            Technique.IsometricFirst when !immovable => "needs a strap that will not give, and there is none here",
            Technique.HoldToFatigue when rules.Teaches(Teaching.HoldsToComfort) => "holds end in comfort by house rule",
            Technique.ShortRangePartials when !exercise.LoadedAfterLifting => "its short end is unloaded",
            _ => null,
        };
    }

    private static string? Named(ClientProfile client) =>
        client.Health.Answers.FirstOrDefault(a => a is { Applies: true, Question: HealthQuestion.BloodPressure or HealthQuestion.Heart }) is { } named
            ? HealthScreen.Words(named.Question)
            : null;

    private static Joint? SoreJoint(Exercise exercise, ClientProfile client) =>
        exercise.Joints.Where(j => client.PainAt(j.Joint) >= PainHold.Holds).Select(j => (Joint?)j.Joint).FirstOrDefault();

    private static bool IsPull(Exercise exercise) =>
        exercise.Pattern is Pattern.HorizontalPull or Pattern.VerticalPull or Pattern.Hinge or Pattern.Shrug or Pattern.Carry;

    /// <summary>From here on the catalogue's scale of 4, balance is what a client of this level fights with.</summary>
    private static int MostSteadiness(Level level) => level switch
    {
        Level.Beginner => 2,
        Level.Intermediate => 3,
        _ => 4,
    };
}

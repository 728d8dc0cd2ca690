using Ingegno.Core.Anatomy;
using Ingegno.Core.Clients;
using Ingegno.Core.Exercises;
using Ingegno.Core.Quantities;
using Ingegno.Core.Safety;

namespace Ingegno.Core.Substitution;

/// <summary>What age, a first start or a sore joint make of an exercise that is not kept out: supported first, and what spares the joint.</summary>
internal static class CareLeanings
{
    /// <summary>What a support is worth, and what each step of stress on a sore joint costs (common practice).</summary>
    private const double Supported = 1.6, PerStep = 0.6;

    /// <summary>Stress on a sore joint from which even a written exercise is looked at anew: pain goes before the programme.</summary>
    internal const int Clearly = 2;

    /// <summary>The most it asks of a joint that is sore at 3 or more; 0 where none is.</summary>
    internal static int SoreFrom(Exercise e, ClientProfile client) =>
        e.Joints.Where(j => client.PainAt(j.Joint) >= PainHold.Holds).Select(j => j.Level).DefaultIfEmpty(0).Max();

    /// <summary>Flat on the floor: with the shoulders on a seat the back is up.</summary>
    private static bool LiesOnBack(Exercise e) =>
        e.Poses is { Support: PoseSupport.Back } || (e.Poses is { Support: PoseSupport.ShouldersAndFeet } && e.Fixtures.All(f => f.Role != FixtureRole.ShouldersRaised));

    internal static IEnumerable<Leaning> On(Exercise e, ClientProfile client, DateOnly today)
    {
        if (CarefulStart.For(client, today) is not null && e.Fixtures.Any(f => f.Role is FixtureRole.Seat or FixtureRole.Grip or FixtureRole.Support or FixtureRole.Hands))
        {
            yield return new("Supported first", Supported);
        }

        if (client.Health.Answers.Any(a => a is { Applies: true, Question: HealthQuestion.Pregnancy }) && LiesOnBack(e))
        {
            yield return new("Pregnant: not long on the back, so behind what is done otherwise", PerStep);
        }

        foreach (var stress in e.Joints.Where(j => client.PainAt(j.Joint) >= PainHold.Holds))
        {
            yield return new($"Sore {PlainWords.Of(stress.Joint)}: behind what spares it", Math.Pow(PerStep, stress.Level));
        }
    }
}

using Ingegno.Core.Anatomy;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Quantities;
using Ingegno.Core.Safety;

namespace Ingegno.Core.Substitution;

/// <summary>What stands against an exercise for this client in this room, whatever the set-up. Empty: nothing.</summary>
public static class Gate
{
    /// <param name="isTheCoachs">The coach wrote it, or it stands in the plan: a coach who writes a clean for an intermediate has taught it; to a beginner it stays closed.</param>
    public static IEnumerable<Refusal> Against(Exercise exercise, ClientProfile client, PreparedHome home, HouseRules rules, bool isTheCoachs = false) =>
        [.. RoomReasons(exercise, client, home.Home), .. BodyReasons(exercise, client, home.Today, isTheCoachs), .. RuleReasons(exercise, client, rules)];

    private static IEnumerable<Refusal> RoomReasons(Exercise exercise, ClientProfile client, Home home)
    {
        var room = home.Room;
        var headroom = client.Stature * exercise.Room.HeadroomOfStature.Fraction;
        if (!room.Outdoors && headroom > room.HeadroomOrUsual())
        {
            yield return new(RefusalCause.Room, $"needs {headroom.Metres:0.00} m of headroom, there is {room.HeadroomOrUsual().Metres:0.00}");
        }

        var floor = client.Stature * exercise.Room.FloorOfStature.Fraction;
        if (!room.Outdoors && floor > room.FloorLengthOrUsual())
        {
            yield return new(RefusalCause.Room, $"needs {floor.Metres:0.0} m of clear floor, there is {room.FloorLengthOrUsual().Metres:0.0}");
        }

        if (exercise.Room.Noise == Noise.Loud && room.NeighboursBelow && !room.Outdoors)
        {
            yield return new(RefusalCause.Room, "lands hard, and there are neighbours below");
        }

        if (exercise.Room.SlidingFloor && Sliding.In(home).IsEmpty)
        {
            yield return new(RefusalCause.Room, Unsliding(home));
        }
    }

    private static string Unsliding(Home home) =>
        home.Room.Floors.IsEmpty ? "needs a floor that something slides on, and the floor is not known"
        : home.Kit.OfType<Sliders>().FirstOrDefault() is { } slider
            ? $"needs something that slides: {slider.Name.ToLowerInvariant()} grip on {string.Join(" and ", home.Room.Floors).ToLowerInvariant()}"
            : "needs something that slides on this floor, and there is nothing here";

    private static IEnumerable<Refusal> BodyReasons(Exercise exercise, ClientProfile client, DateOnly today, bool isTheCoachs)
    {
        foreach (var failed in client.Screens.Where(s => s.Result == ScreenResult.Failed && exercise.Screens.Contains(s.Screen)))
        {
            yield return new(RefusalCause.Screen, $"the {PlainWords.Of(failed.Screen)} screen was not passed");
        }

        foreach (var stress in exercise.Joints)
        {
            int pain = client.PainAt(stress.Joint);
            if (pain > PainHold.Stops || (pain >= PainHold.Holds && stress.Level > MostOnSoreJoint))
            {
                yield return new(RefusalCause.Joint, $"loads the {PlainWords.Of(stress.Joint)}, sore at {pain} of 10");
            }
        }

        foreach (var named in client.Health.Answers.Where(a => a.Applies && exercise.Conditions.Contains(a.Question)))
        {
            yield return new(RefusalCause.Health, $"kept from clients who named {HealthScreen.Words(named.Question)}");
        }

        if (CarefulStart.Against(exercise, client, today) is { } careful)
        {
            yield return new(RefusalCause.Health, careful);
        }

        int allowed = SkillAllowed(client.Level) + (isTheCoachs && client.Level != Level.Beginner ? 1 : 0);
        if (exercise.Skill > allowed || exercise.Steadiness > allowed)
        {
            string what = exercise.Skill > allowed ? "skill" : "balance";
            yield return new(RefusalCause.Skill, $"takes more {what} than {WithArticle(client.Level)} has yet");
        }
    }

    private static IEnumerable<Refusal> RuleReasons(Exercise exercise, ClientProfile client, HouseRules rules)
    {
        foreach (var ban in rules.Bans.Where(b => b.Covers(exercise)))
        {
            yield return new(RefusalCause.Ban, $"banned in this practice: {ban.Reason}");
        }

        foreach (var ban in client.Bans.Where(b => b.Covers(exercise)))
        {
            yield return new(RefusalCause.Ban, $"banned for {client.Name}: {ban.Reason}");
        }

        if (client.NotYet.Contains(exercise.Id))
        {
            yield return new(RefusalCause.Skill, $"{client.Name} cannot do it yet");
        }
        else if (client.NotYet.FirstOrDefault(id => rules.Catalogue.IsHarderThan(exercise.Id, id)) is { } easier)
        {
            yield return new(RefusalCause.Skill, $"harder than the {PlainWords.InSentence(rules.Catalogue[easier].Name)}, which {client.Name} cannot do yet");
        }

        bool shoulderPassed = client.Screens.Any(s => s is { Screen: Screen.ShoulderExtension, Result: ScreenResult.Passed });
        if (SchoolLeanings.Against(exercise, rules, client.PainAt(Joint.Shoulder), shoulderPassed) is { } rule)
        {
            yield return new(RefusalCause.HouseRule, rule);
        }
    }

    /// <summary>The stress a joint sore at 3 to 5 still takes; of what is left the least is ranked first.</summary>
    private const int MostOnSoreJoint = 2;

    /// <summary>Highest skill and steadiness offered, on the catalogue's scale of 4 (coach).</summary>
    internal static int SkillAllowed(Level level) => level switch
    {
        Level.Beginner => 2,
        Level.Intermediate => 3,
        _ => 4,
    };

    private static string WithArticle(Level level) => level switch
    {
        Level.Beginner => "a beginner",
        Level.Intermediate => "an intermediate",
        _ => "an advanced client",
    };
}

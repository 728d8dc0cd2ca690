using Ingegno.Core.Anatomy;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Loads;
using Ingegno.Core.Programmes;
using Ingegno.Core.Substitution;

namespace Ingegno.Core.Tests.Safety;

/// <summary>
/// Reads a rebuilt session as a coach who knows the trade and not the catalogue: posture, limbs, joints and what is in the hand come from
/// <see cref="TradeTable"/>, never from the exercise's record.
/// </summary>
internal sealed class IndependentChecker(ClientProfile client, Home home, HouseRules rules)
{
    private readonly bool careful = client.AgeOn(People.Today) > 65 || client.BodyMass.Kilograms > 110
        || (client.Level == Level.Beginner && client.Lifts.IsEmpty);

    private readonly bool pregnant = Named(client, HealthQuestion.Pregnancy), pressure = Named(client, HealthQuestion.BloodPressure);

    private bool Banned(ExerciseAttribute attribute) => rules.Bans.Concat(client.Bans).Any(b => b.Attribute == attribute);

    private static bool Named(ClientProfile client, HealthQuestion question) => client.Health.Answers.Any(a => a.Applies && a.Question == question);

    internal IEnumerable<string> Breaches(RebuiltSession session)
    {
        var given = session.Lines.SelectMany(l => l.Prescriptions().Select(p => (l.Written, Given: p))).ToArray();
        foreach (var (written, p) in given)
        {
            foreach (string breach in Of(p))
            {
                yield return $"{p.Exercise} for {written.Exercise}: {breach}";
            }
        }

        string?[] wished = [.. session.Lines.Select(l => l.Written.Exercise)];
        foreach (var line in session.Lines)
        {
            // A load for each set is one exercise in blocks.
            foreach (string id in line.Prescriptions().Select(p => p.Exercise).Distinct())
            {
                if (line.Written.Exercise != id && wished.Contains(id))
                {
                    yield return $"{id} for {line.Written.Exercise}: another line is written as it";
                }

                // Of one exercise written twice, both may go the same way.
                string?[] written = [.. session.Lines.Where(l => l.Prescriptions().Any(p => p.Exercise == id)).Select(l => l.Written.Exercise).Distinct()];
                if (written.Length > 1)
                {
                    yield return $"{id}: for {string.Join(" and for ", written)}";
                }
            }
        }

        foreach (var drill in session.WarmUp.Concat(session.CoolDown).Concat(session.Lines.SelectMany(l => l.Behind)))
        {
            string where = TradeTable.Drills.GetValueOrDefault(drill.Drill, "");
            if ((where == "kneel" && Banned(ExerciseAttribute.Kneeling)) || (where == "front" && pregnant)
                || (where == "jump" && (careful || pregnant || Banned(ExerciseAttribute.Jumps) || (home.Room.NeighboursBelow && !home.Room.Outdoors))))
            {
                yield return $"drill {drill.Drill}: {where}";
            }
        }
    }

    private IEnumerable<string> Of(Prescription p)
    {
        var row = TradeTable.Rows[p.Exercise];
        if (row.Limbs == "2" && p.PerSide)
        {
            yield return "a side on two-limb work";
        }

        if (row.Limbs == "1" && !p.PerSide)
        {
            yield return "one limb, not counted a side";
        }

        if (!HasWhatItNeeds(row.Needs, p))
        {
            yield return $"no {row.Needs}: {p.LoadInWords}";
        }

        if (row.Joints.FirstOrDefault(j => client.PainAt(j) > 5, (Joint)(-1)) is var sore && sore >= 0)
        {
            yield return $"loads the {sore}, over 5";
        }

        if (!home.Room.Outdoors && Tall(row) is { } tall && tall * client.Stature.Metres > home.Room.HeadroomOrUsual().Metres + 1e-9)
        {
            yield return $"needs {tall:0.00} of stature under {home.Room.HeadroomOrUsual().Metres:0.00} m";
        }

        foreach (string breach in Cautious(row, p).Concat(BansOf(row, p)).Concat(Supports(p)))
        {
            yield return breach;
        }
    }

    /// <summary>Over stature: hands over the head 1.2, feet that leave the floor 1.05.</summary>
    private static double? Tall(TradeRow row) => row.Posture switch
    {
        "over" => 1.2,
        "raised" => 1.02,
        "stand" => row.Is("jump") ? 1.05 : 1,
        _ => null,
    };

    private IEnumerable<string> Cautious(TradeRow row, Prescription p)
    {
        if (row.Is("jump") && (careful || pregnant || (home.Room.NeighboursBelow && !home.Room.Outdoors)))
        {
            yield return "a jump";
        }

        if (careful && (row.Is("pistol") || row.Is("onearm")))
        {
            yield return "all on one limb for who starts carefully";
        }

        if (careful && row.Is("floorpush") && !client.Lifts.Any(l => l.Exercise.EndsWith("push-up", StringComparison.Ordinal)))
        {
            yield return "a floor push-up not earned";
        }

        if (pregnant && (row.Posture == "front" || row.Is("crunch") || row.Is("legs")))
        {
            yield return "not in pregnancy";
        }

        if (pressure && (row.Is("head") || (p.Count == CountKind.Seconds && row.Is("hold") && p.Counts.Max() > 30)))
        {
            yield return $"not with high blood pressure: {p.CountInWords}";
        }

        if (row.Is("pistol") && client.Screens.Any(s => s is { Screen: Screen.DeepSquat, Result: ScreenResult.Failed }))
        {
            yield return "deep squat screen failed";
        }

        if (row.Is("swing") && home.Kit.FirstOrDefault(k => k.Id == p.Kit) is { } thing
            && thing is not (FixedWeights { Shape: FixedWeightShape.Dumbbell or FixedWeightShape.Kettlebell or FixedWeightShape.Jug } or PlateLoadedHandles or PlateLoadedBar))
        {
            yield return $"swings a {thing.Name}";
        }

        foreach (string[] ladder in TradeTable.Ladders)
        {
            int at = Array.IndexOf(ladder, p.Exercise);
            if (ladder.Take(at).Any(client.NotYet.Contains))
            {
                yield return "harder than what is not yet";
            }
        }
    }

    private IEnumerable<string> BansOf(TradeRow row, Prescription p)
    {
        if ((Banned(ExerciseAttribute.Kneeling) && row.Posture is "kneel" or "fours")
            || (Banned(ExerciseAttribute.Jumps) && row.Is("jump"))
            || (Banned(ExerciseAttribute.Hanging) && row.Posture == "hang")
            || (Banned(ExerciseAttribute.UpsideDown) && row.Posture == "inverted")
            || (Banned(ExerciseAttribute.SpinalFlexion) && row.Is("crunch"))
            || (Banned(ExerciseAttribute.OneLegBalance) && (row.Is("pistol") || row.Exercise is "one-leg-romanian-deadlift" or "one-leg-hinge-reach"))
            || (Banned(ExerciseAttribute.BehindTheBodyDips) && row.Is("behind"))
            || (Banned(ExerciseAttribute.Bands) && (row.Needs is "band" or "mini" || p.Hold == Hold.Band))
            || client.Bans.Concat(rules.Bans).Any(b => b.Exercise == p.Exercise) || client.NotYet.Contains(p.Exercise))
        {
            yield return "banned";
        }
    }

    private IEnumerable<string> Supports(Prescription p)
    {
        foreach (var support in p.Supports)
        {
            var fixture = home.Fixtures.Single(f => f.Id == support.Fixture);
            if (fixture.Check is not { Verdict: CheckVerdict.Passed } check || check.On.AddDays(90) < People.Today)
            {
                yield return $"{fixture.Name} was not passed";
            }

            if (fixture.Glass)
            {
                yield return "glass";
            }

            if (support.Role is FixtureRole.Seat or FixtureRole.Step && !p.Exercise.StartsWith("foot-assisted", StringComparison.Ordinal)
                && fixture.Bears is { } bears && bears.Kilograms * fixture.Count < client.BodyMass.Kilograms * 0.9)
            {
                yield return $"{fixture.Name} bears {bears.Kilograms:0} kg";
            }
        }
    }

    private bool HasWhatItNeeds(string needs, Prescription p) => needs switch
    {
        "load" => p.Load.Kilograms > 0 || p.Hold == Hold.Band,
        "bag" => home.Kit.FirstOrDefault(k => k.Id == p.Kit) is Container or FixedWeights { Shape: FixedWeightShape.Sack },
        "band" => home.Kit.OfType<Band>().Any(b => b.Shape != BandShape.MiniLoop) && p.Hold == Hold.Band,
        "mini" => home.Kit.OfType<Band>().Any(b => b.Shape == BandShape.MiniLoop),
        "bar" => home.Kit.FirstOrDefault(k => k.Id == p.Kit) is PlateLoadedBar,
        "straps" => home.Kit.OfType<Straps>().Any(s => s.Bears is { Kilograms: > 0 }),
        "slide" => home.Kit.OfType<Sliders>().Any(),
        _ => true,
    };
}

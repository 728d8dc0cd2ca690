using System.Collections.Immutable;
using Ingegno.Core.Anatomy;
using Ingegno.Core.Clients;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Quantities;
using Ingegno.Core.Safety;

namespace Ingegno.Core.Loads;

/// <summary>How the hands or feet stand on a rung of the client's own surfaces.</summary>
public enum SurfaceUse
{
    HandsRaised,
    Kneeling,
    Floor,
    FeetRaised,
    RowUnder,
}

/// <summary>One of the client's own surfaces as a step of difficulty.</summary>
/// <param name="Height">Of the surface; zero for the floor.</param>
/// <param name="OnHands">What the hands press or pull.</param>
/// <param name="Held">A held position presses up to this (Suprak et al. 2011); equal where no range is known.</param>
/// <param name="StrapDrop">For a rail that is too high for a row: how far a strap must hang below it.</param>
/// <param name="Verdict">Whether the surface may be used for it today.</param>
public sealed record SurfaceStep(
    SurfaceUse Use, string Name, string? Fixture, Length Height, Share Share, Mass OnHands, Mass Held, Length? StrapDrop, SetupFinding Verdict);

/// <summary>
/// The push-up and row families over the client's own surfaces, easiest first: wall, galley top, table, chair, step, floor,
/// feet raised. Surfaces that did not pass stand in it with their reason, so that a check is seen to be worth making.
/// </summary>
public static class SurfaceLadder
{
    /// <summary>A held position presses this much more than the average of a repetition (Suprak against Ebben; from memory).</summary>
    private const double HeldAbove = 0.12;

    /// <summary>Feet on anything higher than this over stature are a pike, not a push-up (common practice).</summary>
    private const double HighestFeet = 0.40;

    /// <summary>Hands lower than this make no difference to the floor; higher than the shoulder they push upward.</summary>
    private const double LowestHands = 0.05, HighestHands = 0.82;

    /// <summary>Rows hang under grips between these heights over stature; higher ones want a strap (common practice).</summary>
    private const double LowestGrip = 0.40, HighestGrip = 0.62, StrapGrip = 0.50;

    private static readonly SetupFinding Ground = new(SetupVerdict.Pass, "the floor");

    /// <summary>From the wall to feet raised.</summary>
    public static ImmutableArray<SurfaceStep> PushUps(ClientProfile client, Home home, DateOnly today, int passDays)
    {
        var steps = new List<SurfaceStep>
        {
            Step(SurfaceUse.HandsRaised, "Wall", null, client.Stature * 0.80, Ground),
            Step(SurfaceUse.Kneeling, "Floor, kneeling", null, Length.Zero, Ground),
            Step(SurfaceUse.Floor, "Floor", null, Length.Zero, Ground),
        };
        foreach (var (fixture, usable) in home.Fixtures.Where(f => FixtureKinds.IsFurniture(f.Kind)).SelectMany(f => FixtureHeights.Of(f), (f, h) => (f, h)))
        {
            double height = usable.At / client.Stature;
            if (height is >= LowestHands and <= HighestHands)
            {
                steps.Add(OnFixture(SurfaceUse.HandsRaised, fixture, usable));
            }

            if (height is >= LowestHands and <= HighestFeet && !usable.LightOnly)
            {
                steps.Add(OnFixture(SurfaceUse.FeetRaised, fixture, usable));
            }
        }

        return [.. steps.OrderBy(s => s.Share).ThenBy(s => s.Name, StringComparer.Ordinal)];

        SurfaceStep OnFixture(SurfaceUse use, Fixture fixture, UsableHeight at)
        {
            // On the feet stands what the hands do not press.
            var share = ShareOf(use, at.At);
            var borne = use == SurfaceUse.FeetRaised ? Share.Of(1 - share.Fraction) : share;
            var verdict = SetupCheck.Of(fixture, borne * client.BodyMass, FixtureMotion.Moving, today, passDays);
            return Step(use, at.Where is null ? fixture.Name : $"{fixture.Name}, {at.Where}", fixture.Id, at.At, verdict);
        }

        SurfaceStep Step(SurfaceUse use, string name, string? fixture, Length height, SetupFinding verdict)
        {
            var share = ShareOf(use, height);
            return new(
                use, name, fixture, height, share, share * client.BodyMass,
                Share.Of(Math.Min(1, share.Fraction + HeldAbove)) * client.BodyMass, null, verdict);
        }

        Share ShareOf(SurfaceUse use, Length height) => use switch
        {
            SurfaceUse.Kneeling => PushUpShare.Kneeling(Length.Zero, client.Stature),
            SurfaceUse.FeetRaised => PushUpShare.OnToes(height * -1, client.Stature),
            _ => PushUpShare.OnToes(height, client.Stature),
        };
    }

    /// <summary>Rows under every edge and rail, with the strap a high one needs; high grips come first, they are easiest.</summary>
    public static ImmutableArray<SurfaceStep> Rows(ClientProfile client, Home home, DateOnly today, int passDays) =>
        [.. home.Fixtures
            .Where(f => FixtureKinds.TakesStrap(f.Kind) || f.Kind is FixtureKind.Table or FixtureKind.Counter)
            .Where(f => f.Height / client.Stature >= LowestGrip)
            .Where(f => FixtureKinds.TakesStrap(f.Kind) || f.Height / client.Stature <= HighestGrip)
            .Select(f =>
            {
                bool strap = f.Height / client.Stature > HighestGrip;
                var grip = strap ? client.Stature * StrapGrip : f.Height;
                var share = RowShare.UnderGrip(grip, client.Stature);
                return new SurfaceStep(
                    SurfaceUse.RowUnder, f.Name, f.Id, grip, share, share * client.BodyMass, share * client.BodyMass,
                    strap ? RowShare.StrapDrop(f.Height, grip) : null,
                    SetupCheck.Of(f, share * client.BodyMass, FixtureMotion.Moving, today, passDays));
            })
            .OrderBy(s => s.Share)
            .ThenBy(s => s.Name, StringComparer.Ordinal)];
}

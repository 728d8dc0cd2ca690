using Ingegno.Core.Anatomy;
using Ingegno.Core.Clients;
using Ingegno.Core.Exercises;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Loads;

/// <summary>
/// Where hands, feet or grip stand in a set-up; decides the share of the body moved. Null means floor height, and
/// for <see cref="Grip"/> an ordinary table edge of 0.72 m.
/// </summary>
/// <param name="FeetOut">For a lean: heels this far in front of the point under the grip.</param>
public sealed record Geometry(Length? Hands = null, Length? Feet = null, Length? Grip = null, Length? FeetOut = null)
{
    /// <summary>The same heights to half a centimetre: nobody sets up finer, and files round.</summary>
    public bool IsAsSetUp(Geometry other) =>
        Near(Hands, other.Hands) && Near(Feet, other.Feet) && Near(Grip, other.Grip) && Near(FeetOut, other.FeetOut);

    private static bool Near(Length? a, Length? b) =>
        a is null || b is null ? a is null && b is null : Math.Abs((a.Value - b.Value).Centimetres) < 0.5;
}

/// <summary>What the muscles meet, in kilograms where the body presses or pulls.</summary>
public static class Resistance
{
    private static readonly Length OrdinaryTable = Length.FromMetres(0.72);

    /// <summary>Heels nearly under a chest-high grip lean the body back to about 60 degrees (common practice).</summary>
    private static readonly Length UsualFeetOut = Length.FromCentimetres(5);

    /// <summary>Share of body mass the exercise moves in this set-up.</summary>
    public static Share BodyMoved(LoadLaw law, ClientProfile client, Geometry geometry)
    {
        var stature = client.Stature;
        var hands = geometry.Hands ?? Length.Zero;
        var feet = geometry.Feet ?? Length.Zero;
        return law.Body switch
        {
            BodyModel.None or BodyModel.Unmodelled => Share.Zero,
            BodyModel.TwoLegs => BodyShare.StandingOn(2, client.Sex),
            BodyModel.OneLeg => BodyShare.StandingOn(1, client.Sex),
            BodyModel.Hands => BodyShare.OnTheHands(client.Sex),
            BodyModel.Hinge => BodyShare.Hinge,
            BodyModel.Bridge => BodyShare.Bridge,
            BodyModel.ProneExtension => BodyShare.ProneExtension,
            BodyModel.CalfBoth => BodyShare.CalfRaise(2),
            BodyModel.CalfOne => BodyShare.CalfRaise(1),
            BodyModel.SlidingLegCurl => BodyShare.SlidingLegCurl,
            BodyModel.PushUp => PushUpShare.OnToes(hands - feet, stature),
            BodyModel.KneelingPushUp => PushUpShare.Kneeling(hands, stature),
            BodyModel.Pike => PikeShare.OnHands(hands - feet, stature, client.Sex),
            BodyModel.RowUnderGrip => RowShare.UnderGrip(geometry.Grip ?? OrdinaryTable, stature),
            BodyModel.RowUnderGripKneesBent => RowShare.UnderGripKneesBent(geometry.Grip ?? OrdinaryTable, stature),
            BodyModel.StandingLeanRow => RowShare.LeaningBack(
                geometry.Grip ?? new Landmarks(stature).Sternum, geometry.FeetOut ?? UsualFeetOut, stature),
            _ => throw new ArgumentOutOfRangeException(nameof(law)),
        };
    }

    /// <summary>Load where it counts plus the moved part of the body.</summary>
    public static Mass Of(LoadLaw law, Mass load, Share bodyMoved, Mass bodyMass) =>
        (load * law.LoadCounts) + (bodyMoved * bodyMass);
}

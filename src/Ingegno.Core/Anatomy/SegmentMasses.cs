using Ingegno.Core.Quantities;

namespace Ingegno.Core.Anatomy;

/// <summary>
/// Segment masses as parts of body mass. Limb segments are for one side.
/// Source: de Leva 1996, J Biomech 29:1223-1230 (from memory).
/// </summary>
public sealed record SegmentMasses(
    Share Head, Share Trunk, Share UpperArm, Share Forearm, Share Hand, Share Thigh, Share Shank, Share Foot)
{
    public static SegmentMasses Of(Sex sex) => sex switch
    {
        Sex.Female => Female,
        Sex.Male => Male,
        _ => throw new ArgumentOutOfRangeException(nameof(sex)),
    };

    private static readonly SegmentMasses Female = new(
        Share.Of(0.0668), Share.Of(0.4257), Share.Of(0.0255), Share.Of(0.0138),
        Share.Of(0.0056), Share.Of(0.1478), Share.Of(0.0481), Share.Of(0.0129));

    private static readonly SegmentMasses Male = new(
        Share.Of(0.0694), Share.Of(0.4346), Share.Of(0.0271), Share.Of(0.0162),
        Share.Of(0.0061), Share.Of(0.1416), Share.Of(0.0433), Share.Of(0.0137));
}

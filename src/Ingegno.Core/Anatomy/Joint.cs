namespace Ingegno.Core.Anatomy;

/// <summary>A joint or region a client may report as sore and an exercise may load.</summary>
public enum Joint
{
    Neck,
    Shoulder,
    Elbow,
    Wrist,
    UpperBack,
    LowerBack,
    Hip,
    Knee,
    Ankle,
}

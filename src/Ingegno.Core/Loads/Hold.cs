namespace Ingegno.Core.Loads;

/// <summary>How an implement is held in an exercise. The load of a pair is both pieces together.</summary>
public enum Hold
{
    /// <summary>One piece in one hand.</summary>
    OneHand,

    /// <summary>A matched pair, one in each hand.</summary>
    Pair,

    /// <summary>One piece held in both hands in front of the chest or hugged.</summary>
    AtChest,

    /// <summary>One piece held in both hands hanging in front, or by both ends overhead.</summary>
    BothHands,

    /// <summary>Worn on the back.</summary>
    OnBack,

    /// <summary>Laid across the hips.</summary>
    AcrossHips,

    /// <summary>A long bar in both hands.</summary>
    Bar,

    /// <summary>A band stretched by the movement.</summary>
    Band,

    /// <summary>A foot on a bathroom scale takes part of the body off the hands; the load is negative.</summary>
    FootOnScale,
}

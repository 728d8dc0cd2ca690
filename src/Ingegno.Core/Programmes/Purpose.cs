namespace Ingegno.Core.Programmes;

/// <summary>What a line is for.</summary>
public enum Purpose
{
    Growth,
    Strength,
    Skill,
    JointCare,
    Activation,
    Conditioning,
}

/// <summary>What follows from a purpose.</summary>
public static class Purposes
{
    /// <summary>Highest equivalent demand of skill, joint care and activation (coach).</summary>
    public const double CappedDemand = 0.5;

    /// <summary>Form ends the set, the demand stays low, and load is never what goes up.</summary>
    public static bool IsCapped(Purpose? purpose) => purpose is Purpose.Skill or Purpose.JointCare or Purpose.Activation;
}

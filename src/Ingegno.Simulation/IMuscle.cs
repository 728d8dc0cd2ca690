namespace Ingegno.Simulation;

/// <summary>How muscles of a body tire and recover.</summary>
public enum FatigueLaw
{
    /// <summary><see cref="MuscleState"/>, one of its own for every exercise.</summary>
    ThreeCompartments,

    /// <summary><see cref="CriticalForceMuscle"/>, shared by the exercises of one muscle group.</summary>
    CriticalForce,

    /// <summary><see cref="MotorUnitMuscle"/>, shared by the exercises of one muscle group.</summary>
    MotorUnits,
}

/// <summary>A muscle group on one day, by some law; strengths are parts of the rested one.</summary>
internal interface IMuscle
{
    /// <summary>Strength left, 0 to 1.</summary>
    double Left { get; }

    IMuscle Copy();

    /// <summary>Holds a part of the rested strength for so many seconds.</summary>
    /// <returns>False when the strength left fell under it.</returns>
    bool Work(double activation, double seconds);

    /// <summary>Nothing is active.</summary>
    void Rest(double seconds);
}

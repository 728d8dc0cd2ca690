namespace Ingegno.Core.Programmes;

/// <summary>A technique as coaches write it behind a dose.</summary>
public enum TechniqueKind
{
    Pulses,
    OneAndAHalf,
    OneAndAQuarter,

    /// <summary>The short half of the range only, or after the whole ones.</summary>
    Partials,

    /// <summary>A hard hold before each set.</summary>
    HoldFirst,

    /// <summary>The last repetition of a set is held.</summary>
    HoldLast,
    RestPause,
    DropSet,
    Cluster,

    /// <summary>A band added to what is lifted.</summary>
    BandAdded,
    LoweringOnly,

    /// <summary>Each set is finished on something easier.</summary>
    BackOff,

    /// <summary>A set at the start of every minute.</summary>
    EveryMinute,
}

/// <summary>A technique with its figure: pulses, or seconds of a hold or a short rest; null where none was written.</summary>
public sealed record WrittenTechnique(TechniqueKind Kind, int? Figure = null)
{
    /// <summary>What a technique without a figure is taken as: 5 pulses, a hold of 20 s before a set and of 10 s at its end (common practice); 0 where none belongs to it.</summary>
    public int FigureOrUsual => Figure ?? Kind switch
    {
        TechniqueKind.Pulses => 5,
        TechniqueKind.HoldFirst => 20,
        TechniqueKind.HoldLast => 10,
        _ => 0,
    };
}

namespace Ingegno.Formats.Tables;

/// <summary>What a column of a programme holds.</summary>
public enum ColumnRole
{
    /// <summary>Passed over.</summary>
    Nothing,

    /// <summary>The week of several, by its number; an empty cell goes on with the one above.</summary>
    Week,

    /// <summary>Day or session; an empty cell goes on with the one above.</summary>
    Session,

    /// <summary>A letter, with or without its place, of lines done back to back.</summary>
    Group,
    Exercise,
    Sets,
    Repetitions,

    /// <summary>In the client's unit where none is written.</summary>
    Load,
    Percent,
    Rpe,

    /// <summary>Repetitions left in reserve.</summary>
    Reserve,
    Tempo,

    /// <summary>In seconds; 10 and less are minutes.</summary>
    Rest,
    Notes,

    /// <summary>Whole lines as they are typed: name, sets, repetitions and all.</summary>
    Whole,
}

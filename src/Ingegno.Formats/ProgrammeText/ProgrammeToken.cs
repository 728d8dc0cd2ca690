namespace Ingegno.Formats.ProgrammeText;

/// <summary>The pieces a programme line is made of.</summary>
internal enum ProgrammeToken
{
    Number,
    Word,

    /// <summary>The x between sets and repetitions; only after a number.</summary>
    Times,
    At,
    Percent,
    Slash,
    Dash,
    Colon,
    Plus,

    /// <summary>Comma, semicolon, full stop, brackets: marks that only separate.</summary>
    Separator,
    Other,
}

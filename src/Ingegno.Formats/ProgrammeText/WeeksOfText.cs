using System.Collections.Immutable;
using System.Text;
using Ingegno.Core.Programmes;

namespace Ingegno.Formats.ProgrammeText;

/// <summary>Parts a text by its weeks while it is read: the first is read on, the others are set aside line by line.</summary>
internal sealed class WeeksOfText
{
    private sealed class Part(string name)
    {
        internal string Name { get; } = name;

        internal int Lines { get; set; }

        internal StringBuilder Text { get; } = new();
    }

    private readonly SortedDictionary<int, Part> _waiting = [];

    private bool _before;

    private Part? _at;

    /// <summary>The week that is read; null where the text has none.</summary>
    internal int? Now { get; private set; }

    internal ImmutableArray<WaitingWeek> Waiting => [.. _waiting.Select(w => new WaitingWeek(w.Key, w.Value.Name, w.Value.Lines, w.Value.Text.ToString().Trim()))];

    /// <param name="line">As typed.</param>
    /// <param name="afterSessions">Sessions without a week stand before it: they are trained now, and this week waits.</param>
    internal void Open(WeekHeading heading, string line, bool afterSessions)
    {
        if (Now is null && !afterSessions && !_before)
        {
            Now = heading.Number;
        }

        _before |= afterSessions;
        if (heading.Number == Now)
        {
            _at = null;
            return;
        }

        if (!_waiting.TryGetValue(heading.Number, out _at))
        {
            _waiting[heading.Number] = _at = new($"Week {heading.Number}");
        }

        _ = Waits(line);
    }

    /// <summary>Keeps a line of a week that waits; false where it is to be read now.</summary>
    internal bool Waits(string line)
    {
        if (_at is null)
        {
            return false;
        }

        _at.Lines += string.IsNullOrWhiteSpace(line) ? 0 : 1;
        _at.Text.Append(line.TrimEnd()).Append('\n');
        return true;
    }
}

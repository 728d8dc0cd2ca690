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

    private WeekHeading? _now;

    private Part? _at;

    /// <summary>The week that is read; null where the text has none, or sessions stand before its weeks.</summary>
    internal TrainedWeek? Now => _now is null ? null : new(_now.Name, _now.Weeks);

    internal ImmutableArray<WaitingWeek> Waiting => [.. _waiting.Select(w => new WaitingWeek(w.Key, w.Value.Name, w.Value.Lines, w.Value.Text.ToString().Trim()))];

    /// <param name="line">As typed.</param>
    /// <param name="afterSessions">Sessions stand before it. The first week that has any is trained; an empty one is passed over.</param>
    internal void Open(WeekHeading heading, string line, bool afterSessions)
    {
        if (!afterSessions && _waiting.Count == 0)
        {
            _now = heading;
        }

        if (heading.Order == _now?.Order)
        {
            _at = null;
            return;
        }

        if (!_waiting.TryGetValue(heading.Order, out _at))
        {
            _waiting[heading.Order] = _at = new(heading.Name);
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

using System.Collections.Immutable;
using System.Text.Json;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Plans;

/// <summary>A plan taken apart into what changes touch, and put together again.</summary>
internal static class LineStates
{
    internal static LineState Of(PlannedLine line, bool aside = false) => new()
    {
        Written = line.Written,
        Why = line.Why,
        Choice = line.Choice,
        Prescription = line.Prescription,
        Start = line.Start,
        Since = line.Since,
        Harder = line.Harder,
        Instead = line.Instead,
        Follows = line.Follows,
        IsAside = aside,
    };

    internal static Dictionary<(string Place, int Line), LineState> Of(Plan plan) =>
        (from place in plan.Places
         from line in place.Sessions.SelectMany(s => s.Lines).Select(l => (l.Line, State: Of(l))).Concat(place.Aside.Select(l => (l.Line, State: Of(l, aside: true))))
         select (place.Place, line.Line, line.State))
        .ToDictionary(l => (l.Place, l.Line), l => l.State);

    internal static Arrangement ArrangementOf(Plan plan) => new(
        plan.Text,
        [.. plan.Places.Select(p => new ArrangedPlace(p.Place, p.Name, [.. p.Sessions.Select(s => new ArrangedSession(s.Title, [.. s.Lines.Select(Arranged)]))]))]);

    private static ArrangedLine Arranged(PlannedLine line) => new(line.Line, line.Number, line.Tag, line.Group);

    /// <summary>The same to the letter: arrays within a record compare by what they hold.</summary>
    internal static bool Same<T>(T a, T b) => ReferenceEquals(a, b) || Json(a) == Json(b);

    private static string Json<T>(T value) => JsonSerializer.Serialize(value, TradeJson.Options);

    /// <summary>Lines that did not change keep their objects, and sessions of such lines their frame.</summary>
    internal static Plan Together(Plan before, Arrangement arranged, IReadOnlyDictionary<(string Place, int Line), LineState> states, Framing? framing)
    {
        var known = before.Places.ToDictionary(p => p.Place, StringComparer.Ordinal);
        var numbers = arranged.Places.SelectMany(p => p.Sessions).SelectMany(s => s.Lines).GroupBy(l => l.Line % PlannedLine.AddedFrom).ToDictionary(g => g.Key, g => g.First().Number);
        PlannedPlace[] places =
        [
            .. arranged.Places.Select(place =>
            {
                known.TryGetValue(place.Place, out var was);
                var lines = (was is null ? [] : was.Sessions.SelectMany(s => s.Lines).Concat(was.Aside)).ToDictionary(l => l.Line);
                var wasAside = was?.Aside.Select(l => l.Line).ToHashSet() ?? [];
                ImmutableArray<PlannedSession> sessions =
                [
                    .. place.Sessions.Select((session, i) =>
                    {
                        ImmutableArray<PlannedLine> now = [.. session.Lines.Where(l => states.ContainsKey((place.Place, l.Line))).Select(l => Line(l, states[(place.Place, l.Line)], lines.GetValueOrDefault(l.Line)))];
                        var old = was is not null && i < was.Sessions.Length ? was.Sessions[i] : null;
                        return old is not null && old.Title == session.Title && old.Lines.Length == now.Length && old.Lines.Zip(now, ReferenceEquals).All(same => same)
                            ? old
                            : Framed(place.Place, new PlannedSession(session.Title, Duration.Zero, now));
                    }),
                ];
                return new PlannedPlace(place.Place, place.Name, sessions)
                {
                    Aside =
                    [
                        .. from state in states
                           where state.Key.Place == place.Place && state.Value.IsAside
                           orderby lines.GetValueOrDefault(state.Key.Line)?.Number, state.Key.Line
                           select Line(Waiting(state.Key.Line, state.Value, lines.GetValueOrDefault(state.Key.Line)), state.Value, lines.GetValueOrDefault(state.Key.Line)),
                    ],
                };
            }),
        ];
        return (before with { Text = arranged.Text }).With(places);

        // A line that waits moves with the text like any other, or it would be taken for the one that moved to its place.
        ArrangedLine Waiting(int line, LineState state, PlannedLine? was)
        {
            int name = line % PlannedLine.AddedFrom, before = was?.Number ?? name;
            if (!numbers.TryGetValue(name, out int number))
            {
                number = (framing?.LinesOf(arranged.Text).Values ?? []).Where(l => l.Text == state.Written && !numbers.ContainsValue(l.Number)).Select(l => l.Number)
                    .OrderBy(n => Math.Abs(n - before)).FirstOrDefault(before);
            }

            return new(line, number, was?.Tag ?? "", was?.Group);
        }

        PlannedSession Framed(string place, PlannedSession session) => framing?.Of(place, session, arranged.Text) ?? session;
    }

    private static PlannedLine Line(ArrangedLine at, LineState state, PlannedLine? was)
    {
        if (was is not null && Arranged(was) == at && Same(Of(was, state.IsAside), state))
        {
            return was;
        }

        return new PlannedLine(at.Line, at.Tag, at.Group, state.Written, state.Why, state.Prescription)
        {
            Number = at.Number,
            Choice = state.Choice,
            Start = state.Start,
            Since = state.Since,
            Harder = state.Harder,
            Instead = state.Instead,
            Follows = state.Follows,
            Behind = was?.Behind ?? [],
        };
    }
}

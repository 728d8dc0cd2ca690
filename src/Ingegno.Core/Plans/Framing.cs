using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Programmes;
using Ingegno.Core.Sessions;

namespace Ingegno.Core.Plans;

/// <summary>
/// What only a whole session tells, worked out from the lines in force: minutes, what to put out, warm-up, cool-down, mobility work. A step or
/// a swap changes them as much as a rebuild does.
/// </summary>
/// <param name="homes">Of each place; a place not among them keeps its sessions as they are.</param>
/// <param name="today">Day of use: who starts carefully is told by age.</param>
/// <param name="read">Reads a programme text: what is written decides the mobility work.</param>
public sealed class Framing(
    ClientProfile client, IReadOnlyDictionary<string, Home> homes, Catalogue catalogue, HouseRules rules, DateOnly today, Func<string, WrittenProgramme> read)
{
    private readonly HouseRules _rules = rules.For(client);
    private (string Text, Dictionary<int, WrittenLine> Lines, Dictionary<int, ImmutableArray<TypedDrill>> Drills)? _written;

    internal PlannedSession Of(string place, PlannedSession session, string text) =>
        homes.TryGetValue(place, out var home) ? Framed(session, home, LinesOf(text), DrillsOf(session, text)) : session;

    /// <summary>Those typed in the session of its lines.</summary>
    private ImmutableArray<TypedDrill> DrillsOf(PlannedSession session, string text)
    {
        LinesOf(text);
        return session.Lines.Select(l => _written!.Value.Drills.GetValueOrDefault(l.Number)).FirstOrDefault(d => !d.IsDefault) is { IsDefault: false } typed ? typed : [];
    }

    /// <summary>The lines of a text by their number.</summary>
    internal IReadOnlyDictionary<int, WrittenLine> LinesOf(string text)
    {
        if (_written is not { } known || known.Text != text)
        {
            var sessions = read(text).Sessions;
            _written = known = (
                text, sessions.SelectMany(s => s.Lines).ToDictionary(l => l.Number),
                sessions.SelectMany(s => s.Lines.Select(l => (l.Number, s.Drills))).ToDictionary(d => d.Number, d => d.Drills));
        }

        return known.Lines;
    }

    private PlannedSession Framed(PlannedSession session, Home home, IReadOnlyDictionary<int, WrittenLine> typed, ImmutableArray<TypedDrill> drills)
    {
        PlannedLine[] inText = [.. session.Lines.OrderBy(l => l.Number).ThenBy(l => l.Line)];
        Exercise[] exercises = [.. inText.Select(l => l.Prescription).OfType<Prescription>().Select(p => catalogue.Find(p.Exercise)).OfType<Exercise>()];
        PlannedLine[] written = [.. inText.Where(l => !l.IsAdded)];
        var allowed = DrillGate.Allowed(catalogue, client, home, _rules, today);
        var mobility = MobilityWork.For([.. written.Select(l => typed.GetValueOrDefault(l.Number)?.Exercise is { } id ? catalogue.Find(id) : null)], client, allowed)
            .ToLookup(m => written[m.After].Line, m => m.Drill);
        var withAdded = session.Lines.Where(l => l.IsAdded).Select(l => l.Main).ToHashSet();
        var warmUp = TypedDrills.Before(WarmUp.For(exercises, client, allowed, _rules), drills.Where(d => !d.Ends), allowed);
        var coolDown = TypedDrills.Before(CoolDown.For(exercises, client, allowed), drills.Where(d => d.Ends), allowed);
        ImmutableArray<PlannedLine> lines = [.. session.Lines.Select((line, i) => line with { Behind = IsLast(i) ? [.. mobility[line.Main]] : [] })];
        var work = SessionLength.Of(
        [
            .. from line in lines
               where line.Prescription is not null
               select new SessionLength.Part(line.Group ?? (withAdded.Contains(line.Main) ? $"+{line.Number}" : null), line.Prescription!),
        ]);
        return new PlannedSession(session.Title, warmUp.Concat(coolDown).Concat(lines.SelectMany(l => l.Behind)).Aggregate(work, (sum, d) => sum + d.Lasts), lines)
        {
            WarmUp = warmUp,
            CoolDown = coolDown,
            LayOut = LayOut.For(lines.Select(l => l.Prescription).OfType<Prescription>().Where(p => catalogue.Find(p.Exercise) is not null), home, catalogue),
        };

        // Behind the last exercise of the written line.
        bool IsLast(int i) => !session.Lines.Skip(i + 1).Any(l => l.Main == session.Lines[i].Main);
    }
}

using System.Collections.Immutable;
using Ingegno.Core.Homes;
using Ingegno.Core.Safety;

namespace Ingegno.Core.Substitution;

/// <summary>What a line would become once a fixture has passed.</summary>
/// <param name="Line">Number in the text.</param>
/// <param name="Written">Name as typed.</param>
/// <param name="Name">Of the exercise that would come in.</param>
public sealed record OpenedLine(int Line, string Written, string Name);

/// <summary>Fixtures that wait for a check, and what passing them would open in the programme.</summary>
/// <param name="Fixtures">Ids: alike ones of one height are checked together, as two chairs make a pair.</param>
/// <param name="Name">"Kitchen chairs".</param>
/// <param name="RanOut">All of them had passed, and the passes ran out.</param>
public sealed record WaitingCheck(ImmutableArray<string> Fixtures, string Name, bool RanOut, ImmutableArray<OpenedLine> Lines);

/// <summary>
/// A newcomer's home: while fixtures wait for their check nothing is prescribed on them, but what each would open is told, best first. What
/// was looked at and found wanting, and glass, wait for nothing.
/// </summary>
public static class WaitingChecks
{
    /// <summary>So many are tried; a home of two hundred things is asked about its first ones.</summary>
    private const int MostTried = 12;

    /// <summary>Fixtures of one kind within this height, in metres, make a pair.</summary>
    private const double SameHeight = 0.02;

    /// <param name="now">The sessions as rebuilt with what has passed.</param>
    /// <param name="rebuild">The same sessions in another home.</param>
    public static ImmutableArray<WaitingCheck> Of(
        Home home, DateOnly today, int passDays, IReadOnlyList<RebuiltSession> now, Func<Home, IReadOnlyList<RebuiltSession>> rebuild)
    {
        var before = Lines(now).ToDictionary(l => l.Written.Number);
        return
        [
            .. from together in Waiting(home, today, passDays).Take(MostTried)
               let ids = together.Select(f => f.Id).ToHashSet(StringComparer.Ordinal)
               let passed = home with { Fixtures = [.. home.Fixtures.Select(f => ids.Contains(f.Id) ? f with { Check = new(CheckVerdict.Passed, today, "if it passes") } : f)] }
               let opened = Lines(rebuild(passed)).Where(l => IsBetter(before.GetValueOrDefault(l.Written.Number), l)).ToArray()
               where opened.Length > 0
               orderby opened.Sum(l => Worth(before.GetValueOrDefault(l.Written.Number), l)) descending, together[0].Name
               select new WaitingCheck(
                   [.. together.Select(f => f.Id)],
                   together[0].Name,
                   together.All(f => f.Check is not null),
                   [.. opened.Select(l => new OpenedLine(l.Written.Number, l.Written.ExerciseName, l.Chosen!.Prescription.Name))]),
        ];
    }

    private static IEnumerable<RebuiltLine> Lines(IEnumerable<RebuiltSession> sessions) => sessions.SelectMany(s => s.Lines);

    private static IEnumerable<Fixture[]> Waiting(Home home, DateOnly today, int passDays)
    {
        var open = home.Fixtures
            .Where(f => f.Check is null or { Verdict: CheckVerdict.Passed } && SetupCheck.Standing(f, today, passDays) is { Verdict: SetupVerdict.NotPassed })
            .ToList();
        while (open is [var first, ..])
        {
            Fixture[] alike = [.. open.Where(f => f.Kind == first.Kind && Math.Abs((f.Height - first.Height).Metres) <= SameHeight)];
            open.RemoveAll(alike.Contains);
            yield return alike;
        }
    }

    /// <summary>What comes in where there was more to choose among came before the other; a line that only made room for one is no gain.</summary>
    private static bool IsBetter(RebuiltLine? before, RebuiltLine after) =>
        after.Chosen is { } now && (before?.Chosen is not { } was || (now.Prescription.Exercise != was.Prescription.Exercise && now.Class <= was.Class));

    /// <summary>Classes gained, a line that had nothing counting as from the last, and one for the line.</summary>
    private static int Worth(RebuiltLine? before, RebuiltLine after) =>
        1 + ((before?.Chosen?.Class ?? CandidateClass.UnderFloor) - after.Chosen!.Class);
}

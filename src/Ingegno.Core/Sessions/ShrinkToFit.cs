using System.Collections.Immutable;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Quantities;
using Ingegno.Core.Review;
using Ingegno.Core.Substitution;

namespace Ingegno.Core.Sessions;

/// <summary>How a session is made shorter.</summary>
public enum ShrinkMeans
{
    /// <summary>Lines that do not tire each other are done back to back.</summary>
    Pair,

    /// <summary>A set fewer, accessory work first.</summary>
    Shorten,

    /// <summary>A line left out, accessory work first, the last of a movement last.</summary>
    Drop,
}

/// <summary>A session made to fit.</summary>
/// <param name="Steps">What was done, in a coach's words.</param>
/// <param name="Changes">The lines that change.</param>
/// <param name="Session">As it then is.</param>
/// <param name="Fits">False where even the main work is longer.</param>
public sealed record Shrunk(ImmutableArray<string> Steps, ImmutableArray<LineChange> Changes, RebuiltSession Session, bool Fits)
{
    /// <summary>It was told that this is enough before it fitted: it may well get shorter.</summary>
    public bool Stopped { get; init; }

    /// <summary>Why it is longer than it was to be; null where it fits.</summary>
    public string? WhyLonger =>
        Fits ? null
        : Stopped ? "It is longer still: there was no time to look further. Ask once more."
        : $"It does not go under {Math.Ceiling(Session.Whole.Minutes):0} min: the main work alone takes that long.";
}

/// <summary>Makes a session fit the minutes there are, one small step after the other in the order the coach has set.</summary>
public static class ShrinkToFit
{
    /// <summary>Muscles shared by two lines that are done back to back (common practice).</summary>
    private const double MostShared = 0.25;

    /// <summary>Between the halves of a pair: time to change over, not to recover.</summary>
    private static readonly Duration Inside = Duration.FromSeconds(30);

    private const int FewestSets = 2, MostSteps = 80;

    /// <param name="order">Each means once, the mildest first.</param>
    /// <param name="home">For what two lines would fight over.</param>
    /// <param name="rebuild">The session with these changes made.</param>
    /// <param name="enough">No further step is looked for; what there is so far is the answer.</param>
    public static Shrunk Into(
        Duration available, RebuiltSession session, ImmutableArray<ShrinkMeans> order, Home home, Catalogue catalogue,
        Func<ImmutableArray<LineChange>, RebuiltSession> rebuild, CancellationToken enough = default)
    {
        var whole = session;
        ImmutableArray<LineChange> changes = [];
        var steps = new List<Step>();
        foreach (var means in order)
        {
            var refused = new HashSet<string>(StringComparer.Ordinal);
            while (!enough.IsCancellationRequested && session.Whole > available && steps.Count < MostSteps
                && Next(means, session, whole, home, catalogue).FirstOrDefault(s => !refused.Contains(s.Words)) is { } step)
            {
                var with = step.Changes.Aggregate(changes, Merged);
                var shorter = rebuild(with);
                if (shorter.Whole >= session.Whole)
                {
                    refused.Add(step.Words);
                    continue;
                }

                steps.Add(step with { Words = $"{step.Words}: {Minutes(session.Whole - shorter.Whole)} saved." });
                (changes, session) = (with, shorter);
                refused.Clear();
            }
        }

        (changes, session) = TakenBack(available, changes, session, rebuild);
        HashSet<int> gone = [.. changes.Where(c => c.LeftOut).Select(c => c.Line)];
        return new(
            [.. steps.Where(s => IsStillSo(s, gone)).Select(s => s.Words)],
            changes, session, session.Whole <= available)
        {
            Stopped = enough.IsCancellationRequested && session.Whole > available,
        };
    }

    /// <summary>A long line left out last may make room for shorter ones that went before it: the latest to go comes back first.</summary>
    private static (ImmutableArray<LineChange> Changes, RebuiltSession Session) TakenBack(
        Duration available, ImmutableArray<LineChange> changes, RebuiltSession session, Func<ImmutableArray<LineChange>, RebuiltSession> rebuild)
    {
        foreach (var gone in changes.Where(c => c.LeftOut).Reverse())
        {
            if (session.Whole > available)
            {
                break;
            }

            ImmutableArray<LineChange> with = changes.Replace(gone, gone with { LeftOut = false, Group = gone.Group is null ? null : "", Rest = null });
            var longer = rebuild(with);
            if (longer.Whole <= available)
            {
                (changes, session) = (with, longer);
            }
        }

        return (changes, session);
    }

    /// <summary>What was done to a line that is left out in the end is no news, nor is leaving out one that came back.</summary>
    private static bool IsStillSo(Step step, HashSet<int> gone) =>
        step.Changes[0].LeftOut ? gone.Contains(step.Changes[0].Line) : step.Changes.All(c => !gone.Contains(c.Line));

    /// <param name="Changes">The line it is about first.</param>
    private sealed record Step(string Words, ImmutableArray<LineChange> Changes);

    private static string Minutes(Duration saved) => saved.Seconds < 60 ? $"{saved.Seconds:0} s" : $"{saved.Minutes:0.#} min";

    private static IEnumerable<Step> Next(ShrinkMeans means, RebuiltSession session, RebuiltSession whole, Home home, Catalogue catalogue) => means switch
    {
        ShrinkMeans.Pair => Pairs(session, home, catalogue),
        ShrinkMeans.Shorten => Shortened(session),
        ShrinkMeans.Drop => Dropped(session, whole, catalogue),
        _ => throw new ArgumentOutOfRangeException(nameof(means)),
    };

    /// <summary>The pair that saves most first.</summary>
    private static IEnumerable<Step> Pairs(RebuiltSession session, Home home, Catalogue catalogue)
    {
        RebuiltLine[] alone =
        [
            .. session.Lines.Where(l => l.Group is null && l.Role != Role.Main && l.Added.IsEmpty && l.Chosen is { Prescription.Counts.Length: > 1 }),
        ];
        string? letter = Enumerable.Range('A', 26).Select(c => ((char)c).ToString()).FirstOrDefault(c => session.Lines.All(l => l.Group != c && l.Written.Group != c));
        return from i in Enumerable.Range(0, alone.Length)
               from j in Enumerable.Range(i + 1, alone.Length - i - 1)
               let first = alone[i].Chosen!.Prescription
               let second = alone[j].Chosen!.Prescription
               where letter is not null
                   && catalogue[first.Exercise].Muscles.OverlapWith(catalogue[second.Exercise].Muscles).Fraction <= MostShared
                   && SetUpNeeds.Of(first, catalogue[first.Exercise], home).Against(SetUpNeeds.Of(second, catalogue[second.Exercise], home)) is null
               let saves = ((first.Rest - Inside) * Math.Min(first.Counts.Length, second.Counts.Length)) + SessionLength.ExerciseChange
               orderby saves.Seconds descending, i, j
               select new Step(
                   $"{alone[i].Written.ExerciseName} and {PlainWords.InSentence(alone[j].Written.ExerciseName)} back to back",
                   [
                       new(alone[i].Written.Number, Rest: Inside < first.Rest ? Inside : first.Rest, Group: letter),
                       new(alone[j].Written.Number, Group: letter),
                   ]);
    }

    private static IEnumerable<Step> Shortened(RebuiltSession session) =>
        from line in session.Lines
        where line.Chosen is { } chosen && chosen.Prescription.Form != Effort.SetForm.RestPause && chosen.Prescription.Counts.Length > FewestSets
        let sets = line.Chosen!.Prescription.Counts.Length
        orderby line.Role descending, sets descending, line.Written.Number descending
        select new Step($"{line.Written.ExerciseName}: {sets - 1} sets instead of {sets}", [new(line.Written.Number, Sets: sets - 1)]);

    private static IEnumerable<Step> Dropped(RebuiltSession session, RebuiltSession whole, Catalogue catalogue)
    {
        RebuiltLine[] done = [.. session.Lines.Where(l => l.Chosen is not null)];
        return from line in done
               where line.Role != Role.Main && done.Length > 1
               let pattern = catalogue[line.Chosen!.Prescription.Exercise].Pattern
               let last = done.Count(l => catalogue[l.Chosen!.Prescription.Exercise].Pattern == pattern) == 1
               orderby line.Role descending, last, line.Written.Number descending
               select new Step($"{line.Written.ExerciseName} left out", [new(line.Written.Number, LeftOut: true), .. Alone(line)]);

        // Whoever loses the partner rests as before the two were paired.
        IEnumerable<LineChange> Alone(RebuiltLine line)
        {
            RebuiltLine[] partners = [.. done.Where(l => line.Group is not null && l.Group == line.Group && l != line)];
            return partners is [var one] && whole.Lines.First(l => l.Written.Number == one.Written.Number) is { Group: null } before
                ? [new(one.Written.Number, Rest: before.Chosen?.Prescription.Rest, Group: "")]
                : [];
        }
    }

    /// <summary>A later change of a line adds to the earlier one.</summary>
    private static ImmutableArray<LineChange> Merged(ImmutableArray<LineChange> changes, LineChange next)
    {
        var before = changes.FirstOrDefault(c => c.Line == next.Line);
        return before is null
            ? changes.Add(next)
            : changes.Replace(before, before with
            {
                Sets = next.Sets ?? before.Sets,
                Rest = next.Rest ?? before.Rest,
                Group = next.Group ?? before.Group,
                LeftOut = before.LeftOut || next.LeftOut,
            });
    }
}

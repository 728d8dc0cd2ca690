using System.Collections.Concurrent;
using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Exercises;
using Ingegno.Core.Loads;
using Ingegno.Core.Programmes;
using Superpower.Model;

namespace Ingegno.Formats.ProgrammeText;

/// <summary>Reads one line: tag, exercise name, sets, then parts in any order.</summary>
internal static class LineReader
{
    /// <summary>Letters of a line at most.</summary>
    internal const int LongestLine = 400;

    /// <summary>Fewer seconds alone behind the sets may be anything (common practice).</summary>
    private const int ShortestRest = 20;

    /// <summary>Seconds of a lowering that is all there is of a repetition (3 to 5 are usual; common practice).</summary>
    private const int SlowLowering = 5;

    /// <summary>Lines kept as parted; a block has fewer.</summary>
    private const int MostKept = 1024;

    private static readonly ProgrammeTokenizer Tokenizer = new();

    private static readonly ConcurrentDictionary<string, Parted> Kept = new(StringComparer.Ordinal);

    /// <summary>A line in its parts, never changed once it is read.</summary>
    private sealed record Parted(Token<ProgrammeToken>[] Tokens, string? Group, int Place, List<Stretch> Found);

    /// <param name="Line">Null when no sets and repetitions were found.</param>
    internal sealed record Result(WrittenLine? Line, ImmutableArray<TextProblem> Problems);

    internal static Result Read(string text, int number, Catalogue catalogue, MassUnit unit, NameReader names)
    {
        if (text.Length > LongestLine)
        {
            return new(null, [new(number, LongestLine + 1, text.Length - LongestLine, $"A line has at most {LongestLine} characters: put each exercise on its own line.")]);
        }

        var (tokens, group, place, found) = Stretches(LineText.Plain(text));
        if (!found.Any(f => f.Parts.OfType<LinePart.Dose>().Any()) || NameOf(tokens, found) is not { } name)
        {
            int column = text.Length - text.TrimStart().Length + 1;
            return new(null, [new(number, column, text.Trim().Length, "No sets and repetitions found. Add them after the name, such as 3 x 8 or 10/10/8.")]);
        }

        return Complete(text, number, tokens, (group, place), found, name, catalogue, unit, names);
    }

    /// <summary>What a line falls into before a name or a unit is known: a hundred phrases are tried at each of its words, and most lines of a text are as before.</summary>
    private static Parted Stretches(string plain)
    {
        if (!Kept.TryGetValue(plain, out var parted))
        {
            if (Kept.Count >= MostKept)
            {
                Kept.Clear();
            }

            Kept[plain] = parted = Anew(plain);
        }

        return parted;
    }

    private static Parted Anew(string plain)
    {
        int begins = LineText.AfterListMark(plain);
        var tokens = Tokenizer.Tokenize(plain).ToArray();
        var (group, place, start) = LineText.NumberedTag(plain, begins) is { } numbered
            ? (numbered.Group, numbered.Place, At(tokens, numbered.End))
            : Tag(tokens, At(tokens, begins));
        return new(tokens, group, place, Found(plain, tokens, start));
    }

    /// <summary>The first token at or behind a letter.</summary>
    private static int At(Token<ProgrammeToken>[] tokens, int letter) =>
        Array.FindIndex(tokens, t => t.Position.Absolute >= letter) is >= 0 and var at ? at : tokens.Length;

    /// <summary>Goes through the line: the name is the words before the first figure that reads, all else is tried everywhere.</summary>
    private static List<Stretch> Found(string plain, Token<ProgrammeToken>[] tokens, int start)
    {
        var found = new List<Stretch>();
        bool read = false, named = false;
        for (int at = start; at < tokens.Length;)
        {
            bool word = tokens[at].Kind == ProgrammeToken.Word;
            var (parts, end) = Reading(plain, tokens, at, wordsOnly: word && !read, isFirst: !named && !read);
            if (parts is [LinePart.Dose { Sets: { Sets: 1, Targets: [{ Kind: CountKind.Seconds, Low: var alone }] } }] && found.Any(f => f.Parts.Any(p => p is LinePart.Dose)))
            {
                // "3 x 10, 90 s": what stands alone behind the sets and is long enough is the rest; "pause squat 3x5, 3 s" names the pause.
                parts = alone >= ShortestRest ? [new LinePart.Rest(alone)]
                    : alone <= Tempo.LongestPhase && plain.Contains("pause", StringComparison.OrdinalIgnoreCase) ? [new LinePart.Phases(Low: alone)]
                    : [];
                end = parts.Length > 0 ? end : at + 1;
            }

            if (parts.Length > 0 && !(parts is [LinePart.Filler] && !read))
            {
                found.Add(new(at, end, parts));
                read |= parts.Any(p => p is not LinePart.Filler);
                at = end;
                continue;
            }

            named |= word;
            if (found.Count > 0 && found[^1].IsLoose && found[^1].End == at)
            {
                found[^1] = found[^1] with { End = at + 1 };
            }
            else
            {
                found.Add(new(at, at + 1, []));
            }

            at++;
        }

        return found;
    }

    /// <param name="wordsOnly">In the name: only sets may begin with a word here.</param>
    /// <param name="isFirst">Nothing stands before it.</param>
    private static (LinePart[] Parts, int End) Reading(string plain, Token<ProgrammeToken>[] tokens, int at, bool wordsOnly, bool isFirst)
    {
        int letter = tokens[at].Position.Absolute;
        if (GymPhrases.DoseAt(plain, letter) is { } dose)
        {
            return (dose.Parts, At(tokens, dose.End));
        }

        if (!wordsOnly && GymPhrases.PartAt(plain, letter) is { } phrase)
        {
            return (phrase.Parts, At(tokens, phrase.End));
        }

        var rest = new TokenList<ProgrammeToken>(tokens[at..]);
        if (LineGrammar.Sets.Invoke(rest) is { HasValue: true } sets)
        {
            return ([new LinePart.Dose(sets.Value)], tokens.Length - sets.Remainder.Count());
        }

        return !wordsOnly && !isFirst && LineGrammar.Part.Invoke(rest) is { HasValue: true } part ? ([part.Value], tokens.Length - part.Remainder.Count()) : ([], at + 1);
    }

    /// <summary>The first words nothing else was made of; behind the sets up to the first mark.</summary>
    private static Stretch? NameOf(Token<ProgrammeToken>[] tokens, List<Stretch> found)
    {
        foreach (var stretch in found.Where(f => f.IsLoose))
        {
            int first = Enumerable.Range(stretch.First, stretch.End - stretch.First).FirstOrDefault(i => tokens[i].Kind == ProgrammeToken.Word, -1);
            if (first < 0)
            {
                continue;
            }

            bool opens = found[0] == stretch;
            int end = opens ? stretch.End
                : Enumerable.Range(first, stretch.End - first).FirstOrDefault(i => tokens[i].Kind is ProgrammeToken.Separator or ProgrammeToken.Colon || (tokens[i].Kind == ProgrammeToken.Dash && i > first), stretch.End);
            return new(opens ? stretch.First : first, end, []);
        }

        return null;
    }

    /// <summary>"A1", "B2.", "C)": a letter with a place or a mark behind it.</summary>
    private static (string? Group, int Place, int Start) Tag(Token<ProgrammeToken>[] tokens, int at)
    {
        if (tokens.Length < at + 2 || tokens[at].Kind != ProgrammeToken.Word || tokens[at].Span.Length != 1)
        {
            return (null, 0, at);
        }

        string letter = tokens[at].ToStringValue().ToUpperInvariant();
        bool placed = tokens[at + 1].Kind == ProgrammeToken.Number && Touches(tokens[at], tokens[at + 1])
            && int.TryParse(tokens[at + 1].ToStringValue(), out int n) && n is > 0 and < 20;
        int start = at + (placed ? 2 : 1);
        bool marked = start < tokens.Length && tokens[start].Kind is ProgrammeToken.Separator or ProgrammeToken.Colon;
        return placed ? (letter, int.Parse(tokens[at + 1].ToStringValue(), System.Globalization.CultureInfo.InvariantCulture), start + (marked ? 1 : 0))
            : marked && Touches(tokens[at], tokens[at + 1]) ? (letter, 0, at + 2)
            : (null, 0, at);
    }

    private static bool Touches(Token<ProgrammeToken> a, Token<ProgrammeToken> b) =>
        a.Position.Absolute + a.Span.Length == b.Position.Absolute;

    private static Result Complete(
        string text, int number, Token<ProgrammeToken>[] tokens, (string? Group, int Place) tag, List<Stretch> found, Stretch named, Catalogue catalogue, MassUnit unit, NameReader names)
    {
        var problems = ImmutableArray.CreateBuilder<TextProblem>();
        if (found.Find(f => f.Parts.Any(p => p is LinePart.Week { Number: > 1 })) is { } further && found.IndexOf(further) is var week && found.Take(week).Any(f => f.Parts.Any(p => p is LinePart.Dose)))
        {
            var at = Place(further.First, found[^1].End);
            problems.Add(new(at.Line, at.Column, at.Length, "Only the first week is read. How the line goes on is set with the block, on the Block view."));
            found = found[..week];
        }

        var (_, from, length) = Place(named.First, named.End);
        string name = text[(from - 1)..(from - 1 + length)].Trim().Trim(':', ',', '-', ';', '–', '—', '|').Trim();
        var known = names.Read(name);
        var dose = found.First(f => f.Parts.OfType<LinePart.Dose>().Any());
        var sets = dose.Parts.OfType<LinePart.Dose>().First().Sets;
        var line = new WrittenLine
        {
            Number = number,
            Text = text.Trim(),
            Group = tag.Group,
            PlaceInGroup = tag.Place,
            ExerciseName = name,
            Exercise = known?.Exercise.Id,
            Sets = LineSets.Of(sets, Place(dose.First, dose.End), problems),
            OptionalSets = Math.Clamp(sets.Optional, 0, 10),
            Intensity = new Intensity(Reserve: sets.Reserve is >= 0 and <= 9 ? sets.Reserve : null),
        };
        if (known is not { IsOwn: true } && NameDoubts.Of(name, known, catalogue) is { } doubt)
        {
            problems.Add(new(number, from, name.Length, doubt, IsDoubt: true) { Meant = NameDoubts.Options(name, known, catalogue) });
        }
        else if (known is null)
        {
            string nearest = string.Join(", ", catalogue.Nearest(name).Select(e => e.Name.ToLowerInvariant()));
            problems.Add(new(
                number, from, name.Length,
                $"No exercise is known as \"{name}\"{(nearest.Length > 0 ? $"; nearest are {nearest}" : "")}. Write another name, or choose one on the bench.", IsDoubt: true)
            { Meant = NameDoubts.Options(name, null, catalogue) });
        }

        // Taking turns, a count is of both sides together unless a side is named.
        line = line with { PerSide = found.Any(f => f.Parts.Any(p => p is LinePart.PerSide)) };
        if (known?.Exercise is { Counted: Counted.Seconds } held && line.Sets.Any(s => s.Kind == CountKind.Repetitions))
        {
            var counts = Place(dose.First, dose.End);
            problems.Add(new(counts.Line, counts.Column, counts.Length, $"{held.Name} is held: write seconds, such as 3 x 30 s.", IsDoubt: true));
        }

        foreach (var part in (known?.Modifiers ?? []).Select(OfModifier).OfType<LinePart>())
        {
            line = LineParts.Apply(line, part, unit, Place(named.First, named.End), problems);
        }

        var blocks = LineBlocks.Of(tokens, found);
        if (blocks.Length > 0)
        {
            line = InBlocks(line, blocks);
        }

        bool second = false;
        foreach (var stretch in found)
        {
            if (stretch.IsLoose)
            {
                Left(stretch);
                continue;
            }

            foreach (var part in stretch.Parts)
            {
                if (blocks.Length > 0 && LineBlocks.IsOfBlock(part))
                {
                    continue;
                }

                if (part is LinePart.Each each)
                {
                    line = SetBySet(line, each, Place(stretch.First, stretch.End));
                }
                else if (part is LinePart.Dose && stretch != dose)
                {
                    second = true;
                    problems.Add(new(number, Place(stretch.First, stretch.End).Column, Place(stretch.First, stretch.End).Length,
                        "A second dose on one line: only the first was read. Write each on a line of its own."));
                }
                else if (part is LinePart.Load { Value: 0 } && known?.Exercise is { NeedsLoad: true } loaded)
                {
                    var at = Place(stretch.First, stretch.End);
                    problems.Add(new(at.Line, at.Column, at.Length, $"{loaded.Name} is nothing without a load: write one, or the percent, or leave it out."));
                }
                else if (!second && part is not LinePart.Dose)
                {
                    line = Once(line, AsMeant(part, stretch), Place(stretch.First, stretch.End));
                }
            }
        }

        return new(InBothHands(LoweredOnly(line)), problems.ToImmutable());

        // Two weights on a lift with a bar are that lift with two dumbbells; on all else they come to twice as much.
        WrittenLine InBothHands(WrittenLine now)
        {
            if (now.Intensity.Load is not { } each || known?.Exercise is not { IsLoadedPerHand: false } one
                || found.Find(f => f.Parts.Any(p => p is LinePart.Load { PerHand: true })) is not { } written)
            {
                return now;
            }

            var at = Place(written.First, written.End);
            if (PairedLift.Of(one, catalogue) is { } paired)
            {
                problems.Add(new(at.Line, at.Column, at.Length, $"Two weights: read as {paired.Name.ToLowerInvariant()}, {each} in each hand. For a bar write what is on it in all.", IsDoubt: true));
                return now with { Exercise = paired.Id };
            }

            problems.Add(new(at.Line, at.Column, at.Length, $"Two weights: read as {each * 2} in all.", IsDoubt: true));
            return now with
            {
                Intensity = now.Intensity with { Load = each * 2 },
                Sets = [.. now.Sets.Select(s => s.Load is { } own ? s with { Load = own * 2 } : s)],
            };
        }

        // Where the catalogue has the exercise lowered only, that is meant; else the lowering is slow and the way up is helped.
        WrittenLine LoweredOnly(WrittenLine now)
        {
            if (known?.Exercise is not { IsLoweringOnly: false } whole || now.Techniques.All(t => t.Kind != TechniqueKind.LoweringOnly))
            {
                return now;
            }

            var lowered = catalogue.Exercises.Where(e => e.IsLoweringOnly && e.Family == whole.Family && e.Pattern == whole.Pattern && e.Load.Body == whole.Load.Body)
                .MaxBy(e => e.Muscles.OverlapWith(whole.Muscles));
            return now with { Exercise = lowered?.Id ?? now.Exercise, Tempo = now.Tempo ?? new Tempo(SlowLowering, 0, 1, 0) };
        }

        // Blocks of sets, each with its own load: the sets in order, and on each what stands beside it.
        WrittenLine InBlocks(WrittenLine now, ImmutableArray<Stretch[]> each)
        {
            var all = ImmutableArray.CreateBuilder<SetTarget>();
            foreach (var block in each)
            {
                var its = block.First(s => s.Parts.Any(p => p is LinePart.Dose));
                var own = now with { Sets = LineSets.Of(its.Parts.OfType<LinePart.Dose>().First().Sets, Place(its.First, its.End), problems), Intensity = Intensity.NotWritten };
                foreach (var stretch in block)
                {
                    own = stretch.Parts.Where(LineBlocks.IsOfBlock).Aggregate(own, (l, p) => p is LinePart.Dose ? l : LineParts.Apply(l, AsMeant(p, stretch), unit, Place(stretch.First, stretch.End), problems));
                }

                all.AddRange(own.Sets.Select(s => s with { Percent = own.Intensity.Percent, Load = own.Intensity.Load, Reserve = own.Intensity.Reserve }));
            }

            return WithSets(now, all.ToImmutable(), Place(each[0][0].First, each[^1][^1].End));
        }

        // "@ 8" on a bar or a big machine, where no such load is, can only be an effort.
        LinePart AsMeant(LinePart part, Stretch stretch)
        {
            if (part is not LinePart.Load { Unit: null, Value: >= 6 and <= 10 } small
                || known?.Exercise is not { Kind: MovementKind.Compound, NeedsLoad: true } exercise || exercise.Holds.Any(h => h != Hold.Bar))
            {
                return part;
            }

            var at = Place(stretch.First, stretch.End);
            problems.Add(new(at.Line, at.Column, at.Length, $"Read as RPE {small.Value:0.#}: so light a load is none on it. Write kg behind it if the load is meant.", IsDoubt: true));
            return new LinePart.Reserve(10 - small.Value);
        }

        // One figure a set.
        WrittenLine SetBySet(WrittenLine now, LinePart.Each each, (int Line, int Column, int Length) at)
        {
            if (each.Values.Length != now.Sets.Length)
            {
                problems.Add(new(at.Line, at.Column, at.Length, $"{each.Values.Length} figures for {now.Sets.Length} sets: write one a set, or one for all."));
                return now;
            }

            var own = each.Values.Select(v => LineParts.Apply(now with { Intensity = Intensity.NotWritten }, v, unit, at, problems).Intensity);
            return WithSets(now, [.. now.Sets.Zip(own, (s, i) => s with { Percent = i.Percent ?? s.Percent, Load = i.Load ?? s.Load, Reserve = i.Reserve ?? s.Reserve })], at);
        }

        // Sets that turn out alike say it once for the line.
        WrittenLine WithSets(WrittenLine now, ImmutableArray<SetTarget> sets, (int Line, int Column, int Length) at)
        {
            if (sets.Length > LineSets.Most)
            {
                problems.Add(new(at.Line, at.Column, at.Length, $"{sets.Length} sets: a line has 1 to {LineSets.Most}."));
                sets = sets[..LineSets.Most];
            }

            now = now with { Sets = sets };
            return SetBlocks.Of(now) is [var one] ? one : now with { Intensity = SetBlocks.Hardest(now).Intensity };
        }

        WrittenLine Once(WrittenLine now, LinePart part, (int Line, int Column, int Length) at)
        {
            bool again = part switch
            {
                LinePart.Load => now.Intensity is { Load: not null } or { Percent: not null },
                LinePart.Percent => now.Intensity is { Load: not null } or { Percent: not null },
                LinePart.Reserve => now.Intensity.Reserve is not null,
                LinePart.Rest => now.Rest is not null,
                _ => false,
            };
            var then = LineParts.Apply(now, part, unit, at, problems);
            if (!again || then.Intensity == now.Intensity && then.Rest == now.Rest)
            {
                return then;
            }

            problems.Add(new(at.Line, at.Column, at.Length, "Said twice and not alike: the first was read. Leave one of them."));
            return now;
        }

        // What stands beside the name's own words: a remark, or something that was meant and not read.
        void Left(Stretch stretch)
        {
            int first = stretch.First >= named.First && stretch.First < named.End ? named.End : stretch.First;
            while (first < stretch.End && !IsTold(tokens[first]))
            {
                first++;
            }

            if (first >= stretch.End || tokens[first..stretch.End].All(t => t.Kind is ProgrammeToken.Dash or ProgrammeToken.Separator or ProgrammeToken.Plus))
            {
                return;
            }

            var at = Place(first, stretch.End);
            // A word right behind a bare figure is its unit, and one nobody knows.
            bool figures = (first > 0 && tokens[first - 1].Kind == ProgrammeToken.Number) || tokens[first..stretch.End].Any(t => t.Kind is ProgrammeToken.Number or ProgrammeToken.Percent or ProgrammeToken.At);
            bool negative = figures && tokens[first..stretch.End].Any(t => t.Kind == ProgrammeToken.Dash);
            problems.Add(
                negative ? new(at.Line, at.Column, at.Length, "A load cannot be negative. Write it as 60 kg, 130 lb or 75 %.")
                : figures ? new(at.Line, at.Column, at.Length, "Not understood and left out. After the sets come load (60 kg, 75 %), effort (RPE 8, RIR 2), tempo 3-1-1-0, rest 1:30, each side.")
                : new(at.Line, at.Column, at.Length, "Kept as a remark; nothing of it was read as a dose.", IsDoubt: true));
        }

        static bool IsTold(Token<ProgrammeToken> token) => token.ToStringValue() != "|" && token.Kind is ProgrammeToken.Word or ProgrammeToken.Number or ProgrammeToken.Percent or ProgrammeToken.At or ProgrammeToken.Other or ProgrammeToken.Dash or ProgrammeToken.Plus;

        (int Line, int Column, int Length) Place(int first, int end) => (
            number,
            tokens[first].Position.Absolute + 1,
            tokens[end - 1].Position.Absolute + tokens[end - 1].Span.Length - tokens[first].Position.Absolute);
    }

    /// <summary>What a word beside the name says of the dose; null where it says nothing.</summary>
    private static LinePart? OfModifier(NameModifier modifier) => modifier switch
    {
        NameModifier.Pause => LinePart.Phases.Paused,
        NameModifier.Slow => LinePart.Phases.Slow,
        NameModifier.Fast => new LinePart.Phases(Fast: true),
        NameModifier.Band => new LinePart.Does(new(TechniqueKind.BandAdded)),
        NameModifier.Lowering => new LinePart.Does(new(TechniqueKind.LoweringOnly)),
        NameModifier.Alternating => new LinePart.OfBothSides(true),
        _ => null,
    };
}

using System.Collections.Frozen;
using System.Collections.Immutable;
using System.Globalization;
using System.Runtime.CompilerServices;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Practices;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;
using Ingegno.Core.Schools;
using Ingegno.Core.Sessions;

namespace Ingegno.Core.Substitution;

/// <summary>Rebuilds written sessions line by line for one client in one home. Same input, same result.</summary>
public sealed partial class SessionRebuild
{
    /// <summary>The dose part from which the written exercise is kept though another would fit a little better.</summary>
    private const double EnoughToStay = 0.70;

    /// <summary>Classes by which a written exercise that loads a sore joint falls behind.</summary>
    private const double SparedFirst = 2;

    /// <summary>A line is asked for alone, with its partners and as part of its blocks; some nudges of it are kept beside.</summary>
    private const int AskedALine = 3, SpareLines = 20;

    private const int MostAlternatives = 9, MostRefused = 24;

    private readonly ClientProfile _client;
    private readonly Catalogue _catalogue;
    private readonly HouseRules _rules;
    private readonly Choices _choices;
    private readonly StrengthAnchors _anchors;
    private readonly SubstituteSearch _search;
    private readonly Home _home;
    private readonly ImmutableArray<Drill> _drills;
    private readonly DateOnly _today;
    private readonly Practice _practice;
    private readonly IReadOnlyDictionary<int, StandingLine> _standing;
    private readonly ConditionalWeakTable<WrittenLine, ReadIntent> _intents = [];
    private readonly RecentlyKnown<(WrittenSession Session, int Line, LineChoice? Choice, string? Keep, string Used, string? Partners), RebuiltLine> _known, _fresh;
    private readonly ConditionalWeakTable<WrittenSession, RebuiltWhole> _wholes = [];
    private readonly Lazy<ImmutableArray<(Purchase Thing, SubstituteSearch Search)>> _withPurchases;
    private readonly ImmutableArray<(Purchase Thing, Lazy<SubstituteSearch> Search)> _purchasesAlone;

    /// <param name="today">Day of use: fixture passes run out.</param>
    /// <param name="programme">Its written loads help to estimate maxima where no lift is known.</param>
    /// <param name="practice">For prices; null for the usual ones.</param>
    /// <param name="standing">Lines in force, by their number in the text: they stay as training has brought them unless a choice says otherwise.</param>
    public SessionRebuild(
        ClientProfile client, Home home, Catalogue catalogue, HouseRules rules, DateOnly today, WrittenProgramme programme,
        Practice? practice = null, IReadOnlyDictionary<int, StandingLine>? standing = null)
    {
        rules = rules.For(client);
        int lines = programme.Sessions.Sum(s => s.Lines.Length);
        (_known, _fresh) = (new((AskedALine * lines) + SpareLines), new(lines + SpareLines));
        _standing = standing ?? FrozenDictionary<int, StandingLine>.Empty;
        (_client, _catalogue, _rules, _choices) = (client, catalogue, rules, new Choices(programme));
        _anchors = WrittenAnchors.Of(client, catalogue, rules, programme, today);
        (_home, _today, _practice) = (home, today, practice ?? new Practice());
        _drills = DrillGate.Allowed(catalogue, client, home, rules, today);
        var styles = new StyleSpaces(client, rules);
        _search = new SubstituteSearch(client, new PreparedHome(home, today), catalogue, _anchors, rules, styles);
        _withPurchases = new(() => [.. Purchases.All.Select(thing => (thing, Searched(home, thing)))]);
        // Beside what is here it would do no less: its own ladder is soon built, all the ladders of the home are not.
        _purchasesAlone = [.. Purchases.All.Select(thing => (thing, new Lazy<SubstituteSearch>(() => Searched(home with { Kit = [] }, thing))))];

        SubstituteSearch Searched(Home place, Purchase thing) =>
            new(client, new PreparedHome(Purchases.With(place, thing, today), today), catalogue, _anchors, rules, styles);
    }

    /// <summary>The maxima it works with.</summary>
    public StrengthAnchors Anchors => _anchors;

    /// <summary>True when no lift of the client is known and none could be read from the text.</summary>
    public bool AllGuessed => _anchors.AllGuessed;

    /// <param name="asked">Catalogue ids that every line answers for, however far down the list they come.</param>
    public RebuiltSession Rebuild(WrittenSession session, IReadOnlyList<LineChoice> choices, IReadOnlySet<string>? asked = null) =>
        RebuildUntil(session, choices, asked, CancellationToken.None);

    /// <inheritdoc cref="Rebuild"/>
    /// <param name="stop">Looked at before every line; what was worked out by then is kept.</param>
    /// <exception cref="OperationCanceledException">Nobody waits for it any more.</exception>
    public RebuiltSession RebuildUntil(WrittenSession session, IReadOnlyList<LineChoice> choices, IReadOnlySet<string>? asked, CancellationToken stop)
    {
        asked ??= FrozenSet<string>.Empty;
        var used = new List<(string? Written, string Exercise)>();
        var lines = ImmutableArray.CreateBuilder<RebuiltLine>();
        for (int i = 0; i < session.Lines.Length; i++)
        {
            stop.ThrowIfCancellationRequested();
            var taken = Taken(session, choices, i, used);
            var about = CaseOf(i);
            var rebuilt = Line(about, taken);
            // A line left out keeps its exercise to itself, so that the others stay as they were.
            var here = rebuilt.Outcome == LineOutcome.LeftOut ? Line(about with { Choice = about.Choice! with { LeftOut = false } }, taken) : rebuilt;
            used.AddRange(here.Prescriptions().Select(p => (session.Lines[i].Exercise, p.Exercise)));

            lines.Add(rebuilt);
        }

        KeepTogether(lines, CaseOf, [.. lines.Select((l, i) => GroupOf(l, CaseOf(i).Choice))], used);
        Regroup(lines, [.. Enumerable.Range(0, lines.Count).Select(i => CaseOf(i).Choice)]);
        for (int i = 0; i < lines.Count; i++)
        {
            stop.ThrowIfCancellationRequested();
            if (HomePartners(lines, i) is { } partners)
            {
                lines[i] = Grouped(
                    Line(CaseOf(i) with { HomePartners = partners, Keep = lines[i].Chosen!.Prescription.Exercise }, [.. used.Select(u => u.Exercise)]), lines[i].Group, lines[i].Moved);
                // Where the partners leave too little for it, another exercise comes in: no further line may take that too.
                used.AddRange(lines[i].Prescriptions().Select(p => (session.Lines[i].Exercise, p.Exercise)));
            }
        }

        // Doses worked out with their partners may pack the bag another way.
        KeepTogether(lines, CaseOf, [.. lines.Select(l => l.Group)], used);
        Regroup(lines, [.. lines.Select(l => l.Chosen is null ? null : new LineChoice(l.Written.Number, l.Written.Text, Group: l.Group ?? ""))]);
        return Whole(session, lines.ToImmutable());

        LineCase CaseOf(int place) => new(session.Lines[place], session, place == 0, _choices.For(session.Lines[place], choices), asked);
    }

    /// <summary>What another line of the session is written as or done with; what was written twice may be done twice.</summary>
    private HashSet<string> Taken(WrittenSession session, IReadOnlyList<LineChoice> choices, int place, List<(string? Written, string Exercise)> used)
    {
        string? written = session.Lines[place].Exercise;
        return
        [
            .. used.Where(u => u.Written != written).Select(u => u.Exercise),
            .. StandingBeside(session, choices, place),
            .. session.Lines.Select(l => l.Exercise).OfType<string>().Where(id => id != written),
        ];
    }

    /// <summary>One line with all that bears on it.</summary>
    /// <param name="HomePartners">Sets of its partners as rebuilt; null before they are.</param>
    /// <param name="Keep">The exercise settled on already; null while it is open.</param>
    private sealed record LineCase(
        WrittenLine Line, WrittenSession Session, bool IsFirst, LineChoice? Choice, IReadOnlySet<string> Asked,
        ImmutableArray<PartnerSet>? HomePartners = null, string? Keep = null);

    /// <summary>The partners of a line as written, with what their gym sets take from it.</summary>
    private ImmutableArray<PartnerSet> GymPartners(WrittenLine line, Exercise written, WrittenSession session) =>
        line.Group is null
            ? []
            : SharedWork.For(
                line.Number,
                written,
                from other in session.Lines
                where other.Group == line.Group && other.Exercise is not null
                let exercise = _catalogue[other.Exercise!]
                select SharedWork.InTheGym(
                    other,
                    exercise,
                    IntentReading.Read(other, exercise, _client, _anchors.For(exercise), _rules, Supersets.Partners(other, session))));

    /// <param name="Lines">It was made of.</param>
    private sealed record RebuiltWhole(ImmutableArray<RebuiltLine> Lines, RebuiltSession Session);

    /// <summary>A session none of whose lines is another than last time is the very same.</summary>
    private RebuiltSession Whole(WrittenSession session, ImmutableArray<RebuiltLine> lines)
    {
        if (!_wholes.TryGetValue(session, out var last) || !last.Lines.Zip(lines).All(line => ReferenceEquals(line.First, line.Second)))
        {
            _wholes.AddOrUpdate(session, last = new(lines, WholeAnew(session, lines)));
        }

        return last.Session;
    }

    /// <summary>What only the whole session tells: order, length, lay-out, warm-up, mobility work and cool-down.</summary>
    private RebuiltSession WholeAnew(WrittenSession session, ImmutableArray<RebuiltLine> lines)
    {
        Exercise?[] written = [.. lines.Select(l => l.Written.Exercise is { } id ? _catalogue.Find(id) : null)];
        var mobility = MobilityWork.For(written, _client, _drills);
        lines = [.. Ordered(lines).Select((line, i) => line with { Behind = [.. mobility.Where(m => m.After == i).Select(m => m.Drill)] })];
        RebuiltLine[] trained = [.. lines.OrderBy(l => l.TrainedAt)];
        Exercise[] exercises = [.. lines.SelectMany(l => l.Prescriptions()).Select(p => _catalogue[p.Exercise])];
        return new RebuiltSession(
            session.Title,
            lines,
            SessionLength.Of([.. trained.SelectMany(l => l.Prescriptions().Select(p => new SessionLength.Part(l.Group ?? (l.Added.IsEmpty ? null : $"+{l.Written.Number}"), p)))]))
        {
            WarmUp = TypedDrills.Before(WarmUp.For(exercises, _client, _drills, _rules), session.Drills.Where(d => !d.Ends), _drills),
            CoolDown = TypedDrills.Before(CoolDown.For(exercises, _client, _drills), session.Drills.Where(d => d.Ends), _drills),
            DrillsLeftOut = TypedDrills.LeftOut(session.Drills, _drills),
            LayOut = LayOut.For(trained.SelectMany(l => l.Prescriptions()), _home, _catalogue),
        };
    }

    /// <summary>The place each line is trained at: by the house rule, groups together, and so that least has to be put up anew.</summary>
    private IEnumerable<RebuiltLine> Ordered(ImmutableArray<RebuiltLine> lines)
    {
        var school = TrainingOrder.Of(
            [.. lines.Select(l => (l.Chosen is { } c ? _catalogue[c.Prescription.Exercise] : null, l.Group is null))], _rules);
        int[][] blocks =
        [
            .. Enumerable.Range(0, lines.Length)
                .GroupBy(i => lines[i].Group ?? $"+{lines[i].Written.Number}")
                .Select(g => g.OrderBy(i => school[i]).ToArray())
                .OrderBy(g => g.Min(i => school[i])),
        ];
        var order = _rules.Teaches(Teaching.WeakestRangeFirst)
            ? [.. Enumerable.Range(0, blocks.Length)]
            : LeastChanges.Of([.. blocks.Select((b, i) => new WorkBlock(
                i == 0 ? -1 : b.Min(l => (int)lines[l].Role), [.. b.SelectMany(l => lines[l].Prescriptions()).SelectMany(p => NeedsOf(p).Things)]))]);
        int[] places = new int[lines.Length];
        int place = 0;
        foreach (int line in order.SelectMany(b => blocks[b]))
        {
            places[line] = ++place;
        }

        bool swapped = !order.SequenceEqual(order.Order());
        return lines.Select((line, i) => line with
        {
            TrainedAt = places[i],
            Moved = line.Moved ?? (swapped && places[i] < school[i] ? $"Trained as number {places[i]}: so less has to be packed or put up anew." : null),
        });
    }

    /// <param name="Intent">Null where none can be read.</param>
    private sealed record ReadIntent(Intent? Intent);

    /// <summary>A line as worked out before: fitting a session to its minutes asks for most lines again unchanged.</summary>
    private RebuiltLine Line(LineCase about, HashSet<string> used)
    {
        if (about.Asked.Count > 0)
        {
            return LineAnew(about, used);
        }

        return _known.Of(KeyOf(about, used), () => LineAnew(about, used));
    }

    private RebuiltLine LineAnew(LineCase about, HashSet<string> used)
    {
        var (line, choice) = (about.Line, about.Choice);
        if (line.Exercise is null || _catalogue.Find(line.Exercise) is not { } written)
        {
            return new RebuiltLine
            {
                Written = line,
                Reading = PlainLine.Of(line, _catalogue),
                Outcome = LineOutcome.Unknown,
                Role = Role.Secondary,
                Nearest = [.. _catalogue.Nearest(line.ExerciseName).Select(e => new NamedExercise(e.Id, e.Name))],
            };
        }

        var role = Roles.Of(written, line, about.IsFirst);
        return choice is { LeftOut: true } ? new RebuiltLine { Written = line, Reading = PlainLine.Of(line, _catalogue), Outcome = LineOutcome.LeftOut, Role = role }
            : line.IsInBlocks ? InBlocks(about, used, written, role)
            : AsOne(about, used, written, role);
    }

    /// <summary>A line whose sets are alike.</summary>
    private RebuiltLine AsOne(LineCase about, HashSet<string> used, Exercise written, Role role)
    {
        var (line, choice) = (about.Line, about.Choice);
        if (Strides.AsRepetitions(line, written) is var strides && !ReferenceEquals(strides, line))
        {
            return AsOne(about with { Line = strides }, used, written, role) with { Written = line };
        }

        var intent = GymIntent(line, about, written);
        if (intent is not null && about.HomePartners is { } partners)
        {
            intent = intent with { Partners = partners };
        }

        return _standing.GetValueOrDefault(line.Number) is { } standing && standing.IsKeptBy(choice)
            ? Standing(about, standing, written, role, intent, FreshBeside(about with { Choice = Kept(standing, line) }, used, written, role, intent))
            : Fresh(about, used, written, role, intent);
    }

    /// <summary>What the gym line asks hangs on nothing that is chosen here: read once.</summary>
    private Intent? GymIntent(WrittenLine line, LineCase about, Exercise written) =>
        _intents.GetValue(line, l => new(IntentReading.Read(l, written, _client, _anchors.For(written), _rules, GymPartners(l, written, about.Session)))).Intent;

    /// <summary>
    /// A line with a load for each set: one exercise for all of them, a dose a block. Where the loads here cannot tell the blocks apart, all
    /// sets are dosed as one.
    /// </summary>
    private RebuiltLine InBlocks(LineCase about, HashSet<string> used, Exercise written, Role role)
    {
        var (whole, blocks) = (about.Line, SetBlocks.Of(about.Line));
        var first = AsOne(about with { Line = blocks[0] }, used, written, role);
        var done = first.Chosen is null || _standing.GetValueOrDefault(whole.Number)?.IsKeptBy(about.Choice) == true
            ? first
            : ByBlocks(about, used, written, role, blocks, first);
        return done with { Written = whole, Blocks = [.. blocks.Select(b => new GymBlock(b, GymIntent(b, about, written)))] };
    }

    /// <param name="first">The first block as rebuilt, with an exercise chosen.</param>
    private RebuiltLine ByBlocks(LineCase about, HashSet<string> used, Exercise written, Role role, ImmutableArray<WrittenLine> blocks, RebuiltLine first)
    {
        string exercise = first.Chosen!.Prescription.Exercise;
        Alternative?[] doses = [first.Chosen, .. blocks.Skip(1).Select(b => AsOne(about with { Line = b, Keep = exercise, Choice = null }, used, written, role).Chosen)];
        return AreToldApart([.. doses.OfType<Alternative>().Where(d => d.Prescription.Exercise == exercise)], blocks.Length)
            ? first with { Added = [.. doses.Skip(1).OfType<Alternative>()] }
            : AsOne(about with { Line = SetBlocks.AsOne(about.Line) }, used, written, role);
    }

    /// <summary>Every block has a load in its zone, and the loads differ by more than a written load may be off.</summary>
    private static bool AreToldApart(Alternative[] doses, int blocks) =>
        doses.Length == blocks
        && doses.All(d => d.Class < CandidateClass.OutsideZone && d.Prescription.Load > Mass.Zero)
        && doses.Min(d => d.Prescription.Load.Kilograms) < (1 - KeptAsWritten.NearLoad) * doses.Max(d => d.Prescription.Load.Kilograms);

    /// <summary>What the engine says beside a line in force does not change with what is nudged on it.</summary>
    private RebuiltLine FreshBeside(LineCase about, HashSet<string> used, Exercise written, Role role, Intent? intent)
    {
        if (about.Asked.Count > 0)
        {
            return Fresh(about, used, written, role, intent);
        }

        return _fresh.Of(KeyOf(about, used), () => Fresh(about, used, written, role, intent));
    }

    private static (WrittenSession, int, LineChoice?, string?, string, string?) KeyOf(LineCase about, HashSet<string> used) =>
        (about.Session, about.Line.Number, about.Choice, about.Keep, string.Join(',', used.Order(StringComparer.Ordinal)),
            about.HomePartners is { } partners ? string.Join(',', partners) : null);

    private RebuiltLine Fresh(LineCase about, HashSet<string> used, Exercise written, Role role, Intent? intent)
    {
        var (line, choice) = (about.Line, TypedTechniques.Under(about.Line, about.Choice));
        // One more than are shown for every exercise already used, so that the best unused one is always among them.
        int most = MostAlternatives + used.Count + 1;
        var found = _search.LoadedFor(_search.For(written, intent, role, id => WishFor(id, choice), wanted: most, asked: IsAsked), written, line);
        var byHand = choice?.Exercise is null ? null : found.Candidates.FirstOrDefault(c => c.Exercise.Id == choice.Exercise);
        var kept = about.Keep is null ? null : found.Candidates.FirstOrDefault(c => c.Exercise.Id == about.Keep);
        var asWritten = byHand is null && intent is not null && (about.Keep is null || about.Keep == written.Id) && about.Choice is not { FixesDose: true }
            ? _search.AsWritten(written, line, intent, role, choice is null ? DoseWish.None : AsWish(choice))
            : null;
        if (asWritten is not null)
        {
            found = found with { Candidates = [asWritten, .. found.Candidates.Where(c => c.Exercise.Id != written.Id)] };
        }

        var chosen = asWritten ?? byHand ?? kept ?? (CareLeanings.SoreFrom(written, _client) < CareLeanings.Clearly ? GoesAcross(written, found) : null) ?? Pick(found, used, CareLeanings.SoreFrom(written, _client) >= CareLeanings.Clearly ? written.Id : null);
        if (asWritten is null && choice is not null && choice.Exercise is null && chosen is not null)
        {
            // A dose fixed by hand belongs to whatever exercise is proposed: work that one out again with it.
            found = _search.LoadedFor(_search.For(written, intent, role, id => id == chosen.Exercise.Id ? AsWish(choice) : DoseWish.None, wanted: most, asked: IsAsked), written, line);
            chosen = found.Candidates.FirstOrDefault(c => c.Exercise.Id == chosen.Exercise.Id) ?? chosen;
        }

        IEnumerable<Candidate> EasierHere(Func<Exercise, bool> among) =>
            _search.For(written, intent, role, _ => DoseWish.None, among, worthNaming: 0).Candidates;

        // What another line of the session is for is no help for this one.
        bool IsDoneAnyway(string id) => used.Contains(id) || about.Session.Lines.Any(l => l.Number != line.Number && l.Exercise == id);

        bool IsAsked(string id) => id == choice?.Exercise || id == about.Keep || about.Asked.Contains(id);

        Candidate[] added = chosen is null || choice is { Alone: true } ? [] : [.. AddedTo(written, intent, role, chosen, IsDoneAnyway)];
        var described = Describe(line, written, role, intent, found, chosen, byHand is not null, about.Asked);
        return described with
        {
            Chosen = chosen is null ? null : FinishedEasier(Advised(described.Chosen!, asWritten is null ? null : Reason.TooEasy(asWritten, found.Candidates)), chosen, line, choice, EasierHere),
            Added = [.. added.Select(c => Alternatives.Of(c, written, line, intent, _client, _rules))],
            Covered = chosen is null ? null : Share.Of(Pairs.Coverage(written, [chosen, .. added])),
            Closeness = chosen is null || intent is null || role != Role.Main || written.IsSlot ? null : ClosenessOf(written, intent, chosen),
            Gap = chosen is null || intent is null ? null : LoadGap.Of(written, intent, chosen, found, needed => SmallestPurchase(written, needed)),
            WouldOpen = chosen is null ? WhyNothing(found) : null,
            LapsedChoice = choice?.Exercise is { } wanted && byHand is null ? Lapsed(wanted, found) : null,
        };
    }

    private static Alternative Advised(Alternative alternative, string? advice) =>
        advice is null ? alternative : alternative with { Reason = $"{alternative.Reason} {advice}" };

    /// <summary>Nothing was chosen: because all of it is taken, because all of it is too hard, or because nothing is here.</summary>
    private static string WhyNothing(Choice found) =>
        found.Candidates.Any(c => c.StandIn.Class != CandidateClass.UnderFloor) ? "All that stands in for it here is done on another line of the session."
        : found.Candidates.FirstOrDefault()?.Exercise.Name is { } hardest ? $"What is here is too hard for enough of the count yet, the {PlainWords.InSentence(hardest)} first of all."
        : Openers.For(found);

    private Alternative FinishedEasier(Alternative alternative, Candidate chosen, WrittenLine line, LineChoice? choice, Func<Func<Exercise, bool>, IEnumerable<Candidate>> among) =>
        FinishChoice.For(chosen, line, among, _catalogue, _client, _rules, choice is { FinishEasier: true }) is { } finish
            ? alternative with { Prescription = alternative.Prescription with { FinishOn = finish } }
            : alternative;

    /// <summary>The cheapest thing with which alone a line of this pattern could be loaded so; lent things last.</summary>
    private string? SmallestPurchase(Exercise written, Demand needed)
    {
        var (thing, price) = _purchasesAlone
            .Select(p => (p.Thing, p.Search, Price: _practice.PriceOf(p.Thing.Item)))
            .OrderBy(p => p.Thing.Lent).ThenBy(p => p.Price?.Cost ?? decimal.MaxValue)
            .Where(p => p.Search.Value.MostFor(written.Pattern) >= needed)
            .Select(p => (p.Thing, p.Price))
            .FirstOrDefault();
        return thing is null ? null
            : thing.Lent ? $"{thing.Item}, lent by the hall"
            : price is null ? thing.Item
            : string.Create(CultureInfo.InvariantCulture, $"{thing.Item}, {price.Cost:0.##} {_practice.Currency}");
    }

    private IReadOnlyList<Candidate> AddedTo(Exercise written, Intent? intent, Role role, Candidate chosen, Func<string, bool> isDoneAnyway) =>
        Pairs.Wanted(written, chosen)
            ? Pairs.Added(
                written, chosen, _search.For(written, Beside(intent), role, _ => DoseWish.None, e => Pairs.MayHelp(written, e) && !isDoneAnyway(e.Id), worthNaming: 0, wanted: Pairs.Looked).Candidates)
            : [];

    /// <summary>What is done at once behind a heavy line: nobody raises or curls in fives, but in tens from eight written down (common practice).</summary>
    private const int RepetitionsBeside = 10, HeavyUnder = 8;

    /// <summary>The demand that goes with ten repetitions and two left (common practice).</summary>
    private static readonly Demand DemandBeside = Demand.Of(0.70);

    /// <summary>A second exercise behind a heavy one is accessory work.</summary>
    private static Intent? Beside(Intent? intent) =>
        intent is null || intent.Repetitions.Min() >= HeavyUnder ? intent
        : intent with
        {
            Repetitions = [.. intent.Repetitions.Select(_ => RepetitionsBeside)],
            Equivalent = intent.Equivalent > DemandBeside ? DemandBeside : intent.Equivalent,
        };

    private LineCloseness ClosenessOf(Exercise written, Intent intent, Candidate chosen)
    {
        var required = RequiredCloseness.Of(_client, _today);
        var reached = LineCloseness.Of(chosen.Fit);
        bool isShort = reached < required;
        string lost = chosen.Fit[FitPart.Sides].Fraction < 1
            ? "Done on one limb, the lift itself is not kept."
            : chosen.Fit.Decisive == FitPart.Muscles ? $"The {PlainWords.InSentence(written.Name)} itself is not kept: the {PlainWords.InSentence(chosen.Exercise.Name)} trains {chosen.Fit[FitPart.Muscles]} of its muscles."
            : Reason.Loss(written, chosen, intent) ?? Reason.Decided(written, chosen, intent);
        return LineCloseness.Judge(
            chosen, lost, required, _client, _today, isShort ? _withPurchases.Value.Select(p => (p.Thing, p.Search.Closest(written, intent, reached))) : []);
    }

    /// <summary>Homes change after a choice was made: the coach is told, not overruled in silence.</summary>
    private string Lapsed(string exercise, Choice found)
    {
        string name = _catalogue.Find(exercise)?.Name ?? exercise;
        string reason = found.Refused.FirstOrDefault(r => r.Exercise.Id == exercise) is { } refused
            ? string.Join("; ", refused.Reasons.Select(r => r.Reason))
            : "it does not stand in for this line";
        return $"Your choice, {name}, is not possible here now: {reason}.";
    }

    private static DoseWish WishFor(string exercise, LineChoice? choice) =>
        choice?.Exercise == exercise ? AsWish(choice) : DoseWish.None;

    private static DoseWish AsWish(LineChoice choice) =>
        new(choice.Load, choice.Repetitions, choice.Tempo, choice.Rest, choice.Partial, choice.Pulses, choice.Form, choice.Sets);

    /// <summary>A line that needs nothing this home lacks stays as it is.</summary>
    private static Candidate? GoesAcross(Exercise written, Choice found) =>
        found.Candidates.FirstOrDefault(c => c.Exercise.Id == written.Id && c.Fit[FitPart.Dose].Fraction >= EnoughToStay);

    /// <param name="sore">The written exercise where it loads a sore joint clearly: then what spares it comes first.</param>
    private static Candidate? Pick(Choice found, HashSet<string> used, string? sore) =>
        found.Candidates
            .Where(c => c.StandIn.Class != CandidateClass.UnderFloor && !used.Contains(c.Exercise.Id))
            .MaxBy(c => c.Exercise.Id == sore ? c.Rank - SparedFirst : c.Rank);

    private RebuiltLine Describe(
        WrittenLine line, Exercise written, Role role, Intent? intent, Choice found, Candidate? chosen, bool byHand, IReadOnlySet<string> asked)
    {
        List<Candidate> shown = [.. found.Candidates.Where((c, place) => place < MostAlternatives || asked.Contains(c.Exercise.Id))];
        if (chosen is not null && !shown.Contains(chosen))
        {
            shown.Add(chosen);
        }

        var alternatives = shown.ConvertAll(c => Alternatives.Of(c, written, line, intent, _client, _rules));
        return new RebuiltLine
        {
            Written = line,
            Reading = PlainLine.Of(line, _catalogue),
            Outcome = chosen is null ? LineOutcome.Nothing
                : chosen.Exercise.Id == written.Id ? LineOutcome.Unchanged
                : LineOutcome.Swapped,
            Role = role,
            Intent = intent,
            Zone = intent is null ? null : _rules.Zones.Of(intent.Repetitions.Min()),
            Chosen = chosen is null ? null : alternatives[shown.IndexOf(chosen)],
            ChosenByHand = byHand,
            Alternatives = [.. alternatives],
            Refused = [.. found.Refused.Where((r, place) => place < MostRefused || asked.Contains(r.Exercise.Id)).Select(r => new RefusedAlternative(r.Exercise.Id, r.Exercise.Name, r.Reasons))],
        };
    }
}

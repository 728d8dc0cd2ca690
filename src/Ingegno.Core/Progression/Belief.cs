using Ingegno.Core.Clients;
using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Progression;

/// <summary>
/// What is believed of a client while their log is read, the state of the filter of <see cref="Learning"/>: endurance, recovery, left unsaid,
/// the form of the day and what is gained a week, then for each exercise its maximum, how far it lasts and recovers otherwise than the body's others, and how steeply its
/// repetitions fall off with the load; all but the third and the last as logarithms. Sets are compared by the logarithm of their repetitions, in which
/// the load charts are nearly straight lines.
/// </summary>
internal sealed class Belief
{
    /// <summary>A set to the true limit is known to a repetition.</summary>
    private const double LimitError = 1.0;

    /// <summary>Strength is so much better or worse on a day, all exercises alike (common practice).</summary>
    internal const double DayForm = 0.02;

    /// <summary>Part of what is not known of an exercise that those of one root share.</summary>
    private const double SharedWithinRoot = 0.8;

    /// <summary>Longer apart by the clock, seconds: corrected since, or a break.</summary>
    private const double LongestRest = 3600;

    /// <summary>A surprise counts at most so many standard deviations: a slip of the thumb must not move a body.</summary>
    private const double MostSurprise = 3;

    /// <summary>Endurance stays within a factor of this, of the body and on each exercise again, and so do recovery and a maximum within theirs.</summary>
    private const double MostFactor = 1.6, MostRecovery = 2.5, MostStrength = 2.5;

    /// <summary>
    /// What stays of a set's error is the client's own: some are steadier than most. It moves from what holds for most, which weighs as much as so
    /// many sets, and not past these parts of it. (Matching the innovations: Mehra 1970, IEEE Trans Autom Control 15:175-184; from memory.)
    /// </summary>
    private const double ErrorWeighs = 10, LeastError = 0.2, MostError = 2;

    /// <summary>A day so many standard deviations off is a surprise; once is a slip or a bad day, twice running is believed.</summary>
    private const double Surprising = 1.5;

    /// <summary>No body follows our law to the letter: from exposure to exposure each unknown of an exercise may move by so much (common practice).</summary>
    private const double LawError = 0.006;

    /// <summary>
    /// How steeply repetitions fall off with the load is known to so large a part before a second load was tried (common practice), and is never taken for
    /// another by more than the bound.
    /// </summary>
    private const double UsualSteepness = 0.3, MostSteepness = 0.6;

    /// <summary>What is gained a week moves by so much from week to week, and is never taken for more (common practice).</summary>
    private const double GainDrift = 0.002, MostGain = 0.05;

    private const int Endurance = 0, Recovery = 1, Unsaid = 2, Form = 3, Gain = 4, First = 5;

    /// <summary>Of an exercise, behind its maximum.</summary>
    private const int OwnEndurance = 1, OwnRecovery = 2, Steepness = 3, Each = 4;

    private readonly ClientProfile _client;
    private readonly Exercise[] _exercises;
    private readonly StrengthAnchor[] _anchors;
    private readonly Dictionary<string, int> _places;
    private readonly double[] _state;
    private readonly double[,] _covariance;
    private readonly int[] _sessions;
    private readonly double[] _surprises;
    private readonly Mass?[] _pivots;
    private double _errors = ErrorWeighs, _errorSets = ErrorWeighs;
    private ConstantAnswer _answers;
    private DateOnly? _day;

    internal Belief(ClientProfile client, Catalogue catalogue, StrengthAnchors anchors, IReadOnlyList<string> exercises, double? says = null)
    {
        (_answers, IsToldOfHabit) = says is { } always ? (ConstantAnswer.Always(always), true) : (ConstantAnswer.None, false);
        _client = client with { Learned = Clients.Learned.Nothing };
        _exercises = [.. exercises.Select(id => catalogue[id])];
        _anchors = [.. _exercises.Select(e => anchors.For(e)!)];
        _places = exercises.Select((id, i) => (id, i)).ToDictionary(p => p.id, p => First + (Each * p.i), StringComparer.Ordinal);
        _sessions = new int[exercises.Count];
        _surprises = new double[exercises.Count];
        _pivots = new Mass?[exercises.Count];
        _state = new double[First + (Each * exercises.Count)];
        _covariance = new double[_state.Length, _state.Length];
        _covariance[Endurance, Endurance] = Square(Clients.Learned.UsualSpread);
        _covariance[Recovery, Recovery] = Square(Clients.Learned.RecoverySpread);
        _covariance[Unsaid, Unsaid] = Square(Clients.Learned.UsualUnsaidSpread);
        _state[Unsaid] = Clients.Learned.UsualUnsaid;
        _covariance[Gain, Gain] = Square(Clients.Learned.GainSpread);
        string[] roots = [.. _exercises.Select(e => Root(e, catalogue))];
        for (int i = 0; i < exercises.Count; i++)
        {
            _covariance[First + (Each * i) + Steepness, First + (Each * i) + Steepness] = Square(UsualSteepness);
            for (int j = 0; j < exercises.Count; j++)
            {
                double shared = i == j ? 1 : roots[i] == roots[j] ? SharedWithinRoot : 0;
                (int at, int with) = (First + (Each * i), First + (Each * j));
                _covariance[at, with] = shared * Square(Math.Min(_anchors[i].Spread, _anchors[j].Spread));
                _covariance[at + OwnEndurance, with + OwnEndurance] = shared * Square(Clients.Learned.OwnSpread);
                _covariance[at + OwnRecovery, with + OwnRecovery] = shared * Square(Clients.Learned.OwnRecoverySpread);
            }
        }
    }

    private Belief(Belief other)
    {
        (_client, _exercises, _anchors, _places) = (other._client, other._exercises, other._anchors, other._places);
        (_state, _covariance, _sessions) = ([.. other._state], (double[,])other._covariance.Clone(), [.. other._sessions]);
        (_surprises, _pivots, _answers) = ([.. other._surprises], [.. other._pivots], other._answers);
        (_errors, _errorSets, _day, IsToldOfHabit) = (other._errors, other._errorSets, other._day, other.IsToldOfHabit);
    }

    /// <summary>The answer that always comes, once it is seen to; null for who judges.</summary>
    internal double? Habit => _answers.Habit;

    /// <summary>Whether the log was read knowing from the start what is always answered.</summary>
    internal bool IsToldOfHabit { get; }

    /// <summary>The same belief, to be moved on its own.</summary>
    internal Belief Copy() => new(this);

    /// <summary>Time passes: what was known of each maximum grows a little less sure, and nothing is known of the new day's form.</summary>
    internal void Pass(DateOnly day)
    {
        double weeks = _day is { } last ? (day.DayNumber - last.DayNumber) / 7.0 : 0;
        _day = day;
        _state[Form] = 0;
        for (int i = 0; i < _state.Length; i++)
        {
            _covariance[Form, i] = _covariance[i, Form] = 0;
        }

        _covariance[Form, Form] = DayForm * DayForm;
        _covariance[Gain, Gain] += Square(GainDrift) * weeks;
        double gaining = Math.Min(weeks, Clients.Learned.LongestGain);
        for (int i = First; i < _state.Length; i += Each)
        {
            _state[i] += _state[Gain] * gaining;
            for (int j = 0; j < _state.Length; j++)
            {
                _covariance[i, j] += gaining * _covariance[Gain, j];
            }

            for (int j = 0; j < _state.Length; j++)
            {
                _covariance[j, i] += gaining * _covariance[j, Gain];
            }

            _covariance[i, i] += StrengthAnchors.DriftAWeek * StrengthAnchors.DriftAWeek * weeks;
        }
    }

    /// <summary>
    /// What can be met ten times, against what was taken for it before anything was logged: loads and counts near those that are trained tell it, while a
    /// maximum may be traded for staying power and nobody be the stronger.
    /// </summary>
    internal LearnedFactor Of(string exercise)
    {
        int place = _places[exercise];
        double before = TenTimes(_anchors[(place - First) / Each]), now = Now();
        double[] slope = new double[_state.Length];
        foreach (int moved in (int[])[Endurance, place, place + OwnEndurance, place + Steepness])
        {
            double was = _state[moved];
            _state[moved] = was + Nudge;
            slope[moved] = (Now() - now) / Nudge;
            _state[moved] = was;
        }

        return new(Math.Exp(now - before), Math.Sqrt(Math.Max(0, Variance(slope))));

        double Now() => TenTimes(Believed(place, _state[place]));

        double TenTimes(StrengthAnchor anchor)
        {
            var effort = new ExerciseEffort(ExerciseAt(place), _client, anchor, new Loads.Geometry());
            return Math.Log(effort.ResistanceFor(effort.DemandForRepetitions(ComparedAt)).Kilograms);
        }
    }

    /// <summary>Repetitions at which strength is compared from day to day (common practice).</summary>
    private const double ComparedAt = 10;

    /// <summary>A small step of an unknown, to see how something goes with it.</summary>
    private const double Nudge = 0.01;

    /// <summary>Exercises stand in the order they were first logged.</summary>
    internal LearnedFactor OfFamily(string exercise) =>
        Of(_exercises.First(e => e.Pattern == ExerciseAt(_places[exercise]).Pattern).Id);

    private Exercise ExerciseAt(int place) => _exercises[(place - First) / Each];

    internal Learned Learned() => new(
        Factor(Endurance), Factor(Recovery), _state[Unsaid], Math.Sqrt(_covariance[Unsaid, Unsaid]),
        [.. Enumerable.Range(0, _exercises.Length).Select(LearnedAnchor)])
    {
        Unsteadiness = Math.Sqrt(OwnShare),
        GainAWeek = _state[Gain],
        GainAWeekSpread = Math.Sqrt(_covariance[Gain, Gain]),
        Through = _day,
        SaysAlways = _answers.Habit,
    };

    private LearnedFactor Factor(int place) => new(Math.Exp(_state[place]), Math.Sqrt(_covariance[place, place]));

    private StrengthAnchor LearnedAnchor(int i)
    {
        int place = First + (Each * i), lasts = place + OwnEndurance, recovers = place + OwnRecovery, steep = place + Steepness;
        return Believed(place, _state[place]) with
        {
            Spread = Math.Sqrt(_covariance[place, place]),
            Basis = AnchorBasis.Learned,
            Doubt = new(
                Math.Sqrt(With(Endurance, Endurance) + With(lasts, lasts) + (2 * With(Endurance, lasts))),
                Math.Sqrt(With(Recovery, Recovery) + With(recovers, recovers) + (2 * With(Recovery, recovers))),
                With(place, Endurance) + With(place, lasts),
                With(place, Recovery) + With(place, recovers),
                With(Endurance, Recovery) + With(Endurance, recovers) + With(lasts, Recovery) + With(lasts, recovers),
                Math.Sqrt(With(steep, steep)),
                With(place, steep),
                With(Endurance, steep) + With(lasts, steep),
                With(Recovery, steep) + With(recovers, steep)),
            Story = $"{_exercises[i].Name} as logged, {Counted(_sessions[i], "set")}; before that {_anchors[i].Maximum}: {_anchors[i].Story}",
        };

        double With(int one, int other) => _covariance[one, other];
    }

    /// <summary>What is forecast of a set, given what was done before it that day.</summary>
    internal SetHindsight Foresee(SetRun done, int set)
    {
        var (expected, slope) = Linear(done, set);
        // The form of the day is in the slope's own variance here, more or less known by the sets before.
        var range = SetError.Range(expected, Variance(slope), 0, Math.Sqrt(OwnShare));
        return new(done[set].Set.Id, range, Observed(done[set].Set));
    }

    private double OwnShare => Math.Clamp(_errors / _errorSets, LeastError, MostError);

    private double Observed(SetLog set) => set.Repetitions + (set.ToLimit ? 0 : (set.Reserve?.Figure ?? 0) + (set.Reserve is null ? 0 : _state[Unsaid]));

    /// <summary>
    /// What is done on a day before it is learned from: where an exercise is off the same way for the second time running, what was believed of it is
    /// open again, for then it is not the day that was odd.
    /// </summary>
    internal void Wake(SetRun done)
    {
        int place = _places[done[0].Set.Exercise], exercise = (place - First) / Each;
        _pivots[exercise] ??= Met(exercise, done[0]);
        double now = SurpriseOf(done), before = _surprises[exercise];
        _surprises[exercise] = now;
        _covariance[place, place] += Square(LawError);
        _covariance[place + OwnEndurance, place + OwnEndurance] += Square(LawError);
        _covariance[place + OwnRecovery, place + OwnRecovery] += Square(LawError);
        if (Math.Abs(now) < Surprising || Math.Abs(before) < Surprising || Math.Sign(now) != Math.Sign(before))
        {
            return;
        }

        _surprises[exercise] = 0;
        OpenUp(exercise);
    }

    private Mass Met(int exercise, TrainedSet set) => new ExerciseEffort(_exercises[exercise], _client, _anchors[exercise], set.As.Geometry).ResistanceOf(set.Set.Load);

    private void OpenUp(int exercise)
    {
        int place = First + (Each * exercise);
        _covariance[place, place] += Square(_anchors[exercise].Spread);
        _covariance[place + OwnEndurance, place + OwnEndurance] += Square(Clients.Learned.OwnSpread);
        _covariance[place + OwnRecovery, place + OwnRecovery] += Square(Clients.Learned.OwnRecoverySpread);
        _covariance[place + Steepness, place + Steepness] += Square(UsualSteepness);
    }

    /// <summary>How far the sets of a day lie from what was believed before it, in standard deviations; open answers only where they say more.</summary>
    private double SurpriseOf(SetRun done)
    {
        double off = 0, known = 0, error = 0;
        for (int i = 0; i < done.Count; i++)
        {
            var seen = Seen(done, i);
            off += seen.IsFloor ? Math.Max(0, seen.Off) : seen.Off;
            known += seen.Variance - seen.Error;
            error += seen.Error;
        }

        return off / Math.Sqrt((known * done.Count) + error);
    }

    /// <summary>A set against its forecast, all in the logarithm of repetitions.</summary>
    /// <param name="Off">Done and left, past what was to be seen.</param>
    /// <param name="Foreseen">Repetitions that were to be seen: what is possible less what is left unsaid.</param>
    /// <param name="IsFloor">At least so much: nobody said how much more.</param>
    /// <param name="Variance">Of all that is not known of the body, and of the error.</param>
    private readonly record struct SeenSet(double Off, double Expected, double Foreseen, double[] Slope, double Error, double Variance, bool IsFloor, bool Judged);

    private SeenSet Seen(SetRun done, int set)
    {
        var log = done[set].Set;
        var (expected, slope) = Linear(done, set);
        int? refuted = done.RefutedBy(set);
        bool toFailure = done[set].IsToFailure, answered = !toFailure && log.Reserve is not null && refuted is null;
        bool habit = answered && !done[set].IsByFeel && log.Reserve!.Value.Figure == _answers.Habit, said = answered && !habit;
        // What is left beyond what was said shows as a set that seems to fall short of its forecast.
        double foreseen = Math.Max(SetError.Fewest, expected - (said ? _state[Unsaid] : 0));
        for (int i = 0; i < slope.Length; i++)
        {
            slope[i] *= Math.Max(SetError.Fewest, expected) / foreseen;
        }

        slope[Unsaid] = said ? -1 / foreseen : 0;
        double off = Math.Log(Math.Max(SetError.Fewest, (refuted ?? log.Repetitions) + (said ? log.Reserve!.Value.Figure : 0)) / foreseen);
        double error = ErrorOf(done[set], expected, slope[Form] * DayForm * foreseen) / Square(foreseen);
        return new(off, expected, foreseen, slope, error, Variance(slope) + error, !log.EndedByMuscle || (!toFailure && (!said || log.Reserve is { IsOpen: true })), said);
    }

    internal void Learn(SetRun done, int set)
    {
        var seen = Seen(done, set);
        _answers = _answers.After(done[set], Math.Max(seen.Expected, done.RefutedBy(set) ?? 0) - done[set].Set.Repetitions);
        double sure = Math.Sqrt(seen.Variance);
        if (seen.IsFloor)
        {
            var (push, weight) = AtLeast(seen.Off / sure);
            Update(done, set, seen, push * sure, weight);
        }
        else
        {
            double misjudged = seen.Judged ? Square(Clients.Learned.UsualUnsaidSpread) : 0, own = SetError.Own(seen.Expected, seen.Slope[Form] * DayForm * seen.Foreseen);
            _errors += Math.Min((Square(seen.Off) - (seen.Variance - seen.Error)) * Square(seen.Foreseen) - misjudged, Square(MostSurprise) * own) / own;
            _errorSets++;
            Update(done, set, seen, Math.Clamp(seen.Off, -MostSurprise * sure, MostSurprise * sure), 1);
        }

        _sessions[(_places[done[set].Set.Exercise] - First) / Each]++;
    }

    /// <summary>
    /// What "at least so many" says: the mean of a normal distribution cut off below, and how much of a full observation it is worth (the
    /// moments of the truncated normal; Tobin 1958, Econometrica 26:24-36).
    /// </summary>
    private static (double Push, double Weight) AtLeast(double floor)
    {
        double above = 0.5 * MathNet.Numerics.SpecialFunctions.Erfc(floor / Math.Sqrt(2));
        double push = floor > MostSurprise ? MostSurprise : Math.Exp(-floor * floor / 2) / Math.Sqrt(2 * Math.PI) / above;
        return (Math.Min(push, MostSurprise), Math.Clamp(push * (push - floor), 0, 1));
    }

    /// <summary>The more is left, the less surely anybody knows how much (Zourdos et al. 2021, J Strength Cond Res 35:S158-S165; from memory).</summary>
    private const double ErrorARepetitionLeft = 0.3;

    /// <summary>
    /// Variance of what is done and said, repetitions: the client's own error, as learned, and the misjudging of what is left. The form of the day is
    /// believed for itself.
    /// </summary>
    private double ErrorOf(TrainedSet set, double expected, double form) => set.IsToFailure
        ? Square(LimitError)
        : (SetError.Own(expected, form) * OwnShare) + Square(Clients.Learned.UsualUnsaidSpread) + Square(ErrorARepetitionLeft * (set.Set.Reserve?.Figure ?? 0));

    /// <summary>Far from the forecast its slope is another one: it is taken again where the surprise leads, at most so often, until that is settled.</summary>
    private const int MostTries = 6;

    /// <summary>A part of a step under which a shorter one is not tried.</summary>
    private const double LeastPart = 0.1;

    private const double Settled = 0.01;

    /// <summary>
    /// Moves what is believed by a surprise; a large one is followed along the forecast's own bend, by steps that each explain it better (iterated
    /// extended Kalman filter: Bell and Cathey 1993, IEEE Trans Autom Control 38:294-297; from memory).
    /// </summary>
    /// <param name="weight">Of a full observation, 0 to 1: the uncertainty shrinks by so much of what a full one would take.</param>
    private void Update(SetRun done, int set, SeenSet seen, double surprise, double weight)
    {
        int n = _state.Length;
        double[] before = [.. _state], moved = new double[n], slope = seen.Slope, along = Along(slope);
        double told = seen.Foreseen * Math.Exp(surprise), variance = seen.Variance, error = seen.Error, off = surprise, misfit = Misfit(seen);
        for (int tries = 0; tries < MostTries; tries++)
        {
            double gain = (off + Product(along, moved)) / variance;
            double[] target = [.. slope.Select(s => s * gain)], from = moved;
            double part = 1, tried;
            SeenSet here;
            while (true)
            {
                moved = [.. from.Zip(target, (f, t) => f + (part * (t - f)))];
                double[] shift = Along(moved);
                for (int i = 0; i < n; i++)
                {
                    _state[i] = before[i] + shift[i];
                }

                here = Seen(done, set);
                tried = Product(moved, shift) + Misfit(here);
                if (tried < misfit || part < LeastPart)
                {
                    break;
                }

                part /= 2;
            }

            bool settled = misfit - tried < Settled;
            (misfit, slope, along, error) = (tried, here.Slope, Along(here.Slope), here.Error);
            off = (told - here.Foreseen) / here.Foreseen;
            variance = Product(slope, along) + error;
            if (settled)
            {
                break;
            }
        }

        KeepWithinBounds();
        for (int i = 0; i < n; i++)
        {
            for (int j = 0; j < n; j++)
            {
                _covariance[i, j] -= weight * along[i] * along[j] / variance;
            }
        }

        // In repetitions, as sets are judged: of few that were done one more or less is a large part, and still only one.
        double Misfit(SeenSet at) => Square((told - at.Foreseen) / at.Foreseen) / at.Error;
    }

    private static double Product(double[] one, double[] other) => one.Zip(other, (a, b) => a * b).Sum();

    /// <summary>How each unknown goes with what is seen along a slope.</summary>
    private double[] Along(double[] slope)
    {
        double[] along = new double[_state.Length];
        for (int i = 0; i < along.Length; i++)
        {
            for (int j = 0; j < along.Length; j++)
            {
                along[i] += _covariance[i, j] * slope[j];
            }
        }

        return along;
    }

    /// <summary>
    /// What ran out of its bounds is set on them, and all that goes with it moves along: the surprise belongs to what may still move (a state under
    /// an equality constraint: Simon 2010, IET Control Theory Appl 4:1303-1318; from memory).
    /// </summary>
    private void KeepWithinBounds()
    {
        for (int i = 0; i < _state.Length; i++)
        {
            if (Math.Abs(_state[i]) > MostOf(i))
            {
                double back = ((Math.Sign(_state[i]) * MostOf(i)) - _state[i]) / _covariance[i, i];
                for (int j = 0; j < _state.Length; j++)
                {
                    _state[j] += _covariance[i, j] * back;
                }
            }
        }

        for (int i = 0; i < _state.Length; i++)
        {
            _state[i] = Math.Clamp(_state[i], -MostOf(i), MostOf(i));
        }
    }

    private static double MostOf(int state) => state switch
    {
        Unsaid or Form => double.PositiveInfinity,
        Gain => MostGain,
        Endurance => Math.Log(MostFactor),
        Recovery => Math.Log(MostRecovery),
        _ => Math.Log(((state - First) % Each) switch { 0 => MostStrength, OwnRecovery => MostRecovery, Steepness => Math.Exp(MostSteepness), _ => MostFactor }),
    };

    private double Variance(double[] slope)
    {
        double sum = 0;
        for (int i = 0; i < slope.Length; i++)
        {
            if (slope[i] != 0)
            {
                for (int j = 0; j < slope.Length; j++)
                {
                    sum += slope[i] * _covariance[i, j] * slope[j];
                }
            }
        }

        return sum;
    }

    /// <summary>The forecast and how its logarithm bends with each unknown, by small steps both ways.</summary>
    private (double Expected, double[] Slope) Linear(SetRun done, int set)
    {
        int place = _places[done[set].Set.Exercise];
        double[] slope = new double[_state.Length];
        double lasts = _state[Endurance] + _state[place + OwnEndurance], recovers = _state[Recovery] + _state[place + OwnRecovery], maximum = _state[Form] + _state[place];
        slope[Endurance] = slope[place + OwnEndurance] = (At(Nudge, 0, 0) - At(-Nudge, 0, 0)) / (2 * Nudge);
        slope[Recovery] = slope[place + OwnRecovery] = set == 0 ? 0 : (At(0, Nudge, 0) - At(0, -Nudge, 0)) / (2 * Nudge);
        double steeper = _pivots[(place - First) / Each] is { } pivot && Met((place - First) / Each, done[set]) is var met && met > Mass.Zero ? Math.Log(met / pivot) : 0;
        slope[Form] = slope[place] = (At(0, 0, Nudge) - At(0, 0, -Nudge)) / (2 * Nudge);
        slope[place + Steepness] = slope[place] * steeper;
        return (ToFailure(done, set, place, lasts, recovers, maximum), slope);

        double At(double endurance, double recovery, double stronger) =>
            Math.Log(Math.Max(SetError.Fewest, ToFailure(done, set, place, lasts + endurance, recovers + recovery, maximum + stronger)));
    }

    private double ToFailure(SetRun done, int set, int place, double endurance, double recovery, double maximum)
    {
        var anchor = Stronger(place, maximum) with { Endurance = Math.Exp(endurance), Recovery = Math.Exp(recovery) };
        var effort = new ExerciseEffort(ExerciseAt(place), _client, anchor, done[set].As.Geometry);
        var budget = EffortBudget.Rested;
        if (done.BeforeFirst is { } before)
        {
            budget = budget.AfterWork(Math.Min(budget.Left, DrainOf(before.Set) * before.Overlap)).AfterRest(before.After * effort.Recovery);
        }

        for (int i = 0; i < set; i++)
        {
            budget = budget.AfterWork(Math.Min(budget.Left, done[i].Set.Repetitions * CostOf(effort, done[i])));
            var rest = RestBetween(done[i], done[i + 1]);
            var rested = Duration.Zero;
            foreach (var partner in done.Between(i))
            {
                var until = partner.After > rest ? rest : partner.After;
                budget = budget.AfterRest((until - rested) * effort.Recovery);
                budget = budget.AfterWork(Math.Min(budget.Left, DrainOf(partner.Set) * partner.Overlap));
                rested = until;
            }

            budget = budget.AfterRest((rest - rested) * effort.Recovery);
        }

        return budget.Left / CostOf(effort, done[set]);
    }

    /// <summary>What a set took of its own budget, as believed now.</summary>
    private double DrainOf(TrainedSet set)
    {
        int place = _places[set.Set.Exercise];
        var effort = new ExerciseEffort(ExerciseAt(place), _client, Believed(place, _state[Form] + _state[place]), set.As.Geometry);
        return Math.Min(1, set.Set.Repetitions * CostOf(effort, set));
    }

    private static double CostOf(ExerciseEffort effort, TrainedSet set)
    {
        var demand = effort.DemandOf(set.Set.Load);
        return effort.CostOfRepetition(demand < RepetitionCost.LeastDemand ? RepetitionCost.LeastDemand : demand, set.As.Style);
    }

    /// <summary>
    /// The rest the muscle had. The phone times it from whatever was done last; where its clock tells when both sets ended, a partner's set and
    /// the other side's are rest as well. Without a time it is the one prescribed; of a rest-pause the short one.
    /// </summary>
    private static Duration RestBetween(TrainedSet set, TrainedSet next)
    {
        if (next.Set.RestBefore is not { } timed)
        {
            return set.As.Form == SetForm.RestPause ? RestPause.UsualRest
                : set.As.PerSide ? set.As.Rest + (set.As.Style.Lasts * set.Set.Repetitions) : set.As.Rest;
        }

        double passed = next.Set.At is { } to && set.Set.At is { } from
            ? (to - from).TotalSeconds - (next.As.Style.Lasts * next.Set.Repetitions).Seconds
            : 0;
        return passed > timed.Seconds && passed <= LongestRest ? Duration.FromSeconds(passed) : timed;
    }

    /// <summary>An exercise at so much of its maximum's logarithm, lasting and recovering as believed.</summary>
    private StrengthAnchor Believed(int place, double maximum) => Stronger(place, maximum) with
    {
        Endurance = Math.Exp(_state[Endurance] + _state[place + OwnEndurance]),
        Recovery = Math.Exp(_state[Recovery] + _state[place + OwnRecovery]),
    };

    private StrengthAnchor Stronger(int place, double logFactor)
    {
        var (anchor, exercise) = (_anchors[(place - First) / Each], ExerciseAt(place));
        return anchor.Stronger(Math.Exp(logFactor), exercise, _client) with { Pivot = _pivots[(place - First) / Each], Steepness = _state[place + Steepness] };
    }

    private static string Root(Exercise exercise, Catalogue catalogue)
    {
        while (exercise.Strength is { } link)
        {
            exercise = catalogue[link.Reference];
        }

        return exercise.Id;
    }

    private static string Counted(int count, string word) => $"{count} {word}{(count == 1 ? "" : "s")}";

    private static double Square(double value) => value * value;
}

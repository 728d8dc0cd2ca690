using Ingegno.Core.Clients;
using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Progression;

/// <summary>
/// What is believed of a client while their log is read, the state of the filter of <see cref="Learning"/>: endurance, recovery, left unsaid, the
/// form of the day, then one maximum an exercise; all but the third as logarithms.
/// </summary>
internal sealed class Belief
{
    /// <summary>A set to the true limit is known to a repetition.</summary>
    private const double LimitError = 1.0;

    /// <summary>Strength is so much better or worse on a day, all exercises alike (common practice).</summary>
    internal const double DayForm = 0.02;

    /// <summary>Under this equivalent demand a surprise says more about endurance than about the maximum, which then moves by half.</summary>
    private const double EnduranceFirst = 0.6, HalfMove = 0.5;

    /// <summary>Part of a maximum's uncertainty that exercises of one root share.</summary>
    private const double SharedWithinRoot = 0.8;

    /// <summary>Longer apart by the clock, seconds: corrected since, or a break.</summary>
    private const double LongestRest = 3600;

    /// <summary>A surprise counts at most so many standard deviations: a slip of the thumb must not move a body.</summary>
    private const double MostSurprise = 3;

    /// <summary>Endurance and recovery stay within a factor of this, a maximum within its own.</summary>
    private const double MostFactor = 1.6, MostStrength = 2.5;

    /// <summary>
    /// What stays of a set's error is the client's own: some are steadier than most. It moves from what holds for most, which weighs as much as so
    /// many sets, and not past these parts of it. (Matching the innovations: Mehra 1970, IEEE Trans Autom Control 15:175-184; from memory.)
    /// </summary>
    private const double ErrorWeighs = 10, LeastError = 0.2, MostError = 2;

    private const int Endurance = 0, Recovery = 1, Unsaid = 2, Form = 3, FirstMaximum = 4;

    private readonly ClientProfile _client;
    private readonly Exercise[] _exercises;
    private readonly StrengthAnchor[] _anchors;
    private readonly Dictionary<string, int> _places;
    private readonly double[] _state;
    private readonly double[,] _covariance;
    private readonly int[] _sessions;
    private double _errors = ErrorWeighs, _errorSets = ErrorWeighs;
    private DateOnly? _day;

    internal Belief(ClientProfile client, Catalogue catalogue, StrengthAnchors anchors, IReadOnlyList<string> exercises)
    {
        _client = client with { Learned = Clients.Learned.Nothing };
        _exercises = [.. exercises.Select(id => catalogue[id])];
        _anchors = [.. _exercises.Select(e => anchors.For(e)!)];
        _places = exercises.Select((id, i) => (id, i)).ToDictionary(p => p.id, p => FirstMaximum + p.i, StringComparer.Ordinal);
        _sessions = new int[exercises.Count];
        _state = new double[FirstMaximum + exercises.Count];
        _covariance = new double[_state.Length, _state.Length];
        _covariance[Endurance, Endurance] = _covariance[Recovery, Recovery] = Clients.Learned.UsualSpread * Clients.Learned.UsualSpread;
        _covariance[Unsaid, Unsaid] = Clients.Learned.UsualUnsaidSpread * Clients.Learned.UsualUnsaidSpread;
        string[] roots = [.. _exercises.Select(e => Root(e, catalogue))];
        for (int i = 0; i < exercises.Count; i++)
        {
            for (int j = 0; j < exercises.Count; j++)
            {
                double least = Math.Min(_anchors[i].Spread, _anchors[j].Spread);
                _covariance[FirstMaximum + i, FirstMaximum + j] =
                    i == j ? _anchors[i].Spread * _anchors[i].Spread : roots[i] == roots[j] ? SharedWithinRoot * least * least : 0;
            }
        }
    }

    private Belief(Belief other)
    {
        (_client, _exercises, _anchors, _places) = (other._client, other._exercises, other._anchors, other._places);
        (_state, _covariance, _sessions) = ([.. other._state], (double[,])other._covariance.Clone(), [.. other._sessions]);
        (_errors, _errorSets, _day) = (other._errors, other._errorSets, other._day);
    }

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
        for (int i = FirstMaximum; i < _state.Length; i++)
        {
            _covariance[i, i] += StrengthAnchors.DriftAWeek * StrengthAnchors.DriftAWeek * weeks;
        }
    }

    internal LearnedFactor Of(string exercise) =>
        new(Math.Exp(_state[_places[exercise]]), Math.Sqrt(_covariance[_places[exercise], _places[exercise]]));

    /// <summary>Exercises stand in the order they were first logged.</summary>
    internal LearnedFactor OfFamily(string exercise) =>
        Of(_exercises.First(e => e.Pattern == _exercises[_places[exercise] - FirstMaximum].Pattern).Id);

    internal Learned Learned() => new(
        Factor(Endurance), Factor(Recovery), _state[Unsaid], Math.Sqrt(_covariance[Unsaid, Unsaid]),
        [.. Enumerable.Range(0, _exercises.Length).Select(LearnedAnchor)])
    {
        Unsteadiness = Math.Sqrt(OwnShare),
    };

    private LearnedFactor Factor(int place) => new(Math.Exp(_state[place]), Math.Sqrt(_covariance[place, place]));

    private StrengthAnchor LearnedAnchor(int i)
    {
        double now = _state[FirstMaximum + i];
        return Stronger(i, now) with
        {
            Spread = Math.Sqrt(_covariance[FirstMaximum + i, FirstMaximum + i]),
            Basis = AnchorBasis.Learned,
            WithEndurance = _covariance[FirstMaximum + i, Endurance],
            Story = $"{_exercises[i].Name} as logged, {Counted(_sessions[i], "set")}; before that {_anchors[i].Maximum}: {_anchors[i].Story}",
        };
    }

    /// <summary>What is forecast of a set, given what was done before it that day.</summary>
    internal SetHindsight Foresee(SetRun done, int set)
    {
        var (expected, slope, _) = Linear(done, set);
        double spread = Math.Sqrt(Variance(slope) + (SetError.Own(expected, slope[Form] * DayForm) * OwnShare));
        return new(
            done[set].Set.Id,
            new(Math.Max(0, expected - (StrengthAnchor.EightyPercent * spread)), expected, expected + (StrengthAnchor.EightyPercent * spread)),
            Observed(done[set].Set));
    }

    private double OwnShare => Math.Clamp(_errors / _errorSets, LeastError, MostError);

    private double Observed(SetLog set) => set.Repetitions + (set.ToLimit ? 0 : (set.Reserve?.Figure ?? 0) + (set.Reserve is null ? 0 : _state[Unsaid]));

    internal void Learn(SetRun done, int set)
    {
        var log = done[set].Set;
        var (expected, slope, equivalent) = Linear(done, set);
        if (!log.ToLimit && log.Reserve is not null)
        {
            // What is left beyond what was said shows as a set that seems to fall short of its forecast.
            slope[Unsaid] = -1;
        }

        double foreseen = expected - (slope[Unsaid] == 0 ? 0 : _state[Unsaid]);
        double seen = log.Repetitions + (log.ToLimit ? 0 : log.Reserve?.Figure ?? 0);
        double error = Square(ErrorOf(log, expected)), variance = Variance(slope) + error, sure = Math.Sqrt(variance);
        bool maximumByHalf = equivalent.Value < EnduranceFirst && Math.Abs(_state[Endurance]) < Math.Log(MostFactor) - 1e-6;
        if (!log.EndedByMuscle || (!log.ToLimit && log.Reserve is null or { IsOpen: true }))
        {
            var (push, weight) = AtLeast((seen - foreseen) / sure);
            Update(slope, push * sure, variance, weight, maximumByHalf);
        }
        else
        {
            double misjudged = log.ToLimit ? 0 : Square(Clients.Learned.UsualUnsaidSpread), own = SetError.Own(expected, slope[Form] * DayForm);
            _errors += Math.Min(Square(seen - foreseen) - (variance - error) - misjudged, Square(MostSurprise) * own) / own;
            _errorSets++;
            Update(slope, Math.Clamp(seen - foreseen, -MostSurprise * sure, MostSurprise * sure), variance, 1, maximumByHalf);
        }

        _sessions[_places[log.Exercise] - FirstMaximum]++;
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

    private static double ErrorOf(SetLog set, double expected) => set.ToLimit ? LimitError : SetError.Of(expected);

    /// <param name="weight">Of a full observation, 0 to 1: the uncertainty shrinks by so much of what a full one would take.</param>
    /// <param name="maximumByHalf">The maxima move by half of what the filter would; right for the uncertainty too.</param>
    private void Update(double[] slope, double surprise, double variance, double weight, bool maximumByHalf)
    {
        int n = _state.Length;
        double[] along = new double[n], gain = new double[n];
        for (int i = 0; i < n; i++)
        {
            for (int j = 0; j < n; j++)
            {
                along[i] += _covariance[i, j] * slope[j];
            }

            gain[i] = along[i] / variance * (maximumByHalf && i >= FirstMaximum ? HalfMove : 1);
            _state[i] += gain[i] * surprise;
        }

        for (int i = 0; i < n; i++)
        {
            for (int j = 0; j < n; j++)
            {
                _covariance[i, j] += weight * ((gain[i] * variance * gain[j]) - (gain[i] * along[j]) - (along[i] * gain[j]));
            }
        }

        Bound(Endurance, MostFactor);
        Bound(Recovery, MostFactor);
        for (int i = FirstMaximum; i < n; i++)
        {
            Bound(i, MostStrength);
        }

        void Bound(int place, double most) => _state[place] = Math.Clamp(_state[place], -Math.Log(most), Math.Log(most));
    }

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

    /// <summary>The forecast and how it bends with each unknown, by small steps both ways.</summary>
    private (double Expected, double[] Slope, Demand Equivalent) Linear(SetRun done, int set)
    {
        const double step = 0.01;
        int place = _places[done[set].Set.Exercise];
        double[] slope = new double[_state.Length];
        var (expected, equivalent) = ToFailure(done, set, place, _state[Endurance], _state[Recovery], _state[Form] + _state[place]);
        slope[Endurance] = (At(step, 0, 0) - At(-step, 0, 0)) / (2 * step);
        slope[Recovery] = set == 0 ? 0 : (At(0, step, 0) - At(0, -step, 0)) / (2 * step);
        slope[Form] = slope[place] = (At(0, 0, step) - At(0, 0, -step)) / (2 * step);
        return (expected, slope, equivalent);

        double At(double endurance, double recovery, double maximum) => ToFailure(
            done, set, place, _state[Endurance] + endurance, _state[Recovery] + recovery, _state[Form] + _state[place] + maximum).Expected;
    }

    private (double Expected, Demand Equivalent) ToFailure(
        SetRun done, int set, int place, double endurance, double recovery, double maximum)
    {
        var anchor = Stronger(place - FirstMaximum, maximum) with { Endurance = Math.Exp(endurance), Recovery = Math.Exp(recovery) };
        var effort = new ExerciseEffort(_exercises[place - FirstMaximum], _client, anchor, done[set].As.Geometry);
        var budget = EffortBudget.Rested;
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

        return (budget.Left / CostOf(effort, done[set]), effort.EquivalentOf(effort.DemandOf(done[set].Set.Load)));
    }

    /// <summary>What a set took of its own budget, as believed now.</summary>
    private double DrainOf(TrainedSet set)
    {
        int place = _places[set.Set.Exercise];
        var anchor = Stronger(place - FirstMaximum, _state[Form] + _state[place]) with { Endurance = Math.Exp(_state[Endurance]) };
        return Math.Min(1, set.Set.Repetitions * CostOf(new ExerciseEffort(_exercises[place - FirstMaximum], _client, anchor, set.As.Geometry), set));
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

    /// <summary>A factor on strength acts on all that is met, the body it moves counted.</summary>
    private StrengthAnchor Stronger(int exercise, double logFactor)
    {
        var anchor = _anchors[exercise];
        var body = anchor.IsTotal ? Mass.Zero : Loads.Resistance.BodyMoved(_exercises[exercise].Load, _client, new Loads.Geometry()) * _client.BodyMass;
        return anchor.At(((anchor.Maximum + body) * Math.Exp(logFactor)) - body);
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

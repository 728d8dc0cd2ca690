using Google.OrTools.Sat;
using Ingegno.Core.Anatomy;
using Ingegno.Core.Weeks;

namespace Ingegno.Solving;

/// <summary>
/// The week's model for CP-SAT: one worker, a fixed seed and a limit in deterministic time, so that the same week gives the same
/// answer on any machine; the wall clock only cancels. Ties go to the options listed first.
/// </summary>
public sealed class WeekSolver : IWeekSolver
{
    /// <summary>Deterministic seconds; a week of 32 lines with 20 options needs far less.</summary>
    private const double MostDeterministicTime = 20;

    public WeekSolution? Solve(WeekModel model, Action<WeekProgress>? told = null, CancellationToken stop = default)
    {
        if (model.Slots.IsEmpty)
        {
            return WeekScore.Of(model, []) is { } nothing ? new([], nothing, Proven: true) : null;
        }

        // Nothing pays for a step down a class: where a week can be made of the best ones, the rest need not be looked at.
        return SolveOnce(model.OfTheBestClasses(), told, stop) is { } best
            ? InPlacesOf(model, best)
            : SolveOnce(model, told, stop);
    }

    /// <summary>The same choice told by the places of the whole model.</summary>
    private static WeekSolution InPlacesOf(WeekModel model, WeekSolution found)
    {
        int[] chosen = [.. model.Slots.Select((s, i) => s.Options.Select((o, place) => (o, place)).Where(p => p.o.Class == s.BestClass).ElementAt(found.Chosen[i]).place)];
        return new([.. chosen], WeekScore.Of(model, chosen)!, found.Proven);
    }

    private static WeekSolution? SolveOnce(WeekModel model, Action<WeekProgress>? told, CancellationToken stop)
    {
        var week = new Formulation(model);
        // The model has no fat to trim: without presolve a week of 32 lines is proven in under half the time, and one of 60 at all.
        using var solver = new CpSolver
        {
            StringParameters = FormattableString.Invariant(
                $"num_workers:1,random_seed:1,cp_model_presolve:false,max_deterministic_time:{MostDeterministicTime},log_search_progress:false"),
        };
        using var registration = stop.Register(solver.StopSearch);
        using var telling = told is null ? null : new Telling(told, week.Scale);
        var status = solver.Solve(week.Model, telling);
        if (status is not (CpSolverStatus.Optimal or CpSolverStatus.Feasible))
        {
            stop.ThrowIfCancellationRequested();
            return null;
        }

        int[] chosen = [.. week.Takes.Select(options => Array.FindIndex(options, solver.BooleanValue))];
        return new([.. chosen], WeekScore.Of(model, chosen)!, status == CpSolverStatus.Optimal);
    }

    /// <summary>Passes on what is found, in the points of the model: places only break ties.</summary>
    private sealed class Telling(Action<WeekProgress> told, int scale) : CpSolverSolutionCallback
    {
        public override void OnSolutionCallback() =>
            told(new((long)Math.Ceiling(ObjectiveValue() / scale), (long)Math.Ceiling(BestObjectiveBound() / scale)));
    }

    /// <summary>Variables and terms of one week.</summary>
    private sealed class Formulation
    {
        private readonly WeekModel _week;
        private readonly List<LinearExpr> _terms = [];

        public Formulation(WeekModel week)
        {
            _week = week;
            Takes = [.. week.Slots.Select((s, i) => s.Options.Select((_, o) => Model.NewBoolVar($"x{i}.{o}")).ToArray())];
            foreach (var options in Takes)
            {
                Model.AddExactlyOne(options);
            }

            // Places count less than one point of the objective, so they only break ties.
            int scale = Scale = week.Slots.Sum(s => s.Options.Length) + 1;
            Fits(scale);
            Repeats(scale);
            Changeovers(scale);
            Bands(scale);
            Days(scale);
            Qualities(scale);
            Lengths();
            Clashes();
            Model.Maximize(LinearExpr.Sum(_terms));
        }

        public CpModel Model { get; } = new();

        /// <summary>Of the objective over the model's points.</summary>
        public int Scale { get; }

        public BoolVar[][] Takes { get; }

        private void Fits(int scale)
        {
            for (int i = 0; i < Takes.Length; i++)
            {
                for (int o = 0; o < Takes[i].Length; o++)
                {
                    _terms.Add(Takes[i][o] * (((_week.FitOf(_week.Slots[i], _week.Slots[i].Options[o]) - (WeekModel.ClassStep * _week.StepsDown(_week.Slots[i], _week.Slots[i].Options[o]))) * scale) - o));
                }
            }
        }

        /// <summary>Each use of an exercise in a session beyond the first.</summary>
        private void Repeats(int scale)
        {
            var uses =
                from i in Enumerable.Range(0, Takes.Length)
                from o in Enumerable.Range(0, Takes[i].Length)
                group Takes[i][o] by (_week.Slots[i].Session, _week.Slots[i].Options[o].Exercise);
            foreach (var use in uses.Where(u => u.Count() > 1))
            {
                BoolVar[] all = [.. use];
                var beyond = Model.NewIntVar(0, all.Length - 1, $"again {use.Key}");
                Model.Add(beyond >= LinearExpr.Sum(all) - 1);
                _terms.Add(beyond * (-(long)_week.Prices.TwiceInSession * scale));
            }
        }

        /// <summary>
        /// By set-up, not by pair of options: a change to a set-up happens where the next line takes it and the one before does not.
        /// </summary>
        private void Changeovers(int scale)
        {
            foreach (var (first, next) in _week.Neighbours)
            {
                foreach (var wanted in Enumerable.Range(0, Takes[next].Length).Where(o => _week.Slots[next].Options[o].SetUp is not null).GroupBy(o => _week.Slots[next].Options[o].SetUp))
                {
                    var put = LinearExpr.Sum(wanted.Select(o => Takes[next][o]));
                    var there = LinearExpr.Sum(Enumerable.Range(0, Takes[first].Length).Where(o => _week.Slots[first].Options[o].SetUp == wanted.Key).Select(o => Takes[first][o]));
                    var change = Model.NewBoolVar($"change {next} {wanted.Key}");
                    Model.Add(change >= put - there);
                    _terms.Add(change * (-(long)_week.Prices.Changeover * scale));
                }
            }
        }

        private void Bands(int scale)
        {
            foreach (var band in _week.Bands)
            {
                var tenths = TenthsOf(band.Group, _ => true);
                long most = _week.Slots.Sum(s => s.Options.Max(o => o.TenthSets.GetValueOrDefault(band.Group)));
                var outside = Model.NewIntVar(0, Math.Max(band.Least, most), $"outside {band.Group}");
                Model.Add(outside >= band.Least - tenths);
                Model.Add(outside >= tenths - band.Most);
                _terms.Add(outside * (-(long)_week.Prices.TenthOutsideBand * scale));
            }
        }

        private void Days(int scale)
        {
            foreach (var (first, next) in _week.FollowingDays)
            {
                foreach (var group in Enum.GetValues<MuscleGroup>().Where(g => g != MuscleGroup.Small))
                {
                    if (HardIn(first, group) is { } a && HardIn(next, group) is { } b)
                    {
                        var both = Model.NewBoolVar($"hard {first} {next} {group}");
                        Model.Add(both >= a + b - 1);
                        _terms.Add(both * (-(long)_week.Prices.HardOnConsecutiveDays * scale));
                    }
                }
            }
        }

        /// <summary>True when the session works the group hard; null where no choice could.</summary>
        private BoolVar? HardIn(int session, MuscleGroup group)
        {
            long most = _week.Slots.Where(s => s.Session == session).Sum(s => s.Options.Max(o => o.TenthSets.GetValueOrDefault(group)));
            if (most < _week.Prices.HardFromTenths)
            {
                return null;
            }

            var hard = Model.NewBoolVar($"hard {session} {group}");
            Model.Add(TenthsOf(group, s => s.Session == session) <= _week.Prices.HardFromTenths - 1 + (hard * most));
            return hard;
        }

        private void Qualities(int scale)
        {
            foreach (var quality in _week.Wanted)
            {
                if (_week.Slots.Any(slot => slot.Options.All(o => o.Has.Contains(quality.Name))))
                {
                    continue;
                }

                // A clause, not a sum: it propagates from the first option that has it.
                var lost = Model.NewBoolVar($"lost {quality.Name}");
                Model.AddBoolOr(
                [
                    lost,
                    .. from i in Enumerable.Range(0, Takes.Length)
                       from o in Enumerable.Range(0, Takes[i].Length)
                       where _week.Slots[i].Options[o].Has.Contains(quality.Name)
                       select Takes[i][o],
                ]);
                _terms.Add(lost * (-(long)quality.Price * scale));
            }
        }

        private void Lengths()
        {
            if (_week.MostSeconds is not { } most)
            {
                return;
            }

            for (int session = 0; session < _week.Sessions; session++)
            {
                int of = session;
                Model.Add(Weighted(s => s.Session == of, o => o.Seconds) <= most - _week.Overhead(session));
            }
        }

        private void Clashes()
        {
            for (int a = 0; a < Takes.Length; a++)
            {
                for (int b = a + 1; b < Takes.Length; b++)
                {
                    if (_week.Slots[a].Session != _week.Slots[b].Session)
                    {
                        continue;
                    }

                    for (int i = 0; i < Takes[a].Length; i++)
                    {
                        for (int j = 0; j < Takes[b].Length; j++)
                        {
                            if (WeekModel.Clash(_week.Slots[a], _week.Slots[a].Options[i], _week.Slots[b], _week.Slots[b].Options[j]))
                            {
                                Model.AddBoolOr([Takes[a][i].Not(), Takes[b][j].Not()]);
                            }
                        }
                    }
                }
            }
        }

        private LinearExpr TenthsOf(MuscleGroup group, Func<WeekSlot, bool> among) => Weighted(among, o => o.TenthSets.GetValueOrDefault(group));

        private LinearExpr Weighted(Func<WeekSlot, bool> among, Func<WeekOption, int> weight) => LinearExpr.Sum(
            from i in Enumerable.Range(0, Takes.Length)
            where among(_week.Slots[i])
            from o in Enumerable.Range(0, Takes[i].Length)
            let w = weight(_week.Slots[i].Options[o])
            where w != 0
            select Takes[i][o] * w);
    }
}

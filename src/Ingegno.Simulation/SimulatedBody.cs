using System.Globalization;
using Ingegno.Core.Quantities;

namespace Ingegno.Simulation;

/// <summary>A set somebody is asked to do.</summary>
/// <param name="Load">As loaded; negative where it helps.</param>
/// <param name="Count">Repetitions asked.</param>
/// <param name="LeaveOver">Repetitions asked to be left; null for none said.</param>
/// <param name="Lowering">Seconds of lowering, then held low, lifting and held high.</param>
/// <param name="Rest">Before it, since whatever was done last; zero on a first set.</param>
/// <param name="ToLimit">Asked to go to the limit.</param>
/// <param name="IsOpen">Asked for as many as leave what is to be left.</param>
public sealed record AskedSet(
    string Exercise, Mass Load, int Count, int? LeaveOver, double Lowering, double Low, double Lifting, double High, Duration Rest, bool ToLimit = false, bool IsOpen = false);

/// <summary>What came of it.</summary>
/// <param name="Repetitions">Whole ones.</param>
/// <param name="SaidLeft">As the client says it: "2", "5-6", "7+"; null after a set to the limit.</param>
/// <param name="TrulyToFailure">Hidden: how many it would have been.</param>
/// <param name="UsuallyToFailure">Hidden: how many who knows the body, but not the form of the day, would have foretold.</param>
public sealed record SetOutcome(int Repetitions, string? SaidLeft, int TrulyToFailure, int UsuallyToFailure, bool Failed);

/// <summary>
/// A body with hidden strength that trains what it is asked. Its fatigue follows one <see cref="FatigueLaw"/>; lowering asks less of it than
/// lifting; repetitions are whole; what is said to be left is misjudged. Same seed, same training.
/// </summary>
public sealed class SimulatedBody
{
    /// <summary>Muscle activity of lowering and of a pause against lifting (common practice, other than the forecasts' 1.3).</summary>
    private const double LoweringActivity = 0.65, PauseActivity = 0.85;

    /// <summary>Form of the day, and how wrongly what is left is judged (issue of every log; common practice).</summary>
    private const double DayForm = 0.02, Misjudged = 1;

    private const int MostRepetitions = 120;

    private readonly Dictionary<string, HiddenExercise> _exercises;
    private readonly HiddenNature _nature;
    private readonly Random _chance;
    private readonly Dictionary<string, IMuscle> _today = new(StringComparer.Ordinal), _usually = new(StringComparer.Ordinal);
    private double _form = 1, _gained = 1;

    public SimulatedBody(IEnumerable<HiddenExercise> exercises, HiddenNature nature, int seed)
    {
        _exercises = exercises.ToDictionary(e => e.Exercise, StringComparer.Ordinal);
        _nature = nature;
        _chance = new Random(seed);
    }

    /// <summary>An exercise met, or met in another set-up: what it tires stays tired.</summary>
    public void Learns(HiddenExercise exercise) => _exercises[exercise.Exercise] = exercise;

    /// <summary>A new day: rested, with the form of the day.</summary>
    /// <returns>False when today is not trained.</returns>
    public bool Wakes()
    {
        _today.Clear();
        _usually.Clear();
        _form = Math.Exp(DayForm * Normal());
        return _chance.NextDouble() < _nature.Adherence;
    }

    /// <summary>A trained week is over.</summary>
    public void Grows() => _gained *= 1 + _nature.GainAWeek;

    /// <summary>Does a set, as far as it goes.</summary>
    public SetOutcome Does(AskedSet set)
    {
        var truth = _exercises[set.Exercise];
        IMuscle muscle = MuscleOf(_today, truth), usual = MuscleOf(_usually, truth);
        Passes(set.Rest.Seconds, null);
        double met = ((set.Load * truth.LoadCounts) + truth.BodyMoved).Kilograms;
        double usually = Math.Max(0, met / (truth.Greatest.Kilograms * _gained)), activation = usually / _form;
        int truly = Repetitions(muscle.Copy(), set, activation, MostRepetitions), foretold = Repetitions(usual.Copy(), set, usually, MostRepetitions);
        double misjudged = (Misjudged * Normal()) - _nature.Unsaid;
        // Somebody who leaves two stops when it feels like two, though never before most of what was asked.
        int feltLimit = set.ToLimit ? truly : (int)Math.Round(truly + misjudged) - Math.Max(0, (set.LeaveOver ?? 0) - 1);
        int wanted = set.ToLimit ? MostRepetitions
            : set.IsOpen ? Math.Max(0, (int)Math.Round(truly + misjudged) - (set.LeaveOver ?? 0))
            : Math.Max(Math.Min(set.Count, feltLimit), Math.Min(truly, (set.Count * 2) / 3));
        int done = Repetitions(muscle, set, activation, Math.Min(wanted, truly));
        Repetitions(usual, set, usually, done);
        Passes(done * (Math.Max(1, set.Lowering) + set.Low + Math.Max(1, set.Lifting) + set.High), truth);
        bool failed = done >= truly && (set.ToLimit || set.IsOpen || done < set.Count);
        string? said = set.ToLimit ? null : failed ? "0" : Said(_nature.AlwaysSays ?? (int)Math.Max(0, Math.Round(truly - done + misjudged)));
        return new(done, said, truly, foretold, failed);
    }

    /// <summary>As the phone asks: nobody tells five from six, or much more from very much more.</summary>
    private static string Said(int left) => left < 5 ? left.ToString(CultureInfo.InvariantCulture) : left < 7 ? "5-6" : "7+";

    /// <summary>Everything rests but what works.</summary>
    private void Passes(double seconds, HiddenExercise? working)
    {
        foreach (var muscles in new[] { _today, _usually })
        {
            foreach (var (name, muscle) in muscles)
            {
                if (working is null || name != NameOf(working))
                {
                    muscle.Rest(seconds);
                }
            }
        }
    }

    private string NameOf(HiddenExercise truth) => _nature.Law == FatigueLaw.ThreeCompartments ? truth.Exercise : truth.Muscle;

    private IMuscle MuscleOf(Dictionary<string, IMuscle> muscles, HiddenExercise truth)
    {
        if (!muscles.TryGetValue(NameOf(truth), out var state))
        {
            muscles[NameOf(truth)] = state = _nature.Law switch
            {
                FatigueLaw.ThreeCompartments => MuscleState.Of(truth.Region, _nature.Endurance, _nature.Recovery),
                FatigueLaw.CriticalForce => CriticalForceMuscle.Of(truth.Region, _nature.Endurance, _nature.Recovery),
                FatigueLaw.MotorUnits => MotorUnitMuscle.Of(truth.Region, _nature.Endurance, _nature.Recovery),
                _ => throw new InvalidOperationException("No such law of fatigue."),
            };
        }

        return state;
    }

    private static int Repetitions(IMuscle muscle, AskedSet set, double activation, int most)
    {
        int done = 0;
        while (done < most
            && muscle.Work(activation * LoweringActivity, Math.Max(1, set.Lowering))
            && muscle.Work(activation * PauseActivity, set.Low)
            && activation <= muscle.Left && muscle.Work(activation, Math.Max(1, set.Lifting)))
        {
            done++;
            muscle.Work(activation * PauseActivity * 0.5, set.High);
        }

        return done;
    }

    /// <summary>Standard normal, by Box and Muller.</summary>
    private double Normal() => Math.Sqrt(-2 * Math.Log(1 - _chance.NextDouble())) * Math.Cos(2 * Math.PI * _chance.NextDouble());
}

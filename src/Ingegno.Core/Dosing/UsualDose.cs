using Ingegno.Core.Clients;
using Ingegno.Core.Exercises;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Dosing;

/// <summary>What an exercise is usually given where nobody wrote a dose, so that nothing is ever prescribed blank.</summary>
/// <param name="Low">Count a set, per side where one limb works.</param>
/// <param name="High">Upper end; equal to <paramref name="Low"/> for an exact count.</param>
public sealed record UsualDose(Level Level, Purpose Purpose, int Sets, int Low, int High, Counted Counted, bool PerSide, Duration Rest)
{
    /// <summary>
    /// Sets and counts by purpose after the goal table of Haff and Triplett (from memory), spread over the levels by common practice:
    /// a beginner starts with a set less, an advanced client with one more.
    /// </summary>
    public static UsualDose For(Exercise exercise, Level level, Purpose purpose)
    {
        var (sets, low, high) = exercise switch
        {
            { Pattern: Pattern.Jump } => (3, 3, 5),
            { Counted: Counted.Seconds } => Seconds(purpose),
            { Counted: Counted.Steps } => (3, 20, 30),
            _ => Repetitions(exercise, purpose),
        };
        int more = level switch { Level.Beginner => -1, Level.Advanced => 1, _ => 0 };
        return new(
            level, purpose, Math.Max(1, sets + (Purposes.IsCapped(purpose) ? 0 : more)), low, high, exercise.Counted,
            exercise.Sides == Sides.OneAtATime, HouseRules.UsualRest(low));
    }

    private static (int Sets, int Low, int High) Repetitions(Exercise exercise, Purpose purpose) => purpose switch
    {
        Purpose.Strength when exercise.Kind == MovementKind.Compound => (4, 3, 5),
        Purpose.Strength => (3, 6, 8),
        Purpose.Skill => (3, 5, 5),
        Purpose.JointCare => (2, 15, 20),
        Purpose.Activation => (2, 10, 10),
        Purpose.Conditioning => (3, 15, 20),
        _ => (3, 8, 12),
    };

    private static (int Sets, int Low, int High) Seconds(Purpose purpose) => purpose switch
    {
        Purpose.Strength => (4, 10, 15),
        Purpose.Skill or Purpose.Activation => (2, 10, 20),
        Purpose.JointCare => (3, 30, 45),
        _ => (3, 20, 40),
    };
}

using Ingegno.Core.Clients;
using Ingegno.Core.Exercises;

namespace Ingegno.Core.Review;

/// <summary>The marks from which the review speaks up. Common practice unless a source stands here.</summary>
public static class ReviewThresholds
{
    /// <summary>More hard sets than this for one muscle group in a session pile up.</summary>
    public const double HardSetsInSession = 10;

    /// <summary>More repetitions than this expected in a set want a harder variation.</summary>
    public const int RepetitionsInSet = 30;

    /// <summary>Work at a demand under this, with less rest than work, trains the breath and not the muscle.</summary>
    public const double LightDemand = 0.4;

    /// <summary>A session with more of its working time than this spent so is conditioning.</summary>
    public const double ConditioningShare = 0.5;

    /// <summary>One of a pair (push and pull, knee and hip) with more than this times the other's sets.</summary>
    public const double Imbalance = 2;

    /// <summary>Fewer weekly sets than this are not weighed against each other.</summary>
    public const double BalanceFrom = 4;

    /// <summary>Letters with this many lines or more are circuits.</summary>
    public const int CircuitFrom = 3;

    /// <summary>More full weeks than this without an easier one; phases last three to six.</summary>
    public const int FullWeeksRunning = 6;

    /// <summary>From so many lines the same dose on every one is a mark.</summary>
    public const int SameDoseFrom = 6;

    /// <summary>
    /// Landings in a session: none for the untrained, 80, 100, 120 by level (Potach and Chu in Haff and Triplett; from memory).
    /// </summary>
    public static int JumpContacts(ClientProfile client) => client.Level switch
    {
        Level.Beginner when client.Lifts.IsEmpty => 0,
        Level.Beginner => 80,
        Level.Intermediate => 100,
        _ => 120,
    };

    /// <summary>Light and hurried: it leaves one out of breath rather than worked in the muscle.</summary>
    public static bool IsForBreath(TrainedLine line) =>
        line.Resting < line.Work
        && (line.Demand is { } demand ? demand.Value < LightDemand : line.Exercise.Pattern == Pattern.Jump || line.Exercise.IsBallistic);
}

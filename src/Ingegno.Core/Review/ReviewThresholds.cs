using Ingegno.Core.Clients;
using Ingegno.Core.Exercises;

namespace Ingegno.Core.Review;

/// <summary>The marks from which the review speaks up, the coach's to move. Common practice unless a source stands here.</summary>
public sealed record ReviewThresholds
{
    public static ReviewThresholds Default { get; } = new();

    /// <summary>More hard sets than this for one muscle group in a session pile up.</summary>
    public double HardSetsInSession { get; init; } = 10;

    /// <summary>Weekly effective sets from which a muscle grows (Schoenfeld et al. 2017, J Sports Sci 35:1073-1082; from memory).</summary>
    public double LeastToGrow { get; init; } = 10;

    /// <summary>More weekly effective sets than this outrun recovery.</summary>
    public double MostInWeek { get; init; } = 20;

    /// <summary>
    /// Of the former sets, what keeps a muscle with intensity kept (Bickel et al. 2011, Med Sci Sports Exerc 43:1177-1187; from memory).
    /// </summary>
    public double ShareToKeep { get; init; } = 1.0 / 3;

    /// <inheritdoc cref="ShareToKeep"/>
    public double ShareToKeepOverSixty { get; init; } = 0.5;

    /// <summary>More repetitions than this expected in a set want a harder variation.</summary>
    public int RepetitionsInSet { get; init; } = 30;

    /// <summary>Work at a demand under this, with less rest than work, trains the breath and not the muscle.</summary>
    public double LightDemand { get; init; } = 0.4;

    /// <summary>A session with more of its working time than this spent so is conditioning.</summary>
    public double ConditioningShare { get; init; } = 0.5;

    /// <summary>One of a pair (push and pull, knee and hip) with more than this times the other's sets.</summary>
    public double Imbalance { get; init; } = 2;

    /// <summary>Fewer weekly sets than this are not weighed against each other.</summary>
    public double BalanceFrom { get; init; } = 4;

    /// <summary>Letters with this many lines or more are circuits.</summary>
    public int CircuitFrom { get; init; } = 3;

    /// <summary>More full weeks than this without an easier one; phases last three to six.</summary>
    public int FullWeeksRunning { get; init; } = 6;

    /// <summary>From so many lines the same dose on every one is a mark.</summary>
    public int SameDoseFrom { get; init; } = 6;

    /// <summary>A line under this fit is looked at before a moved programme is sent.</summary>
    public double PoorFit { get; init; } = 0.6;

    /// <summary>Landings in a session (Potach and Chu in Haff and Triplett; from memory); a beginner without a known lift is untrained.</summary>
    public int LandingsUntrained { get; init; }

    /// <inheritdoc cref="LandingsUntrained"/>
    public int LandingsBeginner { get; init; } = 80;

    /// <inheritdoc cref="LandingsUntrained"/>
    public int LandingsIntermediate { get; init; } = 100;

    /// <inheritdoc cref="LandingsUntrained"/>
    public int LandingsAdvanced { get; init; } = 120;

    /// <summary>Keeping what there is takes more of the former sets past this age, in years.</summary>
    private const int Old = 60;

    internal static bool IsOld(ClientProfile client, DateOnly today) => client.AgeOn(today) > Old;

    /// <summary>Of the former sets, what keeps this client's muscle.</summary>
    public double ToKeep(ClientProfile client, DateOnly today) => IsOld(client, today) ? ShareToKeepOverSixty : ShareToKeep;

    /// <summary>Landings a session of this client may hold.</summary>
    public int Landings(ClientProfile client) => client.Level switch
    {
        Level.Beginner when client.Lifts.IsEmpty => LandingsUntrained,
        Level.Beginner => LandingsBeginner,
        Level.Intermediate => LandingsIntermediate,
        _ => LandingsAdvanced,
    };

    /// <summary>Light and hurried: it leaves one out of breath rather than worked in the muscle.</summary>
    public bool IsForBreath(TrainedLine line) =>
        line.Resting < line.Work
        && (line.Demand is { } demand ? demand.Value < LightDemand : line.Exercise.Pattern == Pattern.Jump || line.Exercise.IsBallistic);
}

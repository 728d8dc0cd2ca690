using System.Collections.Immutable;
using Ingegno.Core.Anatomy;
using Ingegno.Core.Substitution;

namespace Ingegno.Core.Weeks;

/// <summary>One way to do a line of the week; all of them passed safety, room, kit, screens and bans already.</summary>
/// <param name="Exercise">Catalogue id.</param>
/// <param name="Class">What kind of stand-in it is: no gain anywhere pays for a worse one.</param>
/// <param name="Fit">0 to 1; inside a class no option is worth more than one listed before it.</param>
/// <param name="Has">The qualities a week may miss: see <see cref="WeekQualities"/>.</param>
/// <param name="SetUp">What has to be put up for it: an implement, an anchor; null for nothing.</param>
/// <param name="Setting">How that is set: a load or a length. Two halves of a group may share a set-up only at one setting.</param>
/// <param name="TenthSets">Effective sets it counts for each muscle group, in tenths.</param>
/// <param name="Seconds">Work and rests, both sides.</param>
public sealed record WeekOption(
    string Exercise, CandidateClass Class, double Fit, ImmutableHashSet<string> Has, string? SetUp, string? Setting, ImmutableDictionary<MuscleGroup, int> TenthSets, int Seconds);

/// <summary>A line of the week with the ways to do it, best first.</summary>
/// <param name="Line">Line number in the text.</param>
/// <param name="Session">From 0.</param>
/// <param name="Written">Catalogue id the line is written as: lines written otherwise never take one exercise in a session.</param>
/// <param name="Group">Letter of its superset; null where it stands alone.</param>
/// <param name="Options">At least one; a pinned line has just one.</param>
public sealed record WeekSlot(int Line, int Session, string Written, Role Role, string? Group, ImmutableArray<WeekOption> Options)
{
    /// <summary>The best kind of stand-in the line can have here.</summary>
    public CandidateClass BestClass => Options.Min(o => o.Class);

    /// <summary>Nothing to choose: pinned, or the only way there is. Kept where the options are narrowed later.</summary>
    public bool IsFixed { get; init; } = Options.Length == 1;
}

/// <summary>Weekly effective sets a muscle group should get, in tenths.</summary>
public sealed record WeekBand(MuscleGroup Group, int Least, int Most);

/// <summary>One choice a slot over all sessions at once: what is chosen among, and what a choice is worth.</summary>
/// <param name="Slots">In order of sessions and lines.</param>
/// <param name="Sessions">How many.</param>
/// <param name="MostSeconds">A session may take; null for no limit.</param>
/// <param name="FollowingDays">Pairs of sessions on days that follow each other.</param>
/// <param name="Wanted">What the written week has and should not be lost.</param>
public sealed record WeekModel(
    ImmutableArray<WeekSlot> Slots, int Sessions, int? MostSeconds, ImmutableArray<(int First, int Next)> FollowingDays,
    ImmutableArray<WeekBand> Bands, ImmutableArray<WeekQuality> Wanted)
{
    /// <summary>What a choice gains and costs.</summary>
    public WeekPrices Prices { get; init; } = WeekPrices.Default;

    /// <summary>Seconds of warm-up and cool-down, a session each; empty for none.</summary>
    public ImmutableArray<int> Around { get; init; } = [];

    /// <summary>Setting up each line, and going from one to the next where they are no group.</summary>
    public const int SecondsALine = 30, SecondsBetween = 45;

    /// <summary>Neighbouring slots of one session.</summary>
    public IEnumerable<(int First, int Next)> Neighbours =>
        from i in Enumerable.Range(1, Math.Max(0, Slots.Length - 1))
        where Slots[i].Session == Slots[i - 1].Session
        select (i - 1, i);

    /// <summary>More than all points of a week: a step down a class outweighs whatever else is gained.</summary>
    public const long ClassStep = 10_000_000;

    /// <summary>Steps below the best class the line can have here, times its role.</summary>
    public int StepsDown(WeekSlot slot, WeekOption option) => (option.Class - slot.BestClass) * Prices.Of(slot.Role);

    /// <summary>Only what is of the best class on every line: where a week can be made of it, the best week is.</summary>
    public WeekModel OfTheBestClasses() => this with { Slots = [.. Slots.Select(s => s with { Options = [.. s.Options.Where(o => o.Class == s.BestClass)] })] };

    /// <summary>The best option everywhere and nothing taken off: no choice is worth more.</summary>
    public long MostPossible => Slots.Sum(s => (long)s.Options.Max(o => FitOf(s, o)));

    /// <summary>Points an option earns in a slot.</summary>
    public int FitOf(WeekSlot slot, WeekOption option) => (int)Math.Round(option.Fit * WeekPrices.WholeFit * Prices.Of(slot.Role));

    /// <summary>
    /// Two lines of a session that cannot be done so: halves of a group that want one implement or anchor set two ways at once, or one exercise
    /// where it was written once. What a coach fixed on both lines is left.
    /// </summary>
    public static bool Clash(WeekSlot a, WeekOption with, WeekSlot b, WeekOption other) =>
        a.Session == b.Session && (WantOneThingTwoWays(a, with, b, other) || (with.Exercise == other.Exercise && a.Written != b.Written && !(a.IsFixed && b.IsFixed)));

    private static bool WantOneThingTwoWays(WeekSlot a, WeekOption with, WeekSlot b, WeekOption other) =>
        a.Group is not null && a.Group == b.Group && with.SetUp is not null && with.SetUp == other.SetUp && with.Setting != other.Setting;

    /// <summary>Seconds a session takes before its lines' own: setting up and changing over.</summary>
    public int Overhead(int session)
    {
        WeekSlot[] own = [.. Slots.Where(s => s.Session == session)];
        int changes = own.Zip(own.Skip(1)).Count(p => p.First.Group is null || p.First.Group != p.Second.Group);
        return (own.Length * SecondsALine) + (changes * SecondsBetween) + (session < Around.Length ? Around[session] : 0);
    }
}

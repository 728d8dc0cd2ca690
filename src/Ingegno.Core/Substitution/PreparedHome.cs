using System.Collections.Immutable;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Loads;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Substitution;

/// <summary>A home with its ladders worked out once, and the day it is used.</summary>
public sealed class PreparedHome(Home home, DateOnly today)
{
    /// <summary>A wall is everywhere and needs no entry.</summary>
    private static readonly Fixture Wall = new()
    {
        Id = "wall",
        Name = "Wall",
        Kind = FixtureKind.Wall,
        Height = Length.FromMetres(2),
    };

    public Home Home { get; } = home;

    public DateOnly Today { get; } = today;

    public ImmutableArray<HeldImplement> Implements { get; } = HomeLadders.Of(home);

    public ImmutableArray<Fixture> Fixtures { get; } = [.. home.Fixtures, Wall];

    public ImmutableArray<Band> Bands { get; } = [.. home.Kit.OfType<Band>().Where(b => b.Count > 0)];

    private readonly Dictionary<(BandRun, Length), LoadLadder> _beside = [];

    /// <summary>What the bands here give beside a weight, for a body of this stature.</summary>
    public LoadLadder BandsBeside(BandRun run, Length stature)
    {
        if (!_beside.TryGetValue((run, stature), out var ladder))
        {
            _beside[(run, stature)] = ladder = BandLadder.For(Bands, run, stature, null, Home.Room.FloorLengthOrUsual()).Offered();
        }

        return ladder;
    }

    /// <summary>A foot helps as much as the count needs where no scale tells how much that is.</summary>
    public bool HelpsByFeel(Exercise exercise) => exercise.Holds is [Hold.FootOnScale] && Implements.All(i => i.Hold != Hold.FootOnScale);

    /// <summary>The strap that hangs lowest of those whose strength is known; null without one.</summary>
    public Straps? Straps { get; } = home.Kit.OfType<Straps>().Where(s => s.Bears is not null).MaxBy(s => s.LongestDrop);
}

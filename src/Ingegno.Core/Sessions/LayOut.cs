using System.Collections.Immutable;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Programmes;

namespace Ingegno.Core.Sessions;

/// <summary>A thing put out before the session starts.</summary>
/// <param name="Thing">"Rucksack".</param>
/// <param name="Settings">How it is set, in the order it is used: packed first, then emptied. Empty for things used as they are.</param>
public sealed record LaidOut(string Thing, ImmutableArray<string> Settings);

/// <summary>"Put out before you start": everything the session needs, in the order it is first used.</summary>
public static class LayOut
{
    /// <param name="lines">As trained.</param>
    public static ImmutableArray<LaidOut> For(IEnumerable<Prescription> lines, Home home, Catalogue catalogue)
    {
        var things = new List<(string Thing, string? Setting)>();
        foreach (var line in lines)
        {
            var exercise = catalogue[line.Exercise];
            things.AddRange(UsedThings.Of(line, home).Select(u => (u.Item.Name, u.Setting.Length > 0 ? u.Setting : null)));

            foreach (var support in line.Supports)
            {
                if (home.Fixtures.FirstOrDefault(f => f.Id == support.Fixture) is { Kind: not FixtureKind.Wall } fixture)
                {
                    things.Add((fixture.Name, support.Height < fixture.Height ? $"strap at {support.Height.Metres * 100:0} cm" : null));
                    if (support.Height < fixture.Height && home.Kit.OfType<Straps>().FirstOrDefault() is { } straps)
                    {
                        things.Add((straps.Name, null));
                    }
                }
            }

            if (exercise.Room.SlidingFloor && home.Kit.OfType<Sliders>().FirstOrDefault() is { } sliders)
            {
                things.Add((sliders.Name, null));
            }

            if (exercise.WantsMiniBand && home.Kit.OfType<Band>().FirstOrDefault(b => b.Shape == BandShape.MiniLoop) is { } mini)
            {
                things.Add((mini.Name, null));
            }
        }

        return [.. things.GroupBy(t => t.Thing).Select(g => new LaidOut(g.Key, [.. g.Select(t => t.Setting).OfType<string>().Distinct()]))];
    }
}

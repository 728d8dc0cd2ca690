using System.Collections.Immutable;
using Ingegno.Core.Homes;

namespace Ingegno.Core.Exercises;

/// <summary>Checks the exercises a coach added.</summary>
public static class OwnExerciseProblems
{
    private const int Most = 200, LongestName = 60, MostNames = 10, MostSteps = 8, LongestStep = 160;

    /// <summary>Every problem with its place in the list; empty when all can be used.</summary>
    public static IEnumerable<InputProblem> Of(ImmutableArray<OwnExercise> own)
    {
        if (own.Length > Most)
        {
            return [new("", $"At most {Most} exercises of your own.")];
        }

        var twice = own.GroupBy(o => o.Id, StringComparer.Ordinal).Where(g => g.Count() > 1).Select(g => g.Key).ToHashSet(StringComparer.Ordinal);
        var taken = own.Where(o => !o.IsRetired && o.Name is not null && !o.AlsoCalled.IsDefault)
            .SelectMany(o => o.AlsoCalled.Prepend(o.Name).Select(NameMatch.Normalise).Distinct(StringComparer.Ordinal))
            .GroupBy(n => n, StringComparer.Ordinal).Where(g => g.Count() > 1).Select(g => g.Key).ToHashSet(StringComparer.Ordinal);
        return own.SelectMany((o, i) => One(o, twice, taken).Select(p => p with { Path = $"[{i}].{p.Path}" }));
    }

    /// <summary>What was taken out: sets may have been logged with it, so it is retired instead.</summary>
    public static IEnumerable<InputProblem> Missing(ImmutableArray<OwnExercise> before, ImmutableArray<OwnExercise> after) =>
        before.Where(b => after.All(a => a.Id != b.Id))
            .Select(b => new InputProblem("", $"{b.Name} cannot be taken out, as sets may have been logged with it: retire it instead."));

    private static IEnumerable<InputProblem> One(OwnExercise own, HashSet<string> twice, HashSet<string> taken)
    {
        if (!own.Id.StartsWith(OwnExercise.Mark, StringComparison.Ordinal) || own.Id.Length is < 5 or > 80
            || !own.Id.All(c => char.IsAsciiLetterLower(c) || char.IsAsciiDigit(c) || c == '-'))
        {
            yield return new("id", $"An id is \"{OwnExercise.Mark}\" and small letters, figures and hyphens.");
        }
        else if (twice.Contains(own.Id))
        {
            yield return new("id", $"The id \"{own.Id}\" is used twice.");
        }

        foreach (var (name, path) in own.AlsoCalled.Select((n, i) => (n, $"alsoCalled[{i}]")).Prepend((own.Name, "name")))
        {
            if (Wrong(name) is { } wrong)
            {
                yield return new(path, wrong);
            }
            else if (!own.IsRetired && Catalogue.Shipped.Named(name) is { } known)
            {
                yield return new(path, $"\"{name}\" is {(known.Name.Equals(name, StringComparison.OrdinalIgnoreCase) ? "in the catalogue" : $"what the catalogue calls {known.Name}")} already: give another name.");
            }
            else if (!own.IsRetired && taken.Contains(NameMatch.Normalise(name)))
            {
                yield return new(path, $"Two exercises of yours are called \"{name}\": give one another name.");
            }
        }

        if (own.AlsoCalled.Length > MostNames)
        {
            yield return new("alsoCalled", $"At most {MostNames} other names.");
        }

        if (Catalogue.Shipped.Find(own.Like) is not { IsSlot: false } like)
        {
            yield return new("like", "Say which exercise of the catalogue it is like: choose one from the list.");
            yield break;
        }

        if (own.Muscles is { } muscles && (muscles.Count == 0 || muscles.Values.Any(w => w is not (> 0 and <= 1)) || muscles.Values.Max() < 0.8))
        {
            yield return new("muscles", "Each muscle counts above 0 and at most 1, and one at least 0.8: the one it is done for.");
        }

        if (own.Test is { } test && (test.Put.Kilograms is not (>= 0.5 and <= 500) || test.Arrives.Kilograms <= 0 || test.Arrives > test.Put))
        {
            yield return new("test", "Put 0.5 to 500 kg on and read the scale where the body presses or pulls: more than nothing arrives, and no more than was put on.");
        }

        if (own.Strength is { } strength && strength is not (>= 0.2 and <= 2))
        {
            yield return new("strength", "What is lifted in it lies between 20 and 200 percent of what is lifted in the other.");
        }

        if (own.Skill is { } skill && skill is < 1 or > 4)
        {
            yield return new("skill", "Skill goes from 1, anybody, to 4, very trained.");
        }

        if ((own.NeedsLoad ?? like.NeedsLoad) && (own.Holds ?? like.Holds).IsEmpty && like.Band is null && like.Setting != Setting.Gym)
        {
            yield return new("holds", "It is nothing without a load: say how one is held.");
        }

        if (own.NeedsLoad == false && like is { NeedsLoad: true, Load.Body: BodyModel.None, IsForecast: true })
        {
            yield return new("needsLoad", $"Of the body nothing is lifted in it, as in the {like.Name.ToLowerInvariant()}: without a load it is nothing. Leave this as there, or say another exercise it is like.");
        }

        if (own.Joints is { } joints && (joints.Any(j => j.Level is < 1 or > 3) || joints.DistinctBy(j => j.Joint).Count() != joints.Length))
        {
            yield return new("joints", "Name each joint once, from 1, a little, to 3, hard.");
        }

        // What carries the body or a band is checked before it is used, so it has to be named.
        if (own.Fixtures is { IsDefault: false } other
            && like.Fixtures.Where(f => Carries(f.Role, like)).Select(f => (FixtureRole?)f.Role).FirstOrDefault(r => other.All(f => f.Role != r)) is { } missing)
        {
            yield return new("fixtures", $"As in the {like.Name.ToLowerInvariant()} something carries the body or holds the band ({missing.ToString().ToLowerInvariant()}): say which fixture, so that it is checked.");
        }

        foreach (var problem in (own.Fixtures ?? []).SelectMany((f, i) => Of(f).Select(m => new InputProblem($"fixtures[{i}]", m))))
        {
            yield return problem;
        }

        if (own.Cues is { } cues && (cues.Length is < 3 or > MostSteps || cues.Any(IsNoStep)))
        {
            yield return new("cues", $"Give 3 to {MostSteps} cues of 1 to {LongestStep} letters.");
        }

        if (own.SetUp is { } setUp && (setUp.Length is < 1 or > MostSteps || setUp.Any(IsNoStep)))
        {
            yield return new("setUp", $"Give 1 to {MostSteps} steps of 1 to {LongestStep} letters.");
        }
    }

    private static bool Carries(FixtureRole role, Exercise like) =>
        role is FixtureRole.Grip or FixtureRole.Anchor || (role == FixtureRole.Hands && like.Load.Body == BodyModel.Hands);

    private static IEnumerable<string> Of(OwnFixture fixture)
    {
        if (fixture.Kinds.IsDefaultOrEmpty)
        {
            yield return "Say which kinds of fixture will do.";
        }

        if (fixture.Lowest.Fraction < 0 || fixture.Highest.Fraction > 2 || fixture.Lowest > fixture.Highest)
        {
            yield return "The heights go from the lower to the higher, 0 to twice the stature.";
        }
    }

    private static string? Wrong(string? name) =>
        string.IsNullOrWhiteSpace(name) || name.Length > LongestName || !name.Any(char.IsLetter) || name.Any(char.IsControl)
            ? $"A name has 1 to {LongestName} characters, letters among them."
            : char.IsDigit(name.TrimStart()[0]) ? "A name begins with a word: a figure would be read as sets." : null;

    private static bool IsNoStep(string? step) => string.IsNullOrWhiteSpace(step) || step.Length > LongestStep || step.Any(char.IsControl);
}

using Ingegno.Core.Quantities;

namespace Ingegno.Core.Homes;

/// <summary>Something entered about a home that cannot be computed with.</summary>
/// <param name="Path">Where, in the names of the case file: "kit[0].plates[2].mass".</param>
/// <param name="Message">What is wrong and what to do.</param>
public sealed record InputProblem(string Path, string Message);

/// <summary>Checks what a person entered about a home, before anything is computed or saved.</summary>
public static class HomeProblems
{
    private static readonly Mass MostOfOnePiece = Mass.FromKilograms(500);
    private const int MostPieces = 200;
    private const int MostItems = 100;

    /// <summary>Every problem with its place; empty when the home can be used.</summary>
    public static IReadOnlyList<InputProblem> Of(Home home)
    {
        var problems = new List<InputProblem>();
        if (home.Fixtures.Length > MostItems || home.Kit.Length > MostItems)
        {
            problems.Add(new("kit", $"A place holds at most {MostItems} fixtures and {MostItems} things: split it into two places."));
            return problems;
        }

        if (string.IsNullOrWhiteSpace(home.Name) || home.Name.Length > 80)
        {
            problems.Add(new("name", "Give the place a name of 1 to 80 letters."));
        }

        RoomProblems(home.Room, problems);
        DuplicateIds(home.Fixtures.Select(f => f.Id), "fixtures", problems);
        DuplicateIds(home.Kit.Select(k => k.Id), "kit", problems);
        for (int i = 0; i < home.Fixtures.Length; i++)
        {
            FixtureProblems(home.Fixtures[i], $"fixtures[{i}]", problems);
        }

        for (int i = 0; i < home.Kit.Length; i++)
        {
            KitProblems.Add(home.Kit[i], $"kit[{i}]", problems);
        }

        return problems;
    }

    private static void RoomProblems(Room room, List<InputProblem> problems)
    {
        Between(room.Headroom, 1.0, 20, "room.headroom", "Headroom", problems);
        Between(room.FloorLength, 0.5, 100, "room.floorLength", "Clear floor length", problems);
        Between(room.FloorWidth, 0.3, 100, "room.floorWidth", "Clear floor width", problems);
    }

    private static void Between(
        Length? length, double from, double to, string path, string what, List<InputProblem> problems)
    {
        if (length is { } given && !(given.Metres >= from && given.Metres <= to))
        {
            problems.Add(new(path, $"{what} of {given.Metres:0.##} m cannot be right: give metres between {from} and {to}."));
        }
    }

    private static void DuplicateIds(IEnumerable<string> ids, string path, List<InputProblem> problems)
    {
        foreach (var twice in ids.GroupBy(id => id).Where(g => g.Count() > 1))
        {
            problems.Add(new(path, $"Two entries share the id \"{twice.Key}\": each needs its own."));
        }
    }

    private static void FixtureProblems(Fixture fixture, string path, List<InputProblem> problems)
    {
        Named(fixture.Name, path, problems);
        if (!(fixture.Height.Metres is > 0 and <= 6))
        {
            problems.Add(new(path + ".height", $"{fixture.Name}: give its height above the floor, between 1 cm and 6 m."));
        }

        if (fixture.BackHeight is { } back && !(back > fixture.Height && back.Metres <= 3))
        {
            problems.Add(new(path + ".backHeight", $"{fixture.Name}: its back stands above its seat and under 3 m, or is left empty."));
        }

        Counted(fixture.Count, path + ".count", problems);
        if (fixture.Bears is { } bears && !(bears.Kilograms is > 0 and <= 5000))
        {
            problems.Add(new(path + ".bears", $"{fixture.Name}: what it may carry must be above 0 kg, or left empty when unknown."));
        }
    }

    internal static void Named(string name, string path, List<InputProblem> problems)
    {
        if (string.IsNullOrWhiteSpace(name) || name.Length > 80)
        {
            problems.Add(new(path + ".name", "Give it a name of 1 to 80 letters, the one the client uses."));
        }
    }

    internal static void Weighed(Mass mass, string path, string name, List<InputProblem> problems)
    {
        if (!(mass.Kilograms >= 0.001 && mass <= MostOfOnePiece))
        {
            problems.Add(new(path, $"{name}: a piece weighs between 1 g and 500 kg, not {mass.Kilograms:0.###} kg."));
        }
    }

    internal static void NotNegative(Mass mass, string path, string name, List<InputProblem> problems)
    {
        if (!(mass >= Mass.Zero && mass <= MostOfOnePiece))
        {
            problems.Add(new(path, $"{name}: a mass lies between 0 and 500 kg, not {mass.Kilograms:0.###} kg."));
        }
    }

    internal static void Counted(int count, string path, List<InputProblem> problems)
    {
        if (count is < 0 or > MostPieces)
        {
            problems.Add(new(path, $"A count lies between 0 and {MostPieces}, not {count}."));
        }
    }
}

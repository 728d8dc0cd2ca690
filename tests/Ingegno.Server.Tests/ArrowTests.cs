using System.Reflection;
using Ingegno.Core.Exercises;
using Ingegno.Formats.ProgrammeText;
using Ingegno.Simulation;
using Ingegno.Solving;
using Ingegno.Storage;

namespace Ingegno.Server.Tests;

/// <summary>Arrows run one way: the server to everything, storage and formats to the core, the core to nothing of ours.</summary>
public class ArrowTests
{
    [Theory]
    [InlineData(typeof(Catalogue), new string[0])]
    [InlineData(typeof(ProgrammeReader), new[] { "Ingegno.Core" })]
    [InlineData(typeof(Database), new[] { "Ingegno.Core" })]
    [InlineData(typeof(SimulatedDevices), new[] { "Ingegno.Core" })]
    [InlineData(typeof(WeekSolver), new[] { "Ingegno.Core" })]
    public void Nobody_refers_upwards(Type inside, string[] allowed) =>
        Referred(inside.Assembly).Where(n => n.StartsWith("Ingegno.", StringComparison.Ordinal)).Except(allowed).ShouldBeEmpty();

    [Theory]
    [InlineData("Microsoft.AspNetCore")]
    [InlineData("Microsoft.Extensions")]
    [InlineData("Microsoft.Data")]
    [InlineData("System.Data")]
    [InlineData("System.Net")]
    [InlineData("System.Console")]
    public void The_core_knows_no_web_no_database_and_no_console(string forbidden) =>
        Referred(typeof(Catalogue).Assembly).ShouldNotContain(n => n.StartsWith(forbidden, StringComparison.Ordinal));

    /// <summary>Time and chance come in as arguments, files not at all.</summary>
    [Theory]
    [InlineData("DateTime.Now")]
    [InlineData("DateTime.UtcNow")]
    [InlineData("DateTimeOffset.")]
    [InlineData("TimeProvider")]
    [InlineData("new Random")]
    [InlineData("Random.Shared")]
    [InlineData("Guid.NewGuid")]
    [InlineData("File.")]
    public void The_core_reads_no_clock_no_chance_and_no_file(string forbidden) =>
        Directory.EnumerateFiles(Path.Combine(Repository.Root, "src", "Ingegno.Core"), "*.cs", SearchOption.AllDirectories)
            .Where(file => File.ReadAllText(file).Contains(forbidden, StringComparison.Ordinal))
            .ShouldBeEmpty();

    /// <summary>Stand-ins use other laws than the core: of it they know quantities only.</summary>
    [Fact]
    public void The_simulation_knows_the_cores_quantities_only() =>
        Directory.EnumerateFiles(Path.Combine(Repository.Root, "src", "Ingegno.Simulation"), "*.cs", SearchOption.AllDirectories)
            .Where(f => !f.Contains("/obj/", StringComparison.Ordinal))
            .SelectMany(File.ReadLines)
            .Where(line => line.StartsWith("using Ingegno.", StringComparison.Ordinal))
            .ShouldAllBe(line => line == "using Ingegno.Core.Quantities;");

    private static IEnumerable<string> Referred(Assembly assembly) => assembly.GetReferencedAssemblies().Select(a => a.Name!);
}

/// <summary>The project's own folder, found upwards from the tests.</summary>
internal static class Repository
{
    internal static string Root { get; } = Find(AppContext.BaseDirectory);

    private static string Find(string folder) =>
        File.Exists(Path.Combine(folder, "Ingegno.slnx")) ? folder : Find(Path.GetDirectoryName(folder)!);
}

using System.Runtime.CompilerServices;
using System.Text.Json;
using System.Text.Json.Nodes;
using Ingegno.Formats.Schemas;
using NJsonSchema;

namespace Ingegno.Formats.Tests;

/// <summary>The published schemas are those of the types, and every shipped file keeps to them, judged by a schema library.</summary>
public class PublishedSchemaTests
{
    private static readonly JsonSerializerOptions Indented = new() { WriteIndented = true };

    private static readonly string Root = Path.GetFullPath(Path.Combine(Here(), "../.."));

    public static TheoryData<string, string> Published => new()
    {
        { "catalogue", PublishedSchema.Catalogue.ToJsonString() },
        { "drills", PublishedSchema.Drills.ToJsonString() },
        { "case-file", PublishedSchema.CaseFile.ToJsonString() },
    };

    /// <summary>With INGEGNO_WRITE_SCHEMAS=1 they are written anew.</summary>
    [Theory]
    [MemberData(nameof(Published))]
    public async Task The_published_schema_is_the_one_of_the_types(string name, string made)
    {
        string path = Path.Combine(Root, "docs", $"{name}.schema.json");
        if (Environment.GetEnvironmentVariable("INGEGNO_WRITE_SCHEMAS") == "1")
        {
            await File.WriteAllTextAsync(path, JsonNode.Parse(made)!.ToJsonString(Indented) + "\n", TestContext.Current.CancellationToken);
        }

        JsonNode.DeepEquals(
            JsonNode.Parse(await File.ReadAllTextAsync(path, TestContext.Current.CancellationToken)), JsonNode.Parse(made)).ShouldBeTrue();
    }

    [Theory]
    [InlineData("catalogue", "src/Ingegno.Core/Exercises/Data", 19)]
    [InlineData("drills", "src/Ingegno.Core/Exercises/Drills", 3)]
    [InlineData("case-file", "src/Ingegno.Server/Demo", 6)]
    public async Task Every_shipped_file_keeps_to_its_schema(string name, string folder, int atLeast)
    {
        var schema = await JsonSchema.FromFileAsync(Path.Combine(Root, "docs", $"{name}.schema.json"), TestContext.Current.CancellationToken);
        string[] files = Directory.GetFiles(Path.Combine(Root, folder), "*.json");
        files.Length.ShouldBeGreaterThanOrEqualTo(atLeast);
        foreach (string file in files)
        {
            schema.Validate(await File.ReadAllTextAsync(file, TestContext.Current.CancellationToken))
                .Select(e => $"{Path.GetFileName(file)} {e.Path}: {e.Kind}").ShouldBeEmpty();
        }
    }

    [Fact]
    public async Task A_misspelt_field_is_found()
    {
        var schema = await JsonSchema.FromFileAsync(Path.Combine(Root, "docs/catalogue.schema.json"), TestContext.Current.CancellationToken);
        schema.Validate("""{ "family": "rows", "exercises": [ { "id": "x", "nmae": "X" } ] }""").ShouldNotBeEmpty();
        schema.Validate("""{ "family": "nonsense", "exercises": [] }""").ShouldNotBeEmpty();
    }

    private static string Here([CallerFilePath] string path = "") => Path.GetDirectoryName(path)!;
}

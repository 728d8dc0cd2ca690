using System.Text;
using System.Text.Json;
using Ingegno.Formats.CaseFiles;

namespace Ingegno.Formats.Tests;

public class CaseFileTests
{
    private const string Small = """
        {
          "format": "ingegno-case", "version": 1,
          "client": { "name": "Somebody", "bodyMass": 71.5, "stature": 1.7, "lifts": [ { "exercise": "back-squat", "load": 60, "repetitions": 5 } ] },
          "home": { "kit": [ { "contents": [ { "name": "book", "mass": 0.855, "count": 2 } ], "kind": "container", "id": "bag", "name": "Bag" } ] },
          "programme": "Back squat 3x5",
          "colour": "kept"
        }
        """;

    [Fact]
    public void Goes_out_and_in_unchanged_with_fields_it_does_not_know()
    {
        var first = Parse(Small);
        first.Home.Kit[0].Name.ShouldBe("Bag");
        string written = first.ToJson();
        written.ShouldContain("\"colour\":\"kept\"");
        Parse(written).ToJson().ShouldBe(written);
    }

    [Theory]
    [InlineData("\"version\": 1", "\"version\": 7", "version")]
    [InlineData("ingegno-case", "something-else", "ingegno-case")]
    [InlineData("71.5", "\"heavy\"", "$.client.bodyMass")]
    [InlineData("\"container\"", "\"spaceship\"", "kit")]
    public void A_wrong_file_is_refused_with_its_place(string from, string to, string says) =>
        Should.Throw<JsonException>(() => Parse(Small.Replace(from, to, StringComparison.Ordinal))).Message.ShouldContain(says);

    private static CaseFile Parse(string json) => CaseFile.Parse(new MemoryStream(Encoding.UTF8.GetBytes(json)));
}

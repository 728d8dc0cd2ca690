using Microsoft.Extensions.Configuration;

namespace Ingegno.Server.Tests;

/// <summary>What the environment says is taken as meant, or refused by name with what to give.</summary>
public class SettingsTests
{
    [Theory]
    [InlineData("INGEGNO_PROXIES", "10.0.0.2, gateway", "\"gateway\", which is no address: give addresses such as 10.0.0.2")]
    [InlineData("INGEGNO_NOW", "tomorrow", "\"tomorrow\", which is no instant: give one such as")]
    [InlineData("INGEGNO_PUBLIC_URL", "coach.example", "which no link can begin with: give an address such as https://")]
    [InlineData("INGEGNO_PUBLIC_URL", "file:///etc", "which no link can begin with")]
    [InlineData("PORT", "http", "\"http\", which is no port")]
    [InlineData("PORT", "70000", "\"70000\", which is no port")]
    [InlineData("OTEL_EXPORTER_OTLP_ENDPOINT", "collector", "\"collector\", which nothing can be sent to: give an address such as http://")]
    [InlineData("INGEGNO_LONGEST_WORK", "0", "\"0\": give seconds, over 0 and up to 600")]
    [InlineData("INGEGNO_LONGEST_WORK", "soon", "\"soon\": give seconds")]
    [InlineData("INGEGNO_DEMO", "yes", "\"yes\": give 1, members or 0")]
    public void What_cannot_be_meant_is_named_with_what_to_give(string name, string value, string told)
    {
        string message = Should.Throw<SettingsError>(() => From((name, value))).Message;
        message.ShouldStartWith(name);
        message.ShouldContain(told);
    }

    [Fact]
    public void Left_out_and_empty_are_the_usual()
    {
        From().PublicUrl.ShouldBe("http://127.0.0.1:5080");
        From(("PORT", "6000")).PublicUrl.ShouldBe("http://127.0.0.1:6000");
        From(("INGEGNO_PUBLIC_URL", "https://coach.example/"), ("PORT", "6000")).PublicUrl.ShouldBe("https://coach.example");
        From(("INGEGNO_DEMO", ""), ("INGEGNO_PROXIES", " "), ("INGEGNO_NOW", "")).Proxies.ShouldBeEmpty();
    }

    private static Settings From(params (string Name, string Value)[] given) =>
        Settings.From(new ConfigurationBuilder().AddInMemoryCollection(given.ToDictionary(g => g.Name, g => (string?)g.Value)).Build());
}

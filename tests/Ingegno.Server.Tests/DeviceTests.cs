using System.Net;
using System.Text;
using Ingegno.Core.Homes;
using Ingegno.Core.Loads;
using Ingegno.Core.Quantities;
using Ingegno.Server.Devices;
using Ingegno.Simulation;

namespace Ingegno.Server.Tests;

/// <summary>The stand-ins behave like cheap devices, and a real one is read the same way.</summary>
public class DeviceTests
{
    private static readonly Length Rest = Length.FromMetres(1.04);

    private static double Steady(string name, double stretch) =>
        SimulatedDevices.LuggageScale(name, Rest, Rest * stretch).Where(f => f.Steady).Average(f => f.Value);

    /// <summary>
    /// The hidden bands follow Ogden 1972 (Proc R Soc A 326:565-584; from memory), another law than the one fitted: two pulls
    /// off the scale still tell the pulls between them within a tenth.
    /// </summary>
    [Theory]
    [InlineData("grey")]
    [InlineData("a stout one")]
    [InlineData("Thin red loop")]
    public void Two_readings_of_a_band_tell_what_lies_between(string name)
    {
        var curve = BandCurve.Fit(Rest, [Pull(1.5), Pull(2.5)]).Curve!;
        curve.Rough.ShouldBeFalse();
        foreach (double stretch in new[] { 1.4, 1.8, 2.1, 2.4 })
        {
            curve.At(Rest * stretch).Newtons.ShouldBe(Steady(name, stretch), Steady(name, stretch) * 0.10);
        }

        BandPull Pull(double stretch) => new(Rest * stretch, Force.FromNewtons(Steady(name, stretch)));
    }

    [Fact]
    public void The_same_band_reads_the_same_twice_and_another_one_differently()
    {
        var first = SimulatedDevices.LuggageScale("grey", Rest, Rest * 2).ToArray();
        SimulatedDevices.LuggageScale("grey", Rest, Rest * 2).ShouldBe(first);
        Math.Abs(Steady("grey", 2) - Steady("another", 2)).ShouldBeGreaterThan(1);
    }

    [Fact]
    public void Figures_rise_settle_and_keep_to_the_displays_step()
    {
        var figures = SimulatedDevices.BathroomScale("bag", Mass.FromKilograms(70)).ToArray();
        figures[0].Steady.ShouldBeFalse();
        figures[0].Value.ShouldBeLessThan(figures[^1].Value);
        figures.Select(f => f.Value * 10).ShouldAllBe(tenths => Math.Abs(tenths - Math.Round(tenths)) < 1e-6);
        var steady = figures.Where(f => f.Steady).Select(f => f.Value).ToArray();
        (steady.Max() - steady.Min()).ShouldBeLessThan(steady.Average() * 0.01);
        steady.Average().ShouldBeInRange(70 + 2, 70 + 12.5);
        SimulatedDevices.PhoneLevel("a lean").Last().Value.ShouldBeInRange(14, 66);
        SimulatedDevices.FootOnScale("a foot").Last().Value.ShouldBeInRange(7, 23);
    }

    /// <summary>A slack band pulls nothing, however long one waits.</summary>
    [Fact]
    public void A_slack_band_reads_next_to_nothing() =>
        SimulatedDevices.LuggageScale("grey", Rest, Rest).ShouldAllBe(f => f.Value < 3);

    private sealed class Canned(string body) : HttpMessageHandler
    {
        protected override Task<HttpResponseMessage> SendAsync(HttpRequestMessage request, CancellationToken cancellationToken) =>
            Task.FromResult(new HttpResponseMessage(HttpStatusCode.OK) { Content = new StringContent(body, Encoding.UTF8, "text/event-stream") });
    }

    [Fact]
    public async Task A_real_device_is_read_off_its_own_event_stream()
    {
        using var http = new HttpClient(new Canned(
            "data: {\"value\": 12.5, \"unit\": \"newton\", \"steady\": false}\n\n: a comment\n\ndata: {\"value\": 61, \"unit\": \"newton\", \"steady\": true}\n\n"));
        var device = new RemoteDevice(http, new Uri("http://127.0.0.1/readings"));
        var readings = new List<Reading>();
        await foreach (var reading in device.ReadAsync(new Measured("grey"), TestContext.Current.CancellationToken))
        {
            readings.Add(reading);
        }

        readings.ShouldBe([new Reading(12.5, "newton", false), new Reading(61, "newton", true)]);
    }
}

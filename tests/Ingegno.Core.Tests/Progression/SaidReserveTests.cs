using System.Text.Json;
using Ingegno.Core.Progression;
using Ingegno.Core.Quantities;

namespace Ingegno.Core.Tests.Progression;

public sealed class SaidReserveTests
{
    [Theory]
    [InlineData("0", 0, false, "0")]
    [InlineData("2", 2, false, "2")]
    [InlineData(" 2.5 ", 2.5, false, "2.5")]
    [InlineData("5-6", 5.5, false, "5-6")]
    [InlineData("5 – 6", 5.5, false, "5-6")]
    [InlineData("7+", 7, true, "7+")]
    [InlineData("-1", -1, false, "-1")]
    public void What_is_said_is_kept_as_said(string said, double figure, bool open, string shown)
    {
        var read = SaidReserve.Read(said)!.Value;
        (read.Figure, read.IsOpen, read.ToString()).ShouldBe((figure, open, shown));
    }

    [Theory]
    [InlineData("")]
    [InlineData("many")]
    [InlineData("6-5")]
    [InlineData("+")]
    [InlineData("1,5")]
    public void What_is_none_is_not_guessed(string said) => SaidReserve.Read(said).ShouldBeNull();

    [Fact]
    public void It_goes_through_a_file_unchanged() => (
        from least in Gen.Int[0, 20]
        from more in Gen.Int[0, 5]
        from open in Gen.Bool
        select open ? SaidReserve.OrMore(least) : SaidReserve.Between(least, least + more))
        .Sample(said => JsonSerializer.Deserialize<SaidReserve>(JsonSerializer.Serialize(said, TradeJson.Options), TradeJson.Options).ShouldBe(said));
}

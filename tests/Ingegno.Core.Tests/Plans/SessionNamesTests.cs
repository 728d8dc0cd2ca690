using Ingegno.Core.Plans;

namespace Ingegno.Core.Tests.Plans;

public sealed class SessionNamesTests
{
    private static readonly string[] Titles = ["", " ", "A", "A (2)", "Session 1", "Session 3"];

    [Fact]
    public void Two_of_one_heading_are_counted_and_one_without_gets_its_place() =>
        SessionNames.Of(["Full body", "", "Full body", "Full body (2)", " "]).ShouldBe(["Full body", "Session 2", "Full body (2)", "Full body (2) (2)", "Session 5"]);

    [Fact]
    public void No_two_are_ever_alike_and_none_is_empty() =>
        Gen.OneOf([.. Titles.Select(Gen.Const)]).Array[0, 12].Sample(titles =>
        {
            var names = SessionNames.Of([.. titles]);
            names.Length.ShouldBe(titles.Length);
            names.Distinct().Count().ShouldBe(names.Length);
            names.ShouldAllBe(n => n.Trim().Length > 0);
        });
}

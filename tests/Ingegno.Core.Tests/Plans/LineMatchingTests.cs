using Ingegno.Core.Plans;

namespace Ingegno.Core.Tests.Plans;

/// <summary>Lines of a text found again after it was changed (common practice: what a coach would call the same line).</summary>
public class LineMatchingTests
{
    private const string Before = "# Monday\ngoblet-squat 3 x 8 rest 90\npush-up 3 x 8 rest 90\n# Thursday\ngoblet-squat 2 x 12 rest 60\ndead-bug 3 x 8 rest 60";

    private static LineMatching Match(string after, string before = Before) => LineMatching.Of(Typed.Read(before), Typed.Read(after));

    [Fact]
    public void A_text_as_it_was_matches_line_by_line()
    {
        var same = Match(Before);
        same.Gone.ShouldBeEmpty();
        same.Before.ShouldAllBe(m => m.Key == m.Value.Number);
    }

    [Fact]
    public void A_line_put_before_others_moves_their_numbers_and_not_their_names()
    {
        var matched = Match("# Monday\nplank 3 x 8 rest 60\ngoblet-squat 3 x 8 rest 90\npush-up 3 x 8 rest 90\n# Thursday\ngoblet-squat 2 x 12 rest 60\ndead-bug 3 x 8 rest 60");
        matched.Before.ToDictionary(m => m.Key, m => m.Value.Number).ShouldBe(new Dictionary<int, int> { [3] = 2, [4] = 3, [6] = 5, [7] = 6 }, ignoreOrder: true);
        matched.Gone.ShouldBeEmpty();
    }

    [Fact]
    public void The_same_exercise_on_two_days_keeps_to_its_day()
    {
        var matched = Match("# Monday\ngoblet-squat 4 x 8 rest 90\n# Thursday\ngoblet-squat 2 x 10 rest 60\ndead-bug 3 x 8 rest 60");
        (matched.Before[2].Number, matched.Before[4].Number).ShouldBe((2, 5));
        matched.Gone.Select(g => g.Number).ShouldBe([3]);
    }

    [Fact]
    public void A_line_taken_to_another_day_is_the_same_line()
    {
        var matched = Match("# Monday\npush-up 3 x 8 rest 90\n# Thursday\ngoblet-squat 2 x 12 rest 60\ngoblet-squat 3 x 8 rest 90\ndead-bug 3 x 8 rest 60");
        (matched.Before[4].Number, matched.Before[5].Number).ShouldBe((5, 2));
    }

    [Fact]
    public void Another_exercise_in_its_place_is_another_line_and_knows_what_it_replaced()
    {
        var matched = Match(Before.Replace("push-up", "plank", StringComparison.Ordinal));
        matched.Before.ShouldNotContainKey(3);
        matched.Gone.Select(g => g.Number).ShouldBe([3]);
        matched.Replaced[3].Number.ShouldBe(3);
    }

    [Fact]
    public void A_session_by_another_name_is_still_the_session_at_its_place()
    {
        var matched = Match(Before.Replace("# Monday", "# Legs and press", StringComparison.Ordinal));
        matched.Gone.ShouldBeEmpty();
        (matched.Before[2].Number, matched.Before[5].Number).ShouldBe((2, 5));
    }

    [Fact]
    public void Of_two_lines_typed_alike_each_keeps_its_own()
    {
        const string twice = "# Monday\npush-up 3 x 8 rest 90\npush-up 3 x 8 rest 90";
        var matched = Match(twice + "\nplank 3 x 8 rest 60", twice);
        (matched.Before[2].Number, matched.Before[3].Number).ShouldBe((2, 3));
    }
}

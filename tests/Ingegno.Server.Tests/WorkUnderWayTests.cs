using Ingegno.Server.Web;

namespace Ingegno.Server.Tests;

/// <summary>How far something is that takes longer than a glance: told to who began it, while it goes on.</summary>
public class WorkUnderWayTests
{
    [Fact]
    public async Task It_is_told_while_it_goes_on_to_who_began_it_and_to_nobody_else()
    {
        var work = new WorkUnderWay();
        string done = await work.FollowAsync("ilse", "run", told =>
        {
            work.TryFind("ilse", "run", out var atFirst).ShouldBeTrue();
            atFirst.ShouldBeNull();
            told(HowFar.Of(1250, 5000, "sets"));
            work.TryFind("ilse", "run", out var now).ShouldBeTrue();
            now.ShouldBe(new HowFar("1,250 of 5,000 sets", 0.25));
            work.TryFind("another", "run", out _).ShouldBeFalse();
            return Task.FromResult("done");
        });
        done.ShouldBe("done");
        work.TryFind("ilse", "run", out _).ShouldBeFalse();
    }

    [Fact]
    public async Task What_breaks_off_is_forgotten_too()
    {
        var work = new WorkUnderWay();
        await Should.ThrowAsync<InvalidOperationException>(() => work.FollowAsync<int>("ilse", "run", _ => throw new InvalidOperationException()));
        work.TryFind("ilse", "run", out _).ShouldBeFalse();
    }
}

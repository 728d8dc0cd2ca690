using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Loads;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;
using Ingegno.Core.Schools;

namespace Ingegno.Core.Tests.Dosing;

/// <summary>
/// The pruned search against trying everything on the step of the stair it ended on: every style, rest, form, number of sets and equal count on the rung, each worked out
/// through the public forecast, priced by <see cref="MeasurePrice"/>.
/// </summary>
public class DoseEnumerationTests
{
    private sealed record Case(Intent Intent, ExerciseEffort Effort, Mass Load, HouseRules Rules, ClientProfile Client)
    {
        public LoadLadder Ladder => LoadLadder.From([new Rung(Load, new Recipe([], "load"))]);

        public DoseSpace Space => new(
            Intent, Effort.Exercise, Effort.EquivalentOf(Effort.DemandOf(Load)), Rules,
            new StyleSpace(Effort.Exercise, Rules, TechniqueLimits.Of(Effort.Exercise, Client, Rules)), DoseWish.None);
    }

    private static readonly string[] Home = ["push-up", "dumbbell-floor-press", "split-squat", "one-arm-dumbbell-row", "dumbbell-curl", "lateral-raise"];

    /// <summary>Small grids: few phases, low caps, so that everything can be tried.</summary>
    private static readonly Gen<Case?> Cases = Gen.Select(
        Gen.Int[1, 3], Gen.Int[3, 15], Gen.Int[0, 4], Gen.Double[2, 40], Gen.Int[0, Home.Length - 1],
        Gen.Select(Gen.Enum<Level>(), Gen.Int[2, 3], Gen.Int[0, 1], Gen.Int[0, 1], Gen.Bool),
        (sets, count, reserve, load, exercise, rules) => Made(sets, count, reserve, load, Home[exercise], rules));

    private static Case? Made(int sets, int count, int reserve, double load, string home, (Level Level, int Slowest, int Pause, int Added, bool Short) made)
    {
        var client = People.Man with { Level = made.Level };
        var rules = HouseRules.Default with
        {
            SlowestLowering = made.Slowest,
            SlowestLifting = 1 + (made.Slowest / 3),
            LongestPause = made.Pause,
            MostAddedSets = made.Added,
            RepetitionCap = 12,
            Teachings = made.Short ? [Teaching.RestShort] : [],
        };
        var anchors = StrengthAnchors.Of(client, Catalogue.Shipped);
        var line = new WrittenLine
        {
            Number = 1,
            Text = "Bench press",
            ExerciseName = "Bench press",
            Exercise = "barbell-bench-press",
            Sets = [.. Enumerable.Repeat(new SetTarget(CountKind.Repetitions, count, count), sets)],
            Intensity = new Intensity(Reserve: reserve),
            Rest = Duration.FromSeconds(120),
        };
        var bench = People.Exercise("barbell-bench-press");
        var exercise = People.Exercise(home);
        var effort = new ExerciseEffort(exercise, client, anchors.For(exercise)!, new Geometry());
        var mass = Mass.FromKilograms(home == "push-up" ? 0 : Math.Round(load, 1));
        var demand = effort.DemandOf(mass);
        return demand < RepetitionCost.LeastDemand || demand > effort.MostDemand ? null
            : new(IntentReading.Read(line, bench, client, anchors.For(bench), rules, [])!, effort, mass, rules, client);
    }

    [Fact]
    public void No_feasible_dose_of_the_whole_grid_scores_less() =>
        Cases.Sample(c =>
        {
            if (c is null || DoseSearch.Find(c.Intent, c.Effort, c.Ladder, c.Rules, c.Client, DoseWish.None) is not { } found)
            {
                return;
            }

            foreach (var (plan, price) in Grid(c, found.Step!))
            {
                if (Score(c, plan, price) is { } score)
                {
                    score.ShouldBeGreaterThanOrEqualTo(found.Score - 1e-6, $"{plan.Style} {plan.Form} {string.Join('/', plan.Repetitions)} rest {plan.Rest.Seconds}");
                }
            }
        }, iter: 300);

    /// <summary>The winner keeps within the rules whatever was asked: the bounds of the search, read off the dose itself.</summary>
    [Fact]
    public void What_is_found_keeps_within_every_rule() =>
        Cases.Sample(c =>
        {
            if (c is null || DoseSearch.Find(c.Intent, c.Effort, c.Ladder, c.Rules, c.Client, DoseWish.None) is not { } found)
            {
                return;
            }

            var limits = TechniqueLimits.Of(c.Effort.Exercise, c.Client, c.Rules);
            c.Rules.Allows(found.Style).ShouldBeTrue();
            found.Repetitions.Length.ShouldBeLessThanOrEqualTo(found.Form == SetForm.RestPause ? RestPause.MostBouts : c.Intent.Repetitions.Length + c.Rules.MostAddedSets);
            found.Repetitions.ShouldAllBe(r => r <= Math.Max(c.Rules.RepetitionCap, c.Intent.Repetitions.Max()));
            found.Rest.ShouldBeLessThanOrEqualTo(c.Intent.Rest);
            (found.Style.Pulses == 0 || limits.Allows(Technique.Pulses)).ShouldBeTrue();
            (found.Form != SetForm.RestPause || limits.Allows(Technique.RestPause)).ShouldBeTrue();
            (found.Form != SetForm.PushFirst || limits.Allows(Technique.IsometricFirst)).ShouldBeTrue();
            found.Bridge.Parts.Sum(p => p.Effective).ShouldBe(found.Bridge.Given, 1e-6);
        });

    /// <summary>The bound the fit prunes by is never under what a search then finds.</summary>
    [Fact]
    public void The_bound_is_never_beaten() =>
        Cases.Sample(c =>
        {
            if (c is null || DoseSearch.Find(c.Intent, c.Effort, c.Ladder, c.Rules, c.Client, DoseWish.None) is not { } found)
            {
                return;
            }

            var bound = DoseSearch.Bound(c.Intent, c.Effort, c.Ladder, c.Rules, c.Client)!;
            found.Effective.ShouldBeLessThanOrEqualTo(bound.Effective + 1e-6);
            found.Equivalent.ShouldBe(bound.Equivalent);
        });

    private static IEnumerable<(SetPlan Plan, double Price)> Grid(Case c, MeasureStep step)
    {
        var space = c.Space;
        int written = c.Intent.Repetitions.Length;
        foreach (int sets in space.Sets)
        {
            foreach (var form in step.Beyond ? space.Forms : [space.Forms[0]])
            {
                if (form == SetForm.RestPause)
                {
                    continue; // its bouts follow from the first: SetFormTests
                }

                for (int cut = 0; cut < (step.Beyond ? space.Rests.Length : 1); cut++)
                {
                    foreach (var style in space.Styles)
                    {
                        int techniques = MeasurePrice.Techniques(space.Start, style) + MeasurePrice.Techniques(form);
                        double price = ((sets - written) * MeasurePrice.AddedSet)
                            + (written * (MeasurePrice.OfForm(form) + MeasurePrice.OfRest(cut) + MeasurePrice.OfStyle(space.Start, style)));
                        for (int count = 1; count <= step.Cap && techniques >= step.Fewest && (!step.Plain || MeasurePrice.IsPlain(space.Start, style)) && (style == space.Start || techniques <= Math.Min(step.Techniques, space.MostTechniques)); count++)
                        {
                            yield return (new SetPlan([.. Enumerable.Repeat(count, sets)], c.Load, style, space.Rests[cut], []) { Form = form }, price);
                        }
                    }
                }
            }
        }
    }

    /// <summary>Null where it does not leave what must be left: two for beginners, what the gym's last set left to the nearest half.</summary>
    private static double? Score(Case c, SetPlan plan, double price)
    {
        var sets = plan.Forecast(c.Effort);
        double least = c.Client.Level == Level.Beginner ? 2 : 0;
        if (sets.Min(s => s.Reserve) < least - 1e-9
            || c.Intent.Reserve > 4 || sets[^1].Reserve < Math.Max(least, Math.Max(least, c.Intent.Reserve) - 0.5)
            || (plan.Rest < c.Intent.Rest && sets.Min(s => s.Reserve) < (c.Rules.Teaches(Teaching.RestShort) ? 0 : 1)))
        {
            return null;
        }

        // A light set counts for less, but nearer to failure is still better: the search counts there as where all of it counts.
        var equivalent = c.Effort.EquivalentOf(c.Effort.DemandOf(c.Load));
        double effective = equivalent < SetForecast.FullCredit
            ? sets.Sum(s => SetForecast.Effective(s.Planned, s.ToFailure, SetForecast.FullCredit))
            : sets.Sum(s => s.Effective);
        // A gym set that left much still asks at home for a set that leaves four, less the half it is rounded by.
        double asked = Math.Max(c.Intent.Effective, c.Intent.Reserves.Sum(left => SetForecast.Credit(c.Intent.Equivalent) * (5 - Math.Clamp(left, least, 3.5))));
        return Math.Max(0, asked - effective) + price;
    }
}

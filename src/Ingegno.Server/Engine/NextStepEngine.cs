using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Plans;
using Ingegno.Core.Practices;
using Ingegno.Core.Programmes;
using Ingegno.Core.Progression;
using Ingegno.Core.Quantities;
using Ingegno.Server.Web;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Server.Engine;

/// <summary>One line as it stands, and what was done on it.</summary>
/// <param name="Line">As substitutes, dose and rebuild answer it.</param>
/// <param name="Log">Sets of it, any order; a day is a session.</param>
/// <param name="Start">The line as it was when anything but repetitions was last raised; null where nothing was.</param>
/// <param name="Rules">Null for the defaults.</param>
/// <param name="On">The day it is decided for; today where not given.</param>
public sealed record NextStepForm(
    ClientProfile Client, Home Home, Prescription Line, ImmutableArray<SetLog> Log, Prescription? Start = null, HouseRules? Rules = null, DateOnly? On = null);

/// <summary>What comes next, and what it was decided from.</summary>
/// <param name="Step">Null when nothing was logged.</param>
/// <param name="Forecast">Repetitions to failure of each set next time, learned from the log.</param>
/// <param name="Moves">What the log taught, newest first.</param>
public sealed record NextStepView(Step? Step, Trend Trend, ImmutableArray<RepetitionRange> Forecast, Learned Learned, ImmutableArray<LearnedMove> Moves);

/// <summary>Next week of one line without anything stored.</summary>
internal static class NextStepEngine
{
    private const int MostSets = 2000;

    internal static Results<Ok<NextStepView>, ValidationProblem> Find(NextStepForm form, TimeProvider clock)
    {
        var rules = form.Rules ?? HouseRules.Default;
        InputProblem[] problems =
        [
            .. ClientProblems.Of(form.Client, rules.Catalogue).Select(p => p with { Path = $"client.{p.Path}" }),
            .. HomeProblems.Of(form.Home).Select(p => p with { Path = $"home.{p.Path}" }),
            .. PracticeProblems.Of(new Practice { Rules = rules }),
            .. Problems(form.Line, "line", rules.Catalogue),
            .. form.Start is { } start ? Problems(start, "start", rules.Catalogue) : [],
            .. form.Log.Length > MostSets
                ? [new("log", $"At most {MostSets} sets at a time.")]
                : form.Log.SelectMany((set, i) => SetLogProblems.Of(set with { Exercise = form.Line.Exercise }, $"log[{i}]", rules.Catalogue)),
        ];
        return problems.Length > 0 ? Answers.Invalid(problems) : TypedResults.Ok(Next(form, rules, form.On ?? Today.ByThe(clock)));
    }

    private static IEnumerable<InputProblem> Problems(Prescription line, string path, Catalogue catalogue)
    {
        if (catalogue.Find(line.Exercise) is null)
        {
            yield return new($"{path}.exercise", $"The catalogue has no \"{line.Exercise}\".");
        }

        if (line.Counts.IsDefaultOrEmpty || line.Counts.Length > 20 || line.Counts.Any(c => c is < 1 or > 600))
        {
            yield return new($"{path}.counts", "Give 1 to 20 sets of 1 to 600 repetitions or seconds.");
        }
    }

    private static NextStepView Next(NextStepForm form, HouseRules rules, DateOnly day)
    {
        const int line = 1;
        ImmutableArray<SetLog> sets = [.. form.Log.Select(s => s with { Line = line, Exercise = form.Line.Exercise }).OrderByDescending(s => s.On).ThenBy(s => s.SetNumber)];
        var lesson = Learning.From(form.Client, rules.Catalogue, StrengthAnchors.Of(form.Client, rules.Catalogue), sets.Select(s => new TrainedSet(s, form.Line)));
        var planned = new PlannedLine(line, "", null, form.Line.Name, "", form.Line) { Number = line, Start = form.Start };
        var plan = Plan.Empty with { Sessions = [new PlannedSession("", Duration.Zero, [planned])] };
        var progress = PlanProgress.For(
            form.Client with { Learned = lesson.Learned }, form.Home, rules, plan, new Training([.. sets.Select(s => new AskedSet(s, null))], [], [], [], Digest.Of(lesson), rules.Catalogue), day)[0];
        return new(progress.Step, progress.Trend, progress.Forecast, lesson.Learned, [.. lesson.Moves.Reverse()]);
    }
}

using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Effort;
using Ingegno.Core.Homes;
using Ingegno.Core.Loads;
using Ingegno.Core.Practices;
using Ingegno.Core.Quantities;
using Ingegno.Formats.ProgrammeText;
using Ingegno.Server.Practices;
using Ingegno.Server.Web;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Server.Engine;

/// <summary>A written line, an exercise to do it with, and the loads there are.</summary>
/// <param name="Line">In the notation of docs/formats.md, such as "Bench press 4 x 8 @ 75 %".</param>
/// <param name="Exercise">Catalogue id of the home exercise.</param>
/// <param name="Loads">External loads on offer; none for body weight alone.</param>
/// <param name="Rules">Null for the defaults.</param>
/// <param name="Wish">What is fixed by hand; null for nothing.</param>
public sealed record DoseForm(
    string Line, ClientProfile Client, string Exercise, ImmutableArray<Mass>? Loads = null, HouseRules? Rules = null, DoseWish? Wish = null, Geometry? Geometry = null);

/// <summary>What the line asks and the dose that gives it.</summary>
/// <param name="Dose">Null where not one repetition is possible or every load is too heavy or too light; <paramref name="Why"/> says so.</param>
public sealed record DoseView(Intent Intent, Dose? Dose, string? Why, ImmutableArray<TextProblem> Problems);

/// <summary>The dose search by itself.</summary>
internal static class DoseEngine
{
    private const int MostLoads = 500;

    internal static Results<Ok<DoseView>, ValidationProblem> Find(DoseForm form)
    {
        var rules = (form.Rules ?? HouseRules.Default).For(form.Client);
        var read = ProgrammeReading.Read(form.Line, new() { Rules = rules }, form.Client.Unit);
        List<InputProblem> problems =
        [
            .. ClientProblems.Of(form.Client, rules.Catalogue).Select(p => p with { Path = $"client.{p.Path}" }),
            .. PracticeProblems.Of(new Practice { Rules = form.Rules ?? HouseRules.Default }),
            .. Loads(form.Loads ?? []),
            .. Wished(form.Wish ?? DoseWish.None, rules),
        ];
        var line = read.Programme.Sessions is [{ Lines: [var only] }] ? only : null;
        var written = line?.Exercise is { } id ? rules.Catalogue.Find(id) : null;
        if (written is null)
        {
            problems.Add(new("line", read.Problems.FirstOrDefault()?.Message ?? "Give one exercise line with a name of the catalogue."));
        }

        if (rules.Catalogue.Find(form.Exercise) is not { IsForecast: true } exercise)
        {
            problems.Add(new("exercise", $"No exercise \"{form.Exercise}\" with a load model in the catalogue."));
            return Answers.Invalid(problems);
        }

        if (problems.Count > 0)
        {
            return Answers.Invalid(problems);
        }

        var anchors = StrengthAnchors.Of(form.Client, rules.Catalogue);
        if (IntentReading.Read(line!, written!, form.Client, anchors.For(written!), rules, []) is not { } intent)
        {
            return Answers.Invalid([new("line", "This line counts no repetitions against a load: there is nothing to search for.")]);
        }

        var effort = new ExerciseEffort(exercise, form.Client, anchors.For(exercise)!, form.Geometry ?? new Geometry());
        var ladder = form.Loads is not { Length: > 0 } loads
            ? LoadLadder.BodyOnly
            : LoadLadder.From(loads.Select(load => new Rung(load, new Recipe([], load.ToString()))));
        var dose = DoseSearch.Find(intent, effort, ladder, rules, form.Client, form.Wish ?? DoseWish.None);
        return TypedResults.Ok(new DoseView(
            intent, dose,
            dose is null ? "Not one repetition is possible with these loads, or none of them is heavy enough to count." : null,
            read.Problems));
    }

    private static IEnumerable<InputProblem> Wished(DoseWish wish, HouseRules rules)
    {
        if (wish.Repetitions is < 1 or > 100 || wish.Sets is < 1 or > 20 || wish.Pulses is < 0 or > RepetitionStyle.MostPulses)
        {
            yield return new("wish", $"1 to 100 repetitions, 1 to 20 sets, 0 to {RepetitionStyle.MostPulses} pulses.");
        }

        if (wish.Rest is { } rest && !(rest >= Duration.Zero && rest <= SetTrial.LongestRest))
        {
            yield return new("wish.rest", $"A rest lasts up to {SetTrial.LongestRest.Minutes:0} minutes.");
        }

        if (wish.Tempo is { } tempo && !rules.Allows(tempo))
        {
            yield return new("wish.tempo", $"{tempo} is outside the house rules: at most {rules.LongestRepetition} s a repetition.");
        }
    }

    private static IEnumerable<InputProblem> Loads(ImmutableArray<Mass> loads)
    {
        if (!loads.IsDefaultOrEmpty && loads.Length > MostLoads)
        {
            yield return new("loads", $"At most {MostLoads} loads.");
        }
        else if (!loads.IsDefaultOrEmpty && loads.Any(l => !(l.Kilograms is >= -200 and <= 500)))
        {
            yield return new("loads", "A load lies between -200 (taken off by a band or foot) and 500 kg.");
        }
    }
}

using System.Collections.Immutable;
using System.Security.Claims;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Practices;
using Ingegno.Server.Accounts;
using Ingegno.Server.Web;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Server.Practices;

/// <summary>The practice with the version it was read at; also what is sent to save it.</summary>
public sealed record PracticeView(Practice Practice, long Version);

/// <summary>House rules, weights and prices.</summary>
internal static class PracticeEndpoints
{
    internal static void MapPractice(this RouteGroupBuilder api)
    {
        api.MapGet("/practice", FindAsync).WithName("getPractice");
        api.MapPut("/practice", SaveAsync).WithName("savePractice");
        api.MapPut("/practice/names", NameAsync).WithName("nameExercise");
        api.MapPut("/practice/exercises", AddExerciseAsync).WithName("saveOwnExercise");
    }

    private static async Task<Ok<PracticeView>> FindAsync(ClaimsPrincipal user, Storage.Practices practices)
    {
        var found = await practices.FindAsync(user.CoachId());
        return TypedResults.Ok(new PracticeView(found.Value, found.Version));
    }

    /// <summary>Remembers what the coach means by a name, from wherever it was asked.</summary>
    private static async Task<Results<Ok<PracticeView>, ValidationProblem, ProblemHttpResult>> NameAsync(
        OwnName form, ClaimsPrincipal user, Storage.Practices practices)
    {
        var found = await practices.FindAsync(user.CoachId());
        var practice = found.Value with { Names = [.. found.Value.Names.Where(n => !n.Typed.Equals(form.Typed, StringComparison.OrdinalIgnoreCase)), form] };
        return await SaveAsync(new(practice, found.Version), user, practices);
    }

    /// <summary>Adds an exercise of the practice's own, or changes or retires the one of its id.</summary>
    /// <param name="form">With an empty id it is new and gets one of its name.</param>
    private static async Task<Results<Ok<OwnExercise>, ValidationProblem, ProblemHttpResult>> AddExerciseAsync(
        OwnExercise form, ClaimsPrincipal user, Storage.Practices practices)
    {
        var found = await practices.FindAsync(user.CoachId());
        var rules = found.Value.Rules;
        var own = form.Id.Length > 0 ? form : form with { Id = OwnExercise.IdOf(form.Name, rules.Exercises) };
        int at = rules.Exercises.ToList().FindIndex(e => e.Id == own.Id);
        ImmutableArray<OwnExercise> exercises = at < 0 ? rules.Exercises.Add(own) : rules.Exercises.SetItem(at, own);
        string path = $"[{(at < 0 ? exercises.Length - 1 : at)}].";
        InputProblem[] problems = [.. OwnExerciseProblems.Of(exercises).Where(p => p.Path.Length == 0 || p.Path.StartsWith(path, StringComparison.Ordinal))];
        if (problems.Length > 0)
        {
            return Answers.Invalid(problems.Select(p => p with { Path = p.Path.Length == 0 ? "" : p.Path[path.Length..] }));
        }

        var result = await practices.SaveAsync(user.CoachId(), found.Value with { Rules = rules with { Exercises = exercises } }, found.Version);
        return result.Saved ? TypedResults.Ok(own) : Answers.Stale();
    }

    private static async Task<Results<Ok<PracticeView>, ValidationProblem, ProblemHttpResult>> SaveAsync(
        PracticeView form, ClaimsPrincipal user, Storage.Practices practices)
    {
        var before = (await practices.FindAsync(user.CoachId())).Value.Rules.Exercises;
        InputProblem[] problems =
        [
            .. PracticeProblems.Of(form.Practice),
            .. OwnExerciseProblems.Missing(before, form.Practice.Rules.Exercises).Select(p => p with { Path = "rules.exercises" }),
        ];
        if (problems.Length > 0)
        {
            return Answers.Invalid(problems);
        }

        var result = await practices.SaveAsync(user.CoachId(), form.Practice, form.Version);
        return result.Saved ? TypedResults.Ok(new PracticeView(form.Practice, result.Version)) : Answers.Stale();
    }
}

using System.Security.Claims;
using Ingegno.Core.Exercises;
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

    private static async Task<Results<Ok<PracticeView>, ValidationProblem, ProblemHttpResult>> SaveAsync(
        PracticeView form, ClaimsPrincipal user, Storage.Practices practices)
    {
        var problems = PracticeProblems.Of(form.Practice, Catalogue.Shipped);
        if (problems.Count > 0)
        {
            return Answers.Invalid(problems);
        }

        var result = await practices.SaveAsync(user.CoachId(), form.Practice, form.Version);
        return result.Saved ? TypedResults.Ok(new PracticeView(form.Practice, result.Version)) : Answers.Stale();
    }
}

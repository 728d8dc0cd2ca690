using System.Collections.Immutable;
using System.Security.Claims;
using Ingegno.Core.Exercises;
using Ingegno.Core.Progression;
using Ingegno.Core.Substitution;
using Ingegno.Server.Accounts;
using Ingegno.Server.Clients;
using Ingegno.Server.Practices;
using Ingegno.Server.Web;
using Ingegno.Storage;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Server.Log;

/// <summary>The way back to the gym.</summary>
/// <param name="Better">What got better at home, in words; empty when nothing did.</param>
public sealed record ReturnView(ImmutableArray<ReturningLine> Lines, ImmutableArray<string> Better);

/// <summary>The written programme as it comes back.</summary>
internal static class ReturnEndpoints
{
    /// <summary>A rise under this is within what nobody can tell.</summary>
    private const double WorthSaying = 0.03;

    internal static void MapReturn(this RouteGroupBuilder api) => api.MapGet("/clients/{id}/return", FindAsync).WithName("getReturn");

    private static async Task<Results<Ok<ReturnView>, ProblemHttpResult>> FindAsync(
        string id, ClaimsPrincipal user, Cases cases, Storage.Plans plans, Lessons lessons)
    {
        string coach = user.CoachId();
        if (await cases.FindAsync(coach, id) is not { } about)
        {
            return Answers.Missing("client");
        }

        var plan = (await plans.FindAsync(coach, id)).Value;
        var programme = ProgrammeReading.Read(plan.Text, about.Practice, about.Profile.Unit).Programme;
        var digest = (await lessons.FindAsync(coach, id)).Value;
        return TypedResults.Ok(new ReturnView(
            ReturnToGym.Of(
                programme, about.Profile, about.Rules.Catalogue, WrittenAnchors.Of(about.Profile, about.Rules.Catalogue, about.Rules, programme), about.Rules),
            [.. Better(digest, about.Rules.Catalogue)]));
    }

    private static IEnumerable<string> Better(Digest digest, Catalogue catalogue) =>
        from exposures in digest.Exposures
        let exercise = catalogue.Find(exposures.Exercise)
        where exercise is { Setting: not Setting.Gym } && exposures.Factors.Length > 2
        let rise = (exposures.Factors[^1] / exposures.Factors[0]) - 1
        where rise >= WorthSaying
        orderby rise descending
        select string.Create(System.Globalization.CultureInfo.InvariantCulture, $"{exercise.Name}: {rise * 100:0} % stronger over {exposures.Factors.Length} times at home.");
}

using System.Collections.Immutable;
using System.Security.Claims;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Programmes;
using Ingegno.Core.Schools;
using Ingegno.Core.Substitution;
using Ingegno.Server.Accounts;
using Ingegno.Server.Clients;
using Ingegno.Server.Web;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Server.Catalogues;

/// <summary>Whether a client can do an exercise in a home, and how, or what stands against it.</summary>
/// <param name="How">Where things stand and what is held, of the first set-up; empty when nothing is needed or it is refused.</param>
public sealed record Possibility(string Exercise, bool Possible, ImmutableArray<string> How, ImmutableArray<Refusal> Against);

/// <summary>Exercises, drills and schools, and what of the catalogue a home allows.</summary>
internal static class CatalogueEndpoints
{
    internal static void MapCatalogue(this RouteGroupBuilder api)
    {
        api.MapGet("/catalogue", async (ClaimsPrincipal user, Storage.Practices practices) => (await KnownAsync(user, practices)).Exercises).WithName("getCatalogue");
        api.MapGet("/catalogue/{exercise}/doses", DosesAsync).WithName("usualDoses");
        api.MapGet("/drills", () => Catalogue.Shipped.Drills).WithName("drills");
        api.MapGet("/schools", () => School.All).WithName("schools");
        api.MapGet("/clients/{id}/possible", PossibleAsync).WithName("possible");
    }

    private static async Task<Catalogue> KnownAsync(ClaimsPrincipal user, Storage.Practices practices) =>
        (await practices.FindAsync(user.CoachId())).Value.Rules.Catalogue;

    private static async Task<Results<Ok<ImmutableArray<UsualDose>>, ProblemHttpResult>> DosesAsync(string exercise, ClaimsPrincipal user, Storage.Practices practices) =>
        (await KnownAsync(user, practices)).Find(exercise) is { } found
            ? TypedResults.Ok<ImmutableArray<UsualDose>>(
                [.. from level in Enum.GetValues<Level>() from purpose in Enum.GetValues<Purpose>() select UsualDose.For(found, level, purpose)])
            : Answers.Missing("exercise");

    private static async Task<Results<Ok<ImmutableArray<Possibility>>, ProblemHttpResult>> PossibleAsync(
        string id, ClaimsPrincipal user, Cases cases, TimeProvider clock, string? place = null)
    {
        if (await cases.FindAsync(user.CoachId(), id, place) is not { } about)
        {
            return Answers.Missing("client");
        }

        var home = new PreparedHome(about.Home, about.Today(clock));
        var rules = about.Rules.For(about.Profile);
        return TypedResults.Ok<ImmutableArray<Possibility>>(
            [.. rules.Catalogue.Exercises.Where(e => e.Setting != Setting.Gym).Select(Of)]);

        Possibility Of(Exercise exercise)
        {
            var found = SetUpSearch.For(exercise, about.Profile, home, rules);
            ImmutableArray<Refusal> against = [.. Gate.Against(exercise, about.Profile, home, rules), .. found.Refusals];
            return new(
                exercise.Id,
                against.IsEmpty,
                found.SetUps is [var first, ..]
                    ? [.. first.Placed.Where(p => p.Fixture.Kind != FixtureKind.Wall).Select(p => $"{p.Role}: {p.Fixture.Name}, {p.Height}"),
                        .. first.Implement is { } held ? [held.Name] : Array.Empty<string>()]
                    : [],
                against);
        }
    }
}

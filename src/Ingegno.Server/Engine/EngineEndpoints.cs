using System.Collections.Immutable;
using Ingegno.Core.Homes;
using Ingegno.Core.Loads;
using Ingegno.Server.Web;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Server.Engine;

/// <summary>Every load a home can make, by implement and hold.</summary>
public sealed record LadderView(ImmutableArray<HeldImplement> Implements);

/// <summary>Stateless computations: JSON in, JSON out, nothing kept.</summary>
internal static class EngineEndpoints
{
    internal static void MapEngine(this RouteGroupBuilder api) =>
        api.MapPost("/engine/load-ladder", LoadLadder).WithName("loadLadder");

    private static Results<Ok<LadderView>, ValidationProblem> LoadLadder(Home home)
    {
        var problems = HomeProblems.Of(home);
        return problems.Count > 0 ? Answers.Invalid(problems) : TypedResults.Ok(new LadderView(HomeLadders.Of(home)));
    }
}

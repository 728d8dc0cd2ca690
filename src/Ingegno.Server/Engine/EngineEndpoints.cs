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
    internal static void MapEngine(this RouteGroupBuilder api)
    {
        var engine = api.MapGroup("/engine").StopsInTime();
        engine.MapPost("/load-ladder", LoadLadder).WithName("loadLadder");
        engine.MapPost("/packing", PackingEngine.Pack).WithName("packing");
        engine.MapPost("/fill", PackingEngine.Fill).WithName("fill");
        engine.MapPost("/weighing", PackingEngine.Weigh).WithName("weighing");
        engine.MapPost("/band-fit", BandEngine.Fit).WithName("bandFit");
        engine.MapPost("/band-setting", BandEngine.Set).WithName("bandSetting");
        engine.MapPost("/substitutes", SubstitutesEngine.Find).WithName("substitutes");
        engine.MapPost("/rep-max", MaximumEngine.Estimate).WithName("repMax");
        engine.MapPost("/set-forecast", TrialEngine.Forecast).WithName("setForecast");
        engine.MapPost("/dose", DoseEngine.Find).WithName("dose");
        engine.MapPost("/rebuild", ReviewEngine.Rebuild).WithName("rebuildCase");
        engine.MapPost("/review", ReviewEngine.Review).WithName("review");
        engine.MapPost("/next-step", NextStepEngine.Find).WithName("nextStep");
        api.MapPost("/clients/{id}/lab", TrialEngine.ForClientAsync).WithName("setLab");
        engine.MapPost("/body-share", BodyShareEngine.Share).WithName("bodyShare");
    }

    private static Results<Ok<LadderView>, ValidationProblem> LoadLadder(Home home)
    {
        var problems = HomeProblems.Of(home);
        return problems.Count > 0 ? Answers.Invalid(problems) : TypedResults.Ok(new LadderView(HomeLadders.Of(home)));
    }
}

using System.Collections.Immutable;
using Ingegno.Core.Blocks;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Homes;
using Ingegno.Core.Practices;
using Ingegno.Core.Review;
using Ingegno.Core.Substitution;
using Ingegno.Formats.ProgrammeText;
using Ingegno.Server.Bench;
using Ingegno.Server.Practices;
using Ingegno.Server.Web;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Server.Engine;

/// <summary>A whole case: who, where, what is written, and what was decided by hand.</summary>
/// <param name="Programme">In the notation of docs/formats.md.</param>
/// <param name="Rules">Null for the defaults.</param>
/// <param name="On">The day it is rebuilt for; today where not given.</param>
/// <param name="Block">The weeks it is trained over.</param>
/// <param name="Marks">Where the review speaks up; null for the usual ones.</param>
public sealed record CaseForm(
    ClientProfile Client, Home Home, string Programme, ImmutableArray<LineChoice>? Choices = null, HouseRules? Rules = null, DateOnly? On = null,
    Block? Block = null, ReviewThresholds? Marks = null) : IChoosing
{
    ImmutableArray<LineChoice> IChoosing.Choices => Choices ?? [];
}

/// <summary>A plan to be reviewed.</summary>
/// <param name="Home">Null reviews it as written; else as rebuilt for this home, against what was written.</param>
/// <param name="Block">The weeks it is trained over.</param>
/// <param name="Marks">Where the review speaks up; null for the usual ones.</param>
public sealed record ReviewForm(
    ClientProfile Client, string Programme, Home? Home = null, HouseRules? Rules = null, DateOnly? On = null, Block? Block = null,
    ReviewThresholds? Marks = null);

/// <summary>Whole weeks without anything stored.</summary>
internal static class ReviewEngine
{
    internal static Results<ToldBench, ValidationProblem> Rebuild(CaseForm form, TimeProvider clock, CancellationToken stop)
    {
        var practice = By(form.Rules, form.Marks);
        List<InputProblem> problems = Problems(form.Client, form.Home, form.Programme, practice, form.Block);
        return problems.Count > 0
            ? Answers.Invalid(problems)
            : new ToldBench(BenchEndpoints.Rebuild(
                form.Programme, form.Choices ?? [], form.Client, form.Home, practice, form.On ?? Today.ByThe(clock), stop, block: form.Block));
    }

    internal static Results<Ok<Reviewed>, ValidationProblem> Review(ReviewForm form, TimeProvider clock, CancellationToken stop)
    {
        var practice = By(form.Rules, form.Marks);
        List<InputProblem> problems = Problems(form.Client, form.Home, form.Programme, practice, form.Block);
        var read = ProgrammeReading.Read(form.Programme, practice, form.Client.Unit);
        if (read.Programme.Sessions.IsEmpty)
        {
            problems.AddRange(read.Problems.Take(1).Select(p => new InputProblem("programme", p.Message)));
        }

        return problems.Count > 0 ? Answers.Invalid(problems)
            : form.Home is { } home
                ? TypedResults.Ok(BenchEndpoints.Rebuild(form.Programme, [], form.Client, home, practice, form.On ?? Today.ByThe(clock), stop, block: form.Block).Review)
                : TypedResults.Ok(WrittenReview.Of(read.Programme, form.Client, practice.Rules, practice.Rules.Catalogue, form.On ?? Today.ByThe(clock), form.Block, practice.Marks));
    }

    private static Practice By(HouseRules? rules, ReviewThresholds? marks) =>
        new() { Rules = rules ?? HouseRules.Default, Marks = marks ?? ReviewThresholds.Default };

    private static List<InputProblem> Problems(ClientProfile client, Home? home, string programme, Practice practice, Block? block) =>
    [
        .. BenchEndpoints.Problems(block),
        .. ClientProblems.Of(client, practice.Rules.Catalogue).Select(p => p with { Path = $"client.{p.Path}" }),
        .. home is null ? [] : HomeProblems.Of(home).Select(p => p with { Path = $"home.{p.Path}" }),
        .. PracticeProblems.Of(practice),
        .. programme.Length > ProgrammeReader.MostCharacters
            ? [new InputProblem("programme", $"The text is too long: at most {ProgrammeReader.MostCharacters:N0} characters.")]
            : Array.Empty<InputProblem>(),
    ];
}

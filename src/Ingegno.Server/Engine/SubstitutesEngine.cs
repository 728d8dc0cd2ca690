using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Homes;
using Ingegno.Core.Practices;
using Ingegno.Core.Substitution;
using Ingegno.Formats.ProgrammeText;
using Ingegno.Server.Practices;
using Ingegno.Server.Web;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Server.Engine;

/// <summary>One written line, who and where.</summary>
/// <param name="Line">In the notation of docs/formats.md, such as "Front squat 4 x 6 @ 72.5 kg".</param>
/// <param name="Rules">Null for the defaults.</param>
/// <param name="Ask">Catalogue ids to answer for, however far down they come.</param>
/// <param name="On">Day of use, on which passes must still hold; null for today.</param>
public sealed record SubstitutesForm(
    string Line, ClientProfile Client, Home Home, HouseRules? Rules = null, ImmutableArray<string>? Ask = null, DateOnly? On = null);

/// <summary>What can stand in for the line, best first, and what was refused and why.</summary>
public sealed record SubstitutesView(RebuiltLine Line, ImmutableArray<TextProblem> Problems);

/// <summary>The choice of substitutes for one line, as a what-if.</summary>
internal static class SubstitutesEngine
{
    internal static Results<Ok<SubstitutesView>, ValidationProblem> Find(SubstitutesForm form, TimeProvider clock, CancellationToken stop)
    {
        var rules = form.Rules ?? HouseRules.Default;
        var read = ProgrammeReading.Read(form.Line, new() { Rules = rules }, form.Client.Unit);
        List<InputProblem> problems =
        [
            .. ClientProblems.Of(form.Client, rules.Catalogue).Select(p => p with { Path = $"client.{p.Path}" }),
            .. HomeProblems.Of(form.Home).Select(p => p with { Path = $"home.{p.Path}" }),
            .. PracticeProblems.Of(new Practice { Rules = rules }),
        ];
        if (read.Programme.Sessions is not [{ Lines: [_] }])
        {
            problems.Add(new("line", read.Problems.FirstOrDefault()?.Message ?? "Give one exercise line."));
        }

        if (problems.Count > 0)
        {
            return Answers.Invalid(problems);
        }

        var session = read.Programme.Sessions[0];
        var rebuild = new SessionRebuild(form.Client, form.Home, rules.Catalogue, rules, form.On ?? Today.ByThe(clock), read.Programme);
        return TypedResults.Ok(new SubstitutesView(rebuild.RebuildUntil(session, [], form.Ask?.Take(20).ToHashSet(), stop).Lines[0], read.Problems));
    }
}

using System.Collections.Immutable;
using Ingegno.Core.Dosing;
using Ingegno.Core.Effort;
using Ingegno.Core.Homes;
using Ingegno.Core.Substitution;
using Ingegno.Formats.ProgrammeText;
using Ingegno.Server.Accounts;
using Ingegno.Server.Web;

namespace Ingegno.Server.Bench;

/// <summary>A form with what was chosen by hand on a programme, whatever is asked of it; too long a text is told by the reader, in its place.</summary>
internal interface IChoosing
{
    ImmutableArray<LineChoice> Choices { get; }
}

/// <summary>Choices are held against the same bounds on every route that takes them.</summary>
internal static class Choosing
{
    private const int MostChoices = 1000;

    /// <summary>Refuses a form before its route sees it.</summary>
    internal static RouteGroupBuilder WithChoicesChecked(this RouteGroupBuilder api)
    {
        api.AddEndpointFilter(async (context, next) =>
        {
            if (context.Arguments.OfType<IChoosing>().FirstOrDefault() is { } form)
            {
                var http = context.HttpContext;
                var rules = (await http.RequestServices.GetRequiredService<Storage.Practices>().FindAsync(http.User.CoachId())).Value.Rules;
                InputProblem[] problems = [.. Problems(form, rules)];
                if (problems.Length > 0)
                {
                    return Answers.Invalid(problems);
                }
            }

            return await next(context);
        });
        return api;
    }

    private static IEnumerable<InputProblem> Problems(IChoosing form, HouseRules rules) =>
        form.Choices.IsDefault ? [new("choices", "Send the choices made by hand, an empty list for none.")]
        : form.Choices.Length > MostChoices ? [new("choices", $"More than {MostChoices} choices: rebuild the session anew.")]
        : form.Choices.SelectMany((choice, i) => Problems(choice, rules, $"choices[{i}]"));

    private static IEnumerable<InputProblem> Problems(LineChoice choice, HouseRules rules, string path)
    {
        if (choice.Line < 1)
        {
            yield return new(path + ".line", "Lines are counted from 1.");
        }

        if (choice.Text.Length > ProgrammeReader.LongestLine || choice.Exercise is { Length: > 100 })
        {
            yield return new(path, "A choice names its line and exercise as they stand.");
        }

        if (choice.Load is { } load && !(load.Kilograms is >= -200 and <= 500))
        {
            yield return new(path + ".load", "A load lies between -200 (taken off by a band or foot) and 500 kg.");
        }

        if (choice.Repetitions is < 1 or > 100)
        {
            yield return new(path + ".repetitions", "Give 1 to 100 repetitions.");
        }

        if (choice.Rest is { } rest && !(rest.Seconds is >= 0 and <= 1800))
        {
            yield return new(path + ".rest", "A rest lasts up to 30 minutes.");
        }

        if (choice.Group is { Length: > 1 })
        {
            yield return new(path + ".group", "A group is one letter, or empty for a line that stands alone.");
        }

        if (choice.Sets is < 1 or > 20)
        {
            yield return new(path + ".sets", "Give 1 to 20 sets.");
        }

        if (choice.Pulses is < 0 or > RepetitionStyle.MostPulses)
        {
            yield return new(path + ".pulses", $"0 to {RepetitionStyle.MostPulses} pulses a repetition.");
        }

        if (choice.Tempo is { } tempo && !rules.Allows(tempo))
        {
            yield return new(path + ".tempo", $"{tempo} is outside the house rules: at most {rules.LongestRepetition} s a repetition.");
        }
    }
}

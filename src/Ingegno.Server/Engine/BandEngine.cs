using System.Collections.Immutable;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Loads;
using Ingegno.Core.Quantities;
using Ingegno.Server.Homes;
using Ingegno.Server.Web;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Server.Engine;

/// <summary>A band as read off the scale.</summary>
public sealed record BandFitForm(Length RestLength, ImmutableArray<BandPull> Pulls);

/// <summary>Its curve, and beside it the curve each pull alone would give: the difference is why two are asked for.</summary>
public sealed record BandFitView(BandDrawing Curve, ImmutableArray<BandDrawing> OnePullOnly);

/// <summary>Which of these bands, set how, gives a wanted resistance in an exercise.</summary>
/// <param name="Wanted">Mean along the movement, as the mass that would weigh the same.</param>
/// <param name="MostSpread">Greatest end over start; null for any.</param>
/// <param name="Room">Longest distance from an anchor.</param>
/// <param name="AnchorHeight">Of what a sling hangs from.</param>
public sealed record BandSettingForm(
    ImmutableArray<Band> Bands, string Exercise, Length Stature, Mass Wanted, double? MostSpread = null, Length? Room = null, Length? AnchorHeight = null);

/// <summary>The nearest settings, best first.</summary>
public sealed record BandSettingView(ImmutableArray<Rung> Nearest);

/// <summary>Bands: fit, and the inverse.</summary>
internal static class BandEngine
{
    private const int MostAnswers = 5;

    internal static Results<Ok<BandFitView>, ValidationProblem> Fit(BandFitForm form)
    {
        var fit = BandCurve.Fit(form.RestLength, form.Pulls);
        return fit.Curve is { } curve
            ? TypedResults.Ok(new BandFitView(
                BandDrawing.Of(curve),
                form.Pulls.Length < 2 ? [] : [.. form.Pulls.Select(p => BandDrawing.Of(BandCurve.Fit(form.RestLength, [p]).Curve!))]))
            : Answers.Invalid(fit.Problems);
    }

    internal static Results<Ok<BandSettingView>, ValidationProblem> Set(BandSettingForm form)
    {
        var problems = HomeProblems.Of(new Home { Kit = [.. form.Bands] }).ToList();
        if (Catalogue.Shipped.Find(form.Exercise) is not { Band: { } run })
        {
            problems.Add(new("exercise", $"No band exercise \"{form.Exercise}\" in the catalogue."));
            return Answers.Invalid(problems);
        }

        if (!(form.Stature.Metres is >= 1.0 and <= 2.5))
        {
            problems.Add(new("stature", "Give a stature of 1.00 to 2.50 m."));
        }

        if (run.Hold == BandHold.Sling && form.AnchorHeight is null)
        {
            problems.Add(new("anchorHeight", "Say how high the sling hangs."));
        }

        if (problems.Count > 0)
        {
            return Answers.Invalid(problems);
        }

        var ladder = BandLadder.For(form.Bands, run, form.Stature, form.AnchorHeight, form.Room ?? new Room().FloorLengthOrUsual());
        return TypedResults.Ok(new BandSettingView(
        [
            .. ladder.Rungs
                .Where(r => form.MostSpread is not { } most || (r.Pull!.Start > Mass.Zero && r.Pull.End / r.Pull.Start <= most))
                .OrderBy(r => Math.Round(Math.Abs((r.Pull!.Mean - form.Wanted).Kilograms), 1))
                .ThenBy(r => r.Recipe.PieceCount)
                .Take(MostAnswers),
        ]));
    }
}

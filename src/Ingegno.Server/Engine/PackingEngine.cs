using System.Collections.Immutable;
using Ingegno.Core.Homes;
using Ingegno.Core.Loads;
using Ingegno.Core.Quantities;
using Ingegno.Server.Web;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Server.Engine;

/// <summary>A container and the mass wanted; <paramref name="InUse"/> is packed now, so that little is moved.</summary>
public sealed record PackingForm(Container Container, Mass Wanted, Mass? InUse = null);

/// <summary>A rung with the way to it from the one before.</summary>
/// <param name="Changeover">Time to repack from the next lighter rung.</param>
public sealed record PackedRung(Rung Rung, Duration Changeover);

/// <summary>The recipe for a wanted mass and the whole ladder.</summary>
/// <param name="Best">Nearest to the wanted mass; fewest pieces of equally near ones.</param>
/// <param name="Moved">Pieces to move from what is packed now; null when nothing was said to be.</param>
public sealed record PackingView(Rung Best, int? Moved, ImmutableArray<PackedRung> Ladder);

/// <summary>Vessels and the mass one of them should have; null asks for the full one.</summary>
public sealed record FillForm(Vessels Vessels, Mass? Wanted = null);

/// <summary>The mark to fill to and what it weighs then.</summary>
/// <param name="Mark">Litres.</param>
public sealed record FillView(Volume Mark, Share Filled, Rung Rung);

/// <summary>Two readings of one scale.</summary>
public sealed record WeighingForm(Mass With, Mass Without, Mass? Step = null);

/// <summary>Packing, filling and weighing.</summary>
internal static class PackingEngine
{
    internal static Results<Ok<PackingView>, ValidationProblem> Pack(PackingForm form)
    {
        var problems = HomeProblems.Of(new Home { Kit = [form.Container] });
        if (problems.Count > 0)
        {
            return Answers.Invalid(problems.Select(p => p with { Path = p.Path.Replace("kit[0]", "container", StringComparison.Ordinal) }));
        }

        if (!(form.Wanted.Kilograms is >= 0 and <= 500))
        {
            return Answers.Invalid([new("wanted", "A wanted mass lies between 0 and 500 kg.")]);
        }

        var ladder = Packing.Ladder(form.Container);
        if (ladder.Rungs.IsEmpty)
        {
            return Answers.Invalid([new("container.mostInAll", $"{form.Container.Name} may not even be empty within its limit: raise it.")]);
        }

        var inUse = form.InUse is { } now ? ladder.At(now)?.Recipe : null;
        var best = RungChoice.Nearest(ladder, form.Wanted, inUse)!;
        var offered = ladder.Offered().Rungs;
        return TypedResults.Ok(new PackingView(
            best,
            inUse is null ? null : Changeover.PiecesMoved(inUse, best.Recipe),
            [.. offered.Select((rung, i) => new PackedRung(rung, i == 0 ? Duration.Zero : Changeover.Between(offered[i - 1].Recipe, rung.Recipe)))]));
    }

    internal static Results<Ok<FillView>, ValidationProblem> Fill(FillForm form)
    {
        var problems = HomeProblems.Of(new Home { Kit = [form.Vessels] });
        if (problems.Count > 0)
        {
            return Answers.Invalid(problems.Select(p => p with { Path = p.Path.Replace("kit[0]", "vessels", StringComparison.Ordinal) }));
        }

        var full = Filling.MassOf(form.Vessels.Volume, Share.Of(1), form.Vessels.Material, form.Vessels.OwnMass);
        if (form.Wanted is { } wanted && !(wanted >= form.Vessels.OwnMass && wanted <= full))
        {
            return Answers.Invalid([new("wanted", $"One of {form.Vessels.Name} weighs {form.Vessels.OwnMass} empty and {full} full: {wanted} lies outside.")]);
        }

        var mark = Filling.MarkFor(form.Vessels, form.Wanted ?? full);
        return TypedResults.Ok(new FillView(
            mark, Share.Of(mark.Litres / form.Vessels.Volume.Litres), Filling.AtMark(form.Vessels, mark, pieces: 1)));
    }

    internal static Results<Ok<Weighed>, ValidationProblem> Weigh(WeighingForm form)
    {
        var (weighed, problems) = Weighing.ByDifference(form.With, form.Without, form.Step ?? Weighing.UsualStep);
        return weighed is null ? Answers.Invalid(problems) : TypedResults.Ok(weighed);
    }
}

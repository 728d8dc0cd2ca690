using Ingegno.Core.Anatomy;
using Ingegno.Core.Clients;
using Ingegno.Core.Exercises;
using Ingegno.Core.Loads;
using Ingegno.Core.Quantities;
using Ingegno.Server.Web;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Server.Engine;

/// <summary>A body, an exercise, and where hands, feet or grip stand.</summary>
/// <param name="FootReading">A bathroom scale under the helping foot.</param>
/// <param name="BodyAngle">Of a row or lean, degrees over the horizontal as a level along the body reads them; goes before heights.</param>
/// <param name="Rail">Height of a rail that is too high; the strap for <see cref="Geometry.Grip"/> is told.</param>
public sealed record BodyShareForm(
    string Exercise, Mass BodyMass, Length Stature, Sex Sex, Geometry? Geometry = null, Mass? FootReading = null, Length? Rail = null, double? BodyAngle = null);

/// <summary>What of the body is moved.</summary>
/// <param name="OnHands">As a mass, after a foot's help.</param>
/// <param name="StrapDrop">How far below the rail the handle hangs; null without a rail.</param>
/// <param name="BodyAngle">Of a lean, degrees over the horizontal; null elsewhere.</param>
/// <param name="WorkingLeg">Of a split stance, the part of it on the working leg; null elsewhere.</param>
/// <param name="HandMoment">Turning moment a kilogram in the hands makes at the shoulder in the start pose, newton metres; null without a pose.</param>
public sealed record BodyShareView(
    Share Share, Mass Moved, Mass OnHands, Length? StrapDrop, double? BodyAngle, Share? WorkingLeg, double? HandMoment, ModelStory Story);

/// <summary>Body share.</summary>
internal static class BodyShareEngine
{
    internal static Results<Ok<BodyShareView>, ValidationProblem> Share(BodyShareForm form)
    {
        var client = new ClientProfile { Name = "one", BodyMass = form.BodyMass, Stature = form.Stature, Sex = form.Sex };
        var problems = ClientProblems.Of(client, Catalogue.Shipped).ToList();
        if (Catalogue.Shipped.Find(form.Exercise) is not { } exercise)
        {
            problems.Add(new("exercise", $"No exercise \"{form.Exercise}\" in the catalogue."));
            return Answers.Invalid(problems);
        }

        var geometry = form.Geometry ?? new Geometry();
        if (new[] { geometry.Hands, geometry.Feet, geometry.Grip, form.Rail }.Any(h => h is { } height && !(height.Metres is >= 0 and <= 6)))
        {
            problems.Add(new("geometry", "Heights lie between 0 and 6 m above the floor."));
        }

        if (form.BodyAngle is { } angle && (!(angle is >= 0 and <= 90) || !IsRow(exercise)))
        {
            problems.Add(new("bodyAngle", "A level along the body reads 0 to 90 degrees, in a row or a lean."));
        }

        if (form.FootReading is { } foot && !(foot >= Mass.Zero && foot <= form.BodyMass))
        {
            problems.Add(new("footReading", "The scale under the foot reads between 0 and the whole body mass."));
        }

        return problems.Count > 0 ? Answers.Invalid(problems) : TypedResults.Ok(View(exercise, client, geometry, form));
    }

    private static bool IsRow(Exercise exercise) =>
        exercise.Load.Body is BodyModel.RowUnderGrip or BodyModel.RowUnderGripKneesBent or BodyModel.StandingLeanRow;

    private static BodyShareView View(Exercise exercise, ClientProfile client, Geometry geometry, BodyShareForm form)
    {
        var share = form.BodyAngle is { } read ? RowShare.AtAngle(read) : Resistance.BodyMoved(exercise.Load, client, geometry);
        var moved = share * client.BodyMass;
        var carried = form.FootReading is { } foot ? FootAssistance.Carried(client.BodyMass, foot) : client.BodyMass;
        return new(
            share,
            moved,
            share * carried,
            form.Rail is { } rail && geometry.Grip is { } grip ? RowShare.StrapDrop(rail, grip) : null,
            exercise.Load.Body == BodyModel.StandingLeanRow && geometry is { Grip: { } at, FeetOut: { } feet }
                ? Math.Round(RowShare.AngleLeaningBack(at, feet, client.Stature), 1)
                : null,
            exercise is { Load.Body: BodyModel.TwoLegs, Sides: Sides.OneAtATime }
                ? BodyShare.WorkingLeg(rearFootRaised: exercise.Fixtures.Any(f => f.Role == FixtureRole.RearFoot))
                : null,
            exercise.Poses is { } poses
                ? Math.Round(PoseStatics.HandMoment(poses.Start, PoseJoint.Shoulder, Mass.FromKilograms(1), client.Stature, client.Sex), 2)
                : null,
            BodyModelStory.Of(exercise.Load.Body));
    }
}

using Ingegno.Core.Exercises;

namespace Ingegno.Core.Anatomy;

/// <summary>What stands behind a body share: shown when a coach opens the number.</summary>
/// <param name="Joint">Where the resistance is told.</param>
/// <param name="Position">In which position.</param>
/// <param name="Test">What it was held against.</param>
public sealed record ModelStory(string Joint, string Position, string Test);

/// <summary>The story of each model; exercises without one say so.</summary>
public static class BodyModelStory
{
    public static ModelStory Of(BodyModel model) => model switch
    {
        BodyModel.None => new("the hands", "throughout", "the load itself"),
        BodyModel.TwoLegs => new("knees and hips", "standing", "segment masses, de Leva 1996 (from memory): all but shanks and feet"),
        BodyModel.OneLeg => new("knee and hip", "standing on one leg", "segment masses, de Leva 1996 (from memory): all but one shank and foot"),
        BodyModel.Hands => new("shoulders and elbows", "hanging or propped", "segment masses, de Leva 1996 (from memory): all but hands and forearms"),
        BodyModel.Hinge => new("hips", "trunk level", "pose statics: trunk, head and arms over the lever of the hands"),
        BodyModel.Bridge => new("hips", "hips level with the knees", "common practice"),
        BodyModel.ProneExtension => new("lower back and hips", "trunk level", "common practice"),
        BodyModel.CalfBoth => new("ankles", "on tiptoe", "common practice"),
        BodyModel.CalfOne => new("ankle", "on tiptoe", "common practice"),
        BodyModel.SlidingLegCurl => new("knees", "hips up, heels coming in", "common practice"),
        BodyModel.PushUp => new("hands", "peak of the push", "Ebben et al. 2011 along the curve; Gouvali and Boudolos 2005 and Suprak et al. 2011 beside it (from memory)"),
        BodyModel.KneelingPushUp => new("hands", "peak of the push", "Gouvali and Boudolos 2005, Suprak et al. 2011 (from memory)"),
        BodyModel.Pike => new("hands", "halfway between top and bottom", "pose statics of two links; the same statics give Suprak's held push-up"),
        BodyModel.RowUnderGrip => new("hands", "arms straight", "Melrose and Dawes 2015 (from memory), within 0.05"),
        BodyModel.RowUnderGripKneesBent => new("hands", "arms straight, knees bent", "common practice: a quarter less than with straight legs"),
        BodyModel.StandingLeanRow => new("hands", "arms straight", "Melrose and Dawes 2015 (from memory), the angle from grip height and heels"),
        BodyModel.Unmodelled => new("none", "none", "no model: dosed by its own log only"),
        _ => throw new ArgumentOutOfRangeException(nameof(model)),
    };
}

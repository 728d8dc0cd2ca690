using Ingegno.Core.Effort;
using Ingegno.Core.Programmes;

namespace Ingegno.Core.Substitution;

/// <summary>Techniques a coach typed, as what a coach would settle by hand: one rule doses both.</summary>
public static class TypedTechniques
{
    /// <summary>The choice with what was typed under it: what was settled by hand goes before it. Null where neither says anything.</summary>
    public static LineChoice? Under(WrittenLine line, LineChoice? choice)
    {
        var under = new LineChoice(line.Number, line.Text);
        var over = choice ?? under;
        foreach (var technique in line.Techniques)
        {
            over = technique.Kind switch
            {
                TechniqueKind.Pulses => over with { Pulses = over.Pulses ?? Math.Clamp(technique.FigureOrUsual, 1, RepetitionStyle.MostPulses) },
                TechniqueKind.OneAndAHalf => over with { Partial = over.Partial ?? PartialPart.AndAHalf },
                TechniqueKind.OneAndAQuarter => over with { Partial = over.Partial ?? PartialPart.AndAQuarter },
                TechniqueKind.HoldFirst => over with { Form = over.Form ?? SetForm.PushFirst },
                TechniqueKind.HoldLast => over with { Form = over.Form ?? SetForm.HoldToFatigue },
                TechniqueKind.RestPause => over with { Form = over.Form ?? SetForm.RestPause },
                TechniqueKind.BackOff => over with { FinishEasier = true },
                _ => over,
            };
        }

        return choice is null && over == under ? null : over;
    }
}

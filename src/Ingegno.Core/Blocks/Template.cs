using System.Collections.Immutable;
using System.Globalization;
using System.Text;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Programmes;

namespace Ingegno.Core.Blocks;

/// <summary>One line of a template: a slot of intent. What is left null is dosed by level and purpose.</summary>
/// <param name="Slot">Name of a slot: "Any row".</param>
/// <param name="Group">"A1" where it belongs to a superset.</param>
/// <param name="Dose">Written instead of the usual dose: "10 x 10, rest 60 s".</param>
public sealed record TemplateLine(string Slot, string? Group = null, string? Dose = null);

/// <summary>One day of a template.</summary>
public sealed record TemplateSession(string Title, ImmutableArray<TemplateLine> Lines);

/// <summary>A programme for somebody who has none: days of slots, a rhythm, and phases or a review date.</summary>
/// <param name="Words">Whom it suits.</param>
/// <param name="Least">Level from which it is offered.</param>
public sealed record Template(
    string Id, string Name, string Words, Level Least, ImmutableArray<TemplateSession> Sessions, Block Block)
{
    /// <summary>The template as a text in the notation of written programmes, dosed for this client.</summary>
    public string TextFor(ClientProfile client, Catalogue catalogue)
    {
        var text = new StringBuilder();
        foreach (var session in Sessions)
        {
            text.Append(text.Length > 0 ? "\n" : "").Append("# ").Append(session.Title).Append('\n');
            foreach (var line in session.Lines)
            {
                text.Append(line.Group is null ? "" : line.Group + " ")
                    .Append(line.Slot).Append(' ')
                    .Append(line.Dose ?? Usual(catalogue.Named(line.Slot)!, client)).Append('\n');
            }
        }

        return text.ToString();
    }

    private static string Usual(Exercise slot, ClientProfile client)
    {
        var purpose = client.Goal is Goal.KeepStrength or Goal.BuildStrength or Goal.Power && slot.Kind == MovementKind.Compound
            ? Purpose.Strength
            : Purpose.Growth;
        var dose = UsualDose.For(slot, client.Level, purpose);
        string unit = dose.Counted == Counted.Seconds ? " s" : "";
        string side = dose.PerSide ? " a side" : "";
        return string.Create(
            CultureInfo.InvariantCulture, $"{dose.Sets} x {dose.Low}-{dose.High}{unit}{side}, rest {dose.Rest.Seconds:0} s, for {purpose.ToString().ToLowerInvariant()}");
    }
}

using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Programmes;

namespace Ingegno.Core.Substitution;

/// <summary>The maxima of a client, from known lifts and, where none is known, from the loads a programme writes.</summary>
public static class WrittenAnchors
{
    /// <param name="today">Known lifts age until then; null takes them as new.</param>
    public static StrengthAnchors Of(ClientProfile client, Catalogue catalogue, HouseRules rules, WrittenProgramme programme, DateOnly? today = null)
    {
        var lifted = client.Lifts.Select(l => l.Exercise).ToHashSet(StringComparer.Ordinal);
        var written = programme.Sessions
            .SelectMany(s => s.Lines, (session, line) => (session, line))
            .Where(p => p.line.Exercise is { } id && !lifted.Contains(id))
            .Select(p => IntentReading.AnchorFromLine(
                p.line, catalogue[p.line.Exercise!], client, rules, Supersets.Partners(p.line, p.session)))
            .OfType<StrengthAnchor>();
        return StrengthAnchors.Of(client, catalogue, written, today);
    }
}

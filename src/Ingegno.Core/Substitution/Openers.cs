using Ingegno.Core.Quantities;

namespace Ingegno.Core.Substitution;

/// <summary>What would open a line for which nothing here is possible or safe.</summary>
internal static class Openers
{
    /// <summary>The reason that keeps the most of the likeliest exercises out, turned into what to do about it.</summary>
    internal static string For(Choice found)
    {
        const int Likeliest = 12;
        var only = found.Refused.Take(Likeliest)
            .Where(r => r.Reasons.Select(x => x.Cause).Distinct().Count() == 1)
            .GroupBy(r => r.Reasons[0].Cause)
            .OrderByDescending(g => g.Count())
            .FirstOrDefault();
        return only is null
            ? "Nothing safe for this line here. Several things stand in the way of each exercise: read them under what was refused."
            : $"Nothing safe for this line here. {Advice(only.Key, only.First())}";
    }

    private static string Advice(RefusalCause cause, Refused first) => cause switch
    {
        RefusalCause.Kit => $"Kit would open it: {PlainWords.InSentence(first.Exercise.Name)} {first.Reasons[0].Reason}.",
        RefusalCause.Safety => $"A check would open it: {first.Reasons[0].Reason}.",
        RefusalCause.Room => $"Another place would open it, or outdoors: {PlainWords.InSentence(first.Exercise.Name)} {first.Reasons[0].Reason}.",
        RefusalCause.Screen => $"Mobility work and a passed screen would open it: {first.Reasons[0].Reason}.",
        RefusalCause.Joint => "Sore joints keep it shut: train what does not hurt, and send the client to a physician or physiotherapist if it stays.",
        RefusalCause.Health => "What was named on the health screen keeps it shut: ask the physician who clears it.",
        RefusalCause.Skill => "Some weeks on easier exercises would open it.",
        RefusalCause.Dose => "A lighter load, or a strength known from a logged set, would open it.",
        _ => "House rules or bans keep it shut: change them where you mean to.",
    };
}

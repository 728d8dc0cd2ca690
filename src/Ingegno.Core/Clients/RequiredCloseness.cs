using Ingegno.Core.Quantities;

namespace Ingegno.Core.Clients;

/// <summary>
/// How closely home must copy the gym: it rises with level and with nearness of a competition. A client who only wants
/// muscle has none, whatever the level. Apart from the fit of a substitute; main lifts under it are marked buy, borrow or accept.
/// </summary>
public static class RequiredCloseness
{
    /// <summary>Further away than this a competition asks nothing yet; nearer than the other it asks all (common practice).</summary>
    private const double FarWeeks = 20, NearWeeks = 4;

    /// <returns>0 (anything goes) to 1 (the lift itself).</returns>
    public static Share Of(ClientProfile client, DateOnly today)
    {
        bool muscleOnly = client.Goal is Goal.BuildMuscle or Goal.KeepMuscle or Goal.FatLoss or Goal.GeneralPreparation;
        double own = muscleOnly ? 0 : client.Level switch
        {
            Level.Beginner => 0.15,
            Level.Intermediate => 0.40,
            _ => 0.60,
        };
        return Share.Of(own + ((1 - own) * Nearness(client, today)));
    }

    private static double Nearness(ClientProfile client, DateOnly today)
    {
        if (client.CompetitionOn is not { } day || day < today)
        {
            return 0;
        }

        double weeks = (day.DayNumber - today.DayNumber) / 7.0;
        return Math.Clamp((FarWeeks - weeks) / (FarWeeks - NearWeeks), 0, 1);
    }
}

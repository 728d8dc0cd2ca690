using System.Collections.Immutable;
using Ingegno.Core.Progression;
using Ingegno.Storage;
using Microsoft.Data.Sqlite;

namespace Ingegno.Server.Backups;

/// <summary>Reads a backup as a copy and holds it against what is there now.</summary>
internal static class BackupLooking
{
    internal static async Task<BackupLook> OfAsync(BackupView backup, string path, string coach, Database now)
    {
        string copy = Path.Combine(Path.GetTempPath(), $"ingegno-look-{Guid.NewGuid():N}.db");
        try
        {
            File.Copy(path, copy);
            var then = new Database(copy);
            if (then.Damage() is { } damage)
            {
                return Refused($"It is damaged: {damage}. Take another.");
            }

            if (then.NewerScript() is not null)
            {
                return Refused("It was made by a newer version of Ingegno. Update first.");
            }

            then.Migrate();
            var before = await ClientsAsync(then, coach);
            var here = await ClientsAsync(now, coach);
            BackupClient[] clients =
            [
                .. before.Keys.Union(here.Keys).Select(id => new BackupClient(
                    (here.GetValueOrDefault(id) ?? before[id]).Name, before.GetValueOrDefault(id)?.Sets.Count, here.GetValueOrDefault(id)?.Sets.Count,
                    before.GetValueOrDefault(id)?.Sets.Select(s => (DateOnly?)s.On).Max())).OrderBy(c => c.Name, StringComparer.CurrentCultureIgnoreCase),
            ];
            return new(backup.Name, backup.At, [.. clients], [.. Lost(before, here)], null);
        }
        catch (SqliteException)
        {
            return Refused("It is no backup of Ingegno.");
        }
        finally
        {
            SqliteConnection.ClearAllPools();
            foreach (string end in (string[])["", "-wal", "-shm"])
            {
                File.Delete(copy + end);
            }
        }

        BackupLook Refused(string why) => new(backup.Name, backup.At, [], [], why);
    }

    private sealed record Known(string Name, IReadOnlyList<SetLog> Sets, long PlanVersion);

    private static async Task<Dictionary<string, Known>> ClientsAsync(Database database, string coach)
    {
        var (logs, plans) = (new SetLogs(database), new Storage.Plans(database));
        var known = new Dictionary<string, Known>(StringComparer.Ordinal);
        foreach (var client in await new Storage.Clients(database).AllAsync(coach))
        {
            known[client.Id] = new(client.Profile.Name, await logs.OfClientAsync(coach, client.Id), (await plans.FindAsync(coach, client.Id)).Version);
        }

        return known;
    }

    private static IEnumerable<string> Lost(Dictionary<string, Known> before, Dictionary<string, Known> here)
    {
        foreach (var (id, now) in here.OrderBy(h => h.Value.Name, StringComparer.CurrentCultureIgnoreCase))
        {
            if (!before.TryGetValue(id, out var then))
            {
                yield return $"{now.Name}: the whole client came after it.";
                continue;
            }

            var had = then.Sets.Select(s => s.Id).ToHashSet();
            int sets = now.Sets.Count(s => !had.Contains(s.Id));
            string[] lost = [.. sets > 0 ? [$"{sets} {(sets == 1 ? "set" : "sets")} logged since"] : Array.Empty<string>(), .. now.PlanVersion > then.PlanVersion ? ["changes of the plan"] : Array.Empty<string>()];
            if (lost.Length > 0)
            {
                yield return $"{now.Name}: {string.Join(" and ", lost)}.";
            }
        }
    }
}

using System.Collections.Immutable;
using System.Security.Claims;
using Ingegno.Server.Accounts;
using Ingegno.Server.Web;
using Ingegno.Storage;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Server.Backups;

/// <summary>A backup in the folder.</summary>
/// <param name="Name">Of the file, to ask for it by.</param>
public sealed record BackupView(string Name, DateTimeOffset At, long Bytes);

/// <summary>A client in a backup beside now.</summary>
/// <param name="InBackup">Sets logged then; null where the client is not in it.</param>
/// <param name="Now">Sets logged now; null where the client is not here any more.</param>
/// <param name="LastLogged">Day of the newest set in the backup.</param>
public sealed record BackupClient(string Name, int? InBackup, int? Now, DateOnly? LastLogged);

/// <summary>What a restore would bring, and what it would take.</summary>
/// <param name="Lost">In words; empty where nothing would be.</param>
/// <param name="Against">Why it cannot be restored; null when it can.</param>
public sealed record BackupLook(string Name, DateTimeOffset At, ImmutableArray<BackupClient> Clients, ImmutableArray<string> Lost, string? Against);

/// <summary>Backups on the screen: taken, looked into, restored. For whom the practice belongs to.</summary>
internal static class BackupEndpoints
{
    internal static void MapBackups(this RouteGroupBuilder api)
    {
        // A backup holds every coach's clients.
        var owner = api.MapGroup("/backups").AddEndpointFilter(OwnerOnly.Filter("backup"));
        owner.MapGet("", All).WithName("getBackups");
        owner.MapPost("", Take).WithName("takeBackup");
        owner.MapGet("/restored", Last).WithName("getRestored");
        owner.MapGet("/{name}", LookAsync).WithName("getBackup");
        owner.MapPost("/{name}/restore", Restore).WithName("restoreBackup");
    }

    private static Ok<BackupView[]> All(Storage.Backups backups) => TypedResults.Ok(backups.All().Select(View).ToArray());

    private static Results<Ok<RestoreOutcome>, NoContent> Last(RestoreAsked asked) => asked.Before is { } outcome ? TypedResults.Ok(outcome) : TypedResults.NoContent();

    private static Results<Ok<BackupView>, ProblemHttpResult> Take(Storage.Backups backups, TimeProvider clock)
    {
        try
        {
            return TypedResults.Ok(View(backups.Take(clock.GetUtcNow())));
        }
        catch (Exception closed) when (closed is IOException or UnauthorizedAccessException or RefusedBackupException or Microsoft.Data.Sqlite.SqliteException)
        {
            return TypedResults.Problem(statusCode: 422, title: "No backup could be taken.", detail: "See that the data folder is there and has room, then try again.");
        }
    }

    private static async Task<Results<Ok<BackupLook>, ProblemHttpResult>> LookAsync(string name, ClaimsPrincipal user, Storage.Backups backups, Database database) =>
        Find(backups, name) is { } backup ? TypedResults.Ok(await BackupLooking.OfAsync(View(backup), backup.Path, user.CoachId(), database)) : Answers.Missing("backup");

    /// <summary>A fresh backup first, so that the way back is open; then the server starts anew with the old one.</summary>
    private static async Task<Results<Ok<BackupView>, ProblemHttpResult>> Restore(
        string name, ClaimsPrincipal user, Storage.Backups backups, Database database, RestoreAsked asked, IHostApplicationLifetime lifetime, TimeProvider clock, HttpContext context)
    {
        if (Find(backups, name) is not { } backup)
        {
            return Answers.Missing("backup");
        }

        if ((await BackupLooking.OfAsync(View(backup), backup.Path, user.CoachId(), database)).Against is { } against)
        {
            return TypedResults.Problem(statusCode: 422, title: "This backup cannot be restored.", detail: against);
        }

        backups.Take(clock.GetUtcNow(), letGo: false);
        asked.File = backup.Path;
        context.Response.OnCompleted(() =>
        {
            lifetime.StopApplication();
            return Task.CompletedTask;
        });
        return TypedResults.Ok(View(backup));
    }

    private static Backup? Find(Storage.Backups backups, string name) => backups.All().FirstOrDefault(b => Path.GetFileName(b.Path) == name);

    private static BackupView View(Backup backup) => new(Path.GetFileName(backup.Path), backup.At, backup.Bytes);
}

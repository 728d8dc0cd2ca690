namespace Ingegno.Server.Backups;

/// <summary>A backup a day: looked after every hour, the first time once the server has been up for a while.</summary>
internal sealed partial class BackupSchedule(Storage.Backups backups, TimeProvider clock, ILogger<BackupSchedule> logger) : BackgroundService
{
    private static readonly TimeSpan FirstAfter = TimeSpan.FromMinutes(10), LookedAfter = TimeSpan.FromHours(1), Apart = TimeSpan.FromHours(23);

    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        await Task.Delay(FirstAfter, clock, stoppingToken);
        while (!stoppingToken.IsCancellationRequested)
        {
            try
            {
                var now = clock.GetUtcNow();
                if (backups.All() is not [var newest, ..] || now - newest.At >= Apart)
                {
                    Taken(backups.Take(now).Path);
                }
            }
            catch (Exception trouble) when (trouble is not OperationCanceledException)
            {
                NotTaken(trouble);
            }

            await Task.Delay(LookedAfter, clock, stoppingToken);
        }
    }

    [LoggerMessage(LogLevel.Information, "Backup taken: {Path}")]
    private partial void Taken(string path);

    [LoggerMessage(LogLevel.Error, "No backup could be taken")]
    private partial void NotTaken(Exception trouble);
}

using Ingegno.Storage;

namespace Ingegno.Server.Desk;

/// <summary>
/// Works the Desk out before anybody asks: when the server starts and when a new day does, so that the first look of a morning is as quick as the
/// next. Hundreds of rows take seconds.
/// </summary>
internal sealed partial class DeskWarming(Coaches coaches, DeskRows rows, TimeProvider clock, ILogger<DeskWarming> logger) : BackgroundService
{
    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        while (!stoppingToken.IsCancellationRequested)
        {
            try
            {
                foreach (string coach in await coaches.AllAsync())
                {
                    await rows.AllAsync(coach, stoppingToken);
                }
            }
            catch (Exception trouble) when (trouble is not OperationCanceledException)
            {
                // Whoever opens the Desk meets the same trouble and is told; the server goes on.
                NotWarmed(trouble);
            }

            // Days begin at other hours elsewhere.
            await Task.Delay(TimeSpan.FromHours(1), clock, stoppingToken);
        }
    }

    [LoggerMessage(LogLevel.Warning, "The Desk could not be worked out ahead")]
    private partial void NotWarmed(Exception trouble);
}

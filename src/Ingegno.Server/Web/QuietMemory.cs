using System.Runtime;

namespace Ingegno.Server.Web;

/// <summary>
/// Gives memory back while nobody asks for anything: what a busy minute left behind is otherwise kept until the next one, beside whatever else
/// the machine has to do. Costs the quiet server some tenths of a second, a busy one nothing.
/// </summary>
internal sealed class QuietMemory : BackgroundService
{
    private static readonly TimeSpan Look = TimeSpan.FromSeconds(1);

    /// <summary>Bytes made between two looks that still count as quiet: timers and health checks.</summary>
    private const long Quiet = 1 << 20;

    /// <summary>Bytes made since memory was last given back that are worth doing it again.</summary>
    private const long Worth = 32 << 20;

    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        using var looks = new PeriodicTimer(Look);
        long seen = 0, givenBack = 0;
        try
        {
            while (await looks.WaitForNextTickAsync(stoppingToken))
            {
                long made = GC.GetTotalAllocatedBytes();
                if (made - seen < Quiet && made - givenBack > Worth)
                {
                    GCSettings.LargeObjectHeapCompactionMode = GCLargeObjectHeapCompactionMode.CompactOnce;
                    GC.Collect(GC.MaxGeneration, GCCollectionMode.Aggressive, blocking: true, compacting: true);
                    givenBack = made;
                }

                seen = made;
            }
        }
        catch (OperationCanceledException) when (stoppingToken.IsCancellationRequested)
        {
            // The server stops.
        }
    }
}

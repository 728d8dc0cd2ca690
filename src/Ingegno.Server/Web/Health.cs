using Ingegno.Storage;
using Microsoft.Data.Sqlite;

namespace Ingegno.Server.Web;

/// <summary>For whoever watches the server: it lives, and it can read and write its file.</summary>
internal static class Health
{
    internal static void MapHealth(this WebApplication app)
    {
        app.MapGet("/health/live", () => TypedResults.Text("alive")).ExcludeFromDescription();
        app.MapGet("/health/ready", ReadyAsync).ExcludeFromDescription();
    }

    private static async Task<IResult> ReadyAsync(Database database)
    {
        try
        {
            await using var writing = await Writing.BeginAsync(database);
            return TypedResults.Text("ready");
        }
        catch (Exception closed) when (closed is SqliteException or TimeoutException or IOException)
        {
            return TypedResults.Text("The database cannot be written: see that its folder is there, has room and is this server's.", statusCode: StatusCodes.Status503ServiceUnavailable);
        }
    }
}

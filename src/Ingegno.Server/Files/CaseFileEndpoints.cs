using System.Collections.Immutable;
using System.Runtime.CompilerServices;
using System.Security.Claims;
using System.Text;
using Ingegno.Core.Homes;
using Ingegno.Core.Practices;
using Ingegno.Server.Accounts;
using Ingegno.Server.Web;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;

namespace Ingegno.Server.Files;

/// <summary>A file looked at, or brought in.</summary>
/// <param name="Kept">The clients are there now.</param>
/// <param name="Practice">It brings house rules, prices and names too.</param>
/// <param name="Problems">Why it cannot be brought in; all of it or nothing is.</param>
public sealed record CaseFileView(bool Kept, ImmutableArray<BroughtIn> Clients, bool Practice, ImmutableArray<FileProblem> Problems);

/// <summary>A problem in a file, with its place there.</summary>
public sealed record FileProblem(string Path, string Message);

/// <summary>Case files out and in, one client or the whole practice.</summary>
internal static class CaseFileEndpoints
{
    private const int MostBytes = 300_000_000;

    internal static void MapCaseFiles(this RouteGroupBuilder api)
    {
        api.MapGet("/clients/{id}/files/case.json", OneAsync).WithName("getCaseFile");
        api.MapGet("/clients/{id}/files/case.zip", OneWithPhotosAsync).WithName("getCaseFileWithPhotos").Produces<byte[]>(200, "application/zip");
        api.MapGet("/files/practice.zip", AllAsync).WithName("getPracticeFile").Produces<byte[]>(200, "application/zip");
        api.MapPost("/case-files", BringAsync).WithName("bringIn").WithMetadata(new RequestSizeLimitAttribute(MostBytes)).Accepts<byte[]>("application/octet-stream");
    }

    private static async Task<Results<FileContentHttpResult, ProblemHttpResult>> OneAsync(string id, ClaimsPrincipal user, CaseFiles files) =>
        await files.WriteAsync(user.CoachId(), id) is { } file
            ? TypedResults.File(Encoding.UTF8.GetBytes(file.ToJson()), "application/json", $"{FileEndpoints.FileName(file.Client.Name)} case.json")
            : Answers.Missing("client");

    /// <summary>The case file, and the photos of its checks beside it.</summary>
    private static async Task<Results<FileStreamHttpResult, ProblemHttpResult>> OneWithPhotosAsync(string id, ClaimsPrincipal user, CaseFiles files, Settings settings, CancellationToken stop)
    {
        string coach = user.CoachId();
        if (await files.WriteAsync(coach, id) is not { } file)
        {
            return Answers.Missing("client");
        }

        return await WholeAsync(settings, $"{FileEndpoints.FileName(file.Client.Name)} case.zip", zip => PracticeZip.WriteAsync(zip, new CaseOut("case", file, check => files.PhotoAsync(coach, id, check)), stop));
    }

    private static async Task<FileStreamHttpResult> AllAsync(
        ClaimsPrincipal user, CaseFiles files, Storage.Clients clients, Storage.Practices practices, Settings settings, CancellationToken stop)
    {
        string coach = user.CoachId();
        var practice = (await practices.FindAsync(coach)).Value;
        return await WholeAsync(settings, "practice.zip", zip => PracticeZip.WriteAsync(zip, practice, CasesAsync(stop), stop));

        async IAsyncEnumerable<CaseOut> CasesAsync([EnumeratorCancellation] CancellationToken until)
        {
            foreach (var client in await clients.AllAsync(coach))
            {
                until.ThrowIfCancellationRequested();
                if (await files.WriteAsync(coach, client.Id) is { } file)
                {
                    yield return new($"{FileEndpoints.FileName(client.Profile.Name)} {client.Id[^6..]}", file, check => files.PhotoAsync(coach, client.Id, check));
                }
            }
        }
    }

    /// <summary>Made whole before any of it is sent: what goes wrong is told, and no torn file looks like a whole one.</summary>
    private static async Task<FileStreamHttpResult> WholeAsync(Settings settings, string name, Func<Stream, Task> write)
    {
        var file = PassingFile.Open(settings);
        try
        {
            await write(file);
        }
        catch
        {
            await file.DisposeAsync();
            throw;
        }

        file.Position = 0;
        return TypedResults.File(file, "application/zip", name);
    }

    /// <param name="keep">False looks only.</param>
    /// <param name="run">A name to ask by how far it is; null where nobody will.</param>
    /// <param name="rules">The file's house rules, prices and names take the place of those here.</param>
    private static async Task<Ok<CaseFileView>> BringAsync(
        HttpRequest request, ClaimsPrincipal user, CaseFiles files, WorkUnderWay work, Settings settings, CancellationToken stop, bool keep = false, bool rules = false, string? run = null)
    {
        string coach = user.CoachId();
        await using var file = PassingFile.Open(settings);
        await request.Body.CopyToAsync(file, stop);
        file.Position = 0;
        using var read = PracticeZip.Read(file);
        var problems = new List<InputProblem>(read.Problems);
        if (rules && read.Practice is { } theirs)
        {
            problems.AddRange(PracticeProblems.Of(theirs).Select(p => p with { Path = $"{PracticeZip.PracticeName}: {p.Path}" }));
        }

        return TypedResults.Ok(await work.FollowAsync(coach, run, async told =>
        {
            var looked = await files.LookAsync(coach, read, done => told(HowFar.Of(done, read.Cases.Length, "clients looked at")));
            problems.AddRange(looked.SelectMany(l => l.Problems));
            if (!keep || problems.Count > 0)
            {
                return new CaseFileView(
                    false, [.. looked.Select(l => l.View)], read.Practice is not null, [.. problems.Take(50).Select(p => new FileProblem(p.Path, p.Message))]);
            }

            var ids = await files.AddAsync(coach, read, rules ? read.Practice : null, done => told(HowFar.Of(done, read.Cases.Length, "clients kept")));
            return new CaseFileView(true, [.. looked.Zip(ids, (l, id) => l.View with { Id = id })], read.Practice is not null, []);
        }));
    }
}

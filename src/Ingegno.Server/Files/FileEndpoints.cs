using System.Collections.Immutable;
using System.Security.Claims;
using Ingegno.Core.Progression;
using Ingegno.Formats.Tables;
using Ingegno.Server.Accounts;
using Ingegno.Server.Clients;
using Ingegno.Server.Log;
using Ingegno.Server.Practices;
using Ingegno.Server.Web;
using Ingegno.Storage;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;

namespace Ingegno.Server.Files;

/// <summary>A programme file as it was taken: its first rows, how they are laid out, and the text that comes of it. Nothing is kept.</summary>
/// <param name="Sheets">Names of all sheets.</param>
/// <param name="Sheet">The one read, from 0.</param>
/// <param name="Rows">The first rows, as they stand.</param>
/// <param name="HeaderRow">From 0; null where none names the columns.</param>
/// <param name="Columns">One role a column.</param>
/// <param name="DaysAcross">Each column is a session.</param>
/// <param name="Text">For the editor.</param>
public sealed record ProgrammeFileView(
    ImmutableArray<string> Sheets, int Sheet, ImmutableArray<ImmutableArray<string>> Rows, int? HeaderRow, ImmutableArray<ColumnRole> Columns, bool DaysAcross, string Text);

/// <summary>An exercise in a log's file.</summary>
/// <param name="Sets">Or rows, where it is not known.</param>
public sealed record LogFileExercise(string Name, int Sets);

/// <summary>A log's file looked at, or taken in.</summary>
/// <param name="Sets">That are not there yet; <paramref name="There"/> are.</param>
/// <param name="Unknown">Names nobody knows here: their rows are left out until the practice says what it means by them.</param>
public sealed record LogFileView(
    bool Kept, int Sets, int There, DateOnly? From, DateOnly? To, ImmutableArray<LogFileExercise> Exercises, ImmutableArray<LogFileExercise> Unknown, ImmutableArray<LogDoubt> Doubts);

/// <summary>Programmes from files, and programme and log as files.</summary>
internal static class FileEndpoints
{
    private const int RowsShown = 14;

    private const string Csv = "text/csv; charset=utf-8", Workbook = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet";

    internal static void MapFiles(this RouteGroupBuilder api)
    {
        api.MapPost("/clients/{id}/programme-file", ReadAsync).WithName("readProgrammeFile")
            .WithMetadata(new RequestSizeLimitAttribute(TableFile.MostBytes)).Accepts<byte[]>("application/octet-stream");
        api.MapPost("/clients/{id}/log-file", ReadLogAsync).WithName("readLogFile")
            .WithMetadata(new RequestSizeLimitAttribute(TableFile.MostBytes)).Accepts<byte[]>("application/octet-stream");
        api.MapGet("/clients/{id}/files/programme.xlsx", ProgrammeAsync).WithName("getProgrammeWorkbook");
        api.MapGet("/clients/{id}/files/log.{kind}", LogAsync).WithName("getLogFile");
    }

    /// <param name="sheet">From 0; the first where none is named.</param>
    /// <param name="columns">Roles as put right by hand, one a column, parted by commas; guessed where none are named.</param>
    /// <param name="header">Row that names the columns, from 0; -1 for none.</param>
    private static async Task<Results<Ok<ProgrammeFileView>, ValidationProblem, ProblemHttpResult>> ReadAsync(
        string id, HttpRequest request, ClaimsPrincipal user, Storage.Clients clients, CancellationToken stop, int sheet = 0, string? columns = null, int? header = null)
    {
        if (await clients.FindAsync(user.CoachId(), id) is not { } client)
        {
            return Answers.Missing("client");
        }

        using var bytes = new MemoryStream();
        await request.Body.CopyToAsync(bytes, stop);
        try
        {
            var tables = TableFile.Read(bytes.ToArray());
            if (sheet < 0 || sheet >= tables.Length)
            {
                return Answers.Invalid([new("sheet", $"The file has {tables.Length} sheets; pick one of them.")]);
            }

            var table = tables[sheet];
            var guess = ColumnGuess.Of(table);
            if (columns is not null)
            {
                ColumnRole?[] roles = [.. columns.Split(',').Select(c => Enum.TryParse<ColumnRole>(c, ignoreCase: true, out var role) && Enum.IsDefined(role) ? role : (ColumnRole?)null)];
                if (roles.Length != table.Columns || roles.Contains(null))
                {
                    return Answers.Invalid([new("columns", $"Name one role for each of the {table.Columns} columns.")]);
                }

                guess = new(header is >= 0 && header < table.Rows.Length ? header : null, [.. roles.Select(r => r!.Value)], guess.DaysAcross && guess.HeaderRow == header);
            }

            return TypedResults.Ok(new ProgrammeFileView(
                [.. tables.Select(t => t.Name)], sheet, [.. table.Rows.Take(RowsShown)], guess.HeaderRow, guess.Columns, guess.DaysAcross,
                ProgrammeTable.ToText(table, guess, client.Profile.Unit)));
        }
        catch (UnreadableFileException refused)
        {
            return Answers.Invalid([new("file", refused.Message)]);
        }
    }

    /// <param name="keep">False looks only.</param>
    /// <param name="sheet">From 0; the first where none is named.</param>
    private static async Task<Results<Ok<LogFileView>, ValidationProblem, ProblemHttpResult>> ReadLogAsync(
        string id, HttpRequest request, ClaimsPrincipal user, Cases cases, Storage.Plans plans, SetLogs logs, Learner learner, TimeProvider clock, CancellationToken stop,
        bool keep = false, int sheet = 0)
    {
        string coach = user.CoachId();
        if (await cases.FindAsync(coach, id) is not { } about)
        {
            return Answers.Missing("client");
        }

        using var bytes = new MemoryStream();
        await request.Body.CopyToAsync(bytes, stop);
        var standing = await logs.OfClientAsync(coach, id);
        ReadLog read;
        try
        {
            var tables = TableFile.Read(bytes.ToArray());
            if (sheet < 0 || sheet >= tables.Length)
            {
                return Answers.Invalid([new("sheet", $"The file has {tables.Length} sheets; pick one of them.")]);
            }

            // On the line that asks for it, else where it was logged last.
            var lines = (await plans.FindAsync(coach, id)).Value.AllLines.Where(l => l.Prescription is not null).Select(l => (l.Prescription!.Exercise, l.Line))
                .Concat(standing.Select(s => (s.Exercise, s.Line))).DistinctBy(l => l.Exercise).ToDictionary(l => l.Exercise, l => l.Line, StringComparer.Ordinal);
            var catalogue = about.Rules.Catalogue;
            read = LogTable.Read(
                tables[sheet], ProgrammeReading.NamesOf(about.Practice), catalogue, e => lines.TryGetValue(e, out int line) ? line : null, about.Profile.Unit, about.Today(clock), id);
        }
        catch (UnreadableFileException refused)
        {
            return Answers.Invalid([new("file", refused.Message)]);
        }

        // What stands stays: a file never takes the place of what was logged, nor makes two of it.
        var taken = standing.Select(s => (s.On, s.Line, s.SetNumber)).ToHashSet();
        var done = standing.CountBy(s => (s.On, s.Exercise)).ToDictionary();
        SetLog[] fresh = [.. read.Sets.Where(s => !taken.Contains((s.On, s.Line, s.SetNumber)) && s.SetNumber > done.GetValueOrDefault((s.On, s.Exercise)))];
        if (keep && fresh.Length > 0)
        {
            await logs.SaveAsync(coach, id, fresh.Select(s => new AskedSet(s, null)), new(user.CoachName(), clock.GetUtcNow()));
            learner.Ask(coach, id);
        }

        return TypedResults.Ok(new LogFileView(
            keep, fresh.Length, read.Sets.Length - fresh.Length, fresh.Select(s => (DateOnly?)s.On).Min(), fresh.Select(s => (DateOnly?)s.On).Max(),
            [.. fresh.GroupBy(s => s.Exercise).OrderByDescending(g => g.Count()).Select(g => new LogFileExercise(about.Rules.Catalogue.Find(g.Key)!.Name, g.Count()))],
            [.. read.Unknown.Take(50).Select(u => new LogFileExercise(u.Name, u.Rows))], [.. read.Doubts]));
    }

    private static async Task<Results<FileContentHttpResult, ProblemHttpResult>> ProgrammeAsync(string id, ClaimsPrincipal user, Cases cases, Storage.Plans plans)
    {
        if (await cases.FindAsync(user.CoachId(), id) is not { } about)
        {
            return Answers.Missing("client");
        }

        var plan = (await plans.FindAsync(user.CoachId(), id)).Value;
        return plan.Sessions.IsEmpty
            ? TypedResults.Problem(statusCode: 422, title: "There is no rebuilt programme yet.", detail: "Rebuild it on the bench and save it first.")
            : TypedResults.File(TableWriter.ToWorkbook(TrainingTables.Programme(plan, about.Profile.Unit)), Workbook, $"{FileName(about.Profile.Name)} programme.xlsx");
    }

    private static async Task<Results<FileContentHttpResult, ProblemHttpResult>> LogAsync(string id, string kind, ClaimsPrincipal user, Cases cases, SetLogs logs)
    {
        if (kind is not ("csv" or "xlsx") || await cases.FindAsync(user.CoachId(), id) is not { } about)
        {
            return Answers.Missing(kind is "csv" or "xlsx" ? "client" : "file");
        }

        var table = TrainingTables.Log(await logs.OfClientAsync(user.CoachId(), id), about.Rules.Catalogue, about.Profile.Unit);
        string name = $"{FileName(about.Profile.Name)} log.{kind}";
        return kind == "csv" ? TypedResults.File(TableWriter.ToCsv(table), Csv, name) : TypedResults.File(TableWriter.ToWorkbook([table]), Workbook, name);
    }

    /// <summary>A name without what folders and shells read.</summary>
    internal static string FileName(string name) => string.Concat(name.Where(c => char.IsLetterOrDigit(c) || c is ' ' or '-')).Trim() is { Length: > 0 } kept ? kept : "client";
}

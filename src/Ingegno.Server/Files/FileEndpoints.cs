using System.Collections.Immutable;
using System.Security.Claims;
using Ingegno.Formats.Tables;
using Ingegno.Server.Accounts;
using Ingegno.Server.Clients;
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

/// <summary>Programmes from files, and programme and log as files.</summary>
internal static class FileEndpoints
{
    private const int RowsShown = 14;

    private const string Csv = "text/csv; charset=utf-8", Workbook = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet";

    internal static void MapFiles(this RouteGroupBuilder api)
    {
        api.MapPost("/clients/{id}/programme-file", ReadAsync).WithName("readProgrammeFile")
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

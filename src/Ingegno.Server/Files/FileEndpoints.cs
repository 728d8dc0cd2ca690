using System.Collections.Immutable;
using System.Security.Claims;
using System.Text;
using Ingegno.Core.Plans;
using Ingegno.Core.Progression;
using Ingegno.Formats.ProgrammeText;
using Ingegno.Formats.Tables;
using Ingegno.Server.Accounts;
using Ingegno.Server.Bench;
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
/// <param name="Together">All sheets are in the text, each a session or a week.</param>
/// <param name="WeekByWeek">The sheets are weeks: one of them is trained at a time.</param>
/// <param name="Week">Of the text the one that is trained first; null where it has no weeks.</param>
/// <param name="Waiting">How many weeks wait behind it.</param>
/// <param name="Text">For the editor.</param>
/// <param name="Problems">What the editor will ask about it.</param>
public sealed record ProgrammeFileView(
    ImmutableArray<string> Sheets, int Sheet, bool Together, bool WeekByWeek, ImmutableArray<ImmutableArray<string>> Rows, int? HeaderRow, ImmutableArray<ColumnRole> Columns, bool DaysAcross, string? Week, int Waiting, string Text, ImmutableArray<TextProblem> Problems);

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
        api.MapGet("/clients/{id}/files/programme.{kind}", ProgrammeAsync).WithName("getProgrammeFile");
        api.MapGet("/clients/{id}/files/log.{kind}", LogAsync).WithName("getLogFile");
    }

    /// <param name="sheet">From 0; the first where none is named.</param>
    /// <param name="together">All sheets at once; of several where it is not said.</param>
    /// <param name="columns">Roles as put right by hand, one a column, parted by commas; guessed where none are named.</param>
    /// <param name="header">Row that names the columns, from 0; -1 for none.</param>
    private static async Task<Results<Ok<ProgrammeFileView>, ValidationProblem, ProblemHttpResult>> ReadAsync(
        string id, HttpRequest request, ClaimsPrincipal user, Cases cases, CancellationToken stop, int sheet = 0, bool? together = null, string? columns = null, int? header = null)
    {
        if (await cases.FindAsync(user.CoachId(), id) is not { } about)
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
            bool weeks = ProgrammeBook.IsWeekByWeek(tables), all = tables.Length > 1 && (together ?? true);
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

            var unit = about.Profile.Unit;
            string text = all ? ProgrammeBook.ToText(tables, table, guess, unit) : ProgrammeTable.ToText(table, guess, unit);
            var read = ProgrammeReading.Read(text, about.Practice, unit);
            return TypedResults.Ok(new ProgrammeFileView(
                [.. tables.Select(t => t.Name)], sheet, all, weeks, [.. table.Rows.Take(RowsShown)], guess.HeaderRow, guess.Columns, guess.DaysAcross,
                read.Programme.Week?.Name, read.Programme.Waiting.Length, text, read.Problems));
        }
        catch (UnreadableFileException refused)
        {
            return Answers.Invalid([new("file", refused.Message)]);
        }
    }

    /// <param name="keep">False looks only.</param>
    /// <param name="sheet">From 0; the first where none is named.</param>
    /// <param name="run">A name to ask by how far it is; null where nobody will.</param>
    private static async Task<Results<Ok<LogFileView>, ValidationProblem, ProblemHttpResult>> ReadLogAsync(
        string id, HttpRequest request, ClaimsPrincipal user, Cases cases, Storage.Plans plans, SetLogs logs, Learner learner, WorkUnderWay work, TimeProvider clock, CancellationToken stop,
        bool keep = false, int sheet = 0, string? run = null)
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
            await work.FollowAsync(coach, run, told => logs.SaveAsync(coach, id, fresh.Select((set, kept) =>
            {
                told(HowFar.Of(kept, fresh.Length, "sets"));
                return new AskedSet(set, null);
            }), new(user.CoachName(), clock.GetUtcNow())));
            learner.Ask(coach, id);
        }

        return TypedResults.Ok(new LogFileView(
            keep, fresh.Length, read.Sets.Length - fresh.Length, fresh.Select(s => (DateOnly?)s.On).Min(), fresh.Select(s => (DateOnly?)s.On).Max(),
            [.. fresh.GroupBy(s => s.Exercise).OrderByDescending(g => g.Count()).Select(g => new LogFileExercise(about.Rules.Catalogue.Find(g.Key)!.Name, g.Count()))],
            [.. read.Unknown.Take(50).Select(u => new LogFileExercise(u.Name, u.Rows))], [.. read.Doubts]));
    }

    /// <param name="kind">xlsx, a sheet a session with the weeks of the block across; csv, all in one table; txt, as the editor reads it.</param>
    private static async Task<Results<FileContentHttpResult, ProblemHttpResult>> ProgrammeAsync(
        string id, string kind, ClaimsPrincipal user, Cases cases, Storage.Plans plans, BlockAhead ahead, TimeProvider clock)
    {
        if (kind is not ("xlsx" or "csv" or "txt"))
        {
            return Answers.Missing("file");
        }

        if (await cases.FindAsync(user.CoachId(), id) is not { } about)
        {
            return Answers.Missing("client");
        }

        var plan = await plans.FindAsync(user.CoachId(), id);
        if (plan.Value.Sessions.IsEmpty)
        {
            return TypedResults.Problem(statusCode: 422, title: "There is no rebuilt programme yet.", detail: "Rebuild it on the bench and save it first.");
        }

        string name = $"{FileName(about.Profile.Name)} programme.{kind}";
        if (kind == "txt")
        {
            return TypedResults.File(Encoding.UTF8.GetBytes(PlanText.Of(plan.Value, about.Rules.Catalogue)), "text/plain; charset=utf-8", name);
        }

        if (kind == "csv")
        {
            return TypedResults.File(TableWriter.ToCsv(TrainingTables.ProgrammeInOne(plan.Value, about.Profile.Unit)), Csv, name);
        }

        var block = await ahead.AsSavedAsync(user.CoachId(), about, plan, about.Today(clock));
        return TypedResults.File(TableWriter.ToWorkbook(TrainingTables.Programme(plan.Value, about.Profile.Unit, block.Weeks, block.Targets)), Workbook, name);
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

using System.Collections.Immutable;
using System.IO.Compression;
using System.Text.Json;
using Ingegno.Core.Homes;
using Ingegno.Core.Practices;
using Ingegno.Core.Quantities;
using Ingegno.Formats.CaseFiles;
using Ingegno.Server.Links;
using Ingegno.Server.Web;

namespace Ingegno.Server.Files;

/// <summary>What a file that brings clients in holds.</summary>
/// <param name="paths">Where each case stood, for problems: empty for a single case file.</param>
/// <param name="practice">House rules, prices and names; null where the file has none.</param>
/// <param name="zip">Photos are unpacked one by one as they are asked for; null where the file is no ZIP.</param>
internal sealed class CasesInFile(ImmutableArray<CaseFile> cases, ImmutableArray<string> paths, Practice? practice, ImmutableArray<InputProblem> problems, ZipArchive? zip = null) : IDisposable
{
    internal ImmutableArray<CaseFile> Cases => cases;

    internal ImmutableArray<string> Paths => paths;

    internal Practice? Practice => practice;

    internal ImmutableArray<InputProblem> Problems => problems;

    /// <summary>The photo a case's check names, without anything but its picture; null where the file does not have it.</summary>
    /// <exception cref="InvalidDataException">It is no JPEG, or larger than a photo from the phone is.</exception>
    internal byte[]? Photo(int which, CaseCheck check) =>
        check.Photo is { } name && zip?.GetEntry(Beside(paths[which], name)) is { } entry
            ? JpegPixels.Of(PracticeZip.Unpacked(entry, PracticeZip.MostBytesOfPhoto)) ?? throw new InvalidDataException("It is no whole JPEG.")
            : null;

    public void Dispose() => zip?.Dispose();

    private static string Beside(string path, string name) => path[..(path.LastIndexOf('/') + 1)] + name;
}

/// <summary>A case on its way out.</summary>
/// <param name="Name">Of its file, without ending.</param>
/// <param name="Photo">By the id of a check that has one.</param>
internal sealed record CaseOut(string Name, CaseFile Case, Func<string, Task<byte[]?>> Photo);

/// <summary>Case files with their photos as a ZIP: of one client, or of the practice with practice.json.</summary>
internal static class PracticeZip
{
    internal const string PracticeName = "practice.json", Folder = "clients/", Photos = "photos/";

    internal const int MostBytesOfPhoto = 5_000_000;

    /// <summary>A client with years of training is under a megabyte; what unpacks to far more was not written here.</summary>
    private const int MostCases = 1000, MostEntries = 20_000, MostBytesOfOne = 30_000_000;

    private const long MostBytesInAll = 600_000_000;

    internal static async Task WriteAsync(Stream to, Practice practice, IAsyncEnumerable<CaseOut> cases, CancellationToken stop)
    {
        await using var zip = await ZipArchive.CreateAsync(to, ZipArchiveMode.Create, leaveOpen: true, entryNameEncoding: null, stop);
        await EntryAsync(zip, PracticeName, JsonSerializer.SerializeToUtf8Bytes(practice, TradeJson.Options), CompressionLevel.Optimal, stop);
        await foreach (var one in cases.WithCancellation(stop))
        {
            await CaseAsync(zip, Folder, one, stop);
        }
    }

    internal static async Task WriteAsync(Stream to, CaseOut one, CancellationToken stop)
    {
        await using var zip = await ZipArchive.CreateAsync(to, ZipArchiveMode.Create, leaveOpen: true, entryNameEncoding: null, stop);
        await CaseAsync(zip, "", one, stop);
    }

    private static async Task CaseAsync(ZipArchive zip, string folder, CaseOut one, CancellationToken stop)
    {
        await EntryAsync(zip, $"{folder}{one.Name}.json", JsonSerializer.SerializeToUtf8Bytes(one.Case, TradeJson.Options), CompressionLevel.Optimal, stop);
        foreach (var check in one.Case.Checks.Where(c => c.Photo is not null))
        {
            if (await one.Photo(check.Id) is { } picture)
            {
                await EntryAsync(zip, folder + check.Photo, picture, CompressionLevel.NoCompression, stop);
            }
        }
    }

    private static async Task EntryAsync(ZipArchive zip, string name, byte[] content, CompressionLevel level, CancellationToken stop)
    {
        await using var stream = await zip.CreateEntry(name, level).OpenAsync(stop);
        await stream.WriteAsync(content, stop);
    }

    /// <summary>Reads a case file or a ZIP of them; every problem with its place.</summary>
    /// <param name="file">Stays open as long as photos are asked for.</param>
    internal static CasesInFile Read(FileStream file)
    {
        Span<byte> start = stackalloc byte[2];
        bool zipped = file.ReadAtLeast(start, 2, throwOnEndOfStream: false) == 2 && start.SequenceEqual("PK"u8);
        file.Position = 0;
        if (zipped)
        {
            return ReadZip(file);
        }

        if (file.Length > MostBytesOfOne)
        {
            return new([], [], null, [new("file", $"The case file is too large: at most {MostBytesOfOne / 1_000_000} MB.")]);
        }

        byte[] json = new byte[file.Length];
        file.ReadExactly(json);
        var (one, refused) = Parse(json, "");
        return one is null ? new([], [], null, [refused!]) : new([one], [""], null, []);
    }

    private static CasesInFile ReadZip(FileStream file)
    {
        var cases = ImmutableArray.CreateBuilder<CaseFile>();
        var paths = ImmutableArray.CreateBuilder<string>();
        var problems = ImmutableArray.CreateBuilder<InputProblem>();
        Practice? practice = null;
        ZipArchive? zip = null;
        try
        {
            zip = new ZipArchive(file, ZipArchiveMode.Read, leaveOpen: true);
            ZipArchiveEntry[] documents = [.. zip.Entries.Where(e => e.Name.EndsWith(".json", StringComparison.OrdinalIgnoreCase))];
            if (zip.Entries.Count > MostEntries || documents.Length > MostCases || zip.Entries.Sum(e => e.Length) > MostBytesInAll || documents.Any(e => e.Length > MostBytesOfOne))
            {
                zip.Dispose();
                return new([], [], null, [new("file", $"The ZIP is too large: at most {MostCases:N0} clients of {MostBytesOfOne / 1_000_000} MB and {MostEntries:N0} files.")]);
            }

            foreach (var entry in documents)
            {
                byte[] inside = Unpacked(entry, MostBytesOfOne);
                if (entry.FullName == PracticeName)
                {
                    practice = JsonSerializer.Deserialize<Practice>(inside, TradeJson.Options);
                }
                else
                {
                    var (one, wrong) = Parse(inside, entry.FullName);
                    if (one is null)
                    {
                        problems.Add(wrong!);
                        continue;
                    }

                    cases.Add(one);
                    paths.Add(entry.FullName + ": ");
                }
            }
        }
        catch (JsonException broken)
        {
            problems.Add(new(PracticeName, $"This is not a practice: {broken.Message}"));
        }
        catch (Exception broken) when (broken is InvalidDataException or EndOfStreamException or NotSupportedException)
        {
            zip?.Dispose();
            return new([], [], null, [new("file", "The ZIP is damaged: write it anew where it came from.")]);
        }

        if (cases.Count == 0 && problems.Count == 0)
        {
            problems.Add(new("file", "There is no case file in this ZIP: it has none ending in .json."));
        }

        return new(cases.ToImmutable(), paths.ToImmutable(), practice, problems.ToImmutable(), zip);
    }

    /// <summary>What an entry says of its own length need not be so, and that is what the whole was measured by.</summary>
    internal static byte[] Unpacked(ZipArchiveEntry entry, int most)
    {
        using var from = entry.Open();
        using var to = new MemoryStream();
        byte[] part = new byte[81_920];
        for (int read; (read = from.Read(part)) > 0;)
        {
            to.Write(part, 0, read);
            if (to.Length > Math.Min(most, entry.Length))
            {
                throw new InvalidDataException("An entry unpacks to more than it may.");
            }
        }

        return to.ToArray();
    }

    private static (CaseFile? File, InputProblem? Problem) Parse(byte[] json, string path)
    {
        try
        {
            if (PlainJson.FirstIn(json, int.MaxValue) is { } problem)
            {
                return (null, path.Length > 0 ? problem with { Path = $"{path}: {problem.Path}" } : problem);
            }

            using var stream = new MemoryStream(json, writable: false);
            return (CaseFile.Parse(stream), null);
        }
        catch (JsonException broken)
        {
            return (null, new(path.Length > 0 ? path : "file", $"This is not a case file that can be read: {broken.Message}"));
        }
    }
}

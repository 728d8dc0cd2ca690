using System.Collections.Immutable;
using System.IO.Compression;
using System.Text.Json;
using Ingegno.Core.Homes;
using Ingegno.Core.Practices;
using Ingegno.Core.Quantities;
using Ingegno.Formats.CaseFiles;
using Ingegno.Server.Web;

namespace Ingegno.Server.Files;

/// <summary>What a file that brings clients in holds.</summary>
/// <param name="Paths">Where each case stood, for problems: empty for a single case file.</param>
/// <param name="Practice">House rules, prices and names; null where the file has none.</param>
internal sealed record CasesInFile(ImmutableArray<CaseFile> Cases, ImmutableArray<string> Paths, Practice? Practice, ImmutableArray<InputProblem> Problems);

/// <summary>A practice as a ZIP: practice.json, and a case file for each client.</summary>
internal static class PracticeZip
{
    internal const string PracticeName = "practice.json", Folder = "clients/";

    /// <summary>A client with years of training is under a megabyte; what unpacks to far more was not written here.</summary>
    private const int MostEntries = 1000, MostBytesOfOne = 30_000_000;

    private const long MostBytesInAll = 300_000_000;

    internal static async Task WriteAsync(Stream to, Practice practice, IAsyncEnumerable<(string Name, CaseFile Case)> cases, CancellationToken stop)
    {
        await using var zip = await ZipArchive.CreateAsync(to, ZipArchiveMode.Create, leaveOpen: true, entryNameEncoding: null, stop);
        await EntryAsync(PracticeName, JsonSerializer.Serialize(practice, TradeJson.Options));
        await foreach (var (name, file) in cases.WithCancellation(stop))
        {
            await EntryAsync($"{Folder}{name}.json", file.ToJson());
        }

        async Task EntryAsync(string name, string json)
        {
            await using var stream = await zip.CreateEntry(name, CompressionLevel.Optimal).OpenAsync(stop);
            await using var writer = new StreamWriter(stream);
            await writer.WriteAsync(json.AsMemory(), stop);
        }
    }

    /// <summary>Reads a case file or a ZIP of them; every problem with its place.</summary>
    internal static CasesInFile Read(byte[] bytes)
    {
        if (!(bytes is [(byte)'P', (byte)'K', ..]))
        {
            var (one, refused) = Parse(bytes, "");
            return one is null ? new([], [], null, [refused!]) : new([one], [""], null, []);
        }

        var cases = ImmutableArray.CreateBuilder<CaseFile>();
        var paths = ImmutableArray.CreateBuilder<string>();
        var problems = ImmutableArray.CreateBuilder<InputProblem>();
        Practice? practice = null;
        try
        {
            using var zip = new ZipArchive(new MemoryStream(bytes, writable: false));
            if (zip.Entries.Count > MostEntries || zip.Entries.Sum(e => e.Length) > MostBytesInAll || zip.Entries.Any(e => e.Length > MostBytesOfOne))
            {
                return new([], [], null, [new("file", $"The ZIP is too large: at most {MostEntries:N0} files of {MostBytesOfOne / 1_000_000} MB.")]);
            }

            foreach (var entry in zip.Entries.Where(e => e.Name.EndsWith(".json", StringComparison.OrdinalIgnoreCase)))
            {
                byte[] inside = Unpacked(entry);
                if (entry.FullName == PracticeName)
                {
                    practice = JsonSerializer.Deserialize<Practice>(inside, TradeJson.Options);
                }
                else
                {
                    var (file, wrong) = Parse(inside, entry.FullName);
                    if (file is null)
                    {
                        problems.Add(wrong!);
                        continue;
                    }

                    cases.Add(file);
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
            return new([], [], null, [new("file", "The ZIP is damaged: write it anew where it came from.")]);
        }

        return cases.Count == 0 && problems.Count == 0
            ? new([], [], practice, [new("file", "There is no case file in this ZIP: it has none ending in .json.")])
            : new(cases.ToImmutable(), paths.ToImmutable(), practice, problems.ToImmutable());
    }

    /// <summary>What an entry says of its own length need not be so.</summary>
    private static byte[] Unpacked(ZipArchiveEntry entry)
    {
        using var from = entry.Open();
        using var to = new MemoryStream();
        byte[] part = new byte[81_920];
        for (int read; (read = from.Read(part)) > 0;)
        {
            to.Write(part, 0, read);
            if (to.Length > MostBytesOfOne)
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

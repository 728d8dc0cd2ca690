namespace Ingegno.Server.Files;

/// <summary>What is too large to hold in memory while it goes out or comes in: a file in the data folder that has no name any more once it is open.</summary>
internal static class PassingFile
{
    /// <summary>Whatever ends the work, the power included, leaves nothing of it behind.</summary>
    internal static FileStream Open(Settings settings)
    {
        string name = Path.Combine(settings.DataFolder, $"ingegno-passing-{Guid.CreateVersion7()}");
        var file = new FileStream(
            name,
            new FileStreamOptions
            {
                Mode = FileMode.CreateNew,
                Access = FileAccess.ReadWrite,
                Share = FileShare.None,
                Options = FileOptions.Asynchronous,
                UnixCreateMode = UnixFileMode.UserRead | UnixFileMode.UserWrite,
            });
        File.Delete(name);
        return file;
    }
}

using MimeKit;

namespace Ingegno.Simulation;

/// <summary>A message as it lies in the outbox.</summary>
/// <param name="Name">File name, unique; the newest sorts last.</param>
public sealed record PostedMessage(string Name, DateTimeOffset At, string To, string Subject, string Text);

/// <summary>
/// A stand-in for a post office: every message is written as a file of RFC 5322 into a folder, whole or not at all, and goes no further. Any
/// mail program opens them.
/// <para>
/// A message is prepared first and posted when all that belongs to it is safe; one that was prepared when the power went is posted or dropped at
/// the next start, by whether its sender had come that far.
/// </para>
/// </summary>
public sealed class SimulatedPost(string folder)
{
    private const string Prepared = ".part";

    private static readonly MailboxAddress Sender = new("Ingegno", "post@lockside.example");

    /// <param name="name">The file's name; letters, digits and hyphens.</param>
    /// <param name="to">As people call them; the address is made up.</param>
    /// <exception cref="IOException">The outbox cannot be written.</exception>
    /// <exception cref="UnauthorizedAccessException">The outbox may not be written.</exception>
    public PreparedMessage Prepare(string name, DateTimeOffset at, string to, string subject, string text)
    {
        Directory.CreateDirectory(folder);
        using var message = new MimeMessage { Date = at, Subject = subject, Body = new TextPart("plain") { Text = text } };
        message.From.Add(Sender);
        message.To.Add(new MailboxAddress(to, "client@post.example"));
        string path = Path.Combine(folder, $"{name}.eml");
        using (var file = File.Create(path + Prepared))
        {
            message.WriteTo(file);
            file.Flush(flushToDisk: true);
        }

        return new(path + Prepared, path);
    }

    /// <summary>Names of messages that were prepared and neither posted nor dropped.</summary>
    public IReadOnlyList<PreparedMessage> Waiting() =>
        !Directory.Exists(folder)
            ? []
            : [.. Directory.EnumerateFiles(folder, "*.eml" + Prepared).Select(path => new PreparedMessage(path, path[..^Prepared.Length]))];

    /// <summary>Messages whose name starts so, newest first.</summary>
    public IReadOnlyList<PostedMessage> Sent(string prefix) =>
        !Directory.Exists(folder)
            ? []
            : [.. Directory.EnumerateFiles(folder, prefix + "*.eml").OrderDescending(StringComparer.Ordinal).Select(Read)];

    /// <summary>Takes out the messages whose names end so, posted or prepared.</summary>
    /// <returns>How many there were.</returns>
    public int TakeOut(string end)
    {
        if (!Directory.Exists(folder))
        {
            return 0;
        }

        string[] letters = [.. Directory.EnumerateFiles(folder, $"*{end}.eml"), .. Directory.EnumerateFiles(folder, $"*{end}.eml{Prepared}")];
        foreach (string letter in letters)
        {
            File.Delete(letter);
        }

        return letters.Length;
    }

    private static PostedMessage Read(string path)
    {
        using var message = MimeMessage.Load(path);
        return new(
            Path.GetFileNameWithoutExtension(path), message.Date, message.To.Mailboxes.FirstOrDefault()?.Name ?? "", message.Subject ?? "", message.TextBody?.Trim() ?? "");
    }
}

/// <summary>A message written whole that nobody gets before it is posted.</summary>
public sealed class PreparedMessage
{
    private readonly string _from, _to;

    internal PreparedMessage(string from, string to) => (_from, _to) = (from, to);

    public string Name => Path.GetFileNameWithoutExtension(_to);

    public void Post() => File.Move(_from, _to, overwrite: true);

    public void Drop() => File.Delete(_from);
}

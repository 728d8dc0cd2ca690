using MimeKit;

namespace Ingegno.Simulation;

/// <summary>A message as it lies in the outbox.</summary>
/// <param name="Name">File name, unique; the newest sorts last.</param>
public sealed record PostedMessage(string Name, DateTimeOffset At, string To, string Subject, string Text);

/// <summary>
/// A stand-in for a post office: every message is written as a file of RFC 5322 into a folder, whole or not at all, and goes no further. Any
/// mail program opens them.
/// </summary>
public sealed class SimulatedPost(string folder)
{
    private static readonly MailboxAddress Sender = new("Ingegno", "post@lockside.example");

    /// <param name="name">Starts the file's name; letters, digits and hyphens.</param>
    /// <param name="to">As people call them; the address is made up.</param>
    public void Deliver(string name, DateTimeOffset at, string to, string subject, string text)
    {
        Directory.CreateDirectory(folder);
        using var message = new MimeMessage { Date = at, Subject = subject, Body = new TextPart("plain") { Text = text } };
        message.From.Add(Sender);
        message.To.Add(new MailboxAddress(to, "client@post.example"));
        string path = Path.Combine(folder, $"{name}.eml");
        using (var file = File.Create(path + ".part"))
        {
            message.WriteTo(file);
        }

        File.Move(path + ".part", path, overwrite: true);
    }

    /// <summary>Messages whose name starts so, newest first.</summary>
    public IReadOnlyList<PostedMessage> Sent(string prefix) =>
        !Directory.Exists(folder)
            ? []
            : [.. Directory.EnumerateFiles(folder, prefix + "*.eml").OrderDescending(StringComparer.Ordinal).Select(Read)];

    private static PostedMessage Read(string path)
    {
        using var message = MimeMessage.Load(path);
        return new(
            Path.GetFileNameWithoutExtension(path), message.Date, message.To.Mailboxes.FirstOrDefault()?.Name ?? "", message.Subject ?? "", message.TextBody?.Trim() ?? "");
    }
}

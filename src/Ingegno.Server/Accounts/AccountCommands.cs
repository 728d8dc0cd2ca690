using Ingegno.Storage;
using Microsoft.AspNetCore.Identity;

namespace Ingegno.Server.Accounts;

/// <summary>Accounts from the command line, the server running or not: for whoever looks after the machine, and whoever forgot a password.</summary>
internal static class AccountCommands
{
    /// <returns>Exit code; null where the arguments name no command, and the server is to start.</returns>
    internal static async Task<int?> RunAsync(string[] args, TextReader typed, TextWriter said)
    {
        if (args is not (["account", "list"] or ["account", "add", _, _] or ["account", "password" or "remove", _]))
        {
            return args is ["account", ..] ? Refused(said, "Use: account list, account add EMAIL NAME, account password EMAIL, account remove EMAIL. A password is read from the standard input.") : null;
        }

        var settings = Settings.From(new ConfigurationBuilder().AddEnvironmentVariables().Build());
        if (DataFolder.Against(settings) is { } against)
        {
            return Refused(said, against);
        }

        using var database = new Database(settings.DatabaseFile);
        database.Migrate();
        var (coaches, passwords, now) = (new Coaches(database), new Passwords(new PasswordHasher<Coach>()), settings.Clock.GetUtcNow());
        switch (args)
        {
            case [_, "list"]:
                foreach (var (coach, clients) in await coaches.ListAsync())
                {
                    said.WriteLine($"{coach.Email}  {coach.Name}  {clients} clients");
                }

                return 0;

            case [_, "add", var email, var name]:
                said.WriteLine("Password, at least 10 characters:");
                var form = new NewCoachForm(name, email, await typed.ReadLineAsync() ?? "");
                string[] problems = [.. AccountEndpoints.Problems(form).Select(p => p.Message)];
                return problems.Length > 0 ? Refused(said, string.Join(' ', problems))
                    : await coaches.AddAsync(AccountEndpoints.New(form, passwords), now, onlyFirst: false) ? Done(said, $"{email} can sign in.")
                    : Refused(said, $"{email} has an account already.");

            case [_, "password", var email] when await coaches.ByEmailAsync(email) is { } coach:
                said.WriteLine("New password, at least 10 characters:");
                string next = await typed.ReadLineAsync() ?? "";
                if (Passwords.Problems(next).FirstOrDefault() is { } problem)
                {
                    return Refused(said, problem.Message);
                }

                await coaches.SetPasswordAsync(coach.Id, passwords.Hash(coach, next));
                await new Sessions(database).EndAllAsync(coach.Id);
                return Done(said, $"{email} has a new password and is signed out everywhere.");

            case [_, "remove", var email] when await coaches.ByEmailAsync(email) is { } coach:
                return await coaches.RemoveAsync(coach.Id) ? Done(said, $"{email} is removed.")
                    : Refused(said, "The first account stays, and so does one that has clients: erase them first.");

            default:
                return Refused(said, $"There is no account {args[2]}.");
        }
    }

    private static int Done(TextWriter said, string words)
    {
        said.WriteLine(words);
        return 0;
    }

    private static int Refused(TextWriter said, string words)
    {
        said.WriteLine($"Nothing was changed. {words}");
        return 1;
    }
}

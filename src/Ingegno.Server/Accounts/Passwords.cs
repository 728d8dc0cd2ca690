using Ingegno.Core.Homes;
using Ingegno.Storage;
using Microsoft.AspNetCore.Identity;

namespace Ingegno.Server.Accounts;

/// <summary>Passwords: long enough, not among those everybody guesses first, and never told apart from an unknown address by the time it takes.</summary>
internal sealed class Passwords(IPasswordHasher<Coach> hasher)
{
    private const int Shortest = 10, Longest = 200;

    /// <summary>Of five steps from 0; under it a password falls to a million guesses, the usual ten thousand and plays on them first.</summary>
    private const int LeastStrength = 2;

    private static readonly Coach Nobody = new("", "", "", "");

    /// <summary>Made once: to hash anew for each unknown address would take twice the time of a wrong password.</summary>
    private readonly string _nobodys = hasher.HashPassword(Nobody, Guid.NewGuid().ToString());

    internal string Hash(Coach coach, string password) => hasher.HashPassword(coach, password);

    /// <param name="coach">Null for an unknown address, which costs the same.</param>
    internal bool Fits(Coach? coach, string password) =>
        hasher.VerifyHashedPassword(coach ?? Nobody, coach?.PasswordHash ?? _nobodys, password) != PasswordVerificationResult.Failed && coach is not null;

    internal static IEnumerable<InputProblem> Problems(string password, string path = "password")
    {
        if (password.Length is < Shortest or > Longest || string.IsNullOrWhiteSpace(password))
        {
            yield return new(path, $"Choose at least {Shortest} characters.");
        }
        else if (Zxcvbn.Zxcvbn.MatchPassword(password).Score < LeastStrength)
        {
            yield return new(path, "That is one of the first that would be guessed: three words nobody would put together are better.");
        }
    }
}

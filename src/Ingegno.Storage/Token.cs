using System.Globalization;
using System.Security.Cryptography;
using System.Text;

namespace Ingegno.Storage;

/// <summary>A secret that opens something: 128 random bits, safe in an address; only its hash is stored.</summary>
internal static class Token
{
    internal static string New() => Convert.ToBase64String(RandomNumberGenerator.GetBytes(16)).TrimEnd('=').Replace('+', '-').Replace('/', '_');

    internal static string Hash(string token) => Convert.ToHexStringLower(SHA256.HashData(Encoding.UTF8.GetBytes(token)));

    /// <summary>An instant as it is stored and compared.</summary>
    internal static string Text(DateTimeOffset time) => time.UtcDateTime.ToString("O", CultureInfo.InvariantCulture);

    internal static DateTimeOffset Time(string text) => DateTimeOffset.Parse(text, CultureInfo.InvariantCulture, DateTimeStyles.AssumeUniversal);
}

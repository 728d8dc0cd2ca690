using System.Globalization;
using System.Text.Json.Serialization;

namespace Ingegno.Core.Quantities;

/// <summary>
/// A span of training time: a phase of a repetition, a rest, a session. Unit inside: second.
/// Dates and calendar spans use the framework's own types; this one never reaches past a session.
/// </summary>
[JsonConverter(typeof(DurationJson))]
public readonly record struct Duration : IComparable<Duration>
{
    private Duration(double seconds) => Seconds = seconds;

    public double Seconds { get; }

    public double Minutes => Seconds / 60;

    public static Duration Zero => default;

    public static Duration FromSeconds(double seconds) => new(seconds);

    public static Duration FromMinutes(double minutes) => new(minutes * 60);

    public static Duration operator +(Duration a, Duration b) => new(a.Seconds + b.Seconds);

    public static Duration operator -(Duration a, Duration b) => new(a.Seconds - b.Seconds);

    public static Duration operator *(Duration a, double factor) => new(a.Seconds * factor);

    public static bool operator <(Duration a, Duration b) => a.Seconds < b.Seconds;

    public static bool operator >(Duration a, Duration b) => a.Seconds > b.Seconds;

    public static bool operator <=(Duration a, Duration b) => a.Seconds <= b.Seconds;

    public static bool operator >=(Duration a, Duration b) => a.Seconds >= b.Seconds;

    public int CompareTo(Duration other) => Seconds.CompareTo(other.Seconds);

    /// <summary>Minutes and seconds as on a rest clock, "1:30".</summary>
    public override string ToString() =>
        string.Create(CultureInfo.InvariantCulture, $"{(int)Seconds / 60}:{(int)Seconds % 60:00}");
}

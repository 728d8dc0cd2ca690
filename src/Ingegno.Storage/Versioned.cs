namespace Ingegno.Storage;

/// <summary>A row with the version it was read at; saving with an older version is refused.</summary>
public sealed record Versioned<T>(T Value, long Version);

/// <summary>What came of a save.</summary>
/// <param name="Saved">False when somebody saved in between; nothing was written then.</param>
/// <param name="Version">The version now in the file.</param>
public readonly record struct SaveResult(bool Saved, long Version);

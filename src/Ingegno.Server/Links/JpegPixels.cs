namespace Ingegno.Server.Links;

/// <summary>A JPEG without anything but its picture: place, time, camera and comments are left out before it is kept.</summary>
internal static class JpegPixels
{
    private const byte Mark = 0xFF, Start = 0xD8, End = 0xD9, Scan = 0xDA, FirstRestart = 0xD0, LastRestart = 0xD7, FirstApplication = 0xE0, LastApplication = 0xEF, Comment = 0xFE;

    /// <summary>Null when it is no whole JPEG.</summary>
    internal static byte[]? Of(ReadOnlySpan<byte> jpeg)
    {
        if (jpeg.Length < 4 || jpeg[0] != Mark || jpeg[1] != Start || jpeg[^2] != Mark || jpeg[^1] != End)
        {
            return null;
        }

        using var kept = new MemoryStream(jpeg.Length);
        kept.Write(jpeg[..2]);
        int at = 2;
        while (at + 4 <= jpeg.Length && jpeg[at] == Mark)
        {
            byte kind = jpeg[at + 1];
            if (kind == Scan)
            {
                // Behind the end of the picture phones put further pictures, with their own time and place.
                int end = EndOf(jpeg[at..]);
                kept.Write(jpeg.Slice(at, end));
                return kept.ToArray();
            }

            int length = 2 + ((jpeg[at + 2] << 8) | jpeg[at + 3]);
            if (length < 4 || at + length > jpeg.Length)
            {
                return null;
            }

            if (kind is not (>= FirstApplication and <= LastApplication) and not Comment)
            {
                kept.Write(jpeg.Slice(at, length));
            }

            at += length;
        }

        return null;
    }

    /// <summary>Bytes up to and with the first end mark: within the scans of a picture none stands, for an FF there is followed by 00.</summary>
    private static int EndOf(ReadOnlySpan<byte> scans)
    {
        for (int i = 0; i + 1 < scans.Length; i++)
        {
            // A table between two scans of a progressive picture may hold any bytes: it is stepped over by its own length.
            if (scans[i] == Mark && scans[i + 1] == End)
            {
                return i + 2;
            }

            if (scans[i] == Mark && scans[i + 1] is not 0 and not (>= FirstRestart and <= LastRestart) and not Mark && i + 3 < scans.Length)
            {
                i += 1 + ((scans[i + 2] << 8) | scans[i + 3]);
            }
        }

        return scans.Length;
    }
}

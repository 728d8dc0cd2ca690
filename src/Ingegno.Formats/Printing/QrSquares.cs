using QRCoder;

namespace Ingegno.Formats.Printing;

/// <summary>A code as dark and light squares, its quiet zone in it.</summary>
public static class QrSquares
{
    /// <summary>Rows from the top, true for dark; a quarter of it may be soiled.</summary>
    public static bool[][] Of(string address)
    {
        using var data = QRCodeGenerator.GenerateQrCode(address, QRCodeGenerator.ECCLevel.M);
        return [.. data.ModuleMatrix.Select(row => row.Cast<bool>().ToArray())];
    }
}

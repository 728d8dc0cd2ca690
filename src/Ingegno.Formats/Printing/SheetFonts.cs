using PdfSharp.Fonts;

namespace Ingegno.Formats.Printing;

/// <summary>The letters of the sheet, shipped with the program: Atkinson Hyperlegible Next under the SIL Open Font License (Fonts/OFL.txt).</summary>
internal sealed class SheetFonts : IFontResolver
{
    internal const string Family = "Atkinson Hyperlegible Next";

    private const string Regular = "AtkinsonHyperlegibleNext-Regular.ttf", Bold = "AtkinsonHyperlegibleNext-Bold.ttf";

    private static readonly Lock Once = new();

    private static bool _registered;

    /// <summary>Fonts are found the same way on every machine, whatever is installed there.</summary>
    internal static void Register()
    {
        lock (Once)
        {
            if (!_registered)
            {
                GlobalFontSettings.FontResolver = new SheetFonts();
                _registered = true;
            }
        }
    }

    public FontResolverInfo ResolveTypeface(string familyName, bool isBold, bool isItalic) => new(isBold ? Bold : Regular);

    public byte[] GetFont(string faceName)
    {
        using var stream = typeof(SheetFonts).Assembly.GetManifestResourceStream($"Ingegno.Formats.Printing.Fonts.{faceName}")
            ?? throw new InvalidOperationException($"The font {faceName} is not in the program.");
        using var bytes = new MemoryStream();
        stream.CopyTo(bytes);
        return bytes.ToArray();
    }
}

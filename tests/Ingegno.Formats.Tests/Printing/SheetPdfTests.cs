using Ingegno.Core.Sheets;
using Ingegno.Formats.Printing;
using UglyToad.PdfPig;
using UglyToad.PdfPig.Content;
using ZXing;
using ZXing.Common;
using ZXing.QrCode;

namespace Ingegno.Formats.Tests.Printing;

/// <summary>The sheet on paper, read back by another library (PdfPig 0.1.16) and the code by another (ZXing.Net 0.16.11).</summary>
public class SheetPdfTests
{
    private static SheetLine Line(int number, int sets = 4) => new(
        number, "", $"Exercise {number}", $"{sets} x 8 a side", "2 s down, up · rest 1:30 · stop with 2 left", "12 kg in each hand. Handles: 2.5 + 2.5 kg on each end",
        ["Hands: Table, 72 cm", "Feet under the hips, room for a step behind"], ["Slide back slowly", "Front shin steady", "Pull up with the front leg"],
        $"gym line {number} 4 x 6 @ 72.5 kg", sets, "reps", Weighed: true, null, []);

    private static Sheet Of(int lines, int sets = 4, string title = "Saturday, legs and press") => new(
        "Maren", "Ilse Vandermolen",
        [
            new(
                title, "Maren · On the boat · about 43 minutes · week 3 of 4", [], [new("Handles", ["5 + 2.5 each end", "2.5 each end"]), new("Rucksack", []), new("Berth", [])],
                "march and swing the arms 3 min · hip circles 8 a side", [.. Enumerable.Range(1, lines).Select(i => Line(i, sets))], "10 slow breaths", ["Pain in the knee stops it."]),
        ]);

    private static string Words(Page page) => string.Join(' ', page.GetWords().Select(w => w.Text));

    [Theory]
    [InlineData(Paper.A4)]
    [InlineData(Paper.Letter)]
    public void Every_word_a_client_needs_is_on_the_page_within_what_printers_print(Paper paper)
    {
        using var document = PdfDocument.Open(SheetPdf.Write(Of(5), paper, "http://coach.example/train/abc"));
        var page = document.GetPages().ShouldHaveSingleItem();
        string words = Words(page);
        foreach (string said in (string[])["Saturday, legs and press", "On the boat", "then 2.5 each end", "Exercise 5", "4 x 8 a side", "rest 1:30", "12 kg in each hand", "Hands: Table, 72 cm.", "gym line 3", "10 slow breaths", "stop, and tell Ilse", "ask a physician", "Pain in the knee stops it."])
        {
            words.ShouldContain(said);
        }

        // A quarter of an inch is what most printers leave white (common practice).
        page.Letters.ShouldAllBe(l => l.BoundingBox.Left >= 18 && l.BoundingBox.Right <= page.Width - 18 && l.BoundingBox.Bottom >= 18 && l.BoundingBox.Top <= page.Height - 18);
        page.Letters.Min(l => l.PointSize).ShouldBeGreaterThanOrEqualTo(7);
    }

    /// <summary>Six exercises with long words fill a page: nothing of them is cut, and nothing stands in what printers leave white.</summary>
    [Theory]
    [InlineData(Paper.A4)]
    [InlineData(Paper.Letter)]
    public void A_full_page_keeps_its_margins_and_every_word_of_the_set_up(Paper paper)
    {
        var sheet = Of(6);
        var session = sheet.Sessions[0];
        sheet = sheet with
        {
            Sessions =
            [
                session with
                {
                    Lines = [.. session.Lines.Select(l => l with { SetUp = ["Lie under the edge, knees bent, feet flat", $"Grip the edge, hips level with the knees, one fist from corner {l.Line}"] })],
                    Care = ["Only under a table or rail that passed: it must not tip towards you", "Head below the hips: not with high blood pressure, glaucoma or dizziness unless a physician agrees"],
                },
            ],
        };
        using var document = PdfDocument.Open(SheetPdf.Write(sheet, paper, "http://coach.example/train/abc"));
        document.GetPages().SelectMany(p => p.Letters).ShouldAllBe(l => l.BoundingBox.Bottom >= 35);
        string words = string.Join(' ', document.GetPages().Select(Words));
        Enumerable.Range(1, 6).ShouldAllBe(i => words.Contains($"one fist from corner {i}."));
        words.ShouldNotContain("…");
    }

    [Fact]
    public void Of_two_pages_the_first_has_the_warm_up_and_the_last_the_cool_down()
    {
        using var document = PdfDocument.Open(SheetPdf.Write(Of(8), Paper.A4, null));
        string[] pages = [.. document.GetPages().Select(Words)];
        pages.Select(p => p.Contains("Warm-up:")).ShouldBe([true, false]);
        pages.Select(p => p.Contains("Cool-down:")).ShouldBe([false, true]);
        pages.Select(p => p.Contains("page 1 of 2") || p.Contains("page 2 of 2")).ShouldBe([true, true]);
    }

    [Theory]
    [InlineData(1, 1)]
    [InlineData(6, 1)]
    [InlineData(7, 2)]
    [InlineData(13, 3)]
    public void Up_to_six_lines_share_a_page(int lines, int pages)
    {
        using var document = PdfDocument.Open(SheetPdf.Write(Of(lines), Paper.A4, null));
        document.NumberOfPages.ShouldBe(pages);
        string words = string.Join(' ', document.GetPages().Select(Words));
        Enumerable.Range(1, lines).ShouldAllBe(i => words.Contains($"Exercise {i} "));
        // No page is a heading alone, and each says who is to stop.
        document.GetPages().ShouldAllBe(p => Words(p).Contains("Exercise") && Words(p).Contains("Sharp pain stops an exercise"));
    }

    [Fact]
    public void Many_sets_and_long_words_take_pages_but_lose_nothing()
    {
        using var document = PdfDocument.Open(SheetPdf.Write(Of(6, sets: 10, title: new string('W', 80)), Paper.Letter, null));
        Enumerable.Range(1, 6).ShouldAllBe(i => document.GetPages().Any(p => Words(p).Contains($"Exercise {i} ")));
    }

    /// <summary>PDF 1.7, 14.7 and 14.8: marked content, a structure tree, a language; and its fonts with it.</summary>
    [Fact]
    public void It_is_tagged_has_a_language_and_carries_its_fonts()
    {
        using var document = PdfDocument.Open(SheetPdf.Write(Of(2), Paper.A4, null));
        var catalog = document.Structure.Catalog.CatalogDictionary;
        catalog.Data.Keys.ShouldContain("StructTreeRoot");
        catalog.Data.Keys.ShouldContain("MarkInfo");
        catalog.Data.Keys.ShouldContain("Lang");
        document.GetPage(1).Letters.Select(l => l.FontName).Distinct().ShouldAllBe(f => f!.Contains("Atkinson"));
        document.Information.Title.ShouldBe("Maren: training at home");
    }

    [Fact]
    public void The_code_opens_the_address_it_was_made_for()
    {
        const string Address = "https://coach.example:8443/train/YxN988a0Hrs18FM9mPhWVA";
        bool[][] squares = QrSquares.Of(Address);
        const int Pixels = 4;
        int side = squares.Length * Pixels;
        byte[] grey = [.. from y in Enumerable.Range(0, side) from x in Enumerable.Range(0, side) select squares[y / Pixels][x / Pixels] ? (byte)0 : (byte)255];
        var read = new QRCodeReader().decode(new BinaryBitmap(new HybridBinarizer(new RGBLuminanceSource(grey, side, side, RGBLuminanceSource.BitmapFormat.Gray8))));
        read!.Text.ShouldBe(Address);
    }
}

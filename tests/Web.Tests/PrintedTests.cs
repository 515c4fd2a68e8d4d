using System.Text.RegularExpressions;
using UglyToad.PdfPig;
using UglyToad.PdfPig.Content;

namespace Merganser.Web.Tests;

/// <summary>
/// Printed pages read back by a library that knows nothing of ours: words whole and in order, sizes on paper. A point
/// is 1/72 in (ISO 32000-1, 8.3.2.3).
/// </summary>
public class PrintedTests
{
    private const double PointsInMillimetre = 72 / 25.4;

    private const string Season = "/api/bows/22222222-0000-4000-8000-000000000006";
    private const string DemoVisit = "/visits/eeeeeeee-0000-4000-8000-000000000001/";

    /// <summary>Two tenths of a millimetre on paper.</summary>
    private const double Close = 0.2 * PointsInMillimetre;

    [Fact]
    public async Task The_cut_list_says_what_comes_off_and_draws_it_in_true_size()
    {
        using var app = new App();
        using var pdf = await Pdf(app, $"{DozenTests.Half}/cut-list.pdf");
        var page = pdf.GetPage(1);
        (page.Width / PointsInMillimetre).ShouldBe(210, 0.2);
        Words(page).ShouldContain("Cut every shaft to 28 in: with the nock that is 28 1/2 in from its throat");
        Words(page).ShouldContain("off the point end");
        // The island arrow's shaft is sold at 32 in: 4 in come off.
        Widths(page).ShouldContain(w => Math.Abs(w - (4 * 72)) < Close, "the bar of 4 in");
        Widths(page).ShouldContain(w => Math.Abs(w - (100 * PointsInMillimetre)) < Close, "the rule of 100 mm");
    }

    /// <summary>.246 in across goes .7728 in around.</summary>
    [Fact]
    public async Task The_template_goes_once_around_the_shaft()
    {
        using var app = new App();
        using var pdf = await Pdf(app, $"{DozenTests.Half}/fletching.pdf");
        var boxes = pdf.GetPages().SelectMany(Boxes).ToArray();
        boxes.ShouldContain(b => Math.Abs(b.Height - (0.7728 * 72)) < Close && Math.Abs(b.Width - (4 * 72)) < Close);
        Words(pdf.GetPage(1)).ShouldContain("120° from one to the next");
    }

    /// <summary>Words stay words: every word of the page is one that a reader knows.</summary>
    [Theory]
    [InlineData("/api/dozens/cccccccc-0000-4000-8000-000000000001/tray.pdf", "Tray list. Osk")]
    [InlineData("/api/bows/22222222-0000-4000-8000-000000000001/card.pdf", "Set-up card, 23 November 2026")]
    [InlineData("/api/bows/22222222-0000-4000-8000-000000000001/card.pdf", "Check As found Now With")]
    [InlineData(Season + "/story.pdf", "Its story from 23 Nov 2025 to 23 Nov 2026. Edda Norrvik.")]
    [InlineData(Season + DemoVisit + "sheet.pdf", "Visit 1. Came 19 Jul 2026, handed over 23 Jul 2026.")]
    [InlineData(Season + DemoVisit + "card.pdf", "What was done - A new string was put on.")]
    [InlineData(Season + DemoVisit + "card.pdf", "Bench, hours 1.5 32.00 48.00")]
    [InlineData(
        "/api/dozens/cccccccc-0000-4000-8000-000000000001/shopping.pdf",
        "order number needs has buy each cost"
    )]
    public async Task Words_come_back_whole(string address, string said)
    {
        using var app = new App();
        using var pdf = await Pdf(app, address);
        var words = Words(pdf.GetPage(1));
        words.ShouldContain(said);
        Regex.IsMatch(words, @"(?<!['’/])\b[b-gj-z]\b").ShouldBeFalse(words);
    }

    /// <summary>Nothing lies over anything: no word of a row stands on a word of another.</summary>
    [Theory]
    [InlineData("/api/bows/22222222-0000-4000-8000-000000000001/card.pdf")]
    [InlineData(Season + "/story.pdf")]
    [InlineData(Season + DemoVisit + "sheet.pdf")]
    [InlineData(Season + DemoVisit + "card.pdf")]
    public async Task No_line_lies_over_another(string address)
    {
        using var app = new App();
        using var pdf = await Pdf(app, address);
        foreach (var page in pdf.GetPages())
        {
            var words = page.GetWords().Select(w => w.BoundingBox).ToArray();
            var over = words
                .SelectMany((a, i) => words.Skip(i + 1).Select(b => (a, b)))
                .Count(p =>
                    Math.Min(p.a.Right, p.b.Right) - Math.Max(p.a.Left, p.b.Left) > 0.5
                    && Math.Min(p.a.Top, p.b.Top) - Math.Max(p.a.Bottom, p.b.Bottom) > 0.5
                );
            over.ShouldBe(0, $"page {page.Number}");
        }
    }

    /// <summary>Labels lie where the sheet's labels are: the third of 3 by 8 begins 140 mm from the left.</summary>
    [Fact]
    public async Task Labels_lie_on_the_sheets_labels()
    {
        using var app = new App();
        using var pdf = await Pdf(app, "/api/dozens/cccccccc-0000-4000-8000-000000000001/labels.pdf?grid=3x8&first=3");
        var one = pdf.GetPage(1).GetWords().First(w => w.Text == "1");
        (one.BoundingBox.Left / PointsInMillimetre).ShouldBeInRange(140, 144);
        var refused = await app.Http.GetAsync($"{DozenTests.Half}/labels.pdf?columns=9&rows=8&width=70&height=37");
        ((int)refused.StatusCode).ShouldBe(400);
        (await refused.Content.ReadAsStringAsync()).ShouldContain("beyond the paper");
    }

    [Fact]
    public async Task A_glues_sheet_is_typed_once_and_stands_on_every_dozens_paper()
    {
        using var app = new App();
        var sheet = new
        {
            id = App.NewId(),
            glue = "Slow epoxy",
            handling = "30",
            cure = "24",
            note = "",
        };
        var (status, view) = await app.Post($"{DozenTests.Half}/workshop/glue/insert", sheet);
        status.ShouldBe(200);
        ((double)view["joints"]![0]!["sheet"]!["cureHours"]!).ShouldBe(24);
        (await app.Post($"{DozenTests.Half}/workshop/glue/insert", sheet)).Status.ShouldBe(200);
        using var pdf = await Pdf(app, $"{DozenTests.Half}/tray.pdf");
        Words(pdf.GetPage(1)).ShouldContain("Slow epoxy handle after 30 min, shoot after 24 h");
        (await app.Post($"{DozenTests.Half}/workshop/glue/string", sheet)).Status.ShouldBe(400);
    }

    private static async Task<PdfDocument> Pdf(App app, string address) =>
        PdfDocument.Open(await app.Http.GetByteArrayAsync(address));

    private static string Words(Page page) => string.Join(' ', page.GetWords().Select(w => w.Text));

    private static IEnumerable<double> Widths(Page page) => Boxes(page).Select(b => b.Width);

    private static IEnumerable<UglyToad.PdfPig.Core.PdfRectangle> Boxes(Page page) =>
        page.Paths.Select(p => p.GetBoundingRectangle()).OfType<UglyToad.PdfPig.Core.PdfRectangle>();
}

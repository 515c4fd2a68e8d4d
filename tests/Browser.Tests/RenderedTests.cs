using Merganser.Tests;
using OpenQA.Selenium;
using SkiaSharp;

namespace Merganser.Browser.Tests;

/// <summary>
/// Printed pages as they come out of a renderer that is none of ours: ink on every page, none of it where a printer
/// does not reach, and lengths as they are said. A4 is 210 by 297 mm (ISO 216).
/// </summary>
public class RenderedTests
{
    private const double PaperWidth = 210;
    private const double PaperHeight = 297;

    /// <summary>Printers leave so much of a sheet blank, mm (common practice, no source).</summary>
    private const double Unreached = 4;

    private const string Dozen = "/api/dozens/cccccccc-0000-4000-8000-000000000001";
    private const string Bow = "/api/bows/22222222-0000-4000-8000-000000000001";
    private const string Arrow = "/api/arrows/33333333-0000-4000-8000-000000000001";

    /// <summary>Each with a length that is on it, mm, where there is one.</summary>
    private static readonly (string Address, int? Millimetres)[] Pages =
    [
        ($"{Dozen}/cut-list.pdf", 100),
        ($"{Dozen}/fletching.pdf", 100),
        ($"{Dozen}/tray.pdf", null),
        ($"{Dozen}/labels.pdf?grid=3x8&first=1", null),
        ($"{Dozen}/shopping.pdf", null),
        ($"{Bow}/card.pdf", null),
        ($"{Arrow}/card.pdf", null),
        ("/api/bows/22222222-0000-4000-8000-000000000005/range-card.pdf", null),
    ];

    [Fact]
    [Trait("Category", "Long")]
    public async Task Pages_are_drawn_inside_their_margins_and_in_true_size()
    {
        using var screen = new Screen(demo: true, width: 1280, height: 1800);
        using var http = new HttpClient { BaseAddress = new Uri(screen.Url) };
        var folder = Directory.CreateTempSubdirectory("merganser-page-").FullName;
        foreach (var ((address, millimetres), number) in Pages.Select((p, i) => (p, i)))
        {
            var file = Path.Combine(folder, $"{number}.pdf");
            await File.WriteAllBytesAsync(file, await http.GetByteArrayAsync(address));
            screen.Driver.Navigate().GoToUrl("about:blank");
            screen.Driver.Navigate().GoToUrl($"file://{file}#toolbar=0&navpanes=0&view=Fit");
            var page = screen.Until(_ => Drawn(screen));
            page.Reached.ShouldBeTrue($"{address}: nothing is printed where no printer prints");
            page.Ink.ShouldBeInRange(0.002, 0.25, address);
            if (millimetres is { } length)
            {
                page.Lines.ShouldContain(l => Math.Abs(l - length) < 0.5, $"{address}: a line of {length} mm");
            }
        }

        Folders.Remove(folder);
    }

    /// <summary>The first page as it is seen; null until it is.</summary>
    private static Page? Drawn(Screen screen)
    {
        using var picture = SKBitmap.Decode(((ITakesScreenshot)screen.Driver).GetScreenshot().AsByteArray);
        bool IsPaper(int x, int y) => picture.GetPixel(x, y) is { Red: > 250, Green: > 250, Blue: > 250 };
        bool IsInk(int x, int y) => picture.GetPixel(x, y) is { Red: < 140, Green: < 140, Blue: < 140 };
        var middle = picture.Height / 2;
        int[] across = [.. Enumerable.Range(0, picture.Width).Where(x => IsPaper(x, middle))];
        if (across.Length == 0)
        {
            return null;
        }

        var (left, right) = (across[0], across[^1]);
        int[] down = [.. Enumerable.Range(0, picture.Height).Where(y => IsPaper(left + 2, y))];
        var scale = (right - left + 1) / PaperWidth;
        if (down.Length == 0 || Math.Abs(((down[^1] - down[0] + 1) / scale) - PaperHeight) > 3)
        {
            return null;
        }

        var edge = (int)(Unreached * scale);
        var (ink, reached) = (0, true);
        HashSet<double> lines = [];
        for (var y = down[0]; y <= down[^1]; y++)
        {
            var run = 0;
            for (var x = left; x <= right + 1; x++)
            {
                var dark = x <= right && IsInk(x, y);
                if (!dark && run > 10)
                {
                    lines.Add(run / scale);
                }

                run = dark ? run + 1 : 0;
                ink += dark ? 1 : 0;
                var outside = x < left + edge || x > right - edge || y < down[0] + edge || y > down[^1] - edge;
                reached &= !dark || !outside;
            }
        }

        return ink == 0 ? null : new Page((double)ink / across.Length / down.Length, reached, lines);
    }

    /// <param name="Ink">Share of the sheet that is dark.</param>
    /// <param name="Reached">No ink in the outermost millimetres.</param>
    /// <param name="Lines">Unbroken dark lengths across, mm.</param>
    private sealed record Page(double Ink, bool Reached, IReadOnlySet<double> Lines);
}

using System.IO.Compression;
using OpenQA.Selenium;

namespace Merganser.Browser.Tests;

/// <summary>The shared parts by themselves, and what the browser has to fetch before the first view stands.</summary>
public class PartsTests
{
    private const int MostScript = 200_000;

    [Fact]
    [Trait("Category", "Long")]
    public void Each_shared_part_can_be_read_and_reached_in_each_of_its_states()
    {
        using var sheet = new PartsSheet();
        using var screen = new Screen(demo: false);
        screen.Driver.Navigate().GoToUrl(sheet.Url);
        screen.See("[data-part-name]");
        StateAudit.Audit(screen, Look.Everything).ShouldBeEmpty();
        var named = screen.Driver.FindElements(By.CssSelector("[data-part-name]")).Select(e => e.Text).ToList();
        named.Count.ShouldBeGreaterThan(20);
    }

    [Fact]
    public void The_sheet_of_parts_does_not_ship()
    {
        using var screen = new Screen(demo: false);
        screen.Go("/parts");
        screen.See("[data-testid=steps]");
    }

    [Fact]
    public async Task The_first_view_needs_at_most_200_kB_of_script_and_no_other_views()
    {
        using var screen = new Screen(demo: true);
        screen.Go("/");
        screen.See("[data-testid=rack] h2");
        screen.Settled();
        var scripts =
            (IReadOnlyCollection<object>)
                screen.Driver.ExecuteScript(
                    "return performance.getEntriesByType('resource').map(e => e.name).filter(n => n.endsWith('.js'))"
                )!;
        scripts.ShouldNotBeEmpty();
        scripts.Cast<string>().ShouldNotContain(s => s.Contains("ArrowPage") || s.Contains("PaperPage"));
        using var http = new HttpClient();
        var compressed = await Task.WhenAll(
            scripts.Cast<string>().Select(async s => Gzip(await http.GetByteArrayAsync(s)))
        );
        compressed.Sum().ShouldBeLessThanOrEqualTo(MostScript);
    }

    private static int Gzip(byte[] script)
    {
        using var small = new MemoryStream();
        using (var gzip = new GZipStream(small, CompressionLevel.Optimal))
        {
            gzip.Write(script);
        }

        return small.ToArray().Length;
    }
}

using System.Globalization;
using System.Text.RegularExpressions;
using OpenQA.Selenium;
using OpenQA.Selenium.Interactions;

namespace Merganser.Browser.Tests;

/// <summary>A photograph of a paper, from the camera's file to a tear that was marked on it; and the bin.</summary>
public class PictureTests
{
    private const string Whimbrel = "/bows/22222222-0000-4000-8000-000000000006";

    /// <summary>Where the demo's photograph has its sheet's corners: it is 1600 pixels across.</summary>
    private static readonly (int X, int Y)[] Corners = [(250, 180), (1330, 110), (1470, 1010), (160, 930)];

    /// <summary>The demo's own photograph, as a file to be picked.</summary>
    internal static string File(Screen screen)
    {
        using var http = new HttpClient();
        var bytes = http.GetByteArrayAsync($"{screen.Url}/api/pictures/88888888-0000-4000-9000-000000000089/image.jpg");
        var path = Path.Combine(Path.GetTempPath(), $"merganser-{Guid.NewGuid():N}.jpg");
        System.IO.File.WriteAllBytes(path, bytes.GetAwaiter().GetResult());
        return path;
    }

    /// <summary>Presses at a share of an element's width and height.</summary>
    private static void PressAt(Screen screen, IWebElement on, double across, double down)
    {
        var (x, y) = ((across - .5) * on.Size.Width, (down - .5) * on.Size.Height);
        new Actions(screen.Driver).MoveToElement(on, (int)Math.Round(x), (int)Math.Round(y)).Click().Perform();
    }

    /// <summary>As it is drawn, to the width of two pixels of the screen.</summary>
    private static void Near(string words)
    {
        var told = Regex.Match(words, @"(?<left>[\d.]+) in left, (?<high>[\d.]+) in high");
        double.Parse(told.Groups["left"].Value, CultureInfo.InvariantCulture).ShouldBe(1.12, .021);
        double.Parse(told.Groups["high"].Value, CultureInfo.InvariantCulture).ShouldBe(.12, .021);
    }

    /// <summary>The middle tear of the demo's sheet is 1.12 in left and .12 in high, drawn; so it is read.</summary>
    [Fact]
    [Trait("Category", "Long")]
    public void A_tear_is_marked_on_a_photograph_in_true_size()
    {
        using var screen = new Screen(demo: true);
        var file = File(screen);
        screen.Go($"{Whimbrel}/paper");
        screen.Push("Mark a shot");
        screen.See("[data-testid=marking-sheet]");
        screen.Unfold("main");
        screen.Until(d => d.FindElement(By.CssSelector("[data-testid=under-sheet] input[type=file]"))).SendKeys(file);
        var photograph = screen.See("[data-testid=placing] > image");
        screen.SeeText("main h1", "upper left corner");
        foreach (var (x, y) in Corners)
        {
            PressAt(screen, photograph, x / 1600.0, y / 1200.0);
        }

        screen.SeeText("main h1", "one end of a length");
        screen.Push("A4");
        screen.Push("Lay it under the sheet");
        var under = screen.See("[data-testid=under]");
        screen.SeeText("[data-testid=under-sheet]", "11.7 in by 8.3 in");

        // At one inch to 96 pixels the sheet is as large as it is.
        ((double)under.Size.Width).ShouldBe(297 / 25.4 * 96, 3);
        var (holeX, holeY) = (2.2 / 3.8, .6);
        var (tailX, tailY) = (holeX - (1.12 / (297 / 25.4)), holeY - (.12 / (210 / 25.4)));
        PressAt(screen, under, holeX, holeY);
        PressAt(screen, under, tailX, tailY);
        Near(screen.SeeText("main h1", "in high").Text);
        screen.Driver.Navigate().Refresh();
        screen.See("[data-testid=under]");
        screen.Push("Keep this shot");
        screen.Push("Shots, 6");
        Near(screen.SeeText("[data-testid=shots] li:nth-child(6)", "in high").Text);
        screen.SeeText("[data-testid=photographs]", "Add a photograph");
        System.IO.File.Delete(file);
    }

    [Fact]
    [Trait("Category", "Long")]
    public void One_that_is_no_photograph_is_refused_and_one_in_the_bin_comes_back()
    {
        using var screen = new Screen(demo: true);
        var text = Path.Combine(Path.GetTempPath(), $"merganser-{Guid.NewGuid():N}.jpg");
        System.IO.File.WriteAllText(text, "no photograph");
        screen.Go($"{Whimbrel}/story?show=photo");
        IWebElement Pick() =>
            screen.Until(d => d.FindElement(By.CssSelector("[data-testid=photographs] input[type=file]")));
        Pick().SendKeys(text);
        screen.SeeText("[data-testid=photographs]", "It is no JPEG, PNG or WebP file");
        var file = File(screen);
        screen.See("[aria-label='What the next photograph shows']").SendKeys("Cams at rest");
        Pick().SendKeys(file);
        screen.See("[aria-label='Cams at rest']").SendKeys(Keys.Enter);
        screen.See("[data-testid=large]");
        screen.SeeText("[data-testid=story] li", "Photograph");
        screen.Push("Put it in the bin");
        screen.Until(d => d.FindElements(By.CssSelector("[aria-label='Cams at rest']")).Count == 0 ? "gone" : null);

        screen.Go("/copies");
        screen.SeeText("[data-testid=bin]", "Photograph: Cams at rest of Whimbrel");
        screen.See("[aria-label='Put it back: Cams at rest']").SendKeys(Keys.Enter);
        screen.SeeText("[data-testid=bin]", "The bin is empty");
        screen.Go($"{Whimbrel}/story?show=photo");
        screen.See("[aria-label='Cams at rest']");
        System.IO.File.Delete(file);
        System.IO.File.Delete(text);
    }
}

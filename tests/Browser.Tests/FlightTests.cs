using OpenQA.Selenium;
using OpenQA.Selenium.Interactions;

namespace Merganser.Browser.Tests;

/// <summary>How far a shot is honest, its marks and its tape, by hand.</summary>
public class FlightTests
{
    private const string Hunter = "/bows/22222222-0000-4000-8000-000000000005";
    private const string Barebow = "/bows/22222222-0000-4000-8000-000000000003";

    private static int HonestOf(Screen screen) => int.Parse(screen.See("[data-testid=honest]").Text.Split(' ')[2]);

    [Fact]
    [Trait("Category", "Long")]
    public void The_range_is_seen_set_and_kept_and_marks_bind_the_tape()
    {
        using var screen = new Screen(demo: true);
        screen.Go($"{Hunter}/groups");
        screen.Push("Range");
        screen.SeeText("[data-testid=honest]", "Honest to");
        var at = HonestOf(screen);

        // Read wrong by more it is honest less far; measured it is farther; both stay through a reload.
        screen.Driver.FindElement(By.CssSelector("[aria-label='Range read wrong by, yd: one more']")).Click();
        screen.Until(_ => HonestOf(screen) < at ? "so" : null);
        screen.Driver.Navigate().Refresh();
        screen.Until(_ => HonestOf(screen) < at ? "so" : null);
        screen.Push("Range is measured");
        screen.Until(_ => HonestOf(screen) > at ? "so" : null);
        screen.Push("Range is measured");
        screen.Until(_ => HonestOf(screen) < at ? "so" : null);

        // The bill by keys: the sight set farther, then back to the honest range.
        var bill = screen.See("[role=slider]");
        var set = int.Parse(bill.GetAttribute("aria-valuenow")!);
        bill.SendKeys(Keys.ArrowRight);
        screen.Until(_ => screen.See("[role=slider]").GetAttribute("aria-valuenow") == $"{set + 1}" ? "so" : null);
        screen.SeeText("[data-testid=flight-figures]", $"Speed at {set + 1} yd");
        screen.See("[role=slider]").SendKeys(Keys.Home);
        screen.Until(_ => screen.See("[role=slider]").GetAttribute("aria-valuenow") == $"{set}" ? "so" : null);

        // Every figure opens its working.
        screen.Driver.FindElement(By.CssSelector("[data-figure=honestRange]")).Click();
        screen.SeeText("[role=dialog]", "Ring of nine shots in ten");
        screen.Press(Keys.Escape);

        // A mark is typed, a bad one asked about, given up and put back.
        screen.Push("Sight marks");
        screen.SeeText("h1", "3 marks of your own");
        screen.Type("distance", "30" + Keys.Enter);
        screen.Press("1.60" + Keys.Enter);
        screen.SeeText("main", "Your mark at 30 yd lies");
        screen.Driver.SwitchTo().ActiveElement().GetAttribute("name").ShouldBe("distance");
        screen.Value("distance").ShouldBe("");
        screen.Driver.FindElement(By.CssSelector("[aria-label='Give it up: 30']")).Click();
        screen.SeeText("[role=status]", "The mark at 30 yd was given up");
        screen.SeeText("h1", "3 marks of your own");
        screen.Push("Put it back");
        screen.SeeText("h1", "4 marks of your own");

        // Nonsense stays beside its field, and what was typed stays too.
        screen.Type("distance", "near");
        screen.Type("value", "2" + Keys.Enter);
        screen.SeeText("[data-fault]", "near");
        screen.Value("distance").ShouldBe("near");

        // Steps of one's own: what cannot be read takes nothing away, and what can is printed too.
        screen.Type("marks", "far");
        screen.SeeText("main", "Write one number for every so many");
        screen.SeeText("h1", "4 marks of your own");
        screen.Retype("marks", "13, 27");
        screen.SeeText("[data-testid=marks]", "27");
        var tape = screen.Until(_ => screen.Find("a", "Sight tape"));
        tape.GetAttribute("href")!.ShouldContain("/tape.pdf?arrow=");
    }

    [Fact]
    [Trait("Category", "Long")]
    public void What_it_stands_on_is_typed_once_and_a_barebow_reads_crawls()
    {
        using var screen = new Screen(demo: true);
        screen.Go($"{Hunter}/groups?way=range&show=known");
        screen.Type("altitude", "9000" + Keys.Enter);
        screen.Type("temperature", "warm" + Keys.Enter);
        screen.SeeText("[data-fault]", "warm");
        screen.Value("temperature").ShouldBe("warm");
        screen.Retype("temperature", "20 °C" + Keys.Tab);
        screen.Until(_ => screen.Find("[data-fault]") is null ? "so" : null);
        screen.Driver.Navigate().Refresh();
        screen.Field("altitude");
        screen.Holds("altitude", "9000");
        screen.Holds("temperature", "20 °C");

        screen.Go($"{Barebow}/groups?way=range&show=marks");
        screen.SeeText("h1", "Point on at about");
        screen.Driver.FindElements(By.CssSelector("[data-testid=aims] tr")).Count.ShouldBe(10);
        screen.SeeText("[data-testid=aims]", "1.25 in");
    }

    [Fact]
    [Trait("Category", "Long")]
    public void By_touch_the_sight_is_set_where_the_finger_is()
    {
        using var screen = new Screen(demo: true, width: 390, height: 844);
        screen.Go($"{Hunter}/groups?way=range");
        var sheet = screen.See("[data-testid=range-sheet]");
        var before = screen.See("[role=slider]").GetAttribute("aria-valuenow");
        new Actions(screen.Driver).MoveToElement(sheet, 60, 0).Click().Perform();
        screen.Until(_ => screen.See("[role=slider]").GetAttribute("aria-valuenow") != before ? "so" : null);
    }
}

using System.Drawing;
using OpenQA.Selenium;
using OpenQA.Selenium.Interactions;

namespace Merganser.Browser.Tests;

/// <summary>
/// A stranger's evening: own compound, an arrow, figures, a tear, one move, shoot again. Nothing is lost.
/// </summary>
public class JourneyTests
{
    [Fact]
    public void From_an_empty_rack_to_what_the_move_did()
    {
        using var screen = new Screen(demo: false);
        screen.Go("/");
        screen.SeeText("h1", "Three short steps");
        screen.Push("Enter all measures");
        EnterBow(screen);
        ChooseArrow(screen);
        ShootPaper(screen);
        NothingOutsideWasCalled(screen);
    }

    [Fact]
    [Trait("Category", "Long")]
    public void A_lost_server_loses_nothing()
    {
        using var screen = new Screen(demo: true);
        screen.Go("/bows/22222222-0000-4000-8000-000000000001/arrow?arrow=33333333-0000-4000-8000-000000000001");
        screen.See("[data-testid=arrow-drawing]");
        Choose(screen, "length");
        screen.Kill();
        screen.Retype("cutLength", "28 7/8");
        screen.SeeText("[data-testid=next]", "not yet saved");
        screen.StartAgain();
        screen.Until(d => d.FindElements(By.CssSelector("footer[data-trouble]")).Count == 0 ? "calm" : null);
        screen.Driver.Navigate().Refresh();
        screen.See("[data-testid=arrow-drawing]");
        Choose(screen, "length");
        screen.Until(d => d.FindElement(By.Name("cutLength")).GetAttribute("value") == "28 7/8" ? "kept" : null);
    }

    [Fact]
    [Trait("Category", "Long")]
    public void What_is_done_while_the_server_is_away_goes_through_by_itself()
    {
        using var screen = new Screen(demo: true);
        screen.Go($"{States.Compound}/bow?way=string");
        var before = int.Parse(screen.See("[data-testid=shots-on-string]").Text.Split(' ')[0]);
        screen.Kill();
        screen.Push("+12");
        screen.SeeText("[data-testid=waiting]", "1 waits");
        screen.StartAgain();
        screen.SeeText("[data-testid=shots-on-string]", $"{before + 12} ");
        screen.Until(d => d.FindElements(By.CssSelector("footer[data-trouble]")).Count == 0 ? "calm" : null);
        screen.Driver.Navigate().Refresh();
        screen.SeeText("[data-testid=shots-on-string]", $"{before + 12} ");
    }

    private static void Choose(Screen screen, string part) => screen.See($"[data-callout={part}]").Click();

    private static void Fit(Screen screen, string part, string field, string words)
    {
        Choose(screen, part);
        screen.Pick(field, words);
    }

    private static void EnterBow(Screen screen)
    {
        screen.Type("archerName", "Own archer");
        screen.Type("name", "Own compound");
        screen.Type("nominalWeight", "60");
        screen.Type("measuredWeight", "61,5");
        screen.Type("drawLength", "14");
        screen.Type("axleToAxle", "84 cm");
        screen.Type("braceHeight", "6 1/2");
        screen.Type("ratedSpeed", "320");
        screen.See("[data-testid=go]").Click();
        screen.SeeText("[data-fault]", "15 to 36 in");
        screen
            .Driver.FindElement(By.Name("drawLength"))
            .GetAttribute("value")
            .ShouldBe("14", "typed text is never lost by an error");
        screen.Driver.Navigate().Refresh();
        screen.Until(d => d.FindElement(By.Name("drawLength")).GetAttribute("value") == "14" ? "kept" : null);
        screen.Retype("drawLength", "28 1/2");
        screen.Push("Keep this bow");
        screen.SeeText("[data-testid=next]", "The bow is measured");
        screen.Driver.Navigate().Refresh();
        screen.Until(d => d.FindElement(By.Name("axleToAxle")).GetAttribute("value") == "84 cm" ? "as typed" : null);
        screen.Push("Choose the arrow");
    }

    private static void ChooseArrow(Screen screen)
    {
        screen.SeeText("[data-testid=suggestion]", "good.");
        screen.Push("Start an arrow");
        screen.See("[data-testid=arrow-drawing]");
        var before = screen.See("[data-figure=totalWeight] [data-value]").Text;
        var point = screen.See("path[data-part=point]");
        new Actions(screen.Driver).MoveToElement(point).Click().Perform();
        screen.See("[data-panel=point]");
        screen.Push("+");
        screen.Until(d =>
            d.FindElement(By.CssSelector("[data-figure=totalWeight] [data-value]")).Text != before ? "changed" : null
        );

        Choose(screen, "length");
        screen.Retype("cutLength", "26");
        screen.SeeText("main [role=note]", "behind the rest");
        screen.Retype("cutLength", "27 1/4");
        screen.SeeText("main [role=note]", "ahead of the rest");
        screen.Retype("cutLength", "abc");
        screen.SeeText("[data-fault]", "not a number");
        screen.Retype("cutLength", "28 3/4");
        screen.Until(d => d.FindElements(By.CssSelector("main [role=note]")).Count == 0 ? "none" : null);

        screen.See("[data-figure=frontOfCenter]").Click();
        screen.SeeText("[role=dialog]", "100 (A / L");
        screen.Driver.SwitchTo().ActiveElement().SendKeys(Keys.Escape);
        screen.Until(d => d.FindElements(By.CssSelector("[role=dialog]")).Count == 0 ? "closed" : null);

        Fit(screen, "point", "pointId", "Shear two-blade 125");
        Fit(screen, "shaft", "shaftId", "Wrackline 500");
        screen.SeeText("main [role=note]", "fixed head");
        Fit(screen, "point", "pointId", "Pebble 75");
        Fit(screen, "shaft", "shaftId", "Marram 850");
        screen.SeeText("main [role=note]", "gr/lb");
        Fit(screen, "shaft", "shaftId", "Wrackline 340");
        Fit(screen, "point", "pointId", "Pebble 100");
        screen.Push("Keep this arrow");
        screen.SeeText("[data-testid=next]", "Version 1 is kept");
        screen.Driver.Navigate().Refresh();
        screen.See("[data-testid=arrow-drawing]");
        Choose(screen, "length");
        screen.Until(d => d.FindElement(By.Name("cutLength")).GetAttribute("value") == "28 3/4" ? "kept" : null);
        screen.Push("To the paper");
    }

    private static void ShootPaper(Screen screen)
    {
        screen.Push("Begin this paper");
        Mark(screen, new Point(0, 100), new Point(0, -92));
        screen.SeeText("[data-testid=words]", "Tail high");
        screen.SeeText("[data-testid=advice] h2", "Rest 33 clicks up");
        MarkByKeys(screen);
        screen.See("[data-kind=move]");
        screen.SeeText("[data-testid=advice] h2", "Rest");

        screen.See("[data-testid=undo]").Click();
        screen.SeeText("[data-testid=advice] h2", "Rest 33 clicks up");
        MarkByKeys(screen);
        screen.SeeText("[data-testid=advice] h2", "Rest");

        screen.Push("I made this move");
        screen.SeeText("[data-testid=film]", "Set 2");
        screen.SeeText("[data-testid=film] li", "Rest");
        screen.Restart();
        screen.Driver.Navigate().Refresh();
        MarkTyped(screen, "0,06", "−1/16");
        screen.SeeText("[data-testid=words]", "Level both ways");
        for (var i = 0; i < 8 && !screen.See("[data-testid=advice]").Text.Contains("Good enough"); i++)
        {
            screen.SeeText("[data-testid=advice]", "Shoot one more");
            MarkTyped(screen, i % 2 == 0 ? "0.03" : "−0.02", "0");
        }

        screen.SeeText("[data-testid=advice]", "Good enough");
        screen.SeeText("[data-testid=reading-figures]", "since the last set");

        screen.Push("Shots");
        screen.Push("Void");
        screen.Push("torqued grip");
        screen.SeeText("[data-testid=shots]", "void: torqued grip");
        screen.Push("Reading");
        screen.See("[data-testid=accept]").Click();
        screen.SeeText("[data-testid=next]", "Accepted");
        screen.Push("Back to the rack");
        screen.SeeText("[data-testid=rack] [data-testid=state]", "Paper accepted");
    }

    private static void Mark(Screen screen, Point point, Point tail)
    {
        screen.Push("Mark a shot");
        var sheet = screen.See("[data-testid=marking-sheet]");
        new Actions(screen.Driver).MoveToElement(sheet, point.X, point.Y).Click().Perform();
        new Actions(screen.Driver).MoveToElement(sheet, tail.X, tail.Y).Click().Perform();
        screen.Push("Keep this shot");
        screen.Until(d => d.FindElements(By.CssSelector("[data-testid=marking-sheet]")).Count == 0 ? "kept" : null);
    }

    /// <summary>Point in the middle, tail two inches up, by keyboard only.</summary>
    private static void MarkByKeys(Screen screen)
    {
        screen.Push("Mark a shot");
        screen.See("[data-testid=marking-sheet]");
        var at = screen.Until(d => d.SwitchTo().ActiveElement() is { TagName: "svg" } sheet ? sheet : null);
        at.SendKeys(Keys.Enter);
        for (var i = 0; i < 8; i++)
        {
            at.SendKeys(Keys.Shift + Keys.ArrowUp);
        }

        at.SendKeys(Keys.ArrowLeft);
        at.SendKeys(Keys.Enter);
        at.SendKeys(Keys.Enter);
        screen.Until(d => d.FindElements(By.CssSelector("[data-testid=marking-sheet]")).Count == 0 ? "kept" : null);
    }

    private static void MarkTyped(Screen screen, string right, string up)
    {
        screen.Push("Mark a shot");
        screen.Push("Type the place");
        screen.Type("right", right);
        screen.Type("up", up);
        screen.See("[name=up]").SendKeys(Keys.Enter);
        screen.Until(d => d.FindElements(By.CssSelector("[data-testid=marking-sheet]")).Count == 0 ? "kept" : null);
    }

    private static void NothingOutsideWasCalled(Screen screen)
    {
        var asked =
            (IReadOnlyCollection<object>)
                screen.Driver.ExecuteScript("return performance.getEntriesByType('resource').map(e => e.name)")!;
        asked.Cast<string>().ShouldAllBe(name => name.StartsWith(screen.Url));
        screen
            .Driver.Manage()
            .Logs.GetLog(LogType.Browser)
            .Where(e => e.Message.Contains("Content Security Policy"))
            .ShouldBeEmpty();
    }
}

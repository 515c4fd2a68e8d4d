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
        screen.SeeText(".foot .say", "The rack is empty");
        screen.Button("Enter a bow").Click();
        EnterBow(screen);
        ChooseArrow(screen);
        ShootPaper(screen);
        NothingOutsideWasCalled(screen);
    }

    [Fact]
    public void A_lost_server_loses_nothing()
    {
        using var screen = new Screen(demo: true);
        screen.Go("/bows/22222222-0000-4000-8000-000000000001/arrow?arrow=33333333-0000-4000-8000-000000000001");
        screen.See(".arrow-drawing");
        Choose(screen, "length");
        screen.Kill();
        screen.Retype("cutLength", "28 7/8");
        screen.SeeText(".foot .say", "not yet saved");
        screen.StartAgain();
        screen.Button("Try again").Click();
        screen.Until(d => d.FindElements(By.CssSelector(".foot.trouble")).Count == 0 ? "calm" : null);
        screen.Driver.Navigate().Refresh();
        screen.See(".arrow-drawing");
        Choose(screen, "length");
        screen.Until(d => d.FindElement(By.Name("cutLength")).GetAttribute("value") == "28 7/8" ? "kept" : null);
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
        screen.See(".go").Click();
        screen.SeeText(".field.wrong .fault", "15 to 36 in");
        screen
            .Driver.FindElement(By.Name("drawLength"))
            .GetAttribute("value")
            .ShouldBe("14", "typed text is never lost by an error");
        screen.Driver.Navigate().Refresh();
        screen.Until(d => d.FindElement(By.Name("drawLength")).GetAttribute("value") == "14" ? "kept" : null);
        screen.Retype("drawLength", "28 1/2");
        screen.Button("Keep this bow").Click();
        screen.SeeText(".foot .say", "The bow is measured");
        screen.Driver.Navigate().Refresh();
        screen.Until(d => d.FindElement(By.Name("axleToAxle")).GetAttribute("value") == "84 cm" ? "as typed" : null);
        screen.Button("Choose the arrow").Click();
    }

    private static void ChooseArrow(Screen screen)
    {
        screen.Button("Start an arrow").Click();
        screen.See(".arrow-drawing");
        var before = screen.See("[data-figure=totalWeight] .v").Text;
        var point = screen.See("path[data-part=point]");
        new Actions(screen.Driver).MoveToElement(point).Click().Perform();
        screen.See("[data-panel=point]");
        screen.Button("+").Click();
        screen.Until(d =>
            d.FindElement(By.CssSelector("[data-figure=totalWeight] .v")).Text != before ? "changed" : null
        );

        Choose(screen, "length");
        screen.Retype("cutLength", "26");
        screen.SeeText(".caution", "behind the rest");
        screen.Retype("cutLength", "27 1/4");
        screen.SeeText(".caution", "ahead of the rest");
        screen.Retype("cutLength", "abc");
        screen.SeeText(".field .fault", "not a number");
        screen.Retype("cutLength", "28 3/4");
        screen.Until(d => d.FindElements(By.CssSelector(".caution")).Count == 0 ? "none" : null);

        screen.See("[data-figure=frontOfCenter]").Click();
        screen.SeeText(".working", "100 (A / L");
        screen.Driver.SwitchTo().ActiveElement().SendKeys(Keys.Escape);
        screen.Until(d => d.FindElements(By.CssSelector(".working")).Count == 0 ? "closed" : null);

        Fit(screen, "point", "pointId", "Shear two-blade 125");
        Fit(screen, "shaft", "shaftId", "Wrackline 500");
        screen.SeeText(".caution", "fixed head");
        Fit(screen, "point", "pointId", "Pebble 75");
        Fit(screen, "shaft", "shaftId", "Marram 850");
        screen.SeeText(".caution", "gr/lb");
        Fit(screen, "shaft", "shaftId", "Wrackline 340");
        Fit(screen, "point", "pointId", "Pebble 100");
        screen.Button("Keep this arrow").Click();
        screen.SeeText(".foot .say", "Version 1 is kept");
        screen.Driver.Navigate().Refresh();
        screen.See(".arrow-drawing");
        Choose(screen, "length");
        screen.Until(d => d.FindElement(By.Name("cutLength")).GetAttribute("value") == "28 3/4" ? "kept" : null);
        screen.Button("To the paper").Click();
    }

    private static void ShootPaper(Screen screen)
    {
        screen.Button("Begin this paper").Click();
        Mark(screen, new Point(0, 100), new Point(0, -92));
        screen.SeeText("[data-testid=words]", "Tail high");
        screen.SeeText(".move-box", "one more");
        MarkByKeys(screen);
        screen.See("[data-kind=move]");
        screen.SeeText(".move-box h2", "Rest");

        screen.See("[data-testid=undo]").Click();
        screen.SeeText(".move-box", "one more");
        MarkByKeys(screen);
        screen.SeeText(".move-box h2", "Rest");

        screen.Button("I made this move").Click();
        screen.SeeText(".film", "Set 2");
        screen.SeeText(".film-move", "Rest");
        screen.Restart();
        screen.Driver.Navigate().Refresh();
        MarkTyped(screen, "0,06", "−1/16");
        screen.SeeText("[data-testid=words]", "Level both ways");
        for (var i = 0; i < 8 && !screen.See(".move-box").Text.Contains("Good enough"); i++)
        {
            screen.SeeText(".move-box", "Shoot one more");
            MarkTyped(screen, i % 2 == 0 ? "0.03" : "−0.02", "0");
        }

        screen.SeeText(".move-box", "Good enough");
        screen.SeeText(".reading-figures", "since the last set");

        screen.Button("Shots").Click();
        screen.Button("Void").Click();
        screen.Button("torqued grip").Click();
        screen.SeeText(".shots", "void: torqued grip");
        screen.Button("Reading").Click();
        screen.See("[data-testid=accept]").Click();
        screen.SeeText(".foot .say", "Accepted");
        screen.Button("Back to the rack").Click();
        screen.SeeText(".rack .state", "Paper accepted");
    }

    private static void Mark(Screen screen, Point point, Point tail)
    {
        screen.Button("Mark a shot").Click();
        var sheet = screen.See("[data-testid=marking-sheet]");
        new Actions(screen.Driver).MoveToElement(sheet, point.X, point.Y).Click().Perform();
        new Actions(screen.Driver).MoveToElement(sheet, tail.X, tail.Y).Click().Perform();
        screen.Button("Keep this shot").Click();
        screen.Until(d => d.FindElements(By.CssSelector("[data-testid=marking-sheet]")).Count == 0 ? "kept" : null);
    }

    /// <summary>Point in the middle, tail two inches up, by keyboard only.</summary>
    private static void MarkByKeys(Screen screen)
    {
        screen.Button("Mark a shot").Click();
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
        screen.Button("Mark a shot").Click();
        screen.Button("Type the place").Click();
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

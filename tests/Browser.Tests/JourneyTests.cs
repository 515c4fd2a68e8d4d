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
        using var bench = new Bench(demo: false);
        bench.Go("/");
        bench.SeeText(".foot .say", "The rack is empty");
        bench.Button("Enter a bow").Click();
        EnterBow(bench);
        ChooseArrow(bench);
        ShootPaper(bench);
        NothingOutsideWasCalled(bench);
    }

    [Fact]
    public void A_lost_server_loses_nothing()
    {
        using var bench = new Bench(demo: true);
        bench.Go("/bows/22222222-0000-4000-8000-000000000001/arrow?arrow=33333333-0000-4000-8000-000000000001");
        bench.See(".arrow-drawing");
        Choose(bench, "length");
        bench.Kill();
        bench.Retype("cutLength", "28 7/8");
        bench.SeeText(".foot .say", "not yet saved");
        bench.StartAgain();
        bench.Button("Try again").Click();
        bench.Until(d => d.FindElements(By.CssSelector(".foot.trouble")).Count == 0 ? "calm" : null);
        bench.Driver.Navigate().Refresh();
        bench.See(".arrow-drawing");
        Choose(bench, "length");
        bench.Until(d => d.FindElement(By.Name("cutLength")).GetAttribute("value") == "28 7/8" ? "kept" : null);
    }

    private static void Choose(Bench bench, string part) => bench.See($"[data-callout={part}]").Click();

    private static void Fit(Bench bench, string part, string field, string words)
    {
        Choose(bench, part);
        bench.Pick(field, words);
    }

    private static void EnterBow(Bench bench)
    {
        bench.Type("archerName", "Own archer");
        bench.Type("name", "Own compound");
        bench.Type("nominalWeight", "60");
        bench.Type("measuredWeight", "61,5");
        bench.Type("drawLength", "14");
        bench.Type("axleToAxle", "84 cm");
        bench.Type("braceHeight", "6 1/2");
        bench.Type("ratedSpeed", "320");
        bench.See(".go").Click();
        bench.SeeText(".field.wrong .fault", "15 to 36 in");
        bench
            .Driver.FindElement(By.Name("drawLength"))
            .GetAttribute("value")
            .ShouldBe("14", "typed text is never lost by an error");
        bench.Driver.Navigate().Refresh();
        bench.Until(d => d.FindElement(By.Name("drawLength")).GetAttribute("value") == "14" ? "kept" : null);
        bench.Retype("drawLength", "28 1/2");
        bench.Button("Keep this bow").Click();
        bench.SeeText(".foot .say", "The bow is measured");
        bench.Driver.Navigate().Refresh();
        bench.Until(d => d.FindElement(By.Name("axleToAxle")).GetAttribute("value") == "84 cm" ? "as typed" : null);
        bench.Button("Choose the arrow").Click();
    }

    private static void ChooseArrow(Bench bench)
    {
        bench.Button("Start an arrow").Click();
        bench.See(".arrow-drawing");
        var before = bench.See("[data-figure=totalWeight] .v").Text;
        var point = bench.See("path[data-part=point]");
        new Actions(bench.Driver).MoveToElement(point).Click().Perform();
        bench.See("[data-panel=point]");
        bench.Button("+").Click();
        bench.Until(d =>
            d.FindElement(By.CssSelector("[data-figure=totalWeight] .v")).Text != before ? "changed" : null
        );

        Choose(bench, "length");
        bench.Retype("cutLength", "26");
        bench.SeeText(".caution", "behind the rest");
        bench.Retype("cutLength", "27 1/4");
        bench.SeeText(".caution", "ahead of the rest");
        bench.Retype("cutLength", "abc");
        bench.SeeText(".field .fault", "not a number");
        bench.Retype("cutLength", "28 3/4");
        bench.Until(d => d.FindElements(By.CssSelector(".caution")).Count == 0 ? "none" : null);

        bench.See("[data-figure=frontOfCenter]").Click();
        bench.SeeText(".working", "100 (A / L");
        bench.Driver.SwitchTo().ActiveElement().SendKeys(Keys.Escape);
        bench.Until(d => d.FindElements(By.CssSelector(".working")).Count == 0 ? "closed" : null);

        Fit(bench, "point", "pointId", "Shear two-blade 125");
        Fit(bench, "shaft", "shaftId", "Wrackline 500");
        bench.SeeText(".caution", "fixed head");
        Fit(bench, "point", "pointId", "Pebble 75");
        Fit(bench, "shaft", "shaftId", "Marram 850");
        bench.SeeText(".caution", "gr/lb");
        Fit(bench, "shaft", "shaftId", "Wrackline 340");
        Fit(bench, "point", "pointId", "Pebble 100");
        bench.Button("Keep this arrow").Click();
        bench.SeeText(".foot .say", "Version 1 is kept");
        bench.Driver.Navigate().Refresh();
        bench.See(".arrow-drawing");
        Choose(bench, "length");
        bench.Until(d => d.FindElement(By.Name("cutLength")).GetAttribute("value") == "28 3/4" ? "kept" : null);
        bench.Button("To the paper").Click();
    }

    private static void ShootPaper(Bench bench)
    {
        bench.Button("Begin this paper").Click();
        Mark(bench, new Point(0, 100), new Point(0, -92));
        bench.SeeText("[data-testid=words]", "Tail high");
        bench.SeeText(".move-box", "one more");
        MarkByKeys(bench);
        bench.See("[data-kind=move]");
        bench.SeeText(".move-box h2", "Rest");

        bench.See("[data-testid=undo]").Click();
        bench.SeeText(".move-box", "one more");
        MarkByKeys(bench);
        bench.SeeText(".move-box h2", "Rest");

        bench.Button("I made this move").Click();
        bench.SeeText(".film", "Set 2");
        bench.SeeText(".film-move", "Rest");
        bench.Restart();
        bench.Driver.Navigate().Refresh();
        MarkTyped(bench, "0,06", "−1/16");
        bench.SeeText("[data-testid=words]", "Level both ways");
        for (var i = 0; i < 8 && !bench.See(".move-box").Text.Contains("Good enough"); i++)
        {
            bench.SeeText(".move-box", "Shoot one more");
            MarkTyped(bench, i % 2 == 0 ? "0.03" : "−0.02", "0");
        }

        bench.SeeText(".move-box", "Good enough");
        bench.SeeText(".reading-figures", "since the last set");

        bench.Button("Shots").Click();
        bench.Button("Void").Click();
        bench.Button("torqued grip").Click();
        bench.SeeText(".shots", "void: torqued grip");
        bench.Button("Reading").Click();
        bench.See("[data-testid=accept]").Click();
        bench.SeeText(".foot .say", "Accepted");
        bench.Button("Back to the rack").Click();
        bench.SeeText(".rack .state", "Paper accepted");
    }

    private static void Mark(Bench bench, Point point, Point tail)
    {
        bench.Button("Mark a shot").Click();
        var sheet = bench.See("[data-testid=marking-sheet]");
        new Actions(bench.Driver).MoveToElement(sheet, point.X, point.Y).Click().Perform();
        new Actions(bench.Driver).MoveToElement(sheet, tail.X, tail.Y).Click().Perform();
        bench.Button("Keep this shot").Click();
        bench.Until(d => d.FindElements(By.CssSelector("[data-testid=marking-sheet]")).Count == 0 ? "kept" : null);
    }

    /// <summary>Point in the middle, tail two inches up, by keyboard only.</summary>
    private static void MarkByKeys(Bench bench)
    {
        bench.Button("Mark a shot").Click();
        bench.See("[data-testid=marking-sheet]");
        var at = bench.Until(d => d.SwitchTo().ActiveElement() is { TagName: "svg" } sheet ? sheet : null);
        at.SendKeys(Keys.Enter);
        for (var i = 0; i < 8; i++)
        {
            at.SendKeys(Keys.Shift + Keys.ArrowUp);
        }

        at.SendKeys(Keys.ArrowLeft);
        at.SendKeys(Keys.Enter);
        at.SendKeys(Keys.Enter);
        bench.Until(d => d.FindElements(By.CssSelector("[data-testid=marking-sheet]")).Count == 0 ? "kept" : null);
    }

    private static void MarkTyped(Bench bench, string right, string up)
    {
        bench.Button("Mark a shot").Click();
        bench.Button("Type the place").Click();
        bench.Type("right", right);
        bench.Type("up", up);
        bench.See("[name=up]").SendKeys(Keys.Enter);
        bench.Until(d => d.FindElements(By.CssSelector("[data-testid=marking-sheet]")).Count == 0 ? "kept" : null);
    }

    private static void NothingOutsideWasCalled(Bench bench)
    {
        var asked =
            (IReadOnlyCollection<object>)
                bench.Driver.ExecuteScript("return performance.getEntriesByType('resource').map(e => e.name)")!;
        asked.Cast<string>().ShouldAllBe(name => name.StartsWith(bench.Url));
        bench
            .Driver.Manage()
            .Logs.GetLog(LogType.Browser)
            .Where(e => e.Message.Contains("Content Security Policy"))
            .ShouldBeEmpty();
    }
}

using OpenQA.Selenium;

namespace Merganser.Browser.Tests;

/// <summary>Each kind of bow from nothing to its first move, at phone width and by keyboard only.</summary>
public class KindTests
{
    [Theory]
    [InlineData("Compound", "30", "33", "6.5", "27 1/2", "Rest")]
    [InlineData("Recurve", "38", "68", "8 3/4", "27 1/2", "Nocking point")]
    [InlineData("Barebow", "32", "66", "8,5", "27 1/2", "Nocking point")]
    [InlineData("Longbow", "45", "172 cm", "7", "27 1/2", "Nocking point")]
    public void By_keyboard_on_a_phone(
        string kind,
        string weight,
        string length,
        string brace,
        string draw,
        string firstMove
    )
    {
        using var bench = new Bench(demo: false, 390, 844);
        bench.Go("/bows/new");
        bench.See("[name=archerName]");
        Enter(bench, "archerName", "Own archer");
        Enter(bench, "name", $"Own {kind}");
        TabTo(bench, "kind");
        Active(bench).SendKeys(kind[..3]);
        Enter(bench, "nominalWeight", weight);
        Enter(bench, "measuredWeight", weight);
        Enter(bench, "drawLength", draw);
        Enter(bench, "axleToAxle", length);
        Enter(bench, "braceHeight", brace);
        Active(bench).SendKeys(Keys.Control + Keys.Enter);
        bench.SeeText(".foot .say", "The bow is measured");

        Body(bench, "a");
        bench.SeeText(".foot .say", "No arrow yet");
        bench.Until(d => d.FindElements(By.CssSelector(".go:not(.Mui-disabled)")).Count > 0 ? "ready" : null);
        Body(bench, Keys.Enter);
        bench.See(".figures");
        bench.Until(d =>
            d.FindElement(By.CssSelector(".foot .say")).Text.Contains("spine")
            || d.FindElement(By.CssSelector(".go")).Text.Contains("Keep")
                ? "read"
                : null
        );
        if (!bench.See(".go").Text.Contains("Keep this"))
        {
            bench.Button("Keep it all the same").SendKeys(Keys.Enter);
        }
        else
        {
            Body(bench, Keys.Enter);
        }

        bench.SeeText(".arrow-title", "version 1");
        Body(bench, "p");
        bench.SeeText("h1", "A new paper");
        Body(bench, Keys.Enter);
        bench.SeeText(".move-box", "Shoot one arrow");
        MarkHigh(bench);
        MarkHigh(bench);
        bench.SeeText("[data-testid=words]", "Tail high");
        bench.SeeText(".move-box h2", firstMove);
        Body(bench, Keys.Control + Keys.Enter);
        bench.SeeText(".film", "Set 2");
    }

    [Fact]
    public void Units_of_the_archer_follow_everywhere_and_drift_nowhere()
    {
        using var bench = new Bench(demo: true);
        bench.Go("/bows/22222222-0000-4000-8000-000000000001/bow?way=measures");
        bench.See("[name=drawLength]").GetAttribute("value").ShouldBe("29");
        bench.See("[aria-label^='Units']").Click();
        bench.Button("All metric").Click();
        bench.Until(d => d.FindElement(By.Name("drawLength")).GetAttribute("value") == "73.66" ? "cm" : null);
        bench.See("[name=measuredWeight]").GetAttribute("value").ShouldBe("291.36");
        bench.Go("/bows/22222222-0000-4000-8000-000000000001/arrow?arrow=33333333-0000-4000-8000-000000000001");
        bench.SeeText("[data-figure=totalWeight] .v", "26.50");
        bench.SeeText("[data-figure=speed] .u", "m/s");
        bench.Go("/bows/22222222-0000-4000-8000-000000000001/paper");
        bench.SeeText("[data-testid=words]", "Tail left 2.03 cm");
        bench.See("[aria-label^='Units']").Click();
        bench.Button("All as the trade").Click();
        bench.SeeText("[data-testid=words]", "Tail left 0.80 in");
        bench.Go("/bows/22222222-0000-4000-8000-000000000001/bow?way=measures");
        bench.See("[name=axleToAxle]").GetAttribute("value").ShouldBe("33 1/16");
    }

    [Fact]
    public void Two_tabs_on_one_bow_lose_nothing()
    {
        using var bench = new Bench(demo: true);
        const string path = "/bows/22222222-0000-4000-8000-000000000001/bow?way=measures";
        bench.Go(path);
        bench.See("[name=braceHeight]");
        var first = bench.Driver.CurrentWindowHandle;
        bench.Driver.SwitchTo().NewWindow(WindowType.Tab);
        var second = bench.Driver.CurrentWindowHandle;
        bench.Go(path);
        bench.See("[name=braceHeight]");
        bench.Driver.SwitchTo().Window(first);
        bench.Retype("axleToAxle", "33");
        bench.Driver.SwitchTo().Window(second);
        bench.Retype("braceHeight", "6 5/8");
        bench.Button("Keep this bow").Click();
        bench.SeeText(".foot .say", "The bow is measured");

        bench.Driver.SwitchTo().Window(first);
        bench.Button("Keep this bow").Click();
        bench.SeeText(".foot .say", "changed in another place");
        bench.SeeText(".conflict", "6 5/8");
        bench.See("[name=axleToAxle]").GetAttribute("value").ShouldBe("33");
        bench.Button("Take the other").Click();
        bench.Until(d => d.FindElement(By.Name("braceHeight")).GetAttribute("value") == "6 5/8" ? "theirs" : null);

        bench.Driver.SwitchTo().Window(second);
        bench.Retype("ratedSpeed", "325");
        bench.Driver.SwitchTo().Window(first);
        bench.Retype("axleToAxle", "33 1/8");
        bench.Button("Keep this bow").Click();
        bench.SeeText(".foot .say", "The bow is measured");
        bench.Driver.SwitchTo().Window(second);
        bench.Button("Keep this bow").Click();
        bench.SeeText(".conflict", "33 1/8");
        bench.Button("Keep mine").Click();
        bench.SeeText(".foot .say", "The bow is measured");
        bench.Driver.Navigate().Refresh();
        bench.Until(d => d.FindElement(By.Name("ratedSpeed")).GetAttribute("value") == "325" ? "mine" : null);
    }

    private static void MarkHigh(Bench bench)
    {
        Body(bench, "n");
        var sheet = bench.Until(d => d.SwitchTo().ActiveElement() is { TagName: "svg" } at ? at : null);
        sheet.SendKeys(Keys.Enter);
        for (var i = 0; i < 4; i++)
        {
            sheet.SendKeys(Keys.Shift + Keys.ArrowUp);
        }

        sheet.SendKeys(Keys.Enter);
        sheet.SendKeys(Keys.Enter);
        bench.Until(d => d.FindElements(By.CssSelector("[data-testid=marking-sheet]")).Count == 0 ? "kept" : null);
    }

    private static IWebElement Active(Bench bench) => bench.Driver.SwitchTo().ActiveElement();

    /// <summary>A key pressed where no field has the focus: whatever has it passes it on to the page.</summary>
    private static void Body(Bench bench, string keys) => Active(bench).SendKeys(keys);

    private static void Enter(Bench bench, string name, string text)
    {
        TabTo(bench, name);
        Active(bench).SendKeys(text);
    }

    private static void TabTo(Bench bench, string name)
    {
        for (var i = 0; i < 60; i++)
        {
            if (Active(bench).GetAttribute("name") == name)
            {
                return;
            }

            Active(bench).SendKeys(Keys.Tab);
        }

        throw new InvalidOperationException($"Tab did not reach {name}");
    }
}

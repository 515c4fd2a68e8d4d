using OpenQA.Selenium;

namespace Merganser.Browser.Tests;

/// <summary>Each kind of bow from nothing to its first move, at phone width and by keyboard only.</summary>
public class KindTests
{
    [Theory]
    [Trait("Category", "Long")]
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
        using var screen = new Screen(demo: false, 390, 844);
        screen.Go("/bows/new");
        screen.See("[name=archerName]");
        Enter(screen, "archerName", "Own archer");
        Enter(screen, "name", $"Own {kind}");
        TabTo(screen, "kind");
        Active(screen).SendKeys(kind[..3]);
        Enter(screen, "nominalWeight", weight);
        Enter(screen, "measuredWeight", weight);
        Enter(screen, "drawLength", draw);
        Enter(screen, "braceHeight", brace);
        Unfold(screen, "More measures");
        Enter(screen, "axleToAxle", length);
        Active(screen).SendKeys(Keys.Control + Keys.Enter);
        screen.SeeText("[data-testid=next]", "The bow is measured");

        Body(screen, "a");
        screen.SeeText("[data-testid=next]", "No arrow yet");
        screen.Until(d => d.FindElements(By.CssSelector("[data-go]:not([aria-disabled])")).Count > 0 ? "ready" : null);
        Body(screen, Keys.Enter);
        screen.See("[data-testid=figures]");
        screen.Until(d =>
            d.FindElement(By.CssSelector("[data-testid=next]")).Text.Contains("spine")
            || d.FindElement(By.CssSelector("[data-testid=go]")).Text.Contains("Keep")
                ? "read"
                : null
        );
        if (!screen.See("[data-testid=go]").Text.Contains("Keep this"))
        {
            screen.Button("Keep it all the same").SendKeys(Keys.Enter);
        }
        else
        {
            Body(screen, Keys.Enter);
        }

        screen.SeeText("main", "version 1");
        Body(screen, "p");
        screen.SeeText("h1", "A new paper");
        Body(screen, Keys.Enter);
        screen.SeeText("[data-testid=advice]", "Shoot one arrow");
        MarkHigh(screen);
        MarkHigh(screen);
        screen.SeeText("[data-testid=words]", "Tail high");
        screen.SeeText("[data-testid=advice] h2", firstMove);
        Body(screen, Keys.Control + Keys.Enter);
        screen.SeeText("[data-testid=film]", "Set 2");
    }

    [Fact]
    [Trait("Category", "Long")]
    public void Units_of_the_archer_follow_everywhere_and_drift_nowhere()
    {
        using var screen = new Screen(demo: true);
        screen.Go("/bows/22222222-0000-4000-8000-000000000001/bow?way=measures");
        screen.See("[name=drawLength]").GetAttribute("value").ShouldBe("29");
        screen.See("[aria-label^='Units']").Click();
        screen.Push("All metric");
        screen.Until(d => d.FindElement(By.Name("drawLength")).GetAttribute("value") == "73.66" ? "cm" : null);
        screen.See("[name=measuredWeight]").GetAttribute("value").ShouldBe("291.36");
        screen.Go("/bows/22222222-0000-4000-8000-000000000001/arrow?arrow=33333333-0000-4000-8000-000000000001");
        screen.SeeText("[data-figure=totalWeight] [data-value]", "26.50");
        screen.SeeText("[data-figure=speed] [data-unit]", "m/s");
        screen.Go("/bows/22222222-0000-4000-8000-000000000001/paper");
        screen.SeeText("[data-testid=words]", "Tail left 2.03 cm");
        screen.See("[aria-label^='Units']").Click();
        screen.Push("All as the trade");
        screen.SeeText("[data-testid=words]", "Tail left 0.80 in");
        screen.Go("/bows/22222222-0000-4000-8000-000000000001/bow?way=measures");
        screen.Field("axleToAxle").GetAttribute("value").ShouldBe("33 1/16");
    }

    [Fact]
    public void Two_tabs_on_one_bow_lose_nothing()
    {
        using var screen = new Screen(demo: true);
        const string path = "/bows/22222222-0000-4000-8000-000000000001/bow?way=measures";
        screen.Go(path);
        screen.See("[name=braceHeight]");
        var first = screen.Driver.CurrentWindowHandle;
        screen.Driver.SwitchTo().NewWindow(WindowType.Tab);
        var second = screen.Driver.CurrentWindowHandle;
        screen.Go(path);
        screen.See("[name=braceHeight]");
        screen.Driver.SwitchTo().Window(first);
        screen.Retype("axleToAxle", "33");
        screen.Driver.SwitchTo().Window(second);
        screen.Retype("braceHeight", "6 5/8");
        screen.Push("Keep this bow");
        screen.SeeText("[data-testid=next]", "The bow is measured");

        screen.Driver.SwitchTo().Window(first);
        screen.Push("Keep this bow");
        screen.SeeText("[data-testid=next]", "changed in another place");
        screen.SeeText("[data-testid=conflict]", "6 5/8");
        screen.Field("axleToAxle").GetAttribute("value").ShouldBe("33");
        screen.Push("Take the other");
        screen.Until(d => d.FindElement(By.Name("braceHeight")).GetAttribute("value") == "6 5/8" ? "theirs" : null);

        screen.Driver.SwitchTo().Window(second);
        screen.Retype("ratedSpeed", "325");
        screen.Driver.SwitchTo().Window(first);
        screen.Retype("axleToAxle", "33 1/8");
        screen.Push("Keep this bow");
        screen.SeeText("[data-testid=next]", "The bow is measured");
        screen.Driver.SwitchTo().Window(second);
        screen.Push("Keep this bow");
        screen.SeeText("[data-testid=conflict]", "33 1/8");
        screen.Push("Keep mine");
        screen.SeeText("[data-testid=next]", "The bow is measured");
        screen.Driver.Navigate().Refresh();
        screen.Until(d => d.FindElement(By.Name("ratedSpeed")).GetAttribute("value") == "325" ? "mine" : null);
    }

    private static void MarkHigh(Screen screen)
    {
        Body(screen, "n");
        var sheet = screen.Until(d => d.SwitchTo().ActiveElement() is { TagName: "svg" } at ? at : null);
        sheet.SendKeys(Keys.Enter);
        for (var i = 0; i < 4; i++)
        {
            sheet.SendKeys(Keys.Shift + Keys.ArrowUp);
        }

        sheet.SendKeys(Keys.Enter);
        sheet.SendKeys(Keys.Enter);
        screen.Until(d => d.FindElements(By.CssSelector("[data-testid=marking-sheet]")).Count == 0 ? "kept" : null);
    }

    private static IWebElement Active(Screen screen) => screen.Driver.SwitchTo().ActiveElement();

    /// <summary>A key pressed where no field has the focus: whatever has it passes it on to the page.</summary>
    private static void Body(Screen screen, string keys) => Active(screen).SendKeys(keys);

    private static void Enter(Screen screen, string name, string text)
    {
        TabTo(screen, name);
        Active(screen).SendKeys(text);
    }

    /// <summary>Goes on by Tab to what is folded away, and opens it by Enter.</summary>
    private static void Unfold(Screen screen, string words)
    {
        TabTo(screen, words, "return document.activeElement.matches('summary') && document.activeElement.innerText");
        Active(screen).SendKeys(Keys.Enter);
    }

    private static void TabTo(
        Screen screen,
        string name,
        string here = "return document.activeElement.getAttribute('name')"
    )
    {
        for (var i = 0; i < 60; i++)
        {
            if (screen.Driver.ExecuteScript(here) as string == name)
            {
                return;
            }

            Active(screen).SendKeys(Keys.Tab);
        }

        throw new InvalidOperationException($"Tab did not reach {name}");
    }
}

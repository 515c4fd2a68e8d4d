using OpenQA.Selenium;

namespace Merganser.Browser.Tests;

/// <summary>The next day: what changed, what was done, back to how it stood; by keys.</summary>
public class StoryTests
{
    private const string Season = "/bows/22222222-0000-4000-8000-000000000006";
    private const string Story = "[data-testid=story] li";

    [Fact]
    [Trait("Category", "Long")]
    public void What_changed_is_asked_found_noted_and_put_back_by_keys()
    {
        using var screen = new Screen(demo: true);
        screen.Go($"{Season}/bow");
        screen.See("[data-testid=check]");
        screen.PressOnPage("l");
        screen.SeeText("[data-testid=changed] h1", "2 of 8 changes can turn the tail left");
        screen.PressOnPage("/");
        screen.Press("yoke");
        screen.Until(d => d.FindElements(By.CssSelector(Story)).Count == 2 ? "found" : null);
        screen.See($"{Story} button").SendKeys(Keys.Enter);
        screen.SeeText("[data-testid=happened]", "After it");
        screen.Press(Keys.ArrowDown);
        screen.Press(Keys.Enter);
        screen.SeeText("[data-testid=happened]", "17 Apr 2026");
        screen.PressOnPage(Keys.Escape);
        screen.See("[data-testid=changed]");
        screen.See("[data-find]").SendKeys(Keys.Control + "a" + Keys.Null + Keys.Backspace);

        screen.Button("Add a note").SendKeys(Keys.Enter);
        screen.Until(d => d.SwitchTo().ActiveElement().GetAttribute("name") == "note" ? "there" : null);
        screen.Press("Peep slipped at the range");
        screen.Press(Keys.Enter);
        screen.SeeText(Story, "Peep slipped at the range");

        screen.Button("Show the way back").SendKeys(Keys.Enter);
        screen.See("[data-testid=way-back] li");
        screen.Button("I made these moves").SendKeys(Keys.Enter);
        screen.SeeText("[data-testid=changed] h1", "2 of 6 changes");
        screen.SeeText(Story, "Rest 2 clicks down");

        // It is on the bow as well, and after a server that was killed.
        screen.Restart();
        screen.Go($"{Season}/bow?way=history");
        screen.SeeText("main", "Rest 2 clicks down");
        screen.Go($"{Season}/story");
        screen.SeeText(Story, "Peep slipped at the range");
    }

    [Fact]
    [Trait("Category", "Long")]
    public void Days_are_stepped_by_brackets_and_a_note_is_taken_back()
    {
        using var screen = new Screen(demo: true);
        screen.Go($"{Season}/story");
        screen.SeeText("[data-testid=changed]", "22 Jul");
        string Then() => screen.Driver.FindElement(By.CssSelector("[name=then] option:checked")).Text;
        screen.PressOnPage("[");
        screen.Until(_ => Then() == "20 Jul 2026" ? "so" : null);
        screen.PressOnPage("]");
        screen.Until(_ => Then().StartsWith("22 Jul 2026", StringComparison.Ordinal) ? "so" : null);
        screen.Push("Notes 1");
        screen.Until(d => d.FindElements(By.CssSelector(Story)).Count == 1 ? "one" : null);
        screen.See($"{Story} button").Click();
        screen.Push("Put this note in the bin");
        screen.SeeText("main", "Nothing of that kind");
        screen.Driver.Navigate().Refresh();
        screen.See(Story);
        screen.Find(Story, "stove").ShouldBeNull();
    }

    [Fact]
    [Trait("Category", "Long")]
    public void A_range_day_is_counted_kept_through_a_reload_and_makes_a_check_due()
    {
        using var screen = new Screen(demo: true, 390, 844);
        screen.Go("/range-day");
        for (var end = 0; end < 3; end++)
        {
            screen.See("[aria-label='An end, 6, of Brindle']").Click();
        }

        screen.See("[aria-label='−1: one arrow less of Brindle']").Click();
        screen.SeeText("[data-testid=sum]", "17");
        screen.Driver.Navigate().Refresh();
        screen.SeeText("[data-testid=sum]", "17");
        screen.SeeText("[data-testid=next]", "1 bow, 17 shots");
        screen.PressOnPage(Keys.Enter);
        screen.SeeText("[data-testid=rack] li", "104 shots");
        screen.SeeText("[data-testid=next]", "Brindle");
        screen.Go("/range-day");
        screen.See("[data-testid=sum]");
        screen.Find("[data-testid=sum]", "17").ShouldBeNull();
    }

    [Fact]
    public void A_copy_is_made_from_the_screen_and_the_page_says_when()
    {
        using var screen = new Screen(demo: true);
        screen.Go("/copies");
        screen.SeeText("[data-testid=last-copy]", "No copy was made yet");
        screen.PressOnPage(Keys.Enter);
        screen.SeeText("[data-testid=last-copy]", "23 Nov 2026");
        screen.See("a[href^='/api/copies/']");
    }
}

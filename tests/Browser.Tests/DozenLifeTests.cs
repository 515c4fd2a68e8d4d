using OpenQA.Selenium;
using OpenQA.Selenium.Interactions;

namespace Merganser.Browser.Tests;

/// <summary>A dozen later on: its name, a copy, arrows that are repaired, kept for practice, retired.</summary>
public class DozenLifeTests
{
    [Fact]
    public void A_dozen_is_renamed_put_away_and_copied_by_keys()
    {
        using var screen = new Screen(demo: true);
        screen.Go("/bows/22222222-0000-4000-8000-000000000001/dozen?way=match");
        screen.Button("Rename").SendKeys(Keys.Enter);
        Type(screen, "Autumn field" + Keys.Enter);
        screen.SeeText("main", "Autumn field 12 arrows to Island 340");
        screen.Button("Put away").SendKeys(Keys.Enter);
        screen.SeeText("main", "Put away.");
        screen.PressOnPage(Keys.Control + "z");
        screen.Button("Put away");
        screen.Button("Copy").SendKeys(Keys.Enter);
        screen.SeeText("h1", "A new dozen");
        screen.Holds("dozenName", "Autumn field 2");
        screen.Holds("spareShaft", "1");
        screen.Button("Start the dozen").SendKeys(Keys.Enter);
        screen.SeeText("main", "Autumn field 2 12 arrows");
        screen.SeeText("main a", "Autumn field, 12 arrows");
    }

    [Fact]
    public void An_arrow_is_repaired_kept_for_practice_and_retired_with_its_reason()
    {
        using var screen = new Screen(demo: true);
        screen.Go("/bows/22222222-0000-4000-8000-000000000002/dozen?way=tray");
        screen.SeeText("[data-arrow='1']", "verified");
        Keep("renewed-pin-vane-nock", "new nock");
        screen.SeeText("[data-arrow='1']", "fletched, repaired");
        screen.SeeText("footer", "Arrow 1: weigh again");
        Keep("practice-only-why", "spine mark lost");
        screen.SeeText("[data-arrow='1']", "practice only");
        screen.Push("Arrow 2");
        Keep("retired-why", "pulled from a root");
        screen.SeeText("[data-testid=retired]", "Arrow 2 is out of use.");
        screen.SeeText("[data-testid=retired]", ": pulled from a root");
        screen.Push("Arrows");
        screen.SeeText("main table", "spine mark lost; renewed: new nock");
        screen.Until(d => d.FindElement(By.CssSelector("main table")).Text.Contains("Arrow 2\n") ? null : "gone");
        screen.PressOnPage(Keys.Control + "z");
        screen.Until(d => d.FindElements(By.CssSelector("[data-testid=retired]")).Count == 0 ? "back" : null);

        void Keep(string name, string words) => screen.Type(name, words + Keys.Enter);
    }

    private static void Type(Screen screen, string keys) => new Actions(screen.Driver).SendKeys(keys).Perform();
}

using OpenQA.Selenium;
using OpenQA.Selenium.Interactions;

namespace Merganser.Browser.Tests;

/// <summary>A dozen later on: its name, a copy, arrows that are repaired, kept for practice, retired.</summary>
public class DozenLifeTests
{
    [Fact]
    [Trait("Category", "Long")]
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

    /// <summary>The workshop's few fields, typed; a power cut after each: what was kept is there again.</summary>
    [Fact]
    [Trait("Category", "Long")]
    public void The_workshop_keeps_jig_and_glue_through_a_power_cut()
    {
        using var screen = new Screen(demo: true);
        screen.Go("/bows/22222222-0000-4000-8000-000000000002/dozen?way=workshop");
        screen.See("[data-joint=point]");
        screen.Type("jig", "20" + Keys.Enter);
        screen.SeeText("[data-fault]", "a jig's angle");
        screen.Retype("jig", "-2" + Keys.Enter);
        screen.SeeText("main", "beside the rear");
        screen.Restart();
        screen.Driver.Navigate().Refresh();
        screen.SeeText("main", "beside the rear");
        screen.See("[data-joint=point] [name=glue]").SendKeys("Hot melt, low heat");
        screen.See("[data-joint=point] [name=cure]").SendKeys("1/2");
        screen.See("[data-joint=point] button").SendKeys(Keys.Enter);
        screen.SeeText("[data-joint=point]", "kept");
        screen.Restart();
        screen.Driver.Navigate().Refresh();
        screen.SeeText("[data-joint=point]", "kept");
        screen.See("[data-joint=point] [name=glue]").GetAttribute("value").ShouldBe("Hot melt, low heat");
    }

    /// <summary>The stand-in's crank, by keys; the curve outlives a power cut, a point is taken back.</summary>
    [Fact]
    [Trait("Category", "Long")]
    public void The_draw_board_is_cranked_by_keys_and_its_curve_is_kept()
    {
        using var screen = new Screen(demo: true);
        screen.Go("/bows/22222222-0000-4000-8000-000000000002/bow?way=board");
        screen.SeeText("[data-testid=board-words]", "No curve yet");
        for (var point = 1; point <= 4; point++)
        {
            screen.See("[data-testid=crank]").SendKeys(Keys.Enter);
            var many = point;
            screen.Until(d => d.FindElements(Readings).Count == many ? "taken" : null);
        }

        screen.SeeText("[data-testid=board-words]", "4 points more");
        screen.Restart();
        screen.Driver.Navigate().Refresh();
        screen.Until(d => d.FindElements(Readings).Count == 4 ? "kept" : null);
        screen.See("input[name=travel]").SendKeys("5");
        screen.See("input[name=force]").SendKeys("x" + Keys.Enter);
        screen.SeeText("[data-fault]", "not a number");
        screen.Retype("force", "12" + Keys.Enter);
        screen.Until(d => d.FindElements(Readings).Count == 5 ? "taken" : null);
        screen.Holds("travel", "");
        screen.Driver.FindElements(Readings)[^1].Click();
        screen.Until(d => d.FindElements(Readings).Count == 4 ? "taken back" : null);
        screen.See("[data-figure=peak]").SendKeys(Keys.Enter);
        screen.SeeText("[role=dialog]", "The greatest force on the way.");
    }

    private static readonly By Readings = By.CssSelector("[data-testid=board-readings] button");

    /// <summary>The dial at three places, one after the other, without a typed figure.</summary>
    [Fact]
    [Trait("Category", "Long")]
    public void A_shaft_is_read_by_the_dial_at_three_places()
    {
        using var screen = new Screen(demo: true);
        screen.Go("/bows/22222222-0000-4000-8000-000000000001/dozen?way=spin");
        screen.Push("Follow the dial");
        foreach (var place in new[] { "nock end", "middle", "point end" })
        {
            screen.See("[data-testid=put-dial]").SendKeys(Keys.Enter);
            screen.Until(d =>
                System.Text.RegularExpressions.Regex.IsMatch(
                    d.FindElement(By.TagName("main")).Text,
                    place + " 0\\.\\d{4}"
                )
                    ? "read"
                    : null
            );
        }
    }

    [Fact]
    [Trait("Category", "Long")]
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

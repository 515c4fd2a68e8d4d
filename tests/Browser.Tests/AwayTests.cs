using OpenQA.Selenium;
using static Merganser.Browser.Tests.PaperHands;

namespace Merganser.Browser.Tests;

/// <summary>Without a server: what is entered waits in the browser, outlives a reload and arrives.</summary>
public class AwayTests
{
    private const string Paper = States.Compound + "/paper";

    [Fact]
    public void Shots_a_move_and_the_accepting_are_entered_without_a_server_and_arrive_in_order()
    {
        using var screen = new Screen(demo: true);
        screen.Go(Paper);
        screen.SeeText("[data-testid=film]", "5 of 6");
        KeptForLater(screen);
        var stood = Positions(screen, Bow)["restHeight"];
        screen.Kill();
        Type(screen, -.3, .1);
        screen.SeeText("[data-testid=held-back]", "Set 2, tear typed -0.30, 0.10");
        screen
            .Driver.FindElements(By.CssSelector("[data-testid=advice]"))
            .ShouldBeEmpty("it does not know of the shot");
        screen.Push("Log a move");
        screen.Pick("adjuster", "Rest up/down");
        screen.See("[aria-label$='one more'], [aria-label^='One more']").Click();
        screen.Push("Log this move");
        screen.SeeText("[data-testid=waiting]", "2 wait");
        Type(screen, -.2, .1);
        screen.SeeText("[data-testid=waiting]", "3 wait");
        screen.Push("I accept this");
        screen.SeeText("[data-testid=waiting]", "4 wait");
        screen.Driver.Navigate().Refresh();
        screen.SeeText("[data-testid=film]", "5 of 6");
        screen.SeeText("[data-testid=held-back]", "Rest height moved to");
        screen.SeeText("[data-testid=waiting]", "4 wait");
        screen.Push("Mark the next shot");
        screen.See("[data-testid=marking-sheet]");
        screen.StartAgain();
        AllSent(screen);
        screen.SeeText("[data-testid=film]", "6 of 7");
        screen.SeeText("[data-testid=film]", "Set 3");
        screen.SeeText("[data-testid=film]", "3 yd bare, 1 shot");
        screen.Button("Open it again");
        Math.Abs(Positions(screen, Bow)["restHeight"] - stood).ShouldBe(1);
    }

    [Fact]
    public void What_was_weighed_last_stands_there_after_a_reload_without_the_server()
    {
        using var screen = new Screen(demo: true);
        screen.Go(States.Compound + "/dozen");
        screen.SeeText("[data-class=Point]", "7 of 13");
        KeptForLater(screen);
        screen.See("[name=weight]").SendKeys("100.7" + Keys.Enter);
        screen.SeeText("[data-class=Point]", "8 of 13");
        // The hand rests, and what is known is read once more.
        Thread.Sleep(1500);
        screen.Kill();
        screen.Driver.Navigate().Refresh();
        screen.SeeText("[data-class=Point]", "8 of 13");
    }

    [Fact]
    [Trait("Category", "Long")]
    public void A_set_and_a_new_paper_are_begun_without_a_server_and_outlive_a_reload()
    {
        using var screen = new Screen(demo: true);
        screen.Go(Paper);
        screen.SeeText("[data-testid=film]", "5 of 6");
        KeptForLater(screen);
        screen.Kill();
        screen.See("[data-testid=stages] [aria-current=step]").Click();
        screen.SeeText("[data-testid=held-back]", "A set from 3 yd");
        Type(screen, -.3, .1);
        screen.SeeText("[data-testid=held-back]", "Set 3, tear typed -0.30, 0.10");
        screen.Driver.Navigate().Refresh();
        screen.SeeText("[data-testid=waiting]", "2 wait");
        screen.StartAgain();
        screen.SeeText("[data-testid=film]", "Set 3");
        screen.SeeText("[data-testid=film]", "3 yd bare, 1 shot");
        AllSent(screen);
        screen.Kill();
        screen.Push("New paper");
        screen.Push("Begin this paper");
        screen.SeeText("[data-testid=held-back]", "A new paper from 3 yd");
        screen.Button("Ask the server now");
        screen.Driver.Navigate().Refresh();
        screen.SeeText("[data-testid=waiting]", "1 waits");
        screen.StartAgain();
        AllSent(screen);
        screen.SeeText("[data-testid=film]", "Set 1");
        screen.SeeText("[data-testid=film]", "0 shots");
    }

    [Fact]
    [Trait("Category", "Long")]
    public void What_the_server_refuses_is_set_aside_with_both_values_and_may_be_given_up()
    {
        using var screen = new Screen(demo: true);
        screen.Go(States.Compound + "/bow?check=braceHeight");
        screen.See("[name='check-braceHeight']");
        KeptForLater(screen);
        screen.Kill();
        screen.Retype("check-braceHeight", "9");
        screen.Press(Keys.Enter);
        screen.SeeText("[data-testid=check] [role=note]", "Brace height: 9");
        screen.StartAgain();
        screen.SeeText("[data-testid=waiting]", "1 refused");
        screen.See("[data-testid=waiting]").Click();
        screen.SeeText("[role=dialog]", "Brace height: 9");
        screen.SeeText("[role=dialog]", "is that so?");
        screen.Push("Yes, keep it");
        screen.SeeText("[data-verdict]", "entered 9");
        AllSent(screen);
    }

    private const string Bow = "22222222-0000-4000-8000-000000000001";

    /// <summary>The worker has the page: a reload shows it.</summary>
    private static void KeptForLater(Screen screen)
    {
        screen.Until(d =>
            ((IJavaScriptExecutor)d).ExecuteScript("return navigator.serviceWorker.controller !== null") is true
                ? "there"
                : null
        );
        screen.Driver.Navigate().Refresh();
        screen.See("main h1");
        screen.Settled();
    }
}

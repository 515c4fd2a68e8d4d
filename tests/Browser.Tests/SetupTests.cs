using OpenQA.Selenium;

namespace Merganser.Browser.Tests;

/// <summary>
/// The bow on the bench: half a sheet, left and taken up again; what a yoke move asks and what a one-sided twist asks.
/// </summary>
public class SetupTests
{
    private const string Bow = "/bows/22222222-0000-4000-8000-000000000004/bow";
    private const string Compound = "/bows/22222222-0000-4000-8000-000000000001/bow";

    [Fact]
    [Trait("Category", "Long")]
    public void Half_a_sheet_is_left_and_taken_up_again()
    {
        using var screen = new Screen(demo: true);
        screen.Go(Bow);
        screen.SeeText("[data-testid=next]", "Check 1 of 8");
        screen.See("[data-choice=sound]").Click();
        screen.SeeText("[data-verdict] h2", "Sound");
        screen.Push("Next check");
        screen.SeeText("[data-testid=check] h1", "Limb alignment");
        screen.Press("1");
        screen.SeeText("[data-verdict] h2", "Through the middle");
        screen.Push("Next check");
        screen.Type("check-braceHeight", "wide");
        screen.Push("Keep it");
        screen.SeeText("[data-fault]", "not a number");
        screen.Driver.FindElement(By.Name("check-braceHeight")).GetAttribute("value").ShouldBe("wide");
        screen.Retype("check-braceHeight", "7 1/4");
        screen.Driver.Navigate().Refresh();
        screen.See("[data-check=braceHeight]").Click();
        screen.Until(d => d.FindElement(By.Name("check-braceHeight")).GetAttribute("value") == "7 1/4" ? "kept" : null);
        screen.Push("Keep it");
        screen.SeeText("[data-verdict] h2", "Recorded");
        screen.Push("Next check");
        screen.Push("Leave it with a reason");
        screen.See("[aria-label='Reason for leaving this check']").SendKeys("no square at hand" + Keys.Enter);
        screen.SeeText("[data-testid=work-order]", "left: no square at hand");
        screen.SeeText("[data-testid=work-order] h2", "3 of 8");
        screen.Restart();
        screen.Go(Bow);
        screen.SeeText("[data-testid=next]", "draw weight");
        screen.SeeText("[data-testid=work-order] h2", "3 of 8");
    }

    [Fact]
    [Trait("Category", "Long")]
    public void An_equal_and_opposite_yoke_move_leaves_timing_and_a_one_sided_twist_asks_for_it()
    {
        using var screen = new Screen(demo: true);
        screen.Go(Compound);
        Twist(screen, "Left leg: one less", "Right leg: one more");
        screen.SeeText("[data-adjuster=yokePair]", "at its mark");
        screen.See("[data-check=camTiming]").Text.ShouldContain("stops touch together");
        Twist(screen, "Left leg: one more");
        screen.SeeText("[data-testid=next]", "Look at it again");
        screen.SeeText("[data-check=camTiming]", "look at it again");

        screen.Go(Compound + "?way=history");
        screen.See("[data-undo=yokeLeftLeg]").Click();
        screen.Push("It was logged wrongly");
        screen.SeeText("[data-testid=next]", "Check 13");
        screen.Go(Compound);
        screen.SeeText("[data-check=camTiming]", "stops touch together");
    }

    private static void Twist(Screen screen, params string[] legs)
    {
        screen.See("[data-adjuster=yokePair]").Click();
        foreach (var leg in legs)
        {
            screen.See($"[aria-label='{leg}']").Click();
        }

        screen.See("[data-testid=log-move]").Click();
        screen.Until(d => d.FindElements(By.CssSelector("[data-testid=move-form]")).Count == 0 ? "logged" : null);
    }

    [Fact]
    [Trait("Category", "Long")]
    public void A_string_walkers_marks_stand_with_their_nocking_point()
    {
        const string barebow = "/bows/22222222-0000-4000-8000-000000000003/bow";
        using var screen = new Screen(demo: true);
        screen.Go(barebow);
        screen.Push("Crawls");
        screen.SeeText("[data-testid=crawls]", "stands");
        screen.Type("distance", "25" + Keys.Enter);
        screen.Press("7/8" + Keys.Enter);
        screen.Until(d => d.FindElements(By.CssSelector("[data-testid=crawls] tr")).Count == 5 ? "kept" : null);
        screen.Holds("distance", "");
        screen.Press("18");
        screen.Value("distance").ShouldBe("18", "the next mark begins in an empty field");
        screen.Type("between", "2");
        screen.SeeText("[data-fault]", "5");
        screen.Type("between", "7");
        screen.SeeText("[data-testid=crawl-asked]", "straight line between 0.88 in at 25 yd");
        screen.Push("Adjusters and history");
        screen.See("[data-adjuster=nockingPoint]").Click();
        screen.See("[aria-label^='One more'], [aria-label$='one more']").Click();
        screen.Push("Log this move");
        screen.Push("Crawls");
        screen.SeeText("[data-testid=crawls]", "shoot this mark again");
        screen.See("[aria-label='Give it up: 10']").Click();
        screen.Push("Put it back");
        screen.SeeText("[data-testid=crawls] tr:first-child", "2.00 in");
    }

    [Fact]
    [Trait("Category", "Long")]
    public void Something_is_wrong_opens_its_first_check_and_leads_on_from_there()
    {
        using var screen = new Screen(demo: true);
        screen.Go("/");
        screen.See("[data-bow='22222222-0000-4000-8000-000000000001'] a[href*=wrong]").Click();
        screen.SeeText("[data-testid=next]", "Press what you see");
        screen.Push("The peep has turned");
        screen.SeeText("[data-step][aria-current]", "Peep");
        screen.SeeText("[data-testid=trouble]", "In order: pulls straight behind, 23 November");
        screen.See("[data-step='check:loop']").Click();
        screen.SeeText("[data-testid=check] h1", "D-loop");
        screen.See("[data-choice=twisted]").Click();
        screen.SeeText("[data-testid=next]", "Back to: the peep has turned");
        screen.PressOnPage(Keys.Enter);
        screen.SeeText("[data-step][aria-current]", "Not right: turned to one side");
        screen.SeeText("[data-testid=next] small", "Mend this first");

        screen.Push("A new string is on");
        screen.SeeText("[data-step][aria-current]", "Log it: new string");
        screen.PressOnPage(Keys.Enter);
        screen.SeeText("[data-step='log:newString']", "Logged");
        screen.SeeText("[data-step][aria-current]", "Limbs and screws");
        screen.Driver.Navigate().Refresh();
        screen.SeeText("[data-step][aria-current]", "Limbs and screws");
        screen.Push("That is in order: the next");
        screen.SeeText("[data-step][aria-current]", "Axle to axle");
        screen.Driver.Navigate().Back();
        screen.SeeText("[data-step][aria-current]", "Limbs and screws");
    }
}

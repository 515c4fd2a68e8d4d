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
    public void Half_a_sheet_is_left_and_taken_up_again()
    {
        using var bench = new Bench(demo: true);
        bench.Go(Bow);
        bench.SeeText(".foot .say", "Check 1 of 8");
        bench.See("[data-choice=sound]").Click();
        bench.SeeText(".verdict h2", "Sound");
        bench.Button("Next check").Click();
        bench.SeeText(".check-pane h1", "Limb alignment");
        bench.Press("1");
        bench.SeeText(".verdict h2", "Through the middle");
        bench.Button("Next check").Click();
        bench.Type("check-braceHeight", "wide");
        bench.Button("Keep it").Click();
        bench.SeeText(".fault", "not a number");
        bench.Driver.FindElement(By.Name("check-braceHeight")).GetAttribute("value").ShouldBe("wide");
        bench.Retype("check-braceHeight", "7 1/4");
        bench.Driver.Navigate().Refresh();
        bench.See("[data-check=braceHeight]").Click();
        bench.Until(d => d.FindElement(By.Name("check-braceHeight")).GetAttribute("value") == "7 1/4" ? "kept" : null);
        bench.Button("Keep it").Click();
        bench.SeeText(".verdict h2", "Recorded");
        bench.Button("Next check").Click();
        bench.Button("Leave it with a reason").Click();
        bench.See("[aria-label='Reason for leaving this check']").SendKeys("no square at hand" + Keys.Enter);
        bench.SeeText(".work-order", "left: no square at hand");
        bench.SeeText(".work-order h2", "3 of 8");
        bench.Restart();
        bench.Go(Bow);
        bench.SeeText(".foot .say", "draw weight");
        bench.SeeText(".work-order h2", "3 of 8");
    }

    [Fact]
    public void An_equal_and_opposite_yoke_move_leaves_timing_and_a_one_sided_twist_asks_for_it()
    {
        using var bench = new Bench(demo: true);
        bench.Go(Compound);
        Twist(bench, "Left leg: one less", "Right leg: one more");
        bench.SeeText("[data-adjuster=yokePair]", "at its mark");
        bench.See("[data-check=camTiming]").Text.ShouldContain("stops touch together");
        Twist(bench, "Left leg: one more");
        bench.SeeText(".foot .say", "Look at it again");
        bench.SeeText("[data-check=camTiming]", "look at it again");

        bench.Go(Compound + "?way=history");
        bench.See("[data-undo=yokeLeftLeg]").Click();
        bench.Button("It was logged wrongly").Click();
        bench.SeeText(".foot .say", "Check 13");
        bench.Go(Compound);
        bench.SeeText("[data-check=camTiming]", "stops touch together");
    }

    private static void Twist(Bench bench, params string[] legs)
    {
        bench.See("[data-adjuster=yokePair]").Click();
        foreach (var leg in legs)
        {
            bench.See($"[aria-label='{leg}']").Click();
        }

        bench.See("[data-testid=log-move]").Click();
        bench.Until(d => d.FindElements(By.CssSelector("[data-testid=move-form]")).Count == 0 ? "logged" : null);
    }
}

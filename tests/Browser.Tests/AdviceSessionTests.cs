using OpenQA.Selenium;
using static Merganser.Browser.Tests.AdvisedHands;
using static Merganser.Browser.Tests.PaperHands;

namespace Merganser.Browser.Tests;

/// <summary>
/// Whole sessions on the real screen with a hidden bow behind it: what is advised is made, until it is done or a shop
/// is named.
/// </summary>
public class AdviceSessionTests
{
    [Fact]
    [Trait("Category", "Long")]
    public void A_left_handed_beginner_with_a_rest_alone_is_led_to_the_shop()
    {
        using var screen = new Screen(demo: true);
        var bow = NewBow(screen, "left", press: false, "restOnly", ["restSideways", "restHeight", "nockingPoint"]);
        Begin(screen, bow);
        var shots = Tune(screen, bow, at => (2.2 + (.02 * at["restSideways"]), .1), "Out of travel");
        shots.ShouldBeLessThanOrEqualTo(18);
        screen.Push("Open the ladder");
        for (var rung = 0; rung < 12 && !screen.See("[data-testid=next]").Text.Contains("shop"); rung++)
        {
            var title = screen.See("[data-testid=ladder] [data-state=here] b").Text;
            screen.Push("Nothing found");
            screen.Until(d =>
                d.FindElements(By.CssSelector("[data-testid=ladder] [data-state=here] b")).All(e => e.Text != title)
                    ? "on"
                    : null
            );
        }

        screen.SeeText("[data-testid=next]", "This needs a shop");
        screen.SeeText("[data-testid=next]", "how the bow stands and what was tried");
        screen.SeeText("[data-testid=go]", "card");
    }

    [Fact]
    [Trait("Category", "Long")]
    public void Pockets_that_answer_the_other_way_are_found_out_and_known_on_the_second_visit()
    {
        using var screen = new Screen(demo: true);
        var bow = NewBow(
            screen,
            "right",
            press: true,
            "centreFirst",
            ["restSideways", "restHeight", "nockingPoint", "limbPocket"]
        );
        Begin(screen, bow);
        List<string> said = [];
        var shots = Tune(
            screen,
            bow,
            at => (.7 - (.3 * at["limbPocket"]) - (.02 * at["restSideways"]), .05 + (.03 * at["restHeight"])),
            "Good enough",
            said
        );
        shots.ShouldBeLessThan(40);
        said.ShouldContain(advice => advice.Contains("correct the log instead"), string.Join('\n', said));
        var from = Again(screen, bow)["limbPocket"];
        Type(screen, .9, .02);
        Type(screen, .95, .04);
        screen.Until(d =>
            d.FindElement(By.CssSelector("[data-testid=advice] h2")).Text.StartsWith("Pocket screws") ? "pockets" : null
        );
        Make(screen, bow);
        Positions(screen, bow)["limbPocket"].ShouldBeGreaterThan(from, "a tail right, on this bow");
    }

    [Fact]
    [Trait("Category", "Long")]
    public void Yokes_answer_an_inch_to_the_left_and_sooner_on_the_second_visit()
    {
        using var screen = new Screen(demo: true);
        var bow = NewBow(
            screen,
            "right",
            press: true,
            "centreFirst",
            ["restSideways", "restHeight", "nockingPoint", "yokePair"]
        );
        Begin(screen, bow);
        List<string> said = [];
        var first = Tune(screen, bow, at => (-1 + (.25 * at["yokePair"]), .03), "Good enough", said);
        said[0].ShouldStartWith("Left yoke leg");
        screen.SeeText("[data-testid=advice]", "on other days about");
        var from = Again(screen, bow)["yokePair"];
        var moves = said.Count;
        said.Clear();
        var second = Tune(screen, bow, at => (-1 + (.25 * (at["yokePair"] - from)), .03), "Good enough", said);
        second.ShouldBeLessThanOrEqualTo(first);
        said.Count.ShouldBeLessThanOrEqualTo(moves);
        said.ShouldContain(advice => advice.Contains("0.2") && advice.Contains("a step"), string.Join('\n', said));
    }

    [Fact]
    [Trait("Category", "Long")]
    public void A_technician_moves_both_axes_in_one_visit_and_takes_both_back()
    {
        using var screen = new Screen(demo: true);
        var bow = NewBow(
            screen,
            "right",
            press: true,
            "centreFirst",
            ["restSideways", "restHeight", "nockingPoint", "yokePair"],
            "technician"
        );
        screen.Go($"/bows/{bow}/paper");
        screen.SeeText("label", "Both axes").Click();
        screen.Push("Begin this paper");
        Type(screen, -1.4, 1.2);
        screen.SeeText("[data-testid=advice]", "Both in one visit");
        screen.SeeText("[data-testid=advice]", "and in the same visit");
        screen.SeeText("[data-testid=next]", "and in the same visit");
        screen.SeeText("[data-testid=go]", "I made both moves");
        var before = Positions(screen, bow);
        Make(screen, bow);
        var after = Positions(screen, bow);
        after.Keys.Count(k => after[k] != before[k]).ShouldBe(2);
        screen.See("[data-testid=undo]").Click();
        screen.Push("It was logged wrongly");
        screen.Until(_ => Positions(screen, bow).All(p => before[p.Key] == p.Value) ? "back" : null);
    }

    /// <summary>
    /// Spacers and single legs are told at the paper as they are moved; what settles is said, not read.
    /// </summary>
    [Fact]
    [Trait("Category", "Long")]
    public void What_is_moved_beside_the_adjusters_of_a_tear_begins_anew()
    {
        using var screen = new Screen(demo: true);
        var bow = NewBow(
            screen,
            "right",
            press: true,
            "centreFirst",
            ["restSideways", "restHeight", "nockingPoint", "camSpacer", "stringTwists"]
        );
        Begin(screen, bow);
        Type(screen, .6, .02);
        Type(screen, .55, .05);
        screen.SeeText("[data-testid=words]", "Tail right");
        screen.Push("Log a move");
        screen.Pick("adjuster", "Cam spacers");
        screen.See("[aria-label='Top cam, left: one more']").Click();
        screen.See("[aria-label='Top cam, right: one less']").Click();
        screen.See("[aria-label='Top cam: one more']").Click();
        screen.Push("Log this move");
        screen.SeeText("[data-testid=next]", "Shoot two at the new setting");
        Type(screen, .1, .02);
        screen.Unfold("[data-testid=evidence]");
        screen.SeeText("[data-testid=evidence]", "1 shot here and 2 at other settings");
        screen.Push("Log a move");
        screen.Pick("adjuster", "String");
        screen.See("[aria-label^='One more: String']").Click();
        screen.Push("Log this move");
        screen.SeeText("[data-testid=words]", "Settling, 5 to go");
        Type(screen, .9, .4);
        screen.SeeText("[data-testid=words]", "Settling, 4 to go");
    }

    [Fact]
    [Trait("Category", "Long")]
    public void A_recurve_goes_from_its_nocking_point_to_its_plunger_to_done()
    {
        using var screen = new Screen(demo: true);
        const string bow = "22222222-0000-4000-8000-000000000002";
        var start = Positions(screen, bow);
        screen.Go($"/bows/{bow}/paper");
        screen.Push("New paper");
        screen.Push("Begin this paper");
        List<string> said = [];
        Tune(
            screen,
            bow,
            at =>
                (
                    .7 + (.11 * (at["plungerTension"] - start["plungerTension"])),
                    .6 + (.24 * (at["nockingPoint"] - start["nockingPoint"]))
                ),
            "Good enough",
            said
        );
        var orders = said.Select(s => s.Split(' ')[0]).ToArray();
        orders[0].ShouldBe("Nocking", "height comes first with fingers");
        orders.ShouldContain("Plunger");
        orders.ShouldBeSubsetOf(["Nocking", "Plunger"]);
    }
}

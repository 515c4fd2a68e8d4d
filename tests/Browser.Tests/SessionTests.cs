using OpenQA.Selenium;
using static Merganser.Browser.Tests.PaperHands;

namespace Merganser.Browser.Tests;

/// <summary>
/// The session on the real screen: from the first tear to done, the ladder, a trial, what was learned, nocks.
/// </summary>
public class SessionTests
{
    private const string Compound = "/bows/22222222-0000-4000-8000-000000000001";
    private const string Recurve = "/bows/22222222-0000-4000-8000-000000000002";
    private const string Longbow = "/bows/22222222-0000-4000-8000-000000000004";

    [Fact]
    [Trait("Category", "Long")]
    public void A_simulated_bow_is_tuned_through_two_stages_by_what_the_screen_says()
    {
        using var screen = new Screen(demo: true);
        screen.Go($"{Compound}/paper");
        screen.Push("New paper");
        screen.Pick("stages", "3 yd, then 6 yd");
        screen.Push("Begin this paper");
        screen.SeeText("[data-testid=advice]", "Shoot one arrow");
        screen.SeeText("[data-testid=stages]", "6 yd bare");

        // The hidden bow: a yoke step moves the tail .3 in, a rest click .035 in height and −.02 in to the side.
        var start = Positions(screen);
        var (shots, moves) = (0, 0);
        for (; shots < 60; shots++)
        {
            var now = Positions(screen);
            double Moved(string kind) => now[kind] - start[kind];
            var x = .9 + (.30 * Moved("yokePair")) - (.02 * Moved("restSideways")) + Stray[shots % 10].X;
            var y = -.7 + (.035 * Moved("restHeight")) + (.2 * Moved("nockingPoint")) + Stray[shots % 10].Y;
            Type(screen, x, y);
            while (screen.See("[data-testid=go]").Text.Contains("I made this move"))
            {
                screen.See("[data-testid=advice] h2").Text.ShouldNotBeEmpty();
                screen.PressOnPage(Keys.Control + Keys.Enter);
                moves++;
                screen.SeeText("[data-testid=next]", "Shoot two at the new setting");
            }

            if (screen.See("[data-testid=go]").Text.Contains("On to 6 yd"))
            {
                screen.See("[data-testid=go]").Click();
                screen.SeeText("[data-testid=film]", "6 yd bare");
            }
            else if (screen.See("[data-testid=go]").Text.Contains("I accept this"))
            {
                break;
            }
        }

        shots.ShouldBeLessThan(40);
        moves.ShouldBeInRange(2, 8);
        screen.See("[data-testid=go]").Click();
        screen.SeeText("[data-testid=next]", "Accepted");
        screen.SeeText("[data-testid=next]", "shot well");
        screen.Driver.FindElements(By.CssSelector("[data-testid=stages] li")).Count.ShouldBe(2);

        screen.Push("Learned");
        screen.SeeText("[data-testid=learned]", "Yoke pair");
        screen.SeeText("[data-testid=learned]", "3 yd bare");
        screen.Push("Forget everything");
        screen.SeeText("[data-testid=learned]", "Forgotten on");
        screen.Push("Take it back");
        screen.Until(d =>
            !d.FindElement(By.CssSelector("[data-testid=learned]")).Text.Contains("Forgotten on") ? "back" : null
        );
    }

    [Fact]
    [Trait("Category", "Long")]
    public void A_past_set_shows_the_moves_back_and_they_are_logged_when_made()
    {
        using var screen = new Screen(demo: true);
        screen.Go($"{Compound}/paper");
        screen.Push("Set 1");
        screen.SeeText("[data-pane]", "Right yoke leg 1 half twist shorter");
        screen.Push("I made this move back");
        screen.SeeText("[data-testid=film]", "Set 3");
        screen.SeeText("[data-testid=film]", "Right yoke leg 1 half twist shorter, left leg 1 half twist longer");
        screen.SeeText("[data-testid=next]", "Left yoke leg 2 half twists shorter");
    }

    [Fact]
    [Trait("Category", "Long")]
    public void A_stubborn_bow_goes_by_the_ladder_and_a_control_leaves_the_bow_alone()
    {
        using var screen = new Screen(demo: true);
        screen.Go($"{Longbow}/paper");
        screen.SeeText("[data-testid=next]", "Moves do not help");
        screen.SeeText("[data-testid=evidence]", "The tear ignores 3 moves");
        screen.Push("Open the ladder");
        screen.SeeText("[data-testid=ladder] [data-state=done]", "the next two shafts tear the same");
        screen.See("[data-testid=ladder] [data-state=here] [aria-label$='what was seen']").SendKeys("hand turned out");
        screen.Push("Shoot it now");
        screen.SeeText("[data-testid=next]", "Changed grip: shoot 3 more, touch nothing");
        foreach (var (x, y) in Stray.Take(3))
        {
            Type(screen, x, y);
        }

        screen.SeeText("[data-testid=next]", "The control is shot");
        screen.SeeText("[data-testid=evidence]", "A changed grip tears otherwise");
        screen.Push("Back to the session");
        screen.Push("Ladder");
        screen.See("[data-rung=grip][data-state=done]");
        screen.See("[aria-label='A note at this place']").SendKeys("wind from the left");
        screen.Push("Note it");
        screen.Push("Set 4");
    }

    [Fact]
    [Trait("Category", "Long")]
    public void A_trial_takes_arrow_after_arrow_and_advises_no_move()
    {
        using var screen = new Screen(demo: true);
        screen.Go($"{Compound}/paper");
        screen.Push("New paper");
        screen.Push("Trial");
        screen.Pick("arrow", "Island 340");
        screen.Push("Begin this paper");
        screen.SeeText("[data-testid=next]", "Shoot two with this arrow");
        Say(screen, "about an inch", "tail left");
        Say(screen, "about an inch", "tail left");
        screen
            .Until(d =>
                d.FindElement(By.CssSelector("[data-testid=stage] select"))
                    .FindElements(By.TagName("option"))
                    .FirstOrDefault(o => o.Text.Contains("Spindrift"))
            )
            .Click();
        screen.SeeText("[data-testid=film]", "Set 2");
        Say(screen, null, null);
        Say(screen, null, null);
        screen.SeeText("[data-testid=trial]", "The arrow");
        screen.SeeText("[data-testid=trial]", "Spindrift light");
        screen.See("[data-testid=stage] select").Size.Height.ShouldBeGreaterThanOrEqualTo(48);
        screen.Driver.FindElements(By.CssSelector("[data-testid=advice]")).ShouldBeEmpty();
        screen.Push("End the trial");
        screen.SeeText("[data-testid=next]", "Accepted");
    }

    [Fact]
    [Trait("Category", "Long")]
    public void Points_over_shafts_are_planned_shot_in_order_and_read()
    {
        using var screen = new Screen(demo: true);
        screen.Go($"{Compound}/paper");
        screen.Push("New paper");
        screen.Push("Trial");
        screen.Push("Plan points over shafts");
        screen.SeeText("[data-testid=widest]", "takes the widest range by figures");
        var steps = screen.See("[data-testid=steps]").FindElements(By.TagName("li")).Count;

        // One point less, by its tick; the plan follows.
        screen.Unfold("main");
        screen.Driver.FindElement(By.CssSelector("[data-tick='Island 340 Pebble 75 0']")).Click();
        screen.Until(_ =>
            screen.See("[data-testid=steps]").FindElements(By.TagName("li")).Count == steps - 1 ? "so" : null
        );
        screen.Retype("distance", "far");
        screen.Push("Begin this trial");
        screen.SeeText("[data-fault]", "far");
        screen.Retype("distance", "3");
        screen.Push("Begin this trial");
        screen.SeeText("[data-testid=trial]", "In work: Island 340, 125 gr");
        Say(screen, null, null);
        Say(screen, null, null);
        screen.Push("Take it");
        screen.SeeText("[data-testid=trial]", "In work: Island 340.");
        Say(screen, "about an inch", "tail left");
        Say(screen, "about an inch", "tail left");
        screen.Push("Points over shafts");
        screen.SeeText("[data-testid=trial-picture]", "needed no move on paper: 125 gr");
    }

    [Fact]
    [Trait("Category", "Long")]
    public void A_doubted_shot_is_shown_as_such_and_a_forgotten_move_is_logged_late()
    {
        using var screen = new Screen(demo: true);
        screen.Go($"{Compound}/paper");
        screen.Push("Shots");
        screen.See("[aria-label='Doubt shot 2']").Click();
        screen.SeeText("[data-testid=shots] [data-state=doubted]", "counts for less");
        screen.Push("No doubt");
        screen.Until(d =>
            d.FindElements(By.CssSelector("[data-testid=shots] [data-state=doubted]")).Count == 0 ? "sure" : null
        );
        screen.Push("Log a move");
        screen.Pick("adjuster", "Rest up/down");
        screen.See("[aria-label^='One more: Rest 1 click up']").Click();
        screen.Pick("afterSet", "late: it was made after set 1");
        screen.Push("Log this move");
        screen.SeeText("[data-testid=film]", "Rest 1 click up");
        screen
            .Driver.FindElements(By.CssSelector("[data-testid=film] button"))
            .Count(e => e.Text.Contains("Set 3"))
            .ShouldBe(0);
    }

    [Fact]
    [Trait("Category", "Long")]
    public void Nocks_are_turned_arrow_by_arrow_with_mouse_and_words()
    {
        using var screen = new Screen(demo: true);
        screen.Go($"{Recurve}/paper");
        screen.Push("Nocks");
        screen.SeeText("[data-testid=next]", "Arrow 5: turn the nock");
        screen.SeeText("[data-testid=nocks]", "practice only");
        screen.Push("One clean hole");
        screen.Push("Keep this shot");
        screen.SeeText("[data-testid=nocks]", "inside at step 1 of 3");
        screen.SeeText("[data-testid=next]", "Arrow 6, with vanes");
        screen.See("[data-testid=undo]").Click();
        screen.SeeText("[data-testid=next]", "Arrow 5: turn the nock");
        screen.Type("right", "a lot");
        screen.Push("Keep this shot");
        screen.SeeText("[data-fault]", "number");
        screen.Push("Back to the session");
        screen.See("[data-testid=film]");
    }

    [Fact]
    [Trait("Category", "Long")]
    public void Two_people_at_one_session_see_each_others_shots()
    {
        using var screen = new Screen(demo: true);
        screen.Go($"{Compound}/paper");
        screen.See("[data-testid=film]");
        var first = screen.Driver.CurrentWindowHandle;
        screen.Driver.SwitchTo().NewWindow(WindowType.Tab);
        screen.Go($"{Compound}/paper");
        Type(screen, -.7, .1);
        screen.SeeText("main [role=group] [aria-pressed=false]", "Shots, 7");
        screen.Driver.SwitchTo().Window(first);
        Type(screen, -.75, 0);
        screen.Push("Shots");
        screen.Until(d => d.FindElements(By.CssSelector("[data-testid=shots] > li")).Count == 8 ? "both" : null);
    }

    private static void Say(Screen screen, string? size, string? which)
    {
        screen.Push("Mark a shot");
        screen.Push("Say it");
        if (size is null)
        {
            screen.Push("One clean hole");
        }
        else
        {
            screen.Pick("sideways", size);
            screen.Push(which!);
        }

        screen.Push("Keep this shot");
        screen.Until(d => d.FindElements(By.CssSelector("[data-testid=marking-sheet]")).Count == 0 ? "kept" : null);
    }

    private static Dictionary<string, int> Positions(Screen screen) => PaperHands.Positions(screen, Compound[6..]);
}

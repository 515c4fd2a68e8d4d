using System.Globalization;
using System.Text.Json.Nodes;
using OpenQA.Selenium;

namespace Merganser.Browser.Tests;

/// <summary>
/// The session on the real screen: from the first tear to done, the ladder, a trial, what was learned, nocks.
/// </summary>
public class SessionTests
{
    private const string Compound = "/bows/22222222-0000-4000-8000-000000000001";
    private const string Recurve = "/bows/22222222-0000-4000-8000-000000000002";
    private const string Longbow = "/bows/22222222-0000-4000-8000-000000000004";

    private static readonly (double X, double Y)[] Stray =
    [
        (.08, -.05),
        (-.10, .07),
        (.04, .11),
        (-.06, -.09),
        (.12, .03),
        (-.03, .06),
        (.07, -.10),
        (-.09, -.02),
        (.02, .08),
        (.05, .01),
    ];

    [Fact]
    public void A_simulated_bow_is_tuned_through_two_stages_by_what_the_screen_says()
    {
        using var bench = new Bench(demo: true);
        bench.Go($"{Compound}/paper");
        bench.Button("New paper").Click();
        bench.Pick("stages", "3 yd, then 6 yd");
        bench.Button("Begin this paper").Click();
        bench.SeeText(".move-box", "Shoot one arrow");
        bench.SeeText(".stage-rail", "6 yd bare");

        // The hidden bow: a yoke step moves the tail .3 in, a rest click .035 in height and −.02 in to the side.
        var start = Positions(bench);
        var (shots, moves) = (0, 0);
        for (; shots < 60; shots++)
        {
            var now = Positions(bench);
            double Moved(string kind) => now[kind] - start[kind];
            var x = .9 + (.30 * Moved("yokePair")) - (.02 * Moved("restSideways")) + Stray[shots % 10].X;
            var y = -.7 + (.035 * Moved("restHeight")) + (.2 * Moved("nockingPoint")) + Stray[shots % 10].Y;
            Type(bench, x, y);
            while (bench.See(".go").Text.Contains("I made this move"))
            {
                bench.See(".move-box h2").Text.ShouldNotBeEmpty();
                bench.Driver.FindElement(By.TagName("body")).SendKeys(Keys.Control + Keys.Enter);
                moves++;
                bench.SeeText(".foot .say", "Shoot two at the new setting");
            }

            if (bench.See(".go").Text.Contains("On to 6 yd"))
            {
                bench.See(".go").Click();
                bench.SeeText(".film", "6 yd bare");
            }
            else if (bench.See(".go").Text.Contains("I accept this"))
            {
                break;
            }
        }

        shots.ShouldBeLessThan(40);
        moves.ShouldBeInRange(2, 8);
        bench.See(".go").Click();
        bench.SeeText(".foot .say", "Accepted");
        bench.SeeText(".foot .say", "shot well");
        bench.Driver.FindElements(By.CssSelector(".stage-rail li")).Count.ShouldBe(2);

        bench.Button("Learned").Click();
        bench.SeeText("[data-testid=learned]", "Yoke pair");
        bench.SeeText("[data-testid=learned]", "3 yd bare");
        bench.Button("Forget everything").Click();
        bench.SeeText("[data-testid=learned]", "Forgotten on");
        bench.Button("Take it back").Click();
        bench.Until(d =>
            !d.FindElement(By.CssSelector("[data-testid=learned]")).Text.Contains("Forgotten on") ? "back" : null
        );
    }

    [Fact]
    public void A_past_set_shows_the_moves_back_and_they_are_logged_when_made()
    {
        using var bench = new Bench(demo: true);
        bench.Go($"{Compound}/paper");
        bench.Button("Set 1").Click();
        bench.SeeText(".reading", "Right yoke leg 1 half twist shorter");
        bench.Button("I made this move back").Click();
        bench.SeeText(".film", "Set 3");
        bench.SeeText(".film", "Right yoke leg 1 half twist shorter, left leg 1 half twist longer");
        bench.SeeText(".foot .say", "Left yoke leg 3 half twists shorter");
    }

    [Fact]
    public void A_stubborn_bow_goes_by_the_ladder_and_a_control_leaves_the_bow_alone()
    {
        using var bench = new Bench(demo: true);
        bench.Go($"{Longbow}/paper");
        bench.SeeText(".foot .say", "Moves do not help");
        bench.SeeText(".evidence", "The tear ignores 3 moves");
        bench.Button("Open the ladder").Click();
        bench.SeeText(".ladder .done", "the next two shafts tear the same");
        bench.See(".ladder .here [aria-label$='what was seen']").SendKeys("hand turned out");
        bench.Button("Shoot it now").Click();
        bench.SeeText(".foot .say", "Changed grip: shoot 3 more, touch nothing");
        foreach (var (x, y) in Stray.Take(3))
        {
            Type(bench, x, y);
        }

        bench.SeeText(".foot .say", "The control is shot");
        bench.SeeText(".evidence", "A changed grip tears otherwise");
        bench.Button("Back to the session").Click();
        bench.Button("Ladder").Click();
        bench.See("[data-rung=grip].done");
        bench.See("[aria-label='A note at this place']").SendKeys("wind from the left");
        bench.Button("Note it").Click();
        bench.Button("Set 4").Click();
    }

    [Fact]
    public void A_trial_takes_arrow_after_arrow_and_advises_no_move()
    {
        using var bench = new Bench(demo: true);
        bench.Go($"{Compound}/paper");
        bench.Button("New paper").Click();
        bench.Button("Trial").Click();
        bench.Pick("arrow", "Island 340");
        bench.Button("Begin this paper").Click();
        bench.SeeText(".foot .say", "Shoot two with this arrow");
        Say(bench, "about an inch", "tail left");
        Say(bench, "about an inch", "tail left");
        bench
            .Until(d =>
                d.FindElement(By.CssSelector(".stage select"))
                    .FindElements(By.TagName("option"))
                    .FirstOrDefault(o => o.Text.Contains("Spindrift"))
            )
            .Click();
        bench.SeeText(".film", "Set 2");
        Say(bench, null, null);
        Say(bench, null, null);
        bench.SeeText("[data-testid=trial]", "The arrow");
        bench.SeeText("[data-testid=trial]", "Spindrift light");
        bench.See(".stage select").Size.Height.ShouldBeGreaterThanOrEqualTo(48);
        bench.Driver.FindElements(By.CssSelector("[data-testid=advice]")).ShouldBeEmpty();
        bench.Button("End the trial").Click();
        bench.SeeText(".foot .say", "Accepted");
    }

    [Fact]
    public void A_doubted_shot_is_shown_as_such_and_a_forgotten_move_is_logged_late()
    {
        using var bench = new Bench(demo: true);
        bench.Go($"{Compound}/paper");
        bench.Button("Shots").Click();
        bench.See("[aria-label='Doubt shot 2']").Click();
        bench.SeeText(".shots .doubted", "counts for less");
        bench.Button("No doubt").Click();
        bench.Until(d => d.FindElements(By.CssSelector(".shots .doubted")).Count == 0 ? "sure" : null);
        bench.Button("Log a move").Click();
        bench.Pick("adjuster", "Rest up/down");
        bench.See("[aria-label^='One more: Rest 1 click up']").Click();
        bench.Pick("afterSet", "late: it was made after set 1");
        bench.Button("Log this move").Click();
        bench.SeeText(".film", "Rest 1 click up");
        bench.Driver.FindElements(By.CssSelector(".film-set")).Count(e => e.Text.Contains("Set 3")).ShouldBe(0);
    }

    [Fact]
    public void Nocks_are_turned_arrow_by_arrow_with_mouse_and_words()
    {
        using var bench = new Bench(demo: true);
        bench.Go($"{Recurve}/paper");
        bench.Button("Nocks").Click();
        bench.SeeText(".foot .say", "Arrow 5: turn the nock");
        bench.SeeText(".nock-list", "practice only");
        bench.Button("One clean hole").Click();
        bench.Button("Keep this shot").Click();
        bench.SeeText(".nock-list", "inside at step 1 of 3");
        bench.SeeText(".foot .say", "Arrow 6, with vanes");
        bench.See("[data-testid=undo]").Click();
        bench.SeeText(".foot .say", "Arrow 5: turn the nock");
        bench.Type("right", "a lot");
        bench.Button("Keep this shot").Click();
        bench.SeeText(".field.wrong", "number");
        bench.Button("Back to the session").Click();
        bench.See(".film");
    }

    [Fact]
    public void Two_people_at_one_session_see_each_others_shots()
    {
        using var bench = new Bench(demo: true);
        bench.Go($"{Compound}/paper");
        bench.See(".film");
        var first = bench.Driver.CurrentWindowHandle;
        bench.Driver.SwitchTo().NewWindow(WindowType.Tab);
        bench.Go($"{Compound}/paper");
        Type(bench, -.7, .1);
        bench.SeeText(".way[aria-pressed=false]", "Shots, 7");
        bench.Driver.SwitchTo().Window(first);
        Type(bench, -.75, 0);
        bench.Button("Shots").Click();
        bench.Until(d => d.FindElements(By.CssSelector(".shots > li")).Count == 8 ? "both" : null);
    }

    private static void Type(Bench bench, double x, double y)
    {
        bench.Button("Mark a shot").Click();
        bench.Button("Type the place").Click();
        bench.Type("right", x.ToString("F2", CultureInfo.InvariantCulture));
        bench.Type("up", y.ToString("F2", CultureInfo.InvariantCulture));
        bench.See("[name=up]").SendKeys(Keys.Enter);
        bench.Until(d => d.FindElements(By.CssSelector("[data-testid=marking-sheet]")).Count == 0 ? "kept" : null);
    }

    private static void Say(Bench bench, string? size, string? which)
    {
        bench.Button("Mark a shot").Click();
        bench.Button("Say it").Click();
        if (size is null)
        {
            bench.Button("One clean hole").Click();
        }
        else
        {
            bench.Pick("sideways", size);
            bench.Button(which!).Click();
        }

        bench.Button("Keep this shot").Click();
        bench.Until(d => d.FindElements(By.CssSelector("[data-testid=marking-sheet]")).Count == 0 ? "kept" : null);
    }

    private static Dictionary<string, int> Positions(Bench bench)
    {
        using var http = new HttpClient();
        var bow = JsonNode.Parse(http.GetStringAsync($"{bench.Url}/api{Compound}").Result)!;
        return bow["adjusters"]!.AsArray().ToDictionary(a => (string)a!["kind"]!, a => (int)a!["position"]!);
    }
}

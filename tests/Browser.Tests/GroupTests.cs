using System.Globalization;
using OpenQA.Selenium;
using static Merganser.Browser.Tests.States;

namespace Merganser.Browser.Tests;

/// <summary>
/// Groups at a target on the real screen: by keys to done, by a finger on a phone, what a few cannot show.
/// </summary>
public class GroupTests
{
    private static readonly (double X, double Y)[] Stray = [(.5, .4), (-.5, -.4), (.4, -.5), (-.4, .5)];

    [Fact]
    public void Bare_and_fletched_go_by_keys_from_a_clear_offset_over_a_move_to_done()
    {
        using var screen = new Screen(demo: true);
        screen.Go(Compound + "/groups");
        screen.SeeText("h1", "Bare against fletched");
        screen.Push("Begin these groups");
        screen.SeeText("[data-testid=advice]", "Shoot 2 fletched and 2 bare");
        Shoot(screen, -6, 0);
        screen.SeeText("[data-testid=words]", "Bare lands 6");
        screen.SeeText("[data-testid=words]", "left");
        screen.SeeText("[data-testid=words]", "clear");
        screen.SeeText("[data-testid=advice]", "as a paper that tears tail right");
        screen.Unfold("[data-testid=evidence]");
        screen.SeeText("[data-testid=evidence]", "clear is p below 0.012 at each look");
        screen.PressOnPage(Keys.Control + Keys.Enter);
        screen.SeeText("[data-testid=film]", "Set 2");
        screen.SeeText("[data-testid=next]", "old shots don't count with new ones");
        for (var end = 0; end < 4 && !Go(screen).Contains("I accept this"); end++)
        {
            Shoot(screen, .1, .45);
        }

        Go(screen).ShouldContain("I accept this");
        screen.SeeText("[data-testid=advice]", "Inside 2.00 in");
        screen.PressOnPage(Keys.Enter);
        screen.SeeText("[data-testid=next]", "Accepted");
        screen.Driver.Navigate().Refresh();
        screen.SeeText("[data-testid=next]", "Accepted");
        screen.Go("/");
        screen.SeeText("[data-testid=rack]", "Groups accepted");
    }

    [Fact]
    [Trait("Category", "Long")]
    public void Two_of_each_are_told_what_they_cannot_show_and_a_move_is_a_test()
    {
        using var screen = new Screen(demo: true);
        screen.Go(Compound + "/groups");
        screen.Push("Begin these groups");
        screen.Push("Mark a shot");
        Mark(screen, -.8, .6);
        Mark(screen, .9, -.4);
        screen.SeeText("[data-testid=marking-sheet]", "bare 1");
        screen.Push("fishtail");
        Mark(screen, -4.9, .9);
        screen.Push("Read the groups");
        screen.SeeText("[data-testid=advice]", "Shoot 1 more bare");
        screen.PressOnPage("n");
        Mark(screen, -3.6, -.6);
        screen.Push("Read the groups");
        screen.SeeText("[data-testid=advice]", "A test, ");
        screen.SeeText("[data-testid=powers]", "more of each would show an offset of 2.00 in four times in five");
        screen.See("[data-testid=target]");
        screen.See("[data-testid=conditions] summary").Click();
        screen.Type("wind", "breeze from the left");
        screen.Push("Note it from here on");
        screen.SeeText("[data-testid=conditions] p", "Wind: breeze from the left.");
        screen.Push("Shots, 4");
        screen.SeeText("[data-testid=shots]", "bare, flew fishtail");
        screen.Push("Undo: shot 4");
        screen.SeeText("[data-testid=shots] [data-state=void]", "marked wrongly");
        screen.Push("Reading");
        screen.SeeText("[data-testid=advice]", "Shoot 1 more bare");
    }

    [Fact]
    [Trait("Category", "Long")]
    public void A_finger_marks_six_arrows_and_one_that_was_marked_while_the_server_was_away_is_kept()
    {
        using var screen = new Screen(demo: true, 390, 844);
        screen.Size(390, 844, phone: true);
        screen.Go(Compound + "/groups");
        screen.Push("Begin these groups");
        screen.Push("Mark a shot");
        for (var i = 0; i < 6; i++)
        {
            screen.SeeText("[data-testid=marking-sheet]", i < 2 || i == 4 ? "fletched" : "bare");
            Slide(screen, 20 - (12 * i), 10 * i);
            screen.SeeText("[data-testid=film]", $"{i + 1} {(i == 0 ? "shot" : "shots")}");
        }

        screen.See("[data-testid=marking-sheet]").FindElements(By.CssSelector("g[transform]")).Count.ShouldBe(6);
        screen.Kill();
        Slide(screen, -50, 30);
        screen.SeeText("[data-testid=waiting]", "1 waits");
        Slide(screen, -20, 60);
        screen.SeeText("[data-testid=waiting]", "2 wait");
        screen.Go(Compound + "/groups");
        screen.SeeText("[data-testid=waiting]", "2 wait");
        screen.StartAgain();
        screen.SeeText("[data-testid=film]", "8 shots");
        PaperHands.AllSent(screen);
    }

    [Fact]
    [Trait("Category", "Long")]
    public void Heads_that_land_low_end_in_a_mark_of_their_own_that_outlives_a_reload()
    {
        using var screen = new Screen(demo: true);
        screen.Go(Compound + "/groups");
        screen.Pick("stages", "broadheads, 30 yd");
        screen.SeeText("[aria-label='New groups']", "on and off with a wrench");
        screen.Push("Begin these groups");
        screen.SeeText("[data-testid=advice]", "Shoot 2 field points and 2 heads");
        Shoot(screen, 0, -5, heads: true, each: 3);
        screen.SeeText("[data-testid=words]", "in low: clear");
        screen.SeeText("[data-testid=advice]", "For heads, sight down 0.1");
        screen.See("[data-testid=head-map]");
        screen.See("[data-testid=broadheads] summary").Click();
        screen.Type("eyeToPin", "five");
        screen.Push("Keep this sight");
        screen.See("[name=eyeToPin][aria-invalid=true]");
        screen.Retype("eyeToPin", "36");
        screen.Type("click", ".02");
        screen.Push("Keep this sight");
        screen.SeeText("[data-testid=advice]", "clicks. Then shoot both groups anew");
        screen.PressOnPage(Keys.Enter);
        screen.SeeText("[data-testid=film]", "sight for heads down 0.1");
        screen.SeeText("[data-testid=head-mark]", "The heads’ own mark: down 0.1");
        screen.Driver.Navigate().Refresh();
        screen.SeeText("[data-testid=head-mark]", "The heads’ own mark: down 0.1");
        Shoot(screen, .1, .45, heads: true, each: 2);
        Go(screen).ShouldContain("I accept this");
    }

    [Fact]
    [Trait("Category", "Long")]
    public void Heads_on_a_diagonal_or_in_a_bad_flight_are_the_bows_and_a_mark_is_taken_back()
    {
        using var screen = new Screen(demo: true);
        screen.Go(Compound + "/groups");
        screen.Pick("stages", "broadheads, 30 yd");
        screen.Push("Begin these groups");
        screen.SeeText("[data-testid=advice]", "Shoot 2 field points and 2 heads");
        Shoot(screen, -4.5, -4.5, heads: true);
        screen.SeeText(
            "[data-testid=advice]",
            "Heads 4.50 in left, 4.50 in low: as a paper that tears tail right and high"
        );
        screen.See("[data-testid=broadheads] summary").Click();
        screen.Unfold("[data-testid=evidence]");
        screen.SeeText("[data-testid=evidence]", "Leave it");
        screen.Type("up", "-0.1");
        screen.Push("I moved it so, for heads");
        screen.SeeText("[data-testid=head-mark]", "down 0.100 in");
        screen.Push("Undo: the sight");
        screen.SeeText("[data-testid=film]", "nothing moved");
        screen.Driver.FindElements(By.CssSelector("[data-testid=head-mark]")).ShouldBeEmpty();
    }

    private static string Go(Screen screen)
    {
        screen.Settled();
        return screen.See("[data-testid=go]").Text;
    }

    /// <summary>So many fletched, then as many bare about a place, and the face turned over.</summary>
    private static void Shoot(Screen screen, double x, double y, bool heads = false, int each = 4)
    {
        var (reference, tested) = heads ? ("field point", "head") : ("fletched", "bare");
        screen.PressOnPage("n");
        foreach (var (kind, right, up) in new[] { ("f", 0.0, 0.0), ("b", x, y) })
        {
            foreach (var stray in Stray.Take(each))
            {
                screen.See("[data-testid=marking-sheet]").SendKeys(kind);
                screen.SeeText("[data-testid=marking-sheet]", kind == "f" ? reference : tested);
                Mark(screen, right + stray.X, up + stray.Y);
            }
        }

        screen.See("[data-testid=marking-sheet]").SendKeys(Keys.Escape);
        screen.See("[data-testid=advice]");
    }

    private static void Mark(Screen screen, double right, double up)
    {
        var shots = Shots(screen);
        screen.Push("Type the place");
        screen.Type("right", right.ToString("F2", CultureInfo.InvariantCulture));
        screen.Type("up", up.ToString("F2", CultureInfo.InvariantCulture));
        screen.See("[name=up]").SendKeys(Keys.Enter);
        screen.Until(_ => Shots(screen) == shots + 1 ? "kept" : null);
    }

    private static int Shots(Screen screen) =>
        screen.Driver.FindElements(By.CssSelector("[data-testid=marking-sheet] g[transform]")).Count;

    /// <summary>A finger comes down under the middle of the face, slides and lifts.</summary>
    private static void Slide(Screen screen, int x, int y)
    {
        var sheet = screen.See("[data-testid=marking-sheet]");
        var (left, top) = (sheet.Location.X + (sheet.Size.Width / 2), sheet.Location.Y + (sheet.Size.Height / 2));
        Touch(screen, "touchStart", left, top + 60);
        Touch(screen, "touchMove", left + x, top + 60 + y);
        screen.See("[data-testid=loupe]");
        Touch(screen, "touchEnd");
    }

    private static void Touch(Screen screen, string type, params int[] at) =>
        screen.Driver.ExecuteCdpCommand(
            "Input.dispatchTouchEvent",
            new Dictionary<string, object?>
            {
                ["type"] = type,
                ["touchPoints"] =
                    at.Length == 0
                        ? Array.Empty<object>()
                        : [new Dictionary<string, object> { ["x"] = at[0], ["y"] = at[1] }],
            }
        );
}

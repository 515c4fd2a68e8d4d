using System.Globalization;
using OpenQA.Selenium;
using static Merganser.Browser.Tests.States;

namespace Merganser.Browser.Tests;

/// <summary>
/// Two ways compared, a range error with guessed distances, and how well it is shot, on the real screen, by keys.
/// </summary>
public class WayTests
{
    [Fact]
    [Trait("Category", "Long")]
    public void Two_grips_are_marked_in_turn_by_arrow_keys_and_the_tighter_one_is_kept()
    {
        using var screen = new Screen(demo: true);
        screen.Go(Compound + "/groups");
        screen.Pick("stages", "two ways compared, 20 yd");
        screen.SeeText("h1", "Two ways compared");
        screen.Retype("first", "low grip");
        screen.Retype("second", "LOW GRIP");
        screen.Push("Begin comparing");
        screen.See("[name=second][aria-invalid=true]");
        screen.Retype("second", "high grip");
        screen.Push("Begin comparing");
        screen.SeeText("[data-testid=advice]", "“low grip” is next.");
        screen.PressOnPage("n");
        for (var i = 0; i < 12; i++)
        {
            var wide = Marks(screen, "high grip");
            Mark(
                screen,
                (i % 4, wide) switch
                {
                    (0, false) => (1, 1),
                    (1, false) => (-1, 2),
                    (2, false) => (2, -1),
                    (3, false) => (-2, -1),
                    (0, true) => (7, 3),
                    (1, true) => (-6, 5),
                    (2, true) => (5, -7),
                    _ => (-7, -4),
                }
            );
        }

        screen.PressOnPage(Keys.Escape);
        screen.SeeText("[data-testid=words]", "“high grip” is");
        screen.SeeText("[data-testid=words]", "clear");
        screen.SeeText("[data-testid=advice]", "Keep “low grip”: its groups are tighter.");
        screen.SeeText("[data-testid=reading-figures]", "Spread, high grip");
        StateAudit.Found(screen).ShouldBeEmpty("two ways");
        screen.Push("Shots, 12");
        screen.See("[data-testid=hits-table] summary").Click();
        screen.See("[aria-label='Table of hits']").SendKeys("right,up,way\n1,1,low grip\n1,1,");
        screen.Push("Take these hits in");
        screen.SeeText("[data-testid=hits-table]", "Line 3: Say which way it was shot.");
        screen.See("[aria-label='Table of hits']").SendKeys("high grip");
        screen.Push("Take these hits in");
        screen.SeeText("[data-testid=film]", "14 shots");
        screen.PressOnPage(Keys.Control + "z");
        screen.SeeText("[data-testid=film]", "12 of 14");
        screen.Push("Reading");
        screen.Driver.Navigate().Refresh();
        screen.SeeText("[data-testid=advice]", "Keep “low grip”");
        screen.PressOnPage(Keys.Enter);
        screen.SeeText("[data-testid=next]", "Accepted");
        screen.Push("Sizes");
        screen.SeeText("[data-testid=words]", "Single arrows stray");
        screen.PressOnPage(Keys.Enter);
        screen.SeeText("[data-testid=words]", "“high grip” is");
    }

    [Fact]
    [Trait("Category", "Long")]
    public void The_other_way_is_chosen_by_its_key_and_a_wrong_mark_undone()
    {
        using var screen = new Screen(demo: true);
        screen.Go(Compound + "/groups");
        screen.Pick("stages", "two ways compared, 20 yd");
        screen.Push("Begin comparing");
        screen.SeeText("[data-testid=advice]", "“usual grip” is next.");
        screen.PressOnPage("n");
        screen.SeeText("[data-testid=marking-sheet]", "usual grip 1");
        screen.Press("2");
        screen.SeeText("[data-testid=marking-sheet]", "other grip 1");
        Mark(screen, (3, 1));
        screen.SeeText("[data-testid=marking-sheet]", "usual grip 1");
        screen.Push("Undo: shot 1");
        screen.PressOnPage(Keys.Escape);
        screen.SeeText("[data-testid=words]", "Nothing yet");
    }

    [Fact]
    [Trait("Category", "Long")]
    public void A_nock_end_is_planned_at_the_groups_and_marked_on_a_sheet()
    {
        using var screen = new Screen(demo: true);
        screen.Go(Compound + "/groups");
        screen.Pick("stages", "nock end of bare shafts, 7 yd");
        screen.SeeText("h1", "Nock ends, in a near target");
        screen.Push("Begin these shots");
        screen.SeeText("[data-testid=stages]", "7 yd nock end");
        screen.PressOnPage("n");
        screen.SeeText("[data-testid=marking-sheet]", "Press where the point went in");
        screen.See("[data-testid=marking-sheet]").SendKeys(Keys.Enter);
        screen.SeeText("[data-testid=marking-sheet]", "Now press where the nock end is seen");
        var inch = string.Concat(Enumerable.Repeat(Keys.ArrowRight, 4));
        screen.See("[data-testid=marking-sheet]").SendKeys(Keys.Shift + inch + Keys.Null + Keys.Enter);
        screen.SeeText("h1", "Nock end");
        screen.See("[data-testid=marking-sheet]").SendKeys(Keys.Enter);
        screen.SeeText("[data-testid=words]", "Tail right 0.49 in");
        screen.SeeText("[aria-label=Reading]", "At 7 yd a nock end 0.5 in beside the point stands for 1/4 in of tear.");
        screen.Driver.Navigate().Refresh();
        screen.SeeText("[data-testid=words]", "Tail right 0.49 in");
    }

    [Fact]
    [Trait("Category", "Long")]
    public void A_range_error_is_read_and_guesses_beside_it_typed_one_after_the_other()
    {
        using var screen = new Screen(demo: true);
        screen.Go(Compound + "/groups");
        screen.Pick("stages", "range error, 30 yd");
        screen.SeeText("h1", "What a wrong range costs");
        screen.Push("Begin this trial");
        screen.SeeText("[data-testid=advice]", "sight for 32 yd is next.");
        screen.PressOnPage("n");
        for (var i = 0; i < 6; i++)
        {
            var far = Marks(screen, "sight for 32 yd");
            Mark(screen, ((i % 3) - 1, (far ? 4 : -4) + (i % 2)));
        }

        screen.PressOnPage(Keys.Escape);
        screen.SeeText("[data-testid=words]", "At 30 yd a range 2 yd wrong costs 1.9 in of height");
        screen.SeeText("[data-testid=advice]", "± 3 in is used up by a range 3.1 yd wrong at 30 yd");
        StateAudit.Found(screen).ShouldBeEmpty("a range error");
        foreach (var (said, was) in new[] { ("30", "28"), ("25", "27"), ("40", "36"), ("22", "21") })
        {
            Guess(screen, said, was);
            screen.SeeText("[data-testid=ranging]", $"said {said} yd, was {was} yd");
        }

        Guess(screen, "near", "20");
        screen.See("[name=guessed][aria-invalid=true]");
        screen.Holds("measured", "20");
        screen.Retype("guessed", "21");
        screen.See("[name=measured]").SendKeys(Keys.Enter);
        screen.SeeText("[data-testid=ranging]", "of your guesses at 30 yd stay within");
        screen.SeeText("[data-testid=ranging-figures]", "Nine in ten at 30 yd");
        screen.See("[aria-label^='Take back: said 21 yd']").Click();
        screen.SeeText("[data-testid=ranging]", "1 guess more before anything is told.");
    }

    /// <summary>True where the next hit is of this way, or of this setting.</summary>
    private static bool Marks(Screen screen, string what) =>
        screen.See("[data-testid=marking-sheet]").GetAttribute("aria-label")!.Contains(what, StringComparison.Ordinal);

    private static void Guess(Screen screen, string said, string was)
    {
        screen.Retype("guessed", said);
        screen.Retype("measured", was);
        screen.See("[name=measured]").SendKeys(Keys.Enter);
        if (decimal.TryParse(said, CultureInfo.InvariantCulture, out _))
        {
            screen.Holds("measured", "");
        }
    }

    /// <summary>Half inches right and up, by the arrow keys with Shift, then Enter.</summary>
    private static void Mark(Screen screen, (int Right, int Up) place)
    {
        var film = screen.See("[data-testid=film]").Text;
        var keys =
            string.Concat(Enumerable.Repeat(place.Right > 0 ? Keys.ArrowRight : Keys.ArrowLeft, Math.Abs(place.Right)))
            + string.Concat(Enumerable.Repeat(place.Up > 0 ? Keys.ArrowUp : Keys.ArrowDown, Math.Abs(place.Up)));
        screen.See("[data-testid=marking-sheet]").SendKeys(Keys.Shift + keys + Keys.Null + Keys.Enter);
        screen.Until(_ => screen.See("[data-testid=film]").Text != film ? "kept" : null);
    }
}

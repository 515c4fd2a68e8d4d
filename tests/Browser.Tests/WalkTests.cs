using System.Globalization;
using OpenQA.Selenium;
using static Merganser.Browser.Tests.States;

namespace Merganser.Browser.Tests;

/// <summary>
/// A walk-back on the real screen: marked from each distance, a drift that the sight answers, walked anew.
/// </summary>
public class WalkTests
{
    [Fact]
    [Trait("Category", "Long")]
    public void Arrows_that_drift_end_in_a_moved_sight_and_a_walk_without_drift()
    {
        using var screen = new Screen(demo: true);
        Begin(screen, "walk-back from 20 yd, each");
        screen.SeeText("[data-testid=advice]", "Shoot 5 at 20 yd, 5 at 40 yd, 5 at 60 yd, each with its own pin.");
        screen.PressOnPage("n");
        screen.See("[data-testid=marking-sheet]");
        StateAudit.Found(screen).ShouldBeEmpty("a hit that is marked");
        screen.PressOnPage(Keys.Escape);
        Walk(screen, .06);
        StateAudit.Found(screen).ShouldBeEmpty("a drift");
        screen.SeeText("[data-testid=words]", "Drifts right 2.40 in from 20 to 60 yd: clear.");
        screen.SeeText("[data-testid=advice]", "Sight right 0.057 in");
        screen.SeeText("[data-testid=advice]", "Another way.");
        screen.SeeText("[data-testid=walk] [data-seen=shown]", "Sight or zero");
        screen.Unfold("[data-testid=evidence]");
        screen.SeeText("[data-testid=evidence]", "clear is p below 0.010 at each look");
        screen.PressOnPage(Keys.Enter);
        screen.SeeText("[data-testid=film]", "sight right 0.057 in");
        screen.SeeText("[data-testid=words]", "Nothing yet");
        screen.Driver.Navigate().Refresh();
        screen.SeeText("[data-testid=words]", "Nothing yet");
        Walk(screen, 0);
        screen.SeeText("[data-testid=words]", "No drift shown from 20 to 60 yd.");
        screen.SeeText("[data-testid=go]", "I accept this");
        screen.PressOnPage(Keys.Enter);
        screen.SeeText("[data-testid=next]", "Accepted");
        screen.Go("/");
        screen.SeeText("[data-testid=rack]", "Groups accepted");
    }

    [Fact]
    [Trait("Category", "Long")]
    public void One_pin_wind_a_distance_of_ones_own_and_a_sight_set_otherwise()
    {
        using var screen = new Screen(demo: true);
        Begin(screen, "walk-back from 20 yd, one pin");
        screen.See("[data-testid=conditions] summary").Click();
        screen.Type("across", "gale");
        screen.Push("Note it from here on");
        screen.See("[name=across][aria-invalid=true]");
        screen.Retype("across", "-4");
        screen.Push("Note it from here on");
        screen.SeeText("[data-testid=conditions] p", "Wind across from the right, 4 mph.");
        screen.SeeText("[data-testid=walk]", "does");
        screen.PressOnPage("n");
        screen.Push("60 yd, 0");
        screen.SeeText("[data-testid=marking-sheet]", "below the aiming point");
        screen.Push("another");
        screen.Type("distance", "fifty");
        Place(screen, 1);
        screen.See("[name=distance][aria-invalid=true]");
        screen.Retype("distance", "50");
        screen.See("[name=right]").SendKeys(Keys.Enter);
        screen.SeeText("[data-testid=film]", "1 shot");
        screen.SeeText("[aria-label='From where it was shot']", "50 yd, 1");
        screen.Push("Read the walk");
        screen.SeeText("[data-testid=words]", "Too few to read");
        screen.Push("Undo: shot 1");
        screen.SeeText("[data-testid=words]", "Nothing yet");
        screen.See("[data-testid=at-target] summary").Click();
        screen.Push("I levelled it, or set it by its hits");
        screen.SeeText("[data-testid=film]", "sight set otherwise, shot anew");
    }

    [Fact]
    [Trait("Category", "Long")]
    public void A_pin_is_set_by_its_hits_in_the_sights_own_clicks_then_the_next()
    {
        using var screen = new Screen(demo: true);
        screen.Go(Compound + "/groups");
        screen.Pick("stages", "sight in, 20 to 60 yd");
        screen.SeeText("h1", "Sighting in");
        screen.Push("Begin sighting in");
        screen.SeeText("[data-testid=advice]", "Shoot 3 at 20 yd");
        screen.See("[data-testid=at-target] summary").Click();
        screen.Type("eyeToPin", "36");
        screen.Type("click", ".02");
        screen.Push("Keep this sight");
        screen.SeeText("[data-testid=at-target]", "one click 0.020 in, as measured");
        Hits(screen, (3.1, -2.2), (2.8, -1.9), (3.1, -1.9));
        screen.SeeText("[data-testid=words]", "The middle strikes 3.00 in right, 2.00 in low at 20 yd.");
        screen.SeeText("[data-testid=advice]", "8 clicks right, 5 clicks down");
        StateAudit.Found(screen).ShouldBeEmpty("a pin that is set");
        screen.PressOnPage(Keys.Enter);
        screen.SeeText("[data-testid=film]", "sight right 0.160 in, down 0.100 in");
        screen.Driver.Navigate().Refresh();
        screen.SeeText("[data-testid=advice]", "What was shot before counts on");
        Hits(screen, (.2, -.1), (-.3, .2), (.1, -.1));
        screen.SeeText("[data-testid=advice]", "20 yd is zeroed.");
        screen.SeeText("[data-testid=go]", "On to 30 yd sight");
        screen.PressOnPage(Keys.Enter);
        screen.SeeText("[data-testid=advice]", "Shoot 3 at 30 yd");
        screen.SeeText("[data-testid=pins]", "20 yd sight: over 99 % within it");
    }

    private static void Hits(Screen screen, params (double X, double Y)[] places)
    {
        screen.PressOnPage("n");
        foreach (var (x, y) in places)
        {
            screen.Push("Type the place");
            screen.Type("right", x.ToString("F2", CultureInfo.InvariantCulture));
            var words = screen.See("[data-testid=film]").Text;
            screen.Type("up", y.ToString("F2", CultureInfo.InvariantCulture) + Keys.Enter);
            screen.Until(_ => screen.See("[data-testid=film]").Text != words ? "kept" : null);
        }

        screen.Push("Read the hits");
    }

    private static void Begin(Screen screen, string stages)
    {
        screen.Go(Compound + "/groups");
        screen.Pick("stages", stages);
        screen.SeeText("h1", "A walk-back, at a target");
        screen.Push("Begin this walk-back");
        screen.See("[data-testid=walk-sheet]");
        screen.SeeText("[data-testid=advice]", "Shoot 5 at 20 yd");
    }

    /// <summary>Three hits from each distance, typed as they drift.</summary>
    private static void Walk(Screen screen, double slope)
    {
        screen.PressOnPage("n");
        foreach (var yards in (int[])[20, 40, 60])
        {
            screen.Push($"{yards} yd, 0");
            foreach (var stray in (int[])[-1, 0, 1])
            {
                Place(screen, (slope * yards) + (.02 * stray * yards));
                screen.SeeText("[aria-label='From where it was shot']", $"{yards} yd, {stray + 2}");
            }
        }

        screen.Push("Read the walk");
    }

    private static void Place(Screen screen, double right)
    {
        screen.Push("Type the place");
        screen.Type("right", right.ToString("F2", CultureInfo.InvariantCulture));
        screen.See("[name=up]").SendKeys(Keys.Enter);
    }
}

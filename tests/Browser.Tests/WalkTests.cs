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
    public void Arrows_that_drift_end_in_a_moved_sight_and_a_walk_without_drift()
    {
        using var screen = new Screen(demo: true);
        Begin(screen, "walk-back from 20 yd, each");
        screen.SeeText("[data-testid=advice]", "Shoot 5 at 20 yd, 5 at 40 yd, 5 at 60 yd, each with its own pin.");
        Body(screen, "n");
        screen.See("[data-testid=marking-sheet]");
        StateAudit.Found(screen).ShouldBeEmpty("a hit that is marked");
        Body(screen, Keys.Escape);
        Walk(screen, .06);
        StateAudit.Found(screen).ShouldBeEmpty("a drift");
        screen.SeeText("[data-testid=words]", "Drifts right 2.40 in from 20 to 60 yd: clear.");
        screen.SeeText("[data-testid=advice]", "Sight right 0.057 in");
        screen.SeeText("[data-testid=advice]", "Another way.");
        screen.SeeText("[data-testid=walk] [data-seen=shown]", "Sight or zero");
        screen.SeeText("[data-testid=evidence]", "clear is p below 0.010 at each look");
        Body(screen, Keys.Enter);
        screen.SeeText("[data-testid=film]", "sight right 0.057 in");
        screen.SeeText("[data-testid=words]", "Nothing yet");
        screen.Driver.Navigate().Refresh();
        screen.SeeText("[data-testid=words]", "Nothing yet");
        Walk(screen, 0);
        screen.SeeText("[data-testid=words]", "No drift shown from 20 to 60 yd.");
        screen.SeeText("[data-testid=go]", "I accept this");
        Body(screen, Keys.Enter);
        screen.SeeText("[data-testid=next]", "Accepted");
        screen.Go("/");
        screen.SeeText("[data-testid=rack]", "Groups accepted");
    }

    [Fact]
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
        Body(screen, "n");
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
        screen.See("[data-testid=walk] summary").Click();
        screen.Push("I levelled it, or set it by its hits");
        screen.SeeText("[data-testid=film]", "sight set otherwise, walked anew");
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

    private static void Body(Screen screen, string keys) =>
        screen.Driver.FindElement(By.TagName("body")).SendKeys(keys);

    /// <summary>Three hits from each distance, typed as they drift.</summary>
    private static void Walk(Screen screen, double slope)
    {
        Body(screen, "n");
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

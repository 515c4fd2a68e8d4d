using OpenQA.Selenium;

namespace Merganser.Browser.Tests;

/// <summary>The first two minutes: an empty bench, by keys alone, and by a thumb on a phone.</summary>
public class FirstTests
{
    [Fact]
    public void By_keys_from_an_empty_bench_to_a_first_figure_and_one_next_step()
    {
        using var screen = new Screen(demo: false);
        screen.Go("/");
        screen.SeeText("h1", "Three short steps");
        screen.SeeText("main", "not yet");
        screen.PressOnPage(Keys.Enter);
        screen.See("[data-asked=drawWeight]");
        screen.Type("drawWeight", "60 to 70" + Keys.Enter);
        screen.See("[data-testid=first-figures]");
        var wide = Width(screen);
        screen.Type("drawLength", "29" + Keys.Enter);
        screen.Type("spine", "340");
        screen.Type("grainsPerInch", "9.0" + Keys.Enter);
        screen.See("[data-asked=cutLength]");
        screen.Until(_ => Width(screen) < wide / 2 ? "narrower" : null);
        // Two unknowns: the foot's own key says so.
        screen.SeeText("[data-testid=go]", "I don’t know");
        screen.Press(Keys.Enter);
        screen.See("[data-asked=point]");
        screen.Press(Keys.Enter);
        screen.SeeText("[data-testid=next]", "press the hole like yours");
        screen.Until(d => d.SwitchTo().ActiveElement().GetAttribute("aria-label") == "The hole" ? "in hand" : null);
        screen.SeeText("[data-testid=first-figures]", "Fit 0.88 to 1.15");

        // What was answered outlives a reload, and Back from what follows.
        screen.Driver.Navigate().Refresh();
        screen.SeeText("[data-testid=first-figures]", "Fit 0.88 to 1.15");
        screen.Push("tail left");
        screen.Push("1 in");
        screen.SeeText("[data-testid=next]", "read the hole");
        screen.PressOnPage(Keys.Enter);
        screen.SeeText("main", "Tail left 1.00 in, as it was said");
        screen.SeeText("[data-testid=advice]", "Shoot one more");
        screen.Go("/");
        screen.SeeText("[data-testid=rack]", "60 to 70 lb marked");

        // Nobody asked for its cams: the form names none.
        screen.Push("Go on with the paper");
        screen.See("[data-testid=advice]");
        screen.PressOnPage("b");
        screen.Push("Bow and archer");
        screen.Field("camSystem");
        screen.Value("camSystem").ShouldBe("none");
    }

    [Fact]
    [Trait("Category", "Long")]
    public void A_thumb_that_knows_nothing_gets_a_figure_too_and_a_wrong_number_is_told_where_it_stands()
    {
        using var screen = new Screen(demo: false, 390, 844);
        screen.Go("/");
        screen.Push("Recurve");
        screen.Push("Left hand");
        screen.See("[data-asked=drawWeight]");
        screen.Type("drawWeight", "300" + Keys.Enter);
        screen.See("[name=drawWeight][aria-invalid=true]");
        screen.Retype("drawWeight", "30" + Keys.Enter);
        foreach (var asked in new[] { "drawLength", "spine", "cutLength", "point" })
        {
            screen.See($"[data-asked={asked}]");
            screen.Push("I don’t know");
        }

        screen.SeeText("[data-testid=next]", "press the hole like yours");
        screen.Push("I can’t tell");
        screen.SeeText("h1", "A new paper");
        screen.PressOnPage("b");
        screen.SeeText("main", "Draw weight");
        screen.Push("Draw weight");
        screen.Push("I have a bow scale");
        screen.Until(_ => screen.Find("button", "I have a bow scale") is null ? "said" : null);
    }

    private static double Width(Screen screen)
    {
        var fit = screen.SeeText("[data-testid=first-figures] b", "Fit").Text.Split(' ');
        return double.Parse(fit[3], System.Globalization.CultureInfo.InvariantCulture)
            - double.Parse(fit[1], System.Globalization.CultureInfo.InvariantCulture);
    }
}

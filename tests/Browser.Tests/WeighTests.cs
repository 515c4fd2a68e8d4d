using System.Net.Http.Json;
using OpenQA.Selenium;
using OpenQA.Selenium.Interactions;

namespace Merganser.Browser.Tests;

/// <summary>The scale in the hand: what lies on the pan, what is asked about, what is weighed again.</summary>
public class WeighTests
{
    private const string Dozen = "/bows/22222222-0000-4000-8000-000000000001/dozen";
    private const string Scale = "[aria-label='The scale'] h1";

    /// <summary>In a tried evening the last shaft was Insert 1, 231.5 gr.</summary>
    [Fact]
    [Trait("Category", "Long")]
    public void A_piece_that_was_taken_is_not_taken_again_after_a_class_a_reload_or_on_a_second_page()
    {
        using var screen = new Screen(demo: true);
        screen.Go(Dozen);
        screen.SeeText(Scale, "Point 8");
        Put(screen, 100.3);
        screen.SeeText(Scale, "Point 9");
        screen.SeeText("[data-testid=live]", "lift the piece off");
        screen.See("[data-class=Nock]").Click();
        screen.SeeText(Scale, "Nock 1");
        StillLies(screen);
        screen.Driver.Navigate().Refresh();
        StillLies(screen);
        screen.Driver.SwitchTo().NewWindow(WindowType.Tab);
        screen.Go(Dozen + "?way=weigh&class=Nock");
        StillLies(screen);
        screen.SeeText(Scale, "Nock 1");
        Order(screen, "lift", null);
        screen.SeeText("[data-testid=live]", "0.0");
        Put(screen, 9);
        screen.SeeText(Scale, "Nock 2");
    }

    /// <summary>The next step where one is already: the field that was left has the keys again.</summary>
    [Fact]
    public void Going_on_with_the_weighing_puts_the_keys_where_the_next_weight_is_typed()
    {
        using var screen = new Screen(demo: true);
        screen.Go(Dozen);
        screen.SeeText(Scale, "Point 8");
        screen.See("[data-testid=tray]").Click();
        screen.PressOnPage(Keys.Control + Keys.Enter);
        screen.Until(d => d.SwitchTo().ActiveElement().GetAttribute("name") == "weight" ? "in hand" : null);
    }

    [Fact]
    [Trait("Category", "Long")]
    public void A_weight_far_from_its_class_is_asked_about_by_scale_and_by_keys()
    {
        using var screen = new Screen(demo: true);
        screen.Go(Dozen);
        screen.SeeText(Scale, "Point 8");
        Put(screen, 9);
        screen.SeeText("[role=alert]", "9.0 gr is far from the");
        screen.SeeText(Scale, "Point 8");
        screen.Button("No, leave it").Click();
        screen.Until(d => d.FindElements(By.CssSelector("[role=alert]")).Count == 0 ? "gone" : null);
        Order(screen, "lift", null);
        screen.SeeText("[data-testid=live]", "0.0");
        screen.See("[name=weight]").Click();
        Keys_("231.5" + Keys.Enter);
        screen.SeeText("[role=alert]", "231.5 gr is far");
        screen.SeeText(Scale, "Point 8");
        screen.Holds("weight", "231.5");
        Keys_("100.2" + Keys.Enter);
        screen.SeeText(Scale, "Point 9");
        screen.SeeText("[data-testid=weight-taken]", "Point 8, 100.2");
        Keys_("131.5" + Keys.Enter);
        screen.SeeText("[role=alert]", "131.5 gr is far");
        Keys_(Keys.Enter);
        screen.SeeText(Scale, "Point 10");

        void Keys_(string keys) => new Actions(screen.Driver).SendKeys(keys).Perform();
    }

    [Fact]
    [Trait("Category", "Long")]
    public void An_odd_piece_is_weighed_again_in_its_own_place()
    {
        using var screen = new Screen(demo: true);
        screen.Go(Dozen);
        screen.SeeText(Scale, "Point 8");
        screen.See("[aria-label^='Weigh Point 3 again']").SendKeys(Keys.Enter);
        screen.SeeText(Scale, "Point 3, again");
        new Actions(screen.Driver).SendKeys("101.7" + Keys.Enter).Perform();
        screen.SeeText("[data-testid=weight-taken]", "Point 3, 101.7");
        screen.SeeText(Scale, "Point 8");
        screen.SeeText("[data-testid=tray]", "101.7");
        screen.See("[aria-label='Take back Point 3']").SendKeys(Keys.Enter);
        screen.Until(d => d.FindElement(By.CssSelector("[data-testid=tray]")).Text.Contains("101.7") ? null : "old");
        screen.SeeText(Scale, "Point 8");
    }

    /// <summary>A file as a spreadsheet writes it: a header, columns of its own, grams with a decimal comma.</summary>
    [Fact]
    [Trait("Category", "Long")]
    public void Weights_come_from_a_file_and_are_looked_at_before_they_are_taken()
    {
        using var screen = new Screen(demo: true);
        screen.Go(Dozen);
        screen.SeeText(Scale, "Point 8");
        var file = Path.Combine(Directory.CreateTempSubdirectory("weights-").FullName, "points.csv");
        File.WriteAllText(file, "No;Who;Weight (g)\n8;Ann;6,49\n9;Ann;6,5\n10;Bo;0,6\n");
        screen.Driver.FindElement(By.CssSelector("summary")).SendKeys(Keys.Enter);
        screen.Driver.FindElement(By.CssSelector("input[type=file]")).SendKeys(file);
        screen.SeeText("[data-testid=weights-read]", "3 weights, of the column “Weight (g)”. Not read: Who.");
        screen.SeeText("[data-testid=weights-read]", "1 are asked about");
        screen.SeeText("[data-testid=weights-read]", "9.3 gr is far from the");
        screen.Button("Take all 3 all the same").SendKeys(Keys.Enter);
        screen.SeeText(Scale, "Point 11");
    }

    private static void StillLies(Screen screen)
    {
        screen.SeeText("[data-testid=live]", "lift the piece off");
        screen.Settled(1500);
        screen.SeeText("[data-testid=live]", "lift the piece off");
        screen.SeeText("[data-class=Nock]", "0 of 13");
    }

    private static void Put(Screen screen, double grains)
    {
        screen.SeeText("[data-testid=live]", "0.0");
        Order(screen, "put", grains);
    }

    private static void Order(Screen screen, string order, double? value)
    {
        using var http = new HttpClient();
        http.PostAsJsonAsync($"{screen.Url}/api/instruments/scale/orders", new { order, value })
            .GetAwaiter()
            .GetResult()
            .EnsureSuccessStatusCode();
    }
}

using OpenQA.Selenium;
using OpenQA.Selenium.Interactions;

namespace Merganser.Browser.Tests;

/// <summary>Twelve shafts from the simulated scale by keyboard only; match, tick, calibrate the speed.</summary>
public class DozenTests
{
    [Fact]
    [Trait("Category", "Long")]
    public void Twelve_shafts_from_the_scale_then_a_match_and_a_tick()
    {
        using var screen = new Screen(demo: true);
        screen.Go("/bows/22222222-0000-4000-8000-000000000004/dozen");
        screen.SeeText("h1", "A new dozen");
        foreach (var name in new[] { "Insert", "Nock", "Vanes" })
        {
            screen
                .Until(d => d.FindElements(By.CssSelector("label")).FirstOrDefault(l => l.Text == name))!
                .FindElement(By.TagName("input"))
                .SendKeys(Keys.Space);
        }

        screen.Button("Start the dozen").SendKeys(Keys.Enter);
        screen.SeeText("[data-testid=next]", "check weight");
        screen.See("[data-class=Shaft]").SendKeys(Keys.Enter);
        screen.SeeText("[aria-label='The scale'] h1", "Shaft 1");
        for (var shaft = 1; shaft <= 12; shaft++)
        {
            screen.See("[data-testid=put]").SendKeys(Keys.Enter);
            screen.Until(d =>
                d.FindElements(By.CssSelector("[data-testid=tray] [data-filled]")).Count == shaft
                || d.FindElement(By.CssSelector("[aria-label='The scale'] h1")).Text.StartsWith("Point")
                    ? "taken"
                    : null
            );
            screen.See("[data-testid=lift]").SendKeys(Keys.Enter);
            screen.SeeText("[data-testid=live]", "0.0");
            screen.SeeText("[data-testid=live]", "stable");
        }

        screen.SeeText("[aria-label='The scale'] h1", "Point 1");
        screen.SeeText("[data-class=Shaft]", "12 of 12");
        screen.Driver.FindElement(By.CssSelector("summary")).SendKeys(Keys.Enter);
        screen
            .See("textarea")
            .SendKeys(string.Join("\n", Enumerable.Range(0, 12).Select(i => $"{199 + (i * 7 % 12 * 0.2):F1}")));
        screen.Button("Look it over").SendKeys(Keys.Enter);
        screen.SeeText("[data-testid=weights-read]", "12 weights.");
        screen.Button("Take these 12").SendKeys(Keys.Enter);
        screen.SeeText("[data-testid=next]", "match the pieces");
        screen.Restart();
        screen.Driver.Navigate().Refresh();
        screen.SeeText("[data-class=Shaft]", "12 of 12");
        screen.Button("Match the pieces").SendKeys(Keys.Enter);
        screen.See("[data-testid=match]");
        screen.Press(Keys.Control + Keys.Enter); // the foot's key matches once that page is open
        screen.See("[data-testid=match-words]");
        screen.Button("It is done").SendKeys(Keys.Enter);
        screen.Button("Build list").SendKeys(Keys.Enter);
        Cut(true);
        screen.SeeText("[data-testid=undo]", "of arrow 1");
        screen.PressOnPage(Keys.Control + "z");
        Cut(false);
        screen.SeeText("footer", "Taken back");
        screen.Button("It is done").SendKeys(Keys.Enter);
        Cut(true);
        screen.Push("Arrow 3");
        screen
            .Until(d =>
                d.FindElements(By.CssSelector("label")).FirstOrDefault(l => l.Text.StartsWith("Stays as it is"))
            )!
            .FindElement(By.TagName("input"))
            .SendKeys(Keys.Space);
        screen.SeeText("[data-arrow='3']", "locked");
        screen.Push("Match");
        screen.SeeText("[data-testid=stay]", "Arrows 1, 3 are begun or locked");
        screen.See("[data-testid=match]").SendKeys(Keys.Enter);
        screen.SeeText("[data-testid=match]", "Match the rest again");
        screen.Push("Build list");
        screen.SeeText("[data-arrow='3']", "locked");
        Cut(true);

        void Cut(bool ticked) =>
            screen.Until(d => d.FindElement(By.CssSelector("[data-tick=cut]")).Selected == ticked ? "so" : null);
    }

    /// <summary>What is typed after a class was pressed is a weight of that class.</summary>
    [Fact]
    public void A_weight_is_typed_after_the_class_is_pressed_whether_it_was_chosen_or_not()
    {
        using var screen = new Screen(demo: true);
        screen.Go("/bows/22222222-0000-4000-8000-000000000001/dozen");
        screen.SeeText("[aria-label='The scale'] h1", "Point 8");
        foreach (var (name, weight, next) in new[] { ("Point", "100.4", "Point 9"), ("Nock", "9", "Nock 2") })
        {
            screen.See($"[data-class={name}]").Click();
            new Actions(screen.Driver).SendKeys(weight + Keys.Enter).Perform();
            screen.SeeText("[aria-label='The scale'] h1", next);
        }
    }

    /// <summary>Before any arrow or dozen: the bow's own way; two that flew alike are two.</summary>
    [Fact]
    [Trait("Category", "Long")]
    public void A_bow_without_an_arrow_is_shot_through_the_chronograph()
    {
        using var screen = new Screen(demo: true);
        screen.Go("/bows/22222222-0000-4000-8000-000000000003/bow");
        screen.Push("Chronograph");
        screen.Type("arrowGrains", "410" + Keys.Enter);
        screen.Press("181" + Keys.Enter + "181" + Keys.Enter + "181" + Keys.Enter);
        screen.Until(d => d.FindElements(By.CssSelector("main tbody button")).Count == 3 ? "three" : null);
        screen.SeeText("[data-testid=speed-words]", "One arrow weight");
        screen.Press("150" + Keys.Enter);
        screen.SeeText("[data-fault]", "Enter once more keeps it");
        screen.Press(Keys.Enter);
        screen.Until(d => d.FindElements(By.CssSelector("main tbody button")).Count == 4 ? "four" : null);
        screen.Driver.Navigate().Refresh();
        screen.See("[name=arrowGrains]");
        screen.Holds("arrowGrains", "410.0");
    }

    [Fact]
    [Trait("Category", "Long")]
    public void The_chronograph_calibrates_the_speed_of_the_bow()
    {
        using var screen = new Screen(demo: true);
        screen.Go("/bows/22222222-0000-4000-8000-000000000001/bow?way=speed");
        screen.SeeText("[data-testid=speed-words]", "No shot yet");
        foreach (var grains in new[] { "400", "600" })
        {
            screen.Retype("arrowGrains", grains);
            for (var shot = 1; shot <= 2; shot++)
            {
                screen.See("[data-testid=shoot]").SendKeys(Keys.Enter);
                var seen = shot;
                screen.Until(d =>
                    d.FindElements(By.CssSelector("main tbody tr"))
                        .Any(r => r.Text.StartsWith(grains) && r.FindElements(By.CssSelector("button")).Count == seen)
                        ? "shot"
                        : null
                );
            }
        }

        screen.SeeText("[data-testid=speed-words]", "4 shots of 2 weights");
        screen.Type("speed", "120" + Keys.Enter);
        screen.SeeText("[role=alert]", "120.0 ft/s is far from the");
        screen.SeeText("[data-testid=speed-words]", "4 shots of 2 weights");
        screen.Button("No, leave it").SendKeys(Keys.Enter);
        screen.Until(d => d.FindElements(By.CssSelector("[role=alert]")).Count == 0 ? "gone" : null);
        screen.Go("/bows/22222222-0000-4000-8000-000000000001/arrow?arrow=33333333-0000-4000-8000-000000000001");
        screen.SeeText("[data-figure=speed]", "by chronograph");
    }
}

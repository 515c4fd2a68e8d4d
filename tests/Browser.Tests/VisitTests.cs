using OpenQA.Selenium;

namespace Merganser.Browser.Tests;

/// <summary>A bow at a shop, and the plan: with the keys that people press.</summary>
public class VisitTests
{
    private const string Brindle = "/bows/22222222-0000-4000-8000-000000000001";

    [Fact]
    [Trait("Category", "Long")]
    public void A_bow_comes_in_is_worked_on_and_goes_home_with_its_card()
    {
        using var screen = new Screen(demo: true);
        screen.Go($"{Brindle}/visit");
        screen.Until(d => d.SwitchTo().ActiveElement().GetAttribute("name") == "wants" ? "there" : null);
        screen.Press("Tears left since Sunday");
        screen.Press(Keys.Enter);
        screen.SeeText("main h1", "Visit 1");
        screen.SeeText("[data-testid=done]", "Nothing yet");

        // At the bench: a move is logged, and it stands on the sheet by itself.
        screen.Go($"{Brindle}/bow");
        screen.See("[data-adjuster=restSideways]").SendKeys(Keys.Enter);
        screen.See("[data-testid=move-form] input").SendKeys(Keys.ArrowUp + Keys.ArrowUp);
        screen.See("[data-testid=log-move]").SendKeys(Keys.Enter);
        screen.Until(d => d.FindElements(By.CssSelector("[data-testid=move-form]")).Count == 0 ? "logged" : null);
        screen.Go($"{Brindle}/visit");
        screen.SeeText("main h1", "Tears left since Sunday");
        screen.SeeText("[data-testid=done]", "Rest 2 clicks");
        screen.SeeText("[data-testid=next]", "differs from how it came");
        screen.Push("Parts 0");
        screen.See("[name=text]").SendKeys("Loop cord");
        screen.See("[name=price]").SendKeys("3,25" + Keys.Enter);
        screen.SeeText("[data-testid=parts] tbody", "3.25");
        screen.See("[name=text]").SendKeys("Bench" + Keys.Tab + Keys.Backspace + "0" + Keys.Tab + Keys.Enter);
        screen.SeeText("[data-fault]", "More than 0");
        screen.Find("[data-testid=parts] tbody tr", "Bench").ShouldBeNull();

        screen.Push("Take home");
        screen.See("[name=watch]").SendKeys("Tell us if the loop creeps" + Keys.Enter);
        screen.SeeText("[data-testid=hand-over] [role=status]", "Handed over");
        screen.SeeText("[data-testid=hand-over]", "Tell us if the loop creeps");
        screen.SeeText("[data-testid=next]", "It is handed over");

        // What is printed is a file: the page stays where it is.
        var here = screen.Driver.Url;
        Downloads(screen, "deny");
        screen.Press(Keys.Control + Keys.Enter);
        screen.Settled(1000);
        Downloads(screen, "default");
        screen.Driver.Url.ShouldBe(here);
        screen.SeeText("[data-testid=next]", "It is handed over");
        screen.Restart();
        screen.Go("/visits");
        screen.SeeText("tbody", "Brindle, visit 1");
        screen.Go($"{Brindle}/story");
        screen.SeeText("[data-testid=story]", "Visit 1: it was handed over");
    }

    [Fact]
    [Trait("Category", "Long")]
    public void A_reminder_is_planned_ticked_off_where_it_is_due_and_put_back()
    {
        using var screen = new Screen(demo: true);
        screen.Go("/plan?show=add");
        screen.Push("After shots");
        screen.See("[name=text]").SendKeys("Wax the string");
        screen.See("[name=shots]").SendKeys("6" + Keys.Enter);
        screen.Until(d =>
            d.FindElements(By.CssSelector("[data-fault]")).Any(f => f.Text.Contains("whose shots")) ? "said" : null
        );
        new OpenQA.Selenium.Support.UI.SelectElement(screen.See("[name=bow]")).SelectByText("Tansel");
        screen.Push("Put it on the plan");
        screen.SeeText("[data-testid=plan]", "in 6 shots");

        screen.Go("/range-day");
        screen.See("[aria-label='An end, 6, of Tansel']").Click();
        screen.PressOnPage(Keys.Enter);
        screen.See("[data-testid=rack] li");
        screen.Go("/bows/22222222-0000-4000-8000-000000000003/story?show=due");
        screen.See("[aria-label='It is done: Wax the string']").Click();
        screen.SeeText("[data-testid=story]", "Done as planned: Wax the string");

        screen.Go("/plan");
        screen.Push("done or dropped lately");
        screen.See("[aria-label='Back on the plan: Wax the string']").Click();
        screen.SeeText("[data-testid=plan]", "Wax the string");
    }

    [Fact]
    [Trait("Category", "Long")]
    public async Task A_bow_is_handed_out_as_a_file_and_taken_in_on_another_bench()
    {
        using var from = new Screen(demo: true);
        using var http = new HttpClient { BaseAddress = new Uri(from.Url) };
        var file = Path.Combine(Path.GetTempPath(), $"{Guid.NewGuid():N}.json");
        try
        {
            await File.WriteAllTextAsync(
                file,
                await http.GetStringAsync("/api/bows/22222222-0000-4000-8000-000000000006/export.json")
            );
            using var screen = new Screen(demo: false);
            screen.Go("/copies");
            screen.See("input[type=file]").SendKeys(file);
            screen.SeeText("[data-testid=taken-in]", "Nothing is changed yet");
            screen.SeeText("[data-testid=taken-in] tbody", "bow: Whimbrel");
            screen.Push("Take it in");
            screen.SeeText("[data-testid=taken-in]", "It is taken in");
            screen.Go("/");
            screen.SeeText("[data-testid=rack]", "Whimbrel");
            await File.WriteAllTextAsync(file, "no bench at all");
            screen.Go("/copies");
            screen.See("input[type=file]").SendKeys(file);
            screen.SeeText("[role=alert]", "does not hold together");
        }
        finally
        {
            File.Delete(file);
        }
    }

    private static void Downloads(Screen screen, string behavior) =>
        screen.Driver.ExecuteCdpCommand(
            "Browser.setDownloadBehavior",
            new Dictionary<string, object?> { ["behavior"] = behavior }
        );
}

using OpenQA.Selenium;
using OpenQA.Selenium.Interactions;

namespace Merganser.Browser.Tests;

/// <summary>An arrow is found in the catalogue, kept, followed to its honest range, and its tape is printed.</summary>
public class FinderTests
{
    private const string Finder = States.Arrow + "&way=finder";
    private const string Done = "[data-testid=progress][data-state=done]";

    private static string Foot(Screen screen) => screen.See("footer").Text;

    [Fact]
    public async Task An_arrow_is_found_kept_flown_and_its_tape_is_printed()
    {
        using var screen = new Screen(demo: true);
        screen.Go(States.Arrow);
        screen.Push("Compare, charts, files");
        screen.Push("Finder");
        screen.See("[data-rank='1']");
        screen.Push("Mine only");
        screen.See(Done);

        // A wanted end is typed as people do: what stood there is selected.
        screen.See("[aria-label='Weight to']").Click();
        screen.Press("440" + Keys.Tab);
        screen.SeeText("[data-testid=found]", "Ranked");
        screen.Until(_ => screen.Find("[data-rank='2']"));

        // Numbers choose, the foot says what is opened.
        screen.PressOnPage("2");
        screen.Until(_ => Foot(screen).Contains("Put number 2 on the bench") ? "so" : null);
        var name = screen.See("[data-rank='2'] b + span b").Text.Split(',')[0];
        screen.Push("Open number 2");
        screen.SeeText("main", name);
        screen.Push("Keep this arrow");
        screen.Until(_ => Foot(screen).Contains("is kept") ? "so" : null);

        // Its range, and two marks of one's own.
        screen.Push("Compare, charts, files");
        screen.Push("Range");
        screen.SeeText("[data-testid=honest]", "Honest to");
        screen.Push("Sight marks");
        screen.Type("distance", "20" + Keys.Enter);
        screen.Press("1.25" + Keys.Enter);
        screen.SeeText("h1", "One mark of your own");
        screen.Press("60" + Keys.Enter);
        screen.Press("2.05" + Keys.Enter);
        screen.SeeText("h1", "2 marks of your own");
        var tape = screen.Until(_ => screen.Find("a", "Sight tape")).GetAttribute("href")!;
        using var http = new HttpClient();
        var printed = await http.GetByteArrayAsync(tape);
        System.Text.Encoding.ASCII.GetString(printed, 0, 5).ShouldBe("%PDF-");
    }

    [Fact]
    [Trait("Category", "Long")]
    public void Ranges_are_dragged_keyed_and_typed_a_dot_is_pressed_and_the_wish_stays()
    {
        using var screen = new Screen(demo: true);
        screen.Go(Finder);
        screen.See("[data-rank='1']");

        // Esc ends a long search; what was found stays and can be gone on with. Where one came to its end before the
        // key, another is begun.
        screen.Until(_ =>
        {
            var state = screen.Find("[data-testid=progress]")?.GetAttribute("data-state");
            if (state == "done")
            {
                screen.Find("[role=slider][aria-label='Speed, from']")?.SendKeys(Keys.ArrowRight);
            }
            else if (screen.Find("[data-rank='1']") is not null)
            {
                screen.Press(Keys.Escape);
            }

            return state == "stopped" ? "ended" : null;
        });
        screen.SeeText("[data-testid=found]", "Ranked so far");
        screen.Push("Mine only");
        screen.See(Done);

        // A handle by keys, then by the mouse; at the end of its scale it is open.
        var speed = screen.See("[role=slider][aria-label='Speed, from']");
        var from = int.Parse(speed.GetAttribute("aria-valuenow")!);
        speed.SendKeys(Keys.ArrowRight + Keys.ArrowRight);
        screen.Until(_ => Value("Speed from") == $"{from + 2}" ? "so" : null);
        new Actions(screen.Driver)
            .MoveToElement(screen.See("[role=slider][aria-label='Speed, from']"))
            .ClickAndHold()
            .MoveByOffset(-140, 0)
            .Release()
            .Perform();
        screen.Until(_ => Value("Speed from") == "" ? "so" : null);

        // Nonsense stays where it was typed, and says so; leaving it open mends it.
        screen.See("[aria-label='Weight from']").SendKeys(Keys.Control + "a" + Keys.Null + "heavy");
        screen.SeeText("[data-fault]", "heavy");
        Value("Weight from").ShouldBe("heavy");
        screen.Push("Leave it open");
        screen.Until(_ => Value("Weight from") == "" ? "so" : null);

        // Nothing fits: what would have to give is given with one press.
        screen.See("[aria-label='Speed from']").SendKeys(Keys.Control + "a" + Keys.Null + "420");
        screen.Push("Widen it so far");
        screen.See("[data-rank='1']");

        // Along the edge by keys; a dot opens over the list.
        screen.See("[aria-label='Along the edge']").SendKeys(Keys.ArrowRight);
        screen.SeeText("[data-testid=pressed]", "Kinetic energy");
        screen.Until(_ => Foot(screen).Contains("Put the pressed build on the bench") ? "so" : null);
        screen.Push("Back to the list");

        // What is wanted stays through a reload.
        var wanted = Value("Speed from");
        screen.Driver.Navigate().Refresh();
        screen.Until(_ => Value("Speed from") == wanted ? "so" : null);

        string Value(string label) =>
            (string)
                ((IJavaScriptExecutor)screen.Driver).ExecuteScript(
                    "return document.querySelector(`[aria-label='${arguments[0]}']`)?.value ?? 'none'",
                    label
                )!;
    }

    [Fact]
    [Trait("Category", "Long")]
    public void A_server_that_is_gone_leaves_what_was_found()
    {
        using var screen = new Screen(demo: true);
        screen.Go(Finder);
        screen.See("[data-rank='1']");
        screen.Kill();
        screen.Until(_ => Foot(screen).Contains("The search was lost") ? "so" : null);
        screen.See("[data-rank='1']");
        screen.StartAgain();
        screen.Push("Search again");
        screen.Push("Mine only");
        screen.See(Done);
    }
}

using System.Text.Json.Nodes;
using OpenQA.Selenium;

namespace Merganser.Browser.Tests;

/// <summary>
/// An empty bench and a pair of hands: everything by keys, as a stranger would, nothing cleared or set by a script.
/// </summary>
public class HandsTests
{
    private const string Compound = "/bows/22222222-0000-4000-8000-000000000001";

    [Fact]
    [Trait("Category", "Long")]
    public void Two_bows_entered_one_after_the_other_are_two_and_no_archer_is_renamed()
    {
        using var screen = new Screen(demo: false);
        screen.Go("/bows/new");
        EnterBow(screen, "First archer", "Bow three", () => { });
        screen.Go("/");
        screen.Push("Enter another bow");
        screen.See("[name=archer]");
        screen.Value("name").ShouldBe("", "the draft of the last bow died with its keeping");
        screen
            .Driver.FindElements(By.Name("archerName"))
            .ShouldBeEmpty("an archer who is known is not edited beside a new bow");
        screen.Pick("archer", "Another archer");
        EnterBow(screen, "Second archer", "Bow four", () => screen.Pick("hand", "Left-handed"));
        var bows = Rack(screen);
        bows.Select(b => ((string)b!["name"]!, (string)b["archerName"]!))
            .ShouldBe([("Bow three", "First archer"), ("Bow four", "Second archer")]);
        Get(screen, "/api/archers").AsArray().Select(a => (string)a!["archer"]!["hand"]!).ShouldBe(["right", "left"]);
    }

    [Fact]
    public void A_refused_bow_names_its_fields_has_the_first_in_hand_and_leaves_nothing_behind()
    {
        using var screen = new Screen(demo: false);
        screen.Go("/bows/new");
        screen.Type("archerName", "Own archer");
        screen.Type("drawLength", "14");
        screen.Push("Keep this bow");
        screen.SeeText("[data-testid=next]", "draw length");
        screen.Until(d => d.SwitchTo().ActiveElement().GetAttribute("name") == "name" ? "in hand" : null);
        Get(screen, "/api/archers").AsArray().ShouldBeEmpty();
        screen.Value("drawLength").ShouldBe("14");

        // From the last field in sight Enter goes to what is next; those that are folded away are passed over.
        screen.See("[name=braceHeight]").SendKeys(Keys.Enter);
        screen.Until(d => d.SwitchTo().ActiveElement().GetAttribute("data-go") is not null ? "in hand" : null);
    }

    [Fact]
    public void Nine_and_nine_and_nine_grains_are_three_nocks()
    {
        using var screen = new Screen(demo: true);
        screen.Go(Compound + "/dozen?way=weigh&class=Nock");
        screen.See("[name=weight]");
        var before = screen.Driver.FindElements(By.CssSelector("[data-testid=tray] [data-filled]")).Count;
        screen.Press("9" + Keys.Enter + "9" + Keys.Enter + "9" + Keys.Enter);
        screen.Until(d =>
            d.FindElements(By.CssSelector("[data-testid=tray] [data-filled]")).Count == before + 3 ? "three" : null
        );
        screen.SeeText("[data-testid=weight-taken]", "taken: Nock");
        screen
            .Driver.FindElements(By.CssSelector("[data-testid=tray] [data-filled] b"))
            .TakeLast(3)
            .Select(b => b.Text)
            .ShouldAllBe(grains => grains == "9.0");
        screen.Value("weight").ShouldBe("");
        screen.Driver.SwitchTo().ActiveElement().GetAttribute("name").ShouldBe("weight");
    }

    [Fact]
    [Trait("Category", "Long")]
    public void Four_shots_through_the_chronograph_are_four_and_a_slip_is_given_back()
    {
        using var screen = new Screen(demo: true);
        screen.Go(Compound + "/bow?way=speed");
        screen.Type("arrowGrains", "400" + Keys.Enter);
        screen.Until(d => d.SwitchTo().ActiveElement().GetAttribute("name") == "speed" ? "in hand" : null);
        screen.Press("270" + Keys.Enter + "270" + Keys.Enter + "272" + Keys.Enter + "272" + Keys.Enter);
        screen.Until(d => d.FindElements(By.CssSelector("main tbody button")).Count == 4 ? "four" : null);
        screen.Press("2722" + Keys.Enter);
        screen.SeeText("[data-fault]", "50 to 500");
        screen.Press("271");
        screen.Value("speed").ShouldBe("271", "what comes next takes the place of the slip");
    }

    [Fact]
    [Trait("Category", "Long")]
    public void Heads_and_shots_away_are_taken_one_after_the_other()
    {
        using var screen = new Screen(demo: true);
        screen.Go("/bows/22222222-0000-4000-8000-000000000002/dozen?way=heads");
        screen.See("[name=head]");
        screen.Press("100.1" + Keys.Enter + "100.1" + Keys.Enter);
        screen.Until(d => d.FindElements(By.CssSelector("[data-testid=heads] ol li")).Count == 2 ? "two" : null);
        screen.Go(Compound + "/bow?way=string");
        screen.Type("shots", "6" + Keys.Enter + "6" + Keys.Enter);
        screen.Until(d =>
            d.FindElements(By.CssSelector("main ol li")).Count(l => l.Text.StartsWith("6 shots")) == 2 ? "two" : null
        );
    }

    [Fact]
    public void The_focus_is_never_lost()
    {
        using var screen = new Screen(demo: true);
        screen.Go("/");
        screen.See("[data-testid=rack] h2");
        InHand(screen, "after opening");
        screen.Go(Compound + "/paper");
        screen.See("[data-testid=advice]");
        screen.Press("m");
        screen.Until(d =>
            d.SwitchTo().ActiveElement().GetAttribute("name") == "adjuster" ? "the move's own field" : null
        );
        screen.Press(Keys.Escape);
        screen.See("[data-testid=advice]");
        InHand(screen, "after Esc");
        screen.Press("n");
        MarkByKeys(screen);
        screen.See("[data-testid=advice]");
        InHand(screen, "after a kept shot");
        screen.Press("b");
        screen.See("[data-testid=check]");
        InHand(screen, "after going to another stop");
        screen.Press("1");
        screen.SeeText("[data-testid=next]", "Go on");
        InHand(screen, "after a kept check");
        screen.Driver.Navigate().Back();
        screen.See("[data-testid=advice]");
        InHand(screen, "after going back");
    }

    [Fact]
    [Trait("Category", "Long")]
    public void Checks_go_on_by_Enter_and_a_stray_digit_records_nothing()
    {
        using var screen = new Screen(demo: true);
        screen.Go("/bows/22222222-0000-4000-8000-000000000004/bow?check=braceHeight");
        screen.See("[name=check-braceHeight]");
        screen.Until(d => d.SwitchTo().ActiveElement().GetAttribute("name") == "check-braceHeight" ? "in hand" : null);
        screen.Press("7 1/4" + Keys.Enter);
        screen.SeeText("[data-testid=next]", "Go on: tiller");
        screen.Press(Keys.Enter);
        screen.SeeText("[data-testid=check] h1", "Tiller");
        screen.See("[data-check=nockFit]").Click();
        screen.See("[data-choice=free]");
        screen.See("[data-adjuster]").SendKeys("1");
        screen.Settled();
        screen
            .Driver.FindElements(By.CssSelector("[data-verdict]"))
            .ShouldBeEmpty("the list of answers did not have the focus");
        screen.See("[data-choices]").SendKeys("1");
        screen.SeeText("[data-verdict] h2", "Turns free");
    }

    [Fact]
    [Trait("Category", "Long")]
    public void Esc_closes_what_is_open_everywhere()
    {
        using var screen = new Screen(demo: true);
        (string Path, string First, string Press, string Opened)[] layers =
        [
            (
                Compound + "/bow?check=peep",
                "[data-testid=check]",
                "Leave it with a reason",
                "[aria-label='Reason for leaving this check']"
            ),
            (Compound + "/paper", "[data-testid=advice]", "New paper", "[aria-label='A new paper']"),
            (Compound + "/paper", "[data-testid=advice]", "Ladder", "[data-testid=ladder]"),
            (Compound + "/paper", "[data-testid=advice]", "Mark a shot", "[data-testid=marking-sheet]"),
            (States.Arrow, "[data-tries]", "Ask for a value", "[name=wantedValue]"),
            ("/catalogue", "main tbody tr", "Add one", "[aria-label='The part']"),
            ("/catalogue", "main tbody tr", "Import CSV", "[aria-label=Import]"),
        ];
        foreach (var (path, first, press, opened) in layers)
        {
            screen.Go(path);
            screen.See(first);
            screen.Push(press);
            screen.See(opened);
            screen.Press(Keys.Escape);
            screen.Until(d => d.FindElements(By.CssSelector(opened)).Count == 0 ? "closed" : null);
            InHand(screen, press);
        }
    }

    [Fact]
    [Trait("Category", "Long")]
    public void Undo_takes_back_the_newest_act_and_names_it()
    {
        using var screen = new Screen(demo: true);
        screen.Go(Compound + "/paper");
        screen.See("[data-testid=advice]");
        screen.Press("n");
        MarkByKeys(screen);
        screen.SeeText("[data-testid=undo]", "Undo: shot");
        screen.Press("m");
        screen.See("[data-testid=move-words]");
        screen.Pick("adjuster", "Rest up/down");
        screen.See("[data-testid=move-to]");
        screen.Push("−");
        screen.Push("Log this move");
        screen.SeeText("[data-testid=undo]", "Undo: Rest 1 click up");
        var shots = Shots(screen);
        screen.Press(Keys.Control + "z");
        screen.SeeText("[aria-label='How is it taken back?']", "logged wrongly, or turned back on the bow");
        Shots(screen).ShouldBe(shots, "the move is the newest act: no shot is touched");
        screen.Push("It was logged wrongly");
        screen.SeeText("footer", "Taken back: Rest 1 click up");
        Get(screen, $"/api{Compound}")["moves"]!["moves"]!.AsArray().Count(m => (bool)m!["correction"]!).ShouldBe(1);
    }

    [Fact]
    [Trait("Category", "Long")]
    public void A_shot_on_an_accepted_paper_says_that_it_opens_it_again()
    {
        using var screen = new Screen(demo: true);
        screen.Go(Compound + "/paper");
        screen.See("[data-testid=advice]");
        screen.See("[data-testid=accept]").Click();
        screen.SeeText("[data-testid=next]", "Accepted");
        screen.Push("Shoot more: opens it again");
        MarkByKeys(screen);
        screen.SeeText("main [role=status]", "Open again");
    }

    [Fact]
    [Trait("Category", "Long")]
    public void A_cracked_limb_is_on_every_stop_until_it_is_repaired_by_somebody()
    {
        using var screen = new Screen(demo: true);
        screen.Go(Compound + "/bow?check=inspection");
        screen.See("[data-choice=damaged]").Click();
        screen.SeeText("[data-verdict]", "Do not draw it");
        foreach (var stop in new[] { "bow", "bow?way=measures", "arrow", "dozen", "paper", "groups", "story" })
        {
            screen.Go($"{Compound}/{stop}");
            screen.SeeText("[data-testid=next]", "Do not shoot this bow");
            screen.SeeText("header", "do not shoot it");
        }

        screen.Go("/");
        screen.SeeText("[data-testid=rack]", "Do not shoot it. Found cracked, frayed or worn");
        screen.Push("To the inspection");
        screen.Type("repairedBy", "the island shop" + Keys.Enter);
        screen.SeeText("[data-verdict] h2", "Repaired by the island shop");
        screen.Go("/");
        screen.Until(d => d.FindElements(By.CssSelector("[data-testid=rack] [role=note]")).Count == 0 ? "sound" : null);
    }

    private static void EnterBow(Screen screen, string archer, string name, Action more)
    {
        screen.Type("archerName", archer);
        screen.Type("name", name);
        more();
        screen.Type("measuredWeight", "52");
        screen.Type("drawLength", "28");
        screen.Type("braceHeight", "6 1/2");
        screen.Push("Keep this bow");
        screen.SeeText("[data-testid=next]", "The bow is measured");
    }

    /// <summary>Point in the middle, tail a step above it, kept: the sheet has the focus by itself.</summary>
    private static void MarkByKeys(Screen screen)
    {
        screen.See("[data-testid=marking-sheet]");
        screen.Until(d => d.SwitchTo().ActiveElement().TagName == "svg" ? "the sheet" : null);
        screen.Press(Keys.Enter);
        screen.Press(Keys.ArrowUp);
        screen.Press(Keys.Enter);
        screen.Press(Keys.Enter);
    }

    private static void InHand(Screen screen, string when) =>
        screen
            .Until(d =>
                (bool)screen.Driver.ExecuteScript("return document.activeElement !== document.body")! ? "in hand" : null
            )
            .ShouldNotBeNull(when);

    private static int Shots(Screen screen) =>
        Get(screen, $"/api{Compound}/papers/newest")["paper"]!["sets"]!
            .AsArray()
            .Sum(s => s!["shots"]!.AsArray().Count(h => h!["voidReason"] is null));

    private static JsonArray Rack(Screen screen) => Get(screen, "/api/rack")["bows"]!.AsArray();

    private static JsonNode Get(Screen screen, string path)
    {
        using var http = new HttpClient();
        return JsonNode.Parse(http.GetStringAsync(screen.Url + path).Result)!;
    }
}

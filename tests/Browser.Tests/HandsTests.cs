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
    public void Two_bows_entered_one_after_the_other_are_two_and_no_archer_is_renamed()
    {
        using var bench = new Bench(demo: false);
        bench.Go("/bows/new");
        EnterBow(bench, "First archer", "Bow three", () => { });
        bench.Go("/");
        bench.Button("Enter another bow").Click();
        bench.See("[name=archer]");
        bench.Value("name").ShouldBe("", "the draft of the last bow died with its keeping");
        bench
            .Driver.FindElements(By.Name("archerName"))
            .ShouldBeEmpty("an archer who is known is not edited beside a new bow");
        bench.Pick("archer", "Another archer");
        EnterBow(bench, "Second archer", "Bow four", () => bench.Pick("hand", "Left-handed"));
        var bows = Rack(bench);
        bows.Select(b => ((string)b!["name"]!, (string)b["archerName"]!))
            .ShouldBe([("Bow three", "First archer"), ("Bow four", "Second archer")]);
        Get(bench, "/api/archers").AsArray().Select(a => (string)a!["archer"]!["hand"]!).ShouldBe(["right", "left"]);
    }

    [Fact]
    public void A_refused_bow_names_its_fields_has_the_first_in_hand_and_leaves_nothing_behind()
    {
        using var bench = new Bench(demo: false);
        bench.Go("/bows/new");
        bench.Type("archerName", "Own archer");
        bench.Type("drawLength", "14");
        bench.Button("Keep this bow").Click();
        bench.SeeText(".foot .say", "draw length");
        bench.Until(d => d.SwitchTo().ActiveElement().GetAttribute("name") == "name" ? "in hand" : null);
        Get(bench, "/api/archers").AsArray().ShouldBeEmpty();
        bench.Value("drawLength").ShouldBe("14");
    }

    [Fact]
    public void Nine_and_nine_and_nine_grains_are_three_nocks()
    {
        using var bench = new Bench(demo: true);
        bench.Go(Compound + "/dozen?way=weigh&class=Nock");
        bench.See("[name=weight]");
        var before = bench.Driver.FindElements(By.CssSelector(".tray li.filled")).Count;
        bench.Press("9" + Keys.Enter + "9" + Keys.Enter + "9" + Keys.Enter);
        bench.Until(d => d.FindElements(By.CssSelector(".tray li.filled")).Count == before + 3 ? "three" : null);
        bench.SeeText("[data-testid=weight-taken]", "taken: Nock");
        bench
            .Driver.FindElements(By.CssSelector(".tray li.filled b"))
            .TakeLast(3)
            .Select(b => b.Text)
            .ShouldAllBe(grains => grains == "9.0");
        bench.Value("weight").ShouldBe("");
        bench.Driver.SwitchTo().ActiveElement().GetAttribute("name").ShouldBe("weight");
    }

    [Fact]
    public void Four_shots_through_the_chronograph_are_four_and_a_slip_is_given_back()
    {
        using var bench = new Bench(demo: true);
        bench.Go(Compound + "/dozen?way=speed");
        bench.See("[name=speed]");
        bench.Until(d => d.SwitchTo().ActiveElement().GetAttribute("name") == "speed" ? "in hand" : null);
        bench.Press("270" + Keys.Enter + "270" + Keys.Enter + "272" + Keys.Enter + "272" + Keys.Enter);
        bench.Until(d => d.FindElements(By.CssSelector(".cants tbody .plain")).Count == 4 ? "four" : null);
        bench.Press("2722" + Keys.Enter);
        bench.SeeText(".field.wrong .fault", "50 to 500");
        bench.Press("271");
        bench.Value("speed").ShouldBe("271", "what comes next takes the place of the slip");
    }

    [Fact]
    public void Heads_and_shots_away_are_taken_one_after_the_other()
    {
        using var bench = new Bench(demo: true);
        bench.Go("/bows/22222222-0000-4000-8000-000000000002/dozen?way=heads");
        bench.See("[name=head]");
        bench.Press("100.1" + Keys.Enter + "100.1" + Keys.Enter);
        bench.Until(d => d.FindElements(By.CssSelector(".tray-pane .tray li")).Count == 2 ? "two" : null);
        bench.Go(Compound + "/bow?way=string");
        bench.Type("shots", "6" + Keys.Enter + "6" + Keys.Enter);
        bench.Until(d =>
            d.FindElements(By.CssSelector(".moves li")).Count(l => l.Text.StartsWith("6 shots")) == 2 ? "two" : null
        );
    }

    [Fact]
    public void The_focus_is_never_lost()
    {
        using var bench = new Bench(demo: true);
        bench.Go("/");
        bench.See(".rack h2");
        InHand(bench, "after opening");
        bench.Go(Compound + "/paper");
        bench.See(".move-box");
        bench.Press("m");
        bench.Until(d =>
            d.SwitchTo().ActiveElement().GetAttribute("name") == "adjuster" ? "the move's own field" : null
        );
        bench.Press(Keys.Escape);
        bench.See(".move-box");
        InHand(bench, "after Esc");
        bench.Press("n");
        MarkByKeys(bench);
        bench.See(".move-box");
        InHand(bench, "after a kept shot");
        bench.Press("b");
        bench.See(".check-pane");
        InHand(bench, "after going to another stop");
        bench.Press("1");
        bench.SeeText(".foot .say", "Go on");
        InHand(bench, "after a kept check");
        bench.Driver.Navigate().Back();
        bench.See(".move-box");
        InHand(bench, "after going back");
    }

    [Fact]
    public void Checks_go_on_by_Enter_and_a_stray_digit_records_nothing()
    {
        using var bench = new Bench(demo: true);
        bench.Go("/bows/22222222-0000-4000-8000-000000000004/bow?check=braceHeight");
        bench.See("[name=check-braceHeight]");
        bench.Until(d => d.SwitchTo().ActiveElement().GetAttribute("name") == "check-braceHeight" ? "in hand" : null);
        bench.Press("7 1/4" + Keys.Enter);
        bench.SeeText(".foot .say", "Go on: tiller");
        bench.Press(Keys.Enter);
        bench.SeeText(".check-pane h1", "Tiller");
        bench.See("[data-check=nockFit]").Click();
        bench.See("[data-choice=free]");
        bench.See("[data-adjuster]").SendKeys("1");
        bench.Settled();
        bench
            .Driver.FindElements(By.CssSelector(".verdict"))
            .ShouldBeEmpty("the list of answers did not have the focus");
        bench.See(".check-entry .choices").SendKeys("1");
        bench.SeeText(".verdict h2", "Turns free");
    }

    [Fact]
    public void Esc_closes_what_is_open_everywhere()
    {
        using var bench = new Bench(demo: true);
        (string Path, string First, string Press, string Opened)[] layers =
        [
            (
                Compound + "/bow?check=peep",
                ".check-pane",
                "Leave it with a reason",
                "[aria-label='Reason for leaving this check']"
            ),
            (Compound + "/paper", ".move-box", "New paper", ".plan"),
            (Compound + "/paper", ".move-box", "Ladder", ".ladder"),
            (Compound + "/paper", ".move-box", "Mark a shot", "[data-testid=marking-sheet]"),
            (Views.Arrow, ".tries", "Ask for a value", ".ask"),
            ("/catalogue", ".catalogue-grid tbody tr", "Add one", ".component-form"),
            ("/catalogue", ".catalogue-grid tbody tr", "Import CSV", ".import-panel"),
        ];
        foreach (var (path, first, press, opened) in layers)
        {
            bench.Go(path);
            bench.See(first);
            bench.Button(press).Click();
            bench.See(opened);
            bench.Press(Keys.Escape);
            bench.Until(d => d.FindElements(By.CssSelector(opened)).Count == 0 ? "closed" : null);
            InHand(bench, press);
        }
    }

    [Fact]
    public void Undo_takes_back_the_newest_act_and_names_it()
    {
        using var bench = new Bench(demo: true);
        bench.Go(Compound + "/paper");
        bench.See(".move-box");
        bench.Press("n");
        MarkByKeys(bench);
        bench.SeeText("[data-testid=undo]", "Undo: shot");
        bench.Press("m");
        bench.See("[data-testid=move-to]");
        bench.Pick("adjuster", "Rest up/down");
        bench.Button("−").Click();
        bench.Button("Log this move").Click();
        bench.SeeText("[data-testid=undo]", "Undo: Rest 1 click up");
        var shots = Shots(bench);
        bench.Press(Keys.Control + "z");
        bench.SeeText(".taking", "logged wrongly, or turned back on the bow");
        Shots(bench).ShouldBe(shots, "the move is the newest act: no shot is touched");
        bench.Button("It was logged wrongly").Click();
        bench.SeeText(".foot", "Taken back: Rest 1 click up");
        Get(bench, $"/api{Compound}")["moves"]!.AsArray().Count(m => (bool)m!["correction"]!).ShouldBe(1);
    }

    [Fact]
    public void A_shot_on_an_accepted_paper_says_that_it_opens_it_again()
    {
        using var bench = new Bench(demo: true);
        bench.Go(Compound + "/paper");
        bench.See(".move-box");
        bench.See("[data-testid=accept]").Click();
        bench.SeeText(".foot .say", "Accepted");
        bench.Button("Shoot more: opens it again").Click();
        MarkByKeys(bench);
        bench.SeeText(".ways-pane .caution", "Open again");
    }

    [Fact]
    public void A_cracked_limb_is_on_every_stop_until_it_is_repaired_by_somebody()
    {
        using var bench = new Bench(demo: true);
        bench.Go(Compound + "/bow?check=inspection");
        bench.See("[data-choice=damaged]").Click();
        bench.SeeText(".verdict", "Do not draw it");
        foreach (var stop in new[] { "bow", "bow?way=measures", "arrow", "dozen", "paper", "groups", "story" })
        {
            bench.Go($"{Compound}/{stop}");
            bench.SeeText(".foot .say", "Do not shoot this bow");
            bench.SeeText(".clamp", "do not shoot it");
        }

        bench.Go("/");
        bench.SeeText(".rack", "Do not shoot it. Found cracked, frayed or worn");
        bench.Button("To the inspection").Click();
        bench.Type("repairedBy", "the island shop" + Keys.Enter);
        bench.SeeText(".verdict h2", "Repaired by the island shop");
        bench.Go("/");
        bench.Until(d => d.FindElements(By.CssSelector(".rack .state.caution")).Count == 0 ? "sound" : null);
    }

    private static void EnterBow(Bench bench, string archer, string name, Action more)
    {
        bench.Type("archerName", archer);
        bench.Type("name", name);
        more();
        bench.Type("measuredWeight", "52");
        bench.Type("drawLength", "28");
        bench.Type("braceHeight", "6 1/2");
        bench.Button("Keep this bow").Click();
        bench.SeeText(".foot .say", "The bow is measured");
    }

    /// <summary>Point in the middle, tail a step above it, kept: the sheet has the focus by itself.</summary>
    private static void MarkByKeys(Bench bench)
    {
        bench.See("[data-testid=marking-sheet]");
        bench.Until(d => d.SwitchTo().ActiveElement().TagName == "svg" ? "the sheet" : null);
        bench.Press(Keys.Enter);
        bench.Press(Keys.ArrowUp);
        bench.Press(Keys.Enter);
        bench.Press(Keys.Enter);
    }

    private static void InHand(Bench bench, string when) =>
        bench
            .Until(d =>
                (bool)bench.Driver.ExecuteScript("return document.activeElement !== document.body")! ? "in hand" : null
            )
            .ShouldNotBeNull(when);

    private static int Shots(Bench bench) =>
        Get(bench, $"/api{Compound}/papers?newest=1")[0]!["sets"]!
            .AsArray()
            .Sum(s => s!["shots"]!.AsArray().Count(h => h!["voidReason"] is null));

    private static JsonArray Rack(Bench bench) => Get(bench, "/api/rack")["bows"]!.AsArray();

    private static JsonNode Get(Bench bench, string path)
    {
        using var http = new HttpClient();
        return JsonNode.Parse(http.GetStringAsync(bench.Url + path).Result)!;
    }
}

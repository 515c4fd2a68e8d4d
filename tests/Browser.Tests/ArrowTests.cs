using System.Net.Http.Json;
using System.Text.Json.Nodes;
using OpenQA.Selenium;
using OpenQA.Selenium.Interactions;

namespace Merganser.Browser.Tests;

/// <summary>
/// The arrow bench: build by pointing, ask for a value, undo, compare, drag on the chart, a catalogue from outside.
/// </summary>
public class ArrowTests
{
    private const string Arrow =
        "/bows/22222222-0000-4000-8000-000000000001/arrow?arrow=33333333-0000-4000-8000-000000000001";

    [Fact]
    public void Build_ask_undo_and_compare()
    {
        using var screen = new Screen(demo: true);
        screen.Go(Arrow);
        var point = screen.See("path[data-part=shaft]");
        new Actions(screen.Driver).MoveToElement(point).Click().Perform();
        screen.See("[data-panel=shaft]");
        screen.Pick("shaftId", "Wrackline 300");
        screen.SeeText("[data-figure=totalWeight] [data-value]", "425.8");

        screen.Push("Ask for a value");
        screen.Retype("wantedValue", "16");
        screen.Push("Ask");
        screen.SeeText("[data-testid=asked]", "gives 16.0\u2009%");
        screen.See("[data-testid=asked] ~ * button").Click();
        screen.Until(d =>
            d.FindElement(By.CssSelector("[data-figure=totalWeight] [data-value]")).Text.StartsWith("425.8")
                ? null
                : "tried"
        );
        screen.Retype("wantedValue", "0");
        screen.Push("Ask");
        screen.SeeText("[data-fault]", "farther forward");

        screen.Push("Undo");
        screen.SeeText("[data-figure=totalWeight] [data-value]", "425.8");
        screen.Push("Undo");
        screen.SeeText("[data-figure=totalWeight] [data-value]", "409.0");

        screen.Push("Compare, charts, files");
        screen.See("[role=menu]").FindElement(By.LinkText("Compare")).Click();
        screen.Until(d => d.FindElements(By.CssSelector("main table thead th")).Count == 4 ? "three" : null);
        screen.SeeText("main table", "Shaft differs");
        screen.SeeText("main table", "under 5 the bow can break");
    }

    [Fact]
    [Trait("Category", "Long")]
    public void The_dot_on_the_chart_cuts_and_fits_and_undo_takes_it_back()
    {
        using var screen = new Screen(demo: true);
        screen.Go(Arrow + "&way=chart");
        var chart = screen.See("[data-testid=spine-chart]");
        screen.SeeText("[data-testid=chart-place]", "28 1/2 in, 100 gr");
        new Actions(screen.Driver)
            .MoveToElement(chart, 100, 40)
            .ClickAndHold()
            .MoveByOffset(60, 20)
            .Release()
            .Perform();
        screen.Until(d =>
            d.FindElement(By.CssSelector("[data-testid=chart-place]")).Text.StartsWith("28 1/2 in, 100")
                ? null
                : "moved"
        );
        screen.Push("Undo");
        screen.SeeText("[data-testid=chart-place]", "28 1/2 in, 100 gr");
        chart = screen.See("[data-testid=spine-chart]");
        chart.SendKeys(Keys.ArrowRight + Keys.ArrowRight + Keys.ArrowUp);
        screen.SeeText("[data-testid=chart-place]", "28 3/4 in, 110 gr");
        chart.SendKeys(Keys.Escape);
        screen.SeeText("[data-testid=chart-place]", "28 1/2 in, 100 gr");
    }

    [Fact]
    [Trait("Category", "Long")]
    public void A_table_with_two_bad_rows_is_told_row_by_row_and_the_rest_is_written()
    {
        using var screen = new Screen(demo: true);
        var file = Path.Combine(Path.GetTempPath(), $"merganser-{Guid.NewGuid()}.csv");
        File.WriteAllText(
            file,
            "maker,name,grains,length\nOwn,Own band 3,4.1,3\nOwn,Own band 4,heavy,4\nOwn,,5,4\nOwn,Own band 5,6.2,5\n"
        );
        screen.Go("/catalogue?kind=wrap");
        screen.See("main tbody tr");
        screen.Push("Import CSV");
        screen.Driver.FindElement(By.CssSelector("input[type=file]")).SendKeys(file);
        screen.SeeText("[data-testid=import-state]", "2 of 4 rows can be written");
        screen.SeeText("[data-testid=import-problems]", "Row 3, grains");
        screen.SeeText("[data-testid=import-problems]", "Row 4, name");
        screen.Push("Write 2 parts");
        screen.SeeText("[data-testid=import-state]", "2 parts are written");
        screen.SeeText("[aria-label=Parts]", "Own band 5");
        screen.See("[data-find]").SendKeys("own band 3");
        screen.Until(d => d.FindElements(By.CssSelector("main tbody tr")).Count == 1 ? "found" : null);
        screen.See("[aria-label='Open Own band 3']").Click();
        screen.Retype("grains", "900");
        screen.Push("Keep this part");
        screen.SeeText("[aria-label='The part'] [data-fault]", "0 to 60 gr");
        screen.Retype("grains", "4,3");
        screen.Push("Try again");
        screen.SeeText("[aria-label=Parts]", "4.3");
        File.Delete(file);
    }

    /// <summary>The grid is walked, sorted and edited by keys alone; what is wrong stands beside the cell.</summary>
    [Fact]
    [Trait("Category", "Long")]
    public void The_catalogue_is_walked_and_edited_by_keys()
    {
        using var screen = new Screen(demo: true);
        screen.Go("/catalogue?kind=shaft");
        screen.See("main tbody tr");
        screen.Push("Spine");
        screen.SeeText("[data-cell='0.3']", "0.25");
        screen.Driver.ExecuteScript("document.querySelector('[data-cell=\"0.0\"]').focus()");
        foreach (
            var (key, cell) in new[] { (Keys.Down, "1.0"), (Keys.Right, "1.1"), (Keys.End, null), (Keys.Home, "1.0") }
        )
        {
            screen.Press(key);
            screen.Until(_ => cell is null || Focused().GetAttribute("data-cell") == cell ? "there" : null);
        }

        for (var column = 1; column <= 4; column++)
        {
            screen.Press(Keys.Right);
            screen.Until(_ => Focused().GetAttribute("data-cell") == $"1.{column}" ? "there" : null);
        }

        var before = Focused().Text;
        screen.Press(Keys.F2);
        screen.Press("0.3" + Keys.Enter);
        screen.SeeText("main tbody [role=alert]", "2 to 30 gr/in");
        screen.Press(Keys.Escape);
        screen.Until(_ => Focused().Text == before ? "given up" : null);
        screen.Press(Keys.F2);
        screen.Press("11,25" + Keys.Enter);
        screen.SeeText("[data-testid=undo]", "weight per length of");
        screen.Until(_ => Focused().Text == "11.25" ? "kept" : null);
        screen.Press(Keys.Control + "z");
        screen.Until(_ => Focused().Text == before ? "as it was" : null);

        IWebElement Focused() => screen.Driver.SwitchTo().ActiveElement();
    }

    /// <summary>The 501st shaft could not be picked; a shaft that was retired had no name in its own arrow.</summary>
    [Fact]
    [Trait("Category", "Long")]
    public void A_part_beyond_the_list_is_found_and_a_retired_one_is_named()
    {
        using var screen = new Screen(demo: true);
        using var http = new HttpClient { BaseAddress = new Uri(screen.Url) };
        var shafts = Enumerable
            .Range(1, 510)
            .Select(n => new
            {
                id = $"far-{n}",
                @class = "shaft",
                fields = new Dictionary<string, string>
                {
                    ["maker"] = "Farskerry",
                    ["name"] = $"Far {n}",
                    ["spine"] = "0.34",
                    ["grainsPerInch"] = "9",
                    ["outerDiameter"] = "0.246",
                    ["maxLength"] = "32",
                    ["material"] = "Carbon",
                },
            });
        Sent(http.PostAsJsonAsync("/api/catalogue/import.json", new { format = Format(http), components = shafts }));
        screen.Go("/bows/22222222-0000-4000-8000-000000000001/arrow");
        screen.See("[data-testid=arrow-drawing]");
        screen.See("path[data-part=shaft]").Click();
        screen.Pick("shaftId", "Far 510");
        screen.SeeText("main", "Far 510");
        screen.Settled(800);
        Sent(Retire(http, "far-510"));
        screen.Driver.Navigate().Refresh();
        screen.SeeText("main [role=note]", "Far 510 is out of the lists");
        screen.See("path[data-part=shaft]").Click();
        screen.Until(_ => screen.Value("shaftId").StartsWith("Far 510") ? "named" : null);
        screen.Value("shaftId").ShouldEndWith("retired");
    }

    /// <summary>A collar twice and a pin, by keys: in figures and drawing, and each a class of its dozen.</summary>
    [Fact]
    [Trait("Category", "Long")]
    public void What_stands_at_the_ends_is_added_by_keys_and_weighed_as_a_class_of_its_own()
    {
        using var screen = new Screen(demo: true);
        screen.Go("/bows/22222222-0000-4000-8000-000000000004/arrow");
        screen.See("[data-callout=more]").SendKeys(Keys.Enter);
        foreach (
            var (name, count) in new[] { ("girdle 12", "One is"), ("thole pin 7", "2 are"), ("girdle 12", "3 are") }
        )
        {
            screen.Until(d => d.SwitchTo().ActiveElement().GetAttribute("name") == "endPartIds" ? "there" : null);
            screen.Press(name);
            screen.SeeText("[role=option]", char.ToUpperInvariant(name[0]) + name[1..]);
            screen.Press(Keys.Enter);
            screen.SeeText("[data-panel=more]", count);
        }

        screen.SeeText("[data-figure=totalWeight]", "+31.0 since kept");
        screen
            .Driver.FindElements(By.CssSelector("[data-testid=arrow-drawing] path[data-part=more]"))
            .Count.ShouldBe(3);
        screen.Button("3 are in the arrow").SendKeys(Keys.Enter);
        screen.See("[aria-label^='Take out Thole']").SendKeys(Keys.Enter);
        screen.SeeText("[data-figure=totalWeight]", "+24.0 since kept");
        screen.Press(Keys.Escape);
        screen.Push("Undo");
        screen.SeeText("[data-figure=totalWeight]", "+31.0 since kept");
        screen.Push("Keep");
        screen.SeeText("main", "version 2");
        screen.Go("/bows/22222222-0000-4000-8000-000000000004/dozen");
        screen.SeeText("h1", "A new dozen");
        screen.Button("Start the dozen").SendKeys(Keys.Enter);
        foreach (var name in new[] { "Collar", "Pin", "Second collar" })
        {
            screen.See($"[data-class='{name}']");
        }

        screen.See("[data-class='Second collar']").SendKeys(Keys.Enter);
        screen.SeeText("[aria-label='The scale'] h1", "Second collar 1");
    }

    /// <summary>A shaft by what is printed on it, a length that nobody measured: bands, what is first.</summary>
    [Fact]
    [Trait("Category", "Long")]
    public void An_own_shaft_and_an_unmeasured_length_give_bands()
    {
        using var screen = new Screen(demo: true);
        screen.Go("/bows/22222222-0000-4000-8000-000000000001/arrow?arrow=33333333-0000-4000-8000-000000000001");
        screen.See("path[data-part=shaft]").Click();
        screen.See("[name=shaftId]").Click();
        screen.Press("no such thing");
        screen.SeeText("[role=option]", "Mine is not here");
        screen.Press(Keys.Enter);
        screen.See("[name=ownSpine]");
        screen.Button("Use this shaft").SendKeys(Keys.Enter);
        screen.SeeText("[role=dialog] [data-fault]", "A spine, or a tube code");
        screen.Type("ownSpine", "350");
        screen.Type("ownMaterial", Keys.Enter);
        screen.SeeText("main", "Shaft Own 350");
        screen.SeeText("[data-figure=totalWeight] [data-band]", " to ");
        screen.Push("Cut length");
        screen.Push("I don’t know it: about so long");
        screen.SeeText("[data-testid=next]", "Measure the cut length");
        screen.Push("I measured it");
        screen.Until(d =>
            d.FindElement(By.CssSelector("[data-testid=next]")).Text.Contains("Measure") ? null : "known"
        );
    }

    [Fact]
    [Trait("Category", "Long")]
    public void A_part_of_the_catalogue_goes_into_the_arrow_and_undo_takes_it_out()
    {
        using var screen = new Screen(demo: true);
        screen.Go("/bows/22222222-0000-4000-8000-000000000001/arrow?arrow=33333333-0000-4000-8000-000000000001");
        screen.SeeText("main", "Wrackline 340");
        screen.Push("Compare, charts, files");
        screen.Push("Catalogue of parts");
        screen.See("[aria-label='Use Ballast 300 in this arrow']").SendKeys(Keys.Enter);
        screen.SeeText("main", "Shaft Ballast 300");
        screen.Push("Undo");
        screen.SeeText("main", "Shaft Wrackline 340");
        screen.Driver.Navigate().Refresh();
        screen.SeeText("main", "Shaft Wrackline 340");
    }

    private static string Format(HttpClient http) =>
        (string)JsonNode.Parse(http.GetStringAsync("/api/catalogue/export.json").GetAwaiter().GetResult())!["format"]!;

    private static async Task<HttpResponseMessage> Retire(HttpClient http, string id)
    {
        var row = JsonNode.Parse(await http.GetStringAsync($"/api/catalogue/{id}"))!;
        using var request = new HttpRequestMessage(HttpMethod.Post, $"/api/catalogue/{id}/retire")
        {
            Content = JsonContent.Create(new { retired = true }),
        };
        request.Headers.TryAddWithoutValidation("If-Match", $"\"{row["version"]}\"");
        return await http.SendAsync(request);
    }

    private static void Sent(Task<HttpResponseMessage> answer) =>
        answer.GetAwaiter().GetResult().EnsureSuccessStatusCode();
}

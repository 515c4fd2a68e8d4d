using System.Net.Http.Json;
using System.Text.Json.Nodes;
using OpenQA.Selenium;

namespace Merganser.Browser.Tests;

/// <summary>A rack of many bows: rows, what is due first, found by a key and by a name.</summary>
public class RackTests
{
    [Fact]
    [Trait("Category", "Long")]
    public async Task A_long_rack_is_rows_and_a_bow_is_found_by_slash_and_its_name()
    {
        using var screen = new Screen(demo: true);
        using var http = new HttpClient { BaseAddress = new Uri(screen.Url) };
        var brindle = (await http.GetFromJsonAsync<JsonNode>("/api/bows/22222222-0000-4000-8000-000000000001"))!;
        foreach (var name in new[] { "Samphire", "Slipway", "Gorse", "Thrift" })
        {
            var entry = brindle["typed"]!.DeepClone();
            entry["name"] = name;
            var bow = new JsonObject
            {
                ["id"] = Guid.NewGuid(),
                ["archerId"] = (string)brindle["archerId"]!,
                ["entry"] = entry,
                ["adjusters"] = new JsonArray(),
            };
            (await http.PostAsJsonAsync("/api/bows", bow)).EnsureSuccessStatusCode();
        }

        screen.Go("/");
        screen.SeeText("[data-testid=rack] li:first-child", "String check at 100 shots is due");
        screen.Driver.FindElements(By.CssSelector("[data-testid=rack] li")).Count.ShouldBe(10);
        StateAudit.Found(screen).ShouldBeEmpty();
        screen.Size(390, 844);
        screen.Settled();
        StateAudit.Found(screen).ShouldBeEmpty();
        screen.Size(1280, 800);
        screen.Press("/");
        screen.Until(d => d.SwitchTo().ActiveElement().GetAttribute("placeholder") == "find a bow" ? "there" : null);
        screen.Press("slip");
        screen.Until(d => d.FindElements(By.CssSelector("[data-testid=rack] li")).Count == 1 ? "found" : null);
        screen.Button("Choose the arrow").SendKeys(Keys.Enter);
        screen.Until(d => d.Url.EndsWith("/arrow", StringComparison.Ordinal) ? "there" : null);
    }
}

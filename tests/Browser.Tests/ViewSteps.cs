using System.Text;
using System.Text.Json.Nodes;
using OpenQA.Selenium;

namespace Merganser.Browser.Tests;

/// <summary>Longer ways to a state of a view.</summary>
internal static class ViewSteps
{
    public static void Conflict(Screen screen)
    {
        screen.Retype("braceHeight", "6 5/8 in");
        var id = Views.Compound[6..];
        using var http = new HttpClient { BaseAddress = new Uri(screen.Url) };
        var bow = JsonNode.Parse(http.GetStringAsync($"/api/bows/{id}").Result)!;
        bow["typed"]!["axleToAxle"] = $"33.0{Random.Shared.Next(10, 99)}";
        var adjusters = new JsonArray([
            .. bow["adjusters"]!
                .AsArray()
                .Select(a => new JsonObject
                {
                    ["kind"] = (string)a!["kind"]!,
                    ["lower"] = (int)a["lower"]!,
                    ["upper"] = (int)a["upper"]!,
                    ["needsPress"] = (bool)a["needsPress"]!,
                }),
        ]);
        var body = new JsonObject
        {
            ["id"] = id,
            ["archerId"] = (string)bow["archerId"]!,
            ["entry"] = bow["typed"]!.DeepClone(),
            ["adjusters"] = adjusters,
        };
        using var change = new HttpRequestMessage(HttpMethod.Put, $"/api/bows/{id}")
        {
            Content = new StringContent(body.ToJsonString(), Encoding.UTF8, "application/json"),
        };
        change.Headers.TryAddWithoutValidation("If-Match", $"\"{bow["version"]}\"");
        using var answer = http.Send(change);
        answer.IsSuccessStatusCode.ShouldBeTrue(answer.Content.ReadAsStringAsync().Result);
        screen.Button("Keep this bow").Click();
        screen.See(".conflict");
    }

    public static void Import(Screen screen)
    {
        var file = Path.Combine(Directory.CreateTempSubdirectory("merganser-csv-").FullName, "wraps.csv");
        File.WriteAllText(file, "id,maker,name,weight,length\nwrap-plain-4,Own,Band 4,4.4,4\n,Own,Band 5,heavy,5\n");
        screen.Button("Import CSV").Click();
        screen.Driver.FindElement(By.CssSelector("input[type=file]")).SendKeys(file);
        screen.See(".import-changes");
    }
}

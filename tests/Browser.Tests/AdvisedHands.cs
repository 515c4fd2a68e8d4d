using System.Net.Http.Json;
using System.Text.Json.Nodes;
using OpenQA.Selenium;
using static Merganser.Browser.Tests.PaperHands;

namespace Merganser.Browser.Tests;

/// <summary>Hands that do what is advised, and a bow of their own.</summary>
internal static class AdvisedHands
{
    /// <summary>Shoots and does what is advised until that is said; answers with the shots.</summary>
    public static int Tune(
        Screen screen,
        string bow,
        Func<Dictionary<string, int>, (double X, double Y)> tear,
        string until,
        List<string>? said = null
    )
    {
        for (var shots = 0; shots < 60; shots++)
        {
            var (x, y) = tear(Positions(screen, bow));
            Type(screen, x + Stray[shots % Stray.Length].X, y + Stray[shots % Stray.Length].Y);
            screen.Settled();
            while (screen.See("[data-testid=go]").Text.Contains("I made this move"))
            {
                var advice = screen.See("[data-testid=advice]");
                said?.Add($"{advice.FindElement(By.TagName("h2")).Text} {advice.Text}");
                Make(screen, bow);
            }

            if (screen.See("[data-testid=next]").Text.Contains(until))
            {
                return shots + 1;
            }
        }

        throw new InvalidOperationException($"\"{until}\" was never said.");
    }

    /// <summary>
    /// Makes the advised move; where it leads back to a setting that was shot, another may follow at once.
    /// </summary>
    public static void Make(Screen screen, string bow)
    {
        string Stand() => string.Join(' ', Positions(screen, bow).OrderBy(p => p.Key));
        var before = Stand();
        screen.PressOnPage(Keys.Control + Keys.Enter);
        screen.Until(_ => Stand() != before ? "moved" : null);
        screen.Settled();
    }

    public static void Begin(Screen screen, string bow)
    {
        screen.Go($"/bows/{bow}/paper");
        screen.Push("Begin this paper");
        screen.SeeText("[data-testid=advice]", "Shoot one arrow");
    }

    /// <summary>Accepts the paper and begins another with the bow as it stands; answers with where that is.</summary>
    public static Dictionary<string, int> Again(Screen screen, string bow)
    {
        screen.Push("I accept this");
        screen.SeeText("[data-testid=next]", "three shots on another day");
        screen.Push("New paper");
        screen.Push("Begin this paper");
        screen.SeeText("[data-testid=advice]", "Shoot one arrow");
        return Positions(screen, bow);
    }

    /// <summary>A bow like the demo's compound, with these adjusters at their marks, and its arrow.</summary>
    public static string NewBow(
        Screen screen,
        string hand,
        bool press,
        string school,
        string[] adjusters,
        string experience = "keen"
    )
    {
        using var http = new HttpClient { BaseAddress = new Uri(screen.Url) };
        var like = JsonNode.Parse(http.GetStringAsync($"/api{States.Compound}").Result)!;
        var entry = like["typed"]!.DeepClone();
        (entry["name"], entry["hand"]) = ("Another", hand);
        var (archer, bow, arrow) = (Guid.NewGuid(), Guid.NewGuid(), Guid.NewGuid());
        var offers = JsonNode.Parse(http.GetStringAsync("/api/adjusters?kind=compound&cams=none").Result)!.AsArray();
        Post(
            http,
            "/api/archers",
            new
            {
                id = archer,
                name = "Another archer",
                hand,
                hasPress = press,
                experience,
                school,
            }
        );
        Post(
            http,
            "/api/bows",
            new
            {
                id = bow,
                archerId = archer,
                entry,
                adjusters = adjusters.Select(kind =>
                {
                    var offer = offers.Single(o => (string)o!["kind"]! == kind)!;
                    return new
                    {
                        kind,
                        lower = (int)offer["lower"]!,
                        upper = (int)offer["upper"]!,
                        needsPress = false,
                    };
                }),
            }
        );
        var draft = JsonNode.Parse(http.GetStringAsync($"/api{States.Compound}/arrows").Result)![0]!["draft"]!;
        Post(
            http,
            "/api/arrows",
            new
            {
                id = arrow,
                bowId = bow,
                draft = draft.DeepClone(),
            }
        );
        Post(http, $"/api/arrows/{arrow}/versions", new { id = Guid.NewGuid() });
        return $"{bow}";
    }

    private static void Post(HttpClient http, string path, object body)
    {
        using var answer = http.PostAsJsonAsync(path, body).Result;
        answer.IsSuccessStatusCode.ShouldBeTrue(answer.Content.ReadAsStringAsync().Result);
    }
}

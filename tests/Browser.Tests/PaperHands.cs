using System.Globalization;
using System.Text.Json.Nodes;
using OpenQA.Selenium;

namespace Merganser.Browser.Tests;

/// <summary>What hands do at a paper, and how shots stray.</summary>
internal static class PaperHands
{
    public static readonly (double X, double Y)[] Stray =
    [
        (.08, -.05),
        (-.10, .07),
        (.04, .11),
        (-.06, -.09),
        (.12, .03),
        (-.03, .06),
        (.07, -.10),
        (-.09, -.02),
        (.02, .08),
        (.05, .01),
    ];

    /// <summary>Marks a shot by its typed place.</summary>
    public static void Type(Screen screen, double x, double y)
    {
        screen.Push("Mark a shot");
        screen.Push("Type the place");
        screen.Type("right", x.ToString("F2", CultureInfo.InvariantCulture));
        screen.Type("up", y.ToString("F2", CultureInfo.InvariantCulture));
        screen.See("[name=up]").SendKeys(Keys.Enter);
        screen.Until(d => d.FindElements(By.CssSelector("[data-testid=marking-sheet]")).Count == 0 ? "kept" : null);
    }

    /// <summary>Waits until nothing of what was entered without a server waits any more.</summary>
    public static void AllSent(Screen screen) =>
        screen.Until(d => d.FindElements(By.CssSelector("[data-testid=waiting]")).Count == 0 ? "sent" : null);

    /// <summary>Where every adjuster of a bow stands.</summary>
    public static Dictionary<string, int> Positions(Screen screen, string bow)
    {
        using var http = new HttpClient();
        var view = JsonNode.Parse(http.GetStringAsync($"{screen.Url}/api/bows/{bow}").Result)!;
        return view["adjusters"]!.AsArray().ToDictionary(a => (string)a!["kind"]!, a => (int)a!["position"]!);
    }
}

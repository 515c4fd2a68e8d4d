using System.Text;
using System.Text.Json.Nodes;
using Merganser.Tests;
using OpenQA.Selenium;

namespace Merganser.Browser.Tests;

/// <summary>Ways to a state, from where it begins.</summary>
internal static class StateSteps
{
    public const string MoveForm = "[data-testid=move-form]";
    public const string Sheet = "[data-testid=marking-sheet]";

    /// <summary>Presses keys by their words, each time until what it opens is seen.</summary>
    public static Action<Screen> Press(params string[] keysAndSeen) =>
        screen =>
        {
            foreach (var step in keysAndSeen.Chunk(2))
            {
                screen.Push(step[0]);
                screen.See(step[1]);
            }
        };

    /// <summary>Presses something that has no words of its own, until what it opens is seen.</summary>
    public static Action<Screen> Click(string css, string seen) =>
        screen =>
        {
            screen.See(css).Click();
            screen.See(seen);
        };

    /// <summary>The parts that are owned alone: a search that is soon over.</summary>
    public static Action<Screen> Found(Action<Screen>? then = null) =>
        screen =>
        {
            screen.Push("Mine only");
            screen.See("[data-testid=progress][data-state=done]");
            then?.Invoke(screen);
        };

    /// <summary>A build of the picture, by keys.</summary>
    public static void Pressed(Screen screen)
    {
        screen.See("[aria-label='Along the edge']").SendKeys(Keys.ArrowRight);
        screen.See("[data-testid=pressed]");
    }

    /// <summary>Farther ahead than any, in whatever units the bench has.</summary>
    public static void NothingFits(Screen screen)
    {
        screen.See("[aria-label='FOC from']").SendKeys(Keys.Control + "a" + Keys.Null + "30");
        screen.SeeText("main", "Widen it so far");
    }

    /// <summary>No weight at all.</summary>
    public static void NoWeight(Screen screen)
    {
        screen.See("[aria-label='Weight from']").SendKeys(Keys.Control + "a" + Keys.Null + "heavy");
        screen.See("[aria-label='Weight from'][aria-invalid=true]");
    }

    /// <summary>Presses something that only some sizes show.</summary>
    public static Action<Screen> IfThere(string css, string seen) =>
        screen =>
        {
            if (screen.Find(css) is { } found)
            {
                found.Click();
                screen.See(seen);
            }
        };

    public static void OddReading(Screen screen)
    {
        screen.Retype("check-braceHeight", "9");
        screen.Press(Keys.Enter);
        screen.See("[data-testid=check] [role=alert]");
    }

    public static void Pockets(Screen screen)
    {
        screen.Unfold("[data-testid=adjusters]");
        screen.See("[data-kind=limbPocket] label").Click();
        screen.See("[data-kind=limbPocket] [role=group]");
    }

    /// <summary>First answers up to the hole: some given, some "I don't know".</summary>
    public static void FirstHole(Screen screen)
    {
        screen.Push("Right hand");
        screen.Push("60 to 70");
        screen.See("[data-asked=drawLength]");
        screen.Push("I don’t know");
        screen.See("[data-asked=spine]");
        screen.Push("340");
        screen.See("[data-asked=cutLength]");
        screen.Push("I don’t know");
        screen.See("[data-asked=point]");
        screen.Push("100");
        screen.See("[data-here]");
        screen.Push("tail left");
        screen.SeeText("[data-testid=next]", "read the hole");
    }

    public static void FirstRefused(Screen screen)
    {
        screen.Push("Right hand");
        screen.Type("drawWeight", "600");
        screen.See("[aria-invalid=true]");
    }

    public static void NoLength(Screen screen)
    {
        screen.See("[data-callout=length]").Click();
        screen.Retype("cutLength", "abc");
        screen.See("[aria-invalid=true]");
    }

    public static void Conflict(Screen screen)
    {
        screen.Retype("braceHeight", "6 5/8 in");
        var id = States.Compound[6..];
        using var http = new HttpClient { BaseAddress = new Uri(screen.Url) };
        var bow = JsonNode.Parse(http.GetStringAsync($"/api/bows/{id}").Result)!;
        bow["typed"]!["axleToAxle"] = $"33.0{Random.Shared.Next(10, 99)}";
        var body = new JsonObject
        {
            ["id"] = id,
            ["archerId"] = (string)bow["archerId"]!,
            ["entry"] = bow["typed"]!.DeepClone(),
            ["adjusters"] = BowJson.Limits(bow),
        };
        using var change = new HttpRequestMessage(HttpMethod.Put, $"/api/bows/{id}")
        {
            Content = new StringContent(body.ToJsonString(), Encoding.UTF8, "application/json"),
        };
        change.Headers.TryAddWithoutValidation("If-Match", $"\"{bow["version"]}\"");
        using var answer = http.Send(change);
        answer.IsSuccessStatusCode.ShouldBeTrue(answer.Content.ReadAsStringAsync().Result);
        screen.Push("Keep this bow");
        screen.See("[data-testid=conflict]");
    }

    public static void NoNote(Screen screen)
    {
        screen.Push("Keep this note");
        screen.See("[data-testid=note] [role=alert]");
    }

    /// <summary>A photograph of the newest set, its corners not yet pressed.</summary>
    public static void Photograph(Screen screen)
    {
        screen.Push("Mark a shot");
        screen.See(Sheet);
        screen.Unfold("main");
        // Another state may have laid one there.
        screen.See("[data-testid=under-sheet]");
        if (screen.Find("[data-testid=under-sheet] button", "Take it away") is { } lies)
        {
            lies.Click();
        }

        var pick = By.CssSelector("[data-testid=under-sheet] input[type=file]");
        screen.Until(d => d.FindElement(pick)).SendKeys(PictureTests.File(screen));
        screen.See("[data-testid=placing]");
    }

    /// <summary>The same pressed by keys, and laid under the sheet.</summary>
    public static void UnderSheet(Screen screen)
    {
        Photograph(screen);
        screen.Push("A4");
        var keys = screen.See("[data-testid=placing]");
        foreach (var way in new[] { Keys.ArrowRight, Keys.ArrowDown, Keys.ArrowLeft, Keys.ArrowUp })
        {
            keys.SendKeys(Keys.Enter + Keys.Shift + string.Concat(Enumerable.Repeat(way, 20)) + Keys.Null);
        }

        screen.Push("Lay it under the sheet");
        screen.See("[data-testid=under]");
    }

    public static void NothingFound(Screen screen)
    {
        screen.See("[data-find]").SendKeys("no such thing");
        screen.SeeText("main", "Nothing of that kind");
    }

    public static void RangeDay(Screen screen)
    {
        screen.See("[aria-label='An end, 6, of Brindle']").Click();
        screen.SeeText("[data-testid=sum]", "6");
    }

    public static void Import(Screen screen)
    {
        var file = Path.Combine(Directory.CreateTempSubdirectory("merganser-csv-").FullName, "wraps.csv");
        File.WriteAllText(file, "id,maker,name,weight,length\nwrap-plain-4,Own,Band 4,4.4,4\n,Own,Band 5,heavy,5\n");
        screen.Push("Import CSV");
        screen.Driver.FindElement(By.CssSelector("input[type=file]")).SendKeys(file);
        screen.See("[data-testid=import-changes]");
    }
}

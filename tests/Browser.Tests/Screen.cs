using OpenQA.Selenium;
using OpenQA.Selenium.Chrome;
using OpenQA.Selenium.Support.UI;

namespace Merganser.Browser.Tests;

/// <summary>
/// The built application on a free port with a data file of its own, and headless Chromium in front of it.
/// </summary>
public sealed class Screen : IDisposable
{
    /// <summary>Two cores may be busy with other browsers; what is not there by then is not there.</summary>
    private static readonly TimeSpan Longest = TimeSpan.FromSeconds(45);

    private readonly AppServer server;

    public Screen(bool demo, int width = 1280, int height = 800)
    {
        Driver = Browsers.Take(out var port);
        server = new AppServer(demo, port);
        Size(width, height);
    }

    public string Url => server.Url;

    public ChromeDriver Driver { get; }

    public static string Root => AppServer.Root;

    /// <summary>Ends what screens share: the browsers and the filled demo.</summary>
    public static void End()
    {
        Browsers.End();
        AppServer.End();
    }

    public void Size(int width, int height, bool phone = false) =>
        Driver.ExecuteCdpCommand(
            "Emulation.setDeviceMetricsOverride",
            new Dictionary<string, object?>
            {
                ["width"] = width,
                ["height"] = height,
                ["deviceScaleFactor"] = 1,
                ["mobile"] = phone,
            }
        );

    public void Go(string path) => Driver.Navigate().GoToUrl(Url + path);

    /// <summary>Stops the server as a power cut would, and starts it again on the same data.</summary>
    public void Restart()
    {
        server.Kill();
        server.Start();
    }

    public void Kill() => server.Kill();

    public void StartAgain() => server.Start();

    public T Until<T>(Func<IWebDriver, T?> condition)
        where T : class
    {
        var wait = new WebDriverWait(Driver, Longest) { PollingInterval = TimeSpan.FromMilliseconds(50) };
        wait.IgnoreExceptionTypes(
            typeof(NoSuchElementException),
            typeof(StaleElementReferenceException),
            typeof(ElementClickInterceptedException),
            typeof(ElementNotInteractableException)
        );
        return wait.Until(condition)!;
    }

    public IWebElement See(string css) => Until(_ => Appears("", css));

    public IWebElement SeeText(string css, string text)
    {
        try
        {
            return Until(_ => Appears(text, css));
        }
        catch (WebDriverTimeoutException)
        {
            var found = string.Join(" | ", Driver.FindElements(By.CssSelector(css)).Select(e => e.Text));
            throw new InvalidOperationException($"\"{text}\" was not seen at {css}; there: {found}");
        }
    }

    public IWebElement Button(string text) => Until(_ => Appears(text, Keyed));

    /// <summary>Pushes what bears these words; what was drawn anew in between is looked for again.</summary>
    public void Push(string text) =>
        Until(_ =>
        {
            var found = Appears(text, Keyed);
            found?.Click();
            return found;
        });

    /// <summary>
    /// The first that is seen and holds these words. One question to the browser: asking element after element took
    /// most of the tests' time.
    /// </summary>
    public IWebElement? Find(string css, string text = "") =>
        (IWebElement?)Driver.ExecuteScript(Look + "return look();", text, new[] { css });

    /// <summary>
    /// The same of the first of these selectors that has one, waited for in the page for up to a second: asking again
    /// and again from outside keeps three processes busy. None where the page went away under it.
    /// </summary>
    private IWebElement? Appears(string text, params string[] selectors)
    {
        try
        {
            return (IWebElement?)Driver.ExecuteAsyncScript(Look + Wait, text, selectors);
        }
        catch (JavaScriptException)
        {
            return null;
        }
    }

    private static readonly string[] Keyed = ["button:not(:disabled)", "a"];

    private const string Look = """
        const [text, selectors, done] = arguments;
        const seen = (e) => e.checkVisibility({ opacityProperty: true, visibilityProperty: true }) && e.getClientRects().length > 0;
        const words = (e) => (e.innerText ?? e.textContent).replaceAll('\u00a0', ' ');
        const first = (css) => [...document.querySelectorAll(css)].find((e) => seen(e) && (text === '' || words(e).includes(text)));
        const look = () => selectors.map(first).find((e) => e) ?? null;

        """;

    private const string Wait = """
        const until = performance.now() + 1000;
        const turn = () => {
          const found = look();
          if (found || performance.now() > until) done(found);
          else setTimeout(turn, 30);
        };
        turn();
        """;

    /// <summary>
    /// Types into a field as a hand does: what stands in it already stays, and the text is added to it.
    /// </summary>
    public void Type(string name, string text) => Field(name).SendKeys(text);

    /// <summary>Types over what stands in a field: all of it is selected by keys first.</summary>
    public void Retype(string name, string text)
    {
        var field = Field(name);
        field.SendKeys(Keys.Control + "a");
        field.SendKeys(text);
    }

    /// <summary>A field by its name; what it is folded away in is opened first, by its words.</summary>
    public IWebElement Field(string name) =>
        Until(_ =>
        {
            if (Find($"[name='{name}']") is { } field)
            {
                return field;
            }

            Find($"details:not([open]):has([name='{name}']) > summary")?.Click();
            return null;
        });

    /// <summary>Keys to the page itself, whatever was pressed last.</summary>
    public void PressOnPage(string keys) => Driver.FindElement(By.TagName("body")).SendKeys(keys);

    /// <summary>Keys for whatever has the focus.</summary>
    public void Press(string keys) => Driver.SwitchTo().ActiveElement().SendKeys(keys);

    /// <summary>What a field holds.</summary>
    public string Value(string name) =>
        (string)Driver.ExecuteScript("return document.querySelector(`[name='${arguments[0]}']`).value", name)!;

    /// <summary>Opens what is folded away in it, one after the other.</summary>
    public void Unfold(string css)
    {
        See(css);
        for (; Find($"{css} details:not([open]) > summary") is { } closed; )
        {
            closed.Click();
        }
    }

    /// <summary>Waits until a field holds this.</summary>
    public void Holds(string name, string value) => Until(_ => Value(name) == value ? "so" : null);

    /// <summary>Waits until fonts are there and two frames were drawn.</summary>
    public void Settled(int milliseconds = 200) =>
        Driver.ExecuteAsyncScript(
            "const done = arguments[1]; document.fonts.ready.then(() => requestAnimationFrame(() => requestAnimationFrame(() => setTimeout(done, arguments[0]))))",
            milliseconds
        );

    /// <summary>Picks what begins with these words: from a select, or by typing them into a field that finds.</summary>
    public void Pick(string name, string words)
    {
        var field = Field(name);
        if (field.TagName == "select")
        {
            Until(d =>
            {
                new SelectElement(d.FindElement(By.CssSelector($"select[name={name}]"))).SelectByText(words, true);
                return "done";
            });
            return;
        }

        Retype(name, words);
        SeeText("[role=option]", words);
        field.SendKeys(Keys.Enter);
        Until(_ => Value(name).StartsWith(words, StringComparison.Ordinal) ? "picked" : null);
    }

    public void Shot(string file)
    {
        Settled();
        Driver.GetScreenshot().SaveAsFile(file);
    }

    public void Dispose()
    {
        var outside = Browsers.GiveBack(Driver, Url);
        server.Dispose();
        outside.ShouldBeEmpty("nothing is asked of any other machine");
    }
}

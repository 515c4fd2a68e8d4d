using System.Collections.Concurrent;
using System.Text.Json.Nodes;
using Merganser.Tests;
using OpenQA.Selenium;
using OpenQA.Selenium.Chrome;
using OpenQA.Selenium.Chromium;

namespace Merganser.Browser.Tests;

/// <summary>
/// Headless browsers, each started once and lent to one screen after another: a start takes a second of both cores. A
/// screen gets a tab of its own, and what was stored for its address is gone when it gives the browser back. Each has a
/// port of its own for the servers that it looks at, one after another: it keeps the program's files, as a browser does
/// that comes back, and compiles them once.
/// </summary>
internal static class Browsers
{
    private static readonly ConcurrentBag<ChromeDriver> Free = [];
    private static readonly ConcurrentBag<ChromeDriver> All = [];
    private static readonly ConcurrentDictionary<ChromeDriver, int> Ports = [];
    private static readonly string Profiles = Directory.CreateTempSubdirectory("merganser-browsers-").FullName;

    public static ChromeDriver Take() => Take(out _);

    /// <param name="port">The port of this browser's servers.</param>
    public static ChromeDriver Take(out int port)
    {
        var driver = Free.TryTake(out var free) ? free : Start();
        driver.SwitchTo().NewWindow(WindowType.Tab);
        port = Ports.GetOrAdd(driver, _ => AppServer.FreePort());
        return driver;
    }

    /// <summary>Takes a browser back; one that no longer answers is ended.</summary>
    /// <returns>What it asked of any other machine, by its network log; nothing is what it may be.</returns>
    public static IReadOnlyList<string> GiveBack(ChromeDriver driver, string url)
    {
        string[] outside = [];
        try
        {
            outside = [.. Asked(driver).Where(asked => !IsHere(asked)).Distinct()];
            driver.ExecuteCdpCommand(
                "Storage.clearDataForOrigin",
                new Dictionary<string, object?> { ["origin"] = url, ["storageTypes"] = "all" }
            );
            driver.Manage().Logs.GetLog(LogType.Browser);
            var windows = driver.WindowHandles;
            foreach (var window in windows.Skip(1))
            {
                driver.SwitchTo().Window(window).Close();
            }

            driver.SwitchTo().Window(windows[0]);
            Free.Add(driver);
        }
        catch (WebDriverException)
        {
            driver.Quit();
        }

        return outside;
    }

    /// <summary>Every address that was asked for since it was lent.</summary>
    private static IEnumerable<string> Asked(ChromeDriver driver) =>
        driver
            .Manage()
            .Logs.GetLog(LogType.Performance)
            .Select(entry => JsonNode.Parse(entry.Message)!["message"]!)
            .Where(message => (string?)message["method"] is "Network.requestWillBeSent" or "Network.webSocketCreated")
            .Select(message => (string?)(message["params"]!["request"]?["url"] ?? message["params"]!["url"]) ?? "");

    private static bool IsHere(string asked) =>
        !asked.Contains("://", StringComparison.Ordinal)
        || asked.StartsWith("blob:", StringComparison.Ordinal)
        || asked.StartsWith("data:", StringComparison.Ordinal)
        || asked.StartsWith("chrome", StringComparison.Ordinal)
        || (Uri.TryCreate(asked, UriKind.Absolute, out var uri) && (uri.IsFile || uri.IsLoopback));

    /// <summary>Ends every browser.</summary>
    public static void End()
    {
        Parallel.ForEach(All, driver => driver.Quit());
        Folders.Remove(Profiles);
    }

    private static ChromeDriver Start()
    {
        var options = new ChromeOptions { BinaryLocation = "/usr/bin/chromium" };
        options.AddArguments(
            "--headless=new",
            "--no-sandbox",
            "--disable-gpu",
            "--disable-quic",
            "--no-first-run",
            "--disable-background-networking",
            "--disable-component-update",
            "--disable-sync",
            "--disable-extensions",
            "--hide-scrollbars",
            $"--user-data-dir={Path.Combine(Profiles, $"{Guid.NewGuid():N}")}"
        );
        options.SetLoggingPreference(LogType.Browser, LogLevel.All);
        options.SetLoggingPreference(LogType.Performance, LogLevel.All);
        options.PerformanceLoggingPreferences = new ChromiumPerformanceLoggingPreferences
        {
            IsCollectingNetworkEvents = true,
            IsCollectingPageEvents = false,
        };
        var driver = new ChromeDriver(
            ChromeDriverService.CreateDefaultService("/usr/bin", "chromedriver"),
            options,
            TimeSpan.FromSeconds(60)
        );
        All.Add(driver);
        return driver;
    }
}

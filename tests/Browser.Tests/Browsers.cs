using System.Collections.Concurrent;
using OpenQA.Selenium;
using OpenQA.Selenium.Chrome;

namespace Merganser.Browser.Tests;

/// <summary>
/// Headless browsers, each started once and lent to one screen after another: a start takes a second of both cores. A
/// screen gets a tab of its own, and what was stored for its address is gone when it gives the browser back.
/// </summary>
internal static class Browsers
{
    private static readonly ConcurrentBag<ChromeDriver> Free = [];
    private static readonly ConcurrentBag<ChromeDriver> All = [];
    private static readonly string Profiles = Directory.CreateTempSubdirectory("merganser-browsers-").FullName;

    public static ChromeDriver Take()
    {
        var driver = Free.TryTake(out var free) ? free : Start();
        driver.SwitchTo().NewWindow(WindowType.Tab);
        return driver;
    }

    /// <summary>Takes a browser back; one that no longer answers is ended.</summary>
    public static void GiveBack(ChromeDriver driver, string url)
    {
        try
        {
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
    }

    /// <summary>Ends every browser.</summary>
    public static void End()
    {
        Parallel.ForEach(All, driver => driver.Quit());
        Directory.Delete(Profiles, true);
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
        var driver = new ChromeDriver(
            ChromeDriverService.CreateDefaultService("/usr/bin", "chromedriver"),
            options,
            TimeSpan.FromSeconds(60)
        );
        All.Add(driver);
        return driver;
    }
}

using System.Diagnostics;
using Merganser.Tests;
using OpenQA.Selenium;
using OpenQA.Selenium.Support.UI;

namespace Merganser.Browser.Tests;

/// <summary>
/// The package as it is handed out, started without an SDK: a short journey through its page. The launcher makes the
/// package before these and names it.
/// </summary>
public class PackageTests
{
    private static readonly string? Folder = Environment.GetEnvironmentVariable("MERGANSER_PACKAGE");

    [Fact]
    [Trait("Category", "Long")]
    public async Task A_package_starts_from_anywhere_keeps_its_data_and_prints()
    {
        if (Folder is null)
        {
            return;
        }

        var home = Directory.CreateTempSubdirectory("merganser-package-").FullName;
        using var server = Process.Start(Start(home))!;
        try
        {
            var url = (await Ready(server)).ToString();
            using var http = new HttpClient { BaseAddress = new Uri(url) };
            var driver = Browsers.Take();
            driver.Navigate().GoToUrl(url);
            var wait = new WebDriverWait(driver, TimeSpan.FromSeconds(45));
            wait.Until(d => d.FindElements(By.CssSelector("[data-testid=rack] h2")).Count == 6);
            driver.FindElement(By.CssSelector("[data-testid=go]")).SendKeys(Keys.Enter);
            wait.Until(d => d.FindElements(By.CssSelector("[data-testid=advice]")).Count > 0);
            Browsers.GiveBack(driver, url).ShouldBeEmpty();

            // The letters of what is printed, and the drawing library of this system, go along.
            var pdf = await http.GetByteArrayAsync("/api/bows/22222222-0000-4000-8000-000000000001/card.pdf");
            System.Text.Encoding.ASCII.GetString(pdf, 0, 5).ShouldBe("%PDF-");
            File.Exists(Path.Combine(home, "merganser", "demo.db")).ShouldBeTrue("data lie in the user's own folder");
            (await StartedTwice(home)).ShouldBe(url.TrimEnd('/'), "a second start shows the first one's page");
            (await File.ReadAllTextAsync(Path.Combine(Folder, "LICENSES.txt"))).ShouldContain("react/19");
        }
        finally
        {
            server.Kill();
            await server.WaitForExitAsync();
            Folders.Remove(home);
        }
    }

    /// <summary>Starts it once more on the same data; the page that it opens.</summary>
    private static async Task<string> StartedTwice(string home)
    {
        // What stands for this machine's browser writes down what it is given.
        var browser = Path.Combine(home, "xdg-open");
        await File.WriteAllTextAsync(
            browser,
            $"#!/bin/sh\necho \"$1\" > {home}/opened.tmp; /bin/mv {home}/opened.tmp {home}/opened\n"
        );
        if (!OperatingSystem.IsWindows())
        {
            File.SetUnixFileMode(browser, UnixFileMode.UserRead | UnixFileMode.UserExecute);
        }

        var start = Start(home);
        start.Environment["PATH"] = home;
        start.ArgumentList[5] = "true";
        using var second = Process.Start(start)!;
        await second.WaitForExitAsync();
        second.ExitCode.ShouldBe(2);
        for (var i = 0; i < 100 && !File.Exists(Path.Combine(home, "opened")); i++)
        {
            await Task.Delay(100);
        }

        return (await File.ReadAllTextAsync(Path.Combine(home, "opened"))).Trim().TrimEnd('/');
    }

    /// <summary>No SDK is found from here, and it is not started from its own folder.</summary>
    private static ProcessStartInfo Start(string home)
    {
        var start = new ProcessStartInfo(Path.Combine(Folder!, "Merganser.Web"))
        {
            WorkingDirectory = Path.GetTempPath(),
            RedirectStandardOutput = true,
        };
        start.Environment.Clear();
        start.Environment["PATH"] = "/nonexistent";
        start.Environment["HOME"] = home;
        start.Environment["XDG_DATA_HOME"] = home;
        string[] arguments =
        [
            "--demo",
            "true",
            "--clock",
            "2026-11-23T18:34:00+00:00",
            "--open",
            "false",
            "--urls",
            "http://127.0.0.1:0",
        ];
        foreach (var argument in arguments)
        {
            start.ArgumentList.Add(argument);
        }

        return start;
    }

    private static async Task<Uri> Ready(Process server)
    {
        const string ready = "Merganser is ready: ";
        while (await server.StandardOutput.ReadLineAsync() is { } line)
        {
            if (line.StartsWith(ready, StringComparison.Ordinal))
            {
                return new Uri(line[ready.Length..].Split(' ')[0]);
            }
        }

        throw new InvalidOperationException("The package did not start.");
    }
}

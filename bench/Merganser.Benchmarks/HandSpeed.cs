using System.Globalization;
using Merganser.Browser.Tests;

namespace Merganser.Benchmarks;

/// <summary>
/// The speed of the hand, in Chromium at its full speed and slowed down four times: first useful paint and how much of
/// the page shifts, the echo of a key, the figures after it, another stop of the rule.
/// </summary>
public static class HandSpeed
{
    private const string Bow = "/bows/22222222-0000-4000-8000-000000000001";
    private const string Arrow = Bow + "/arrow?arrow=33333333-0000-4000-8000-000000000001";
    private const int Loads = 7;
    private const int Strokes = 60;

    /// <summary>Milliseconds in which nobody asks the page how far it is: each question is work for it.</summary>
    private const int Undisturbed = 800;

    /// <summary>Notes in each new page when what is wanted stands there, and what shifted.</summary>
    private const string Watch =
        "(() => {"
        + Painted.Script
        + """
              const wanted = '[data-testid=rack] h2, [data-testid=steps], [data-testid=advice]';
              window.shifted = 0;
              new PerformanceObserver((list) => list.getEntries().forEach((e) => { if (e.hadRecentInput) return; window.shifted += e.value; }))
                .observe({ type: 'layout-shift', buffered: true });
              const look = () => document.querySelector(wanted)
                ? drawn(() => { window.useful = performance.now(); })
                : requestAnimationFrame(look);
              requestAnimationFrame(look);
            })();
            """;

    /// <summary>From a real key to the frame with its echo, and to the one with the figure it leads to.</summary>
    private const string NextKey =
        Painted.Script
        + """
            const field = document.querySelector('[name=cutLength]');
            const figure = () => document.querySelector('[data-figure=totalWeight]')?.textContent ?? '';
            const before = figure();
            window.echo = window.after = null;
            let from = 0;
            field.addEventListener('keydown', (e) => { from = e.timeStamp; }, { once: true, capture: true });
            field.addEventListener('input', () => painted(() => { window.echo = performance.now() - from; }), { once: true });
            const watch = new MutationObserver(() => {
              if (figure() === before || figure() === '' || figure().includes('…')) return;
              watch.disconnect();
              painted(() => { window.after = performance.now() - from; });
            });
            watch.observe(document.body, { subtree: true, childList: true, characterData: true });
            """;

    /// <summary>From the press on a stop of the rule to the frame in which its page stands there.</summary>
    private const string NextStop =
        Painted.Script
        + """
            const [href, wanted, done] = arguments;
            let from = 0;
            const link = [...document.querySelectorAll('header nav a')].find((a) => a.pathname.endsWith(href));
            link.addEventListener('click', (e) => { from = e.timeStamp; }, { once: true, capture: true });
            const look = () => document.querySelector(wanted)
              ? drawn(() => done(performance.now() - from))
              : requestAnimationFrame(look);
            link.click();
            requestAnimationFrame(look);
            """;

    public static Task Run()
    {
        foreach (var slow in new[] { 1, 4 })
        {
            Console.WriteLine(slow == 1 ? "  at full speed" : $"  slowed down {slow} times");
            using var screen = new Screen(demo: true);
            Tell(screen, "Emulation.setCPUThrottlingRate", ("rate", slow));
            Load(screen, "Start", "/");
            Load(screen, "Paper", Bow + "/paper");
            Keys(screen);
            Routes(screen);
            screen.Size(390, 844, phone: true);
            Load(screen, "Start on a phone", "/");
            Load(screen, "Paper on a phone", Bow + "/paper");
            Tell(screen, "Emulation.setCPUThrottlingRate", ("rate", 1));
            using var empty = new Screen(demo: false);
            Tell(empty, "Emulation.setCPUThrottlingRate", ("rate", slow));
            Load(empty, "An empty bench", "/");
        }

        return Task.CompletedTask;
    }

    private static object? Tell(Screen screen, string command, params (string Name, object Value)[] with) =>
        screen.Driver.ExecuteCdpCommand(command, with.ToDictionary(w => w.Name, w => (object?)w.Value));

    private static double Number(Screen screen, string script) =>
        Convert.ToDouble(screen.Driver.ExecuteScript($"return {script}"), CultureInfo.InvariantCulture);

    /// <summary>A page as on a first visit: nothing is kept in the browser.</summary>
    private static void Load(Screen screen, string name, string path)
    {
        Tell(screen, "Network.enable");
        Tell(screen, "Network.setCacheDisabled", ("cacheDisabled", true));
        Tell(screen, "Network.setBypassServiceWorker", ("bypass", true));
        var watch =
            (Dictionary<string, object?>)Tell(screen, "Page.addScriptToEvaluateOnNewDocument", ("source", Watch))!;
        List<double> useful = [];
        List<double> shifted = [];
        var script = 0.0;
        for (var i = 0; i < Loads; i++)
        {
            screen.Go(path);
            Thread.Sleep(Undisturbed);
            screen.Until(_ => Number(screen, "window.useful ?? 0") > 0 ? "there" : null);
            script = Number(
                screen,
                "performance.getEntriesByType('resource').filter((r) => r.name.endsWith('.js')).reduce((sum, r) => sum + r.encodedBodySize, 0)"
            );
            screen.Settled(400);
            useful.Add(Number(screen, "window.useful"));
            shifted.Add(Number(screen, "window.shifted"));
        }

        Console.WriteLine($"    {name}, first useful paint: {Percentiles.Line(useful.Skip(1))}");
        Console.WriteLine(
            string.Create(
                CultureInfo.InvariantCulture,
                $"    {name}, shifted at most {shifted.Max():F3}; script {script / 1000:F0} kB compressed"
            )
        );
        // On a page that has nothing of what it looks for it would look again at every frame, for ever.
        Tell(screen, "Page.removeScriptToEvaluateOnNewDocument", ("identifier", watch["identifier"]!));
        Tell(screen, "Network.setBypassServiceWorker", ("bypass", false));
        Tell(screen, "Network.setCacheDisabled", ("cacheDisabled", false));
    }

    private static void Keys(Screen screen)
    {
        screen.Go(Arrow);
        screen.See("[data-callout=length]").Click();
        screen.See("[name=cutLength]").Click();
        List<double> echo = [];
        List<double> after = [];
        for (var i = 0; i < Strokes; i++)
        {
            screen.Driver.ExecuteScript("document.querySelector('[name=cutLength]').select()");
            // Another length each time: an answer that is still in the browser comes with the key.
            screen.Press($"28.{i % 10}");
            Thread.Sleep(300);
            screen.Driver.ExecuteScript(NextKey);
            screen.Press($"{4 + (i / 10)}");
            Thread.Sleep(Undisturbed);
            screen.Until(_ => Number(screen, "window.after ?? 0") > 0 ? "there" : null);
            echo.Add(Number(screen, "window.echo"));
            after.Add(Number(screen, "window.after"));
        }

        Console.WriteLine($"    echo of a key: {Percentiles.Line(echo.Skip(10))}");
        Console.WriteLine($"    figures after it: {Percentiles.Line(after.Skip(10))}");
    }

    private static void Routes(Screen screen)
    {
        (string Stop, string Wanted)[] stops =
        [
            ("/bow", "[data-testid=work-order]"),
            ("/arrow", "[data-testid=arrow-drawing]"),
            ("/paper", "[data-testid=advice]"),
        ];
        List<double> times = [];
        for (var i = 0; i < Loads * stops.Length; i++)
        {
            var (stop, wanted) = stops[i % stops.Length];
            times.Add(
                Convert.ToDouble(screen.Driver.ExecuteAsyncScript(NextStop, stop, wanted), CultureInfo.InvariantCulture)
            );
            screen.Settled();
        }

        Console.WriteLine($"    another stop of the rule: {Percentiles.Line(times.Skip(stops.Length))}");
    }
}

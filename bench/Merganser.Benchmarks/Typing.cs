namespace Merganser.Benchmarks;

/// <summary>
/// From the input event in the length's field to the frame in which the new weight stands on the screen, measured in
/// the page itself.
/// </summary>
public static class Typing
{
    private const string OneStroke =
        Painted.Script
        + """
            const [text, done] = [arguments[0], arguments[1]];
            const field = document.querySelector('[name=cutLength]');
            const figure = document.querySelector('[data-figure=totalWeight]');
            const before = figure.textContent;
            const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set;
            const from = performance.now();
            const watch = new MutationObserver(() => {
              if (figure.textContent === before || figure.textContent.includes('…')) return;
              watch.disconnect();
              painted(() => done(performance.now() - from));
            });
            watch.observe(figure, { subtree: true, childList: true, characterData: true });
            set.call(field, text);
            field.dispatchEvent(new Event('input', { bubbles: true }));
            """;

    public static Task Run()
    {
        using var screen = new Browser.Tests.Screen(demo: true);
        screen.Go("/bows/22222222-0000-4000-8000-000000000001/arrow?arrow=33333333-0000-4000-8000-000000000001");
        screen.See("[data-callout=length]").Click();
        screen.See("[name=cutLength]").Click();
        List<double> times = [];
        for (var i = 0; i < 60; i++)
        {
            var text = (28.5 + (i % 2 == 0 ? 0.25 : 0) + (i * 0.01)).ToString(
                "F2",
                System.Globalization.CultureInfo.InvariantCulture
            );
            times.Add(Convert.ToDouble(screen.Driver.ExecuteAsyncScript(OneStroke, text)));
            Thread.Sleep(60);
        }

        Console.WriteLine(Percentiles.Line(times.Skip(10)));
        Console.WriteLine("  taken in the first task after the frame that shows the new figure");
        return Task.CompletedTask;
    }
}

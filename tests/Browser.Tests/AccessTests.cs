namespace Merganser.Browser.Tests;

/// <summary>Every view in every theme, by axe-core, by computed contrast, and at small sizes.</summary>
public class AccessTests
{
    private static readonly string[] Themes = ["shed", "sun", "dark"];

    [Fact]
    public void No_view_in_any_theme_has_a_serious_or_critical_violation()
    {
        using var bench = new Bench(demo: true);
        var axe = File.ReadAllText(Path.Combine(Bench.Root, "src/merganser-ui/node_modules/axe-core/axe.min.js"));
        List<string> found = [];
        EachView(bench, Themes, (theme, name) =>
        {
            bench.Driver.ExecuteScript(axe);
            var result = (IReadOnlyCollection<object>)bench.Driver.ExecuteAsyncScript(
                """
                const done = arguments[arguments.length - 1];
                axe.run(document, { resultTypes: ['violations'] }).then(r => done(r.violations
                  .filter(v => v.impact === 'serious' || v.impact === 'critical')
                  .map(v => v.id + ': ' + v.nodes.map(n => n.target.join(' ') + ' ' + (n.any[0]?.message ?? '')).slice(0, 3).join(' | '))));
                """)!;
            found.AddRange(result.Select(r => $"{theme}, {name}: {r}"));
        });
        found.ShouldBeEmpty();
    }

    [Fact]
    public void In_sunlight_every_text_has_a_contrast_of_seven_and_fourteen_pixels()
    {
        using var bench = new Bench(demo: true);
        List<string> found = [];
        EachView(bench, ["sun"], (_, name) =>
        {
            var result = (IReadOnlyCollection<object>)bench.Driver.ExecuteScript(PaleOrSmall)!;
            found.AddRange(result.Select(r => $"{name}: {r}").Distinct());
        });
        found.ShouldBeEmpty();
    }

    [Theory]
    [InlineData(1280, 680)]
    [InlineData(390, 844)]
    [InlineData(320, 640)]
    [InlineData(640, 400)]
    public void The_page_itself_never_scrolls_sideways_and_on_the_bench_not_down(int width, int height)
    {
        using var bench = new Bench(demo: true, width, height);
        EachView(bench, ["shed"], (_, name) =>
        {
            ((long)bench.Driver.ExecuteScript("return document.scrollingElement.scrollWidth")!).ShouldBeLessThanOrEqualTo(width, name);
            ((long)bench.Driver.ExecuteScript("const m = document.querySelector('main'); return m.scrollWidth - m.clientWidth")!).ShouldBeLessThanOrEqualTo(name == "start" && width > 760 ? 10_000 : 1, name);
            if (width == 1280)
            {
                ((long)bench.Driver.ExecuteScript("return document.scrollingElement.scrollHeight")!).ShouldBeLessThanOrEqualTo(height, name);
            }
        }, openThings: false);
    }

    [Fact]
    public void Targets_are_forty_eight_pixels_for_cold_hands()
    {
        using var bench = new Bench(demo: true);
        List<string> found = [];
        EachView(bench, ["shed"], (_, name) =>
        {
            var result = (IReadOnlyCollection<object>)bench.Driver.ExecuteScript(
                """
                return [...document.querySelectorAll('button, a, select, input')]
                  .filter(e => e.offsetParent && !e.closest('p, label, .label-row, dl') && e.type !== 'checkbox')
                  .filter(e => { const r = (e.closest('.MuiInputBase-root') ?? e).getBoundingClientRect(); return r.height > 0 && (r.height < 47.5 || r.width < 43.5); })
                  .map(e => `${e.tagName} ${e.className} ${e.textContent.slice(0, 20)}`);
                """)!;
            found.AddRange(result.Select(r => $"{name}: {r}"));
        }, openThings: false);
        found.Distinct().ShouldBeEmpty();
    }

    /// <summary>Goes through every state, each opened once, its theme switched in place; with nothing opened every address once.</summary>
    private static void EachView(Bench bench, string[] themes, Action<string, string> look, bool openThings = true)
    {
        bench.Go("/");
        bench.See(".rack h2");
        foreach (var view in openThings ? Views.Demo : Views.Demo.DistinctBy(v => v.Path))
        {
            Views.Open(bench, view, openThings);
            foreach (var theme in themes)
            {
                bench.Driver.ExecuteScript($"document.documentElement.dataset.theme = '{theme}'");
                look(theme, view.Name);
            }
        }
    }

    private const string PaleOrSmall =
        """
        const parse = c => (c.match(/[\d.]+/g) ?? []).map(Number);
        const lum = ([r, g, b]) => { const f = v => (v /= 255) <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4; return 0.2126 * f(r) + 0.7152 * f(g) + 0.0722 * f(b); };
        const ground = e => { for (; e; e = e.parentElement) { const c = parse(getComputedStyle(e).backgroundColor); if (c.length && (c[3] ?? 1) > 0.5) return c;
          if (getComputedStyle(e).backgroundImage.startsWith('linear')) return parse(getComputedStyle(document.documentElement).getPropertyValue('--green').replace(/#(..)(..)(..)/, (_, r, g, b) => [r, g, b].map(h => parseInt(h, 16)).join(' '))); } return [255, 255, 255]; };
        const walk = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
        const found = [];
        for (let node = walk.nextNode(); node; node = walk.nextNode()) {
          const e = node.parentElement;
          if (!node.textContent.trim() || !e.getClientRects().length || e.closest('.visually-hidden, .Mui-disabled, script, option, [aria-hidden=true]')) continue;
          const style = getComputedStyle(e);
          if (parseFloat(style.fontSize) === 0) continue;
          const text = parse(e instanceof SVGElement ? style.fill : style.color);
          const [a, b] = [lum(text), lum(ground(e instanceof SVGElement ? e.closest('svg').parentElement : e))].sort((x, y) => y - x);
          const ratio = (a + 0.05) / (b + 0.05);
          if (ratio < 7) found.push(`contrast ${ratio.toFixed(1)}: ${node.textContent.slice(0, 30)} (${e.className})`);
          if (parseFloat(style.fontSize) < 13.9) found.push(`${style.fontSize}: ${node.textContent.slice(0, 30)} (${e.className?.baseVal ?? e.className})`);
        }
        return [...new Set(found)];
        """;
}

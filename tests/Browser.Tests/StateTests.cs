namespace Merganser.Browser.Tests;

/// <summary>
/// Each state of the interface, opened once; size and theme are switched in place. Its layout audits itself (no text
/// struck, lying over another, cut or off the edge, no select that shows half of its words, no class without a rule),
/// axe-core finds nothing serious, sunlight has its contrast, the page never scrolls sideways, what is pressed is large
/// enough for cold hands, there is a title and one heading of the first rank, and the keyboard reaches everything.
/// The quick look leaves out the dark theme, the tablet and what axe-core says of colours (their contrast is measured
/// all the same) and, of a state that shares its page with another, sunlight and the keyboard.
/// </summary>
public abstract class StateAudit(SharedScreen shared)
{
    private const int AfterResizing = 120;

    /// <summary>A layer takes its place anew a sixth of a second after the last resizing (MUI), not before.</summary>
    private const int AfterResizingALayer = 300;
    private const int AfterTheme = 40;

    private static readonly string Layout =
        "return "
        + string.Join(
            '\n',
            File.ReadLines(Path.Combine(Screen.Root, "tests/Browser.Tests/layoutAudit.js"))
                .SkipWhile(line => line.StartsWith("//", StringComparison.Ordinal))
        );
    private static readonly string Axe = File.ReadAllText(
        Path.Combine(Screen.Root, "src/merganser-ui/node_modules/axe-core/axe.min.js")
    );
    private static readonly (int Width, int Height) Phone = (390, 844);
    private static readonly (int Width, int Height)[] Small = [(1024, 768), Phone];
    private static readonly (int Width, int Height)[] NeverSideways = [(320, 640), (640, 400), (1280, 680)];

    /// <summary>What the page itself finds wrong with its layout as it stands.</summary>
    public static IReadOnlyList<string> Found(Screen screen) => Texts(screen.Driver.ExecuteScript(Layout)!);

    private static int Resized(Screen screen) =>
        screen.Driver.ExecuteScript("return document.querySelector('.MuiPopover-root') !== null") is true
            ? AfterResizingALayer
            : AfterResizing;

    protected void Check(string name, bool whole = false)
    {
        var screen = shared.Screen;
        var state = States.Of(name);
        List<string> found = [];
        screen.Size(1280, 800);
        // What an earlier state kept is cleared where no page is.
        screen.Go("/mark.svg");
        States.Go(screen, state);
        if (States.IsFirstOfItsPage(state))
        {
            var headings = (long)screen.Driver.ExecuteScript("return document.querySelectorAll('h1').length")!;
            if (headings != 1 || !screen.Driver.Title.EndsWith(", Merganser", StringComparison.Ordinal))
            {
                found.Add($"{headings} headings of the first rank, title \"{screen.Driver.Title}\"");
            }

            found.AddRange(Texts(screen.Driver.ExecuteScript(SmallTargets)!).Select(f => $"target: {f}"));
            var sizes = whole ? [.. NeverSideways, Phone] : NeverSideways;
            found.AddRange(sizes.SelectMany(size => Scrolls(screen, size.Width, size.Height, state)));
            screen.Size(1280, 800);
            screen.Settled(AfterResizing);
        }

        state.Open(screen);
        var look =
            whole ? Look.Everything
            : States.IsFirstOfItsPage(state) ? Look.OfAPage
            : Look.Quick;
        found.AddRange(Audit(screen, look));
        found.ShouldBeEmpty();
    }

    /// <summary>In which themes a look is taken, the usual one last.</summary>
    private static string[] Themes(Look look) =>
        look switch
        {
            Look.Quick => ["shed"],
            Look.OfAPage => ["sun", "shed"],
            _ => ["sun", "dark", "shed"],
        };

    /// <summary>What is wrong with what the screen shows, in each theme, at each size, and by keyboard.</summary>
    public static IReadOnlyList<string> Audit(Screen screen, Look look)
    {
        List<string> found = [];
        var whole = look == Look.Everything;
        var usual = whole ? Rules.All : Rules.AllButColours;
        foreach (var theme in Themes(look))
        {
            screen.Driver.ExecuteScript($"document.documentElement.dataset.theme = '{theme}'");
            screen.Settled(AfterTheme);
            found.AddRange(Found(screen).Select(f => $"1280x800 {theme}: {f}"));
            if (theme == "shed" || whole)
            {
                found.AddRange(
                    Violations(screen, theme == "shed" ? usual : Rules.Colours).Select(f => $"{theme}: {f}")
                );
            }

            // A drawing's own paper is light in the dark, which only axe-core sees.
            if (theme != "dark")
            {
                found.AddRange(Texts(screen.Driver.ExecuteScript(PaleOrSmall, theme)!).Select(f => $"{theme}: {f}"));
            }
        }

        foreach (var (width, height) in whole ? Small : [Phone])
        {
            screen.Size(width, height);
            screen.Settled(Resized(screen));
            found.AddRange(Found(screen).Select(f => $"{width}x{height} shed: {f}"));
            if (look != Look.Quick && (width, height) == Phone)
            {
                found.AddRange(Violations(screen, usual).Select(f => $"{width}x{height} shed: {f}"));
            }
        }

        if (look != Look.Quick)
        {
            screen.Size(1280, 800);
            screen.Settled(AfterResizing);
            found.AddRange(Keyboard.Found(screen).Select(f => $"keyboard: {f}"));
        }

        return found;
    }

    private static IEnumerable<string> Scrolls(Screen screen, int width, int height, State state)
    {
        screen.Size(width, height);
        screen.Settled(AfterResizing);
        long Of(string js) => (long)screen.Driver.ExecuteScript("return " + js)!;
        if (Of("document.scrollingElement.scrollWidth") > width)
        {
            yield return $"{width}x{height}: the page scrolls sideways";
        }

        // The rack may be as long as it likes to the side where there is room for a row of bows.
        var rack = state.Path == "/" && width > 760;
        if (
            !rack
            && Of("(() => { const m = document.querySelector('main'); return m.scrollWidth - m.clientWidth; })()") > 1
        )
        {
            yield return $"{width}x{height}: what is on the page scrolls sideways";
        }

        if (width == 1280 && Of("document.scrollingElement.scrollHeight") > height)
        {
            yield return $"{width}x{height}: the page scrolls down";
        }
    }

    /// <summary>Which rules of axe-core: those of colours take as long as all others.</summary>
    private enum Rules
    {
        All,
        Colours,
        AllButColours,
    }

    /// <summary>Violations of any level by axe-core.</summary>
    private static IReadOnlyList<string> Violations(Screen screen, Rules rules)
    {
        if (screen.Driver.ExecuteScript("return 'axe' in window") is not true)
        {
            screen.Driver.ExecuteScript(Axe);
        }

        return Texts(
            screen.Driver.ExecuteAsyncScript(
                """
                const [rules, done] = arguments;
                const colours = ['color-contrast'];
                const which = { Colours: { runOnly: colours }, AllButColours: { rules: { 'color-contrast': { enabled: false } } } };
                const options = { resultTypes: ['violations'], ...which[rules] };
                // The list of a field and of a key lies over the page, in no landmark of it: they are named by what opens them.
                const own = (node) => document.querySelector(node.target[0])?.closest('[role=listbox], .MuiMenu-root');
                axe.run(document, options).then(r => done(r.violations
                  .filter(v => v.id !== 'region' || v.nodes.some(n => !own(n)))
                  .map(v => v.id + ': ' + v.nodes.map(n => n.target.join(' ') + ' ' + (n.any[0]?.message ?? '')).slice(0, 3).join(' | '))));
                """,
                $"{rules}"
            )!
        );
    }

    private static IReadOnlyList<string> Texts(object list) =>
        [.. ((IReadOnlyCollection<object>)list).Cast<string>().Distinct()];

    private const string SmallTargets = """
        return [...document.querySelectorAll('button, a, select, input')]
          .filter(e => e.offsetParent && !e.closest('p, label, [data-term], dl') && e.type !== 'checkbox')
          .filter(e => { const r = (e.closest('.MuiInputBase-root') ?? e).getBoundingClientRect(); return r.height > 0 && (r.height < 47.5 || r.width < 43.5); })
          .map(e => `${e.tagName} ${e.className} ${e.textContent.slice(0, 20)}`);
        """;

    private const string PaleOrSmall = """
        const sun = arguments[0] === 'sun';
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
          const large = parseFloat(style.fontSize) >= (style.fontWeight >= 700 ? 18.66 : 24);
          if (ratio < (sun ? 7 : large ? 3 : 4.5)) found.push(`contrast ${ratio.toFixed(1)}: ${node.textContent.slice(0, 30)} (${e.className})`);
          if (parseFloat(style.fontSize) < (sun ? 13.9 : 11.9)) found.push(`${style.fontSize}: ${node.textContent.slice(0, 30)} (${e.className?.baseVal ?? e.className})`);
        }
        return [...new Set(found)];
        """;
}

/// <summary>How closely a state is looked at.</summary>
public enum Look
{
    /// <summary>As it stands, and on a phone.</summary>
    Quick,

    /// <summary>In sunlight too, and by keyboard.</summary>
    OfAPage,

    /// <summary>In every theme, at every size, by keyboard and with all of axe-core.</summary>
    Everything,
}

/// <summary>A bench in front of a browser that a class of tests shares.</summary>
public abstract class SharedScreen(bool demo) : IDisposable
{
    public Screen Screen { get; } = new(demo);

    public void Dispose()
    {
        Screen.Dispose();
        GC.SuppressFinalize(this);
    }
}

public sealed class SharedDemo() : SharedScreen(true);

public sealed class SharedEmpty() : SharedScreen(false);

public class StateTests(SharedDemo shared) : StateAudit(shared), IClassFixture<SharedDemo>
{
    public static TheoryData<string> Names => new(States.HalfOfDemo(0));

    [Theory]
    [MemberData(nameof(Names))]
    public void Can_be_read_reached_and_used(string view) => Check(view);
}

public class MoreStateTests(SharedDemo shared) : StateAudit(shared), IClassFixture<SharedDemo>
{
    public static TheoryData<string> Names => new(States.HalfOfDemo(1));

    [Theory]
    [MemberData(nameof(Names))]
    public void Can_be_read_reached_and_used(string view) => Check(view);
}

public class EmptyStateTests(SharedEmpty shared) : StateAudit(shared), IClassFixture<SharedEmpty>
{
    public static TheoryData<string> Names => new(States.Quick(States.Empty).Select(v => v.Name));

    [Theory]
    [MemberData(nameof(Names))]
    public void Can_be_read_reached_and_used(string view) => Check(view);
}

/// <summary>Every state of an empty bench in every theme, at every size and by keyboard.</summary>
public class WholeEmptyStateTests(SharedEmpty shared) : StateAudit(shared), IClassFixture<SharedEmpty>
{
    public static TheoryData<string> Names => new(States.Empty.Select(v => v.Name));

    [Theory]
    [Trait("Category", "Long")]
    [MemberData(nameof(Names))]
    public void Can_be_read_reached_and_used(string view) => Check(view, whole: true);
}

/// <summary>Every state in every theme, at every size and by keyboard.</summary>
public class WholeStateTests(SharedDemo shared) : StateAudit(shared), IClassFixture<SharedDemo>
{
    public static TheoryData<string> Names => new(States.Demo.Select(v => v.Name));

    [Theory]
    [Trait("Category", "Long")]
    [MemberData(nameof(Names))]
    public void Can_be_read_reached_and_used(string view) => Check(view, whole: true);
}

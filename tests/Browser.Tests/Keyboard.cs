namespace Merganser.Browser.Tests;

/// <summary>
/// A state as a keyboard walks it, by real key presses: all that can be reached is reached, it can be seen where the
/// focus
/// is, and it is in sight. An open layer keeps the focus; a menu is walked by its arrow keys.
/// </summary>
public static class Keyboard
{
    /// <summary>More presses than there are things: the walk goes round once, and a little.</summary>
    private const int Spare = 4;

    public static IReadOnlyList<string> Found(Screen screen)
    {
        var things = (long)screen.Driver.ExecuteScript(Begin)!;
        var menu = (bool)screen.Driver.ExecuteScript("return document.querySelector('[role=menu]') !== null")!;
        for (var press = 0; press < things + Spare; press++)
        {
            Press(screen, menu ? "ArrowDown" : "Tab", menu ? 40 : 9);
        }

        return [.. ((IReadOnlyCollection<object>)screen.Driver.ExecuteScript(End)!).Cast<string>()];
    }

    private static void Press(Screen screen, string key, int code) =>
        screen.Driver.ExecuteCdpCommand(
            "Input.dispatchKeyEvent",
            new Dictionary<string, object?>
            {
                ["type"] = "rawKeyDown",
                ["key"] = key,
                ["code"] = key,
                ["windowsVirtualKeyCode"] = code,
            }
        );

    private const string Begin = """
        const layer = [...document.querySelectorAll('[role=menu], [role=dialog]')].at(-1) ?? document.body;
        const seen = (e) => e.getClientRects().length > 0 && getComputedStyle(e).visibility !== 'hidden';
        const things = [...layer.querySelectorAll('a[href], button, input, select, textarea, summary, [tabindex]')]
          .filter((e) => (layer.matches('[role=menu]') || e.tabIndex >= 0) && !e.disabled && seen(e) && !e.closest('details:not([open]) > :not(summary)'));
        const reached = new Map();
        const ringed = (e) => {
          const s = getComputedStyle(e);
          return s.outlineStyle !== 'none' && parseFloat(s.outlineWidth) >= 2;
        };
        // Round it, round its frame, or round its words where its target is larger than they are.
        const marked = (e) => {
          for (let up = e, i = 0; up && i < 3; up = up.parentElement, i++) if (ringed(up)) return true;
          return [...e.children].some(ringed);
        };
        // What the focus changes is drawn when its event is over.
        const look = (e) => {
          const r = e.getBoundingClientRect();
          reached.set(e, { marked: marked(e), inSight: r.bottom > 0 && r.top < innerHeight && r.right > 0 && r.left < innerWidth });
        };
        const note = ({ target }) => {
          if (!things.includes(target) || reached.get(target)?.marked) return;
          look(target);
          queueMicrotask(() => queueMicrotask(() => document.activeElement === target && look(target)));
        };
        window.walk = { things, reached, note };
        document.addEventListener('focusin', note);
        return things.length;
        """;

    private const string End = """
        const { things, reached, note } = window.walk;
        document.removeEventListener('focusin', note);
        const name = (e) => `${e.tagName.toLowerCase()} "${(e.getAttribute('aria-label') || e.name || e.textContent).trim().slice(0, 40)}"`;
        const found = [];
        for (const e of things) {
          const how = reached.get(e);
          if (!how) found.push(`not reached: ${name(e)}`);
          else if (!how.marked) found.push(`no sign of the focus: ${name(e)}`);
          else if (!how.inSight) found.push(`out of sight: ${name(e)}`);
        }
        return found;
        """;
}

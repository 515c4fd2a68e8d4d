using OpenQA.Selenium;
using static Merganser.Browser.Tests.ViewSteps;

namespace Merganser.Browser.Tests;

/// <summary>
/// A state of the interface by its name: where it is, what is seen first, and how it is opened from there.
/// </summary>
public sealed record View(string Name, string Path, string First, Action<Screen> Open)
{
    public override string ToString() => Name;
}

/// <summary>Every state that the tests of access and layout go through: a new one is one line.</summary>
public static class Views
{
    public const string Compound = "/bows/22222222-0000-4000-8000-000000000001";
    public const string Recurve = "/bows/22222222-0000-4000-8000-000000000002";
    public const string Barebow = "/bows/22222222-0000-4000-8000-000000000003";
    public const string Longbow = "/bows/22222222-0000-4000-8000-000000000004";
    public const string Arrow = Compound + "/arrow?arrow=33333333-0000-4000-8000-000000000001";

    /// <summary>States of the demo bench.</summary>
    public static IReadOnlyList<View> Demo { get; } =
    [
        new("start", "/", ".rack h2", _ => { }),
        new("start, the job in order", "/", ".rack h2", b => b.IfSmall(".mini button", () => b.See(".mini-stops"))),
        new("new bow", "/bows/new", ".adjusters li", _ => { }),
        new(
            "new bow, refused",
            "/bows/new",
            ".adjusters li",
            b =>
            {
                b.Button("Keep this bow").Click();
                b.See(".field.wrong");
            }
        ),
        new("bow", $"{Compound}/bow?way=measures", ".adjusters .scale", _ => { }),
        new(
            "bow with a word open",
            $"{Compound}/bow?way=measures",
            ".term",
            b =>
            {
                b.See(".term").Click();
                b.See(".working");
            }
        ),
        new("bow, changed in two places", $"{Compound}/bow?way=measures", ".adjusters .scale", Conflict),
        new("work order", $"{Compound}/bow?check=centreShot", ".check-pane", _ => { }),
        new(
            "work order, a pick",
            $"{Compound}/bow?check=restTiming",
            ".check-pane",
            b =>
            {
                b.See("[data-adjuster=yokePair]").Click();
                b.See("[data-testid=move-form]");
            }
        ),
        new(
            "work order, an odd reading",
            $"{Compound}/bow?check=braceHeight",
            ".check-pane",
            b =>
            {
                b.Retype("check-braceHeight", "9");
                b.Press(Keys.Enter);
                b.See(".asking");
            }
        ),
        new(
            "work order, a check left",
            $"{Compound}/bow?check=peep",
            ".check-pane",
            b => b.Button("Leave it with a reason").Click()
        ),
        new("work order of a recurve", $"{Recurve}/bow?check=inspection", ".check-pane", _ => { }),
        new("work order of a longbow", $"{Longbow}/bow?check=tiller", ".check-pane", _ => { }),
        new(
            "history",
            $"{Compound}/bow?way=history",
            ".good-state",
            b =>
            {
                b.See("[data-undo]").Click();
                b.Button("It was logged wrongly");
            }
        ),
        new("string", $"{Compound}/bow?way=string", ".history .count", _ => { }),
        new("sights", $"{Compound}/bow?way=sights", ".cants td", _ => { }),
        new("card", $"{Compound}/bow?way=card", ".card-table", _ => { }),
        new("arrow", Arrow, ".figures", _ => { }),
        new("arrow of a longbow", $"{Longbow}/arrow", ".figures", _ => { }),
        new(
            "arrow, other ways",
            Arrow,
            ".figures",
            b =>
            {
                b.Button("Compare, charts").Click();
                b.See(".working");
            }
        ),
        new(
            "arrow with a working",
            Arrow,
            ".figures",
            b =>
            {
                b.See("[data-figure=frontOfCenter]").Click();
                b.See(".working");
            }
        ),
        new("arrow, units", Arrow, ".figures", b => b.IfWide("[aria-label^=Units]", () => b.See(".units"))),
        new(
            "arrow, an entry that cannot be",
            $"{Barebow}/arrow",
            ".figures",
            b =>
            {
                b.See("[data-callout=length]").Click();
                b.Retype("cutLength", "abc");
                b.See(".field.wrong");
            }
        ),
        new(
            "ask",
            Arrow,
            ".tries",
            b =>
            {
                b.Button("Ask for a value").Click();
                b.Button("Ask").Click();
                b.See("[data-testid=asked]");
            }
        ),
        new("compare", Arrow + "&way=compare", ".compared", _ => { }),
        new(
            "weights",
            Arrow + "&way=weights",
            ".weights",
            b =>
            {
                b.Button("Field and 3D").Click();
                b.See(".schools");
            }
        ),
        new("chart", Arrow + "&way=chart", "[data-testid=spine-chart]", _ => { }),
        new("versions", Arrow + "&way=versions", ".moves li", _ => { }),
        new("catalogue", "/catalogue?kind=shaft", ".catalogue-grid tbody tr", _ => { }),
        new(
            "catalogue, a part open",
            "/catalogue?kind=point",
            ".catalogue-grid tbody tr",
            b =>
            {
                b.See(".catalogue-grid th .plain").Click();
                b.See(".component-form");
            }
        ),
        new("catalogue, import preview", "/catalogue?kind=wrap", ".catalogue-grid tbody tr", Import),
        new("new dozen", $"{Longbow}/dozen", "h1", _ => { }),
        new("weigh in", $"{Compound}/dozen?way=weigh&class=Point", ".live", _ => { }),
        new("spin", $"{Compound}/dozen?way=spin", ".tray li", _ => { }),
        new("match", $"{Recurve}/dozen?way=match", "[data-testid=match-found]", _ => { }),
        new("build list", $"{Recurve}/dozen?way=tray", ".assembly", _ => { }),
        new("heads", $"{Recurve}/dozen?way=heads", ".tray-pane", _ => { }),
        new("arrows", $"{Recurve}/dozen?way=quiver", ".cants tbody tr", _ => { }),
        new("chronograph", $"{Compound}/dozen?way=speed", "[data-testid=speed-words]", _ => { }),
        new("paper", $"{Compound}/paper", ".move-box", _ => { }),
        new(
            "marking",
            $"{Compound}/paper",
            ".move-box",
            b =>
            {
                b.Button("Mark a shot").Click();
                b.See("[data-testid=marking-sheet]");
            }
        ),
        new(
            "marking by typing",
            $"{Compound}/paper",
            ".move-box",
            b =>
            {
                b.Button("Mark a shot").Click();
                b.Button("Type the place").Click();
                b.See("[name=right]");
            }
        ),
        new(
            "shot said",
            $"{Compound}/paper",
            ".move-box",
            b =>
            {
                b.Button("Mark a shot").Click();
                b.Button("Say it").Click();
                b.See(".say-it");
            }
        ),
        new(
            "shots",
            $"{Compound}/paper",
            ".move-box",
            b =>
            {
                b.Button("Shots").Click();
                b.Button("Void").Click();
                b.See(".reasons");
            }
        ),
        new(
            "log a move",
            $"{Compound}/paper",
            ".move-box",
            b =>
            {
                b.Button("Log a move").Click();
                b.See("[data-testid=move-to]");
            }
        ),
        new(
            "new paper",
            $"{Compound}/paper",
            ".move-box",
            b =>
            {
                b.Button("New paper").Click();
                b.See(".plan");
            }
        ),
        new(
            "past set",
            $"{Compound}/paper",
            ".move-box",
            b =>
            {
                b.Button("Set 1").Click();
                b.SeeText(".reading", "A past set");
            }
        ),
        new("ladder", $"{Longbow}/paper?way=ladder", ".ladder", _ => { }),
        new("learned response", $"{Compound}/paper?way=learned", "[data-testid=learned] .learned", _ => { }),
        new("nock tune", $"{Recurve}/paper?way=nocks", ".nock-list", _ => { }),
        new("finished session", $"{Barebow}/paper", ".move-box", _ => { }),
        new("recurve paper", $"{Recurve}/paper", ".move-box", _ => { }),
        new("groups to come", $"{Compound}/groups", "h1", _ => { }),
        new("story to come", $"{Compound}/story", "h1", _ => { }),
        new("words", "/glossary", ".glossary", _ => { }),
        new("keys", "/", ".rack h2", b => b.IfWide("[aria-label='Keys and words']", () => b.See(".keys"))),
    ];

    /// <summary>States of a bench on which nothing was entered yet.</summary>
    public static IReadOnlyList<View> Empty { get; } =
    [
        new("empty rack", "/", ".rack h2", _ => { }),
        new("first bow", "/bows/new", ".adjusters li", _ => { }),
        new(
            "first bow, refused",
            "/bows/new",
            ".adjusters li",
            b =>
            {
                b.Button("Keep this bow").Click();
                b.See(".field.wrong");
            }
        ),
        new("no such bow", "/bows/99999999-0000-4000-8000-000000000000/bow", "h1", _ => { }),
        new("catalogue as it ships", "/catalogue", ".catalogue-grid tbody tr", _ => { }),
    ];

    public static View Of(string name) => Demo.Concat(Empty).First(v => v.Name == name);

    /// <summary>Opens a state from nothing: what an earlier one left half entered is forgotten.</summary>
    public static void Open(Screen screen, View view, bool openThings = true)
    {
        screen.Driver.ExecuteScript(
            "Object.keys(localStorage).filter(k => /^merganser-(mark|bow|checks|arrow)/.test(k)).forEach(k => localStorage.removeItem(k))"
        );
        screen.Go(view.Path);
        screen.See(view.First);
        if (openThings)
        {
            view.Open(screen);
        }
    }
}

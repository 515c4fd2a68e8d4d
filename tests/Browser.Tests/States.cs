using static Merganser.Browser.Tests.StateSteps;

namespace Merganser.Browser.Tests;

/// <summary>
/// A state of the interface by its name: where it is, what is seen there first, and how it is opened from there.
/// </summary>
public sealed record State(string Name, string Path, string First, Action<Screen> Open)
{
    public State(string name, string path, string first)
        : this(name, path, first, _ => { }) { }

    public override string ToString() => Name;
}

/// <summary>
/// Every state that the tests of layout, of the keyboard and of access go through: a new one is one line here.
/// </summary>
public static class States
{
    public const string Compound = "/bows/22222222-0000-4000-8000-000000000001";
    public const string Recurve = "/bows/22222222-0000-4000-8000-000000000002";
    public const string Barebow = "/bows/22222222-0000-4000-8000-000000000003";
    public const string Hunter = "/bows/22222222-0000-4000-8000-000000000005";
    public const string Longbow = "/bows/22222222-0000-4000-8000-000000000004";
    public const string Arrow = Compound + "/arrow?arrow=33333333-0000-4000-8000-000000000001";

    private const string Paper = Compound + "/paper";
    private const string Measures = Compound + "/bow?way=measures";
    private const string Adjusters = "[data-testid=adjusters] li";
    private const string Advice = "[data-testid=advice]";
    private const string Check = "[data-testid=check]";
    private const string Figures = "[data-testid=figures]";
    private const string First = "[data-asked=kind]";
    private const string Rack = "[data-testid=rack] h2";
    private const string Wrong = "[aria-invalid=true]";
    private const string Dialog = "[role=dialog]";
    private const string Story = "[data-testid=story] li";
    private const string Season = "/bows/22222222-0000-4000-8000-000000000006";
    private const string Row = "main tbody tr";

    /// <summary>States of the demo bench.</summary>
    public static IReadOnlyList<State> Demo { get; } =
    [
        new("start", "/", Rack),
        new("start, the job in order", "/", Rack, IfThere("[data-testid=stops]", "[role=dialog] nav")),
        new("keys", "/", Rack, IfThere("[aria-label='Keys and words']", "[role=dialog] kbd")),
        new("words", "/glossary", "[data-testid=words-of-the-trade]"),
        new("new bow", "/bows/new", Adjusters),
        new("new bow, refused", "/bows/new", Adjusters, Press("Keep this bow", Wrong)),
        new("bow", Measures, "[data-testid=adjusters] svg"),
        new("bow, unfolded", Measures, "[data-testid=adjusters] svg", screen => screen.Unfold("main")),
        new("bow with a word open", Measures, "[data-term]", Click("[data-term]", Dialog)),
        new("bow, changed in two places", Measures, "[data-testid=adjusters] svg", Conflict),
        new("work order", $"{Compound}/bow?check=centreShot", Check),
        new(
            "work order, a pick",
            $"{Compound}/bow?check=restTiming",
            Check,
            Click("[data-adjuster=yokePair]", MoveForm)
        ),
        new("work order, an odd reading", $"{Compound}/bow?check=braceHeight", Check, OddReading),
        new("work order, a check left", $"{Compound}/bow?check=peep", Check, Press("Leave it with a reason", Check)),
        new("work order of a recurve", $"{Recurve}/bow?check=inspection", Check),
        new("work order of a longbow", $"{Longbow}/bow?check=tiller", Check),
        new(
            "history",
            $"{Compound}/bow?way=history",
            "[data-testid=good-state]",
            Click("[data-undo]", "main [role=group]")
        ),
        new("bow, pockets asked for their way", $"{Compound}/bow?way=measures", Adjusters, Pockets),
        new("something is wrong", $"{Compound}/bow?way=wrong", "[data-trouble-kind]"),
        new("something is wrong, a tear", $"{Compound}/bow?way=wrong&trouble=tearStays", "[data-step]"),
        new("string", $"{Compound}/bow?way=string", "[data-testid=shots-on-string]"),
        new("sights", $"{Compound}/bow?way=sights", "main td"),
        new("crawls", $"{Barebow}/bow?way=crawls", "[data-testid=crawls] tr"),
        new("draw board", $"{Compound}/bow?way=board", "[data-testid=board-words]"),
        new("card", $"{Compound}/bow?way=card", "main table"),
        new("arrow", Arrow, Figures),
        new("arrow of a longbow", $"{Longbow}/arrow", Figures),
        new("arrow, other ways", Arrow, Figures, Press("Compare, charts", "[role=menu]")),
        new("arrow, a part picked", Arrow, Figures, Click("[name=pointId]", "[role=listbox]")),
        new("arrow with a working", Arrow, Figures, Click("[data-figure=frontOfCenter]", Dialog)),
        new("arrow, units", Arrow, Figures, IfThere("[aria-label^=Units]", "[role=dialog] [aria-label=Lengths]")),
        new("arrow, an entry that cannot be", $"{Barebow}/arrow", Figures, NoLength),
        new("ask", Arrow, "[data-tries]", Press("Ask for a value", "[name=wantedValue]", "Ask", "[data-testid=asked]")),
        new("compare", Arrow + "&way=compare", "main table"),
        new("weights", Arrow + "&way=weights", "[data-testid=weights]", Press("Field and 3D", "[data-testid=schools]")),
        new("chart", Arrow + "&way=chart", "[data-testid=spine-chart]"),
        new("versions", Arrow + "&way=versions", "main ol li"),
        new("catalogue", "/catalogue?kind=shaft", Row),
        new(
            "catalogue, a part open",
            "/catalogue?kind=point",
            Row,
            Click("main tbody th button", "[aria-label='The part']")
        ),
        new("catalogue, columns", "/catalogue?kind=nock", Row, Press("Columns", Dialog)),
        new("catalogue, import preview", "/catalogue?kind=wrap", Row, Import),
        new("new dozen", $"{Longbow}/dozen", "h1"),
        new("weigh in", $"{Compound}/dozen?way=weigh&class=Point", "[data-testid=live]"),
        new("spin", $"{Compound}/dozen?way=spin", "[data-testid=shafts] li"),
        new(
            "spin with a dial",
            $"{Compound}/dozen?way=spin",
            "[data-testid=shafts] li",
            Press("Follow the dial", "[data-testid=put-dial]")
        ),
        new("match", $"{Recurve}/dozen?way=match", "[data-testid=match-found]"),
        new("build list", $"{Recurve}/dozen?way=tray", "[data-testid=assembly]"),
        new("workshop", $"{Recurve}/dozen?way=workshop", "[data-joint]"),
        new("workshop before a match", $"{Compound}/dozen?way=workshop", "[data-joint]"),
        new("heads", $"{Recurve}/dozen?way=heads", "[data-testid=heads]"),
        new("arrows", $"{Recurve}/dozen?way=quiver", Row),
        new("chronograph", $"{Compound}/bow?way=speed", "[data-testid=speed-words]"),
        new("paper", Paper, Advice),
        new("marking", Paper, Advice, Press("Mark a shot", Sheet)),
        new("marking by typing", Paper, Advice, Press("Mark a shot", Sheet, "Type the place", "[name=right]")),
        new("shot said", Paper, Advice, Press("Mark a shot", Sheet, "Say it", "[data-testid=say-it]")),
        new("shots", Paper, Advice, Press("Shots", "[data-testid=shots]", "Void", "[data-testid=reasons]")),
        new("log a move", Paper, Advice, Press("Log a move", "[data-testid=move-words]")),
        new("new paper", Paper, Advice, Press("New paper", "[aria-label='A new paper']")),
        new("earlier papers", $"{Barebow}/paper?way=papers", "[data-testid=papers] a"),
        new(
            "an earlier paper",
            $"{Barebow}/paper?way=papers",
            "[data-testid=papers] a",
            Click("[data-testid=papers] li:last-child a", "[data-past]")
        ),
        new("past set", Paper, Advice, Press("Set 1", "[data-past]")),
        new("ladder", $"{Longbow}/paper?way=ladder", "[data-testid=ladder]"),
        new("learned response", Paper + "?way=learned", "[data-testid=learned] table"),
        new("nock tune", $"{Recurve}/paper?way=nocks", "[data-testid=nocks]"),
        new("groups", $"{Barebow}/groups", Advice),
        new("groups, a hit marked", $"{Barebow}/groups", Advice, Press("Mark a shot", "[data-testid=marking-sheet]")),
        new("new groups", $"{Compound}/groups", "[aria-label='New groups']"),
        new("broadheads", $"{Hunter}/groups", "[data-testid=head-map]"),
        new(
            "broadheads, a hit marked",
            $"{Hunter}/groups",
            Advice,
            Press("Mark a shot", "[data-testid=marking-sheet]", "Head", "[aria-label='Which head']")
        ),
        new(
            "broadheads, the sight",
            $"{Hunter}/groups",
            "[data-testid=head-map]",
            Click("[data-testid=broadheads] summary", "[name=eyeToPin]")
        ),
        new("walk-back", $"{Hunter}/groups", "[data-testid=head-map]", Press("Set 2", "[data-testid=walks-alone]")),
        new(
            "new walk-back",
            $"{Compound}/groups",
            "[aria-label='New groups']",
            Press("Walk-back, one pin", "[aria-label='New groups']")
        ),
        new(
            "new two ways",
            $"{Compound}/groups",
            "[aria-label='New groups']",
            Press("Two ways compared", "[name=wayKind]")
        ),
        new(
            "new range error",
            $"{Compound}/groups",
            "[aria-label='New groups']",
            Press("Range error", "[aria-label='How wrong the sight is set']")
        ),
        new("trial of points", $"{Compound}/paper?way=trial", "[data-testid=steps]"),
        new(
            "trial of points, unfolded",
            $"{Compound}/paper?way=trial",
            "[data-testid=steps]",
            screen => screen.Unfold("main")
        ),
        new("finder", $"{Arrow}&way=finder", "[data-rank]", Found()),
        new("finder, unfolded", $"{Arrow}&way=finder", "[data-rank]", Found(screen => screen.Unfold("main"))),
        new("finder, pressed in its picture", $"{Arrow}&way=finder", "[data-rank]", Found(Pressed)),
        new("finder, nothing fits", $"{Arrow}&way=finder", "[data-rank]", Found(NothingFits)),
        new("finder, refused", $"{Arrow}&way=finder", "[data-rank]", Found(NoWeight)),
        new("range", $"{Hunter}/groups?way=range", "[data-testid=range-sheet]"),
        new(
            "range, a figure's working",
            $"{Hunter}/groups?way=range",
            "[data-testid=range-sheet]",
            Click("[data-figure=honestRange]", Dialog)
        ),
        new("sight marks", $"{Hunter}/groups?way=range&show=marks", "[data-testid=marks]"),
        new("slopes", $"{Hunter}/groups?way=range&show=slopes", "[data-testid=slopes]"),
        new("what the range stands on", $"{Hunter}/groups?way=range&show=known", "[name=altitude]"),
        new("crawls and gaps", $"{Barebow}/groups?way=range&show=marks", "[data-testid=aims]"),
        new("sizes of groups", $"{Hunter}/groups?way=sizes", "[data-testid=sizes-figures]"),
        new("sizes, none yet", $"{Compound}/groups?way=sizes", "main h1"),
        new("finished session", $"{Barebow}/groups", Advice, Press("I accept this", "[data-testid=go]")),
        new("recurve paper", $"{Recurve}/paper", Advice),
        new("groups to come", $"{Compound}/groups", "h1"),
        new("story", $"{Season}/story", Story),
        new(
            "story, one thing opened",
            $"{Season}/story",
            Story,
            Click("[data-sign=moves] button", "[data-testid=happened]")
        ),
        new(
            "story, what is the same",
            $"{Season}/story",
            Story,
            Press("are the same", "[data-testid=changed] tr.words-muted")
        ),
        new(
            "story, a photograph",
            $"{Season}/story?event=55555555-0000-4000-8000-000000000813-1",
            "[data-testid=photographs] button",
            Click("[data-testid=photographs] button", "[data-testid=large]")
        ),
        new("story, photographs", $"{Season}/story?show=photo", "[data-testid=photographs]"),
        new("photograph, where its sheet lies", $"{Season}/paper", Advice, Photograph),
        new("photograph under the sheet", $"{Season}/paper", Advice, UnderSheet),
        new("story, the last sessions", $"{Season}/story?show=sessions", "[data-testid=sessions] a"),
        new("story, what is due", $"{Season}/story?show=due", "[data-testid=due] a"),
        new("story, the way back", $"{Season}/story?show=back", "[data-testid=way-back] li"),
        new("story, a note refused", $"{Season}/story?show=note", "[data-testid=note]", NoNote),
        new("story, nothing found", $"{Season}/story", Story, NothingFound),
        new("story of one evening", $"{Compound}/story", Story),
        new("range day", "/range-day", "[data-testid=range-day] li", RangeDay),
        new("data and copies, none yet", "/copies", "[data-testid=last-copy]"),
        new(
            "a name to be erased",
            "/copies",
            "[data-testid=people] button",
            Click("[data-testid=people] button", "[role=alert]")
        ),
        new("plan", "/plan", "[data-testid=plan] li"),
        new("plan, adding", "/plan?show=add", "[name=text]"),
        new("plan, refused", "/plan?show=add", "[name=text]", Press("Put it on the plan", Wrong)),
        new("visit, handed over", $"{Season}/visit", Row),
        new("visit, its parts", $"{Season}/visit?show=parts", "[data-testid=parts] td"),
        new("visit, to take home", $"{Season}/visit?show=handover", "[data-testid=hand-over] li"),
        new("visit, none yet", $"{Recurve}/visit", "[name=wants]"),
        new("visit, in work", $"{Longbow}/visit", "[name=wants]", Press("Keep it as found", Row)),
        new("visit, to the next owner", $"{Season}/visit?show=owner", "[name=owner]"),
        new("visits", "/visits", Row),
        new("guide", "/guide", "[data-testid=guide]"),
        new("guide of a hunter", "/guide?for=hunter", "[data-testid=guide]"),
    ];

    /// <summary>States of a bench on which nothing was entered yet.</summary>
    public static IReadOnlyList<State> Empty { get; } =
    [
        new("empty rack", "/", First),
        new("first answers, a hole", "/", First, FirstHole),
        new("first answers, refused", "/", First, FirstRefused),
        new("first bow", "/bows/new", Adjusters),
        new("first bow, refused", "/bows/new", Adjusters, Press("Keep this bow", Wrong)),
        new("data and copies, an empty bench", "/copies", "[data-testid=last-copy]"),
        new("range day, no bow", "/range-day", "h1"),
        new("plan of an empty bench", "/plan", "h1"),
        new("visits, none yet", "/visits", "h1"),
        new("guide of an empty bench", "/guide?for=technician", "[data-testid=guide]"),
        new("no such bow", "/bows/99999999-0000-4000-8000-000000000000/bow", "h1"),
        new("catalogue as it ships", "/catalogue", Row),
    ];

    public static State Of(string name) => Demo.Concat(Empty).First(s => s.Name == name);

    /// <summary>
    /// The first state of each address: what belongs to the page and not to what is open on it is tried there.
    /// </summary>
    public static bool IsFirstOfItsPage(State state) => Demo.Concat(Empty).First(s => s.Path == state.Path) == state;

    /// <summary>
    /// What a quick run looks at: the first of each stop, of whatever bow, and each fourth other. The long one: all.
    /// </summary>
    public static IReadOnlyList<State> Quick(IReadOnlyList<State> of)
    {
        State[] first = [.. of.DistinctBy(s => s.Path.Split('?')[0].Split('/')[^1])];
        return [.. first, .. of.Except(first).Where((_, i) => i % 4 == 0)];
    }

    public static IEnumerable<string> HalfOfDemo(int half) =>
        Quick(Demo).Where((_, i) => i % 2 == half).Select(s => s.Name);

    /// <summary>Goes to where a state begins: what an earlier one left half entered is forgotten.</summary>
    public static void Go(Screen screen, State state)
    {
        screen.Driver.ExecuteScript(
            "Object.keys(localStorage).filter(k => /^merganser-([0-9a-f]{32}-)?(mark|bow|checks|arrow|first|finder)/.test(k)).forEach(k => localStorage.removeItem(k))"
        );
        screen.Go(state.Path);
        screen.See(state.First);
    }

    /// <summary>Opens a state from nothing.</summary>
    public static void Open(Screen screen, State state)
    {
        Go(screen, state);
        state.Open(screen);
    }
}

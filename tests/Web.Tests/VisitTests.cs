using System.Text.Json.Nodes;

namespace Merganser.Web.Tests;

/// <summary>A bow at a shop: as found, what was done, what it cost, and what goes home with it.</summary>
public class VisitTests
{
    private const string Visits = "/api/bows/" + App.Brindle + "/visits";
    private const string Whimbrel = "/api/bows/22222222-0000-4000-8000-000000000006";

    private static async Task<string> Begin(App app, string wants = "It tears left")
    {
        var id = App.NewId();
        (await app.Post(Visits, new { id, wants })).Status.ShouldBe(200);
        return id;
    }

    private static async Task Move(App app, int to) =>
        (
            await app.Post(
                $"/api/bows/{App.Brindle}/moves",
                new
                {
                    id = App.NewId(),
                    adjuster = "restSideways",
                    to,
                    note = "",
                }
            )
        ).Status.ShouldBe(200);

    private static string Cell(JsonNode view, string name, string column) =>
        (string)view["shown"]!["rows"]!.AsArray().Single(r => (string)r!["name"]! == name)![column]!;

    [Fact]
    public async Task As_found_stays_as_it_was_whatever_is_done_or_taken_back_later()
    {
        using var app = new App();
        await Begin(app);
        var found = Cell(await app.Get(Visits), "Rest in/out", "then");
        await Move(app, 5);
        var view = await app.Get(Visits);
        (Cell(view, "Rest in/out", "then"), Cell(view, "Rest in/out", "now")).ShouldBe((found, "5 clicks right (in)"));
        view["shown"]!["handOver"]!["done"]!.AsArray().Count.ShouldBe(1);
        ((string)view["next"]!["action"]!).ShouldBe("handover");
        view["shown"]!["events"]!.AsArray().ShouldContain(e => (string)e!["sign"]! == "moves");

        // A check that stood as found is withdrawn: it was found all the same.
        var brace = Cell(view, "Brace height", "then");
        var check = (await app.Get($"/api/bows/{App.Brindle}/setup"))["checks"]!
            .AsArray()
            .Single(c => (string)c!["kind"]! == "braceHeight")!;
        var withdrawn = await app.Post($"/api/bows/{App.Brindle}/withdrawals/{check["last"]!["id"]}", new { });
        withdrawn.Status.ShouldBe(200);
        Cell(await app.Get(Visits), "Brace height", "then").ShouldBe(brace);
    }

    [Fact]
    public async Task It_is_handed_over_once_and_the_card_stays_as_it_was()
    {
        using var app = new App();
        var visit = await Begin(app);
        await Move(app, 5);
        const string on = "2026-12-23";
        var over = new { watch = "Tell us if the rest clicks.", nextOn = on };
        var (status, view) = await app.Post($"{Visits}/{visit}/hand-over", over);
        status.ShouldBe(200);
        var card = view["shown"]!["handOver"]!.ToJsonString();
        await Move(app, 9);
        await app.Post($"/api/bows/{App.Brindle}/shots", new { id = App.NewId(), count = 60 });
        (await app.Post($"{Visits}/{visit}/hand-over", over)).Status.ShouldBe(200);
        var after = (await app.Get(Visits))["shown"]!;
        after["handOver"]!.ToJsonString().ShouldBe(card);
        ((string)after["line"]!["nextOn"]!, (string)after["watch"]!).ShouldBe((on, "Tell us if the rest clicks."));
        (await app.Get("/api/plan"))["lines"]!.AsArray().ShouldContain(l => (string)l!["what"]! == "Visit 2");

        var line = new
        {
            id = App.NewId(),
            kind = "part",
            text = "Late",
        };
        (await app.Post($"{Visits}/{visit}/lines", line)).Status.ShouldBe(400);

        // The next visit starts from how this one left.
        await Begin(app, "Again");
        var second = (await app.Get(Visits))["shown"]!;
        second["since"]!
            .AsArray()
            .Select(r => $"{r!["name"]}: {r["then"]} to {r["now"]}")
            .ShouldContain("Rest in/out: 5 clicks right (in) to 9 clicks right (in)");
        (await app.Post(Visits, new { id = App.NewId(), wants = "third" })).Status.ShouldBe(400);
        var story = (await app.Get($"/api/bows/{App.Brindle}/story"))["events"]!.AsArray();
        story.ShouldContain(e => (string)e!["words"]! == "Visit 1: it was handed over");
    }

    [Fact]
    public async Task Parts_and_labour_are_added_up_taken_back_and_carried_over()
    {
        using var app = new App();
        var lines = $"{Visits}/{await Begin(app)}/lines";
        var part = new
        {
            id = App.NewId(),
            kind = "part",
            text = "Loop cord",
            quantity = "2",
            price = "3,25",
        };
        await app.Post(lines, part);
        (await app.Post(lines, part)).Status.ShouldBe(200);
        var (_, view) = await app.Post(
            lines,
            new
            {
                id = App.NewId(),
                kind = "carried",
                text = "Sight",
                fromBowId = "22222222-0000-4000-8000-000000000006",
            }
        );
        ((double)view["shown"]!["sum"]!, view["shown"]!["lines"]!.AsArray().Count).ShouldBe((6.5, 2));
        ((string)view["shown"]!["lines"]![1]!["fromBow"]!).ShouldBe("Whimbrel");
        var back = await app.Send(HttpMethod.Delete, $"{lines}/{part.id}", null);
        back.Status.ShouldBe(200);
        back.Body["shown"]!["sum"].ShouldBeNull();
        var own = new
        {
            id = App.NewId(),
            kind = "carried",
            text = "Rest",
            fromBowId = App.Brindle,
        };
        (await app.Post(lines, own)).Status.ShouldBe(400);
        (
            await app.Post(
                lines,
                new
                {
                    id = App.NewId(),
                    kind = "part",
                    text = "x",
                    price = "-1",
                }
            )
        ).Status.ShouldBe(400);
    }

    [Fact]
    public async Task The_facts_of_a_part_that_came_over_are_put_on_the_bow_when_asked_and_once()
    {
        using var app = new App();
        var visit = await Begin(app);
        const string tidewrack = "22222222-0000-4000-8000-000000000005";
        await app.Post(
            $"/api/papers/{(await app.NewestPaper(tidewrack))["id"]}/sight",
            new
            {
                id = App.NewId(),
                eyeToPin = "31",
                click = ".004",
            }
        );
        var lines = new Dictionary<string, string> { ["Rest"] = App.NewId(), ["Sight"] = App.NewId() };
        foreach (var (text, id) in lines)
        {
            await app.Post(
                $"{Visits}/{visit}/lines",
                new
                {
                    id,
                    kind = "carried",
                    text,
                    fromBowId = tidewrack,
                }
            );
        }

        string[] Brings(JsonNode view) =>
            [
                .. view["shown"]!["lines"]!
                    .AsArray()
                    .SelectMany(l => l!["brings"]!.AsArray())
                    .Select(f => $"{f!["name"]}: {f["here"]} → {f["there"]}"),
            ];
        Brings(await app.Get(Visits))
            .ShouldBe([
                "The rest: drop-away, drops late → drop-away, drops early",
                "One click of the sight: not on record → 0.0040 in",
            ]);
        var before = await app.Get($"/api/bows/{App.Brindle}");
        ((string)before["bow"]!["restType"]!).ShouldBe("dropAwayLate");
        foreach (var id in lines.Values.Concat(lines.Values))
        {
            (await app.Post($"{Visits}/{visit}/lines/{id}/facts", new { })).Status.ShouldBe(200);
        }

        var after = await app.Get($"/api/bows/{App.Brindle}");
        ((string)after["bow"]!["restType"]!).ShouldBe("dropAwayEarly");
        ((int)after["version"]!).ShouldBe((int)before["version"]! + 2);
        Brings(await app.Get(Visits)).ShouldBeEmpty();
        (await app.Post($"{Visits}/{visit}/lines/{App.NewId()}/facts", new { })).Status.ShouldBe(404);
        (await app.Post($"{Visits}/{visit}/hand-over", new { watch = "" })).Status.ShouldBe(200);
        (await app.Post($"{Visits}/{visit}/lines/{lines["Rest"]}/facts", new { })).Status.ShouldBe(400);
    }

    [Fact]
    public async Task The_demos_visit_went_home_with_a_new_string()
    {
        using var app = new App();
        var shown = (await app.Get($"{Whimbrel}/visits"))["shown"]!;
        shown["handOver"]!["done"]!.AsArray().Select(d => (string)d!).ShouldContain("A new string was put on.");
        ((double)shown["sum"]!).ShouldBe(155.5);
        var all = (await app.Get("/api/visits"))["visits"]!.AsArray();
        all.Select(v => (string)v!["bow"]!).ShouldBe(["Whimbrel"]);
        (await app.Get("/api/visits?find=nobody"))["visits"]!.AsArray().ShouldBeEmpty();
    }

    [Fact]
    public async Task A_bow_goes_to_its_next_owner_with_its_record()
    {
        using var app = new App();
        var before = await Told(app);
        var hand = new { id = App.NewId(), name = "Orla Sundrey" };
        (await app.Post($"{Whimbrel}/owner", hand)).Status.ShouldBe(200);
        (await app.Post($"{Whimbrel}/owner", hand)).Status.ShouldBe(200);
        var events = (await app.Get($"{Whimbrel}/story"))["events"]!.AsArray();
        ((string)events[0]!["words"]!, await Told(app)).ShouldBe(("It went to Orla Sundrey", before + 1));
        var rack = (await app.Get("/api/rack"))["bows"]!.AsArray();
        rack.ShouldContain(b => (string)b!["archerName"]! == "Orla Sundrey");
        var own = new { id = App.NewId(), archerId = hand.id };
        (await app.Post($"{Whimbrel}/owner", own)).Status.ShouldBe(400);
    }

    [Fact]
    public async Task A_name_that_is_erased_is_nowhere_in_the_file()
    {
        using var app = new App();
        var archers = await app.Get("/api/archers");
        var ada = archers.AsArray().Single(a => (string)a!["id"]! == App.Ada)!;
        var name = (string)ada["archer"]!["name"]!;
        await app.Get("/api/rack");
        Bytes(app).ShouldContain(name);
        (await app.Post($"/api/archers/{App.Ada}/erase-name", new { })).Status.ShouldBe(428);
        var (status, erased) = await app.Send(
            HttpMethod.Post,
            $"/api/archers/{App.Ada}/erase-name",
            null,
            $"\"{ada["version"]}\""
        );
        status.ShouldBe(200);
        ((string)erased["archer"]!["name"]!).ShouldBe("archer 1");
        Bytes(app).ShouldNotContain(name);
        var bow = (await app.Get("/api/rack"))["bows"]!.AsArray().Single(b => (string)b!["id"]! == App.Brindle)!;
        ((string)bow["archerName"]!).ShouldBe("archer 1");
        (await app.Get($"/api/bows/{App.Brindle}/story"))["events"]!.AsArray().ShouldNotBeEmpty();
    }

    /// <summary>How many things the story of a bow tells.</summary>
    private static async Task<int> Told(App app) =>
        (await app.Get($"{Whimbrel}/story/answers"))["counts"]!.AsArray().Sum(c => (int)c!["count"]!);

    /// <summary>The data file with its log, as letters.</summary>
    private static string Bytes(App app) =>
        string.Concat(
            new[] { app.File, $"{app.File}-wal" }
                .Where(File.Exists)
                .Select(f =>
                {
                    using var stream = new FileStream(f, FileMode.Open, FileAccess.Read, FileShare.ReadWrite);
                    using var text = new StreamReader(stream, System.Text.Encoding.Latin1);
                    return text.ReadToEnd();
                })
        );
}

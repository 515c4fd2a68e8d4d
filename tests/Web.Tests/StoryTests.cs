using System.Text.Json.Nodes;

namespace Merganser.Web.Tests;

/// <summary>A bow's story: everything in the order in which it happened, and what it answers.</summary>
public class StoryTests
{
    private const string Season = "/api/bows/22222222-0000-4000-8000-000000000006";
    private const string Compound = "/api/bows/" + App.Brindle;

    private static IEnumerable<JsonNode> Events(JsonNode page) => page["events"]!.AsArray().Select(e => e!);

    private static string Words(JsonNode happened) => (string)happened["words"]!;

    [Fact]
    public async Task A_season_is_told_the_newest_first_and_counted_by_sign()
    {
        using var app = new App();
        var events = Events(await app.Get($"{Season}/story")).ToArray();
        var times = events.Select(e => (DateTimeOffset)e["at"]!).ToArray();
        times.ShouldBe(times.OrderDescending());
        string[] told =
        [
            "Set 2, 3 yd bare: tail left",
            "Cam lean at rest: ",
            "Check at 100 fell due",
            "Range day, 48 shots",
            "276 ft/s, 5 shots",
            "Shore 400: 8 arrows matched",
            "Shore 400, version 2: cut to 28.25 in, point 100 gr",
            "Hung by the stove in the club hut overnight.",
            "40 yd sight: spread",
            "Paper accepted",
            "New string",
        ];
        foreach (var words in told)
        {
            events.ShouldContain(e => Words(e).Contains(words), words);
        }

        var counts = (await app.Get($"{Season}/story/answers"))["counts"]!.AsArray();
        foreach (var count in counts)
        {
            var of = Events(await app.Get($"{Season}/story?signs={count!["sign"]}")).ToArray();
            of.Count(e => !((string)e["id"]!).StartsWith("due-")).ShouldBe((int)count["count"]!);
            of.ShouldAllBe(e => (string)e["sign"]! == (string)count["sign"]!);
        }
    }

    /// <summary>What the shots of each set and each entry say, added up, is what the string says.</summary>
    [Fact]
    public async Task Shots_on_the_string_stand_beside_each_thing()
    {
        using var app = new App();
        var events = Events(await app.Get($"{Season}/story")).Reverse().ToArray();
        var fresh = Array.FindIndex(events, e => Words(e) == "New string");
        foreach (var part in new[] { events[..fresh], events[fresh..] })
        {
            var shots = part.Select(e => (int)e["shots"]!).ToArray();
            shots.ShouldBe(shots.Order());
        }

        ((int)events[fresh - 1]["shots"]!).ShouldBeGreaterThan(60);
        ((int)events[fresh]["shots"]!).ShouldBe(0);
        var due = events.Single(e => ((string)e["id"]!).StartsWith("due-"));
        ((string)due["tone"]!, (string)due["beside"]!).ShouldBe(("due", "not done"));
    }

    /// <summary>Of a set whose every shot was voided nothing was read: the one before it is what shows.</summary>
    [Fact]
    public async Task A_set_of_which_every_shot_was_voided_shows_nothing()
    {
        using var app = new App();
        var paper = await app.Get("/api/papers/55555555-0000-4000-8000-000000000813");
        foreach (var shot in paper["sets"]!.AsArray()[^1]!["shots"]!.AsArray())
        {
            var mark = new
            {
                id = App.NewId(),
                @void = true,
                reason = "pulled",
            };
            (await app.Post($"/api/shots/{shot!["id"]}/marks", mark)).Status.ShouldBe(200);
        }

        var rows = (await app.Get($"{Season}/story/answers"))["two"]!["rows"]!.AsArray();
        ((string)rows.Single(r => (string)r!["name"]! == "Tear, bare")!["now"]!).ShouldStartWith("1.19 in left");
    }

    [Fact]
    public async Task A_move_says_what_it_did()
    {
        using var app = new App();
        var move = Events(await app.Get($"{Season}/story?signs=moves")).First(e => Words(e).Contains("yoke"));
        var details = move["details"]!.AsArray().ToDictionary(d => (string)d!["name"]!, d => (string)d!["told"]!);
        details["Before it"].ShouldStartWith("set 1: tail left 1.19 in");
        details["After it"].ShouldStartWith("set 2: tail left 0.79 in");
    }

    [Theory]
    [InlineData("yoke", 2)]
    [InlineData("STOVE", 1)]
    [InlineData("276", 1)]
    [InlineData("April 2026", 6)]
    [InlineData("nothing of the kind", 0)]
    public async Task Words_numbers_and_days_are_found(string find, int least)
    {
        using var app = new App();
        var hits = Events(await app.Get($"{Season}/story?find={find}")).Count();
        (least == 0 ? hits == 0 : hits >= least).ShouldBeTrue($"{hits} hits");
    }

    [Fact]
    public async Task A_page_ends_where_the_one_before_it_begins()
    {
        using var app = new App();
        for (var i = 0; i < 40; i++)
        {
            var note = new { id = App.NewId(), text = $"note {i}" };
            (await app.Post($"{Compound}/story/notes", note)).Status.ShouldBe(200);
        }

        var first = await app.Get($"{Compound}/story?signs=notes");
        Events(first).Count().ShouldBe(30);
        var before = Uri.EscapeDataString((string)first["earlier"]!);
        var rest = await app.Get($"{Compound}/story?signs=notes&before={before}");
        Events(first).Concat(Events(rest)).Select(Words).Distinct().Count().ShouldBe(40);
        rest["earlier"].ShouldBeNull();
        Events(await app.Get($"{Compound}/story?find=note 3")).Select(Words).ShouldContain("note 39");
    }

    /// <summary>The older, the farther apart: each page looks far enough back.</summary>
    [Fact]
    public async Task A_page_looks_as_far_back_as_it_must()
    {
        using var app = new App();
        var now = DateTimeOffset.Parse("2026-11-23T18:00:00Z", System.Globalization.CultureInfo.InvariantCulture);
        for (var i = 0; i < 70; i++)
        {
            var happenedAt = now.AddDays(-i * i / 2.0);
            var change = new
            {
                id = App.NewId(),
                change = "newServing",
                note = $"{i}",
                happenedAt,
            };
            (await app.Post($"{Compound}/changes", change)).Status.ShouldBe(200);
        }

        List<string> notes = [];
        for (var before = ""; ; )
        {
            var page = await app.Get($"{Compound}/story?signs=setup{before}");
            notes.AddRange(Events(page).Select(e => (string?)e["note"] ?? "").Where(n => int.TryParse(n, out _)));
            if ((string?)page["earlier"] is not { } earlier)
            {
                break;
            }

            before = $"&before={Uri.EscapeDataString(earlier)}";
        }

        notes.ShouldBe(Enumerable.Range(0, 70).Select(i => $"{i}"));
    }

    [Fact]
    public async Task What_changed_since_it_shot_well_names_what_can_do_what_the_paper_shows()
    {
        using var app = new App();
        var answers = await app.Get($"{Season}/story/answers");
        var two = answers["two"]!;
        ((bool)two["thenWell"]!).ShouldBeTrue();
        ((string)two["verdict"]!).ShouldBe("2 of 8 changes can turn the tail left: cam lean at rest and fit");
        ((string)two["cannotTell"]!).ShouldContain("cannot tell them apart");
        var rows = two["rows"]!.AsArray().ToDictionary(r => (string)r!["name"]!, r => r!);
        ((string)rows["Yoke pair"]["can"]!).ShouldBe("against", "it was the cure");
        ((string)rows["Rest up/down"]["beside"]!).ShouldBe("height only");
        ((string)rows["Shots on the string"]["beside"]!).ShouldBe("check missed");
        ((bool)rows["Draw weight"]["differs"]!).ShouldBeFalse();
        ((string)answers["next"]!["sentence"]!).ShouldContain("earlier arrows");
        answers["sessions"]!.AsArray().Count.ShouldBe(3);
        ((string)answers["strip"]!["gap"]!).ShouldBe("no paper for 122 days, 119 shots");
        ((string)answers["due"]![0]!["what"]!).ShouldContain("100 shots");
    }

    [Fact]
    public async Task Two_days_of_ones_own_are_compared()
    {
        using var app = new App();
        var two = (await app.Get($"{Season}/story/answers?then=2026-05-01T00:00:00Z&now=2026-07-30T00:00:00Z"))["two"]!;
        var rows = two["rows"]!.AsArray().ToDictionary(r => (string)r!["name"]!, r => r!);
        ((string)rows["Shots on the string"]["change"]!).ShouldBe("new string");
        ((string)rows["Rest in/out"]["then"]!, (string)rows["Rest in/out"]["now"]!).ShouldBe(
            ("2 clicks right (in)", "4 clicks right (in)")
        );
        ((string)rows["Tear, bare"]["beside"]!).ShouldBe("at 3 yd, 6 yd");
    }

    [Fact]
    public async Task The_way_back_is_logged_at_once_and_only_from_where_it_was_seen()
    {
        using var app = new App();
        var two = (await app.Get($"{Season}/story/answers"))["two"]!;
        object[] moves =
        [
            .. two["wayBack"]!
                .AsArray()
                .Select(m => new
                {
                    adjuster = (string)m!["kind"]!,
                    from = (double)m["from"]!,
                    to = (double)m["to"]!,
                }),
        ];
        moves.Length.ShouldBe(2);
        var stale = new
        {
            id = App.NewId(),
            then = (string)two["then"]!,
            moves = new[]
            {
                moves[0],
                new
                {
                    adjuster = "restHeight",
                    from = 7.0,
                    to = 0.0,
                },
            },
        };
        (await app.Post($"{Season}/story/back", stale)).Status.ShouldNotBe(200);
        (await app.Get($"{Season}/story/answers"))["two"]!["wayBack"]!.AsArray().Count.ShouldBe(2, "all or none");
        var back = new
        {
            id = App.NewId(),
            then = (string)two["then"]!,
            moves,
        };
        var (status, body) = await app.Post($"{Season}/story/back", back);
        status.ShouldBe(200);
        body["two"]!["wayBack"]!.AsArray().ShouldBeEmpty();
        (await app.Post($"{Season}/story/back", back)).Status.ShouldBe(200, "the same again changes nothing");
        (await app.Get(Season))["adjusters"]!.AsArray().Single(a => (string)a!["kind"]! == "restHeight")!["position"]!
            .GetValue<double>()
            .ShouldBe(0);
    }

    [Fact]
    public async Task A_note_is_kept_once_and_taken_back_and_stays_on_record()
    {
        using var app = new App();
        var note = new
        {
            id = App.NewId(),
            text = " Peep slipped ",
            by = App.Ada,
        };
        (await app.Post($"{Compound}/story/notes", note)).Status.ShouldBe(200);
        var kept = Events((await app.Post($"{Compound}/story/notes", note)).Body)
            .Where(e => (string)e["sign"]! == "notes")
            .ToArray()
            .ShouldHaveSingleItem();
        (Words(kept), (string)kept["beside"]!).ShouldBe(("Peep slipped", "Maren Holmsund"));
        (await app.Post($"{Compound}/story/notes", new { id = App.NewId(), text = " " })).Body["errors"]!
            ["text"]
            .ShouldNotBeNull();
        var other = new { note.id, text = "another" };
        (await app.Post($"{Compound}/story/notes", other)).Status.ShouldBe(409);
        (await app.Send(HttpMethod.Delete, $"{Season}/story/notes/{note.id}", null)).Status.ShouldBe(404);
        (await app.Send(HttpMethod.Delete, $"{Compound}/story/notes/{note.id}", null)).Status.ShouldBe(200);
        Events(await app.Get($"{Compound}/story?signs=notes")).ShouldBeEmpty();
        app.Database.Read(sql => sql.Scalar<int>("SELECT count(*) FROM story_note")).ShouldBeGreaterThan(1);
    }

    [Theory]
    [InlineData("story?signs=weather")]
    [InlineData("story/answers?then=yesterday")]
    public async Task What_cannot_be_is_refused(string path)
    {
        using var app = new App();
        using var answer = await app.Http.GetAsync($"{Compound}/{path}");
        ((int)answer.StatusCode).ShouldBe(400);
    }

    [Fact]
    public async Task An_empty_story_says_how_it_begins()
    {
        using var app = new App();
        var id = App.NewId();
        await app.Post("/api/bows", App.BowBody(id));
        Events(await app.Get($"/api/bows/{id}/story")).ShouldBeEmpty();
        var answers = await app.Get($"/api/bows/{id}/story/answers");
        ((string)answers["next"]!["action"]!).ShouldBe("bow");
        answers["two"]!["then"].ShouldBeNull();
    }
}

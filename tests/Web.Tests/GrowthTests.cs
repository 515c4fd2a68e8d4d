using System.Text.Json.Nodes;
using Dapper;

namespace Merganser.Web.Tests;

/// <summary>What an answer asks of the data file does not grow with the papers that a bow has had.</summary>
public class GrowthTests
{
    private const string Bow = "/api/bows/" + App.Brindle;

    /// <summary>The papers that teach the next one; more are not read for it.</summary>
    private const int Teaching = 6;

    [Fact]
    public async Task As_many_statements_after_fourteen_papers_as_after_eight()
    {
        using var app = new App();
        await Shoot(app, Teaching + 2);
        var few = await Costs(app);
        await Shoot(app, Teaching);
        (await Costs(app)).ShouldBe(few);
        few.Sum().ShouldBeGreaterThan(0);
    }

    /// <summary>A bow that nothing was written about is not read again for the rack.</summary>
    [Fact]
    public async Task The_rack_reads_only_what_was_written_about()
    {
        using var app = new App();
        await app.Get("/api/rack");
        (await CostOf(app, "/api/rack")).ShouldBe(1);
        (string Path, object Body)[] acts =
        [
            (
                $"{Bow}/checks",
                new
                {
                    id = App.NewId(),
                    kind = "braceHeight",
                    typed = "6.5",
                    confirmed = true,
                }
            ),
            ($"{Bow}/changes", new { id = App.NewId(), change = "newString" }),
            ($"{Bow}/shots", new { id = App.NewId(), count = 12 }),
            (
                $"{Bow}/moves",
                new
                {
                    id = App.NewId(),
                    adjuster = "restHeight",
                    to = 3,
                }
            ),
            (
                $"{Bow}/checks",
                new
                {
                    id = App.NewId(),
                    kind = "inspection",
                    choice = "damaged",
                }
            ),
        ];
        foreach (var (path, body) in acts)
        {
            (await app.Post(path, body)).Status.ShouldBe(200, path);
            var kept = (await app.Get("/api/rack")).ToJsonString();
            app.Database.Write(sql => sql.Execute("DELETE FROM rack_line"));
            (await app.Get("/api/rack")).ToJsonString().ShouldBe(kept, path);
        }
    }

    /// <summary>A whole number of pages offers no empty page beyond.</summary>
    [Fact]
    public async Task A_list_says_whether_there_is_more()
    {
        using var app = new App();
        async Task<JsonNode> Changes(string before = "") => await app.Get($"{Bow}/changes{before}");
        var there = (await Changes())["changes"]!.AsArray().Count;
        for (var i = there; i < 10; i++)
        {
            (await app.Post($"{Bow}/changes", new { id = App.NewId(), change = "newServing" })).Status.ShouldBe(200);
        }

        (await Changes())["changes"]!.AsArray().Count.ShouldBe(10);
        ((int?)(await Changes())["earlier"]).ShouldBeNull();
        (await app.Post($"{Bow}/changes", new { id = App.NewId(), change = "newServing" })).Status.ShouldBe(200);
        var earlier = (int?)(await Changes())["earlier"];
        (await Changes($"?before={earlier}"))["changes"]!.AsArray().Count.ShouldBe(1);
        ((int?)(await Changes($"?before={earlier}"))["earlier"]).ShouldBeNull();
    }

    /// <summary>A paper that is gone on with after a season does not carry the season.</summary>
    [Fact]
    public async Task A_paper_shows_the_newest_moves_and_notes_between_two_sets_and_counts_the_others()
    {
        using var app = new App();
        var paper = await app.Shoot(await app.StartPaper(), 0, .8);
        for (var i = 0; i < 30; i++)
        {
            var move = new
            {
                id = App.NewId(),
                adjuster = "restHeight",
                to = i % 2 == 0 ? -20 : -18,
            };
            (await app.Post($"{Bow}/moves", move)).Status.ShouldBe(200);
            var note = new { id = App.NewId(), note = $"note {i}" };
            (await app.Post($"/api/papers/{(string)paper["id"]!}/notes", note)).Status.ShouldBe(200);
        }

        paper = await app.Shoot(paper, 0, .1);
        var sets = paper["sets"]!.AsArray();
        ((int)sets[1]!["movesNotShown"]! + sets[1]!["movesBefore"]!.AsArray().Count).ShouldBe(30);
        sets[1]!["movesBefore"]!.AsArray().Count.ShouldBe(12);
        ((int)sets[1]!["movesBefore"]!.AsArray()[^1]!["to"]!).ShouldBe(-18, "the newest stands last");
        ((string)sets[0]!["notesAfter"]!.AsArray()[^1]!["note"]!).ShouldBe("note 29");
        ((int)sets[0]!["notesNotShown"]!).ShouldBe(18);
    }

    /// <summary>Every table that a bow's answers are read from counts as written about the bow.</summary>
    [Fact]
    public void Every_table_revises_its_bow()
    {
        using var app = new App();
        using var file = app.Database.Open();
        string[] others =
        [
            "SchemaVersions",
            "sqlite_sequence",
            "component",
            "bow_state",
            "paper_day",
            "paper_learned",
            "act",
            "bench",
            "bow_revision",
            "rack_line",
            "shots_total",
            "range_guess",
            "glue_sheet",
            "import_mapping",
            "picture_bytes",
            "bin",
        ];
        file.Query<string>(
                """
                SELECT name FROM sqlite_master t WHERE type = 'table' AND name <> 'archer' AND NOT EXISTS (
                  SELECT 1 FROM sqlite_master r WHERE r.type = 'trigger' AND r.tbl_name = t.name
                    AND r.sql LIKE '%AFTER INSERT%bow_revision%')
                """
            )
            .Order()
            .ShouldBe(others.Order());
        file.Query<string>(
                "SELECT tbl_name FROM sqlite_master WHERE type = 'trigger' AND sql LIKE '%AFTER UPDATE%bow_revision%'"
            )
            .Order()
            .ShouldBe(["adjuster", "archer", "arrow", "bow", "picture", "reminder", "shot_set"]);
    }

    /// <summary>The totals are what the rows add up to, taken back or not.</summary>
    [Fact]
    public async Task The_shots_of_a_string_are_added_up_as_they_come()
    {
        using var app = new App();
        var taken = App.NewId();
        await app.Post($"{Bow}/shots", new { id = taken, count = 12 });
        await app.Post($"{Bow}/shots", new { id = App.NewId(), count = 30 });
        (await app.Post($"{Bow}/withdrawals/{taken}", null)).Status.ShouldBe(200);
        await app.Post($"{Bow}/changes", new { id = App.NewId(), change = "newString" });
        await app.Post($"{Bow}/shots", new { id = App.NewId(), count = 8 });
        using var file = app.Database.Open();
        file.Query<(string, long, long, long)>(
                "SELECT bow_id, after_change, settling, count FROM shots_total WHERE count <> 0 ORDER BY 1, 2, 3"
            )
            .ShouldBe(
                file.Query<(string, long, long, long)>(
                    """
                    SELECT bow_id, after_change, settling, sum(count) FROM shots_fired
                    WHERE id NOT IN (SELECT entry_id FROM withdrawn) GROUP BY 1, 2, 3 ORDER BY 1, 2, 3
                    """
                )
            );
        var life = (await app.Get($"{Bow}/setup"))["string"]!;
        ((int)life["shots"]!, (int)life["settling"]!, (int)life["settlingLeft"]!).ShouldBe((3, 5, 0));
    }

    /// <summary>Page after page shows each entry once, in one order, and says when there is no more.</summary>
    [Fact]
    public async Task Long_lists_come_page_by_page()
    {
        using var app = new App();
        for (var i = 0; i < 45; i++)
        {
            var to = i % 2 == 0 ? 7 : 8;
            (
                await app.Post(
                    $"{Bow}/moves",
                    new
                    {
                        id = App.NewId(),
                        adjuster = "restHeight",
                        to,
                    }
                )
            ).Status.ShouldBe(200);
            await app.Post(
                $"{Bow}/changes",
                new
                {
                    id = App.NewId(),
                    change = "newLoop",
                    note = $"{i}",
                }
            );
        }

        await Shoot(app, 45);
        var moves = await Pages(app, $"{Bow}/moves", "moves", newestLast: true);
        moves.Select(m => (int)m["ordinal"]!).ShouldBe(Enumerable.Range(1, moves.Count).Reverse());
        ((int)moves[0]["to"]!).ShouldBe(7, "the newest first");
        (await Pages(app, $"{Bow}/changes", "changes"))
            .Select(c => (string)c["note"]!)
            .Take(45)
            .ShouldBe(Enumerable.Range(0, 45).Reverse().Select(i => $"{i}"));
        var papers = await Pages(app, $"{Bow}/papers", "papers");
        papers.Select(p => (string)p["id"]!).Distinct().Count().ShouldBe(46);
        papers.ShouldAllBe(p => (int)p["sets"]! >= 1);
    }

    private static async Task<List<JsonNode>> Pages(App app, string path, string rows, bool newestLast = false)
    {
        List<JsonNode> all = [];
        for (JsonNode? earlier = "", page; earlier is not null; earlier = page["earlier"])
        {
            page = await app.Get($"{earlier}" is { Length: > 0 } before ? $"{path}?before={before}" : path);
            var found = page[rows]!.AsArray().Select(r => r!);
            all.AddRange(newestLast ? found.Reverse() : found);
            page[rows]!.AsArray().Count.ShouldBeLessThanOrEqualTo(10);
        }

        return all;
    }

    private static async Task Shoot(App app, int papers)
    {
        for (var i = 0; i < papers; i++)
        {
            await app.Shoot(await app.StartPaper(), .3, .1);
        }
    }

    private static async Task<long[]> Costs(App app)
    {
        string[] paths =
        [
            "/api/rack",
            Bow,
            $"{Bow}/setup",
            $"{Bow}/papers/newest",
            $"{Bow}/papers",
            $"{Bow}/moves",
            $"{Bow}/changes",
            $"{Bow}/dozens",
            $"{Bow}/arrows",
            $"{Bow}/response",
            $"{Bow}/chronograph",
            $"{Bow}/tolerated",
            $"{Bow}/story",
            $"{Bow}/pictures",
            "/api/bin",
            $"{Bow}/story/answers",
            $"{Bow}/visits",
            "/api/visits",
            "/api/plan",
        ];
        List<long> costs = [];
        foreach (var path in paths)
        {
            _ = await app.Get(path);
            costs.Add(await CostOf(app, path));
        }

        return [.. costs];
    }

    private static async Task<long> CostOf(App app, string path)
    {
        var before = app.Database.Statements;
        _ = await app.Get(path);
        return app.Database.Statements - before;
    }
}

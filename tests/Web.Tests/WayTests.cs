using System.Text.Json.Nodes;
using static Merganser.Web.Tests.PaperJson;

namespace Merganser.Web.Tests;

/// <summary>Two ways, a range error, nock ends and tables of hits over the API.</summary>
public class WayTests
{
    private static object Stage(object? ways, double? rangeError = null, string distance = "20") =>
        new[]
        {
            new
            {
                distance,
                fletched = false,
                atTarget = true,
                ways,
                rangeError,
            },
        };

    private static readonly object Grips = new
    {
        kind = "grip",
        first = " low ",
        second = "high",
    };

    [Fact]
    public async Task Two_ways_are_compared_in_turn_and_stand_after_a_restart()
    {
        using var app = new App();
        var paper = await app.StartPaper(Stage(Grips));
        ((string)paper["plan"]!["stages"]![0]!["words"]!).ShouldBe("20 yd low / high");
        List<string> turns = [];
        for (var i = 0; i < 20; i++)
        {
            var next = (string)paper["sets"]![0]!["ways"]!["next"]!;
            turns.Add(next);
            var wide = next == "second" ? 4 : 1;
            var (x, y) = (wide * Math.Cos(2.4 * i), wide * Math.Sin(2.4 * i) * (1 + (.1 * (i % 3))));
            paper = (await app.Post($"/api/sets/{SetId(paper)}/hits", Hit(x, y, way: next))).Body;
        }

        turns.Take(4).ShouldBe(["first", "second", "second", "first"]);
        var ways = paper["sets"]![0]!["ways"]!;
        ((string)ways["shown"]!).ShouldBe("clear");
        ways["each"]!.AsArray().Select(e => (string)e!["words"]!).ShouldBe(["low, 10", "high, 10"]);
        paper["sets"]![0]!["figures"]!.AsArray().Count.ShouldBe(3);
        Kind(paper).ShouldBe("goodEnough");
        ((string)paper["advice"]!["sentence"]!).ShouldBe("Keep “low”: its groups are tighter.");
        app.Restart();
        (await app.Get($"/api/papers/{Id(paper)}"))["sets"]!.ToJsonString().ShouldBe(paper["sets"]!.ToJsonString());
    }

    [Fact]
    public async Task A_range_error_is_read_from_both_settings_and_stands_after_a_restart()
    {
        using var app = new App();
        var paper = await app.StartPaper(Stage(null, 2, "30"));
        ((string)paper["plan"]!["stages"]![0]!["words"]!).ShouldBe("30 yd ± 2 yd");
        for (var i = 0; i < 6; i++)
        {
            var next = (double)paper["sets"]![0]!["rangeTrial"]!["next"]!;
            var hit = Hit(0, (next > 30 ? 2.5 : -2.5) + (.1 * (i % 3)), sightFor: next);
            paper = (await app.Post($"/api/sets/{SetId(paper)}/hits", hit)).Body;
        }

        var trial = paper["sets"]![0]!["rangeTrial"]!;
        ((double)trial["affords"]!).ShouldBe(3 / 2.5 * 2, .1);
        trial["settings"]!
            .AsArray()
            .Select(s => (string)s!["words"]!)
            .ShouldBe(["sight for 32 yd, 3", "sight for 28 yd, 3"]);
        Kind(paper).ShouldBe("goodEnough");
        app.Restart();
        (await app.Get($"/api/papers/{Id(paper)}"))["sets"]!.ToJsonString().ShouldBe(paper["sets"]!.ToJsonString());
    }

    [Fact]
    public async Task A_nock_end_is_marked_as_at_the_paper_and_stands_after_a_restart()
    {
        using var app = new App();
        var stage = new
        {
            distance = "7",
            fletched = false,
            nockEnd = true,
        };
        var paper = await app.StartPaper(new[] { stage });
        ((string)paper["plan"]!["stages"]![0]!["words"]!).ShouldBe("7 yd nock end");
        ((string)paper["sets"]![0]!["nockEnd"]!).ShouldBe(
            "At 7 yd a nock end 0.5 in beside the point stands for 1/4 in of tear."
        );
        paper = await app.Shoot(paper, 1.015, 0);
        ((double)paper["sets"]![0]!["mean"]!["mean"]!["x"]!).ShouldBe(.5, 1e-9);
        ((double)paper["sets"]![0]!["shots"]![0]!["tail"]!["x"]!).ShouldBe(1.015, 1e-9);
        app.Restart();
        (await app.Get($"/api/papers/{Id(paper)}"))["sets"]!.ToJsonString().ShouldBe(paper["sets"]!.ToJsonString());
    }

    [Theory]
    [InlineData("""{"atTarget":true,"nockEnd":true}""", "distance")]
    [InlineData("""{"atTarget":true,"ways":{"kind":"grip","first":"a","second":" A "}}""", "second")]
    [InlineData("""{"atTarget":true,"ways":{"kind":"grip","first":" ","second":"b"}}""", "first")]
    [InlineData("""{"atTarget":false,"ways":{"kind":"grip","first":"a","second":"b"}}""", "heads")]
    [InlineData("""{"atTarget":true,"sighting":true,"ways":{"kind":"grip","first":"a","second":"b"}}""", "heads")]
    [InlineData("""{"atTarget":true,"rangeError":0.2}""", "rangeError")]
    [InlineData("""{"atTarget":true,"rangeError":99}""", "rangeError")]
    [InlineData("""{"atTarget":true,"heads":true,"rangeError":2}""", "heads")]
    public async Task A_stage_that_cannot_be_is_said_beside_its_field(string stage, string field)
    {
        using var app = new App();
        var paper = await app.StartPaper(Stage(Grips));
        var sent = JsonNode.Parse(stage)!;
        (sent["id"], sent["distance"], sent["fletched"]) = (App.NewId(), "30", false);
        var (status, problem) = await app.Post($"/api/papers/{Id(paper)}/sets", sent);
        status.ShouldBe(400);
        problem["errors"]![field].ShouldNotBeNull();
    }

    [Fact]
    public async Task A_hit_without_its_way_or_setting_is_refused_and_nothing_is_written()
    {
        using var app = new App();
        var paper = await app.StartPaper(Stage(Grips));
        var (status, problem) = await app.Post($"/api/sets/{SetId(paper)}/hits", Hit(0, 0));
        status.ShouldBe(400);
        problem["errors"]!["way"].ShouldNotBeNull();
        paper = await app.StartPaper(Stage(null, 2));
        (status, problem) = await app.Post($"/api/sets/{SetId(paper)}/hits", Hit(0, 0, sightFor: 20));
        status.ShouldBe(400);
        problem["errors"]!["sightFor"].ShouldNotBeNull();
        (await app.Get($"/api/papers/{Id(paper)}"))["sets"]![0]!["shots"]!.AsArray().Count.ShouldBe(0);
    }

    [Fact]
    public async Task Hits_go_out_as_a_table_and_come_in_all_of_them_or_none()
    {
        using var app = new App();
        var paper = await app.StartPaper(Stage(Grips));
        var path = $"/api/sets/{SetId(paper)}/hits/table";
        var id = App.NewId();
        var table =
            "right (cm),up,way,flight,slant,void\n2.54,-1/2,low,clean,NockLeft,\n,1 in,HIGH,,,\n9,9,low,,,wind\n";
        paper = (await app.Post(path, new { id, text = table })).Body;
        paper = (await app.Post(path, new { id, text = table })).Body;
        var shots = paper["sets"]![0]!["shots"]!.AsArray();
        shots.Select(s => (string)s!["place"]!).ShouldBe(["1.00 in right, 0.50 in low", "1.00 in high"], "once");
        shots.Select(s => (string)s!["way"]!).ShouldBe(["first", "second"]);
        var csv = await app.Http.GetStringAsync($"/api/papers/{Id(paper)}/hits.csv");
        csv.Split('\n')[0]
            .ShouldBe("set,stage,shot,arrow,number,right (in),up (in),flight,distance,way,sightFor,slant,void");
        csv.Split('\n')[1].ShouldBe("1,20 yd low / high,1,fletched,,1.000,-0.500,clean,,low,,nockLeft,");
        var other = await app.StartPaper(Stage(Grips));
        var back = (await app.Post($"/api/sets/{SetId(other)}/hits/table", new { id = App.NewId(), text = csv })).Body;
        back["sets"]![0]!["shots"]!
            .AsArray()
            .Select(s => s!["point"]!.ToJsonString())
            .ShouldBe(shots.Select(s => s!["point"]!.ToJsonString()), "what went out comes in");
        var marked = back["sets"]![0]!["shots"]!.AsArray();
        ((string)marked[0]!["slant"]!).ShouldBe("nockLeft");
        var undo = new { id = App.NewId() };
        var table2 = $"/api/hits/table/{(string)marked[0]!["id"]!}/void";
        (await app.Post(table2, undo)).Status.ShouldBe(200);
        var gone = (await app.Post(table2, undo)).Body["sets"]![0]!["shots"]!.AsArray();
        gone.Select(s => (string?)s!["voidReason"]).ShouldBe(["taken in wrongly", "taken in wrongly"], "one act, once");
        (await app.Post($"/api/hits/table/{App.NewId()}/void", new { id = App.NewId() })).Status.ShouldBe(404);
        var wrong = "right,up,way\n1,1,low\n1,99,low\n1,1,\n";
        var (status, problem) = await app.Post(path, new { id = App.NewId(), text = wrong });
        status.ShouldBe(400);
        var lines = problem["errors"]!["text"]!.AsArray().Select(e => (string)e!).ToArray();
        lines.Length.ShouldBe(2);
        lines[0].ShouldStartWith("Line 3: ");
        lines[1].ShouldBe("Line 4: Say which way it was shot.");
        (await app.Get($"/api/papers/{Id(paper)}"))["sets"]![0]!["shots"]!.AsArray().Count.ShouldBe(2, "or none");
        foreach (var text in new[] { "", "a,b\n1,2\n", "right,up\n" })
        {
            (await app.Post(path, new { id = App.NewId(), text })).Status.ShouldBe(400);
        }

        var sheet = await app.StartPaper(new[] { new { distance = "3", fletched = false } });
        (
            await app.Post($"/api/sets/{SetId(sheet)}/hits/table", new { id = App.NewId(), text = table })
        ).Status.ShouldBe(400);
    }

    private static object Hit(double right, double up, string? way = null, double? sightFor = null) =>
        new
        {
            id = App.NewId(),
            arrow = "fletched",
            place = new { x = right, y = up },
            way,
            sightFor,
        };
}

using System.Text.Json.Nodes;

namespace Merganser.Web.Tests;

public class PaperTests
{
    [Fact]
    public async Task From_first_tear_to_the_move_and_what_it_did()
    {
        using var app = new App();
        var paper = await Start(app);
        Kind(paper).ShouldBe("noShots");
        paper = await Shoot(app, paper, -.80, .02);
        Kind(paper).ShouldBe("move", "one hole is plain, with what is known of this archer's spread");
        paper = await Shoot(app, paper, -.84, .05);
        Kind(paper).ShouldBe("move");
        ((string)paper["advice"]!["move"]!["kind"]!).ShouldBe("yokePair");
        var from = (int)paper["advice"]!["move"]!["from"]!;
        var to = (int)paper["advice"]!["move"]!["to"]!;
        paper = (await app.Post($"/api/papers/{Id(paper)}/moves", Move("yokePair", to))).Body;
        paper["sets"]!.AsArray().Count.ShouldBe(2);
        ((int)paper["sets"]![1]!["movesBefore"]![0]!["from"]!).ShouldBe(from);
        app.Restart();
        paper = await Shoot(app, await app.Get($"/api/papers/{Id(paper)}"), -.10, .03);
        paper = await Shoot(app, paper, -.04, .01);
        for (var i = 0; i < 6 && Kind(paper) != "goodEnough"; i++)
        {
            Kind(paper).ShouldBe("shootMore");
            paper = await Shoot(app, paper, -.07, .02);
        }

        Kind(paper).ShouldBe("goodEnough");
        ((double)paper["advice"]!["chance"]!).ShouldBeGreaterThanOrEqualTo((double)paper["advice"]!["enough"]!);
        var change = (double)
            paper["sets"]![1]!["figures"]!.AsArray().First(f => (string)f!["name"]! == "sideways")!["change"]!;
        change.ShouldBe(.07 - .82, 1e-2);
        var accepted = (await app.Post($"/api/papers/{Id(paper)}/accept", new { accepted = true })).Body;
        ((string?)accepted["acceptedAt"]).ShouldNotBeNull();
        var good = (await app.Get($"/api/bows/{App.Brindle}/setup"))["goodStates"]!.AsArray()[0]!;
        ((string)good["note"]!).ShouldBe("accepted on paper, 3 yd bare");
        await app.Post($"/api/papers/{Id(paper)}/accept", new { accepted = false });
        ((string)(await app.Get($"/api/bows/{App.Brindle}/setup"))["goodStates"]!.AsArray()[0]!["note"]!).ShouldNotBe(
            "accepted on paper, 3 yd bare",
            "opened again, it is not shot well yet"
        );
    }

    [Fact]
    public async Task The_same_shot_sent_twice_is_one_shot()
    {
        using var app = new App();
        var paper = await Start(app);
        var shot = Shot(.5, 0);
        await app.Post($"/api/sets/{Set(paper)}/shots", shot.DeepClone());
        paper = (await app.Post($"/api/sets/{Set(paper)}/shots", shot)).Body;
        paper["sets"]![0]!["shots"]!.AsArray().Count.ShouldBe(1);
    }

    [Fact]
    public async Task A_void_shot_keeps_its_reason_and_is_not_read()
    {
        using var app = new App();
        var paper = await app.Get($"/api/papers/{App.OpenPaper}");
        var set = paper["sets"]![1]!;
        set["shots"]!.AsArray().Count.ShouldBe(6);
        ((int)set["mean"]!["count"]!).ShouldBe(5);
        var voided = set["shots"]!.AsArray().Single(s => s!["voidReason"] is not null)!;
        ((string)voided["voidReason"]!).ShouldBe("the rest did not drop");
        paper = (
            await app.Post(
                $"/api/shots/{voided["id"]}/marks",
                new JsonObject { ["id"] = App.NewId(), ["reason"] = null }
            )
        ).Body;
        ((int)paper["sets"]![1]!["mean"]!["count"]!).ShouldBe(6);
        (await app.Post($"/api/shots/{voided["id"]}/marks", new { id = App.NewId(), reason = " " })).Status.ShouldBe(
            400
        );
    }

    [Fact]
    public async Task Typed_inches_are_read_in_cs_and_mirrored_from_the_target_side()
    {
        using var app = new App();
        var paper = await Start(app);
        var shot = Shot(0, 0);
        shot["tail"] = null;
        shot["typed"] = new JsonObject { ["right"] = "1/2", ["up"] = "−0,25" };
        shot["side"] = "targetSide";
        paper = (await app.Post($"/api/sets/{Set(paper)}/shots", shot)).Body;
        var tear = paper["sets"]![0]!["shots"]![0]!["tear"]!;
        ((double)tear["x"]!).ShouldBe(-.5, 1e-12);
        ((double)tear["y"]!).ShouldBe(-.25, 1e-12);
        shot["id"] = App.NewId();
        shot["typed"]!["by"] = "point";
        paper = (await app.Post($"/api/sets/{Set(paper)}/shots", shot)).Body;
        ((double)paper["sets"]![0]!["shots"]![1]!["tear"]!["x"]!).ShouldBe(.5, 1e-12);
    }

    [Theory]
    [InlineData(13, 0, 0, "point")]
    [InlineData(0, 13, 0, "tail")]
    [InlineData(-7, 7, 0, "tail")]
    public async Task A_hole_off_the_sheet_or_a_tear_longer_than_an_arrow_leaves_is_refused(
        double pointX,
        double tailX,
        double tailY,
        string field
    )
    {
        using var app = new App();
        var paper = await Start(app);
        var shot = Shot(0, 0);
        shot["point"] = new JsonObject { ["x"] = pointX, ["y"] = 0 };
        shot["tail"] = new JsonObject { ["x"] = tailX, ["y"] = tailY };
        var (status, problem) = await app.Post($"/api/sets/{Set(paper)}/shots", shot);
        status.ShouldBe(400);
        problem["errors"]![field].ShouldNotBeNull();
    }

    [Theory]
    [InlineData("right", "a lot")]
    [InlineData("up", "40")]
    public async Task Typed_nonsense_names_its_field(string field, string text)
    {
        using var app = new App();
        var paper = await Start(app);
        var shot = Shot(0, 0);
        shot["typed"] = new JsonObject { ["right"] = field == "right" ? text : "", ["up"] = field == "up" ? text : "" };
        (await app.Post($"/api/sets/{Set(paper)}/shots", shot)).Body["errors"]![field].ShouldNotBeNull();
    }

    [Theory]
    [InlineData("0", "distance")]
    [InlineData("far", "distance")]
    public async Task A_paper_needs_a_distance(string distance, string field)
    {
        using var app = new App();
        var (status, problem) = await app.Post(
            "/api/papers",
            new
            {
                id = App.NewId(),
                bowId = App.Brindle,
                arrowVersionId = App.IslandVersion,
                stages = new[] { new { distance, fletched = false } },
                tolerance = .25,
            }
        );
        status.ShouldBe(400);
        problem["errors"]![field].ShouldNotBeNull();
    }

    [Fact]
    public async Task A_move_beyond_the_travel_or_to_where_it_stands_is_refused()
    {
        using var app = new App();
        (await app.Post($"/api/papers/{App.OpenPaper}/moves", Move("yokePair", 9))).Body["errors"]!
            ["to"]
            .ShouldNotBeNull();
        (await app.Post($"/api/papers/{App.OpenPaper}/moves", Move("yokePair", 1))).Body["errors"]!
            ["to"]
            .ShouldNotBeNull();
        (await app.Post($"/api/papers/{App.OpenPaper}/moves", Move("limbPocket", 1))).Body["errors"]!
            ["adjuster"]
            .ShouldNotBeNull();
    }

    [Fact]
    public async Task A_wrong_entry_is_corrected_and_the_log_keeps_both()
    {
        using var app = new App();
        var paper = await app.Get($"/api/papers/{App.OpenPaper}");
        paper = (await app.Post($"/api/papers/{Id(paper)}/moves", Move("yokePair", 5))).Body;
        var wrong = (string)paper["sets"]![2]!["movesBefore"]![0]!["id"]!;
        paper = (await app.Post($"/api/papers/{Id(paper)}/moves", Move("yokePair", 3, wrong))).Body;
        paper["sets"]!.AsArray().Count.ShouldBe(3, "a correction is no move and opens no set");
        var bow = await app.Get($"/api/bows/{App.Brindle}");
        ((int)bow["adjusters"]!.AsArray().First(a => (string)a!["kind"]! == "yokePair")!["position"]!).ShouldBe(3);
        var yoke = bow["moves"]!["moves"]!.AsArray().Where(m => (string)m!["adjuster"]! == "yokePair").ToArray();
        yoke.Length.ShouldBe(3);
        ((bool)yoke[2]!["correction"]!).ShouldBeTrue();
    }

    [Fact]
    public async Task An_entry_under_later_moves_is_not_corrected()
    {
        using var app = new App();
        var bow = await app.Get($"/api/bows/{App.Brindle}");
        var first = (string)bow["moves"]!["moves"]!.AsArray().First(m => (string)m!["adjuster"]! == "yokePair")!["id"]!;
        await app.Post($"/api/papers/{App.OpenPaper}/moves", Move("yokePair", 3));
        var (status, problem) = await app.Post($"/api/papers/{App.OpenPaper}/moves", Move("yokePair", 2, first));
        status.ShouldBe(400);
        ((string)problem["code"]!).ShouldBe("later-moves");
    }

    [Fact]
    public async Task A_set_refers_to_the_bow_as_it_stood()
    {
        using var app = new App();
        await app.Post($"/api/papers/{App.OpenPaper}/moves", Move("yokePair", 4));
        var papers = new Data.PaperStore(app.Database, TimeProvider.System);
        var positions = papers
            .Get(App.OpenPaper)
            .Session.Sets.Select(s => s.Positions[Core.Bows.AdjusterKind.YokePair]);
        positions.ShouldBe([0, 1, 4]);
    }

    private static Task<JsonNode> Start(App app) => app.StartPaper();

    private static Task<JsonNode> Shoot(App app, JsonNode paper, double right, double up) =>
        app.Shoot(paper, right, up);

    private static JsonObject Shot(double right, double up) => App.Shot(right, up);

    private static object Move(string adjuster, int to, string? corrects = null) =>
        new
        {
            id = App.NewId(),
            adjuster,
            to,
            corrects,
            note = "",
            happenedAt = (DateTimeOffset?)null,
        };

    private static string Id(JsonNode paper) => (string)paper["id"]!;

    private static string Set(JsonNode paper) => (string)paper["sets"]!.AsArray()[^1]!["id"]!;

    private static string Kind(JsonNode paper) => (string)paper["advice"]!["kind"]!;
}

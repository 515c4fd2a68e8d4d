using System.Text.Json.Nodes;
using static Merganser.Web.Tests.PaperJson;

namespace Merganser.Web.Tests;

/// <summary>
/// Groups at a target over the API: each hit once, faults beside their fields, the same after a restart.
/// </summary>
public class GroupTests
{
    internal static readonly object Twenty = new[]
    {
        new
        {
            distance = "20",
            fletched = false,
            atTarget = true,
        },
    };

    internal static readonly object Thirty = new[]
    {
        new
        {
            distance = "30",
            fletched = false,
            atTarget = true,
            heads = true,
        },
    };

    [Fact]
    public async Task Hits_are_kept_once_read_in_pairs_and_the_same_after_a_restart()
    {
        using var app = new App();
        var paper = await app.StartPaper(Twenty);
        ((string)paper["plan"]!["stages"]![0]!["words"]!).ShouldBe("20 yd groups");
        paper = await Hit(app, paper, "fletched", .5, .4);
        paper = await Hit(app, paper, "fletched", -.5, -.4);
        paper = await Hit(app, paper, "bare", -4.4, .6, "fishtail");
        ((string)paper["sets"]![0]!["shots"]![2]!["flight"]!).ShouldBe("fishtail");
        ((string)paper["advice"]!["sentence"]!).ShouldBe("Shoot 1 more bare, and mark where it strikes.");
        var last = HitOf("bare", -5.1, -.2);
        await app.Post($"/api/sets/{SetId(paper)}/hits", last);
        paper = (await app.Post($"/api/sets/{SetId(paper)}/hits", last)).Body;
        var groups = paper["sets"]![0]!["groups"]!;
        ((int)groups["pairs"]!).ShouldBe(2);
        ((double)groups["offset"]!["x"]!).ShouldBe(-4.75, 1e-9);
        ((double)groups["tolerance"]!).ShouldBe(2);
        paper["sets"]![0]!["shots"]!.AsArray().Count.ShouldBe(4);
        ((string)paper["sets"]![0]!["shots"]![2]!["place"]!).ShouldBe("4.40 in left, 0.60 in high");
        paper["sets"]![0]!["figures"]![0]!["working"]!["terms"]!.AsArray().Count.ShouldBe(3);
        app.Restart();
        (await app.Get($"/api/papers/{Id(paper)}"))["sets"]!.ToJsonString().ShouldBe(paper["sets"]!.ToJsonString());
        var rack = (await app.Get("/api/rack"))["bows"]!.AsArray().First(b => (string)b!["id"]! == App.Brindle)!;
        ((string)rack["nextStop"]!).ShouldBe("groups");
        ((string)rack["stops"]!.AsArray().First(s => (string)s!["name"]! == "paper")!["state"]!).ShouldBe(
            "shot before"
        );
    }

    [Fact]
    public async Task A_move_begins_another_set_at_the_target()
    {
        using var app = new App();
        var paper = await app.StartPaper(Twenty);
        foreach (var (x, y) in new[] { (.5, .4), (-.5, -.4), (.4, -.5), (-.4, .5) })
        {
            paper = await Hit(app, paper, "fletched", x, y);
            paper = await Hit(app, paper, "bare", x - 6, y);
        }

        Kind(paper).ShouldBe("move");
        var move = paper["advice"]!["move"]!;
        var moved = new
        {
            id = App.NewId(),
            adjuster = (string)move["kind"]!,
            to = (int)move["to"]!,
        };
        paper = (await app.Post($"/api/papers/{Id(paper)}/moves", moved)).Body;
        paper["sets"]!.AsArray().Count.ShouldBe(2);
        paper["sets"]![1]!["groups"].ShouldNotBeNull();
        ((string)paper["next"]!["sentence"]!).ShouldStartWith("Shoot 2 fletched and 2 bare");
        var learned = await app.Get($"/api/bows/{App.Brindle}/response");
        ((bool)learned["atTarget"]!).ShouldBeTrue();
        var yoke = learned["rows"]!.AsArray().First(r => (string)r!["kind"]! == "yokePair")!;
        ((double)yoke["nominal"]!).ShouldBe(.4 * 2.8, 1e-9, "inches of offset at 20 yd, not of tear");
    }

    [Theory]
    [InlineData("""{"arrow":"bare"}""", "place")]
    [InlineData("""{"arrow":"bare","place":{"x":0,"y":24.5}}""", "place")]
    [InlineData("""{"arrow":"bare","typed":{"right":"left a bit","up":"1"}}""", "right")]
    [InlineData("""{"arrow":"bare","typed":{"right":"1","up":"30"}}""", "up")]
    [InlineData("""{"arrow":"bare","place":{"x":0,"y":1},"arrowNumber":"the ninth"}""", "arrowNumber")]
    public async Task What_cannot_be_is_said_beside_its_field(string hit, string field)
    {
        using var app = new App();
        var paper = await app.StartPaper(Twenty);
        var body = JsonNode.Parse(hit)!;
        body["id"] = App.NewId();
        var (status, problem) = await app.Post($"/api/sets/{SetId(paper)}/hits", body);
        status.ShouldBe(400);
        problem["errors"]![field].ShouldNotBeNull();
    }

    [Fact]
    public async Task A_target_stands_where_offsets_can_be_read_and_a_trial_stays_at_the_paper()
    {
        using var app = new App();
        (await Refused(app, "7", "tune"))["distance"]![0]!.ToString().ShouldContain("10 to 40 yd");
        (await Refused(app, "20", "trial"))["stages"].ShouldNotBeNull();
        var paper = await app.StartPaper(Twenty);
        var (status, problem) = await app.Post($"/api/sets/{SetId(paper)}/shots", App.Shot(1, 0));
        status.ShouldBe(400);
        ((string)problem["title"]!).ShouldBe("This set is shot at a target: mark where the arrow struck.");
    }

    [Fact]
    public async Task Heads_get_a_sight_mark_of_their_own_that_is_kept_once()
    {
        using var app = new App();
        var paper = await app.StartPaper(Thirty);
        ((string)paper["plan"]!["stages"]![0]!["words"]!).ShouldBe("30 yd heads");
        foreach (var (x, y) in new[] { (.5, .4), (-.5, -.4), (.4, -.5), (-.4, .5) })
        {
            paper = await Hit(app, paper, "fieldPoint", x, y);
            paper = await Hit(app, paper, "broadhead", y, x - 5, "clean");
        }

        ((string)paper["advice"]!["kind"]!).ShouldBe("moveTheSight");
        ((double)paper["heads"]!["map"]!["sight"]!).ShouldBeGreaterThan(.8);
        var (status, measured) = await app.Post(
            $"/api/papers/{Id(paper)}/sight",
            new
            {
                id = App.NewId(),
                eyeToPin = "36",
                click = "0.02",
            }
        );
        status.ShouldBe(200);
        ((string)measured["advice"]!["sentence"]!).ShouldStartWith("For heads, sight down 0.167 in: 8 clicks.");
        var mark = new { id = App.NewId(), pin = measured["heads"]!["pin"] };
        await app.Post($"/api/papers/{Id(paper)}/sight-marks", mark);
        paper = (await app.Post($"/api/papers/{Id(paper)}/sight-marks", mark)).Body;
        paper["sets"]!.AsArray().Count.ShouldBe(2);
        ((string)paper["heads"]!["mark"]!).ShouldBe("The heads’ own mark: down 0.167 in from the field points’.");
        await app.Post(
            $"/api/papers/{Id(paper)}/sight-marks",
            new { id = App.NewId(), typed = new { right = "", up = "-0.05" } }
        );
        paper = await Hit(app, paper, "broadhead", 0, 1.6);
        ((string)paper["sets"]![1]!["markBefore"]!).ShouldBe("sight for heads down 0.217 in");
        app.Restart();
        var after = await app.Get($"/api/papers/{Id(paper)}");
        ((string)after["sets"]![1]!["markBefore"]!).ShouldBe("sight for heads down 0.217 in");
        after["heads"]!.ToJsonString().ShouldBe(paper["heads"]!.ToJsonString());
        ((string)after["sets"]![0]!["shots"]![1]!["arrow"]!).ShouldBe("broadhead");
    }

    [Theory]
    [InlineData("sight", """{"eyeToPin":""}""", "eyeToPin")]
    [InlineData("sight", """{"eyeToPin":"5"}""", "eyeToPin")]
    [InlineData("sight", """{"eyeToPin":"34","click":"1"}""", "click")]
    [InlineData("sight-marks", "{}", "right")]
    [InlineData("sight-marks", """{"pin":{"right":0,"up":0}}""", "right")]
    [InlineData("sight-marks", """{"typed":{"right":"","up":"9"}}""", "up")]
    public async Task A_sight_that_cannot_be_is_said_beside_its_field(string act, string body, string field)
    {
        using var app = new App();
        var paper = await app.StartPaper(Thirty);
        var sent = JsonNode.Parse(body)!;
        sent["id"] = App.NewId();
        var (status, problem) = await app.Post($"/api/papers/{Id(paper)}/{act}", sent);
        status.ShouldBe(400);
        problem["errors"]![field].ShouldNotBeNull();
    }

    [Fact]
    public async Task A_head_never_goes_on_a_bare_shaft_nor_through_paper()
    {
        using var app = new App();
        var paper = await app.StartPaper(Thirty);
        var (status, problem) = await app.Post($"/api/sets/{SetId(paper)}/hits", HitOf("bare", 0, 0));
        status.ShouldBe(400);
        ((string)problem["title"]!).ShouldStartWith("A bare shaft never carries a broadhead");
        (status, problem) = await app.Post(
            $"/api/papers/{Id(paper)}/sets",
            new
            {
                id = App.NewId(),
                distance = "3",
                fletched = true,
                heads = true,
            }
        );
        status.ShouldBe(400);
        problem["errors"]!["heads"].ShouldNotBeNull();
        paper = await app.StartPaper(Twenty);
        (status, problem) = await app.Post(
            $"/api/papers/{Id(paper)}/sight-marks",
            new { id = App.NewId(), pin = new { right = 0, up = .1 } }
        );
        status.ShouldBe(400);
        ((string)problem["title"]!).ShouldContain("heads and walk-backs");
    }

    [Fact]
    public async Task Wind_is_noted_with_the_set_and_too_many_words_are_refused()
    {
        using var app = new App();
        var paper = await app.StartPaper(Twenty);
        var noted = new
        {
            id = App.NewId(),
            wind = " gusts from the left ",
            seated = true,
            face = "60 cm",
            rings = 6,
            taped = true,
        };
        await app.Post($"/api/papers/{Id(paper)}/conditions", noted);
        paper = (await app.Post($"/api/papers/{Id(paper)}/conditions", noted)).Body;
        app.Restart();
        var conditions = (await app.Get($"/api/papers/{Id(paper)}"))["sets"]![0]!["conditions"]!;
        ((string)conditions["words"]!).ShouldBe("Wind: gusts from the left, shot from a seat.");
        ((string)conditions["wind"]!).ShouldBe("gusts from the left");
        ((string)conditions["faceWords"]!).ShouldBe("A face 23.6 in across with 6 rings.");
        ((string)conditions["tapedWords"]!).ShouldStartWith("Bare shafts are taped");
        var (status, problem) = await app.Post(
            $"/api/papers/{Id(paper)}/conditions",
            new { id = App.NewId(), wind = new string('w', 501) }
        );
        status.ShouldBe(400);
        problem["errors"]!["note"].ShouldNotBeNull();
        foreach (var (face, rings, field) in new[] { ("1 in", 5, "face"), ("wide", 5, "face"), ("24", 13, "rings") })
        {
            (status, problem) = await app.Post(
                $"/api/papers/{Id(paper)}/conditions",
                new
                {
                    id = App.NewId(),
                    face,
                    rings,
                }
            );
            (status, problem["errors"]![field] is not null).ShouldBe((400, true), face);
        }
    }

    private static async Task<JsonNode> Refused(App app, string distance, string kind)
    {
        var (status, problem) = await app.Post(
            "/api/papers",
            new
            {
                id = App.NewId(),
                bowId = App.Brindle,
                arrowVersionId = App.IslandVersion,
                kind,
                stages = new[]
                {
                    new
                    {
                        distance,
                        fletched = false,
                        atTarget = true,
                    },
                },
            }
        );
        status.ShouldBe(400);
        return problem["errors"]!;
    }

    internal static async Task<JsonNode> Hit(
        App app,
        JsonNode paper,
        string arrow,
        double x,
        double y,
        string? flight = null
    )
    {
        var (status, body) = await app.Post($"/api/sets/{SetId(paper)}/hits", HitOf(arrow, x, y, flight));
        status.ShouldBe(200);
        return body;
    }

    private static object HitOf(string arrow, double x, double y, string? flight = null) =>
        new
        {
            id = App.NewId(),
            arrow,
            place = new { x, y },
            flight,
        };
}

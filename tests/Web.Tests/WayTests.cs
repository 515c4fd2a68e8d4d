using System.Text.Json.Nodes;
using static Merganser.Web.Tests.PaperJson;

namespace Merganser.Web.Tests;

/// <summary>Two ways, a range error, guessed distances, sizes and units over the API.</summary>
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
    public async Task Guesses_are_kept_read_and_taken_back()
    {
        using var app = new App();
        var archer = (string)(await app.Get($"/api/bows/{App.Brindle}"))["archerId"]!;
        var path = $"/api/archers/{archer}/range-guesses";
        (string Said, string Was)[] guesses =
        [
            ("30", "28"),
            ("25", "27"),
            ("40", "36"),
            ("22", "21"),
            ("30 m", "33 yd"),
        ];
        JsonNode ranging = await app.Get(path);
        ((string)ranging["words"]!).ShouldBe("5 guesses more before anything is told.");
        foreach (var (said, was) in guesses)
        {
            ranging = (await Guess(said, was)).Body;
        }

        ((string)ranging["words"]!).ShouldEndWith("at 30 yd, by 5 guesses.");
        ranging["figures"]!.AsArray().Count.ShouldBe(3);
        ((string)ranging["guesses"]![4]!["words"]!).ShouldBe("said 30 yd, was 28 yd: 2 yd long");
        var id = App.NewId();
        var same = new
        {
            id,
            guessed = "20",
            measured = "20",
        };
        await app.Post(path, same);
        (await app.Post(path, same)).Body["guesses"]!.AsArray().Count.ShouldBe(6, "a retry is one");
        (
            await app.Post(
                path,
                new
                {
                    id,
                    guessed = "21",
                    measured = "20",
                }
            )
        ).Status.ShouldBe(409);
        var asked = await app.Get($"{path}?yards=40&within=2");
        ((string)asked["affords"]!).ShouldContain("of your guesses at 40 yd stay within the 2 yd");
        await app.Send(HttpMethod.Delete, $"{path}/{id}", null);
        (await app.Send(HttpMethod.Delete, $"{path}/{id}", null)).Body["guesses"]!
            .AsArray()
            .Count.ShouldBe(5, "taken back once");
        (await app.Send(HttpMethod.Delete, $"{path}/{App.NewId()}", null)).Status.ShouldBe(404);
        app.Restart();
        (await app.Get(path))["guesses"]!.AsArray().Count.ShouldBe(5);
        foreach (
            var (said, was, field) in new[]
            {
                ("", "20", "guessed"),
                ("20", "far", "measured"),
                ("20", "999", "measured"),
            }
        )
        {
            var (status, problem) = await Guess(said, was);
            status.ShouldBe(400);
            problem["errors"]![field].ShouldNotBeNull();
        }

        Task<(int Status, JsonNode Body)> Guess(string guessed, string measured) =>
            app.Post(
                path,
                new
                {
                    id = App.NewId(),
                    guessed,
                    measured,
                }
            );
    }

    [Fact]
    public async Task Sizes_are_told_by_day_and_by_what_is_looked_at()
    {
        using var app = new App();
        var sizes = await app.Get($"/api/bows/{Tidewrack}/group-sizes");
        sizes["days"]!.AsArray().Count.ShouldBe(8);
        sizes["figures"]!.AsArray().ShouldAllBe(f => f!["working"]!["terms"]!.AsArray().Count > 0);
        ((string)sizes["words"]!).ShouldStartWith("Tighter than usual");
        sizes["kinds"]!.AsArray().Select(k => (string)k!).ShouldBe(["fletched", "broadhead"]);
        var far = await app.Get($"/api/bows/{Tidewrack}/group-sizes?yards=30");
        far["days"]!.AsArray().Count.ShouldBe(3);
        ((double)far["at"]!).ShouldBe(30);
        (await app.Get($"/api/bows/{Tidewrack}/group-sizes?kind=bare"))["days"]!.AsArray().Count.ShouldBe(0);
        var none = await app.Get($"/api/bows/{App.Brindle}/group-sizes");
        ((string)none["words"]!).ShouldStartWith("No groups yet");
        (await app.Http.GetAsync($"/api/bows/{Tidewrack}/group-sizes?kind=crooked")).StatusCode.ShouldBe(
            System.Net.HttpStatusCode.BadRequest
        );
    }

    [Fact]
    public async Task Units_are_chosen_whatever_else_of_the_archer_was_changed_meanwhile()
    {
        using var app = new App();
        var metric = (await app.Get($"/api/bows/{App.Brindle}"))["units"]!.DeepClone();
        metric["length"] = "centimetres";
        for (var i = 0; i < 2; i++)
        {
            var (status, row) = await app.Post($"/api/bows/{App.Brindle}/units", metric);
            status.ShouldBe(200);
            ((string)row["archer"]!["units"]!["length"]!).ShouldBe("centimetres");
        }

        ((string)(await app.Get($"/api/bows/{App.Brindle}"))["units"]!["length"]!).ShouldBe("centimetres");
        (await app.Post($"/api/bows/{App.NewId()}/units", metric)).Status.ShouldBe(404);
    }

    private const string Tidewrack = "22222222-0000-4000-8000-000000000005";

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

using System.Text.Json.Nodes;
using static Merganser.Web.Tests.PaperJson;

namespace Merganser.Web.Tests;

/// <summary>
/// A walk-back over the API: hits with their distances, a sight that is moved, the same after a restart.
/// </summary>
public class WalkTests
{
    private static object Stage(string pins) =>
        new[]
        {
            new
            {
                distance = "20",
                fletched = false,
                atTarget = true,
                walk = pins,
            },
        };

    [Fact]
    public async Task A_drift_is_read_the_sight_moved_and_walked_anew_and_all_of_it_outlives_a_restart()
    {
        using var app = new App();
        var paper = await app.StartPaper(Stage("own"));
        ((string)paper["plan"]!["stages"]![0]!["words"]!).ShouldBe("walk-back from 20 yd");
        ((string)paper["plan"]!["stages"]![0]!["walk"]!).ShouldBe("own");
        paper = await Walk(app, paper, .06);
        var walk = paper["sets"]![0]!["walk"]!;
        ((string)walk["shown"]!).ShouldBe("clear");
        ((string)walk["shape"]!).ShouldBe("straight");
        walk["distances"]!.AsArray().Select(d => (int)d!["count"]!).ShouldBe([3, 3, 3]);
        paper["sets"]![0]!["figures"]!.AsArray().Count.ShouldBe(4);
        paper["sets"]![0]!["figures"]!.AsArray().ShouldAllBe(f => f!["working"]!["terms"]!.AsArray().Count > 0);
        ((string)paper["advice"]!["kind"]!).ShouldBe("moveTheSight");
        var mark = new { id = App.NewId(), pin = paper["sightAnswer"]!["pin"] };
        await app.Post($"/api/papers/{Id(paper)}/sight-marks", mark);
        paper = (await app.Post($"/api/papers/{Id(paper)}/sight-marks", mark)).Body;
        paper["sets"]!.AsArray().Count.ShouldBe(2, "the same move twice is one");
        paper["sets"]![1]!["walk"]!["pooled"]!.AsArray().Count.ShouldBe(1, "walked anew");
        paper = await Walk(app, paper, 0);
        ((string)paper["sets"]![1]!["markBefore"]!).ShouldStartWith("sight right 0.057 in");
        ((string)paper["sets"]![1]!["walk"]!["shown"]!).ShouldBe("noneShown");
        paper = (
            await app.Post($"/api/papers/{Id(paper)}/sight-marks", new { id = App.NewId(), otherwise = true })
        ).Body;
        paper["sets"]!.AsArray().Count.ShouldBe(3);
        app.Restart();
        var after = await app.Get($"/api/papers/{Id(paper)}");
        after["sets"]!.ToJsonString().ShouldBe(paper["sets"]!.ToJsonString());
        after["sightAnswer"]!.ToJsonString().ShouldBe(paper["sightAnswer"]!.ToJsonString());
        ((string)after["sets"]![2]!["markBefore"]!).ShouldBe("sight set otherwise, shot anew");
    }

    [Fact]
    public async Task One_pin_says_how_far_it_drops_and_wind_is_taken_off_by_its_figure()
    {
        using var app = new App();
        var paper = await app.StartPaper(Stage("one"));
        var wind = new
        {
            id = App.NewId(),
            wind = "",
            across = "-2 m/s",
        };
        paper = (await app.Post($"/api/papers/{Id(paper)}/conditions", wind)).Body;
        ((string)paper["sets"]![0]!["conditions"]!["words"]!).ShouldBe("Wind across from the right, 4 mph.");
        ((string)paper["sets"]![0]!["walk"]!["wind"]!).ShouldStartWith("Wind 4 mph from the right does");
        ((string)paper["sets"]![0]!["walk"]!["drop"]!).ShouldStartWith("On one pin it drops about");
        var (status, _) = await app.Post($"/api/sets/{SetId(paper)}/hits", Hit(.5, "60", -70));
        status.ShouldBe(200);
    }

    [Theory]
    [InlineData("hits", """{"arrow":"fletched","place":{"x":0,"y":0}}""", "distance")]
    [InlineData("hits", """{"arrow":"fletched","place":{"x":0,"y":0},"distance":"far"}""", "distance")]
    [InlineData("hits", """{"arrow":"fletched","place":{"x":0,"y":0},"distance":"2000"}""", "distance")]
    [InlineData("hits", """{"arrow":"fletched","place":{"x":0,"y":-70},"distance":"60"}""", "place")]
    [InlineData("hits", """{"arrow":"fletched","typed":{"right":"x","up":""},"distance":"20"}""", "right")]
    [InlineData("conditions", """{"wind":"","across":"gale"}""", "across")]
    [InlineData("conditions", """{"wind":"","across":"99"}""", "across")]
    [InlineData("sight-marks", """{"typed":{"right":"","up":""}}""", "right")]
    [InlineData("sets", """{"distance":"60","fletched":false,"atTarget":true,"walk":"own"}""", "distance")]
    [InlineData("sets", """{"distance":"20","fletched":false,"walk":"own"}""", "heads")]
    [InlineData("sets", """{"distance":"20","fletched":false,"sighting":true}""", "heads")]
    [InlineData("sets", """{"distance":"3","fletched":false,"atTarget":true,"sighting":true}""", "distance")]
    [InlineData("sets", """{"distance":"20","fletched":false,"atTarget":true,"heads":true,"walk":"one"}""", "heads")]
    public async Task What_cannot_be_is_said_beside_its_field(string act, string body, string field)
    {
        using var app = new App();
        var paper = await app.StartPaper(Stage("own"));
        var sent = JsonNode.Parse(body)!;
        sent["id"] = App.NewId();
        var path = act == "hits" ? $"/api/sets/{SetId(paper)}/hits" : $"/api/papers/{Id(paper)}/{act}";
        var (status, problem) = await app.Post(path, sent);
        status.ShouldBe(400);
        problem["errors"]![field].ShouldNotBeNull();
    }

    [Fact]
    public async Task Only_fletched_arrows_are_walked_back_and_a_metric_archer_reads_metres()
    {
        using var app = new App();
        var paper = await app.StartPaper(Stage("own"));
        var bare = new
        {
            id = App.NewId(),
            arrow = "bare",
            place = new { x = 0, y = 0 },
            distance = "20",
        };
        var (status, problem) = await app.Post($"/api/sets/{SetId(paper)}/hits", bare);
        status.ShouldBe(400);
        ((string)problem["title"]!).ShouldBe("Fletched arrows alone are shot here.");
        paper = (await app.Post($"/api/sets/{SetId(paper)}/hits", Hit(1, "18 m"))).Body;
        ((double)paper["sets"]![0]!["shots"]![0]!["yards"]!).ShouldBe(18 / .9144, 1e-9);
        ((string)paper["sets"]![0]!["shots"]![0]!["from"]!).ShouldBe("19.7 yd");
    }

    [Fact]
    public async Task A_pin_is_set_by_its_hits_and_what_was_shot_before_counts_on_after_a_restart()
    {
        using var app = new App();
        var stages = new[] { 20, 30 }.Select(yards => new
        {
            distance = $"{yards}",
            fletched = false,
            atTarget = true,
            sighting = true,
        });
        var paper = await app.StartPaper(stages);
        ((string)paper["plan"]!["stages"]![0]!["words"]!).ShouldBe("20 yd sight");
        foreach (var (x, y) in new[] { (3.1, -2.2), (2.8, -1.9), (3.1, -1.9) })
        {
            paper = (await app.Post($"/api/sets/{SetId(paper)}/hits", Hit(x, "", y))).Body;
        }

        ((string)paper["advice"]!["sentence"]!).ShouldStartWith("Sight right 0.142 in, down 0.094 in.");
        var mark = new { id = App.NewId(), pin = paper["sightAnswer"]!["pin"] };
        paper = (await app.Post($"/api/papers/{Id(paper)}/sight-marks", mark)).Body;
        paper["sets"]![1]!["sighting"]!["earlier"]!.AsArray().Count.ShouldBe(3);
        paper = (await app.Post($"/api/sets/{SetId(paper)}/hits", Hit(.2, "", .1))).Body;
        ((int)paper["sets"]![1]!["sighting"]!["group"]!["count"]!).ShouldBe(4);
        paper["sets"]![1]!["figures"]!.AsArray().Count.ShouldBe(3);
        app.Restart();
        (await app.Get($"/api/papers/{Id(paper)}"))["sets"]!.ToJsonString().ShouldBe(paper["sets"]!.ToJsonString());
    }

    [Fact]
    public async Task A_sight_that_is_set_is_no_paper()
    {
        using var app = new App();
        await app.Post($"/api/bows/{App.Brindle}/changes", new { id = App.NewId(), change = "newLoop" });
        var paper = await Walk(app, await app.StartPaper(Stage("own")), 0);
        (await app.Post($"/api/papers/{Id(paper)}/accept", new { accepted = true })).Status.ShouldBe(200);
        var setup = await app.Get($"/api/bows/{App.Brindle}/setup");
        var asked = setup["checks"]!.AsArray().Concat(setup["followUps"]!.AsArray());
        ((string)asked.First(c => (string)c!["kind"]! == "paper")!["state"]!).ShouldBe("again");
    }

    private static object Hit(double right, string distance, double up = 0) =>
        new
        {
            id = App.NewId(),
            arrow = "fletched",
            place = new { x = right, y = up },
            distance,
        };

    private static async Task<JsonNode> Walk(App app, JsonNode paper, double slope)
    {
        foreach (var yards in (int[])[20, 40, 60])
        {
            foreach (var stray in (int[])[-1, 0, 1])
            {
                var hit = Hit((slope * yards) + (.02 * stray * yards), $"{yards} yd");
                paper = (await app.Post($"/api/sets/{SetId(paper)}/hits", hit)).Body;
            }
        }

        return paper;
    }
}

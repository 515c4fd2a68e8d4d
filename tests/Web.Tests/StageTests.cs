using static Merganser.Web.Tests.PaperJson;

namespace Merganser.Web.Tests;

/// <summary>A plan of several stages, a trial, and what one distance tells of another.</summary>
public class StageTests
{
    private static readonly object ThreeThenSix = new[]
    {
        new { distance = "3", fletched = false },
        new { distance = "6", fletched = false },
    };

    [Fact]
    public async Task Passing_three_yards_leads_to_six_and_results_are_kept_for_each()
    {
        using var app = new App();
        var paper = await ShootUntilGood(app, await app.StartPaper(ThreeThenSix));
        ((string)paper["next"]!["action"]!).ShouldBe("nextStage");
        ((double)paper["plan"]!["nextStage"]!["distance"]!).ShouldBe(6);
        paper = (
            await app.Post(
                $"/api/papers/{Id(paper)}/sets",
                new
                {
                    id = App.NewId(),
                    distance = "6",
                    fletched = false,
                }
            )
        ).Body;
        Kind(paper).ShouldBe("noShots");
        paper = await app.Shoot(paper, .7, 0);
        var stages = paper["plan"]!["stages"]!.AsArray();
        stages.Count.ShouldBe(2);
        ((double)stages[0]!["chance"]!).ShouldBeGreaterThan(.9);
        ((bool)stages[1]!["inWork"]!).ShouldBeTrue();
        ((double)stages[1]!["chance"]!).ShouldBeLessThan(.2);
    }

    [Theory]
    [InlineData(0, "shotsPerDecision")]
    [InlineData(4, "shotsPerDecision")]
    public async Task A_plan_has_a_number_of_shots_that_is_in_use(int shots, string field)
    {
        using var app = new App();
        var (status, problem) = await app.Post(
            "/api/papers",
            new
            {
                id = App.NewId(),
                bowId = App.Brindle,
                arrowVersionId = App.IslandVersion,
                stages = ThreeThenSix,
                shotsPerDecision = shots,
            }
        );
        status.ShouldBe(400);
        problem["errors"]![field].ShouldNotBeNull();
    }

    [Fact]
    public async Task The_second_stages_bad_distance_is_named()
    {
        using var app = new App();
        var (status, problem) = await app.Post(
            "/api/papers",
            new
            {
                id = App.NewId(),
                bowId = App.Brindle,
                arrowVersionId = App.IslandVersion,
                stages = new[] { new { distance = "3", fletched = false }, new { distance = "far", fletched = true } },
            }
        );
        status.ShouldBe(400);
        problem["errors"]!["distance2"].ShouldNotBeNull();
    }

    [Fact]
    public async Task A_trial_advises_no_move_and_names_the_cause()
    {
        using var app = new App();
        var paper = await app.StartPaper(kind: "trial");
        paper = await app.Shoot(paper, .9, 0);
        paper = await app.Shoot(paper, .95, .02);
        var other = (await app.Get($"/api/bows/{App.Brindle}/arrows"))
            .AsArray()
            .Select(a => a!["kept"])
            .First(k => k is not null && (string)k["id"]! != App.IslandVersion)!;
        paper = (
            await app.Post(
                $"/api/papers/{Id(paper)}/sets",
                new
                {
                    id = App.NewId(),
                    distance = "3",
                    fletched = false,
                    arrowVersionId = (string)other["id"]!,
                }
            )
        ).Body;
        paper = await app.Shoot(paper, .02, 0);
        paper = await app.Shoot(paper, -.02, .02);
        paper["advice"]!["move"].ShouldBeNull();
        var trial = paper["trial"]!;
        trial["rows"]!.AsArray().Count.ShouldBe(2);
        ((string)trial["cause"]!).ShouldStartWith("The arrow");
        ((string)trial["rows"]![0]!["arrow"]!["name"]!).ShouldBe((string)other["typed"]!["name"]!);
        ((string)paper["next"]!["alternativeAction"]!).ShouldBe("accept");
        var tolerated = (await app.Get($"/api/bows/{App.Brindle}/tolerated"))[0]!;
        ((string)tolerated["ranges"]![0]!["shaft"]!).ShouldNotBeEmpty();
        (await app.Papers()).Select(p => (string)p!["kind"]!).ShouldBe(["trial", "tune"]);
        ((string)(await app.NewestPaper())["id"]!).ShouldBe(Id(paper));
    }

    [Fact]
    public async Task A_bare_tear_that_changes_side_raises_the_spine_question_with_what_each_cure_does()
    {
        using var app = new App();
        var paper = await app.StartPaper(ThreeThenSix);
        paper = await app.Shoot(paper, -.3, 0);
        paper = await app.Shoot(paper, -.33, .02);
        paper = await app.Shoot(paper, -.28, .01);
        paper["spineCheck"].ShouldBeNull();
        paper = (
            await app.Post(
                $"/api/papers/{Id(paper)}/sets",
                new
                {
                    id = App.NewId(),
                    distance = "6",
                    fletched = false,
                }
            )
        ).Body;
        foreach (var x in new[] { .6, .63, .58 })
        {
            paper = await app.Shoot(paper, x, 0);
        }

        paper["readings"]!.AsArray().ShouldContain(r => (string)r!["cause"]! == "spine" && (bool)r["suspected"]!);
        var check = paper["spineCheck"]!;
        var ratio = (double)check["ratio"]!;
        var tries = check["tries"]!.AsArray();
        tries.ShouldContain(t => ((string)t!["effect"]!["label"]!).StartsWith("Next spine"));
        tries.ShouldContain(t => ((string)t!["effect"]!["label"]!).StartsWith("Bow 2 lb down"));
        tries.ShouldAllBe(t => (double)t!["effect"]!["ratio"]! > ratio);
    }

    [Fact]
    public async Task Another_distance_of_the_same_bow_is_a_weaker_prior()
    {
        using var app = new App();
        var paper = await app.StartPaper(new[] { new { distance = "6", fletched = false } });
        await app.Shoot(paper, .4, 0);
        var learned = await app.Get($"/api/bows/{App.Brindle}/response");
        ((string)learned["stage"]!).ShouldBe("6 yd bare");
        learned["others"]!.AsArray().ShouldContain(o => (string)o!["words"]! == "3 yd bare");
        ((double)Yoke(learned)["before"]!["gain"]!).ShouldNotBe((double)Yoke(learned)["nominal"]!);
        ((string)Yoke(learned)["words"]!).ShouldBe("from this bow's other stages");
    }
}

using System.Text.Json.Nodes;

namespace Merganser.Web.Tests;

/// <summary>
/// The whole session over the API: plan, stages, words, doubt, late moves, controls, ladder, trial, response, nock
/// tuning.
/// </summary>
public class TuningTests
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
    public async Task The_shooters_words_are_understood_and_kept()
    {
        using var app = new App();
        var paper = await app.StartPaper();
        var shot = App.Shot(0, 0);
        shot["tail"] = null;
        shot["words"] = new JsonObject
        {
            ["sideways"] = "inch",
            ["left"] = true,
            ["sidewaysEnd"] = "tail",
            ["height"] = "half",
            ["low"] = true,
            ["heightEnd"] = "point",
        };
        paper = (await app.Post($"/api/sets/{SetId(paper)}/shots", shot)).Body;
        var kept = paper["sets"]![0]!["shots"]![0]!;
        ((double)kept["tear"]!["x"]!).ShouldBe(-1);
        ((double)kept["tear"]!["y"]!).ShouldBe(.5);
        ((string)kept["words"]!).ShouldBe("tail left 1.00 in, tail high 0.50 in");
        shot["id"] = App.NewId();
        shot["words"]!["sideways"] = "mile";
        (await app.Post($"/api/sets/{SetId(paper)}/shots", shot)).Body["errors"]!["words"].ShouldNotBeNull();
    }

    [Fact]
    public async Task A_doubted_shot_counts_for_less_and_is_shown_as_such()
    {
        using var app = new App();
        var paper = await app.StartPaper();
        paper = await app.Shoot(paper, .3, 0);
        paper = await app.Shoot(paper, .33, .02);
        paper = await app.Shoot(paper, 1.1, .4);
        var odd = (string)paper["sets"]![0]!["shots"]![2]!["id"]!;
        paper = (
            await app.Post(
                $"/api/shots/{odd}/marks",
                new
                {
                    id = App.NewId(),
                    reason = (string?)null,
                    doubtful = true,
                }
            )
        ).Body;
        ((bool)paper["sets"]![0]!["shots"]![2]!["doubtful"]!).ShouldBeTrue();
        paper["sets"]![0]!["shots"]![2]!["voidReason"].ShouldBeNull();
        var chance = (double)paper["advice"]!["chance"]!;
        paper = (
            await app.Post(
                $"/api/shots/{odd}/marks",
                new
                {
                    id = App.NewId(),
                    reason = (string?)null,
                    doubtful = false,
                }
            )
        ).Body;
        ((bool)paper["sets"]![0]!["shots"]![2]!["doubtful"]!).ShouldBeFalse();
        ((double)paper["advice"]!["chance"]!).ShouldNotBe(chance);
    }

    [Fact]
    public async Task A_move_that_is_logged_late_changes_the_sets_it_lies_between()
    {
        using var app = new App();
        var paper = await app.StartPaper();
        paper = await app.Shoot(paper, .02, .8);
        paper = await app.Shoot(paper, -.02, .82);
        var first = SetId(paper);
        paper = (
            await app.Post(
                $"/api/papers/{Id(paper)}/sets",
                new
                {
                    id = App.NewId(),
                    distance = "3",
                    fletched = false,
                }
            )
        ).Body;
        paper = await app.Shoot(paper, .03, .1);
        paper = await app.Shoot(paper, .00, .12);
        var sets = paper["sets"]!.AsArray().Count;
        paper = (
            await app.Post(
                $"/api/papers/{Id(paper)}/moves",
                new
                {
                    id = App.NewId(),
                    adjuster = "restHeight",
                    to = -22,
                    note = "forgot to log",
                    afterSetId = first,
                }
            )
        ).Body;
        paper["sets"]!.AsArray().Count.ShouldBe(sets, "a late entry opens no set");
        paper["sets"]![0]!["wayBack"]!.AsArray().Single(m => (string)m!["kind"]! == "restHeight")!["to"]!
            .GetValue<int>()
            .ShouldBe(-2);
        paper["sets"]![1]!["wayBack"]!.AsArray().ShouldNotContain(m => (string)m!["kind"]! == "restHeight");
        var learned = await app.Get($"/api/bows/{App.Brindle}/response");
        var rest = learned["rows"]!.AsArray().Single(r => (string)r!["kind"]! == "restHeight")!;
        ((int)rest["settings"]!).ShouldBe(2);
        ((double)rest["now"]!["gain"]!).ShouldBe(.7 / 20, .012);
        ((double)rest["now"]!["sd"]!).ShouldBeLessThan((double)rest["before"]!["sd"]!);
    }

    [Fact]
    public async Task A_shot_after_the_bow_was_moved_elsewhere_begins_a_set_of_its_own()
    {
        using var app = new App();
        var paper = await app.StartPaper();
        paper = await app.Shoot(paper, 0, .8);
        var first = SetId(paper);
        (
            await app.Post(
                $"/api/bows/{App.Brindle}/moves",
                new
                {
                    id = App.NewId(),
                    adjuster = "restHeight",
                    to = -20,
                    note = "",
                }
            )
        ).Status.ShouldBe(200);
        var shot = App.Shot(0, .1);
        paper = (await app.Post($"/api/sets/{first}/shots", shot.DeepClone())).Body;
        paper = (await app.Post($"/api/sets/{first}/shots", shot)).Body;
        paper["sets"]!.AsArray().Count.ShouldBe(2, "and the same shot again adds nothing");
        paper["sets"]![1]!["shots"]!.AsArray().Count.ShouldBe(1);
        ((string)paper["sets"]![1]!["movesBefore"]!.AsArray().Single()!["adjuster"]!).ShouldBe("restHeight");
        paper["sets"]![0]!["wayBack"]!.AsArray().Single()!["to"]!.GetValue<int>().ShouldBe(-2);
        paper["sets"]![1]!["wayBack"]!.AsArray().ShouldBeEmpty();
    }

    [Fact]
    public async Task A_control_arrow_that_tears_otherwise_points_to_the_arrow_and_is_no_part_of_the_session()
    {
        using var app = new App();
        var paper = await app.StartPaper();
        paper = await app.Shoot(paper, .8, .02);
        paper = await app.Shoot(paper, .84, 0);
        var chance = (double)paper["advice"]!["chance"]!;
        paper = (
            await app.Post(
                $"/api/papers/{Id(paper)}/sets",
                new
                {
                    id = App.NewId(),
                    distance = "3",
                    fletched = false,
                    purpose = "controlArrow",
                    arrowVersionId = App.IslandVersion,
                }
            )
        ).Body;
        ((string)paper["next"]!["sentence"]!).ShouldBe("Control arrow: shoot 3 more, touch nothing.");
        foreach (var x in new[] { .02, -.03, .01 })
        {
            paper = await app.Shoot(paper, x, 0);
        }

        ((string)paper["next"]!["action"]!).ShouldBe("backToSession");
        var reading = paper["readings"]!.AsArray().Single(r => (string)r!["cause"]! == "arrow")!;
        ((bool)reading["suspected"]!).ShouldBeTrue();
        ((double)paper["advice"]!["chance"]!).ShouldBe(chance, 1e-9);
        paper["ladder"]!["rungs"]!.AsArray().Single(r => (string)r!["code"]! == "controlArrow")!["outcome"]!
            .GetValue<string>()
            .ShouldBe("shot");
    }

    [Fact]
    public async Task When_moves_do_not_help_the_ladder_comes_first_and_repeats_nothing()
    {
        using var app = new App();
        var paper = await app.StartPaper();
        foreach (var to in new[] { -16, -30, -44 })
        {
            paper = await app.Shoot(paper, 0, .8);
            paper = await app.Shoot(paper, .02, .82);
            paper = (
                await app.Post(
                    $"/api/papers/{Id(paper)}/moves",
                    new
                    {
                        id = App.NewId(),
                        adjuster = "restHeight",
                        to,
                        note = "",
                    }
                )
            ).Body;
        }

        paper = await app.Shoot(paper, 0, .81);
        paper = await app.Shoot(paper, .02, .8);
        ((bool)paper["ladder"]!["wanted"]!).ShouldBeTrue();
        ((string)paper["next"]!["action"]!).ShouldBe("rung");
        paper["readings"]!.AsArray().ShouldContain(r => (string)r!["cause"]! == "clearance" && (bool)r["suspected"]!);
        var rung = (string)paper["ladder"]!["next"]!;
        paper = (
            await app.Post(
                $"/api/papers/{Id(paper)}/notes",
                new
                {
                    id = App.NewId(),
                    rung,
                    outcome = "nothing",
                    note = "three shots with a club arrow",
                }
            )
        ).Body;
        ((string)paper["ladder"]!["next"]!).ShouldNotBe(rung);
        var note = paper["sets"]!.AsArray()[^1]!["notesAfter"]![0]!;
        ((string)note["rung"]!).ShouldBe(rung);
        var (_, after) = await app.Send(HttpMethod.Delete, $"/api/papers/{Id(paper)}/notes/{note["id"]}", null);
        ((string)after["ladder"]!["next"]!).ShouldBe(rung, "a note that is taken back is not done");
        (await app.Post($"/api/papers/{Id(paper)}/notes", new { id = App.NewId(), note = " " })).Body["errors"]!
            ["note"]
            .ShouldNotBeNull();
        (
            await app.Post(
                $"/api/papers/{Id(paper)}/notes",
                new
                {
                    id = App.NewId(),
                    rung,
                    outcome = "perhaps",
                }
            )
        ).Body["errors"]!["outcome"].ShouldNotBeNull();
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
        (await app.Get($"/api/bows/{App.Brindle}/papers")).AsArray().Count.ShouldBe(2);
        var newest = (await app.Get($"/api/bows/{App.Brindle}/papers?newest=1")).AsArray();
        ((string)newest.Single()!["id"]!).ShouldBe(Id(paper));
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
    public async Task What_was_learned_is_forgotten_when_asked_and_comes_back_when_that_is_undone()
    {
        using var app = new App();
        var before = await app.Get($"/api/bows/{App.Brindle}/response");
        ((int)Yoke(before)["settings"]!).ShouldBe(2);
        await app.Post(
            $"/api/bows/{App.Brindle}/changes",
            new
            {
                id = App.NewId(),
                change = "newString",
                note = "",
                happenedAt = (DateTimeOffset?)null,
            }
        );
        var proposed = await app.Get($"/api/bows/{App.Brindle}/response");
        ((string)proposed["proposals"]![0]!["change"]!).ShouldBe("newString");
        var reset = App.NewId();
        var (status, after) = await app.Post(
            $"/api/bows/{App.Brindle}/response/resets",
            new
            {
                id = reset,
                kinds = Array.Empty<string>(),
                reason = "new string",
            }
        );
        status.ShouldBe(200, after.ToJsonString());
        ((int)after["shots"]!).ShouldBe(0);
        after["proposals"]!.AsArray().ShouldBeEmpty();
        ((double)Yoke(after)["now"]!["gain"]!).ShouldBe((double)Yoke(after)["nominal"]!, 1e-9);
        var (_, again) = await app.Send(HttpMethod.Delete, $"/api/bows/{App.Brindle}/response/resets/{reset}", null);
        ((int)Yoke(again)["settings"]!).ShouldBe(2);
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

    [Fact]
    public async Task An_arrow_of_the_dozen_that_tears_apart_is_named()
    {
        using var app = new App();
        var paper = await app.StartPaper(dozenId: "cccccccc-0000-4000-8000-000000000002");
        paper["plan"]!["arrowNumbers"]!.AsArray().Count.ShouldBe(12);
        foreach (var (x, arrow) in new[] { (.10, "1"), (.12, "1"), (.11, "4"), (.13, "4"), (.9, "9"), (.95, "9") })
        {
            paper = await app.Shoot(paper, x, 0, arrow);
        }

        (
            (string)
                paper["readings"]!.AsArray().Single(r => (string)r!["cause"]! == "arrow")!["evidence"]!["statement"]!
        ).ShouldBe("Arrow 9 tears apart from the others.");
    }

    [Fact]
    public async Task Nocks_are_turned_until_a_turn_flies_inside_and_the_mark_is_on_the_arrow()
    {
        using var app = new App();
        const string dozen = "cccccccc-0000-4000-8000-000000000001";
        var view = await app.Get($"/api/dozens/{dozen}/nocks");
        ((int)view["next"]!["number"]!).ShouldBe(5);
        ((bool)view["next"]!["fletched"]!).ShouldBeTrue();
        view = await Nock(app, dozen, 5, 1, true, "0,6");
        ((int)view["next"]!["turn"]!).ShouldBe(2);
        view = await Nock(app, dozen, 5, 2, true, "0.1");
        ((string)view["arrows"]![4]!["fletched"]!["state"]!).ShouldBe("good");
        ((int)view["next"]!["number"]!).ShouldBe(6);
        var practice = (int)view["practice"]!;
        view = await Nock(app, dozen, 6, 0, true, ".6");
        view = await Nock(app, dozen, 6, 1, true, ".5");
        view = await Nock(app, dozen, 6, 2, true, ".7");
        ((string)view["arrows"]![5]!["fletched"]!["state"]!).ShouldBe("practice");
        ((int)view["practice"]!).ShouldBe(practice + 1);
        var tray = (await app.Get($"/api/dozens/{dozen}"))["tray"]!.AsArray();
        ((string)tray[4]!["nockMark"]!).ShouldBe("step 2 of 3");
        ((string)tray[5]!["paper"]!).ShouldBe("practice only");
        var far = await app.Get($"/api/dozens/{dozen}/nocks?distance=15");
        ((string)far["arrows"]![4]!["fletched"]!["state"]!).ShouldBe(
            "untried",
            "it is verified at every planned distance"
        );
        var last = (string)view["arrows"]![5]!["shots"]!.AsArray()[^1]!["id"]!;
        var (_, undone) = await app.Send(HttpMethod.Delete, $"/api/dozens/{dozen}/nocks/{last}", null);
        ((string)undone["arrows"]![5]!["fletched"]!["state"]!).ShouldBe("turnOn");
    }

    [Theory]
    [InlineData(9, 0, "0", "number")]
    [InlineData(1, 7, "0", "turn")]
    [InlineData(1, 0, "", "right")]
    [InlineData(1, 0, "a lot", "right")]
    public async Task A_nock_shot_names_what_is_wrong(int number, int turn, string right, string field)
    {
        using var app = new App();
        var (status, problem) = await app.Post(
            "/api/dozens/cccccccc-0000-4000-8000-000000000001/nocks",
            new
            {
                id = App.NewId(),
                number,
                turn,
                fletched = false,
                right,
                up = "",
            }
        );
        status.ShouldBe(400);
        problem["errors"]![field].ShouldNotBeNull();
    }

    private static async Task<JsonNode> Nock(App app, string dozen, int number, int turn, bool fletched, string right)
    {
        var (status, view) = await app.Post(
            $"/api/dozens/{dozen}/nocks",
            new
            {
                id = App.NewId(),
                number,
                turn,
                fletched,
                right,
                up = "0",
            }
        );
        status.ShouldBe(200, view.ToJsonString());
        return view;
    }

    private static async Task<JsonNode> ShootUntilGood(App app, JsonNode paper)
    {
        for (var i = 0; i < 12 && Kind(paper) != "goodEnough"; i++)
        {
            paper = await app.Shoot(paper, i % 2 == 0 ? .03 : -.02, .01);
        }

        Kind(paper).ShouldBe("goodEnough");
        return paper;
    }

    private static JsonNode Yoke(JsonNode response) =>
        response["rows"]!.AsArray().Single(r => (string)r!["kind"]! == "yokePair")!;

    private static string Id(JsonNode paper) => (string)paper["id"]!;

    private static string SetId(JsonNode paper) => (string)paper["sets"]!.AsArray()[^1]!["id"]!;

    private static string Kind(JsonNode paper) => (string)paper["advice"]!["kind"]!;
}

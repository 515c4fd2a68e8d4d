using System.Text.Json.Nodes;
using static Merganser.Web.Tests.PaperJson;

namespace Merganser.Web.Tests;

/// <summary>
/// The whole session over the API: plan, stages, words, doubt, late moves, controls, ladder, trial, response, nock
/// tuning.
/// </summary>
public class TuningTests
{
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
        ((double)Yoke(after)["now"]!["gain"]!).ShouldBe(
            (double)Yoke(after)["nominal"]! / 2,
            1e-9,
            "half the nominal gain, until the bow has spoken"
        );
        var (_, again) = await app.Send(HttpMethod.Delete, $"/api/bows/{App.Brindle}/response/resets/{reset}", null);
        ((int)Yoke(again)["settings"]!).ShouldBe(2);
    }
}

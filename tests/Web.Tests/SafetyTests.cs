using System.Text.Json.Nodes;

namespace Merganser.Web.Tests;

/// <summary>
/// What may hurt is said where the act is, and nothing that is offered is less careful than the bench itself.
/// </summary>
public class SafetyTests
{
    private const string Bow = "/api/bows/" + App.Brindle;
    private const string TallOsk = "/api/bows/22222222-0000-4000-8000-000000000002";

    [Fact]
    public async Task A_cracked_limb_stops_everything_on_that_bow_until_somebody_repaired_it()
    {
        using var app = new App();
        var paper = await app.StartPaper();
        await app.Post(
            $"{Bow}/checks",
            new
            {
                id = App.NewId(),
                kind = "inspection",
                choice = "damaged",
            }
        );
        string[] stops =
        [
            $"{Bow}/checks",
            "/api/papers",
            $"/api/sets/{paper["sets"]![0]!["id"]}/shots",
            $"{Bow}/shots",
            $"{Bow}/chronograph",
        ];
        object[] acts =
        [
            new
            {
                id = App.NewId(),
                kind = "drawWeight",
                typed = "65",
            },
            new
            {
                id = App.NewId(),
                bowId = App.Brindle,
                arrowVersionId = App.IslandVersion,
                stages = new[] { new { distance = "3", fletched = false } },
            },
            App.Shot(.1, .1),
            new { id = App.NewId(), count = 6 },
            new
            {
                id = App.NewId(),
                grains = "400",
                speed = "270",
                source = "typed",
            },
        ];
        for (var i = 0; i < stops.Length; i++)
        {
            var (status, problem) = await app.Post(stops[i], acts[i]);
            status.ShouldBe(400, stops[i]);
            ((string)problem["code"]!).ShouldBe("unsound", stops[i]);
        }

        var rack = (await app.Get("/api/rack"))["bows"]!.AsArray().First(b => (string)b!["id"]! == App.Brindle)!;
        ((string)rack["state"]!).ShouldStartWith("Do not shoot it.");
        JsonNode[] nexts =
        [
            (await app.Get($"{Bow}/setup"))["next"]!,
            (await app.Get(Bow))["next"]!,
            (await app.Get($"/api/papers/{paper["id"]}"))["next"]!,
            (await app.NewestDozen())["next"]!,
        ];
        nexts.ShouldAllBe(n => ((string)n["sentence"]!).StartsWith("Do not shoot"));
        ((string)(await app.Get($"/api/papers/{paper["id"]}"))["advice"]!["kind"]!).ShouldBe("unsound");

        (
            await app.Post(
                $"{Bow}/checks",
                new
                {
                    id = App.NewId(),
                    kind = "inspection",
                    choice = "sound",
                }
            )
        ).Status.ShouldBe(400, "sound is not enough");
        (
            await app.Post(
                $"{Bow}/checks",
                new
                {
                    id = App.NewId(),
                    kind = "inspection",
                    choice = "repaired",
                }
            )
        ).Status.ShouldBe(400, "by whom?");
        var (_, setup) = await app.Post(
            $"{Bow}/checks",
            new
            {
                id = App.NewId(),
                kind = "inspection",
                choice = "repaired",
                typed = "the island shop",
            }
        );
        ((string)setup["checks"]![0]!["verdict"]!["words"]!).ShouldBe("Repaired by the island shop.");
        (await app.Post(stops[2], acts[2])).Status.ShouldBe(200);
    }

    [Fact]
    public async Task A_damaged_shaft_leaves_its_arrow_and_is_in_no_list_label_or_nock_tuning()
    {
        using var app = new App();
        var dozen = await app.NewestDozen("22222222-0000-4000-8000-000000000002");
        var path = $"/api/dozens/{dozen["id"]}";
        var arrow = dozen["tray"]![0]!;
        var shaft = (int)arrow["pieces"]!["Shaft"]![0]!;
        var (_, after) = await app.Post(
            $"{path}/entries",
            new
            {
                id = App.NewId(),
                kind = "spin",
                number = shaft,
                word = "inspection",
                note = "crackedOrSplintered",
            }
        );
        var one = after["tray"]!.AsArray().First(a => (int)a!["number"]! == (int)arrow["number"]!)!;
        ((bool)one["retired"]!).ShouldBeTrue();
        ((string)one["retiredWhy"]!).ShouldContain("destroyed");
        after["heads"]!["heads"]!.AsArray().ShouldNotContain(h => (int)h!["arrow"]! == (int)arrow["number"]!);
        var nocks = await app.Get($"{path}/nocks");
        (
            (bool)nocks["arrows"]!.AsArray().First(a => (int)a!["number"]! == (int)arrow["number"]!)!["retired"]!
        ).ShouldBeTrue();
        ((int?)nocks["next"]!["number"]).ShouldNotBe((int)arrow["number"]!);
        (
            await app.Post(
                $"{path}/nocks",
                new
                {
                    id = App.NewId(),
                    number = (int)arrow["number"]!,
                    turn = 0,
                    fletched = true,
                    right = "0.1",
                    up = "0",
                }
            )
        ).Status.ShouldBe(400);
    }

    [Fact]
    public async Task An_answer_that_the_bench_refuses_is_refused_when_it_is_asked_for()
    {
        using var app = new App();
        var (status, told) = await Ask(app, "lengthForWeight", "382");
        status.ShouldBe(400);
        ((string)told["errors"]!["value"]![0]!).ShouldContain("behind the rest");
    }

    [Theory]
    [InlineData("pointForWeight", "420")]
    [InlineData("lengthForWeight", "400")]
    public async Task An_answer_carries_the_cautions_of_the_bench(string wanted, string value)
    {
        using var app = new App();
        var (status, told) = await Ask(app, wanted, value);
        status.ShouldBe(200, told.ToJsonString());
        var draft = told["inStock"]![0]!["draft"]!;
        var (_, figures) = await app.Post(
            "/api/figures",
            new
            {
                bowId = App.Brindle,
                draft,
                openedVersionId = (string?)null,
            }
        );
        told["cautions"]!
            .AsArray()
            .Select(c => (string)c!["code"]!)
            .ShouldBe(figures["reading"]!["cautions"]!.AsArray().Select(c => (string)c!["code"]!));
        if (wanted == "lengthForWeight")
        {
            ((string)told["words"]!).ShouldContain("Cut once");
        }
    }

    [Theory]
    [InlineData("27 1/2", "point-pebble-100", "fixLength")]
    [InlineData("28 1/2", "point-shear-200", "tryShaft")]
    public async Task A_caution_and_its_cure_stand_in_the_foot(string length, string point, string action)
    {
        using var app = new App();
        var draft = App.DraftBody(length, point);
        draft["shaftId"] = action == "tryShaft" ? "shaft-wrackline-500" : "shaft-wrackline-340";
        var (_, figures) = await app.Post(
            "/api/figures",
            new
            {
                bowId = App.Brindle,
                draft,
                openedVersionId = (string?)null,
            }
        );
        figures["reading"]!["cautions"]!.AsArray().ShouldNotBeEmpty();
        ((string)figures["reading"]!["next"]!["action"]!).ShouldBe(action);
    }

    private static Task<(int Status, JsonNode Body)> Ask(App app, string wanted, string value) =>
        app.Post(
            "/api/figures/ask",
            new
            {
                bowId = App.Brindle,
                draft = App.DraftBody(),
                wanted,
                value,
            }
        );
}

using System.Text.Json.Nodes;
using Merganser.Tests;

namespace Merganser.Web.Tests;

/// <summary>What a technician tells beside one adjuster's steps: pairs, seats, notes, makes, days.</summary>
public class TechnicianTests
{
    private const string Bow = $"/api/bows/{App.Brindle}";

    [Fact]
    public async Task Both_legs_and_both_moves_of_a_visit_are_one_act_and_are_named_together()
    {
        using var app = new App();
        var at = Positions(await app.Get(Bow));
        var (status, paper) = await app.Post(
            $"/api/papers/{App.OpenPaper}/moves",
            new
            {
                id = App.NewId(),
                adjuster = "yokePair",
                to = at["yokePair"] + 2,
                from = at["yokePair"],
                also = new
                {
                    adjuster = "restHeight",
                    to = at["restHeight"] - 3,
                    from = at["restHeight"],
                },
            }
        );
        status.ShouldBe(200);
        paper["lastMoves"]!
            .AsArray()
            .Select(m => (string)m!["adjuster"]!)
            .ShouldBe(["yokePair", "restHeight"], ignoreOrder: true);
        var after = Positions(await app.Get(Bow));
        (after["yokePair"] - at["yokePair"], after["restHeight"] - at["restHeight"]).ShouldBe((2, -3));

        (_, paper) = await app.Post(
            $"/api/papers/{App.OpenPaper}/moves",
            new { id = App.NewId(), yoke = new { left = 1, right = 0 } }
        );
        ((string)paper["lastMoves"]![0]!["adjuster"]!).ShouldBe("yokeLeftLeg");
        ((string)paper["advice"]!["kind"]!).ShouldBe("noShots", "one leg alone: the tear begins anew");
    }

    [Fact]
    public async Task A_second_move_that_cannot_be_leaves_the_first_undone_too()
    {
        using var app = new App();
        var at = Positions(await app.Get(Bow));
        var (status, _) = await app.Post(
            $"/api/papers/{App.OpenPaper}/moves",
            new
            {
                id = App.NewId(),
                adjuster = "yokePair",
                to = at["yokePair"] + 1,
                also = new { adjuster = "restHeight", to = 999 },
            }
        );
        status.ShouldBe(400);
        Positions(await app.Get(Bow)).ShouldBe(at);
    }

    [Fact]
    public async Task Paper_is_done_by_accepting_one_and_open_again_with_it()
    {
        using var app = new App();
        await app.Post($"{Bow}/changes", new { id = App.NewId(), change = "newLoop" });
        (await Asked(app)).ShouldContain("paper");
        (
            await app.Post(
                $"{Bow}/checks",
                new
                {
                    id = App.NewId(),
                    kind = "paper",
                    choice = "done",
                }
            )
        ).Status.ShouldBe(400, "nobody calls a paper done by hand");
        (await app.Post($"/api/papers/{App.OpenPaper}/accept", new { accepted = true })).Status.ShouldBe(
            400,
            "nothing was shot since"
        );
        var paper = await app.Get($"/api/papers/{App.OpenPaper}");
        // The first after it only settle the string.
        for (var shot = 0; shot < 6; shot++)
        {
            paper = await app.Shoot(paper, .02, .01);
        }

        (await app.Post($"/api/papers/{App.OpenPaper}/accept", new { accepted = true })).Status.ShouldBe(200);
        (await Asked(app)).ShouldNotContain("paper");
        (await app.Post($"/api/papers/{App.OpenPaper}/accept", new { accepted = false })).Status.ShouldBe(200);
        (await Asked(app)).ShouldContain("paper");
    }

    [Fact]
    public async Task A_finding_keeps_what_was_chosen_and_how_it_is_done_stands_beside_it()
    {
        using var app = new App();
        var (_, setup) = await app.Post(
            $"{Bow}/checks",
            new
            {
                id = App.NewId(),
                kind = "nockSets",
                choice = "gap",
                note = "5 over, 9 under",
            }
        );
        var check = setup["checks"]!.AsArray().Single(c => (string)c!["kind"]! == "nockSets")!;
        ((string)check["last"]!["note"]!).ShouldBe("5 over, 9 under");
        check["howTo"]!.AsArray().Count.ShouldBe(3);
        ((string)check["noteAsked"]!).ShouldContain("Wraps");
    }

    [Fact]
    public async Task A_caliper_is_answered_in_clicks_and_sights_at_any_distance_and_speed()
    {
        using var app = new App();
        var (_, told) = await app.Post(
            $"{Bow}/caliper",
            new
            {
                front = "7/8",
                rear = "13/16",
                nockToRest = "27",
                between = "15",
            }
        );
        // (.875 − .8125) · 27 / 15 = .1125 in; by hand.
        ((double)told["restMovesIn"]!).ShouldBe(.1125, 1e-9);
        told["to"].ShouldNotBeNull();
        ((string)told["clicks"]!).ShouldContain("is left over");
        var own = await app.Get($"{Bow}/cants?degrees=1&zero=20&slope=0&distance=73&speed=200");
        ((double)own["speed"]!).ShouldBe(200);
        own["rows"]!.AsArray().Select(r => (double)r!["yards"]!).ShouldContain(73);
        (await app.Http.GetAsync($"{Bow}/cants?degrees=1&zero=20&slope=0&distance=900")).StatusCode.ShouldBe(
            System.Net.HttpStatusCode.BadRequest
        );
    }

    [Fact]
    public async Task A_bow_of_the_same_make_is_borrowed_from_until_it_is_set_aside()
    {
        using var app = new App();
        var mine = (string)(await app.Get(Bow))["bow"]!["name"]!;
        var other = await Copy(app, "Heron 33");
        (await Learned(app, other)).ShouldBeEmpty();
        (await app.Get($"/api/bows/{other}/response"))["borrows"].ShouldBeNull("no other bow is of that make");
        await Make(app, App.Brindle, "heron  33");
        var taught = await Learned(app, other);
        taught.ShouldNotBeEmpty();
        taught.ShouldAllBe(name => name == mine);
        await app.Post($"/api/bows/{other}/response/borrowing", new { borrows = false });
        (await Learned(app, other)).ShouldBeEmpty();
        ((bool)(await app.Get($"/api/bows/{other}/response"))["borrows"]!).ShouldBeFalse();
    }

    private static async Task<string[]> Learned(App app, string bow) =>
        [
            .. (await app.Get($"/api/bows/{bow}/response"))["others"]!
                .AsArray()
                .Where(o => o!["bowName"] is not null)
                .Select(o => (string)o!["bowName"]!),
        ];

    /// <summary>Another bow like the first one, of a make, with an arrow and a paper.</summary>
    private static async Task<string> Copy(App app, string make)
    {
        var (bow, arrow, version) = (App.NewId(), App.NewId(), App.NewId());
        var like = await app.Get(Bow);
        var entry = like["typed"]!.DeepClone();
        (entry["name"], entry["make"]) = ("Another", make);
        (
            await app.Post(
                "/api/bows",
                new JsonObject
                {
                    ["id"] = bow,
                    ["archerId"] = (string)like["archerId"]!,
                    ["entry"] = entry,
                    ["adjusters"] = BowJson.Limits(like),
                }
            )
        ).Status.ShouldBe(200);
        var draft = (await app.Get($"{Bow}/arrows"))[0]!["draft"]!.DeepClone();
        await app.Post(
            "/api/arrows",
            new JsonObject
            {
                ["id"] = arrow,
                ["bowId"] = bow,
                ["draft"] = draft,
            }
        );
        await app.Post($"/api/arrows/{arrow}/versions", new { id = version });
        (
            await app.Post(
                "/api/papers",
                new
                {
                    id = App.NewId(),
                    bowId = bow,
                    arrowVersionId = version,
                    stages = new[] { new { distance = "3", fletched = false } },
                }
            )
        ).Status.ShouldBe(200);
        return bow;
    }

    private static async Task Make(App app, string bow, string make)
    {
        var view = await app.Get($"/api/bows/{bow}");
        var entry = view["typed"]!.DeepClone();
        entry["make"] = make;
        var body = new JsonObject
        {
            ["id"] = null,
            ["archerId"] = (string)view["archerId"]!,
            ["entry"] = entry,
            ["adjusters"] = BowJson.Limits(view),
        };
        var version = $"\"{(int)view["version"]!}\"";
        var (status, answer) = await app.Send(HttpMethod.Put, $"/api/bows/{bow}", body, version);
        status.ShouldBe(200, answer.ToJsonString());
    }

    private static Dictionary<string, int> Positions(JsonNode bow) =>
        bow["adjusters"]!.AsArray().ToDictionary(a => (string)a!["kind"]!, a => (int)a!["position"]!);

    private static async Task<string[]> Asked(App app)
    {
        var setup = await app.Get($"{Bow}/setup");
        return
        [
            .. setup["checks"]!
                .AsArray()
                .Concat(setup["followUps"]!.AsArray())
                .Where(c => (string)c!["state"]! == "again")
                .Select(c => (string)c!["kind"]!),
        ];
    }
}

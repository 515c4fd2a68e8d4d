using System.Text.Json.Nodes;

namespace Merganser.Web.Tests;

/// <summary>A bow and its archer are kept together or not at all.</summary>
public class ArcherRecordTests
{
    private const string Bow = "/api/bows/" + App.Brindle;
    private const string TallOsk = "22222222-0000-4000-8000-000000000002";

    [Fact]
    public async Task A_new_archer_and_bow_are_one_command_and_draw_with_one_hand()
    {
        using var app = new App(demo: false);
        var bow = JsonNode.Parse(System.Text.Json.JsonSerializer.Serialize(App.BowBody(App.NewId())))!.AsObject();
        bow["archerId"] = null;
        bow["entry"]!["hand"] = "left";
        bow["archer"] = new JsonObject
        {
            ["id"] = App.NewId(),
            ["name"] = "Own archer",
            ["hand"] = "right",
            ["hasPress"] = false,
            ["school"] = "ladder",
        };
        bow["entry"]!["drawLength"] = "long";
        var (status, problem) = await app.Post("/api/bows", bow.ToJsonString());
        status.ShouldBe(400);
        problem["errors"]!["drawLength"].ShouldNotBeNull();
        (await app.Get("/api/archers")).AsArray().ShouldBeEmpty("a refused bow leaves nothing behind");
        bow["entry"]!["drawLength"] = "29";
        (status, problem) = await app.Post("/api/bows", bow.ToJsonString());
        status.ShouldBe(200, problem.ToJsonString());
        var archers = (await app.Get("/api/archers")).AsArray();
        ((string)archers.ShouldHaveSingleItem()!["archer"]!["hand"]!).ShouldBe("left");
    }

    [Fact]
    public async Task An_archer_is_refused_with_the_bow_and_every_field_is_named()
    {
        using var app = new App();
        var bow = JsonNode
            .Parse(System.Text.Json.JsonSerializer.Serialize(App.BowBody(App.NewId(), drawLength: "")))!
            .AsObject();
        bow["archer"] = new JsonObject
        {
            ["id"] = App.NewId(),
            ["name"] = " ",
            ["hand"] = "right",
            ["hasPress"] = false,
            ["school"] = "ladder",
        };
        var (status, problem) = await app.Post("/api/bows", bow.ToJsonString());
        status.ShouldBe(400);
        problem["errors"]!["archerName"].ShouldNotBeNull();
        problem["errors"]!["drawLength"].ShouldNotBeNull();
        ((string)problem["title"]!).ShouldContain("draw length");
    }

    [Fact]
    public async Task An_archer_edited_beside_a_bow_that_is_refused_stays_as_they_were()
    {
        using var app = new App();
        var view = await app.Get(Bow);
        var name = (string)
            (await app.Get("/api/archers")).AsArray().First(a => (string)a!["id"]! == (string)view["archerId"]!)![
                "archer"
            ]!["name"]!;
        var body = new JsonObject
        {
            ["id"] = App.Brindle,
            ["entry"] = view["typed"]!.DeepClone(),
            ["adjusters"] = new JsonArray(),
            ["archer"] = new JsonObject
            {
                ["name"] = "Renamed",
                ["hand"] = "right",
                ["hasPress"] = true,
                ["school"] = "ladder",
            },
            ["archerVersion"] = 1,
        };
        body["entry"]!["braceHeight"] = "no";
        (await app.Send(HttpMethod.Put, Bow, body.ToJsonString(), $"\"{view["version"]}\"")).Status.ShouldBe(400);
        (await app.Get("/api/archers")).AsArray().ShouldContain(a => (string)a!["archer"]!["name"]! == name);
    }
}

using System.Text.Json.Nodes;

namespace Merganser.Web.Tests;

public class BowTests
{
    [Fact]
    public async Task A_bow_is_kept_as_typed_and_as_measured_through_a_restart()
    {
        using var app = new App(demo: false);
        var archer = App.NewId();
        var bow = App.NewId();
        (
            await app.Post(
                "/api/archers",
                new
                {
                    id = archer,
                    name = "Own archer",
                    hand = "left",
                    hasPress = false,
                    school = "ladder",
                }
            )
        ).Status.ShouldBe(200);
        var (status, body) = await app.Post("/api/bows", App.BowBody(bow, archerId: archer));
        status.ShouldBe(200, body.ToJsonString());
        app.Restart();
        var kept = await app.Get($"/api/bows/{bow}");
        ((string)kept["typed"]!["braceHeight"]!).ShouldBe("6 1/2");
        ((double)kept["bow"]!["braceHeight"]!).ShouldBe(6.5);
        ((double)kept["bow"]!["measuredWeight"]!).ShouldBe(60.5);
        ((string)(await app.Get("/api/rack"))["bows"]![0]!["state"]!).ShouldBe("No arrow yet.");
    }

    [Fact]
    public async Task The_same_id_again_adds_nothing()
    {
        using var app = new App();
        var body = App.BowBody(App.NewId());
        await app.Post("/api/bows", body);
        (await app.Post("/api/bows", body)).Status.ShouldBe(200);
        (await app.Get("/api/rack"))["bows"]!.AsArray().Count(b => (string)b!["name"]! == "Test bow").ShouldBe(1);
    }

    [Fact]
    public async Task An_edit_on_an_old_version_is_told_what_is_there_now()
    {
        using var app = new App();
        var id = App.NewId();
        var body = App.BowBody(id);
        await app.Post("/api/bows", body);
        (await app.Send(HttpMethod.Put, $"/api/bows/{id}", App.BowBody(id, "29 1/2"), "\"1\"")).Status.ShouldBe(200);
        var (status, problem) = await app.Send(HttpMethod.Put, $"/api/bows/{id}", App.BowBody(id, "28"), "\"1\"");
        status.ShouldBe(412);
        ((string)problem["code"]!).ShouldBe("changed");
        ((string)problem["current"]!["typed"]!["drawLength"]!).ShouldBe("29 1/2");
        (await app.Send(HttpMethod.Put, $"/api/bows/{id}", body)).Status.ShouldBe(428);
    }

    [Theory]
    [InlineData("drawLength", "14", "drawLength")]
    [InlineData("drawLength", "long", "drawLength")]
    [InlineData("nominalWeight", "200", "nominalWeight")]
    [InlineData("ratedSpeed", "100", "ratedSpeed")]
    [InlineData("name", "", "name")]
    public async Task Bad_input_names_its_field_with_a_sentence(string field, string text, string expected)
    {
        using var app = new App();
        var body = JsonNode.Parse(System.Text.Json.JsonSerializer.Serialize(App.BowBody(App.NewId())))!;
        body["entry"]![field] = text;
        var (status, problem) = await app.Post("/api/bows", body);
        status.ShouldBe(400);
        problem["errors"]![expected]!.AsArray()[0]!.ToString().Length.ShouldBeGreaterThan(10);
    }

    [Theory]
    [InlineData("/api/bows", "{}")]
    [InlineData("/api/bows", "{\"id\":")]
    [InlineData("/api/bows", "[]")]
    [InlineData(
        "/api/archers",
        "{\"id\":\"x\",\"name\":\"y\",\"hand\":\"middle\",\"hasPress\":false,\"school\":\"ladder\"}"
    )]
    [InlineData(
        "/api/archers",
        "{\"id\":\"no-guid\",\"name\":\"y\",\"hand\":\"left\",\"hasPress\":false,\"school\":\"ladder\"}"
    )]
    [InlineData("/api/arrows", "{}")]
    [InlineData("/api/figures", "{}")]
    [InlineData("/api/papers", "{}")]
    public async Task What_cannot_be_read_is_a_400_with_a_code(string path, string body)
    {
        using var app = new App();
        var (status, problem) = await app.Post(path, body);
        status.ShouldBe(400);
        ((string?)problem["code"]).ShouldNotBeNullOrEmpty();
    }

    [Fact]
    public async Task An_unknown_bow_or_archer_is_a_404()
    {
        using var app = new App();
        (await app.Http.GetAsync("/api/bows/none")).StatusCode.ShouldBe(System.Net.HttpStatusCode.NotFound);
        (await app.Post("/api/bows", App.BowBody(App.NewId(), archerId: App.NewId()))).Status.ShouldBe(404);
    }

    [Fact]
    public async Task An_unknown_kind_of_bow_has_no_adjusters_but_a_sentence()
    {
        using var app = new App();
        var answer = await app.Http.GetAsync("/api/adjusters?kind=crossbow&cams=single");
        ((int)answer.StatusCode).ShouldBe(400);
        (await answer.Content.ReadAsStringAsync()).ShouldContain("compound");
    }
}

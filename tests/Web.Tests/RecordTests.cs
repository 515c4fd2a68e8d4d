using System.Net;
using System.Text;
using System.Text.Json.Nodes;

namespace Merganser.Web.Tests;

/// <summary>Nothing that was entered is lost, mixed up with another's, or half written.</summary>
public class RecordTests
{
    private const string Bow = "/api/bows/" + App.Brindle;
    private const string TallOsk = "22222222-0000-4000-8000-000000000002";

    [Fact]
    public async Task An_id_that_is_another_bows_is_refused_and_changes_nothing()
    {
        using var app = new App();
        var id = App.NewId();
        await app.Post("/api/bows", App.BowBody(id));
        (await app.Post("/api/bows", App.BowBody(id, drawLength: "27"))).Status.ShouldBe(409);
        ((double)(await app.Get($"/api/bows/{id}"))["bow"]!["drawLength"]!).ShouldBe(29);
        (
            await app.Post(
                "/api/archers",
                new
                {
                    id = App.Ada,
                    name = "Another",
                    hand = "right",
                    hasPress = false,
                    school = "ladder",
                }
            )
        ).Status.ShouldBe(409);
    }

    [Fact]
    public async Task Weight_draw_and_brace_are_enough_and_a_weight_there_must_be()
    {
        using var app = new App();
        var bow = JsonNode.Parse(System.Text.Json.JsonSerializer.Serialize(App.BowBody(App.NewId())))!.AsObject();
        bow["entry"]!["axleToAxle"] = "";
        bow["entry"]!["nominalWeight"] = "";
        (await app.Post("/api/bows", bow.ToJsonString())).Status.ShouldBe(200);
        (await app.Get($"/api/bows/{bow["id"]}/setup"))["checks"]!.AsArray().Count.ShouldBeGreaterThan(10);
        bow["id"] = App.NewId();
        bow["entry"]!["measuredWeight"] = "";
        (await app.Post("/api/bows", bow.ToJsonString())).Body["errors"]!["measuredWeight"].ShouldNotBeNull();
    }

    [Theory]
    [InlineData("99999999-0000-4000-8000-000000000000")]
    [InlineData("cccccccc-0000-4000-8000-000000000001")]
    public async Task A_paper_of_an_unknown_or_another_bows_dozen_is_not_begun(string dozen)
    {
        using var app = new App();
        var before = (await app.Papers()).Count;
        var body = new
        {
            id = App.NewId(),
            bowId = App.Brindle,
            arrowVersionId = App.IslandVersion,
            stages = new[] { new { distance = "3", fletched = false } },
            dozenId = dozen,
        };
        (await app.Post("/api/papers", body)).Status.ShouldBe(404);
        (await app.Papers()).Count.ShouldBe(before);
    }

    [Fact]
    public async Task A_row_that_cannot_be_read_makes_itself_unreadable_and_not_its_list()
    {
        using var app = new App();
        var first = (string)(await app.StartPaper())["id"]!;
        var second = (string)(await app.StartPaper())["id"]!;
        app.Database.Write(sql =>
            sql.Execute(
                "DROP TRIGGER paper_is_kept; UPDATE paper SET plan = '{\"kind\":\"dance\"}' WHERE id = @second",
                new { second }
            )
        );
        app.Database.Write(sql => sql.Execute("UPDATE component SET facts = '{}' WHERE id = 'wrap-plain-4'"));
        app.Restart();
        ((string)(await app.NewestPaper())["id"]!).ShouldBe(first);
        (await app.Papers()).ShouldContain(p => (string)p!["id"]! == first);
        (await app.Get("/api/components"))["wraps"]!.AsArray().Count.ShouldBeGreaterThan(0);
        (await app.Get("/api/rack"))["unreadable"]!.AsArray().ShouldContain(line => ((string)line!).Contains(second));
    }

    [Theory]
    [InlineData("POST", Bow + "/response/resets", "{\"kinds\":[99],\"reason\":\"new\"}")]
    [InlineData("POST", Bow + "/response/resets", "{\"kinds\":[\"0\"],\"reason\":\"new\"}")]
    [InlineData("POST", Bow + "/checks", "{\"kind\":1,\"typed\":\"65\"}")]
    [InlineData("POST", Bow + "/checks", "{\"kind\":\"1\",\"typed\":\"65\"}")]
    [InlineData("POST", Bow + "/changes", "{\"change\":0}")]
    [InlineData("POST", "/api/archers", "{\"name\":\"A\",\"hand\":1,\"hasPress\":false,\"school\":\"ladder\"}")]
    [InlineData("POST", "/api/archers", "{\"name\":\"A\",\"hand\":\"right\",\"hasPress\":false,\"school\":\"2\"}")]
    [InlineData("GET", "/api/adjusters?kind=0&cams=none", "")]
    [InlineData("GET", "/api/adjusters?kind=compound,recurve&cams=none", "")]
    [InlineData("GET", "/api/catalogue?kind=1", "")]
    [InlineData("GET", Bow + "/weights?purpose=0", "")]
    public async Task A_number_is_no_word(string method, string path, string body)
    {
        using var app = new App();
        var input = body.Length == 0 ? null : JsonNode.Parse(body)!.AsObject();
        if (input is not null)
        {
            input["id"] = App.NewId();
        }

        using var request = new HttpRequestMessage(new HttpMethod(method), path)
        {
            Content = input is null ? null : new StringContent(input.ToJsonString(), Encoding.UTF8, "application/json"),
        };
        (await app.Http.SendAsync(request)).StatusCode.ShouldBe(HttpStatusCode.BadRequest);
    }

    [Fact]
    public async Task Only_an_entry_of_this_bow_and_this_kind_is_taken_back()
    {
        using var app = new App();
        var shot = App.NewId();
        await app.Post(
            $"/api/bows/{TallOsk}/chronograph",
            new
            {
                id = shot,
                grains = "400",
                speed = "180",
                source = "typed",
            }
        );
        (await app.Post($"{Bow}/chronograph/{shot}/withdraw", new { })).Status.ShouldBe(404);
        (await app.Post($"{Bow}/chronograph/{App.NewId()}/withdraw", new { })).Status.ShouldBe(404);
        (await app.Post($"/api/bows/{TallOsk}/withdrawals/{shot}", new { })).Status.ShouldBe(
            404,
            "a reading of the chronograph is no entry of the sheet"
        );
        (await app.Get($"/api/bows/{TallOsk}/chronograph"))["strings"]!.AsArray().Count.ShouldBe(1);
        (await app.Post($"/api/bows/{TallOsk}/chronograph/{shot}/withdraw", new { })).Status.ShouldBe(200);
    }

    [Fact]
    public async Task A_note_and_a_reset_are_taken_back_where_they_were_made_alone()
    {
        using var app = new App();
        var (here, there) = (
            await app.StartPaper(),
            await app.StartPaper(bowId: TallOsk, version: "44444444-0000-4000-8000-000000000004")
        );
        var (note, reset) = (App.NewId(), App.NewId());
        await app.Post($"/api/papers/{here["id"]}/notes", new { id = note, note = "gust" });
        (
            await app.Post(
                $"{Bow}/response/resets",
                new
                {
                    id = reset,
                    kinds = Array.Empty<string>(),
                    reason = "new string",
                }
            )
        ).Status.ShouldBe(200);
        (await Delete($"/api/papers/{there["id"]}/notes/{note}")).ShouldBe(404);
        (await Delete($"/api/papers/{here["id"]}/notes/{reset}")).ShouldBe(404, "a reset is no note");
        (await Delete($"/api/bows/{TallOsk}/response/resets/{reset}")).ShouldBe(404);
        (await Delete($"{Bow}/response/resets/{reset}")).ShouldBe(200);
        (await Delete($"/api/papers/{here["id"]}/notes/{note}")).ShouldBe(200);

        async Task<int> Delete(string path) => (await app.Send(HttpMethod.Delete, path, null)).Status;
    }

    [Fact]
    public async Task Only_a_setting_that_was_shot_is_accepted()
    {
        using var app = new App();
        var paper = await app.StartPaper();
        var id = (string)paper["id"]!;
        (await app.Post($"/api/papers/{id}/accept", new { accepted = true })).Status.ShouldBe(400, "nothing was shot");
        await app.Shoot(paper, .3, .1);
        paper = await app.Shoot(paper, .3, .1);
        var at = (int)
            (await app.Get(Bow))["adjusters"]!.AsArray().First(a => (string)a!["kind"]! == "restHeight")!["position"]!;
        var move = new
        {
            id = App.NewId(),
            adjuster = "restHeight",
            to = at + 2,
            note = "",
        };
        (_, paper) = await app.Post($"/api/papers/{id}/moves", move);
        ((string?)paper["next"]!["alternativeAction"]).ShouldNotBe("accept");
        var (status, problem) = await app.Post($"/api/papers/{id}/accept", new { accepted = true });
        status.ShouldBe(400);
        ((string)problem["code"]!).ShouldBe("unshot");
        await app.Post(
            $"/api/papers/{id}/moves",
            new
            {
                id = App.NewId(),
                adjuster = "restHeight",
                to = at,
                note = "turned back",
            }
        );
        (await app.Post($"/api/papers/{id}/accept", new { accepted = true })).Status.ShouldBe(
            200,
            "it stands again as it was shot"
        );
    }

    [Fact]
    public async Task An_entry_that_was_wrong_gives_the_former_value_back()
    {
        using var app = new App();
        var before = (string)(await app.Get(Bow))["typed"]!["measuredWeight"]!;
        var (status, asked) = await app.Post(
            $"{Bow}/checks",
            new
            {
                id = App.NewId(),
                kind = "drawWeight",
                typed = "7.2",
            }
        );
        status.ShouldBe(400);
        ((string)asked["code"]!).ShouldBe("suspicious");
        var first = App.NewId();
        var second = App.NewId();
        await app.Post(
            $"{Bow}/checks",
            new
            {
                id = first,
                kind = "drawWeight",
                typed = "7.2",
                confirmed = true,
            }
        );
        await app.Post(
            $"{Bow}/checks",
            new
            {
                id = second,
                kind = "drawWeight",
                typed = "66",
                confirmed = true,
            }
        );
        await app.Post($"{Bow}/withdrawals/{first}", new { });
        ((string)(await app.Get(Bow))["typed"]!["measuredWeight"]!).ShouldBe("66", "a later reading counts");
        await app.Post($"{Bow}/withdrawals/{second}", new { });
        ((string)(await app.Get(Bow))["typed"]!["measuredWeight"]!).ShouldBe(before);
    }
}

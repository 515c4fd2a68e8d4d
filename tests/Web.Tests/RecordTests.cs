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
        var before = (await app.Get($"{Bow}/papers")).AsArray().Count;
        var body = new
        {
            id = App.NewId(),
            bowId = App.Brindle,
            arrowVersionId = App.IslandVersion,
            stages = new[] { new { distance = "3", fletched = false } },
            dozenId = dozen,
        };
        (await app.Post("/api/papers", body)).Status.ShouldBe(404);
        (await app.Get($"{Bow}/papers")).AsArray().Count.ShouldBe(before);
    }

    [Fact]
    public async Task A_row_that_cannot_be_read_makes_itself_unreadable_and_not_its_list()
    {
        using var app = new App();
        var first = (string)(await app.StartPaper())["id"]!;
        var second = (string)(await app.StartPaper())["id"]!;
        app.Database.Write(sql =>
            sql.Execute("UPDATE paper SET plan = '{\"kind\":\"dance\"}' WHERE id = @second", new { second })
        );
        app.Database.Write(sql => sql.Execute("UPDATE component SET facts = '{}' WHERE id = 'wrap-plain-4'"));
        app.Restart();
        ((string)(await app.Get($"{Bow}/papers?newest=1"))[0]!["id"]!).ShouldBe(first);
        (await app.Get($"{Bow}/papers")).AsArray().ShouldContain(p => (string)p!["id"]! == first);
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
    public async Task A_part_keeps_its_id_and_its_class()
    {
        using var app = new App();
        var csv = Encoding.UTF8.GetBytes("id,maker,name,weight,length\npoint-pebble-100,Own,Band,5,4\n");
        var view = await Import(app, "wrap", csv);
        ((int)view["good"]!).ShouldBe(0);
        ((string)view["problems"]![0]!["message"]!).ShouldContain("point");
        using var points = await app.Http.GetAsync("/api/catalogue/export.csv?kind=point");
        using var wrong = await app.Http.PostAsync(
            $"/api/imports/{App.NewId()}?kind=insert",
            Csv(await points.Content.ReadAsByteArrayAsync())
        );
        var told =
            wrong.StatusCode == HttpStatusCode.BadRequest
                ? 0
                : (int)JsonNode.Parse(await wrong.Content.ReadAsStringAsync())!["good"]!;
        told.ShouldBe(0, "points are no inserts");
        (
            await app.Post(
                "/api/catalogue",
                new
                {
                    id = App.NewId(),
                    @class = "wrap",
                    fields = new
                    {
                        maker = "Own",
                        name = "Band",
                        grains = "5",
                        length = "4",
                    },
                }
            )
        ).Status.ShouldBe(200);
        (
            await app.Post(
                "/api/catalogue/import.json",
                new
                {
                    format = "merganser-catalogue-1",
                    components = new[]
                    {
                        new
                        {
                            id = "point-pebble-100",
                            @class = "wrap",
                            fields = new
                            {
                                maker = "Own",
                                name = "Band",
                                grains = "5",
                                length = "4",
                            },
                        },
                    },
                }
            )
        ).Status.ShouldBe(400);
        (await app.Get("/api/components"))["points"]!
            .AsArray()
            .ShouldContain(p => (string)p!["id"]! == "point-pebble-100");
    }

    [Fact]
    public async Task A_part_that_would_change_is_shown_field_by_field_and_adding_never_overwrites()
    {
        using var app = new App();
        var id = App.NewId();
        object Part(string grains) =>
            new
            {
                id,
                @class = "wrap",
                fields = new
                {
                    maker = "Own",
                    name = "Band",
                    grains,
                    length = "4",
                },
            };
        await app.Post("/api/catalogue", Part("5"));
        (await app.Post("/api/catalogue", Part("5"))).Status.ShouldBe(200, "the same part again is a retry");
        (await app.Post("/api/catalogue", Part("6"))).Status.ShouldBe(409);
        var view = await Import(
            app,
            "wrap",
            Encoding.UTF8.GetBytes(
                $"id,class,maker,name,weight,length\n{id},wrap,Own,Band,6,4\n,wrap,Own,Other,5,4\n,point,Own,Third,5,4\n"
            )
        );
        ((int)view["changed"]!).ShouldBe(1);
        view["changes"]![0]!["fields"]!.ToJsonString().ShouldBe("[{\"field\":\"grains\",\"from\":\"5\",\"to\":\"6\"}]");
        ((int)view["good"]!).ShouldBe(2, "a row that says it is a point is no wrap");
    }

    [Fact]
    public async Task A_dozen_that_was_begun_is_not_taken_apart()
    {
        using var app = new App();
        var path = $"/api/dozens/{await Four(app)}";
        await app.Post(
            $"{path}/weights",
            new
            {
                id = App.NewId(),
                @class = "Nock",
                text = "9.1\n9.2\n9.1\n9.0",
            }
        );
        (await app.Post($"{path}/match", Options())).Status.ShouldBe(200);
        await app.Post(
            $"{path}/entries",
            new
            {
                id = App.NewId(),
                kind = "tick",
                number = 2,
                word = "cut",
            }
        );
        var (_, view) = await app.Post(
            $"{path}/entries",
            new
            {
                id = App.NewId(),
                kind = "piece",
                @class = "Head",
                value = "100.3",
            }
        );
        ((bool)view["match"]!["stale"]!).ShouldBeFalse("a head does not change which pieces are in an arrow");
        (_, view) = await app.Post(
            $"{path}/entries",
            new
            {
                id = App.NewId(),
                kind = "piece",
                @class = "Shaft",
                value = "250",
            }
        );
        ((string)view["next"]!["action"]!).ShouldNotBe("match");
        var (status, problem) = await app.Post($"{path}/match", Options());
        status.ShouldBe(400);
        ((string)problem["title"]!).ShouldContain("Arrow 2 is begun");
        var tick = (string)(await app.Get(path))["tray"]![1]!["tickIds"]!["cut"]!;
        await app.Post($"{path}/withdrawals/{tick}", new { });
        (await app.Post($"{path}/match", Options())).Status.ShouldBe(200);
    }

    [Fact]
    public async Task Every_act_on_a_dozen_is_safe_to_repeat_and_many_at_once_are_all_kept()
    {
        using var app = new App();
        var path = $"/api/dozens/{await Four(app)}";
        var table = new
        {
            id = App.NewId(),
            @class = "Nock",
            text = "9.1\n9.2",
        };
        await app.Post($"{path}/weights", table);
        var (status, view) = await app.Post($"{path}/weights", table);
        status.ShouldBe(200);
        Pieces(view, "Nock").ShouldBe(2);
        var piece = new
        {
            id = App.NewId(),
            kind = "piece",
            @class = "Nock",
            number = 7,
            value = "9.3",
        };
        await app.Post($"{path}/entries", piece);
        (await app.Post($"{path}/entries", piece)).Status.ShouldBe(200, "the same act again");
        var many = await Task.WhenAll(
            Enumerable
                .Range(0, 12)
                .Select(_ =>
                    app.Post(
                        $"{path}/entries",
                        new
                        {
                            id = App.NewId(),
                            kind = "piece",
                            @class = "Head",
                            value = "100",
                        }
                    )
                )
        );
        many.ShouldAllBe(a => a.Status == 200);
        (await app.Get(path))["heads"]!["pieces"]!
            .AsArray()
            .Select(p => (int)p!["number"]!)
            .ShouldBe(Enumerable.Range(1, 12));
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

    private static int Pieces(JsonNode dozen, string name) =>
        dozen["classes"]!.AsArray().First(c => (string)c!["name"]! == name)!["pieces"]!.AsArray().Count;

    private static object Options() =>
        new
        {
            id = App.NewId(),
            spineSets = false,
            straightest = false,
            leaveOut = 0,
            gluedShafts = Array.Empty<int>(),
        };

    private static async Task<string> Four(App app)
    {
        var id = App.NewId();
        await app.Post(
            $"{Bow}/dozens",
            new
            {
                id,
                arrowVersionId = App.IslandVersion,
                name = "Four",
                arrows = 4,
                classes = new[] { "Shaft", "Point", "Nock" },
                spare = 0,
                vanesInSets = false,
            }
        );
        await app.Post(
            $"/api/dozens/{id}/weights",
            new
            {
                id = App.NewId(),
                @class = "Shaft",
                text = "250.1\n251.3\n249.8\n250.6",
            }
        );
        await app.Post(
            $"/api/dozens/{id}/weights",
            new
            {
                id = App.NewId(),
                @class = "Point",
                text = "100.2\n99.0\n100.5\n99.7",
            }
        );
        if (await app.Post($"/api/dozens/{id}/match", Options()) is { Status: 400 })
        {
            return id;
        }

        throw new InvalidOperationException("nocks are missing");
    }

    private static ByteArrayContent Csv(byte[] bytes)
    {
        var content = new ByteArrayContent(bytes);
        content.Headers.ContentType = new System.Net.Http.Headers.MediaTypeHeaderValue("text/csv");
        return content;
    }

    private static async Task<JsonNode> Import(App app, string kind, byte[] csv)
    {
        var id = App.NewId();
        using var content = Csv(csv);
        using var answer = await app.Http.PostAsync($"/api/imports/{id}?kind={kind}", content);
        answer.StatusCode.ShouldBe(HttpStatusCode.OK, await answer.Content.ReadAsStringAsync());
        await (
            (Merganser.Web.Catalogues.ImportDesk)app.Services.GetService(typeof(Merganser.Web.Catalogues.ImportDesk))!
        ).Settled(id);
        return await app.Get($"/api/imports/{id}");
    }
}

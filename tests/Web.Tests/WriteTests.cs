using System.Net;
using System.Text.Json.Nodes;
using Dapper;
using Microsoft.Data.Sqlite;

namespace Merganser.Web.Tests;

/// <summary>A write says what happened: the same act is the same, another under its id is refused.</summary>
public class WriteTests
{
    private const string Bow = "/api/bows/" + App.Brindle;
    private const string OtherBow = "/api/bows/22222222-0000-4000-8000-000000000002";

    public static TheoryData<string, string, string> Acts =>
        new()
        {
            { $"{Bow}/shots", """{"count":12}""", """{"count":30}""" },
            { $"{Bow}/changes", """{"change":"newLoop"}""", """{"change":"newRest"}""" },
            {
                $"{Bow}/checks",
                """{"kind":"braceHeight","typed":"6.5","confirmed":true}""",
                """{"kind":"braceHeight","typed":"6.6","confirmed":true}"""
            },
            { $"{Bow}/good-states", """{"note":"calm"}""", """{"note":"windy"}""" },
            { $"{Bow}/moves", """{"adjuster":"restHeight","to":3}""", """{"adjuster":"restHeight","to":4}""" },
            {
                $"{Bow}/chronograph",
                """{"grains":"400","speed":"280","source":"typed"}""",
                """{"grains":"400","speed":"281","source":"typed"}"""
            },
            { $"/api/papers/{App.OpenPaper}/notes", """{"note":"wind"}""", """{"note":"calm"}""" },
            {
                $"/api/papers/{App.OpenPaper}/moves",
                """{"adjuster":"restHeight","to":3}""",
                """{"adjuster":"restHeight","to":5}"""
            },
            {
                $"{Bow}/response/resets",
                """{"kinds":[],"reason":"a new string"}""",
                """{"kinds":["restHeight"],"reason":"a new string"}"""
            },
        };

    [Theory]
    [MemberData(nameof(Acts))]
    public async Task The_same_act_again_is_the_same_and_another_under_its_id_is_refused(
        string path,
        string first,
        string other
    )
    {
        using var app = new App();
        var id = App.NewId();
        var (status, answer) = await app.Post(path, With(id, first));
        status.ShouldBe(200, answer.ToJsonString());
        var rows = Rows(app);
        var (again, same) = await app.Post(path, With(id, first));
        again.ShouldBe(200);
        same.ToJsonString().ShouldBe(answer.ToJsonString());
        var (refused, problem) = await app.Post(path, With(id, other));
        refused.ShouldBe(409);
        ((string)problem["code"]!).ShouldBe("id-taken");
        ((string)problem["current"]!["path"]!).ShouldBe(path);
        Rows(app).ShouldBe(rows, "nothing was added by either");
    }

    [Fact]
    public async Task An_act_belongs_to_what_it_was_done_to()
    {
        using var app = new App();
        var id = App.NewId();
        (await app.Post($"{Bow}/shots", new { id, count = 12 })).Status.ShouldBe(200);
        var (status, problem) = await app.Post($"{OtherBow}/shots", new { id, count = 12 });
        status.ShouldBe(409);
        ((string)problem["current"]!["path"]!).ShouldBe($"{Bow}/shots");
    }

    [Fact]
    public async Task An_act_that_was_refused_may_be_corrected_under_its_id()
    {
        using var app = new App();
        var id = App.NewId();
        (await app.Post($"{Bow}/shots", new { id, count = 0 })).Status.ShouldBe(400);
        (await app.Post($"{Bow}/shots", new { id, count = 12 })).Status.ShouldBe(200);
    }

    [Theory]
    [InlineData($"{Bow}/moves")]
    [InlineData($"/api/papers/{App.OpenPaper}/moves")]
    public async Task A_second_place_is_told_where_the_adjuster_stands_now(string path)
    {
        using var app = new App();
        var at = (int)(await Adjuster(app))["position"]!;
        var (one, two) = (Move(at, at + 3), Move(at, at + 1));
        (await app.Post(path, one.ToJsonString())).Status.ShouldBe(200);
        var (status, problem) = await app.Post(path, two.ToJsonString());
        status.ShouldBe(400);
        ((string)problem["errors"]!["to"]![0]!).ShouldContain((string)(await Adjuster(app))["standing"]!);
        ((int)(await Adjuster(app))["position"]!).ShouldBe(at + 3);
        (await app.Post(path, one.ToJsonString())).Status.ShouldBe(200, "a retry is no second move");

        static JsonObject Move(int from, int to) =>
            new()
            {
                ["id"] = App.NewId(),
                ["adjuster"] = "restHeight",
                ["from"] = from,
                ["to"] = to,
            };
    }

    [Fact]
    public async Task An_edit_names_the_version_it_was_made_on()
    {
        using var app = new App();
        var plan = new
        {
            school = "breakIn",
            checksAt = new[] { 120 },
            settlingShots = 5,
        };
        (await app.Send(HttpMethod.Put, $"{Bow}/string-plan", plan)).Status.ShouldBe(428);
        var version = (int)(await app.Get($"{Bow}/setup"))["bowVersion"]!;
        (await app.Send(HttpMethod.Put, $"{Bow}/string-plan", plan, $"\"{version}\"")).Status.ShouldBe(200);
        var (status, problem) = await app.Send(HttpMethod.Put, $"{Bow}/string-plan", plan, $"\"{version}\"");
        status.ShouldBe(412);
        problem["current"].ShouldNotBeNull();

        const string part = "/api/catalogue/wrap-plain-4";
        (await app.Send(HttpMethod.Delete, part, null)).Status.ShouldBe(428);
        (await app.Send(HttpMethod.Delete, part, null, "\"99\"")).Status.ShouldBeOneOf(409, 412, 400);
    }

    [Theory]
    [InlineData("text/html", 406)]
    [InlineData("application/json;q=0", 406)]
    [InlineData("application/*", 200)]
    [InlineData("text/html, */*;q=0.1", 200)]
    public async Task Only_what_is_accepted_is_sent(string accept, int status)
    {
        using var app = new App();
        using var request = new HttpRequestMessage(HttpMethod.Get, "/api/rack");
        request.Headers.TryAddWithoutValidation("Accept", accept);
        using var answer = await app.Http.SendAsync(request);
        ((int)answer.StatusCode).ShouldBe(status);
        if (status == 406)
        {
            answer.Content.Headers.ContentType!.MediaType.ShouldBe("application/problem+json");
        }
    }

    [Theory]
    [InlineData("/api/papers/99999999-0000-4000-8000-000000000000", HttpStatusCode.NotFound)]
    [InlineData("/api/nothing/here", HttpStatusCode.NotFound)]
    [InlineData("/api/bows/" + App.Brindle + "/cants?degrees=99&zero=20&slope=0", HttpStatusCode.BadRequest)]
    public async Task An_error_carries_the_same_headers_as_any_other_answer(string path, HttpStatusCode status)
    {
        using var app = new App();
        using var fine = await app.Http.GetAsync("/api/rack");
        using var wrong = await app.Http.GetAsync(path);
        wrong.StatusCode.ShouldBe(status);
        foreach (var header in fine.Headers.Select(h => h.Key).Except(["ETag", "Cache-Control"]))
        {
            wrong.Headers.Contains(header).ShouldBeTrue(header);
        }

        wrong.Headers.CacheControl!.NoStore.ShouldBeTrue();
    }

    [Fact]
    public async Task A_name_has_no_character_that_cannot_be_seen()
    {
        using var app = new App();
        var archer = new
        {
            id = App.NewId(),
            name = "A\u0007da",
            hand = "right",
            hasPress = false,
            school = "centreFirst",
        };
        var (status, problem) = await app.Post("/api/archers", archer);
        status.ShouldBe(400, problem.ToJsonString());
        problem["errors"]!["name"].ShouldNotBeNull();
    }

    /// <summary>What the file refuses whoever writes to it.</summary>
    [Theory]
    [InlineData("UPDATE shot_set SET number = 1 WHERE 0", true)]
    [InlineData(
        "INSERT INTO shots_fired SELECT 'x', bow_id, 0, 0, 'entered', 0, 0, fired_at FROM shots_fired LIMIT 1",
        false
    )]
    [InlineData("INSERT INTO bow_change SELECT 'x', id, 99, 'dance', '', 0, 'now', 'now' FROM bow LIMIT 1", false)]
    [InlineData("INSERT INTO withdrawn (entry_id, kind, withdrawn_at) VALUES ('nothing', 'finding', 'now')", false)]
    [InlineData(
        "INSERT INTO withdrawn (entry_id, kind, withdrawn_at) SELECT id, 'change', 'now' FROM check_finding LIMIT 1",
        false
    )]
    [InlineData(
        "INSERT INTO withdrawn (entry_id, kind, withdrawn_at) SELECT id, 'finding', 'now' FROM check_finding LIMIT 1",
        true
    )]
    [InlineData(
        """
            INSERT INTO dozen (id, bow_id, arrow_version_id, plan, started_at)
            SELECT 'x', d.bow_id, v.id, d.plan, d.started_at FROM dozen d, arrow_version v JOIN arrow a ON a.id = v.arrow_id
            WHERE a.bow_id <> d.bow_id LIMIT 1
            """,
        false
    )]
    [InlineData(
        """
            INSERT INTO paper (id, bow_id, arrow_version_id, tolerance, plan, dozen_id, started_at)
            SELECT 'x', p.bow_id, p.arrow_version_id, .25, json_set(p.plan, '$.dozenId', d.id), d.id, p.started_at
            FROM paper p, dozen d WHERE d.bow_id <> p.bow_id AND p.plan IS NOT NULL LIMIT 1
            """,
        false
    )]
    public void The_file_guards_itself(string statement, bool passes)
    {
        using var app = new App();
        using var file = app.Database.Open();
        if (passes)
        {
            file.Execute(statement);
        }
        else
        {
            Should.Throw<SqliteException>(() => file.Execute(statement)).SqliteErrorCode.ShouldBe(19);
        }
    }

    /// <summary>"All draw weights since June" is one query.</summary>
    [Fact]
    public async Task What_was_measured_can_be_asked_for_by_date()
    {
        using var app = new App();
        await app.Post(
            $"{Bow}/checks",
            new
            {
                id = App.NewId(),
                kind = "drawWeight",
                typed = "65.1",
                confirmed = true,
            }
        );
        using var file = app.Database.Open();
        file.Query<double>(
                "SELECT value FROM measured WHERE bow = 'Brindle' AND kind = 'drawWeight' AND at >= '2026-06' ORDER BY at"
            )
            .Last()
            .ShouldBe(65.1);
        file.ExecuteScalar<long>("SELECT count(*) FROM moved").ShouldBeGreaterThan(0);
        file.ExecuteScalar<long>("SELECT count(*) FROM speeds").ShouldBeGreaterThanOrEqualTo(0);
    }

    private static string With(string id, string body)
    {
        var of = JsonNode.Parse(body)!.AsObject();
        of["id"] = id;
        return of.ToJsonString();
    }

    private static async Task<JsonNode> Adjuster(App app) =>
        (await app.Get(Bow))["adjusters"]!.AsArray().First(a => (string)a!["kind"]! == "restHeight")!;

    private static long Rows(App app)
    {
        using var file = app.Database.Open();
        return file.Query<string>(
                "SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'paper_learned'"
            )
            .Sum(table => file.ExecuteScalar<long>($"SELECT count(*) FROM {table}"));
    }
}

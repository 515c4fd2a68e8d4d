using System.Text.Json.Nodes;
using Merganser.Core.Bows;
using Merganser.Core.First;
using Merganser.Web.First;
using Microsoft.Extensions.DependencyInjection;

namespace Merganser.Web.Tests;

/// <summary>A first bow by what is printed on it, over the wire.</summary>
public class FirstTests
{
    private static object Answers(string? weight = "60 to 70", string? spine = "340") =>
        new
        {
            kind = "compound",
            hand = "left",
            drawWeight = weight,
            drawLength = "29",
            spine,
            grainsPerInch = "9",
        };

    private static readonly object TailLeft = new
    {
        sideways = "half",
        left = true,
        sidewaysEnd = "tail",
        height = (string?)null,
        low = false,
        heightEnd = "tail",
    };

    [Fact]
    public async Task Answers_become_a_bow_an_arrow_and_a_paper_with_the_hole_as_it_was_said()
    {
        using var app = new App(demo: false);
        var kept = await Keep(app, App.NewId(), TailLeft);
        app.Restart();
        var bow = await app.Get($"/api/bows/{kept["bowId"]}");
        ((string)bow["line"]!).ShouldBe("Compound, left-handed, 60 to 70 lb marked");
        ((string)bow["typed"]!["nominalWeight"]!).ShouldBe("60 to 70");
        ((double)bow["bow"]!["nominalWeight"]!).ShouldBe(65);
        bow["adjusters"]!.AsArray().ShouldAllBe(a => !(bool)a!["needsPress"]!, "a beginner presses no bow");
        var paper = await app.Get($"/api/papers/{kept["paperId"]}");
        var shot = paper["sets"]![0]!["shots"]!.AsArray().ShouldHaveSingleItem()!;
        ((double)shot["tear"]!["x"]!).ShouldBe(-0.5);
        ((string)paper["sets"]![0]!["mean"]!["words"]!).ShouldBe("Tail left 0.50 in, as it was said.");
        var archer = (await app.Get("/api/archers")).AsArray().ShouldHaveSingleItem()!["archer"]!;
        ((string)archer["experience"]!).ShouldBe("beginner");
        ((string)archer["school"]!).ShouldBe("restOnly");
    }

    /// <summary>The same submission again, after a stop in the middle or an answer that was lost.</summary>
    [Fact]
    public async Task The_same_submission_again_finishes_it_and_adds_nothing_twice()
    {
        using var app = new App(demo: false);
        var id = App.NewId();
        // A server that was stopped before it came to the paper.
        var half = new FirstAnswers(BowKind.Compound, Hand.Left, "60 to 70", "29", Spine: "340", GrainsPerInch: "9");
        _ = app.Services.GetRequiredService<FirstDesk>().Keep(id, new FirstInput(id, half), []);
        (await app.Get("/api/rack"))["bows"]!.AsArray().Count.ShouldBe(1);
        var first = await Keep(app, id, TailLeft);
        first["paperId"].ShouldNotBeNull();
        var again = await Keep(app, id, TailLeft);
        again.ToJsonString().ShouldBe(first.ToJsonString());
        (await app.Get("/api/rack"))["bows"]!.AsArray().Count.ShouldBe(1);
        (await app.Get("/api/archers")).AsArray().Count.ShouldBe(1);
        (await app.Get($"/api/bows/{first["bowId"]}/arrows")).AsArray().Count.ShouldBe(1);
        (await app.Get($"/api/papers/{again["paperId"]}"))["sets"]![0]!["shots"]!.AsArray().Count.ShouldBe(1);
    }

    [Fact]
    public async Task What_cannot_be_read_is_named_and_nothing_is_kept()
    {
        using var app = new App(demo: false);
        foreach (var path in new[] { "/api/first/reading", "/api/first" })
        {
            var body = path.EndsWith("reading", StringComparison.Ordinal)
                ? Answers("600", "soft")
                : new { id = App.NewId(), answers = Answers("600", "soft") };
            var (status, problem) = await app.Post(path, body);
            status.ShouldBe(400);
            problem["errors"]!.AsObject().Select(e => e.Key).ShouldBe(["drawWeight", "spine"], ignoreOrder: true);
        }

        var huge = new
        {
            id = App.NewId(),
            answers = Answers(),
            hole = new
            {
                sideways = "huge",
                left = true,
                sidewaysEnd = "tail",
                height = (string?)null,
                low = false,
                heightEnd = "tail",
            },
        };
        (await app.Post("/api/first", huge)).Status.ShouldBe(400);
        (await app.Get("/api/rack"))["bows"]!.AsArray().ShouldBeEmpty();
        (await app.Get("/api/archers")).AsArray().ShouldBeEmpty();
    }

    /// <summary>A shaft that ends behind the rest is kept as a draft alone: nothing invites to shoot it.</summary>
    [Fact]
    public async Task An_arrow_that_is_refused_is_not_shot()
    {
        using var app = new App(demo: false);
        var answers = new
        {
            kind = "compound",
            hand = "right",
            drawLength = "31",
            cutLength = "28",
        };
        var (status, kept) = await app.Post(
            "/api/first",
            new
            {
                id = App.NewId(),
                answers,
                hole = TailLeft,
            }
        );
        status.ShouldBe(200, kept.ToJsonString());
        kept["paperId"].ShouldBeNull();
        (await app.Get($"/api/bows/{kept["bowId"]}/arrows"))[0]!["kept"].ShouldBeNull();
    }

    [Fact]
    public async Task A_tool_is_said_once_it_is_asked_for()
    {
        using var app = new App(demo: false);
        var bow = (await Keep(app, App.NewId(), null))["bowId"]!;
        (await Asks()).ShouldBe("scale");
        (await app.Post($"/api/bows/{bow}/tools", new { tool = "scale" })).Status.ShouldBe(200);
        (await app.Post($"/api/bows/{bow}/tools", new { tool = "scale" })).Status.ShouldBe(200);
        (await Asks()).ShouldBeNull();
        ((int)(await app.Get("/api/archers"))[0]!["version"]!).ShouldBe(2, "said again it changes nothing");
        async Task<string?> Asks() =>
            (string?)
                (await app.Get($"/api/bows/{bow}/setup"))["checks"]!
                    .AsArray()
                    .Single(c => (string)c!["kind"]! == "drawWeight")!["asks"];
    }

    private static async Task<JsonNode> Keep(App app, string id, object? hole)
    {
        var (status, body) = await app.Post(
            "/api/first",
            new
            {
                id,
                answers = Answers(),
                hole,
            }
        );
        status.ShouldBe(200, body.ToJsonString());
        return body;
    }
}

using System.Text.Json.Nodes;
using Merganser.Core.Arrows;
using Merganser.Data;
using Microsoft.Extensions.DependencyInjection;

namespace Merganser.Web.Tests;

/// <summary>
/// The finder as a browser asks for it: a search is begun, followed, stopped, and its pages are turned.
/// </summary>
public class FinderTests
{
    private const string Compound = "/api/bows/" + App.Brindle;

    private static object Wish(
        object[]? ranges = null,
        string parts = "mineOnly",
        int? mostToBuy = 1,
        string x = "speed",
        string y = "frontOfCenter"
    ) =>
        new
        {
            arrow = App.Island,
            ranges = ranges ?? [Range("fit", ".97", "1.15"), Range("weight", "390", "450")],
            parts,
            mostToBuy,
            heads = "points",
            x,
            y,
        };

    private static object Range(string figure, string low, string high) =>
        new
        {
            figure,
            low,
            high,
        };

    /// <summary>Begins a search and follows it to its end: every event that was told.</summary>
    internal static async Task<List<JsonNode>> Search(App app, object? wish = null)
    {
        var (status, begun) = await app.Post($"{Compound}/finder", wish ?? Wish());
        status.ShouldBe(200, begun.ToJsonString());
        return await Follow(app, (string)begun["id"]!);
    }

    private static async Task<List<JsonNode>> Follow(App app, string id, int most = int.MaxValue)
    {
        await using var stream = await app.Http.GetStreamAsync($"{Compound}/finder/{id}/stream");
        using var reader = new StreamReader(stream);
        List<JsonNode> told = [];
        while (told.Count < most && await reader.ReadLineAsync() is { } line)
        {
            if (line.StartsWith("data:", StringComparison.Ordinal))
            {
                told.Add(JsonNode.Parse(line[5..])!);
            }
        }

        return told;
    }

    [Fact]
    public async Task It_begins_with_what_is_near_the_present_arrow_and_finds_what_is_owned_first()
    {
        using var app = new App();
        var start = await app.Get($"{Compound}/finder?arrow={App.Island}");
        ((string)start["arrowName"]!).ShouldBe("Island 340");
        start["scales"]!.AsArray().Count.ShouldBe(9);
        var told = await Search(app, Wish(parts: "mineFirst"));
        var last = told[^1];
        ((string)last["state"]!).ShouldBe("done");
        var rows = last["rows"]!.AsArray().Select(r => r!).ToArray();
        rows.Length.ShouldBe(Math.Min(50, (int)last["listed"]!));
        rows.Select(Buying).ShouldBe(rows.Select(Buying).Order());
        rows.Max(Buying).ShouldBeLessThanOrEqualTo(1);
        Buying(rows[0]).ShouldBe(0);
        ((string)rows[0]["reason"]!).ShouldContain("Nothing to buy. ");
        told.Select(t => (double)t["share"]!).ShouldBe(told.Select(t => (double)t["share"]!).Order());

        static int Buying(JsonNode row) =>
            row["parts"]!.AsArray().Count(p => !(bool)p!["owned"]!) + ((bool)row["shaftOwned"]! ? 0 : 1);
    }

    [Fact]
    public async Task A_found_build_is_an_arrow_of_the_bench_with_the_figures_that_were_told()
    {
        using var app = new App();
        var last = (await Search(app))[^1];
        foreach (var row in last["rows"]!.AsArray().Select(r => r!).Take(5))
        {
            var (status, figures) = await app.Post(
                "/api/figures",
                new
                {
                    bowId = App.Brindle,
                    draft = row["draft"],
                    openedVersionId = (string?)null,
                }
            );
            status.ShouldBe(200);
            Told("weight").ShouldBe(Math.Round((double)figures["summary"]!["grains"]!), 1.01);
            Told("frontOfCenter").ShouldBe((double)figures["summary"]!["frontOfCenter"]!, .051);
            Told("fit").ShouldBe((double)figures["summary"]!["ratio"]!, .0051);
            Told("speed").ShouldBe((double)figures["summary"]!["speed"]!, .51);
            var at = (string)row["at"]!;
            var pressed = await app.Get($"{Compound}/finder/{(string)last["id"]!}/builds/{at}");
            pressed["draft"]!.ToJsonString().ShouldBe(row["draft"]!.ToJsonString());

            double Told(string figure) =>
                double.Parse((string)row["figures"]!.AsArray().Single(f => (string)f!["figure"]! == figure)!["bare"]!);
        }
    }

    [Fact]
    public async Task The_honest_range_is_wanted_as_well_and_agrees_with_the_range_itself()
    {
        using var app = new App();
        var fit = Range("fit", ".97", "1.15");
        var all = (await Search(app, Wish([fit])))[^1];
        var some = (await Search(app, Wish([fit, Range("honestRange", "28 yd", "")])))[^1];
        ((int)some["listed"]!).ShouldBeInRange(1, (int)all["listed"]! - 1);
        some["rows"]!.AsArray().Select(r => Honest(r!)).Min().ShouldBeGreaterThanOrEqualTo(28);
        // The bench's own range of the first of them, kept as an arrow.
        var row = some["rows"]![0]!;
        var id = App.NewId();
        await app.Post(
            "/api/arrows",
            new
            {
                id,
                bowId = App.Brindle,
                draft = row["draft"],
            }
        );
        await app.Post($"/api/arrows/{id}/versions", new { id = App.NewId() });
        var flight = await app.Get($"{Compound}/flight?arrow={id}");
        Honest(row).ShouldBe((double)flight["honest"]!["yards"]!, .7);

        static double Honest(JsonNode row) =>
            double.Parse(
                ((string)row["figures"]!.AsArray().Single(f => (string)f!["figure"]! == "honestRange")!["bare"]!)
            );
    }

    [Fact]
    public async Task Where_nothing_fits_the_nearest_is_told_and_what_it_gives_holds_it()
    {
        using var app = new App();
        var none = (await Search(app, Wish([Range("speed", "330", ""), Range("fit", "1", "1.1")])))[^1];
        ((int)none["listed"]!).ShouldBe(0);
        var nearest = none["nearest"]!;
        ((string)nearest["words"]!).ShouldContain("speed from ");
        var widened = nearest["ranges"]!.AsArray().Select(r => (object)r!).ToArray();
        var some = (await Search(app, Wish(widened, mostToBuy: (int?)nearest["mostToBuy"])))[^1];
        ((int)some["listed"]!).ShouldBeGreaterThan(0);
    }

    [Fact]
    public async Task It_is_stopped_and_whoever_goes_away_stops_it()
    {
        using var app = new App();
        var (_, begun) = await app.Post($"{Compound}/finder", Wish([], "any", null));
        var id = (string)begun["id"]!;
        var told = await Follow(app, id, most: 1);
        ((string)told[0]["state"]!).ShouldBe("running");
        // The page went away with its stream.
        var last = (await Follow(app, id))[^1];
        ((string)last["state"]!).ShouldBe("stopped");
        ((string)last["note"]!).ShouldContain("of the builds are to come");

        (_, begun) = await app.Post($"{Compound}/finder", Wish([], "any", null));
        id = (string)begun["id"]!;
        await app.Post($"{Compound}/finder/{id}/stop", new { });
        ((string)(await Follow(app, id))[^1]["state"]!).ShouldBe("stopped");
        // Its pages can be turned all the same.
        (await app.Get($"{Compound}/finder/{id}?from=0"))["rows"]
            .ShouldNotBeNull();
    }

    [Fact]
    public async Task What_cannot_be_read_is_refused_by_its_field_and_nobody_elses_search_is_told()
    {
        using var app = new App();
        var (status, body) = await app.Post(
            $"{Compound}/finder",
            Wish([Range("weight", "450", "390"), Range("speed", "fast", ""), Range("fit", "9", "")])
        );
        status.ShouldBe(400);
        var errors = body["errors"]!.AsObject();
        errors.Select(e => e.Key).ShouldBe(["weightHigh", "speedLow", "fitLow"], ignoreOrder: true);
        (status, _) = await app.Post($"{Compound}/finder", Wish(x: "honestRange"));
        status.ShouldBe(400);
        var (_, begun) = await app.Post($"{Compound}/finder", Wish());
        var other = "/api/bows/22222222-0000-4000-8000-000000000002";
        foreach (var path in new[] { "", "/stream", "/builds/0.0.0.0" })
        {
            var answer = await app.Http.GetAsync($"{other}/finder/{(string)begun["id"]!}{path}");
            ((int)answer.StatusCode).ShouldBe(404);
        }

        var none = await app.Http.GetAsync($"{Compound}/finder/{(string)begun["id"]!}/builds/900.0.0.0");
        ((int)none.StatusCode).ShouldBe(404);
    }

    [Fact]
    public async Task One_like_it_but_heavier_has_its_front_of_center_and_the_catalogues_stamp_changes_with_it()
    {
        using var app = new App();
        var usual = await app.Get($"{Compound}/finder?arrow={App.Island}");
        var like = await app.Get($"{Compound}/finder?arrow={App.Island}&heavier=60%20gr");
        double Here(string figure) =>
            (double)usual["scales"]!.AsArray().Single(s => (string)s!["figure"]! == figure)!["here"]!;
        var (low, high) = Ends(like, "weight");
        ((low + high) / 2).ShouldBe(Here("weight") + 60, 1);
        (low, high) = Ends(like, "frontOfCenter");
        ((low + high) / 2).ShouldBe(Here("frontOfCenter"), .1);
        var refused = await app.Http.GetAsync($"{Compound}/finder?arrow={App.Island}&heavier=much");
        ((int)refused.StatusCode).ShouldBe(400);

        var components = app.Services.GetRequiredService<ComponentStore>();
        var part = components.Rows().First(r => r.Class == ComponentClass.Vane);
        components.Retire(part.Id, part.Version, true);
        var now = await app.Get($"{Compound}/finder?arrow={App.Island}");
        ((string)now["catalogue"]!).ShouldNotBe((string)usual["catalogue"]!);

        static (double Low, double High) Ends(JsonNode start, string figure)
        {
            var of = start["usual"]!.AsArray().Single(r => (string)r!["figure"]! == figure)!;
            return (double.Parse((string)of["low"]!), double.Parse((string)of["high"]!));
        }
    }
}

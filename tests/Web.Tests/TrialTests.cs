using System.Text.Json.Nodes;

namespace Merganser.Web.Tests;

/// <summary>A trial of points over shafts: looked at, planned, begun on paper, shot in its order, read.</summary>
public class TrialTests
{
    private const string Compound = "/api/bows/" + App.Brindle;

    private static object Choice(string point, string arrow = App.Island, int broken = 0) =>
        new
        {
            arrowId = arrow,
            pointId = point,
            broken,
        };

    private static Task<(int Status, JsonNode Body)> Begin(App app, string id, params object[] points) =>
        app.Post(
            $"{Compound}/trial",
            new
            {
                id,
                points,
                distance = "3",
            }
        );

    private static string[] Left(JsonNode paper) =>
        [.. paper["plan"]!["stillToShoot"]!.AsArray().Select(a => (string)a!["name"]!)];

    [Fact]
    public async Task Points_are_told_by_figures_and_the_suggested_ones_fit()
    {
        using var app = new App();
        var view = await app.Get($"{Compound}/trial?with={App.Island}");
        var shaft = view["shafts"]!.AsArray().ShouldHaveSingleItem()!;
        var points = shaft["points"]!.AsArray().Select(p => p!).ToArray();
        points.Where(p => (bool)p["suggested"]!).Count().ShouldBe(3);
        foreach (var point in points.Where(p => (bool)p["suggested"]!))
        {
            ((bool)point["fits"]!).ShouldBeTrue();
            ((double)point["grains"]!).ShouldBeInRange((double)shaft["lightest"]!, (double)shaft["heaviest"]!);
        }

        // Field points on a field point's arrow, and none that is glued in.
        points.ShouldAllBe(p => !((string)p["name"]!).Contains("blade") && !((string)p["name"]!).Contains("glue"));
        view["widest"].ShouldBeNull();
        (await app.Get($"{Compound}/trial"))["widest"].ShouldNotBeNull();
    }

    [Fact]
    public async Task It_is_begun_once_builds_its_arrows_and_goes_from_heavy_to_light()
    {
        using var app = new App();
        var before = (await app.Get($"{Compound}/arrows")).AsArray().Count;
        var id = App.NewId();
        object[] points = [Choice("point-pebble-75"), Choice("point-pebble-125"), Choice("point-pebble-100")];
        var (status, paper) = await Begin(app, id, points);
        status.ShouldBe(200, paper.ToJsonString());
        // The arrow that has one of the points already is taken as it is.
        (await app.Get($"{Compound}/arrows"))
            .AsArray()
            .Count.ShouldBe(before + 2);
        ((string)paper["arrowName"]!).ShouldBe("Island 340, 125 gr");
        Left(paper).ShouldBe(["Island 340", "Island 340, 75 gr"]);
        ((string)paper["next"]!["sentence"]!).ShouldBe("Shoot two at least, then take Island 340.");

        // Asked for twice it is one; under the same id something else is refused.
        (status, var again) = await Begin(app, id, points);
        status.ShouldBe(200);
        ((string)again["id"]!).ShouldBe((string)paper["id"]!);
        (await app.Get($"{Compound}/arrows")).AsArray().Count.ShouldBe(before + 2);
        (status, _) = await Begin(app, id, points[0], points[1]);
        status.ShouldBe(409);
    }

    [Fact]
    public async Task It_is_shot_in_its_order_and_read_beside_the_figures()
    {
        using var app = new App();
        var (_, paper) = await Begin(app, App.NewId(), Choice("point-pebble-125"), Choice("point-pebble-100"));
        paper = await app.Shoot(await app.Shoot(paper, .02, .01), -.01, .02);
        ((string)paper["next"]!["action"]!).ShouldBe("nextArrow");
        var next = paper["plan"]!["stillToShoot"]![0]!;
        (_, paper) = await app.Post(
            $"/api/papers/{(string)paper["id"]!}/sets",
            new
            {
                id = App.NewId(),
                distance = "3",
                fletched = false,
                arrowVersionId = (string)next["arrowVersionId"]!,
                purpose = "session",
            }
        );
        Left(paper).ShouldBeEmpty();
        paper = await app.Shoot(await app.Shoot(paper, 1.2, .1), 1.3, 0);
        ((string)paper["next"]!["alternativeAction"]!).ShouldBe("accept");

        var view = await app.Get($"{Compound}/trial?with={App.Island}");
        var found = view["shafts"]![0]!["found"]!
            .AsArray()
            .ToDictionary(f => (double)f!["grains"]!, f => (bool?)f!["needsNoMove"]);
        found[100].ShouldBe(false);
        found[125].ShouldNotBe(false);
        ((double)view["shafts"]![0]!["toleratedFrom"]!).ShouldBe(125);
    }

    [Fact]
    public async Task What_cannot_be_is_refused_and_nothing_is_built()
    {
        using var app = new App();
        var before = (await app.Get($"{Compound}/arrows")).AsArray().Count;
        foreach (
            var points in new object[][]
            {
                [Choice("point-pebble-100")],
                [Choice("point-pebble-100"), Choice("point-quill-100")],
                [Choice("point-pebble-100"), Choice("point-pebble-125", broken: 1)],
                [Choice("point-pebble-100"), Choice("point-pebble-125", "33333333-0000-4000-8000-000000000099")],
            }
        )
        {
            var (status, body) = await Begin(app, App.NewId(), points);
            status.ShouldBe(400);
            body["errors"]!["points"].ShouldNotBeNull();
        }

        var (far, refused) = await app.Post(
            $"{Compound}/trial",
            new
            {
                id = App.NewId(),
                points = new[] { Choice("point-pebble-100"), Choice("point-pebble-125") },
                distance = "far",
            }
        );
        far.ShouldBe(400);
        refused["errors"]!["distance"].ShouldNotBeNull();
        (await app.Get($"{Compound}/arrows")).AsArray().Count.ShouldBe(before);
    }
}

using System.Text.Json.Nodes;

namespace Merganser.Web.Tests;

/// <summary>A string walker's marks, with the nocking point that each was shot with.</summary>
public class CrawlTests
{
    private const string Barebow = "/api/bows/22222222-0000-4000-8000-000000000003";

    [Fact]
    public async Task Marks_belong_to_their_nocking_point_and_the_newest_of_a_distance_counts()
    {
        using var app = new App();
        (await Rows(app)).ShouldBe([
            "10: 2, nockingPointMoved",
            "15: 1.625, stands",
            "20: 1.25, stands",
            "30: 0.4375, stands",
        ]);
        var bow = await app.Get(Barebow);
        var at = (int)bow["adjusters"]!.AsArray().Single(a => (string)a!["kind"]! == "nockingPoint")!["position"]!;
        await app.Post(
            $"{Barebow}/moves",
            new
            {
                id = App.NewId(),
                adjuster = "nockingPoint",
                to = at + 2,
            }
        );
        var moved = await app.Get($"{Barebow}/crawls");
        moved["marks"]!.AsArray().ShouldAllBe(m => (string)m!["state"]! == "nockingPointMoved");
        ((string)moved["marks"]![1]!["words"]!).ShouldStartWith("The nocking point was moved 1/8 in up");
        var (status, kept) = await Keep(app, "20 yd", "1 3/8");
        status.ShouldBe(200);
        kept["marks"]!.AsArray().Count.ShouldBe(4);
        (await Rows(app))[2].ShouldBe("20: 1.375, stands");
        ((string)kept["marks"]![2]!["nockingPoint"]!).ShouldBe((string)kept["nockingPoint"]!);
    }

    [Fact]
    public async Task A_mark_is_given_up_and_put_back_and_nothing_is_lost()
    {
        using var app = new App();
        (await Keep(app, "15", "")).Status.ShouldBe(200);
        (await Rows(app)).Count.ShouldBe(3);
        (await Keep(app, "15", "1 5/8")).Status.ShouldBe(200);
        (await Rows(app))[1].ShouldBe("15: 1.625, stands");
        app.Database.Read(sql => sql.Scalar<long>("SELECT count(*) FROM crawl_mark")).ShouldBe(6);
    }

    [Fact]
    public async Task The_same_entry_again_is_one_entry()
    {
        using var app = new App();
        var id = App.NewId();
        for (var time = 0; time < 2; time++)
        {
            (await Keep(app, "25", "7/8", id: id)).Status.ShouldBe(200);
        }

        (await Keep(app, "25", "1", id: id)).Status.ShouldBe(409);
        (await Rows(app)).Count.ShouldBe(5);
    }

    [Theory]
    [InlineData("20", 1.25, "As it was shot at 20 yd")]
    [InlineData("25 yd", .84375, "straight line between 1.25 in at 20 yd and 0.44 in at 30 yd")]
    [InlineData("60", null, "beyond them nothing is guessed")]
    public async Task A_distance_between_has_its_crawl_and_its_working(string distance, double? crawl, string words)
    {
        using var app = new App();
        var asked = (await app.Get($"{Barebow}/crawls?distance={Uri.EscapeDataString(distance)}"))["asked"]!;
        ((double?)asked["crawl"]).ShouldBe(crawl);
        ((string)asked["words"]!).ShouldContain(words);
    }

    [Theory]
    [InlineData("far", "1", "distance")]
    [InlineData("", "1", "distance")]
    [InlineData("400", "1", "distance")]
    [InlineData("20", "9", "crawl")]
    [InlineData("20", "wide", "crawl")]
    public async Task What_cannot_be_is_said_beside_its_field(string distance, string crawl, string field)
    {
        using var app = new App();
        var (status, problem) = await Keep(app, distance, crawl);
        status.ShouldBe(400);
        problem["errors"]![field].ShouldNotBeNull();
        (await Rows(app)).Count.ShouldBe(4);
    }

    [Fact]
    public async Task A_bow_that_is_not_shot_so_takes_none()
    {
        using var app = new App();
        var (status, problem) = await Keep(app, "20", "1", $"/api/bows/{App.Brindle}");
        status.ShouldBe(400);
        problem.ToJsonString().ShouldContain("Only a barebow");
    }

    private static Task<(int Status, JsonNode Body)> Keep(
        App app,
        string distance,
        string crawl,
        string bow = Barebow,
        string? id = null
    ) =>
        app.Post(
            $"{bow}/crawls",
            new
            {
                id = id ?? App.NewId(),
                distance,
                crawl,
            }
        );

    private static async Task<List<string>> Rows(App app) =>
        [
            .. (await app.Get($"{Barebow}/crawls"))["marks"]!
                .AsArray()
                .Select(m =>
                    FormattableString.Invariant($"{(double)m!["yards"]!}: {(double)m["crawl"]!}, {(string)m["state"]!}")
                ),
        ];
}

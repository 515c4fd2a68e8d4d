namespace Merganser.Web.Tests;

/// <summary>A range day of several bows, kept at once.</summary>
public class RangeDayTests
{
    private const string TallOsk = "22222222-0000-4000-8000-000000000002";

    private static object Day(string id, params (string Bow, int Shots)[] bows) =>
        new { id, bows = bows.Select(b => new { bowId = b.Bow, shots = b.Shots }) };

    private static async Task<int> Shots(App app, string bow) =>
        (int)(await app.Get($"/api/bows/{bow}/setup"))["string"]!["shots"]!;

    [Fact]
    public async Task Shots_count_on_each_string_once_and_make_checks_due()
    {
        using var app = new App();
        var (brindle, osk) = (await Shots(app, App.Brindle), await Shots(app, TallOsk));
        var day = Day(App.NewId(), (App.Brindle, 18), (TallOsk, 36));
        (await app.Post("/api/range-day", day)).Status.ShouldBe(200);
        var (status, rack) = await app.Post("/api/range-day", day);
        (status, await Shots(app, App.Brindle), await Shots(app, TallOsk)).ShouldBe((200, brindle + 18, osk + 36));
        var bow = rack["bows"]!.AsArray().Single(b => (string)b!["id"]! == App.Brindle)!;
        ((string)bow["urgency"]!).ShouldBe("due");
        ((string)rack["nextBow"]!).ShouldBe(App.Brindle, "the first of those that have something due");
    }

    [Fact]
    public async Task All_or_none_of_a_day_is_kept()
    {
        using var app = new App();
        var before = await Shots(app, App.Brindle);
        var damaged = new
        {
            id = App.NewId(),
            kind = "inspection",
            choice = "damaged",
        };
        (await app.Post($"/api/bows/{TallOsk}/checks", damaged)).Status.ShouldBe(200);
        (await app.Post("/api/range-day", Day(App.NewId(), (App.Brindle, 6), (TallOsk, 6)))).Status.ShouldBe(400);
        (await app.Post("/api/range-day", Day(App.NewId(), (App.Brindle, 6), (App.Brindle, 6)))).Status.ShouldBe(400);
        (await app.Post("/api/range-day", Day(App.NewId(), (App.Brindle, 0)))).Status.ShouldBe(400);
        (await app.Post("/api/range-day", Day(App.NewId()))).Status.ShouldBe(400);
        (await Shots(app, App.Brindle)).ShouldBe(before);
    }
}

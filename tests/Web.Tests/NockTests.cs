using System.Text.Json.Nodes;

namespace Merganser.Web.Tests;

/// <summary>Arrows of a dozen through paper, and their nocks.</summary>
public class NockTests
{
    [Fact]
    public async Task An_arrow_of_the_dozen_that_tears_apart_is_named()
    {
        using var app = new App();
        var paper = await app.StartPaper(dozenId: "cccccccc-0000-4000-8000-000000000002");
        paper["plan"]!["arrowNumbers"]!.AsArray().Count.ShouldBe(12);
        foreach (var (x, arrow) in new[] { (.10, "1"), (.12, "1"), (.11, "4"), (.13, "4"), (.9, "9"), (.95, "9") })
        {
            paper = await app.Shoot(paper, x, 0, arrow);
        }

        (
            (string)
                paper["readings"]!.AsArray().Single(r => (string)r!["cause"]! == "arrow")!["evidence"]!["statement"]!
        ).ShouldBe("Arrow 9 tears apart from the others.");
    }

    [Fact]
    public async Task Nocks_are_turned_until_a_turn_flies_inside_and_the_mark_is_on_the_arrow()
    {
        using var app = new App();
        const string dozen = "cccccccc-0000-4000-8000-000000000001";
        var view = await app.Get($"/api/dozens/{dozen}/nocks");
        ((int)view["next"]!["number"]!).ShouldBe(5);
        ((bool)view["next"]!["fletched"]!).ShouldBeTrue();
        view = await Nock(app, dozen, 5, 1, true, "0,6");
        ((int)view["next"]!["turn"]!).ShouldBe(2);
        view = await Nock(app, dozen, 5, 2, true, "0.1");
        ((string)view["arrows"]![4]!["fletched"]!["state"]!).ShouldBe("good");
        ((int)view["next"]!["number"]!).ShouldBe(6);
        var practice = (int)view["practice"]!;
        view = await Nock(app, dozen, 6, 0, true, ".6");
        view = await Nock(app, dozen, 6, 1, true, ".5");
        view = await Nock(app, dozen, 6, 2, true, ".7");
        ((string)view["arrows"]![5]!["fletched"]!["state"]!).ShouldBe("practice");
        ((int)view["practice"]!).ShouldBe(practice + 1);
        var tray = (await app.Get($"/api/dozens/{dozen}"))["tray"]!.AsArray();
        ((string)tray[4]!["nockMark"]!).ShouldBe("step 2 of 3");
        ((string)tray[5]!["paper"]!).ShouldBe("practice only");
        var far = await app.Get($"/api/dozens/{dozen}/nocks?distance=15");
        ((string)far["arrows"]![4]!["fletched"]!["state"]!).ShouldBe(
            "untried",
            "it is verified at every planned distance"
        );
        var last = (string)view["arrows"]![5]!["shots"]!.AsArray()[^1]!["id"]!;
        var (_, undone) = await app.Send(HttpMethod.Delete, $"/api/dozens/{dozen}/nocks/{last}", null);
        ((string)undone["arrows"]![5]!["fletched"]!["state"]!).ShouldBe("turnOn");
    }

    [Theory]
    [InlineData(9, 0, "0", "number")]
    [InlineData(1, 7, "0", "turn")]
    [InlineData(1, 0, "", "right")]
    [InlineData(1, 0, "a lot", "right")]
    public async Task A_nock_shot_names_what_is_wrong(int number, int turn, string right, string field)
    {
        using var app = new App();
        var (status, problem) = await app.Post(
            "/api/dozens/cccccccc-0000-4000-8000-000000000001/nocks",
            new
            {
                id = App.NewId(),
                number,
                turn,
                fletched = false,
                right,
                up = "",
            }
        );
        status.ShouldBe(400);
        problem["errors"]![field].ShouldNotBeNull();
    }

    private static async Task<JsonNode> Nock(App app, string dozen, int number, int turn, bool fletched, string right)
    {
        var (status, view) = await app.Post(
            $"/api/dozens/{dozen}/nocks",
            new
            {
                id = App.NewId(),
                number,
                turn,
                fletched,
                right,
                up = "0",
            }
        );
        status.ShouldBe(200, view.ToJsonString());
        return view;
    }
}

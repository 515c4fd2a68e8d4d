using System.Text.Json.Nodes;

namespace Merganser.Web.Tests;

/// <summary>A rest that stands between two clicks, over the API.</summary>
public class HalfClickTests
{
    private const string Bow = $"/api/bows/{App.Brindle}";

    [Fact]
    public async Task Half_a_click_of_the_rest_is_logged_at_the_bow_and_at_a_paper_and_read_back()
    {
        using var app = new App();
        var at = (double)Rest(await app.Get(Bow))["position"]!;
        var move = new
        {
            id = App.NewId(),
            adjuster = "restSideways",
            to = at + .5,
            from = at,
        };
        (await app.Post($"{Bow}/moves", move)).Status.ShouldBe(200);
        (await app.Post($"{Bow}/moves", move)).Status.ShouldBe(200, "a retry is the same move");
        var rest = Rest(await app.Get(Bow));
        ((double)rest["position"]!).ShouldBe(at + .5);
        ((string)rest["standing"]!).ShouldContain("½ click");
        ((int)rest["places"]!.AsArray().Count).ShouldBe((2 * ((int)rest["upper"]! - (int)rest["lower"]!)) + 1);

        var onward = new
        {
            id = App.NewId(),
            adjuster = "restSideways",
            to = at - 1,
            from = at + .5,
        };
        var (status, paper) = await app.Post($"/api/papers/{App.OpenPaper}/moves", onward);
        status.ShouldBe(200);
        ((string)paper["lastMoves"]![0]!["words"]!).ShouldContain("1½ clicks");
        var (undone, _) = await app.Post(
            $"{Bow}/moves/{onward.id}/undo",
            new { id = App.NewId(), loggedWrongly = true }
        );
        undone.ShouldBe(200);
        ((double)Rest(await app.Get(Bow))["position"]!).ShouldBe(at + .5);

        var (refused, why) = await app.Post(
            $"{Bow}/moves",
            new
            {
                id = App.NewId(),
                adjuster = "nockingPoint",
                to = .5,
            }
        );
        (refused, (string)why["errors"]!["to"]![0]!).ShouldBe(
            (400, "It is moved by whole steps; a rest by half clicks as well.")
        );

        static JsonNode Rest(JsonNode bow) =>
            bow["adjusters"]!.AsArray().First(a => (string)a!["kind"]! == "restSideways")!;
    }
}

using System.Text.Json.Nodes;
using static Merganser.Web.Tests.PaperJson;

namespace Merganser.Web.Tests;

/// <summary>What is said of a move at a target whose way is not known.</summary>
public class GroupMoveTests
{
    [Fact]
    public async Task A_test_says_what_it_asks_and_no_size_of_a_step()
    {
        using var app = new App();
        var bow = JsonNode.Parse(System.Text.Json.JsonSerializer.Serialize(App.BowBody(App.NewId())))!;
        bow["adjusters"]![0]!["kind"] = "limbPocket";
        bow["adjusters"]![0]!["way"] = "notKnown";
        var bowId = (string)(await app.Post("/api/bows", bow)).Body["id"]!;
        var (_, arrow) = await app.Post(
            "/api/arrows",
            new
            {
                id = App.NewId(),
                bowId,
                draft = App.DraftBody(),
            }
        );
        var (_, kept) = await app.Post($"/api/arrows/{(string)arrow["id"]!}/versions", new { id = App.NewId() });
        var paper = await app.StartPaper(GroupTests.Twenty, bowId: bowId, version: (string)kept["kept"]!["id"]!);
        foreach (
            var (kind, x, y) in new[]
            {
                ("fletched", .5, .5),
                ("fletched", -.5, .5),
                ("bare", 2, .1),
                ("bare", 2.5, -.1),
            }
        )
        {
            paper = await GroupTests.Hit(app, paper, kind, x, y);
        }

        Kind(paper).ShouldBe("smallTest");
        var reason = (string)paper["advice"]!["reason"]!;
        reason.ShouldContain("as a paper that tears");
        reason.ShouldNotContain("a step");
    }
}

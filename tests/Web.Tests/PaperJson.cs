using System.Text.Json.Nodes;

namespace Merganser.Web.Tests;

/// <summary>What tests read of a paper.</summary>
internal static class PaperJson
{
    public static async Task<JsonNode> ShootUntilGood(App app, JsonNode paper)
    {
        for (var i = 0; i < 12 && Kind(paper) != "goodEnough"; i++)
        {
            paper = await app.Shoot(paper, i % 2 == 0 ? .03 : -.02, .01);
        }

        Kind(paper).ShouldBe("goodEnough");
        return paper;
    }

    public static JsonNode Yoke(JsonNode response) =>
        response["rows"]!.AsArray().Single(r => (string)r!["kind"]! == "yokePair")!;

    public static string Id(JsonNode paper) => (string)paper["id"]!;

    public static string SetId(JsonNode paper) => (string)paper["sets"]!.AsArray()[^1]!["id"]!;

    public static string Kind(JsonNode paper) => (string)paper["advice"]!["kind"]!;
}

using System.Text.Json;
using System.Text.Json.Nodes;
using Merganser.Tests;

namespace Merganser.Web.Tests;

/// <summary>
/// Answers of the demo as the server gives them, kept for the tests of the interface: those build on what is really
/// sent. With MERGANSER_ANSWERS=write they are written anew.
/// </summary>
public class AnswerTests
{
    private static readonly JsonSerializerOptions Indented = new() { WriteIndented = true };

    [Theory]
    [InlineData("paper", "/api/papers/" + App.OpenPaper)]
    [InlineData("paperChoices", "/api/bows/" + App.Brindle + "/paper-choices")]
    [InlineData("setup", "/api/bows/" + App.Brindle + "/setup")]
    [InlineData("bow", "/api/bows/" + App.Brindle)]
    [InlineData("dozen", "/api/dozens/cccccccc-0000-4000-8000-000000000001")]
    [InlineData("flight", "/api/bows/22222222-0000-4000-8000-000000000005/flight")]
    [InlineData("finder", "/api/bows/" + App.Brindle + "/finder?arrow=" + App.Island)]
    [InlineData("story", "/api/bows/22222222-0000-4000-8000-000000000006/story")]
    [InlineData("storyAnswers", "/api/bows/22222222-0000-4000-8000-000000000006/story/answers")]
    [InlineData("plan", "/api/plan")]
    [InlineData("visits", "/api/bows/22222222-0000-4000-8000-000000000006/visits")]
    [InlineData("nocks", "/api/dozens/cccccccc-0000-4000-8000-000000000001/nocks")]
    public async Task The_kept_answer_has_the_shape_of_what_is_sent(string name, string path)
    {
        using var app = new App();
        await Check(name, await app.Get(path));
    }

    [Fact]
    public async Task The_kept_search_has_the_shape_of_its_last_event()
    {
        using var app = new App();
        var told = await FinderTests.Search(app);
        var last = told[^1];
        // A dozen rows and dots say as much as all of them.
        foreach (var list in new[] { "rows", "dots", "edge" })
        {
            var of = last[list]!.AsArray();
            while (of.Count > 12)
            {
                of.RemoveAt(of.Count - 1);
            }
        }

        await Check("found", last);
    }

    private static async Task Check(string name, JsonNode sent)
    {
        var file = Path.Combine(Repository.Root, $"tests/vectors/answers/{name}.json");
        if (Environment.GetEnvironmentVariable("MERGANSER_ANSWERS") == "write")
        {
            Directory.CreateDirectory(Path.GetDirectoryName(file)!);
            await File.WriteAllTextAsync(file, sent.ToJsonString(Indented) + "\n");
        }

        var kept = JsonNode.Parse(await File.ReadAllTextAsync(file))!;
        Shape(kept).ShouldBe(Shape(sent), ignoreOrder: true, "write it anew: MERGANSER_ANSWERS=write");
    }

    /// <summary>Every place that has a value, without the places in lists.</summary>
    private static HashSet<string> Shape(JsonNode? node, string at = "") =>
        node switch
        {
            JsonObject of => [.. of.SelectMany(p => Shape(p.Value, $"{at}.{p.Key}"))],
            JsonArray of => [.. of.SelectMany(item => Shape(item, $"{at}[]")), $"{at}[]"],
            _ => [at],
        };
}

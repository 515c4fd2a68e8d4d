using System.Text.Json.Nodes;
using Merganser.Tests;

namespace Merganser.Web.Tests;

/// <summary>
/// What is kept in memory never changes an answer: a restart says the same as a process that has been asked before.
/// </summary>
public class ColdAndWarmTests
{
    private const string Bow = "/api/bows/" + App.Brindle;
    private const string Tidewrack = "/api/bows/22222222-0000-4000-8000-000000000005";

    [Fact]
    public async Task A_restart_never_changes_an_answer()
    {
        using var app = new App();
        var second = await app.StartPaper();
        await app.Shoot(second, -.5, .1);
        await app.Shoot(second, -.6, .0);
        await Same(app, "with an earlier paper that taught something");
        await ClickOf(app, "0.02 in");
        await Same(app, "after a click of the rest was measured anew");
        await app.Post(
            $"{Bow}/response/resets",
            new
            {
                id = App.NewId(),
                kinds = new[] { "restSideways" },
                reason = "a new rest",
            }
        );
        await Same(app, "after a part of what was learned was forgotten");
        var paper = await app.Get($"/api/papers/{(await app.Papers())[^1]!["id"]}");
        await app.Post(
            $"/api/shots/{paper["sets"]![0]!["shots"]![0]!["id"]}/marks",
            new
            {
                id = App.NewId(),
                reason = "torqued grip",
                doubtful = false,
            }
        );
        await Same(app, "after a shot was voided");
        var sizes = await app.Get($"{Tidewrack}/group-sizes");
        var groups = await app.Get($"{Tidewrack}/papers/newest");
        await app.Post(
            $"/api/shots/{groups["paper"]!["sets"]![0]!["shots"]![0]!["id"]}/marks",
            new
            {
                id = App.NewId(),
                reason = "torqued grip",
                doubtful = false,
            }
        );
        JsonNode.DeepEquals(await app.Get($"{Tidewrack}/group-sizes"), sizes).ShouldBeFalse();
        await Same(app, "after a hit was voided");
    }

    /// <summary>
    /// Asked twice on the warm process, then on a new one on the same file from which all that was only remembered is
    /// gone.
    /// </summary>
    private static async Task Same(App app, string when)
    {
        await Answers(app);
        var warm = await Answers(app);
        app.Restart();
        app.Database.Write(sql => sql.Execute("DELETE FROM paper_learned"));
        (await Answers(app)).ShouldBe(warm, when);
    }

    private static async Task<string> Answers(App app)
    {
        List<string> all = [];
        foreach (var bow in (await app.Get("/api/rack"))["bows"]!.AsArray().Select(b => (string)b!["id"]!))
        {
            foreach (var paper in await app.Papers(bow))
            {
                all.Add((await app.Get($"/api/papers/{paper!["id"]}")).ToJsonString());
            }

            all.Add((await app.Get($"/api/bows/{bow}/response")).ToJsonString());
            all.Add((await app.Get($"/api/bows/{bow}/group-sizes")).ToJsonString());
            all.Add((await app.Get($"/api/bows/{bow}/story/answers")).ToJsonString());
        }

        return string.Join('\n', all);
    }

    /// <summary>The same bow and adjusters, with another size of the rest's sideways click.</summary>
    private static async Task ClickOf(App app, string size)
    {
        var bow = await app.Get(Bow);
        var adjusters = BowJson.Limits(bow);
        adjusters.Single(a => (string)a!["kind"]! == "restSideways")!["inchesPerStep"] = size;
        var body = new JsonObject
        {
            ["id"] = App.Brindle,
            ["archerId"] = (string)bow["archerId"]!,
            ["entry"] = bow["typed"]!.DeepClone(),
            ["adjusters"] = adjusters,
        };
        (await app.Send(HttpMethod.Put, Bow, body.ToJsonString(), $"\"{bow["version"]}\"")).Status.ShouldBe(200);
    }
}

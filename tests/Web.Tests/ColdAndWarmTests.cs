using System.Text.Json.Nodes;

namespace Merganser.Web.Tests;

/// <summary>
/// What is kept in memory never changes an answer: a restart says the same as a process that has been asked before.
/// </summary>
public class ColdAndWarmTests
{
    private const string Bow = "/api/bows/" + WebBench.Brindle;

    [Fact]
    public async Task A_restart_never_changes_an_answer()
    {
        using var bench = new WebBench();
        var second = await bench.StartPaper();
        await bench.Shoot(second, -.5, .1);
        await bench.Shoot(second, -.6, .0);
        await Same(bench, "with an earlier paper that taught something");
        await ClickOf(bench, "0.02 in");
        await Same(bench, "after a click of the rest was measured anew");
        await bench.Post(
            $"{Bow}/response/resets",
            new
            {
                id = WebBench.NewId(),
                kinds = new[] { "restSideways" },
                reason = "a new rest",
            }
        );
        await Same(bench, "after a part of what was learned was forgotten");
        var paper = (await bench.Get($"{Bow}/papers")).AsArray()[^1]!;
        await bench.Post(
            $"/api/shots/{paper["sets"]![0]!["shots"]![0]!["id"]}/marks",
            new
            {
                id = WebBench.NewId(),
                reason = "torqued grip",
                doubtful = false,
            }
        );
        await Same(bench, "after a shot was voided");
    }

    /// <summary>Asked twice on the warm process, then on a new one on the same file.</summary>
    private static async Task Same(WebBench bench, string when)
    {
        await Answers(bench);
        var warm = await Answers(bench);
        bench.Restart();
        (await Answers(bench)).ShouldBe(warm, when);
    }

    private static async Task<string> Answers(WebBench bench)
    {
        List<string> all = [];
        foreach (var bow in (await bench.Get("/api/rack"))["bows"]!.AsArray().Select(b => (string)b!["id"]!))
        {
            all.Add((await bench.Get($"/api/bows/{bow}/papers")).ToJsonString());
            all.Add((await bench.Get($"/api/bows/{bow}/response")).ToJsonString());
        }

        return string.Join('\n', all);
    }

    /// <summary>The same bow and adjusters, with another size of the rest's sideways click.</summary>
    private static async Task ClickOf(WebBench bench, string size)
    {
        var bow = await bench.Get(Bow);
        var adjusters = new JsonArray([
            .. bow["adjusters"]!
                .AsArray()
                .Select(a => new JsonObject
                {
                    ["kind"] = (string)a!["kind"]!,
                    ["lower"] = (int)a["lower"]!,
                    ["upper"] = (int)a["upper"]!,
                    ["needsPress"] = (bool)a["needsPress"]!,
                    ["inchesPerStep"] = (string)a["kind"]! == "restSideways" ? size : null,
                }),
        ]);
        var body = new JsonObject
        {
            ["id"] = WebBench.Brindle,
            ["archerId"] = (string)bow["archerId"]!,
            ["entry"] = bow["typed"]!.DeepClone(),
            ["adjusters"] = adjusters,
        };
        (await bench.Send(HttpMethod.Put, Bow, body.ToJsonString(), $"\"{bow["version"]}\"")).Status.ShouldBe(200);
    }
}

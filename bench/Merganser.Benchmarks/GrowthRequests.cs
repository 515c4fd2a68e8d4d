using System.Text.Json.Nodes;

namespace Merganser.Benchmarks;

/// <summary>A request that is measured again and again; a body is made anew each time.</summary>
/// <param name="Name">As it is printed.</param>
/// <param name="Path">With the query.</param>
/// <param name="Body">Makes the body; null for a GET.</param>
/// <param name="Verb">Of a request with a body.</param>
/// <param name="Version">The version that it is made on, for If-Match.</param>
public sealed record GrowthRequest(
    string Name,
    string Path,
    Func<JsonNode>? Body = null,
    string Verb = "POST",
    Func<Task<int>>? Version = null
)
{
    /// <summary>Carries it out.</summary>
    public async Task<HttpResponseMessage> Send(HttpClient http)
    {
        using var request = new HttpRequestMessage(Body is null ? HttpMethod.Get : new HttpMethod(Verb), Path);
        if (Body is { } make)
        {
            request.Content = new StringContent(make().ToJsonString(), System.Text.Encoding.UTF8, "application/json");
        }

        if (Version is { } version)
        {
            request.Headers.Add("If-Match", $"\"{await version()}\"");
        }

        return await http.SendAsync(request);
    }
}

/// <summary>What is asked of the bow in the middle of the rack.</summary>
public static class GrowthRequests
{
    public static async Task<IReadOnlyList<GrowthRequest>> Of(HttpClient http, string bow)
    {
        var paper = (await Ask($"/api/bows/{bow}/papers/newest"))["paper"]!;
        var (paperId, set) = ((string)paper["id"]!, (string)paper["sets"]!.AsArray()[^1]!["id"]!);
        var shot = (string)paper["sets"]!.AsArray()[^1]!["shots"]!.AsArray()[0]!["id"]!;
        var arrow = (await Ask($"/api/bows/{bow}/arrows"))[0]!;
        var arrowId = (string)arrow["id"]!;
        var whole = await Ask($"/api/bows/{bow}");
        var (adjusters, archer) = (whole["adjusters"]!.AsArray(), (string)whole["archerId"]!);
        var dozen = (string?)(await Ask($"/api/bows/{bow}/dozens"))["dozens"]!.AsArray().FirstOrDefault()?["id"];
        var turned = adjusters.First(a => (int)a!["upper"]! - (int)a["lower"]! > 3)!;
        var (kind, at) = ((string)turned["kind"]!, (int)turned["position"]!);
        var (low, high) = ((int)turned["lower"]!, (int)turned["upper"]!);
        int Turn() => at = at < high ? at + 1 : low;
        List<GrowthRequest> all =
        [
            new("health", "/health"),
            new("rack", "/api/rack"),
            new("bow", $"/api/bows/{bow}"),
            new("set-up", $"/api/bows/{bow}/setup"),
            new("newest paper", $"/api/bows/{bow}/papers/newest"),
            new("papers", $"/api/bows/{bow}/papers"),
            new("moves", $"/api/bows/{bow}/moves"),
            new("changes", $"/api/bows/{bow}/changes"),
            new("a paper", $"/api/papers/{paperId}"),
            new("the oldest paper", $"/api/papers/{await Oldest()}"),
            new("learned", $"/api/bows/{bow}/response"),
            new("sizes", $"/api/bows/{bow}/group-sizes"),
            new("guesses", $"/api/archers/{archer}/range-guesses"),
            new("tolerated", $"/api/bows/{bow}/tolerated"),
            new("arrows", $"/api/bows/{bow}/arrows"),
            new("beside", $"/api/bows/{bow}/beside"),
            new("weights", $"/api/bows/{bow}/weights?purpose=indoorTarget"),
            new("cants", $"/api/bows/{bow}/cants?degrees=1&zero=20&slope=0"),
            new("versions", $"/api/arrows/{arrowId}/versions"),
            new("dozens", $"/api/bows/{bow}/dozens"),
            new("chronograph", $"/api/bows/{bow}/chronograph"),
            new("archers", "/api/archers"),
            new("catalogue", "/api/catalogue?kind=shaft"),
            new("components", "/api/components"),
            new("story", $"/api/bows/{bow}/story"),
            new("story's answers", $"/api/bows/{bow}/story/answers"),
            new("visits", $"/api/bows/{bow}/visits"),
            new("paper choices", $"/api/bows/{bow}/paper-choices"),
            new("card", $"/api/bows/{bow}/card.pdf"),
            new(
                "post a shot",
                $"/api/sets/{set}/shots",
                () =>
                    WithId(
                        new()
                        {
                            ["point"] = At(0, 0),
                            ["tail"] = At(.2, .1),
                            ["typed"] = null,
                            ["side"] = "shootingSide",
                        }
                    )
            ),
            new(
                "post a mark",
                $"/api/shots/{shot}/marks",
                () => WithId(new() { ["reason"] = "plucked", ["doubtful"] = false })
            ),
            new("post a note", $"/api/papers/{paperId}/notes", () => WithId(new() { ["note"] = "wind" })),
            new(
                "post a check",
                $"/api/bows/{bow}/checks",
                () =>
                    WithId(
                        new()
                        {
                            ["kind"] = "braceHeight",
                            ["typed"] = "7.1",
                            ["confirmed"] = true,
                        }
                    )
            ),
            new(
                "post a change",
                $"/api/bows/{bow}/changes",
                () => WithId(new() { ["change"] = "newLoop", ["note"] = "" })
            ),
            new("post shots", $"/api/bows/{bow}/shots", () => WithId(new() { ["count"] = 12 })),
            new(
                "post a good state",
                $"/api/bows/{bow}/good-states",
                () => WithId(new() { ["arrowVersionId"] = null, ["note"] = "" })
            ),
            new("post a move", $"/api/bows/{bow}/moves", () => WithId(new() { ["adjuster"] = kind, ["to"] = Turn() })),
            new(
                "post a reading",
                $"/api/bows/{bow}/chronograph",
                () =>
                    WithId(
                        new()
                        {
                            ["grains"] = "380",
                            ["speed"] = "265",
                            ["source"] = "typed",
                        }
                    )
            ),
            new(
                "post figures",
                "/api/figures",
                () =>
                    new JsonObject
                    {
                        ["bowId"] = bow,
                        ["draft"] = arrow["draft"]!.DeepClone(),
                        ["openedVersionId"] = arrow["kept"]!["id"]!.DeepClone(),
                    }
            ),
            new(
                "put a draft",
                $"/api/arrows/{arrowId}/draft",
                () => arrow["draft"]!.DeepClone(),
                "PUT",
                async () =>
                    (int)
                        (await Ask($"/api/bows/{bow}/arrows")).AsArray().First(a => (string)a!["id"]! == arrowId)![
                            "version"
                        ]!
            ),
        ];
        if (dozen is not null)
        {
            all.Add(new("a dozen", $"/api/dozens/{dozen}"));
            all.Add(new("nocks", $"/api/dozens/{dozen}/nocks"));
        }

        return all;

        async Task<string> Oldest()
        {
            JsonNode page;
            var before = "";
            do
            {
                page = await Ask($"/api/bows/{bow}/papers{before}");
                before = $"?before={page["earlier"]}";
            } while (page["earlier"] is not null);

            return (string)page["papers"]!.AsArray()[^1]!["id"]!;
        }

        async Task<JsonNode> Ask(string path) => JsonNode.Parse(await http.GetStringAsync(path))!;
    }

    private static JsonObject WithId(JsonObject body)
    {
        body["id"] = Guid.NewGuid().ToString();
        return body;
    }

    private static JsonObject At(double x, double y) => new() { ["x"] = x, ["y"] = y };
}

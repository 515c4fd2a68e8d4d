using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using Dapper;

namespace Merganser.Web.Tests;

/// <summary>
/// Whatever is sent: no answer is a failure of the server, each refusal is a problem document, and what was kept can be
/// read again.
/// </summary>
public class AnyRequestTests
{
    private const int ReadAgainAfter = 250;

    [Theory]
    [InlineData(20261127, 1_000)]
    public Task No_request_makes_the_server_fail(int seed, int requests) => Send(seed, requests);

    [Theory]
    [Trait("Category", "Long")]
    [InlineData(1, 10_000)]
    [InlineData(2, 10_000)]
    public Task No_request_of_many_makes_the_server_fail(int seed, int requests) => Send(seed, requests);

    private static async Task Send(int seed, int requests)
    {
        using var app = new App();
        var maker = new RequestMaker(seed, Ids(app));
        List<string> failed = [];
        for (var i = 1; i <= requests; i++)
        {
            var made = maker.Next();
            if (await Wrong(app, made) is { } wrong)
            {
                failed.Add($"{wrong}: {made}");
            }

            if (i % ReadAgainAfter == 0)
            {
                failed.AddRange(await Unreadable(app));
            }
        }

        failed.ShouldBeEmpty();
    }

    private static async Task<string?> Wrong(App app, MadeRequest made)
    {
        using var request = new HttpRequestMessage(made.Method, made.Path);
        if (made.Body is not null)
        {
            request.Content = new StringContent(made.Body, Encoding.UTF8, made.Type);
        }

        if (made.IfMatch is not null)
        {
            request.Headers.TryAddWithoutValidation("If-Match", made.IfMatch);
        }

        using var answer = await app.Http.SendAsync(request);
        var status = (int)answer.StatusCode;
        if (status >= 500)
        {
            return status.ToString();
        }

        if (status < 400)
        {
            return null;
        }

        var problem = answer.Content.Headers.ContentType?.MediaType == "application/problem+json";
        return problem && IsProblem(await answer.Content.ReadAsStringAsync())
            ? null
            : $"{status} without a problem document";
    }

    private static bool IsProblem(string text)
    {
        try
        {
            var problem = JsonNode.Parse(text)!;
            return problem["title"] is not null && problem["status"] is not null && problem["code"] is not null;
        }
        catch (JsonException)
        {
            return false;
        }
    }

    /// <summary>What cannot be read again of all that the bench holds.</summary>
    private static async Task<List<string>> Unreadable(App app)
    {
        List<string> found = [];
        var rack = await app.Get("/api/rack");
        found.AddRange(rack["unreadable"]!.AsArray().Select(line => $"unreadable: {line}"));
        foreach (var bow in rack["bows"]!.AsArray().Select(b => (string)b!["id"]!))
        {
            string[] parts =
            [
                "",
                "/setup",
                "/arrows",
                "/dozens",
                "/papers",
                "/papers/newest",
                "/moves",
                "/changes",
                "/chronograph",
                "/response",
                "/beside",
            ];
            foreach (var part in parts)
            {
                using var answer = await app.Http.GetAsync($"/api/bows/{bow}{part}");
                if (!answer.IsSuccessStatusCode)
                {
                    found.Add($"{(int)answer.StatusCode} reading /api/bows/{bow}{part}");
                }
            }
        }

        return found;
    }

    /// <summary>Ids that are there, by the address or the field that names such a thing.</summary>
    private static Dictionary<string, string[]> Ids(App app)
    {
        using var file = app.Database.Open();
        string[] Of(string table, string where = "1") =>
            [.. file.Query<string>($"SELECT id FROM {table} WHERE {where} ORDER BY id LIMIT 12")];
        string Class(string name) => $"class = '{name}'";
        return new Dictionary<string, string[]>
        {
            ["bows"] = Of("bow"),
            ["bowId"] = Of("bow"),
            ["archers"] = Of("archer"),
            ["archerId"] = Of("archer"),
            ["arrows"] = Of("arrow"),
            ["arrowVersionId"] = Of("arrow_version"),
            ["openedVersionId"] = Of("arrow_version"),
            ["papers"] = Of("paper"),
            ["sets"] = Of("shot_set"),
            ["afterSetId"] = Of("shot_set"),
            ["shots"] = Of("shot"),
            ["moveId"] = Of("move"),
            ["noteId"] = Of("paper_note"),
            ["entryId"] = [.. Of("check_finding"), .. Of("dozen_entry"), .. Of("shots_fired")],
            ["dozens"] = Of("dozen"),
            ["dozenId"] = Of("dozen"),
            ["catalogue"] = Of("component"),
            ["shaftId"] = Of("component", Class("shaft")),
            ["insertId"] = Of("component", Class("insert")),
            ["pointId"] = Of("component", Class("point")),
            ["nockId"] = Of("component", Class("nock")),
            ["vaneId"] = Of("component", Class("vane")),
            ["wrapId"] = Of("component", Class("wrap")),
        };
    }
}

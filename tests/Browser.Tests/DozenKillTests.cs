using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace Merganser.Browser.Tests;

/// <summary>
/// A power cut in the middle of each state of a dozen: the act stands whole or not at all, sent again under its id it
/// stands once, and everything before it stands as it did.
/// </summary>
public class DozenKillTests
{
    private const string Dozen = "99999999-0000-4000-8000-00000000d0d0";
    private const string Island = "/api/bows/22222222-0000-4000-8000-000000000001";

    [Fact]
    [Trait("Category", "Long")]
    public async Task A_power_cut_in_any_state_of_a_dozen_leaves_it_whole()
    {
        using var server = new AppServer(demo: true);
        var random = new Random(20261128);
        var sent = 0;
        foreach (var (path, body) in Acts(await Version(server)))
        {
            var before = await Entries(server);
            using (var http = new HttpClient { BaseAddress = new Uri(server.Url) })
            {
                var sending = http.PostAsJsonAsync(path, body).ContinueWith(_ => { }, TaskScheduler.Default);
                await Task.Delay(random.Next(0, 15));
                server.Kill();
                await sending;
            }

            server.Start();
            var after = await Entries(server);
            after.Take(before.Length).ShouldBe(before, $"{path}: what was there before");
            using (var http = new HttpClient { BaseAddress = new Uri(server.Url) })
            {
                using var again = await http.PostAsJsonAsync(path, body);
                again.IsSuccessStatusCode.ShouldBeTrue($"{path}: {await again.Content.ReadAsStringAsync()}");
                using var twice = await http.PostAsJsonAsync(path, body);
                twice.IsSuccessStatusCode.ShouldBeTrue(path);
            }

            var kept = await Entries(server);
            kept.Distinct().Count().ShouldBe(kept.Length, $"{path}: once");
            (after.Length == before.Length || after.SequenceEqual(kept)).ShouldBeTrue($"{path}: whole or not at all");
            sent++;
        }

        sent.ShouldBe(15);
        var dozen = await Read(server);
        ((string)dozen["tray"]![0]!["state"]!).ShouldBe("fletched", "weighed again after its repair, not yet verified");
        dozen["tray"]!.AsArray().Count(a => (bool)a!["retired"]!).ShouldBe(1);
        ((bool)dozen["shafts"]![0]!["glued"]!).ShouldBeTrue();
    }

    /// <summary>From the first piece to a retired arrow: a dozen of three.</summary>
    private static IEnumerable<(string Path, object Body)> Acts(string version)
    {
        yield return (
            $"{Island}/dozens",
            new
            {
                id = Dozen,
                arrowVersionId = version,
                name = "Cut short",
                arrows = 3,
                classes = new[] { "Shaft" },
                spare = 1,
                vanesInSets = false,
            }
        );
        yield return Entry(
            new
            {
                kind = "check",
                value = "50.1",
                second = "50",
            }
        );
        yield return Of(
            "weights",
            new
            {
                @class = "Shaft",
                text = "251\n252\n253\n254",
                sure = true,
            }
        );
        yield return Entry(
            new
            {
                kind = "piece",
                @class = "Shaft",
                value = "255",
                sure = true,
            }
        );
        yield return Entry(
            new
            {
                kind = "spin",
                number = 1,
                word = "glued",
            }
        );
        yield return Entry(
            new
            {
                kind = "spin",
                number = 2,
                word = "runOut",
                value = "0.003",
                note = "point",
            }
        );
        yield return Of(
            "match",
            new
            {
                spineSets = false,
                straightest = false,
                leaveOut = 0,
                gluedShafts = new[] { 3 },
            }
        );
        foreach (var step in new[] { "cut", "fletch", "weigh" })
        {
            yield return Entry(
                new
                {
                    kind = "tick",
                    number = 1,
                    word = step,
                }
            );
        }

        yield return Entry(
            new
            {
                kind = "made",
                number = 1,
                word = "built",
                value = "400",
            }
        );
        yield return Entry(
            new
            {
                kind = "tick",
                number = 1,
                word = "verify",
            }
        );
        yield return Entry(
            new
            {
                kind = "made",
                number = 1,
                word = "repaired",
                note = "new nock",
            }
        );
        yield return Entry(
            new
            {
                kind = "made",
                number = 2,
                word = "practice",
                note = "spine mark lost",
            }
        );
        yield return Entry(
            new
            {
                kind = "made",
                number = 3,
                word = "retired",
                note = "lost",
            }
        );
    }

    private static (string, object) Entry(object act) => Of("entries", act);

    private static (string, object) Of(string what, object act)
    {
        var body = (JsonObject)System.Text.Json.JsonSerializer.SerializeToNode(act)!;
        body["id"] = Guid.NewGuid().ToString();
        return ($"/api/dozens/{Dozen}/{what}", body);
    }

    private static async Task<string> Version(AppServer server)
    {
        using var http = new HttpClient { BaseAddress = new Uri(server.Url) };
        var arrows = JsonNode.Parse(await http.GetStringAsync($"{Island}/arrows"))!.AsArray();
        return (string)arrows.First(a => a!["kept"] is not null)!["kept"]!["id"]!;
    }

    private static async Task<JsonNode> Read(AppServer server)
    {
        using var http = new HttpClient { BaseAddress = new Uri(server.Url) };
        return JsonNode.Parse(await http.GetStringAsync($"/api/dozens/{Dozen}"))!;
    }

    /// <summary>The ids of its entries, in order, after the file was looked over.</summary>
    private static async Task<string[]> Entries(AppServer server)
    {
        await using var file = server.OpenData();
        await using var check = file.CreateCommand();
        check.CommandText = "PRAGMA integrity_check";
        $"{await check.ExecuteScalarAsync()}".ShouldBe("ok");
        await using var entries = file.CreateCommand();
        entries.CommandText = $"SELECT id FROM dozen_entry WHERE dozen_id = '{Dozen}' ORDER BY ordinal";
        await using var rows = await entries.ExecuteReaderAsync();
        List<string> ids = [];
        while (await rows.ReadAsync())
        {
            ids.Add(rows.GetString(0));
        }

        return [.. ids];
    }
}

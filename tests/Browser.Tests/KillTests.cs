using System.Collections.Concurrent;
using System.Net.Http.Json;
using Microsoft.Data.Sqlite;

namespace Merganser.Browser.Tests;

/// <summary>What was acknowledged is kept, whenever the power goes; what was not is whole or not there.</summary>
public class KillTests
{
    private const string Paper = "/api/papers/55555555-0000-4000-8000-000000000001";
    private const int Writers = 3;
    private static readonly TimeSpan Longest = TimeSpan.FromSeconds(60);

    [Fact]
    public Task Ten_kills_lose_nothing_that_was_acknowledged() => Kill(10);

    [Fact]
    [Trait("Category", "Long")]
    public Task Two_hundred_kills_lose_nothing_that_was_acknowledged() => Kill(200);

    private static async Task Kill(int rounds)
    {
        using var server = new AppServer(demo: true);
        var random = new Random(20261127);
        ConcurrentBag<string> acknowledged = [];
        for (var round = 0; round < rounds; round++)
        {
            using var http = new HttpClient { BaseAddress = new Uri(server.Url) };
            var writing = Enumerable.Range(0, Writers).Select(w => Task.Run(() => Write(http, w, acknowledged)));
            var writers = writing.ToArray();
            var wanted = acknowledged.Count + random.Next(1, 20);
            SpinWait.SpinUntil(() => acknowledged.Count >= wanted, Longest).ShouldBeTrue("nothing was acknowledged");
            await Task.Delay(random.Next(0, 12));
            server.Kill();
            await Task.WhenAll(writers);
            using var file = server.OpenData();
            Scalar(file, "PRAGMA integrity_check").ShouldBe("ok", $"round {round + 1}");
            Lost(file, acknowledged).ShouldBeEmpty($"round {round + 1}");
            Scalar(file, HalfDone).ShouldBe("0", $"round {round + 1}");
            server.Start();
        }

        acknowledged.Count.ShouldBeGreaterThanOrEqualTo(rounds);
    }

    /// <summary>An act stands in the record with all that belongs to it: a shot counts on the string as well.</summary>
    private const string HalfDone = """
        SELECT (SELECT count(*) FROM shot h WHERE NOT EXISTS (SELECT 1 FROM shots_fired f WHERE f.id = h.id))
          + (SELECT count(*) FROM chronograph_shot c WHERE NOT EXISTS (SELECT 1 FROM shots_fired f WHERE f.id = c.id))
          + (SELECT count(*) FROM act a WHERE NOT EXISTS (
              SELECT 1 FROM shot WHERE id = a.id UNION ALL SELECT 1 FROM paper_note WHERE id = a.id
              UNION ALL SELECT 1 FROM shots_fired WHERE id = a.id UNION ALL SELECT 1 FROM move WHERE id = a.id))
        """;

    /// <summary>One act after the other until the server is gone.</summary>
    private static async Task Write(HttpClient http, int writer, ConcurrentBag<string> acknowledged)
    {
        for (var i = 0; ; i++)
        {
            var id = Guid.NewGuid().ToString();
            (string Path, object Body) act = writer switch
            {
                0 => ($"{Paper}/notes", new { id, note = $"note {i}" }),
                1 => ($"/api{States.Compound}/shots", new { id, count = 6 }),
                _ => (
                    $"/api{States.Compound}/moves",
                    new
                    {
                        id,
                        adjuster = "restHeight",
                        to = i % 2,
                    }
                ),
            };
            try
            {
                using var answer = await http.PostAsJsonAsync(act.Path, act.Body);
                if (answer.IsSuccessStatusCode)
                {
                    acknowledged.Add(id);
                }
            }
            catch (HttpRequestException)
            {
                return;
            }
        }
    }

    private static IEnumerable<string> Lost(SqliteConnection file, IEnumerable<string> acknowledged)
    {
        using var command = file.CreateCommand();
        command.CommandText = """
            SELECT EXISTS (SELECT 1 FROM paper_note WHERE id = $id) OR EXISTS (SELECT 1 FROM shots_fired WHERE id = $id)
              OR EXISTS (SELECT 1 FROM move WHERE id = $id)
            """;
        var id = command.Parameters.Add("$id", SqliteType.Text);
        return
        [
            .. acknowledged.Where(act =>
            {
                id.Value = act;
                return (long)command.ExecuteScalar()! == 0;
            }),
        ];
    }

    private static string Scalar(SqliteConnection file, string statement)
    {
        using var command = file.CreateCommand();
        command.CommandText = statement;
        return $"{command.ExecuteScalar()}";
    }
}

using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Microsoft.Data.Sqlite;

namespace Merganser.Browser.Tests;

/// <summary>A file that another program holds, a disk without room, a server that is asked to end.</summary>
public class FileTroubleTests
{
    private const string Bow = $"/api{States.Compound}";

    [Fact]
    [Trait("Category", "Long")]
    public async Task A_file_that_stays_busy_is_said_and_the_same_act_goes_through_afterwards()
    {
        using var server = new AppServer(demo: true);
        using var http = new HttpClient { BaseAddress = new Uri(server.Url) };
        var act = new { id = Guid.NewGuid().ToString(), count = 6 };
        using (var other = server.OpenData())
        {
            Run(other, "BEGIN IMMEDIATE");
            using var refused = await http.PostAsJsonAsync($"{Bow}/shots", act);
            refused.StatusCode.ShouldBe(HttpStatusCode.ServiceUnavailable);
            refused.Headers.RetryAfter.ShouldNotBeNull();
            ((string)(await Problem(refused))["title"]!).ShouldContain("in use by another program");
            (await http.GetAsync($"{Bow}/setup")).StatusCode.ShouldBe(HttpStatusCode.OK, "reading goes on");
            (await http.GetAsync("/api/rack")).StatusCode.ShouldBe(HttpStatusCode.OK, "reading goes on");
            Run(other, "ROLLBACK");
        }

        (await http.PostAsJsonAsync($"{Bow}/shots", act)).StatusCode.ShouldBe(HttpStatusCode.OK);
    }

    [Fact]
    public async Task A_full_disk_is_said_and_nothing_of_the_act_is_kept()
    {
        using var server = new AppServer(demo: true, room: "4m");
        using var http = new HttpClient { BaseAddress = new Uri(server.Url) };
        HttpResponseMessage? refused = null;
        for (var i = 0; i < 2000 && refused is null; i++)
        {
            var note = new { id = Guid.NewGuid().ToString(), note = new string('x', 400) };
            var answer = await http.PostAsJsonAsync("/api/papers/55555555-0000-4000-8000-000000000001/notes", note);
            refused = answer.IsSuccessStatusCode ? null : answer;
        }

        refused.ShouldNotBeNull();
        refused.StatusCode.ShouldBe(HttpStatusCode.InsufficientStorage);
        var problem = await Problem(refused);
        ((string)problem["title"]!).ShouldContain("disk of the data file is full");
        ((string)problem["code"]!).ShouldBe("full");
        (await http.GetAsync("/api/rack")).StatusCode.ShouldBe(HttpStatusCode.OK, "reading goes on");
    }

    /// <summary>
    /// SIGTERM: what was begun is finished and acknowledged, and the process is gone within five seconds.
    /// </summary>
    [Fact]
    public async Task A_server_that_is_asked_to_end_finishes_what_is_being_written()
    {
        using var server = new AppServer(demo: true);
        using var http = new HttpClient { BaseAddress = new Uri(server.Url) };
        var id = Guid.NewGuid().ToString();
        using (var other = server.OpenData())
        {
            Run(other, "BEGIN IMMEDIATE");
            var writing = http.PostAsJsonAsync($"{Bow}/shots", new { id, count = 6 });
            await Task.WhenAny(writing, Task.Delay(500));
            server.AskToEnd();
            await Task.Delay(500);
            Run(other, "ROLLBACK");
            (await writing).StatusCode.ShouldBe(HttpStatusCode.OK);
        }

        server.Ended(within: TimeSpan.FromSeconds(5)).ShouldBeTrue();
        using var file = server.OpenData();
        Run(file, $"SELECT count(*) FROM shots_fired WHERE id = '{id}'").ShouldBe(1);
        Run(file, "SELECT count(*) FROM pragma_integrity_check WHERE integrity_check = 'ok'").ShouldBe(1);
    }

    private static async Task<JsonNode> Problem(HttpResponseMessage answer)
    {
        answer.Content.Headers.ContentType!.MediaType.ShouldBe("application/problem+json");
        return JsonNode.Parse(await answer.Content.ReadAsStringAsync())!;
    }

    private static long Run(SqliteConnection file, string statement)
    {
        using var command = file.CreateCommand();
        command.CommandText = statement;
        return command.ExecuteScalar() is long number ? number : 0;
    }
}

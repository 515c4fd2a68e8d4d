using System.Text.Json.Nodes;
using Merganser.Data;
using Microsoft.Extensions.DependencyInjection;

namespace Merganser.Web.Tests;

/// <summary>What is thrown away can be put back for thirty days.</summary>
public class BinTests
{
    private const string Bow = $"/api/bows/{App.Brindle}";

    private static async Task<JsonArray> Things(App app) => (await app.Get("/api/bin"))["things"]!.AsArray();

    [Fact]
    public async Task A_part_comes_back_as_it_was()
    {
        using var app = new App();
        var fields = new JsonObject
        {
            ["maker"] = "Kittiwake",
            ["name"] = "Spare 9",
            ["grains"] = "9.5",
            ["length"] = "4",
            ["price"] = "1.25",
        };
        var id = App.NewId();
        var (status, part) = await app.Post(
            "/api/catalogue",
            new
            {
                id,
                @class = "wrap",
                fields,
            }
        );
        status.ShouldBe(200, part.ToJsonString());
        using (var gone = new HttpRequestMessage(HttpMethod.Delete, $"/api/catalogue/{id}"))
        {
            gone.Headers.TryAddWithoutValidation("If-Match", "\"1\"");
            ((int)(await app.Http.SendAsync(gone)).StatusCode).ShouldBe(204);
        }

        ((string)(await Things(app)).Single()!["name"]!).ShouldBe("Kittiwake Spare 9");
        (await app.Post($"/api/bin/component/{id}/put-back", null)).Status.ShouldBe(200);
        (await app.Get($"/api/catalogue/{id}")).ToJsonString().ShouldBe(part.ToJsonString());
        (await Things(app)).ShouldBeEmpty();
    }

    [Fact]
    public async Task A_part_that_was_entered_anew_meanwhile_does_not_lie_there()
    {
        using var app = new App();
        var body = new
        {
            id = App.NewId(),
            @class = "wrap",
            fields = new
            {
                maker = "Kittiwake",
                name = "Spare 9",
                grains = "9.5",
                length = "4",
            },
        };
        await app.Post("/api/catalogue", body);
        using var gone = new HttpRequestMessage(HttpMethod.Delete, $"/api/catalogue/{body.id}");
        gone.Headers.TryAddWithoutValidation("If-Match", "\"1\"");
        await app.Http.SendAsync(gone);
        (await app.Post("/api/catalogue", body)).Status.ShouldBe(200);
        (await Things(app)).ShouldBeEmpty();
    }

    [Fact]
    public async Task An_arrow_that_was_never_kept_goes_and_comes_back_and_a_kept_one_stays()
    {
        using var app = new App();
        var kept = (await app.Get($"{Bow}/arrows")).AsArray().Single(a => (string)a!["id"]! == App.Island)!;
        var id = App.NewId();
        var draft = kept["draft"]!.DeepClone();
        draft["name"] = "A try";
        await app.Post(
            "/api/arrows",
            new JsonObject
            {
                ["id"] = id,
                ["bowId"] = App.Brindle,
                ["draft"] = draft,
            }
        );
        async Task<int> Delete(string arrow, string version)
        {
            using var request = new HttpRequestMessage(HttpMethod.Delete, $"/api/arrows/{arrow}");
            request.Headers.TryAddWithoutValidation("If-Match", version);
            return (int)(await app.Http.SendAsync(request)).StatusCode;
        }

        (await Delete(id, "\"7\"")).ShouldBe(412);
        (await Delete(App.Island, $"\"{kept["version"]}\"")).ShouldBe(400);
        (await Delete(id, "\"1\"")).ShouldBe(204);
        (await app.Get($"{Bow}/arrows")).ToJsonString().ShouldNotContain(id);
        ((string)(await Things(app)).Single()!["kind"]!).ShouldBe("arrow");
        (await app.Post($"/api/bin/arrow/{id}/put-back", null)).Status.ShouldBe(200);
        (await app.Get($"{Bow}/arrows")).AsArray().Single(a => (string)a!["id"]! == id)!["draft"]!
            .ToJsonString()
            .ShouldBe(draft.ToJsonString());
    }

    [Fact]
    public async Task A_note_is_written_once_more_and_history_is_only_added_to()
    {
        using var app = new App();
        var id = App.NewId();
        await app.Post($"{Bow}/story/notes", new { id, text = "Wet string" });
        await app.Http.DeleteAsync($"{Bow}/story/notes/{id}");
        (await app.Get($"{Bow}/story")).ToJsonString().ShouldNotContain("Wet string");
        var thing = (await Things(app)).Single()!;
        ((string)thing["kind"]!, (string)thing["name"]!).ShouldBe(("note", "Wet string"));
        (await app.Post($"/api/bin/note/{id}/put-back", null)).Status.ShouldBe(200);
        (await app.Get($"{Bow}/story")).ToJsonString().ShouldContain("Wet string");
        (await Things(app)).ShouldBeEmpty();
        (await app.Post($"/api/bin/note/{id}/put-back", null)).Status.ShouldBe(404);

        // It may go and come again.
        (await app.Http.DeleteAsync($"{Bow}/story/notes/{id}-again")).EnsureSuccessStatusCode();
        (await app.Post($"/api/bin/note/{id}-again/put-back", null)).Status.ShouldBe(200);
        (await app.Get($"{Bow}/story")).ToJsonString().ShouldContain("Wet string");
    }

    [Fact]
    public async Task After_thirty_days_a_thing_goes_for_good_and_before_it_stays()
    {
        using var app = new App();
        var now = app.Services.GetRequiredService<TimeProvider>().GetUtcNow();
        foreach (var (id, days) in new[] { ("old", 30.01), ("young", 29.9) })
        {
            app.Database.Write(sql =>
                sql.Execute(
                    """
                    INSERT INTO bin (id, kind, name, facts, binned_at) VALUES (@id, 'picture', @id, '{}', @at);
                    INSERT INTO picture_bytes (picture_id, image, thumbnail) VALUES (@id, x'ffd8', x'ffd8');
                    """,
                    new { id, at = now.AddDays(-days).ToString("yyyy-MM-ddTHH:mm:ss.fffzzz") }
                )
            );
        }

        var bin = app.Services.GetRequiredService<BinStore>();
        bin.All().Select(t => t.Id).ShouldBe(["young"]);
        bin.Empty().ShouldBe(1);
        bin.All().Select(t => t.Id).ShouldBe(["young"]);
        app.Database.Read(sql =>
                sql.Query<string>("SELECT picture_id FROM picture_bytes WHERE length(image) = 2").ToArray()
            )
            .ShouldBe(["young"]);
    }
}

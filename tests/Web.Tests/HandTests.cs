using System.Text.Json.Nodes;

namespace Merganser.Web.Tests;

/// <summary>What is known of the archer over the API: guessed distances, sizes of groups, units.</summary>
public class HandTests
{
    private const string Tidewrack = "22222222-0000-4000-8000-000000000005";

    [Fact]
    public async Task Guesses_are_kept_read_and_taken_back()
    {
        using var app = new App();
        var archer = (string)(await app.Get($"/api/bows/{App.Brindle}"))["archerId"]!;
        var path = $"/api/archers/{archer}/range-guesses";
        (string Said, string Was)[] guesses =
        [
            ("30", "28"),
            ("25", "27"),
            ("40", "36"),
            ("22", "21"),
            ("30 m", "33 yd"),
        ];
        JsonNode ranging = await app.Get(path);
        ((string)ranging["words"]!).ShouldBe("5 guesses more before anything is told.");
        foreach (var (said, was) in guesses)
        {
            ranging = (await Guess(said, was)).Body;
        }

        ((string)ranging["words"]!).ShouldEndWith("at 30 yd, by 5 guesses.");
        ranging["figures"]!.AsArray().Count.ShouldBe(3);
        ((string)ranging["guesses"]![4]!["words"]!).ShouldBe("said 30 yd, was 28 yd: 2 yd long");
        var id = App.NewId();
        var same = new
        {
            id,
            guessed = "20",
            measured = "20",
        };
        await app.Post(path, same);
        (await app.Post(path, same)).Body["guesses"]!.AsArray().Count.ShouldBe(6, "a retry is one");
        (
            await app.Post(
                path,
                new
                {
                    id,
                    guessed = "21",
                    measured = "20",
                }
            )
        ).Status.ShouldBe(409);
        var asked = await app.Get($"{path}?yards=40&within=2");
        ((string)asked["affords"]!).ShouldContain("of your guesses at 40 yd stay within the 2 yd");
        await app.Send(HttpMethod.Delete, $"{path}/{id}", null);
        (await app.Send(HttpMethod.Delete, $"{path}/{id}", null)).Body["guesses"]!
            .AsArray()
            .Count.ShouldBe(5, "taken back once");
        (await app.Send(HttpMethod.Delete, $"{path}/{App.NewId()}", null)).Status.ShouldBe(404);
        app.Restart();
        (await app.Get(path))["guesses"]!.AsArray().Count.ShouldBe(5);
        foreach (
            var (said, was, field) in new[]
            {
                ("", "20", "guessed"),
                ("20", "far", "measured"),
                ("20", "999", "measured"),
            }
        )
        {
            var (status, problem) = await Guess(said, was);
            status.ShouldBe(400);
            problem["errors"]![field].ShouldNotBeNull();
        }

        Task<(int Status, JsonNode Body)> Guess(string guessed, string measured) =>
            app.Post(
                path,
                new
                {
                    id = App.NewId(),
                    guessed,
                    measured,
                }
            );
    }

    [Fact]
    public async Task Sizes_are_told_by_day_and_by_what_is_looked_at()
    {
        using var app = new App();
        var sizes = await app.Get($"/api/bows/{Tidewrack}/group-sizes");
        sizes["days"]!.AsArray().Count.ShouldBe(6);
        sizes["figures"]!.AsArray().ShouldAllBe(f => f!["working"]!["terms"]!.AsArray().Count > 0);
        ((string)sizes["words"]!).ShouldStartWith("Tighter than usual");
        sizes["kinds"]!.AsArray().Select(k => (string)k!).ShouldBe(["fletched", "broadhead"]);
        var far = await app.Get($"/api/bows/{Tidewrack}/group-sizes?yards=30");
        far["days"]!.AsArray().Count.ShouldBe(3);
        ((double)far["at"]!).ShouldBe(30);
        (await app.Get($"/api/bows/{Tidewrack}/group-sizes?kind=bare"))["days"]!.AsArray().Count.ShouldBe(0);
        var none = await app.Get($"/api/bows/{App.Brindle}/group-sizes");
        ((string)none["words"]!).ShouldStartWith("No groups yet");
        (await app.Http.GetAsync($"/api/bows/{Tidewrack}/group-sizes?kind=crooked")).StatusCode.ShouldBe(
            System.Net.HttpStatusCode.BadRequest
        );
    }

    [Fact]
    public async Task Units_are_chosen_whatever_else_of_the_archer_was_changed_meanwhile()
    {
        using var app = new App();
        var metric = (await app.Get($"/api/bows/{App.Brindle}"))["units"]!.DeepClone();
        metric["length"] = "centimetres";
        for (var i = 0; i < 2; i++)
        {
            var (status, row) = await app.Post($"/api/bows/{App.Brindle}/units", metric);
            status.ShouldBe(200);
            ((string)row["archer"]!["units"]!["length"]!).ShouldBe("centimetres");
        }

        ((string)(await app.Get($"/api/bows/{App.Brindle}"))["units"]!["length"]!).ShouldBe("centimetres");
        (await app.Post($"/api/bows/{App.NewId()}/units", metric)).Status.ShouldBe(404);
    }
}

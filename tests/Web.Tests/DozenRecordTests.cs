using System.Text.Json.Nodes;

namespace Merganser.Web.Tests;

/// <summary>What was done for a dozen is never lost or taken apart.</summary>
public class DozenRecordTests
{
    private const string Bow = "/api/bows/" + App.Brindle;
    private const string TallOsk = "22222222-0000-4000-8000-000000000002";

    /// <summary>Files written before findings had codes keep them in words.</summary>
    [Theory]
    [InlineData("cracked or splintered", true, true)]
    [InlineData("bent", true, true)]
    [InlineData("sound", false, false)]
    [InlineData("ends not square", true, false)]
    public async Task A_finding_kept_in_words_is_read_as_it_was_meant(string words, bool damaged, bool destroyed)
    {
        using var app = new App();
        const string dozen = "cccccccc-0000-4000-8000-000000000002";
        var facts = $$"""{"schema":1,"kind":"spin","number":13,"word":"inspection","note":"{{words}}"}""";
        app.Database.Write(sql =>
            sql.Execute(
                """
                INSERT INTO dozen_entry (id, dozen_id, ordinal, kind, facts, at)
                VALUES ('old', @dozen, 999, 'spin', @facts, '2026-11-01T10:00:00.000+00:00')
                """,
                new { dozen, facts }
            )
        );
        var shaft = (await app.Get($"/api/dozens/{dozen}"))["shafts"]!.AsArray().Single(s => (int)s!["number"]! == 13)!;
        ((bool)shaft["damaged"]!).ShouldBe(damaged);
        ((bool)shaft["destroyed"]!).ShouldBe(destroyed);
    }

    [Fact]
    public async Task A_dozen_that_was_begun_is_not_taken_apart()
    {
        using var app = new App();
        var path = $"/api/dozens/{await Four(app)}";
        await app.Post(
            $"{path}/weights",
            new
            {
                id = App.NewId(),
                @class = "Nock",
                text = "9.1\n9.2\n9.1\n9.0",
            }
        );
        (await app.Post($"{path}/match", Options())).Status.ShouldBe(200);
        await app.Post(
            $"{path}/entries",
            new
            {
                id = App.NewId(),
                kind = "tick",
                number = 2,
                word = "cut",
            }
        );
        var (_, view) = await app.Post(
            $"{path}/entries",
            new
            {
                id = App.NewId(),
                kind = "piece",
                @class = "Head",
                value = "100.3",
            }
        );
        view["match"]!["stale"].ShouldBeNull("a head does not change which pieces are in an arrow");
        (_, view) = await app.Post(
            $"{path}/entries",
            new
            {
                id = App.NewId(),
                kind = "piece",
                @class = "Shaft",
                value = "250",
            }
        );
        ((string)view["next"]!["action"]!).ShouldNotBe("match");
        var second = view["tray"]![1]!;
        ((bool)second["stays"]!, (bool)second["locked"]!).ShouldBe((true, false));
        var (status, again) = await app.Post($"{path}/match", Options());
        status.ShouldBe(200);
        again["tray"]![1]!["pieces"]!.ToJsonString().ShouldBe(second["pieces"]!.ToJsonString(), "it stays as it is");
        again["tray"]![1]!["tickIds"]!.ToJsonString().ShouldBe(second["tickIds"]!.ToJsonString(), "with its tick");
        foreach (var number in Enumerable.Range(1, 4))
        {
            await app.Post(
                $"{path}/entries",
                new
                {
                    id = App.NewId(),
                    kind = "made",
                    number,
                    word = "locked",
                    note = "yes",
                }
            );
        }

        app.Restart();
        var (refused, problem) = await app.Post($"{path}/match", Options());
        refused.ShouldBe(400);
        ((string)problem["title"]!).ShouldStartWith("Arrows 1, 2, 3, 4 are begun or locked");
        var tick = (string)(await app.Get(path))["tray"]![1]!["tickIds"]!["cut"]!;
        (await app.Post($"{path}/withdrawals/{tick}", new { })).Status.ShouldBe(200);
    }

    [Fact]
    public async Task Every_act_on_a_dozen_is_safe_to_repeat_and_many_at_once_are_all_kept()
    {
        using var app = new App();
        var path = $"/api/dozens/{await Four(app)}";
        var table = new
        {
            id = App.NewId(),
            @class = "Nock",
            text = "9.1\n9.2",
        };
        await app.Post($"{path}/weights", table);
        var (status, view) = await app.Post($"{path}/weights", table);
        status.ShouldBe(200);
        Pieces(view, "Nock").ShouldBe(2);
        var piece = new
        {
            id = App.NewId(),
            kind = "piece",
            @class = "Nock",
            number = 7,
            value = "9.3",
        };
        await app.Post($"{path}/entries", piece);
        (await app.Post($"{path}/entries", piece)).Status.ShouldBe(200, "the same act again");
        var many = await Task.WhenAll(
            Enumerable
                .Range(0, 12)
                .Select(_ =>
                    app.Post(
                        $"{path}/entries",
                        new
                        {
                            id = App.NewId(),
                            kind = "piece",
                            @class = "Head",
                            value = "100",
                        }
                    )
                )
        );
        many.ShouldAllBe(a => a.Status == 200);
        (await app.Get(path))["heads"]!["pieces"]!
            .AsArray()
            .Select(p => (int)p!["number"]!)
            .ShouldBe(Enumerable.Range(1, 12));
    }

    private static int Pieces(JsonNode dozen, string name) =>
        dozen["classes"]!.AsArray().First(c => (string)c!["name"]! == name)!["pieces"]!.AsArray().Count;

    private static object Options() =>
        new
        {
            id = App.NewId(),
            spineSets = false,
            straightest = false,
            leaveOut = 0,
            gluedShafts = Array.Empty<int>(),
        };

    private static async Task<string> Four(App app)
    {
        var id = App.NewId();
        await app.Post(
            $"{Bow}/dozens",
            new
            {
                id,
                arrowVersionId = App.IslandVersion,
                name = "Four",
                arrows = 4,
                classes = new[] { "Shaft", "Point", "Nock" },
                spare = 0,
                vanesInSets = false,
            }
        );
        await app.Post(
            $"/api/dozens/{id}/weights",
            new
            {
                id = App.NewId(),
                @class = "Shaft",
                text = "250.1\n251.3\n249.8\n250.6",
            }
        );
        await app.Post(
            $"/api/dozens/{id}/weights",
            new
            {
                id = App.NewId(),
                @class = "Point",
                text = "100.2\n99.0\n100.5\n99.7",
            }
        );
        if (await app.Post($"/api/dozens/{id}/match", Options()) is { Status: 400 })
        {
            return id;
        }

        throw new InvalidOperationException("nocks are missing");
    }
}

using System.Text.Json.Nodes;

namespace Merganser.Web.Tests;

public class DozenTests
{
    internal const string Half = "/api/dozens/cccccccc-0000-4000-8000-000000000002";

    [Fact]
    public async Task From_parts_to_a_match_to_a_build_list()
    {
        using var app = new App();
        var id = App.NewId();
        var (status, dozen) = await app.Post(
            $"/api/bows/{App.Brindle}/dozens",
            new
            {
                id,
                arrowVersionId = App.IslandVersion,
                name = "Four",
                arrows = 4,
                classes = new[] { "Shaft", "Point" },
                spare = 0,
                vanesInSets = false,
            }
        );
        status.ShouldBe(200, dozen.ToJsonString());
        (await app.Post($"/api/dozens/{id}/match", Options())).Status.ShouldBe(400, "nothing is weighed");
        await app.Post(
            $"/api/dozens/{id}/weights",
            new
            {
                id = App.NewId(),
                @class = "Shaft",
                text = "250.1\n251,3\n249.8\n4;250.6",
            }
        );
        (_, dozen) = await app.Post(
            $"/api/dozens/{id}/weights",
            new
            {
                id = App.NewId(),
                @class = "Point",
                text = "100.2\n99.0\n100.5\n99.7",
            }
        );
        ((string)dozen["next"]!["action"]!).ShouldBe("match");
        (status, dozen) = await app.Post($"/api/dozens/{id}/match", Options());
        status.ShouldBe(200, dozen.ToJsonString());
        ((double)dozen["match"]!["spread"]!).ShouldBe(0, 1e-9);
        ((bool)dozen["match"]!["proven"]!).ShouldBeTrue();
        dozen["tray"]!.AsArray().Count.ShouldBe(4);
        (_, dozen) = await app.Post(
            $"/api/dozens/{id}/entries",
            new
            {
                id = App.NewId(),
                kind = "tick",
                number = 1,
                word = "cut",
            }
        );
        ((string)dozen["tray"]![0]!["state"]!).ShouldBe("cut");
        app.Restart();
        (await app.Get($"/api/dozens/{id}"))["tray"]![0]!["tickIds"]!.AsObject().Count.ShouldBe(1);
        System
            .Text.Encoding.ASCII.GetString(await app.Http.GetByteArrayAsync($"/api/dozens/{id}/tray.pdf"), 0, 5)
            .ShouldBe("%PDF-");
        (await app.Http.GetStringAsync($"/api/dozens/{id}/export.csv")).Split('\n').Length.ShouldBe(6);
    }

    [Fact]
    public async Task A_damaged_shaft_is_never_assigned_and_an_arrow_fewer_leaves_the_worst_out()
    {
        using var app = new App();
        var id = App.NewId();
        await app.Post(
            $"/api/bows/{App.Brindle}/dozens",
            new
            {
                id,
                arrowVersionId = App.IslandVersion,
                name = "Three",
                arrows = 3,
                classes = new[] { "Shaft", "Point" },
                spare = 1,
                vanesInSets = false,
            }
        );
        await app.Post(
            $"/api/dozens/{id}/weights",
            new
            {
                id = App.NewId(),
                @class = "Shaft",
                text = "250\n250\n250\n259",
            }
        );
        await app.Post(
            $"/api/dozens/{id}/weights",
            new
            {
                id = App.NewId(),
                @class = "Point",
                text = "100\n100\n100",
            }
        );
        await app.Post(
            $"/api/dozens/{id}/entries",
            new
            {
                id = App.NewId(),
                kind = "spin",
                number = 2,
                word = "inspection",
                note = "crackedOrSplintered",
            }
        );
        var (_, dozen) = await app.Post($"/api/dozens/{id}/match", Options());
        Shafts(dozen).ShouldBe([1, 3, 4], ignoreOrder: true);
        (_, dozen) = await app.Post($"/api/dozens/{id}/match", Options(leaveOut: 1));
        Shafts(dozen).ShouldBe([1, 3], ignoreOrder: true);

        static int[] Shafts(JsonNode dozen) =>
            [.. dozen["tray"]!.AsArray().Select(a => (int)a!["pieces"]!["Shaft"]![0]!)];
    }

    [Theory]
    [InlineData("{\"kind\":\"piece\",\"class\":\"Shaft\",\"number\":1,\"value\":\"250\"}", "number")]
    [InlineData("{\"kind\":\"piece\",\"class\":\"Wheel\",\"number\":1,\"value\":\"250\"}", "class")]
    [InlineData("{\"kind\":\"piece\",\"class\":\"Nock\",\"number\":1,\"value\":\"heavy\"}", "value")]
    [InlineData("{\"kind\":\"spin\",\"number\":1,\"word\":\"runOut\",\"value\":\"3\"}", "value")]
    [InlineData("{\"kind\":\"tick\",\"number\":1,\"word\":\"burn\"}", "word")]
    [InlineData("{\"kind\":\"dance\"}", "kind")]
    public async Task An_entry_that_cannot_be_names_its_field(string body, string field)
    {
        using var app = new App();
        var input = JsonNode.Parse(body)!;
        input["id"] = App.NewId();
        var (status, problem) = await app.Post($"{Half}/entries", input.ToJsonString());
        status.ShouldBe(400);
        problem["errors"]![field].ShouldNotBeNull(problem.ToJsonString());
    }

    [Theory]
    [InlineData(0, 1)]
    [InlineData(145, 1)]
    [InlineData(12, 99)]
    public async Task A_dozen_that_cannot_be_is_refused(int arrows, int spare)
    {
        using var app = new App();
        (
            await app.Post(
                $"/api/bows/{App.Brindle}/dozens",
                new
                {
                    id = App.NewId(),
                    arrowVersionId = App.IslandVersion,
                    name = "X",
                    arrows,
                    classes = new[] { "Shaft" },
                    spare,
                    vanesInSets = false,
                }
            )
        ).Status.ShouldBe(400);
    }

    [Fact]
    public async Task A_table_with_a_bad_line_writes_nothing()
    {
        using var app = new App();
        var (status, problem) = await app.Post(
            $"{Half}/weights",
            new
            {
                id = App.NewId(),
                @class = "Nock",
                text = "9.1\nabout nine\n9.3",
            }
        );
        status.ShouldBe(400);
        problem["errors"]!["text"]![0]!.ToString().ShouldContain("Line 2");
        (await app.Get(Half))["classes"]!.AsArray().First(c => (string)c!["name"]! == "Nock")!["pieces"]!
            .AsArray()
            .ShouldBeEmpty();
    }

    [Fact]
    public async Task A_reading_is_taken_back_and_the_same_id_again_adds_nothing()
    {
        using var app = new App();
        var entry = new
        {
            id = App.NewId(),
            kind = "piece",
            @class = "Nock",
            number = 1,
            value = "9.14",
        };
        await app.Post($"{Half}/entries", entry);
        var (_, dozen) = await app.Post(
            $"{Half}/entries",
            new
            {
                id = App.NewId(),
                kind = "check",
                value = "100.4",
                second = "100",
            }
        );
        ((bool)dozen["check"]!["off"]!).ShouldBeTrue();
        Nocks(dozen).ShouldBe([9.1]);
        (_, dozen) = await app.Post($"{Half}/withdrawals/{entry.id}", new { });
        Nocks(dozen).ShouldBeEmpty();

        static double[] Nocks(JsonNode dozen) =>
            [
                .. dozen["classes"]!.AsArray().First(c => (string)c!["name"]! == "Nock")!["pieces"]!
                    .AsArray()
                    .Select(p => (double)p!["grains"]!),
            ];
    }

    [Fact]
    public async Task A_newer_version_of_its_arrow_is_told_and_changes_nothing()
    {
        using var app = new App();
        var draft = App.DraftBody("28 3/4");
        (await app.Send(HttpMethod.Put, $"/api/arrows/{App.Island}/draft", draft, "\"1\"")).Status.ShouldBe(200);
        (await app.Post($"/api/arrows/{App.Island}/versions", new { id = App.NewId() })).Status.ShouldBe(200);
        var dozen = await app.Get(Half);
        ((string)dozen["changed"]!).ShouldContain("version 2");
        ((int)dozen["arrowVersion"]!).ShouldBe(1);
    }

    internal static object Options(int leaveOut = 0) =>
        new
        {
            id = App.NewId(),
            spineSets = false,
            straightest = false,
            leaveOut,
            gluedShafts = Array.Empty<int>(),
        };
}

using System.Text.Json.Nodes;
using Merganser.Instruments;

namespace Merganser.Web.Tests;

public class DozenTests
{
    private const string Half = "/api/dozens/cccccccc-0000-4000-8000-000000000002";

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

    /// <summary>
    /// Six shots at three weights (400: 286, 287; 475: 268, 267; 600: 244, 243 ft/s): K 120.13 ± 14.25 gr, E 94.707 ±
    /// 2.303 ft·lb (weighted least squares, checked against a numerics library in Core.Tests).
    /// </summary>
    [Fact]
    public async Task The_chronograph_teaches_the_bow_and_every_speed_follows()
    {
        using var app = new App();
        JsonNode view = null!;
        foreach (
            var (grains, speed) in new[] { (400, 286), (400, 287), (475, 268), (475, 267), (600, 244), (600, 243) }
        )
        {
            (_, view) = await app.Post(
                $"/api/bows/{App.Brindle}/chronograph",
                new
                {
                    id = App.NewId(),
                    grains = $"{grains}",
                    speed = $"{speed}",
                    source = "typed",
                }
            );
        }

        ((double)view["virtualMass"]!).ShouldBe(120.13, .01);
        ((double)view["virtualMassError"]!).ShouldBe(14.25, .01);
        ((double)view["energy"]!).ShouldBe(94.707, .001);
        ((double)view["energyError"]!).ShouldBe(2.303, .001);
        var figures = (
            await app.Post(
                "/api/figures",
                new
                {
                    bowId = App.Brindle,
                    draft = App.DraftBody(),
                    openedVersionId = (string?)null,
                }
            )
        ).Body["reading"]!["figures"]!.AsArray();
        figures.Select(f => (string)f!["label"]!).ShouldContain("Speed, by chronograph");
        var shot = (string)view["strings"]![0]!["shots"]![0]!["id"]!;
        (await app.Post($"/api/bows/{App.Brindle}/chronograph/{shot}/withdraw", new { })).Status.ShouldBe(200);
        (
            await app.Post(
                $"/api/bows/{App.Brindle}/chronograph",
                new
                {
                    id = App.NewId(),
                    grains = "400",
                    speed = "9000",
                    source = "typed",
                }
            )
        ).Status.ShouldBe(400);
    }

    [Theory]
    [InlineData("scale 253.1 gr stable 17", 253.1, true)]
    [InlineData("scale -0.2 gr unstable 3", -.2, false)]
    [InlineData("chronograph 281.4 ft/s stable 3", 281.4, true)]
    public void A_line_reads_and_writes_back(string text, double value, bool stable)
    {
        var (line, problem) = InstrumentLine.Read(text);
        problem.ShouldBeNull();
        line!.Value.ShouldBe(value);
        line.Stable.ShouldBe(stable);
        line.Write().ShouldBe(text);
    }

    [Theory]
    [InlineData("")]
    [InlineData("scale")]
    [InlineData("scale 253.1 kg stable 17")]
    [InlineData("scale 253,1 gr stable 17")]
    [InlineData("scale 1e9 gr stable 17")]
    [InlineData("scale 99999 gr stable 17")]
    [InlineData("toaster 3 gr stable 1")]
    [InlineData("scale NaN gr stable 1")]
    [InlineData("scale 253.1 gr perhaps 17")]
    [InlineData("\u0000\u0001\u0002")]
    public void Garbage_is_told_and_never_a_reading(string text)
    {
        var (line, problem) = InstrumentLine.Read(text);
        line.ShouldBeNull();
        problem.ShouldNotBeNullOrEmpty();
        InstrumentLine.Read(new string('x', 500)).Problem.ShouldBe("a line that is too long");
    }

    [Fact]
    public async Task A_simulated_scale_settles_and_is_lost_and_found_again()
    {
        await using var device = new SimulatedScale();
        await using var link = new InstrumentLink("127.0.0.1", device.Address.Port, true, true, TimeProvider.System);
        var news = link.Listen();
        (await news.ReadAsync()).ShouldBeOfType<InstrumentNews.Connected>();
        link.Send("put 252.3").ShouldBeTrue();
        var reading = await Until(r => r.Line.Stable && Math.Abs(r.Line.Value - 252.3) < .2);
        reading.Line.Kind.ShouldBe(InstrumentKind.Scale);
        link.Send("tare").ShouldBeTrue();
        await Until(r => Math.Abs(r.Line.Value) < .3);
        link.Send("unplug");
        for (var next = await news.ReadAsync(); next is not InstrumentNews.Lost; next = await news.ReadAsync())
        {
            next.ShouldBeOfType<InstrumentNews.Reading>();
        }

        link.Send("plug");
        await Until(_ => true);

        async Task<InstrumentNews.Reading> Until(Func<InstrumentNews.Reading, bool> seen)
        {
            using var limit = new CancellationTokenSource(TimeSpan.FromSeconds(20));
            while (true)
            {
                if (await news.ReadAsync(limit.Token) is InstrumentNews.Reading r && seen(r))
                {
                    return r;
                }
            }
        }
    }

    private static object Options(int leaveOut = 0) =>
        new
        {
            id = App.NewId(),
            spineSets = false,
            straightest = false,
            leaveOut,
            gluedShafts = Array.Empty<int>(),
        };
}

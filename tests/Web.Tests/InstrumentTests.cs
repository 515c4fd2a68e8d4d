using System.Text.Json.Nodes;
using Merganser.Instruments;
using Microsoft.Extensions.DependencyInjection;
using Microsoft.Extensions.Hosting;

namespace Merganser.Web.Tests;

/// <summary>Chronograph and scale.</summary>
public class InstrumentTests
{
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
    [InlineData("spine 0.342 in stable 3", .342, true)]
    [InlineData("dial 0.0025 in unstable 9", .0025, false)]
    [InlineData("board 48.2 lb 12.50 in stable 17", 48.2, true)]
    public void A_line_reads_and_writes_back(string text, double value, bool stable)
    {
        var (line, problem) = InstrumentLine.Read(text);
        problem.ShouldBeNull();
        line!.Value.ShouldBe(value);
        line.Stable.ShouldBe(stable);
        line.Write().ShouldBe(text);
    }

    [Theory]
    [InlineData("board 48.2 lb stable 17")]
    [InlineData("board 48.2 lb 12.50 cm stable 17")]
    [InlineData("board 48.2 lb -3 in stable 17")]
    [InlineData("scale 48.2 gr 12.50 in stable 17")]
    [InlineData("dial 3 in stable 17")]
    public void A_line_of_another_shape_is_garbage(string text) => InstrumentLine.Read(text).Line.ShouldBeNull();

    /// <summary>A spring of 3 lb/in: whole, it stores 3·20.75²/24 ft·lb; short, it teaches nothing.</summary>
    [Fact]
    public async Task The_draw_board_teaches_the_stored_energy_until_a_point_is_taken_back()
    {
        using var app = new App();
        var stroke = (double)(await app.Get($"/api/bows/{App.Brindle}/board"))["stroke"]!;
        JsonNode view = null!;
        var id = "";
        for (var inch = 1; inch <= Math.Floor(stroke); inch++)
        {
            id = App.NewId();
            (_, view) = await Point($"{inch}", $"{3 * inch}", id);
        }

        ((bool)view["whole"]!).ShouldBeTrue(view.ToJsonString());
        var end = Math.Floor(stroke);
        Figure(view, "storedEnergy").ShouldBe(3 * end * end / 24, 1e-6);
        (await Point($"{end}", $"{3 * end}", id)).View["readings"]!
            .AsArray()
            .Count.ShouldBe((int)end, "the same id again");
        (_, view) = await app.Post($"/api/bows/{App.Brindle}/board/{id}/withdraw", new { });
        view["readings"]!.AsArray().Count.ShouldBe((int)end - 1);
        (await Point("5", "x", App.NewId())).Status.ShouldBe(400);
        (await Point("1", "3", App.NewId(), true)).View["readings"]!.AsArray().Count.ShouldBe(1, "another curve");

        async Task<(int Status, JsonNode View)> Point(string travel, string force, string point, bool anew = false) =>
            await app.Post(
                $"/api/bows/{App.Brindle}/board",
                new
                {
                    id = point,
                    mark = "force",
                    travel,
                    force,
                    source = "typed",
                    anew,
                }
            );

        static double Figure(JsonNode board, string name) =>
            (double)board["figures"]!.AsArray().Single(f => (string)f!["name"]! == name)!["value"]!;
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

    /// <summary>A page that stays open does not keep the server from ending.</summary>
    [Fact]
    public async Task What_a_page_listens_to_ends_with_the_server()
    {
        using var app = new App();
        await using var stream = await app.Http.GetStreamAsync("/api/instruments/scale/stream");
        using var reader = new StreamReader(stream);
        (await reader.ReadLineAsync()).ShouldNotBeNullOrEmpty();
        var rest = reader.ReadToEndAsync();
        rest.IsCompleted.ShouldBeFalse();
        app.Services.GetRequiredService<IHostApplicationLifetime>().StopApplication();
        (await Task.WhenAny(rest, Task.Delay(TimeSpan.FromSeconds(10)))).ShouldBe(rest);
    }
}

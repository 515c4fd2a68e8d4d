using System.Text.Json.Nodes;
using Merganser.Instruments;

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
}

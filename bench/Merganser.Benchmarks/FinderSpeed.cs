using System.Diagnostics;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Merganser.Core.Arrows;
using Merganser.Core.Bows;
using Merganser.Core.Catalogues;
using Merganser.Core.Finder;

namespace Merganser.Benchmarks;

/// <summary>
/// Builds a second over a catalogue as large as the starter one, beside a loop over the bench's own figure code.
/// </summary>
public static class FinderSpeed
{
    public static async Task Run()
    {
        var bow = new Bow(
            "Brindle",
            BowKind.Compound,
            Hand.Right,
            Release.ReleaseAid,
            70,
            65.5,
            29,
            33,
            6.5,
            330,
            RestType.DropAwayEarly,
            CamSystem.TwinYoke,
            CamDraw.Medium,
            0
        );
        var random = new Random(46);
        double Draw(double low, double high) => low + ((high - low) * random.NextDouble());
        List<ComponentRow> rows = [];
        void Add(int count, ComponentClass of, Func<int, IComponent> part)
        {
            for (var i = 0; i < count; i++)
            {
                var stock = new Stock(random.Next(4) == 0 ? 12 : null, Draw(1, 20));
                rows.Add(new ComponentRow($"{of}-{i}", of, part(i), false, 1, stock));
            }
        }

        // As many of each as the starter catalogue has ways: 46 shafts, 150 fronts, 756 rears.
        Add(
            46,
            ComponentClass.Shaft,
            i => new Shaft("M", $"S{i}", .25 + (.01 * i), Draw(6, 12), .295, 32, "Carbon", .244)
        );
        Add(15, ComponentClass.Insert, i => new Insert("M", $"I{i}", 10 + (7 * i), 1, -.4));
        Add(10, ComponentClass.Point, i => new Point("M", $"P{i}", PointKind.Field, 75 + (12.5 * i), .9, .35));
        Add(27, ComponentClass.Nock, i => new Nock("M", $"N{i}", Draw(5, 14), Draw(.3, .6), .2));
        Add(28, ComponentClass.Vane, i => new Vane("M", $"V{i}", Draw(3, 10), Draw(1.5, 4), .4));
        WantedRange[] ranges =
        [
            new(FoundFigure.Fit, .97, 1.15),
            new(FoundFigure.Weight, 390, 450),
            new(FoundFigure.FrontOfCenter, 12.5, null),
            new(FoundFigure.Speed, 266, null),
        ];
        var search = new FinderSearch(
            bow,
            new FinderStock(rows, new FinderWish(ranges)),
            new FinderWish(ranges),
            (FoundFigure.Speed, FoundFigure.FrontOfCenter)
        );
        var from = Stopwatch.GetTimestamp();
        var firstRows = 0.0;
        search.Run(told => firstRows = firstRows == 0 && told.Inside > 0 ? told.Seconds : firstRows);
        var seconds = Stopwatch.GetElapsedTime(from).TotalSeconds;
        Console.WriteLine(
            $"  {search.Looked / 1e6:F1} million builds in {seconds:F1} s, {search.Looked / seconds / 1e6:F2} million a second; {search.Inside:N0} inside, {search.Ranked.Count} rows, first told after {firstRows:F2} s"
        );
        Console.WriteLine($"  memory {Process.GetCurrentProcess().PeakWorkingSet64 / 1e6:F0} MB at the most");

        var sample = search.Ranked.Take(50).ToArray();
        var own = Stopwatch.GetTimestamp();
        var done = 0;
        while (Stopwatch.GetElapsedTime(own).TotalSeconds < 1)
        {
            _ = ArrowSummary.Of(bow, sample[done++ % sample.Length].Arrow());
        }

        Console.WriteLine($"  the bench's own figures, built and read one by one: {done / 1e6:F3} million a second");
        await AsItShips();
    }

    /// <summary>As a page has it: begun, followed and stopped at the server, over the demo's catalogue.</summary>
    private static async Task AsItShips()
    {
        const string finder = "/api/bows/22222222-0000-4000-8000-000000000001/finder";
        using var screen = new Browser.Tests.Screen(demo: true);
        using var http = new HttpClient { BaseAddress = new Uri(screen.Url) };
        foreach (var stopAfter in new double?[] { null, null, .8 })
        {
            var from = Stopwatch.GetTimestamp();
            double Since() => Stopwatch.GetElapsedTime(from).TotalSeconds;
            using var begun = await http.PostAsJsonAsync(
                finder,
                new
                {
                    arrow = (string?)null,
                    ranges = new[]
                    {
                        new
                        {
                            figure = "fit",
                            low = ".97",
                            high = "1.15",
                        },
                        new
                        {
                            figure = "weight",
                            low = "390",
                            high = "450",
                        },
                    },
                    parts = "mineFirst",
                    mostToBuy = (int?)null,
                    heads = "both",
                    x = "speed",
                    y = "frontOfCenter",
                }
            );
            var id = (string)(await begun.Content.ReadFromJsonAsync<JsonNode>())!["id"]!;
            using var reader = new StreamReader(await http.GetStreamAsync($"{finder}/{id}/stream"));
            var (fifty, stopped, bytes, events) = (0.0, 0.0, 0L, 0);
            JsonNode? last = null;
            while (await reader.ReadLineAsync() is { } line)
            {
                if (!line.StartsWith("data:", StringComparison.Ordinal))
                {
                    continue;
                }

                (last, bytes, events) = (JsonNode.Parse(line[5..]), bytes + line.Length, events + 1);
                fifty = fifty == 0 && (int)last!["listed"]! >= 50 ? Since() : fifty;
                if (stopAfter < Since() && stopped == 0)
                {
                    stopped = Since();
                    using var _ = await http.PostAsync($"{finder}/{id}/stop", null);
                }
            }

            var size = bytes / Math.Max(1, events) / 1000;
            Console.WriteLine(
                $"  at the server: {last!["looked"]}, {last["state"]} after {Since():F2} s, "
                    + $"fifty rows after {fifty:F2} s, {events} events of {size} kB"
                    + (stopped > 0 ? $", stopped within {1000 * (Since() - stopped):F0} ms" : "")
            );
        }
    }
}

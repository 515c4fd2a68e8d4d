using System.Diagnostics;
using System.Globalization;
using System.Text.RegularExpressions;

namespace Merganser.Benchmarks;

/// <summary>
/// What a request costs the server after 1,000, 20,000 and 200,000 shots over forty bows in five years: processor
/// milliseconds, statements, bytes on the wire and time for one client; then fifty clients at once, memory and start.
/// </summary>
public static partial class Growth
{
    /// <summary>Shots in each file; MERGANSER_GROWTH names others, with commas between.</summary>
    private static readonly int[] Sizes =
    [
        .. (Environment.GetEnvironmentVariable("MERGANSER_GROWTH") ?? "1000,20000,200000")
            .Split(',')
            .Select(s => int.Parse(s, CultureInfo.InvariantCulture)),
    ];

    /// <summary>Until the server has compiled what it needs for it.</summary>
    private const int Warm = 60;

    /// <summary>So many bows of the forty are asked in turn.</summary>
    private const int AskedBows = 10;

    /// <summary>The demo's own bows, whose papers are of another time than the rest of their history.</summary>
    private const int DemoBows = 4;
    private static readonly TimeSpan Lasting = TimeSpan.FromMilliseconds(900);

    private sealed record Cost(double Processor, string Statements, long Bytes, double Median, double P95);

    public static async Task Run()
    {
        Dictionary<string, List<Cost>> costs = [];
        using (var empty = new Browser.Tests.AppServer(demo: false))
        {
            Console.WriteLine("  an empty file");
            Starts(empty);
        }

        foreach (var shots in Sizes)
        {
            using var server = new Browser.Tests.AppServer(demo: true);
            server.Kill();
            var clock = Stopwatch.StartNew();
            var bows = GrowthFile.Fill(server.DataPath, shots);
            Console.WriteLine(
                $"  {shots} shots: {new FileInfo(server.DataPath).Length / 1e6:F1} MB, filled in {clock.Elapsed.TotalSeconds:F1} s"
            );
            Starts(server);
            using var http = new HttpClient { BaseAddress = new Uri(server.Url), Timeout = TimeSpan.FromMinutes(3) };
            List<GrowthRequest> asked = [];
            foreach (var bow in bows.Skip(DemoBows).Take(AskedBows))
            {
                asked.AddRange(await GrowthRequests.Of(http, bow));
            }

            foreach (var requests in asked.GroupBy(r => r.Name))
            {
                if (!costs.TryGetValue(requests.Key, out var row))
                {
                    costs[requests.Key] = row = [];
                }

                row.Add(await Measure(server, http, [.. requests]));
            }

            Console.WriteLine($"  memory after all of it: {server.Memory / 1e6:F0} MB");
            if (shots == Sizes[^1])
            {
                await GrowthCrowd.Run(server, bows);
            }
        }

        Print(costs);
    }

    private static void Starts(Browser.Tests.AppServer server)
    {
        List<double> times = [];
        for (var i = 0; i < 6; i++)
        {
            server.Kill();
            var clock = Stopwatch.StartNew();
            server.Start();
            using var http = new HttpClient { BaseAddress = new Uri(server.Url) };
            _ = http.GetByteArrayAsync("/api/rack").GetAwaiter().GetResult();
            times.Add(clock.Elapsed.TotalMilliseconds);
        }

        Console.WriteLine($"    start to the first rack: {string.Join(", ", times.Select(t => $"{t:F0}"))} ms");
    }

    private static async Task<Cost> Measure(Browser.Tests.AppServer server, HttpClient http, GrowthRequest[] requests)
    {
        var statements = "";
        for (var i = 0; i < Warm; i++)
        {
            var request = requests[i % requests.Length];
            using var answer = await request.Send(http);
            if (!answer.IsSuccessStatusCode)
            {
                throw new InvalidOperationException($"{request.Name}: {await answer.Content.ReadAsStringAsync()}");
            }

            var timing = answer.Headers.TryGetValues("Server-Timing", out var said) ? said.First() : "";
            statements = Counted().Match(timing).Groups[1].Value;
        }

        await Task.Delay(200);
        List<double> times = [];
        var bytes = 0L;
        var before = server.ProcessorTime;
        var clock = Stopwatch.StartNew();
        while (times.Count < 10 || clock.Elapsed < Lasting)
        {
            var from = Stopwatch.GetTimestamp();
            using var answer = await requests[times.Count % requests.Length].Send(http);
            bytes = Math.Max(bytes, (await answer.Content.ReadAsByteArrayAsync()).Length);
            times.Add(Stopwatch.GetElapsedTime(from).TotalMilliseconds);
        }

        var processor = (server.ProcessorTime - before).TotalMilliseconds / times.Count;
        times.Sort();
        return new Cost(processor, statements, bytes, times[times.Count / 2], times[times.Count * 95 / 100]);
    }

    private static void Print(Dictionary<string, List<Cost>> costs)
    {
        Console.WriteLine(
            string.Create(
                CultureInfo.InvariantCulture,
                $"  {"", -18}{"processor ms a request", 28}{"ratio", 7}{"to the last", 12}{"statements", 16}{"kB", 22}{"p50 ms", 9}{"p95 ms", 9}"
            )
        );
        foreach (var (name, row) in costs)
        {
            var last = row[^1];
            var processor = string.Join(
                " → ",
                row.Select(c => c.Processor.ToString("F2", CultureInfo.InvariantCulture))
            );
            var statements = string.Join(" → ", row.Select(c => c.Statements));
            var bytes = string.Join(
                " → ",
                row.Select(c => (c.Bytes / 1000.0).ToString("F1", CultureInfo.InvariantCulture))
            );
            var before = row[Math.Max(0, row.Count - 2)];
            Console.WriteLine(
                string.Create(
                    CultureInfo.InvariantCulture,
                    $"  {name, -18}{processor, 28}{last.Processor / row[0].Processor, 7:F2}{last.Processor / before.Processor, 12:F2}{statements, 16}{bytes, 22}{last.Median, 9:F1}{last.P95, 9:F1}"
                )
            );
        }
    }

    [GeneratedRegex("desc=\"(\\d+) statements\"")]
    private static partial Regex Counted();
}

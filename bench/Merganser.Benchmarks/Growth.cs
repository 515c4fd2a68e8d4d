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

    /// <summary>
    /// What is busy is compiled anew in the background once a server has rest: what is asked first would pay for it.
    /// </summary>
    private static readonly TimeSpan Settling = TimeSpan.FromSeconds(5);

    /// <summary>So many bows of the forty are asked in turn.</summary>
    private const int AskedBows = 10;

    /// <summary>
    /// The files are asked in turn, round after round: what else goes on in the machine meets all of them alike.
    /// </summary>
    private const int Rounds = 4;
    private static readonly TimeSpan Lasting = TimeSpan.FromMilliseconds(300);

    private sealed record Cost(double Processor, string Statements, long Bytes, double Median, double P95);

    public static async Task Run()
    {
        Dictionary<string, List<Cost>> costs = [];
        using (var empty = new Browser.Tests.AppServer(demo: false))
        {
            Console.WriteLine("  an empty file");
            Starts(empty);
        }

        List<Bench> benches = [.. Sizes.Select(Open)];
        try
        {
            List<List<GrowthRequest>> asked = [];
            foreach (var bench in benches)
            {
                List<GrowthRequest> requests = [];
                foreach (var bow in bench.Bows.Take(AskedBows))
                {
                    requests.AddRange(await GrowthRequests.Of(bench.Http, bow));
                }

                asked.Add(requests);
            }

            Asked[] Of(string name) =>
                [
                    .. benches
                        .Zip(asked)
                        .Select(of => new Asked(of.First, [.. of.Second.Where(r => r.Name == name)]))
                        .Where(of => of.Requests.Length > 0),
                ];
            (string Name, Asked[] Of)[] all =
            [
                .. asked.SelectMany(of => of.Select(r => r.Name)).Distinct().Select(name => (name, Of(name))),
            ];
            foreach (var of in all.SelectMany(a => a.Of))
            {
                await WarmUp(of);
            }

            await Task.Delay(Settling);
            foreach (var (name, of) in all)
            {
                costs[name] = await Measure(of);
            }

            Console.WriteLine(
                $"  memory after all of it: {string.Join(" → ", benches.Select(b => $"{b.Server.Memory / 1e6:F0}"))} MB"
            );
            await GrowthCrowd.Run(benches[^1].Server, benches[^1].Bows);
        }
        finally
        {
            benches.ForEach(bench => bench.Dispose());
        }

        Print(costs);
    }

    /// <summary>A server on a file of so many shots.</summary>
    private static Bench Open(int shots)
    {
        var server = new Browser.Tests.AppServer(demo: true);
        server.Kill();
        var clock = Stopwatch.StartNew();
        var bows = GrowthFile.Fill(server.DataPath, shots);
        Console.WriteLine(
            $"  {shots} shots: {new FileInfo(server.DataPath).Length / 1e6:F1} MB, filled in {clock.Elapsed.TotalSeconds:F1} s"
        );
        Starts(server);
        var http = new HttpClient { BaseAddress = new Uri(server.Url), Timeout = TimeSpan.FromMinutes(3) };
        return new Bench(server, http, bows);
    }

    private sealed record Bench(Browser.Tests.AppServer Server, HttpClient Http, IReadOnlyList<string> Bows)
        : IDisposable
    {
        public void Dispose()
        {
            Http.Dispose();
            Server.Dispose();
        }
    }

    /// <summary>One request as one server is asked it.</summary>
    private sealed record Asked(Bench Bench, GrowthRequest[] Requests)
    {
        public List<double> Times { get; } = [];
        public string Statements { get; set; } = "";
        public long Bytes { get; set; }
        public TimeSpan Processor { get; set; }
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

    private static async Task<List<Cost>> Measure(Asked[] all)
    {
        for (var round = 0; round < Rounds; round++)
        {
            foreach (var asked in all)
            {
                await Ask(asked);
            }
        }

        return [.. all.Select(CostOf)];
    }

    private static async Task WarmUp(Asked asked)
    {
        for (var i = 0; i < Warm; i++)
        {
            var request = asked.Requests[i % asked.Requests.Length];
            using var answer = await request.Send(asked.Bench.Http);
            if (!answer.IsSuccessStatusCode)
            {
                throw new InvalidOperationException($"{request.Name}: {await answer.Content.ReadAsStringAsync()}");
            }

            var timing = answer.Headers.TryGetValues("Server-Timing", out var said) ? said.First() : "";
            asked.Statements = Counted().Match(timing).Groups[1].Value;
        }
    }

    private static async Task Ask(Asked asked)
    {
        var before = asked.Bench.Server.ProcessorTime;
        var clock = Stopwatch.StartNew();
        for (var count = 0; count < 10 || clock.Elapsed < Lasting; count++)
        {
            var from = Stopwatch.GetTimestamp();
            using var answer = await asked.Requests[asked.Times.Count % asked.Requests.Length].Send(asked.Bench.Http);
            asked.Bytes = Math.Max(asked.Bytes, (await answer.Content.ReadAsByteArrayAsync()).Length);
            asked.Times.Add(Stopwatch.GetElapsedTime(from).TotalMilliseconds);
        }

        asked.Processor += asked.Bench.Server.ProcessorTime - before;
    }

    private static Cost CostOf(Asked asked)
    {
        var times = asked.Times.Order().ToArray();
        return new Cost(
            asked.Processor.TotalMilliseconds / times.Length,
            asked.Statements,
            asked.Bytes,
            times[times.Length / 2],
            times[times.Length * 95 / 100]
        );
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

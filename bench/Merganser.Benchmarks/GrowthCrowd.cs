using System.Collections.Concurrent;
using System.Diagnostics;

namespace Merganser.Benchmarks;

/// <summary>Fifty clients, each with a request a second: nine that read to one that writes.</summary>
public static class GrowthCrowd
{
    private const int Clients = 50;
    private const int OneWriteIn = 10;
    private static readonly TimeSpan Lasting = TimeSpan.FromSeconds(60);

    private static readonly string[] Reads =
    [
        "rack",
        "bow",
        "set-up",
        "newest paper",
        "learned",
        "arrows",
        "dozens",
        "versions",
        "chronograph",
    ];
    private static readonly string[] Writes =
    [
        "post a shot",
        "post a check",
        "post shots",
        "post a note",
        "post a reading",
    ];

    public static async Task Run(Browser.Tests.AppServer server, IReadOnlyList<string> bows)
    {
        using var http = new HttpClient { BaseAddress = new Uri(server.Url) };
        List<IReadOnlyList<GrowthRequest>> asked = [];
        foreach (var bow in bows)
        {
            asked.Add(await GrowthRequests.Of(http, bow));
        }

        List<double> cheapest = [];
        for (var i = 0; i < 60; i++)
        {
            var from = Stopwatch.GetTimestamp();
            _ = await http.GetByteArrayAsync("/health");
            cheapest.Add(Stopwatch.GetElapsedTime(from).TotalMilliseconds);
        }

        var times = new ConcurrentBag<double>();
        var errors = new ConcurrentBag<string>();
        var clock = Stopwatch.StartNew();
        await Task.WhenAll(Enumerable.Range(0, Clients).Select(Client));
        Console.WriteLine("  fifty clients, a request a second each, nine reads to a write, 60 s");
        Console.WriteLine(Percentiles.Line(times));
        cheapest.Sort();
        var sorted = times.Order().ToArray();
        Console.WriteLine(
            $"    errors {errors.Count}; p95 to the median of the cheapest GET ({cheapest[30]:F2} ms): {sorted[sorted.Length * 95 / 100] / cheapest[30]:F0}; memory {server.Memory / 1e6:F0} MB"
        );
        foreach (var error in errors.Distinct().Take(5))
        {
            Console.WriteLine($"    {error}");
        }

        async Task Client(int client)
        {
            await Task.Delay(client * 1000 / Clients);
            using var tick = new PeriodicTimer(TimeSpan.FromSeconds(1));
            for (var i = 0; clock.Elapsed < Lasting && await tick.WaitForNextTickAsync(); i++)
            {
                var turn = client + (i * 7);
                var name =
                    turn % OneWriteIn == 0 ? Writes[turn / OneWriteIn % Writes.Length] : Reads[turn % Reads.Length];
                var request = asked[turn % asked.Count].First(r => r.Name == name);
                var from = Stopwatch.GetTimestamp();
                using var answer = await request.Send(http);
                await answer.Content.ReadAsByteArrayAsync();
                times.Add(Stopwatch.GetElapsedTime(from).TotalMilliseconds);
                if (!answer.IsSuccessStatusCode)
                {
                    errors.Add($"{name}: {(int)answer.StatusCode}");
                }
            }
        }
    }
}

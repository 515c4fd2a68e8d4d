using System.Collections.Concurrent;
using System.Diagnostics;
using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace Merganser.Benchmarks;

/// <summary>
/// Ten people change an arrow twenty times a second for a minute. The server's own time is what it says in
/// Server-Timing.
/// </summary>
public static class FiguresLoad
{
    private const int Clients = 10;
    private const int PerSecond = 20;
    private static readonly TimeSpan Lasting = TimeSpan.FromSeconds(60);
    private static readonly TimeSpan WarmUp = TimeSpan.FromSeconds(3);

    public static async Task Run()
    {
        using var server = new Browser.Tests.AppServer(demo: true);
        using var http = new HttpClient { BaseAddress = new Uri(server.Url) };
        const string bow = "22222222-0000-4000-8000-000000000001";
        var arrow = (await http.GetFromJsonAsync<JsonArray>($"/api/bows/{bow}/arrows"))![0]!;
        var times = new ConcurrentBag<double>();
        var served = new ConcurrentBag<double>();
        var clock = Stopwatch.StartNew();
        await Task.WhenAll(Enumerable.Range(0, Clients).Select(Client));
        Console.WriteLine("  at the server");
        Console.WriteLine(Percentiles.Line(served));
        Console.WriteLine("  at the clients, on the same two cores");
        Console.WriteLine(Percentiles.Line(times));

        async Task Client(int client)
        {
            await Task.Delay(client * 1000 / PerSecond / Clients);
            using var tick = new PeriodicTimer(TimeSpan.FromSeconds(1.0 / PerSecond));
            for (var i = 0; clock.Elapsed < Lasting && await tick.WaitForNextTickAsync(); i++)
            {
                var draft = arrow["draft"]!.DeepClone();
                draft["cutLength"] = (28 + (((client * 7) + i) % 16 / 16.0)).ToString(
                    "F4",
                    System.Globalization.CultureInfo.InvariantCulture
                );
                var body = new JsonObject
                {
                    ["bowId"] = bow,
                    ["draft"] = draft,
                    ["openedVersionId"] = arrow["kept"]!["id"]!.DeepClone(),
                };
                var from = Stopwatch.GetTimestamp();
                using var answer = await http.PostAsJsonAsync("/api/figures", body);
                await answer.Content.ReadAsByteArrayAsync();
                answer.EnsureSuccessStatusCode();
                if (clock.Elapsed > WarmUp)
                {
                    served.Add(
                        double.Parse(
                            answer.Headers.GetValues("Server-Timing").First().Split("dur=")[1],
                            System.Globalization.CultureInfo.InvariantCulture
                        )
                    );
                    times.Add(Stopwatch.GetElapsedTime(from).TotalMilliseconds);
                }
            }
        }
    }
}

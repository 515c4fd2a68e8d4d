using System.Diagnostics;
using System.Net.Http.Headers;
using System.Text;
using System.Text.Json.Nodes;

namespace Merganser.Benchmarks;

/// <summary>50,000 rows: read and checked, written, and then looked through, over HTTP as a page does it.</summary>
public static class CatalogueLoad
{
    private const int Rows = 50_000;

    public static async Task Run()
    {
        using var server = new Browser.Tests.AppServer(demo: false);
        using var http = new HttpClient { BaseAddress = new Uri(server.Url) };
        var csv = new StringBuilder("id,maker,name,spine,grainsPerInch,outerDiameter,maxLength,material\n");
        for (var i = 0; i < Rows; i++)
        {
            csv.Append(
                System.Globalization.CultureInfo.InvariantCulture,
                $"bench-{i},Own maker {i % 40},Family {i % 900} size {i},{0.25 + (i % 60 / 100.0):F3},{5 + (i % 70 / 10.0):F1},0.246,32,Carbon\n"
            );
        }

        var id = Guid.NewGuid();
        var clock = Stopwatch.StartNew();
        using var body = new StringContent(csv.ToString());
        body.Headers.ContentType = new MediaTypeHeaderValue("text/csv");
        (await http.PostAsync($"/api/imports/{id}?kind=shaft", body)).EnsureSuccessStatusCode();
        await Until("checked");
        Console.WriteLine($"  read and checked in {clock.Elapsed.TotalSeconds:F2} s");
        (await http.PostAsync($"/api/imports/{id}/confirm", null)).EnsureSuccessStatusCode();
        await Until("written");
        Console.WriteLine($"  written after {clock.Elapsed.TotalSeconds:F2} s in all");
        List<double> times = [];
        foreach (
            var find in Enumerable
                .Range(0, 60)
                .Select(i =>
                    (i % 3) switch
                    {
                        0 => $"size {i * 731}",
                        1 => $"maker {i % 40}",
                        _ => "family 12 .3",
                    }
                )
        )
        {
            var from = Stopwatch.GetTimestamp();
            await http.GetByteArrayAsync($"/api/catalogue?kind=shaft&find={Uri.EscapeDataString(find)}");
            times.Add(Stopwatch.GetElapsedTime(from).TotalMilliseconds);
        }

        Console.WriteLine("  found:" + Percentiles.Line(times.Skip(5)));

        async Task Until(string state)
        {
            while ((string)JsonNode.Parse(await http.GetStringAsync($"/api/imports/{id}"))!["state"]! != state)
            {
                await Task.Delay(20);
            }
        }
    }
}

using System.Diagnostics;
using System.Net.Sockets;

namespace Merganser.Browser.Tests;

/// <summary>The interface as `./merganser dev` serves it, for the sheet of shared parts that is there alone.</summary>
public sealed class PartsSheet : IDisposable
{
    private static readonly TimeSpan Longest = TimeSpan.FromSeconds(60);
    private readonly Process vite;

    public PartsSheet()
    {
        using (var free = new TcpListener(System.Net.IPAddress.Loopback, 0))
        {
            free.Start();
            Url = $"http://127.0.0.1:{((System.Net.IPEndPoint)free.LocalEndpoint).Port}/parts";
        }

        var folder = Path.Combine(Screen.Root, "src/merganser-ui");
        var start = new ProcessStartInfo("node")
        {
            WorkingDirectory = folder,
            RedirectStandardOutput = true,
            RedirectStandardError = true,
        };
        foreach (
            var argument in new[]
            {
                Path.Combine(folder, "node_modules/vite/bin/vite.js"),
                "--host",
                "127.0.0.1",
                "--strictPort",
                "--port",
                new Uri(Url).Port.ToString(),
            }
        )
        {
            start.ArgumentList.Add(argument);
        }

        vite = Process.Start(start)!;
        vite.BeginOutputReadLine();
        vite.BeginErrorReadLine();
        using var http = new HttpClient();
        SpinWait.SpinUntil(() => Answers(http), Longest).ShouldBeTrue("vite did not start");
    }

    public string Url { get; }

    public void Dispose()
    {
        vite.Kill(entireProcessTree: true);
        vite.Dispose();
    }

    private bool Answers(HttpClient http)
    {
        try
        {
            return http.GetAsync(Url).Result.IsSuccessStatusCode;
        }
        catch (AggregateException)
        {
            Thread.Sleep(100);
            return false;
        }
    }
}

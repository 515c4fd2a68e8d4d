using System.Diagnostics;
using System.Net;
using System.Net.Sockets;

namespace Merganser.Browser.Tests;

/// <summary>The built application on a free port with a data file of its own.</summary>
public sealed class AppServer : IDisposable
{
    /// <summary>Two cores may be busy with other browsers.</summary>
    private static readonly TimeSpan Longest = TimeSpan.FromSeconds(120);

    private static readonly Lazy<string> FilledDemo = new(Fill);

    private readonly bool demo;
    private Process? server;

    public AppServer(bool demo)
        : this(demo, demo ? FilledDemo.Value : null) { }

    private AppServer(bool demo, string? filled)
    {
        this.demo = demo;
        Url = $"http://127.0.0.1:{FreePort()}";
        foreach (var part in new[] { "", "-wal" }.Where(part => filled is not null && File.Exists(filled + part)))
        {
            File.Copy(filled + part, DataPath + part);
        }

        Start();
    }

    public string Url { get; }

    /// <summary>Where its data stands; gone when the server is.</summary>
    public string Folder { get; } = Directory.CreateTempSubdirectory("merganser-").FullName;

    /// <summary>Its data file.</summary>
    public string DataPath => Path.Combine(Folder, "bench.db");

    /// <summary>The processor time that it has used.</summary>
    public TimeSpan ProcessorTime
    {
        get
        {
            server!.Refresh();
            return server.TotalProcessorTime;
        }
    }

    /// <summary>The memory that it holds, bytes.</summary>
    public long Memory
    {
        get
        {
            server!.Refresh();
            return server.WorkingSet64;
        }
    }

    public static string Root => Merganser.Tests.Repository.Root;

    /// <summary>Ends it as a power cut would.</summary>
    public void Kill()
    {
        server?.Kill();
        server?.WaitForExit();
    }

    public void Dispose()
    {
        Kill();
        server?.Dispose();
        Directory.Delete(Folder, true);
    }

    public void Start()
    {
        var app = Newest("release", "debug");
        var start = new ProcessStartInfo("dotnet")
        {
            WorkingDirectory = Root,
            RedirectStandardOutput = true,
            RedirectStandardError = true,
        };
        foreach (
            var argument in new[]
            {
                app,
                "--contentRoot",
                Path.Combine(Root, "src/Merganser.Web"),
                "--urls",
                Url,
                "--data",
                DataPath,
            }
        )
        {
            start.ArgumentList.Add(argument);
        }

        if (demo)
        {
            start.ArgumentList.Add("--demo");
            start.ArgumentList.Add("true");
            start.ArgumentList.Add("--clock");
            start.ArgumentList.Add("2026-11-23T18:34:00+00:00");
        }

        var process = Process.Start(start)!;
        var ready = new TaskCompletionSource();
        process.OutputDataReceived += (_, line) =>
        {
            if (line.Data?.Contains("is ready") == true)
            {
                ready.TrySetResult();
            }
        };
        process.BeginOutputReadLine();
        process.BeginErrorReadLine();
        ready.Task.Wait(Longest).ShouldBeTrue("the server did not start");
        server = process;
    }

    /// <summary>
    /// The build that was made last: an older one of the other kind is not what stands in the sources.
    /// </summary>
    private static string Newest(params string[] kinds) =>
        kinds
            .Select(kind => Path.Combine(Root, "artifacts/bin/Merganser.Web", kind, "Merganser.Web.dll"))
            .Where(File.Exists)
            .MaxBy(File.GetLastWriteTimeUtc)!;

    /// <summary>The demo takes a while to be shot, so that it is filled once and copied after.</summary>
    private static string Fill()
    {
        var filling = new AppServer(demo: true, filled: null);
        AppDomain.CurrentDomain.ProcessExit += (_, _) => filling.Dispose();
        filling.Kill();
        return filling.DataPath;
    }

    private static int FreePort()
    {
        using var listener = new TcpListener(IPAddress.Loopback, 0);
        listener.Start();
        return ((IPEndPoint)listener.LocalEndpoint).Port;
    }
}

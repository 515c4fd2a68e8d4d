using System.Collections.Concurrent;
using System.Diagnostics;
using System.Net;
using System.Net.Sockets;
using Merganser.Tests;
using Microsoft.Data.Sqlite;

namespace Merganser.Browser.Tests;

/// <summary>The built application on a free port with a data file of its own.</summary>
public sealed class AppServer : IDisposable
{
    /// <summary>
    /// Two cores may be busy with other browsers. Waited in short turns: a machine that was stopped for a while has not
    /// given the server that time.
    /// </summary>
    private const int LongestSeconds = 180;

    /// <summary>A port may be taken between the look for it and the server's start.</summary>
    private const int Tries = 4;

    private static readonly Lazy<string> FilledDemo = new(Fill);

    private readonly bool demo;
    private readonly string? room;
    private Process? server;

    /// <param name="demo">With the demo's data.</param>
    /// <param name="port">Where it listens if it can; any free port otherwise.</param>
    public AppServer(bool demo, int? port = null)
        : this(demo, demo ? FilledDemo.Value : null, room: null, port) { }

    /// <param name="demo">With the demo's data.</param>
    /// <param name="room">All the room that its data has, on a disk of its own, like <c>4m</c>.</param>
    public AppServer(bool demo, string room)
        : this(demo, demo ? FilledDemo.Value : null, room, port: null) { }

    private AppServer(bool demo, string? filled, string? room, int? port)
    {
        this.demo = demo;
        this.room = room;
        Url = UrlOf(port ?? FreePort());
        foreach (var part in new[] { "", "-wal" }.Where(part => filled is not null && File.Exists(filled + part)))
        {
            File.Copy(filled + part, DataPath + part);
        }

        for (var tried = 1; !Runs(out var said); tried++)
        {
            (tried < Tries).ShouldBeTrue($"the server did not start: {said}");
            Url = UrlOf(FreePort());
        }
    }

    public string Url { get; private set; }

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

    /// <summary>Its data file, opened beside it.</summary>
    public SqliteConnection OpenData()
    {
        var file = new SqliteConnection(
            new SqliteConnectionStringBuilder { DataSource = DataPath, Pooling = false }.ToString()
        );
        file.Open();
        return file;
    }

    /// <summary>Asks it to end, as an operator does.</summary>
    public void AskToEnd() => Process.Start("kill", ["-TERM", $"{server!.Id}"]).WaitForExit();

    /// <summary>True when it ended by itself.</summary>
    public bool Ended(TimeSpan within) => server!.WaitForExit(within);

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
        Folders.Remove(Folder);
    }

    /// <summary>Starts it again where it was.</summary>
    public void Start() => Runs(out var said).ShouldBeTrue($"the server did not start: {said}");

    /// <param name="said">What it said when it did not.</param>
    private bool Runs(out string said)
    {
        var app = Newest("release", "debug");
        var start = new ProcessStartInfo(room is null ? "dotnet" : "unshare")
        {
            WorkingDirectory = Root,
            RedirectStandardOutput = true,
            RedirectStandardError = true,
        };
        foreach (var argument in room is null ? [] : OwnDisk(room))
        {
            start.ArgumentList.Add(argument);
        }

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
        ConcurrentQueue<string> lines = [];
        process.OutputDataReceived += (_, line) => Hear(line.Data);
        process.ErrorDataReceived += (_, line) => Hear(line.Data);
        process.BeginOutputReadLine();
        process.BeginErrorReadLine();
        for (var second = 0; second < LongestSeconds && !ready.Task.IsCompleted && !process.HasExited; second++)
        {
            ready.Task.Wait(TimeSpan.FromSeconds(1));
        }

        if (ready.Task.IsCompleted)
        {
            server = process;
            said = "";
            return true;
        }

        said = string.Join('\n', lines.TakeLast(12));
        process.Kill();
        process.Dispose();
        return false;

        void Hear(string? line)
        {
            if (line is null || server == process)
            {
                return;
            }

            lines.Enqueue(line);
            if (line.Contains("is ready", StringComparison.Ordinal))
            {
                ready.TrySetResult();
            }
        }
    }

    /// <summary>
    /// A server whose data lies on a disk of its own, which only its process sees and which is gone with it.
    /// </summary>
    private string[] OwnDisk(string room) =>
        [
            "--map-root-user",
            "--mount",
            "sh",
            "-c",
            """cp "$0/bench.db" "$0.filled" && mount -t tmpfs -o size="$1" tmpfs "$0" && mv "$0.filled" "$0/bench.db" && shift && exec dotnet "$@" """,
            Folder,
            room,
        ];

    /// <summary>
    /// The build that was made last: an older one of the other kind is not what stands in the sources.
    /// </summary>
    private static string Newest(params string[] kinds) =>
        kinds
            .Select(kind => Path.Combine(Root, "artifacts/bin/Merganser.Web", kind, "Merganser.Web.dll"))
            .Where(File.Exists)
            .MaxBy(File.GetLastWriteTimeUtc)!;

    /// <summary>Forgets the filled demo, if there is one.</summary>
    public static void End()
    {
        if (FilledDemo.IsValueCreated)
        {
            Folders.Remove(Path.GetDirectoryName(FilledDemo.Value)!);
        }
    }

    /// <summary>The demo takes a while to be shot, so that it is filled once and copied after.</summary>
    private static string Fill()
    {
        using var filling = new AppServer(demo: true, filled: null, room: null, port: null);
        using (var http = new HttpClient())
        {
            // The rack keeps what it says of each bow: asked once here, not by every test.
            _ = http.GetStringAsync(filling.Url + "/api/rack").GetAwaiter().GetResult();
        }

        filling.Kill();
        var kept = Directory.CreateTempSubdirectory("merganser-filled-").FullName;
        foreach (var file in Directory.GetFiles(filling.Folder, "bench.db*"))
        {
            File.Copy(file, Path.Combine(kept, Path.GetFileName(file)));
        }

        return Path.Combine(kept, "bench.db");
    }

    private static string UrlOf(int port) => $"http://127.0.0.1:{port}";

    /// <summary>A port that nothing listens on just now.</summary>
    public static int FreePort()
    {
        using var listener = new TcpListener(IPAddress.Loopback, 0);
        listener.Start();
        return ((IPEndPoint)listener.LocalEndpoint).Port;
    }
}

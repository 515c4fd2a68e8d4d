using System.Diagnostics;
using System.Net;
using System.Net.Sockets;
using Microsoft.Data.Sqlite;

namespace Merganser.Browser.Tests;

/// <summary>The built application on a free port with a data file of its own.</summary>
public sealed class AppServer : IDisposable
{
    /// <summary>Two cores may be busy with other browsers.</summary>
    private static readonly TimeSpan Longest = TimeSpan.FromSeconds(120);

    private static readonly Lazy<string> FilledDemo = new(Fill);

    private readonly bool demo;
    private readonly string? room;
    private Process? server;

    public AppServer(bool demo)
        : this(demo, demo ? FilledDemo.Value : null, room: null) { }

    /// <param name="demo">With the demo's data.</param>
    /// <param name="room">All the room that its data has, on a disk of its own, like <c>4m</c>.</param>
    public AppServer(bool demo, string room)
        : this(demo, demo ? FilledDemo.Value : null, room) { }

    private AppServer(bool demo, string? filled, string? room)
    {
        this.demo = demo;
        this.room = room;
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
        Directory.Delete(Folder, true);
    }

    public void Start()
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
            Directory.Delete(Path.GetDirectoryName(FilledDemo.Value)!, true);
        }
    }

    /// <summary>The demo takes a while to be shot, so that it is filled once and copied after.</summary>
    private static string Fill()
    {
        using var filling = new AppServer(demo: true, filled: null, room: null);
        filling.Kill();
        var kept = Directory.CreateTempSubdirectory("merganser-filled-").FullName;
        foreach (var file in Directory.GetFiles(filling.Folder, "bench.db*"))
        {
            File.Copy(file, Path.Combine(kept, Path.GetFileName(file)));
        }

        return Path.Combine(kept, "bench.db");
    }

    private static int FreePort()
    {
        using var listener = new TcpListener(IPAddress.Loopback, 0);
        listener.Start();
        return ((IPEndPoint)listener.LocalEndpoint).Port;
    }
}

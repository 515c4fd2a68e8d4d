using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Merganser.Data;
using Merganser.Tests;
using Microsoft.AspNetCore.Mvc.Testing;
using Microsoft.AspNetCore.TestHost;
using Microsoft.Extensions.DependencyInjection;

namespace Merganser.Web.Tests;

/// <summary>The application on a data file of its own.</summary>
public sealed class App : IDisposable
{
    public const string Brindle = "22222222-0000-4000-8000-000000000001";
    public const string Ada = "11111111-0000-4000-8000-000000000001";
    public const string Island = "33333333-0000-4000-8000-000000000001";
    public const string IslandVersion = "44444444-0000-4000-8000-000000000001";
    public const string OpenPaper = "55555555-0000-4000-8000-000000000001";

    private static readonly TimeSpan LongestEnding = TimeSpan.FromSeconds(20);

    private static readonly Lazy<string> FilledDemo = new(Fill);

    private readonly string folder = Directory.CreateTempSubdirectory("merganser-web-").FullName;
    private WebApplicationFactory<Program> factory;

    public App(bool demo = true)
    {
        File = Path.Combine(folder, "bench.db");
        Demo = demo;
        if (demo)
        {
            System.IO.File.Copy(FilledDemo.Value, File);
        }

        factory = Build();
        Http = factory.CreateClient();
    }

    public string File { get; }

    public bool Demo { get; }

    public HttpClient Http { get; private set; }

    public TestServer Server => factory.Server;

    public IServiceProvider Services => factory.Services;

    public Database Database => factory.Services.GetRequiredService<Database>();

    /// <summary>A new process on the same file.</summary>
    public void Restart()
    {
        End(factory, File);
        factory = Build();
        Http = factory.CreateClient();
    }

    public async Task<JsonNode> Get(string path) => (await Http.GetFromJsonAsync<JsonNode>(path))!;

    public async Task<(int Status, JsonNode Body)> Send(
        HttpMethod method,
        string path,
        object? body,
        string? ifMatch = null
    )
    {
        using var request = new HttpRequestMessage(method, path)
        {
            Content = body is string text
                ? new StringContent(text, System.Text.Encoding.UTF8, "application/json")
                : JsonContent.Create(body),
        };
        if (ifMatch is not null)
        {
            request.Headers.TryAddWithoutValidation("If-Match", ifMatch);
        }

        using var response = await Http.SendAsync(request);
        return ((int)response.StatusCode, JsonNode.Parse(await response.Content.ReadAsStringAsync())!);
    }

    public Task<(int Status, JsonNode Body)> Post(string path, object? body) => Send(HttpMethod.Post, path, body);

    /// <summary>Starts a session at 3 yd, bare, for the demo's compound.</summary>
    public async Task<JsonNode> StartPaper(
        object? stages = null,
        string kind = "tune",
        string bowId = Brindle,
        string version = IslandVersion,
        int shotsPerDecision = 2,
        string? dozenId = null
    )
    {
        var (status, paper) = await Post(
            "/api/papers",
            new
            {
                id = NewId(),
                bowId,
                arrowVersionId = version,
                stages = stages ?? new[] { new { distance = "3 yd", fletched = false } },
                tolerance = (double?)null,
                kind,
                shotsPerDecision,
                dozenId,
            }
        );
        status.ShouldBe(200, paper.ToJsonString());
        return paper;
    }

    /// <summary>The paper of a bow that was begun last.</summary>
    public async Task<JsonNode> NewestPaper(string bow = Brindle) =>
        (await Get($"/api/bows/{bow}/papers/newest"))["paper"]!;

    /// <summary>The papers of a bow in a line each, the newest first.</summary>
    public async Task<JsonArray> Papers(string bow = Brindle) =>
        (await Get($"/api/bows/{bow}/papers"))["papers"]!.AsArray();

    /// <summary>The dozen of a bow that was started last, whole.</summary>
    public async Task<JsonNode> NewestDozen(string bow = Brindle) =>
        await Get($"/api/dozens/{(await Get($"/api/bows/{bow}/dozens"))["dozens"]![0]!["id"]}");

    /// <summary>Marks a shot in the last set.</summary>
    public async Task<JsonNode> Shoot(JsonNode paper, double right, double up, string? arrowNumber = null)
    {
        var shot = Shot(right, up);
        shot["arrowNumber"] = arrowNumber;
        return (await Post($"/api/sets/{(string)paper["sets"]!.AsArray()[^1]!["id"]!}/shots", shot)).Body;
    }

    public static JsonObject Shot(double right, double up) =>
        new()
        {
            ["id"] = NewId(),
            ["point"] = new JsonObject { ["x"] = 0, ["y"] = 0 },
            ["tail"] = new JsonObject { ["x"] = right, ["y"] = up },
            ["typed"] = null,
            ["side"] = "shootingSide",
        };

    public static object BowBody(string id, string drawLength = "29", string archerId = Ada) =>
        new
        {
            id,
            archerId,
            entry = new
            {
                name = "Test bow",
                kind = "compound",
                hand = "right",
                release = "releaseAid",
                nominalWeight = "60",
                measuredWeight = "60,5",
                drawLength,
                axleToAxle = "33",
                braceHeight = "6 1/2",
                ratedSpeed = "",
                restType = "launcher",
                camSystem = "binary",
                camDraw = "medium",
                restAhead = "",
                factorSet = "",
                stringWeight = "",
                stringWeightFromTip = "",
            },
            adjusters = new[]
            {
                new
                {
                    kind = "restHeight",
                    lower = -20,
                    upper = 20,
                    needsPress = false,
                },
            },
        };

    public static JsonObject DraftBody(string cutLength = "28 1/2", string point = "point-pebble-100") =>
        new()
        {
            ["name"] = "Test arrow",
            ["shaftId"] = "shaft-wrackline-340",
            ["cutLength"] = cutLength,
            ["insertId"] = "insert-limpet-25",
            ["pointId"] = point,
            ["nockId"] = "nock-barnock-5",
            ["vaneId"] = "vane-sandeel-2",
            ["vaneCount"] = 3,
            ["vaneFront"] = "",
            ["wrapId"] = "wrap-plain-4",
            ["glue"] = "0",
        };

    public static string NewId() => Guid.NewGuid().ToString();

    public void Dispose()
    {
        End(factory, File);
        Folders.Remove(folder);
    }

    /// <summary>
    /// Ends a server and waits until it has: its program closes all that it has on a thread of its own, and lets go of
    /// its data file when that is closed.
    /// </summary>
    private static void End(WebApplicationFactory<Program> factory, string file)
    {
        factory.Dispose();
        SpinWait.SpinUntil(() => IsLetGo(file), LongestEnding).ShouldBeTrue("the server ends");
    }

    private static bool IsLetGo(string file)
    {
        try
        {
            using var held = new FileStream(
                file + ".lock",
                FileMode.OpenOrCreate,
                FileAccess.ReadWrite,
                FileShare.None
            );
            return true;
        }
        catch (IOException)
        {
            return false;
        }
    }

    private WebApplicationFactory<Program> Build() => Build(File, Demo);

    private static WebApplicationFactory<Program> Build(string file, bool demo) =>
        new WebApplicationFactory<Program>().WithWebHostBuilder(host =>
            host.UseSetting("data", file)
                .UseSetting("demo", demo ? "true" : "false")
                .UseSetting("clock", "2026-11-23T18:34:00+00:00")
        );

    /// <summary>The demo takes a while to be shot, so that it is filled once and copied after.</summary>
    private static string Fill()
    {
        var folder = Directory.CreateTempSubdirectory("merganser-demo-").FullName;
        AppDomain.CurrentDomain.ProcessExit += (_, _) => Folders.Remove(folder);
        var file = Path.Combine(folder, "demo.db");
        var filling = Build(file, demo: true);
        _ = filling.Services;
        End(filling, file);
        return file;
    }
}

using System.ComponentModel;
using System.Diagnostics;
using Merganser.Data;
using Merganser.Web.Guard;

namespace Merganser.Web.Ui;

/// <summary>The one page: the built index with this answer's nonce in it.</summary>
public static class UiPage
{
    private const string NoncePlace = "__NONCE__";
    private const string BenchPlace = "__BENCH__";

    /// <summary>Where the built files lie.</summary>
    internal const string Built = "/assets";

    /// <summary>Built files carry their hash in the name and may be kept.</summary>
    public static StaticFileOptions Assets { get; } =
        new()
        {
            ContentTypeProvider = Pressed.Types,
            OnPrepareResponse = served =>
            {
                var built = served.Context.Request.Path.StartsWithSegments(Built);
                if (built)
                {
                    Pressed.Say(served.Context);
                }

                served.Context.Response.Headers.CacheControl = built
                    ? "public, max-age=31536000, immutable"
                    : "no-cache";
            },
        };

    /// <summary>Opens the page in this machine's own browser; where there is none, its address was said.</summary>
    /// <param name="url">The address that is listened to.</param>
    public static void Open(string url)
    {
        try
        {
            using var opened = Process.Start(
                OperatingSystem.IsWindows() ? new ProcessStartInfo(url) { UseShellExecute = true }
                : OperatingSystem.IsMacOS() ? new ProcessStartInfo("open", url)
                : new ProcessStartInfo("xdg-open", url)
            );
        }
        catch (Exception none) when (none is Win32Exception or InvalidOperationException or FileNotFoundException)
        {
            Console.WriteLine($"Open {url} in a browser.");
        }
    }

    /// <summary>Pressed a second time the program shows the page of the server that has the file already.</summary>
    /// <param name="url">Its address; null where it is something else that is in the way.</param>
    /// <param name="configuration">Says whether a page is opened at all.</param>
    public static void OpenFirst(string? url, IConfiguration configuration)
    {
        if (url is not null && configuration.GetValue("open", false) && Guard.Loopback.Refusal(url) is null)
        {
            Open(url);
        }
    }

    public static async Task<IResult> Serve(HttpContext context, IWebHostEnvironment host, Database database)
    {
        var index = host.WebRootFileProvider.GetFileInfo("index.html");
        if (!index.Exists)
        {
            return Results.Text(
                "The interface has not been built: run ./merganser start",
                statusCode: StatusCodes.Status503ServiceUnavailable
            );
        }

        using var reader = new StreamReader(index.CreateReadStream());
        var page = (await reader.ReadToEndAsync())
            .Replace(NoncePlace, (string)context.Items[PageHeaders.NonceItem]!, StringComparison.Ordinal)
            .Replace(BenchPlace, database.Bench, StringComparison.Ordinal);
        context.Response.Headers.CacheControl = "no-store";
        return Results.Text(page, "text/html; charset=utf-8");
    }
}

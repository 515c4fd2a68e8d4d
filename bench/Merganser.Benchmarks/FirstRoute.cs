using System.IO.Compression;
using System.Text.RegularExpressions;

namespace Merganser.Benchmarks;

/// <summary>What a browser fetches as script before it shows the rack, gzipped, against 200 kB.</summary>
public static partial class FirstRoute
{
    public static Task Run()
    {
        var root = Path.Combine(Browser.Tests.AppServer.Root, "src/Merganser.Web/wwwroot");
        var files = Script()
            .Matches(File.ReadAllText(Path.Combine(root, "index.html")))
            .Select(m => m.Groups[1].Value)
            .Distinct()
            .ToArray();
        var total = 0L;
        foreach (var file in files)
        {
            var size = Gzipped(File.ReadAllBytes(Path.Combine(root, file.TrimStart('/'))));
            total += size;
            Console.WriteLine($"  {file} {size / 1000.0:F1} kB");
        }

        Console.WriteLine($"  together {total / 1000.0:F1} kB");
        return Task.CompletedTask;
    }

    private static long Gzipped(byte[] bytes)
    {
        using var packed = new MemoryStream();
        using (var gzip = new GZipStream(packed, CompressionLevel.Optimal, leaveOpen: true))
        {
            gzip.Write(bytes);
        }

        return packed.Length;
    }

    [GeneratedRegex("(?:src|href)=\"(/assets/[^\"]+\\.js)\"")]
    private static partial Regex Script();
}

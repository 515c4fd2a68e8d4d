using System.IO.Compression;
using System.Text;
using System.Text.Json;
using Merganser.Data;
using Merganser.Web.Printing;
using Microsoft.AspNetCore.Mvc;

namespace Merganser.Web.Open;

/// <summary>What a document holds, and what becomes of each of its things here.</summary>
/// <param name="Taken">True once it was taken in; false while it was only looked at.</param>
/// <param name="Things">Bows first, then what is new or reads otherwise; what is the same is only counted.</param>
/// <param name="Same">How many things stand here already, the same.</param>
public sealed record OpenView(bool Taken, IReadOnlyList<OpenThing> Things, int Same);

public static class OpenEndpoints
{
    private const int MostListed = 400;
    private const string Json = "application/json";
    private const string Zip = "application/zip";

    public static void MapOpen(this IEndpointRouteBuilder api)
    {
        api.MapGet(
                "/export.json",
                (OpenExport export, TimeProvider clock) =>
                    Results.Stream(to => Written(export, to, null), Json, $"merganser-{Day(clock)}.json")
            )
            .Produces(200, contentType: Json);
        api.MapGet(
                "/bows/{id}/export.json",
                (string id, OpenExport export, BowStore bows, TimeProvider clock) =>
                {
                    var name = bows.Get(id).Bow.Name;
                    return Results.Stream(
                        to => Written(export, to, id),
                        Json,
                        $"{string.Concat(name.Where(char.IsLetterOrDigit))}-{Day(clock)}.json"
                    );
                }
            )
            .Produces(200, contentType: Json);
        api.MapGet(
                "/export.zip",
                (OpenExport export, TimeProvider clock) =>
                    Results.File(Zipped(export, clock), Zip, $"merganser-{Day(clock)}.zip")
            )
            .Produces(200, contentType: Zip);
        api.MapGet("/schemas/bench.json", (OpenSchema schema) => Results.Text(schema.Text(), "application/schema+json"))
            .ExcludeFromDescription();
        api.MapPost(
                "/import",
                async (HttpRequest request, bool? keep, string? take, OpenImport import) =>
                {
                    using var sent = await OpenFile.Read(request);
                    var document = sent.Document;
                    var chosen = (take ?? "").Split(',', StringSplitOptions.RemoveEmptyEntries).ToHashSet();
                    var things =
                        keep == true
                            ? import.Take(document.RootElement, chosen, sent.File)
                            : import.Preview(document.RootElement, chosen, sent.File);
                    var told = things
                        .Where(t => t.Kind == "bow" || t.What != TakenIn.Same)
                        .OrderBy(t => t.Kind != "bow")
                        .ThenByDescending(t => t.What)
                        .Take(MostListed);
                    return new OpenView(
                        keep == true,
                        [.. told],
                        things.Count(t => t.Kind != "bow" && t.What == TakenIn.Same)
                    );
                }
            )
            .Accepts<JsonDocument>(Json, Zip)
            .WithMetadata(new RequestSizeLimitAttribute(OpenFile.MostBytes));
    }

    private static string Day(TimeProvider clock) =>
        clock.GetLocalNow().ToString("yyyy-MM-dd", System.Globalization.CultureInfo.InvariantCulture);

    private static async Task Written(OpenExport export, Stream to, string? bowId)
    {
        using var made = new MemoryStream();
        export.Write(made, bowId);
        made.Position = 0;
        await made.CopyToAsync(to);
    }

    /// <summary>
    /// The document with its photographs beside it, and the tables as files that any spreadsheet opens; no cell of them
    /// runs as a formula.
    /// </summary>
    private static byte[] Zipped(OpenExport export, TimeProvider clock)
    {
        using var made = new MemoryStream();
        using (var zip = new ZipArchive(made, ZipArchiveMode.Create, true))
        {
            var document = new MemoryStream();
            export.Write(
                document,
                null,
                (name, bytes) =>
                {
                    Put(zip, $"pictures/{name}.jpg", bytes, CompressionLevel.NoCompression, clock);
                    return $"pictures/{name}.jpg";
                }
            );
            Put(zip, OpenFile.DocumentName, document.ToArray(), CompressionLevel.Optimal, clock);
            var about = new StringBuilder(
                $"{OpenFile.DocumentName} is all of it, and is taken in again with the photographs beside it.\n"
                    + "Each other file is one table, its first line names the columns.\n\n"
            );
            foreach (var (table, lines) in export.Tables())
            {
                about.Append(System.Globalization.CultureInfo.InvariantCulture, $"{table.Name}.csv: {table.Says}\n");
                Put(zip, $"{table.Name}.csv", CsvText.Of(lines.Select(l => l.Select(Harmless).ToArray())), clock);
            }

            Put(zip, "README.txt", about.ToString(), clock);
        }

        return made.ToArray();
    }

    /// <summary>A number is none that runs.</summary>
    private static string Harmless(string cell) =>
        double.TryParse(cell, System.Globalization.CultureInfo.InvariantCulture, out _) ? cell : CsvText.Harmless(cell);

    private static void Put(ZipArchive zip, string name, string text, TimeProvider clock)
    {
        var bytes = new UTF8Encoding(true);
        Put(zip, name, [.. bytes.GetPreamble(), .. bytes.GetBytes(text)], CompressionLevel.Optimal, clock);
    }

    private static void Put(ZipArchive zip, string name, byte[] bytes, CompressionLevel level, TimeProvider clock)
    {
        var entry = zip.CreateEntry(name, level);
        entry.LastWriteTime = clock.GetLocalNow();
        using var to = entry.Open();
        to.Write(bytes);
    }
}

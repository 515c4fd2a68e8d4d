using System.IO.Compression;
using System.Text.Json;
using Merganser.Core.Figures;

namespace Merganser.Web.Open;

/// <summary>
/// A file that is taken in: a document, or an archive with a document and its photographs. Of an archive only what the
/// document names is read, by its name, up to a bound; nothing of it is ever written to a path.
/// </summary>
public sealed class OpenFile : IDisposable
{
    /// <summary>The largest file that is taken in.</summary>
    public const long MostBytes = 512L * Megabyte;

    /// <summary>The document in an archive.</summary>
    public const string DocumentName = "bench.json";

    private const int Megabyte = 1024 * 1024;
    private const int LargestPicture = 25 * Megabyte;
    private const int DeepestNested = 64;
    private static readonly byte[] ZipBegins = "PK"u8.ToArray();
    private readonly ZipArchive? archive;
    private long left = MostBytes;

    private OpenFile(JsonDocument document, ZipArchive? archive) => (Document, this.archive) = (document, archive);

    /// <summary>The document.</summary>
    public JsonDocument Document { get; }

    /// <summary>Reads what was sent.</summary>
    /// <exception cref="RefusedException">It is neither a document nor an archive with one.</exception>
    public static async Task<OpenFile> Read(HttpRequest request)
    {
        var bytes = new MemoryStream();
        await request.Body.CopyToAsync(bytes);
        bytes.Position = 0;
        var isZip = bytes.GetBuffer().AsSpan(0, (int)bytes.Length).StartsWith(ZipBegins);
        try
        {
            if (!isZip)
            {
                return new OpenFile(await Parsed(bytes), null);
            }

            var archive = new ZipArchive(bytes, ZipArchiveMode.Read);
            var entry = archive.GetEntry(DocumentName) ?? throw Broken($"no {DocumentName} in it");
            return new OpenFile(await Parsed(Bounded(entry, MostBytes)), archive);
        }
        catch (Exception trouble) when (trouble is JsonException or InvalidDataException)
        {
            throw Broken(trouble.Message);
        }
    }

    /// <summary>The bytes of a file beside the document; null where there is none of that name.</summary>
    /// <exception cref="RefusedException">It is larger than is taken, or damaged.</exception>
    public byte[]? File(string name)
    {
        if (archive?.GetEntry(name) is not { } entry)
        {
            return null;
        }

        try
        {
            var bytes = Bounded(entry, Math.Min(left, LargestPicture)).ToArray();
            left -= bytes.Length;
            return bytes;
        }
        catch (InvalidDataException trouble)
        {
            throw Broken(trouble.Message);
        }
    }

    /// <inheritdoc/>
    public void Dispose()
    {
        Document.Dispose();
        archive?.Dispose();
    }

    private static Task<JsonDocument> Parsed(Stream json) =>
        JsonDocument.ParseAsync(json, new JsonDocumentOptions { MaxDepth = DeepestNested });

    /// <summary>What an entry really holds counts, whatever it says of itself.</summary>
    private static MemoryStream Bounded(ZipArchiveEntry entry, long most)
    {
        using var from = entry.Open();
        var to = new MemoryStream();
        var chunk = new byte[64 * 1024];
        for (int read; (read = from.Read(chunk)) > 0; )
        {
            if (to.Length + read > most)
            {
                throw Broken($"{entry.Name} is larger than is taken");
            }

            to.Write(chunk, 0, read);
        }

        to.Position = 0;
        return to;
    }

    private static RefusedException Broken(string what) =>
        RefusedException.At("file", "json", new DocumentIsBroken(what));
}

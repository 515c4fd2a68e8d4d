using System.Buffers.Binary;
using System.Text;
using Microsoft.Data.Sqlite;

namespace Merganser.Data;

/// <summary>A data file that cannot be used, said in a sentence for whoever starts the program.</summary>
public sealed class DataFileException(string message, Exception? inner = null) : Exception(message, inner)
{
    /// <summary>The address of the server that has the file; null where it is not that.</summary>
    public string? HeldAt { get; init; }
}

/// <summary>
/// The data file in the hands of one process: looked over before it is opened, and held so that a second server on the
/// same file is refused. The hold ends with the process, however that ends.
/// </summary>
public sealed class DataFile : IDisposable
{
    private const string Magic = "SQLite format 3\0";
    private const int HeaderBytes = 100;
    private const int PageSizeAt = 16;
    private const int PageCountAt = 28;

    /// <summary>Up to this size a file is looked over page by page; beyond it that would delay every start.</summary>
    private const long CheckedWhole = 32 * 1024 * 1024;

    private readonly FileStream hold;
    private readonly string words;

    private DataFile(FileStream hold, string words) => (this.hold, this.words) = (hold, words);

    /// <summary>Says where it is really listened to: an address may have been left to the system.</summary>
    public void ListensAt(string address) => File.WriteAllText(words, Told(address));

    /// <summary>Looks the file over and takes it for this process; a file that is not there yet is fine.</summary>
    /// <param name="path">Where the file is or will be.</param>
    /// <param name="holder">Who takes it, for the sentence that refuses a second one: an address.</param>
    /// <exception cref="DataFileException">
    /// It is no file, no SQLite, cut short, damaged or newer than this program, cannot be written, or is in use.
    /// </exception>
    public static DataFile Take(string path, string holder)
    {
        if (string.IsNullOrWhiteSpace(path))
        {
            throw new DataFileException("Name the data file: --data FILE.");
        }

        var file = TakeUnseen(path, holder);
        try
        {
            LookOver(Path.GetFullPath(path));
            return file;
        }
        catch
        {
            file.Dispose();
            throw;
        }
    }

    /// <summary>Takes a file for this process without looking at it: it is about to be replaced.</summary>
    /// <exception cref="DataFileException">It cannot be written, or is in use.</exception>
    internal static DataFile TakeUnseen(string path, string holder)
    {
        var full = Path.GetFullPath(path);
        return Directory.Exists(full)
            ? throw new DataFileException($"{full} is a folder. Name a file in it: --data {full}/merganser.db")
            : new DataFile(Hold(full, holder), Words(full));
    }

    /// <inheritdoc />
    public void Dispose() => hold.Dispose();

    private static string Words(string path) => path + ".held-by";

    private static string Told(string address) => $"{address} (process {Environment.ProcessId})";

    private static FileStream Hold(string path, string holder)
    {
        var words = Words(path);
        try
        {
            Directory.CreateDirectory(Path.GetDirectoryName(path)!);
            var hold = new FileStream(path + ".lock", FileMode.OpenOrCreate, FileAccess.ReadWrite, FileShare.None);
            File.WriteAllText(words, Told(holder));
            return hold;
        }
        catch (IOException) when (File.Exists(words) && File.Exists(path + ".lock"))
        {
            var first = File.ReadAllText(words);
            throw new DataFileException(
                $"{path} is in use by {first}. Stop that one first, or name another file: --data FILE."
            )
            {
                HeldAt = first.Split(' ')[0],
            };
        }
        catch (Exception e) when (e is IOException or UnauthorizedAccessException)
        {
            throw new DataFileException($"{path} cannot be written: {e.Message}", e);
        }
    }

    /// <summary>Looks a file over that is there, without holding it.</summary>
    /// <exception cref="DataFileException">It cannot be used.</exception>
    internal static void LookOver(string path)
    {
        var length = File.Exists(path) ? new FileInfo(path).Length : 0;
        if (length == 0)
        {
            return;
        }

        using (var file = OpenToWrite(path))
        {
            var header = new byte[HeaderBytes];
            var read = file.ReadAtLeast(header, HeaderBytes, throwOnEndOfStream: false);
            if (read < HeaderBytes || !header.AsSpan().StartsWith(Encoding.ASCII.GetBytes(Magic)))
            {
                throw new DataFileException(
                    $"{path} is no data file of Merganser: it is not SQLite. It was left as it is."
                );
            }

            // What is still in the write-ahead log is not in the file yet.
            var waiting = new FileInfo(path + "-wal") is { Exists: true, Length: > 0 };
            var pages = BinaryPrimitives.ReadUInt32BigEndian(header.AsSpan(PageCountAt));
            var whole = pages * (long)PageSize(BinaryPrimitives.ReadUInt16BigEndian(header.AsSpan(PageSizeAt)));
            if (!waiting && whole > length)
            {
                throw new DataFileException(
                    $"{path} is cut short: {length} of {whole} bytes are there. Take the last copy (*.bak beside it, or your own)."
                );
            }
        }

        try
        {
            LookInto(path, length);
        }
        catch (SqliteException e)
        {
            throw e.SqliteErrorCode is SqliteCodes.Busy or SqliteCodes.Locked
                ? new DataFileException($"{path} is locked by another program. Close that one and start again.", e)
                : Damaged(path, e.Message, e);
        }
    }

    private static DataFileException Damaged(string path, string how, Exception? inner) =>
        new(
            $"{path} is damaged ({how}). It was left as it is; take the last copy (*.bak beside it, or your own).",
            inner
        );

    /// <summary>A page size of 65,536 bytes is written as 1 (SQLite, Database File Format, 1.3.2).</summary>
    private static int PageSize(ushort written) => written == 1 ? 65_536 : written;

    private static FileStream OpenToWrite(string path)
    {
        try
        {
            return new FileStream(path, FileMode.Open, FileAccess.ReadWrite, FileShare.ReadWrite);
        }
        catch (Exception e) when (e is IOException or UnauthorizedAccessException)
        {
            throw new DataFileException($"{path} cannot be written: {e.Message}", e);
        }
    }

    private static void LookInto(string path, long length)
    {
        var text = new SqliteConnectionStringBuilder
        {
            DataSource = path,
            Pooling = false,
            DefaultTimeout = 2,
        }.ToString();
        using var connection = new SqliteConnection(text);
        connection.Open();
        if (length <= CheckedWhole && Ask("PRAGMA quick_check(1)") is string found && found != "ok")
        {
            throw Damaged(path, found, null);
        }

        if (Ask("SELECT count(*) FROM sqlite_master WHERE name = 'SchemaVersions'") is not 1L)
        {
            return;
        }

        var unknown = Database.UnknownMigrations(Names()).ToList();
        if (unknown.Count > 0)
        {
            throw new DataFileException(
                $"{path} was written by a newer Merganser ({unknown[^1]}). Start that one; this one would not understand it."
            );
        }

        object? Ask(string sql)
        {
            using var command = connection.CreateCommand();
            command.CommandText = sql;
            return command.ExecuteScalar();
        }

        IEnumerable<string> Names()
        {
            using var command = connection.CreateCommand();
            command.CommandText = "SELECT ScriptName FROM SchemaVersions ORDER BY SchemaVersionID";
            using var row = command.ExecuteReader();
            while (row.Read())
            {
                yield return row.GetString(0);
            }
        }
    }
}

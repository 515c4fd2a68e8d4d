using Microsoft.Data.Sqlite;

namespace Merganser.Data;

/// <summary>A copy of the data file.</summary>
/// <param name="Name">Its file name.</param>
/// <param name="At">When it was made.</param>
/// <param name="Bytes">How large it is.</param>
/// <param name="Daily">True for one that was made by itself.</param>
public sealed record DataCopy(string Name, DateTimeOffset At, long Bytes, bool Daily);

/// <summary>
/// Copies of the data file, made while it is in use by SQLite's own online backup, each looked over before it counts.
/// They lie in a folder beside it.
/// </summary>
public sealed class DataCopies(Database database, TimeProvider clock)
{
    /// <summary>So many daily copies are kept, the newest.</summary>
    public const int DailyKept = 14;

    private const string Form = "yyyyMMdd-HHmmss";
    private const string DailyWord = "daily";
    private readonly Lock gate = new();

    /// <summary>Where the copies lie.</summary>
    public string Folder => Path.GetFullPath(database.Path) + ".copies";

    /// <summary>The copies, the newest first.</summary>
    public IReadOnlyList<DataCopy> All() =>
        !Directory.Exists(Folder)
            ? []
            :
            [
                .. new DirectoryInfo(Folder)
                    .GetFiles("*.db")
                    .Select(Read)
                    .OfType<DataCopy>()
                    .OrderByDescending(c => c.Name, StringComparer.Ordinal),
            ];

    /// <summary>Makes a copy now.</summary>
    /// <exception cref="DataFileException">It cannot be written, or what was copied is damaged.</exception>
    public DataCopy Make() => Make(daily: false);

    /// <summary>Makes the copy of today where there is none yet, and lets go of the oldest daily ones.</summary>
    /// <returns>The copy, or null where today has one.</returns>
    public DataCopy? MakeDaily()
    {
        lock (gate)
        {
            var today = clock.GetUtcNow().UtcDateTime.Date;
            if (All().Any(c => c.At.UtcDateTime.Date == today))
            {
                return null;
            }

            var made = Make(daily: true);
            foreach (var old in All().Where(c => c.Daily).Skip(DailyKept))
            {
                File.Delete(Path.Combine(Folder, old.Name));
            }

            return made;
        }
    }

    /// <summary>Where a copy lies.</summary>
    /// <exception cref="MissingException">There is no such copy.</exception>
    public string PathOf(string name) =>
        All().Any(c => c.Name == name) ? Path.Combine(Folder, name) : throw new MissingException("copy");

    private DataCopy Make(bool daily)
    {
        lock (gate)
        {
            Directory.CreateDirectory(Folder);
            var at = clock.GetUtcNow().UtcDateTime;
            var name = $"{at.ToString(Form)}{(daily ? $"-{DailyWord}" : "")}.db";
            if (!File.Exists(Path.Combine(Folder, name)))
            {
                CopyFile.Write(database.Path, Path.Combine(Folder, name));
            }

            return Read(new FileInfo(Path.Combine(Folder, name)))!;
        }
    }

    private static DataCopy? Read(FileInfo file)
    {
        var word = Path.GetFileNameWithoutExtension(file.Name);
        var daily = word.EndsWith($"-{DailyWord}", StringComparison.Ordinal);
        var written = daily ? word[..^(DailyWord.Length + 1)] : word;
        return DateTime.TryParseExact(
            written,
            Form,
            System.Globalization.CultureInfo.InvariantCulture,
            System.Globalization.DateTimeStyles.AssumeUniversal | System.Globalization.DateTimeStyles.AdjustToUniversal,
            out var at
        )
            ? new DataCopy(file.Name, new DateTimeOffset(at, TimeSpan.Zero), file.Length, daily)
            : null;
    }
}

/// <summary>Copies a data file, checks one, and puts one back.</summary>
public static class CopyFile
{
    /// <summary>Copies a file that may be in use; the copy counts only when it is whole.</summary>
    /// <param name="from">The data file.</param>
    /// <param name="to">Where the copy goes; nothing may be there yet.</param>
    /// <exception cref="DataFileException">
    /// There is no such file, something is there, or the copy is damaged.
    /// </exception>
    public static void Write(string from, string to)
    {
        if (!File.Exists(from))
        {
            throw new DataFileException($"{from} is not there: nothing to copy.");
        }

        if (File.Exists(to) || Directory.Exists(to))
        {
            throw new DataFileException($"{to} is there already. Name another file.");
        }

        var part = $"{to}.part";
        try
        {
            Directory.CreateDirectory(Path.GetDirectoryName(Path.GetFullPath(to))!);
            File.Delete(part);
            using (var source = Open(from))
            using (var copy = Open(part))
            {
                source.BackupDatabase(copy);
                // One file that can be carried off, without a log beside it.
                Ask(copy, "PRAGMA journal_mode = DELETE");
            }

            Check(part);
            File.Move(part, to);
        }
        catch (Exception e) when (e is IOException or UnauthorizedAccessException or SqliteException)
        {
            throw new DataFileException($"The copy could not be made: {e.Message}", e);
        }
        finally
        {
            File.Delete(part);
        }
    }

    /// <summary>Looks a whole file over: every page, every index, every reference.</summary>
    /// <returns>How many bows and how many shots it holds.</returns>
    /// <exception cref="DataFileException">
    /// It is no data file, damaged, newer, or a reference leads nowhere.
    /// </exception>
    public static (long Bows, long Shots) Check(string path)
    {
        if (!File.Exists(path))
        {
            throw new DataFileException($"{path} is not there.");
        }

        DataFile.LookOver(path);
        try
        {
            using var connection = Open(path);
            if (Ask(connection, "PRAGMA integrity_check(1)") is string found && found != "ok")
            {
                throw new DataFileException($"{path} is damaged ({found}). It was left as it is.");
            }

            if (Ask(connection, "SELECT count(*) FROM sqlite_master WHERE name IN ('bow', 'shot')") is not 2L)
            {
                throw new DataFileException($"{path} is no data file of Merganser. It was left as it is.");
            }

            if (Ask(connection, "SELECT \"table\" FROM pragma_foreign_key_check LIMIT 1") is string table)
            {
                throw new DataFileException($"{path}: an entry of {table} refers to nothing. It was left as it is.");
            }

            return (
                (long)Ask(connection, "SELECT count(*) FROM bow")!,
                (long)Ask(connection, "SELECT count(*) FROM shot")!
            );
        }
        catch (SqliteException e)
        {
            throw new DataFileException($"{path} is damaged ({e.Message}). It was left as it is.", e);
        }
    }

    /// <summary>
    /// Puts a copy in the place of a data file that nobody uses; what was there is copied beside it first.
    /// </summary>
    /// <param name="copy">The copy.</param>
    /// <param name="path">The data file.</param>
    /// <param name="now">The time now, for the name of what was there.</param>
    /// <returns>Where what was there lies now; null where there was nothing.</returns>
    /// <exception cref="DataFileException">
    /// The copy is damaged, or the file is in use; both are left as they are.
    /// </exception>
    public static string? Restore(string copy, string path, DateTimeOffset now)
    {
        Check(copy);
        using var hold = DataFile.TakeUnseen(path, "a restore");
        try
        {
            var kept = File.Exists(path) ? $"{path}.{now.UtcDateTime:yyyyMMdd-HHmmss}.before-restore.bak" : null;
            if (kept is not null)
            {
                // As it is, its log with it: it may be damaged.
                File.Copy(path, kept);
                if (File.Exists($"{path}-wal"))
                {
                    File.Copy($"{path}-wal", $"{kept}-wal");
                }
            }

            var fresh = $"{path}.restored";
            File.Delete(fresh);
            Write(copy, fresh);
            File.Delete($"{path}-wal");
            File.Delete($"{path}-shm");
            File.Move(fresh, path, overwrite: true);
            return kept;
        }
        catch (Exception e) when (e is IOException or UnauthorizedAccessException)
        {
            throw new DataFileException($"The copy could not be put back: {e.Message}", e);
        }
    }

    private static SqliteConnection Open(string path)
    {
        var connection = new SqliteConnection(
            new SqliteConnectionStringBuilder { DataSource = path, Pooling = false }.ToString()
        );
        connection.Open();
        return connection;
    }

    private static object? Ask(SqliteConnection connection, string sql)
    {
        using var command = connection.CreateCommand();
        command.CommandText = sql;
        return command.ExecuteScalar();
    }
}

using System.Collections.Concurrent;
using System.Data;
using Dapper;
using DbUp;
using Microsoft.Data.Sqlite;

namespace Merganser.Data;

/// <summary>
/// The data file: opens connections that keep what they are told, and brings the file to the present tables.
/// </summary>
public sealed class Database(string path, TimeProvider clock) : IDisposable
{
    /// <summary>Seconds that a statement waits for another that writes; then the file is called busy.</summary>
    private const int LongestWait = 5;

    /// <summary>The shortest wait that there is, a second.</summary>
    private const int ShortestWait = 1;

    /// <summary>So many connections stay open between two requests.</summary>
    private const int MostIdle = 8;

    private readonly string connectionString = new SqliteConnectionStringBuilder
    {
        DataSource = path,
        ForeignKeys = true,
        DefaultTimeout = LongestWait,
        Pooling = false,
    }.ToString();

    private readonly ConcurrentBag<PreparedConnection> idle = [];
    private volatile bool closed;
    private long statements;

    /// <summary>Rows of this file that could not be read.</summary>
    public Unreadable Unreadable { get; } = new();

    /// <summary>Statements that were carried out so far: what an answer costs that grows with the data.</summary>
    public long Statements => Interlocked.Read(ref statements);

    /// <summary>Where the file is.</summary>
    public string Path { get; } = path;

    /// <summary>Which bench the file is: made with it, and never changed.</summary>
    public string Bench => bench ??= OfFile();

    private string? bench;

    /// <summary>
    /// A connection with write-ahead log, full synchronisation and foreign keys; 8 MB of pages stay in memory between
    /// two statements about a bow with years behind it.
    /// </summary>
    public SqliteConnection Open() => OpenPrepared();

    private PreparedConnection OpenPrepared()
    {
        var connection = new PreparedConnection(connectionString);
        connection.Open();
        connection.Execute(
            "PRAGMA journal_mode = WAL; PRAGMA synchronous = FULL; PRAGMA foreign_keys = ON; PRAGMA cache_size = -8000;"
        );
        return connection;
    }

    /// <summary>Closes what stands open to the file: its log is written into it and goes.</summary>
    public void Dispose()
    {
        closed = true;
        while (idle.TryTake(out var connection))
        {
            connection.Dispose();
        }
    }

    /// <summary>One command, one transaction: all of it is kept or nothing.</summary>
    public T Write<T>(Func<Sql, T> command) =>
        Commit(
            LongestWait,
            sql =>
            {
                AskedAct.Enter(sql, clock.GetUtcNow());
                return command(sql);
            }
        );

    /// <summary>
    /// Keeps what can be made again: where the file is busy or the disk is full it is not kept, and reading goes on.
    /// </summary>
    public void KeepIfItCan(Func<Sql, int> command)
    {
        try
        {
            Commit(ShortestWait, command);
        }
        catch (SqliteException trouble)
            when (trouble.SqliteErrorCode is SqliteCodes.Busy or SqliteCodes.Locked or SqliteCodes.Full)
        {
            // It is made again the next time.
        }
    }

    /// <summary>Reads without changing anything; every statement sees the same state.</summary>
    public T Read<T>(Func<Sql, T> query) =>
        On(connection =>
        {
            using var transaction = connection.BeginTransaction(deferred: true);
            return query(new Sql(connection, transaction, Count));
        });

    /// <summary>
    /// Like <see cref="Write{T}"/>, for what must not be found in the file any more: its pages are written over, and
    /// what was free of earlier edits goes too.
    /// </summary>
    public void WipeOut(Func<Sql, int> command)
    {
        using var connection = OpenPrepared();
        connection.Execute("PRAGMA secure_delete = ON");
        using (var transaction = connection.BeginTransaction(IsolationLevel.Serializable, deferred: false))
        {
            var sql = new Sql(connection, transaction, Count);
            AskedAct.Enter(sql, clock.GetUtcNow());
            command(sql);
            transaction.Commit();
        }

        connection.Execute("VACUUM; PRAGMA wal_checkpoint(TRUNCATE);");
    }

    /// <summary>Of the migrations that a file has seen, those that this program does not know.</summary>
    public static IEnumerable<string> UnknownMigrations(IEnumerable<string> seen) =>
        seen.Except(typeof(Database).Assembly.GetManifestResourceNames());

    /// <summary>Brings the file to the present tables; a file that has data is copied beside itself first.</summary>
    /// <returns>The path of the copy, or null when none was needed.</returns>
    /// <exception cref="InvalidOperationException">A migration failed; the file is as it was.</exception>
    public string? Migrate()
    {
        Directory.CreateDirectory(System.IO.Path.GetDirectoryName(System.IO.Path.GetFullPath(Path))!);
        var existed = File.Exists(Path) && new FileInfo(Path).Length > 0;
        var engine = DeployChanges
            .To.SqliteDatabase(connectionString)
            .WithScriptsEmbeddedInAssembly(
                typeof(Database).Assembly,
                name => name.EndsWith(".sql", StringComparison.Ordinal)
            )
            .WithTransaction()
            .LogToNowhere()
            .Build();
        if (!engine.IsUpgradeRequired())
        {
            return null;
        }

        var copy = existed ? Backup() : null;
        var result = engine.PerformUpgrade();
        return result.Successful
            ? copy
            : throw new InvalidOperationException(
                $"The data file could not be brought up to date: {result.Error.Message}",
                result.Error
            );
    }

    /// <summary>When something was last asked of the file; null for never.</summary>
    public DateTimeOffset? LastAct =>
        Read(sql => sql.Scalar<string?>("SELECT max(at) FROM act") is { } at ? Stamp.Read(at) : (DateTimeOffset?)null);

    private string OfFile()
    {
        using var connection = Open();
        return connection.ExecuteScalar<string>("SELECT id FROM bench")!;
    }

    private T Commit<T>(int wait, Func<Sql, T> command) =>
        On(connection =>
        {
            connection.DefaultTimeout = wait;
            using var transaction = connection.BeginTransaction(IsolationLevel.Serializable, deferred: false);
            var result = command(new Sql(connection, transaction, Count));
            transaction.Commit();
            return result;
        });

    /// <summary>Works on a connection that stays open for the next; one on which anything failed does not.</summary>
    private T On<T>(Func<PreparedConnection, T> work)
    {
        var connection = idle.TryTake(out var kept) ? kept : OpenPrepared();
        try
        {
            connection.DefaultTimeout = LongestWait;
            var result = work(connection);
            if (!closed && idle.Count < MostIdle)
            {
                idle.Add(connection);
                connection = null;
                if (closed)
                {
                    Dispose();
                }
            }

            return result;
        }
        finally
        {
            connection?.Dispose();
        }
    }

    private void Count()
    {
        Interlocked.Increment(ref statements);
        StatementTally.CountOne();
    }

    private string Backup()
    {
        var copy = $"{Path}.{clock.GetUtcNow():yyyyMMdd-HHmmss}.bak";
        using var from = Open();
        using var to = new SqliteConnection(
            new SqliteConnectionStringBuilder { DataSource = copy, Pooling = false }.ToString()
        );
        to.Open();
        from.BackupDatabase(to);
        return copy;
    }
}

using System.Text.Json;
using Dapper;
using Merganser.Core.Figures;
using Microsoft.Data.Sqlite;

namespace Merganser.Data;

/// <summary>What lies in the bin.</summary>
public enum BinKind
{
    /// <summary>A part of the catalogue.</summary>
    Component,

    /// <summary>An arrow of which no version was kept: a draft.</summary>
    Arrow,

    /// <summary>A photograph.</summary>
    Picture,

    /// <summary>A note of a bow's story: it stays in the file as history, taken back.</summary>
    Note,
}

/// <summary>Something in the bin.</summary>
/// <param name="Id">Its own id.</param>
/// <param name="Kind">What it is.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Bow">Of which bow; null for none.</param>
/// <param name="BinnedAt">When it was thrown away.</param>
public sealed record Binned(string Id, BinKind Kind, string Name, string? Bow, DateTimeOffset BinnedAt)
{
    /// <summary>The day on which it goes for good; a note never does.</summary>
    public DateTimeOffset GoesAt => BinnedAt + BinStore.Kept;
}

/// <summary>What was thrown away lies here for thirty days and can be put back as it was.</summary>
public sealed class BinStore(Database database, ComponentStore components, TimeProvider clock)
{
    /// <summary>So long a thing lies in the bin.</summary>
    public static readonly TimeSpan Kept = TimeSpan.FromDays(30);

    private const int MostListed = 200;

    /// <summary>Ends the id of a note that was put back: the one before it is history.</summary>
    internal const string Again = "-again";

    /// <summary>All of it, the newest first.</summary>
    public IReadOnlyList<Binned> All() =>
        database.Read(sql =>
            sql.Query<(string Id, string Kind, string Name, string? Bow, string At)>(
                    $"""
                    SELECT b.id, b.kind, b.name, w.name, b.binned_at FROM bin b LEFT JOIN bow w ON w.id = b.bow_id
                    WHERE b.binned_at > @since
                    UNION ALL SELECT n.id, 'note', n.text, w.name, t.noted_at
                    FROM story_note t JOIN story_note n ON n.id = t.takes_back JOIN bow w ON w.id = n.bow_id
                    WHERE t.noted_at > @since AND NOT EXISTS (SELECT 1 FROM story_note a WHERE a.id = n.id || '{Again}')
                    ORDER BY 5 DESC LIMIT {MostListed}
                    """,
                    new { since = Stamp.Of(clock.GetUtcNow() - Kept) }
                )
                .Select(b => new Binned(b.Id, FactsJson.Enum<BinKind>(b.Kind), b.Name, b.Bow, Stamp.Read(b.At)))
                .ToArray()
        );

    /// <summary>Puts a thing back as it was.</summary>
    /// <exception cref="MissingException">It does not lie in the bin.</exception>
    /// <exception cref="RefusedException">What it belonged to is gone, or something else has its place.</exception>
    public void PutBack(BinKind kind, string id)
    {
        try
        {
            database.Write(sql => kind == BinKind.Note ? NoteAgain(sql, id) : RowAgain(sql, kind, id));
        }
        catch (SqliteException taken) when (taken.SqliteErrorCode == SqliteCodes.Constraint)
        {
            throw RefusedException.At("id", "taken", InputSays.PlaceIsTaken);
        }

        components.Forget();
    }

    /// <summary>Takes a thing out of the file for good; what is history stays.</summary>
    /// <exception cref="MissingException">It does not lie in the bin.</exception>
    public void Erase(BinKind kind, string id) =>
        database.WipeOut(sql =>
            sql.Execute("DELETE FROM bin WHERE id = @id AND kind = @kind", new { id, kind = FactsJson.Word(kind) }) == 0
                ? throw new MissingException("bin")
                : sql.Execute("DELETE FROM picture_bytes WHERE picture_id = @id", new { id })
        );

    /// <summary>Takes out what has lain there for its time; where the file is busy, the next time.</summary>
    /// <returns>How many things went.</returns>
    public int Empty()
    {
        var gone = 0;
        database.KeepIfItCan(sql =>
        {
            var old = new { until = Stamp.Of(clock.GetUtcNow() - Kept) };
            sql.Execute(
                """
                DELETE FROM picture_bytes WHERE picture_id IN (
                  SELECT id FROM bin WHERE kind = 'picture' AND binned_at <= @until)
                """,
                old
            );
            return gone = sql.Execute("DELETE FROM bin WHERE binned_at <= @until", old);
        });
        return gone;
    }

    /// <summary>Throws a row away: it is kept in the bin as it was.</summary>
    internal static int Take(Sql sql, BinKind kind, string id, string name, string? bowId, DateTimeOffset now)
    {
        var table = FactsJson.Word(kind);
        var row = sql.Query<dynamic>($"SELECT * FROM {table} WHERE id = @id", new { id })
            .Cast<IDictionary<string, object?>>()
            .Single();
        sql.Execute($"DELETE FROM {table} WHERE id = @id", new { id });
        return sql.Execute(
            """
            INSERT INTO bin (id, kind, name, bow_id, facts, binned_at) VALUES (@id, @table, @name, @bowId, @facts, @at)
            ON CONFLICT (id) DO UPDATE SET name = @name, facts = @facts, binned_at = @at
            """,
            new
            {
                id,
                table,
                name,
                bowId,
                facts = FactsJson.Write(row),
                at = Stamp.Of(now),
            }
        );
    }

    /// <summary>Parts that are entered anew do not lie in the bin any more.</summary>
    internal static void EnteredAnew(Sql sql, IEnumerable<string> ids) =>
        sql.Execute(
            "DELETE FROM bin WHERE kind = 'component' AND id IN (SELECT value FROM json_each(@ids))",
            new { ids = FactsJson.Write(ids) }
        );

    private static int RowAgain(Sql sql, BinKind kind, string id)
    {
        var table = FactsJson.Word(kind);
        var facts =
            sql.Scalar<string?>("SELECT facts FROM bin WHERE id = @id AND kind = @table", new { id, table })
            ?? throw new MissingException("bin");
        var row = JsonDocument
            .Parse(facts)
            .RootElement.EnumerateObject()
            .ToDictionary(
                c => c.Name,
                c =>
                    c.Value.ValueKind switch
                    {
                        JsonValueKind.Null => null,
                        JsonValueKind.Number when c.Value.TryGetInt64(out var whole) => whole,
                        JsonValueKind.Number => c.Value.GetDouble(),
                        _ => (object?)c.Value.GetString(),
                    }
            );
        var columns = row.Keys.ToArray();
        sql.Execute(
            $"INSERT INTO {table} ({string.Join(", ", columns)}) VALUES ({string.Join(", ", columns.Select(c => $"@{c}"))})",
            new DynamicParameters(row)
        );
        return sql.Execute("DELETE FROM bin WHERE id = @id", new { id });
    }

    /// <summary>History is only added to: the note is written once more as it was.</summary>
    private int NoteAgain(Sql sql, string id)
    {
        var added = sql.Execute(
            $"""
            INSERT INTO story_note (id, bow_id, archer_id, text, happened_at, noted_at)
            SELECT n.id || '{Again}', n.bow_id, n.archer_id, n.text, n.happened_at, @now
            FROM story_note n JOIN story_note t ON t.takes_back = n.id
            WHERE n.id = @id AND NOT EXISTS (SELECT 1 FROM story_note a WHERE a.id = n.id || '{Again}')
            """,
            new { id, now = Stamp.Of(clock.GetUtcNow()) }
        );
        return added == 1 ? added : throw new MissingException("bin");
    }
}

using Merganser.Core.Bows;
using Merganser.Core.Units;

namespace Merganser.Data;

/// <summary>An archer with the row's version.</summary>
public sealed record ArcherRow(string Id, Archer Archer, int Version);

public sealed class ArcherStore(Database database, TimeProvider clock)
{
    public IReadOnlyList<ArcherRow> All() =>
        database.Read(sql =>
            database.Unreadable.Each(
                "archer",
                sql.Query<(string, string, int)>("SELECT id, facts, version FROM archer ORDER BY created_at, id"),
                row => row.Item1,
                Row
            )
        );

    public ArcherRow Get(string id) => database.Read(sql => Get(sql, id));

    internal static ArcherRow Get(Sql sql, string id) =>
        Row(
            sql.First<(string, string, int)?>("SELECT id, facts, version FROM archer WHERE id = @id", new { id })
                ?? throw new MissingException("archer")
        );

    /// <summary>Adds an archer; the same id again changes nothing.</summary>
    /// <exception cref="IdTakenException">The id is already that of another archer.</exception>
    public ArcherRow Add(string id, Archer archer)
    {
        database.Write(sql => Add(sql, id, archer, clock.GetUtcNow()));
        return Get(id);
    }

    internal static int Add(Sql sql, string id, Archer archer, DateTimeOffset now)
    {
        var facts = Kept.Write(archer);
        if (sql.Scalar<string?>("SELECT facts FROM archer WHERE id = @id", new { id }) is { } before)
        {
            return before == facts ? 0 : throw new IdTakenException("archer");
        }

        return sql.Execute(
            "INSERT INTO archer (id, name, facts, created_at) VALUES (@id, @Name, @facts, @now)",
            new
            {
                id,
                archer.Name,
                facts,
                now = Stamp.Of(now),
            }
        );
    }

    /// <exception cref="ChangedException">The row is not at this version any more.</exception>
    public ArcherRow Change(string id, int version, Archer archer)
    {
        database.Write(sql => Change(sql, id, version, archer));
        return Get(id);
    }

    /// <summary>
    /// The units in which the archer of a bow reads: a choice of display, so the last one stands, whatever else of the
    /// archer was changed meanwhile.
    /// </summary>
    /// <exception cref="MissingException">There is no such bow.</exception>
    public ArcherRow Wear(string bowId, DisplayUnits units)
    {
        database.Write(sql =>
        {
            var row = Get(sql, ArcherOf(sql, bowId));
            return row.Archer.Units == units ? 0 : Change(sql, row.Id, row.Version, row.Archer with { Units = units });
        });
        return database.Read(sql => Get(sql, ArcherOf(sql, bowId)));
    }

    /// <summary>A tool that the archer of a bow turns out to have; said again it changes nothing.</summary>
    /// <exception cref="MissingException">There is no such bow.</exception>
    public ArcherRow Equip(string bowId, OwnTool tool)
    {
        database.Write(sql =>
        {
            var row = Get(sql, ArcherOf(sql, bowId));
            var with = row.Archer.With(tool);
            return with == row.Archer ? 0 : Change(sql, row.Id, row.Version, with);
        });
        return database.Read(sql => Get(sql, ArcherOf(sql, bowId)));
    }

    /// <summary>
    /// Takes a name out of the file, for good: from now on the record reads "archer 7", by the order in which archers
    /// were entered. Histories name archers by their key alone. Copies that were made before keep the name.
    /// </summary>
    /// <exception cref="MissingException">There is no such archer.</exception>
    /// <exception cref="ChangedException">The row is not at this version any more.</exception>
    public ArcherRow Erase(string id, int version)
    {
        database.WipeOut(sql =>
        {
            var row = Get(sql, id);
            var number = sql.Scalar<int>(
                "SELECT count(*) FROM archer WHERE rowid <= (SELECT rowid FROM archer WHERE id = @id)",
                new { id }
            );
            sql.Execute("DELETE FROM rack_line WHERE bow_id IN (SELECT id FROM bow WHERE archer_id = @id)", new { id });
            return Change(
                sql,
                id,
                version,
                row.Archer with
                {
                    Name = string.Create(System.Globalization.CultureInfo.InvariantCulture, $"archer {number}"),
                }
            );
        });
        return Get(id);
    }

    private static string ArcherOf(Sql sql, string bowId) =>
        sql.Scalar<string?>("SELECT archer_id FROM bow WHERE id = @bowId", new { bowId })
        ?? throw new MissingException("bow");

    internal static int Change(Sql sql, string id, int version, Archer archer)
    {
        var changed = sql.Execute(
            "UPDATE archer SET name = @Name, facts = @facts, version = version + 1 WHERE id = @id AND version = @version",
            new
            {
                id,
                version,
                archer.Name,
                facts = Kept.Write(archer),
            }
        );
        return changed == 1 ? changed : throw new ChangedException("archer", Get(sql, id));
    }

    private static ArcherRow Row((string Id, string Facts, int Version) row) =>
        new(row.Id, Kept.Read<Archer>(row.Facts), row.Version);
}

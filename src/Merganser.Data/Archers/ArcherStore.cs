using System.Data;
using Dapper;
using Merganser.Core.Bows;

namespace Merganser.Data;

/// <summary>An archer with the row's version.</summary>
public sealed record ArcherRow(string Id, Archer Archer, int Version);

public sealed class ArcherStore(Database database, TimeProvider clock)
{
    public IReadOnlyList<ArcherRow> All() =>
        database.Read(c =>
            database.Unreadable.Each(
                "archer",
                c.Query<(string, string, int)>("SELECT id, facts, version FROM archer ORDER BY created_at, id"),
                row => row.Item1,
                Row
            )
        );

    public ArcherRow Get(string id) => database.Read(c => Get(c, null, id));

    internal static ArcherRow Get(IDbConnection c, IDbTransaction? t, string id) =>
        Row(
            c.QueryFirstOrDefault<(string, string, int)?>(
                "SELECT id, facts, version FROM archer WHERE id = @id",
                new { id },
                t
            ) ?? throw new MissingException("archer")
        );

    /// <summary>Adds an archer; the same id again changes nothing.</summary>
    /// <exception cref="IdTakenException">The id is already that of another archer.</exception>
    public ArcherRow Add(string id, Archer archer)
    {
        database.Write((c, t) => Add(c, t, id, archer, clock.GetUtcNow()));
        return Get(id);
    }

    internal static int Add(IDbConnection c, IDbTransaction t, string id, Archer archer, DateTimeOffset now)
    {
        var facts = FactsJson.Write(archer);
        if (c.ExecuteScalar<string?>("SELECT facts FROM archer WHERE id = @id", new { id }, t) is { } before)
        {
            return before == facts ? 0 : throw new IdTakenException("archer");
        }

        return c.Execute(
            "INSERT INTO archer (id, name, facts, created_at) VALUES (@id, @Name, @facts, @now)",
            new
            {
                id,
                archer.Name,
                facts,
                now = Stamp.Of(now),
            },
            t
        );
    }

    /// <exception cref="ChangedException">The row is not at this version any more.</exception>
    public ArcherRow Change(string id, int version, Archer archer)
    {
        database.Write((c, t) => Change(c, t, id, version, archer));
        return Get(id);
    }

    internal static int Change(IDbConnection c, IDbTransaction t, string id, int version, Archer archer)
    {
        var changed = c.Execute(
            "UPDATE archer SET name = @Name, facts = @facts, version = version + 1 WHERE id = @id AND version = @version",
            new
            {
                id,
                version,
                archer.Name,
                facts = FactsJson.Write(archer),
            },
            t
        );
        return changed == 1 ? changed : throw new ChangedException("archer", Get(c, t, id));
    }

    private static ArcherRow Row((string Id, string Facts, int Version) row) =>
        new(row.Id, FactsJson.Read<Archer>(row.Facts), row.Version);
}

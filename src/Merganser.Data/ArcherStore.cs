using Dapper;
using Merganser.Core.Bows;

namespace Merganser.Data;

/// <summary>An archer with the row's version.</summary>
public sealed record ArcherRow(string Id, Archer Archer, int Version);

public sealed class ArcherStore(Database database, TimeProvider clock)
{
    public IReadOnlyList<ArcherRow> All() => database.Read(c =>
        c.Query<(string, string, int)>("SELECT id, facts, version FROM archer ORDER BY created_at, id").Select(Row).ToArray());

    public ArcherRow Get(string id) => database.Read(c =>
        Row(c.QueryFirstOrDefault<(string, string, int)?>("SELECT id, facts, version FROM archer WHERE id = @id", new { id }) ?? throw new MissingException("archer")));

    /// <summary>Adds an archer; the same id again changes nothing.</summary>
    public ArcherRow Add(string id, Archer archer)
    {
        database.Write((c, t) => c.Execute(
            "INSERT INTO archer (id, name, facts, created_at) VALUES (@id, @Name, @facts, @now) ON CONFLICT (id) DO NOTHING",
            new { id, archer.Name, facts = FactsJson.Write(archer), now = Stamp.Of(clock.GetUtcNow()) }, t));
        return Get(id);
    }

    /// <exception cref="ChangedException">The row is not at this version any more.</exception>
    public ArcherRow Change(string id, int version, Archer archer)
    {
        var changed = database.Write((c, t) => c.Execute(
            "UPDATE archer SET name = @Name, facts = @facts, version = version + 1 WHERE id = @id AND version = @version",
            new { id, version, archer.Name, facts = FactsJson.Write(archer) }, t));
        var now = Get(id);
        return changed == 1 ? now : throw new ChangedException("archer", now);
    }

    private static ArcherRow Row((string Id, string Facts, int Version) row) => new(row.Id, FactsJson.Read<Archer>(row.Facts), row.Version);
}

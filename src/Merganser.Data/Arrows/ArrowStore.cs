using System.Collections.Concurrent;
using Merganser.Core.Arrows;
using Merganser.Core.Catalogues;
using Merganser.Core.Figures;

namespace Merganser.Data;

/// <summary>An arrow on the bench: its draft and the last version that was kept.</summary>
public sealed record ArrowRow(
    string Id,
    string BowId,
    ArrowDraft Draft,
    ArrowVersion? Kept,
    DateTimeOffset ChangedAt,
    int Version
);

/// <summary>A kept version with its components' own values.</summary>
public sealed record ArrowVersion(
    string Id,
    string ArrowId,
    int Number,
    Arrow Arrow,
    ArrowDraft Typed,
    DateTimeOffset KeptAt
);

public sealed class ArrowStore(Database database, ComponentStore components, TimeProvider clock)
{
    private readonly ConcurrentDictionary<string, ArrowVersion> versions = new();

    public IReadOnlyList<ArrowRow> Of(string bowId) =>
        database.Read(sql =>
            database.Unreadable.Each(
                "arrow",
                sql.Query<string>(
                    "SELECT id FROM arrow WHERE bow_id = @bowId ORDER BY changed_at DESC, rowid DESC",
                    new { bowId }
                ),
                id => id,
                id => Get(sql, id)
            )
        );

    public ArrowRow Get(string id) => database.Read(sql => Get(sql, id));

    /// <summary>A kept version; it is never rewritten, so it is read from the file once.</summary>
    public ArrowVersion Version(string id) => versions.GetOrAdd(id, key => database.Read(sql => Version(sql, key)));

    /// <summary>The same id, or null for none.</summary>
    /// <exception cref="MissingException">There is no such version.</exception>
    public string? Known(string? id) => id is null ? null : Version(id).Id;

    /// <summary>Every kept version of an arrow, the newest first.</summary>
    public IReadOnlyList<ArrowVersion> Versions(string arrowId) =>
        database.Read(sql =>
            sql.Query<string>(
                    "SELECT id FROM arrow_version WHERE arrow_id = @arrowId ORDER BY number DESC",
                    new { arrowId }
                )
                .Select(id => Version(sql, id))
                .ToArray()
        );

    /// <summary>The versions that were shot through paper: they are history.</summary>
    public IReadOnlyList<string> Shot(string arrowId) =>
        database.Read(sql =>
            sql.Query<string>(
                    "SELECT DISTINCT v.id FROM arrow_version v JOIN shot_set s ON s.arrow_version_id = v.id JOIN shot h ON h.set_id = s.id WHERE v.arrow_id = @arrowId",
                    new { arrowId }
                )
                .ToArray()
        );

    public ArrowRow Add(string id, string bowId, ArrowDraft draft) =>
        database.Write(sql =>
        {
            _ = BowStore.Get(sql, bowId);
            sql.Execute(
                "INSERT INTO arrow (id, bow_id, name, draft, created_at, changed_at) VALUES (@id, @bowId, @Name, @draft, @now, @now) ON CONFLICT (id) DO NOTHING",
                new
                {
                    id,
                    bowId,
                    draft.Name,
                    draft = FactsJson.Write(draft),
                    now = Stamp.Of(clock.GetUtcNow()),
                }
            );
            return Get(sql, id);
        });

    /// <summary>Keeps the draft as typed, whether or not it can be read.</summary>
    /// <exception cref="ChangedException">The row is not at this version any more.</exception>
    public ArrowRow ChangeDraft(string id, int version, ArrowDraft draft) =>
        database.Write(sql =>
        {
            var changed = sql.Execute(
                "UPDATE arrow SET name = @Name, draft = @draft, changed_at = @now, version = version + 1 WHERE id = @id AND version = @version",
                new
                {
                    id,
                    version,
                    draft.Name,
                    draft = FactsJson.Write(draft),
                    now = Stamp.Of(clock.GetUtcNow()),
                }
            );
            var now = Get(sql, id);
            return changed == 1 ? now : throw new ChangedException("arrow", now);
        });

    /// <summary>Keeps the draft as the next version, unless it is what the last version already holds.</summary>
    /// <exception cref="RefusedException">The draft cannot be read, or is unsafe on its bow.</exception>
    public ArrowRow Keep(string id, string versionId) =>
        database.Write(sql =>
        {
            var row = Get(sql, id);
            var arrow = row.Draft.Entry(components.Only(row.Draft.Parts())).Read();
            if (row.Kept is { } last && (last.Id == versionId || last.Arrow == arrow))
            {
                return row;
            }

            var reading = ArrowReading.Of(BowStore.Get(sql, row.BowId).Bow, arrow);
            if (reading.Cautions.FirstOrDefault(r => r.Refused) is { } refused)
            {
                throw RefusedException.At(refused.Field, refused.Code, refused.Text);
            }

            sql.Execute(
                "INSERT INTO arrow_version (id, arrow_id, number, facts, typed, kept_at) VALUES (@versionId, @id, @number, @facts, @typed, @now)",
                new
                {
                    versionId,
                    id,
                    number = (row.Kept?.Number ?? 0) + 1,
                    facts = FactsJson.Write(arrow),
                    typed = FactsJson.Write(row.Draft),
                    now = Stamp.Of(clock.GetUtcNow()),
                }
            );
            return Get(sql, id);
        });

    /// <exception cref="MissingException">This bow has no such kept arrow.</exception>
    internal static void CheckOfBow(Sql sql, string versionId, string bowId)
    {
        var owner = sql.Scalar<string?>(
            "SELECT a.bow_id FROM arrow_version v JOIN arrow a ON a.id = v.arrow_id WHERE v.id = @versionId",
            new { versionId }
        );
        if (owner != bowId)
        {
            throw new MissingException("arrow of this bow");
        }
    }

    internal static ArrowVersion Version(Sql sql, string id) =>
        ReadVersion(
            sql.First<VersionLine>(
                "SELECT id, arrow_id AS arrowId, number, facts, typed, kept_at AS keptAt FROM arrow_version WHERE id = @id",
                new { id }
            )
        ) ?? throw new MissingException("arrow version");

    private static ArrowRow Get(Sql sql, string id)
    {
        var row =
            sql.First<(string BowId, string Draft, string ChangedAt, int Version)?>(
                "SELECT bow_id, draft, changed_at, version FROM arrow WHERE id = @id",
                new { id }
            ) ?? throw new MissingException("arrow");
        var kept = ReadVersion(
            sql.First<VersionLine>(
                "SELECT id, arrow_id AS arrowId, number, facts, typed, kept_at AS keptAt FROM arrow_version WHERE arrow_id = @id ORDER BY number DESC LIMIT 1",
                new { id }
            )
        );
        return new ArrowRow(
            id,
            row.BowId,
            FactsJson.Read<ArrowDraft>(row.Draft),
            kept,
            Stamp.Read(row.ChangedAt),
            row.Version
        );
    }

    private static ArrowVersion? ReadVersion(VersionLine? line) =>
        line is null
            ? null
            : new ArrowVersion(
                line.Id,
                line.ArrowId,
                (int)line.Number,
                FactsJson.Read<Arrow>(line.Facts),
                FactsJson.Read<ArrowDraft>(line.Typed),
                Stamp.Read(line.KeptAt)
            );

    private sealed class VersionLine
    {
        public string Id { get; init; } = "";
        public string ArrowId { get; init; } = "";
        public long Number { get; init; }
        public string Facts { get; init; } = "";
        public string Typed { get; init; } = "";
        public string KeptAt { get; init; } = "";
    }
}

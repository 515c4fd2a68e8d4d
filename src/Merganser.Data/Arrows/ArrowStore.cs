using System.Collections.Concurrent;
using Merganser.Core.Arrows;
using Merganser.Core.Catalogues;
using Merganser.Core.Dozens;
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
)
{
    /// <summary>The classes under which its pieces are weighed for a dozen.</summary>
    public IReadOnlyList<string> Classes => [.. Dozen.ClassesOf(Arrow, vanesInSets: true).Keys];
}

public sealed class ArrowStore(Database database, ComponentStore components, TimeProvider clock)
{
    private readonly ConcurrentDictionary<string, ArrowVersion> versions = new();

    /// <summary>So many arrows of one bow are on its bench; those that were longest not touched are left out.</summary>
    private const int MostOnBench = 50;

    private const string Columns = """
        SELECT a.id, a.bow_id AS bowId, a.draft, a.changed_at AS changedAt, a.version,
          v.id AS keptId, v.number, v.facts, v.typed, v.kept_at AS keptAt
        FROM arrow a LEFT JOIN arrow_version v ON v.arrow_id = a.id AND v.number = (
          SELECT max(n.number) FROM arrow_version n WHERE n.arrow_id = a.id)
        """;

    /// <summary>The arrows of a bow, the one touched last first.</summary>
    public IReadOnlyList<ArrowRow> Of(string bowId, int most = MostOnBench) =>
        database.Read(sql =>
            database.Unreadable.Each(
                "arrow",
                sql.Query<ArrowLine>(
                        $"{Columns} WHERE a.bow_id = @bowId ORDER BY a.changed_at DESC, a.rowid DESC LIMIT @most",
                        new { bowId, most }
                    )
                    .ToArray(),
                line => line.Id,
                line => line.Row()
            )
        );

    public ArrowRow Get(string id) => database.Read(sql => Get(sql, id));

    /// <summary>A kept version; it is never rewritten, so it is read from the file once.</summary>
    public ArrowVersion Version(string id) => versions.GetOrAdd(id, key => database.Read(sql => Version(sql, key)));

    /// <summary>True once an arrow of this bow was kept.</summary>
    public bool AnyKept(string bowId) =>
        database.Read(sql =>
            sql.Scalar<bool>(
                """
                SELECT EXISTS (SELECT 1 FROM arrow a JOIN arrow_version v ON v.arrow_id = a.id WHERE a.bow_id = @bowId)
                """,
                new { bowId }
            )
        );

    /// <summary>The same id, or null for none.</summary>
    /// <exception cref="MissingException">There is no such version.</exception>
    public string? Known(string? id) => id is null ? null : Version(id).Id;

    /// <summary>Kept versions of an arrow, the newest first.</summary>
    /// <param name="arrowId">The arrow.</param>
    /// <param name="most">So many at most.</param>
    /// <param name="before">Only numbers below this one; null for the newest.</param>
    public IReadOnlyList<ArrowVersion> Versions(string arrowId, int most, int? before) =>
        database.Read(sql =>
            sql.Query<VersionLine>(
                    $"{VersionColumns} WHERE arrow_id = @arrowId AND (@before IS NULL OR number < @before) ORDER BY number DESC LIMIT @most",
                    new
                    {
                        arrowId,
                        most,
                        before,
                    }
                )
                .Select(line => line.Row())
                .ToArray()
        );

    /// <summary>Which of some versions were shot through paper: they are history.</summary>
    public IReadOnlyList<string> Shot(IReadOnlyList<ArrowVersion> versions) =>
        database.Read(sql =>
            sql.Query<string>(
                    """
                    SELECT v.value FROM json_each(@ids) v WHERE EXISTS (
                      SELECT 1 FROM shot_set s JOIN shot h ON h.set_id = s.id WHERE s.arrow_version_id = v.value)
                    """,
                    new { ids = FactsJson.Write(versions.Select(v => v.Id)) }
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
                    draft = Kept.Write(draft),
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
                    draft = Kept.Write(draft),
                    now = Stamp.Of(clock.GetUtcNow()),
                }
            );
            var now = Get(sql, id);
            return changed == 1 ? now : throw new ChangedException("arrow", now);
        });

    /// <summary>Puts an arrow of which no version was kept in the bin.</summary>
    /// <exception cref="RefusedException">A version of it was kept: it is history.</exception>
    /// <exception cref="ChangedException">The row is not at this version any more.</exception>
    public void Bin(string id, int version) =>
        database.Write(sql =>
        {
            var arrow = Get(sql, id);
            if (arrow.Version != version)
            {
                throw new ChangedException("arrow", arrow);
            }

            return arrow.Kept is not null
                ? throw new RefusedException("history", InputSays.ArrowWasKept)
                : BinStore.Take(sql, BinKind.Arrow, id, arrow.Draft.Name, arrow.BowId, clock.GetUtcNow());
        });

    /// <summary>Keeps the draft as the next version, unless it is what the last version already holds.</summary>
    /// <exception cref="RefusedException">The draft cannot be read, or is unsafe on its bow.</exception>
    public ArrowRow Keep(string id, string versionId) =>
        database.Write(sql =>
        {
            var row = Get(sql, id);
            var arrow = row.Draft.Entry(components.Only(row.Draft.Parts())).Read();
            if (row.Kept is { } last && (last.Id == versionId || Kept.Write(last.Arrow) == Kept.Write(arrow)))
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
                    facts = Kept.Write(arrow),
                    typed = Kept.Write(row.Draft),
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
        sql.First<VersionLine>($"{VersionColumns} WHERE id = @id", new { id })?.Row()
        ?? throw new MissingException("arrow version");

    /// <summary>Some versions, by <c>@ids</c>.</summary>
    internal static IEnumerable<ArrowVersion> Versions(Sql sql, object ids) =>
        sql.Query<VersionLine>($"{VersionColumns} WHERE id IN (SELECT value FROM json_each(@ids))", ids)
            .Select(v => v.Row());

    private const string VersionColumns =
        "SELECT id, arrow_id AS arrowId, number, facts, typed, kept_at AS keptAt FROM arrow_version";

    private static ArrowRow Get(Sql sql, string id) =>
        sql.First<ArrowLine>($"{Columns} WHERE a.id = @id", new { id })?.Row() ?? throw new MissingException("arrow");

    private sealed class VersionLine
    {
        public string Id { get; init; } = "";
        public string ArrowId { get; init; } = "";
        public long Number { get; init; }
        public string Facts { get; init; } = "";
        public string Typed { get; init; } = "";
        public string KeptAt { get; init; } = "";

        public ArrowVersion Row() =>
            new(Id, ArrowId, (int)Number, Kept.Read<Arrow>(Facts), Kept.Read<ArrowDraft>(Typed), Stamp.Read(KeptAt));
    }

    private sealed class ArrowLine
    {
        public string Id { get; init; } = "";
        public string BowId { get; init; } = "";
        public string Draft { get; init; } = "";
        public string ChangedAt { get; init; } = "";
        public long Version { get; init; }
        public string? KeptId { get; init; }
        public long? Number { get; init; }
        public string? Facts { get; init; }
        public string? Typed { get; init; }
        public string? KeptAt { get; init; }

        public ArrowRow Row() =>
            new(
                Id,
                BowId,
                Kept.Read<ArrowDraft>(Draft),
                KeptId is null
                    ? null
                    : new VersionLine
                    {
                        Id = KeptId,
                        ArrowId = Id,
                        Number = Number!.Value,
                        Facts = Facts!,
                        Typed = Typed!,
                        KeptAt = KeptAt!,
                    }.Row(),
                Stamp.Read(ChangedAt),
                (int)Version
            );
    }
}

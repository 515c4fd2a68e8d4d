using Merganser.Core.Dozens;

namespace Merganser.Data;

/// <summary>A dozen as it is kept, with the events that were not taken back.</summary>
public sealed record DozenRow(
    string Id,
    string BowId,
    string ArrowVersionId,
    DozenPlan Plan,
    DateTimeOffset StartedAt,
    IReadOnlyList<DozenEvent> Events
)
{
    /// <summary>True for one that was put away.</summary>
    public bool Archived => Events.Select(e => e.Act).OfType<DozenArchived>().LastOrDefault() is { Archived: true };
}

/// <summary>A dozen in a line: what stands in a list of them.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Name">As it is called now.</param>
/// <param name="Arrows">How many it is to have.</param>
/// <param name="ArrowName">The arrow that it is built to.</param>
/// <param name="ArrowVersion">Which version of that.</param>
/// <param name="StartedAt">When it was begun.</param>
/// <param name="Archived">True for one that was put away.</param>
public sealed record DozenLine(
    string Id,
    string Name,
    int Arrows,
    string ArrowName,
    int ArrowVersion,
    DateTimeOffset StartedAt,
    bool Archived
);

public sealed class DozenStore(Database database, TimeProvider clock)
{
    /// <summary>A page of a bow's dozens in a line each, the newest first.</summary>
    /// <param name="bowId">The bow.</param>
    /// <param name="most">So many at most.</param>
    /// <param name="before">Only those that were started before this one; null for the newest.</param>
    public IReadOnlyList<DozenLine> Lines(string bowId, int most, string? before) =>
        database.Read(sql =>
            database.Unreadable.Each(
                "dozen",
                sql.Query<(
                    string Id,
                    string Plan,
                    string ArrowName,
                    int ArrowVersion,
                    string At,
                    string? Name,
                    double? Archived
                )>(
                        $"""
                        SELECT d.id, d.plan, v.typed ->> 'name', v.number, d.started_at,
                        {LastOf("name", "note")}, {LastOf("archived", "value")}
                        FROM dozen d JOIN arrow_version v ON v.id = d.arrow_version_id
                        WHERE d.bow_id = @bowId AND (@before IS NULL OR (d.started_at, d.rowid) < (
                          SELECT e.started_at, e.rowid FROM dozen e WHERE e.id = @before))
                        ORDER BY d.started_at DESC, d.rowid DESC LIMIT @most
                        """,
                        new
                        {
                            bowId,
                            most,
                            before,
                        }
                    )
                    .ToArray(),
                row => row.Id,
                row =>
                {
                    var plan = Kept.Read<DozenPlan>(row.Plan);
                    return new DozenLine(
                        row.Id,
                        row.Name ?? plan.Name,
                        plan.Arrows,
                        row.ArrowName,
                        row.ArrowVersion,
                        Stamp.Read(row.At),
                        row.Archived > 0
                    );
                }
            )
        );

    /// <summary>What a dozen was last said to be, in SQL.</summary>
    private static string LastOf(string word, string field) =>
        $"""
            (SELECT e.facts ->> '{field}' FROM dozen_entry e WHERE e.dozen_id = d.id AND e.kind = 'plan'
            AND e.facts ->> 'word' = '{word}' AND NOT EXISTS (SELECT 1 FROM withdrawn w WHERE w.entry_id = e.id)
            ORDER BY e.ordinal DESC LIMIT 1)
            """;

    /// <summary>The dozen that was started last, is not put away and can be read, or null.</summary>
    public DozenRow? Newest(string bowId) =>
        database.Read(sql =>
        {
            var ids = sql.Query<string>(
                    $"SELECT d.id FROM dozen d WHERE d.bow_id = @bowId AND coalesce({LastOf("archived", "value")}, 0) = 0 ORDER BY d.started_at DESC, d.rowid DESC LIMIT @MostPassedOver",
                    new { bowId, Unreadable.MostPassedOver }
                )
                .ToArray();
            return database.Unreadable.First("dozen", ids, id => Get(sql, id));
        });

    /// <summary>How many arrows a dozen is to have, or null when there is no such dozen.</summary>
    public int? ArrowsOf(string? id) =>
        id is not null
        && database.Read(sql => sql.Scalar<string?>("SELECT plan FROM dozen WHERE id = @id", new { id })) is { } plan
            ? Kept.Read<DozenPlan>(plan).Arrows
            : null;

    /// <summary>The heads that were weighed for a dozen; none for none.</summary>
    public IReadOnlyList<Piece> HeadsOf(string? id) =>
        id is null
            ? []
            : database.Read(sql =>
            {
                var row = Get(sql, id);
                return PieceClass.Of(Dozen.HeadClass, 1, row.Plan, row.Events).Pieces;
            });

    public DozenRow Get(string id) => database.Read(sql => Get(sql, id));

    /// <summary>Starts a dozen; the same id again changes nothing.</summary>
    public DozenRow Start(string id, string bowId, string arrowVersionId, DozenPlan plan) =>
        database.Write(sql =>
        {
            _ = BowStore.Get(sql, bowId);
            ArrowStore.CheckOfBow(sql, arrowVersionId, bowId);
            sql.Execute(
                "INSERT INTO dozen (id, bow_id, arrow_version_id, plan, started_at) VALUES (@id, @bowId, @arrowVersionId, @plan, @now) ON CONFLICT (id) DO NOTHING",
                new
                {
                    id,
                    bowId,
                    arrowVersionId,
                    plan = Kept.Write(plan),
                    now = Stamp.Of(clock.GetUtcNow()),
                }
            );
            return Get(sql, id);
        });

    /// <summary>Adds entries, all or none; an id that is there already is passed over.</summary>
    public DozenRow Add(string dozenId, IReadOnlyList<(string Id, DozenAct Act)> acts) =>
        Add(dozenId, acts[0].Id, _ => acts);

    /// <summary>
    /// Adds what is made of the dozen as it stands, in the same transaction: nothing comes between the check and the
    /// writing. All or none; when the act was done before, by its id, nothing is made.
    /// </summary>
    /// <param name="dozenId">The dozen.</param>
    /// <param name="actId">The act's own id, that of its first entry.</param>
    /// <param name="make">Checks the dozen as it stands and makes the entries.</param>
    /// <exception cref="IdTakenException">The id is already that of an entry of another dozen.</exception>
    public DozenRow Add(string dozenId, string actId, Func<DozenRow, IReadOnlyList<(string Id, DozenAct Act)>> make) =>
        database.Write(sql =>
        {
            var row = Get(sql, dozenId);
            if (sql.Scalar<string?>("SELECT dozen_id FROM dozen_entry WHERE id = @actId", new { actId }) is { } known)
            {
                return known == dozenId ? row : throw new IdTakenException("entry");
            }

            foreach (var (id, act) in make(row))
            {
                var facts = DozenFacts.Of(act);
                sql.Execute(
                    """
                    INSERT INTO dozen_entry (id, dozen_id, ordinal, kind, facts, at)
                    VALUES (@id, @dozenId, 1 + (SELECT count(*) FROM dozen_entry WHERE dozen_id = @dozenId), @Kind,
                    @facts, @now) ON CONFLICT (id) DO NOTHING
                    """,
                    new
                    {
                        id,
                        dozenId,
                        facts.Kind,
                        facts = Kept.Write(facts),
                        now = Stamp.Of(clock.GetUtcNow()),
                    }
                );
            }

            return Get(sql, dozenId);
        });

    /// <summary>Takes back an entry; it stays on record.</summary>
    public DozenRow Withdraw(string dozenId, string entryId) =>
        database.Write(sql =>
        {
            Withdrawable.Take(sql, dozenId, entryId, clock.GetUtcNow(), Withdrawable.OfDozen);
            return Get(sql, dozenId);
        });

    private static DozenRow Get(Sql sql, string id)
    {
        var row =
            sql.First<(string BowId, string Version, string Plan, string At)?>(
                "SELECT bow_id, arrow_version_id, plan, started_at FROM dozen WHERE id = @id",
                new { id }
            ) ?? throw new MissingException("dozen");
        var entries = sql.Query<(string Id, int Ordinal, string Facts, string At)>(
                """
                SELECT id, ordinal, facts, at FROM dozen_entry e
                WHERE dozen_id = @id AND NOT EXISTS (SELECT 1 FROM withdrawn w WHERE w.entry_id = e.id) ORDER BY ordinal
                """,
                new { id }
            )
            .Select(e => new DozenEvent(e.Id, e.Ordinal, Stamp.Read(e.At), Kept.Read<DozenFacts>(e.Facts).Act()))
            .ToArray();
        var plan = Kept.Read<DozenPlan>(row.Plan);
        var name = entries.Select(e => e.Act).OfType<DozenRenamed>().LastOrDefault()?.Name ?? plan.Name;
        return new DozenRow(id, row.BowId, row.Version, plan with { Name = name }, Stamp.Read(row.At), entries);
    }
}

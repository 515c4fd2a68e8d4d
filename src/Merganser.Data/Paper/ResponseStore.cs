using Merganser.Core.Bows;

namespace Merganser.Data;

/// <summary>What was learned before it is forgotten; no kinds means all of them.</summary>
/// <param name="AfterChange">How many changes of the bow had been entered.</param>
/// <param name="AfterPaper">How many papers of the bow had been begun.</param>
/// <param name="AfterShot">How many shots the newest of them had.</param>
public sealed record ResetRow(
    string Id,
    IReadOnlyList<AdjusterKind> Kinds,
    string Reason,
    int AfterChange,
    int AfterPaper,
    int AfterShot,
    DateTimeOffset ResetAt
);

/// <summary>Resets of the learned response. The shots stay; a reset only says from which paper on they count.</summary>
public sealed class ResponseStore(Database database, TimeProvider clock)
{
    private const int Shown = 10;

    /// <summary>The newest resets of a bow, in order.</summary>
    public IReadOnlyList<ResetRow> Of(string bowId) => database.Read(sql => Newest(sql, bowId));

    /// <summary>Forgets; the same id again changes nothing.</summary>
    public IReadOnlyList<ResetRow> Reset(string bowId, string id, IReadOnlyList<AdjusterKind> kinds, string reason) =>
        database.Write(sql =>
        {
            _ = BowStore.Get(sql, bowId);
            sql.Execute(
                $"""
                INSERT INTO response_reset (id, bow_id, kinds, reason, after_change, after_paper, after_shot,
                reset_at)
                VALUES (@id, @bowId, @kinds, @reason, {ChangeRows.Made},
                (SELECT count(*) FROM paper WHERE bow_id = @bowId),
                  (SELECT count(*) FROM shot h JOIN shot_set s ON s.id = h.set_id
                    WHERE s.paper_id = (SELECT id FROM paper WHERE bow_id = @bowId ORDER BY started_at DESC, rowid
                    DESC LIMIT 1)), @now)
                ON CONFLICT (id) DO NOTHING
                """,
                new
                {
                    id,
                    bowId,
                    kinds = Kept.Write<AdjusterKind[]>([.. kinds]),
                    reason,
                    now = Stamp.Of(clock.GetUtcNow()),
                }
            );
            return Newest(sql, bowId);
        });

    /// <summary>Takes a reset back: what was learned counts again.</summary>
    public IReadOnlyList<ResetRow> Withdraw(string bowId, string id) =>
        database.Write(sql =>
        {
            Withdrawable.Take(sql, bowId, id, clock.GetUtcNow(), Withdrawable.Reset);
            return Newest(sql, bowId);
        });

    /// <summary>What was forgotten when a bow had had so many papers, or more.</summary>
    internal static ResetRow[] After(Sql sql, string bowId, int papers) =>
        Read(sql, "AND after_paper >= @papers ORDER BY rowid", new { bowId, papers });

    private static ResetRow[] Newest(Sql sql, string bowId) =>
        [.. Read(sql, "ORDER BY rowid DESC LIMIT @Shown", new { bowId, Shown }).Reverse()];

    private static ResetRow[] Read(Sql sql, string which, object values) =>
        [
            .. sql.Query<(
                string Id,
                string Kinds,
                string Reason,
                int AfterChange,
                int AfterPaper,
                int AfterShot,
                string At
            )>(
                    $"""
                    SELECT id, kinds, reason, after_change, after_paper, after_shot, reset_at FROM response_reset r
                    WHERE bow_id = @bowId AND NOT EXISTS (SELECT 1 FROM withdrawn w WHERE w.entry_id = r.id) {which}
                    """,
                    values
                )
                .Select(r => new ResetRow(
                    r.Id,
                    Kept.Read<AdjusterKind[]>(r.Kinds),
                    r.Reason,
                    r.AfterChange,
                    r.AfterPaper,
                    r.AfterShot,
                    Stamp.Read(r.At)
                )),
        ];
}

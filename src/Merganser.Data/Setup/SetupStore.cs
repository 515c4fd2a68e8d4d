using Merganser.Core.Figures;
using Merganser.Core.Paper;
using Merganser.Core.Setup;

namespace Merganser.Data;

/// <summary>
/// The set-up sheet's entries. Everything is added, nothing rewritten; what was entered wrongly is withdrawn beside it.
/// </summary>
public sealed class SetupStore(Database database, TimeProvider clock)
{
    public SetupRecord Of(string bowId) => database.Read(sql => SetupReader.Of(sql, bowId));

    /// <summary>The newest changes entered by hand, or those before one, in order.</summary>
    public IReadOnlyList<RecordedChange> Changes(string bowId, int most, int? before = null) =>
        database.Read(sql => ChangeRows.Newest(sql, bowId, most, before));

    /// <summary>The newest change of each kind, in order.</summary>
    public IReadOnlyList<RecordedChange> LatestChanges(string bowId) =>
        database.Read(sql => SetupReader.Changes(sql, bowId));

    /// <summary>The newest shots entered by hand, the last first.</summary>
    public IReadOnlyList<EnteredShots> Entered(string bowId, int most) =>
        database.Read(sql => FiredRows.Entered(sql, bowId, most));

    /// <summary>The number that a check found last, or null; an entry that is made again is left out.</summary>
    public double? LastNumber(string bowId, CheckKind kind, string? but) =>
        database.Read(sql =>
            sql.Scalar<double?>(
                """
                SELECT value FROM check_finding f
                WHERE bow_id = @bowId AND kind = @kind AND value IS NOT NULL AND id IS NOT @but
                  AND NOT EXISTS (SELECT 1 FROM withdrawn w WHERE w.entry_id = f.id)
                ORDER BY ordinal DESC LIMIT 1
                """,
                new
                {
                    bowId,
                    kind = FactsJson.Word(kind),
                    but,
                }
            )
        );

    /// <summary>
    /// Adds a finding; a measured weight, length or brace height becomes the bow's own. The same id again changes
    /// nothing.
    /// </summary>
    /// <exception cref="RefusedException">The bow is unsound, and the check would draw it or call it sound without a
    /// repair.</exception>
    public SetupRecord Find(string bowId, string id, CheckFinding finding, string typed, string note = "") =>
        database.Write(sql =>
        {
            var row = BowStore.Get(sql, bowId);
            row.Unsound?.Check(finding);
            var replaced = finding.Value is null ? null : MeasuredOnSheet.Recorded(row.Typed, finding.Kind);
            if (
                Put(sql, bowId, id, finding, new(typed, note, replaced), clock.GetUtcNow())
                && finding.Value is not null
                && MeasuredOnSheet.Into(row.Typed, finding.Kind, typed) is { } entry
            )
            {
                BowStore.PutEntry(sql, bowId, entry);
            }

            return SetupReader.Of(sql, bowId);
        });

    /// <summary>
    /// What stands beside a finding: as typed, a person's words, and what it replaced in the bow's record.
    /// </summary>
    internal sealed record Beside(string Typed, string Note = "", string? Replaced = null);

    /// <returns>False when the id is there already: nothing was changed.</returns>
    internal static bool Put(
        Sql sql,
        string bowId,
        string id,
        CheckFinding finding,
        Beside beside,
        DateTimeOffset now
    ) =>
        sql.Execute(
            $"""
            INSERT INTO check_finding (id, bow_id, ordinal, kind, value, typed, choice, skip_reason, replaced, note,
            after_move, after_change, after_shots, found_at)
            VALUES (@id, @bowId, 1 + (SELECT count(*) FROM check_finding WHERE bow_id = @bowId), @kind, @Value,
            @Typed, @Choice, @SkipReason, @Replaced, @Note,
              {MoveLog.Made},
              {ChangeRows.Made},
              {FiredRows.Ever}, @now)
            ON CONFLICT (id) DO NOTHING
            """,
            new
            {
                id,
                bowId,
                kind = FactsJson.Word(finding.Kind),
                finding.Value,
                beside.Typed,
                finding.Choice,
                finding.SkipReason,
                beside.Replaced,
                beside.Note,
                now = Stamp.Of(now),
            }
        ) == 1;

    public SetupRecord Change(string bowId, string id, BowChange change, string note, DateTimeOffset? happenedAt) =>
        database.Write(sql =>
        {
            _ = BowStore.Get(sql, bowId);
            var now = clock.GetUtcNow();
            sql.Execute(
                $"""
                INSERT INTO bow_change (id, bow_id, ordinal, change, note, after_shots, happened_at, recorded_at)
                VALUES (@id, @bowId, 1 + {ChangeRows.Made}, @change, @note,
                  {FiredRows.Ever}, @happened, @now)
                ON CONFLICT (id) DO NOTHING
                """,
                new
                {
                    id,
                    bowId,
                    change = FactsJson.Word(change),
                    note,
                    happened = Stamp.Of(happenedAt ?? now),
                    now = Stamp.Of(now),
                }
            );
            return SetupReader.Of(sql, bowId);
        });

    /// <summary>Takes back an entry that was made wrongly; it stays on record.</summary>
    public SetupRecord Withdraw(string bowId, string entryId) =>
        database.Write(sql =>
        {
            Withdrawable.Take(sql, bowId, entryId, clock.GetUtcNow(), Withdrawable.OfSheet);
            GiveBack(sql, bowId, entryId);
            return SetupReader.Of(sql, bowId);
        });

    /// <exception cref="RefusedException">The bow is unsound.</exception>
    public SetupRecord Shoot(string bowId, string id, int count) =>
        database.Write(sql =>
        {
            Shoot(sql, bowId, id, count);
            return SetupReader.Of(sql, bowId);
        });

    /// <summary>Counts a day's shots of several bows: all or none.</summary>
    /// <exception cref="RefusedException">One of them is unsound.</exception>
    public void ShootTogether(string id, IReadOnlyList<(string BowId, int Shots)> day) =>
        database.Write(sql =>
        {
            foreach (var (bowId, shots) in day)
            {
                Shoot(sql, bowId, $"{id}-{bowId}", shots);
            }

            return day.Count;
        });

    private void Shoot(Sql sql, string bowId, string id, int count)
    {
        _ = BowStore.Get(sql, bowId).Sound();
        var (settling, read) = SetupReader.String(sql, bowId).Split(count);
        FiredRows.Fire(sql, bowId, id, settling, true, "entered", clock.GetUtcNow());
        FiredRows.Fire(sql, bowId, settling > 0 ? $"{id}-read" : id, read, false, "entered", clock.GetUtcNow());
    }

    /// <exception cref="ChangedException">The bow is not at this version any more.</exception>
    public SetupRecord Plan(string bowId, int version, StringPlan plan) =>
        database.Write(sql =>
        {
            var bow = BowStore.Get(sql, bowId);
            var changed = sql.Execute(
                "UPDATE bow SET string_plan = @plan, version = version + 1 WHERE id = @bowId AND version = @version",
                new
                {
                    bowId,
                    version,
                    plan = Kept.Write(plan.Checked()),
                }
            );
            if (changed == 0)
            {
                throw new ChangedException("bow", bow);
            }

            return SetupReader.Of(sql, bowId);
        });

    /// <summary>Marks the bow as it stands as shot well, for an arrow or for none.</summary>
    public SetupRecord MarkGood(string bowId, string id, string? arrowVersionId, string note) =>
        database.Write(sql =>
        {
            PutGood(sql, bowId, id, arrowVersionId, note, clock.GetUtcNow());
            return SetupReader.Of(sql, bowId);
        });

    internal static void PutGood(
        Sql sql,
        string bowId,
        string id,
        string? arrowVersionId,
        string note,
        DateTimeOffset now,
        PlannedStage? stage = null,
        string? paperId = null
    )
    {
        if (sql.Scalar<long>("SELECT count(*) FROM good_state WHERE id = @id", new { id }) > 0)
        {
            return;
        }

        const string ofThisBow =
            "SELECT count(*) FROM arrow_version v JOIN arrow a ON a.id = v.arrow_id WHERE v.id = @arrowVersionId AND a.bow_id = @bowId";
        if (arrowVersionId is not null && sql.Scalar<long>(ofThisBow, new { arrowVersionId, bowId }) == 0)
        {
            throw new MissingException("version");
        }

        var readings = SetupReader.Of(sql, bowId).Readings;
        var state = BowStore.TakeState(sql, bowId, now);
        sql.Execute(
            """
            INSERT INTO good_state (id, bow_id, bow_state_id, arrow_version_id, readings, note, stage, paper_id, marked_at)
            VALUES (@id, @bowId, @state, @arrowVersionId, @readings, @note, @at, @paperId, @now)
            """,
            new
            {
                id,
                bowId,
                state,
                arrowVersionId,
                readings = Kept.Write(new Dictionary<CheckKind, double>(readings)),
                note,
                at = stage is null ? null : Kept.Write(stage),
                paperId,
                now = Stamp.Of(now),
            }
        );
    }

    /// <summary>
    /// A measured value that was taken back gives the bow's record what stood there before it, unless a later finding
    /// counts.
    /// </summary>
    private static void GiveBack(Sql sql, string bowId, string entryId)
    {
        var taken = sql.First<(string Kind, string? Replaced, int Ordinal)?>(
            "SELECT kind, replaced, ordinal FROM check_finding WHERE id = @entryId AND bow_id = @bowId AND value IS NOT NULL",
            new { entryId, bowId }
        );
        if (taken is not { Replaced: { } former } finding)
        {
            return;
        }

        var later = sql.Scalar<long>(
            """
            SELECT count(*) FROM check_finding
            WHERE bow_id = @bowId AND kind = @Kind AND ordinal > @Ordinal AND value IS NOT NULL AND id NOT IN (SELECT
            entry_id FROM withdrawn)
            """,
            new
            {
                bowId,
                finding.Kind,
                finding.Ordinal,
            }
        );
        var kind = FactsJson.Enum<CheckKind>(finding.Kind);
        if (later > 0 || MeasuredOnSheet.Into(BowStore.Get(sql, bowId).Typed, kind, former) is not { } entry)
        {
            return;
        }

        var earlier = sql.Query<(string Typed, string? Replaced)>(
            """
            SELECT typed, replaced FROM check_finding
            WHERE bow_id = @bowId AND kind = @Kind AND ordinal < @Ordinal AND value IS NOT NULL AND id IN (SELECT
            entry_id FROM withdrawn) ORDER BY ordinal DESC
            """,
            new
            {
                bowId,
                finding.Kind,
                finding.Ordinal,
            }
        );
        BowStore.PutEntry(sql, bowId, MeasuredOnSheet.Into(entry, kind, MeasuredOnSheet.Former(former, earlier))!);
    }
}

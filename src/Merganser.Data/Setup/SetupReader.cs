using Merganser.Core.Bows;
using Merganser.Core.Paper;
using Merganser.Core.Setup;

namespace Merganser.Data;

/// <summary>
/// Reads what was entered of a bow's set-up and bears on how it stands now: as many statements and rows after years as
/// in the first week.
/// </summary>
internal static class SetupReader
{
    /// <summary>So many good states lead back at most, one for each arrow.</summary>
    private const int MostGoodStates = 4;

    private static readonly string Kinds = FactsJson.Write(Enum.GetValues<CheckKind>());

    public static SetupRecord Of(Sql sql, string bowId)
    {
        var findings = Findings(sql, bowId);
        var (changes, moves) = (Changes(sql, bowId), Moves(sql, bowId, findings));
        return new SetupRecord(
            PlanOf(sql, bowId),
            findings,
            changes,
            moves,
            Shots(sql, bowId, SetupRecord.WorkOf(changes, moves)),
            Good(sql, bowId)
        );
    }

    /// <summary>The life of the bow's string.</summary>
    public static StringLife String(Sql sql, string bowId)
    {
        var work = SetupRecord.WorkOf(Changes(sql, bowId), Moves(sql, bowId, []));
        return StringLife.Of(PlanOf(sql, bowId), work, Shots(sql, bowId, work));
    }

    private static RecordedMove[] Moves(Sql sql, string bowId, IReadOnlyList<RecordedFinding> findings)
    {
        var centreShot = findings.LastOrDefault(f =>
            f.Dated.Finding is { Kind: CheckKind.CentreShot, Value: not null }
        );
        return
        [
            .. MoveLog
                .OfSetup(sql, bowId, centreShot?.Dated.AfterMove ?? 0)
                .Select(m => new RecordedMove(m.Logged, m.Ordinal)),
        ];
    }

    /// <summary>The newest change of each kind that was not taken back, in order.</summary>
    public static RecordedChange[] Changes(Sql sql, string bowId) =>
        ChangeRows.Read(
            sql,
            """
            WHERE bow_id = @bowId AND ordinal IN (
              SELECT max(o.ordinal) FROM bow_change o
              WHERE o.bow_id = @bowId AND NOT EXISTS (SELECT 1 FROM withdrawn w WHERE w.entry_id = o.id)
              GROUP BY o.change)
            ORDER BY ordinal
            """,
            new { bowId }
        );

    /// <summary>How a bow's string is looked after.</summary>
    public static StringPlan PlanOf(Sql sql, string bowId) =>
        sql.Scalar<string?>("SELECT string_plan FROM bow WHERE id = @bowId", new { bowId }) is { } json
            ? Kept.Read<StringPlan>(json)
            : StringPlan.Usual;

    /// <summary>
    /// What was shot on the string, from the totals; and since the last work on it, of which only as many matter as may
    /// settle it.
    /// </summary>
    private static StringShots Shots(Sql sql, string bowId, StringWork work)
    {
        var (read, settling, since) = sql.First<(long Read, long Settling, long Since)>(
            """
            SELECT coalesce(sum(count) FILTER (WHERE settling = 0), 0),
              coalesce(sum(count) FILTER (WHERE settling = 1), 0),
              (SELECT coalesce(sum(n.count), 0) FROM (
                SELECT id, count FROM shots_fired
                WHERE bow_id = @bowId AND after_change >= @Change AND after_move >= @Move LIMIT @MostSettling) n
               WHERE NOT EXISTS (SELECT 1 FROM withdrawn w WHERE w.entry_id = n.id))
            FROM shots_total WHERE bow_id = @bowId AND after_change >= @Fresh
            """,
            new
            {
                bowId,
                work.Fresh,
                work.Change,
                work.Move,
                MostSettling = 2 * StringPlan.MostSettling,
            }
        );
        return new StringShots((int)read, (int)settling, (int)since);
    }

    private static GoodState[] Good(Sql sql, string bowId) =>
        [
            .. sql.Query<(
                string Id,
                string? Version,
                string Positions,
                string Readings,
                string Note,
                string? Stage,
                string At
            )>(
                    """
                    SELECT g.id, g.arrow_version_id, s.positions, g.readings, g.note, g.stage, g.marked_at
                    FROM good_state g JOIN bow_state s ON s.id = g.bow_state_id
                    WHERE g.rowid IN (
                      SELECT max(o.rowid) FROM good_state o
                      WHERE o.bow_id = @bowId AND NOT EXISTS (SELECT 1 FROM withdrawn w WHERE w.entry_id = o.id)
                      GROUP BY o.arrow_version_id ORDER BY 1 DESC LIMIT @MostGoodStates)
                    ORDER BY g.rowid
                    """,
                    new { bowId, MostGoodStates }
                )
                .Select(g => new GoodState(
                    g.Id,
                    g.Version,
                    Kept.Read<Adjuster[]>(g.Positions),
                    Kept.Read<Dictionary<CheckKind, double>>(g.Readings),
                    g.Note,
                    g.Stage is null ? null : Kept.Read<PlannedStage>(g.Stage),
                    Stamp.Read(g.At)
                )),
        ];

    private static RecordedFinding[] Findings(Sql sql, string bowId)
    {
        const string ofKind = """
            SELECT o.rowid FROM check_finding o WHERE o.bow_id = @bowId AND o.kind = k.value
              AND NOT EXISTS (SELECT 1 FROM withdrawn w WHERE w.entry_id = o.id)
            """;
        const string newest = "ORDER BY o.ordinal DESC LIMIT";
        return
        [
            .. sql.Query<FindingLine>(
                    $"""
                    SELECT id, kind, value, typed, choice, skip_reason AS skipReason, after_move AS afterMove,
                      after_change AS afterChange, after_shots AS afterShots, found_at AS foundAt, note
                    FROM check_finding WHERE rowid IN (
                      SELECT f.rowid FROM json_each(@Kinds) k JOIN check_finding f
                      WHERE f.rowid IN ({ofKind} {newest} 2)
                        OR f.rowid IN ({ofKind} AND o.skip_reason IS NULL {newest} 1)
                        OR f.rowid IN ({ofKind} AND o.value IS NOT NULL {newest} 1)
                        OR f.rowid IN ({ofKind} AND o.choice IN (@Damaged, @Repaired) {newest} 1))
                    ORDER BY ordinal
                    """,
                    new
                    {
                        bowId,
                        Kinds,
                        Unsound.Damaged,
                        Unsound.Repaired,
                    }
                )
                .Select(f => f.Row()),
        ];
    }

    private sealed class FindingLine
    {
        public string Id { get; init; } = "";
        public string Kind { get; init; } = "";
        public double? Value { get; init; }
        public string Typed { get; init; } = "";
        public string? Choice { get; init; }
        public string? SkipReason { get; init; }
        public long AfterMove { get; init; }
        public long AfterChange { get; init; }
        public long AfterShots { get; init; }
        public string FoundAt { get; init; } = "";
        public string Note { get; init; } = "";

        public RecordedFinding Row() =>
            new(
                new DatedFinding(
                    Id,
                    new CheckFinding(FactsJson.Enum<CheckKind>(Kind), Value, Choice, SkipReason),
                    Typed,
                    (int)AfterMove,
                    (int)AfterChange,
                    Stamp.Read(FoundAt),
                    Note
                ),
                (int)AfterShots
            );
    }
}

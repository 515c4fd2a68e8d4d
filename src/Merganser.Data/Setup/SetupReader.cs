using Merganser.Core.Bows;
using Merganser.Core.Paper;
using Merganser.Core.Setup;

namespace Merganser.Data;

/// <summary>Reads everything that was entered of a bow's set-up and was not taken back.</summary>
internal static class SetupReader
{
    public static SetupRecord Of(Sql sql, string bowId) =>
        new(
            PlanOf(sql, bowId),
            Findings(sql, bowId),
            Changes(sql, bowId),
            [.. MoveLog.Of(sql, bowId).Select(m => new RecordedMove(m.Logged, m.Ordinal))],
            Fired(sql, bowId),
            Good(sql, bowId)
        );

    private static RecordedChange[] Changes(Sql sql, string bowId) =>
        [
            .. sql.Query<(string Id, string Change, int Ordinal, string Note, int AfterShots, string At)>(
                    """
                    SELECT id, change, ordinal, note, after_shots, happened_at FROM bow_change
                    WHERE bow_id = @bowId AND id NOT IN (SELECT entry_id FROM withdrawn) ORDER BY ordinal
                    """,
                    new { bowId }
                )
                .Select(r => new RecordedChange(
                    r.Id,
                    FactsJson.Enum<BowChange>(r.Change),
                    r.Ordinal,
                    r.Note,
                    r.AfterShots,
                    Stamp.Read(r.At)
                )),
        ];

    private static StringPlan PlanOf(Sql sql, string bowId) =>
        sql.Scalar<string?>("SELECT string_plan FROM bow WHERE id = @bowId", new { bowId }) is { } json
            ? FactsJson.Read<StringPlan>(json)
            : StringPlan.Usual;

    private static ShotsFired[] Fired(Sql sql, string bowId) =>
        [
            .. sql.Query<(
                string Id,
                int Count,
                bool Settling,
                string Source,
                string At,
                int AfterMove,
                int AfterChange
            )>(
                    """
                    SELECT id, count, settling, source, fired_at, after_move, after_change FROM shots_fired
                    WHERE bow_id = @bowId AND id NOT IN (SELECT entry_id FROM withdrawn) ORDER BY rowid
                    """,
                    new { bowId }
                )
                .Select(f => new ShotsFired(
                    f.Id,
                    f.Count,
                    f.Settling,
                    f.Source,
                    Stamp.Read(f.At),
                    f.AfterMove,
                    f.AfterChange
                )),
        ];

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
                    SELECT g.id, g.arrow_version_id, s.positions, g.readings, g.note, g.stage, g.marked_at FROM good_state g
                    JOIN bow_state s ON s.id = g.bow_state_id
                    WHERE g.bow_id = @bowId AND g.id NOT IN (SELECT entry_id FROM withdrawn) ORDER BY g.rowid
                    """,
                    new { bowId }
                )
                .Select(g => new GoodState(
                    g.Id,
                    g.Version,
                    FactsJson.Read<Adjuster[]>(g.Positions),
                    FactsJson.Read<Dictionary<CheckKind, double>>(g.Readings),
                    g.Note,
                    g.Stage is null ? null : FactsJson.Read<PlannedStage>(g.Stage),
                    Stamp.Read(g.At)
                )),
        ];

    private static RecordedFinding[] Findings(Sql sql, string bowId) =>
        [
            .. sql.Query<FindingLine>(
                    """
                    SELECT id, kind, value, typed, choice, skip_reason AS skipReason, after_move AS afterMove,
                    after_change AS afterChange, after_shots AS afterShots, found_at AS foundAt
                    FROM check_finding WHERE bow_id = @bowId AND id NOT IN (SELECT entry_id FROM withdrawn) ORDER BY
                    ordinal
                    """,
                    new { bowId }
                )
                .Select(f => f.Row()),
        ];

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

        public RecordedFinding Row() =>
            new(
                new DatedFinding(
                    Id,
                    new CheckFinding(FactsJson.Enum<CheckKind>(Kind), Value, Choice, SkipReason),
                    Typed,
                    (int)AfterMove,
                    (int)AfterChange,
                    Stamp.Read(FoundAt)
                ),
                (int)AfterShots
            );
    }
}

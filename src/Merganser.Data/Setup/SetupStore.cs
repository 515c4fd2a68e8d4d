using System.Data;
using Dapper;
using Merganser.Core.Bows;
using Merganser.Core.Figures;
using Merganser.Core.Paper;
using Merganser.Core.Sessions;
using Merganser.Core.Setup;
using Merganser.Core.Tuning;

namespace Merganser.Data;

/// <summary>A finding with the shots that had been fired before it.</summary>
public sealed record FindingRow(DatedFinding Dated, int AfterShots);

/// <summary>A change entered by hand.</summary>
public sealed record ChangeRow(
    string Id,
    BowChange Change,
    int Ordinal,
    string Note,
    int AfterShots,
    DateTimeOffset HappenedAt
);

/// <summary>A state in which the bow shot well, one for each arrow that is shot from it.</summary>
public sealed record GoodStateRow(
    string Id,
    string? ArrowVersionId,
    IReadOnlyList<Adjuster> Positions,
    IReadOnlyDictionary<CheckKind, double> Readings,
    string Note,
    PlannedStage? Stage,
    DateTimeOffset MarkedAt
);

/// <summary>Shots that were entered or marked on paper.</summary>
public sealed record ShotsRow(string Id, int Count, bool Settling, string Source, DateTimeOffset FiredAt);

/// <summary>Everything that was entered about a bow's set-up.</summary>
public sealed record SetupRows(
    IReadOnlyList<FindingRow> Findings,
    IReadOnlyList<ChangeRow> Changes,
    IReadOnlyList<DatedChange> Dated,
    StringLife String,
    int CheckedAt,
    IReadOnlyList<GoodStateRow> GoodStates,
    IReadOnlyList<ShotsRow> Shots
);

/// <summary>
/// The set-up sheet's entries. Everything is added, nothing rewritten; what was entered wrongly is withdrawn beside it.
/// </summary>
public sealed class SetupStore(Database database, TimeProvider clock)
{
    public SetupRows Of(string bowId) => database.Read(c => Of(c, null, bowId));

    /// <summary>
    /// Adds a finding; a measured weight, length or brace height becomes the bow's own. The same id again changes
    /// nothing.
    /// </summary>
    /// <exception cref="RefusedException">The bow is unsound, and the check would draw it or call it sound without a
    /// repair.</exception>
    public SetupRows Find(string bowId, string id, CheckFinding finding, string typed) =>
        database.Write(
            (c, t) =>
            {
                var row = BowStore.Get(c, t, bowId);
                row.Unsound?.Check(finding);
                var added = c.Execute(
                    """
                    INSERT INTO check_finding (id, bow_id, ordinal, kind, value, typed, choice, skip_reason, replaced,
                    after_move, after_change, after_shots, found_at)
                    VALUES (@id, @bowId, 1 + (SELECT count(*) FROM check_finding WHERE bow_id = @bowId), @kind, @Value,
                    @typed, @Choice, @SkipReason, @replaced,
                      (SELECT count(*) FROM move WHERE bow_id = @bowId), (SELECT count(*) FROM bow_change WHERE bow_id =
                      @bowId),
                      (SELECT coalesce(sum(count), 0) FROM shots_fired WHERE bow_id = @bowId), @now)
                    ON CONFLICT (id) DO NOTHING
                    """,
                    new
                    {
                        id,
                        bowId,
                        kind = FactsJson.Word(finding.Kind),
                        finding.Value,
                        typed,
                        finding.Choice,
                        finding.SkipReason,
                        replaced = finding.Value is null ? null : Recorded(row.Typed, finding.Kind),
                        now = Stamp.Of(clock.GetUtcNow()),
                    },
                    t
                );
                if (added == 1 && finding.Value is not null && Measured(row.Typed, finding.Kind, typed) is { } entry)
                {
                    BowStore.PutEntry(c, t, bowId, entry);
                }

                return Of(c, t, bowId);
            }
        );

    public SetupRows Change(string bowId, string id, BowChange change, string note, DateTimeOffset? happenedAt) =>
        database.Write(
            (c, t) =>
            {
                _ = BowStore.Get(c, t, bowId);
                var now = clock.GetUtcNow();
                c.Execute(
                    """
                    INSERT INTO bow_change (id, bow_id, ordinal, change, note, after_shots, happened_at, recorded_at)
                    VALUES (@id, @bowId, 1 + (SELECT count(*) FROM bow_change WHERE bow_id = @bowId), @change, @note,
                      (SELECT coalesce(sum(count), 0) FROM shots_fired WHERE bow_id = @bowId), @happened, @now)
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
                    },
                    t
                );
                return Of(c, t, bowId);
            }
        );

    /// <summary>Takes back an entry that was made wrongly; it stays on record.</summary>
    public SetupRows Withdraw(string bowId, string entryId) =>
        database.Write(
            (c, t) =>
            {
                Withdrawable.Take(c, t, bowId, entryId, clock.GetUtcNow(), Withdrawable.OfSheet);
                GiveBack(c, t, bowId, entryId);
                return Of(c, t, bowId);
            }
        );

    /// <exception cref="RefusedException">The bow is unsound.</exception>
    public SetupRows Shoot(string bowId, string id, int count) =>
        database.Write(
            (c, t) =>
            {
                _ = BowStore.Get(c, t, bowId).Sound();
                var settling = Math.Min(count, Of(c, t, bowId).String.SettlingLeft);
                Fire(c, t, bowId, id, settling, true, "entered", clock.GetUtcNow());
                Fire(
                    c,
                    t,
                    bowId,
                    settling > 0 ? $"{id}-read" : id,
                    count - settling,
                    false,
                    "entered",
                    clock.GetUtcNow()
                );
                return Of(c, t, bowId);
            }
        );

    public SetupRows Plan(string bowId, StringPlan plan) =>
        database.Write(
            (c, t) =>
            {
                _ = BowStore.Get(c, t, bowId);
                c.Execute(
                    "UPDATE bow SET string_plan = @plan WHERE id = @bowId",
                    new { bowId, plan = FactsJson.Write(plan.Checked()) },
                    t
                );
                return Of(c, t, bowId);
            }
        );

    /// <summary>Marks the bow as it stands as shot well, for an arrow or for none.</summary>
    public SetupRows MarkGood(string bowId, string id, string? arrowVersionId, string note) =>
        database.Write(
            (c, t) =>
            {
                PutGood(c, t, bowId, id, arrowVersionId, note, clock.GetUtcNow());
                return Of(c, t, bowId);
            }
        );

    internal static void PutGood(
        IDbConnection c,
        IDbTransaction t,
        string bowId,
        string id,
        string? arrowVersionId,
        string note,
        DateTimeOffset now,
        PlannedStage? stage = null
    )
    {
        if (c.ExecuteScalar<long>("SELECT count(*) FROM good_state WHERE id = @id", new { id }, t) > 0)
        {
            return;
        }

        var readings = Findings(c, t, bowId)
            .Where(f => f.Dated.Finding.Value is not null)
            .GroupBy(f => f.Dated.Finding.Kind)
            .ToDictionary(g => g.Key, g => g.Last().Dated.Finding.Value!.Value);
        var state = BowStore.TakeState(c, t, bowId, now);
        c.Execute(
            "INSERT INTO good_state (id, bow_id, bow_state_id, arrow_version_id, readings, note, stage, marked_at) VALUES (@id, @bowId, @state, @arrowVersionId, @readings, @note, @at, @now)",
            new
            {
                id,
                bowId,
                state,
                arrowVersionId,
                readings = FactsJson.Write(readings),
                note,
                at = stage is null ? null : FactsJson.Write(stage),
                now = Stamp.Of(now),
            },
            t
        );
    }

    /// <summary>The string's life as it stands.</summary>
    internal static StringLife Life(IDbConnection c, IDbTransaction? t, string bowId) => Of(c, t, bowId).String;

    internal static SetupRows Of(IDbConnection c, IDbTransaction? t, string bowId)
    {
        var findings = Findings(c, t, bowId);
        var changes = Changes(c, t, bowId);
        var moves = BowStore.Moves(c, t, bowId);
        var effective = MoveHistory.Effective([
            .. moves.Select(m => new SessionMove(m.Id, 0, m.Adjuster, m.From, m.To, m.Corrects)),
        ]);
        var made = effective.Select(e => (Move: e, moves.First(m => m.Id == e.Id).Ordinal)).ToArray();
        DatedChange[] dated =
        [
            .. from move in made
            let change = ChangeTable.Of(move.Move.Kind)
            where change is not null
            select new DatedChange(
                change.Value,
                move.Ordinal,
                null,
                new Order(move.Move.Kind, move.Move.To - move.Move.From)
            ),
            .. changes.Select(r => new DatedChange(r.Change, null, r.Ordinal, new ChangeName(r.Change))),
        ];
        var fired = Fired(c, t, bowId);
        var life = StringLife.Of(
            PlanOf(c, t, bowId),
            [.. fired.Select(f => f.Fired)],
            [.. changes.Select(r => (r.Change, r.Ordinal))],
            [.. made.Select(m => (m.Move.Kind, m.Ordinal))]
        );
        var looked = findings.LastOrDefault(f =>
            f.Dated.Finding is { SkipReason: null, Kind: CheckKind.CamTiming or CheckKind.BraceHeight }
        );
        var fresh = changes.LastOrDefault(r => r.Change == BowChange.NewString);
        var checkedAt = looked is null ? 0 : Math.Max(0, looked.AfterShots - (fresh?.AfterShots ?? 0));
        return new SetupRows(
            findings,
            changes,
            dated,
            life,
            checkedAt,
            GoodStates(c, t, bowId),
            [.. fired.Where(f => f.Row.Count > 0).Select(f => f.Row)]
        );
    }

    private static ChangeRow[] Changes(IDbConnection c, IDbTransaction? t, string bowId) =>
        [
            .. c.Query<(string Id, string Change, int Ordinal, string Note, int AfterShots, string At)>(
                    """
                    SELECT id, change, ordinal, note, after_shots, happened_at FROM bow_change
                    WHERE bow_id = @bowId AND id NOT IN (SELECT entry_id FROM withdrawn) ORDER BY ordinal
                    """,
                    new { bowId },
                    t
                )
                .Select(r => new ChangeRow(
                    r.Id,
                    FactsJson.Enum<BowChange>(r.Change),
                    r.Ordinal,
                    r.Note,
                    r.AfterShots,
                    Stamp.Read(r.At)
                )),
        ];

    private static StringPlan PlanOf(IDbConnection c, IDbTransaction? t, string bowId) =>
        c.ExecuteScalar<string?>("SELECT string_plan FROM bow WHERE id = @bowId", new { bowId }, t) is { } json
            ? FactsJson.Read<StringPlan>(json)
            : StringPlan.Usual;

    private static (FiredShots Fired, ShotsRow Row)[] Fired(IDbConnection c, IDbTransaction? t, string bowId) =>
        [
            .. c.Query<(string Id, int Count, bool Settling, string Source, int AfterMove, int AfterChange, string At)>(
                    """
                    SELECT id, count, settling, source, after_move, after_change, fired_at FROM shots_fired
                    WHERE bow_id = @bowId AND id NOT IN (SELECT entry_id FROM withdrawn) ORDER BY rowid
                    """,
                    new { bowId },
                    t
                )
                .Select(f =>
                    (
                        new FiredShots(f.Count, f.Settling, f.AfterMove, f.AfterChange),
                        new ShotsRow(f.Id, f.Count, f.Settling, f.Source, Stamp.Read(f.At))
                    )
                ),
        ];

    private static GoodStateRow[] GoodStates(IDbConnection c, IDbTransaction? t, string bowId)
    {
        var rows = c.Query<(
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
                new { bowId },
                t
            )
            .Select(g => new GoodStateRow(
                g.Id,
                g.Version,
                FactsJson.Read<Adjuster[]>(g.Positions),
                FactsJson.Read<Dictionary<CheckKind, double>>(g.Readings),
                g.Note,
                g.Stage is null ? null : FactsJson.Read<PlannedStage>(g.Stage),
                Stamp.Read(g.At)
            ));
        return [.. rows.GroupBy(g => g.ArrowVersionId).Select(g => g.Last()).OrderByDescending(g => g.MarkedAt)];
    }

    private static FindingRow[] Findings(IDbConnection c, IDbTransaction? t, string bowId) =>
        [
            .. c.Query<FindingLine>(
                    """
                    SELECT id, kind, value, typed, choice, skip_reason AS skipReason, after_move AS afterMove,
                    after_change AS afterChange, after_shots AS afterShots, found_at AS foundAt
                    FROM check_finding WHERE bow_id = @bowId AND id NOT IN (SELECT entry_id FROM withdrawn) ORDER BY
                    ordinal
                    """,
                    new { bowId },
                    t
                )
                .Select(f => f.Row()),
        ];

    /// <summary>Counts shots of this bow's string.</summary>
    internal static void Fire(
        IDbConnection c,
        IDbTransaction t,
        string bowId,
        string id,
        int count,
        bool settling,
        string source,
        DateTimeOffset now
    )
    {
        if (count <= 0)
        {
            return;
        }

        c.Execute(
            """
            INSERT INTO shots_fired (id, bow_id, count, settling, source, after_move, after_change, fired_at)
            VALUES (@id, @bowId, @count, @settling, @source, (SELECT count(*) FROM move WHERE bow_id = @bowId), (SELECT
            count(*) FROM bow_change WHERE bow_id = @bowId), @now)
            ON CONFLICT (id) DO NOTHING
            """,
            new
            {
                id,
                bowId,
                count,
                settling,
                source,
                now = Stamp.Of(now),
            },
            t
        );
    }

    /// <summary>
    /// A measured value that was taken back gives the bow's record what stood there before it, unless a later finding
    /// counts.
    /// </summary>
    private static void GiveBack(IDbConnection c, IDbTransaction t, string bowId, string entryId)
    {
        var taken = c.QueryFirstOrDefault<(string Kind, string? Replaced, int Ordinal)?>(
            "SELECT kind, replaced, ordinal FROM check_finding WHERE id = @entryId AND bow_id = @bowId AND value IS NOT NULL",
            new { entryId, bowId },
            t
        );
        if (taken is not { Replaced: { } former } finding)
        {
            return;
        }

        var later = c.ExecuteScalar<long>(
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
            },
            t
        );
        var kind = FactsJson.Enum<CheckKind>(finding.Kind);
        if (later > 0 || Measured(BowStore.Get(c, t, bowId).Typed, kind, former) is not { } entry)
        {
            return;
        }

        // What stood there before may itself have been taken back since.
        var earlier = c.Query<(string Typed, string? Replaced)>(
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
            },
            t
        );
        foreach (var (typed, replaced) in earlier.Where(e => e.Replaced is not null))
        {
            former = typed == former ? replaced! : former;
        }

        BowStore.PutEntry(c, t, bowId, Measured(entry, kind, former)!);
    }

    private static string? Recorded(BowEntry entry, CheckKind kind) =>
        kind switch
        {
            CheckKind.DrawWeight => entry.MeasuredWeight ?? "",
            CheckKind.AxleToAxle => entry.AxleToAxle ?? "",
            CheckKind.BraceHeight => entry.BraceHeight ?? "",
            _ => null,
        };

    private static BowEntry? Measured(BowEntry entry, CheckKind kind, string typed) =>
        kind switch
        {
            CheckKind.DrawWeight => entry with { MeasuredWeight = typed },
            CheckKind.AxleToAxle => entry with { AxleToAxle = typed },
            CheckKind.BraceHeight => entry with { BraceHeight = typed },
            _ => null,
        };

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

        public FindingRow Row() =>
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

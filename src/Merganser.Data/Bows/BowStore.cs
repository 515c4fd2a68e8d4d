using System.Data;
using Dapper;
using Merganser.Core.Bows;
using Merganser.Core.Figures;
using Merganser.Core.Setup;

namespace Merganser.Data;

/// <summary>A bow: what was measured, what was typed, and its adjusters as they stand.</summary>
/// <param name="Unsound">Set while it may not be drawn or shot.</param>
public sealed record BowRow(
    string Id,
    string ArcherId,
    Bow Bow,
    BowEntry Typed,
    IReadOnlyList<Adjuster> Adjusters,
    int Version,
    DateTimeOffset? ArchivedAt = null,
    Unsound? Unsound = null
)
{
    /// <exception cref="RefusedException">It is unsound: nothing on it is drawn or shot.</exception>
    public BowRow Sound() => Unsound is null ? this : throw Unsound.Refusal();
}

/// <summary>Whose a new bow is: an archer who is known, or one to be added with it.</summary>
public sealed record NewOwner(string ArcherId, Archer? New);

/// <summary>A bow's archer as edited, and the version that the edit was made on.</summary>
public sealed record EditedArcher(int Version, Archer Archer);

/// <summary>A logged move or the correction of one.</summary>
public sealed record MoveRow(
    string Id,
    string BowId,
    string? PaperId,
    string? AfterSetId,
    AdjusterKind Adjuster,
    int From,
    int To,
    string? Corrects,
    string Note,
    DateTimeOffset HappenedAt,
    DateTimeOffset RecordedAt,
    int Ordinal,
    SpacerSeats? Seats = null,
    string? TurnsBack = null
)
{
    /// <summary>As the rules see it.</summary>
    public LoggedMove Logged => new(Id, Adjuster, From, To, Corrects, Seats);
}

/// <summary>A move to be logged, on a bow and perhaps in a paper of its.</summary>
public sealed record NewMove(string Id, string BowId, string? PaperId, MoveWanted Wanted);

public sealed class BowStore(Database database, TimeProvider clock)
{
    public IReadOnlyList<BowRow> All() =>
        database.Read(c =>
            database.Unreadable.Each(
                "bow",
                c.Query<string>("SELECT id FROM bow ORDER BY created_at, id"),
                id => id,
                id => Get(c, null, id)
            )
        );

    public BowRow Get(string id) => database.Read(c => Get(c, null, id));

    /// <summary>Only what was measured: all that an arrow's figures need.</summary>
    public Bow Measured(string id) =>
        database.Read(c =>
            FactsJson.Read<Bow>(
                c.ExecuteScalar<string?>("SELECT facts FROM bow WHERE id = @id", new { id })
                    ?? throw new MissingException("bow")
            )
        );

    /// <summary>
    /// Adds a bow, and its archer where that one is new: both or neither. The same id again changes nothing.
    /// </summary>
    /// <exception cref="IdTakenException">The id is already that of another bow or archer.</exception>
    public BowRow Add(string id, NewOwner owner, BowEntry typed, IReadOnlyList<Adjuster> adjusters)
    {
        var bow = typed.Read();
        return database.Write(
            (c, t) =>
            {
                if (c.ExecuteScalar<string?>("SELECT typed FROM bow WHERE id = @id", new { id }, t) is { } before)
                {
                    return before == FactsJson.Write(typed) ? Get(c, t, id) : throw new IdTakenException("bow");
                }

                if (owner.New is { } archer)
                {
                    ArcherStore.Add(c, t, owner.ArcherId, archer, clock.GetUtcNow());
                }
                else if (c.ExecuteScalar<string?>("SELECT id FROM archer WHERE id = @ArcherId", owner, t) is null)
                {
                    throw new MissingException("archer");
                }

                var archerId = owner.ArcherId;
                var added = c.Execute(
                    """
                    INSERT INTO bow (id, archer_id, name, facts, typed, created_at) VALUES (@id, @archerId, @Name,
                    @facts, @typed, @now)
                    ON CONFLICT (id) DO NOTHING
                    """,
                    new
                    {
                        id,
                        archerId,
                        bow.Name,
                        facts = FactsJson.Write(bow),
                        typed = FactsJson.Write(typed),
                        now = Stamp.Of(clock.GetUtcNow()),
                    },
                    t
                );
                if (added == 1)
                {
                    PutAdjusters(c, t, id, adjusters);
                }

                return Get(c, t, id);
            }
        );
    }

    /// <summary>Changes a bow, and its archer where that one was edited beside it: both or neither.</summary>
    /// <exception cref="ChangedException">A row is not at this version any more.</exception>
    public BowRow Change(
        string id,
        int version,
        BowEntry typed,
        IReadOnlyList<Adjuster> adjusters,
        EditedArcher? archer = null
    )
    {
        var read = typed.Read();
        return database.Write(
            (c, t) =>
            {
                var bow = read with { Chronograph = Get(c, t, id).Bow.Chronograph };
                var changed = c.Execute(
                    "UPDATE bow SET name = @Name, facts = @facts, typed = @typed, version = version + 1 WHERE id = @id AND version = @version",
                    new
                    {
                        id,
                        version,
                        bow.Name,
                        facts = FactsJson.Write(bow),
                        typed = FactsJson.Write(typed),
                    },
                    t
                );
                if (changed == 0)
                {
                    throw new ChangedException("bow", Get(c, t, id));
                }

                PutAdjusters(c, t, id, adjusters);
                var row = Get(c, t, id);
                if (archer is not null)
                {
                    ArcherStore.Change(c, t, row.ArcherId, archer.Version, archer.Archer);
                }

                return row;
            }
        );
    }

    public IReadOnlyList<MoveRow> Moves(string bowId) => database.Read(c => Moves(c, null, bowId));

    /// <summary>
    /// Logs a move or corrects the last entry of its adjuster; the position follows. The same id again changes nothing.
    /// </summary>
    /// <exception cref="RefusedException">The step is beyond the travel, nothing moved, or later moves rest on the
    /// entry to be corrected.</exception>
    public MoveRow Log(NewMove move) => database.Write((c, t) => Log(c, t, move, clock.GetUtcNow()));

    /// <summary>Logs moves that were made together: all or none.</summary>
    public void LogTogether(IReadOnlyList<NewMove> moves) =>
        database.Write(
            (c, t) =>
            {
                foreach (var move in moves)
                {
                    Log(c, t, move, clock.GetUtcNow());
                }

                return moves.Count;
            }
        );

    /// <summary>
    /// Takes a move back: as an entry that was made wrongly (a correction, nothing was turned) or as a real move the
    /// other way (a new move). Software turns no screw, so it is always one of the two.
    /// </summary>
    public MoveRow TakeBack(string bowId, string moveId, string id, bool loggedWrongly) =>
        database.Write(
            (c, t) =>
            {
                LoggedMove[] log = [.. Moves(c, t, bowId).Select(m => m.Logged)];
                var wrong = log.FirstOrDefault(m => m.Id == moveId) ?? throw new MissingException("move");
                return Log(
                    c,
                    t,
                    new NewMove(id, bowId, null, MoveRules.Back(log, wrong, loggedWrongly)),
                    clock.GetUtcNow()
                );
            }
        );

    /// <summary>Takes a bow with history off the rack, or hangs it up again; nothing is deleted.</summary>
    public BowRow Archive(string id, bool archived) =>
        database.Write(
            (c, t) =>
            {
                c.Execute(
                    "UPDATE bow SET archived_at = @at, version = version + 1 WHERE id = @id",
                    new { id, at = archived ? Stamp.Of(clock.GetUtcNow()) : null },
                    t
                );
                return Get(c, t, id);
            }
        );

    /// <summary>Puts what was measured on the sheet into the bow's own record.</summary>
    internal static void PutEntry(IDbConnection c, IDbTransaction t, string id, BowEntry typed)
    {
        var bow = typed.Read() with { Chronograph = Get(c, t, id).Bow.Chronograph };
        c.Execute(
            "UPDATE bow SET facts = @facts, typed = @typed, version = version + 1 WHERE id = @id",
            new
            {
                id,
                facts = FactsJson.Write(bow),
                typed = FactsJson.Write(typed),
            },
            t
        );
    }

    /// <summary>Puts what a chronograph taught onto the bow; null forgets it.</summary>
    internal static void PutSpeed(IDbConnection c, IDbTransaction t, string id, SpeedFit? fit)
    {
        var bow = Get(c, t, id).Bow with { Chronograph = fit };
        c.Execute(
            "UPDATE bow SET facts = @facts, version = version + 1 WHERE id = @id",
            new { id, facts = FactsJson.Write(bow) },
            t
        );
    }

    internal static MoveRow Log(IDbConnection c, IDbTransaction t, NewMove move, DateTimeOffset now)
    {
        var moves = Moves(c, t, move.BowId);
        if (moves.FirstOrDefault(m => m.Id == move.Id) is { } again)
        {
            return again;
        }

        var wanted = move.Wanted;
        if (wanted.Corrects is { } corrects && moves.All(m => m.Id != corrects))
        {
            throw new MissingException("move");
        }

        var (from, after) = MoveRules.Check(
            Get(c, t, move.BowId).Adjusters,
            [.. moves.Select(m => m.Logged)],
            wanted,
            now
        );
        var row = new
        {
            move.Id,
            move.BowId,
            move.PaperId,
            afterSet = move.PaperId is null ? null : AfterSet(c, t, move),
            adjuster = FactsJson.Word(wanted.Adjuster),
            from,
            wanted.To,
            kind = wanted.Corrects is null ? "move" : "correction",
            wanted.Corrects,
            wanted.TurnsBack,
            wanted.Note,
            happened = Stamp.Of(wanted.HappenedAt ?? now),
            now = Stamp.Of(now),
            ordinal = moves.Length + 1,
            seats = after is null ? null : FactsJson.Write(after),
        };
        c.Execute(
            """
            INSERT INTO move (id, bow_id, paper_id, after_set_id, adjuster, from_step, to_step, kind, corrects,
            turns_back, note, happened_at, recorded_at, ordinal, seats)
            VALUES (@Id, @BowId, @PaperId, @afterSet, @adjuster, @from, @To, @kind, @Corrects, @TurnsBack, @Note,
            @happened, @now, @ordinal, @seats)
            """,
            row,
            t
        );
        c.Execute(
            "UPDATE adjuster SET position = @To, seats = coalesce(@seats, seats) WHERE bow_id = @BowId AND kind = @adjuster",
            row,
            t
        );
        return Moves(c, t, move.BowId)[^1];
    }

    private static string AfterSet(IDbConnection c, IDbTransaction t, NewMove move) =>
        c.ExecuteScalar<string?>(
            "SELECT id FROM shot_set WHERE paper_id = @PaperId AND (@AfterSet IS NULL OR id = @AfterSet) ORDER BY number DESC LIMIT 1",
            new { move.PaperId, move.Wanted.AfterSet },
            t
        ) ?? throw new MissingException("set");

    /// <summary>Writes down the bow as it stands now, for a set of shots to refer to.</summary>
    internal static string TakeState(IDbConnection c, IDbTransaction t, string bowId, DateTimeOffset now)
    {
        var row = Get(c, t, bowId);
        var id = Guid.NewGuid().ToString();
        c.Execute(
            "INSERT INTO bow_state (id, bow_id, facts, positions, taken_at) VALUES (@id, @bowId, @facts, @positions, @now)",
            new
            {
                id,
                bowId,
                facts = FactsJson.Write(row.Bow),
                positions = FactsJson.Write(row.Adjusters),
                now = Stamp.Of(now),
            },
            t
        );
        return id;
    }

    internal static BowRow Get(IDbConnection c, IDbTransaction? t, string id)
    {
        var row =
            c.QueryFirstOrDefault<(string ArcherId, string Facts, string Typed, int Version, string? ArchivedAt)?>(
                "SELECT archer_id, facts, typed, version, archived_at FROM bow WHERE id = @id",
                new { id },
                t
            ) ?? throw new MissingException("bow");
        var adjusters = c.Query<(
            string Kind,
            int Position,
            int Lower,
            int Upper,
            bool NeedsPress,
            double? Inches,
            string? Seats
        )>(
                "SELECT kind, position, lower, upper, needs_press, inches_per_step, seats FROM adjuster WHERE bow_id = @id AND fitted = 1",
                new { id },
                t
            )
            .Select(a => new Adjuster(
                FactsJson.Enum<AdjusterKind>(a.Kind),
                a.Position,
                a.Lower,
                a.Upper,
                a.NeedsPress,
                a.Inches,
                a.Seats is null ? null : FactsJson.Read<SpacerSeats>(a.Seats)
            ))
            .OrderBy(a => AdjusterTable.PlaceOf(a.Kind))
            .ToArray();
        var inspected = c.QueryFirstOrDefault<(string Choice, string At)?>(
            """
            SELECT choice, found_at FROM check_finding
            WHERE bow_id = @id AND kind = 'inspection' AND choice IN (@Damaged, @Repaired) AND id NOT IN (SELECT
            entry_id FROM withdrawn)
            ORDER BY ordinal DESC LIMIT 1
            """,
            new
            {
                id,
                Unsound.Damaged,
                Unsound.Repaired,
            },
            t
        );
        return new BowRow(
            id,
            row.ArcherId,
            FactsJson.Read<Bow>(row.Facts),
            FactsJson.Read<BowEntry>(row.Typed),
            adjusters,
            row.Version,
            row.ArchivedAt is null ? null : Stamp.Read(row.ArchivedAt),
            inspected is { Choice: Unsound.Damaged } found ? new Unsound(Stamp.Read(found.At)) : null
        );
    }

    private static void PutAdjusters(IDbConnection c, IDbTransaction t, string bowId, IReadOnlyList<Adjuster> adjusters)
    {
        // An adjuster that is taken off keeps its row: its moves refer to it.
        c.Execute("UPDATE adjuster SET fitted = 0 WHERE bow_id = @bowId", new { bowId }, t);
        foreach (var adjuster in adjusters)
        {
            c.Execute(
                """
                INSERT INTO adjuster (bow_id, kind, position, lower, upper, needs_press, inches_per_step, seats)
                VALUES (@bowId, @kind, @Position, @Lower, @Upper, @NeedsPress, @InchesPerStep, @seats)
                ON CONFLICT (bow_id, kind) DO UPDATE SET lower = @Lower, upper = @Upper, needs_press = @NeedsPress,
                inches_per_step = @InchesPerStep, fitted = 1
                """,
                new
                {
                    bowId,
                    kind = FactsJson.Word(adjuster.Kind),
                    adjuster.Position,
                    adjuster.Lower,
                    adjuster.Upper,
                    adjuster.NeedsPress,
                    adjuster.InchesPerStep,
                    seats = adjuster.Seats is null ? null : FactsJson.Write(adjuster.Seats),
                },
                t
            );
        }
    }

    internal static MoveRow[] Moves(IDbConnection c, IDbTransaction? t, string bowId) =>
        [
            .. c.Query<MoveLine>(
                    """
                    SELECT id, bow_id AS bowId, paper_id AS paperId, after_set_id AS afterSetId, adjuster,
                      from_step AS "from", to_step AS "to", corrects, note, happened_at AS happenedAt,
                      recorded_at AS recordedAt, ordinal, seats, turns_back AS turnsBack
                    FROM move WHERE bow_id = @bowId ORDER BY ordinal
                    """,
                    new { bowId },
                    t
                )
                .Select(m => m.Row()),
        ];

    private sealed class MoveLine
    {
        public string Id { get; init; } = "";
        public string BowId { get; init; } = "";
        public string? PaperId { get; init; }
        public string? AfterSetId { get; init; }
        public string Adjuster { get; init; } = "";
        public long From { get; init; }
        public long To { get; init; }
        public string? TurnsBack { get; init; }
        public string? Corrects { get; init; }
        public string Note { get; init; } = "";
        public string HappenedAt { get; init; } = "";
        public string RecordedAt { get; init; } = "";
        public long Ordinal { get; init; }
        public string? Seats { get; init; }

        public MoveRow Row() =>
            new(
                Id,
                BowId,
                PaperId,
                AfterSetId,
                FactsJson.Enum<AdjusterKind>(Adjuster),
                (int)From,
                (int)To,
                Corrects,
                Note,
                Stamp.Read(HappenedAt),
                Stamp.Read(RecordedAt),
                (int)Ordinal,
                Seats is null ? null : FactsJson.Read<SpacerSeats>(Seats),
                TurnsBack
            );
    }
}

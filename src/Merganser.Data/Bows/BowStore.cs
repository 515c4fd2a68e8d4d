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

public sealed class BowStore(Database database, TimeProvider clock)
{
    public IReadOnlyList<BowRow> All() =>
        database.Read(sql =>
            database.Unreadable.Each(
                "bow",
                sql.Query<string>("SELECT id FROM bow ORDER BY created_at, id"),
                id => id,
                id => Get(sql, id)
            )
        );

    public BowRow Get(string id) => database.Read(sql => Get(sql, id));

    /// <summary>Every bow by its name alone, in the order of the rack.</summary>
    public IReadOnlyList<(string Id, string Name)> Names() =>
        database.Read(sql => sql.Query<(string, string)>("SELECT id, name FROM bow ORDER BY created_at, id").ToArray());

    /// <summary>Only what was measured: all that an arrow's figures need.</summary>
    public Bow Measured(string id) =>
        database.Read(sql =>
            Kept.Read<Bow>(
                sql.Scalar<string?>("SELECT facts FROM bow WHERE id = @id", new { id })
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
        return database.Write(sql =>
        {
            if (sql.Scalar<string?>("SELECT typed FROM bow WHERE id = @id", new { id }) is { } before)
            {
                return before == Kept.Write(typed) ? Get(sql, id) : throw new IdTakenException("bow");
            }

            if (owner.New is { } archer)
            {
                ArcherStore.Add(sql, owner.ArcherId, archer, clock.GetUtcNow());
            }
            else if (sql.Scalar<string?>("SELECT id FROM archer WHERE id = @ArcherId", owner) is null)
            {
                throw new MissingException("archer");
            }

            var archerId = owner.ArcherId;
            var added = sql.Execute(
                """
                INSERT INTO bow (id, archer_id, name, facts, typed, make, created_at) VALUES (@id, @archerId, @Name,
                @facts, @typed, @MakeWord, @now)
                ON CONFLICT (id) DO NOTHING
                """,
                new
                {
                    id,
                    archerId,
                    bow.Name,
                    facts = Kept.Write(bow),
                    typed = Kept.Write(typed),
                    typed.MakeWord,
                    now = Stamp.Of(clock.GetUtcNow()),
                }
            );
            if (added == 1)
            {
                AdjusterRows.Put(sql, id, adjusters);
            }

            return Get(sql, id);
        });
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
        return database.Write(sql =>
        {
            var bow = TaughtRows.On(Get(sql, id).Bow, read);
            var changed = sql.Execute(
                "UPDATE bow SET name = @Name, facts = @facts, typed = @typed, make = @MakeWord, version = version + 1 WHERE id = @id AND version = @version",
                new
                {
                    id,
                    version,
                    bow.Name,
                    typed.MakeWord,
                    facts = Kept.Write(bow),
                    typed = Kept.Write(typed),
                }
            );
            if (changed == 0)
            {
                throw new ChangedException("bow", Get(sql, id));
            }

            AdjusterRows.Put(sql, id, adjusters);
            var row = Get(sql, id);
            if (archer is not null)
            {
                ArcherStore.Change(sql, row.ArcherId, archer.Version, archer.Archer);
            }

            return row;
        });
    }

    /// <summary>The newest moves of a bow, or those before one, in order.</summary>
    public IReadOnlyList<MoveRow> Moves(string bowId, int most, int? before = null) =>
        database.Read(sql => MoveLog.Newest(sql, bowId, most, before));

    /// <summary>The last move of each adjuster.</summary>
    public IReadOnlyList<MoveRow> LastMoves(string bowId) => database.Read(sql => MoveLog.LastOfEach(sql, bowId));

    /// <summary>
    /// Logs a move or corrects the last entry of its adjuster; the position follows. The same id again changes nothing.
    /// </summary>
    /// <exception cref="RefusedException">The step is beyond the travel, nothing moved, or later moves rest on the
    /// entry to be corrected.</exception>
    public MoveRow Log(NewMove move) => database.Write(sql => MoveLog.Log(sql, move, clock.GetUtcNow()));

    /// <summary>Logs moves that were made together: all or none.</summary>
    public void LogTogether(IReadOnlyList<NewMove> moves) =>
        database.Write(sql =>
        {
            foreach (var move in moves)
            {
                MoveLog.Log(sql, move, clock.GetUtcNow());
            }

            return moves.Count;
        });

    /// <summary>
    /// Takes a move back: as an entry that was made wrongly (a correction, nothing was turned) or as a real move the
    /// other way (a new move). Software turns no screw, so it is always one of the two.
    /// </summary>
    public MoveRow TakeBack(string bowId, string moveId, string id, bool loggedWrongly) =>
        database.Write(sql =>
        {
            var about = MoveLog.AboutTakingBack(sql, bowId, moveId);
            return MoveLog.Log(
                sql,
                new NewMove(id, bowId, null, MoveRules.Back(about, about[^1], loggedWrongly)),
                clock.GetUtcNow()
            );
        });

    /// <summary>
    /// Whether it takes over what bows of the same make taught; null where no other bow is of its make.
    /// </summary>
    public bool? Borrows(string id) =>
        database.Read(sql =>
            sql.Scalar<bool?>(
                """
                SELECT borrows FROM bow me WHERE id = @id AND make <> ''
                  AND EXISTS (SELECT 1 FROM bow b WHERE b.make = me.make AND b.id <> me.id)
                """,
                new { id }
            )
        );

    /// <summary>Takes over what bows of the same make have taught, or sets it aside.</summary>
    public BowRow Borrow(string id, bool borrowed) =>
        database.Write(sql =>
        {
            sql.Execute(
                "UPDATE bow SET borrows = @borrowed, version = version + 1 WHERE id = @id",
                new { id, borrowed }
            );
            return Get(sql, id);
        });

    /// <summary>Takes a bow with history off the rack, or hangs it up again; nothing is deleted.</summary>
    public BowRow Archive(string id, bool archived) =>
        database.Write(sql =>
        {
            sql.Execute(
                "UPDATE bow SET archived_at = @at, version = version + 1 WHERE id = @id",
                new { id, at = archived ? Stamp.Of(clock.GetUtcNow()) : null }
            );
            return Get(sql, id);
        });

    /// <summary>Puts what was measured on the sheet into the bow's own record.</summary>
    internal static void PutEntry(Sql sql, string id, BowEntry typed)
    {
        var bow = TaughtRows.On(Get(sql, id).Bow, typed.Read());
        sql.Execute(
            "UPDATE bow SET facts = @facts, typed = @typed, version = version + 1 WHERE id = @id",
            new
            {
                id,
                facts = Kept.Write(bow),
                typed = Kept.Write(typed),
            }
        );
    }

    /// <summary>Writes down the bow as it stands now, for a set of shots to refer to.</summary>
    internal static string TakeState(Sql sql, string bowId, DateTimeOffset now)
    {
        var row = Get(sql, bowId);
        var id = Guid.NewGuid().ToString();
        sql.Execute(
            "INSERT INTO bow_state (id, bow_id, facts, positions, taken_at) VALUES (@id, @bowId, @facts, @positions, @now)",
            new
            {
                id,
                bowId,
                facts = Kept.Write(row.Bow),
                positions = Kept.Write<Adjuster[]>([.. row.Adjusters]),
                now = Stamp.Of(now),
            }
        );
        return id;
    }

    internal static BowRow Get(Sql sql, string id)
    {
        var row =
            sql.First<(string ArcherId, string Facts, string Typed, int Version, string? ArchivedAt)?>(
                "SELECT archer_id, facts, typed, version, archived_at FROM bow WHERE id = @id",
                new { id }
            ) ?? throw new MissingException("bow");
        var inspected = sql.First<(string Choice, string At)?>(
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
            }
        );
        return new BowRow(
            id,
            row.ArcherId,
            Kept.Read<Bow>(row.Facts),
            Kept.Read<BowEntry>(row.Typed),
            AdjusterRows.Of(sql, id),
            row.Version,
            row.ArchivedAt is null ? null : Stamp.Read(row.ArchivedAt),
            inspected is { Choice: Unsound.Damaged } found ? new Unsound(Stamp.Read(found.At)) : null
        );
    }
}

using Merganser.Core.Bows;

namespace Merganser.Data;

/// <summary>A logged move or the correction of one.</summary>
public sealed record MoveRow(
    string Id,
    string BowId,
    string? PaperId,
    string? AfterSetId,
    AdjusterKind Adjuster,
    double From,
    double To,
    string? Corrects,
    string Note,
    DateTimeOffset HappenedAt,
    DateTimeOffset RecordedAt,
    int Ordinal,
    SpacerSeats? Seats = null,
    string? TurnsBack = null,
    SpacerSeats? SeatsBefore = null
)
{
    /// <summary>As the rules see it.</summary>
    public LoggedMove Logged => new(Id, Adjuster, From, To, Corrects, Seats, SeatsBefore);
}

/// <summary>A move to be logged, on a bow and perhaps in a paper of its.</summary>
public sealed record NewMove(string Id, string BowId, string? PaperId, MoveWanted Wanted);

/// <summary>The log of a bow's moves: it is only ever added to, and no more of it is read than is asked for.</summary>
internal static class MoveLog
{
    private const string Columns = """
        SELECT id, bow_id AS bowId, paper_id AS paperId, after_set_id AS afterSetId, adjuster,
          from_step + from_half / 2.0 AS "from", to_step + to_half / 2.0 AS "to", corrects, note, happened_at AS happenedAt,
          recorded_at AS recordedAt, ordinal, seats, turns_back AS turnsBack, seats_before AS seatsBefore
        FROM move
        """;

    /// <summary>How many moves the bow <c>@bowId</c> has.</summary>
    internal const string Made = "(SELECT coalesce(max(ordinal), 0) FROM move WHERE bow_id = @bowId)";

    /// <summary>The last move that was really made of each adjuster; what was corrected to none is left out.</summary>
    private const string LastMade = """
        SELECT (
          SELECT r.id FROM move r WHERE r.bow_id = @bowId AND r.adjuster = a.kind AND r.corrects IS NULL
            AND 2 * r.from_step + r.from_half <> coalesce(
              (SELECT 2 * c.to_step + c.to_half FROM move c WHERE c.corrects = r.id ORDER BY c.ordinal DESC LIMIT 1),
              2 * r.to_step + r.to_half)
          ORDER BY r.ordinal DESC LIMIT 1)
        FROM adjuster a WHERE a.bow_id = @bowId
        """;

    /// <summary>The newest entries of a bow, or those before one, in order.</summary>
    public static MoveRow[] Newest(Sql sql, string bowId, int most, int? before = null) =>
        [
            .. Rows(
                    sql,
                    "WHERE bow_id = @bowId AND (@before IS NULL OR ordinal < @before) ORDER BY ordinal DESC LIMIT @most",
                    new
                    {
                        bowId,
                        before,
                        most,
                    }
                )
                .Reverse(),
        ];

    /// <summary>The last entry of each adjuster.</summary>
    public static MoveRow[] LastOfEach(Sql sql, string bowId) =>
        Rows(
            sql,
            """
            WHERE id IN (
              SELECT (SELECT m.id FROM move m WHERE m.bow_id = @bowId AND m.adjuster = a.kind ORDER BY m.ordinal DESC
                LIMIT 1)
              FROM adjuster a WHERE a.bow_id = @bowId)
            ORDER BY ordinal
            """,
            new { bowId }
        );

    /// <summary>Entries after so many, and those that they correct, in order.</summary>
    public static MoveRow[] Since(Sql sql, string bowId, int after) =>
        Rows(
            sql,
            """
            WHERE (bow_id = @bowId AND ordinal > @after)
              OR id IN (SELECT corrects FROM move WHERE bow_id = @bowId AND ordinal > @after AND corrects IS NOT NULL)
            ORDER BY ordinal
            """,
            new { bowId, after }
        );

    /// <summary>
    /// What bears on the set-up: the last move really made of each adjuster with its corrections, and the last of the
    /// rest before the centre shot was measured.
    /// </summary>
    public static MoveRow[] OfSetup(Sql sql, string bowId, int centreShotAfter) =>
        Rows(
            sql,
            $"""
            WHERE id IN ({LastMade}) OR corrects IN ({LastMade}) OR id = (
              SELECT m.id FROM move m WHERE m.bow_id = @bowId AND m.adjuster = @rest AND m.ordinal <= @centreShotAfter
              ORDER BY m.ordinal DESC LIMIT 1)
            ORDER BY ordinal
            """,
            new
            {
                bowId,
                centreShotAfter,
                rest = FactsJson.Word(AdjusterKind.RestSideways),
            }
        );

    /// <summary>What taking a move back needs to know: it, what it corrects, the spacers' seats before.</summary>
    /// <exception cref="MissingException">This bow has no such move.</exception>
    public static LoggedMove[] AboutTakingBack(Sql sql, string bowId, string id)
    {
        var wrong = Of(sql, bowId, id) ?? throw new MissingException("move");
        var root = wrong.Corrects is { } earlier ? Of(sql, bowId, earlier)! : wrong;
        var seats = Rows(
            sql,
            "WHERE bow_id = @bowId AND ordinal < @Ordinal AND seats IS NOT NULL ORDER BY ordinal DESC LIMIT 1",
            new { bowId, root.Ordinal }
        );
        return [.. seats.Append(root).Append(wrong).Select(m => m.Logged)];
    }

    /// <summary>Logs a move or corrects one; the position follows. The same id again changes nothing.</summary>
    public static MoveRow Log(Sql sql, NewMove move, DateTimeOffset now)
    {
        if (Of(sql, move.BowId, move.Id) is { } again)
        {
            return again;
        }

        var wanted = move.Wanted;
        LoggedMove[] about = [];
        if (wanted.Corrects is { } corrects)
        {
            var wrong = Of(sql, move.BowId, corrects) ?? throw new MissingException("move");
            about = [wrong.Logged, LastOf(sql, move.BowId, wrong.Adjuster).Logged];
        }

        var adjusters = BowStore.Get(sql, move.BowId).Adjusters;
        var (from, after) = MoveRules.Check(adjusters, about, wanted, now);
        var before = wanted.SeatsBefore ?? adjusters.First(a => a.Kind == wanted.Adjuster).Seats;
        var row = new
        {
            move.Id,
            move.BowId,
            move.PaperId,
            afterSet = move.PaperId is null ? null : AfterSet(sql, move),
            adjuster = FactsJson.Word(wanted.Adjuster),
            from = Halves.Step(from),
            fromHalf = Halves.Half(from),
            to = Halves.Step(wanted.To),
            toHalf = Halves.Half(wanted.To),
            kind = wanted.Corrects is null ? "move" : "correction",
            wanted.Corrects,
            wanted.TurnsBack,
            wanted.Note,
            happened = Stamp.Of(wanted.HappenedAt ?? now),
            now = Stamp.Of(now),
            seats = after is null ? null : Kept.Write(after),
            before = before is null ? null : Kept.Write(before),
        };
        sql.Execute(
            """
            INSERT INTO move (id, bow_id, paper_id, after_set_id, adjuster, from_step, from_half, to_step, to_half,
            kind, corrects, turns_back, note, happened_at, recorded_at, ordinal, seats, seats_before)
            VALUES (@Id, @BowId, @PaperId, @afterSet, @adjuster, @from, @fromHalf, @to, @toHalf, @kind, @Corrects,
            @TurnsBack, @Note, @happened, @now, 1 + (SELECT coalesce(max(ordinal), 0) FROM move WHERE bow_id = @BowId), @seats, @before)
            """,
            row
        );
        sql.Execute(
            "UPDATE adjuster SET position = @to, half = @toHalf, seats = coalesce(@seats, seats) WHERE bow_id = @BowId AND kind = @adjuster",
            row
        );
        return Of(sql, move.BowId, move.Id)!;
    }

    private static MoveRow? Of(Sql sql, string bowId, string id) =>
        Rows(sql, "WHERE id = @id AND bow_id = @bowId", new { id, bowId }).FirstOrDefault();

    private static MoveRow LastOf(Sql sql, string bowId, AdjusterKind adjuster) =>
        Rows(
            sql,
            "WHERE bow_id = @bowId AND adjuster = @kind ORDER BY ordinal DESC LIMIT 1",
            new { bowId, kind = FactsJson.Word(adjuster) }
        )[0];

    private static MoveRow[] Rows(Sql sql, string where, object values) =>
        [.. sql.Query<MoveLine>($"{Columns} {where}", values).Select(m => m.Row())];

    private static string AfterSet(Sql sql, NewMove move) =>
        sql.Scalar<string?>(
            "SELECT id FROM shot_set WHERE paper_id = @PaperId AND (@AfterSet IS NULL OR id = @AfterSet) ORDER BY number DESC LIMIT 1",
            new { move.PaperId, move.Wanted.AfterSet }
        ) ?? throw new MissingException("set");

    private sealed class MoveLine
    {
        public string Id { get; init; } = "";
        public string BowId { get; init; } = "";
        public string? PaperId { get; init; }
        public string? AfterSetId { get; init; }
        public string Adjuster { get; init; } = "";
        public double From { get; init; }
        public double To { get; init; }
        public string? TurnsBack { get; init; }
        public string? Corrects { get; init; }
        public string Note { get; init; } = "";
        public string HappenedAt { get; init; } = "";
        public string RecordedAt { get; init; } = "";
        public long Ordinal { get; init; }
        public string? Seats { get; init; }
        public string? SeatsBefore { get; init; }

        public MoveRow Row() =>
            new(
                Id,
                BowId,
                PaperId,
                AfterSetId,
                FactsJson.Enum<AdjusterKind>(Adjuster),
                From,
                To,
                Corrects,
                Note,
                Stamp.Read(HappenedAt),
                Stamp.Read(RecordedAt),
                (int)Ordinal,
                Seats is null ? null : Kept.Read<SpacerSeats>(Seats),
                TurnsBack,
                SeatsBefore is null ? null : Kept.Read<SpacerSeats>(SeatsBefore)
            );
    }
}

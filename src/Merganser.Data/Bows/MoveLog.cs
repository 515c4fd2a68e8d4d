using Merganser.Core.Bows;

namespace Merganser.Data;

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

/// <summary>The log of a bow's moves: it is only ever added to.</summary>
internal static class MoveLog
{
    /// <summary>Every entry of a bow, in order.</summary>
    public static MoveRow[] Of(Sql sql, string bowId) =>
        [
            .. sql.Query<MoveLine>(
                    """
                    SELECT id, bow_id AS bowId, paper_id AS paperId, after_set_id AS afterSetId, adjuster,
                      from_step AS "from", to_step AS "to", corrects, note, happened_at AS happenedAt,
                      recorded_at AS recordedAt, ordinal, seats, turns_back AS turnsBack
                    FROM move WHERE bow_id = @bowId ORDER BY ordinal
                    """,
                    new { bowId }
                )
                .Select(m => m.Row()),
        ];

    /// <summary>Logs a move or corrects one; the position follows. The same id again changes nothing.</summary>
    public static MoveRow Log(Sql sql, NewMove move, DateTimeOffset now)
    {
        var moves = Of(sql, move.BowId);
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
            BowStore.Get(sql, move.BowId).Adjusters,
            [.. moves.Select(m => m.Logged)],
            wanted,
            now
        );
        var row = new
        {
            move.Id,
            move.BowId,
            move.PaperId,
            afterSet = move.PaperId is null ? null : AfterSet(sql, move),
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
        sql.Execute(
            """
            INSERT INTO move (id, bow_id, paper_id, after_set_id, adjuster, from_step, to_step, kind, corrects,
            turns_back, note, happened_at, recorded_at, ordinal, seats)
            VALUES (@Id, @BowId, @PaperId, @afterSet, @adjuster, @from, @To, @kind, @Corrects, @TurnsBack, @Note,
            @happened, @now, @ordinal, @seats)
            """,
            row
        );
        sql.Execute(
            "UPDATE adjuster SET position = @To, seats = coalesce(@seats, seats) WHERE bow_id = @BowId AND kind = @adjuster",
            row
        );
        return Of(sql, move.BowId)[^1];
    }

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

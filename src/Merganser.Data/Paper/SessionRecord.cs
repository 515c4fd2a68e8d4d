using Merganser.Core.Paper;
using Merganser.Core.Sessions;
using Merganser.Core.Tuning;

namespace Merganser.Data;

/// <summary>
/// A session's events as they stand in the tables, put in one order: set by set its shots, what was said of them, its
/// notes, then the moves after it.
/// </summary>
internal sealed class SessionRecord
{
    private readonly List<((int Set, Kind Kind, double Place) At, SessionEvent Event)> found = [];
    private readonly Dictionary<string, int> numbers = [];
    private bool sights;

    private enum Kind
    {
        Set,
        Shot,
        Mark,
        Note,
        Act,
        Move,
    }

    /// <summary>The events of a paper.</summary>
    public static IReadOnlyList<SessionEvent> Of(Sql sql, string paperId, string bowId, IReadOnlyList<MoveRow> moves)
    {
        var record = new SessionRecord();
        var begun = record.Sets(sql, paperId);
        var shots = record.Shots(sql, paperId);
        record.Marks(sql, paperId);
        record.Notes(sql, paperId);
        record.Acts(sql, paperId);
        if (record.sights)
        {
            record.SightMarks(sql, paperId);
        }

        record.Forgets(sql, paperId, bowId, shots);
        record.Moves(moves, begun);
        return [.. record.found.OrderBy(f => f.At).Select((f, i) => f.Event with { Order = i + 1 })];
    }

    private void Add(
        int set,
        Kind kind,
        double place,
        string id,
        DateTimeOffset happened,
        DateTimeOffset recorded,
        SessionAct act
    ) => found.Add(((set, kind, place), new SessionEvent(id, 0, happened, recorded, act)));

    private int NumberOf(string? setId) => setId is not null && numbers.TryGetValue(setId, out var number) ? number : 0;

    /// <returns>By set number: how many moves of the bow had been logged when it was begun.</returns>
    private SortedDictionary<int, int> Sets(Sql sql, string paperId)
    {
        SortedDictionary<int, int> begun = [];
        var rows = sql.Query<SetLine>(
            """
            SELECT id, number, arrow_version_id AS arrow, distance, distance_typed AS typed, fletched,
              at_target AS atTarget, heads, walk, sighting, way_kind AS wayKind, way_first AS wayFirst,
              way_second AS waySecond, range_error AS rangeError, nock_end AS nockEnd, purpose, after_move AS afterMove, started_at AS at
            FROM shot_set WHERE paper_id = @paperId ORDER BY number
            """,
            new { paperId }
        );
        foreach (var row in rows)
        {
            var stage = row.Stage();
            (numbers[row.Id], begun[row.Number]) = (row.Number, row.AfterMove);
            sights |= stage.Heads || stage.OfSight;
            var act = new SetBegun(stage, row.Typed, FactsJson.Enum<SetPurpose>(row.Purpose), row.Arrow);
            Add(row.Number, Kind.Set, 0, row.Id, Stamp.Read(row.At), Stamp.Read(row.At), act);
        }

        return begun;
    }

    /// <returns>Set and place of each shot, in order.</returns>
    private List<(int Set, int Number)> Shots(Sql sql, string paperId)
    {
        List<(int, int)> places = [];
        var rows = sql.Query<ShotLine>(
            """
            SELECT h.id, h.set_id AS setId, h.number, h.point_x AS px, h.point_y AS py, h.tail_x AS tx, h.tail_y AS ty,
            h.side,
              h.shot_at AS shotAt, h.arrow_number AS arrowNumber, h.words,
              coalesce(h.tip, h.arrow_kind) AS arrowKind, h.flight, h.yards,
              h.way, h.sight_for AS sightFor, h.slant
            FROM shot h JOIN shot_set s ON s.id = h.set_id WHERE s.paper_id = @paperId ORDER BY s.number, h.number
            """,
            new { paperId }
        );
        foreach (var row in rows)
        {
            var set = numbers[row.SetId];
            places.Add((set, (int)row.Number));
            Add(set, Kind.Shot, row.Number, row.Id, Stamp.Read(row.ShotAt), Stamp.Read(row.ShotAt), row.Act());
        }

        return places;
    }

    private void Marks(Sql sql, string paperId)
    {
        var rows = sql.Query<(
            string Id,
            long Row,
            string Shot,
            string Set,
            bool Void,
            string Reason,
            bool Doubt,
            string At
        )>(
            """
            SELECT m.id, m.rowid, m.shot_id, h.set_id, m.void, m.reason, m.doubt, m.marked_at
            FROM shot_mark m JOIN shot h ON h.id = m.shot_id JOIN shot_set s ON s.id = h.set_id WHERE s.paper_id =
            @paperId
            """,
            new { paperId }
        );
        foreach (var row in rows)
        {
            SessionAct act = (row.Void, row.Doubt) switch
            {
                (true, _) => new ShotVoided(row.Shot, row.Reason),
                (_, true) => new ShotDoubted(row.Shot),
                _ => new ShotCounted(row.Shot),
            };
            Add(numbers[row.Set], Kind.Mark, row.Row, row.Id, Stamp.Read(row.At), Stamp.Read(row.At), act);
        }
    }

    private void Notes(Sql sql, string paperId)
    {
        var rows = sql.Query<(
            string Id,
            long Row,
            string? Set,
            string? Rung,
            string? Outcome,
            string Note,
            string At,
            string? Withdrawn
        )>(
            """
            SELECT n.id, n.rowid, n.after_set_id, n.rung, n.outcome, n.note, n.noted_at, w.withdrawn_at
            FROM paper_note n LEFT JOIN withdrawn w ON w.entry_id = n.id WHERE n.paper_id = @paperId
            """,
            new { paperId }
        );
        foreach (var row in rows)
        {
            var set = NumberOf(row.Set);
            var rung = row.Rung is null ? null : FactsJson.TryEnum<RungKind>(row.Rung);
            SessionAct act = rung is { } kind
                ? new RungAnswered(kind, row.Outcome ?? "", row.Note)
                : new NoteMade(row.Note);
            Add(set, Kind.Note, row.Row, row.Id, Stamp.Read(row.At), Stamp.Read(row.At), act);
            if (row.Withdrawn is { } at)
            {
                Add(
                    set,
                    Kind.Note,
                    row.Row + 0.5,
                    $"{row.Id}-withdrawn",
                    Stamp.Read(at),
                    Stamp.Read(at),
                    new EntryWithdrawn(row.Id)
                );
            }
        }
    }

    private void Acts(Sql sql, string paperId)
    {
        var rows = sql.Query<(string Id, long Row, string? Set, string Kind, string? Facts, string At)>(
            "SELECT id, rowid, after_set_id, kind, facts, recorded_at FROM session_act WHERE paper_id = @paperId",
            new { paperId }
        );
        foreach (var row in rows)
        {
            SessionAct act = row.Kind switch
            {
                "accepted" => new Accepted(),
                "reopened" => new Reopened(),
                _ => Kept.Read<ConditionsNoted>(row.Facts!),
            };
            Add(NumberOf(row.Set), Kind.Act, row.Row, row.Id, Stamp.Read(row.At), Stamp.Read(row.At), act);
        }
    }

    private void SightMarks(Sql sql, string paperId)
    {
        foreach (var (set, row, moved) in SightStore.Marks(sql, paperId))
        {
            Add(NumberOf(set), Kind.Act, row, moved.Id, moved.At, moved.At, moved.Act);
        }
    }

    /// <summary>What was forgotten since: in the middle of this paper, or after it.</summary>
    private void Forgets(Sql sql, string paperId, string bowId, List<(int Set, int Number)> shots)
    {
        var rank = sql.Scalar<int>(
            """
            SELECT count(*) FROM paper p, paper me WHERE me.id = @paperId AND p.bow_id = me.bow_id
              AND (p.started_at < me.started_at OR (p.started_at = me.started_at AND p.rowid <= me.rowid))
            """,
            new { paperId }
        );
        foreach (var reset in ResponseStore.After(sql, bowId, rank))
        {
            var here = reset.AfterPaper == rank;
            var last = here ? Math.Min(reset.AfterShot, shots.Count) : shots.Count;
            var (set, number) = last == 0 ? (0, 0) : shots[last - 1];
            Add(
                set,
                Kind.Shot,
                number + 0.5,
                reset.Id,
                reset.ResetAt,
                reset.ResetAt,
                new LearningForgotten(reset.Kinds, here)
            );
        }
    }

    /// <summary>
    /// The bow's moves: a paper's own by the set they came after, others by when the sets were begun.
    /// </summary>
    private void Moves(IReadOnlyList<MoveRow> moves, SortedDictionary<int, int> begun)
    {
        foreach (var move in moves)
        {
            var named = NumberOf(move.AfterSetId);
            var set = named > 0 ? named : begun.LastOrDefault(b => b.Value < move.Ordinal).Key;
            SessionAct act = move switch
            {
                { Corrects: { } wrong } => new MoveCorrected(
                    wrong,
                    move.Adjuster,
                    move.From,
                    move.To,
                    move.Note,
                    move.Seats
                ),
                { TurnsBack: { } made } => new MoveTurnedBack(
                    made,
                    move.Adjuster,
                    move.From,
                    move.To,
                    move.Note,
                    move.Seats
                ),
                _ => new MoveMade(
                    move.Adjuster,
                    move.From,
                    move.To,
                    move.Note,
                    move.Seats,
                    named > 0 ? move.AfterSetId : null
                )
                {
                    SeatsBefore = move.SeatsBefore,
                },
            };
            Add(set, Kind.Move, move.Ordinal, move.Id, move.HappenedAt, move.RecordedAt, act);
        }
    }
}

using Merganser.Core.Bows;
using Merganser.Core.Sessions;
using Merganser.Core.Setup;

namespace Merganser.Data;

/// <summary>Writes what happened in a session to its tables.</summary>
internal static class SessionWriter
{
    public static void Write(Sql sql, string paperId, string bowId, NewAct happened, DateTimeOffset time, bool settling)
    {
        var (id, now) = (happened.Id, Stamp.Of(time));
        switch (happened.Act)
        {
            case SetBegun set:
                WriteSet(sql, paperId, bowId, id, set, time);
                break;
            case ShotMarked shot:
                sql.Execute(
                    """
                    INSERT INTO shot (id, set_id, number, point_x, point_y, tail_x, tail_y, side, shot_at, arrow_number,
                    words, arrow_kind, tip, flight, yards, way, sight_for, slant)
                    VALUES (@id, @Set, 1 + (SELECT count(*) FROM shot WHERE set_id = @Set), @px, @py, @tx, @ty, @side,
                    @now, @ArrowNumber, @words, @kind, @tip, @flight, @Yards, @way, @SightFor, @slant)
                    """,
                    new
                    {
                        id,
                        shot.Set,
                        px = shot.Point.X,
                        py = shot.Point.Y,
                        tx = shot.Tail.X,
                        ty = shot.Tail.Y,
                        side = FactsJson.Word(shot.Side),
                        now,
                        shot.ArrowNumber,
                        words = shot.Said ? "said" : null,
                        kind = shot.Arrow is { } kind ? FactsJson.Word(ArrowTips.VanesOf(kind)) : null,
                        tip = shot.Arrow is { } head && ArrowTips.OnOne(head) ? FactsJson.Word(head) : null,
                        flight = shot.Flight is { } flight ? FactsJson.Word(flight) : null,
                        shot.Yards,
                        way = shot.Way is { } way ? FactsJson.Word(way) : null,
                        shot.SightFor,
                        slant = shot.Slant is { } slant ? FactsJson.Word(slant) : null,
                    }
                );
                FiredRows.Fire(sql, bowId, id, 1, settling, "paper", time);
                break;
            case ShotVoided mark:
                WriteMark(sql, id, mark.Shot, mark.Reason, false, now);
                break;
            case ShotDoubted mark:
                WriteMark(sql, id, mark.Shot, null, true, now);
                break;
            case ShotCounted mark:
                WriteMark(sql, id, mark.Shot, null, false, now);
                break;
            case MoveAct move and not MoveTurnedBack:
                var wanted = new MoveWanted(
                    move.Adjuster,
                    move.To,
                    (move as MoveCorrected)?.Move,
                    move.Note,
                    happened.Happened,
                    move.Seats,
                    (move as MoveMade)?.AfterSet,
                    SeatsBefore: move.SeatsBefore
                );
                MoveLog.Log(sql, new NewMove(id, bowId, paperId, wanted), time);
                break;
            case RungAnswered rung:
                WriteNote(sql, paperId, id, FactsJson.Word(rung.Rung), rung.Outcome, rung.Note, now);
                break;
            case NoteMade note:
                WriteNote(sql, paperId, id, null, null, note.Note, now);
                break;
            case EntryWithdrawn taken:
                Withdrawable.Take(sql, paperId, taken.Entry, time, Withdrawable.Note);
                break;
            case ConditionsNoted conditions:
                WriteAct(sql, paperId, id, "conditions", Kept.Write(conditions), now);
                break;
            case SightAct moved:
                SightStore.WriteMark(sql, paperId, id, moved, now);
                break;
            case Accepted:
                WriteAct(sql, paperId, id, "accepted", null, now);
                break;
            case Reopened:
                WriteAct(sql, paperId, id, "reopened", null, now);
                break;
            default:
                throw new InvalidOperationException($"{happened.Act.GetType().Name} is not written by a paper.");
        }
    }

    private static void WriteSet(Sql sql, string paperId, string bowId, string id, SetBegun set, DateTimeOffset now)
    {
        ArrowStore.CheckOfBow(sql, set.Arrow, bowId);
        var row = new
        {
            id,
            paperId,
            bowId,
            set.Arrow,
            set.Stage.Distance,
            set.DistanceTyped,
            set.Stage.Fletched,
            set.Stage.AtTarget,
            set.Stage.Heads,
            walk = set.Stage.Walk is { } pins ? FactsJson.Word(pins) : null,
            set.Stage.Sighting,
            wayKind = set.Stage.Ways is { } ways ? FactsJson.Word(ways.Kind) : null,
            wayFirst = set.Stage.Ways?.First,
            waySecond = set.Stage.Ways?.Second,
            set.Stage.RangeError,
            set.Stage.NockEnd,
            purpose = FactsJson.Word(set.Purpose),
            set.Instead,
            state = set.Instead is null ? BowStore.TakeState(sql, bowId, now) : null,
            now = Stamp.Of(now),
        };
        sql.Execute(
            set.Instead is null
                ? $"""
                INSERT INTO shot_set (id, paper_id, number, arrow_version_id, bow_state_id, distance, distance_typed,
                fletched, at_target, heads, walk, sighting, way_kind, way_first, way_second, range_error, nock_end, purpose,
                after_move, started_at)
                VALUES (@id, @paperId, 1 + (SELECT count(*) FROM shot_set WHERE paper_id = @paperId), @Arrow, @state,
                @Distance, @DistanceTyped, @Fletched, @AtTarget, @Heads, @walk, @Sighting,
                  @wayKind, @wayFirst, @waySecond, @RangeError, @NockEnd, @purpose,
                  {MoveLog.Made}, @now)
                """
                : """
                UPDATE shot_set SET distance = @Distance, distance_typed = @DistanceTyped, fletched = @Fletched,
                at_target = @AtTarget, heads = @Heads, walk = @walk, sighting = @Sighting, way_kind = @wayKind,
                way_first = @wayFirst, way_second = @waySecond, range_error = @RangeError, nock_end = @NockEnd, purpose = @purpose,
                arrow_version_id = @Arrow
                WHERE id = @Instead
                """,
            row
        );
    }

    private static void WriteMark(Sql sql, string id, string shot, string? reason, bool doubt, string now) =>
        sql.Execute(
            "INSERT INTO shot_mark (id, shot_id, void, reason, marked_at, doubt) VALUES (@id, @shot, @isVoid, @reason, @now, @doubt)",
            new
            {
                id,
                shot,
                isVoid = reason is not null,
                reason = reason ?? "",
                now,
                doubt,
            }
        );

    private static void WriteNote(
        Sql sql,
        string paperId,
        string id,
        string? rung,
        string? outcome,
        string note,
        string now
    ) =>
        sql.Execute(
            $"INSERT INTO paper_note (id, paper_id, after_set_id, rung, outcome, note, noted_at) VALUES (@id, @paperId, {LastSet}, @rung, @outcome, @note, @now)",
            new
            {
                id,
                paperId,
                rung,
                outcome,
                note,
                now,
            }
        );

    private static void WriteAct(Sql sql, string paperId, string id, string kind, string? facts, string now) =>
        sql.Execute(
            $"INSERT INTO session_act (id, paper_id, after_set_id, kind, facts, recorded_at) VALUES (@id, @paperId, {LastSet}, @kind, @facts, @now)",
            new
            {
                id,
                paperId,
                kind,
                facts,
                now,
            }
        );

    private const string LastSet =
        "(SELECT s.id FROM shot_set s WHERE s.paper_id = @paperId ORDER BY s.number DESC LIMIT 1)";

    /// <summary>
    /// What the rest of the bow's record takes from an act: the state it was shot well in, and the state an empty set
    /// stands at.
    /// </summary>
    public static void Follow(Sql sql, PaperRow paper, NewAct act, DateTimeOffset now)
    {
        var session = paper.Session;
        switch (act.Act)
        {
            case Accepted when !session.IsTrial:
                var begun = (session.Sets.LastOrDefault(s => s.OfSession) ?? session.Now).Begun;
                SetupStore.PutGood(
                    sql,
                    paper.Bow.Id,
                    $"{paper.Id}-good-{paper.Version}",
                    begun.Arrow,
                    "",
                    now,
                    begun.Stage,
                    paper.Id
                );
                if (session.Sets.Any(s => s.IsShot && (s.Stage.Compares || !s.Stage.AtTarget)))
                {
                    SetupStore.Put(
                        sql,
                        paper.Bow.Id,
                        $"{paper.Id}-paper-{paper.Version}",
                        new CheckFinding(CheckKind.Paper, null, "done", null),
                        new(""),
                        now
                    );
                }

                break;
            case Reopened:
                sql.Execute(
                    """
                    INSERT INTO withdrawn (entry_id, kind, withdrawn_at)
                    SELECT id, 'goodState', @now FROM good_state WHERE paper_id = @Id
                    UNION ALL
                    SELECT id, 'finding', @now FROM check_finding WHERE bow_id = @BowId AND id GLOB @Id || '-paper-*'
                    ON CONFLICT DO NOTHING
                    """,
                    new
                    {
                        paper.Id,
                        BowId = paper.Bow.Id,
                        now = Stamp.Of(now),
                    }
                );
                break;
            case MoveMade or MoveCorrected when session.Now.Shots.Count == 0:
                var state = BowStore.TakeState(sql, paper.Bow.Id, now);
                sql.Execute("UPDATE shot_set SET bow_state_id = @state WHERE id = @Id", new { state, session.Now.Id });
                break;
        }
    }
}

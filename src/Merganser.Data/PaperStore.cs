using System.Data;
using Dapper;
using Merganser.Core.Bows;
using Merganser.Core.Figures;
using Merganser.Core.Paper;
using Merganser.Core.Units;

namespace Merganser.Data;

/// <summary>A paper session with its sets and shots.</summary>
public sealed record PaperRow(
    string Id, string BowId, string ArrowVersionId, double Tolerance, DateTimeOffset StartedAt, DateTimeOffset? AcceptedAt, IReadOnlyList<SetRow> Sets, int Version);

/// <summary>One set of shots at one setting of the bow.</summary>
public sealed record SetRow(string Id, int Number, string BowStateId, double Distance, string DistanceTyped, bool Fletched, DateTimeOffset StartedAt, IReadOnlyList<ShotRow> Shots);

/// <summary>A shot with its raw holes; <paramref name="VoidReason"/> is null while it counts.</summary>
public sealed record ShotRow(string Id, int Number, Hole Point, Hole Tail, SheetSide Side, DateTimeOffset ShotAt, string? VoidReason)
{
    /// <summary>The tear as the archer sees it.</summary>
    public Tear Tear() => Core.Paper.Tear.Between(Point, Tail, Side);
}

public sealed class PaperStore(Database database, TimeProvider clock)
{
    /// <summary>Why a shot right after string work is not read.</summary>
    public const string Settles = "settles new string work";

    public IReadOnlyList<PaperRow> Of(string bowId) => database.Read(c =>
        c.Query<string>("SELECT id FROM paper WHERE bow_id = @bowId ORDER BY started_at DESC, rowid DESC", new { bowId }).Select(id => Get(c, null, id)).ToArray());

    /// <summary>True once some paper of this bow was accepted.</summary>
    public bool AnyAccepted(string bowId) => database.Read(c => c.ExecuteScalar<bool>("SELECT EXISTS (SELECT 1 FROM paper WHERE bow_id = @bowId AND accepted_at IS NOT NULL)", new { bowId }));

    public PaperRow Get(string id) => database.Read(c => Get(c, null, id));

    /// <summary>Starts a paper with its first set; the same id again changes nothing.</summary>
    public PaperRow Start(string id, string bowId, string arrowVersionId, double tolerance, Entry distance, bool fletched) => database.Write((c, t) =>
    {
        _ = BowStore.Get(c, t, bowId);
        _ = ArrowStore.Version(c, t, arrowVersionId);
        var added = c.Execute(
            "INSERT INTO paper (id, bow_id, arrow_version_id, tolerance, started_at) VALUES (@id, @bowId, @arrowVersionId, @tolerance, @now) ON CONFLICT (id) DO NOTHING",
            new { id, bowId, arrowVersionId, tolerance, now = Stamp.Of(clock.GetUtcNow()) }, t);
        if (added == 1)
        {
            AddSet(c, t, Guid.NewGuid().ToString(), Get(c, t, id), distance.Value, distance.Typed, fletched);
        }

        return Get(c, t, id);
    });

    /// <summary>Starts the next set at the bow's present setting. An empty set is changed instead.</summary>
    public PaperRow StartSet(string paperId, string setId, Entry distance, bool fletched) => database.Write((c, t) =>
    {
        var paper = Get(c, t, paperId);
        if (paper.Sets.Any(s => s.Id == setId))
        {
            return paper;
        }

        if (paper.Sets is [.., { Shots.Count: 0 } empty])
        {
            c.Execute("UPDATE shot_set SET distance = @Value, distance_typed = @Typed, fletched = @fletched WHERE id = @Id",
                new { distance.Value, distance.Typed, fletched, empty.Id }, t);
            return Get(c, t, paperId);
        }

        AddSet(c, t, setId, paper, distance.Value, distance.Typed, fletched);
        return Get(c, t, paperId);
    });

    /// <summary>Adds a shot to a set; the same id again changes nothing.</summary>
    /// <exception cref="RefusedException">A hole is off the sheet, or the tear is longer than any arrow leaves.</exception>
    public PaperRow AddShot(string setId, string shotId, Hole point, Hole tail, SheetSide side) => database.Write((c, t) =>
    {
        CheckHoles(point, tail);
        var paperId = c.ExecuteScalar<string?>("SELECT paper_id FROM shot_set WHERE id = @setId", new { setId }, t) ?? throw new MissingException("set");
        var added = c.Execute(
            """
            INSERT INTO shot (id, set_id, number, point_x, point_y, tail_x, tail_y, side, shot_at)
            VALUES (@shotId, @setId, 1 + (SELECT count(*) FROM shot WHERE set_id = @setId), @px, @py, @tx, @ty, @side, @now)
            ON CONFLICT (id) DO NOTHING
            """,
            new { shotId, setId, px = point.X, py = point.Y, tx = tail.X, ty = tail.Y, side = FactsJson.Word(side), now = Stamp.Of(clock.GetUtcNow()) }, t);
        var bowId = c.ExecuteScalar<string>("SELECT bow_id FROM paper WHERE id = @paperId", new { paperId }, t)!;
        if (added == 1 && SetupStore.Fire(c, t, bowId, shotId, "paper", clock.GetUtcNow()))
        {
            c.Execute("INSERT INTO shot_mark (id, shot_id, void, reason, marked_at) VALUES (@id, @shotId, 1, @Settles, @now)",
                new { id = $"{shotId}-settles", shotId, Settles, now = Stamp.Of(clock.GetUtcNow()) }, t);
        }

        c.Execute("UPDATE paper SET accepted_at = NULL, version = version + 1 WHERE id = @paperId", new { paperId }, t);
        return Get(c, t, paperId);
    });

    /// <summary>Voids a shot with a reason, or counts it again when the reason is null.</summary>
    public PaperRow Mark(string shotId, string markId, string? reason) => database.Write((c, t) =>
    {
        var paperId = c.ExecuteScalar<string?>(
            "SELECT s.paper_id FROM shot h JOIN shot_set s ON s.id = h.set_id WHERE h.id = @shotId", new { shotId }, t) ?? throw new MissingException("shot");
        c.Execute("INSERT INTO shot_mark (id, shot_id, void, reason, marked_at) VALUES (@markId, @shotId, @isVoid, @reason, @now) ON CONFLICT (id) DO NOTHING",
            new { markId, shotId, isVoid = reason is not null, reason = reason ?? "", now = Stamp.Of(clock.GetUtcNow()) }, t);
        return Get(c, t, paperId);
    });

    /// <summary>Logs what was really done to the bow and opens the next set at the new setting.</summary>
    public PaperRow Move(string paperId, NewMove move) => database.Write((c, t) =>
    {
        var now = clock.GetUtcNow();
        var paper = Get(c, t, paperId);
        var known = c.ExecuteScalar<string?>("SELECT id FROM move WHERE id = @Id", new { move.Id }, t);
        BowStore.Log(c, t, move with { BowId = paper.BowId, PaperId = paperId }, now);
        if (known is not null)
        {
            return paper;
        }

        var last = paper.Sets[^1];
        if (move.Corrects is null && last.Shots.Count > 0)
        {
            AddSet(c, t, Guid.NewGuid().ToString(), paper, last.Distance, last.DistanceTyped, last.Fletched);
        }
        else
        {
            var state = BowStore.TakeState(c, t, paper.BowId, now);
            c.Execute("UPDATE shot_set SET bow_state_id = @state WHERE id = @Id", new { state, last.Id }, t);
        }

        c.Execute("UPDATE paper SET accepted_at = NULL, version = version + 1 WHERE id = @paperId", new { paperId }, t);
        return Get(c, t, paperId);
    });

    /// <summary>"I accept this": ends the paper as it is, or opens it again.</summary>
    public PaperRow Accept(string paperId, bool accepted) => database.Write((c, t) =>
    {
        c.Execute("UPDATE paper SET accepted_at = @at, version = version + 1 WHERE id = @paperId",
            new { paperId, at = accepted ? Stamp.Of(clock.GetUtcNow()) : null }, t);
        return Get(c, t, paperId);
    });

    /// <summary>The adjusters as they stood when a set was shot.</summary>
    public IReadOnlyList<Adjuster> Positions(string bowStateId) => database.Read(c =>
        FactsJson.Read<Adjuster[]>(c.ExecuteScalar<string?>("SELECT positions FROM bow_state WHERE id = @bowStateId", new { bowStateId }) ?? throw new MissingException("bow state")));

    private static void CheckHoles(Hole point, Hole tail)
    {
        List<FieldProblem> problems = [];
        Check("point", point);
        Check("tail", tail);
        if (problems.Count == 0 && new Tear(tail.X - point.X, tail.Y - point.Y).Length > SheetLimits.LongestTear)
        {
            problems.Add(new FieldProblem("tail", "tear-too-long", $"A tear over {SheetLimits.LongestTear} in is no tear of one arrow: look at the two holes again."));
        }

        if (problems.Count > 0)
        {
            throw new RefusedException("holes", problems[0].Message, [.. problems]);
        }

        void Check(string field, Hole hole)
        {
            if (!(Math.Abs(hole.X) <= SheetLimits.HalfSheet && Math.Abs(hole.Y) <= SheetLimits.HalfSheet))
            {
                problems.Add(new FieldProblem(field, "off-sheet", $"The {field} hole lies off the sheet: at most {SheetLimits.HalfSheet} in from its middle."));
            }
        }
    }

    private void AddSet(IDbConnection c, IDbTransaction t, string id, PaperRow paper, double distance, string distanceTyped, bool fletched)
    {
        var now = clock.GetUtcNow();
        var state = BowStore.TakeState(c, t, paper.BowId, now);
        c.Execute(
            """
            INSERT INTO shot_set (id, paper_id, number, arrow_version_id, bow_state_id, distance, distance_typed, fletched, started_at)
            VALUES (@id, @paperId, @number, @ArrowVersionId, @state, @distance, @distanceTyped, @fletched, @now)
            """,
            new { id, paperId = paper.Id, number = paper.Sets.Count + 1, paper.ArrowVersionId, state, distance, distanceTyped, fletched, now = Stamp.Of(now) }, t);
    }

    private static PaperRow Get(IDbConnection c, IDbTransaction? t, string id)
    {
        var row = c.QueryFirstOrDefault<(string BowId, string ArrowVersionId, double Tolerance, string StartedAt, string? AcceptedAt, int Version)?>(
            "SELECT bow_id, arrow_version_id, tolerance, started_at, accepted_at, version FROM paper WHERE id = @id", new { id }, t) ?? throw new MissingException("paper");
        var shots = c.Query<ShotLine>(
            """
            SELECT h.id, h.set_id AS setId, h.number, h.point_x AS px, h.point_y AS py, h.tail_x AS tx, h.tail_y AS ty, h.side, h.shot_at AS shotAt,
              (SELECT CASE WHEN m.void THEN m.reason END FROM shot_mark m WHERE m.shot_id = h.id ORDER BY m.rowid DESC LIMIT 1) AS voidReason
            FROM shot h JOIN shot_set s ON s.id = h.set_id WHERE s.paper_id = @id ORDER BY h.number
            """, new { id }, t).ToLookup(s => s.SetId, s => s.Row());
        var sets = c.Query<(string Id, int Number, string State, double Distance, string Typed, bool Fletched, string StartedAt)>(
            "SELECT id, number, bow_state_id, distance, distance_typed, fletched, started_at FROM shot_set WHERE paper_id = @id ORDER BY number", new { id }, t)
            .Select(s => new SetRow(s.Id, s.Number, s.State, s.Distance, s.Typed, s.Fletched, Stamp.Read(s.StartedAt), [.. shots[s.Id]]));
        return new PaperRow(id, row.BowId, row.ArrowVersionId, row.Tolerance, Stamp.Read(row.StartedAt),
            row.AcceptedAt is null ? null : Stamp.Read(row.AcceptedAt), [.. sets], row.Version);
    }

    private sealed class ShotLine
    {
        public string Id { get; init; } = "";
        public string SetId { get; init; } = "";
        public long Number { get; init; }
        public double Px { get; init; }
        public double Py { get; init; }
        public double Tx { get; init; }
        public double Ty { get; init; }
        public string Side { get; init; } = "";
        public string ShotAt { get; init; } = "";
        public string? VoidReason { get; init; }

        public ShotRow Row() => new(Id, (int)Number, new Hole(Px, Py), new Hole(Tx, Ty), FactsJson.Enum<SheetSide>(Side), Stamp.Read(ShotAt), VoidReason);
    }
}

using System.Data;
using Dapper;
using Merganser.Core.Bows;
using Merganser.Core.Figures;
using Merganser.Core.Paper;
using Merganser.Core.Tuning;
using Merganser.Core.Units;

namespace Merganser.Data;

/// <summary>A paper session with its plan, sets, shots and notes.</summary>
public sealed record PaperRow(
    string Id, string BowId, string ArrowVersionId, double Tolerance, SessionPlan Plan, DateTimeOffset StartedAt, DateTimeOffset? AcceptedAt, IReadOnlyList<SetRow> Sets,
    IReadOnlyList<NoteRow> Notes, int Version)
{
    /// <summary>The last set of the session itself with a shot that counts: what can be accepted is its setting.</summary>
    public SetRow? LastRead => Sets.LastOrDefault(s => s.Purpose == SetPurpose.Session && s.Shots.Any(h => h.VoidReason is null));
}

/// <summary>One set of shots at one setting of the bow.</summary>
/// <param name="AfterMove">How many moves of this bow had been logged when it was begun.</param>
public sealed record SetRow(
    string Id, int Number, string ArrowVersionId, string BowStateId, double Distance, string DistanceTyped, bool Fletched, SetPurpose Purpose, int AfterMove,
    DateTimeOffset StartedAt, IReadOnlyList<ShotRow> Shots);

/// <summary>A shot with its raw holes; <paramref name="VoidReason"/> is null while it counts.</summary>
public sealed record ShotRow(
    string Id, int Number, Hole Point, Hole Tail, SheetSide Side, DateTimeOffset ShotAt, string? VoidReason, bool Doubtful = false, string? ArrowNumber = null, string? Words = null)
{
    /// <summary>The tear as the archer sees it.</summary>
    public Tear Tear() => Core.Paper.Tear.Between(Point, Tail, Side);
}

/// <summary>A rung of the ladder that was done, with its answer, or a note alone.</summary>
public sealed record NoteRow(string Id, string? AfterSetId, string? Rung, string? Outcome, string Note, DateTimeOffset NotedAt);

/// <summary>A shot to be added.</summary>
public sealed record NewShot(string Id, Hole Point, Hole Tail, SheetSide Side, string? ArrowNumber = null, string? Words = null);

/// <summary>A set to be started; its arrow is the paper's own unless one is named.</summary>
public sealed record NewSet(string Id, Entry Distance, bool Fletched, SetPurpose Purpose = SetPurpose.Session, string? ArrowVersionId = null);

public sealed class PaperStore(Database database, TimeProvider clock)
{
    /// <summary>Why a shot right after string work is not read.</summary>
    public const string Settles = "settles new string work";

    public IReadOnlyList<PaperRow> Of(string bowId) => database.Read(c =>
        database.Unreadable.Each("paper", c.Query<string>("SELECT id FROM paper WHERE bow_id = @bowId ORDER BY started_at DESC, rowid DESC", new { bowId }), id => id, id => Get(c, null, id)));

    /// <summary>The paper that was begun last and can be read, or null.</summary>
    public PaperRow? Newest(string bowId) => database.Read(c => c.Query<string>("SELECT id FROM paper WHERE bow_id = @bowId ORDER BY started_at DESC, rowid DESC", new { bowId })
        .SelectMany(id => database.Unreadable.Each("paper", [id], i => i, i => Get(c, null, i))).FirstOrDefault());

    /// <summary>The papers of a bow by their ids, the oldest first.</summary>
    public IReadOnlyList<string> Order(string bowId) => database.Read(c => c.Query<string>("SELECT id FROM paper WHERE bow_id = @bowId ORDER BY started_at, rowid", new { bowId }).ToArray());

    /// <summary>True once some paper of this bow was accepted.</summary>
    public bool AnyAccepted(string bowId) => database.Read(c => c.ExecuteScalar<bool>("SELECT EXISTS (SELECT 1 FROM paper WHERE bow_id = @bowId AND accepted_at IS NOT NULL)", new { bowId }));

    public PaperRow Get(string id) => database.Read(c => Get(c, null, id));

    /// <summary>Starts a paper with its first set; the same id again changes nothing.</summary>
    public PaperRow Start(string id, string bowId, string arrowVersionId, double tolerance, Entry distance, bool fletched, SessionPlan? plan = null) => database.Write((c, t) =>
    {
        _ = BowStore.Get(c, t, bowId).Sound();
        ArrowStore.CheckOfBow(c, t, arrowVersionId, bowId);
        plan ??= Alone(distance.Value, fletched);
        if (plan.DozenId is { } dozen && c.ExecuteScalar<string?>("SELECT bow_id FROM dozen WHERE id = @dozen", new { dozen }, t) != bowId)
        {
            throw new MissingException("dozen of this bow");
        }

        var added = c.Execute(
            "INSERT INTO paper (id, bow_id, arrow_version_id, tolerance, plan, started_at) VALUES (@id, @bowId, @arrowVersionId, @tolerance, @plan, @now) ON CONFLICT (id) DO NOTHING",
            new { id, bowId, arrowVersionId, tolerance, plan = FactsJson.Write(plan), now = Stamp.Of(clock.GetUtcNow()) }, t);
        if (added == 1)
        {
            AddSet(c, t, Get(c, t, id), new NewSet(Guid.NewGuid().ToString(), distance, fletched));
        }

        return Get(c, t, id);
    });

    /// <summary>Starts the next set at the bow's present setting. An empty set is changed instead.</summary>
    public PaperRow StartSet(string paperId, NewSet set) => database.Write((c, t) =>
    {
        var paper = Get(c, t, paperId);
        if (paper.Sets.Any(s => s.Id == set.Id))
        {
            return paper;
        }

        _ = BowStore.Get(c, t, paper.BowId).Sound();
        var arrow = set.ArrowVersionId ?? paper.ArrowVersionId;
        _ = ArrowStore.Version(c, t, arrow);
        if (paper.Sets is [.., { Shots.Count: 0 } empty])
        {
            c.Execute("UPDATE shot_set SET distance = @Value, distance_typed = @Typed, fletched = @Fletched, purpose = @purpose, arrow_version_id = @arrow WHERE id = @Id",
                new { set.Distance.Value, set.Distance.Typed, set.Fletched, purpose = FactsJson.Word(set.Purpose), arrow, empty.Id }, t);
        }
        else
        {
            AddSet(c, t, paper, set);
        }

        Touch(c, t, paperId);
        return Get(c, t, paperId);
    });

    /// <summary>Adds a shot to a set; the same id again changes nothing.</summary>
    /// <exception cref="RefusedException">A hole is off the sheet, or the tear is longer than any arrow leaves.</exception>
    public PaperRow AddShot(string setId, NewShot shot) => database.Write((c, t) =>
    {
        CheckHoles(shot.Point, shot.Tail);
        var paperId = c.ExecuteScalar<string?>("SELECT paper_id FROM shot_set WHERE id = @setId", new { setId }, t) ?? throw new MissingException("set");
        if (c.ExecuteScalar<long>("SELECT count(*) FROM shot WHERE id = @Id", new { shot.Id }, t) > 0)
        {
            return Get(c, t, paperId);
        }

        var paper = Get(c, t, paperId);
        _ = BowStore.Get(c, t, paper.BowId).Sound();
        setId = SetAtThisSetting(c, t, paper, setId);
        c.Execute(
            """
            INSERT INTO shot (id, set_id, number, point_x, point_y, tail_x, tail_y, side, shot_at, arrow_number, words)
            VALUES (@Id, @setId, 1 + (SELECT count(*) FROM shot WHERE set_id = @setId), @px, @py, @tx, @ty, @side, @now, @ArrowNumber, @Words)
            """,
            new { shot.Id, setId, px = shot.Point.X, py = shot.Point.Y, tx = shot.Tail.X, ty = shot.Tail.Y, side = FactsJson.Word(shot.Side), now = Stamp.Of(clock.GetUtcNow()), shot.ArrowNumber, shot.Words }, t);
        if (SetupStore.Fire(c, t, paper.BowId, shot.Id, "paper", clock.GetUtcNow()))
        {
            c.Execute("INSERT INTO shot_mark (id, shot_id, void, reason, marked_at) VALUES (@id, @shotId, 1, @Settles, @now)",
                new { id = $"{shot.Id}-settles", shotId = shot.Id, Settles, now = Stamp.Of(clock.GetUtcNow()) }, t);
        }

        Reopen(c, t, paperId);
        return Get(c, t, paperId);
    });

    /// <summary>Voids a shot with a reason, calls it doubtful, or counts it again when neither is said.</summary>
    public PaperRow Mark(string shotId, string markId, string? reason, bool doubtful = false) => database.Write((c, t) =>
    {
        var paperId = c.ExecuteScalar<string?>(
            "SELECT s.paper_id FROM shot h JOIN shot_set s ON s.id = h.set_id WHERE h.id = @shotId", new { shotId }, t) ?? throw new MissingException("shot");
        c.Execute("INSERT INTO shot_mark (id, shot_id, void, reason, marked_at, doubt) VALUES (@markId, @shotId, @isVoid, @reason, @now, @doubt) ON CONFLICT (id) DO NOTHING",
            new { markId, shotId, isVoid = reason is not null, reason = reason ?? "", now = Stamp.Of(clock.GetUtcNow()), doubt = doubtful && reason is null }, t);
        Touch(c, t, paperId);
        return Get(c, t, paperId);
    });

    /// <summary>Notes what was looked at, or words alone.</summary>
    public PaperRow Note(string paperId, string noteId, string? rung, string? outcome, string note) => database.Write((c, t) =>
    {
        var paper = Get(c, t, paperId);
        c.Execute("INSERT INTO paper_note (id, paper_id, after_set_id, rung, outcome, note, noted_at) VALUES (@noteId, @paperId, @set, @rung, @outcome, @note, @now) ON CONFLICT (id) DO NOTHING",
            new { noteId, paperId, set = paper.Sets[^1].Id, rung, outcome, note, now = Stamp.Of(clock.GetUtcNow()) }, t);
        Touch(c, t, paperId);
        return Get(c, t, paperId);
    });

    /// <summary>Takes a note back; it stays on record.</summary>
    public PaperRow WithdrawNote(string paperId, string noteId) => database.Write((c, t) =>
    {
        if (c.ExecuteScalar<long>("SELECT count(*) FROM paper_note WHERE id = @noteId AND paper_id = @paperId", new { noteId, paperId }, t) == 0)
        {
            throw new MissingException("note");
        }

        c.Execute("INSERT INTO withdrawn (entry_id, withdrawn_at) VALUES (@noteId, @now) ON CONFLICT DO NOTHING", new { noteId, now = Stamp.Of(clock.GetUtcNow()) }, t);
        Touch(c, t, paperId);
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
        var late = move.AfterSetId is { } after && after != last.Id;
        if (move.Corrects is null && last.Shots.Count > 0 && !late)
        {
            AddSet(c, t, paper, new NewSet(Guid.NewGuid().ToString(), new Entry(last.DistanceTyped, last.Distance), last.Fletched, ArrowVersionId: last.Purpose == SetPurpose.Session ? last.ArrowVersionId : null));
        }
        else if (last.Shots.Count == 0)
        {
            var state = BowStore.TakeState(c, t, paper.BowId, now);
            c.Execute("UPDATE shot_set SET bow_state_id = @state WHERE id = @Id", new { state, last.Id }, t);
        }

        Reopen(c, t, paperId);
        return Get(c, t, paperId);
    });

    /// <summary>"I accept this": ends the paper as it is and marks the bow as shot well with this arrow; or opens it again.</summary>
    /// <exception cref="RefusedException">The setting that the bow stands at was not shot.</exception>
    public PaperRow Accept(string paperId, bool accepted) => database.Write((c, t) =>
    {
        if (!accepted)
        {
            Reopen(c, t, paperId);
            return Get(c, t, paperId);
        }

        var paper = Get(c, t, paperId);
        var now = clock.GetUtcNow();
        if (paper.Plan.Kind == SessionKind.Tune)
        {
            CheckShot(paper, BowStore.Moves(c, t, paper.BowId));
        }

        c.Execute("UPDATE paper SET accepted_at = @at, version = version + 1 WHERE id = @paperId", new { paperId, at = Stamp.Of(now) }, t);
        if (paper.AcceptedAt is null && paper.Plan.Kind == SessionKind.Tune)
        {
            var last = paper.Sets.LastOrDefault(s => s.Purpose == SetPurpose.Session) ?? paper.Sets[^1];
            SetupStore.PutGood(c, t, paper.BowId, $"{paperId}-good-{paper.Version}", last.ArrowVersionId, $"accepted on paper, {new PlannedStage(last.Distance, last.Fletched).Words}", now);
        }

        return Get(c, t, paperId);
    });

    /// <summary>What is accepted is a setting that was shot: the bow stands as it did for the last set with a shot that counts.</summary>
    /// <exception cref="RefusedException">Nothing was shot, or the bow was moved since.</exception>
    private static void CheckShot(PaperRow paper, IReadOnlyList<MoveRow> moves)
    {
        if (paper.LastRead is not { } read)
        {
            throw new RefusedException("unshot", "No shot counts on this paper yet: there is nothing to accept.");
        }

        var late = paper.Sets.Where(s => s.Number < read.Number).Select(s => s.Id).ToHashSet();
        var since = moves.Where(m => m.Ordinal > read.AfterMove && (m.AfterSetId is null || !late.Contains(m.AfterSetId))).Select(m => m.Id).ToHashSet();
        var moved = MoveHistory.Effective([.. moves.Select(m => new LoggedMove(m.Id, m.Adjuster, m.From, m.To, m.Corrects, 0))])
            .Where(m => since.Contains(m.Id)).GroupBy(m => m.Kind).Any(g => g.Sum(m => m.To - m.From) != 0);
        if (moved)
        {
            throw new RefusedException("unshot", "Nothing was shot since the last move: shoot at this setting, or take the move back.");
        }
    }

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

    /// <summary>A set is one setting of the bow: once the bow was moved away from this paper, the next shot begins another set.</summary>
    private string SetAtThisSetting(IDbConnection c, IDbTransaction t, PaperRow paper, string setId)
    {
        var set = paper.Sets[^1];
        if (set.Id != setId || set.Shots.Count == 0)
        {
            return setId;
        }

        var moved = c.ExecuteScalar<long>(
            "SELECT count(*) FROM move WHERE bow_id = @BowId AND ordinal > @AfterMove AND corrects IS NULL AND (paper_id IS NULL OR paper_id <> @Id)", new { paper.BowId, set.AfterMove, paper.Id }, t);
        if (moved == 0)
        {
            return setId;
        }

        var next = new NewSet(Guid.NewGuid().ToString(), new Entry(set.DistanceTyped, set.Distance), set.Fletched, set.Purpose, set.ArrowVersionId);
        AddSet(c, t, paper, next);
        return next.Id;
    }

    /// <summary>The paper is in work again: what was marked as shot well by accepting it is taken back.</summary>
    private void Reopen(IDbConnection c, IDbTransaction t, string paperId)
    {
        c.Execute("INSERT INTO withdrawn (entry_id, withdrawn_at) SELECT id, @now FROM good_state WHERE id LIKE @like ON CONFLICT DO NOTHING", new { like = $"{paperId}-good-%", now = Stamp.Of(clock.GetUtcNow()) }, t);
        c.Execute("UPDATE paper SET accepted_at = NULL, version = version + 1 WHERE id = @paperId", new { paperId }, t);
    }

    private static void Touch(IDbConnection c, IDbTransaction t, string paperId) => c.Execute("UPDATE paper SET version = version + 1 WHERE id = @paperId", new { paperId }, t);

    private void AddSet(IDbConnection c, IDbTransaction t, PaperRow paper, NewSet set)
    {
        var now = clock.GetUtcNow();
        var state = BowStore.TakeState(c, t, paper.BowId, now);
        c.Execute(
            """
            INSERT INTO shot_set (id, paper_id, number, arrow_version_id, bow_state_id, distance, distance_typed, fletched, purpose, after_move, started_at)
            VALUES (@Id, @paperId, @number, @arrow, @state, @Value, @Typed, @Fletched, @purpose, (SELECT count(*) FROM move WHERE bow_id = @BowId), @now)
            """,
            new
            {
                set.Id,
                paperId = paper.Id,
                number = paper.Sets.Count + 1,
                arrow = set.ArrowVersionId ?? paper.ArrowVersionId,
                state,
                set.Distance.Value,
                set.Distance.Typed,
                set.Fletched,
                purpose = FactsJson.Word(set.Purpose),
                paper.BowId,
                now = Stamp.Of(now),
            }, t);
    }

    private static PaperRow Get(IDbConnection c, IDbTransaction? t, string id)
    {
        var row = c.QueryFirstOrDefault<(string BowId, string ArrowVersionId, double Tolerance, string? Plan, string StartedAt, string? AcceptedAt, int Version)?>(
            "SELECT bow_id, arrow_version_id, tolerance, plan, started_at, accepted_at, version FROM paper WHERE id = @id", new { id }, t) ?? throw new MissingException("paper");
        var shots = c.Query<ShotLine>(
            """
            SELECT h.id, h.set_id AS setId, h.number, h.point_x AS px, h.point_y AS py, h.tail_x AS tx, h.tail_y AS ty, h.side, h.shot_at AS shotAt,
              h.arrow_number AS arrowNumber, h.words,
              (SELECT CASE WHEN m.void THEN m.reason END FROM shot_mark m WHERE m.shot_id = h.id ORDER BY m.rowid DESC LIMIT 1) AS voidReason,
              (SELECT m.doubt FROM shot_mark m WHERE m.shot_id = h.id ORDER BY m.rowid DESC LIMIT 1) AS doubt
            FROM shot h JOIN shot_set s ON s.id = h.set_id WHERE s.paper_id = @id ORDER BY h.number
            """, new { id }, t).ToLookup(s => s.SetId, s => s.Row());
        var sets = c.Query<SetLine>(
            """
            SELECT id, number, arrow_version_id AS arrowVersionId, bow_state_id AS bowStateId, distance, distance_typed AS distanceTyped, fletched, purpose,
              after_move AS afterMove, started_at AS startedAt
            FROM shot_set WHERE paper_id = @id ORDER BY number
            """, new { id }, t).Select(s => s.Row([.. shots[s.Id]])).ToArray();
        var notes = c.Query<(string Id, string? Set, string? Rung, string? Outcome, string Note, string At)>(
            "SELECT id, after_set_id, rung, outcome, note, noted_at FROM paper_note WHERE paper_id = @id AND id NOT IN (SELECT entry_id FROM withdrawn) ORDER BY rowid", new { id }, t)
            .Select(n => new NoteRow(n.Id, n.Set, n.Rung, n.Outcome, n.Note, Stamp.Read(n.At)));
        var plan = row.Plan is null
            ? Alone(sets[0].Distance, sets[0].Fletched)
            : FactsJson.Read<SessionPlan>(row.Plan);
        return new PaperRow(id, row.BowId, row.ArrowVersionId, row.Tolerance, plan, Stamp.Read(row.StartedAt),
            row.AcceptedAt is null ? null : Stamp.Read(row.AcceptedAt), sets, [.. notes], row.Version);
    }

    /// <summary>The plan of a paper that has none: one stage, by the archer's own school.</summary>
    private static SessionPlan Alone(double distance, bool fletched) => new(SessionKind.Tune, null, [new PlannedStage(distance, fletched)], SessionPlan.UntilClear, false, null);

    private sealed class SetLine
    {
        public string Id { get; init; } = "";
        public long Number { get; init; }
        public string ArrowVersionId { get; init; } = "";
        public string BowStateId { get; init; } = "";
        public double Distance { get; init; }
        public string DistanceTyped { get; init; } = "";
        public long Fletched { get; init; }
        public string Purpose { get; init; } = "";
        public long AfterMove { get; init; }
        public string StartedAt { get; init; } = "";

        public SetRow Row(IReadOnlyList<ShotRow> shots) => new(Id, (int)Number, ArrowVersionId, BowStateId, Distance, DistanceTyped, Fletched == 1, FactsJson.Enum<SetPurpose>(Purpose), (int)AfterMove, Stamp.Read(StartedAt), shots);
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
        public long? Doubt { get; init; }
        public string? ArrowNumber { get; init; }
        public string? Words { get; init; }

        public ShotRow Row() => new(Id, (int)Number, new Hole(Px, Py), new Hole(Tx, Ty), FactsJson.Enum<SheetSide>(Side), Stamp.Read(ShotAt), VoidReason, Doubt == 1, ArrowNumber, Words);
    }
}

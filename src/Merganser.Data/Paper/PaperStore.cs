using System.Data;
using Dapper;
using Merganser.Core.Bows;
using Merganser.Core.Figures;
using Merganser.Core.Paper;
using Merganser.Core.Sessions;
using Merganser.Core.Tuning;
using Merganser.Core.Units;

namespace Merganser.Data;

/// <summary>A paper session as it is kept.</summary>
/// <param name="Bow">The bow it is shot from, as it stands.</param>
/// <param name="Moves">All moves of that bow.</param>
/// <param name="Session">The session, read from its events.</param>
public sealed record PaperRow(
    string Id,
    string ArrowVersionId,
    DateTimeOffset StartedAt,
    int Version,
    BowRow Bow,
    IReadOnlyList<MoveRow> Moves,
    TuningSession Session
);

/// <summary>A paper to be started.</summary>
public sealed record NewPaper(
    string Id,
    string BowId,
    string ArrowVersionId,
    double Tolerance,
    SessionPlan Plan,
    Entry FirstDistance
);

/// <summary>Paper sessions: their events are appended here and read back as they were.</summary>
public sealed class PaperStore(Database database, TimeProvider clock)
{
    private const string InOrder = "SELECT id FROM paper WHERE bow_id = @bowId ORDER BY started_at, rowid";

    /// <summary>
    /// The papers of a bow, the newest first; those that cannot be read are left out. No more are read than are wanted.
    /// </summary>
    public IReadOnlyList<PaperRow> Of(string bowId, int most = int.MaxValue)
    {
        var ids = database.Read(c => c.Query<string>(InOrder, new { bowId }).Reverse().ToArray());
        return [.. ids.SelectMany(id => database.Unreadable.Each("paper", [id], i => i, Get)).Take(most)];
    }

    /// <summary>The paper that was begun last and can be read, or null.</summary>
    public PaperRow? Newest(string bowId) => Of(bowId, 1).FirstOrDefault();

    /// <summary>True once some paper of this bow was accepted, and not opened again since.</summary>
    public bool AnyAccepted(string bowId) =>
        database.Read(c =>
            c.ExecuteScalar<bool>(
                """
                SELECT EXISTS (
                  SELECT 1 FROM session_act a JOIN paper p ON p.id = a.paper_id
                  WHERE p.bow_id = @bowId AND a.kind = 'accepted' AND NOT EXISTS (
                    SELECT 1 FROM session_act r WHERE r.paper_id = a.paper_id AND r.kind = 'reopened' AND r.rowid >
                    a.rowid))
                """,
                new { bowId }
            )
        );

    /// <summary>A paper with what the bow's earlier papers taught.</summary>
    public PaperRow Get(string id)
    {
        var (paper, learned) = database.Read(c =>
        {
            List<(string Id, string Fingerprint, Knowledge Knowledge)> anew = [];
            var bowId =
                c.ExecuteScalar<string?>("SELECT bow_id FROM paper WHERE id = @id", new { id })
                ?? throw new MissingException("paper");
            var earlier = c.Query<string>(InOrder, new { bowId })
                .TakeWhile(p => p != id)
                .TakeLast(Knowledge.EarlierPapers)
                .ToArray();
            var known = Knowledge.Of(
                earlier.Select(p => Load(c, null, p)).Where(p => !p.Session.IsTrial).Select(p => Learned(c, p, anew))
            );
            return (Load(c, null, id, known), anew);
        });
        Remember(learned);
        return paper;
    }

    /// <summary>Starts a paper with its first set; the same id again changes nothing.</summary>
    public PaperRow Start(NewPaper paper)
    {
        database.Write(
            (c, t) =>
            {
                _ = BowStore.Get(c, t, paper.BowId).Sound();
                ArrowStore.CheckOfBow(c, t, paper.ArrowVersionId, paper.BowId);
                var dozen = paper.Plan.DozenId;
                if (
                    dozen is not null
                    && c.ExecuteScalar<string?>("SELECT bow_id FROM dozen WHERE id = @dozen", new { dozen }, t)
                        != paper.BowId
                )
                {
                    throw new MissingException("dozen of this bow");
                }

                var now = clock.GetUtcNow();
                var added = c.Execute(
                    """
                    INSERT INTO paper (id, bow_id, arrow_version_id, tolerance, plan, started_at)
                    VALUES (@Id, @BowId, @ArrowVersionId, @Tolerance, @plan, @now) ON CONFLICT (id) DO NOTHING
                    """,
                    new
                    {
                        paper.Id,
                        paper.BowId,
                        paper.ArrowVersionId,
                        paper.Tolerance,
                        plan = FactsJson.Write(paper.Plan),
                        now = Stamp.Of(now),
                    },
                    t
                );
                if (added == 1)
                {
                    var first = SessionActs.First(
                        $"{paper.Id}-1",
                        paper.Plan.Stages[0],
                        paper.FirstDistance,
                        paper.ArrowVersionId
                    );
                    Write(c, t, paper.Id, paper.BowId, first, now, settling: false);
                }

                return added;
            }
        );
        return Get(paper.Id);
    }

    /// <summary>Marks a shot of a set; the same id again changes nothing.</summary>
    /// <exception cref="RefusedException">The bow is unsound, or the shot cannot be read.</exception>
    public PaperRow Mark(string setId, string id, Marked marked) =>
        Append(
            PaperOf("SELECT paper_id FROM shot_set WHERE id = @of", setId, "set"),
            id,
            (session, settling) => SessionActs.Mark(session, id, setId, marked, settling)
        );

    /// <summary>Voids a shot with a reason, calls it doubtful, or counts it again when neither is said.</summary>
    public PaperRow Judge(string shotId, string id, string? reason, bool doubtful)
    {
        var paper = PaperOf(
            "SELECT s.paper_id FROM shot h JOIN shot_set s ON s.id = h.set_id WHERE h.id = @of",
            shotId,
            "shot"
        );
        return Append(paper, id, _ => SessionActs.Judge(id, shotId, reason, doubtful));
    }

    /// <summary>Takes a note back; it stays on record.</summary>
    public PaperRow WithdrawNote(string paperId, string noteId) =>
        Append(paperId, $"{noteId}-withdrawn", _ => [new NewAct($"{noteId}-withdrawn", new EntryWithdrawn(noteId))]);

    /// <summary>
    /// Appends what follows from the session as it stands, in the same transaction. The same id again changes nothing.
    /// </summary>
    /// <param name="paperId">The paper.</param>
    /// <param name="id">The act's own id.</param>
    /// <param name="acts">What happens.</param>
    public PaperRow Append(string paperId, string id, Func<TuningSession, IReadOnlyList<NewAct>> acts) =>
        Append(paperId, id, (session, _) => acts(session));

    private PaperRow Append(string paperId, string id, Func<TuningSession, bool, IReadOnlyList<NewAct>> acts)
    {
        database.Write(
            (c, t) =>
            {
                var paper = Load(c, t, paperId);
                if (c.ExecuteScalar<bool>(Known, new { id }, t))
                {
                    return paper.Version;
                }

                var now = clock.GetUtcNow();
                var settling = SetupStore.Life(c, t, paper.Bow.Id).SettlingLeft > 0;
                foreach (var act in acts(paper.Session, settling))
                {
                    Write(c, t, paperId, paper.Bow.Id, act, now, settling);
                    Follow(c, t, paper, act, now);
                }

                return c.Execute("UPDATE paper SET version = version + 1 WHERE id = @paperId", new { paperId }, t);
            }
        );
        return Get(paperId);
    }

    private const string Known = """
        SELECT EXISTS (SELECT 1 FROM shot_set WHERE id = @id) OR EXISTS (SELECT 1 FROM shot WHERE id = @id)
          OR EXISTS (SELECT 1 FROM shot_mark WHERE id = @id) OR EXISTS (SELECT 1 FROM paper_note WHERE id = @id)
          OR EXISTS (SELECT 1 FROM move WHERE id = @id) OR EXISTS (SELECT 1 FROM session_act WHERE id = @id)
        """;

    private string PaperOf(string query, string of, string what) =>
        database.Read(c => c.ExecuteScalar<string?>(query, new { of })) ?? throw new MissingException(what);

    /// <summary>
    /// What the rest of the bow's record takes from an act: the state it was shot well in, and the state an empty set
    /// stands at.
    /// </summary>
    private static void Follow(IDbConnection c, IDbTransaction t, PaperRow paper, NewAct act, DateTimeOffset now)
    {
        var session = paper.Session;
        switch (act.Act)
        {
            case Accepted when !session.IsTrial:
                var begun = (session.Sets.LastOrDefault(s => s.OfSession) ?? session.Now).Begun;
                SetupStore.PutGood(
                    c,
                    t,
                    paper.Bow.Id,
                    $"{paper.Id}-good-{paper.Version}",
                    begun.Arrow,
                    "",
                    now,
                    begun.Stage
                );
                break;
            case Reopened:
                c.Execute(
                    """
                    INSERT INTO withdrawn (entry_id, withdrawn_at) SELECT id, @now FROM good_state WHERE id LIKE @like
                    ON CONFLICT DO NOTHING
                    """,
                    new { like = $"{paper.Id}-good-%", now = Stamp.Of(now) },
                    t
                );
                break;
            case MoveMade or MoveCorrected when session.Now.Shots.Count == 0:
                var state = BowStore.TakeState(c, t, paper.Bow.Id, now);
                c.Execute("UPDATE shot_set SET bow_state_id = @state WHERE id = @Id", new { state, session.Now.Id }, t);
                break;
        }
    }

    private static void Write(
        IDbConnection c,
        IDbTransaction t,
        string paperId,
        string bowId,
        NewAct happened,
        DateTimeOffset time,
        bool settling
    )
    {
        var (id, now) = (happened.Id, Stamp.Of(time));
        switch (happened.Act)
        {
            case SetBegun set:
                WriteSet(c, t, paperId, bowId, id, set, time);
                break;
            case ShotMarked shot:
                c.Execute(
                    """
                    INSERT INTO shot (id, set_id, number, point_x, point_y, tail_x, tail_y, side, shot_at, arrow_number,
                    words)
                    VALUES (@id, @Set, 1 + (SELECT count(*) FROM shot WHERE set_id = @Set), @px, @py, @tx, @ty, @side,
                    @now, @ArrowNumber, @words)
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
                    },
                    t
                );
                SetupStore.Fire(c, t, bowId, id, 1, settling, "paper", time);
                break;
            case ShotVoided mark:
                WriteMark(c, t, id, mark.Shot, mark.Reason, false, now);
                break;
            case ShotDoubted mark:
                WriteMark(c, t, id, mark.Shot, null, true, now);
                break;
            case ShotCounted mark:
                WriteMark(c, t, id, mark.Shot, null, false, now);
                break;
            case MoveAct move and not MoveTurnedBack:
                var wanted = new MoveWanted(
                    move.Adjuster,
                    move.To,
                    (move as MoveCorrected)?.Move,
                    move.Note,
                    happened.Happened,
                    move.Seats,
                    (move as MoveMade)?.AfterSet
                );
                BowStore.Log(c, t, new NewMove(id, bowId, paperId, wanted), time);
                break;
            case RungAnswered rung:
                WriteNote(c, t, paperId, id, FactsJson.Word(rung.Rung), rung.Outcome, rung.Note, now);
                break;
            case NoteMade note:
                WriteNote(c, t, paperId, id, null, null, note.Note, now);
                break;
            case EntryWithdrawn taken:
                Withdrawable.Take(c, t, paperId, taken.Entry, time, Withdrawable.Note);
                break;
            case ConditionsNoted conditions:
                WriteAct(c, t, paperId, id, "conditions", FactsJson.Write(conditions), now);
                break;
            case Accepted:
                WriteAct(c, t, paperId, id, "accepted", null, now);
                break;
            case Reopened:
                WriteAct(c, t, paperId, id, "reopened", null, now);
                break;
            default:
                throw new InvalidOperationException($"{happened.Act.GetType().Name} is not written by a paper.");
        }
    }

    private static void WriteSet(
        IDbConnection c,
        IDbTransaction t,
        string paperId,
        string bowId,
        string id,
        SetBegun set,
        DateTimeOffset now
    )
    {
        var row = new
        {
            id,
            paperId,
            bowId,
            set.Arrow,
            set.Stage.Distance,
            set.DistanceTyped,
            set.Stage.Fletched,
            purpose = FactsJson.Word(set.Purpose),
            set.Instead,
            state = set.Instead is null ? BowStore.TakeState(c, t, bowId, now) : null,
            now = Stamp.Of(now),
        };
        c.Execute(
            set.Instead is null
                ? """
                INSERT INTO shot_set (id, paper_id, number, arrow_version_id, bow_state_id, distance, distance_typed,
                fletched, purpose, after_move, started_at)
                VALUES (@id, @paperId, 1 + (SELECT count(*) FROM shot_set WHERE paper_id = @paperId), @Arrow, @state,
                @Distance, @DistanceTyped, @Fletched,
                  @purpose, (SELECT count(*) FROM move WHERE bow_id = @bowId), @now)
                """
                : """
                UPDATE shot_set SET distance = @Distance, distance_typed = @DistanceTyped, fletched = @Fletched, purpose
                = @purpose, arrow_version_id = @Arrow
                WHERE id = @Instead
                """,
            row,
            t
        );
    }

    private static void WriteMark(
        IDbConnection c,
        IDbTransaction t,
        string id,
        string shot,
        string? reason,
        bool doubt,
        string now
    ) =>
        c.Execute(
            "INSERT INTO shot_mark (id, shot_id, void, reason, marked_at, doubt) VALUES (@id, @shot, @isVoid, @reason, @now, @doubt)",
            new
            {
                id,
                shot,
                isVoid = reason is not null,
                reason = reason ?? "",
                now,
                doubt,
            },
            t
        );

    private static void WriteNote(
        IDbConnection c,
        IDbTransaction t,
        string paperId,
        string id,
        string? rung,
        string? outcome,
        string note,
        string now
    ) =>
        c.Execute(
            $"INSERT INTO paper_note (id, paper_id, after_set_id, rung, outcome, note, noted_at) VALUES (@id, @paperId, {LastSet}, @rung, @outcome, @note, @now)",
            new
            {
                id,
                paperId,
                rung,
                outcome,
                note,
                now,
            },
            t
        );

    private static void WriteAct(
        IDbConnection c,
        IDbTransaction t,
        string paperId,
        string id,
        string kind,
        string? facts,
        string now
    ) =>
        c.Execute(
            $"INSERT INTO session_act (id, paper_id, after_set_id, kind, facts, recorded_at) VALUES (@id, @paperId, {LastSet}, @kind, @facts, @now)",
            new
            {
                id,
                paperId,
                kind,
                facts,
                now,
            },
            t
        );

    private const string LastSet =
        "(SELECT s.id FROM shot_set s WHERE s.paper_id = @paperId ORDER BY s.number DESC LIMIT 1)";

    private static Knowledge Learned(IDbConnection c, PaperRow paper, List<(string, string, Knowledge)> anew)
    {
        var fingerprint = paper.Session.LearnedFrom().Fingerprint();
        var kept = c.ExecuteScalar<string?>(
            "SELECT fits FROM paper_learned WHERE paper_id = @Id AND fingerprint = @fingerprint",
            new { paper.Id, fingerprint }
        );
        if (kept is not null)
        {
            return new Knowledge(FactsJson.Read<StageFit[]>(kept));
        }

        var learned = paper.Session.Learned();
        anew.Add((paper.Id, fingerprint, learned));
        return learned;
    }

    private void Remember(List<(string PaperId, string Fingerprint, Knowledge Knowledge)> learned)
    {
        if (learned.Count == 0)
        {
            return;
        }

        database.Write(
            (c, t) =>
                c.Execute(
                    """
                    INSERT INTO paper_learned (paper_id, fingerprint, fits) VALUES (@PaperId, @Fingerprint, @fits)
                    ON CONFLICT (paper_id) DO UPDATE SET fingerprint = @Fingerprint, fits = @fits
                    """,
                    learned.Select(l => new
                    {
                        l.PaperId,
                        l.Fingerprint,
                        fits = FactsJson.Write(l.Knowledge.Fits),
                    }),
                    t
                )
        );
    }

    private static PaperRow Load(IDbConnection c, IDbTransaction? t, string id, Knowledge? known = null)
    {
        var row =
            c.QueryFirstOrDefault<(
                string BowId,
                string Arrow,
                double Tolerance,
                string? Plan,
                string StartedAt,
                int Version
            )?>(
                "SELECT bow_id, arrow_version_id, tolerance, plan, started_at, version FROM paper WHERE id = @id",
                new { id },
                t
            ) ?? throw new MissingException("paper");
        var bow = BowStore.Get(c, t, row.BowId);
        var moves = BowStore.Moves(c, t, row.BowId);
        var events = SessionRecord.Of(c, t, id, row.BowId, moves);
        var plan = row.Plan is null ? Alone(events) : FactsJson.Read<SessionPlan>(row.Plan);
        var archer = ArcherStore.Get(c, t, bow.ArcherId).Archer;
        var arrows = events
            .Select(e => e.Act)
            .OfType<SetBegun>()
            .Select(s => s.Arrow)
            .Distinct()
            .Select(version => Arrow(c, t, version));
        var session = new TuningSession(
            new SessionBow(bow.Bow, archer, bow.Adjusters, bow.Unsound),
            [.. arrows],
            plan,
            row.Tolerance,
            known ?? Knowledge.None,
            events
        );
        return new PaperRow(id, row.Arrow, Stamp.Read(row.StartedAt), row.Version, bow, moves, session);
    }

    private static SessionArrow Arrow(IDbConnection c, IDbTransaction? t, string version)
    {
        var kept = ArrowStore.Version(c, t, version);
        return new SessionArrow(version, kept.Typed.Name, kept.Arrow);
    }

    /// <summary>The plan of a paper that has none: one stage, by the archer's own school.</summary>
    private static SessionPlan Alone(IReadOnlyList<SessionEvent> events)
    {
        var first = events.Select(e => e.Act).OfType<SetBegun>().First();
        return new SessionPlan(SessionKind.Tune, null, [first.Stage], SessionPlan.UntilClear, false, null);
    }
}

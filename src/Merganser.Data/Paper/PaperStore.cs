using System.Collections.Concurrent;
using Merganser.Core.Figures;
using Merganser.Core.Paper;
using Merganser.Core.Sessions;
using Merganser.Core.Units;

namespace Merganser.Data;

/// <summary>A paper session as it is kept.</summary>
/// <param name="Bow">The bow it is shot from, as it stands.</param>
/// <param name="Moves">The moves of that bow since it was begun, and what they correct.</param>
/// <param name="Session">The session, read from its events.</param>
public sealed record PaperRow(
    string Id,
    string ArrowVersionId,
    DateTimeOffset StartedAt,
    int Version,
    BowRow Bow,
    IReadOnlyList<MoveRow> Moves,
    TuningSession Session
)
{
    /// <summary>The bow's sight as it was measured, where heads are shot; else null.</summary>
    public SightRow? Sight { get; init; }
}

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
    /// <summary>Of so many bows the papers that are marked stay in memory.</summary>
    private const int BowsInWork = 12;

    /// <summary>
    /// Papers as they stood after what was last marked: what is marked next follows from that. Without what is only
    /// worked out for the page: much of it, living for a minute, would be dear to clear away.
    /// </summary>
    private readonly ByRevision<ConcurrentDictionary<string, PaperRow>> lastMarked = new(BowsInWork);
    private readonly LearnedLately lately = new();

    private const string NewestFirst = """
        SELECT id FROM paper WHERE bow_id = @bowId ORDER BY started_at DESC, rowid DESC LIMIT @MostPassedOver
        """;

    private const string NewestTrials = """
        SELECT id FROM paper WHERE bow_id = @bowId AND plan ->> 'kind' = 'trial'
        ORDER BY started_at DESC, rowid DESC LIMIT @most
        """;

    /// <summary>A page of a bow's papers in a line each, the newest first.</summary>
    /// <param name="bowId">The bow.</param>
    /// <param name="most">So many at most.</param>
    /// <param name="before">Only those that were begun before this one; null for the newest.</param>
    public IReadOnlyList<PaperLine> Lines(string bowId, int most, string? before) =>
        database.Read(sql => PaperLines.Read(sql, database.Unreadable, bowId, most, before));

    private const int TrialsRemembered = 5;

    /// <summary>The newest trials of a bow, the newest first; those that cannot be read are left out.</summary>
    public IReadOnlyList<PaperRow> Trials(string bowId) =>
        database.Unreadable.Each(
            "paper",
            database.Read(sql => sql.Query<string>(NewestTrials, new { bowId, most = TrialsRemembered }).ToArray()),
            id => id,
            Get
        );

    /// <summary>The paper that was begun last and can be read, or null.</summary>
    public PaperRow? Newest(string bowId)
    {
        var ids = database.Read(sql =>
            sql.Query<string>(NewestFirst, new { bowId, Unreadable.MostPassedOver }).ToArray()
        );
        return database.Unreadable.First("paper", ids, Get);
    }

    /// <summary>True once some paper of this bow was accepted, and not opened again since.</summary>
    public bool AnyAccepted(string bowId) =>
        database.Read(sql =>
            sql.Scalar<bool>(
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

    /// <summary>True once a set of this bow was begun at the paper, or at a target.</summary>
    public bool WasShot(string bowId, bool atTarget) =>
        database.Read(sql =>
            sql.Scalar<bool>(
                """
                SELECT EXISTS (SELECT 1 FROM paper p JOIN shot_set s ON s.paper_id = p.id
                  WHERE p.bow_id = @bowId AND s.at_target = @atTarget)
                """,
                new { bowId, atTarget }
            )
        );

    /// <summary>A paper with what the bow's earlier papers taught.</summary>
    public PaperRow Get(string id) => Read(id, marked: false);

    private PaperRow Read(string id, bool marked)
    {
        var (paper, learned) = database.Read(sql =>
        {
            var (reader, kept) = (PaperReader.Of(sql, id), new LearnedStore(sql, lately));
            var own = kept.Earlier(id, earlier => reader.Read(earlier, Knowledge.None).Session);
            var make = kept.OfTheMake(id, other => PaperReader.Of(sql, other).Read(other, Knowledge.None).Session);
            var read = reader.Read(id, Knowledge.Of([make, own]));
            if (marked)
            {
                lastMarked.Of(sql, read.Bow.Id, () => [])[id] = read with { Session = read.Session.AsRecorded() };
            }

            return (read, kept.Anew);
        });
        LearnedStore.Keep(database, learned);
        return paper;
    }

    /// <summary>Starts a paper with its first set; the same id again changes nothing.</summary>
    public PaperRow Start(NewPaper paper)
    {
        database.Write(sql =>
        {
            _ = BowStore.Get(sql, paper.BowId).Sound();
            ArrowStore.CheckOfBow(sql, paper.ArrowVersionId, paper.BowId);
            var dozen = paper.Plan.DozenId;
            if (
                dozen is not null
                && sql.Scalar<string?>("SELECT bow_id FROM dozen WHERE id = @dozen", new { dozen }) != paper.BowId
            )
            {
                throw new MissingException("dozen of this bow");
            }

            var now = clock.GetUtcNow();
            var added = sql.Execute(
                """
                INSERT INTO paper (id, bow_id, arrow_version_id, tolerance, plan, dozen_id, started_at)
                VALUES (@Id, @BowId, @ArrowVersionId, @Tolerance, @plan, @DozenId, @now) ON CONFLICT (id) DO NOTHING
                """,
                new
                {
                    paper.Id,
                    paper.BowId,
                    paper.ArrowVersionId,
                    paper.Tolerance,
                    plan = Kept.Write(paper.Plan),
                    paper.Plan.DozenId,
                    now = Stamp.Of(now),
                }
            );
            if (added == 1)
            {
                var first = SessionActs.First(
                    $"{paper.Id}-1",
                    paper.Plan.Stages[0],
                    paper.FirstDistance,
                    paper.ArrowVersionId
                );
                SessionWriter.Write(sql, paper.Id, paper.BowId, first, now, settling: false);
            }

            return added;
        });
        return Get(paper.Id);
    }

    /// <summary>Marks a shot of a set; the same id again changes nothing.</summary>
    /// <exception cref="RefusedException">The bow is unsound, or the shot cannot be read.</exception>
    public PaperRow Mark(string setId, string id, IMarked marked) =>
        Append(
            PaperOf("SELECT paper_id FROM shot_set WHERE id = @of", setId, "set"),
            id,
            session => SessionActs.Mark(session, id, setId, marked, session.Bow.SettlingLeft > 0)
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

    /// <summary>Marks the hits of a table, all of them or none; the same id again changes nothing.</summary>
    /// <param name="setId">Their set.</param>
    /// <param name="id">The act's own id.</param>
    /// <param name="read">Reads them for what is shot in the set.</param>
    public PaperRow MarkAll(string setId, string id, Func<PlannedStage, IReadOnlyList<IMarked>> read)
    {
        var paper = PaperOf("SELECT paper_id FROM shot_set WHERE id = @of", setId, "set");
        return Append(
            paper,
            id,
            session =>
            {
                var stage = session.Sets.First(s => s.Id == setId).Begun.Stage;
                return SessionActs.MarkAll(session, id, setId, read(stage), session.Bow.SettlingLeft);
            }
        );
    }

    /// <summary>Voids the hits of a table at once; the same id again changes nothing.</summary>
    public PaperRow VoidTable(string table, string id)
    {
        var paper = PaperOf(
            "SELECT s.paper_id FROM shot h JOIN shot_set s ON s.id = h.set_id WHERE h.id = @of",
            table,
            "shot"
        );
        return Append(paper, id, session => SessionActs.VoidTable(session, id, table));
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
    public PaperRow Append(string paperId, string id, Func<TuningSession, IReadOnlyList<NewAct>> acts)
    {
        database.Write(sql =>
        {
            var paper = AsItStands(sql, paperId);
            if (sql.Scalar<bool>(Known, new { id }))
            {
                return paper.Version;
            }

            var now = clock.GetUtcNow();
            var settling = paper.Session.Bow.SettlingLeft;
            foreach (var act in acts(paper.Session))
            {
                SessionWriter.Write(sql, paperId, paper.Bow.Id, act, now, settling > 0);
                settling -= act.Act is ShotMarked ? 1 : 0;
                SessionWriter.Follow(sql, paper, act, now);
            }

            return sql.Execute("UPDATE paper SET version = version + 1 WHERE id = @paperId", new { paperId });
        });
        return Read(paperId, marked: true);
    }

    /// <summary>As it was after the last mark, or read anew where something was written of its bow since.</summary>
    private PaperRow AsItStands(Sql sql, string id) =>
        sql.Scalar<string?>("SELECT bow_id FROM paper WHERE id = @id", new { id }) is not { } bowId
            ? throw new MissingException("paper")
        : lastMarked.Of(sql, bowId, () => []).TryGetValue(id, out var read) ? read
        : new PaperReader(sql, bowId).Read(id, Knowledge.None);

    private const string Known = """
        SELECT EXISTS (SELECT 1 FROM shot_set WHERE id = @id) OR EXISTS (SELECT 1 FROM shot WHERE id = @id)
          OR EXISTS (SELECT 1 FROM shot_mark WHERE id = @id) OR EXISTS (SELECT 1 FROM paper_note WHERE id = @id)
          OR EXISTS (SELECT 1 FROM move WHERE id = @id) OR EXISTS (SELECT 1 FROM session_act WHERE id = @id)
          OR EXISTS (SELECT 1 FROM sight_mark WHERE id = @id)
        """;

    private string PaperOf(string query, string of, string what) =>
        database.Read(sql => sql.Scalar<string?>(query, new { of })) ?? throw new MissingException(what);
}

using Merganser.Core.Sessions;
using Merganser.Core.Tuning;

namespace Merganser.Data;

/// <summary>What a paper taught, and the state of the record that it was learned from.</summary>
internal sealed record TaughtPaper(string PaperId, string Fingerprint, Knowledge Knowledge);

/// <summary>
/// What earlier papers taught: kept beside each under a fingerprint of the record that it was learned from, and learned
/// anew when that differs. The fingerprint counts what is only ever added, so that the paper itself is not read for it.
/// </summary>
internal sealed class LearnedStore(Sql sql)
{
    /// <summary>The state of the record that bears on what a paper teaches.</summary>
    private const string Fingerprint = """
        concat_ws(' ', @Model,
          (SELECT group_concat(concat_ws(',', a.kind, a.lower, a.upper, a.inches_per_step, a.way), ' ') FROM adjuster a
            WHERE a.bow_id = p.bow_id AND a.fitted = 1),
          (SELECT count(*) FROM response_reset r WHERE r.bow_id = p.bow_id),
          (SELECT count(*) FROM response_reset r JOIN withdrawn w ON w.entry_id = r.id WHERE r.bow_id = p.bow_id),
          (SELECT count(*) FROM bow_change c WHERE c.bow_id = p.bow_id AND c.happened_at > p.started_at
            AND c.happened_at <= (
              SELECT max(h.shot_at) FROM shot_set s JOIN shot h ON h.set_id = s.id WHERE s.paper_id = p.id)
            AND NOT EXISTS (SELECT 1 FROM withdrawn w WHERE w.entry_id = c.id)),
          (SELECT count(*) FROM move m WHERE m.bow_id = p.bow_id AND m.corrects IS NOT NULL),
          (SELECT count(*) FROM move m WHERE m.paper_id = p.id),
          (SELECT count(*) FROM shot_set s WHERE s.paper_id = p.id),
          (SELECT count(*) FROM sight_mark k WHERE k.paper_id = p.id),
          (SELECT count(*) FROM shot_set s JOIN shot h ON h.set_id = s.id WHERE s.paper_id = p.id),
          (SELECT count(*) FROM shot_set s JOIN shot h ON h.set_id = s.id JOIN shot_mark k ON k.shot_id = h.id
            WHERE s.paper_id = p.id))
        """;

    /// <summary>The last papers of the same bow that were begun before one, the newest first.</summary>
    private const string Before = $"""
        SELECT p.id, {Fingerprint} AS fingerprint, l.fingerprint, l.fits
        FROM paper me JOIN paper p ON p.bow_id = me.bow_id LEFT JOIN paper_learned l ON l.paper_id = p.id
        WHERE me.id = @paperId AND (p.started_at, p.rowid) < (me.started_at, me.rowid)
        ORDER BY p.started_at DESC, p.rowid DESC LIMIT @EarlierPapers
        """;

    /// <summary>The last paper of each other bow of the same make, begun before one.</summary>
    private const string OfMake = $"""
        SELECT p.id, b.name, {Fingerprint} AS fingerprint, l.fingerprint, l.fits
        FROM paper me JOIN bow mine ON mine.id = me.bow_id
          JOIN bow b ON b.make = mine.make AND b.id <> mine.id
          JOIN paper p ON p.id = (
            SELECT q.id FROM paper q
            WHERE q.bow_id = b.id AND (q.started_at, q.rowid) < (me.started_at, me.rowid)
            ORDER BY q.started_at DESC, q.rowid DESC LIMIT 1)
          LEFT JOIN paper_learned l ON l.paper_id = p.id
        WHERE me.id = @paperId AND mine.make <> '' AND mine.borrows = 1
        ORDER BY p.started_at DESC LIMIT @BowsOfMake
        """;

    private readonly List<TaughtPaper> anew = [];

    /// <summary>What was learned while reading and is not kept yet.</summary>
    public IReadOnlyList<TaughtPaper> Anew => anew;

    /// <summary>What the papers before one taught. A trial teaches nothing.</summary>
    /// <param name="paperId">The paper.</param>
    /// <param name="read">Reads an earlier paper, where what it taught is not kept.</param>
    public Knowledge Earlier(string paperId, Func<string, TuningSession> read)
    {
        var earlier = sql.Query<(string Id, string Now, string? Then, string? Fits)>(
                Before,
                new
                {
                    paperId,
                    Knowledge.EarlierPapers,
                    Knowledge.Model,
                }
            )
            .Reverse();
        return Knowledge.Of(earlier.Select(paper => Taught(paper, read)));
    }

    /// <summary>Keeps what was learned.</summary>
    public static void Keep(Database database, IReadOnlyList<TaughtPaper> learned)
    {
        if (learned.Count == 0)
        {
            return;
        }

        database.KeepIfItCan(sql =>
            sql.Execute(
                """
                INSERT INTO paper_learned (paper_id, fingerprint, fits) VALUES (@PaperId, @Fingerprint, @fits)
                ON CONFLICT (paper_id) DO UPDATE SET fingerprint = @Fingerprint, fits = @fits
                """,
                learned.Select(l => new
                {
                    l.PaperId,
                    l.Fingerprint,
                    fits = FactsJson.Write(l.Knowledge.Fits),
                })
            )
        );
    }

    /// <summary>What other bows of the same make taught, where that is not set aside.</summary>
    /// <param name="paperId">The paper.</param>
    /// <param name="read">Reads a paper of another bow, where what it taught is not kept.</param>
    public Knowledge OfTheMake(string paperId, Func<string, TuningSession> read)
    {
        var papers = sql.Query<(string Id, string Bow, string Now, string? Then, string? Fits)>(
            OfMake,
            new
            {
                paperId,
                Knowledge.BowsOfMake,
                Knowledge.Model,
            }
        );
        return Knowledge.Of(
            papers.Select(paper => Taught((paper.Id, paper.Now, paper.Then, paper.Fits), read).Of(paper.Bow))
        );
    }

    /// <summary>What a paper taught: as it was kept, or learned anew where the record differs.</summary>
    private Knowledge Taught(
        (string Id, string Now, string? Then, string? Fits) paper,
        Func<string, TuningSession> read
    )
    {
        if (paper.Now == paper.Then)
        {
            return new Knowledge(FactsJson.Read<StageFit[]>(paper.Fits!));
        }

        var session = read(paper.Id);
        var learned = session.IsTrial ? Knowledge.None : session.Learned();
        anew.Add(new TaughtPaper(paper.Id, paper.Now, learned));
        return learned;
    }
}

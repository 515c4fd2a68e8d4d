using System.Collections.Concurrent;
using Merganser.Core.Sessions;
using Merganser.Core.Tuning;

namespace Merganser.Data;

/// <summary>What a paper taught, and the state of the record that it was learned from.</summary>
internal sealed record TaughtPaper(string PaperId, string Fingerprint, Knowledge Knowledge);

/// <summary>
/// What earlier papers taught: kept beside each under a fingerprint of the record that it was learned from, and learned
/// anew when that differs. The fingerprint counts what is only ever added, so that the paper itself is not read for it.
/// </summary>
internal sealed class LearnedStore(Sql sql, LearnedLately lately)
{
    /// <summary>The state of the bow's record that bears on what any of its papers teaches.</summary>
    private const string OfBow = """
        concat_ws(' ', @Model,
          (SELECT group_concat(concat_ws(',', a.kind, a.lower, a.upper, a.inches_per_step, a.way), ' ') FROM adjuster a
            WHERE a.bow_id = b.id AND a.fitted = 1),
          (SELECT count(*) FROM response_reset r WHERE r.bow_id = b.id),
          (SELECT count(*) FROM response_reset r JOIN withdrawn w ON w.entry_id = r.id WHERE r.bow_id = b.id),
          (SELECT count(*) FROM move m WHERE m.bow_id = b.id AND m.corrects IS NOT NULL))
        """;

    /// <summary>And of the paper's own: each of its acts raises its version.</summary>
    private const string OfPaper = """
        concat_ws(' ', p.version,
          (SELECT count(*) FROM bow_change c WHERE c.bow_id = p.bow_id AND c.happened_at > p.started_at
            AND c.happened_at <= (
              SELECT max(h.shot_at) FROM shot_set s JOIN shot h ON h.set_id = s.id WHERE s.paper_id = p.id)
            AND NOT EXISTS (SELECT 1 FROM withdrawn w WHERE w.entry_id = c.id)))
        """;

    /// <summary>The last papers of the same bow that were begun before one, the newest first.</summary>
    private const string Before = $"""
        WITH mine AS MATERIALIZED (
          SELECT {OfBow} AS stands FROM paper me JOIN bow b ON b.id = me.bow_id WHERE me.id = @paperId),
        earlier AS MATERIALIZED (
          SELECT o.id FROM paper me JOIN paper o ON o.bow_id = me.bow_id
          WHERE me.id = @paperId AND (o.started_at, o.rowid) < (me.started_at, me.rowid)
          ORDER BY o.started_at DESC, o.rowid DESC LIMIT @EarlierPapers)
        SELECT p.id, mine.stands || ' ' || {OfPaper} AS fingerprint, l.fingerprint, l.fits
        FROM earlier JOIN paper p ON p.id = earlier.id JOIN mine LEFT JOIN paper_learned l ON l.paper_id = p.id
        ORDER BY p.started_at DESC, p.rowid DESC
        """;

    /// <summary>The last paper of each other bow of the same make, begun before one.</summary>
    private const string OfMake = $"""
        WITH last AS MATERIALIZED (
          SELECT (
            SELECT q.id FROM paper q
            WHERE q.bow_id = o.id AND (q.started_at, q.rowid) < (me.started_at, me.rowid)
            ORDER BY q.started_at DESC, q.rowid DESC LIMIT 1) AS id
          FROM paper me JOIN bow mine ON mine.id = me.bow_id JOIN bow o ON o.make = mine.make AND o.id <> mine.id
          WHERE me.id = @paperId AND mine.make <> '' AND mine.borrows = 1),
        newest AS MATERIALIZED (
          SELECT q.id FROM last JOIN paper q ON q.id = last.id ORDER BY q.started_at DESC LIMIT @BowsOfMake)
        SELECT p.id, b.name, {OfBow} || ' ' || {OfPaper} AS fingerprint, l.fingerprint, l.fits
        FROM newest JOIN paper p ON p.id = newest.id JOIN bow b ON b.id = p.bow_id
          LEFT JOIN paper_learned l ON l.paper_id = p.id
        ORDER BY p.started_at DESC
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
            return lately.Of(paper.Id, paper.Now, paper.Fits!);
        }

        var session = read(paper.Id);
        var learned = session.IsTrial ? Knowledge.None : session.Learned();
        anew.Add(new TaughtPaper(paper.Id, paper.Now, learned));
        return learned;
    }
}

/// <summary>What papers taught, as it was read lately; read again where what is kept differs.</summary>
internal sealed class LearnedLately
{
    /// <summary>The earlier papers of some twenty bows.</summary>
    private const int MostPapers = 120;

    private readonly ConcurrentDictionary<string, (string Fingerprint, Knowledge Knowledge)> read = new();

    /// <summary>What a paper taught.</summary>
    /// <param name="paperId">The paper.</param>
    /// <param name="fingerprint">The state of the record that it was learned from.</param>
    /// <param name="fits">As it is kept.</param>
    public Knowledge Of(string paperId, string fingerprint, string fits)
    {
        if (read.TryGetValue(paperId, out var lately) && lately.Fingerprint == fingerprint)
        {
            return lately.Knowledge;
        }

        if (read.Count >= MostPapers)
        {
            read.Clear();
        }

        var knowledge = new Knowledge(FactsJson.Read<StageFit[]>(fits));
        read[paperId] = (fingerprint, knowledge);
        return knowledge;
    }
}

using Merganser.Core.Sessions;
using Merganser.Core.Tuning;

namespace Merganser.Data;

/// <summary>
/// What earlier papers taught: kept beside each under a fingerprint of what it was learned from, and learned anew when
/// that differs.
/// </summary>
internal sealed class LearnedStore(Sql sql)
{
    private readonly List<(string PaperId, string Fingerprint, Knowledge Knowledge)> anew = [];

    /// <summary>What was learned while reading and is not kept yet.</summary>
    public IReadOnlyList<(string PaperId, string Fingerprint, Knowledge Knowledge)> Anew => anew;

    /// <summary>What a paper taught.</summary>
    public Knowledge Of(PaperRow paper)
    {
        var fingerprint = paper.Session.LearnedFrom().Fingerprint();
        var kept = sql.Scalar<string?>(
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

    /// <summary>Keeps what was learned.</summary>
    public static void Keep(
        Database database,
        IReadOnlyList<(string PaperId, string Fingerprint, Knowledge Knowledge)> learned
    )
    {
        if (learned.Count == 0)
        {
            return;
        }

        database.Write(sql =>
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
}

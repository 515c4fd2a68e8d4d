using Merganser.Core.Paper;

namespace Merganser.Data;

/// <summary>A paper in a line: what stands in a list of them.</summary>
public sealed record PaperLine(
    string Id,
    DateTimeOffset StartedAt,
    DateTimeOffset? AcceptedAt,
    SessionKind Kind,
    string ArrowName,
    int ArrowVersion,
    int Sets,
    int Shots
);

/// <summary>Reads papers as lines, counted by the file itself.</summary>
internal static class PaperLines
{
    private const string Page = """
        SELECT p.id, p.started_at, coalesce(p.plan ->> 'kind', 'tune'),
          (SELECT a.recorded_at FROM session_act a WHERE a.paper_id = p.id AND a.kind = 'accepted' AND NOT EXISTS (
            SELECT 1 FROM session_act r WHERE r.paper_id = p.id AND r.kind = 'reopened' AND r.rowid > a.rowid)
            ORDER BY a.rowid DESC LIMIT 1),
          v.typed ->> 'name', v.number,
          (SELECT count(*) FROM shot_set s WHERE s.paper_id = p.id),
          (SELECT count(*) FROM shot h JOIN shot_set s ON s.id = h.set_id WHERE s.paper_id = p.id)
        FROM paper p JOIN arrow_version v ON v.id = p.arrow_version_id
        WHERE p.bow_id = @bowId AND (@before IS NULL OR (p.started_at, p.rowid) < (
          SELECT e.started_at, e.rowid FROM paper e WHERE e.id = @before))
        ORDER BY p.started_at DESC, p.rowid DESC LIMIT @most
        """;

    /// <summary>A page of them; those that cannot be read are left out.</summary>
    public static IReadOnlyList<PaperLine> Read(
        Sql sql,
        Unreadable unreadable,
        string bowId,
        int most,
        string? before
    ) =>
        unreadable.Each(
            "paper",
            sql.Query<(
                string Id,
                string StartedAt,
                string Kind,
                string? AcceptedAt,
                string ArrowName,
                int ArrowVersion,
                int Sets,
                int Shots
            )>(
                    Page,
                    new
                    {
                        bowId,
                        most,
                        before,
                    }
                )
                .ToArray(),
            p => p.Id,
            p => new PaperLine(
                p.Id,
                Stamp.Read(p.StartedAt),
                p.AcceptedAt is null ? null : Stamp.Read(p.AcceptedAt),
                FactsJson.Enum<SessionKind>(p.Kind),
                p.ArrowName,
                p.ArrowVersion,
                p.Sets,
                p.Shots
            )
        );
}

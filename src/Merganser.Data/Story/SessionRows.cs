namespace Merganser.Data;

/// <summary>The newest sessions of a bow, for its story.</summary>
internal static class SessionRows
{
    private const int Told = 3;

    public static StorySession[] Newest(Sql sql, string bowId)
    {
        var papers = sql.Query<(string Id, string? AcceptedAt, int Moves, string Set)>(
                """
                SELECT p.id,
                  (SELECT a.recorded_at FROM session_act a WHERE a.paper_id = p.id AND a.kind = 'accepted' AND NOT EXISTS (
                    SELECT 1 FROM session_act r WHERE r.paper_id = p.id AND r.kind = 'reopened' AND r.rowid > a.rowid)
                    ORDER BY a.rowid DESC LIMIT 1),
                  (SELECT count(*) FROM move m WHERE m.paper_id = p.id AND m.corrects IS NULL), s.id
                FROM (SELECT id, started_at, rowid AS place FROM paper o WHERE o.bow_id = @bowId AND EXISTS (
                    SELECT 1 FROM shot h JOIN shot_set t ON t.id = h.set_id WHERE t.paper_id = o.id)
                  ORDER BY started_at DESC, rowid DESC LIMIT @Told) p
                JOIN shot_set s ON s.paper_id = p.id
                WHERE EXISTS (SELECT 1 FROM shot h WHERE h.set_id = s.id)
                ORDER BY p.started_at DESC, p.place DESC, s.number
                """,
                new { bowId, Told }
            )
            .ToArray();
        var sets = StorySets.Of(sql, [.. papers.Select(p => p.Set)]);
        return
        [
            .. papers
                .GroupBy(p => (p.Id, p.AcceptedAt, p.Moves))
                .Select(g => new StorySession(
                    [.. g.Select(p => sets[p.Set])],
                    g.Key.AcceptedAt is null ? null : Stamp.Read(g.Key.AcceptedAt),
                    g.Key.Moves
                )),
        ];
    }
}

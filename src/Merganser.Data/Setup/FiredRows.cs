namespace Merganser.Data;

/// <summary>Shots away from the papers, as they were entered.</summary>
public sealed record EnteredShots(string Id, int Count, bool Settling, DateTimeOffset FiredAt);

/// <summary>The shots of a bow's string.</summary>
internal static class FiredRows
{
    /// <summary>All shots that were ever counted on a bow, those that were taken back among them.</summary>
    internal const string Ever = """
        (SELECT coalesce(sum(t.count), 0) FROM shots_total t WHERE t.bow_id = @bowId)
          + (SELECT coalesce(sum(f.count), 0) FROM withdrawn w CROSS JOIN shots_fired f ON f.id = w.entry_id
            WHERE w.kind = 'shots' AND f.bow_id = @bowId)
        """;

    /// <summary>Shots that still settle new string work before any is read.</summary>
    public static int SettlingLeft(Sql sql, string bowId) => SetupReader.String(sql, bowId).SettlingLeft;

    /// <summary>What was entered by hand and not taken back, the newest first.</summary>
    public static EnteredShots[] Entered(Sql sql, string bowId, int most) =>
        [
            .. sql.Query<(string Id, int Count, bool Settling, string At)>(
                    """
                    SELECT id, count, settling, fired_at FROM shots_fired f
                    WHERE bow_id = @bowId AND source = 'entered'
                      AND NOT EXISTS (SELECT 1 FROM withdrawn w WHERE w.entry_id = f.id)
                    ORDER BY rowid DESC LIMIT @most
                    """,
                    new { bowId, most }
                )
                .Select(f => new EnteredShots(f.Id, f.Count, f.Settling, Stamp.Read(f.At))),
        ];

    /// <summary>Counts shots of this bow's string.</summary>
    public static void Fire(
        Sql sql,
        string bowId,
        string id,
        int count,
        bool settling,
        string source,
        DateTimeOffset now
    )
    {
        if (count <= 0)
        {
            return;
        }

        sql.Execute(
            $"""
            INSERT INTO shots_fired (id, bow_id, count, settling, source, after_move, after_change, fired_at)
            VALUES (@id, @bowId, @count, @settling, @source,
              {MoveLog.Made},
              {ChangeRows.Made}, @now)
            ON CONFLICT (id) DO NOTHING
            """,
            new
            {
                id,
                bowId,
                count,
                settling,
                source,
                now = Stamp.Of(now),
            }
        );
    }
}

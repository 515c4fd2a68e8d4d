namespace Merganser.Data;

/// <summary>The shots of a bow's string.</summary>
internal static class StringShots
{
    /// <summary>Shots that still settle new string work before any is read.</summary>
    public static int SettlingLeft(Sql sql, string bowId) => SetupReader.Of(sql, bowId).String.SettlingLeft;

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
            """
            INSERT INTO shots_fired (id, bow_id, count, settling, source, after_move, after_change, fired_at)
            VALUES (@id, @bowId, @count, @settling, @source, (SELECT count(*) FROM move WHERE bow_id = @bowId), (SELECT
            count(*) FROM bow_change WHERE bow_id = @bowId), @now)
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

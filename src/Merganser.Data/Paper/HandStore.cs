using Merganser.Core.Groups;

namespace Merganser.Data;

/// <summary>The hits of a bow at targets that tell of the hand that shot them.</summary>
public sealed class HandStore(Database database)
{
    /// <summary>So many are read, the newest: years ago it was another hand.</summary>
    public const int Most = 1500;

    private readonly ByRevision<HandHit[]> kept = new(most: 32);

    /// <summary>
    /// The newest hits in order, without voided ones, controls, machines and other archers. Read anew once something
    /// was written about the bow.
    /// </summary>
    public IReadOnlyList<HandHit> Of(string bowId) => database.Read(sql => kept.Of(sql, bowId, () => Read(sql, bowId)));

    private static HandHit[] Read(Sql sql, string bowId) =>
        [
            .. sql.Query<(
                string SetId,
                string At,
                double Yards,
                string Arrow,
                string Kind,
                double X,
                double Y,
                string? Way,
                double? SightFor
            )>(
                    """
                    SELECT h.set_id, h.shot_at, coalesce(h.yards, s.distance), v.typed ->> 'name',
                      coalesce(h.tip, h.arrow_kind), h.point_x, h.point_y, h.way, h.sight_for
                    FROM paper p JOIN shot_set s ON s.paper_id = p.id JOIN shot h ON h.set_id = s.id
                      JOIN arrow_version v ON v.id = s.arrow_version_id
                    WHERE p.bow_id = @bowId AND s.at_target = 1 AND s.purpose = 'session'
                      AND NOT coalesce(p.plan ->> 'byMachine', 0) AND NOT (s.way_kind IS 'shooter' AND h.way IS 'second')
                      AND NOT coalesce((SELECT m.void FROM shot_mark m WHERE m.shot_id = h.id ORDER BY m.rowid DESC LIMIT 1), 0)
                    ORDER BY h.shot_at DESC, h.rowid DESC LIMIT @Most
                    """,
                    new { bowId, Most }
                )
                .Select(h => new HandHit(
                    FormattableString.Invariant($"{h.SetId} {h.Kind} {h.Yards} {h.Way} {h.SightFor}"),
                    Stamp.Read(h.At),
                    h.Yards,
                    h.Arrow,
                    FactsJson.Enum<ArrowKind>(h.Kind),
                    new Impact(h.X, h.Y)
                ))
                .Reverse(),
        ];
}

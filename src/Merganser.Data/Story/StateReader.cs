using Merganser.Core.Bows;
using Merganser.Core.Setup;
using Merganser.Core.Story;

namespace Merganser.Data;

/// <summary>What stood on record of a bow at a time.</summary>
internal static class StateReader
{
    public static StateThen Of(Sql sql, string bowId, DateTimeOffset at)
    {
        var until = new { bowId, at = Stamp.Of(at) };
        var arrow = ArrowOf(sql, until);
        var (putOn, shots) = StringOf(sql, until);
        return new StateThen(
            at,
            Positions(sql, until),
            Findings(sql, until),
            shots,
            putOn,
            arrow?.Arrow,
            arrow?.Since,
            StorySets.BarePapers(sql, bowId, at, 1).FirstOrDefault(),
            StorySets.Groups(sql, bowId, at, 1).FirstOrDefault(),
            SpeedOf(sql, until)
        );
    }

    /// <summary>
    /// Where each adjuster stood: after its last entry until then; before its first one where that came later.
    /// </summary>
    private static Dictionary<AdjusterKind, StoodThen> Positions(Sql sql, object until) =>
        sql.Query<(string Kind, double Position, string? MovedAt)>(
                """
                SELECT a.kind, coalesce(
                    (SELECT m.to_step + m.to_half / 2.0 FROM move m WHERE m.bow_id = @bowId AND m.adjuster = a.kind
                      AND m.happened_at <= @at ORDER BY m.ordinal DESC LIMIT 1),
                    (SELECT m.from_step + m.from_half / 2.0 FROM move m WHERE m.bow_id = @bowId AND m.adjuster = a.kind
                      AND m.happened_at > @at ORDER BY m.ordinal LIMIT 1),
                    a.position + a.half / 2.0),
                  (SELECT m.happened_at FROM move m WHERE m.bow_id = @bowId AND m.adjuster = a.kind
                    AND m.happened_at <= @at ORDER BY m.ordinal DESC LIMIT 1)
                FROM adjuster a WHERE a.bow_id = @bowId AND a.fitted = 1
                """,
                until
            )
            .ToDictionary(
                p => FactsJson.Enum<AdjusterKind>(p.Kind),
                p => new StoodThen(p.Position, p.MovedAt is null ? null : Stamp.Read(p.MovedAt))
            );

    private static Dictionary<CheckKind, FoundThen> Findings(Sql sql, object until) =>
        sql.Query<(string Kind, double? Value, string? Choice, string At)>(
                """
                SELECT f.kind, f.value, f.choice, f.found_at FROM check_finding f WHERE f.rowid IN (
                  SELECT max(o.rowid) FROM check_finding o WHERE o.bow_id = @bowId AND o.found_at <= @at
                    AND o.skip_reason IS NULL AND NOT EXISTS (SELECT 1 FROM withdrawn w WHERE w.entry_id = o.id)
                  GROUP BY o.kind)
                """,
                until
            )
            .ToDictionary(
                f => FactsJson.Enum<CheckKind>(f.Kind),
                f => new FoundThen(
                    new StoryFinding(FactsJson.Enum<CheckKind>(f.Kind), f.Value, f.Choice, null),
                    Stamp.Read(f.At)
                )
            );

    /// <summary>The arrow of the newest set, or the newest that was kept; and since when it was the one.</summary>
    private static (StoryArrow Arrow, DateTimeOffset Since)? ArrowOf(Sql sql, object until)
    {
        var found = sql.First<(string Id, string Since)?>(
            """
            SELECT id, since FROM (
              SELECT n.id, v.kept_at AS since, n.at FROM (
                SELECT s.arrow_version_id AS id, s.started_at AS at FROM shot_set s JOIN paper p ON p.id = s.paper_id
                WHERE p.bow_id = @bowId AND s.started_at <= @at ORDER BY s.started_at DESC LIMIT 1) n
                JOIN arrow_version v ON v.id = n.id
              UNION ALL SELECT v.id, v.kept_at, v.kept_at FROM arrow_version v JOIN arrow a ON a.id = v.arrow_id
                WHERE a.bow_id = @bowId AND v.kept_at <= @at)
            ORDER BY at DESC LIMIT 1
            """,
            until
        );
        if (found is not { } of)
        {
            return null;
        }

        return (ArrowAs(sql, of.Id), Stamp.Read(of.Since));
    }

    /// <summary>A version of an arrow, as a story tells it.</summary>
    public static StoryArrow ArrowAs(Sql sql, string versionId)
    {
        var kept = ArrowStore.Version(sql, versionId);
        return new StoryArrow(kept.Id, kept.Typed.Name, kept.Number, kept.Arrow);
    }

    /// <summary>Shots on the string that was on then, and when that was put on.</summary>
    public static (DateTimeOffset? PutOn, int Shots) StringOf(Sql sql, string bowId, DateTimeOffset at) =>
        StringOf(sql, new { bowId, at = Stamp.Of(at) });

    private static (DateTimeOffset? PutOn, int Shots) StringOf(Sql sql, object until)
    {
        var (putOn, shots) = sql.First<(string? PutOn, long Shots)>(
            """
            WITH fresh AS (
              SELECT max(c.happened_at) AS at FROM bow_change c WHERE c.bow_id = @bowId AND c.change = 'newString'
                AND c.happened_at <= @at AND NOT EXISTS (SELECT 1 FROM withdrawn w WHERE w.entry_id = c.id))
            SELECT (SELECT at FROM fresh), coalesce((
              SELECT sum(f.count) FROM shots_fired f WHERE f.bow_id = @bowId AND f.settling = 0 AND f.fired_at <= @at
                AND f.fired_at > coalesce((SELECT at FROM fresh), '')
                AND NOT EXISTS (SELECT 1 FROM withdrawn w WHERE w.entry_id = f.id)), 0)
            """,
            until
        );
        return (putOn is null ? null : Stamp.Read(putOn), (int)shots);
    }

    /// <summary>The speeds of the last day with any, of the arrow that was shot most.</summary>
    private static SpeedThen? SpeedOf(Sql sql, object until)
    {
        double[][] shot =
        [
            .. sql.Query<(double Grains, double Speed)>(
                    """
                    SELECT c.grains, c.speed FROM chronograph_shot c WHERE c.bow_id = @bowId AND c.shot_at <= @at
                      AND NOT EXISTS (SELECT 1 FROM withdrawn w WHERE w.entry_id = c.id)
                      AND substr(c.shot_at, 1, 10) = (
                        SELECT substr(max(d.shot_at), 1, 10) FROM chronograph_shot d
                        WHERE d.bow_id = @bowId AND d.shot_at <= @at
                          AND NOT EXISTS (SELECT 1 FROM withdrawn w WHERE w.entry_id = d.id))
                    """,
                    until
                )
                .Select(s => new[] { s.Grains, s.Speed }),
        ];
        var most = shot.GroupBy(s => s[0]).MaxBy(g => g.Count());
        return most is null ? null : SpeedThen.Of(most.Key, [.. most.Select(s => s[1])]);
    }
}

namespace Merganser.Data;

/// <summary>What a row of the story was made of.</summary>
internal enum StoryEntry
{
    Findings,
    Change,
    Fired,
    Good,
    Move,
    Set,
    Act,
    Remark,
    Sight,
    Proven,
    Crawl,
    Speeds,
    Arrow,
    Dozen,
    Matched,
    Note,
    Visit,
    HandOver,
    Owner,
    Planned,
    Picture,
}

/// <summary>Where a thing stands in a story.</summary>
internal sealed record StoryKey(StoryEntry Entry, string Sign, string Id, string At);

/// <summary>
/// Everything that happened to a bow, as keys in one order: what it was, when, and which entry tells it. Checks of one
/// go are one thing, and so are the speeds of one arrow on one day.
/// </summary>
internal static class StoryKeys
{
    private const string Standing = "NOT EXISTS (SELECT 1 FROM withdrawn w WHERE w.entry_id = e.id)";

    /// <summary>Findings <c>e</c> and <c>k</c> are of one go.</summary>
    internal const string OneGo = """
        e.bow_id = k.bow_id AND e.after_move = k.after_move AND e.after_change = k.after_change
          AND substr(e.found_at, 1, 10) = substr(k.found_at, 1, 10)
        """;

    /// <summary>All of them since a day, which is whole: what is one thing lies within one.</summary>
    private const string All = $"""
        SELECT 'findings' AS entry, 'setup' AS sign, max(e.id) AS id, max(e.found_at) AS at FROM check_finding e
          WHERE e.bow_id = @bowId AND e.found_at >= @from
            AND e.kind <> 'paper' AND {Standing} GROUP BY substr(e.found_at, 1, 10), e.after_move, e.after_change
        UNION ALL SELECT 'change', 'setup', e.id, e.happened_at FROM bow_change e
          WHERE e.bow_id = @bowId AND e.happened_at >= @from AND {Standing}
        UNION ALL SELECT 'fired', 'setup', e.id, e.fired_at FROM shots_fired e
          WHERE e.bow_id = @bowId AND e.fired_at >= @from AND e.source = 'entered' AND {Standing}
        UNION ALL SELECT 'good', 'setup', e.id, e.marked_at FROM good_state e
          WHERE e.bow_id = @bowId AND e.marked_at >= @from AND {Standing}
        UNION ALL SELECT 'move', 'moves', e.id, e.happened_at FROM move e
          WHERE e.bow_id = @bowId AND e.happened_at >= @from
        UNION ALL SELECT 'set', CASE WHEN e.at_target THEN 'groups' ELSE 'paper' END, e.id, e.started_at
          FROM paper_day p JOIN shot_set e ON e.paper_id = p.paper_id
          WHERE p.bow_id = @bowId AND p.last_at >= @from
          AND e.started_at >= @from AND EXISTS (SELECT 1 FROM shot h WHERE h.set_id = e.id)
        UNION ALL SELECT 'act', CASE WHEN coalesce(s.at_target, 0) THEN 'groups' ELSE 'paper' END, e.id, e.recorded_at
          FROM paper_day p JOIN session_act e ON e.paper_id = p.paper_id
            LEFT JOIN shot_set s ON s.id = e.after_set_id
          WHERE p.bow_id = @bowId AND p.last_at >= @from
          AND e.recorded_at >= @from AND e.kind IN ('accepted', 'reopened')
        UNION ALL SELECT 'remark', 'notes', e.id, e.noted_at
          FROM paper_day p JOIN paper_note e ON e.paper_id = p.paper_id
          WHERE p.bow_id = @bowId AND p.last_at >= @from AND e.noted_at >= @from AND {Standing}
        UNION ALL SELECT 'sight', 'groups', e.id, e.moved_at
          FROM paper_day p JOIN sight_mark e ON e.paper_id = p.paper_id
          WHERE p.bow_id = @bowId AND p.last_at >= @from AND e.moved_at >= @from
        UNION ALL SELECT 'proven', 'groups', e.id, e.proven_at FROM proven_mark e
          WHERE e.bow_id = @bowId AND e.proven_at >= @from AND e.value IS NOT NULL
        UNION ALL SELECT 'crawl', 'groups', e.id, e.shot_at FROM crawl_mark e
          WHERE e.bow_id = @bowId AND e.shot_at >= @from
        UNION ALL SELECT 'speeds', 'speed', max(e.id), max(e.shot_at) FROM chronograph_shot e
          WHERE e.bow_id = @bowId AND e.shot_at >= @from AND {Standing} GROUP BY substr(e.shot_at, 1, 10), e.grains
        UNION ALL SELECT 'arrow', 'arrows', e.id, e.kept_at FROM arrow_version e JOIN arrow a ON a.id = e.arrow_id
          WHERE a.bow_id = @bowId AND e.kept_at >= @from
        UNION ALL SELECT 'dozen', 'arrows', e.id, e.started_at FROM dozen e
          WHERE e.bow_id = @bowId AND e.started_at >= @from
        UNION ALL SELECT 'matched', 'arrows', e.id, e.at FROM dozen_entry e JOIN dozen d ON d.id = e.dozen_id
          WHERE d.bow_id = @bowId AND e.at >= @from AND e.kind = 'match' AND {Standing}
        UNION ALL SELECT 'note', 'notes', e.id, e.happened_at FROM story_note e
          WHERE e.bow_id = @bowId AND e.happened_at >= @from
          AND e.takes_back IS NULL AND NOT EXISTS (SELECT 1 FROM story_note b WHERE b.takes_back = e.id)
        UNION ALL SELECT 'visit', 'setup', e.id, e.arrived_at FROM visit e
          WHERE e.bow_id = @bowId AND e.arrived_at >= @from
        UNION ALL SELECT 'handOver', 'setup', e.id || '-over', o.handed_over_at FROM visit e
          JOIN visit_end o ON o.visit_id = e.id WHERE e.bow_id = @bowId AND o.handed_over_at >= @from
        UNION ALL SELECT 'owner', 'setup', e.id, e.handed_at FROM bow_owner e
          WHERE e.bow_id = @bowId AND e.handed_at >= @from
        UNION ALL SELECT 'planned', 'notes', e.id, e.ended_at FROM reminder e
          WHERE e.bow_id = @bowId AND e.ended_at >= @from AND e.state = 'done'
        UNION ALL SELECT 'picture', 'notes', e.id, e.added_at FROM picture e
          WHERE e.bow_id = @bowId AND e.added_at >= @from
          AND e.set_id IS NULL AND e.check_id IS NULL AND e.note_id IS NULL AND e.visit_id IS NULL
        """;

    /// <summary>Since everything.</summary>
    private const string Ever = "";

    /// <summary>A page lies within so many days in most stories; where it does not, farther back is looked.</summary>
    private static readonly int[] DaysBack = [45, 400];

    /// <summary>The newest things of a bow, or those before one, the newest first.</summary>
    /// <param name="sql">The file.</param>
    /// <param name="bowId">The bow.</param>
    /// <param name="signs">What alone is told; none for everything.</param>
    /// <param name="before">Where the page after this one ended; null for the newest.</param>
    /// <param name="most">Things on it.</param>
    /// <param name="now">The time now.</param>
    public static StoryKey[] Page(
        Sql sql,
        string bowId,
        IReadOnlyList<string> signs,
        (string At, string Id)? before,
        int most,
        DateTimeOffset now
    )
    {
        var last = before is { } place ? Stamp.Read(place.At) : now;
        foreach (var days in DaysBack)
        {
            var found = Page(sql, bowId, signs, before, most, Day(last.AddDays(-days)));
            if (found.Length == most)
            {
                return found;
            }
        }

        return Page(sql, bowId, signs, before, most, Ever);
    }

    private static string Day(DateTimeOffset at) => Stamp.Of(at)[..10];

    private static StoryKey[] Page(
        Sql sql,
        string bowId,
        IReadOnlyList<string> signs,
        (string At, string Id)? before,
        int most,
        string from
    ) =>
        [
            .. sql.Query<(string Entry, string Sign, string Id, string At)>(
                    $"""
                    SELECT entry, sign, id, at FROM ({All})
                    WHERE (@none OR sign IN (SELECT value FROM json_each(@signs)))
                      AND (@at IS NULL OR (at, id) < (@at, @id))
                    ORDER BY at DESC, id DESC LIMIT @most
                    """,
                    new
                    {
                        bowId,
                        from,
                        none = signs.Count == 0,
                        signs = FactsJson.Write(signs),
                        at = before?.At,
                        id = before?.Id,
                        most,
                    }
                )
                .Select(k => new StoryKey(FactsJson.Enum<StoryEntry>(k.Entry), k.Sign, k.Id, k.At)),
        ];

    /// <summary>How many there are of each sign.</summary>
    public static Dictionary<string, int> Counts(Sql sql, string bowId) =>
        sql.Query<(string Sign, int Count)>(
                $"SELECT sign, count(*) FROM ({All}) GROUP BY sign",
                new { bowId, from = Ever }
            )
            .ToDictionary(c => c.Sign, c => c.Count);

    /// <summary>The last moment of the first day on which something happened; null for none.</summary>
    public static string? FirstDay(Sql sql, string bowId) =>
        sql.Scalar<string?>(
            $"SELECT max(at) FROM ({All}) GROUP BY substr(at, 1, 10) ORDER BY 1 LIMIT 1",
            new { bowId, from = Ever }
        );

    /// <summary>The newest days on which something happened, the newest first: the last moment of each.</summary>
    public static string[] Days(Sql sql, string bowId, int most) =>
        [
            .. sql.Query<string>(
                $"SELECT max(at) FROM ({All}) GROUP BY substr(at, 1, 10) ORDER BY 1 DESC LIMIT @most",
                new
                {
                    bowId,
                    most,
                    from = Ever,
                }
            ),
        ];
}

using Merganser.Core.Groups;
using Merganser.Core.Sessions;
using Merganser.Core.Story;

namespace Merganser.Data;

/// <summary>Sets with the shots that count, for a story.</summary>
internal static class StorySets
{
    private const string Columns = """
        SELECT s.id, s.number, s.arrow_version_id AS arrow, s.distance, s.distance_typed AS typed, s.fletched,
          s.at_target AS atTarget, s.heads, s.walk, s.sighting, s.way_kind AS wayKind, s.way_first AS wayFirst,
          s.way_second AS waySecond, s.range_error AS rangeError, s.nock_end AS nockEnd, s.purpose,
          s.after_move AS afterMove, s.started_at AS at, s.paper_id AS paperId, v.typed ->> 'name' AS name,
          v.number AS version, (SELECT count(*) FROM shot h WHERE h.set_id = s.id) AS marked
        FROM shot_set s JOIN paper p ON p.id = s.paper_id JOIN arrow_version v ON v.id = s.arrow_version_id
        """;

    /// <summary>A shot that was not voided, or was taken in again: a set without any shows nothing.</summary>
    private const string Counts = """
        NOT coalesce((SELECT m.void FROM shot_mark m WHERE m.shot_id = h.id ORDER BY m.rowid DESC LIMIT 1), 0)
        """;

    /// <summary>Some sets by their ids.</summary>
    public static Dictionary<string, StorySet> Of(Sql sql, IReadOnlyList<string> ids) =>
        Read(sql, "WHERE s.id IN (SELECT value FROM json_each(@ids))", new { ids = FactsJson.Write(ids) })
            .ToDictionary(s => s.Id);

    /// <summary>The newest sets of bare shafts through paper up to a time, in order.</summary>
    public static StorySet[] BarePapers(Sql sql, string bowId, DateTimeOffset until, int most) =>
        Newest(sql, bowId, until, most, "s.at_target = 0 AND s.fletched = 0 AND s.nock_end = 0");

    /// <summary>The newest groups of fletched arrows at one distance up to a time, in order.</summary>
    public static StorySet[] Groups(Sql sql, string bowId, DateTimeOffset until, int most) =>
        Newest(
            sql,
            bowId,
            until,
            most,
            "s.at_target = 1 AND s.walk IS NULL AND s.way_kind IS NULL AND s.range_error IS NULL"
        );

    private static StorySet[] Newest(Sql sql, string bowId, DateTimeOffset until, int most, string which) =>
        [
            .. Read(
                    sql,
                    $"""
                    WHERE s.id IN (
                      SELECT c.id FROM (
                        SELECT s.id FROM shot_set s JOIN paper p ON p.id = s.paper_id
                        WHERE p.bow_id = @bowId AND s.purpose = 'session' AND s.started_at <= @until AND {which}
                        ORDER BY s.started_at DESC, s.rowid DESC LIMIT -1) c
                      WHERE EXISTS (SELECT 1 FROM shot h WHERE h.set_id = c.id AND {Counts})
                      LIMIT @most)
                    ORDER BY s.started_at DESC, s.rowid DESC
                    """,
                    new
                    {
                        bowId,
                        until = Stamp.Of(until),
                        most,
                    }
                )
                .Reverse(),
        ];

    private static StorySet[] Read(Sql sql, string where, object values)
    {
        SetOfStory[] sets = [.. sql.Query<SetOfStory>($"{Columns} {where}", values)];
        var shots = sql.Query<ShotLine>(
                $"""
                SELECT h.id, h.set_id AS setId, h.number, h.point_x AS px, h.point_y AS py, h.tail_x AS tx, h.tail_y AS ty,
                  h.side, h.shot_at AS shotAt, h.arrow_number AS arrowNumber, h.words,
                  coalesce(h.tip, h.arrow_kind) AS arrowKind
                FROM shot h WHERE h.set_id IN (SELECT value FROM json_each(@ids))
                  AND {Counts}
                ORDER BY h.number
                """,
                new { ids = FactsJson.Write(sets.Select(s => s.Id)) }
            )
            .ToLookup(s => s.SetId);
        return [.. sets.Select(s => s.Told([.. shots[s.Id]]))];
    }

    private sealed class SetOfStory : SetLine
    {
        public string PaperId { get; init; } = "";
        public string Name { get; init; } = "";
        public int Version { get; init; }
        public int Marked { get; init; }

        public StorySet Told(IReadOnlyList<ShotLine> shots)
        {
            var stage = Stage();
            ShotMarked[] marked = [.. shots.Select(s => s.Act())];
            return new StorySet(
                Id,
                Number,
                PaperId,
                stage,
                Name,
                Version,
                Stamp.Read(At),
                Marked,
                stage.AtTarget ? [] : [.. marked.Select(m => ShotReading.TearOf(m, stage.NockEnd, stage.Distance))],
                stage.AtTarget ? HitsOf(marked) : [],
                [.. shots.Select(s => s.ArrowNumber).OfType<string>().Distinct().Order()]
            );
        }

        /// <summary>The hits of one kind: with vanes, where there are any.</summary>
        private static Impact[] HitsOf(ShotMarked[] marked)
        {
            var kinds = marked.ToLookup(m => m.Arrow is ArrowKind.Fletched or ArrowKind.FieldPoint);
            var of = kinds[true].Any() ? kinds[true] : kinds[false];
            return [.. of.Select(m => m.Impact)];
        }
    }
}

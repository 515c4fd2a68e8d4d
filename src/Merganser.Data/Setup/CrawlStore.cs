using Merganser.Core.Bows;
using Merganser.Core.Setup;

namespace Merganser.Data;

/// <summary>A mark with what was typed.</summary>
public sealed record CrawlRecord(CrawlMark Mark, string DistanceTyped, string CrawlTyped);

/// <summary>A string walker's marks. Each is added; the newest of a distance counts.</summary>
public sealed class CrawlStore(Database database, TimeProvider clock)
{
    /// <summary>The marks of a bow, one for a distance, and the steps of its nocking point now.</summary>
    public (BowRow Bow, IReadOnlyList<CrawlRecord> Marks) Of(string bowId) => database.Read(sql => Of(sql, bowId));

    /// <summary>Adds a mark at the nocking point that the bow has now; without a crawl the mark is given up.</summary>
    /// <exception cref="MissingException">There is no such bow.</exception>
    public (BowRow Bow, IReadOnlyList<CrawlRecord> Marks) Put(
        string bowId,
        string id,
        (double Yards, string Typed) distance,
        (double Inches, string Typed)? crawl,
        string note
    ) =>
        database.Write(sql =>
        {
            var bow = BowStore.Get(sql, bowId);
            sql.Execute(
                """
                INSERT INTO crawl_mark (id, bow_id, ordinal, yards, crawl, distance_typed, crawl_typed, nocking_point,
                  note, shot_at)
                VALUES (@id, @bowId, 1 + (SELECT coalesce(max(ordinal), 0) FROM crawl_mark WHERE bow_id = @bowId),
                  @Yards, @crawl, @Typed, @crawlTyped, @nockingPoint, @note, @now)
                ON CONFLICT (id) DO NOTHING
                """,
                new
                {
                    id,
                    bowId,
                    distance.Yards,
                    distance.Typed,
                    crawl = crawl?.Inches,
                    crawlTyped = crawl?.Typed ?? "",
                    nockingPoint = NockingPoint(bow),
                    note,
                    now = Stamp.Of(clock.GetUtcNow()),
                }
            );
            return Of(sql, bowId);
        });

    /// <summary>Steps at which a bow's nocking point stands, or null where it counts none.</summary>
    public static int? NockingPoint(BowRow bow) =>
        (int?)bow.Adjusters.FirstOrDefault(a => a.Kind == AdjusterKind.NockingPoint)?.Position;

    private static (BowRow Bow, IReadOnlyList<CrawlRecord> Marks) Of(Sql sql, string bowId) =>
        (
            BowStore.Get(sql, bowId),
            [
                .. sql.Query<(
                    double Yards,
                    double Crawl,
                    string Distance,
                    string Typed,
                    int? At,
                    string Note,
                    string ShotAt
                )>(
                        """
                        SELECT yards, crawl, distance_typed, crawl_typed, nocking_point, note, shot_at FROM crawl_mark c
                        WHERE bow_id = @bowId AND crawl IS NOT NULL AND ordinal = (
                          SELECT max(ordinal) FROM crawl_mark n WHERE n.bow_id = c.bow_id AND n.yards = c.yards)
                        ORDER BY yards
                        """,
                        new { bowId }
                    )
                    .Select(r => new CrawlRecord(
                        new CrawlMark(r.Yards, r.Crawl, r.At, Stamp.Read(r.ShotAt), r.Note),
                        r.Distance,
                        r.Typed
                    )),
            ]
        );
}

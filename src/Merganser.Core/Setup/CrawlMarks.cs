using Merganser.Core.Bows;
using Merganser.Core.Units;

namespace Merganser.Core.Setup;

/// <summary>
/// A string walker's mark: how far below the nock the hand takes the string so that the point is held on the target.
/// </summary>
/// <param name="Yards">Distance of the target, yards, above 0.</param>
/// <param name="Crawl">From the nock down to the hand, inches; 0 with the hand at the nock.</param>
/// <param name="NockingPoint">Steps of the nocking point at which it was shot, or null where none are counted.</param>
/// <param name="ShotAt">When it was shot in.</param>
/// <param name="Note">The archer's own words: stitches of the tab, the anchor.</param>
public sealed record CrawlMark(double Yards, double Crawl, int? NockingPoint, DateTimeOffset ShotAt, string Note = "")
{
    public double Yards { get; init; } = Possible.Positive(Yards);

    public double Crawl { get; init; } = Possible.NotNegative(Crawl);
}

/// <summary>How far a mark can be trusted.</summary>
public enum CrawlState
{
    /// <summary>It was shot with the nocking point where it stands.</summary>
    Stands,

    /// <summary>The nocking point was moved since: an arrow comes off at another height.</summary>
    NockingPointMoved,

    /// <summary>The crawl does not grow shorter with the distance, as it must up to the point-on distance.</summary>
    OutOfOrder,
}

/// <summary>A mark beside the others.</summary>
/// <param name="Mark">It.</param>
/// <param name="State">How far it can be trusted.</param>
/// <param name="Steps">Steps that the nocking point was moved since, + up.</param>
public sealed record CrawlRow(CrawlMark Mark, CrawlState State, int Steps);

/// <summary>The crawl for a distance that was not shot, by a straight line between the two marks around it.</summary>
/// <param name="Yards">The distance, yards.</param>
/// <param name="Crawl">From the nock down, inches.</param>
/// <param name="Nearer">The mark before it.</param>
/// <param name="Farther">The mark behind it.</param>
public sealed record CrawlBetween(double Yards, double Crawl, CrawlMark Nearer, CrawlMark Farther);

/// <summary>
/// The marks of a string walker in the order of their distances. Common practice, no source: a crawl grows shorter with
/// the distance until the hand is at the nock (the point-on distance), every mark belongs to the nocking point it was
/// shot with, and between two marks a straight line does. Nothing is said beyond the outermost marks.
/// </summary>
public sealed class CrawlTable
{
    /// <param name="marks">One for a distance, in any order.</param>
    /// <param name="nockingPoint">Steps at which the nocking point stands now, or null where none are counted.</param>
    public CrawlTable(IEnumerable<CrawlMark> marks, int? nockingPoint)
    {
        CrawlMark? before = null;
        List<CrawlRow> rows = [];
        foreach (var mark in marks.OrderBy(m => m.Yards))
        {
            var steps = (nockingPoint - mark.NockingPoint) ?? 0;
            var fell = before is null || mark.Crawl < before.Crawl;
            rows.Add(
                new CrawlRow(
                    mark,
                    steps != 0 ? CrawlState.NockingPointMoved
                        : fell ? CrawlState.Stands
                        : CrawlState.OutOfOrder,
                    steps
                )
            );
            // A mark of another nocking point says nothing of its neighbours.
            before = steps == 0 ? mark : before;
        }

        Rows = rows;
    }

    /// <summary>The marks, the nearest distance first.</summary>
    public IReadOnlyList<CrawlRow> Rows { get; }

    /// <summary>
    /// The crawl for a distance between two marks that stand, or null where there are no two: at a mark it is the
    /// mark's.
    /// </summary>
    /// <param name="yards">Distance, yards.</param>
    public CrawlBetween? Between(double yards)
    {
        var stand = Rows.Where(r => r.State == CrawlState.Stands).Select(r => r.Mark).ToArray();
        var nearer = stand.LastOrDefault(m => m.Yards <= yards);
        var farther = stand.FirstOrDefault(m => m.Yards >= yards);
        if (nearer is null || farther is null)
        {
            return null;
        }

        var part = farther.Yards > nearer.Yards ? (yards - nearer.Yards) / (farther.Yards - nearer.Yards) : 0;
        return new CrawlBetween(yards, nearer.Crawl + (part * (farther.Crawl - nearer.Crawl)), nearer, farther);
    }

    /// <summary>True for a kind of bow that is shot by walking the string.</summary>
    public static bool IsFor(BowKind kind) => kind == BowKind.Barebow;
}

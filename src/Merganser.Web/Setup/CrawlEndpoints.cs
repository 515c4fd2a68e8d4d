using Merganser.Core.Bows;
using Merganser.Core.Figures;
using Merganser.Core.Messages;
using Merganser.Core.Setup;
using Merganser.Core.Units;
using Merganser.Data;
using Merganser.Web.Guard;

namespace Merganser.Web.Setup;

/// <summary>A crawl as typed for a distance; an empty one gives the mark up.</summary>
public sealed record CrawlInput(string? Id, string? Distance, string? Crawl, string? Note = null);

/// <summary>A mark of a string walker.</summary>
/// <param name="Words">How far it can be trusted.</param>
/// <param name="NockingPoint">Where the nocking point stood when it was shot, or null where none is counted.</param>
public sealed record CrawlView(
    string Distance,
    double Yards,
    string Typed,
    double Crawl,
    CrawlState State,
    Message Words,
    Message? NockingPoint,
    string Note,
    DateTimeOffset ShotAt
);

/// <summary>The crawl for a distance that was asked for.</summary>
/// <param name="Crawl">Inches from the nock down, or null where nothing can be said.</param>
/// <param name="Words">How it was found, or what is missing.</param>
public sealed record CrawlAsked(double Yards, double? Crawl, Message Words);

/// <summary>The marks of a bow, the nearest first.</summary>
public sealed record CrawlsView(IReadOnlyList<CrawlView> Marks, Message? NockingPoint, CrawlAsked? Asked);

/// <summary>Marks of a string walker.</summary>
public static class CrawlEndpoints
{
    private static readonly AllowedRange Distances = new(5, 100, Unit.Yard, Why.DistanceOfATarget);
    private static readonly AllowedRange Crawls = new(0, 4, Unit.Inch, Why.CrawlOfAHand);

    public static void MapCrawls(this IEndpointRouteBuilder api)
    {
        api.MapGet(
            "/bows/{id}/crawls",
            (string id, string? distance, CrawlStore crawls) =>
            {
                var fields = new FieldReader();
                var asked = fields.Optional("distance", distance, Quantity.Distance, Distances);
                fields.ThrowIfAny();
                return View(crawls.Of(id), asked?.Value);
            }
        );
        api.MapPost(
            "/bows/{id}/crawls",
            (string id, CrawlInput input, CrawlStore crawls, BowStore bows) =>
            {
                var fields = new FieldReader();
                var distance = fields.Required("distance", input.Distance, Quantity.Distance, Distances);
                var crawl = fields.Optional("crawl", input.Crawl, Quantity.Length, Crawls);
                var kind = bows.Get(id).Bow.Kind;
                fields.Check(CrawlTable.IsFor(kind), "crawl", "not-this-bow", SetupSays.CrawlsAreForBarebow);
                fields.ThrowIfAny();
                return View(
                    crawls.Put(
                        id,
                        ClientId.Checked(input.Id),
                        (distance!.Value, distance.Typed),
                        crawl is null ? null : (crawl.Value, crawl.Typed),
                        Texts.Note(input.Note)
                    ),
                    null
                );
            }
        );
    }

    private static CrawlsView View((BowRow Bow, IReadOnlyList<CrawlRecord> Marks) of, double? asked)
    {
        var now = CrawlStore.NockingPoint(of.Bow);
        var table = new CrawlTable(of.Marks.Select(m => m.Mark), now);
        return new CrawlsView(
            [
                .. table
                    .Rows.Zip(of.Marks)
                    .Select(row => new CrawlView(
                        row.Second.DistanceTyped,
                        row.First.Mark.Yards,
                        row.Second.CrawlTyped,
                        row.First.Mark.Crawl,
                        row.First.State,
                        Words(row.First),
                        Stood(row.First.Mark.NockingPoint),
                        row.First.Mark.Note,
                        row.First.Mark.ShotAt
                    )),
            ],
            Stood(now),
            asked is { } yards ? Asked(table, yards) : null
        );
    }

    private static Message? Stood(int? steps) => steps is { } at ? new Standing(AdjusterKind.NockingPoint, at) : null;

    private static Message Words(CrawlRow row) =>
        row.State switch
        {
            CrawlState.NockingPointMoved => new CrawlMoved(row.Steps),
            CrawlState.OutOfOrder => SetupSays.CrawlOutOfOrder,
            _ => SetupSays.CrawlStands,
        };

    private static CrawlAsked Asked(CrawlTable table, double yards) =>
        table.Between(yards) switch
        {
            null => new CrawlAsked(yards, null, SetupSays.NoCrawlBetween),
            { Nearer: var at } found when at == found.Farther => new CrawlAsked(
                yards,
                found.Crawl,
                new CrawlAsShot(Measure.Yards(at.Yards))
            ),
            var found => new CrawlAsked(
                yards,
                found.Crawl,
                new CrawlByLine(
                    Measure.Yards(found.Nearer.Yards),
                    Measure.Inches(found.Nearer.Crawl),
                    Measure.Yards(found.Farther.Yards),
                    Measure.Inches(found.Farther.Crawl)
                )
            ),
        };
}

using Merganser.Core.Setup;
using Merganser.Core.Story;
using Merganser.Core.Visits;
using Merganser.Data;
using Merganser.Web.Setup;
using Merganser.Web.Story;

namespace Merganser.Web.Visits;

/// <summary>Puts a bow's visits together.</summary>
public sealed class VisitDesk(
    VisitStore visits,
    CarriedStore carried,
    BowStore bows,
    ArcherStore archers,
    SetupStore setups,
    SetupDesk setupDesk,
    StoryStore stories,
    TimeProvider clock
)
{
    private const int MostEvents = 200;
    private const int OnAPage = 40;

    /// <summary>The visits of a bow, one of them whole.</summary>
    /// <param name="bowId">The bow.</param>
    /// <param name="visitId">The visit; null for the newest.</param>
    public BowVisits View(string bowId, string? visitId)
    {
        var bow = bows.Get(bowId);
        var all = visits.Of(bowId);
        var row = visitId is null ? all.FirstOrDefault() : visits.Get(bowId, visitId);
        var rows = setups.Of(bowId);
        var shown = row is null ? null : Whole(bow, rows, row, all);
        return new BowVisits(
            [.. all.Select(VisitInLine.Of)],
            shown,
            archers.Get(bow.ArcherId).Archer.Name,
            bow.ArcherId,
            [.. bows.Names().Where(b => b.Id != bowId).Select(b => new OtherBow(b.Id, b.Name))],
            VisitNext.Of(
                row is null ? null : row.HandedOverAt is null,
                shown?.HandOver.Done.Count ?? 0,
                setupDesk.Next(bow, rows)
            )
        );
    }

    /// <summary>One visit, whole.</summary>
    public VisitView Whole(string bowId, string visitId) =>
        Whole(bows.Get(bowId), setups.Of(bowId), visits.Get(bowId, visitId), visits.Of(bowId));

    /// <summary>A page of the visits of all bows.</summary>
    public VisitPage All(string find, int after)
    {
        var found = visits.All(find, after, OnAPage + 1);
        return new VisitPage(
            [.. found.Take(OnAPage).Select(VisitInLine.Of)],
            found.Count > OnAPage ? after + OnAPage : null
        );
    }

    private VisitView Whole(BowRow bow, SetupRecord rows, VisitRow row, IReadOnlyList<VisitRow> all)
    {
        var last = all.FirstOrDefault(v => v.Number == row.Number - 1);
        var (found, left) = visits.States(row);
        var two = new TwoDates(bow.Bow, rows.Plan, found.State, left.State);
        var lines = visits.Lines(row.Id);
        var brings = carried.Brings(bow.Id, row.HandedOverAt is null ? lines : []);
        return new VisitView(
            VisitInLine.Of(row),
            row.Watch,
            two.Rows,
            last is { HandedOverAt: not null }
                ? new TwoDates(bow.Bow, rows.Plan, visits.States(last).Left.State, found.State).Differences
                : [],
            last?.HandedOverAt,
            [
                .. stories
                    .Between(bow.Id, row.ArrivedAt, row.HandedOverAt ?? clock.GetUtcNow(), MostEvents)
                    .Where(e => e.Id != row.Id)
                    .Select(HappenedView.Of),
            ],
            [.. lines.Select(l => VisitLineView.Of(l, brings.GetValueOrDefault(l.Id, [])))],
            VisitLine.SumOf(lines),
            HandOver.Of(bow.Bow, two, left)
        );
    }
}

using Merganser.Core.Arrows;
using Merganser.Core.Catalogues;
using Merganser.Data;

namespace Merganser.Web.Demo;

/// <summary>
/// What lies in the club's drawers: parts of the arrows on the rack, and a few more; money is invented.
/// </summary>
public sealed class DemoStock(ComponentStore components, BowStore bows, ArrowStore arrows)
{
    private const int Dozen = 12;

    private static readonly string[] More =
    [
        "insert-limpet-12",
        "insert-limpet-50",
        "point-pebble-100",
        "point-pebble-125",
        "nock-barnock-5",
        "vane-sandeel-2",
    ];

    public void Fill()
    {
        var used = bows.All().SelectMany(bow => arrows.Of(bow.Id)).SelectMany(arrow => arrow.Draft.Parts());
        string[] ids = [.. used.Concat(More).Distinct()];
        components.Put(
            [.. components.Rows().Select(row => new StockedPart(row.Id, row.Part, StockOf(row, ids.Contains(row.Id))))],
            default,
            null
        );
    }

    private static Stock StockOf(ComponentRow row, bool owned) =>
        row.Stock with
        {
            Owned =
                !owned ? row.Stock.Owned
                : row.Part is Vane ? 4 * Dozen
                : Dozen,
            Price = row.Part switch
            {
                Shaft { InnerDiameter: < .2 } => 16,
                Shaft => 11,
                Insert insert => insert.Weight > 30 ? 3 : 1.5,
                Point point when point.Kind.IsHead() => 14,
                Point => 1.2,
                Nock { Kind: NockKind.Lit } => 9,
                Nock => .8,
                Vane => .4,
                _ => 1,
            },
        };
}

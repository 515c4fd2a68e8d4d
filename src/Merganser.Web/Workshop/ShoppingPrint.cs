using Merganser.Core.Units;
using Merganser.Core.Workshop;
using Merganser.Web.Dozens;
using Merganser.Web.Printing;
using Merganser.Web.Words;

namespace Merganser.Web.Workshop;

/// <summary>The shopping list: what the dozen needs against what is owned, with the cost.</summary>
public static class ShoppingPrint
{
    public static byte[] Of(DozenView dozen, WorkshopView workshop, Speaker speaker)
    {
        var list = workshop.Shopping;
        using var page = new PrintedPage($"Shopping list, {dozen.Name}", dozen.StartedAt);
        page.Title(
            dozen.Name,
            $"Shopping list. {dozen.ArrowName}, version {dozen.ArrowVersion}, {Show.Count(dozen.Plan.Arrows, "arrow")}."
        );
        PrintedCell[] head =
        [
            new("", 20, IsBox: true),
            new("part", PrintedPage.Across - 330),
            new("order number", 90),
            new("needs", 50, true),
            new("has", 40, true),
            new("buy", 40, true),
            new("each", 40, true),
            new("cost", 50, true),
        ];
        page.Table(head, list.Lines.Select(Cells));
        page.Y += 6;
        page.Paragraph(Sum(list), 11, true);
        page.Paragraph("Owned by the catalogue, or weighed in for this dozen: the larger of both counts.", 9);
        return page.Finish();

        static IReadOnlyList<string> Cells(ShoppingLine line) =>
            [
                "",
                $"{line.Maker} {line.Name}",
                line.OrderNumber ?? "",
                $"{line.Needed}",
                $"{line.AtHand}",
                $"{line.ToBuy}",
                Money(line.Price),
                Money(line.Cost),
            ];
    }

    /// <summary>What it costs, or that nothing is missing, in a sentence.</summary>
    public static string Sum(ShoppingList list) =>
        list switch
        {
            { AllAtHand: true } => "Everything is at hand.",
            { Cost: 0, Unpriced: var open } => $"{Show.Count(open, "part")} to buy, without a price.",
            { Unpriced: 0 } => $"Together {Money(list.Cost)}.",
            { Unpriced: var open } => $"Together {Money(list.Cost)}, and {Show.Count(open, "part")} without a price.",
        };

    private static string Money(double? sum) => sum is { } of ? Show.Number(of, 2) : "";
}

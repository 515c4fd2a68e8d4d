using Merganser.Core.Arrows;
using Merganser.Core.Catalogues;
using Merganser.Core.Dozens;

namespace Merganser.Core.Workshop;

/// <summary>One part of a shopping list.</summary>
/// <param name="Class">Its class.</param>
/// <param name="Maker">Its maker.</param>
/// <param name="Name">Its name.</param>
/// <param name="Needed">For the arrows, with the spare ones.</param>
/// <param name="AtHand">Owned by the catalogue, or weighed in for this dozen: the larger of both.</param>
/// <param name="ToBuy">What is missing.</param>
/// <param name="Price">Of one, in the bench's own money; null for not known.</param>
/// <param name="Cost">Of what is missing; null where the price is not known.</param>
/// <param name="OrderNumber">The supplier's; null for none.</param>
public sealed record ShoppingLine(
    ComponentClass Class,
    string Maker,
    string Name,
    int Needed,
    int AtHand,
    int ToBuy,
    double? Price,
    double? Cost,
    string? OrderNumber
);

/// <summary>What a dozen needs against what is owned.</summary>
/// <param name="Lines">Part by part.</param>
/// <param name="Cost">Of everything whose price is known.</param>
/// <param name="Unpriced">Parts to buy whose price is not known.</param>
public sealed record ShoppingList(IReadOnlyList<ShoppingLine> Lines, double Cost, int Unpriced)
{
    /// <summary>True when nothing has to be bought.</summary>
    public bool AllAtHand => Lines.All(l => l.ToBuy == 0);

    /// <param name="dozen">The dozen.</param>
    /// <param name="typed">The arrow as it was typed.</param>
    /// <param name="rows">The arrow's parts as the catalogue has them now; one that is gone is passed over.</param>
    public static ShoppingList Of(Dozen dozen, ArrowDraft typed, IReadOnlyList<ComponentRow> rows)
    {
        ShoppingLine[] lines = [.. rows.OrderBy(r => r.Class).Select(r => Line(dozen, typed, r))];
        return new ShoppingList(lines, lines.Sum(l => l.Cost ?? 0), lines.Count(l => l is { ToBuy: > 0, Price: null }));
    }

    private static ShoppingLine Line(Dozen dozen, ArrowDraft typed, ComponentRow row)
    {
        var names = NamesOf(dozen.Arrow, typed, row);
        var vanes = row.Class == ComponentClass.Vane;
        PieceClass[] weighed = [.. dozen.Classes.Where(c => names.Contains(c.Name))];
        var inOne = vanes && weighed is [{ PerArrow: 1 }] ? dozen.Arrow.VaneCount : 1;
        var spare = weighed.Sum(c => c.Wanted - c.Needed) * inOne;
        var needed = (dozen.Plan.Arrows * (vanes ? dozen.Arrow.VaneCount : names.Count)) + spare;
        var atHand = Math.Max(row.Stock.Owned ?? 0, weighed.Sum(c => c.Pieces.Count) * inOne);
        var buy = Math.Max(0, needed - atHand);
        return new ShoppingLine(
            row.Class,
            row.Part.Maker,
            row.Part.Name,
            needed,
            atHand,
            buy,
            row.Stock.Price,
            row.Stock.Price * buy,
            row.Stock.OrderNumber
        );
    }

    /// <summary>The classes under which a part is weighed: one that an arrow has twice has two of them.</summary>
    private static IReadOnlyList<string> NamesOf(Arrow arrow, ArrowDraft typed, ComponentRow row) =>
        row.Class switch
        {
            ComponentClass.Vane => ["Vanes"],
            ComponentClass.EndPart =>
            [
                .. EndPart
                    .NamesOf(arrow.AtEnds)
                    .Zip(typed.EndPartIds ?? [])
                    .Where(p => p.Second == row.Id)
                    .Select(p => p.First),
            ],
            _ => [$"{row.Class}"],
        };
}

using System.Globalization;
using Merganser.Core.Arrows;
using Merganser.Core.Figures;
using Merganser.Core.Units;

namespace Merganser.Core.Catalogues;

/// <summary>
/// The columns of the catalogue: the fields of a part, then what the bench has of it. The way between typed texts and
/// both.
/// </summary>
public static class CatalogueTable
{
    private const string Owned = "owned";
    private const string Price = "price";
    private const string OrderNumber = "orderNumber";
    private const int LongestNumber = 40;
    private static readonly AllowedRange Pieces = new(0, 9999, Unit.None, Why.PartsOwned);
    private static readonly AllowedRange Money = new(0, 99_999, Unit.None, Why.PriceOfOne);
    private static readonly AllowedRange Nothing = new(0, 0, Unit.None, Why.Nothing);

    /// <summary>The columns of a class, in the order of its table.</summary>
    public static IReadOnlyList<ComponentField> Fields(ComponentClass kind) =>
        [
            .. ComponentTable.Fields(kind),
            new(kind, Owned, ComponentFieldKind.Number, Quantity.Number, Pieces, false, []),
            new(kind, Price, ComponentFieldKind.Number, Quantity.Number, Money, false, []),
            new(kind, OrderNumber, ComponentFieldKind.Text, Quantity.Number, Nothing, false, []),
        ];

    /// <summary>Reads a part and its stock; a column of the stock that is not there stays as it was.</summary>
    /// <exception cref="RefusedException">A field cannot be read, is missing or out of range; each is
    /// named.</exception>
    public static (IComponent Part, Stock Stock) Read(
        ComponentClass kind,
        IReadOnlyDictionary<string, string?> typed,
        Stock before
    )
    {
        List<FieldProblem> problems = [];
        IComponent? part = null;
        try
        {
            part = ComponentTable.Read(kind, typed);
        }
        catch (RefusedException refused)
        {
            problems.AddRange(refused.Problems);
        }

        var fields = new FieldReader();
        var stock = StockOf(fields, typed, before);
        problems.AddRange(fields.Problems);
        return problems.Count == 0 ? (part!, stock) : throw RefusedException.Of(problems);
    }

    /// <summary>The typed fields of a row: what <see cref="Read"/> reads back as the same.</summary>
    public static IReadOnlyDictionary<string, string> Write(IComponent part, Stock stock) =>
        ComponentTable
            .Write(part)
            .Append(new(Owned, Text(stock.Owned)))
            .Append(new(Price, Text(stock.Price)))
            .Append(new(OrderNumber, stock.OrderNumber ?? ""))
            .ToDictionary();

    /// <summary>Rows in the order of one of their fields; those in which nothing stands come last.</summary>
    public static ComponentRow[] Sorted(IReadOnlyList<ComponentRow> rows, ComponentField by, bool down)
    {
        var keyed = rows.Select(r => (Row: r, Text: Write(r.Part, r.Stock)[by.Name])).ToArray();
        var empty = keyed.Where(k => k.Text.Length == 0);
        var full = keyed.Where(k => k.Text.Length > 0);
        var ordered =
            by.Kind == ComponentFieldKind.Number
                ? full.OrderBy(k => double.Parse(k.Text, CultureInfo.InvariantCulture))
                : full.OrderBy(k => k.Text, StringComparer.OrdinalIgnoreCase);
        return [.. (down ? ordered.Reverse() : ordered).Concat(empty).Select(k => k.Row)];
    }

    private static Stock StockOf(FieldReader fields, IReadOnlyDictionary<string, string?> typed, Stock before)
    {
        var owned = typed.TryGetValue(Owned, out var count)
            ? fields.Optional(Owned, count, Quantity.Number, Pieces)?.Value
            : before.Owned;
        fields.Check(owned is null || owned % 1 == 0, Owned, "whole", CatalogueSays.WholePieces);
        var price = typed.TryGetValue(Price, out var money)
            ? fields.Optional(Price, money, Quantity.Number, Money)?.Value
            : before.Price;
        var number = typed.TryGetValue(OrderNumber, out var order) ? order?.Trim() : before.OrderNumber;
        fields.Check((number?.Length ?? 0) <= LongestNumber, OrderNumber, "long", new NameWanted(LongestNumber));
        return new Stock((int?)owned, price, string.IsNullOrEmpty(number) ? null : number);
    }

    private static string Text(double? value) => value?.ToString("0.####", CultureInfo.InvariantCulture) ?? "";
}

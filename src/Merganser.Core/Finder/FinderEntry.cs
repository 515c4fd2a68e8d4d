using Merganser.Core.Figures;
using Merganser.Core.Units;

namespace Merganser.Core.Finder;

/// <summary>From where to where a figure is wanted, as typed; empty for open.</summary>
public sealed record WantedEntry(FoundFigure Figure, string? Low, string? High);

/// <summary>What is looked for, as typed.</summary>
/// <param name="Ranges">At most one for a figure.</param>
/// <param name="Parts">Whose parts.</param>
/// <param name="MostToBuy">At most so many kinds of parts to buy; null for any number.</param>
/// <param name="Heads">What is in front.</param>
public sealed record FinderEntry(
    IReadOnlyList<WantedEntry> Ranges,
    FinderParts Parts,
    int? MostToBuy,
    FinderHeads Heads = FinderHeads.Both
)
{
    /// <summary>Kinds of parts that a build has at the most.</summary>
    public const int MostKinds = 6;

    private static readonly AllowedRange Kinds = new(0, MostKinds, Unit.None, Why.PieceOfAnArrow);

    /// <summary>Reads and checks it; ranges that are open at both ends are left out.</summary>
    /// <exception cref="RefusedException">A text cannot be read or lies outside.</exception>
    public FinderWish Read()
    {
        var fields = new FieldReader();
        List<WantedRange> ranges = [];
        foreach (var entry in Ranges)
        {
            var name = Codes.Of(entry.Figure);
            var (quantity, allowed) = (FinderWish.QuantityOf(entry.Figure), FinderWish.Allowed(entry.Figure));
            var low = fields.Optional($"{name}Low", entry.Low, quantity, allowed)?.Value;
            var high = fields.Optional($"{name}High", entry.High, quantity, allowed)?.Value;
            fields.Check(!(high < low), $"{name}High", "order", new EndsBeforeItBegins(entry.Figure));
            fields.Check(ranges.All(r => r.Figure != entry.Figure), name, "twice", FinderSays.OncePerFigure);
            if (low is not null || high is not null)
            {
                ranges.Add(new WantedRange(entry.Figure, low, high));
            }
        }

        if (MostToBuy is { } most)
        {
            fields.Inside("mostToBuy", most, Kinds);
        }

        fields.ThrowIfAny();
        return new FinderWish(ranges, Parts, MostToBuy, Heads);
    }
}

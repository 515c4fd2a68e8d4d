using Merganser.Core.Figures;
using Merganser.Core.Units;

namespace Merganser.Core.Groups;

/// <summary>The figures of two ways compared, each with its working.</summary>
public static class WaysFigures
{
    /// <summary>The spread of each way, and the wider for one of the tighter; none below two of each.</summary>
    public static IReadOnlyList<Figure> Of(WaysReading ways)
    {
        IEnumerable<Figure?> figures =
        [
            Spread("spreadFirst", ways.First),
            Spread("spreadSecond", ways.Second),
            ways.Size is { } size ? Ratio(ways, size) : null,
        ];
        return [.. figures.OfType<Figure>()];
    }

    private static Figure? Spread(string name, WayGroup way)
    {
        if (way.Group is not { } group)
        {
            return null;
        }

        var squares = Measure.Plain(group.Squares, 3);
        var (low, high) = group.SpreadBand;
        Term[] terms =
        [
            new(
                GroupSays.SpreadOfAShot,
                new Formula(
                    $"√(SS / ν) / c, SS = {squares}, ν = {group.Freedom}, c = {Measure.Plain(ArrowGroup.Bias(group.Freedom), 4)}"
                ),
                group.Spread,
                Unit.Inch,
                3
            ),
            new(
                WaySays.MeanRadiusOfSix,
                new Formula($"r̄ E(6) / E({group.Count}), E(n) = √(π (n − 1) / 2n)"),
                group.MeanRadiusOfUsual,
                Unit.Inch,
                3
            ),
        ];
        var working = new Working(WaySays.SizeIs, terms, WaySays.SizeSource, WaySays.MoreOfEachWay);
        return Figure.OnTarget(name, new SizeOfWay(way.Name), group.Spread, null, working) with
        {
            Low = low,
            High = high,
        };
    }

    private static Figure Ratio(WaysReading ways, SizeTest size)
    {
        var (value, low, high) = size.Wider;
        Term[] terms =
        [
            new(
                WaySays.RatioLabel,
                new Formula($"Σ r√(n/(n−1)) / n, {ways.First.Count} and {ways.Second.Count}"),
                value,
                Unit.None,
                3
            ),
            new(
                GroupSays.ChanceAlone,
                new Formula($"F(1, {size.Freedom}) = {Measure.Plain(size.F, 2)}"),
                size.P,
                Unit.None,
                4
            ),
        ];
        return new Figure(
            "sizeRatio",
            WaySays.RatioLabel,
            value,
            Unit.None,
            2,
            low,
            high,
            null,
            null,
            null,
            new Working(WaySays.RatioIs, terms, WaySays.SizeSource, WaySays.MoreOfEachWay)
        );
    }
}

using Merganser.Core.Figures;
using Merganser.Core.Units;

namespace Merganser.Core.Groups;

/// <summary>The figures of an archer's sizes, each with its working.</summary>
public static class SizesFigures
{
    /// <summary>The spread on the newest day, that before it, and what six arrows show; none without a group.</summary>
    public static IReadOnlyList<Figure> Of(GroupSizes sizes)
    {
        if (sizes.Now is not { } now)
        {
            return [];
        }

        List<Figure> figures = [Spread("sizeNewest", SizeLabel.Newest, now, sizes.At)];
        if (sizes.Before is { } before)
        {
            figures.Add(Spread("sizeBefore", SizeLabel.Before, before, sizes.At));
        }

        figures.Add(OfSix(now, sizes.At));
        return figures;
    }

    private static Figure Spread(string name, SizeLabel label, DaySize day, double at)
    {
        var bias = Measure.Plain(ArrowGroup.Bias(day.Freedom), 4);
        var how = new Formula(
            $"d √(SS / ν) / c, d = {Measure.Yards(at):bare}, ν = {day.Freedom}, c = {bias}, {day.Ends.Count} ends"
        );
        var (low, high) = day.BandAt(at);
        return Of(
            name,
            label,
            at,
            day.SpreadAt(at),
            (low, high),
            new Working(
                WaySays.SizesArePooled,
                [new(GroupSays.SpreadOfAShot, how, day.SpreadAt(at), Unit.Inch, 3)],
                WaySays.SizeSource,
                WaySays.MoreDays
            )
        );
    }

    private static Figure OfSix(DaySize day, double at)
    {
        var share = ArrowGroup.ExpectedMeanRadius(ArrowGroup.UsualArrows);
        var (low, high) = day.BandAt(at);
        var how = new Formula(
            $"s E(6) = {Measure.Inches(day.SpreadAt(at), 3):bare} × {Measure.Plain(share, 4)}, E(n) = √(π (n − 1) / 2n)"
        );
        return Of(
            "sizeOfSix",
            SizeLabel.OfSix,
            at,
            day.MeanRadiusOfSixAt(at),
            (low * share, high * share),
            new Working(
                WaySays.SixAre,
                [new(WaySays.MeanRadiusOfSix, how, day.MeanRadiusOfSixAt(at), Unit.Inch, 3)],
                WaySays.SizeSource,
                WaySays.MoreDays
            )
        );
    }

    private static Figure Of(
        string name,
        SizeLabel label,
        double at,
        double value,
        (double Low, double High) band,
        Working working
    ) =>
        Figure.OnTarget(name, new SizeAt(label, Measure.Yards(at)), value, null, working) with
        {
            Low = band.Low,
            High = band.High,
        };
}

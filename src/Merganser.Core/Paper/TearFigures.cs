using Merganser.Core.Bows;
using Merganser.Core.Figures;
using Merganser.Core.Messages;
using Merganser.Core.Units;

namespace Merganser.Core.Paper;

/// <summary>The figures of a set of tears, each with its working.</summary>
public static class TearFigures
{
    /// <summary>Sideways, height and spread of a set, with the change since an earlier set.</summary>
    public static IReadOnlyList<Figure> Of(MeanTear mean, MeanTear? before) =>
        [
            Axis("sideways", mean.Mean.X < 0 ? TearSide.Left : TearSide.Right, mean, before, TearAxis.Sideways),
            Axis("height", mean.Mean.Y < 0 ? TearSide.Low : TearSide.High, mean, before, TearAxis.Height),
            SpreadOf(mean, before),
        ];

    private static Figure SpreadOf(MeanTear mean, MeanTear? before)
    {
        Message label = mean.SpreadAssumed ? PaperSays.SpreadAssumed : PaperSays.Spread;
        Message word = mean.SpreadAssumed
            ? PaperSays.OneShotShowsNone
            : new UsuallyAbout(Measure.Inches(MeanTear.UsualSpread));
        Message how = mean.SpreadAssumed
            ? PaperSays.AssumedForOneShot
            : new Formula($"√(SS / (2 (n − 1))), n = {mean.Count}");
        Message source = mean.SpreadAssumed ? PaperSays.TradeGuess : PaperSays.PooledDeviation;
        var working = new Working(
            PaperSays.SpreadIs,
            [new Term(PaperSays.SpreadS, how, mean.Spread, Unit.Inch, 3)],
            source
        );
        return new Figure(
            "spread",
            label,
            mean.Spread,
            Unit.Inch,
            2,
            null,
            null,
            mean.Spread - before?.Spread,
            word,
            null,
            working
        );
    }

    private static Figure Axis(string name, TearSide side, MeanTear mean, MeanTear? before, TearAxis axis)
    {
        var value = mean.Mean.Along(axis);
        var size = Math.Abs(value);
        var positive = axis == TearAxis.Sideways ? TearSide.Right : TearSide.High;
        var critical = MeanTear.CriticalF(2.0 * (mean.Count - 1));
        var spread = Measure.Inches(mean.Spread, mean.SpreadAssumed ? 2 : 3);
        var read = Measure.Inches(mean.ReadWithin, 3);
        var region = (mean.SpreadAssumed, mean.ReadWithin > 0) switch
        {
            (true, false) => new Formula($"s √(−2 ln 0.05), s = {spread:bare}"),
            (true, true) => new Formula($"√(s² + r²) √(−2 ln 0.05), s = {spread:bare}, said within r = {read:bare}"),
            (false, false) => new Formula(
                $"s √(2F / n) = {spread:bare} √(2 × {Measure.Plain(critical, 3)} / {mean.Count})"
            ),
            _ => new Formula(
                $"√(2 F s² / n − 2 r² ln 0.05), s = {spread:bare}, F = {Measure.Plain(critical, 3)}, n = {mean.Count}, said within r = {read:bare}"
            ),
        };
        Term[] terms =
        [
            new(PaperSays.MeanLine, new MeanOver(mean.Count, positive), value, Unit.Inch, 3),
            new(PaperSays.RegionLine, region, mean.Radius, Unit.Inch, 3),
            new(PaperSays.SizeLine, PaperSays.WithoutItsSign, size, Unit.Inch, 3),
        ];
        var change = size - Math.Abs(before?.Mean.Along(axis) ?? double.NaN);
        Message? word = mean.Level(axis) ? PaperSays.LevelAxis : null;
        var working = new Working(PaperSays.MeanOfTheTail, terms, PaperSays.TearSource, PaperSays.MoreShotsNarrow);
        return new Figure(
            name,
            new SideLabel(side),
            size,
            Unit.Inch,
            2,
            Math.Max(0, size - mean.Radius),
            size + mean.Radius,
            before is null ? null : change,
            word,
            null,
            working
        );
    }
}

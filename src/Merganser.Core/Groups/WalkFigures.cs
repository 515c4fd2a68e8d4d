using Merganser.Core.Figures;
using Merganser.Core.Units;

namespace Merganser.Core.Groups;

/// <summary>The figures of a walk-back, each with its working.</summary>
public static class WalkFigures
{
    private const double Ten = 10;

    /// <summary>Drift, slope, the zero by itself and the spread of the hand; none before it is read.</summary>
    public static IReadOnlyList<Figure> Of(WalkReading walk) =>
        walk.Fit is { } fit ? [Drift(walk, fit), Slope(walk, fit), Zero(walk, fit), Spread(fit)] : [];

    private static Figure Drift(WalkReading walk, WalkFit fit)
    {
        var (drift, plus) = fit.Between(walk.Zero, walk.Farthest);
        var (zero, far) = (Measure.Yards(walk.Zero), Measure.Yards(walk.Farthest));
        var how =
            fit.Shape == DriftShape.Curved
                ? new Formula($"b (d − z) + c (d² − z²), z = {zero:bare}, d = {far:bare}")
                : new Formula($"b (d − z), z = {zero:bare}, d = {far:bare}");
        Term[] terms =
        [
            new(WalkSays.Fitted, how, drift, Unit.Inch, 3),
            new(WalkSays.HalfWidth, new Formula($"t(ν) se, ν = {fit.Freedom}"), plus, Unit.Inch, 3),
            new(
                GroupSays.ChanceAlone,
                new Formula($"F({fit.Top}, {fit.Freedom}) = {Measure.Plain(fit.F, 2)}"),
                fit.P,
                Unit.None,
                4
            ),
        ];
        return Of("drift", DriftLabel.Drift, Measure.Yards(walk.Farthest), (drift, plus), WalkSays.DriftIs, terms);
    }

    private static Figure Slope(WalkReading walk, WalkFit fit)
    {
        var plus = fit.SlopePlus;
        Term[] terms =
        [
            new(WalkSays.Fitted, new Formula($"10 b of y = a + b d, a ~ N(0, σ²)"), Ten * fit.Slope, Unit.Inch, 3),
            new(WalkSays.HalfWidth, new Formula($"10 t(ν) se(b), ν = {fit.Freedom}"), Ten * plus, Unit.Inch, 3),
        ];
        return Of(
            "driftSlope",
            DriftLabel.Slope,
            Measure.Yards(Ten),
            (Ten * fit.Slope, Ten * plus),
            WalkSays.SlopeIs,
            terms
        );
    }

    private static Figure Zero(WalkReading walk, WalkFit fit)
    {
        var at = walk.Distances.First(d => d.Yards == walk.Zero);
        var plus = fit.MeanPlus(walk.Zero, at.Count);
        Term[] terms =
        [
            new(GroupSays.MeanOffset, new Formula($"Σ / n over {at.Count}"), at.Mean, Unit.Inch, 3),
            new(
                WalkSays.HalfWidth,
                new Formula(
                    $"t(ν) s z / √n = t({fit.Freedom}) {Measure.Inches(fit.Spread * walk.Zero, 3):bare} / √{at.Count}"
                ),
                plus,
                Unit.Inch,
                3
            ),
        ];
        return Of(
            "driftZero",
            DriftLabel.Zero,
            Measure.Yards(walk.Zero),
            (at.Mean, plus),
            WalkSays.ZeroIs,
            terms,
            WalkSays.ZeroSource
        );
    }

    private static Figure Spread(WalkFit fit) =>
        Figure.OnTarget(
            "driftSpread",
            new SpreadOfTheHand(Measure.Yards(Ten)),
            Ten * fit.Spread,
            null,
            new Working(
                WalkSays.SpreadIs,
                [
                    new Term(
                        new SpreadOfTheHand(Measure.Yards(Ten)),
                        new Formula($"10 √(Σ (y/d − mean)² / ν), ν = {fit.Freedom}"),
                        Ten * fit.Spread,
                        Unit.Inch,
                        3
                    ),
                ],
                WalkSays.Source
            )
        );

    private static Figure Of(
        string name,
        DriftLabel label,
        Measure at,
        (double Value, double Plus) of,
        WalkSays what,
        IReadOnlyList<Term> terms,
        WalkSays source = WalkSays.Source
    ) =>
        Figure.OnTarget(
            name,
            new DriftSide(of.Value < 0, label, at),
            of.Value,
            of.Plus,
            new Working(what, terms, source, GroupSays.MorePairsNarrow)
        );
}

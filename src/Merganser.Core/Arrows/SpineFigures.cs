using Merganser.Core.Figures;
using Merganser.Core.Messages;
using Merganser.Core.Spine;
using Merganser.Core.Units;

namespace Merganser.Core.Arrows;

/// <summary>Static spine, the spine that is needed, and the fit, with their working.</summary>
internal static class SpineFigures
{
    public static Figure StaticAstm(ArrowNumbers n)
    {
        var shaft = n.Arrow.Shaft;
        var spine = shaft.SpineInUse;
        Message how = shaft.MeasuredSpine is null
            ? ArrowSays.AstmSpanAndLoad
            : new MeasuredSpine(Measure.Spine(shaft.Spine));
        Term[] terms =
        [
            new(ArrowSays.AstmSpine, how, spine, Unit.Spine, 3),
            new(
                ArrowSays.StiffnessEi,
                new Formula(
                    $"P l³ / (48 s) = {new Measure(887.2267, Unit.PoundSquareInch, 4):bare} / {Measure.Plain(spine, 3)}"
                ),
                StaticSpine.Stiffness(spine),
                Unit.PoundSquareInch,
                1
            ),
        ];
        var label = shaft.MeasuredSpine is null ? ArrowSays.StaticSpine : ArrowSays.StaticSpineMeasured;
        return ArrowFigures.Plain(
            "staticSpine",
            label,
            spine,
            Unit.Spine,
            3,
            new Working(ArrowSays.StaticSpineIs, terms, ArrowSays.AstmSource)
        );
    }

    public static Figure StaticAmo(ArrowNumbers n)
    {
        var spine = n.Arrow.Shaft.SpineInUse;
        Term[] terms =
        [
            new(
                ArrowSays.AmoDeflection,
                new Formula($"0.825419 × {Measure.Plain(spine, 3)}"),
                StaticSpine.AmoDeflection(spine),
                Unit.Spine,
                4
            ),
            new(ArrowSays.AmoSpine, new Formula($"26 / s₂₆"), StaticSpine.AmoPounds(spine), Unit.AmoPound, 1),
        ];
        var working = new Working(ArrowSays.AmoSpineIs, terms, ArrowSays.AmoSource);
        return ArrowFigures.Plain(
            "amoSpine",
            ArrowSays.AmoSpine,
            StaticSpine.AmoPounds(spine),
            Unit.AmoPound,
            0,
            working
        );
    }

    public static Figure Needed(ArrowNumbers n)
    {
        var (low, high) = (n.Needed * (1 - n.Fit.Relative), n.Needed * (1 + n.Fit.Relative));
        var working = new Working(
            ArrowSays.NeededSpineIs,
            NeededTerms(n),
            ArrowSays.SpineSource,
            ArrowSays.MeasureLengthAndWeight
        );
        return new Figure(
            "neededSpine",
            ArrowSays.NeededSpine,
            n.Needed,
            Unit.Spine,
            3,
            low,
            high,
            null,
            null,
            null,
            working
        );
    }

    public static Figure Fit(ArrowNumbers n)
    {
        var measured = n.Bow.MeasuredWeight is not null;
        var doubt = measured ? SpineFit.MeasuredWeightUncertainty : SpineFit.NominalWeightUncertainty;
        var interval = new Formula(
            $"± R √(f² + (2.5 u_L / L)² + (u_W / W)²), f = {Measure.Plain(n.Factor.ModelSpread)}, u_L = {Measure.Ruled(SpineFit.LengthUncertainty):bare}, u_W = {Measure.Pounds(doubt):bare}"
        );
        Term[] terms =
        [
            .. NeededTerms(n),
            new(
                ArrowSays.FitR,
                new Formula(
                    $"needed / actual = {Measure.Plain(n.Needed, 4)} / {Measure.Plain(n.Arrow.Shaft.SpineInUse, 4)}"
                ),
                n.Fit.Ratio,
                Unit.None,
                3
            ),
            new(ArrowSays.IntervalLine, interval, n.Fit.Ratio * n.Fit.Relative, Unit.None, 3),
        ];
        var wouldMove = measured ? ArrowSays.CleanArrowSetsFactor : ArrowSays.MeasureTheWeight;
        var working = new Working(ArrowSays.FitMeaning, terms, ArrowSays.FitSource, wouldMove);
        return new Figure(
            "fit",
            ArrowSays.Fit,
            n.Fit.Ratio,
            Unit.None,
            2,
            n.Fit.Low,
            n.Fit.High,
            null,
            n.Fit.Words,
            null,
            working
        );
    }

    private static IReadOnlyList<Term> NeededTerms(ArrowNumbers n)
    {
        var product = new Formula($"{Measure.Pounds(n.Bow.DrawWeight):bare} × {Measure.Plain(n.Factor.Factor, 3)}");
        var share = new Formula(
            $"(front + shaft / 2) / total = ({Measure.Grains(n.Arrow.FrontGrains):bare} + {Measure.Grains(n.Arrow.ShaftGrains / 2):bare}) / {Measure.Grains(n.Balance.Grains):bare}"
        );
        var rule = new Formula(
            $"0.400 ({Measure.Pounds(60, 0):bare} / W)({Measure.Inches(28, 0):bare} / L)^2.5 (0.613065 / LF)^1.2, L = {Measure.Inches(n.Arrow.CutLength):bare}"
        );
        return
        [
            new(
                ArrowSays.EffectiveWeightW,
                new EffectiveWeight(product, n.Factor.Why),
                n.EffectiveWeight,
                Unit.Pound,
                2
            ),
            new(ArrowSays.LoadShare, share, n.LoadShare, Unit.None, 4),
            new(ArrowSays.NeededSpine, rule, n.Needed, Unit.Spine, 4),
        ];
    }
}

using Merganser.Core.Bows;
using Merganser.Core.Figures;
using Merganser.Core.Messages;
using Merganser.Core.Speed;
using Merganser.Core.Spine;
using Merganser.Core.Units;
using static Merganser.Core.Units.Show;

namespace Merganser.Core.Arrows;

/// <summary>The arrow's figures, each with its working: formula, the user's own numbers, source.</summary>
public static class ArrowFigures
{
    /// <summary>All figures, in the order of the bench.</summary>
    public static IReadOnlyList<Figure> All(ArrowNumbers n) =>
        [
            TotalWeight(n),
            FrontOfCenter(n),
            GrainsPerPound(n),
            SpeedOf(n),
            KineticEnergy(n),
            Momentum(n),
            BalancePoint(n),
            StaticAstm(n),
            StaticAmo(n),
            Needed(n),
            Fit(n),
            ToSpare(n),
        ];

    private static Figure TotalWeight(ArrowNumbers n)
    {
        Term[] terms =
        [
            .. n
                .Arrow.Masses()
                .Select(m => new Term(new PartName(m.Name), HowWeighed(n.Arrow, m), m.Grains, Unit.Grain, 2)),
            new(ArrowSays.Total, new Formula("M = Σ mᵢ"), n.Balance.Grains, Unit.Grain, 2),
        ];
        var working = new Working(ArrowSays.TotalWeightIs, terms, ArrowSays.BalanceSource, ArrowSays.GrainsForgotten);
        return Plain("totalWeight", ArrowSays.TotalWeight, n.Balance.Grains, Unit.Grain, 1, working);
    }

    private static Message HowWeighed(Arrow arrow, PlacedMass mass) =>
        mass.Name switch
        {
            "Shaft" => new ShaftMass(
                new Formula(
                    $"g (L − x₀) = {Number(arrow.Shaft.GrainsPerInchInUse, 2)} × ({Number(arrow.CutLength, 2)} − {Number(arrow.Nock.TubeStart, 2)})"
                ),
                arrow.Shaft.MeasuredGrainsPerInch is not null
            ),
            "Vanes" => new Formula($"{arrow.VaneCount} × {Number(arrow.Vane!.Weight, 1)}"),
            _ => new AtPlace(Measure.Inches(mass.Position)),
        };

    private static Figure BalancePoint(ArrowNumbers n)
    {
        var working = new Working(ArrowSays.BalancePointIs, [BalanceTerm(n)], ArrowSays.BalanceSource);
        return Plain("balancePoint", ArrowSays.BalancePoint, n.Balance.Point, Unit.Inch, 2, working);
    }

    private static Figure FrontOfCenter(ArrowNumbers n)
    {
        var length = n.Arrow.CutLength;
        var perGrain = n.Balance.FrontOfCenterPerGrain(length + n.Arrow.Point.CentreAhead);
        var formula = new Formula($"100 (A / L − ½) = 100 ({Number(n.Balance.Point, 3)} / {Number(length, 3)} − 0.5)");
        Term[] terms =
        [
            BalanceTerm(n),
            new(ArrowSays.LengthL, ArrowSays.ThroatToEnd, length, Unit.Inch, 3),
            new(ArrowSays.Foc, formula, n.Balance.FrontOfCenter, Unit.Percent, 2),
        ];
        var moves = new GrainInThePoint(Measure.Percent(perGrain, 3));
        var working = new Working(ArrowSays.FrontOfCenterIs, terms, ArrowSays.BalanceSource, moves);
        return Plain("frontOfCenter", ArrowSays.FrontOfCenter, n.Balance.FrontOfCenter, Unit.Percent, 1, working);
    }

    private static Figure GrainsPerPound(ArrowNumbers n)
    {
        var formula = new Formula($"M / W = {Number(n.Balance.Grains, 1)} / {Number(n.Bow.DrawWeight, 1)}");
        Term[] terms = [new(ArrowSays.WeightPerPound, formula, n.GrainsPerPound, Unit.GrainPerPound, 3)];
        var source = new LeastPerPound(LeastMeasure, n.Bow.MeasuredWeight is not null);
        var working = new Working(ArrowSays.WeightPerPoundIs, terms, source);
        return Plain("grainsPerPound", ArrowSays.WeightPerPound, n.GrainsPerPound, Unit.GrainPerPound, 2, working);
    }

    private static Measure LeastMeasure => new(ArrowCautions.LeastGrainsPerPound, Unit.GrainPerPound, 0);

    private static Figure SpeedOf(ArrowNumbers n)
    {
        if (n.Bow.Chronograph is { } fit)
        {
            return Speed(n, ArrowSays.SpeedByChronograph, Measured(n, fit));
        }

        return n.Launch.FromRating
            ? Speed(n, ArrowSays.SpeedFromRating, Rated(n))
            : Speed(n, ArrowSays.SpeedEstimated, Estimated(n));
    }

    private static Figure Speed(ArrowNumbers n, Message label, Working working) =>
        new(
            "speed",
            label,
            n.Launch.Speed,
            Unit.FootPerSecond,
            0,
            n.Launch.Low,
            n.Launch.High,
            null,
            null,
            null,
            working
        );

    private static Working Rated(ArrowNumbers n)
    {
        var bow = n.Bow;
        var mass = LaunchSpeed.VirtualMassOf(bow);
        var ratedStroke = LaunchSpeed.RatedDraw - Bow.AmoAllowance - bow.BraceHeight;
        var numbers =
            $"{Number(bow.RatedSpeed!.Value, 0)} √({Number(bow.DrawWeight, 1)} × {Number(bow.PowerStroke, 2)} / (70 × {Number(ratedStroke, 2)})"
            + $" × {Number(LaunchSpeed.RatedArrow + mass, 0)} / ({Number(n.Balance.Grains, 1)} + {Number(mass, 0)}))";
        Term[] terms =
        [
            Stroke(bow),
            new(
                ArrowSays.FormulaLine,
                new Formula($"v_r √(W S / (70 S_r) · (350 + K)/(m + K)) = {numbers}"),
                n.Launch.Bare,
                Unit.FootPerSecond,
                1
            ),
            new(ArrowSays.Shown, ArrowSays.ShownOfRating, n.Launch.Speed, Unit.FootPerSecond, 1),
        ];
        return new Working(ArrowSays.BelowTheRating, terms, ArrowSays.RatingSource, ArrowSays.ChronographNarrows);
    }

    private static Working Estimated(ArrowNumbers n)
    {
        var bow = n.Bow;
        var share = Number(LaunchSpeed.EnergyShare(bow.Kind), 2);
        var energy = new Formula(
            $"c W S / 12 = {share} × {Number(bow.DrawWeight, 1)} × {Number(bow.PowerStroke, 2)} / 12"
        );
        var speed = new Formula($"√(2E / (m + K)), K = {Number(LaunchSpeed.VirtualMassOf(bow), 0)}");
        Term[] terms =
        [
            Stroke(bow),
            new(ArrowSays.EnergyToArrow, energy, LaunchSpeed.EstimatedEnergy(bow), Unit.FootPound, 2),
            new(ArrowSays.SpeedLine, speed, n.Launch.Speed, Unit.FootPerSecond, 1),
        ];
        return new Working(ArrowSays.NoRatedSpeed, terms, ArrowSays.EstimateSource, ArrowSays.ChronographNarrows);
    }

    private static Working Measured(ArrowNumbers n, SpeedFit fit)
    {
        var line = new SpeedCalibration(fit);
        Message virtualMass =
            fit.Masses == 1
                ? new UsualVirtualMass(
                    Measure.Grains(SpeedCalibration.PriorVirtualMass, 0),
                    Measure.Grains(SpeedCalibration.PriorSpread, 0)
                )
                : new Formula($"a / b, ± {Number(line.VirtualMassError, 0)}");
        var speed = new Formula($"√(2E / (m + K)), m = {Number(n.Balance.Grains, 1)}");
        Term[] terms =
        [
            new(ArrowSays.VirtualMassK, virtualMass, line.VirtualMass, Unit.Grain, 1),
            new(
                ArrowSays.EnergyE,
                new Formula($"1 / (2b), ± {Number(line.EnergyError, 1)}"),
                line.Energy,
                Unit.FootPound,
                2
            ),
            new(ArrowSays.SpeedLine, speed, n.Launch.Speed, Unit.FootPerSecond, 1),
        ];
        return new Working(
            new OwnLine(fit.Shots, fit.Masses),
            terms,
            ArrowSays.OwnLineSource,
            ArrowSays.OtherWeightsNarrow
        );
    }

    private static Term Stroke(Bow bow) =>
        new(
            ArrowSays.PowerStroke,
            new Formula($"draw − 1.75 − brace = {Number(bow.DrawLength, 2)} − 1.75 − {Number(bow.BraceHeight, 2)}"),
            bow.PowerStroke,
            Unit.Inch,
            2
        );

    private static Figure KineticEnergy(ArrowNumbers n) =>
        FromSpeed(
            n,
            "kineticEnergy",
            ArrowSays.KineticEnergy,
            Unit.FootPound,
            1,
            v => LaunchSpeed.KineticEnergy(n.Balance.Grains, v),
            $"m v² / (2 × 7000 × 32.174) = {Number(n.Balance.Grains, 1)} × {Number(n.Launch.Speed, 1)}² / 450 436",
            ArrowSays.EnergyHardlyChanges
        );

    private static Figure Momentum(ArrowNumbers n) =>
        FromSpeed(
            n,
            "momentum",
            ArrowSays.Momentum,
            Unit.SlugFootPerSecond,
            3,
            v => LaunchSpeed.Momentum(n.Balance.Grains, v),
            $"m v / (7000 × 32.174) = {Number(n.Balance.Grains, 1)} × {Number(n.Launch.Speed, 1)} / 225 218",
            ArrowSays.RisesWithWeight
        );

    private static Figure FromSpeed(
        ArrowNumbers n,
        string name,
        Message label,
        string unit,
        int decimals,
        Func<double, double> of,
        string formula,
        Message wouldMove
    )
    {
        var value = of(n.Launch.Speed);
        Term[] terms = [new(label, new Formula(formula), value, unit, decimals + 1)];
        var working = new Working(ArrowSays.AtLaunch, terms, ArrowSays.MechanicsSource, wouldMove);
        return new Figure(
            name,
            label,
            value,
            unit,
            decimals,
            of(n.Launch.Low),
            of(n.Launch.High),
            null,
            null,
            null,
            working
        );
    }

    private static Figure StaticAstm(ArrowNumbers n)
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
                new Formula($"P l³ / (48 s) = 887.2267 / {Number(spine, 3)}"),
                StaticSpine.Stiffness(spine),
                Unit.PoundSquareInch,
                1
            ),
        ];
        var label = shaft.MeasuredSpine is null ? ArrowSays.StaticSpine : ArrowSays.StaticSpineMeasured;
        return Plain(
            "staticSpine",
            label,
            spine,
            Unit.Spine,
            3,
            new Working(ArrowSays.StaticSpineIs, terms, ArrowSays.AstmSource)
        );
    }

    private static Figure StaticAmo(ArrowNumbers n)
    {
        var spine = n.Arrow.Shaft.SpineInUse;
        Term[] terms =
        [
            new(
                ArrowSays.AmoDeflection,
                new Formula($"0.825419 × {Number(spine, 3)}"),
                StaticSpine.AmoDeflection(spine),
                Unit.Spine,
                4
            ),
            new(ArrowSays.AmoSpine, new Formula("26 / s₂₆"), StaticSpine.AmoPounds(spine), Unit.AmoPound, 1),
        ];
        var working = new Working(ArrowSays.AmoSpineIs, terms, ArrowSays.AmoSource);
        return Plain("amoSpine", ArrowSays.AmoSpine, StaticSpine.AmoPounds(spine), Unit.AmoPound, 0, working);
    }

    private static Figure Needed(ArrowNumbers n)
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

    private static Figure Fit(ArrowNumbers n)
    {
        var measured = n.Bow.MeasuredWeight is not null;
        var doubt = measured ? SpineFit.MeasuredWeightUncertainty : SpineFit.NominalWeightUncertainty;
        var interval =
            $"± R √(f² + (2.5 u_L / L)² + (u_W / W)²), f = {Number(n.Factor.ModelSpread, 2)}, u_L = 1/16, u_W = {Number(doubt, 1)}";
        Term[] terms =
        [
            .. NeededTerms(n),
            new(
                ArrowSays.FitR,
                new Formula($"needed / actual = {Number(n.Needed, 4)} / {Number(n.Arrow.Shaft.SpineInUse, 4)}"),
                n.Fit.Ratio,
                Unit.None,
                3
            ),
            new(ArrowSays.IntervalLine, new Formula(interval), n.Fit.Ratio * n.Fit.Relative, Unit.None, 3),
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
        var product = new Formula($"{Number(n.Bow.DrawWeight, 1)} × {Number(n.Factor.Factor, 3)}");
        var share =
            $"({Number(n.Arrow.FrontGrains, 1)} + {Number(n.Arrow.ShaftGrains / 2, 1)}) / {Number(n.Balance.Grains, 1)}";
        var rule = $"0.400 (60 / W)(28 / L)^2.5 (0.613065 / LF)^1.2, L = {Number(n.Arrow.CutLength, 2)}";
        return
        [
            new(
                ArrowSays.EffectiveWeightW,
                new EffectiveWeight(product, n.Factor.Why),
                n.EffectiveWeight,
                Unit.Pound,
                2
            ),
            new(ArrowSays.LoadShare, new Formula($"(front + shaft / 2) / total = {share}"), n.LoadShare, Unit.None, 4),
            new(ArrowSays.NeededSpine, new Formula(rule), n.Needed, Unit.Spine, 4),
        ];
    }

    private static Figure ToSpare(ArrowNumbers n)
    {
        var rest =
            $"AMO draw − 1.75 + rest ahead of pivot = {Number(n.Bow.DrawLength, 2)} − 1.75 + {Number(n.Bow.RestAhead, 2)}";
        var spare = $"L − rest = {Number(n.Arrow.CutLength, 2)} − {Number(n.Bow.RestAtFullDraw, 2)}";
        Term[] terms =
        [
            new(ArrowSays.RestAtFullDraw, new Formula(rest), n.Bow.RestAtFullDraw, Unit.Inch, 3),
            new(ArrowSays.ToSpare, new Formula(spare), n.ToSpare, Unit.Inch, 3),
        ];
        return Plain(
            "toSpare",
            ArrowSays.ToSpare,
            n.ToSpare,
            Unit.Inch,
            2,
            new Working(ArrowSays.ToSpareIs, terms, ArrowSays.AmoDrawSource)
        );
    }

    private static Term BalanceTerm(ArrowNumbers n) =>
        new(
            ArrowSays.BalancePointA,
            new Formula($"Σ mᵢxᵢ / M = {Number(n.Balance.Moment, 1)} / {Number(n.Balance.Grains, 1)}"),
            n.Balance.Point,
            Unit.Inch,
            3
        );

    private static Figure Plain(string name, Message label, double value, string unit, int decimals, Working working) =>
        new(name, label, value, unit, decimals, null, null, null, null, null, working);
}

using Merganser.Core.Bows;
using Merganser.Core.Figures;
using Merganser.Core.Messages;
using Merganser.Core.Speed;
using Merganser.Core.Units;
using static Merganser.Core.Units.Show;

namespace Merganser.Core.Arrows;

/// <summary>Speed, energy and momentum with their working.</summary>
internal static class SpeedFigures
{
    public static Figure SpeedOf(ArrowNumbers n)
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

    public static Figure KineticEnergy(ArrowNumbers n) =>
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

    public static Figure Momentum(ArrowNumbers n) =>
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
}

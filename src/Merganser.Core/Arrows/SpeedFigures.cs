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
        var (standard, arrow) = (Measure.Pounds(LaunchSpeed.RatedWeight, 0), Measure.Grains(LaunchSpeed.RatedArrow, 0));
        var symbols = (FormattableString)$"v_r √(W S / ({standard:bare} S_r) · ({arrow:bare} + K)/(m + K))";
        var weights = (FormattableString)
            $"{Measure.Grains(LaunchSpeed.RatedArrow + mass, 0):bare} / ({Measure.Grains(n.Balance.Grains):bare} + {Measure.Grains(mass, 0):bare})";
        var work = (FormattableString)
            $"{Measure.Pounds(bow.DrawWeight):bare} × {Measure.Inches(bow.PowerStroke):bare} / ({standard:bare} × {Measure.Inches(ratedStroke):bare})";
        var formula = new Formula($"{symbols} = {Measure.Speed(bow.RatedSpeed!.Value):bare} √({work} × {weights})");
        Term[] terms =
        [
            Stroke(bow),
            new(ArrowSays.FormulaLine, formula, n.Launch.Bare, Unit.FootPerSecond, 1),
            new(ArrowSays.Shown, ArrowSays.ShownOfRating, n.Launch.Speed, Unit.FootPerSecond, 1),
        ];
        return new Working(ArrowSays.BelowTheRating, terms, ArrowSays.RatingSource, ArrowSays.ChronographNarrows);
    }

    private static Working Estimated(ArrowNumbers n)
    {
        var bow = n.Bow;
        var share = Number(LaunchSpeed.EnergyShare(bow.Kind), 2);
        var energy = bow.Force is { } curve
            ? new Formula(
                $"{Measure.Plain(ForceCurve.Returned)} × {Measure.Energy(curve.Energy, 2)} under the draw-force curve"
            )
            : new Formula(
                $"c W S / 12 = {share} × {Measure.Pounds(bow.DrawWeight):bare} × {Measure.Inches(bow.PowerStroke):bare} / 12",
                $"c W S = {share} × {Measure.Pounds(bow.DrawWeight)} × {Measure.Inches(bow.PowerStroke)}"
            );
        var speed = new Formula($"√(2E / (m + K)), K = {Measure.Grains(LaunchSpeed.VirtualMassOf(bow), 0):bare}");
        Term[] terms =
        [
            Stroke(bow),
            new(ArrowSays.EnergyToArrow, energy, LaunchSpeed.EstimatedEnergy(bow), Unit.FootPound, 2),
            new(ArrowSays.SpeedLine, speed, n.Launch.Speed, Unit.FootPerSecond, 1),
        ];
        return bow.Force is null
            ? new Working(ArrowSays.NoRatedSpeed, terms, ArrowSays.EstimateSource, ArrowSays.ChronographNarrows)
            : new Working(ArrowSays.FromTheCurve, terms, ArrowSays.CurveSource, ArrowSays.ChronographNarrows);
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
                : new Formula($"a / b, ± {Measure.Grains(line.VirtualMassError, 0):bare}");
        var speed = new Formula($"√(2E / (m + K)), m = {Measure.Grains(n.Balance.Grains):bare}");
        Term[] terms =
        [
            new(ArrowSays.VirtualMassK, virtualMass, line.VirtualMass, Unit.Grain, 1),
            new(
                ArrowSays.EnergyE,
                new Formula($"1 / (2b), ± {Measure.Energy(line.EnergyError):bare}"),
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

    private static Term Stroke(Bow bow)
    {
        var allowance = Measure.Inches(Bow.AmoAllowance);
        var formula = new Formula(
            $"draw − {allowance:bare} − brace = {Measure.Inches(bow.DrawLength):bare} − {allowance:bare} − {Measure.Inches(bow.BraceHeight):bare}"
        );
        return new Term(ArrowSays.PowerStroke, formula, bow.PowerStroke, Unit.Inch, 2);
    }

    public static Figure KineticEnergy(ArrowNumbers n) =>
        FromSpeed(
            n,
            "kineticEnergy",
            ArrowSays.KineticEnergy,
            Unit.FootPound,
            1,
            v => LaunchSpeed.KineticEnergy(n.Balance.Grains, v),
            new Formula(
                $"m v² / (2 × 7000 × 32.174) = {Measure.Grains(n.Balance.Grains):bare} × {Measure.Speed(n.Launch.Speed, 1):bare}² / 450 436",
                $"m v² / 2 = {Measure.Grains(n.Balance.Grains)} × ({Measure.Speed(n.Launch.Speed, 1)})² / 2"
            ),
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
            new Formula(
                $"m v / (7000 × 32.174) = {Measure.Grains(n.Balance.Grains):bare} × {Measure.Speed(n.Launch.Speed, 1):bare} / 225 218",
                $"m v = {Measure.Grains(n.Balance.Grains)} × {Measure.Speed(n.Launch.Speed, 1)}"
            ),
            ArrowSays.RisesWithWeight
        );

    private static Figure FromSpeed(
        ArrowNumbers n,
        string name,
        Message label,
        string unit,
        int decimals,
        Func<double, double> of,
        Formula formula,
        Message wouldMove
    )
    {
        var value = of(n.Launch.Speed);
        Term[] terms = [new(label, formula, value, unit, decimals + 1)];
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

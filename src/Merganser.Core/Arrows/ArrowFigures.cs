using Merganser.Core.Figures;
using Merganser.Core.Messages;
using Merganser.Core.Units;

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
            SpeedFigures.SpeedOf(n),
            SpeedFigures.KineticEnergy(n),
            SpeedFigures.Momentum(n),
            BalancePoint(n),
            SpineFigures.StaticAstm(n),
            SpineFigures.StaticAmo(n),
            SpineFigures.Needed(n),
            SpineFigures.Fit(n),
            ToSpare(n),
        ];

    private static Figure TotalWeight(ArrowNumbers n)
    {
        Term[] terms =
        [
            .. n
                .Arrow.Masses()
                .Select(m => new Term(new PartName(m.Name), HowWeighed(n.Arrow, m), m.Grains, Unit.Grain, 2)),
            new(ArrowSays.Total, new Formula($"M = Σ mᵢ"), n.Balance.Grains, Unit.Grain, 2),
        ];
        var working = new Working(ArrowSays.TotalWeightIs, terms, ArrowSays.BalanceSource, ArrowSays.GrainsForgotten);
        return Plain("totalWeight", ArrowSays.TotalWeight, n.Balance.Grains, Unit.Grain, 1, working);
    }

    private static Message HowWeighed(Arrow arrow, PlacedMass mass) =>
        mass.Name switch
        {
            "Shaft" => new ShaftMass(
                new Formula(
                    $"g (L − x₀) = {Measure.GrainsPerInch(arrow.Shaft.GrainsPerInchInUse):bare} × ({Measure.Inches(arrow.CutLength):bare} − {Measure.Inches(arrow.Nock.TubeStart):bare})"
                ),
                arrow.Shaft.MeasuredGrainsPerInch is not null
            ),
            "Vanes" => new Formula($"{arrow.VaneCount} × {Measure.Grains(arrow.Vane!.Weight):bare}"),
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
        var formula = new Formula(
            $"100 (A / L − ½) = 100 ({Measure.Inches(n.Balance.Point, 3):bare} / {Measure.Inches(length, 3):bare} − 0.5)"
        );
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
        var formula = new Formula(
            $"M / W = {Measure.Grains(n.Balance.Grains):bare} / {Measure.Pounds(n.Bow.DrawWeight):bare}"
        );
        Term[] terms = [new(ArrowSays.WeightPerPound, formula, n.GrainsPerPound, Unit.GrainPerPound, 3)];
        var source = new LeastPerPound(LeastMeasure, n.Bow.MeasuredWeight is not null);
        var working = new Working(ArrowSays.WeightPerPoundIs, terms, source);
        return Plain("grainsPerPound", ArrowSays.WeightPerPound, n.GrainsPerPound, Unit.GrainPerPound, 2, working);
    }

    private static Measure LeastMeasure => new(ArrowCautions.LeastGrainsPerPound, Unit.GrainPerPound, 0);

    private static Figure ToSpare(ArrowNumbers n)
    {
        var allowance = Measure.Inches(Bows.Bow.AmoAllowance);
        var rest = new Formula(
            $"AMO draw − {allowance:bare} + rest ahead of pivot = {Measure.Inches(n.Bow.DrawLength):bare} − {allowance:bare} + {Measure.Inches(n.Bow.RestAhead):bare}"
        );
        var spare = new Formula(
            $"L − rest = {Measure.Inches(n.Arrow.CutLength):bare} − {Measure.Inches(n.Bow.RestAtFullDraw):bare}"
        );
        Term[] terms =
        [
            new(ArrowSays.RestAtFullDraw, rest, n.Bow.RestAtFullDraw, Unit.Inch, 3),
            new(ArrowSays.ToSpare, spare, n.ToSpare, Unit.Inch, 3),
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
            new Formula(
                $"Σ mᵢxᵢ / M = {new Measure(n.Balance.Moment, Unit.GrainInch, 1):bare} / {Measure.Grains(n.Balance.Grains):bare}"
            ),
            n.Balance.Point,
            Unit.Inch,
            3
        );

    /// <summary>A figure that is known as it stands.</summary>
    internal static Figure Plain(
        string name,
        Message label,
        double value,
        string unit,
        int decimals,
        Working working
    ) => new(name, label, value, unit, decimals, null, null, null, null, null, working);
}

using Merganser.Core.Figures;
using Merganser.Core.Units;

namespace Merganser.Core.Speed;

/// <summary>The figures of a draw-force curve, each with its working.</summary>
public static class BoardFigures
{
    /// <summary>Peak, holding weight, let-off, stored energy, and how far the stops stand apart.</summary>
    public static IReadOnlyList<Figure> Of(ForceCurve curve)
    {
        if (curve.Points.Count == 1)
        {
            return [];
        }

        List<Figure> figures = [Make("peak", SpeedSays.Peak, curve.Peak, Unit.Pound, 1, Plain(SpeedSays.PeakIs))];
        if (curve.Missing is null)
        {
            figures.AddRange(OfWhole(curve));
        }

        if (curve is { StopsApart: { } apart, StopsApartDegrees: { } degrees })
        {
            var formula = new Formula(
                $"{Measure.Degrees(ForceCurve.CamTurns)} × {Measure.Inches(apart, 3)} / {Measure.Inches(curve.Stroke, 1)}"
            );
            Term[] terms = [new(SpeedSays.StopsApart, formula, degrees, Unit.Degree, 1)];
            var working = new Working(SpeedSays.StopsApartIs, terms, SpeedSays.TurnOfCams, SpeedSays.TimeTheCams);
            figures.Add(Make("stopsApart", SpeedSays.StopsApart, degrees, Unit.Degree, 1, working));
        }

        return figures;
    }

    private static IEnumerable<Figure> OfWhole(ForceCurve curve)
    {
        yield return Make("holding", SpeedSays.Holding, curve.Holding, Unit.Pound, 1, Plain(SpeedSays.HoldingIs));
        if (curve.HasLetOff)
        {
            var formula = new Formula($"1 − {Measure.Pounds(curve.Holding):bare} / {Measure.Pounds(curve.Peak):bare}");
            Term[] terms = [new(SpeedSays.LetOff, formula, curve.LetOff, Unit.Percent, 1)];
            var working = new Working(SpeedSays.LetOffIs, terms, SpeedSays.Definition);
            yield return Make("letOff", SpeedSays.LetOff, curve.LetOff, Unit.Percent, 0, working);
        }

        yield return Make("storedEnergy", SpeedSays.StoredEnergy, curve.Energy, Unit.FootPound, 1, Energy(curve));
    }

    private static Working Energy(ForceCurve curve)
    {
        var end = Measure.Inches(curve.Points[^1].Travel);
        var mean = 12 * curve.Energy / curve.Points[^1].Travel;
        var sum = new Formula($"Σ (xᵢ₊₁ − xᵢ) (Fᵢ + Fᵢ₊₁) / 2 over {curve.Points.Count} points, 0 to {end}");
        Term[] terms =
        [
            new(SpeedSays.MeanForce, sum, mean, Unit.Pound, 2),
            new(
                SpeedSays.StoredEnergy,
                new Formula($"{Measure.Pounds(mean, 2):bare} × {end:bare} / 12", $"{Measure.Pounds(mean, 2)} × {end}"),
                curve.Energy,
                Unit.FootPound,
                2
            ),
        ];
        return new Working(SpeedSays.StoredEnergyIs, terms, SpeedSays.Definition, SpeedSays.MorePoints);
    }

    private static Working Plain(SpeedSays what) => new(what, [], SpeedSays.FromTheBoard);

    private static Figure Make(
        string name,
        SpeedSays label,
        double value,
        string unit,
        int decimals,
        Working working
    ) => new(name, label, value, unit, decimals, null, null, null, null, null, working);
}

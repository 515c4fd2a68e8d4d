using Merganser.Core.Figures;
using Merganser.Core.Messages;
using Merganser.Core.Speed;
using Merganser.Core.Units;

namespace Merganser.Core.Ballistics;

/// <summary>The figures of a flight, each with its working.</summary>
public static class FlightFigures
{
    /// <summary>The wind that drift is told for, mph.</summary>
    public const double Wind = 10;

    /// <summary>The honest range with its two limits.</summary>
    public static Figure Honest(FlightReading reading)
    {
        var (range, spread) = (reading.Honest, reading.Spread);
        var at = range.At(Math.Max(range.Yards, 1));
        var error = Measure.Yards(at.Error);
        Term[] terms =
        [
            new(
                FlightSays.MissAtBothEnds,
                new Formula(
                    $"y(d − {error:bare}) = {Measure.Inches(at.Above):signed}, y(d + {error:bare}) = {Measure.Inches(at.Below):signed}"
                ),
                at.Miss,
                Unit.Inch,
                3
            ),
            new(
                FlightSays.RingOfNine,
                new Formula(
                    $"√(2 ln 10) s d = {Measure.Plain(ShotSpread.NineInTen, 3)} × {Measure.Inches(spread.PerYard * at.Yards, 3):bare}"
                ),
                at.Ring,
                Unit.Inch,
                3
            ),
            new(
                FlightSays.Circle,
                new Formula($"D / 2 = {Measure.Inches(range.Radius * 2):bare} / 2"),
                range.Radius,
                Unit.Inch,
                3
            ),
            new(FlightSays.ChanceThere, FlightSays.RuleIs, 100 * at.Chance, Unit.Percent, 1),
            new(FlightSays.GroupAlone, FlightSays.GroupRule, range.GroupAlone, Unit.Yard, 1),
            new(FlightSays.ErrorAlone, FlightSays.ErrorRule, range.ErrorAlone, Unit.Yard, 1),
        ];
        return new Figure(
            "honestRange",
            FlightSays.HonestRange,
            range.Yards,
            Unit.Yard,
            1,
            range.Low,
            range.High,
            null,
            null,
            null,
            new Working(FlightSays.RuleIs, terms, FlightSays.RuleSource, FlightSays.RuleMoves)
        );
    }

    /// <summary>Speed, energy, momentum, time and drift at a distance, and the drag coefficient.</summary>
    /// <param name="reading">The arrow in flight.</param>
    /// <param name="yards">At this distance, for which the sight is set.</param>
    public static IReadOnlyList<Figure> At(FlightReading reading, double yards)
    {
        var flight = reading.Flight;
        if (flight.Zero(yards) is not { } tangent || flight.At(tangent, yards) is not { } there)
        {
            return [Drag(reading)];
        }

        var at = Measure.Yards(yards);
        var (v, m) = (Measure.Speed(there.Speed, 1), Measure.Grains(reading.Grains));
        var k = new Formula(
            $"k = ρ C A / 2m = {Measure.Plain(flight.Arrow.DragPerMetre, 6)} / m, {FlownWords(reading)}"
        );
        return
        [
            Figure("speedThere", FlownFigure.Speed, there.Speed, Unit.FootPerSecond, 0, k),
            Figure(
                "energyThere",
                FlownFigure.Energy,
                LaunchSpeed.KineticEnergy(reading.Grains, there.Speed),
                Unit.FootPound,
                1,
                new Formula($"m v² / 2, m = {m}, v = {v}")
            ),
            Figure(
                "momentumThere",
                FlownFigure.Momentum,
                LaunchSpeed.Momentum(reading.Grains, there.Speed),
                Unit.SlugFootPerSecond,
                3,
                new Formula($"m v, m = {m}, v = {v}")
            ),
            Figure("timeThere", FlownFigure.Time, there.Seconds, Unit.Second, 2, k),
            Drift(there, flight.Speed / Math.Sqrt(1 + (tangent * tangent)), at),
            Drag(reading),
        ];

        Figure Figure(string name, FlownFigure what, double value, string unit, int decimals, Message formula) =>
            Plain(
                name,
                new AtTheTarget(what, at),
                value,
                unit,
                decimals,
                new Working(
                    FlightSays.IntegratedIs,
                    [new Term(new AtTheTarget(what, at), formula, value, unit, decimals + 1)],
                    FlightSays.FlightSource,
                    FlightSays.SpeedMoves
                )
            );
    }

    /// <summary>
    /// How far a wind straight across carries it at the least, inches: w (t − x/v₀). An arrow shows the wind its side
    /// as well, so it drifts farther.
    /// </summary>
    /// <param name="mph">The wind across, miles an hour.</param>
    /// <param name="there">The arrow where it strikes.</param>
    /// <param name="along">Its speed along the line of sight as it leaves, ft/s.</param>
    public static double LeastDrift(double mph, FlightPoint there, double along)
    {
        var lag = there.Seconds - (there.Yards * 3 / along);
        return mph * Physical.MetresPerSecondInMph * lag * 1000 / Physical.MillimetresPerInch;
    }

    private static Figure Drift(FlightPoint there, double along, Measure at)
    {
        var drift = LeastDrift(Wind, there, along);
        var formula = new Formula($"w (t − d / v₀), t = {new Measure(there.Seconds, Unit.Second, 3)}");
        return Plain(
            "driftThere",
            new DriftIn(Measure.Wind(Wind), at),
            drift,
            Unit.Inch,
            1,
            new Working(
                FlightSays.DriftIs,
                [new Term(FlightSays.DriftIs, formula, drift, Unit.Inch, 2)],
                FlightSays.DriftSource,
                FlightSays.DriftMoves
            )
        );
    }

    private static Figure Drag(FlightReading reading)
    {
        var (drag, fitted) = (reading.Drag, reading.Fit.Drag);
        Term Share(FlightSays what, double share) => new(what, FlightSays.OfItsSection, share, Unit.None, 3);
        List<Term> terms =
        [
            Share(FlightSays.TubeSides, drag.Tube),
            Share(FlightSays.VaneSides, drag.Vanes),
            Share(FlightSays.EndsOfIt, drag.Ends),
        ];
        if (reading.Fit.Against.Count > 0)
        {
            terms.Add(new Term(FlightSays.Drag, FlightSays.FittedToOwn, fitted.Value, Unit.None, 3));
        }

        var width = Math.Exp(1.96 * fitted.Error);
        return Plain(
            "drag",
            FlightSays.Drag,
            fitted.Value,
            Unit.None,
            2,
            new Working(FlightSays.DragIs, terms, FlightSays.DragSource, FlightSays.DragMoves)
        ) with
        {
            Low = fitted.Value / width,
            High = fitted.Value * width,
        };
    }

    private static Formula FlownWords(FlightReading reading) =>
        new(
            $"C = {Measure.Plain(reading.Fit.Drag.Value)}, v₀ = {Measure.Speed(reading.Flight.Speed, 1)}, ρ = {Measure.Plain(reading.Flight.Arrow.AirDensity, 3)} kg/m³"
        );

    private static Figure Plain(string name, Message label, double value, string unit, int decimals, Working working) =>
        new(name, label, value, unit, decimals, null, null, null, null, null, working);
}

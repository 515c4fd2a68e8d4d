using Merganser.Core.Arrows;
using Merganser.Core.Bows;
using Merganser.Core.Groups;
using Merganser.Core.Speed;

namespace Merganser.Core.Ballistics;

/// <summary>An arrow of a school's weight in flight from a bow: what the schools argue about, in figures.</summary>
/// <param name="School">The school.</param>
/// <param name="Grains">The middle of its weights on this bow.</param>
/// <param name="There">The arrow at the distance that is asked for.</param>
/// <param name="Drift">In a wind across at the least, inches.</param>
/// <param name="Honest">How far it is honest, yards.</param>
/// <param name="Path">Step by step, the sight set for the distance; a little beyond it.</param>
public sealed record WeightFlight(
    WeightSchool School,
    double Grains,
    FlightPoint There,
    double Drift,
    double Honest,
    IReadOnlyList<FlightPoint> Path
)
{
    /// <summary>Beyond the target the paths part most, yards.</summary>
    private const double Beyond = 10;

    /// <summary>A shaft and drag where no arrow is kept: an ordinary one (a guess, no source).</summary>
    private const double UsualDiameter = .246;

    private const double UsualDrag = 2;

    /// <summary>From where people shoot for a purpose, yards (common practice, no source).</summary>
    public static double DistanceFor(Purpose purpose) =>
        purpose switch
        {
            Purpose.IndoorTarget => 20,
            Purpose.OutdoorTarget => 60,
            Purpose.Field => 40,
            _ => 25,
        };

    /// <summary>Light, middle and heavy on a bow, those that it stands and that carry so far.</summary>
    /// <param name="bow">The bow.</param>
    /// <param name="like">An arrow of the bow whose shaft and drag are taken; null for an ordinary one.</param>
    /// <param name="known">What else is known.</param>
    /// <param name="yards">The distance, above 0.</param>
    /// <param name="step">A yard, or what else the archer counts in, yards, above 0.</param>
    public static IReadOnlyList<WeightFlight> Of(Bow bow, Arrow? like, FlightKnown known, double yards, double step = 1)
    {
        var wish = known.Wish;
        var air = Air.Density(wish.Altitude, wish.Temperature);
        var (diameter, drag) = like is null
            ? (UsualDiameter, UsualDrag)
            : (like.Shaft.OuterDiameter, ArrowDrag.Of(like).Middle);
        List<WeightFlight> flights = [];
        foreach (var school in WeightSchools.Schools(bow).Where(s => s.To > s.From))
        {
            var grains = (school.From + school.To) / 2;
            var flight = new Trajectory(
                new FlyingArrow(grains, diameter, drag, air),
                LaunchSpeed.Of(bow, grains).Speed,
                wish.SightHeight ?? RangeTrial.EyeAboveArrow
            );
            if (flight.Zero(yards) is not { } tangent || flight.At(tangent, yards) is not { } there)
            {
                continue;
            }

            double[] steps = [.. Enumerable.Range(0, (int)((yards / step) + Beyond + 1e-6) + 1).Select(i => i * step)];
            var along = flight.Speed / Math.Sqrt(1 + (tangent * tangent));
            flights.Add(
                new WeightFlight(
                    school,
                    grains,
                    there,
                    FlightFigures.LeastDrift(FlightFigures.Wind, there, along),
                    new HonestRange(
                        flight,
                        FlightReading.ErrorOf(known),
                        wish.Circle,
                        FlightReading.SpreadOf(known)
                    ).Yards,
                    [.. flight.Path(tangent, steps).OfType<FlightPoint>()]
                )
            );
        }

        return flights;
    }
}

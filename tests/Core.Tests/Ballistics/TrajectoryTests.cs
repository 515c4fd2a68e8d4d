using MathNet.Numerics.LinearAlgebra;
using MathNet.Numerics.OdeSolvers;
using Merganser.Core.Ballistics;
using Merganser.Core.Groups;
using Merganser.Core.Setup;
using Merganser.Core.Units;

namespace Merganser.Core.Tests.Ballistics;

/// <summary>The way of an arrow against closed forms, an integrator of another house, and published air.</summary>
public class TrajectoryTests
{
    private const double Gravity = Physical.StandardGravity;
    private static readonly FlyingArrow Middle = new(420, .244);
    private static readonly FlyingArrow Heavy = new(600, .232);

    [Theory]
    [InlineData(20, .03)]
    [InlineData(60, .05)]
    [InlineData(95, -.01)]
    public void Without_air_the_path_is_the_parabola_of_every_textbook(double yards, double tangent)
    {
        var there = new Trajectory(new FlyingArrow(420, .244, 0), 270, 4.5).At(tangent, yards)!.Value;
        var (x, along) = (yards * .9144, 270 * .3048 / Math.Sqrt(1 + (tangent * tangent)));
        var height = (x * tangent) - (Gravity * x * x / (2 * along * along)) - (4.5 * .0254);
        there.Height.ShouldBe(height / .0254, 1e-9);
        (there.Height * .0254).ShouldBe(height, 1e-12);
        there.Seconds.ShouldBe(x / along, 1e-12);
    }

    [Fact]
    public void Where_gravity_hardly_counts_speed_falls_by_the_exponential_of_drag()
    {
        // v = v₀ e^(−kx) for drag as the square of speed (any textbook of mechanics).
        var there = new Trajectory(Middle, 30_000, 0).At(0, 60)!.Value;
        there.Along.ShouldBe(30_000 * Math.Exp(-Middle.DragPerMetre * 60 * .9144), 1e-4);
    }

    // Horizontal speed and time at 60 yd, launched level, integrated by Runge and Kutta apart from this code.
    [Theory]
    [InlineData(420, .244, 270, 250.595, .69214)]
    [InlineData(600, .232, 200, 190.756, .92159)]
    public void Speed_and_time_at_sixty_yards_are_those_of_another_integration(
        double grains,
        double diameter,
        double launch,
        double speed,
        double seconds
    )
    {
        var there = new Trajectory(new FlyingArrow(grains, diameter), launch, 0).At(0, 60)!.Value;
        there.Along.ShouldBe(speed, 6e-4);
        there.Seconds.ShouldBe(seconds, 6e-6);
    }

    [Fact]
    public void Launched_level_it_has_dropped_and_slowed_as_another_integration_found()
    {
        var there = new Trajectory(Middle, 270, 0).At(0, 60)!.Value;
        there.Speed.ShouldBe(251.513, 6e-4);
        (there.Height * .0254).ShouldBe(-2.2917, 6e-5);
        // Flat fire, g/(4k²v²)(e^2kx − 1 − 2kx): leaves out what the fall adds to the drag.
        there.Height.ShouldBe(-new FlatFire(420, 270, .244).Drop(60), .05);
    }

    [Theory]
    [InlineData(0, 40)]
    [InlineData(30, 40)]
    [InlineData(-30, 60)]
    [InlineData(45, 25)]
    public void On_any_slope_it_goes_where_a_general_integrator_takes_it(double slope, double yards)
    {
        var (tangent, angle) = (.035, slope * Math.PI / 180);
        var there = new Trajectory(Middle, 270, 4.5, slope).At(tangent, yards)!.Value;
        // Over time, in a frame that stands level, by MathNet's own Runge and Kutta; then seen along the line of sight.
        var rise = angle + Math.Atan(tangent);
        var (speed, k) = (270 * .3048, Middle.DragPerMetre);
        var start = Vector<double>.Build.Dense([
            4.5 * .0254 * Math.Sin(angle),
            -4.5 * .0254 * Math.Cos(angle),
            speed * Math.Cos(rise),
            speed * Math.Sin(rise),
        ]);
        var path = RungeKutta.FourthOrder(
            start,
            0,
            there.Seconds,
            4001,
            (_, y) =>
            {
                var v = Math.Sqrt((y[2] * y[2]) + (y[3] * y[3]));
                return Vector<double>.Build.Dense([y[2], y[3], -k * v * y[2], (-k * v * y[3]) - Gravity]);
            }
        );
        var end = path[^1];
        var along = (end[0] * Math.Cos(angle)) + (end[1] * Math.Sin(angle));
        var above = (end[1] * Math.Cos(angle)) - (end[0] * Math.Sin(angle));
        along.ShouldBe(yards * .9144, 1e-6);
        (there.Height * .0254).ShouldBe(above, 1e-7);
    }

    // The target two yards farther than the sight is set (models, flight).
    [Theory]
    [InlineData(10, 0, -1.055)]
    [InlineData(20, 0, -1.955)]
    [InlineData(30, 0, -2.876)]
    [InlineData(10, 4.5, -.155)]
    [InlineData(20, 4.5, -1.506)]
    [InlineData(30, 4.5, -2.577)]
    public void A_target_two_yards_farther_is_struck_low(double set, double eye, double inches) =>
        new Trajectory(Heavy, 200, eye).Strikes(set, set + 2)!.Value.ShouldBe(inches, 6e-4);

    // Pin travel R Δtan from the 20 yd mark, R 34 in, eye 4.5 in (models, sight marks).
    [Theory]
    [InlineData(30, .1640)]
    [InlineData(40, .3676)]
    [InlineData(50, .5897)]
    [InlineData(60, .8234)]
    public void A_pin_travels_by_the_tangents(double yards, double inches)
    {
        var flight = new Trajectory(Middle, 270, 4.5);
        (34 * (flight.Zero(yards) - flight.Zero(20)))!.Value.ShouldBe(inches, 6e-5);
    }

    [Fact]
    public void Drift_in_a_wind_across_is_at_least_its_lag()
    {
        var there = new Trajectory(Middle, 270, 0).At(0, 60)!.Value;
        FlightFigures.LeastDrift(10, there, 270).ShouldBe(4.48, .006); // models, flight
    }

    [Fact]
    public void An_arrow_that_falls_short_is_nowhere()
    {
        new Trajectory(Middle, 60, 4.5).Zero(100).ShouldBeNull();
        new Trajectory(Middle, 40, 4.5, 60).At(.1, 100).ShouldBeNull();
    }

    // ISO 2533, table of the standard atmosphere (from memory): kg/m³ at 1,000, 2,000 and 3,000 m.
    [Theory]
    [InlineData(0, 1.2250)]
    [InlineData(1000, 1.1117)]
    [InlineData(2000, 1.0066)]
    [InlineData(3000, .9093)]
    public void Air_is_as_thin_as_the_standard_says(double metres, double density) =>
        Air.Density(metres / .3048, null).ShouldBe(density, 1e-4);

    [Fact]
    public void Warm_air_is_thinner_by_the_ideal_gas()
    {
        Air.Density(null, 95).ShouldBe(1.225 * 288.15 / 308.15, 1e-4); // 35 °C
        Air.Density(null, 14).ShouldBe(1.225 * 288.15 / 263.15, 1e-4); // −10 °C
    }

    [Theory]
    [InlineData(40, 30)]
    [InlineData(40, -30)]
    [InlineData(35, 45)]
    [InlineData(60, -10)]
    public void The_mark_for_a_slope_strikes_the_target_on_it(double yards, double slope)
    {
        var level = new Trajectory(Middle, 270, 4.5);
        var shot = SlopeShot.Of(level, yards, slope)!;
        var tangent = level.Zero(shot.Set)!.Value;
        new Trajectory(Middle, 270, 4.5, slope).At(tangent, yards)!.Value.Height.ShouldBe(0, .02);
        shot.Set.ShouldBeLessThan(yards);
        // The rule of the level distance is near, and near only: the drop goes with the cosine, not the time of flight.
        shot.Set.ShouldBe(shot.ByCosine, yards / 12);
        shot.ByCosine.ShouldBe(yards * Math.Cos(slope * Math.PI / 180), 1e-12);
    }

    [Fact]
    public void Where_no_mark_is_low_enough_it_says_how_high_the_best_one_strikes()
    {
        var level = new Trajectory(Middle, 270, 4.5);
        var steep = SlopeShot.Of(level, 20, 45)!;
        var best = Enumerable.Range(5, 60).Min(d => level.Zero(d))!.Value;
        var struck = new Trajectory(Middle, 270, 4.5, 45).At(best, 20)!.Value.Height;
        steep.High.ShouldBe(struck, .01);
        steep.High.ShouldBeGreaterThan(1);
    }

    [Fact]
    public void Downhill_is_set_a_little_longer_than_uphill_takes_it()
    {
        // Downhill gravity helps it along; uphill it holds it back: the marks differ by that little.
        var level = new Trajectory(Middle, 270, 4.5);
        var (up, down) = (SlopeShot.Of(level, 60, 30)!.Set, SlopeShot.Of(level, 60, -30)!.Set);
        up.ShouldBeGreaterThan(down);
        // By energy: v² loses and gains 2 g d sin 30°, 8 in 100 of it, and the mark goes with 1/v².
        (up - down).ShouldBeInRange(1.5, 3);
    }

    [Fact]
    public void A_cant_by_an_edge_is_as_the_axes_say()
    {
        // The third axis of the set-up stands beside the slope's mark: same drop, in vacuum.
        var flight = new Trajectory(new FlyingArrow(420, .244, 0), 270, 0);
        var drop = -flight.At(0, 40)!.Value.Height;
        SightAxes.Drop(270, 40).ShouldBe(drop, 1e-9);
    }
}

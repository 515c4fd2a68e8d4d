using MathNet.Numerics.LinearRegression;
using Merganser.Core.Bows;
using Merganser.Core.Speed;

namespace Merganser.Core.Tests.Speed;

/// <summary>Virtual mass of bow and string: Klopsteg 1943. Values: docs/models.md.</summary>
public class SpeedTests
{
    private static readonly ChronographShot[] SixShots =
    [
        .. new[] { (400.0, 286.0), (400, 287), (475, 268), (475, 267), (600, 244), (600, 243) }.Select(
            s => new ChronographShot(s.Item1, s.Item2, 1)
        ),
    ];

    [Fact]
    public void A_rated_speed_gives_the_bare_formula()
    {
        const double brace = 6.5;
        LaunchSpeed.FromRating(330, 70, 28 - 1.75 - brace, 30 - 1.75 - brace, 420, 100).ShouldBe(292.531, 5e-4);
    }

    [Fact]
    public void The_figure_shown_is_95_per_cent_of_it_with_a_band()
    {
        var launch = LaunchSpeed.Of(Samples.Compound with { MeasuredWeight = 70, DrawLength = 28 }, 420);
        launch.Speed.ShouldBe(277.9045, 5e-4);
        launch.Low.ShouldBe(266.2032, 5e-4);
        launch.High.ShouldBe(289.6057, 5e-4);
    }

    [Fact]
    public void Without_a_rating_the_energy_is_estimated()
    {
        var bow = Samples.Compound with
        {
            Kind = BowKind.Recurve,
            RatedSpeed = null,
            MeasuredWeight = 38,
            DrawLength = 28.5,
            BraceHeight = 8.75,
        };
        var launch = LaunchSpeed.Of(bow, 308);
        launch.Speed.ShouldBe(191.0461, 5e-4, "33.06 ft·lb into 308 + 100 gr, worked by hand");
        launch.High.ShouldBe(210.1507, 5e-4);
    }

    [Fact]
    public void Weight_on_the_string_counts_by_the_square_of_its_place()
    {
        var bow = Samples.Compound with { StringWeight = 40, StringWeightFromTip = .5 };
        LaunchSpeed.VirtualMassOf(bow).ShouldBe(110, 1e-12);
    }

    [Fact]
    public void Energy_and_momentum_match_the_worked_example()
    {
        LaunchSpeed.KineticEnergy(568, 270).ShouldBe(91.927, 5e-4);
        LaunchSpeed.Momentum(568, 270).ShouldBe(.68094, 5e-6);
    }

    [Fact]
    public void Six_chronograph_shots_calibrate_the_bow()
    {
        var calibration = new SpeedCalibration(SixShots);
        calibration.VirtualMass.ShouldBe(120.13, .005);
        calibration.VirtualMassError.ShouldBe(14.25, .005);
        calibration.Energy.ShouldBe(94.707, 5e-4);
        calibration.EnergyError.ShouldBe(2.303, 5e-4);
        calibration.Predict(450).Speed.ShouldBe(273.541, 5e-4);
        calibration.Predict(450).Error.ShouldBe(.436, 5e-4);
    }

    /// <summary>Reference: weighted regression of the numerics library (MathNet.Numerics).</summary>
    [Fact]
    public void Calibration_equals_the_library_regression()
    {
        var fit = WeightedRegression.Weighted(
            [.. SixShots.Select(s => new[] { 1, s.Grains })],
            [.. SixShots.Select(s => 1 / (s.Speed * s.Speed))],
            [.. SixShots.Select(s => Math.Pow(s.Speed, 6))]
        );
        new SpeedCalibration(SixShots).VirtualMass.ShouldBe(fit[0] / fit[1], 1e-6);
    }

    [Fact]
    public void One_arrow_mass_cannot_calibrate() =>
        Should.Throw<ArgumentException>(() => new SpeedCalibration([.. SixShots.Take(2)]));
}

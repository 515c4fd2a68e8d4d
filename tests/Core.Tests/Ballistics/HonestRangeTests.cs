using MathNet.Numerics.Distributions;
using MathNet.Numerics.Random;
using Merganser.Core.Ballistics;
using Merganser.Core.Groups;

namespace Merganser.Core.Tests.Ballistics;

/// <summary>How far a shot is honest, against the worked picture and against drawn shots.</summary>
public class HonestRangeTests
{
    // The worked picture: OD .246 in, 409 gr at 276 ft/s, eye 4.5 in, C_d 2; spread .048 in a yard of 74 degrees of
    // freedom: χ² .025 is 52.10 and .975 is 99.68 (NIST/SEMATECH e-Handbook 1.3.6.7.4).
    private static readonly ShotSpread Hand = new(
        .048,
        .048 * Math.Sqrt(74 / 99.68),
        .048 * Math.Sqrt(74 / 52.1),
        SpreadSource.Measured,
        46
    );

    private static Trajectory Arrow(double grains) =>
        new(new FlyingArrow(grains, .246), 276 * Math.Sqrt(519 / (grains + 110)), 4.5);

    private static HonestRange Of(double grains, double error = 2, ShotSpread? hand = null) =>
        new(Arrow(grains), new DistanceError(error), 8, hand ?? Hand);

    [Theory]
    [InlineData(333, 29, null)] // of another diameter there
    [InlineData(409, 28, 60.0)]
    [InlineData(621, 25, 45.0)]
    public void Three_arrows_have_the_ranges_of_the_worked_picture(double grains, double both, double? error)
    {
        var range = Of(grains);
        range.Yards.ShouldBe(both, .55);
        if (error is { } alone)
        {
            range.ErrorAlone.ShouldBe(alone, .75);
        }

        range.GroupAlone.ShouldBe(38.8, .1);
        range.SetBy.ShouldBe(RangeLimit.Group);
    }

    [Fact]
    public void The_middle_one_is_honest_to_28_yards_within_25_to_30_6()
    {
        var range = Of(409);
        range.Yards.ShouldBe(28.0, .06);
        range.Low.ShouldBe(25.0, .06);
        range.High.ShouldBe(30.6, .06);
        range.With(Hand.Times(.5)).ShouldBe(41.0, .06);
        Of(409, 0).Yards.ShouldBe(range.GroupAlone, .03);
    }

    [Fact]
    public void There_the_ring_touches_the_circle_and_97_in_100_hit()
    {
        var range = Of(409);
        var there = range.At(range.Yards);
        there.Reach.ShouldBe(4, .01);
        there.Above.ShouldBeGreaterThan(0);
        there.Below.ShouldBeLessThan(0);
        range.At(28).Chance.ShouldBe(.966, 5e-4);
    }

    [Theory]
    [InlineData(1.5)]
    [InlineData(2.6)]
    public void The_drag_hardly_matters_to_it(double drag) =>
        new HonestRange(
            new Trajectory(new FlyingArrow(409, .246, drag), 276, 4.5),
            DistanceError.Usual,
            8,
            Hand
        ).Yards.ShouldBe(28.0, .2);

    [Theory]
    [InlineData(3)]
    [InlineData(5)]
    [InlineData(12)]
    public void A_distance_that_is_read_badly_shortens_the_range_and_does_not_end_it(double error)
    {
        // At three yards the arrow is still on its way up to the line of sight: that is no reason not to shoot at ten.
        var range = Of(409, error).Yards;
        range.ShouldBeInRange(8, Of(409).Yards - .5);
        Of(409, error + 1).Yards.ShouldBeInRange(range * .6, range);
    }

    [Fact]
    public void More_of_anything_bad_is_never_honest_farther()
    {
        var random = new MersenneTwister(20);
        for (var n = 0; n < 40; n++)
        {
            var (grains, error, share) = (
                300 + (300 * random.NextDouble()),
                4 * random.NextDouble(),
                random.NextDouble()
            );
            var range = Of(grains, error);
            Of(grains, error + 1).Yards.ShouldBeLessThanOrEqualTo(range.Yards + .03);
            Of(grains, error, Hand.Times(1 + share)).Yards.ShouldBeLessThanOrEqualTo(range.Yards + .03);
            new HonestRange(Arrow(grains), new DistanceError(error), 9, Hand).Yards.ShouldBeGreaterThanOrEqualTo(
                range.Yards - .03
            );
            range.Yards.ShouldBeLessThanOrEqualTo(range.GroupAlone + .03);
            range.Low.ShouldBeLessThanOrEqualTo(range.Yards);
            range.High.ShouldBeGreaterThanOrEqualTo(range.Yards);
        }
    }

    [Theory]
    [InlineData(0, 1.2, 4)]
    [InlineData(1.1, 1.344, 4)]
    [InlineData(3, 2, 4)]
    [InlineData(5, 1, 4)]
    public void The_chance_inside_is_what_drawn_shots_show(double miss, double spread, double radius)
    {
        var random = new MersenneTwister(409);
        var (inside, shots) = (0, 400_000);
        for (var n = 0; n < shots; n++)
        {
            var (x, y) = (Normal.Sample(random, 0, spread), Normal.Sample(random, miss, spread));
            inside += (x * x) + (y * y) < radius * radius ? 1 : 0;
        }

        ShotSpread.ChanceInside(miss, spread, radius).ShouldBe(inside / (double)shots, .0025);
    }

    [Fact]
    public void A_centred_ring_holds_nine_in_ten()
    {
        ShotSpread.NineInTen.ShouldBe(2.146, 5e-4); // Rayleigh's .9 quantile, tables of normal statistics
        ShotSpread.ChanceInside(0, 1, ShotSpread.NineInTen).ShouldBe(.9, 1e-12);
        ShotSpread.ChanceInside(50, .5, 4).ShouldBe(0);
    }

    [Fact]
    public void A_hand_of_which_nothing_is_known_is_wide_and_says_so()
    {
        var usual = ShotSpread.ByExperience(SpreadSource.Usual);
        (usual.High / usual.Low).ShouldBeGreaterThan(2);
        ShotSpread.ByExperience(SpreadSource.Wide).PerYard.ShouldBeGreaterThan(usual.PerYard);
        ShotSpread.Measured(new GroupSizes([], new SizesAsked())).ShouldBeNull();
    }

    [Fact]
    public void An_arrow_that_carries_nowhere_is_honest_nowhere()
    {
        var slow = new Trajectory(new FlyingArrow(600, .3), 35, 4.5);
        new HonestRange(slow, DistanceError.Usual, 8, Hand).Yards.ShouldBeLessThan(15);
    }

    [Fact]
    public void A_speed_that_is_not_measured_widens_the_bar_and_moves_nothing_else()
    {
        var arrow = new FlyingArrow(409, .246);
        Trajectory At(double speed) => new(arrow, speed, 4);
        var known = new HonestRange(At(270), DistanceError.Usual, 8, Hand);
        var unsure = new HonestRange(At(270), DistanceError.Usual, 8, Hand, At(255), At(285));
        unsure.Yards.ShouldBe(known.Yards);
        unsure.Low.ShouldBeLessThan(known.Low);
        unsure.High.ShouldBeGreaterThan(known.High);
        // Not wider than both taken at their worst together.
        unsure.Low.ShouldBeGreaterThan(new HonestRange(At(255), DistanceError.Usual, 8, Hand).Low);
        unsure.High.ShouldBeLessThan(new HonestRange(At(285), DistanceError.Usual, 8, Hand).High);
    }
}

using Merganser.Core.Groups;

namespace Merganser.Core.Tests.Groups;

/// <summary>What a range error costs, and how far off an archer guesses.</summary>
public class RangeErrorTests
{
    // 600 gr, 200 ft/s, .232 in, C_d 2, the target 2 yd farther than the sight: integrated by Runge and Kutta apart
    // from this code (models, flight).
    [Theory]
    [InlineData(10, 0, -1.055)]
    [InlineData(20, 0, -1.955)]
    [InlineData(30, 0, -2.876)]
    [InlineData(10, 4.5, -.155)]
    [InlineData(20, 4.5, -1.506)]
    [InlineData(30, 4.5, -2.577)]
    public void A_target_two_yards_farther_costs_what_an_integrated_path_says(
        double set,
        double above,
        double inches
    ) => RangeTrial.Strikes(new FlatFire(600, 200, .232), set, set + 2, above).ShouldBe(inches, .02);

    [Fact]
    public void Set_right_it_strikes_its_aiming_point_and_set_long_it_strikes_high()
    {
        var flies = new FlatFire(420, 270, .244);
        RangeTrial.Strikes(flies, 30, 30).ShouldBe(0, 1e-12);
        RangeTrial.Strikes(flies, 32, 30).ShouldBeGreaterThan(0);
        RangeTrial.Strikes(flies, 28, 30).ShouldBeLessThan(0);
    }

    [Fact]
    public void Guesses_tell_a_lean_and_a_spread_as_a_share_of_the_distance()
    {
        var ranging = new RangingError([new(22, 20), new(18, 20), new(33, 30), new(27, 30)]);
        ranging.Told.ShouldBeFalse("four are too few");
        ranging.Lean.ShouldBe(0, 1e-12);
        ranging.Spread.ShouldBe(Math.Sqrt(.04 / 3), 1e-12);
        // 1.644854 of the normal table; χ² of 3: .975 is 9.348, .025 is .216 (NIST/SEMATECH e-Handbook 1.3.6.7.4).
        ranging.NineInTen.ShouldBe(1.644854 * Math.Sqrt(.04 / 3), 1e-5);
        ranging.SpreadBand.Low.ShouldBe(Math.Sqrt(.04 / 9.348), 1e-4);
        ranging.SpreadBand.High.ShouldBe(Math.Sqrt(.04 / .216), 1e-3);
        ranging.ChanceWithin(ranging.NineInTen * 30, 30).ShouldBe(.9, 1e-6);
        ranging.ByDistance.Select(b => (b.From, b.To, b.Count)).ShouldBe([(20, 30, 2), (30, 40, 2)]);
        ranging.ByDistance[1].Mean.ShouldBe(0, 1e-12);
        ranging.ByDistance[1].Spread!.Value.ShouldBe(Math.Sqrt(18), 1e-9);
    }

    [Fact]
    public void A_lean_widens_what_nine_in_ten_stay_within()
    {
        var shares = new[] { .1, -.1, .05, -.05, 0 };
        var level = new RangingError([.. shares.Select(s => new RangeGuess(30 * (1 + s), 30))]);
        var leans = new RangingError([.. shares.Select(s => new RangeGuess(30 * (1.1 + s), 30))]);
        leans.Lean.ShouldBe(.1, 1e-9);
        leans.Spread.ShouldBe(level.Spread, 1e-9);
        leans.NineInTen.ShouldBeGreaterThan(level.NineInTen + .05);
        // Far out on one side only that side matters: b + 1.281552 s.
        var far = new RangingError([.. shares.Select(s => new RangeGuess(30 * (1.6 + s), 30))]);
        far.NineInTen.ShouldBe(.6 + (1.281552 * far.Spread), 1e-5);
    }
}

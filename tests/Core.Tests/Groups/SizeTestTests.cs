using MathNet.Numerics.Distributions;
using MathNet.Numerics.Random;
using Merganser.Core.Groups;

namespace Merganser.Core.Tests.Groups;

/// <summary>Two groups by their size, hits in strings, and which way is next.</summary>
public class SizeTestTests
{
    private static readonly ArrowGroup Small = Group((1, 0), (-1, 0), (0, 2), (0, -2));
    private static readonly ArrowGroup Wide = Group((3, 0), (-3, 0), (0, 1), (0, -1));

    [Fact]
    public void Radii_about_their_own_centres_are_held_against_each_other()
    {
        // By hand: radii 1 1 2 2 and 3 3 1 1 times √(4/3): means 1.732051 and 2.309401, SS 4/3 and 16/3, ν 6,
        // t² = (1/3) / (10/9 · 1/2) = .6.
        var size = new SizeTest(Small, Wide);
        size.F.ShouldBe(.6, 1e-12);
        size.Freedom.ShouldBe(6);
        size.Ratio.ShouldBe(.75, 1e-12);
        // Student's t of the numerics library, both ways.
        size.P.ShouldBe(2 * StudentT.CDF(0, 1, 6, -Math.Sqrt(.6)), 1e-9);
        (size.Low, size.High).ShouldSatisfyAllConditions(
            () => size.Low.ShouldBeLessThan(.75),
            () => (size.Low * size.High).ShouldBe(.75 * .75, 1e-9)
        );
        new SizeTest(Wide, Small).Ratio.ShouldBe(1 / .75, 1e-12);
        new SizeTest(Wide, Small).P.ShouldBe(size.P, 1e-12);
    }

    [Fact]
    public void Where_and_how_large_they_lie_is_nothing_to_their_ratio()
    {
        var size = new SizeTest(Small, Wide);
        var moved = new SizeTest(Turned(Small, 40, 1, 0), Turned(Wide, 40, -3, 7));
        moved.F.ShouldBe(size.F, 1e-9);
        new SizeTest(Turned(Small, 0, 0, 0, 25.4), Turned(Wide, 0, 0, 0, 25.4)).F.ShouldBe(size.F, 1e-9);
    }

    [Theory]
    [InlineData(10, 2.0)]
    [InlineData(15, 1.5)]
    public void The_power_that_is_stated_is_the_one_that_is_seen(int each, double ratio)
    {
        const int sessions = 3000;
        var seen = Enumerable
            .Range(1, sessions)
            .Count(seed =>
            {
                var random = new MersenneTwister(seed, threadSafe: false);
                return new SizeTest(Drawn(random, each, 1), Drawn(random, each, ratio)).Verdict == GroupVerdict.Clear;
            });
        SizeTest.Power(each, ratio).ShouldBe(seen / (double)sessions, .04);
    }

    [Fact]
    public void What_is_wanted_shows_it_four_times_in_five_and_one_fewer_does_not()
    {
        foreach (var ratio in new[] { TwoWays.TwiceAsWide, TwoWays.HalfAgain })
        {
            var each = SizeTest.Wanted(ratio);
            SizeTest.Power(each, ratio).ShouldBeGreaterThanOrEqualTo(.8);
            SizeTest.Power(each - 1, ratio).ShouldBeLessThan(.8);
        }

        SizeTest.Power(10, 1).ShouldBe(SizeTest.Threshold, 1e-3);
    }

    [Fact]
    public void A_string_is_told_from_a_round_group_and_from_one_that_lies_flat()
    {
        var random = new MersenneTwister(5, threadSafe: false);
        var tall = Drawn(random, 12, 1, up: 3);
        new StringTest([tall]).Strung.ShouldBeTrue();
        new StringTest([tall]).Ratio.ShouldBeGreaterThan(StringTest.Least);
        new StringTest([Turned(tall, 90, 0, 0)]).Strung.ShouldBeFalse();
        new StringTest([Drawn(random, 12, 1)]).Strung.ShouldBeFalse();
        // Two round groups one over the other are no string: each is read about its own centre.
        new StringTest([Drawn(random, 8, 1), Turned(Drawn(random, 8, 1), 0, 0, 9)]).Strung.ShouldBeFalse();
    }

    [Fact]
    public void In_turn_neither_way_is_always_first()
    {
        List<WayShot> shot = [];
        for (var i = 0; i < 8; i++)
        {
            shot.Add(TwoWays.Next(shot));
        }

        string.Concat(shot.Select(w => w == WayShot.First ? 'A' : 'B')).ShouldBe("ABBAABBA");
        TwoWays.Next([WayShot.First, WayShot.First]).ShouldBe(WayShot.Second);
        TwoWays.Next([WayShot.Second, WayShot.Second, WayShot.First]).ShouldBe(WayShot.First);
    }

    [Fact]
    public void The_band_of_a_spread_is_that_of_chi_squared()
    {
        // Four arrows, SS 10 in², ν 6. χ² .975 and .025 of 6: 14.449 and 1.237 (NIST/SEMATECH e-Handbook 1.3.6.7.4).
        var (low, high) = Small.SpreadBand;
        low.ShouldBe(Math.Sqrt(10 / 14.449), 1e-3);
        high.ShouldBe(Math.Sqrt(10 / 1.237), 2e-3);
    }

    private static ArrowGroup Drawn(MersenneTwister random, int count, double spread, double up = 1) =>
        new([
            .. Enumerable
                .Range(0, count)
                .Select(_ => new Impact(Normal.Sample(random, 0, spread), Normal.Sample(random, 0, spread * up))),
        ]);

    private static ArrowGroup Group(params (double X, double Y)[] places) =>
        new([.. places.Select(p => new Impact(p.X, p.Y))]);

    private static ArrowGroup Turned(ArrowGroup group, double degrees, double x, double y, double times = 1)
    {
        var (sine, cosine) = Math.SinCos(degrees * Math.PI / 180);
        return new([
            .. group.Impacts.Select(i => new Impact(
                (times * ((cosine * i.X) - (sine * i.Y))) + x,
                (times * ((sine * i.X) + (cosine * i.Y))) + y
            )),
        ]);
    }
}

using MathNet.Numerics.Distributions;
using MathNet.Numerics.Random;
using Merganser.Core.Groups;

namespace Merganser.Core.Tests.Groups;

/// <summary>How well an archer shoots: days kept apart, distances as an angle, ends about their own centres.</summary>
public class GroupSizesTests
{
    private static readonly DateTimeOffset Spring = new(2026, 4, 1, 18, 0, 0, TimeSpan.Zero);

    [Fact]
    public void Ends_are_read_about_their_own_centres_and_days_are_kept_apart()
    {
        HandHit[] hits =
        [
            .. End("a", 0, 20, (1, 0), (-1, 0)),
            .. End("b", 0, 20, (6, 1), (6, -1)),
            .. End("c", 3, 20, (0, 2), (0, -2)),
        ];
        var sizes = new GroupSizes(hits, new SizesAsked());
        sizes.Days.Count.ShouldBe(2);
        var first = sizes.Days[0];
        (first.Hits, first.Freedom).ShouldBe((4, 4));
        // SS 2 + 2 in², ν 4, c of 4 = .939986 (models, group sizes): √(4/4) / c.
        first.SpreadAt(20).ShouldBe(1 / .939986, 1e-5);
        first.MeanRadiusOfSixAt(20).ShouldBe(1.144114 / .939986, 1e-5);
        // χ² .975 and .025 of 4: 11.143 and .484 (NIST/SEMATECH e-Handbook 1.3.6.7.4).
        first.BandAt(20).Low.ShouldBe(Math.Sqrt(4 / 11.143), 1e-4);
        first.BandAt(20).High.ShouldBe(Math.Sqrt(4 / .484), 1e-2);
        sizes.Now!.Hits.ShouldBe(2);
        sizes.Changed.ShouldBeNull("two hits tell no change");
        sizes.Words!.Said().ShouldStartWith("Single arrows stray ");
    }

    [Fact]
    public void A_distance_is_an_angle_and_the_kind_arrow_and_distance_choose()
    {
        HandHit[] hits =
        [
            .. End("a", 0, 20, (1, 0), (-1, 0)),
            .. End("b", 0, 40, (2, 0), (-2, 0)),
            .. End("c", 0, 40, ArrowKind.Broadhead, (5, 0), (-5, 0)),
            .. End("d", 0, 20, ArrowKind.FieldPoint, (1, 0), (-1, 0)),
        ];
        var all = new GroupSizes(hits, new SizesAsked());
        all.Now!.Hits.ShouldBe(6, "a field point is a fletched arrow without a head");
        all.Now.Yards.ShouldBe([20, 40]);
        all.Now.SpreadAt(40).ShouldBe(2 * all.Now.SpreadAt(20), 1e-12);
        // Each of the three ends: SS 2 · (1/20)², ν 2.
        all.Now.Squares.ShouldBe(3 * 2 / 400.0, 1e-12);
        all.At.ShouldBe(20);
        new GroupSizes(hits, new SizesAsked(Yards: 40)).Now!.Hits.ShouldBe(2);
        new GroupSizes(hits, new SizesAsked(ArrowKind.Broadhead)).At.ShouldBe(40);
        new GroupSizes(hits, new SizesAsked(Arrow: "other")).Words.ShouldBeNull();
        new GroupSizes([], new SizesAsked()).Now.ShouldBeNull();
        new GroupSizes([hits[0]], new SizesAsked()).Now.ShouldBeNull("one arrow is no group");
    }

    [Fact]
    public void A_hand_that_changed_is_told_and_one_that_did_not_is_not()
    {
        var wider = new GroupSizes([.. Days(1, 1, 1, 2.5)], new SizesAsked());
        wider.Changed!.P.ShouldBeLessThan(SizeTest.OneLook);
        wider.Words!.Said().ShouldStartWith("Wider than usual");
        var same = new GroupSizes([.. Days(1, 1, 1, 1)], new SizesAsked());
        same.Words!.Said().ShouldStartWith("As usual");
        same.Before!.Hits.ShouldBe(36);
        SizesFigures.Of(same).Select(f => f.Name).ShouldBe(["sizeNewest", "sizeBefore", "sizeOfSix"]);
        new GroupSizes([.. Days(2.5, 2.5, 2.5, 1)], new SizesAsked())
            .Words!.Said()
            .ShouldStartWith("Tighter than usual");
    }

    private static IEnumerable<HandHit> Days(params double[] spreads)
    {
        var random = new MersenneTwister(11, threadSafe: false);
        double Stray(double spread) => Normal.Sample(random, 0, spread);
        return spreads.SelectMany(
            (spread, day) =>
                End($"{day}", day, 20, [.. Enumerable.Range(0, 12).Select(_ => (Stray(spread), Stray(spread)))])
        );
    }

    private static IEnumerable<HandHit> End(string end, int day, double yards, params (double X, double Y)[] places) =>
        End(end, day, yards, ArrowKind.Fletched, places);

    private static IEnumerable<HandHit> End(
        string end,
        int day,
        double yards,
        ArrowKind kind,
        params (double X, double Y)[] places
    ) =>
        places.Select(
            (p, i) =>
                new HandHit(end, Spring.AddDays(day).AddMinutes(i), yards, "the arrow", kind, new Impact(p.X, p.Y))
        );
}

using MathNet.Numerics.Distributions;
using Merganser.Core.Groups;

namespace Merganser.Core.Tests.Groups;

/// <summary>
/// Check values worked apart in another language, and distributions of the numerics library; critical values of F as
/// NIST/SEMATECH e-Handbook 1.3.6.7.3 has them.
/// </summary>
public class GroupTests
{
    private static ArrowGroup Of(params (double X, double Y)[] at) => new([.. at.Select(p => new Impact(p.X, p.Y))]);

    private static readonly ArrowGroup Fletched = Of((-.8, .6), (.9, -.4), (.2, 1.1), (-.5, -.7));
    private static readonly ArrowGroup Bare = Of((2.6, .9), (3.9, -.6), (1.8, .2), (3.3, 1.3));

    [Fact]
    public void Four_and_four_show_their_offset_its_region_and_its_p()
    {
        var offset = new GroupOffset(Bare, Fletched);
        offset.Offset.X.ShouldBe(2.95, 1e-12);
        offset.Offset.Y.ShouldBe(.30, 1e-12);
        (Bare.Squares + Fletched.Squares).ShouldBe(8.41, 1e-9);
        offset.Spread.ShouldBe(.837158, 5e-7);
        offset.P.ShouldBe(.001146666, 5e-10);
        offset.Radius.ShouldBe(1.650134, 5e-7);
        offset.Hotelling.ShouldBeNull("from five a group");
        var (t2, p) = GroupOffset.HotellingOf(Bare, Fletched);
        t2.ShouldBe(27.16036, 5e-6);
        p.ShouldBe(.013926, 5e-7);
    }

    [Fact]
    public void Groups_of_three_and_of_unlike_numbers_too()
    {
        var offset = new GroupOffset(
            Of((1.9, .8), (.7, 1.6), (2.4, .2)),
            Of((.4, -.3), (-.7, .5), (.1, .9), (.6, -.2))
        );
        offset.Offset.X.ShouldBe(1.566667, 5e-7);
        offset.Offset.Y.ShouldBe(.641667, 5e-7);
        offset.Spread.ShouldBe(.669390, 5e-7);
        offset.Freedom.ShouldBe(10);
        offset.P.ShouldBe(.024687, 5e-7);
        offset.Radius.ShouldBe(1.464516, 5e-7);
        offset.Verdict(LookingRule.EachPair).ShouldBe(GroupVerdict.Likely, "a finding needs p below .012");
        new GroupOffset(Bare, Fletched).Verdict(LookingRule.Beyond).ShouldBe(GroupVerdict.Clear);
    }

    [Theory]
    [InlineData(3, 3, 2, .05, .425228)]
    [InlineData(4, 3, 1.5, .05, .308286)]
    [InlineData(5, 5, 2, .012, .479874)]
    [InlineData(10, 10, 1, .012, .252369)]
    public void The_power_is_that_of_the_noncentral_test(int n, int m, double offset, double alpha, double power) =>
        GroupOffset.Power(n, m, offset, alpha).ShouldBe(power, 5e-7);

    [Fact]
    public void How_many_more_are_what_a_single_look_needs()
    {
        // Arrows a group for clear with .8, planned single look: 8 at an offset of 2 spreads, 5 at 3 (simulated apart).
        new GroupOffset(Bare, Fletched)
            .MoreToDecide(2, LookingRule.EachPair)
            .ShouldBe(4);
        new GroupOffset(Bare, Fletched).MoreToDecide(3, LookingRule.EachPair).ShouldBe(1);
        Should.Throw<ArgumentOutOfRangeException>(() =>
            new GroupOffset(Bare, Fletched).MoreToDecide(0, LookingRule.EachPair)
        );
    }

    [Fact]
    public void Without_any_offset_a_session_looked_at_after_each_pair_says_clear_in_one_of_twenty()
    {
        var random = new Random(20261127);
        var normal = new Normal(0, 1, random);
        Impact Shot() => new(normal.Sample(), normal.Sample());
        const int sessions = 4000;
        var said = 0;
        for (var session = 0; session < sessions; session++)
        {
            List<Impact> a = [Shot(), Shot()];
            List<Impact> b = [Shot(), Shot()];
            while (a.Count < 10)
            {
                a.Add(Shot());
                b.Add(Shot());
                if (
                    new GroupOffset(new ArrowGroup(a), new ArrowGroup(b)).Verdict(LookingRule.EachPair)
                    == GroupVerdict.Clear
                )
                {
                    said++;
                    break;
                }
            }
        }

        // .0475 by 400,000 sessions; three standard errors of 4,000.
        ((double)said / sessions).ShouldBe(.0475, .0101);
    }

    [Theory]
    [InlineData(3, 1.023327, .939986)]
    [InlineData(5, 1.120998, .969311)]
    [InlineData(10, 1.188998, .986214)]
    [InlineData(20, 1.221580, .993443)]
    public void Sizes_of_a_group_grow_with_its_arrows_as_the_tables_say(int arrows, double radius, double bias)
    {
        ArrowGroup.ExpectedMeanRadius(arrows).ShouldBe(radius, 5e-7);
        ArrowGroup.Bias(2 * (arrows - 1)).ShouldBe(bias, 5e-7);
    }

    [Fact]
    public void A_group_turned_moved_or_in_other_units_says_the_same()
    {
        var offset = new GroupOffset(Bare, Fletched);
        Impact Turn(Impact i) => new((.6 * i.X) - (.8 * i.Y) + 7, (.8 * i.X) + (.6 * i.Y) - 3);
        Impact Metric(Impact i) => new(i.X * 25.4, i.Y * 25.4);
        GroupOffset By(Func<Impact, Impact> f) =>
            new(new ArrowGroup([.. Bare.Impacts.Select(f)]), new ArrowGroup([.. Fletched.Impacts.Select(f)]));
        By(Turn).P.ShouldBe(offset.P, 1e-12);
        By(Turn).Offset.Length.ShouldBe(offset.Offset.Length, 1e-12);
        By(Metric).P.ShouldBe(offset.P, 1e-12);
        By(Metric).Radius.ShouldBe(offset.Radius * 25.4, 1e-9);
        Should.Throw<ArgumentException>(() => Of((0, 0)));
    }

    [Fact]
    public void A_walk_back_is_fitted_by_angles()
    {
        double[] yards = [20, 20, 20, 40, 40, 40, 60, 60, 60];
        double[] right = [.3, -.9, .4, 1.8, -1.1, 2.6, 4.9, 1.2, 3.1];
        var walk = new WalkBack([.. yards.Zip(right).Select(s => new WalkedShot(s.First, s.Second))]);
        walk.AtTheBow.ShouldBe(-1.541026, 5e-7);
        walk.Slope.ShouldBe(.072179, 5e-7);
        walk.SlopeError.ShouldBe(.029107, 5e-7);
        walk.Spread.ShouldBe(.036724, 5e-7);
        walk.P.ShouldBe(.042224, 5e-7);
        WalkBack.SlopeErrorOf(yards, .05, null).ShouldBe(.039630, 5e-7);
        WalkBack.SlopeErrorOf(yards, .05, .15).ShouldBe(.017276, 5e-7);
        WalkBack.SlopeErrorOf(yards, .05, .3).ShouldBe(.018886, 5e-7);
        Should.Throw<ArgumentException>(() => new WalkBack([new(20, 0), new(20, 1), new(20, 2)]));
    }
}

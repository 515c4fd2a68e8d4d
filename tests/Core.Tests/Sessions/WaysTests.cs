using Merganser.Core.Bows;
using Merganser.Core.Groups;
using Merganser.Core.Paper;
using Merganser.Core.Sessions;
using Merganser.Core.Tuning;

namespace Merganser.Core.Tests.Sessions;

/// <summary>Two ways compared, and a range error tried, as stages of a session.</summary>
public class WaysTests
{
    private static readonly PlannedStage Grips = new(
        20,
        false,
        true,
        Ways: new TwoWays(WayKind.Grip, "low grip", "high grip")
    );

    private static readonly PlannedStage TwoYards = new(30, false, true, RangeError: 2);

    private static readonly (double X, double Y)[] Round =
    [
        (1, .1),
        (-.9, .4),
        (.2, -1.1),
        (-.4, .8),
        (.5, .6),
        (-.7, -.6),
        (.8, -.5),
        (-.1, 1),
        (.3, -.7),
        (-.6, .2),
    ];

    private readonly SessionAtHand at = new(Grips, AdjusterKind.RestSideways) { Arrow = Samples.A1 };

    [Fact]
    public void It_asks_for_one_of_each_in_turn_and_tells_three_what_they_cannot_show()
    {
        at.Begin("set1", Grips);
        var advice = at.Session().Advice;
        advice.Kind.ShouldBe(AdviceKind.NoShots);
        advice.Sentence.Said().ShouldBe("Shoot 5 more of each, in turn: “low grip” is next.");
        Ways(3, 1);
        advice = at.Session().Advice;
        advice.Sentence.Said().ShouldBe("Shoot 2 more of each, in turn: “high grip” is next.");
        advice.Reason.Said().ShouldStartWith("Groups of three or four cannot tell sizes apart");
        at.Session()
            .Headline(at.Session().Now)
            .Said()
            .ShouldBe("Too few to compare, 5 of each: “low grip” 3, “high grip” 3.");
        at.Session().Ways!.Size.ShouldBeNull();
    }

    [Fact]
    public void A_way_that_groups_three_times_as_wide_is_told_and_the_tighter_one_kept()
    {
        at.Begin("set1", Grips);
        Ways(10, 3);
        var (ways, advice) = (at.Session().Ways!, at.Session().Advice);
        ways.Size!.Verdict.ShouldBe(GroupVerdict.Clear);
        ways.Size.Ratio.ShouldBe(1 / 3.0, 1e-9);
        ways.Words!.Said().ShouldBe("“high grip” is 3.0 times as wide as “low grip”: clear.");
        advice.Kind.ShouldBe(AdviceKind.GoodEnough);
        advice.Sentence.Said().ShouldBe("Keep “low grip”: its groups are tighter.");
        advice.Evidence.Count.ShouldBe(4, "sizes, what they would show, centres, strings");
        at.Session().Next.Action.ShouldBe("accept");
        at.Session().Learned().Fits.ShouldBeEmpty("how it is shot teaches nothing of the bow");
        WaysFigures.Of(ways).Select(f => f.Name).ShouldBe(["spreadFirst", "spreadSecond", "sizeRatio"]);
    }

    [Fact]
    public void Two_like_ways_are_not_told_apart_and_it_is_said_what_would_have_shown()
    {
        at.Begin("set1", Grips);
        Ways(10, 1);
        at.Session().Advice.Kind.ShouldBe(AdviceKind.ShootMore);
        at.Session().Ways!.More.ShouldBe(SizeTest.Wanted(2) - 10);
        Ways(at.Session().Ways!.More, 1);
        var advice = at.Session().Advice;
        advice.Kind.ShouldBe(AdviceKind.GoodEnough);
        advice.Sentence.Said().ShouldStartWith("No difference of size shown");
        advice.Reason.Said().ShouldStartWith($"{SizeTest.Wanted(2)} of each show a group twice as wide in 8");
    }

    [Fact]
    public void Ways_that_strike_apart_are_told_and_want_their_own_mark()
    {
        at.Begin("set1", Grips);
        Ways(10, 3, apart: 6);
        at.Session().Ways!.Apart.ShouldBe(GroupVerdict.Clear);
        at.Session().Advice.Reason.Said().ShouldStartWith("They strike apart as well");
        var centres = at.Session().Advice.Evidence[2].Statement.Said();
        centres.ShouldStartWith("“low grip” strikes 6.02 in left");
        centres.ShouldEndWith("of “high grip”: clear.");
    }

    [Fact]
    public void Another_day_begins_anew_and_a_move_of_the_bow_too()
    {
        at.Begin("set1", Grips);
        Ways(5, 1);
        at.Session().Ways!.Count.ShouldBe(10);
        at.Sleep();
        Ways(1, 1);
        at.Session().Ways!.Count.ShouldBe(12, "one set is one set, whatever the day");
        at.Begin("set2", Grips);
        at.Mark(Hit(WayShot.First, (0, 0)));
        at.Session().Ways!.Sets.ShouldBe([1, 2]);
        at.Sleep();
        at.Begin("set3", Grips);
        at.Mark(Hit(WayShot.First, (0, 0)));
        at.Session().Ways!.Sets.ShouldBe([3]);
        at.Move(AdjusterKind.RestSideways, 2);
        at.Session().Ways!.Count.ShouldBe(0);
    }

    [Fact]
    public void A_hit_says_which_way_and_is_of_a_fletched_arrow()
    {
        at.Begin("set1", Grips);
        SessionAtHand
            .Refused(() => at.Mark(new HitMarked(ArrowKind.Fletched, new Hole(0, 0))))
            .Problems[0]
            .Field.ShouldBe("way");
        SessionAtHand
            .Refused(() => at.Mark(new HitMarked(ArrowKind.Bare, new Hole(0, 0), Way: WayShot.First)))
            .Code.ShouldBe("other-stage");
        Should.Throw<ArgumentException>(() => new PlannedStage(20, false, false, Ways: Grips.Ways));
        Should.Throw<ArgumentException>(() => new PlannedStage(20, false, true, true, Ways: Grips.Ways));
        Should.Throw<ArgumentException>(() => new PlannedStage(20, false, true, Ways: Grips.Ways, RangeError: 2));
    }

    [Fact]
    public void Of_a_table_only_as_many_settle_as_the_string_still_wants()
    {
        at.Begin("set1", Grips);
        HitMarked[] table = [.. Round.Take(5).Select(place => Hit(WayShot.First, place))];
        at.Happens([.. SessionActs.MarkAll(at.Session(), "t", "set1", table, settling: 2)]);
        at.Session().Now.Shots.Select(s => s.Counts).ShouldBe([false, false, true, true, true]);
        at.Session().Ways!.Count.ShouldBe(3);
    }

    [Fact]
    public void A_range_error_costs_half_of_what_lies_between_and_the_zero_leaves()
    {
        at.Begin("set1", TwoYards);
        at.Session()
            .Advice.Sentence.Said()
            .ShouldBe("At 30 yd shoot 3 more with each setting: sight for 32 yd is next.");
        Range((32, 3.1), (28, -1.9), (28, -2.1));
        at.Session().Advice.Kind.ShouldBe(AdviceKind.ShootMore);
        Range((32, 2.9), (32, 3), (28, -2));
        var (trial, advice) = (at.Session().RangeTrial!, at.Session().Advice);
        // (3 − (−2)) / 2 whatever the zero; it lies at (3 − 2) / 2, less what the path bends between both.
        trial.Cost!.Value.Inches.ShouldBe(2.5, 1e-9);
        trial.Zero!.Value.Inches.ShouldBe(.5, .1);
        // s .1, ν 4, t .975 of 4 = 2.776 (NIST/SEMATECH e-Handbook 1.3.6.7.2): 2.776 · .1 · √(2/3) / 2.
        trial.Cost.Value.Plus.ShouldBe(2.776 * .1 * Math.Sqrt(2.0 / 3) / 2, 1e-3);
        trial.Affords!.Value.Yards.ShouldBe(3 / 2.5 * 2, 1e-9);
        advice.Kind.ShouldBe(AdviceKind.GoodEnough);
        trial.Words!.Said().ShouldBe("At 30 yd a range 2 yd wrong costs 2.5 in of height, ± 0.1 in.");
        advice.Sentence.Said().ShouldStartWith("± 3 in is used up by a range 2.4 yd wrong at 30 yd (");
        at.Session().Next.Action.ShouldBe("accept");
        RangeFigures.Of(trial).Select(f => f.Name).ShouldBe(["rangeErrorCost", "rangeZero", "rangeSpread"]);
    }

    [Fact]
    public void A_cost_that_is_not_told_from_nought_affords_nothing_and_more_are_asked_for()
    {
        at.Begin("set1", TwoYards);
        Range((32, 3), (28, -2), (28, 2.5), (32, -2.5), (32, 1), (28, 0));
        at.Session().RangeTrial!.Affords.ShouldBeNull();
        at.Session().Advice.Kind.ShouldBe(AdviceKind.ShootMore);
        at.Session().RangeTrial!.More.ShouldBeInRange(1, RangeTrial.MostOfEach);
        SessionAtHand
            .Refused(() => at.Mark(new HitMarked(ArrowKind.Fletched, new Hole(0, 0), SightFor: 30)))
            .Problems[0]
            .Field.ShouldBe("sightFor");
    }

    private void Range(params (double Set, double Up)[] hits)
    {
        foreach (var (set, up) in hits)
        {
            at.Mark(new HitMarked(ArrowKind.Fletched, new Hole(0, up), SightFor: set));
        }
    }

    /// <summary>So many of each in turn; the second so much wider, and as far to its side.</summary>
    private void Ways(int each, double wider, double apart = 0)
    {
        for (var i = 0; i < each; i++)
        {
            var (x, y) = Round[i % Round.Length];
            at.Mark(Hit(WayShot.First, (x, y)));
            at.Mark(Hit(WayShot.Second, ((wider * x) + apart, wider * y)));
        }
    }

    private static HitMarked Hit(WayShot way, (double X, double Y) place) =>
        new(ArrowKind.Fletched, new Hole(place.X, place.Y), Way: way);
}

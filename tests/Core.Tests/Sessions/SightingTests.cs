using Merganser.Core.Bows;
using Merganser.Core.Groups;
using Merganser.Core.Paper;
using Merganser.Core.Sessions;
using Merganser.Core.Tuning;

namespace Merganser.Core.Tests.Sessions;

/// <summary>Sighting in: which way, how far, in this sight's clicks, and when to stop; pin by pin.</summary>
public class SightingTests
{
    private static readonly PlannedStage Twenty = new(20, false, true, Sighting: true);
    private static readonly PlannedStage Forty = new(40, false, true, Sighting: true);

    private readonly SessionAtHand at = new(Twenty, AdjusterKind.RestSideways) { Arrow = Samples.A1 };

    public SightingTests() => at.Begin("set1", Twenty);

    [Fact]
    public void It_asks_for_three_and_says_nothing_of_one()
    {
        at.Session().Advice.Sentence.Said().ShouldBe("Shoot 3 at 20 yd, and mark where they strike.");
        Shoot((1, 1));
        at.Session().Advice.Sentence.Said().ShouldBe("Shoot 2 at 20 yd, and mark where they strike.");
        at.Session().Headline(at.Session().Now).Said().ShouldBe("Nothing yet: three at the aiming point.");
        at.Session().Sighting!.Group.ShouldBeNull();
    }

    [Fact]
    public void The_sight_follows_the_arrow_in_its_own_clicks()
    {
        at.Sight = new Sight(36, .02);
        Shoot((3.1, -2.2), (2.8, -1.9), (3.1, -1.9));
        var advice = at.Session().Advice;
        at.Session()
            .Headline(at.Session().Now)
            .Said()
            .ShouldBe("The middle strikes 3.00 in right, 2.00 in low at 20 yd.");
        advice.Kind.ShouldBe(AdviceKind.MoveTheSight);
        // Similar triangles: 3 in and 2 in at 720 in, 36 in from the eye: .15 and .1 in, in clicks of .02.
        advice
            .Sentence.Said()
            .ShouldBe("Sight right 0.160 in, down 0.100 in: 8 clicks right, 5 clicks down. Then shoot three again.");
        at.Session().Next.Action.ShouldBe("moveSight");
        at.Happens([.. SessionActs.MoveSight(at.Session(), "sight", at.Session().Sighting!.SightAnswer(at.Sight))]);
        at.Session().Sets.Count.ShouldBe(2);
        at.Session().Sighting!.Fresh.ShouldBe(0);
        Shoot((.2, -.1), (-.3, .2), (.1, .2), (-.1, -.2));
        at.Session().Advice.Kind.ShouldBe(AdviceKind.GoodEnough);
        at.Session().Advice.Sentence.Said().ShouldBe("20 yd is zeroed.");
    }

    [Fact]
    public void A_middle_that_the_hand_alone_would_make_is_left_and_more_decide()
    {
        Shoot((1.9, -.6), (-1.2, 1.4), (.6, .9));
        var (reading, advice) = (at.Session().Sighting!, at.Session().Advice);
        reading.F.ShouldBeLessThan(SightingReading.MoveFrom);
        advice.Kind.ShouldBe(AdviceKind.ShootMore);
        advice.Reason.Said().ShouldStartWith("So near that a move would chase the hand");
        reading.More.ShouldBeGreaterThan(2);
        var one = reading.Spread / reading.Tolerance;
        // −ln .1 of the Rayleigh law: so many hits bring a middle on its point inside with nine chances in ten.
        (3 + reading.More).ShouldBe((int)Math.Ceiling(2 * one * one * Math.Log(10)));
    }

    [Fact]
    public void Less_than_a_click_is_left()
    {
        at.Sight = new Sight(34, .1);
        Shoot((1.02, 0), (.98, .01), (1.0, -.01), (1.01, .01), (.99, 0));
        at.Session().Sighting!.F.ShouldBeGreaterThan(SightingReading.MoveFrom);
        at.Session().Advice.Kind.ShouldBe(AdviceKind.GoodEnough);
        at.Session().Advice.Reason.Said().ShouldStartWith("Less than a click");
    }

    [Fact]
    public void The_hand_is_known_better_with_each_pin_and_the_pins_come_in_order()
    {
        Shoot((.2, -.1), (-.3, .2), (.1, .2), (-.1, -.2));
        at.Session().Next.Action.ShouldBe("accept", "one pin was planned");
        at.Begin("set2", Forty);
        Shoot((.5, -.3), (-.5, .4), (.3, .1));
        var second = at.Session().Sighting!;
        second.Freedom.ShouldBe(6 + 4);
        second.Yards.ShouldBe(40);
        second.Tolerance.ShouldBe(2, 1e-9);
        at.Session().Stages().Select(s => s.Shots).ShouldBe([4, 3]);
        at.Session().Stages().ShouldAllBe(s => s.Chance > .5);
        at.Session().Learned().Fits.ShouldBeEmpty("a sight teaches nothing of the bow");
        SessionPlan
            .Usual.First(u => u.Code == "sighting")
            .Stages.Select(s => s.Distance)
            .ShouldBe([20, 30, 40, 50, 60]);
    }

    [Fact]
    public void The_chance_within_is_the_closed_form_where_the_middle_is_on_its_point()
    {
        // P(R < t) = 1 − (1 + n t²/(ν s²))^(−ν/2) for the bivariate t about nought.
        TrueOffset.Within(1, new Impact(0, 0), .5, 8).ShouldBe(1 - Math.Pow(1 + (4.0 / 8), -4), 5e-3);
        // And P(|N₂(μ, s²)| < t) of the models with ν large: μ 1, s .5, t 1.5 → .785638.
        TrueOffset.Within(1.5, new Impact(1, 0), .5, 1e6).ShouldBe(.785638, 3e-3);
    }

    [Fact]
    public void Hits_before_a_move_count_on_shifted_unless_the_sight_was_set_otherwise()
    {
        at.Sight = new Sight(36, .02);
        Shoot((3.1, -2.2), (2.8, -1.9), (3.1, -1.9));
        at.Happens([.. SessionActs.MoveSight(at.Session(), "sight", new SightMove(.16, -.1))]);
        // .16 in at the pin, 36 in from the eye, moves a hit at 720 in by 3.2 in the other way.
        at.Session().Sighting!.Earlier[0].X.ShouldBe(3.1 - 3.2, 1e-9);
        at.Session().Sighting!.Earlier[0].Y.ShouldBe(-2.2 + 2.0, 1e-9);
        Shoot((.2, -.1));
        at.Session().Sighting!.Count.ShouldBe(4);
        at.Session().Advice.Sentence.Said().ShouldStartWith("Shoot 2 at 20 yd");
        at.Session().Advice.Reason.Said().ShouldStartWith("What was shot before counts on");
        at.Happens([.. SessionActs.MoveSight(at.Session(), "levelled", null)]);
        at.Session().Sighting!.Count.ShouldBe(0);
        at.Sleep();
        Shoot((.2, -.1), (.1, .1));
        at.Session().Sighting!.Count.ShouldBe(2);
    }

    [Fact]
    public void Only_the_arrow_that_is_sighted_in_is_marked()
    {
        var refused = SessionAtHand.Refused(() => at.Mark(new HitMarked(ArrowKind.Bare, new Hole(0, 0))));
        refused.Code.ShouldBe("other-stage");
        Should.Throw<ArgumentException>(() => new PlannedStage(20, false, false, Sighting: true));
        Should.Throw<ArgumentException>(() => new PlannedStage(20, false, true, true, Sighting: true));
    }

    private void Shoot(params (double X, double Y)[] places) => at.Shoot(ArrowKind.Fletched, places);
}

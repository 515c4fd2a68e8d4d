using Merganser.Core.Bows;
using Merganser.Core.Groups;
using Merganser.Core.Paper;
using Merganser.Core.Sessions;
using Merganser.Core.Tuning;

namespace Merganser.Core.Tests.Sessions;

/// <summary>Broadheads against field points as a stage of a session: leave, a mark of their own, or tune.</summary>
public class HeadSessionTests
{
    private static readonly PlannedStage Thirty = new(30, false, true, true);

    private readonly SessionAtHand at = new(Thirty, AdjusterKind.YokePair, AdjusterKind.NockingPoint);

    public HeadSessionTests() => at.Begin("set1", Thirty);

    [Fact]
    public void Straight_low_with_a_clean_flight_is_the_sights()
    {
        at.Sight = new Sight(34, .02);
        at.Groups(0, -5);
        var advice = at.Session().Advice;
        advice.Kind.ShouldBe(AdviceKind.MoveTheSight);
        advice.Move.ShouldBeNull("one act, never two");
        advice.Sentence.Said().ShouldBe("For heads, sight down 0.157 in: 8 clicks. Then shoot both groups anew.");
        advice.Reason.Said().ShouldStartWith("On that mark field points land 5.00 in high: keep both marks");
        at.Session().Next.Action.ShouldBe("moveSight");
        at.Session().Headline(at.Session().Now).Said().ShouldBe("Heads land 5.00 in low: clear.");
    }

    [Fact]
    public void With_their_own_mark_they_come_together_and_what_was_shot_before_counts_shifted()
    {
        at.Groups(0, -5);
        MoveSight();
        var session = at.Session();
        session.Sets.Count.ShouldBe(2, "the next set is aimed with the new mark");
        session.HeadMark.Up.ShouldBe(-.157, .001);
        session.MarkBefore(session.Now)!.Up.ShouldBe(-.157, .001);
        session.MarkBefore(session.Sets[0]).ShouldBeNull();
        session.Here.ShouldAllBe(s => Math.Abs(s.Tear.Y) < .15, "five inches low is answered by the mark");
        session.Now.Groups!.Offset.ShouldBeNull();
        session.Advice.Reason.Said().ShouldContain("own mark");
        at.Groups(.2, .1);
        at.Session().Advice.Kind.ShouldBe(AdviceKind.GoodEnough);
        at.Happens([.. SessionActs.MoveSight(at.Session(), "back", new SightMove(0, .157407))]);
        at.Session().HeadMark.Up.ShouldBe(0, 1e-6, "moved back");
        at.Session().Here[0].Tear.Y.ShouldBeGreaterThan(.3);
    }

    [Fact]
    public void A_mark_that_is_moved_again_before_anything_is_shot_with_it_is_one_move()
    {
        at.Groups(0, -5);
        MoveSight();
        at.Happens([.. SessionActs.MoveSight(at.Session(), "more", new SightMove(0, -.05))]);
        at.Session().Sets.Count.ShouldBe(2);
        at.Session().MarkBefore(at.Session().Now)!.Up.ShouldBe(-.207, .001);
        at.Groups(0, 1.6);
        at.Session().Sets[1].MarkedSince.Length.ShouldBe(0, "both moves came before its shots");
        at.Session().Sets[0].MarkedSince.Y.ShouldBe(6.6, .05);
    }

    [Fact]
    public void A_diagonal_is_the_bows()
    {
        at.Groups(-4.5, -4.5);
        at.Session().Advice.Move.ShouldNotBeNull();
        at.Session().Advice.Evidence.ShouldContain(e => e.Statement is HeadShares);
    }

    [Fact]
    public void The_strict_tune_a_sideways_miss_all_the_same()
    {
        at.Groups(-5, 0);
        at.Session().Advice.Kind.ShouldBe(AdviceKind.MoveTheSight);
        at.Straight = StraightMiss.TuneSideways;
        at.Session().Advice.Move!.Kind.ShouldBe(AdjusterKind.YokePair, "heads left is a tail right");
    }

    [Fact]
    public void A_bad_flight_outranks_the_place()
    {
        at.Groups(0, -5, each: 3);
        foreach (var flight in new[] { Flight.Fishtail, Flight.Porpoise })
        {
            at.Mark(new HitMarked(ArrowKind.Broadhead, new Hole(0, -5), ArrowNumber: "4", Flight: flight));
            at.Shoot(ArrowKind.FieldPoint, (0, 0));
        }

        var advice = at.Session().Advice;
        advice.Kind.ShouldNotBe(AdviceKind.MoveTheSight);
        advice.Reason.Said().ShouldStartWith("2 of 2 heads flew badly: the bow before the sight.");
    }

    [Fact]
    public void Two_and_two_are_too_few_to_tell_sight_from_bow()
    {
        at.Groups(0, -5, each: 2);
        var advice = at.Session().Advice;
        advice.Sentence.ShouldBe(new GroupsToShoot(1, 1, ArrowKind.Broadhead));
        advice.Reason.Said().ShouldBe("Sight or bow is told from three of each on.");
        at.Straight = StraightMiss.TuneTheBow;
        at.Session().Advice.Move.ShouldNotBeNull("where the bow answers all, it is asked as ever");
    }

    [Fact]
    public void Together_is_left()
    {
        at.Groups(.3, -.2);
        at.Session().Advice.Kind.ShouldBe(AdviceKind.GoodEnough);
    }

    [Fact]
    public void A_region_over_more_than_one_answer_asks_for_more()
    {
        at.Shoot(ArrowKind.FieldPoint, (2, 1), (-2, -1), (0, 2));
        at.Shoot(ArrowKind.Broadhead, (3, -1), (-1, -4), (1, -6));
        var advice = at.Session().Advice;
        advice.Kind.ShouldBe(AdviceKind.ShootMore);
        advice.Reason.Said().ShouldContain("more than one answer");
        advice.Move.ShouldBeNull();
    }

    [Fact]
    public void A_strict_archer_has_half_the_ring()
    {
        at.Groups(0, 0);
        at.Session().Now.Groups!.Tolerance.ShouldBe(3, 1e-12);
        at.Tolerance = .125;
        at.Session().Now.Groups!.Tolerance.ShouldBe(1.5, 1e-12);
    }

    [Fact]
    public void A_head_on_a_bare_shaft_is_refused_and_a_mark_is_for_heads_alone()
    {
        SessionAtHand.Refused(() => at.Mark(new HitMarked(ArrowKind.Bare, new Hole(0, 0)))).Message.ShouldNotBeEmpty();
        var twenty = new SessionAtHand(new PlannedStage(20, false, true), AdjusterKind.YokePair);
        twenty.Begin("set1", new PlannedStage(20, false, true));
        SessionAtHand
            .Refused(() => twenty.Mark(new HitMarked(ArrowKind.Broadhead, new Hole(0, 0))))
            .Code.ShouldBe("other-stage");
        SessionAtHand
            .Refused(() => SessionActs.MoveSight(twenty.Session(), "m", new SightMove(0, .1)))
            .Code.ShouldBe("other-stage");
    }

    private void MoveSight()
    {
        var pin = at.Session().Now.Groups!.SightAnswer(at.Sight)!;
        at.Happens([.. SessionActs.MoveSight(at.Session(), "sight", pin)]);
    }
}

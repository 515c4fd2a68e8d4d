using Merganser.Core.Bows;
using Merganser.Core.Groups;
using Merganser.Core.Paper;
using Merganser.Core.Sessions;
using Merganser.Core.Tuning;

namespace Merganser.Core.Tests.Sessions;

/// <summary>A walk-back as a stage of a session: what it wants, what it says, what answers it.</summary>
public class WalkSessionTests
{
    private static readonly PlannedStage Own = new(20, false, true, false, WalkPins.Own);
    private static readonly PlannedStage One = new(20, false, true, false, WalkPins.One);
    private static readonly PlannedStage Groups = new(20, false, true);

    private readonly SessionAtHand at = new(Own, AdjusterKind.RestSideways, AdjusterKind.YokePair)
    {
        Arrow = Samples.A1,
    };

    public WalkSessionTests() => at.Begin("set1", Own);

    private static double Straight(double yards) => .06 * yards;

    /// <summary>A vane that planes, zeroed at 20 yd.</summary>
    private static double Curved(double yards) => .0025 * yards * (yards - 20);

    [Fact]
    public void It_asks_for_hits_at_each_distance_and_reads_nothing_before_three()
    {
        at.Session()
            .Advice.Sentence.Said()
            .ShouldBe("Shoot 5 at 20 yd, 5 at 40 yd, 5 at 60 yd, each with its own pin.");
        at.Session().Headline(at.Session().Now).Said().ShouldBe("Nothing yet: walk back from the zero.");
        at.Walk(Straight, each: 2);
        at.Session().Advice.Sentence.Said().ShouldContain("3 at 20 yd, 3 at 40 yd, 3 at 60 yd");
        at.Session()
            .Headline(at.Session().Now)
            .Said()
            .ShouldBe("Too few to read, 3 at each distance: 1 at 20 yd, 1 at 40 yd, 1 at 60 yd to go.");
        at.Session().Walk!.Fit.ShouldBeNull();
        at.Session().Stages()[0].Shots.ShouldBe(6);
    }

    [Fact]
    public void A_straight_drift_is_the_sights_and_the_rest_is_the_other_way()
    {
        at.Sight = new Sight(34, .02);
        at.Walk(Straight);
        var session = at.Session();
        session.Headline(session.Now).Said().ShouldBe("Drifts right 2.40 in from 20 to 60 yd: clear.");
        session.Advice.Kind.ShouldBe(AdviceKind.MoveTheSight);
        // The sight follows the arrow: .06 × 34 / 36 in.
        session
            .Advice.Sentence.Said()
            .ShouldBe("Sight right 0.057 in: 3 clicks. Then zero again at 20 yd and walk once more.");
        session.Advice.Disputed!.Said().ShouldContain("moves the rest left: small, keep only if better");
        session.Advice.Move.ShouldBeNull();
        session.Next.Action.ShouldBe("moveSight");
        session.Walk!.SightAnswer(at.Sight)!.Right.ShouldBe(.056667, 1e-6);
    }

    [Fact]
    public void A_curved_drift_is_level_pins_or_planing_and_never_the_rest()
    {
        at.Walk(Curved, spread: .01);
        var advice = at.Session().Advice;
        advice.Kind.ShouldBe(AdviceKind.LevelTheSight);
        advice.Disputed.ShouldBeNull();
        advice
            .Reason.Said()
            .ShouldStartWith("Curved: a sight that leans, a pin out of plumb, or an arrow that planes.");
        at.Session().Next.Action.ShouldBe("walkAnew");
        at.Session().Walk!.Lean.ShouldNotBeNull();
    }

    [Fact]
    public void A_sight_that_leans_one_degree_is_told_so()
    {
        // With own pins a lean moves each hit by sin 1° of its drop; the zero takes out the part that is straight.
        var flies = FlatFire.Of(at.Session().Bow.Bow, at.Arrow!);
        var sine = Math.Sin(Math.PI / 180);
        at.Walk(d => sine * (flies.Drop(d) - (d / 20 * flies.Drop(20))), spread: .002);
        at.Session().Walk!.Lean!.Value.ShouldBe(1, .08);
    }

    [Fact]
    public void No_drift_is_said_with_the_drift_that_would_have_shown()
    {
        at.Walk(_ => 0, spread: .03);
        var advice = at.Session().Advice;
        advice.Kind.ShouldBe(AdviceKind.GoodEnough);
        advice.Reason.Said().ShouldMatch(@"^A drift of [12]\.\d in at 60 yd would have shown four times in five\.$");
        at.Session().Next.Action.ShouldBe("accept");
        at.Happens([.. SessionActs.Accept(at.Session(), "accept")]);
        at.Session().AcceptedAt.ShouldNotBeNull("a walk alone can be accepted");
    }

    [Fact]
    public void A_wide_hand_is_told_how_many_more_and_walks_once_more()
    {
        at.Walk(_ => 0, spread: .15);
        var session = at.Session();
        session.Advice.Kind.ShouldBe(AdviceKind.ShootMore);
        session.Advice.Reason.Said().ShouldContain("more at each distance would show a drift of 3.0 in at 60 yd");
        session.Next.Action.ShouldBe("walkOn");
        at.Begin("set2", Own);
        at.Walk(_ => 0, spread: .15);
        at.Session().Walk!.Pooled.ShouldBe([1, 2]);
        at.Session().Walk!.Count.ShouldBe(30);
        at.Session().Walk!.Alone.Count.ShouldBe(2);
        at.Session().Walk!.More.ShouldBeLessThan(session.Walk!.More);
    }

    [Fact]
    public void Walks_that_differ_more_than_chance_are_named_before_any_verdict()
    {
        at.Walk(d => .08 * d, spread: .02);
        at.Begin("set2", Own);
        at.Walk(d => -.02 * d, spread: .02);
        var session = at.Session();
        session.Walk!.Disagree.ShouldBeTrue();
        session.Advice.Kind.ShouldBe(AdviceKind.ShootMore);
        session.Advice.Reason.Said().ShouldStartWith("The walks differ more than chance");
    }

    [Fact]
    public void Days_are_kept_apart_and_so_is_a_sight_that_was_moved()
    {
        at.Walk(Straight);
        at.Sleep();
        at.Begin("set2", Own);
        at.Walk(Straight, each: 3);
        at.Session().Walk!.Pooled.ShouldBe([2], "another day is never pooled silently");
        at.Happens([.. SessionActs.MoveSight(at.Session(), "sight", new SightMove(.05, 0))]);
        at.Session().Sets.Count.ShouldBe(3, "it is walked anew");
        at.Walk(_ => 0, each: 3);
        at.Session().Walk!.Pooled.ShouldBe([3]);
        at.Session().SightBefore(at.Session().Now).ShouldBe([new SightMove(.05, 0)]);
        at.Happens([.. SessionActs.MoveSight(at.Session(), "back", new SightMove(-.05, 0))]);
        at.Walk(Straight, each: 3);
        at.Session().Walk!.Pooled.ShouldBe([2, 4], "moved back it stands as it stood");
        at.Happens([.. SessionActs.MoveSight(at.Session(), "levelled", null)]);
        at.Walk(Straight, each: 3);
        at.Session().Walk!.Pooled.ShouldBe([5], "levelled it stands nowhere that is known");
    }

    [Fact]
    public void A_moved_rest_is_another_setting()
    {
        at.Walk(Straight, each: 3);
        at.Move(AdjusterKind.RestSideways, -2);
        at.Walk(Straight, each: 3);
        at.Session().Walk!.Pooled.ShouldBe([2]);
    }

    [Fact]
    public void Centre_shot_is_said_only_where_bare_shafts_say_so_too()
    {
        at.Begin("groups", Groups);
        at.Groups(-4, 0);
        at.Begin("walk", Own);
        at.Walk(Straight);
        var advice = at.Session().Advice;
        advice.Kind.ShouldBe(AdviceKind.GroupsFirst);
        advice.Reason.Said().ShouldContain("Bare lands 4.00 in left");
        advice.Reason.Said().ShouldContain("centre shot");
        at.Session().Next.Action.ShouldBe("groups");
        at.Session().CentreShotSeen.ShouldBe(true);
        at.Move(AdjusterKind.YokePair, 1);
        at.Session().CentreShotSeen.ShouldBeNull("with the bow as it stands no group was read");
    }

    [Fact]
    public void Two_distances_want_a_third_and_any_three_will_do()
    {
        at.Walk(Straight, 5, .02, 20, 50);
        at.Session().Walk!.Wanted.ShouldBe([20, 40, 50]);
        at.Session().Walk!.Fit.ShouldBeNull();
        at.Walk(Straight, 5, .02, 35);
        at.Session().Walk!.Wanted.ShouldBe([20, 35, 50]);
        at.Mark(SessionAtHand.Hit(70, 1));
        at.Session().Walk!.Fit!.Distances.ShouldBe([20, 35, 50], "one hit from farther out hides nothing");
        at.Session().Advice.Kind.ShouldBe(AdviceKind.MoveTheSight);
    }

    [Fact]
    public void Wind_is_taken_off_at_its_least()
    {
        var noted = new ConditionsNoted(false, null, "", SetPurpose.Session, 4);
        at.Happens(new NewAct("wind", noted));
        var flies = FlatFire.Of(at.Session().Bow.Bow, at.Arrow!);
        at.Walk(d => flies.LeastDrift(4, d), spread: .02);
        var walk = at.Session().Walk!;
        walk.Fit!.Slope.ShouldBe(0, 1e-9);
        walk.WindShare.ShouldBe(flies.LeastDrift(4, 60), 1e-9);
        at.Session()
            .Advice.Evidence.Select(e => e.Statement.Said())
            .ShouldContain(s => s.StartsWith("Wind 4 mph from the left"));
    }

    [Fact]
    public void One_pin_shows_its_drop_and_takes_hits_far_below()
    {
        var session = new SessionAtHand(One, AdjusterKind.RestSideways) { Arrow = Samples.A1 };
        session.Begin("set1", One);
        session.Mark(new HitMarked(ArrowKind.Fletched, new Hole(1, -80), Distance: "60"));
        session.Session().Walk!.DropAt(60)!.Value.ShouldBeInRange(40, 110);
        session.Session().Walk!.DropAt(20)!.Value.ShouldBe(0, 1e-9);
        session.Session().Advice.Sentence.Said().ShouldEndWith("all with one pin.");
        at.Session().Walk!.DropAt(60).ShouldBeNull("each distance with its own pin");
        Field(() => at.Mark(new HitMarked(ArrowKind.Fletched, new Hole(1, -80), Distance: "60"))).ShouldBe("place");
    }

    [Fact]
    public void A_hit_says_its_distance_and_is_fletched()
    {
        Field(() => at.Mark(new HitMarked(ArrowKind.Fletched, new Hole(0, 0)))).ShouldBe("distance");
        Field(() => at.Mark(new HitMarked(ArrowKind.Fletched, new Hole(0, 0), Distance: "400"))).ShouldBe("distance");
        var refused = SessionAtHand.Refused(() =>
            at.Mark(new HitMarked(ArrowKind.Bare, new Hole(0, 0), Distance: "20"))
        );
        refused.Code.ShouldBe("other-stage");
    }

    [Fact]
    public void Moves_are_not_taught_by_it()
    {
        at.Walk(Straight);
        at.Session().Learned().Fits.ShouldBeEmpty();
        at.Session().State.Shots.ShouldBeEmpty();
    }

    private static string Field(Action act) => SessionAtHand.Refused(act).Problems[0].Field;
}

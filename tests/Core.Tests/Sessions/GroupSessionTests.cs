using Merganser.Core.Bows;
using Merganser.Core.Figures;
using Merganser.Core.Groups;
using Merganser.Core.Paper;
using Merganser.Core.Sessions;
using Merganser.Core.Tuning;
using Merganser.Core.Units;

namespace Merganser.Core.Tests.Sessions;

/// <summary>Groups at a target as a stage of a session: by hand, as a technician goes through them.</summary>
public class GroupSessionTests
{
    private static readonly PlannedStage Twenty = new(20, false, true);
    private readonly SessionAtHand at = new(Twenty, AdjusterKind.YokePair, AdjusterKind.NockingPoint);

    public GroupSessionTests() => at.Begin("set1", Twenty);

    [Fact]
    public void One_pair_is_one_reading_and_a_shot_alone_waits()
    {
        at.Shoot(ArrowKind.Fletched, (.5, .5));
        at.Shoot(ArrowKind.Fletched, (-.5, -.5));
        at.Shoot(ArrowKind.Bare, (-2, 1));
        var session = at.Session();
        session.Here.Count.ShouldBe(1);
        session.Here[0].Tear.X.ShouldBe(2.5 / 8, 1e-12);
        session.Here[0].Tear.Y.ShouldBe(-.5 / 8, 1e-12);
        session.Now.Groups!.Offset.ShouldBeNull("two pairs at the least");
        session.Advice.Kind.ShouldBe(AdviceKind.ShootMore);
        session.Advice.Sentence.ShouldBe(new GroupsToShoot(0, 1, ArrowKind.Bare));
        session.Advice.Move.ShouldBeNull();
    }

    [Fact]
    public void Taped_bare_shafts_are_as_heavy_and_nothing_is_taken_off_their_height()
    {
        at.Arrow = Samples.A1;
        at.Groups(-1, 2);
        var high = at.Session().Now.BareHigh;
        high.ShouldBeGreaterThan(.05);
        var offset = at.Session().Now.Groups!.Offset!.Offset.Y;
        at.Happens(new NewAct("taped", new ConditionsNoted(false, null, "", SetPurpose.Session, Taped: true)));
        at.Session().Now.BareHigh.ShouldBe(0);
        at.Session().Now.Groups!.Offset!.Offset.Y.ShouldBe(offset + high, 1e-9);
        at.Happens(new NewAct("bare", new ConditionsNoted(false, null, "", SetPurpose.Session)));
        at.Session().Now.BareHigh.ShouldBe(high);
    }

    [Fact]
    public void How_shafts_stand_is_counted_for_those_that_are_held_against_the_others()
    {
        at.Session().Now.Groups!.Slants.ShouldBeNull();
        Slant?[] stand = [Slant.NockLeft, null, Slant.Straight, Slant.NockLeft, Slant.NockLow];
        foreach (var slant in stand)
        {
            at.Mark(new HitMarked(ArrowKind.Bare, new Hole(0, 0)) { Slant = slant });
        }

        at.Mark(new HitMarked(ArrowKind.Fletched, new Hole(0, 0)) { Slant = Slant.NockHigh });
        at.Session().Now.Groups!.Slants.ShouldBe(new SlantsSeen(ArrowKind.Bare, 4, 2, 0, 0, 1));
        at.Session()
            .Now.Groups!.Slants!.Said()
            .ShouldBe("Bare shafts in the target: 2 nock left, 1 nock low, of 4 looked at.");
    }

    [Fact]
    public void A_clear_offset_is_a_move_and_both_groups_are_shot_anew()
    {
        at.Groups(-6, 0);
        var session = at.Session();
        session.Now.Groups!.Verdict.ShouldBe(GroupVerdict.Clear);
        session.Headline(session.Now).Said().ShouldBe("Bare lands 6.00 in left: clear.");
        var advice = session.Advice;
        advice.Move!.Kind.ShouldBe(AdjusterKind.YokePair, "bare left is a tail right: the cams answer it");
        advice.Sentence.Said().ShouldEndWith("then shoot both groups anew.");
        advice.Reason.Said().ShouldContain("as a paper that tears tail right");
        advice.Evidence[1].Statement.ShouldBe(new ChanceOfInside(Measure.Inches(2)));

        at.Move(AdjusterKind.YokePair, advice.Move.To);
        at.Session().Advice.Sentence.ShouldBe(new GroupsToShoot(2, 2, ArrowKind.Bare));
        at.Session().Advice.Reason.Said().ShouldContain("old shots don't count");
        at.Groups(.1, .1);
        at.Session().Here.Count.ShouldBe(8);
        at.Session().State.ShotsHere.ShouldBe(4);
        at.Session().Advice.Kind.ShouldBe(AdviceKind.GoodEnough);
        at.Session().Advice.Reason.Said().ShouldStartWith("Inside 2.00 in");
        at.Happens([.. SessionActs.Accept(at.Session(), "yes")]);
        at.Session().AcceptedAt.ShouldNotBeNull();
        at.Session().Learned().Fits.Single().Stage.AtTarget.ShouldBeTrue();
    }

    [Fact]
    public void While_nothing_is_clear_a_move_is_no_more_than_a_test_with_its_chance()
    {
        at.Shoot(ArrowKind.Fletched, (-.8, .6), (.9, -.4));
        at.Shoot(ArrowKind.Bare, (-4.9, .9), (-3.6, -.6));
        var session = at.Session();
        session.Now.Groups!.Verdict.ShouldNotBe(GroupVerdict.Clear);
        session.Advice.Move.ShouldNotBeNull();
        session.Advice.Sentence.Said().ShouldStartWith("A test, ");
        session.Now.Groups.MoreToDecide.ShouldNotBeNull().ShouldBeInRange(1, 10);
        session.Now.Groups.Powers[0].Chance.ShouldBeLessThan(.5, "two of each can show little");
    }

    [Fact]
    public void The_height_of_the_lighter_shaft_is_taken_off()
    {
        at.Arrow = Samples.A1;
        at.Groups(0, 0);
        var groups = at.Session().Now.Groups!;
        groups.BareHigh.ShouldBeGreaterThan(.05);
        groups.Offset!.Offset.Y.ShouldBe(-groups.BareHigh, 1e-9);
        at.Session().Here.Average(s => s.Tear.Y).ShouldBe(groups.BareHigh / 8, 1e-9);
        GroupFigures.Of(groups).Count.ShouldBe(3);
    }

    [Fact]
    public void A_voided_hit_leaves_its_pair_and_one_that_is_forgotten_teaches_nothing()
    {
        at.Shoot(ArrowKind.Fletched, (0, 0), (1, 0));
        at.Shoot(ArrowKind.Bare, (2, 0), (9, 0), (3, 0));
        at.Happens([.. SessionActs.Judge("v", at.Session().Now.Shots[3].Id, "plucked", doubtful: false)]);
        at.Session().Here.Select(s => s.Tear.X * 8).ShouldBe([-2, -2]);
        at.Happens(new NewAct("f", new LearningForgotten([], Here: true)));
        at.Session().Here.ShouldBeEmpty();
        at.Shoot(ArrowKind.Fletched, (0, 0));
        at.Session().Here.Count.ShouldBe(0, "its partner is not shot yet");
    }

    [Fact]
    public void Where_nothing_that_was_shot_counts_any_more_both_are_shot_anew()
    {
        at.Shoot(ArrowKind.Fletched, (0, 0), (1, 0));
        at.Shoot(ArrowKind.Bare, (2, 0), (3, 0));
        at.Happens(new NewAct("f", new LearningForgotten([], Here: true)));
        at.Session().Advice.Kind.ShouldBe(AdviceKind.NoShots);
        at.Session().Advice.Sentence.ShouldBe(new GroupsToShoot(2, 2, ArrowKind.Bare), "never none of each");
    }

    [Fact]
    public void Paper_and_target_teach_one_set_of_gains()
    {
        at.Begin("paper", new PlannedStage(3, false));
        Tears((.9, 0), (.95, .02), (.88, -.01));
        at.Move(AdjusterKind.YokePair, -2);
        Tears((.1, 0), (.12, .02), (.08, .01));
        at.Begin("far", Twenty);
        at.Groups(-2.5, 0);
        var gain = at.Session().State.Prior.Gains[0];
        gain.From.ShouldBe(GainSource.ThisBow);
        gain.Nominal.ShouldBe(AdjusterTable.Of(AdjusterKind.YokePair).NominalGain * 2.8 / 8, 1e-12);
        gain.LogSd.ShouldBeInRange(.47, .70);
        at.Session().Stages().Select(s => s.Stage.AtTarget).ShouldBe([true, false]);
        at.Session().Usual.Own.ShouldBeFalse("a group's spread is none of the paper's");
    }

    [Fact]
    public void A_hit_is_marked_on_a_face_and_a_hole_on_paper()
    {
        var hole = new Marked(new Hole(0, 0), new Hole(1, 0), null, SheetSide.ShootingSide);
        SessionAtHand
            .Refused(() => SessionActs.Mark(at.Session(), "x", "set1", hole, false))
            .Code.ShouldBe("other-stage");
        at.Begin("paper", new PlannedStage(3, false));
        var hit = new HitMarked(ArrowKind.Bare, new Hole(1, 0));
        SessionAtHand
            .Refused(() => SessionActs.Mark(at.Session(), "x", "paper", hit, false))
            .Code.ShouldBe("other-stage");
        Field(new HitMarked(ArrowKind.Bare, null)).ShouldBe("place");
        Field(new HitMarked(ArrowKind.Bare, new Hole(25, 0))).ShouldBe("place");
        Field(new HitMarked(ArrowKind.Bare, null, new PlaceTyped("far", "1"))).ShouldBe("right");
        new HitMarked(ArrowKind.Bare, null, new PlaceTyped("-1 1/2", "2 cm"))
            .Read("set1")
            .Impact.X.ShouldBe(-1.5, 1e-12);
        Should.Throw<ArgumentOutOfRangeException>(() => new PlannedStage(7, false, true));
    }

    [Fact]
    public void How_it_is_shot_is_noted_from_a_set_on()
    {
        at.Groups(-6, 0);
        at.Session().ConditionsOf(at.Session().Now).ShouldBeNull();
        at.Happens(new NewAct("w", new ConditionsNoted(false, null, "breeze from the left", SetPurpose.Session)));
        at.Move(AdjusterKind.YokePair, 1);
        at.Session()
            .Sets.Select(s => at.Session().ConditionsOf(s)!.Wind)
            .ShouldBe(["breeze from the left", "breeze from the left"]);
        at.Happens(new NewAct("s", new ConditionsNoted(true, null, "", SetPurpose.Session)));
        at.Session().ConditionsOf(at.Session().Sets[0])!.Seated.ShouldBeFalse("the first was shot before it");
        at.Session().ConditionsOf(at.Session().Now)!.Seated.ShouldBeTrue();
    }

    [Fact]
    public void Hits_on_one_place_do_not_divide_by_nought()
    {
        at.Shoot(ArrowKind.Fletched, (1, 1), (1, 1));
        at.Shoot(ArrowKind.Bare, (1, 1), (1, 1));
        at.Session().Now.Groups!.Offset!.P.ShouldBe(1, 1e-9);
        at.Session().Headline(at.Session().Now).Said().ShouldBe("No difference shown between bare and fletched.");
    }

    private static string Field(HitMarked hit) => Should.Throw<RefusedException>(() => hit.Read("s")).Problems[0].Field;

    private void Tears(params (double X, double Y)[] tears)
    {
        foreach (var (x, y) in tears)
        {
            at.Mark(new Marked(new Hole(0, 0), new Hole(x, y), null, SheetSide.ShootingSide));
        }
    }
}

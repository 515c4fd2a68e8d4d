using Merganser.Core.Arrows;
using Merganser.Core.Bows;
using Merganser.Core.Figures;
using Merganser.Core.Groups;
using Merganser.Core.Paper;
using Merganser.Core.Sessions;
using Merganser.Core.Simulation;
using Merganser.Core.Tuning;
using Merganser.Core.Units;

namespace Merganser.Core.Tests.Sessions;

/// <summary>Groups at a target as a stage of a session: by hand, as a technician goes through them.</summary>
public class GroupSessionTests
{
    private static readonly PlannedStage Twenty = new(20, false, true);
    private static readonly DateTimeOffset Evening = new(2026, 11, 23, 18, 0, 0, TimeSpan.Zero);

    private readonly List<SessionEvent> events = [];
    private List<Adjuster> adjusters =
    [
        AdjusterTable.Fresh(AdjusterKind.YokePair) with
        {
            Lower = -8,
            Upper = 8,
        },
        AdjusterTable.Fresh(AdjusterKind.NockingPoint) with
        {
            Lower = -8,
            Upper = 8,
        },
    ];

    public GroupSessionTests() => Begin("set1", Twenty);

    [Fact]
    public void One_pair_is_one_reading_and_a_shot_alone_waits()
    {
        Shoot(ArrowKind.Fletched, (.5, .5));
        Shoot(ArrowKind.Fletched, (-.5, -.5));
        Shoot(ArrowKind.Bare, (-2, 1));
        var session = Session();
        session.Here.Count.ShouldBe(1);
        session.Here[0].Tear.X.ShouldBe(2.5 / 8, 1e-12);
        session.Here[0].Tear.Y.ShouldBe(-.5 / 8, 1e-12);
        session.Now.Groups!.Offset.ShouldBeNull("two pairs at the least");
        session.Advice.Kind.ShouldBe(AdviceKind.ShootMore);
        session.Advice.Sentence.ShouldBe(new GroupsToShoot(0, 1));
        session.Advice.Move.ShouldBeNull();
    }

    [Fact]
    public void A_clear_offset_is_a_move_and_both_groups_are_shot_anew()
    {
        Groups(-6, 0);
        var session = Session();
        session.Now.Groups!.Verdict.ShouldBe(GroupVerdict.Clear);
        session.Headline(session.Now).Said().ShouldBe("Bare lands 6.00 in left: clear.");
        var advice = session.Advice;
        advice.Move!.Kind.ShouldBe(AdjusterKind.YokePair, "bare left is a tail right: the cams answer it");
        advice.Sentence.Said().ShouldEndWith("then shoot both groups anew.");
        advice.Reason.Said().ShouldContain("as a paper that tears tail right");
        advice.Evidence[1].Statement.ShouldBe(new ChanceOfInside(Measure.Inches(2)));

        Move(AdjusterKind.YokePair, advice.Move.To);
        Session().Advice.Sentence.ShouldBe(new GroupsToShoot(2, 2));
        Session().Advice.Reason.Said().ShouldContain("old shots don't count");
        Groups(.1, .1);
        Session().Here.Count.ShouldBe(8);
        Session().State.ShotsHere.ShouldBe(4);
        Session().Advice.Kind.ShouldBe(AdviceKind.GoodEnough);
        Session().Advice.Reason.Said().ShouldStartWith("Inside 2.00 in");
        Happens([.. SessionActs.Accept(Session(), "yes")]);
        Session().AcceptedAt.ShouldNotBeNull();
        Session().Learned().Fits.Single().Stage.AtTarget.ShouldBeTrue();
    }

    [Fact]
    public void While_nothing_is_clear_a_move_is_no_more_than_a_test_with_its_chance()
    {
        Shoot(ArrowKind.Fletched, (-.8, .6), (.9, -.4));
        Shoot(ArrowKind.Bare, (-4.9, .9), (-3.6, -.6));
        var session = Session();
        session.Now.Groups!.Verdict.ShouldNotBe(GroupVerdict.Clear);
        session.Advice.Move.ShouldNotBeNull();
        session.Advice.Sentence.Said().ShouldStartWith("A test, ");
        session.Now.Groups.MoreToDecide.ShouldNotBeNull().ShouldBeInRange(1, 10);
        session.Now.Groups.Powers[0].Chance.ShouldBeLessThan(.5, "two of each can show little");
    }

    [Fact]
    public void The_height_of_the_lighter_shaft_is_taken_off()
    {
        arrow = Samples.A1;
        Groups(0, 0);
        var groups = Session().Now.Groups!;
        groups.BareHigh.ShouldBeGreaterThan(.05);
        groups.Offset!.Offset.Y.ShouldBe(-groups.BareHigh, 1e-9);
        Session().Here.Average(s => s.Tear.Y).ShouldBe(groups.BareHigh / 8, 1e-9);
        GroupFigures.Of(groups).Count.ShouldBe(3);
    }

    [Fact]
    public void A_voided_hit_leaves_its_pair_and_one_that_is_forgotten_teaches_nothing()
    {
        Shoot(ArrowKind.Fletched, (0, 0), (1, 0));
        Shoot(ArrowKind.Bare, (2, 0), (9, 0), (3, 0));
        Happens([.. SessionActs.Judge("v", Session().Now.Shots[3].Id, "plucked", doubtful: false)]);
        Session().Here.Select(s => s.Tear.X * 8).ShouldBe([-2, -2]);
        Happens(new NewAct("f", new LearningForgotten([], Here: true)));
        Session().Here.ShouldBeEmpty();
        Shoot(ArrowKind.Fletched, (0, 0));
        Session().Here.Count.ShouldBe(0, "its partner is not shot yet");
    }

    [Fact]
    public void Where_nothing_that_was_shot_counts_any_more_both_are_shot_anew()
    {
        Shoot(ArrowKind.Fletched, (0, 0), (1, 0));
        Shoot(ArrowKind.Bare, (2, 0), (3, 0));
        Happens(new NewAct("f", new LearningForgotten([], Here: true)));
        Session().Advice.Kind.ShouldBe(AdviceKind.NoShots);
        Session().Advice.Sentence.ShouldBe(new GroupsToShoot(2, 2), "never none of each");
    }

    [Fact]
    public void Paper_and_target_teach_one_set_of_gains()
    {
        Begin("paper", new PlannedStage(3, false));
        Tears((.9, 0), (.95, .02), (.88, -.01));
        Move(AdjusterKind.YokePair, -2);
        Tears((.1, 0), (.12, .02), (.08, .01));
        Begin("far", Twenty);
        Groups(-2.5, 0);
        var gain = Session().State.Prior.Gains[0];
        gain.From.ShouldBe(GainSource.ThisBow);
        gain.Nominal.ShouldBe(AdjusterTable.Of(AdjusterKind.YokePair).NominalGain * 2.8 / 8, 1e-12);
        gain.LogSd.ShouldBeInRange(.47, .70);
        Session().Stages().Select(s => s.Stage.AtTarget).ShouldBe([true, false]);
        Session().Usual.Own.ShouldBeFalse("a group's spread is none of the paper's");
    }

    [Fact]
    public void A_hit_is_marked_on_a_face_and_a_hole_on_paper()
    {
        var hole = new Marked(new Hole(0, 0), new Hole(1, 0), null, SheetSide.ShootingSide);
        Refused(() => SessionActs.Mark(Session(), "x", "set1", hole, false)).Code.ShouldBe("other-stage");
        Begin("paper", new PlannedStage(3, false));
        var hit = new HitMarked(ArrowKind.Bare, new Hole(1, 0));
        Refused(() => SessionActs.Mark(Session(), "x", "paper", hit, false)).Code.ShouldBe("other-stage");
        Field(new HitMarked(ArrowKind.Bare, null)).ShouldBe("place");
        Field(new HitMarked(ArrowKind.Bare, new Hole(25, 0))).ShouldBe("place");
        Field(new HitMarked(ArrowKind.Bare, null, new PlaceTyped("far", "1"))).ShouldBe("right");
        new HitMarked(ArrowKind.Bare, null, new PlaceTyped("-1 1/2", "2 cm"))
            .Read("set1")
            .Impact.X.ShouldBe(-1.5, 1e-12);
        Should.Throw<ArgumentOutOfRangeException>(() => new PlannedStage(7, false, true));
    }

    [Fact]
    public void Hits_on_one_place_do_not_divide_by_nought()
    {
        Shoot(ArrowKind.Fletched, (1, 1), (1, 1));
        Shoot(ArrowKind.Bare, (1, 1), (1, 1));
        Session().Now.Groups!.Offset!.P.ShouldBe(1, 1e-9);
        Session().Headline(Session().Now).Said().ShouldBe("No difference shown between bare and fletched.");
    }

    private static string Field(HitMarked hit) => Should.Throw<RefusedException>(() => hit.Read("s")).Problems[0].Field;

    private static RefusedException Refused(Action act) => Should.Throw<RefusedException>(act);

    private Arrow? arrow;

    private TuningSession Session() =>
        new(
            new SessionBow(
                SimulatedBow.Measured,
                new Archer("Simulated", Hand.Right, true, School.CentreFirst),
                adjusters
            ),
            arrow is null ? [] : [new SessionArrow("v1", "fletched", arrow)],
            new SessionPlan(SessionKind.Tune, null, [Twenty], SessionPlan.UntilClear, false, null),
            Tolerances.Usual,
            Knowledge.None,
            events
        );

    private void Begin(string id, PlannedStage stage) =>
        Happens(new NewAct(id, new SetBegun(stage, $"{stage.Distance}", SetPurpose.Session, "v1")));

    /// <summary>Four of each, the bare ones about a place.</summary>
    private void Groups(double x, double y)
    {
        (double X, double Y)[] stray = [(.5, .4), (-.5, -.4), (.4, -.5), (-.4, .5)];
        Shoot(ArrowKind.Fletched, stray);
        Shoot(ArrowKind.Bare, [.. stray.Select(s => (x + s.Y, y + s.X))]);
    }

    private void Shoot(ArrowKind kind, params (double X, double Y)[] places)
    {
        foreach (var (x, y) in places)
        {
            Mark(new HitMarked(kind, new Hole(x, y)));
        }
    }

    private void Tears(params (double X, double Y)[] tears)
    {
        foreach (var (x, y) in tears)
        {
            Mark(new Marked(new Hole(0, 0), new Hole(x, y), null, SheetSide.ShootingSide));
        }
    }

    private void Mark(IMarked marked) =>
        Happens([.. SessionActs.Mark(Session(), $"shot{events.Count}", Session().Now.Id, marked, settling: false)]);

    private void Move(AdjusterKind kind, int to)
    {
        var acts = SessionActs.Move(Session(), $"move{events.Count}", [new MoveWanted(kind, to)]);
        adjusters = [.. adjusters.Select(a => a.Kind == kind ? a with { Position = to } : a)];
        Happens([.. acts]);
    }

    private void Happens(params NewAct[] acts)
    {
        foreach (var act in acts)
        {
            events.Add(new SessionEvent(act.Id, events.Count + 1, Evening, Evening.AddMinutes(events.Count), act.Act));
        }
    }
}

using Merganser.Core.Arrows;
using Merganser.Core.Bows;
using Merganser.Core.Figures;
using Merganser.Core.Paper;
using Merganser.Core.Sessions;
using Merganser.Core.Setup;
using Merganser.Core.Simulation;
using Merganser.Core.Tuning;
using Merganser.Core.Units;

namespace Merganser.Core.Tests.Sessions;

/// <summary>A session from its list of events alone: by hand, as a technician goes through it.</summary>
public class TuningSessionTests
{
    private static readonly PlannedStage Bare = new(3, false);
    private static readonly DateTimeOffset Evening = new(2026, 11, 23, 18, 0, 0, TimeSpan.Zero);

    private readonly List<SessionEvent> events = [];
    private List<Adjuster> adjusters =
    [
        AdjusterTable.Fresh(AdjusterKind.RestSideways) with
        {
            Lower = -20,
            Upper = 20,
        },
        AdjusterTable.Fresh(AdjusterKind.NockingPoint) with
        {
            Lower = -8,
            Upper = 8,
        },
    ];

    private Unsound? unsound;

    public TuningSessionTests() => Happens(new NewAct("set1", new SetBegun(Bare, "3", SetPurpose.Session, "v1")));

    [Fact]
    public void The_same_list_says_the_same_again()
    {
        Shoot("a", 0.8, 0.1);
        Shoot("b", 0.9, 0.0);
        Move("m", AdjusterKind.RestSideways, 4);
        Shoot("c", 0.5, 0.1);
        var (first, second) = (Session(), Session());
        second.Next.ShouldBeEquivalentTo(first.Next);
        second.Advice.Chance.ShouldBe(first.Advice.Chance);
        second.Readings.ShouldBeEquivalentTo(first.Readings);
    }

    [Fact]
    public void A_move_opens_the_next_set_at_its_setting()
    {
        Shoot("a", 0.8, 0);
        Move("m", AdjusterKind.RestSideways, 4);
        Shoot("b", 0.4, 0);
        Session().Sets.Select(s => s.Positions[AdjusterKind.RestSideways]).ShouldBe([0, 4]);
        Session().Sets.Select(s => s.Shots.Single().Id).ShouldBe(["a", "b"]);
        Session().MovesBefore(Session().Now).Single().Id.ShouldBe("m");
    }

    [Fact]
    public void A_bow_that_was_moved_away_from_the_paper_splits_the_set_at_the_next_shot()
    {
        Shoot("a", 0.8, 0);
        Turn(AdjusterKind.NockingPoint, 2);
        Happens(new NewAct("m", new MoveMade(AdjusterKind.NockingPoint, 0, 2)));
        var acts = SessionActs.Mark(Session(), "b", "set1", Typed("0.4", "0"), settling: false);
        acts.Select(a => a.Act.GetType()).ShouldBe([typeof(SetBegun), typeof(ShotMarked)]);
        Happens([.. acts]);
        Session().Sets.Select(s => s.Positions[AdjusterKind.NockingPoint]).ShouldBe([0, 2]);
        Session().Now.Shots.Single().Id.ShouldBe("b");
    }

    [Fact]
    public void The_first_shot_after_string_work_is_kept_and_not_read()
    {
        Happens([.. SessionActs.Mark(Session(), "a", "set1", Typed("2", "1"), settling: true)]);
        Shoot("b", 0.4, 0);
        Session().Sets.Single().Shots.Select(s => s.VoidReason).ShouldBe([SessionActs.Settles, null]);
        Session().Sets.Single().Mean!.Mean.X.ShouldBe(0.4, 1e-9);
    }

    [Fact]
    public void A_shot_is_voided_doubted_and_counted_again_by_new_events()
    {
        Shoot("a", 0.8, 0);
        Shoot("b", 0.2, 0);
        Happens([.. SessionActs.Judge("x", "b", "hit a clip", doubtful: false)]);
        Session().Sets.Single().Mean!.Mean.X.ShouldBe(0.8, 1e-9);
        Happens([.. SessionActs.Judge("y", "b", null, doubtful: true)]);
        Session().Sets.Single().Shots[1].Doubtful.ShouldBeTrue();
        Happens([.. SessionActs.Judge("z", "b", null, doubtful: false)]);
        Session().Sets.Single().Mean!.Mean.X.ShouldBe(0.5, 1e-9);
        Session().Events.Count.ShouldBe(6);
    }

    [Fact]
    public void A_late_move_changes_the_sets_before_it_and_no_others()
    {
        Shoot("a", 0.8, 0);
        Move("m", AdjusterKind.RestSideways, 4);
        Shoot("b", 0.4, 0);
        Turn(AdjusterKind.NockingPoint, 2);
        Happens(new NewAct("late", new MoveMade(AdjusterKind.NockingPoint, 0, 2, AfterSet: "set1")));
        Session().Sets.Select(s => s.Positions[AdjusterKind.NockingPoint]).ShouldBe([0, 2]);
        Session().Sets.Select(s => s.Positions[AdjusterKind.RestSideways]).ShouldBe([0, 4]);
    }

    [Fact]
    public void A_corrected_entry_turns_nothing_and_opens_no_set()
    {
        Shoot("a", 0.8, 0);
        Move("m", AdjusterKind.RestSideways, 4);
        Shoot("b", 0.4, 0);
        Turn(AdjusterKind.RestSideways, 6);
        var wanted = new MoveWanted(AdjusterKind.RestSideways, 6, Corrects: "m");
        Happens([.. SessionActs.Move(Session(), "right", [wanted])]);
        Session().Sets.Select(s => s.Positions[AdjusterKind.RestSideways]).ShouldBe([0, 6]);
        Session().Sets.Count.ShouldBe(2);
    }

    [Fact]
    public void The_way_back_to_a_set_is_what_leads_there_from_where_the_bow_stands()
    {
        Shoot("a", 0.8, 0);
        Move("m", AdjusterKind.RestSideways, 4);
        Shoot("b", 0.4, 0);
        var back = Session().WayBack(Session().Sets[0]).Single();
        (back.Kind, back.From, back.To).ShouldBe((AdjusterKind.RestSideways, 4, 0));
    }

    [Fact]
    public void Only_a_setting_that_was_shot_is_accepted_and_another_shot_opens_it_again()
    {
        Refused(() => SessionActs.Accept(Session(), "no")).Code.ShouldBe("unshot");
        Shoot("a", 0.1, 0);
        Move("m", AdjusterKind.RestSideways, 1);
        Refused(() => SessionActs.Accept(Session(), "no")).Code.ShouldBe("unshot");
        Shoot("b", 0.05, 0);
        Happens([.. SessionActs.Accept(Session(), "yes")]);
        Session().AcceptedAt.ShouldNotBeNull();
        Shoot("c", 0.1, 0);
        Session().AcceptedAt.ShouldBeNull();
    }

    [Fact]
    public void What_is_forgotten_stays_in_its_set_and_teaches_nothing()
    {
        Shoot("a", 0.8, 0);
        Shoot("b", 0.9, 0);
        Happens(new NewAct("f", new LearningForgotten([], Here: true)));
        Shoot("c", 0.5, 0);
        Session().Shots.Select(s => s.Id).ShouldBe(["c"]);
        Session().Sets.Single().Shots.Count.ShouldBe(3);
    }

    [Fact]
    public void An_unsound_bow_takes_no_shot_and_no_set()
    {
        unsound = new Unsound(Evening);
        Refused(() => SessionActs.Mark(Session(), "a", "set1", Typed("1", "0"), settling: false));
        Refused(() => SessionActs.Begin(Session(), "s", Bare, new Entry("3", 3), SetPurpose.Session, "v1"));
        Session().Advice.Kind.ShouldBe(AdviceKind.Unsound);
    }

    /// <summary>
    /// A bare tear that grows with the distance speaks of a weak shaft; this one is computed far too stiff for the bow.
    /// </summary>
    [Fact]
    public void Two_signs_of_the_shaft_that_disagree_are_named_and_a_control_arrow_decides()
    {
        Shoot("a", 0.2, 0);
        Shoot("b", 0.22, 0);
        Shoot("c", 0.19, 0.02);
        var far = SessionActs.Begin(Session(), "far", new(15, false), new Entry("15", 15), SetPurpose.Session, "v1");
        Happens([.. far]);
        Shoot("d", -1.4, 0);
        Shoot("e", -1.45, 0.02);
        Shoot("f", -1.42, 0);
        Session().SuspectsSpine.ShouldBeTrue();
        Session().Advice.Move.ShouldNotBeNull("no arrow is known that it could disagree with");

        var shaft = Samples.A1.Shaft;
        arrow = Samples.A1 with { Shaft = shaft with { MeasuredSpine = shaft.Spine / 2 } };
        var advice = Session().Advice;
        advice.Kind.ShouldBe(AdviceKind.Contradiction);
        advice.Move.ShouldBeNull();
        advice.Reason.Said().ShouldContain("as computed the shaft is not weak: fit");
        Session().Next.Action.ShouldBe("rung");
        Session().Ladder.Next.ShouldBe(RungKind.ControlArrow);

        arrow = Samples.A1 with { Shaft = shaft with { MeasuredSpine = shaft.Spine * 1.5 } };
        Session().Advice.Kind.ShouldNotBe(AdviceKind.Contradiction, "both say weak");
    }

    [Fact]
    public void What_settles_stands_in_the_headline_and_not_as_if_nothing_was_shot()
    {
        settlingLeft = 4;
        Session().Headline(Session().Now).Said().ShouldBe("Settling, 4 to go: shoot them and mark them.");
        Session().Advice.Sentence.Said().ShouldStartWith("Settling, 4 to go");
        settlingLeft = 0;
        Session().Headline(Session().Now).Said().ShouldStartWith("Nothing yet");
        Shoot("a", 0.9, 0);
        Session().Headline(Session().Now).Said().ShouldStartWith("Tail right");
    }

    private Arrow? arrow;
    private int settlingLeft;

    private TuningSession Session() =>
        new(
            new SessionBow(
                SimulatedBow.Measured,
                new Archer("Simulated", Hand.Right, true, School.CentreFirst),
                adjusters,
                unsound
            )
            {
                SettlingLeft = settlingLeft,
            },
            arrow is null ? [] : [new SessionArrow("v1", "stiff", arrow)],
            new SessionPlan(SessionKind.Tune, null, [Bare], SessionPlan.UntilClear, false, null),
            Tolerances.Usual,
            Knowledge.None,
            events
        );

    private void Shoot(string id, double right, double up) =>
        Happens([.. SessionActs.Mark(Session(), id, Session().Now.Id, Typed($"{right}", $"{up}"), settling: false)]);

    private void Move(string id, AdjusterKind kind, int to)
    {
        var acts = SessionActs.Move(Session(), id, [new MoveWanted(kind, to)]);
        Turn(kind, to);
        Happens([.. acts]);
    }

    private void Turn(AdjusterKind kind, int to) =>
        adjusters = [.. adjusters.Select(a => a.Kind == kind ? a with { Position = to } : a)];

    private void Happens(params NewAct[] acts)
    {
        foreach (var act in acts)
        {
            events.Add(new SessionEvent(act.Id, events.Count + 1, Evening, Evening.AddMinutes(events.Count), act.Act));
        }
    }

    private static Marked Typed(string right, string up) =>
        new(new Hole(0, 0), null, new TailTyped(right, up), SheetSide.ShootingSide);

    private static RefusedException Refused(Action act) => Should.Throw<RefusedException>(act);
}

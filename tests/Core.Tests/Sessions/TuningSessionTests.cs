using Merganser.Core.Bows;
using Merganser.Core.Paper;
using Merganser.Core.Sessions;
using Merganser.Core.Setup;
using Merganser.Core.Tuning;
using Merganser.Core.Units;

namespace Merganser.Core.Tests.Sessions;

/// <summary>A session from its list of events alone: by hand, as a technician goes through it.</summary>
public class TuningSessionTests
{
    private static readonly PlannedStage Bare = new(3, false);
    private readonly SessionAtHand at = new(Bare, AdjusterKind.RestSideways, AdjusterKind.NockingPoint);

    public TuningSessionTests() => at.Begin("set1", Bare);

    [Fact]
    public void The_same_list_says_the_same_again()
    {
        Shoot("a", 0.8, 0.1);
        Shoot("b", 0.9, 0.0);
        at.Move("m", AdjusterKind.RestSideways, 4);
        Shoot("c", 0.5, 0.1);
        var (first, second) = (at.Session(), at.Session());
        second.Next.ShouldBeEquivalentTo(first.Next);
        second.Advice.Chance.ShouldBe(first.Advice.Chance);
        second.Readings.ShouldBeEquivalentTo(first.Readings);
    }

    [Fact]
    public void A_move_opens_the_next_set_at_its_setting()
    {
        Shoot("a", 0.8, 0);
        at.Move("m", AdjusterKind.RestSideways, 4);
        Shoot("b", 0.4, 0);
        at.Session().Sets.Select(s => s.Positions[AdjusterKind.RestSideways]).ShouldBe([0, 4]);
        at.Session().Sets.Select(s => s.Shots.Single().Id).ShouldBe(["a", "b"]);
        at.Session().MovesBefore(at.Session().Now).Single().Id.ShouldBe("m");
    }

    [Fact]
    public void A_bow_that_was_moved_away_from_the_paper_splits_the_set_at_the_next_shot()
    {
        Shoot("a", 0.8, 0);
        at.Turn(AdjusterKind.NockingPoint, 2);
        at.Happens(new NewAct("m", new MoveMade(AdjusterKind.NockingPoint, 0, 2)));
        var acts = SessionActs.Mark(at.Session(), "b", "set1", Typed("0.4", "0"), settling: false);
        acts.Select(a => a.Act.GetType()).ShouldBe([typeof(SetBegun), typeof(ShotMarked)]);
        at.Happens([.. acts]);
        at.Session().Sets.Select(s => s.Positions[AdjusterKind.NockingPoint]).ShouldBe([0, 2]);
        at.Session().Now.Shots.Single().Id.ShouldBe("b");
    }

    [Fact]
    public void The_first_shot_after_string_work_is_kept_and_not_read()
    {
        at.Happens([.. SessionActs.Mark(at.Session(), "a", "set1", Typed("2", "1"), settling: true)]);
        Shoot("b", 0.4, 0);
        at.Session().Sets.Single().Shots.Select(s => s.VoidReason).ShouldBe([SessionActs.Settles, null]);
        at.Session().Sets.Single().Mean!.Mean.X.ShouldBe(0.4, 1e-9);
    }

    [Fact]
    public void A_shot_is_voided_doubted_and_counted_again_by_new_events()
    {
        Shoot("a", 0.8, 0);
        Shoot("b", 0.2, 0);
        at.Happens([.. SessionActs.Judge("x", "b", "hit a clip", doubtful: false)]);
        at.Session().Sets.Single().Mean!.Mean.X.ShouldBe(0.8, 1e-9);
        at.Happens([.. SessionActs.Judge("y", "b", null, doubtful: true)]);
        at.Session().Sets.Single().Shots[1].Doubtful.ShouldBeTrue();
        at.Happens([.. SessionActs.Judge("z", "b", null, doubtful: false)]);
        at.Session().Sets.Single().Mean!.Mean.X.ShouldBe(0.5, 1e-9);
        at.Session().Events.Count.ShouldBe(6);
    }

    [Fact]
    public void A_late_move_changes_the_sets_before_it_and_no_others()
    {
        Shoot("a", 0.8, 0);
        at.Move("m", AdjusterKind.RestSideways, 4);
        Shoot("b", 0.4, 0);
        at.Turn(AdjusterKind.NockingPoint, 2);
        at.Happens(new NewAct("late", new MoveMade(AdjusterKind.NockingPoint, 0, 2, AfterSet: "set1")));
        at.Session().Sets.Select(s => s.Positions[AdjusterKind.NockingPoint]).ShouldBe([0, 2]);
        at.Session().Sets.Select(s => s.Positions[AdjusterKind.RestSideways]).ShouldBe([0, 4]);
    }

    [Fact]
    public void A_corrected_entry_turns_nothing_and_opens_no_set()
    {
        Shoot("a", 0.8, 0);
        at.Move("m", AdjusterKind.RestSideways, 4);
        Shoot("b", 0.4, 0);
        at.Turn(AdjusterKind.RestSideways, 6);
        var wanted = new MoveWanted(AdjusterKind.RestSideways, 6, Corrects: "m");
        at.Happens([.. SessionActs.Move(at.Session(), "right", [wanted])]);
        at.Session().Sets.Select(s => s.Positions[AdjusterKind.RestSideways]).ShouldBe([0, 6]);
        at.Session().Sets.Count.ShouldBe(2);
    }

    [Fact]
    public void The_way_back_to_a_set_is_what_leads_there_from_where_the_bow_stands()
    {
        Shoot("a", 0.8, 0);
        at.Move("m", AdjusterKind.RestSideways, 4);
        Shoot("b", 0.4, 0);
        var back = at.Session().WayBack(at.Session().Sets[0]).Single();
        (back.Kind, back.From, back.To).ShouldBe((AdjusterKind.RestSideways, 4, 0));
    }

    [Fact]
    public void Only_a_setting_that_was_shot_is_accepted_and_another_shot_opens_it_again()
    {
        SessionAtHand.Refused(() => SessionActs.Accept(at.Session(), "no")).Code.ShouldBe("unshot");
        Shoot("a", 0.1, 0);
        at.Move("m", AdjusterKind.RestSideways, 1);
        SessionAtHand.Refused(() => SessionActs.Accept(at.Session(), "no")).Code.ShouldBe("unshot");
        Shoot("b", 0.05, 0);
        at.Happens([.. SessionActs.Accept(at.Session(), "yes")]);
        at.Session().AcceptedAt.ShouldNotBeNull();
        Shoot("c", 0.1, 0);
        at.Session().AcceptedAt.ShouldBeNull();
    }

    [Fact]
    public void What_is_forgotten_stays_in_its_set_and_teaches_nothing()
    {
        Shoot("a", 0.8, 0);
        Shoot("b", 0.9, 0);
        at.Happens(new NewAct("f", new LearningForgotten([], Here: true)));
        Shoot("c", 0.5, 0);
        at.Session().Shots.Select(s => s.Id).ShouldBe(["c"]);
        at.Session().Sets.Single().Shots.Count.ShouldBe(3);
    }

    [Fact]
    public void An_unsound_bow_takes_no_shot_and_no_set()
    {
        at.Unsound = new Unsound(SessionAtHand.Evening);
        SessionAtHand.Refused(() => SessionActs.Mark(at.Session(), "a", "set1", Typed("1", "0"), settling: false));
        SessionAtHand.Refused(() =>
            SessionActs.Begin(at.Session(), "s", Bare, new Entry("3", 3), SetPurpose.Session, "v1")
        );
        at.Session().Advice.Kind.ShouldBe(AdviceKind.Unsound);
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
        var far = SessionActs.Begin(at.Session(), "far", new(15, false), new Entry("15", 15), SetPurpose.Session, "v1");
        at.Happens([.. far]);
        Shoot("d", -1.4, 0);
        Shoot("e", -1.45, 0.02);
        Shoot("f", -1.42, 0);
        at.Session().SuspectsSpine.ShouldBeTrue();
        at.Session().Advice.Move.ShouldNotBeNull("no arrow is known that it could disagree with");

        var shaft = Samples.A1.Shaft;
        at.Arrow = Samples.A1 with { Shaft = shaft with { MeasuredSpine = shaft.Spine / 2 } };
        var advice = at.Session().Advice;
        advice.Kind.ShouldBe(AdviceKind.Contradiction);
        advice.Move.ShouldBeNull();
        advice.Reason.Said().ShouldContain("as computed the shaft is not weak: fit");
        at.Session().Next.Action.ShouldBe("rung");
        at.Session().Ladder.Next.ShouldBe(RungKind.ControlArrow);

        at.Arrow = Samples.A1 with { Shaft = shaft with { MeasuredSpine = shaft.Spine * 1.5 } };
        at.Session().Advice.Kind.ShouldNotBe(AdviceKind.Contradiction, "both say weak");
    }

    [Fact]
    public void What_settles_stands_in_the_headline_and_not_as_if_nothing_was_shot()
    {
        at.SettlingLeft = 4;
        at.Session().Headline(at.Session().Now).Said().ShouldBe("Settling, 4 to go: shoot them and mark them.");
        at.Session().Advice.Sentence.Said().ShouldStartWith("Settling, 4 to go");
        at.SettlingLeft = 0;
        at.Session().Headline(at.Session().Now).Said().ShouldStartWith("Nothing yet");
        Shoot("a", 0.9, 0);
        at.Session().Headline(at.Session().Now).Said().ShouldStartWith("Tail right");
    }

    private void Shoot(string id, double right, double up) => at.Mark(id, Typed($"{right}", $"{up}"));

    private static Marked Typed(string right, string up) =>
        new(new Hole(0, 0), null, new TailTyped(right, up), SheetSide.ShootingSide);
}

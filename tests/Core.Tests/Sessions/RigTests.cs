using Merganser.Core.Bows;
using Merganser.Core.Paper;
using Merganser.Core.Sessions;

namespace Merganser.Core.Tests.Sessions;

/// <summary>What makes another rig of a bow: only shots of one rig share a mean.</summary>
public class RigTests
{
    private static readonly DateTimeOffset Start = new(2026, 9, 1, 18, 0, 0, TimeSpan.Zero);
    private static readonly SetBegun Set = new(new PlannedStage(3, false), "3", SetPurpose.Session, "a");
    private readonly List<SessionEvent> events = [];
    private readonly Dictionary<AdjusterKind, Adjuster> now = new[]
    {
        AdjusterKind.RestSideways,
        AdjusterKind.YokePair,
        AdjusterKind.YokeLeftLeg,
        AdjusterKind.LimbBolts,
        AdjusterKind.CamSpacer,
        AdjusterKind.StringTwists,
    }.ToDictionary(k => k, AdjusterTable.Fresh);

    private DateTimeOffset[] worked = [];

    [Theory]
    [InlineData(AdjusterKind.YokeLeftLeg)]
    [InlineData(AdjusterKind.LimbBolts)]
    [InlineData(AdjusterKind.StringTwists)]
    public void One_leg_both_bolts_or_the_string_make_another(AdjusterKind kind)
    {
        Happens(Set);
        Move(kind, 1);
        Happens(Set);
        var sets = Replayed().Sets;
        sets[0].Rig.ShouldNotBe(sets[1].Rig);
        Move(kind, 0);
        Happens(Set);
        Replayed().Sets[2].Rig.ShouldBe(Replayed().Sets[0].Rig, "turned back it is the same bow again");
    }

    [Theory]
    [InlineData(AdjusterKind.YokePair)]
    [InlineData(AdjusterKind.RestSideways)]
    public void What_a_tear_is_answered_with_makes_another_setting_and_the_same_rig(AdjusterKind kind)
    {
        Happens(Set);
        Move(kind, 2);
        Happens(Set);
        Replayed().Sets.Select(s => s.Rig).Distinct().Count().ShouldBe(1);
        Replayed().Sets[0].Positions[kind].ShouldBe(0);
    }

    [Fact]
    public void Half_a_click_of_the_rest_is_another_setting()
    {
        Happens(Set);
        Move(AdjusterKind.RestSideways, 1.5);
        Happens(Set);
        Replayed().Sets.Select(s => s.Positions[AdjusterKind.RestSideways]).ShouldBe([0, 1.5]);
    }

    [Fact]
    public void Spacers_of_one_cam_make_another_and_those_of_both_do_not()
    {
        var even = new SpacerSeats(2, 4, 2, 4);
        Happens(Set);
        Spacers(1, SpacerSeats.Middle, even);
        Happens(Set);
        Spacers(1, even, even.Shifted(1, 0));
        Happens(Set);
        Replayed().Sets.Select(s => s.Rig).Distinct().Count().ShouldBe(2);
        var sets = Replayed().Sets;
        sets[1].Rig.ShouldBe(sets[0].Rig);
        sets[2].Rig.ShouldNotBe(sets[1].Rig);
    }

    [Fact]
    public void Work_by_hand_makes_another_from_the_first_shot_after_it_on()
    {
        Happens(Set);
        Happens(new ShotMarked("1", new Hole(0, 0), new Hole(.5, 0), SheetSide.ShootingSide));
        worked = [Start.AddMinutes(30)];
        var replayed = Replayed();
        replayed.Sets[0].Rig.ShouldNotBe(replayed.Rig, "what was shot before the new loop is not shot with it");
    }

    [Fact]
    public void A_told_move_asks_for_the_seats_and_never_invents_them()
    {
        Adjuster spacers = AdjusterTable.Fresh(AdjusterKind.CamSpacer);
        spacers.Seats.ShouldBeNull();
        var told = new MoveTold(null, null, Spacers: new SpacerShift(1, 0));
        Should
            .Throw<Core.Figures.RefusedException>(() => told.Read([spacers]))
            .Problems.Single()
            .Field.ShouldBe("seats");
        var seats = new SpacerSeats(4, 2, 3, 3);
        var move = (told with { Spacers = new SpacerShift(1, 0, seats) }).Read([spacers]).Single();
        move.SeatsBefore.ShouldBe(seats);
        move.Seats.ShouldBe(new SpacerSeats(3, 3, 3, 3));
        Should.Throw<Core.Figures.RefusedException>(() =>
            (told with { Spacers = new SpacerShift(1, 0, new SpacerSeats(4, 3, 3, 3)) }).Read([spacers])
        );
    }

    [Fact]
    public void Both_moves_of_a_visit_are_one_act_before_one_new_set()
    {
        Happens(Set);
        Happens(new ShotMarked("1", new Hole(0, 0), new Hole(.9, .8), SheetSide.ShootingSide));
        var told = new MoveTold(
            AdjusterKind.YokePair,
            -2,
            Also: new MoveTold(AdjusterKind.RestSideways, 3, From: 0),
            From: 0
        );
        var session = new TuningSession(
            new SessionBow(Core.Simulation.SimulatedBow.Measured, Anyone, [.. now.Values]),
            [],
            new SessionPlan(SessionKind.Tune, null, [new(3, false)], 2, false, null, true),
            .25,
            Knowledge.None,
            events
        );
        var acts = SessionActs.Move(session, "both", told.Read([.. now.Values]));
        acts.Select(a => a.Id).ShouldBe(["both", "both-1", "both-set"]);
        acts.Select(a => a.Act.GetType()).ShouldBe([typeof(MoveMade), typeof(MoveMade), typeof(SetBegun)]);
    }

    private static readonly Archer Anyone = new("Anyone", Hand.Right, true, School.CentreFirst);

    private Replay Replayed() => new([.. now.Values], events, worked);

    private void Move(AdjusterKind kind, double to)
    {
        Happens(new MoveMade(kind, now[kind].Position, to));
        now[kind] = now[kind] with { Position = to };
    }

    private void Spacers(int to, SpacerSeats before, SpacerSeats after)
    {
        Happens(
            new MoveMade(AdjusterKind.CamSpacer, now[AdjusterKind.CamSpacer].Position, to, Seats: after)
            {
                SeatsBefore = before,
            }
        );
        now[AdjusterKind.CamSpacer] = now[AdjusterKind.CamSpacer] with { Position = to, Seats = after };
    }

    private void Happens(SessionAct act)
    {
        var at = Start.AddMinutes(events.Count);
        events.Add(new SessionEvent($"{events.Count + 1}", events.Count + 1, at, at, act));
    }
}

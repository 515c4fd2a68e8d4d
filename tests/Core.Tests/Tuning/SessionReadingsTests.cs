using Merganser.Core.Bows;
using Merganser.Core.Paper;
using Merganser.Core.Sessions;
using Merganser.Core.Setup;
using Merganser.Core.Simulation;
using Merganser.Core.Tuning;

namespace Merganser.Core.Tests.Tuning;

/// <summary>
/// Bow, arrow or archer: the F tests against values of the F distribution (NIST/SEMATECH e-Handbook 1.3.6.7.3), and
/// what is never cleared.
/// </summary>
public class SessionReadingsTests
{
    private static readonly Stage Three = new(3, false, "arrow");
    private static readonly IReadOnlyDictionary<AdjusterKind, double> Here = new Dictionary<AdjusterKind, double>
    {
        [AdjusterKind.YokePair] = 0,
    };

    [Fact]
    public void Equal_holes_never_clear_grip_face_or_spine()
    {
        var readings = Read([Shot(1, 0), Shot(1.02, .01), Shot(.98, -.02)]);
        var form = readings.Single(r => r.Cause == Cause.Form);
        form.Suspected.ShouldBeFalse();
        form.Evidence.Because.Said().ShouldContain("Grip, face and spine are not cleared");
        readings.ShouldContain(r =>
            r.Cause == Cause.Spine && !r.Suspected && r.Evidence.Statement == TuningSays.SpineNotJudged
        );
    }

    [Theory]
    [InlineData(.35, true)]
    [InlineData(.30, false)]
    public void Holes_that_differ_more_than_this_archers_usual_point_to_archer_or_arrows(double half, bool suspected)
    {
        // Four shots at ± half on both axes: s² = 8 half² / 6, against .18² with 60 degrees of freedom; F(6, 60) is
        // 2.25 at .05.
        ShotReading[] shots = [Shot(half, half), Shot(-half, half), Shot(half, -half), Shot(-half, -half)];
        var f = 8 * half * half / 6 / (.30 * .30);
        (f > 2.25).ShouldBe(false, "the usual of .30 does not speak at either");
        Read(shots, new UsualSpread(.30, 60, true)).Single(r => r.Cause == Cause.Form).Suspected.ShouldBeFalse();
        var sharper = 8 * half * half / 6 / (.25 * .25);
        Read(shots, new UsualSpread(.25, 60, true))
            .Single(r => r.Cause == Cause.Form)
            .Suspected.ShouldBe(sharper > 2.25);
        (sharper > 2.25).ShouldBe(suspected);
    }

    [Fact]
    public void One_arrow_apart_is_named_with_its_test()
    {
        ShotReading[] shots =
        [
            Shot(.5, 0, "1"),
            Shot(.55, .05, "1"),
            Shot(.48, -.03, "2"),
            Shot(.52, .02, "2"),
            Shot(1.1, .3, "7"),
            Shot(1.2, .25, "7"),
        ];
        var apart = Read(shots).Single(r => r.Cause == Cause.Arrow);
        apart.Evidence.Statement.Said().ShouldBe("Arrow 7 tears apart from the others.");
        apart.Evidence.Because.Said().ShouldContain("F(4, 6)");
        Read([.. shots.Take(4)]).ShouldNotContain(r => r.Cause == Cause.Arrow);
    }

    [Fact]
    public void A_tear_that_ignores_two_moves_points_to_clearance_and_one_that_answers_does_not()
    {
        MeanTear still = new([new(0, .8), new(.02, .82), new(-.02, .78)]);
        MadeMove ignored = new(AdjusterKind.RestHeight, -20, still, still);
        MadeMove answered = new(AdjusterKind.RestHeight, -20, still, new([new(0, .2), new(.02, .22), new(-.02, .18)]));
        Read([Shot(0, .8)], made: [ignored, ignored])
            .ShouldContain(r => r.Cause == Cause.Clearance && r.Evidence.Because.Said().Contains("does not drop"));
        Read([Shot(0, .8)], made: [ignored]).ShouldNotContain(r => r.Cause == Cause.Clearance);
        Read([Shot(0, .8)], made: [ignored, answered]).ShouldNotContain(r => r.Cause == Cause.Clearance);
    }

    [Fact]
    public void A_bare_tear_that_changes_side_with_the_distance_is_suspected_weak_and_a_fletched_one_is_not()
    {
        Stage fifteen = Three with { Distance = 15 };
        ShotReading[] near = [Shot(-.3, 0), Shot(-.33, .02), Shot(-.28, -.01)];
        ShotReading[] far = [.. near.Select(s => s.With(fifteen, new Tear(.8 + s.Tear.Y, 0)))];
        var spine = Read([.. near, .. far]).Single(r => r.Cause == Cause.Spine);
        spine.Suspected.ShouldBeTrue();
        spine.Evidence.Statement.Said().ShouldContain("changes side");
        ShotReading[] fletched = [.. near.Concat(far).Select(s => s.With(s.Stage with { Fletched = true }))];
        Read(fletched).ShouldNotContain(r => r.Cause == Cause.Spine && r.Suspected);
        ShotReading[] same = [.. near, .. near.Select(s => s.With(fifteen))];
        Read(same).Single(r => r.Cause == Cause.Spine).Suspected.ShouldBeFalse();
    }

    [Fact]
    public void An_adjuster_at_its_end_says_that_the_other_one_is_wrong()
    {
        ShotReading[] low = [Shot(0, -.8), Shot(.02, -.82), Shot(-.02, -.78)];
        var end = AdjusterTable.Fresh(AdjusterKind.RestHeight) with { Position = 60 };
        SessionReadings
            .Of(low, low, [], [end], UsualSpread.Unknown)
            .ShouldContain(r =>
                r.Cause == Cause.Travel && r.Evidence.Because.Said().Contains("nocking point is wrong")
            );
        SessionReadings
            .Of(low, low, [], [end with { Position = 10 }], UsualSpread.Unknown)
            .ShouldNotContain(r => r.Cause == Cause.Travel);
    }

    [Fact]
    public void The_usual_spread_becomes_the_archers_own()
    {
        UsualSpread.Of([]).ShouldBe(UsualSpread.Unknown);
        var own = UsualSpread.Of([new StageFit(Three, [], .11, 40)]);
        own.Own.ShouldBeTrue();
        own.Spread.ShouldBe(.113, .002);
        own.Freedom.ShouldBe(81);
    }

    [Fact]
    public void A_late_or_corrected_entry_changes_only_the_sets_it_lies_between()
    {
        Adjuster[] now = [AdjusterTable.Fresh(AdjusterKind.RestHeight) with { Position = 12 }];
        SessionMove[] log =
        [
            new("a", 1, AdjusterKind.RestHeight, 0, 20, null),
            new("b", 2, AdjusterKind.RestHeight, 20, 15, null),
            new("c", 2, AdjusterKind.RestHeight, 15, 12, "b"),
        ];
        double[] At(SessionMove[] moves, int position) =>
            [
                .. SettingHistory
                    .At([now[0] with { Position = position }], moves, [1, 2, 3])
                    .OrderBy(p => p.Key)
                    .Select(p => p.Value[AdjusterKind.RestHeight]),
            ];
        At(log, 12).ShouldBe([0, 20, 12]);
        // A move of +5 that was made after the first set and logged last.
        At([.. log, new SessionMove("late", 1, AdjusterKind.RestHeight, 12, 17, null)], 17).ShouldBe([0, 25, 17]);
        // The order in which entries came in does not matter.
        At([log[1], log[2], log[0]], 12).ShouldBe([0, 20, 12]);
    }

    [Theory]
    [InlineData(Release.ReleaseAid, School.CentreFirst, RungKind.ControlArrow)]
    [InlineData(Release.ReleaseAid, School.Ladder, RungKind.Grip)]
    [InlineData(Release.Fingers, School.CentreFirst, RungKind.Spine)]
    public void The_ladder_goes_in_the_schools_order_and_repeats_nothing(Release release, School school, RungKind first)
    {
        var rungs = StubbornLadder.For(release, school);
        StubbornLadder.Next(rungs, []).ShouldBe(first);
        List<RungKind> done = [];
        while (StubbornLadder.Next(rungs, done) is { } rung)
        {
            done.ShouldNotContain(rung);
            done.Add(rung);
        }

        done.Count.ShouldBe(rungs.Count);
        rungs.ShouldBeUnique();
    }

    [Fact]
    public void Nobody_is_sent_to_a_draw_board_without_one_nor_to_the_bottom_bolt_for_a_high_tail()
    {
        var bare = new Archer("Anyone", Hand.Right, false, School.RestOnly);
        IReadOnlyList<RungKind> Rungs(Archer archer, bool tailLow) =>
            StubbornLadder.For(Release.ReleaseAid, School.RestOnly, archer, tailLow);
        Rungs(bare, tailLow: true).ShouldNotContain(RungKind.Timing);
        Rungs(bare with { HasDrawBoard = true }, tailLow: true).ShouldContain(RungKind.Timing);
        Rungs(bare, tailLow: false).ShouldNotContain(RungKind.Tiller);
        Rungs(bare, tailLow: true).ShouldContain(RungKind.Tiller);
    }

    [Fact]
    public void A_grip_that_changes_in_mid_session_is_seen_and_an_ordinary_one_is_not()
    {
        (double X, double Y)[] first = [(.1, .0), (.2, .1), (.0, -.1), (.15, .05), (.05, -.05)];
        ShotReading[] steady = [.. first.Concat(first).Select(t => Shot(t.X, t.Y))];
        ShotReading[] changed = [.. first.Select(t => Shot(t.X, t.Y)), .. first.Select(t => Shot(t.X + .5, t.Y))];
        MeanShift.Of(steady).ShouldBeNull();
        MeanShift.Of(changed[..5]).ShouldBeNull("three on either side at the least");
        var seen = MeanShift.Of(changed)!;
        seen.Suspected.ShouldBeTrue();
        seen.Evidence.Because.Said().ShouldStartWith("First 5 shots");
        seen.Evidence.Because.Said().ShouldContain("F(2, 16)");
        Read(changed).ShouldContain(r => r.Evidence.Statement.Equals(seen.Evidence.Statement));
    }

    [Fact]
    public void It_speaks_of_one_steady_session_in_twenty_at_the_most()
    {
        var spoken = Enumerable
            .Range(0, 400)
            .Count(seed =>
            {
                var bow = new SimulatedBow(seed, new SimulatedWorld(FlyerShare: 0));
                ShotReading[] shots =
                [
                    .. Enumerable.Range(0, 12).Select(_ => bow.Shoot(new double[5])).Select(t => Shot(t.X, t.Y)),
                ];
                return MeanShift.Of(shots) is not null;
            });
        spoken.ShouldBeLessThanOrEqualTo(20);
    }

    [Theory]
    [InlineData(AdviceKind.NotReachable, true)]
    [InlineData(AdviceKind.MovesDoNotHelp, true)]
    [InlineData(AdviceKind.StopAsking, true)]
    [InlineData(AdviceKind.Move, false)]
    [InlineData(AdviceKind.ShootMore, false)]
    public void The_ladder_is_wanted_when_no_move_helps(AdviceKind kind, bool wanted) =>
        StubbornLadder.Wanted([], kind).ShouldBe(wanted);

    [Theory]
    [InlineData(BowChange.NewString, 0)]
    [InlineData(BowChange.NewRest, 2)]
    [InlineData(BowChange.NewLoop, 1)]
    public void A_new_string_or_rest_proposes_to_forget_and_says_what(BowChange change, int kinds)
    {
        Forgetting.Of(change)!.Kinds.Count.ShouldBe(kinds);
        Forgetting.Of(change)!.Words.Said().ShouldEndWith("?");
        Forgetting.Of(BowChange.NewPeep).ShouldBeNull();
    }

    private static IReadOnlyList<Reading> Read(
        ShotReading[] shots,
        UsualSpread? usual = null,
        MadeMove[]? made = null
    ) =>
        SessionReadings.Of(
            [.. shots.Where(s => s.Stage == shots[0].Stage)],
            shots,
            made ?? [],
            [AdjusterTable.Fresh(AdjusterKind.YokePair)],
            usual ?? UsualSpread.Unknown
        );

    private static ShotReading Shot(double x, double y, string? arrow = null) =>
        Shots.Of(Three, Here, new Tear(x, y), arrow: arrow);
}

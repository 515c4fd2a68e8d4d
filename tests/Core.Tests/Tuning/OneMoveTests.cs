using CsCheck;
using Merganser.Core.Bows;
using Merganser.Core.Paper;
using Merganser.Core.Tuning;

namespace Merganser.Core.Tests.Tuning;

/// <summary>Directions: the case table of the trade notes (common practice, no source).</summary>
public class OneMoveTests
{
    private static readonly Adjuster[] All = [.. AdjusterTable.All.Take(7).Select(f => AdjusterTable.Fresh(f.Kind))];
    private static readonly Adjuster[] Finger = [.. new[] { AdjusterKind.NockingPoint, AdjusterKind.PlungerTension, AdjusterKind.PointWeight, AdjusterKind.DrawWeight, AdjusterKind.BraceHeight }.Select(AdjusterTable.Fresh)];

    public static TheoryData<string, Tear, AdjusterKind?, AdjusterKind, string> Cases => new()
    {
        { "tail right: cams right", new(1, 0), AdjusterKind.CamSpacer, AdjusterKind.CamSpacer, "Cams 2 sizes right, top cam first" },
        { "tail left: cams left", new(-1, 0), AdjusterKind.CamSpacer, AdjusterKind.CamSpacer, "Cams 2 sizes left, top cam first" },
        { "tail left about 1 in: left leg shorter, right longer", new(-.8, 0), null, AdjusterKind.YokePair, "Left yoke leg 2 half twists shorter, right leg 2 half twists longer" },
        { "tail right: right leg shorter", new(.8, 0), null, AdjusterKind.YokePair, "Right yoke leg 2 half twists shorter, left leg 2 half twists longer" },
        { "tail high: rest up", new(0, .6), null, AdjusterKind.RestHeight, "Rest 20 clicks up" },
        { "tail low: rest down", new(0, -.6), null, AdjusterKind.RestHeight, "Rest 20 clicks down" },
        { "tail high: or nocking point down", new(0, .5), AdjusterKind.NockingPoint, AdjusterKind.NockingPoint, "Nocking point 2/16 in down" },
        { "tail low: or nocking point up", new(0, -.5), AdjusterKind.NockingPoint, AdjusterKind.NockingPoint, "Nocking point 2/16 in up" },
        { "pockets clockwise drive the tail left", new(.3, 0), AdjusterKind.LimbPocket, AdjusterKind.LimbPocket, "Pocket screws 1 quarter turn clockwise, top and bottom" },
    };

    [Theory]
    [MemberData(nameof(Cases))]
    public void The_case_table_is_the_first_move(string name, Tear tear, AdjusterKind? only, AdjusterKind kind, string order)
    {
        var adjusters = only is null ? All : [AdjusterTable.Fresh(only.Value)];
        var advice = Bench(adjusters).On(Alike(tear), []);
        advice.Kind.ShouldBe(AdviceKind.Move, name);
        advice.Move!.Kind.ShouldBe(kind);
        advice.Move.Order.ShouldBe(order);
    }

    [Theory]
    [InlineData(Hand.Right, .8, "Plunger 8 half turns softer")]
    [InlineData(Hand.Right, -.8, "Plunger 8 half turns stiffer")]
    [InlineData(Hand.Left, .8, "Plunger 8 half turns stiffer")]
    [InlineData(Hand.Left, -.8, "Plunger 8 half turns softer")]
    public void With_fingers_a_tail_to_the_right_reads_stiff_for_the_right_hand_and_weak_for_the_left(Hand hand, double x, string order) =>
        Fingers(hand).On(Alike(new(x, 0)), []).Move!.Order.ShouldBe(order);

    [Fact]
    public void With_fingers_height_comes_before_the_sides() =>
        Fingers(Hand.Right).On(Alike(new(1.5, .5)), []).Move!.Kind.ShouldBe(AdjusterKind.NockingPoint);

    [Fact]
    public void The_mirrored_tear_on_the_mirrored_bow_gives_the_mirrored_advice() =>
        Gen.Select(Gen.Double[-2, 2], Gen.Double[-2, 2], Gen.Enum<School>(), Gen.Bool, Gen.Bool).Sample((x, y, school, press, fingers) =>
        {
            var bench = fingers ? Fingers(Hand.Right) : Bench(All, school, press);
            var mirrored = bench with { Hand = Hand.Left };
            var here = bench.On(Alike(new(x, y)), []);
            var there = mirrored.On(Alike(new Tear(x, y).Mirrored()), []);
            there.Kind.ShouldBe(here.Kind);
            there.Move?.Kind.ShouldBe(here.Move!.Kind);
            if (here.Move is { } move)
            {
                var sideways = AdjusterTable.Of(move.Kind).Axis == TearAxis.Sideways;
                there.Move!.To.ShouldBe(sideways ? -move.To : move.To);
                Swap(there.Move.Order, move.Kind).ShouldBe(move.Order);
                there.Ghosts[0].Mean.X.ShouldBe(-here.Ghosts[0].Mean.X, 1e-12);
            }
        });

    /// <summary>Left and right of cams, yokes, pockets and rest follow the tail; in/out and the finger meanings turn with the hand.</summary>
    private static string Swap(string order, AdjusterKind kind) => kind == AdjusterKind.LimbPocket
        ? order.Contains("counter-") ? order.Replace("counter-clockwise", "clockwise") : order.Replace("clockwise", "counter-clockwise")
        : order.Replace("left", "#").Replace("right", "left").Replace("#", "right").Replace("Left", "#").Replace("Right", "Left").Replace("#", "Right");

    [Fact]
    public void A_press_is_never_advised_to_someone_without() =>
        Gen.Select(Gen.Double[-2, 2], Gen.Double[-2, 2], Gen.Enum<School>()).Sample((x, y, school) =>
            Bench(All, school, press: false).On(Alike(new(x, y)), []).Move?.NeedsPress.ShouldBeFalse());

    [Fact]
    public void A_limit_is_never_passed() =>
        Gen.Select(Gen.Double[-4, 4], Gen.Double[-4, 4], Gen.Enum<School>(), Gen.Int[-2, 2]).Sample((x, y, school, at) =>
        {
            Adjuster[] near = [.. All.Select(a => a with { Position = Math.Clamp(at, a.Lower, a.Upper) })];
            var advice = Bench(near, school).On(Alike(new(x, y)), []);
            if (advice.Move is { } move)
            {
                near.Single(a => a.Kind == move.Kind).Reaches(move.To).ShouldBeTrue();
                move.To.ShouldNotBe(move.From);
            }
        });

    [Fact]
    public void Without_a_press_centre_first_tests_the_rest_small_and_says_what_lost()
    {
        Adjuster[] noPockets = [.. All.Where(a => a.Kind != AdjusterKind.LimbPocket)];
        var advice = Bench(noPockets, School.CentreFirst, press: false).On(Alike(new(-.8, 0)), []);
        advice.Kind.ShouldBe(AdviceKind.SmallTest);
        advice.Disputed.ShouldNotBeNull();
        advice.RunnerUp!.ShouldContain("press");
        advice.Ghosts.Count.ShouldBe(2);
        advice.Ghosts.Sum(g => g.Share).ShouldBe(1);
    }

    [Theory]
    [InlineData(-.9, -1)]
    [InlineData(.1, 1)]
    public void A_disputed_way_follows_what_the_paper_showed(double afterX, int sign)
    {
        // The rest went 10 clicks right at a tear of -0.4: it went left, so clicks right drive left, or right, so they drive right.
        var before = Alike(new(-.4, 0));
        var after = Alike(new(afterX, 0));
        var advice = Bench(All, School.RestOnly).On(after.Mean.Length < .25 ? Alike(new(-.3, 0)) : after, [new(AdjusterKind.RestSideways, 10, before, after)]);
        advice.Kind.ShouldBe(AdviceKind.Move);
        Math.Sign(advice.Move!.To).ShouldBe(sign);
    }

    [Fact]
    public void One_hole_is_no_evidence() => Bench(All).On(new MeanTear([new(1, 0)]), []).Kind.ShouldBe(AdviceKind.ShootMore);

    [Fact]
    public void Wild_holes_ask_for_more_shots() =>
        Bench(All).On(new MeanTear([new(1, 0), new(-.2, .9), new(.4, -.8)]), []).Kind.ShouldBe(AdviceKind.ShootMore);

    [Fact]
    public void A_small_mean_is_good_enough() => Bench(All).On(Alike(new(.1, .1)), []).Kind.ShouldBe(AdviceKind.GoodEnough);

    [Fact]
    public void No_shots_ask_for_the_first() => Bench(All).On(null, []).Kind.ShouldBe(AdviceKind.NoShots);

    [Fact]
    public void Nothing_left_to_turn_is_said_and_sent_to_a_shop()
    {
        var advice = Bench([AdjusterTable.Fresh(AdjusterKind.YokePair)], School.CentreFirst, press: false).On(Alike(new(1, 0)), []);
        advice.Kind.ShouldBe(AdviceKind.NotReachable);
        advice.Reason.ShouldContain("shop");
    }

    [Fact]
    public void The_limb_bolt_answers_only_a_tail_that_stays_low()
    {
        Adjuster[] bolt = [AdjusterTable.Fresh(AdjusterKind.BottomLimbBolt)];
        Bench(bolt, School.Ladder).On(Alike(new(0, -.6)), []).Move!.Kind.ShouldBe(AdjusterKind.BottomLimbBolt);
        Bench(bolt, School.Ladder).On(Alike(new(0, .6)), []).Kind.ShouldBe(AdviceKind.NotReachable);
    }

    [Fact]
    public void Equal_holes_never_clear_grip_or_spine()
    {
        var evidence = Bench(All).On(Alike(new(1, 0)), []).Evidence;
        evidence.ShouldContain(e => e.Because.Contains("Grip, face and spine are not cleared"));
        evidence.ShouldContain(e => e.Statement.Contains("Spine"));
    }

    private static OneMove Bench(Adjuster[] adjusters, School school = School.CentreFirst, bool press = true) =>
        new(Hand.Right, Release.ReleaseAid, school, press, adjusters);

    private static OneMove Fingers(Hand hand) => new(hand, Release.Fingers, School.CentreFirst, false, Finger);

    private static MeanTear Alike(Tear at) => new([new(at.X - .03, at.Y), new(at.X + .03, at.Y), new(at.X, at.Y + .03), new(at.X, at.Y - .03)]);
}

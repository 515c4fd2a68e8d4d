using CsCheck;
using Merganser.Core.Bows;
using Merganser.Core.Paper;
using Merganser.Core.Sessions;
using Merganser.Core.Tuning;

namespace Merganser.Core.Tests.Tuning;

/// <summary>
/// First moves by the case table of the trade notes (common practice, no source), and what the engine may never advise.
/// </summary>
public class AdviserTests
{
    private static readonly Stage Three = new(3, false, "arrow");
    private static readonly Adjuster[] All = [.. AdjusterTable.All.Take(7).Select(f => AdjusterTable.Fresh(f.Kind))];
    private static readonly Adjuster[] Finger =
    [
        .. new[]
        {
            AdjusterKind.NockingPoint,
            AdjusterKind.PlungerTension,
            AdjusterKind.PlungerPosition,
            AdjusterKind.PointWeight,
            AdjusterKind.DrawWeight,
            AdjusterKind.BraceHeight,
        }.Select(AdjusterTable.Fresh),
    ];

    public static TheoryData<string, Tear, AdjusterKind[], AdjusterKind, string> Cases =>
        new()
        {
            {
                "tail right: cams right",
                new(1, 0),
                [AdjusterKind.CamSpacer],
                AdjusterKind.CamSpacer,
                "Cams 1 size right, top cam first"
            },
            {
                "tail left: cams left",
                new(-1, 0),
                [AdjusterKind.CamSpacer],
                AdjusterKind.CamSpacer,
                "Cams 1 size left, top cam first"
            },
            {
                "tail left about 1 in: left leg one twist shorter, right longer",
                new(-1, 0),
                [AdjusterKind.YokePair, AdjusterKind.RestSideways],
                AdjusterKind.YokePair,
                "Left yoke leg 2 half twists shorter, right leg 2 half twists longer"
            },
            {
                "tail right: right leg shorter",
                new(1, 0),
                [AdjusterKind.YokePair, AdjusterKind.RestSideways],
                AdjusterKind.YokePair,
                "Right yoke leg 2 half twists shorter"
            },
            {
                "tail high: rest up",
                new(0, .6),
                [AdjusterKind.RestHeight, AdjusterKind.NockingPoint],
                AdjusterKind.RestHeight,
                "clicks up"
            },
            {
                "tail low: rest down",
                new(0, -.6),
                [AdjusterKind.RestHeight, AdjusterKind.NockingPoint],
                AdjusterKind.RestHeight,
                "clicks down"
            },
            {
                "tail high: or nocking point down",
                new(0, .6),
                [AdjusterKind.NockingPoint],
                AdjusterKind.NockingPoint,
                "Nocking point 1/8 in down"
            },
            {
                "tail low: or nocking point up",
                new(0, -.6),
                [AdjusterKind.NockingPoint],
                AdjusterKind.NockingPoint,
                "Nocking point 1/8 in up"
            },
            {
                "pockets clockwise drive the tail left",
                new(.45, 0),
                [AdjusterKind.LimbPocket],
                AdjusterKind.LimbPocket,
                "clockwise, top and bottom"
            },
        };

    [Theory]
    [MemberData(nameof(Cases))]
    public void The_case_table_is_the_first_move(
        string name,
        Tear tear,
        AdjusterKind[] kinds,
        AdjusterKind kind,
        string order
    )
    {
        var advice = Advise(AdviserOf([.. kinds.Select(AdjusterTable.Fresh)]), tear);
        advice.Kind.ShouldBe(AdviceKind.Move, name);
        advice.Move!.Kind.ShouldBe(kind);
        advice.Move.Order.Said().ShouldContain(order);
        advice.Move.Order.Said().Contains("counter").ShouldBeFalse();
    }

    [Theory]
    [InlineData(Hand.Right, .8, "softer")]
    [InlineData(Hand.Right, -.8, "stiffer")]
    [InlineData(Hand.Left, .8, "stiffer")]
    [InlineData(Hand.Left, -.8, "softer")]
    public void With_fingers_a_tail_to_the_right_reads_stiff_for_the_right_hand_and_weak_for_the_left(
        Hand hand,
        double x,
        string word
    )
    {
        var move = Advise(Fingers(), new(x, 0)).Move!;
        move.Kind.ShouldBe(AdjusterKind.PlungerTension);
        move.Order.Said(hand).ShouldEndWith(word);
    }

    [Theory]
    [InlineData(AdjusterKind.PointWeight, .5, "heavier")]
    [InlineData(AdjusterKind.PointWeight, -.5, "lighter")]
    [InlineData(AdjusterKind.DrawWeight, .5, "up")]
    [InlineData(AdjusterKind.BraceHeight, .4, "lower")]
    [InlineData(AdjusterKind.PlungerPosition, .4, "to the left")]
    public void Every_finger_adjuster_has_its_sign_from_the_table(AdjusterKind kind, double x, string word) =>
        Advise(Fingers() with { Adjusters = [AdjusterTable.Fresh(kind)] }, new(x, 0))
            .Move!.Order.Said()
            .ShouldEndWith(word);

    [Fact]
    public void With_fingers_height_comes_before_the_sides()
    {
        var advice = Advise(Fingers(), new(1.5, .5));
        advice.Move!.Kind.ShouldBe(AdjusterKind.NockingPoint);
        advice.RunnerUp!.Said().ShouldContain("height comes first");
    }

    [Fact]
    public void The_mirrored_tear_on_the_mirrored_bow_gives_the_mirrored_advice() =>
        Gen.Select(Gen.Double[-2, 2], Gen.Double[-2, 2], Gen.Enum<School>(), Gen.Bool, Gen.Bool)
            .Sample(
                (x, y, school, press, fingers) =>
                {
                    var adviser = fingers ? Fingers() : AdviserOf(All, school, press);
                    var here = Advise(adviser, new(x, y));
                    var there = Advise(adviser, new Tear(x, y).Mirrored());
                    there.Kind.ShouldBe(here.Kind);
                    there.Chance!.Value.ShouldBe(here.Chance!.Value, 1e-7);
                    there.Move?.Kind.ShouldBe(here.Move!.Kind);
                    if (here.Move is { } move)
                    {
                        there.Move!.To.ShouldBe(
                            AdjusterTable.Of(move.Kind).Axis == TearAxis.Sideways ? -move.To : move.To
                        );
                        Swap(there.Move.Order.Said(Hand.Left), move.Kind).ShouldBe(move.Order.Said());
                        there.Ghosts[0].Mean.X.ShouldBe(-here.Ghosts[0].Mean.X, 1e-7);
                    }
                },
                iter: 60
            );

    /// <summary>
    /// Left and right of cams, yokes, pockets and rest follow the tail; in/out and the finger meanings turn with the
    /// hand.
    /// </summary>
    private static string Swap(string order, AdjusterKind kind) =>
        kind == AdjusterKind.LimbPocket
            ? order.Contains("counter-")
                ? order.Replace("counter-clockwise", "clockwise")
                : order.Replace("clockwise", "counter-clockwise")
            : order
                .Replace("left", "#")
                .Replace("right", "left")
                .Replace("#", "right")
                .Replace("Left", "#")
                .Replace("Right", "Left")
                .Replace("#", "Right");

    [Fact]
    public void A_press_is_never_advised_to_someone_without_nor_a_limit_passed_nor_another_schools_adjuster() =>
        Gen.Select(Gen.Double[-3, 3], Gen.Double[-3, 3], Gen.Enum<School>(), Gen.Int[-2, 2], Gen.Bool)
            .Sample(
                (x, y, school, at, press) =>
                {
                    Adjuster[] near = [.. All.Select(a => a with { Position = Math.Clamp(at, a.Lower, a.Upper) })];
                    if (Advise(AdviserOf(near, school, press), new(x, y)).Move is not { } move)
                    {
                        return;
                    }

                    (move.NeedsPress && !press).ShouldBeFalse();
                    near.Single(a => a.Kind == move.Kind).Reaches(move.To).ShouldBeTrue();
                    move.To.ShouldNotBe(move.From);
                    DirectionTable.ReleaseAid.ShouldContain(r =>
                        r.Kind == move.Kind && (r.School == null || r.School == school)
                    );
                    if (move.Kind == AdjusterKind.RestSideways && school == School.CentreFirst)
                    {
                        Math.Abs(move.To)
                            .ShouldBeLessThanOrEqualTo(6, "centre first leaves the rest its last few clicks");
                    }
                },
                iter: 150
            );

    [Fact]
    public void Without_a_press_centre_first_tests_the_rest_small_and_says_what_lost()
    {
        Adjuster[] noPockets = [.. All.Where(a => a.Kind != AdjusterKind.LimbPocket)];
        var advice = Advise(AdviserOf(noPockets, School.CentreFirst, press: false), new(-.8, 0));
        advice.Kind.ShouldBe(AdviceKind.SmallTest);
        advice.Disputed!.Said().ShouldContain("some away");
        advice.RunnerUp!.Said().ShouldContain("press");
        advice.Ghosts.Count.ShouldBe(2);
        advice.Ghosts.Sum(g => g.Share).ShouldBe(1, 1e-9);
    }

    [Theory]
    [InlineData(RestType.DropAwayEarly, "mostly works the other way")]
    [InlineData(RestType.DropAwayLate, "often works the other way")]
    [InlineData(RestType.Containment, "less often than not")]
    public void The_dispute_is_explained_by_the_rests_type_and_decided_by_none(RestType type, string words)
    {
        var advice = Advise(AdviserOf(All, School.RestOnly) with { RestType = type }, new(-.8, 0));
        advice.Disputed!.Said().ShouldContain(words);
        advice.Move!.To.ShouldBe(Advise(AdviserOf(All, School.RestOnly), new(-.8, 0)).Move!.To);
    }

    [Theory]
    [InlineData(-1.2, -1)]
    [InlineData(.6, 1)]
    public void A_disputed_way_follows_what_the_paper_showed(double afterX, int sign)
    {
        // The rest went 20 clicks right at a tear of -0.4.
        Adjuster[] after = [.. All.Select(a => a.Kind == AdjusterKind.RestSideways ? a with { Position = 20 } : a)];
        ShotReading[] shots = [.. Alike(new(-.4, 0), All), .. Alike(new(afterX, 0), after, 2)];
        var adviser = AdviserOf(after, School.RestOnly);
        var state = adviser.Read(Three, shots);
        state.Belief.SignDoubt.ShouldBeLessThan(DecisionRule.OpenSign);
        var advice = adviser.Advise(state);
        Math.Sign(state.Belief.GainOf(state.Prior.IndexOf(AdjusterKind.RestSideways)).Gain).ShouldBe(sign);
        advice
            .Disputed!.Said()
            .ShouldStartWith(
                $"Settled on this bow: a click to the right drives the tail {(sign > 0 ? "right" : "left")}"
            );
        advice.Evidence.ShouldContain(e => e.Statement.Said().StartsWith("Rest in/out:"));
    }

    [Fact]
    public void One_hole_is_no_evidence_and_none_asks_for_the_first()
    {
        var adviser = AdviserOf(All);
        adviser
            .Advise(adviser.Read(Three, [Shot(new(1, 0), All)]))
            .Sentence.Said()
            .ShouldBe("Shoot one more before anything is moved.");
        adviser.Advise(adviser.Read(Three, [])).Kind.ShouldBe(AdviceKind.NoShots);
    }

    [Fact]
    public void Five_shots_a_decision_wait_for_five()
    {
        var adviser = AdviserOf(All) with { ShotsPerDecision = 5 };
        adviser
            .Advise(adviser.Read(Three, Alike(new(1, 0), All)))
            .Sentence.Said()
            .ShouldBe("Shoot one more before anything is moved.");
        adviser.Advise(adviser.Read(Three, [.. Alike(new(1, 0), All), Shot(new(1, 0), All)])).Move.ShouldNotBeNull();
    }

    [Fact]
    public void A_small_mean_is_good_enough_and_says_its_chance()
    {
        var advice = Advise(AdviserOf(All), new(.02, .03));
        advice.Kind.ShouldBe(AdviceKind.GoodEnough);
        advice.Chance!.Value.ShouldBeGreaterThanOrEqualTo(advice.Enough!.Value);
        advice.Reason.Said().ShouldContain("%");
    }

    [Fact]
    public void After_a_move_it_asks_for_two_and_draws_what_it_expects()
    {
        Adjuster[] moved = [.. All.Select(a => a.Kind == AdjusterKind.RestHeight ? a with { Position = 20 } : a)];
        var adviser = AdviserOf(moved);
        var advice = adviser.Advise(adviser.Read(Three, Alike(new(0, -.6), All)));
        advice.Kind.ShouldBe(AdviceKind.NoShots);
        advice.Ghosts.Single().Mean.Y.ShouldBe(0, .15);
    }

    [Fact]
    public void Nothing_left_to_turn_is_said_and_sent_to_a_shop()
    {
        var advice = Advise(AdviserOf([AdjusterTable.Fresh(AdjusterKind.YokePair)], press: false), new(1, 0));
        advice.Kind.ShouldBe(AdviceKind.NotReachable);
        advice.Reason.Said().ShouldContain("shop");
    }

    [Fact]
    public void The_limb_bolt_answers_only_a_tail_that_stays_low_and_only_when_rest_and_nocking_point_cannot()
    {
        Adjuster[] bolt = [AdjusterTable.Fresh(AdjusterKind.BottomLimbBolt)];
        Advise(AdviserOf(bolt, School.Ladder), new(0, -.6)).Move!.Kind.ShouldBe(AdjusterKind.BottomLimbBolt);
        Advise(AdviserOf(bolt, School.Ladder), new(0, .6)).Kind.ShouldBe(AdviceKind.NotReachable);
        Advise(AdviserOf(All, School.Ladder), new(0, -.6)).Move!.Kind.ShouldNotBe(AdjusterKind.BottomLimbBolt);
    }

    [Fact]
    public void The_ladder_keeps_yokes_for_what_the_rest_cannot_reach()
    {
        Advise(AdviserOf(All, School.Ladder), new(.4, 0)).Move!.Kind.ShouldBe(AdjusterKind.RestSideways);
        Advise(AdviserOf(All, School.Ladder), new(2, 0)).Move!.Kind.ShouldBe(AdjusterKind.YokePair);
    }

    [Theory]
    [InlineData(AdjusterKind.CamSpacer, "seated", "cam lean")]
    [InlineData(AdjusterKind.BottomLimbBolt, "timing", "tiller")]
    [InlineData(AdjusterKind.NockingPoint, "nock sets", "")]
    [InlineData(AdjusterKind.RestHeight, "Shoot again", "")]
    public void What_a_move_asks_for_follows_the_dependency_rules(AdjusterKind kind, string one, string two)
    {
        MoveEffects.After(kind).Said().ShouldContain(one);
        MoveEffects.After(kind).Said().ShouldContain(two);
    }

    [Fact]
    public void Other_stages_are_a_weaker_prior()
    {
        Adjuster[] moved = [.. All.Select(a => a.Kind == AdjusterKind.YokePair ? a with { Position = 2 } : a)];
        ShotReading[] shots = [.. Alike(new(-1.2, 0), All), .. Alike(new(.4, 0), moved, 2)];
        var fit = StageFit.Of(ResponsePrior.Of(All), shots);
        fit.Gains.Single(g => g.Kind == AdjusterKind.YokePair).Gain.ShouldBe(.8, .12);
        GainPrior Yoke(Stage stage) =>
            StagePool.For(ResponsePrior.Of(All), stage, [fit]).Gains.Single(g => g.Kind == AdjusterKind.YokePair);
        var (same, far, vanes) = (
            Yoke(Three),
            Yoke(Three with { Distance = 15 }),
            Yoke(Three with { Fletched = true })
        );
        same.Expected.ShouldBeGreaterThan(far.Expected);
        far.Expected.ShouldBeGreaterThan(vanes.Expected);
        vanes.Expected.ShouldBeGreaterThan(.4);
        same.LogSd.ShouldBeLessThan(far.LogSd);
        far.LogSd.ShouldBeLessThan(vanes.LogSd);
        vanes.LogSd.ShouldBeLessThan(GainPrior.UsualSd);
        var untouched = StagePool
            .For(ResponsePrior.Of(All), Three, [fit])
            .Gains.Single(g => g.Kind == AdjusterKind.NockingPoint);
        untouched.LogMean.ShouldBe(0);
    }

    [Fact]
    public void A_settled_sign_goes_over_weaker_to_vanes()
    {
        Adjuster[] moved = [.. All.Select(a => a.Kind == AdjusterKind.RestSideways ? a with { Position = 20 } : a)];
        var fit = StageFit.Of(ResponsePrior.Of(All), [.. Alike(new(-.4, 0), All), .. Alike(new(-1.1, 0), moved, 2)]);
        double Plus(Stage stage) => StagePool.For(ResponsePrior.Of(All), stage, [fit]).Gains[0].PlusChance;
        Plus(Three).ShouldBeLessThan(Plus(Three with { Fletched = true }));
        Plus(Three with { Fletched = true }).ShouldBeLessThan(.5);
    }

    private static Adviser AdviserOf(Adjuster[] adjusters, School school = School.CentreFirst, bool press = true) =>
        new(Release.ReleaseAid, school, press, RestType.DropAwayLate, adjusters);

    private static Adviser Fingers() => new(Release.Fingers, School.CentreFirst, false, RestType.Plunger, Finger);

    private static Advice Advise(Adviser adviser, Tear tear) =>
        adviser.Advise(adviser.Read(Three, Alike(tear, adviser.Adjusters)));

    private static ShotReading Shot(Tear tear, IReadOnlyList<Adjuster> adjusters, int set = 1) =>
        Shots.Of(Three, adjusters.ToDictionary(a => a.Kind, a => a.Position), tear, set);

    private static ShotReading[] Alike(Tear at, IReadOnlyList<Adjuster> adjusters, int set = 1) =>
        [
            .. new Tear[]
            {
                new(at.X - .03, at.Y),
                new(at.X + .03, at.Y),
                new(at.X, at.Y + .03),
                new(at.X, at.Y - .03),
            }.Select(t => Shot(t, adjusters, set)),
        ];
}

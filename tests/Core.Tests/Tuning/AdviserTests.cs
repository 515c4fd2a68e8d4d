using CsCheck;
using Merganser.Core.Bows;
using Merganser.Core.Paper;
using Merganser.Core.Sessions;
using Merganser.Core.Tuning;
using static Merganser.Core.Tests.Tuning.Advising;

namespace Merganser.Core.Tests.Tuning;

/// <summary>
/// First moves by the case table of the trade notes (common practice, no source), and what the engine may never advise.
/// </summary>
public class AdviserTests
{
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
                "Nocking point 3/16 in down"
            },
            {
                "tail low: or nocking point up",
                new(0, -.6),
                [AdjusterKind.NockingPoint],
                AdjusterKind.NockingPoint,
                "Nocking point 3/16 in up"
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
        state.Belief.IsOpen(state.Prior.IndexOf(AdjusterKind.RestSideways)).ShouldBeFalse();
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
    public void One_hole_is_no_evidence_unless_it_is_plain_and_none_asks_for_the_first()
    {
        var adviser = AdviserOf(All);
        adviser
            .Advise(adviser.Read(Three, [Shot(new(.5, 0), All)]))
            .Sentence.Said()
            .ShouldBe("Shoot one more before anything is moved.");
        adviser.Advise(adviser.Read(Three, [])).Kind.ShouldBe(AdviceKind.NoShots);
        adviser.Advise(adviser.Read(Three, [Shot(new(2.5, 0), All)])).Kind.ShouldBe(AdviceKind.Move, "plain enough");
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
        advice.Ghosts.Single().Mean.Y.ShouldBe(-.3, .1, "20 clicks of half the usual .03, until this bow has spoken");
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
}

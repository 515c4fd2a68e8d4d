using CsCheck;
using Merganser.Core.Bows;
using Merganser.Core.Tuning;
using static Merganser.Core.Tests.Tuning.Advising;

namespace Merganser.Core.Tests.Tuning;

/// <summary>What may be advised: school, press, travel.</summary>
public class AdviserReachTests
{
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
                    var inches = Math.Abs(move.To - move.From) * AdjusterTable.Of(move.Kind).NominalGain;
                    inches.ShouldBeLessThanOrEqualTo(1 + 1e-9, "one move is an inch of effect at the most");
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
        Advise(AdviserOf(bolt, School.Ladder), new(0, -.35)).Move!.Kind.ShouldBe(AdjusterKind.BottomLimbBolt);
        Advise(AdviserOf(bolt, School.Ladder), new(0, .6)).Kind.ShouldBe(AdviceKind.NotReachable);
        Advise(AdviserOf(All, School.Ladder), new(0, -.6)).Move!.Kind.ShouldNotBe(AdjusterKind.BottomLimbBolt);
    }

    [Fact]
    public void The_ladder_keeps_yokes_for_what_the_rest_cannot_reach()
    {
        Advise(AdviserOf(All, School.Ladder), new(.4, 0)).Move!.Kind.ShouldBe(AdjusterKind.RestSideways);
        Advise(AdviserOf(All, School.Ladder), new(1.2, 0)).Move!.Kind.ShouldBe(AdjusterKind.YokePair);
    }
}

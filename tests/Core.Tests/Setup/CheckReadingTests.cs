using Merganser.Core.Bows;
using Merganser.Core.Setup;
using Merganser.Core.Units;

namespace Merganser.Core.Tests.Setup;

public class CheckReadingTests
{
    private static readonly Bow Brindle = SetupSamples.Compound;

    /// <summary>13/16 ± 1/8 in, in both units (20.64 mm, 17.46 to 23.81 mm): common practice, no source.</summary>
    [Theory]
    [InlineData("13/16", Verdict.Within)]
    [InlineData("20.64 mm", Verdict.Within)]
    [InlineData("11/16", Verdict.AtTheEdge)]
    [InlineData("17.46 mm", Verdict.AtTheEdge)]
    [InlineData("15/16", Verdict.AtTheEdge)]
    [InlineData("23.81 mm", Verdict.AtTheEdge)]
    [InlineData("10/16", Verdict.Beyond)]
    [InlineData("16.5 mm", Verdict.Beyond)]
    [InlineData("1", Verdict.Beyond)]
    [InlineData("24.8 mm", Verdict.Beyond)]
    public void Centre_shot_is_judged_alike_in_inches_and_millimetres(string typed, Verdict expected) =>
        Judge(CheckKind.CentreShot, Entry.Parse(typed, Quantity.Length).Value).Verdict.ShouldBe(expected);

    [Fact]
    public void The_window_is_17_46_to_23_81_mm_around_20_64()
    {
        var window = CentreShot.Tolerance(null);
        (window.Aim * Physical.MillimetresPerInch).ShouldBe(20.64, 0.005);
        (window.Low * Physical.MillimetresPerInch).ShouldBe(17.46, 0.005);
        (window.High * Physical.MillimetresPerInch).ShouldBe(23.81, 0.005);
    }

    [Theory]
    [InlineData(CheckKind.AxleToAxle, 33.06, Verdict.Within)]
    [InlineData(CheckKind.AxleToAxle, 33.125, Verdict.AtTheEdge)]
    [InlineData(CheckKind.AxleToAxle, 33.2, Verdict.Beyond)]
    [InlineData(CheckKind.BraceHeight, 6.3, Verdict.Beyond)]
    [InlineData(CheckKind.DrawWeight, 65.5, Verdict.Within)]
    [InlineData(CheckKind.DrawWeight, 72, Verdict.Beyond)]
    [InlineData(CheckKind.Tiller, 0, Verdict.Within)]
    [InlineData(CheckKind.Tiller, 0.2, Verdict.Beyond)]
    [InlineData(CheckKind.NockingPoint, 0.0625, Verdict.Within)]
    [InlineData(CheckKind.NockingPoint, 0.3, Verdict.Beyond)]
    public void Each_number_has_its_verdict(CheckKind kind, double value, Verdict expected) =>
        Judge(kind, value).Verdict.ShouldBe(expected);

    [Fact]
    public void Cam_lean_has_no_tolerance_and_is_compared_with_the_state_that_shot_well()
    {
        Judge(CheckKind.CamLean, 0.4).Words.Said().ShouldContain("no general tolerance");
        CheckReading
            .Judge(new CheckFinding(CheckKind.CamLean, 0.4, null, null), Brindle, true, 0.1)
            .Words.Said()
            .ShouldContain("+0.300");
    }

    [Fact]
    public void Someone_without_a_press_is_sent_to_a_shop()
    {
        var late = new CheckFinding(CheckKind.CamTiming, null, "topLate", null);
        CheckReading.Judge(late, Brindle, hasPress: false).ToDo.Said().ShouldContain("shop");
        CheckReading.Judge(late, Brindle, hasPress: true).ToDo.Said().ShouldContain("lengthen it one full twist");
        CheckReading.Judge(late, Brindle, hasPress: true).Press.ShouldBeTrue();
    }

    [Fact]
    public void A_beginner_may_not_press_even_with_a_press_in_the_room() =>
        new Archer(
            "Own",
            Hand.Right,
            true,
            School.RestOnly,
            null,
            Practice.Weekly,
            Experience.Beginner
        ).MayPress.ShouldBeFalse();

    [Fact]
    public void An_odd_reading_is_asked_about_and_a_plain_one_is_not()
    {
        CheckReading
            .Suspicion(CheckKind.BraceHeight, 8.5, 6.5)!
            .Said()
            .ShouldContain("Brace height 2 in more than last time");
        CheckReading.Suspicion(CheckKind.BraceHeight, 6.6, 6.5).ShouldBeNull();
        CheckReading.Suspicion(CheckKind.BraceHeight, 8.5, null).ShouldBeNull();
    }

    /// <summary>Front 1/16 in farther out, 7 in nock to rest, 4 in between the stations: 0.109 in (geometry).</summary>
    [Fact]
    public void The_caliper_moves_the_rest_in_when_the_front_stands_out() =>
        CentreShot.CaliperFix(0.875, 0.8125, 7, 4).ShouldBe(0.109, 0.0005);

    [Fact]
    public void A_click_to_the_right_is_in_for_the_right_hand_and_out_for_the_left()
    {
        CentreShot.After(0.80, 4, 0.005, Hand.Right).ShouldBe(0.78, 1e-12);
        CentreShot.After(0.80, 4, 0.005, Hand.Left).ShouldBe(0.82, 1e-12);
    }

    [Theory]
    [InlineData(30, "1/4 in")]
    [InlineData(33, "3/16 in")]
    public void A_longer_bow_wants_a_smaller_peep(double axle, string aperture) =>
        Peep.Aperture(axle).Said().ShouldBe(aperture);

    [Fact]
    public void Every_check_of_every_kind_can_be_found_and_judged()
    {
        foreach (var kind in Enum.GetValues<BowKind>())
        {
            var order = CheckTable.Order(kind);
            order.Distinct().Count().ShouldBe(order.Count);
            foreach (var check in order.Select(CheckTable.Of))
            {
                check.OnSheet.ShouldBeTrue();
                (check.Quantity is null).ShouldBe(check.Choices.Count > 0, $"{check.Kind}");
                new CheckWhy(check.Kind, kind).Said().ShouldNotBeEmpty();
                new CheckHow(check.Kind, kind).Said().ShouldNotBeEmpty();
            }
        }

        CheckTable.All.Select(f => f.Kind).ShouldBe(Enum.GetValues<CheckKind>());
        ChangeTable.All.Select(f => f.Change).ShouldBe(Enum.GetValues<BowChange>());
    }

    /// <summary>
    /// Hand computed: .109 in over clicks of .005 in is 21.8 clicks; the mirrored hand turns the other way.
    /// </summary>
    [Theory]
    [InlineData(.109, .005, Hand.Right, 22, .001)]
    [InlineData(.109, .005, Hand.Left, -22, .001)]
    [InlineData(-.02, .005, Hand.Right, -4, 0)]
    public void A_caliper_speaks_in_clicks_of_this_rest(double moves, double click, Hand hand, int clicks, double left)
    {
        var (steps, rest) = CentreShot.Clicks(moves, click, hand);
        steps.ShouldBe(clicks);
        rest.ShouldBe(left, 1e-9);
        Should.Throw<ArgumentOutOfRangeException>(() => CentreShot.Clicks(moves, 0, hand));
    }

    [Fact]
    public void A_rest_inside_its_window_is_said_to_stand_in_the_sights_way()
    {
        var bow = SetupSamples.Compound;
        var inside = CheckReading.Judge(new CheckFinding(CheckKind.CentreShot, .6, null, null), bow, true);
        inside.ToDo.Said().ShouldContain("the riser may stand in its way");
        CheckReading
            .Judge(new CheckFinding(CheckKind.CentreShot, 1.0, null, null), bow, true)
            .ToDo.Said()
            .ShouldNotContain("riser may");
    }

    [Fact]
    public void The_order_puts_what_moves_others_first()
    {
        var order = CheckTable.Order(BowKind.Compound).ToList();
        order.IndexOf(CheckKind.CamLean).ShouldBeLessThan(order.IndexOf(CheckKind.CamTiming));
        order.IndexOf(CheckKind.CamTiming).ShouldBeLessThan(order.IndexOf(CheckKind.CentreShot));
        order.IndexOf(CheckKind.CentreShot).ShouldBeLessThan(order.IndexOf(CheckKind.NockingPoint));
        order.IndexOf(CheckKind.FirstAxis).ShouldBeLessThan(order.IndexOf(CheckKind.ThirdAxis));
    }

    private static CheckVerdict Judge(CheckKind kind, double value) =>
        CheckReading.Judge(new CheckFinding(kind, value, null, null), Brindle, true);
}

internal static class SetupSamples
{
    public static Bow Compound { get; } =
        new(
            "Brindle",
            BowKind.Compound,
            Hand.Right,
            Release.ReleaseAid,
            65,
            65.5,
            29,
            33,
            6.5,
            330,
            RestType.DropAwayLate,
            CamSystem.TwinYoke,
            CamDraw.Medium,
            0,
            MaximumWeight: 70,
            MakerAxleToAxle: 33,
            MakerBraceHeight: 6.5
        );
}

using CsCheck;
using Merganser.Core.Bows;
using Merganser.Core.Figures;

namespace Merganser.Core.Tests.Bows;

public class AdjusterStateTests
{
    [Theory]
    [InlineData(-1, 1, -1, 0, 0)]
    [InlineData(2, -2, 2, 0, 0)]
    [InlineData(1, 0, 0, 1, 0)]
    [InlineData(0, -1, 0, 0, -1)]
    [InlineData(2, -1, 1, 1, 0)]
    [InlineData(1, 1, 0, 1, 1)]
    public void Yoke_twists_are_a_pair_and_what_is_left_over(
        int left,
        int right,
        int pair,
        int leftAlone,
        int rightAlone
    )
    {
        var twists = new YokeTwists(left, right);
        (twists.Pair, twists.LeftAlone, twists.RightAlone).ShouldBe((pair, leftAlone, rightAlone));
    }

    [Fact]
    public void The_parts_of_a_yoke_move_add_up_to_what_was_twisted() =>
        Gen.Select(Gen.Int[-6, 6], Gen.Int[-6, 6])
            .Sample(
                (left, right) =>
                {
                    var twists = new YokeTwists(left, right);
                    (twists.Pair + twists.LeftAlone).ShouldBe(left);
                    (twists.RightAlone - twists.Pair).ShouldBe(right);
                }
            );

    [Fact]
    public void Spacers_move_as_pairs_and_never_run_out_of_their_seats()
    {
        var seats = SpacerSeats.Middle.Shifted(1, 1);
        seats.ShouldBe(new SpacerSeats(2, 4, 2, 4));
        seats.Step.ShouldBe(1);
        SpacerSeats.Middle.Shifted(1, 0).Step.ShouldBe(0, "the top cam alone is half a step");
        Should.Throw<RefusedException>(() => SpacerSeats.Middle.Shifted(3, 3)).Code.ShouldBe("spacers");
        (seats.TopLeft + seats.TopRight).ShouldBe(6, "a pair is never mixed");
    }

    [Theory]
    [InlineData(AdjusterKind.RestSideways, 2.5, null)]
    [InlineData(AdjusterKind.RestHeight, -24.5, null)]
    [InlineData(AdjusterKind.RestSideways, 25.5, "range")]
    [InlineData(AdjusterKind.RestSideways, 2.25, "whole-steps")]
    [InlineData(AdjusterKind.RestSideways, double.NaN, "whole-steps")]
    [InlineData(AdjusterKind.NockingPoint, .5, "whole-steps")]
    [InlineData(AdjusterKind.NockingPoint, 2, null)]
    public void A_rest_stands_between_two_clicks_and_no_other_does(AdjusterKind kind, double to, string? refused)
    {
        Adjuster[] has = [.. new[] { kind }.Select(AdjusterTable.Fresh)];
        (double From, SpacerSeats?) Log() => MoveRules.Check(has, [], new MoveWanted(kind, to), default);
        if (refused is null)
        {
            Log().From.ShouldBe(0);
        }
        else
        {
            Should.Throw<RefusedException>(() => Log()).Problems.Single().Code.ShouldBe(refused);
        }
    }

    [Fact]
    public void The_way_back_leads_back() =>
        Gen.Select(Gen.Int[-8, 8].Array[4], Gen.Int[-8, 8].Array[4])
            .Sample(
                (here, there) =>
                {
                    AdjusterKind[] kinds =
                    [
                        AdjusterKind.RestSideways,
                        AdjusterKind.RestHeight,
                        AdjusterKind.YokePair,
                        AdjusterKind.TopCable,
                    ];
                    var now = kinds.Select((k, i) => AdjusterTable.Fresh(k) with { Position = here[i] }).ToArray();
                    var then = kinds.Select((k, i) => AdjusterTable.Fresh(k) with { Position = there[i] }).ToArray();
                    var back = StateDiff.WayBack(now, then);
                    now.Select(a => back.FirstOrDefault(b => b.Kind == a.Kind)?.To ?? a.Position)
                        .ShouldBe(there.Select(t => (double)t));
                    back.Count.ShouldBe(here.Zip(there).Count(p => p.First != p.Second));
                }
            );

    [Theory]
    [InlineData(Hand.Right, 3, "Rest 3 clicks right (in)")]
    [InlineData(Hand.Left, 3, "Rest 3 clicks right (out)")]
    [InlineData(Hand.Left, -3, "Rest 3 clicks left (in)")]
    public void In_and_out_turn_with_the_hand_and_left_and_right_do_not(Hand hand, int steps, string order) =>
        new Order(AdjusterKind.RestSideways, steps).Said(hand).ShouldBe(order);

    [Fact]
    public void What_a_bow_has_follows_from_its_cams()
    {
        AdjusterTable.Usual(BowKind.Compound, CamSystem.Binary).ShouldContain(AdjusterKind.CamSpacer);
        AdjusterTable.Usual(BowKind.Compound, CamSystem.Binary).ShouldNotContain(AdjusterKind.YokePair);
        AdjusterTable.Usual(BowKind.Compound, CamSystem.TwinYoke).ShouldContain(AdjusterKind.YokePair);
        AdjusterTable.All.Select(f => f.Kind).ShouldBe(Enum.GetValues<AdjusterKind>(), ignoreOrder: true);
    }
}

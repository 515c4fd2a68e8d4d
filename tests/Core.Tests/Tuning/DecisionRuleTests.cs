using Merganser.Core.Bows;
using Merganser.Core.Tuning;

namespace Merganser.Core.Tests.Tuning;

/// <summary>Done, move, test, not reachable or shoot: each rung of the rule on a belief that is made by hand.</summary>
public class DecisionRuleTests
{
    private static readonly GainPrior Yoke = new(AdjusterKind.YokePair, TearAxis.Sideways, .4);
    private static readonly GainPrior Height = new(AdjusterKind.RestHeight, TearAxis.Height, .03);
    private static readonly GainPrior Rest = new(AdjusterKind.RestSideways, TearAxis.Sideways, .03, PlusChance: .5);
    private static readonly DecisionRule Rule = new(RuleFigures.Usual);

    [Fact]
    public void It_is_done_when_the_chance_is_worth_more_than_a_shot_and_not_before_a_shot_here()
    {
        var belief = Known([Yoke], x: .05, y: 0, sd: .05);
        Rule.Decide(Prior(Yoke), belief, [0], [new(0, -8, 8)], 3).Kind.ShouldBe(DecisionKind.Done);
        Rule.Decide(Prior(Yoke), belief, [0], [new(0, -8, 8)], 0).Kind.ShouldNotBe(DecisionKind.Done);
    }

    [Theory]
    [InlineData(.10, .97)]
    [InlineData(.25, .95)]
    [InlineData(.60, .71)]
    [InlineData(2.0, .60)]
    public void What_is_enough_follows_from_what_a_shot_can_tell(double spread, double enough)
    {
        // 1 − clamp(κ S²/tol², .03, .40), κ .05, tol .25.
        var belief = Known([Yoke], 1, 0, .1, spread);
        Rule.Decide(Prior(Yoke), belief, [0], [new(0, -8, 8)], 3).Enough.ShouldBe(enough, .005);
    }

    [Fact]
    public void Far_out_it_takes_the_move_that_leaves_least_and_counts_what_is_not_known()
    {
        var sure = Rule.Decide(Prior(Yoke), Known([Yoke], 1.2, 0, .1, gainSd: .01), [0], [new(0, -8, 8)], 2);
        sure.Kind.ShouldBe(DecisionKind.Move);
        sure.Chosen!.To.ShouldBe(-3);
        var unsure = Rule.Decide(Prior(Yoke), Known([Yoke], 1.2, 0, .1, gainSd: .25), [0], [new(0, -8, 8)], 2);
        unsure.Chosen!.To.ShouldBe(-2, "an unsure step is taken shorter");
        unsure.Chosen.Score.ShouldBeGreaterThan(sure.Chosen.Score);
    }

    [Fact]
    public void It_moves_only_after_the_wanted_shots_and_only_when_sure_enough()
    {
        var belief = Known([Yoke], 1.2, 0, .1);
        Rule.Decide(Prior(Yoke), belief, [0], [new(0, -8, 8)], 1).Kind.ShouldBe(DecisionKind.Shoot);
        new DecisionRule(RuleFigures.For(.25, minimumShots: 5))
            .Decide(Prior(Yoke), belief, [0], [new(0, -8, 8)], 4)
            .Kind.ShouldBe(DecisionKind.Shoot);
        Rule.Decide(Prior(Yoke), Known([Yoke], .5, 0, .4), [0], [new(0, -8, 8)], 2)
            .Kind.ShouldBe(DecisionKind.Shoot, "sd .40 is more than .35 of the mean and .48 of the tolerance");
        Rule.Decide(Prior(Yoke), Known([Yoke], .5, 0, .4), [0], [new(0, -8, 8)], 8)
            .Kind.ShouldBe(DecisionKind.Move, "after eight shots it stops asking");
    }

    [Fact]
    public void A_limit_is_never_passed_and_at_the_limit_there_is_no_move()
    {
        var belief = Known([Yoke], 1.2, 0, .1, gainSd: .01);
        Rule.Decide(Prior(Yoke), belief, [0], [new(0, -1, 8)], 3).Chosen!.To.ShouldBe(-1);
        Rule.Decide(Prior(Yoke), belief, [0], [new(0, 0, 8)], 3).Kind.ShouldBe(DecisionKind.Shoot);
    }

    [Fact]
    public void Not_reachable_is_said_after_fifteen_shots_and_never_before_the_sign_was_tested()
    {
        var belief = Known([Yoke], 1.2, 0, .05, gainSd: .01);
        Rule.Decide(Prior(Yoke), belief, [0], [new(0, 0, 0)], 14).Kind.ShouldBe(DecisionKind.Shoot);
        Rule.Decide(Prior(Yoke), belief, [0], [new(0, 0, 0)], 15).Kind.ShouldBe(DecisionKind.NotReachable);
        var open = Open(x: .6);
        Rule.Decide(Prior(Rest), open, [0], [new(0, -25, 25)], 20).Kind.ShouldBe(DecisionKind.SmallTest);
    }

    [Fact]
    public void Where_no_single_move_helps_the_first_of_two_that_together_would_is_taken()
    {
        // Tail right 1.2 and the only levers drive right and up together, right and down together: each alone makes the
        // height worse.
        GainPrior one = new(AdjusterKind.YokePair, TearAxis.Sideways, .4);
        GainPrior two = new(AdjusterKind.LimbPocket, TearAxis.Sideways, .4);
        var belief = Crossed([one, two], x: 1.2, cross: [.6, -.6]);
        Lever[] levers = [new(0, -1, 1), new(1, -1, 1)];
        var decision = Rule.Decide(Prior(one, two), belief, [0, 0], levers, 20);
        decision.Kind.ShouldBe(DecisionKind.Move);
        decision.Chosen!.To.ShouldBe(-1);
    }

    [Fact]
    public void A_test_goes_to_the_likelier_sign_and_a_settled_sign_is_no_test()
    {
        Rule.Decide(Prior(Rest), Open(.6, plus: .7), [0], [new(0, -25, 25)], 3).Chosen!.To.ShouldBeLessThan(0);
        Rule.Decide(Prior(Rest), Open(.6, plus: .3), [0], [new(0, -25, 25)], 3).Chosen!.To.ShouldBeGreaterThan(0);
        var settled = Rule.Decide(Prior(Rest), Open(.6, plus: .99), [0], [new(0, -25, 25)], 3);
        settled.Kind.ShouldBe(DecisionKind.Move);
        settled.Chosen!.To.ShouldBeInRange(-22, -16);
    }

    [Fact]
    public void Near_the_mark_a_small_move_wins_only_when_it_wins_chance()
    {
        // A rest click of .03 on a height of .2: the chance grows from about .7 to nearly 1.
        var belief = Known([Height], 0, .2, .05, gainSd: .003);
        var decision = Rule.Decide(Prior(Height), belief, [0], [new(0, -60, 60)], 3);
        decision.Kind.ShouldBe(DecisionKind.Move);
        decision.Chosen!.To.ShouldBeInRange(-9, -4);
        (-decision.Chosen.Score).ShouldBeGreaterThan(decision.Chance);
        Rule.Decide(Prior(Height), Known([Height], 0, .12, .08, gainSd: .003), [0], [new(0, -60, 60)], 1)
            .Kind.ShouldBe(DecisionKind.Shoot);
    }

    [Theory]
    [InlineData(.25, .18, 1.1)]
    [InlineData(.125, .18, 1.2)]
    [InlineData(.25, .35, 1.35)]
    public void Variances_are_widened_where_the_fit_is_known_to_be_too_sure(
        double tolerance,
        double spread,
        double by
    ) => RuleFigures.For(tolerance, spread).Inflate.ShouldBe(by);

    private static ResponsePrior Prior(params GainPrior[] gains) => new(gains);

    /// <summary>A belief of one Gaussian: the tear with its sd, and gains known to so much.</summary>
    private static Belief Known(
        GainPrior[] gains,
        double x,
        double y,
        double sd,
        double spread = .15,
        double gainSd = .02
    ) => new(Prior(gains), [One(gains, x, y, sd, spread, gainSd, 1, 1, new double[gains.Length])]);

    private static Belief Crossed(GainPrior[] gains, double x, double[] cross) =>
        new(Prior(gains), [One(gains, x, 0, .04, .12, .001, 1, 1, cross)]);

    private static Belief Open(double x, double plus = .5) =>
        new(
            Prior(Rest),
            [One([Rest], x, 0, .06, .15, .005, plus, 1, [0]), One([Rest], x, 0, .06, .15, .005, 1 - plus, -1, [0])]
        );

    private static Component One(
        GainPrior[] gains,
        double x,
        double y,
        double sd,
        double spread,
        double gainSd,
        double weight,
        double sign,
        double[] cross
    )
    {
        var size = 2 + (2 * gains.Length);
        double[] mean = [x, y, .. gains.Select(g => sign * g.Nominal), .. cross];
        var covariance = new SymmetricMatrix(size);
        for (var i = 0; i < size; i++)
        {
            var ofGain = i < 2 + gains.Length ? gainSd : 1e-4;
            covariance[i, i] = Math.Pow(i < 2 ? sd : ofGain, 2);
        }

        return new Component(weight, sign, spread, mean, covariance);
    }
}

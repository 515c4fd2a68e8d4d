using Merganser.Core.Bows;
using Merganser.Core.Tuning;

namespace Merganser.Core.Tests.Tuning;

/// <summary>Done, move, test, not reachable or shoot: each rung of the rule on a belief that is made by hand.</summary>
public class DecisionRuleTests
{
    private static readonly GainPrior Yoke = new(AdjusterKind.YokePair, TearAxis.Sideways, .4);
    private static readonly GainPrior Height = new(AdjusterKind.RestHeight, TearAxis.Height, .03);
    private static readonly GainPrior Rest = new(
        AdjusterKind.RestSideways,
        TearAxis.Sideways,
        .03,
        PlusChance: .5,
        Free: true
    );
    private static readonly DecisionRule Rule = new(RuleFigures.Usual);
    private static readonly DecisionRule AtTarget = new(RuleFigures.Usual.AtTarget);

    [Fact]
    public void It_is_done_when_the_chance_is_worth_more_than_a_shot_and_not_before_a_shot_here()
    {
        var belief = Known([Yoke], x: .05, y: 0, sd: .05);
        Rule.Decide(Prior(Yoke), belief, [0], [new(0, -8, 8)], new(3)).Kind.ShouldBe(DecisionKind.Done);
        Rule.Decide(Prior(Yoke), belief, [0], [new(0, -8, 8)], new(0)).Kind.ShouldNotBe(DecisionKind.Done);
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
        Rule.Decide(Prior(Yoke), belief, [0], [new(0, -8, 8)], new(3)).Enough.ShouldBe(enough, .005);
    }

    [Fact]
    public void Far_out_it_takes_the_move_that_leaves_least_and_counts_what_is_not_known()
    {
        var sure = Rule.Decide(Prior(Yoke), Known([Yoke], 1.2, 0, .1, gainSd: .01), [0], [new(0, -8, 8)], new(2));
        sure.Kind.ShouldBe(DecisionKind.Move);
        sure.Chosen!.To.ShouldBe(-3);
        var unsure = Rule.Decide(Prior(Yoke), Known([Yoke], 1.2, 0, .1, gainSd: .25), [0], [new(0, -8, 8)], new(2));
        unsure.Chosen!.To.ShouldBe(-2, "an unsure step is taken shorter");
        unsure.Chosen.Score.ShouldBeGreaterThan(sure.Chosen.Score);
    }

    [Fact]
    public void It_moves_only_after_the_wanted_shots_and_only_when_sure_enough()
    {
        var belief = Known([Yoke], 1.2, 0, .1);
        Rule.Decide(Prior(Yoke), Known([Yoke], .5, 0, .2), [0], [new(0, -8, 8)], new(1))
            .Kind.ShouldBe(DecisionKind.Shoot);
        new DecisionRule(RuleFigures.For(.25, minimumShots: 5))
            .Decide(Prior(Yoke), belief, [0], [new(0, -8, 8)], new(4))
            .Kind.ShouldBe(DecisionKind.Shoot);
        Rule.Decide(Prior(Yoke), Known([Yoke], .5, 0, .4), [0], [new(0, -8, 8)], new(2))
            .Kind.ShouldBe(DecisionKind.Shoot, "sd .40 is more than .35 of the mean and .48 of the tolerance");
        Rule.Decide(Prior(Yoke), Known([Yoke], .5, 0, .4), [0], [new(0, -8, 8)], new(8))
            .Kind.ShouldBe(DecisionKind.Move, "after eight shots it stops asking");
    }

    [Fact]
    public void A_limit_is_never_passed_and_at_the_limit_there_is_no_move()
    {
        var belief = Known([Yoke], 1.2, 0, .1, gainSd: .01);
        Rule.Decide(Prior(Yoke), belief, [0], [new(0, -1, 8)], new(3)).Chosen!.To.ShouldBe(-1);
        Rule.Decide(Prior(Yoke), belief, [0], [new(0, 0, 8)], new(3)).Kind.ShouldBe(DecisionKind.Shoot);
    }

    [Fact]
    public void Out_of_travel_is_said_at_once_and_not_where_an_end_may_still_reach()
    {
        var belief = Known([Yoke], 1.2, 0, .05, gainSd: .01);
        DecisionKind Kind(Lever lever, DoneSoFar done) => Rule.Decide(Prior(Yoke), belief, [0], [lever], done).Kind;
        Kind(new(0, 0, 0), new(2)).ShouldBe(DecisionKind.OutOfTravel, "nothing is left to move");
        Kind(new(0, -1, 0), new(2)).ShouldBe(DecisionKind.Move, "what is left may teach something");
        Kind(new(0, -1, 0), new(2, Moves: 6)).ShouldBe(DecisionKind.OutOfTravel);
        Kind(new(0, -3, 0), new(2, Moves: 6)).ShouldBe(DecisionKind.Move);
        belief.ChanceOfReach([0], [new(0, -3, 0)], .25).ShouldBeGreaterThan(.9, "three steps of .4 in answer 1.2 in");
    }

    [Fact]
    public void Moves_do_not_help_is_said_after_two_moves_and_not_again_after_a_control()
    {
        var belief = Ignoring(deaf: .7);
        DecisionKind Kind(DoneSoFar done) => Rule.Decide(Prior(Yoke), belief, [0], [new(0, -8, 8)], done).Kind;
        Kind(new(2, Moves: 2)).ShouldBe(DecisionKind.MovesDoNotHelp);
        Kind(new(2, Moves: 1)).ShouldBe(DecisionKind.Shoot, "four shots before the next move");
        Kind(new(4, Moves: 1)).ShouldBe(DecisionKind.Move);
        Kind(new(2, Moves: 2, ControlDone: true)).ShouldBe(DecisionKind.Move);
    }

    [Fact]
    public void Twelve_shots_at_a_setting_without_a_useful_move_are_enough()
    {
        var belief = Known([Yoke], .24, .0, .03, gainSd: .01);
        Rule.Decide(Prior(Yoke), belief, [0], [new(0, 0, 8)], new(11)).Kind.ShouldBe(DecisionKind.Shoot);
        Rule.Decide(Prior(Yoke), belief, [0], [new(0, 0, 8)], new(12)).Kind.ShouldBe(DecisionKind.Shoot);
        var outside = Known([Yoke], .30, .0, .05, gainSd: .01);
        Lever[] later = [new(0, -8, 8)];
        Rule.Decide(Prior(Yoke), outside, [0], [new(0, 0, 8)], new(12), later).Kind.ShouldBe(DecisionKind.StopAsking);
        Rule.Decide(Prior(Yoke), outside, [0], [new(0, 0, 8)], new(11), later).Kind.ShouldBe(DecisionKind.Shoot);
    }

    [Fact]
    public void One_plain_hole_is_enough_and_one_near_the_mark_is_not()
    {
        DecisionKind After(double tear) =>
            Rule.Decide(Prior(Yoke), Known([Yoke], tear, 0, .21), [0], [new(0, -8, 8)], new(1)).Kind;
        After(2.5).ShouldBe(DecisionKind.Move);
        After(.6).ShouldBe(DecisionKind.Shoot, "less than three sds");
    }

    [Fact]
    public void What_the_school_leaves_is_reached_for_at_a_price_from_the_second_shot_on()
    {
        GainPrior[] both = [Yoke, new(AdjusterKind.LimbPocket, TearAxis.Sideways, .4)];
        var belief = Known(both, 1.2, 0, .05, gainSd: .01);
        Candidate Chosen(Lever yoke, int here = 2) =>
            Rule.Decide(
                new ResponsePrior(both),
                belief,
                [0, 0],
                [yoke, new(1, -8, 8, Beyond: true)],
                new(here)
            ).Chosen!;
        Chosen(new(0, -8, 8)).Lever.ShouldBe(0, "alike, the school's own is taken");
        Chosen(new(0, -1, 8)).ShouldSatisfyAllConditions(c => c.Lever.ShouldBe(1), c => c.Beyond.ShouldBeTrue());
        Chosen(new(0, -1, 8), here: 1).Lever.ShouldBe(0, "one shot is not enough for it");
    }

    [Fact]
    public void One_move_goes_no_further_than_it_may()
    {
        var belief = Known([Yoke], 2.4, 0, .05, gainSd: .01);
        Rule.Decide(Prior(Yoke), belief, [0], [new(0, -8, 8, MostSteps: 2)], new(2)).Chosen!.To.ShouldBe(-2);
        var open = Rule.Decide(Prior(Rest), Open(.6), [0], [new(0, -25, 25, MostTest: 3)], new(3));
        Math.Abs(open.Chosen!.To).ShouldBe(3);
    }

    [Fact]
    public void At_a_target_a_way_that_the_schools_few_clicks_did_not_tell_is_tested_beyond_them()
    {
        Lever[] atItsEnd = [new(0, 6, 6), new(0, -25, 25, Beyond: true)];
        Decision Said(DecisionRule rule, Lever[] levers) => rule.Decide(Prior(Rest), Open(.6), [6], levers, new(3));
        Said(AtTarget, atItsEnd).Kind.ShouldBe(DecisionKind.SmallTest);
        Said(Rule, atItsEnd).Kind.ShouldNotBe(DecisionKind.SmallTest, "on paper no test goes beyond them");
        Lever[] wide = [new(0, -25, 25), new(0, -25, 25, Beyond: true)];
        Said(AtTarget, wide).Chosen!.Beyond.ShouldBeFalse("the same test costs less inside");
    }

    [Fact]
    public void At_a_target_a_second_test_goes_as_far_as_two_spreads_of_what_a_step_was_seen_to_do()
    {
        double Steps(DecisionRule rule, double from)
        {
            Lever[] rest = [new(0, -25, 25, MostTest: 3)];
            return Math.Abs(rule.Decide(Prior(Rest), Open(.6), [from], rest, new(3)).Chosen!.To - from);
        }

        Steps(AtTarget, 0).ShouldBe(3, "what a step does is a guess as yet");
        Steps(AtTarget, -6).ShouldBeInRange(4, 10, "2 × .15 in of spread over .03 in a step");
        Steps(Rule, -6).ShouldBe(3);
    }

    [Fact]
    public void A_firm_way_is_tested_only_once_it_is_doubted()
    {
        GainPrior firm = Yoke with { PlusChance = .97 };
        SignMask[] ways = [.. SignMask.Of(Prior(firm), _ => true)];
        ways.Length.ShouldBe(2);
        SignMask.Of(Prior(firm), _ => false).Count.ShouldBe(1, "before it was moved nothing could tell");
        Belief Doubted(double reversed) =>
            new(
                Prior(firm),
                new Unknowns(Prior(firm)),
                [
                    One([firm], .9, 0, .06, .15, .02, 1 - reversed, ways[0], [0]),
                    One([firm], .9, 0, .06, .15, .02, reversed, ways[1], [0]),
                ]
            );
        Rule.Decide(Prior(firm), Doubted(.05), [0], [new(0, -8, 8)], new(3)).Kind.ShouldBe(DecisionKind.Move);
        Rule.Decide(Prior(firm), Doubted(.45), [0], [new(0, -8, 8)], new(3)).Kind.ShouldBe(DecisionKind.SmallTest);
        Rule.Decide(Prior(firm), Doubted(.97), [0], [new(0, -8, 8)], new(3))
            .Chosen!.To.ShouldBeGreaterThan(0, "the other way than agreed");
    }

    [Fact]
    public void A_test_goes_to_the_likelier_sign_and_a_settled_sign_is_no_test()
    {
        Rule.Decide(Prior(Rest), Open(.6, plus: .7), [0], [new(0, -25, 25)], new(3)).Chosen!.To.ShouldBeLessThan(0);
        Rule.Decide(Prior(Rest), Open(.6, plus: .3), [0], [new(0, -25, 25)], new(3)).Chosen!.To.ShouldBeGreaterThan(0);
        var settled = Rule.Decide(Prior(Rest), Open(.6, plus: .99), [0], [new(0, -25, 25)], new(3));
        settled.Kind.ShouldBe(DecisionKind.Move);
        settled.Chosen!.To.ShouldBeInRange(-22, -16);
    }

    [Fact]
    public void Near_the_mark_a_small_move_wins_only_when_it_wins_chance()
    {
        // A rest click of .03 on a height of .2: the chance grows from about .7 to nearly 1.
        var belief = Known([Height], 0, .2, .05, gainSd: .003);
        var decision = Rule.Decide(Prior(Height), belief, [0], [new(0, -60, 60)], new(3));
        decision.Kind.ShouldBe(DecisionKind.Move);
        decision.Chosen!.To.ShouldBeInRange(-9, -4);
        (-decision.Chosen.Score).ShouldBeGreaterThan(decision.Chance);
        Rule.Decide(Prior(Height), Known([Height], 0, .12, .08, gainSd: .003), [0], [new(0, -60, 60)], new(1))
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

    private static ResponsePrior Prior(params GainPrior[] gains) => new(gains, DeafChance: 0);

    private static IReadOnlyList<SignMask> Masks(params GainPrior[] gains) => SignMask.Of(Prior(gains), _ => false);

    /// <summary>A belief of one Gaussian: the tear with its sd, and gains known to so much.</summary>
    private static Belief Known(
        GainPrior[] gains,
        double x,
        double y,
        double sd,
        double spread = .15,
        double gainSd = .02
    ) =>
        new(
            Prior(gains),
            new Unknowns(Prior(gains)),
            [One(gains, x, y, sd, spread, gainSd, 1, Masks(gains)[0], new double[gains.Length])]
        );

    /// <summary>A yoke that answers as agreed, or with a tenth.</summary>
    private static Belief Ignoring(double deaf)
    {
        SignMask[] masks = [.. SignMask.Of(Prior(Yoke) with { DeafChance = .3 }, _ => false)];
        return new(
            Prior(Yoke),
            new Unknowns(Prior(Yoke)),
            [
                One([Yoke], 1.2, 0, .06, .15, .02, 1 - deaf, masks[0], [0]),
                One([Yoke with { Nominal = .04 }], 1.2, 0, .06, .15, .004, deaf, masks[1], [0]),
            ]
        );
    }

    private static Belief Open(double x, double plus = .5) =>
        new(
            Prior(Rest),
            new Unknowns(Prior(Rest)),
            [
                One([Rest], x, 0, .06, .15, .005, plus, Masks(Rest)[0], [0]),
                One([Rest], x, 0, .06, .15, .005, 1 - plus, Masks(Rest)[1], [0]),
            ]
        );

    private static Component One(
        GainPrior[] gains,
        double x,
        double y,
        double sd,
        double spread,
        double gainSd,
        double weight,
        SignMask mask,
        double[] cross
    )
    {
        var size = 2 + (2 * gains.Length);
        double[] mean = [x, y, .. gains.Select((g, i) => mask.Sign(i) * g.Nominal), .. cross];
        var covariance = new SymmetricMatrix(size);
        for (var i = 0; i < size; i++)
        {
            var ofGain = i < 2 + gains.Length ? gainSd : 1e-4;
            covariance[i, i] = Math.Pow(i < 2 ? sd : ofGain, 2);
        }

        return new Component(weight, mask, spread, mean, covariance);
    }
}

using Merganser.Core.Bows;
using Merganser.Core.Tuning;

namespace Merganser.Core.Tests.Tuning;

/// <summary>
/// One session step by step, against a prototype of the same model written in another language beforehand: means and
/// spreads, the chances, and every decision (rest sideways, rest up/down, nocking point, pocket, bolt; ¼ in). The
/// prototype took its shots in one at a time, three passes each, and stopped before its fixed point where a hole may
/// be a flyer (.012 in at the fourth shot); the model goes on to the fixed point.
/// </summary>
public class CheckSessionTests
{
    private static readonly (AdjusterKind Kind, TearAxis Axis, double Nominal, int Lower, int Upper)[] Bow =
    [
        (AdjusterKind.RestSideways, TearAxis.Sideways, .03, -25, 25),
        (AdjusterKind.RestHeight, TearAxis.Height, .03, -60, 60),
        (AdjusterKind.NockingPoint, TearAxis.Height, .25, -6, 6),
        (AdjusterKind.LimbPocket, TearAxis.Sideways, .30, -4, 4),
        (AdjusterKind.BottomLimbBolt, TearAxis.Height, .12, 0, 3),
    ];

    private static readonly ResponsePrior Prior = new ResponsePrior([
        .. Bow.Select(b => new GainPrior(
            b.Kind,
            b.Axis,
            b.Nominal,
            PlusChance: b.Kind == AdjusterKind.RestSideways ? .5 : .97,
            Free: b.Kind == AdjusterKind.RestSideways
        )),
    ]).AsFirstWritten;
    private static readonly Lever[] Levers = [.. Bow.Select((b, i) => new Lever(i, b.Lower, b.Upper))];

    private sealed record Step(
        double X,
        double Y,
        DecisionKind Kind,
        AdjusterKind? Moved = null,
        int To = 0,
        double[]? Mean = null,
        double[]? Sd = null,
        double? Chance = null
    );

    private static readonly Step[] Steps =
    [
        new(.607, -1.545, DecisionKind.Shoot, Mean: [.5755, -1.4649], Sd: [.2063, .2137]),
        new(.340, -1.740, DecisionKind.Move, AdjusterKind.RestHeight, 43, [.4620, -1.6024], [.1407, .1432], 0),
        new(.138, -2.043, DecisionKind.Shoot),
        new(.297, -1.253, DecisionKind.Move, AdjusterKind.NockingPoint, 5, [.3567, -1.2079]),
        new(.841, .714, DecisionKind.Shoot),
        new(.802, .774, DecisionKind.Move, AdjusterKind.NockingPoint, 3, [.6324, .7158]),
        new(.584, -.139, DecisionKind.Shoot),
        new(.629, .135, DecisionKind.SmallTest, AdjusterKind.RestSideways, -18, [.6048, -.0059], Chance: .0001),
        new(1.712, -.096, DecisionKind.Shoot),
        new(1.491, -.031, DecisionKind.Move, AdjusterKind.RestSideways, 12),
        new(-.394, .092, DecisionKind.Shoot),
        new(-.144, -.102, DecisionKind.Shoot),
        new(-.339, .003, DecisionKind.Move, AdjusterKind.RestSideways, 9, Chance: .7365),
        new(.105, .023, DecisionKind.Done, Chance: .9997),
    ];

    [Fact]
    public void Every_step_is_as_it_was_prototyped()
    {
        List<Observation> seen = [];
        var rule = new DecisionRule(RuleFigures.Usual.AsFirstWritten);
        var setting = new double[Levers.Length];
        foreach (var (step, i) in Steps.Select((s, i) => (s, i)))
        {
            seen.Add(new Observation([.. setting], step.X, step.Y));
            var here = seen.Count(s => s.Setting.SequenceEqual(setting));
            var decision = rule.Decide(Prior, ResponseModel.Of(Prior, seen).Read(), setting, Levers, new(here));
            decision.Kind.ShouldBe(step.Kind, $"shot {i + 1}");
            if (step.Mean is { } mean)
            {
                decision.Now.X.ShouldBe(mean[0], i < 2 ? 6e-5 : .013, $"shot {i + 1}");
                decision.Now.Y.ShouldBe(mean[1], i < 2 ? 6e-5 : .013, $"shot {i + 1}");
            }

            if (step.Sd is { } sd)
            {
                Math.Sqrt(decision.Now.VarianceX).ShouldBe(sd[0], 6e-5);
                Math.Sqrt(decision.Now.VarianceY).ShouldBe(sd[1], 6e-5);
            }

            if (step.Chance is { } chance)
            {
                decision.Chance.ShouldBe(chance, .02);
            }

            if (decision.Chosen is { } move)
            {
                Bow[move.Lever].Kind.ShouldBe(step.Moved!.Value);
                move.To.ShouldBe(step.To);
                setting[move.Lever] = move.To;
            }
        }
    }

    [Fact]
    public void The_rests_sign_is_settled_by_its_test()
    {
        Observation[] shots =
        [
            new([0, 0, 0, 0, 0], .6, 0),
            new([0, 0, 0, 0, 0], .63, 0),
            new([-18, 0, 0, 0, 0], 1.7, 0),
            new([-18, 0, 0, 0, 0], 1.5, 0),
        ];
        ResponseModel.Of(Prior, shots[..2]).Read().Doubt(0).ShouldBe(.5, 1e-9);
        var tested = ResponseModel.Of(Prior, shots).Read();
        tested.Doubt(0).ShouldBeLessThan(Belief.OpenFree);
        tested.PlusChance(0).ShouldBeLessThan(Belief.OpenFree);
    }

    [Fact]
    public void A_test_of_the_sign_is_no_larger_than_two_shots_can_tell()
    {
        var model = ResponseModel.Of(Prior, [new([0, 0, 0, 0, 0], .75, 0), new([0, 0, 0, 0, 0], .8, 0)]);
        Lever[] restOnly = [Levers[0]];
        var capped = new DecisionRule(RuleFigures.Usual).Decide(Prior, model.Read(), new double[5], restOnly, new(2));
        var free = new DecisionRule(RuleFigures.Usual with { TestInSpreads = null }).Decide(
            Prior,
            model.Read(),
            new double[5],
            restOnly,
            new(2)
        );
        capped.Kind.ShouldBe(DecisionKind.SmallTest);
        Math.Abs(capped.Chosen!.To * .03).ShouldBeLessThan((2 * Math.Sqrt(model.Read().Spread2)) + .03);
        Math.Abs(free.Chosen!.To).ShouldBeGreaterThan(Math.Abs(capped.Chosen.To));
    }
}

using Merganser.Core.Bows;
using Merganser.Core.Tuning;

namespace Merganser.Core.Tests.Tuning;

/// <summary>
/// Two sessions on a bow with pockets, against a prototype of the same model and rule written apart beforehand: a
/// pocket that answers the other way, and a bow that answers nothing. The prototype took its shots in one at a time;
/// where a hole may be a flyer its passes stop a little elsewhere. At one setting they agree to six digits.
/// </summary>
public class SecondDesignTests
{
    private const double Tolerance = .25;

    private static readonly AdjusterKind[] Kinds =
    [
        AdjusterKind.RestSideways,
        AdjusterKind.RestHeight,
        AdjusterKind.NockingPoint,
        AdjusterKind.LimbPocket,
    ];
    private static readonly ResponsePrior Prior = ResponsePrior.Of(Kinds.Select(AdjusterTable.Fresh));
    private static readonly Lever[] Levers =
    [
        new(0, -25, 25, 33),
        new(1, -60, 60, 33),
        new(2, -6, 6, 4),
        new(3, -4, 4, 3),
    ];
    private static readonly DecisionRule Rule = new(RuleFigures.Usual);

    private sealed record Row(
        (double X, double Y, double[] Setting) Shot,
        DecisionKind Says,
        double X,
        double Y,
        double SdX,
        double SdY,
        double Spread,
        double Inside,
        double Agreed,
        double Deaf,
        double Reach,
        int? To = null
    );

    private static readonly double[] Start = [0, 0, 0, 0];
    private static readonly double[] Two = [0, 0, 0, -2];
    private static readonly double[] Back = [0, 0, 0, 2];

    private static readonly Row[] OtherWay =
    [
        new(
            (.60, .10, Start),
            DecisionKind.Shoot,
            .570205,
            .095034,
            .211643,
            .210381,
            .207334,
            .028301,
            1,
            .3,
            .637938
        ),
        new(
            (.50, -.05, Start),
            DecisionKind.Move,
            .539929,
            .024536,
            .127957,
            .127705,
            .173801,
            .010491,
            1,
            .3,
            .640925,
            -3
        ),
        new(
            (1.05, .05, Two),
            DecisionKind.Shoot,
            .800301,
            .033338,
            .237856,
            .123937,
            .200314,
            .004635,
            .266169,
            .381579,
            .550035
        ),
        new(
            (1.15, .00, Two),
            DecisionKind.Move,
            1.041394,
            .024873,
            .135692,
            .081807,
            .150006,
            .000088,
            .021521,
            .080952,
            .896465,
            1
        ),
        new(
            (.10, .05, Back),
            DecisionKind.Shoot,
            .089178,
            .034356,
            .104890,
            .074241,
            .119354,
            .915546,
            .0,
            .001054,
            .992220
        ),
        new(
            (-.05, -.10, Back),
            DecisionKind.Done,
            .031140,
            -.002549,
            .077546,
            .062444,
            .115797,
            .989603,
            .0,
            .000035,
            .994259
        ),
    ];

    [Fact]
    public void A_pocket_that_answers_the_other_way_is_turned_back_and_beyond()
    {
        List<Observation> shots = [];
        foreach (var row in OtherWay)
        {
            shots.Add(new Observation(row.Shot.Setting, row.Shot.X, row.Shot.Y));
            var (belief, decision) = Read(shots);
            var at = shots.Count;
            // Six digits at one setting; after a move a few thousandths, see above.
            var near = at <= 2 ? 1e-6 : .005;
            decision.Kind.ShouldBe(row.Says, $"shot {at}");
            (decision.Chosen?.To).ShouldBe(row.To, $"shot {at}");
            decision.Now.X.ShouldBe(row.X, near, $"shot {at}");
            decision.Now.Y.ShouldBe(row.Y, near, $"shot {at}");
            Math.Sqrt(decision.Now.VarianceX).ShouldBe(row.SdX, near, $"shot {at}");
            Math.Sqrt(decision.Now.VarianceY).ShouldBe(row.SdY, near, $"shot {at}");
            Math.Sqrt(belief.Spread2).ShouldBe(row.Spread, near, $"shot {at}");
            decision.Chance.ShouldBe(row.Inside, near, $"shot {at}");
            belief.PlusChance(3).ShouldBe(row.Agreed, near, $"shot {at}");
            belief.Deaf.ShouldBe(row.Deaf, near, $"shot {at}");
            belief.ChanceOfReach(row.Shot.Setting, Levers, Tolerance).ShouldBe(row.Reach, near, $"shot {at}");
        }
    }

    [Fact]
    public void A_bow_that_answers_nothing_is_told_after_two_moves()
    {
        double[] rest = [-10, 0, 0, -2];
        Observation[] shots =
        [
            new(Start, .60, .10),
            new(Start, .50, -.05),
            new(Two, .55, .05),
            new(Two, .62, 0),
            new(rest, .50, .05),
            new(rest, .60, -.10),
            new(rest, .52, 0),
        ];
        double[] deaf = [.3, .3, .595851, .769654, .871133, .903713, .931775];
        for (var at = 1; at <= shots.Length; at++)
        {
            var (belief, decision) = Read(shots[..at]);
            belief.Deaf.ShouldBe(deaf[at - 1], .01, $"shot {at}");
            (decision.Kind == DecisionKind.MovesDoNotHelp).ShouldBe(at >= 5, $"shot {at}");
        }
    }

    /// <summary>
    /// An adjuster whose way nobody knows is one more that is tested; which way is right is told by the shots.
    /// </summary>
    [Fact]
    public void A_way_that_is_not_known_is_weighed_from_the_first_shot_on()
    {
        var prior = ResponsePrior.Of([
            AdjusterTable.Fresh(AdjusterKind.LimbPocket) with
            {
                Way = AdjusterWay.NotKnown,
            },
        ]);
        Observation[] shots = [new([0], 1, 0), new([0], 1.1, 0), new([2], .5, 0), new([2], .4, 0)];
        ResponseModel.Of(prior, shots[..2]).Read().PlusChance(0).ShouldBe(.5, 1e-9);
        ResponseModel.Of(prior, shots).Read().PlusChance(0).ShouldBeLessThan(.1, "+ drove the tail left");
        var reversed = ResponsePrior.Of([
            AdjusterTable.Fresh(AdjusterKind.LimbPocket) with
            {
                Way = AdjusterWay.Reversed,
            },
        ]);
        ResponseModel.Of(reversed, shots[..2]).Read().At([2]).X.ShouldBeLessThan(1, "by the maker's sheet");
    }

    private static (Belief Belief, Decision Decision) Read(IReadOnlyList<Observation> shots)
    {
        var belief = ResponseModel.Of(Prior, shots).Read().Wider(RuleFigures.UsualInflation);
        var setting = shots[^1].Setting;
        var settings = shots.Select(s => string.Join(',', s.Setting)).Distinct().Count();
        var here = shots.Count(s => s.Setting.SequenceEqual(setting));
        return (belief, Rule.Decide(Prior, belief, setting, Levers, new(here, Moves: settings - 1)));
    }
}

using Merganser.Core.Bows;
using Merganser.Core.Groups;
using Merganser.Core.Paper;
using Merganser.Core.Tuning;

namespace Merganser.Core.Tests.Groups;

/// <summary>
/// The engine at a target, against check values that were worked beforehand in another language: drop of a bare and a
/// fletched arrow, what the paper hands over, and a whole session at 20 yd.
/// </summary>
public class TargetScaleTests
{
    private static readonly AdjusterKind[] Kinds =
    [
        AdjusterKind.RestSideways,
        AdjusterKind.RestHeight,
        AdjusterKind.NockingPoint,
        AdjusterKind.CamSpacer,
    ];

    [Theory]
    [InlineData(20, .322189)]
    [InlineData(30, .722963)]
    [InlineData(40, 1.281550)]
    public void A_lighter_shaft_strikes_high(double yards, double high)
    {
        var fletched = new FlatFire(420, 270, .244).Drop(yards);
        (fletched - new FlatFire(402, 274.7051, .244).Drop(yards)).ShouldBe(high, 2e-5);
        new FlatFire(420, 270, .244).Drop(20).ShouldBe(9.692851, 1e-4);
    }

    [Fact]
    public void Tail_right_is_bare_to_the_left_and_the_tolerance_is_a_quarter_inch_of_the_engine()
    {
        var scale = new TargetScale(20);
        scale.Tolerance.ShouldBe(2);
        scale.TearOf(new Impact(-2, 1)).ShouldBe(new Tear(.25, -.125));
        scale.OffsetOf(new Tear(.25, -.125)).ShouldBe(new Impact(-2, 1));
        new TargetScale(15).Tolerance.ShouldBe(1.2, 1e-12);
        new TargetScale(17).Tolerance.ShouldBeInRange(1.3, 1.7);
        new TargetScale(30).Factor.ShouldBe(6.5, 1e-12);
        Should.Throw<ArgumentOutOfRangeException>(() => new TargetScale(7));
        Should.Throw<ArgumentOutOfRangeException>(() => new TargetScale(double.NaN));
    }

    [Fact]
    public void What_the_paper_taught_goes_over_with_a_ratio_of_its_own()
    {
        var trade = new GainPrior(AdjusterKind.NockingPoint, TearAxis.Height, .25);
        var paper = trade with { From = GainSource.ThisBow, LogMean = .25, LogSd = .20, PlusChance = .97 };
        var scale = new TargetScale(20);
        var there = scale.Prior(new ResponsePrior([paper])).Gains[0];
        there.LogSd.ShouldBe(.510784, 5e-7);
        (there.Expected / there.Nominal).ShouldBe(.963019 / .75, 5e-6);
        (there.Nominal * scale.Scale).ShouldBe(.25 * 2.8, 1e-12);
        there.PlusChance.ShouldBeInRange(.94, .96);
        var unknown = scale.Prior(new ResponsePrior([trade])).Gains[0];
        (unknown.Expected * scale.Scale).ShouldBe(.25 * 2.8 / 2, 1e-9, "a step too big costs more than one too small");
        (scale.Prior(new ResponsePrior([trade])).TearSd * scale.Scale).ShouldBe(3.6, 1e-9);
    }

    /// <summary>The named configuration as first written, at two inches of tolerance, factor 2.</summary>
    [Fact]
    public void A_session_at_twenty_yards_goes_as_it_was_worked_beforehand()
    {
        const double scale = 8;
        var prior = new ResponsePrior([
            .. Kinds.Select(k =>
            {
                var fact = AdjusterTable.Of(k);
                return new GainPrior(
                    k,
                    fact.Axis,
                    fact.NominalGain * 2 / scale,
                    LogSd: .75,
                    SharedSd: .5,
                    PlusChance: k == AdjusterKind.RestSideways ? .5 : 1,
                    Free: k == AdjusterKind.RestSideways
                );
            }),
        ])
        {
            TearSd = .45,
            SpreadCentre = .20,
            SpreadLogSd = .30,
            DeafChance = 0,
        };
        var figures = RuleFigures.For(.25, .2);
        var rule = new DecisionRule(figures.AsFirstWritten with { Inflate = figures.Inflate });
        Lever[] levers = [.. Kinds.Select((k, i) => LeverOf(i, k))];
        List<Observation> seen = [];
        var setting = new double[Kinds.Length];
        (Decision Decision, Belief Belief) Look(params (double X, double Y)[] pairs)
        {
            seen.AddRange(pairs.Select(p => new Observation([.. setting], p.X / scale, p.Y / scale)));
            var belief = ResponseModel.Of(prior, seen).Read();
            var done = new DoneSoFar(pairs.Length);
            return (rule.Decide(prior, belief.Wider(figures.Inflate), setting, levers, done), belief);
        }

        var (first, before) = Look((-4.9, 3.1), (-6.1, 1.9));
        (first.Now.X * scale).ShouldBe(-5.033548, .03);
        (first.Now.Y * scale).ShouldBe(2.288286, .03);
        (Math.Sqrt(before.Spread2) * scale).ShouldBe(1.563419, .05);
        first.Chosen!.Lever.ShouldBe(3);
        first.Chosen.To.ShouldBe(2);

        setting[3] = 2;
        var (second, after) = Look((-1.2, 2.4), (.6, 1.5));
        (second.Now.X * scale).ShouldBe(-.613342, .05);
        (second.Now.Y * scale).ShouldBe(2.136794, .05);
        second.Chance.ShouldBe(.273722, .02);
        // The prototype moved here; the rule asks for a sharper mean first. The move that leaves least is the same.
        var moves = new WeighedMoves(figures.AsFirstWritten).BySquare(
            prior,
            after.Wider(figures.Inflate),
            setting,
            levers
        );
        var best = WeighedMoves.Best(moves)!;
        Kinds[best.Lever].ShouldBe(AdjusterKind.RestHeight);
        best.To.ShouldBeInRange(-19, -17, "−18 there: the fixed point lies a little apart");

        setting[2] = -4;
        var (third, learned) = Look((-.4, .3), (.7, -.8), (-1.1, .2));
        (third.Now.X * scale).ShouldBe(-.376142, .05);
        (third.Now.Y * scale).ShouldBe(-.174623, .05);
        third.Chance.ShouldBe(.982219, .01);
        third.Kind.ShouldBe(DecisionKind.Done);
        (learned.GainOf(3).Gain * scale).ShouldBe(2.306440, .05);
    }

    private static Lever LeverOf(int index, AdjusterKind kind)
    {
        var fresh = AdjusterTable.Fresh(kind);
        return new Lever(index, fresh.Lower, fresh.Upper);
    }
}

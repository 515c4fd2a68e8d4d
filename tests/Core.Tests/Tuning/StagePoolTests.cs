using CsCheck;
using Merganser.Core.Bows;
using Merganser.Core.Sessions;
using Merganser.Core.Tuning;
using static Merganser.Core.Tests.Tuning.Advising;

namespace Merganser.Core.Tests.Tuning;

/// <summary>What one stage tells of another.</summary>
public class StagePoolTests
{
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
        untouched.LogMean.ShouldBe(Math.Log(.5));
    }

    [Fact]
    public void A_bow_of_the_same_make_is_borrowed_from_weakly_and_its_archers_spread_is_not()
    {
        Adjuster[] moved = [.. All.Select(a => a.Kind == AdjusterKind.YokePair ? a with { Position = 2 } : a)];
        var own = StageFit.Of(ResponsePrior.Of(All), [.. Alike(new(-1.2, 0), All), .. Alike(new(.4, 0), moved, 2)]);
        var borrowed = new Knowledge([own]).Of("Heron").Fits.Single();
        var prior = ResponsePrior.Of(All);
        var (mine, theirs) = (StagePool.For(prior, Three, [own]), StagePool.For(prior, Three, [borrowed]));
        GainPrior Yoke(ResponsePrior of) => of.Gains.Single(g => g.Kind == AdjusterKind.YokePair);
        Yoke(theirs).Expected.ShouldBeInRange(Yoke(prior).Expected, Yoke(mine).Expected);
        Yoke(theirs).LogSd.ShouldBeInRange(Yoke(mine).LogSd, Yoke(prior).LogSd);
        (Yoke(theirs).From, Yoke(mine).From, Yoke(prior).From).ShouldBe(
            (GainSource.Make, GainSource.ThisBow, GainSource.Trade)
        );
        theirs.SpreadCentre.ShouldBe(prior.SpreadCentre, 1e-9);
        theirs.SpreadLogSd.ShouldBe(prior.SpreadLogSd, 1e-9);
        UsualSpread.Of([borrowed]).ShouldBe(UsualSpread.Unknown);
        UsualSpread.Of([own]).Own.ShouldBeTrue();
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
}

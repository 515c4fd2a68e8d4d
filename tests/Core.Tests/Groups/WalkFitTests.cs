using Merganser.Core.Groups;

namespace Merganser.Core.Tests.Groups;

/// <summary>The drift of a walk-back against check values of the models and published tables.</summary>
public class WalkFitTests
{
    private static readonly double[] Usual = [20, 40, 60];

    [Fact]
    public void The_error_of_the_slope_is_the_check_value()
    {
        // Three at each of 20, 40, 60 yd, a spread of .05 in a yard, sight line N(0, .15): .017276 (groups.md, 10).
        var fit = new WalkFit(Hits(_ => 0, .05));
        fit.Spread.ShouldBe(.05, 1e-9);
        fit.Freedom.ShouldBe(6);
        fit.SlopeError.ShouldBe(.017276, 5e-7);
        fit.SlopeError.ShouldBe(WalkBack.SlopeErrorOf([20, 20, 20, 40, 40, 40, 60, 60, 60], .05, .15), 1e-9);
    }

    [Fact]
    public void A_slope_through_the_bow_is_found_whole()
    {
        var fit = new WalkFit(Hits(d => .06 * d, .02));
        fit.Slope.ShouldBe(.06, 1e-9);
        fit.Between(20, 60).Drift.ShouldBe(2.4, 1e-9);
        fit.Curvature!.Value.ShouldBe(0, 1e-9);
        (fit.Verdict, fit.Shape).ShouldBe((DriftVerdict.Clear, DriftShape.Straight));
        fit.At(40).At.ShouldBe(2.4, 1e-9);
    }

    [Fact]
    public void A_curve_is_named_only_where_the_data_carry_it()
    {
        // A vane that planes, zeroed at 20: c = .00142 in a yard² (groups.md, d): 1.1 in at 40 yd, 3.4 at 60.
        double Planes(double d) => .00142 * d * (d - 20);
        new WalkFit(Hits(Planes, .01)).Shape.ShouldBe(DriftShape.Curved);
        new WalkFit(Hits(Planes, .01)).Curvature!.Value.ShouldBe(.00142, 2e-5);
        new WalkFit(Hits(Planes, .06)).Shape.ShouldNotBe(
            DriftShape.Curved,
            "three at each with a wide hand do not tell"
        );
        new WalkFit(Hits(Planes, .01, 20, 60)).Shape.ShouldBe(DriftShape.NotKnown, "two distances carry none");
        new WalkFit(Hits(Planes, .01, 20, 60)).CurveP.ShouldBeNull();
    }

    [Fact]
    public void Its_F_is_that_of_the_tables()
    {
        // NIST/SEMATECH e-Handbook 1.3.6.7.3: F(2, 6) is passed by 5 % at 5.143, F(1, 10) at 4.965, F(2, 12) at 3.885.
        (double Top, double Bottom, double Point)[] table = [(2, 6, 5.143), (1, 10, 4.965), (2, 12, 3.885)];
        foreach (var (top, bottom, point) in table)
        {
            NoncentralF.Chance(top, bottom, point).ShouldBe(.05, 2e-5);
            NoncentralF.Critical(top, bottom, .05).ShouldBe(point, 1e-3);
        }
    }

    [Fact]
    public void The_drift_that_would_show_shrinks_with_more_hits_and_shows_four_times_in_five()
    {
        var few = new WalkFit(Hits(_ => 0, .05));
        few.SmallestSlope().ShouldBeGreaterThan(.05, "3 in at 60 yd is not seen by nine hits");
        few.Power(few.SmallestSlope()).ShouldBe(.8, 1e-6);
        few.Power(.05, 7).ShouldBeGreaterThan(few.Power(.05, 2));
        few.Power(0).ShouldBe(WalkFit.Threshold, 1e-9, "without any drift it shows by its own error");
    }

    [Fact]
    public void Its_power_is_what_simulated_walks_show()
    {
        var planned = new WalkFit(Hits(_ => 0, .05)).Power(.1);
        var random = new Random(7);
        const int Walks = 4000;
        var seen = Enumerable.Range(0, Walks).Count(_ => Simulated(random, .1, .05).Verdict == DriftVerdict.Clear);
        // The sight line's prior is known and the spread is not: the closed form is a little off, never by much.
        ((double)seen / Walks).ShouldBe(planned, .05);
    }

    [Fact]
    public void Wind_and_drop_are_those_of_an_integrated_path()
    {
        // Euler's steps of the same drag law, point mass, wind across: an integrator of its own.
        var arrow = new FlatFire(420, 270, .244);
        var (drop, drift) = Integrated(60, 3);
        arrow.Drop(60).ShouldBe(drop, .02 * drop);
        arrow.LeastDrift(3, 60).ShouldBe(drift, .02 * drift);
        arrow.LeastDrift(-3, 60).ShouldBe(-arrow.LeastDrift(3, 60), 1e-12);
        // One pin, zeroed at 20: "about 57 in at 60 yd for 270 ft/s" (trade notes; drag adds to it).
        (arrow.Drop(60) - (3 * arrow.Drop(20))).ShouldBeInRange(57, 64);
    }

    private static (double Drop, double Drift) Integrated(double yards, double mph)
    {
        const double Step = 1e-5;
        var k = 1.225 * 2 * Math.PI * Math.Pow(.244 * .0254 / 2, 2) / (2 * 420 * 64.79891e-6);
        var wind = mph * .44704;
        double x = 0;
        double y = 0;
        double z = 0;
        double u = 270 * .3048;
        double v = 0;
        double w = 0;
        while (x < yards * .9144)
        {
            var speed = Math.Sqrt((u * u) + (v * v) + ((w - wind) * (w - wind)));
            (u, v, w) = (
                u - (k * speed * u * Step),
                v - ((9.80665 + (k * speed * v)) * Step),
                w - (k * speed * (w - wind) * Step)
            );
            (x, y, z) = (x + (u * Step), y + (v * Step), z + (w * Step));
        }

        return (-y / .0254, z / .0254);
    }

    private static WalkFit Simulated(Random random, double slope, double spread)
    {
        double Normal() =>
            Math.Sqrt(-2 * Math.Log(1 - random.NextDouble())) * Math.Cos(2 * Math.PI * random.NextDouble());
        var line = WalkFit.SightLineSd * Normal();
        return new WalkFit([
            .. Usual.SelectMany(d =>
                Enumerable.Range(0, 3).Select(_ => new WalkedShot(d, line + (slope * d) + (spread * d * Normal())))
            ),
        ]);
    }

    /// <summary>Three hits at each distance, whose pooled spread is the one that is asked for.</summary>
    private static WalkedShot[] Hits(Func<double, double> at, double spread, params double[] yards) =>
        [
            .. from d in yards.Length == 0 ? Usual : yards
            from stray in new[] { -1, 0, 1 }
            select new WalkedShot(d, at(d) + (stray * spread * d)),
        ];
}

using Merganser.Core.Dozens;
using Merganser.Core.Speed;

namespace Merganser.Core.Tests.Dozens;

public class WeighingTests
{
    private static readonly DateTimeOffset Start = new(2026, 11, 23, 18, 0, 0, TimeSpan.Zero);

    [Fact]
    public void A_piece_is_taken_after_one_second_of_standing_still()
    {
        var watch = new PanWatch();
        See(watch, 0, 0, true).ShouldBeNull();
        See(watch, 100, 180, false).ShouldBeNull();
        See(watch, 300, 252.3, true).ShouldBeNull();
        See(watch, 1200, 252.3, true).ShouldBeNull("only 0.9 s");
        See(watch, 1300, 252.3, true).ShouldBe(252.3);
    }

    [Fact]
    public void The_same_piece_is_not_taken_twice_and_the_pan_must_be_empty_between_two()
    {
        var watch = Taken();
        See(watch, 3000, 252.3, true).ShouldBeNull();
        See(watch, 5000, 252.3, true).ShouldBeNull();
        See(watch, 5100, 251.1, true).ShouldBeNull("another piece, but the pan was never empty");
        See(watch, 6500, 251.1, true).ShouldBeNull();
        watch.State.ShouldBe(PanState.Taken);
        See(watch, 6600, .1, true).ShouldBeNull();
        See(watch, 7000, 251.1, true).ShouldBeNull();
        See(watch, 8000, 251.1, true).ShouldBe(251.1);
    }

    [Fact]
    public void A_reading_that_wanders_starts_its_second_again()
    {
        var watch = Empty();
        See(watch, 0, 100, true);
        See(watch, 900, 100.4, true).ShouldBeNull();
        See(watch, 1100, 100.4, true).ShouldBeNull();
        See(watch, 1900, 100.4, true).ShouldBe(100.4);
    }

    [Fact]
    public void Enter_takes_at_once_but_never_twice()
    {
        var watch = new PanWatch();
        watch.TakeNow(99.96).ShouldBe(100);
        watch.TakeNow(99.96).ShouldBeNull();
        watch.TakeNow(-231.5).ShouldBeNull();
        new PanWatch().TakeNow(.2).ShouldBeNull("an empty pan has nothing to take");
    }

    /// <summary>Modified z with limit 3.5: Iglewicz and Hoaglin, in NIST/SEMATECH e-Handbook 1.3.5.17.</summary>
    [Fact]
    public void A_weight_that_stands_apart_is_asked_about()
    {
        Outliers.Of([100.1, 100.2, 99.9, 100, 103.5, 100.1]).ShouldBe([4]);
        Outliers.Of([100.1, 100.2, 99.9, 100, 100.1]).ShouldBeEmpty();
        Outliers.Of([100, 100, 100, 100, 100.1]).ShouldBeEmpty("the scale's own grain is no outlier");
        Outliers.Of([1, 50, 100]).ShouldBeEmpty("three tell nothing");
    }

    [Theory]
    [InlineData(100, 100.2, false)]
    [InlineData(100, 100.3, true)]
    [InlineData(100, 99.7, true)]
    public void A_scale_more_than_a_fifth_of_a_grain_off_is_marked(double nominal, double reading, bool off) =>
        new ScaleCheck(nominal, reading).Off.ShouldBe(off);

    /// <summary>
    /// 1 gr of 400 changes speed by about .3 ft/s and the hit at 60 yd by about .2 in (computed apart from this code).
    /// </summary>
    [Fact]
    public void What_a_grain_is_worth_on_a_usual_compound()
    {
        var worth = Worth.Of(Samples.Compound, 400, 1, [20, 60]);
        worth.SpeedSpread.ShouldBeInRange(.22, .36);
        worth.Heights[1].Inches.ShouldBeInRange(.1, .25);
        worth.Heights[0].Inches.ShouldBeLessThan(worth.Heights[1].Inches);
    }

    [Fact]
    public void The_fronts_of_center_follow_the_pieces()
    {
        var focs = Worth.FrontsOfCenter(
            Samples.A1,
            [new Dictionary<string, double> { ["Point"] = 100 }, new Dictionary<string, double> { ["Point"] = 125 }]
        );
        focs[0].ShouldBe(12.7388, .0001);
        focs[1].ShouldBe(14.9762, .0001);
    }

    /// <summary>
    /// 568 gr at 270.67 ft/s with the prior K = 110 ± 40 gr: 420 gr → 306.14 ± 2.5 ft/s from K alone, ± 2.8 with 1 ft/s
    /// of reading error (delta method).
    /// </summary>
    [Fact]
    public void One_arrow_weight_predicts_another_with_the_prior_virtual_mass()
    {
        var alone = new SpeedCalibration(SpeedCalibration.Fit([new ChronographShot(568, 270.67, 1e-9)])).Predict(420);
        alone.Speed.ShouldBe(306.14, .01);
        alone.Error.ShouldBe(2.5, .06);
        new SpeedCalibration(SpeedCalibration.Fit([new ChronographShot(568, 270.67, 1)]))
            .Predict(420)
            .Error.ShouldBe(2.8, .06);
    }

    [Fact]
    public void A_chronograph_wins_over_the_rating()
    {
        var fit = SpeedCalibration.Fit([
            new(400, 286, 1),
            new(400, 287, 1),
            new(475, 268, 1),
            new(475, 267, 1),
            new(600, 244, 1),
            new(600, 243, 1),
        ]);
        var launch = LaunchSpeed.Of(Samples.Compound with { Chronograph = fit }, 450);
        launch.Speed.ShouldBe(273.541, .001);
        launch.Measured.ShouldBeTrue();
        (launch.High - launch.Speed).ShouldBe(1.96 * .436, .002);
    }

    [Fact]
    public void An_arrows_state_follows_its_steps()
    {
        Assembly.StateOf([]).ShouldBe(ArrowState.Parts);
        Assembly.StateOf([AssemblyCode.Cut, AssemblyCode.Square]).ShouldBe(ArrowState.Cut);
        Assembly.StateOf([AssemblyCode.Cut, AssemblyCode.Pin, AssemblyCode.Bare]).ShouldBe(ArrowState.Bare);
        Assembly.StateOf([.. Assembly.Steps.Select(s => s.Code)]).ShouldBe(ArrowState.Verified);
        Assembly.Steps.Select(s => s.State).ShouldBeInOrder();
    }

    /// <summary>A shaft weighed, the server started anew: it was Insert 1 in a tried evening.</summary>
    [Fact]
    public void What_lay_there_before_anybody_looked_is_taken_by_hand_alone()
    {
        var watch = new PanWatch();
        See(watch, 0, 231.5, true).ShouldBeNull();
        See(watch, 5000, 231.5, true).ShouldBeNull();
        watch.State.ShouldBe(PanState.Unknown);
        watch.TakeNow(231.5).ShouldBe(231.5);
        watch.State.ShouldBe(PanState.Taken);
    }

    [Fact]
    public void A_pan_that_was_tared_under_a_piece_takes_nothing_when_the_piece_is_lifted()
    {
        var watch = Taken();
        See(watch, 2000, -252.3, true).ShouldBeNull();
        See(watch, 4000, -252.3, true).ShouldBeNull();
        watch.State.ShouldBe(PanState.Taken, "less than nothing is not an empty pan");
    }

    /// <summary>A nock (9 gr) where a shaft is asked for.</summary>
    [Fact]
    public void A_weight_far_from_its_class_is_asked_about()
    {
        var none = DozenActs.Of([]);
        var shaft = ExpectedWeight.Of(none, "Shaft")!.Value;
        shaft.ShouldBe(Samples.A1.Masses().First(m => m.Name == "Shaft").Grains);
        ExpectedWeight.IsFar(shaft * 1.1, shaft).ShouldBeFalse("makers hold a tenth");
        ExpectedWeight.IsFar(9, shaft).ShouldBeTrue();
        ExpectedWeight.IsFar(10.9, 9).ShouldBeFalse("under two grains nothing is far");
        ExpectedWeight.Of(none, Dozen.HeadClass).ShouldBeNull();
        var own = DozenActs.Of([.. DozenActs.Pieces("Shaft", 320, 322, 321)]);
        ExpectedWeight.Of(own, "Shaft").ShouldBe(321, "three pieces say it themselves");
    }

    private static PanWatch Empty()
    {
        var watch = new PanWatch();
        See(watch, -100, 0, true);
        return watch;
    }

    private static PanWatch Taken()
    {
        var watch = Empty();
        See(watch, 0, 252.3, true);
        See(watch, 1000, 252.3, true).ShouldBe(252.3);
        return watch;
    }

    private static double? See(PanWatch watch, int milliseconds, double grains, bool stable) =>
        watch.See(new ScaleReading(Start.AddMilliseconds(milliseconds), grains, stable));
}

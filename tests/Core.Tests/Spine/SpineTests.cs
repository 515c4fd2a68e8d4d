using Merganser.Core.Spine;

namespace Merganser.Core.Tests.Spine;

/// <summary>
/// Static spine by ASTM F2031 (28 in, 1.94 lb) and AMO (26 in, 2 lb); the mid-loaded simple beam of every handbook.
/// Values: docs/models.md, computed apart from this code.
/// </summary>
public class SpineTests
{
    [Theory]
    [InlineData(.300, 2957.42, 104.997)]
    [InlineData(.400, 2218.07, 78.748)]
    [InlineData(.500, 1774.45, 62.998)]
    public void Static_spine_gives_stiffness_and_amo_pounds(double spine, double stiffness, double pounds)
    {
        StaticSpine.Stiffness(spine).ShouldBe(stiffness, .005);
        StaticSpine.AmoPounds(spine).ShouldBe(pounds, .001);
        StaticSpine.FromStiffness(StaticSpine.Stiffness(spine)).ShouldBe(spine, 1e-12);
    }

    [Fact]
    public void Stiffness_in_metric_units_matches() => StaticSpine.StiffnessMetric(.300).ShouldBe(8.48725, 1e-5);

    [Theory]
    [InlineData(.3000, 26, 1.94, .37469)]
    [InlineData(.2600, 23, 3.0, .30335)]
    public void Any_span_and_load_is_brought_to_the_standard(
        double deflection,
        double span,
        double load,
        double expected
    ) => StaticSpine.FromMeasured(deflection, span, load).ShouldBe(expected, 1e-5);

    /// <summary>ATA tube numbering; E and density of 7075-T6 from handbooks.</summary>
    [Theory]
    [InlineData("1816", 9.475, .7250)]
    [InlineData("2013", 8.692, .6209)]
    [InlineData("2117", 11.808, .4231)]
    [InlineData("2315", 11.532, .3540)]
    [InlineData("2514", 11.771, .2901)]
    public void An_aluminium_tube_code_gives_mass_and_spine(string code, double grainsPerInch, double spine)
    {
        var tube = new AluminiumTube(code);
        tube.GrainsPerInch.ShouldBe(grainsPerInch, .0006);
        tube.Spine.ShouldBe(spine, .00006);
    }

    [Theory]
    [InlineData("20")]
    [InlineData("20a3")]
    [InlineData("1099")]
    [InlineData("2000")]
    public void A_wrong_tube_code_is_refused(string code) =>
        Should.Throw<ArgumentException>(() => new AluminiumTube(code));

    [Theory]
    [InlineData(60, 28, 125, 8.5, 35, .400000)]
    [InlineData(70, 28.5, 150, 9, 33, .315597)]
    [InlineData(50, 27.25, 225, 8, 30, .433577)]
    [InlineData(42, 29, 120, 6.2, 15, .473257)]
    [InlineData(80, 27, 175, 10, 40, .312515)]
    public void Needed_spine_matches_the_fitted_rule(
        double weight,
        double length,
        double front,
        double perInch,
        double rear,
        double need
    )
    {
        var shaft = perInch * length;
        var share = NeededSpine.LoadShare(front, shaft, front + shaft + rear);
        NeededSpine.Of(weight, length, share).ShouldBe(need, 1e-6);
    }

    /// <summary>
    /// Usual chart values, from memory: a shaft a size off is about 15 % off, so half a size is asked for here.
    /// </summary>
    [Theory]
    [InlineData(40, .600)]
    [InlineData(50, .500)]
    [InlineData(60, .400)]
    [InlineData(70, .340)]
    [InlineData(80, .300)]
    public void Needed_spine_agrees_with_the_usual_charts(double weight, double chart) =>
        (NeededSpine.Of(weight, 28, .613065) / chart).ShouldBeInRange(.92, 1.08);

    [Theory]
    [InlineData(.89, "weak")]
    [InlineData(.95, "borderline weak")]
    [InlineData(1.05, "good")]
    [InlineData(1.30, "stiff")]
    public void A_sure_fit_is_named_by_its_band(double ratio, string words) =>
        new SpineFit(ratio, .001).Words.Said().ShouldBe(words);

    [Theory]
    [InlineData(1.12, "good, may be stiff")]
    [InlineData(.99, "good, may be borderline weak")]
    [InlineData(.935, "borderline weak, may be weak or good")]
    public void An_interval_across_a_band_names_both(double ratio, string words) =>
        new SpineFit(ratio, .06).Words.Said().ShouldBe(words);

    [Fact]
    public void A_measured_draw_weight_narrows_the_interval()
    {
        var measured = SpineFit.Of(.35, .34, 28.5, 65, true, .05);
        var nominal = SpineFit.Of(.35, .34, 28.5, 65, false, .05);
        measured.Relative.ShouldBe(.0508845, 5e-8, "5 %, 1/16 in of 28.5 and 1/2 lb of 65, worked by hand");
        nominal.Relative.ShouldBeGreaterThan(measured.Relative);
    }

    /// <summary>
    /// βL = 4.730041 for a free-free bare beam: Blevins, Formulas for Natural Frequency and Mode Shape.
    /// </summary>
    [Fact]
    public void A_bare_free_beam_vibrates_at_the_handbook_frequency()
    {
        const double stiffness = 6.365,
            perMetre = .02168,
            length = .7112;
        var expected = Math.Pow(4.730041 / length, 2) * Math.Sqrt(stiffness / perMetre) / (2 * Math.PI);
        FreeShaft.FirstFrequency(stiffness, perMetre, length).ShouldBe(expected, expected * 1e-5);
    }

    /// <summary>
    /// docs/models.md: .400, 8.5 gr/in, 28 in, front 125, rear 35 with 10 of it at the throat.
    /// </summary>
    [Fact]
    public void A_loaded_shaft_vibrates_slower_than_a_bare_one()
    {
        const double inch = .0254,
            grain = 64.79891e-6;
        var stiffness = StaticSpine.StiffnessMetric(.400);
        var bare = FreeShaft.FirstFrequency(stiffness, 8.5 * grain / inch, 28 * inch);
        var loaded = FreeShaft.FirstFrequency(
            stiffness,
            8.5 * grain / inch,
            28 * inch,
            (125 * grain, 28 * inch),
            (10 * grain, 0),
            (25 * grain, 2.5 * inch)
        );
        loaded.ShouldBeLessThan(bare);
        loaded.ShouldBeInRange(79, 83);
    }
}

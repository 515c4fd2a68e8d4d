using CsCheck;
using Merganser.Core.Arrows;
using Merganser.Core.Figures;

namespace Merganser.Core.Tests.Arrows;

/// <summary>Asking for a value, schools of weight, the needed-spine chart.</summary>
public class ArrowToolsTests
{
    /// <summary>
    /// Worked example A1: 92.365, 125.283 and 164.083 gr give 12, 15 and 18 % (ATA/AMO definition of FOC).
    /// </summary>
    [Theory]
    [InlineData(12, 92.365)]
    [InlineData(15, 125.283)]
    [InlineData(18, 164.083)]
    public void The_point_for_a_front_of_center_is_exact(double wanted, double grains)
    {
        var exact = Ask.PointFor(Samples.A1, wanted);
        exact.ShouldBe(grains, .001);
        WithPoint(exact).Balance().FrontOfCenter.ShouldBe(wanted, 1e-9);
    }

    [Fact]
    public void Asking_for_a_point_round_trips() =>
        Gen.Double[8, 22]
            .Sample(wanted =>
                WithPoint(Ask.PointFor(Samples.A1, wanted)).Balance().FrontOfCenter.ShouldBe(wanted, 1e-9)
            );

    [Fact]
    public void A_front_of_center_that_no_point_gives_is_refused_plainly() =>
        Should.Throw<RefusedException>(() => Ask.PointFor(Samples.A1, 0)).Said.Said().ShouldContain("farther forward");

    [Fact]
    public void Asking_for_a_length_round_trips() =>
        Gen.Double[390, 430]
            .Sample(wanted =>
                (Samples.A1 with { CutLength = Ask.LengthFor(Samples.A1, wanted) })
                    .Balance()
                    .Grains.ShouldBe(wanted, 1e-9)
            );

    [Fact]
    public void A_weight_that_no_length_gives_is_refused_plainly()
    {
        Should
            .Throw<RefusedException>(() => Ask.LengthFor(Samples.A1, 900))
            .Said.Said()
            .ShouldContain("no length does it");
        Should.Throw<RefusedException>(() => Ask.LengthFor(Samples.A1, 450)).Said.Said().ShouldContain("sold");
    }

    [Fact]
    public void The_spine_asked_for_gives_the_fit()
    {
        var spine = Ask.SpineFor(Samples.Compound, Samples.A1, 1.05);
        var arrow = Samples.A1 with { Shaft = Samples.A1.Shaft with { Spine = spine } };
        new ArrowNumbers(Samples.Compound, arrow).Fit.Ratio.ShouldBe(1.05, 1e-9);
    }

    [Fact]
    public void A_heavier_point_never_makes_the_fit_stiffer_nor_does_a_longer_shaft() =>
        Gen.Select(Gen.Double[20, 34], Gen.Double[50, 300], Gen.Double[0.01, 2], Gen.Double[1, 60])
            .Sample(
                (length, grains, longer, heavier) =>
                {
                    var shaft = Samples.A1.Shaft;
                    var here = SpineChart.Ratio(Samples.Compound, Samples.A1, shaft, length, grains);
                    SpineChart
                        .Ratio(Samples.Compound, Samples.A1, shaft, length + longer, grains)
                        .ShouldBeLessThanOrEqualTo(here);
                    SpineChart
                        .Ratio(Samples.Compound, Samples.A1, shaft, length, grains + heavier)
                        .ShouldBeLessThanOrEqualTo(here);
                }
            );

    [Fact]
    public void The_charts_lines_lie_where_the_fit_is_one()
    {
        Shaft[] family = [Samples.A1.Shaft, Samples.A1.Shaft with { Name = "T", Spine = .4 }];
        var chart = SpineChart.Of(Samples.Compound, Samples.A1, family);
        chart.Ratios.Count.ShouldBe(chart.PointWeights.Count);
        var seen = 0;
        foreach (var (line, shaft) in chart.Lines.Zip(family.OrderBy(s => s.Spine)))
        {
            for (var i = 0; i < chart.Lengths.Count; i++)
            {
                if (line.Points[i] is { } grains)
                {
                    SpineChart.Ratio(Samples.Compound, Samples.A1, shaft, chart.Lengths[i], grains).ShouldBe(1, 1e-6);
                    seen++;
                }
            }
        }

        seen.ShouldBeGreaterThan(10);
    }

    [Fact]
    public void Energy_changes_little_with_weight_while_momentum_rises_with_it()
    {
        var light = WeightSchools.At(Samples.Compound, 350);
        var heavy = WeightSchools.At(Samples.Compound, 650);
        (heavy.KineticEnergy / light.KineticEnergy).ShouldBeInRange(1, 1.2);
        (heavy.Momentum / light.Momentum).ShouldBeGreaterThan(1.35);
        heavy.Speed.ShouldBeLessThan(light.Speed);
    }

    [Fact]
    public void No_school_advises_under_five_grains_a_pound()
    {
        foreach (var school in WeightSchools.Schools(Samples.Compound))
        {
            school.From.ShouldBeGreaterThanOrEqualTo(5 * 65.5);
        }

        WeightSchools.Word(Samples.Compound, 300).Said().ShouldBe("Under 5 gr/lb");
        WeightSchools.Word(Samples.Compound, 450).Said().ShouldBe("Middle");
    }

    [Fact]
    public void A_measured_weight_and_spine_win_and_say_so()
    {
        var arrow = Samples.A1 with
        {
            Shaft = Samples.A1.Shaft with { MeasuredSpine = .352, MeasuredGrainsPerInch = 9.2 },
            Point = Samples.A1.Point with { MeasuredGrains = 98.4 },
        };
        var reading = ArrowReading.Of(Samples.Compound, arrow);
        reading["totalWeight"].Value!.Value.ShouldBe(409 + (.2 * 28) - 1.6, 1e-9);
        reading["staticSpine"].Label.Said().ShouldContain("measured");
        reading["totalWeight"].Working.Terms.ShouldContain(t => t.Formula.Said().Contains("measured"));
        reading.Fit.Ratio.ShouldBeLessThan(ArrowReading.Of(Samples.Compound, Samples.A1).Fit.Ratio);
    }

    private static Arrow WithPoint(double grains) =>
        Samples.A1 with
        {
            Point = Samples.A1.Point with { Grains = grains },
        };
}

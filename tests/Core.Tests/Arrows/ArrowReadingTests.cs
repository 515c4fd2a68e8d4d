using CsCheck;
using Merganser.Core.Arrows;
using Merganser.Core.Bows;
using Merganser.Core.Figures;

namespace Merganser.Core.Tests.Arrows;

public class ArrowReadingTests
{
    [Fact]
    public void Components_place_themselves_as_in_worked_example_A1()
    {
        var balance = Samples.A1.Balance();
        balance.Grains.ShouldBe(409.0, 1e-9);
        balance.Point.ShouldBe(17.88056, 1e-5);
    }

    [Fact]
    public void Every_figure_opens_a_working_with_a_source_and_its_own_numbers()
    {
        var reading = ArrowReading.Of(Samples.Compound, Samples.A1);
        foreach (var figure in reading.Figures)
        {
            figure.Working.Source.Said().ShouldNotBeNullOrWhiteSpace(figure.Name);
            figure.Working.Terms.ShouldNotBeEmpty(figure.Name);
            figure.Working.Terms.ShouldContain(
                t => t.Value != null && Math.Abs(t.Value.Value - figure.Value!.Value) < 1e-9,
                figure.Name
            );
        }
    }

    [Fact]
    public void A_change_is_told_against_the_opened_state()
    {
        var heavier = Samples.A1 with { Point = Samples.A1.Point with { Grains = 125 } };
        var reading = ArrowReading.Of(Samples.Compound, heavier, Samples.A1);
        reading["totalWeight"].Change!.Value.ShouldBe(25, 1e-9);
        reading["frontOfCenter"].Change!.Value.ShouldBe(14.9762 - 12.7388, 1e-4);
        reading["speed"].Change!.Value.ShouldBeLessThan(0);
    }

    [Fact]
    public void Under_five_grains_a_pound_is_cautioned_and_five_is_not()
    {
        var light = Samples.Compound with { MeasuredWeight = 409 / 4.99 };
        var enough = Samples.Compound with { MeasuredWeight = 409 / 5.0 };
        Codes(light, Samples.A1).ShouldContain("light-arrow");
        Codes(enough, Samples.A1).ShouldNotContain("light-arrow");
    }

    [Theory]
    [InlineData(28.25, 0, "none")]
    [InlineData(28.24, 0, "short-shaft")]
    [InlineData(27.25, 0, "short-shaft")]
    [InlineData(27.24, 0, "behind-rest")]
    [InlineData(28.5, 1.5, "behind-rest")]
    public void The_shaft_must_end_ahead_of_the_rest_at_full_draw(double cut, double restAhead, string expected)
    {
        var reading = ArrowReading.Of(
            Samples.Compound with
            {
                RestAhead = restAhead,
            },
            Samples.A1 with
            {
                CutLength = cut,
            }
        );
        var code =
            reading.Cautions.Select(c => c.Code).FirstOrDefault(c => c is "short-shaft" or "behind-rest") ?? "none";
        code.ShouldBe(expected);
        reading.Refused.ShouldBe(expected == "behind-rest");
    }

    [Fact]
    public void A_weak_spine_with_a_fixed_head_is_cautioned_and_with_a_field_point_it_is_not()
    {
        var weak = Samples.A1 with { Shaft = Samples.A1.Shaft with { Spine = 0.400 } };
        var head = weak with { Point = weak.Point with { Kind = PointKind.FixedHead } };
        Codes(Samples.Compound, weak).ShouldNotContain("weak-fixed-head");
        Codes(Samples.Compound, head).ShouldContain("weak-fixed-head");
        Codes(Samples.Compound, head with { Shaft = head.Shaft with { Spine = 0.300 } })
            .ShouldNotContain("weak-fixed-head");
        var opening = weak with { Point = weak.Point with { Kind = PointKind.MechanicalHead, Grains = 125 } };
        Codes(Samples.Compound, opening).ShouldContain("weak-heavy-head");
        Codes(Samples.Compound, opening with { Point = opening.Point with { Grains = 100 } })
            .ShouldNotContain("weak-heavy-head");
    }

    [Fact]
    public void A_heavier_point_or_a_longer_shaft_never_reads_stiffer() =>
        Gen.Select(Gen.Double[60, 300], Gen.Double[1, 80], Gen.Double[24, 31], Gen.Double[0.1, 2])
            .Sample(
                (point, more, length, longer) =>
                {
                    var arrow = Samples.A1 with
                    {
                        CutLength = length,
                        Point = Samples.A1.Point with { Grains = point },
                    };
                    var heavy = arrow with { Point = arrow.Point with { Grains = point + more } };
                    var stretched = arrow with { CutLength = length + longer };
                    Fit(heavy).ShouldBeLessThan(Fit(arrow));
                    Fit(stretched).ShouldBeLessThan(Fit(arrow));
                }
            );

    [Theory]
    [InlineData("cutLength", "40")]
    [InlineData("cutLength", "long")]
    [InlineData("cutLength", "33")]
    [InlineData("vaneFront", "1.5")]
    [InlineData("glue", "-1")]
    public void Impossible_entries_name_their_field(string field, string text)
    {
        var a = Samples.A1;
        var entry = new ArrowEntry(
            a.Shaft,
            field == "cutLength" ? text : "28.5",
            a.Insert,
            a.Point,
            a.Nock,
            a.Vane,
            3,
            field == "vaneFront" ? text : null,
            a.Wrap,
            field == "glue" ? text : null
        );
        Should.Throw<RefusedException>(entry.Read).Problems.ShouldContain(p => p.Field == field);
    }

    private static double Fit(Arrow arrow) => ArrowReading.Of(Samples.Compound, arrow).Fit.Ratio;

    private static IEnumerable<string> Codes(Bow bow, Arrow arrow) =>
        ArrowReading.Of(bow, arrow).Cautions.Select(c => c.Code);
}

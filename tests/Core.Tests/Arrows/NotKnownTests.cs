using Merganser.Core.Arrows;

namespace Merganser.Core.Tests.Arrows;

/// <summary>What is known within a range alone, drawn.</summary>
public class NotKnownTests
{
    /// <summary>Nine tenths of an even range: 5 and 95 %.</summary>
    [Fact]
    public void One_unknown_gives_nine_tenths_of_its_range()
    {
        var (low, high) = Weights(Samples.A1 with { Point = Samples.A1.Point with { GrainsBand = 10 } });
        low.ShouldBe(-9, 0.05);
        high.ShouldBe(9, 0.05);
    }

    /// <summary>
    /// The sum of two even ranges ±10 is a triangle ±20; below x lies (x + 20)²/800, so 5 % lie below −20 + √40.
    /// </summary>
    [Fact]
    public void Two_unknowns_have_nothing_to_do_with_each_other()
    {
        var arrow = Samples.A1 with
        {
            Point = Samples.A1.Point with { GrainsBand = 10 },
            Insert = Samples.A1.Insert! with { GrainsBand = 10 },
        };
        var (low, high) = Weights(arrow);
        low.ShouldBe(-20 + Math.Sqrt(40), 0.3);
        high.ShouldBe(20 - Math.Sqrt(40), 0.3);
    }

    [Fact]
    public void What_was_weighed_or_measured_has_no_band()
    {
        var bow = Samples.Compound with { NominalWeightBand = 5 };
        NotKnown.Any(bow, Samples.A1).ShouldBeFalse("its weight was measured");
        NotKnown.Any(bow with { MeasuredWeight = null }, Samples.A1).ShouldBeTrue();
        var weighed = Samples.A1.Point with { GrainsBand = 10, MeasuredGrains = 100.2 };
        NotKnown.Any(bow, Samples.A1 with { Point = weighed }).ShouldBeFalse();
        NotKnown
            .Any(bow, Samples.A1 with { Shaft = Samples.A1.Shaft with { SpineBand = 0.1, MeasuredSpine = 0.34 } })
            .ShouldBeFalse();
    }

    /// <summary>60 to 70 lb in place of 65: nine in ten lie between 60.5 and 69.5.</summary>
    [Fact]
    public void A_marked_range_of_the_draw_weight_widens_what_rests_on_it()
    {
        var marked = Samples.Compound with { MeasuredWeight = null, NominalWeight = 65, NominalWeightBand = 5 };
        var reading = ArrowReading.Of(marked, Samples.A1);
        var per = reading["grainsPerPound"];
        var grains = reading["totalWeight"].Value!.Value;
        per.Low!.Value.ShouldBe(grains / 69.5, 0.01);
        per.High!.Value.ShouldBe(grains / 60.5, 0.01);
        reading["totalWeight"].Low.ShouldBeNull("the arrow itself is known");
        reading["toSpare"].Low.ShouldBeNull("it does not rest on the weight");
    }

    private static (double Low, double High) Weights(Arrow arrow)
    {
        var drawn = NotKnown.Draw(Samples.Compound, arrow, 4000);
        var middle = Samples.A1.Balance().Grains;
        var (low, high) = NotKnown.NineInTen(drawn.Select(d => d.Numbers.Balance.Grains));
        return (low - middle, high - middle);
    }
}

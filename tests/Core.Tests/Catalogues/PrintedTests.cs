using Merganser.Core.Catalogues;

namespace Merganser.Core.Tests.Catalogues;

/// <summary>The stiffness that is printed on a shaft.</summary>
public class PrintedTests
{
    [Theory]
    [InlineData("340", 0.34)]
    [InlineData(".340", 0.34)]
    [InlineData("1000", 1)]
    public void A_number_is_a_deflection(string printed, double spine)
    {
        var shaft = Read(printed);
        (shaft.Spine, shaft.SpineBand).ShouldBe((spine, 0));
    }

    [Fact]
    public void A_range_of_numbers_has_a_band()
    {
        var shaft = Read("300 to 500");
        shaft.Spine.ShouldBe(0.4, 1e-9);
        shaft.SpineBand.ShouldBe(0.1, 1e-9);
    }

    /// <summary>A 2315 tube is 23/64 in wide with a wall of .015 in (common practice: how the code is read).</summary>
    [Fact]
    public void Four_digits_are_a_tube_of_aluminium()
    {
        var shaft = Read("2315");
        shaft.TubeCode.ShouldBe("2315");
        shaft.Material.ShouldBe("Aluminium");
        shaft.OuterDiameter.ShouldBe(23 / 64.0, 1e-9);
        shaft.InnerDiameter.ShouldBe((23 / 64.0) - 0.030, 1e-9);
        shaft.Spine.ShouldBeInRange(0.3, 0.4);
    }

    /// <summary>AMO: pounds are 26 over the deflection on a 26 in span under 2 lb; 45 lb give .578 in there.</summary>
    [Fact]
    public void Pounds_are_a_wooden_shaft()
    {
        var shaft = Read("45 to 50 lb");
        shaft.Material.ShouldBe("Wood");
        var onAmoSpan = Merganser.Core.Spine.StaticSpine.AmoDeflection(shaft.Spine + shaft.SpineBand);
        onAmoSpan.ShouldBe(0.578, 0.0005);
        Read("45#").Spine.ShouldBe(shaft.Spine + shaft.SpineBand, 1e-6);
    }

    private static Core.Arrows.Shaft Read(string printed) =>
        new OwnShaft(null, null, printed, null, null, null).Read([]);
}

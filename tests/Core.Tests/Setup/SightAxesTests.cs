using Merganser.Core.Setup;

namespace Merganser.Core.Tests.Setup;

/// <summary>
/// Worked values: drop in vacuum and trigonometry, computed apart from this code (docs/how-it-computes.md).
/// </summary>
public class SightAxesTests
{
    [Theory]
    [InlineData(20, .1664)]
    [InlineData(40, .6655)]
    [InlineData(60, 1.4974)]
    public void A_degree_of_cant_at_270(double yards, double inches) =>
        SightAxes.Cant(270, yards, 1).ShouldBe(inches, 0.00006);

    [Fact]
    public void After_zeroing_at_20_less_is_left_at_60() =>
        SightAxes.CantAfterZero(270, 60, 1, 20).ShouldBe(.9982, 0.0001);

    [Fact]
    public void At_the_zero_itself_nothing_is_left() => SightAxes.CantAfterZero(270, 20, 3, 20).ShouldBe(0, 1e-12);

    [Fact]
    public void A_tilted_bar_costs_by_the_pins_travel() => SightAxes.TiltedBar(60, 1.2, 36, 1).ShouldBe(1.2568, 0.0001);

    [Fact]
    public void The_third_axis_shows_on_a_slope()
    {
        SightAxes.ThirdAxisCant(1, 30).ShouldBe(.57742, 0.00001);
        SightAxes.ThirdAxis(270, 40, 1, 30).ShouldBe(.3328, 0.0001);
        SightAxes.ThirdAxis(270, 40, 1, -30).ShouldBe(-.3328, 0.0001, "the other side downhill");
        SightAxes.ThirdAxis(270, 40, 1, 0).ShouldBe(0);
    }
}

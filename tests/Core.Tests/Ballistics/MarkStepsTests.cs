using Merganser.Core.Ballistics;
using Merganser.Core.Figures;

namespace Merganser.Core.Tests.Ballistics;

/// <summary>For which distances marks are shown, as they are typed.</summary>
public class MarkStepsTests
{
    [Theory]
    [InlineData("12, 18, 25", new[] { 12.0, 18, 25 })]
    [InlineData("25;12 18", new[] { 12.0, 18, 25 })]
    [InlineData("12,18,18", new[] { 12.0, 18 })]
    [InlineData("12.5, 60", new[] { 12.5, 60 })]
    public void Several_are_the_distances_themselves(string text, double[] at)
    {
        var read = MarkSteps.Read(text, 1);
        read.At.ShouldBe(at);
        read.Every.ShouldBe(0);
    }

    [Fact]
    public void One_is_a_step_and_nothing_is_the_usual()
    {
        MarkSteps.Read("10", 1).Every.ShouldBe(10);
        MarkSteps.Read(" ", 1).ShouldBe(MarkSteps.Usual);
        MarkSteps.Read(null, 1).ShouldBe(MarkSteps.Usual);
    }

    [Theory]
    [InlineData("every ten")]
    [InlineData("0")]
    [InlineData("Infinity")]
    [InlineData("NaN, 12")]
    [InlineData("12, 900")]
    public void What_is_none_is_refused_by_its_field(string text) =>
        Should.Throw<RefusedException>(() => MarkSteps.Read(text, 1)).Problems.ShouldAllBe(p => p.Field == "marks");
}

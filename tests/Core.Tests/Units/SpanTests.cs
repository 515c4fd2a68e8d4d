using Merganser.Core.Units;

namespace Merganser.Core.Tests.Units;

public class SpanTests
{
    [Theory]
    [InlineData("65", 65, 65)]
    [InlineData("60 to 70", 60, 70)]
    [InlineData("60–70 lb", 60, 70)]
    [InlineData(" 60 TO 70lb ", 60, 70)]
    [InlineData("60 lb to 70 lb", 60, 70)]
    [InlineData("27 kg to 32 kg", 59.525, 70.548)]
    [InlineData("27 to 32 kg", 59.525, 70.548)]
    public void A_value_or_a_range_is_read(string typed, double low, double high)
    {
        var span = Span.Parse(typed, Quantity.DrawWeight);
        span.Low.ShouldBe(low, 0.001);
        span.High.ShouldBe(high, 0.001);
        span.Middle.ShouldBe((low + high) / 2, 0.001);
    }

    /// <summary>A hyphen joins a whole number to its fraction: 28-1/2 is one length.</summary>
    [Fact]
    public void A_fraction_is_no_range()
    {
        Span.Parse("28-1/2", Quantity.Length).ShouldBe(new Span(28.5, 28.5));
        Span.Parse("28 to 29 1/2", Quantity.Length).ShouldBe(new Span(28, 29.5));
    }

    [Theory]
    [InlineData("", "empty")]
    [InlineData("70 to 60", "reversed")]
    [InlineData("60 to", "unit")]
    [InlineData("to 70", "not-a-number")]
    [InlineData("60 to 65 to 70", "not-a-number")]
    [InlineData("60 in to 70 lb", "unit")]
    public void What_is_no_range_is_refused(string typed, string code) =>
        Should.Throw<EntryException>(() => Span.Parse(typed, Quantity.DrawWeight)).Code.ShouldBe(code);
}

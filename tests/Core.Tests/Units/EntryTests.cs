using CsCheck;
using Merganser.Core.Units;

namespace Merganser.Core.Tests.Units;

public class EntryTests
{
    [Theory]
    [InlineData("28 1/2", Quantity.Length, 28.5)]
    [InlineData("\u0662\u0668\u066b\u0665", Quantity.Length, 28.5)]
    [InlineData("\u0968\u096e 1/2", Quantity.Length, 28.5)]
    [InlineData("28-1/2", Quantity.Length, 28.5)]
    [InlineData("28.5", Quantity.Length, 28.5)]
    [InlineData("28,5", Quantity.Length, 28.5)]
    [InlineData(" 28.5 in ", Quantity.Length, 28.5)]
    [InlineData("28.5\"", Quantity.Length, 28.5)]
    [InlineData("13/16", Quantity.Length, 0.8125)]
    [InlineData("72.39 cm", Quantity.Length, 28.5)]
    [InlineData("9.5 gr/in", Quantity.MassPerLength, 9.5)]
    [InlineData("9,5", Quantity.MassPerLength, 9.5)]
    [InlineData("64.79891 g/m", Quantity.MassPerLength, 25.4)]
    [InlineData("20.6375mm", Quantity.Length, 0.8125)]
    [InlineData("−0.25", Quantity.Length, -0.25)]
    [InlineData("-1/4", Quantity.Length, -0.25)]
    [InlineData("6.479891 g", Quantity.Weight, 100)]
    [InlineData("100 gr", Quantity.Weight, 100)]
    [InlineData("65.5 lbs", Quantity.DrawWeight, 65.5)]
    [InlineData("45.359237 kg", Quantity.DrawWeight, 100)]
    [InlineData("91.44 m/s", Quantity.Speed, 300)]
    [InlineData("0.9144 m", Quantity.Distance, 1)]
    public void A_person_may_write_it_as_they_do(string text, Quantity quantity, double value)
    {
        var entry = Entry.Parse(text, quantity);
        entry.Value.ShouldBe(value, 1e-9);
        entry.Typed.ShouldBe(text.Trim());
    }

    [Theory]
    [InlineData("", "empty")]
    [InlineData("  ", "empty")]
    [InlineData("abc", "not-a-number")]
    [InlineData("1/0", "not-a-number")]
    [InlineData("28.5.5", "not-a-number")]
    [InlineData("28 1/2 1/2", "not-a-number")]
    [InlineData("1e9", "not-a-number")]
    [InlineData("28 gr", "unit")]
    [InlineData("28 parsec", "unit")]
    [InlineData("11111111111111111111111111111111111111111", "too-long")]
    public void What_cannot_be_read_says_why(string text, string code) =>
        Should.Throw<EntryException>(() => Entry.Parse(text, Quantity.Length)).Code.ShouldBe(code);

    [Fact]
    public void Any_decimal_number_reads_back_as_itself() =>
        Gen.Double[-999, 999]
            .Sample(x =>
            {
                var rounded = Math.Round(x, 4);
                Entry.Parse(Show.Number(rounded, 4), Quantity.Length).Value.ShouldBe(rounded, 1e-9);
            });

    [Fact]
    public void Conversion_factors_follow_from_their_definitions()
    {
        // International yard and pound agreement 1959; ISO 80000-3 for g; NIST SP 811 lists 4.448222 N and 1.355818 J.
        Physical.NewtonsPerPound.ShouldBe(4.448222, 5e-7);
        Physical.JoulesPerFootPound.ShouldBe(1.355818, 5e-7);
        Physical.StandardGravityFeet.ShouldBe(32.17405, 5e-6);
    }
}

using Merganser.Core.Arrows;
using Merganser.Core.Bows;
using Merganser.Core.Units;
using Merganser.Web.Words;

namespace Merganser.Core.Tests.Arrows;

/// <summary>
/// The formulas of a working with their numbers, worked out by hand from the build of Samples: 28.5 in, 65.5 lb, brace
/// 6.5 in, draw 29 in, rated 330 ft/s.
/// </summary>
public class WorkingTests
{
    private static readonly Speaker Metric = new(DisplayUnits.Metric, Hand.Right);

    [Theory]
    [InlineData("frontOfCenter", "/ 28.500 − 0.5)", "/ 72.390 − 0.5)")]
    [InlineData("grainsPerPound", "/ 65.5", "/ 291.4")]
    [InlineData("speed", "draw − 1.75 − brace = 29.00 − 1.75 − 6.50", "draw − 4.45 − brace = 73.66 − 4.45 − 16.51")]
    [InlineData(
        "speed",
        "v_r √(W S / (70 S_r) · (350 + K)/(m + K)) = 330",
        "v_r √(W S / (311 S_r) · (22.7 + K)/(m + K)) = 100.6"
    )]
    [InlineData("kineticEnergy", "m v² / (2 × 7000 × 32.174) =", "m v² / 2 =")]
    [InlineData("momentum", "/ 225 218", "m v =")]
    [InlineData("neededSpine", "0.400 (60 / W)(28 / L)^2.5", "0.400 (267 / W)(71 / L)^2.5")]
    [InlineData("fit", "u_L = 1/16", "u_L = 0.16")]
    [InlineData("toSpare", "AMO draw − 1.75 +", "AMO draw − 4.45 +")]
    public void Are_said_in_the_units_of_whoever_reads_them(string figure, string trade, string metric)
    {
        var reading = ArrowReading.Of(Samples.Compound, Samples.A1);
        var terms = reading.Figures.Single(f => f.Name == figure).Working.Terms;
        terms.Select(t => Speaker.Trade.Say(t.Formula)).ShouldContain(said => said.Contains(trade));
        terms.Select(t => Metric.Say(t.Formula)).ShouldContain(said => said.Contains(metric));
    }

    /// <summary>NIST SP 811, Appendix B: ½ · 26.5 g · (85.3 m/s)² is about 96.5 J; both sides of one working.</summary>
    [Fact]
    public void A_metric_energy_is_what_its_own_working_gives()
    {
        var energy = ArrowReading
            .Of(Samples.Compound, Samples.A1)
            .Figures.Single(f => f.Name == "kineticEnergy")
            .Working.Terms[0];
        var numbers = System
            .Text.RegularExpressions.Regex.Matches(Metric.Say(energy.Formula), @"\d+\.\d+")
            .Select(m => double.Parse(m.Value, System.Globalization.CultureInfo.InvariantCulture))
            .ToArray();
        var joules = energy.Value!.Value * 1.3558179;
        (numbers[0] / 1000 * numbers[1] * numbers[1] / 2).ShouldBe(joules, joules * .001);
    }
}

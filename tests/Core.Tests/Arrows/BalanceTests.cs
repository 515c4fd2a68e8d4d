using Merganser.Core.Arrows;
using Merganser.Core.Figures;

namespace Merganser.Core.Tests.Arrows;

/// <summary>
/// Worked examples A1 to A3 of docs/models.md, computed apart from this code; ATA/AMO definition of
/// FOC.
/// </summary>
public class BalanceTests
{
    private static readonly Dictionary<
        string,
        (double Length, double Start, double PerInch, (string, double, double)[] Parts, double Front)
    > Cases = new()
    {
        ["A1"] = (
            28.50,
            0.50,
            9.00,
            [("Insert", 25, 28.05), ("Point", 100, 28.95), ("Nock", 9, 0.6), ("Wrap", 5, 2.5), ("Vanes", 18, 2.5)],
            125
        ),
        ["A2"] = (29.00, 0.60, 6.20, [("Point", 120, 28.60), ("Nock", 6, 0.55), ("Vanes", 6, 2.475)], 120),
        ["A3"] = (
            27.75,
            0.50,
            10.70,
            [
                ("Insert", 100, 27.0),
                ("Collar", 20, 27.4),
                ("Point", 200, 28.35),
                ("Nock", 11, 0.6),
                ("Wrap", 6, 2.5),
                ("Vanes", 21, 2.725),
            ],
            320
        ),
    };

    [Theory]
    [InlineData("A1", 409.000, 17.88056, 12.7388)]
    [InlineData("A2", 308.080, 19.65767, 17.7851)]
    [InlineData("A3", 649.575, 20.19062, 22.7590)]
    public void Weight_balance_and_front_of_center_match_the_worked_examples(
        string name,
        double grains,
        double point,
        double foc
    )
    {
        var balance = Of(name);
        balance.Grains.ShouldBe(grains, 1e-9);
        balance.Point.ShouldBe(point, 1e-5);
        balance.FrontOfCenter.ShouldBe(foc, 1e-4);
    }

    [Theory]
    [InlineData("A1", .094964, 14.9762)]
    [InlineData("A2", .100090, 20.0995)]
    [InlineData("A3", .045265, 23.8487)]
    public void A_heavier_point_moves_the_balance_as_the_worked_examples_say(string name, double perGrain, double exact)
    {
        var point = Cases[name].Parts.First(p => p.Item1 == "Point");
        Of(name).FrontOfCenterPerGrain(point.Item3).ShouldBe(perGrain, 1e-6);
        Of(name, pointGrains: point.Item2 + 25).FrontOfCenter.ShouldBe(exact, 1e-4);
    }

    [Theory]
    [InlineData("A1", -.30907)]
    [InlineData("A2", -.34597)]
    [InlineData("A3", -.39798)]
    public void A_longer_shaft_lowers_front_of_center(string name, double perInch) =>
        Of(name).FrontOfCenterPerInch(Cases[name].Front, Cases[name].PerInch).ShouldBe(perInch, 1e-5);

    [Theory]
    [InlineData("A1", 12, 92.365)]
    [InlineData("A1", 15, 125.283)]
    [InlineData("A1", 18, 164.083)]
    [InlineData("A2", 12, 71.332)]
    [InlineData("A2", 15, 94.479)]
    [InlineData("A2", 18, 122.163)]
    [InlineData("A3", 12, 25.986)]
    [InlineData("A3", 15, 64.377)]
    [InlineData("A3", 18, 109.510)]
    public void The_point_for_a_wanted_front_of_center_is_exact(string name, double wanted, double grains)
    {
        Of(name).GrainsFor("Point", wanted).ShouldBe(grains, 1e-3);
        Of(name, pointGrains: Of(name).GrainsFor("Point", wanted)).FrontOfCenter.ShouldBe(wanted, 1e-9);
    }

    [Fact]
    public void A_balance_beyond_the_point_is_refused() =>
        Should.Throw<RefusedException>(() => Of("A1").GrainsFor("Point", 60)).Code.ShouldBe("no-answer");

    [Fact]
    public void A_balance_behind_the_bare_arrow_is_refused() =>
        Should.Throw<RefusedException>(() => Of("A3").GrainsFor("Point", -10));

    private static Balance Of(string name, double? pointGrains = null)
    {
        var (length, start, perInch, parts, _) = Cases[name];
        List<PlacedMass> masses = [new("Shaft", perInch * (length - start), (length + start) / 2)];
        masses.AddRange(
            parts.Select(p => new PlacedMass(p.Item1, p.Item1 == "Point" ? pointGrains ?? p.Item2 : p.Item2, p.Item3))
        );
        return new Balance(length, masses);
    }
}

using Merganser.Core.Bows;
using Merganser.Core.Paper;

namespace Merganser.Core.Tests.Paper;

public class MeanTearTests
{
    /// <summary>F(2, 8) at 5 % is 4.459, F(2, 4) 6.944, F(2, 18) 3.555: NIST/SEMATECH e-Handbook 1.3.6.7.3.</summary>
    [Theory]
    [InlineData(4, 6.944)]
    [InlineData(8, 4.459)]
    [InlineData(18, 3.555)]
    public void The_critical_value_is_the_tabled_one(double freedom, double f) =>
        MeanTear.CriticalF(freedom).ShouldBe(f, .0005);

    /// <summary>docs/models.md: five shots with spread 0.14 in give a radius of 0.187 in.</summary>
    [Fact]
    public void Five_shots_of_usual_spread_give_the_noted_region()
    {
        var d = .14 * Math.Sqrt(2);
        var mean = new MeanTear([new(d, 0), new(-d, 0), new(0, d), new(0, -d), new(0, 0)]);
        mean.Spread.ShouldBe(.14, 1e-12);
        mean.Radius.ShouldBe(.187, .0005);
    }

    /// <summary>One shot: 1.73 times the radial spread s√2, that is 2.448 s.</summary>
    [Fact]
    public void One_shot_borrows_the_usual_spread()
    {
        var mean = new MeanTear([new(.5, 0)], .2);
        mean.SpreadAssumed.ShouldBeTrue();
        mean.Radius.ShouldBe(1.7308 * .2 * Math.Sqrt(2), 1e-4);
    }

    /// <summary>
    /// Half an inch that was only said is off by a quarter of it at one sd: that and the spread of a shot, .18 in, are
    /// one error of √(.18² + .125²), and 2.448 of it hold 95 % in two dimensions.
    /// </summary>
    [Fact]
    public void A_shot_that_was_said_is_known_less_well_than_one_that_was_marked()
    {
        var said = new Tear(-.5, 0) with { ReadWithin = ShooterWords.ReadWithin(new Tear(-.5, 0)) };
        var mean = new MeanTear([said]);
        mean.Radius.ShouldBe(2.4477 * Math.Sqrt((.18 * .18) + (.125 * .125)), 1e-3);
        mean.Reading.Said().ShouldBe("Tail left 0.50 in, as it was said.");
        new MeanTear([said, said, said, said]).Radius.ShouldBeGreaterThan(2.4477 * .125 / 2 - 1e-3, "it stays");
        ShooterWords.ReadWithin(new Tear(0, 0)).ShouldBe(.1, "one clean hole is a word too");
    }

    [Theory]
    [InlineData(-.8, .05, "Tail left 0.80 in. Height is level.")]
    [InlineData(.8, -.6, "Tail right 0.80 in, tail low 0.60 in.")]
    [InlineData(.01, .9, "Tail high 0.90 in. Left and right are level.")]
    [InlineData(.2, .0, "Tail right a little, 0.20 in. Height is level.")]
    [InlineData(.01, .02, "Level both ways.")]
    public void A_reading_is_said_by_the_tail(double x, double y, string words) =>
        new MeanTear([new(x - .06, y), new(x + .06, y), new(x, y + .06), new(x, y - .06)])
            .Reading.Said()
            .ShouldBe(words);

    [Fact]
    public void Holes_that_differ_too_much_are_never_called_level()
    {
        new MeanTear([new(-1, 0), new(-.2, 1.5)]).Reading.Said().ShouldStartWith("Not known yet");
        new MeanTear([new(3, .3), new(3.1, -.3)])
            .Reading.Said()
            .ShouldBe("Tail right 3.05 in. Height is not known yet.");
    }

    [Fact]
    public void A_sheet_read_from_the_target_side_is_mirrored()
    {
        Tear.Between(new(1, 1), new(.2, 1.5), SheetSide.ShootingSide).ShouldBe(new Tear(-.8, .5));
        Tear.Between(new(1, 1), new(.2, 1.5), SheetSide.TargetSide).ShouldBe(new Tear(.8, .5));
    }

    [Fact]
    public void No_tears_have_no_mean() => Should.Throw<ArgumentException>(() => new MeanTear([]));

    [Fact]
    public void Level_is_told_per_axis()
    {
        var mean = new MeanTear([new(-.8, .05), new(-.82, .0), new(-.78, -.05)]);
        mean.Level(TearAxis.Sideways).ShouldBeFalse();
        mean.Level(TearAxis.Height).ShouldBeTrue();
    }
}

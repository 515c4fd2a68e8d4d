using Merganser.Core.Bows;
using Merganser.Core.Paper;
using Merganser.Core.Simulation;

namespace Merganser.Core.Tests.Simulation;

/// <summary>
/// Each variant of the simulated world does what its name says, and leaves the bow of a seed the same.
/// </summary>
public class SimulatedWorldTests
{
    private static readonly double[] Start = new double[5];

    [Fact]
    public void Another_world_is_the_same_bow() => new SimulatedBow(
            7,
            new()
            {
                DayBias = .12,
                Drift = .02,
                Misturned = .5,
            }
        ).TrueMean([0, 4, 1, 0, 1]).ShouldBe(new SimulatedBow(7).TrueMean([0, 4, 1, 0, 1]));

    [Theory]
    [InlineData(0)]
    [InlineData(.1)]
    public void Its_gains_are_a_share_of_the_usual(double answer)
    {
        var (usual, less) = (new SimulatedBow(7), new SimulatedBow(7, new() { Answer = answer }));
        for (var lever = 0; lever < 5; lever++)
        {
            less.TrueGain(lever).X.ShouldBe(answer * usual.TrueGain(lever).X, 1e-12);
            less.TrueGain(lever).Y.ShouldBe(answer * usual.TrueGain(lever).Y, 1e-12);
        }
    }

    [Fact]
    public void A_reversed_adjuster_answers_the_other_way_and_no_other_does()
    {
        SimulatedWorld pockets = new(Adjusters: SimulatedAdjusters.Pockets);
        var (usual, other) = (
            new SimulatedBow(7, pockets),
            new SimulatedBow(7, pockets with { Reversed = AdjusterKind.LimbPocket })
        );
        other.Kinds[4].ShouldBe(AdjusterKind.LimbPocket);
        other.TrueGain(4).X.ShouldBe(-usual.TrueGain(4).X);
        other.TrueGain(1).ShouldBe(usual.TrueGain(1));
    }

    [Fact]
    public void First_tears_are_twice_as_long() =>
        new SimulatedBow(7, new() { TearScale = 2 })
            .TrueMean(Start)
            .Length.ShouldBe(2 * new SimulatedBow(7).TrueMean(Start).Length, 1e-12);

    [Fact]
    public void Cross_gains_are_as_wide_as_they_are_said()
    {
        double Spread(double cross) =>
            Math.Sqrt(
                Enumerable
                    .Range(0, 800)
                    .Average(seed => Math.Pow(new SimulatedBow(seed, new() { CrossSd = cross }).TrueGain(1).X / .03, 2))
            );
        Spread(.08).ShouldBe(.08, .01);
        Spread(.50).ShouldBe(.50, .05);
    }

    [Fact]
    public void A_saturating_adjuster_answers_less_the_farther_it_goes()
    {
        var bow = new SimulatedBow(7, new() { Saturating = true });
        double At(int steps) => bow.TrueMean([0, steps, 0, 0, 0]).Y - bow.TrueMean(Start).Y;
        Math.Abs(At(60)).ShouldBeLessThan(.8 * 60 * Math.Abs(At(1)));
        At(2).ShouldBe(2 * At(1), .01 * Math.Abs(At(1)));
    }

    [Fact]
    public void Backlash_is_lost_on_a_turn_back_and_not_on_a_turn_on()
    {
        var lost = Enumerable.Range(0, 60).Select(seed => Off(seed, new() { Backlash = 2 }, 4, 8, 2)).ToArray();
        lost.Select(l => l[1]).ShouldAllBe(off => Math.Abs(off) < 1e-9, "turned on");
        lost.Select(l => (int)Math.Round(Math.Abs(l[2])))
            .Distinct()
            .ShouldBe([0, 1, 2], ignoreOrder: true, "turned back");
    }

    [Fact]
    public void One_move_in_ten_is_turned_a_step_off()
    {
        double[] to = [.. Enumerable.Range(1, 20)];
        var off = Enumerable.Range(0, 50).SelectMany(seed => Off(seed, new() { Misturned = .1 }, to)).ToArray();
        var changes = off.Zip(off.Skip(1)).Count(pair => Math.Abs(pair.First - pair.Second) > .5);
        changes.ShouldBeInRange(60, 140);
    }

    [Fact]
    public void A_move_the_other_way_than_logged_goes_just_as_far()
    {
        var off = Off(3, new() { WrongWay = 1 }, 5);
        off[0].ShouldBe(-10, 1e-9);
    }

    [Fact]
    public void A_days_bias_is_the_same_all_day_and_no_part_of_the_true_mean()
    {
        var bias = Enumerable.Range(0, 400).Select(seed => Mean(seed, new() { DayBias = .12 }, 60)).ToArray();
        Sd(bias.Select(b => b.X)).ShouldBe(.12, .02);
    }

    [Fact]
    public void Form_drifts_and_fatigue_widens()
    {
        Mean(7, new() { Drift = .02 }, 100, from: 99).Length.ShouldBe(.02 * 99, .9);
        SpreadOf(new() { Fatigue = .02 }, 200, from: 150).ShouldBeGreaterThan(2 * SpreadOf(new(), 200, from: 150));
    }

    [Fact]
    public void Heavy_tails_stray_further_in_the_worst_shots_and_heights_twice_as_far()
    {
        SimulatedWorld plain = new(FlyerShare: 0);
        double Worst(SimulatedWorld world) =>
            Enumerable.Range(0, 40).Average(s => Strays(s, world, 60).Max(t => t.Length));
        Worst(plain with { HeavyTails = true }).ShouldBeGreaterThan(1.2 * Worst(plain));
        var high = Enumerable.Range(0, 40).SelectMany(s => Strays(s, plain with { HeightSpread = 2 }, 40)).ToArray();
        (Sd(high.Select(t => t.Y)) / Sd(high.Select(t => t.X))).ShouldBe(2, .15);
    }

    [Fact]
    public void Holes_are_read_to_an_eighth_and_a_string_settles_by_its_inches()
    {
        var read = new SimulatedBow(7, new() { ReadTo = .125 }).Shoot(Start);
        (read.X / .125).ShouldBe(Math.Round(read.X / .125), 1e-9);
        var (early, late) = (Mean(7, new() { Settling = .2 }, 1), Mean(7, new() { Settling = .2 }, 200, from: 100));
        (late.Y - Mean(7, new(), 200, from: 100).Y).ShouldBe(.2, 1e-9);
        early.Y.ShouldBe(Mean(7, new(), 1).Y, 1e-9);
    }

    [Fact]
    public void A_grip_that_changes_moves_every_shot_after_it()
    {
        var changed = new SimulatedWorld { GripChangesAt = 6 };
        Mean(7, changed, 6).ShouldBe(Mean(7, new(), 6));
        var (before, after) = (Mean(7, new(), 40, from: 6), Mean(7, changed, 40, from: 6));
        Math.Sqrt(Math.Pow(after.X - before.X, 2) + Math.Pow(after.Y - before.Y, 2)).ShouldBe(.5, 1e-9);
    }

    [Fact]
    public void Another_visit_is_another_tear_of_the_same_bow()
    {
        var (first, second) = (new SimulatedBow(7), new SimulatedBow(7, new() { Visit = 2 }));
        second.TrueGain(4).ShouldBe(first.TrueGain(4));
        second.Spread.ShouldBe(first.Spread);
        second.TrueMean(Start).ShouldNotBe(first.TrueMean(Start));
    }

    [Fact]
    public void What_cannot_be_reached_is_out_of_reach()
    {
        var bow = new SimulatedBow(7);
        bow.OutOfReach([], .25).ShouldBeTrue("it begins outside");
        bow.OutOfReach([], 9).ShouldBeFalse();
        bow.OutOfReach(bow.Kinds, .25).ShouldBeFalse();
    }

    /// <summary>By how many steps the height of the rest stands off, after each of these positions was shot.</summary>
    private static double[] Off(int seed, SimulatedWorld world, params double[] positions)
    {
        var (bow, straight) = (new SimulatedBow(seed, world), new SimulatedBow(seed));
        bow.Shoot(Start);
        return
        [
            .. positions.Select(to =>
            {
                double[] setting = [0, to, 0, 0, 0];
                bow.Shoot(setting);
                return (bow.TrueMean(setting).Y - straight.TrueMean(setting).Y) / bow.TrueGain(1).Y;
            }),
        ];
    }

    private static Tear[] Strays(int seed, SimulatedWorld world, int shots, int from = 0)
    {
        var bow = new SimulatedBow(seed, world);
        var mean = bow.TrueMean(Start);
        Tear[] shot = [.. Enumerable.Range(0, shots).Select(_ => bow.Shoot(Start))];
        return [.. shot.Skip(from).Select(t => new Tear(t.X - mean.X, t.Y - mean.Y))];
    }

    private static Tear Mean(int seed, SimulatedWorld world, int shots, int from = 0) =>
        Tear.Mean(Strays(seed, world, shots, from));

    private static double SpreadOf(SimulatedWorld world, int shots, int from) =>
        Sd(
            Enumerable
                .Range(0, 30)
                .SelectMany(s => Strays(s, world with { FlyerShare = 0 }, shots, from))
                .Select(t => t.X)
        );

    private static double Sd(IEnumerable<double> numbers)
    {
        double[] all = [.. numbers];
        var mean = all.Average();
        return Math.Sqrt(all.Average(n => (n - mean) * (n - mean)));
    }
}

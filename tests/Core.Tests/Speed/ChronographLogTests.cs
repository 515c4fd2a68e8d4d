using Merganser.Core.Dozens;
using Merganser.Core.Figures;
using Merganser.Core.Speed;

namespace Merganser.Core.Tests.Speed;

/// <summary>What is asked about a chronograph reading, and what no bow can have.</summary>
public class ChronographLogTests
{
    [Fact]
    public void A_flyer_is_asked_about_from_the_second_shot_on()
    {
        Of().Expected(400).ShouldBeNull("the first shot has nothing to be far from");
        Should.NotThrow(() => Of().DemandLikely(400, 224));
        var one = Of((400, 254));
        Should.Throw<RefusedException>(() => one.DemandLikely(400, 224)).Code.ShouldBe(RefusedException.Far);
        Should.NotThrow(() => one.DemandLikely(400, 250));
        var far = Should.Throw<RefusedException>(() => Of((400, 254), (400, 255), (400, 253)).DemandLikely(400, 224));
        far.Said.Said().ShouldContain("224.0 ft/s is far from the 254.0");
        Should.NotThrow(() => one.DemandLikely(480, 237), "another weight is expected by the usual virtual mass");
        Should.Throw<RefusedException>(() => one.DemandLikely(480, 262));
    }

    /// <summary>
    /// One mass of 254 ft/s at 400 gr with K = 110 ± 40 gr: 480 gr is expected at 254·√(510/590) = 236.15 ft/s; by the
    /// delta method ± (v/2)·(1/510 − 1/590)·40 = 1.26 from K and 1 ft/s·(236.15/254) = .93 from the reading: 1.56.
    /// </summary>
    [Fact]
    public void What_is_expected_of_another_weight_carries_its_error()
    {
        var about = Of((400, 254)).Expected(480)!.Value;
        about.Speed.ShouldBe(236.15, .01);
        about.Error.ShouldBe(1.56, .01);
    }

    /// <summary>224 among 254 gave K = −24 gr and "every speed figure follows" in a tried evening.</summary>
    [Fact]
    public void A_virtual_mass_or_an_energy_that_no_bow_has_teaches_nothing_and_says_why()
    {
        var flyer = Of((400, 254), (400, 254), (500, 224), (500, 224));
        flyer.Fit().ShouldBeNull();
        flyer.Read().VirtualMass.ShouldBeNull();
        flyer.Read().Words.Said().ShouldContain("virtual mass would be");
        var sound = Of((400, 254), (500, 231));
        sound.Fit().ShouldNotBeNull();
        // 1/2 m v² of 600 gr at 350 ft/s alone is 163 ft·lb; 70 lb over 20.9 in are 122.
        var strong = Of((600, 350));
        strong.Fit().ShouldBeNull();
        strong.Read().Words.Said().ShouldContain("takes up");
        Of((400, 254), (500, 260)).Read().Words.ShouldBe(DozenSays.HeavierNotSlower);
    }

    /// <summary>Pooled over masses, Σ(n−1)s²/Σ(n−1): {250, 256} and {230, 233, 236} give (18 + 18)/3 = 12.</summary>
    [Fact]
    public void The_spread_of_a_reading_is_the_shots_own_and_never_under_the_instruments()
    {
        Of((400, 250), (400, 256), (500, 230), (500, 233), (500, 236)).ReadingSpread.ShouldBe(Math.Sqrt(12), 1e-9);
        Of((400, 254), (400, 254.2)).ReadingSpread.ShouldBe(1);
        Of((400, 254), (500, 231)).ReadingSpread.ShouldBe(1);
    }

    /// <summary>½ m v² in ft·lb: 400 gr at 254 ft/s is 57.3 (grains·(ft/s)²/450,437, common practice).</summary>
    [Fact]
    public void Efficiency_and_nominal_stand_beside_the_energy()
    {
        var row = Of((400, 254)).Read().Strings[0];
        row.Energy.ShouldBe(400 * 254 * 254 / 450_437.0, .01);
        row.Efficiency.ShouldBe(100 * row.Energy / LaunchSpeed.EstimatedEnergy(Samples.Compound), .01);
        var nominal = LaunchSpeed.Of(Samples.Compound, 400).Bare;
        (nominal * (1 + (row.OverNominal / 100))).ShouldBe(254, .001);
    }

    [Fact]
    public void The_newest_readings_are_listed_with_odd_ones_of_before_and_all_when_asked_for()
    {
        var log = Of([
            (400, 236),
            .. Enumerable.Range(0, 39).Select(i => (400.0, i % 2 == 0 ? 254.0 : 254.6)),
            (500, 231),
        ]);
        var (newest, all) = (log.Read().Strings, log.Read(all: true).Strings);
        newest[0].Count.ShouldBe(40);
        newest[0].Odd.ShouldBe(["s0"]);
        newest[0].Shots.Select(s => s.Id).ShouldBe(["s0", .. Enumerable.Range(30, 10).Select(i => $"s{i}")]);
        newest[1].Shots.Count.ShouldBe(1);
        all[0].Shots.Count.ShouldBe(40);
        (all[0].Mean, all[0].Spread).ShouldBe((newest[0].Mean, newest[0].Spread));
    }

    private static ChronographLog Of(params (double Grains, double Speed)[] shots) =>
        new(
            [.. shots.Select((s, i) => new SpeedShot($"s{i}", s.Grains, s.Speed, "typed", DateTimeOffset.UnixEpoch))],
            Samples.Compound
        );
}

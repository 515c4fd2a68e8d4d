using Merganser.Core.Bows;
using Merganser.Core.Speed;

namespace Merganser.Core.Tests.Speed;

public class ForceCurveTests
{
    private static readonly Bow Bow = Samples.Compound;

    /// <summary>A spring of 3 lb/in drawn 20 in stores ½·60·20/12 = 50 ft·lb (Hooke's law).</summary>
    [Fact]
    public void A_spring_stores_half_its_force_times_its_travel()
    {
        var curve = Curve(at => 3 * at, 20, 1);
        curve.Energy.ShouldBe(50, 1e-9);
        (curve.Peak, curve.Holding).ShouldBe((60, 60));
    }

    /// <summary>½(1 + cos) over a length averages to a half; a sine's rise to 2/π (tables of integrals).</summary>
    [Fact]
    public void A_curve_of_known_area_is_found_within_a_per_cent_at_one_point_an_inch()
    {
        const double peak = 60;
        var (rise, stand, fall) = (6.0, 9.0, 6.0);
        var truth = peak * ((rise * 2 / Math.PI) + stand + (fall / 2)) / 12;
        var curve = Curve(Force, rise + stand + fall, 1);
        (curve.Energy / truth).ShouldBe(1, 0.01);

        double Force(double at) =>
            at < rise ? peak * Math.Sin(Math.PI / 2 * at / rise)
            : at < rise + stand ? peak
            : peak * (1 + Math.Cos(Math.PI * (at - rise - stand) / fall)) / 2;
    }

    [Fact]
    public void Let_off_is_what_the_cams_take_from_the_peak()
    {
        var curve = new ForceCurve([At(10, 60), At(15, 50), At(20, 12)], Bow);
        curve.LetOff.ShouldBe(80, 1e-9);
    }

    [Fact]
    public void A_curve_teaches_only_when_it_is_whole()
    {
        new ForceCurve([], Bow).Fit().ShouldBeNull();
        Curve(at => at, Bow.PowerStroke, 4).Missing.ShouldBeOfType<BoardNeedsPoints>();
        Curve(at => at, Bow.PowerStroke - 3, 1).Missing.ShouldBeOfType<BoardEndsEarly>();
        var gap = new ForceCurve([.. Readings(at => at, Bow.PowerStroke, 1).Where(r => r.Travel is < 8 or > 12)], Bow);
        gap.Missing.ShouldBeOfType<BoardHasGap>();
        gap.Fit().ShouldBeNull();
        Curve(at => at, Bow.PowerStroke, 1).Fit().ShouldNotBeNull();
    }

    /// <summary>The order in which it was read does not matter; a place read twice counts once, by its mean.</summary>
    [Fact]
    public void Readings_come_in_any_order()
    {
        var readings = Readings(at => 3 * at, 20, 1);
        var there = new ForceCurve(readings, Bow);
        var back = new ForceCurve([.. readings.Reverse(), At(20, 58), At(20, 62)], Bow);
        back.Energy.ShouldBe(there.Energy, 1e-9);
        back.Points.Count.ShouldBe(there.Points.Count);
    }

    /// <summary>Half of the stroke apart is half of the cams' turn.</summary>
    [Fact]
    public void Stops_are_told_as_a_turn_of_the_cams()
    {
        var half = Bow.PowerStroke / 2;
        BoardReading[] readings =
        [
            At(1, 10),
            new("t", BoardMark.TopStop, half, null, "typed"),
            new("b", BoardMark.BottomStop, 2 * half, null, "typed"),
        ];
        var curve = new ForceCurve(readings, Bow);
        curve.StopsApart!.Value.ShouldBe(half, 1e-9);
        curve.StopsApartDegrees!.Value.ShouldBe(ForceCurve.CamTurns / 2, 1e-9);
        new ForceCurve(readings[..2], Bow).StopsApart.ShouldBeNull();
    }

    /// <summary>More energy is a faster arrow, in the ratio of the roots (Klopsteg's model, 1943).</summary>
    [Fact]
    public void A_measured_curve_stands_in_place_of_the_estimate()
    {
        var bare = Bow with { RatedSpeed = null, Chronograph = null };
        var curved = bare with { Force = new ForceFit(80, 60, 12, 21) };
        var stronger = bare with { Force = new ForceFit(160, 60, 12, 21) };
        var (one, two) = (LaunchSpeed.Of(curved, 400), LaunchSpeed.Of(stronger, 400));
        (two.Speed / one.Speed).ShouldBe(Math.Sqrt(2), 1e-9);
        ((one.High - one.Low) / one.Speed).ShouldBeLessThan(
            (LaunchSpeed.Of(bare, 400).High - LaunchSpeed.Of(bare, 400).Low) / LaunchSpeed.Of(bare, 400).Speed
        );
        LaunchSpeed.StoredEnergy(curved).ShouldBe(80);
        LaunchSpeed.Of(Bow with { Force = curved.Force, RatedSpeed = 320 }, 400).FromRating.ShouldBeTrue();
    }

    [Fact]
    public void A_point_is_taken_once_when_the_string_stands_still()
    {
        var crank = new CrankWatch();
        bool[] taken =
        [
            crank.See(0, true),
            crank.See(0.6, false),
            crank.See(1, true),
            crank.See(1.01, true),
            crank.See(1.3, true),
            crank.See(2, true),
            crank.See(0, true),
            crank.See(1, true),
        ];
        taken.ShouldBe([false, false, true, false, false, true, false, true]);
    }

    [Fact]
    public void Every_figure_of_a_whole_curve_has_its_working()
    {
        var figures = BoardFigures.Of(Curve(at => 3 * at, Bow.PowerStroke, 1));
        figures.Select(f => f.Name).ShouldBe(["peak", "holding", "letOff", "storedEnergy"]);
        figures.ShouldAllBe(f => f.Value != null && f.Missing == null);
        BoardFigures.Of(Curve(at => 3 * at, 5, 1)).Select(f => f.Name).ShouldBe(["peak"], "it is not whole");
        BoardFigures.Of(new ForceCurve([], Bow)).ShouldBeEmpty();
    }

    private static ForceCurve Curve(Func<double, double> force, double to, double step) =>
        new(Readings(force, to, step), Bow);

    private static BoardReading[] Readings(Func<double, double> force, double to, double step) =>
        [
            .. Enumerable
                .Range(1, (int)Math.Ceiling(to / step))
                .Select(i => Math.Min(to, i * step))
                .Select(at => At(at, force(at))),
        ];

    private static BoardReading At(double travel, double force) =>
        new($"{travel}-{force}", BoardMark.Force, travel, force, "typed");
}

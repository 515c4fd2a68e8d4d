using Merganser.Core.Arrows;
using Merganser.Core.Spine;
using Merganser.Core.Trials;

namespace Merganser.Core.Tests.Trials;

/// <summary>Points over shafts: the range by figures, the plan, and which shaft takes the widest range.</summary>
public class TrialTests
{
    private static double FitWith(Arrow arrow, double grains) =>
        new ArrowNumbers(
            Samples.Compound,
            arrow with
            {
                Point = arrow.Point with { Grains = grains, MeasuredGrains = null },
            }
        )
            .Fit
            .Ratio;

    [Theory]
    [InlineData(.3)]
    [InlineData(.34)]
    [InlineData(.4)]
    public void Every_point_inside_has_a_good_fit_and_none_outside(double spine)
    {
        var arrow = Samples.A1 with { Shaft = Samples.A1.Shaft with { Spine = spine } };
        var range = PointsByFigures.Of(Samples.Compound, arrow);
        for (var grains = 45.0; grains <= 395; grains += 5)
        {
            var numbers = new ArrowNumbers(
                Samples.Compound,
                arrow with
                {
                    Point = arrow.Point with { Grains = grains, MeasuredGrains = null },
                }
            );
            var good =
                numbers.Fit.Ratio is >= SpineFit.GoodFrom and <= SpineFit.GoodTo
                && numbers.GrainsPerPound >= ArrowCautions.LeastGrainsPerPound;
            (range?.Holds(grains) ?? false).ShouldBe(good, $"{grains} gr: {numbers.Fit.Ratio}");
        }
    }

    [Fact]
    public void Its_ends_are_where_the_fit_stops_being_good_and_a_stiffer_shaft_wants_heavier_points()
    {
        var range = PointsByFigures.Of(Samples.Compound, Samples.A1)!;
        FitWith(Samples.A1, range.Heaviest).ShouldBe(SpineFit.GoodFrom, .001);
        var stiff = Samples.A1 with { Shaft = Samples.A1.Shaft with { Spine = Samples.A1.Shaft.Spine * .95 } };
        PointsByFigures.Of(Samples.Compound, stiff)!.Heaviest.ShouldBeGreaterThan(range.Heaviest);
        var weak = Samples.A1 with { Shaft = Samples.A1.Shaft with { Spine = 1.2 } };
        PointsByFigures.Of(Samples.Compound, weak).ShouldBeNull();
    }

    private static TrialPoint Point(double grains, bool owned = false, string? id = null, int broken = 0) =>
        new(id ?? $"p{grains}", $"Pebble {grains}", broken, grains, owned);

    private static TrialShaft Shaft(
        string name,
        double low,
        double high,
        IReadOnlyList<TrialPoint> points,
        params TrialFound[] found
    ) => new(name, name, name, 100, new PointsByFigures(low, high), points, found);

    [Fact]
    public void What_is_suggested_spans_the_range_is_owned_first_and_goes_from_heavy_to_light()
    {
        TrialPoint[] points =
        [
            Point(75),
            Point(90),
            Point(100),
            Point(100, owned: true, id: "mine"),
            Point(110),
            Point(125),
            Point(150),
        ];
        var suggested = Shaft("S", 80, 130, points).Suggested;
        suggested.Select(p => p.Grains).ShouldBe([125, 100, 90]);
        suggested[1].PointId.ShouldBe("mine");
        Shaft("S", 300, 350, points).Suggested.ShouldBeEmpty();
    }

    [Fact]
    public void A_part_with_steps_is_taken_once_and_broken_off_on_the_way()
    {
        TrialPoint[] needle =
        [
            Point(100, owned: false, "needle", 2),
            Point(120, owned: false, "needle"),
            Point(110, owned: false, "needle", 1),
        ];
        var shaft = Shaft("S", 90, 130, needle);
        var steps = TrialStep.Of([(shaft, needle)]);
        steps.Select(s => (s.Point.Grains, s.Break)).ShouldBe([(120, 0), (110, 1), (100, 1)]);
        steps[0].Words.Said().ShouldBe("S with 120 gr: buy Pebble 120");
        steps[2].Words.Said().ShouldBe("S with 100 gr: break 1 step off");
        // The first of them may be broken already.
        TrialStep.Of([(shaft, needle.Take(1))])[0].Words.Said().ShouldContain("buy Pebble 100, break 2 steps off");
        // Another shaft has a part of its own.
        TrialStep.Of([(shaft, needle.Take(1)), (Shaft("T", 90, 130, needle), needle.Take(1))])[1].Break.ShouldBe(0);
    }

    [Fact]
    public void The_widest_range_of_points_that_can_be_had_wins_and_papers_win_over_figures()
    {
        TrialPoint[] points = [Point(80), Point(100), Point(125), Point(150)];
        var (narrow, wide) = (Shaft("Narrow", 95, 130, points), Shaft("Wide", 70, 160, points));
        var said = WidestShaft.Of([narrow, wide])!;
        (said.Arrow, said.Lightest.Value, said.Heaviest.Value, said.ByPaper).ShouldBe(("Wide", 80, 150, false));
        said.Other.Value.ShouldBe(25);
        // A range that no point lies in is none.
        WidestShaft.Of([narrow, Shaft("Endless", 200, 400, points)])!.Arrow.ShouldBe("Narrow");
        WidestShaft.Of([narrow]).ShouldBeNull();

        TrialFound[] all = [new(100, true), new(125, true), new(150, null)];
        TrialFound[] one = [new(80, false), new(100, true), new(150, false)];
        var shot = WidestShaft.Of([Shaft("Narrow", 95, 130, points, all), Shaft("Wide", 70, 160, points, one)])!;
        (shot.Arrow, shot.ByPaper, shot.Lightest.Value, shot.Heaviest.Value).ShouldBe(("Narrow", true, 100, 150));
        shot.Other.Value.ShouldBe(0);
    }
}

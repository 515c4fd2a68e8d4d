using Merganser.Core.Arrows;
using Merganser.Core.Bows;
using Merganser.Core.Speed;
using Merganser.Core.Spine;

namespace Merganser.Core.Finder;

/// <summary>What the handles of a wanted range stand on, in the figure's trade unit.</summary>
/// <param name="Figure">The figure.</param>
/// <param name="Low">Left end.</param>
/// <param name="High">Right end.</param>
/// <param name="Step">A handle's step.</param>
/// <param name="Here">The present arrow's; null without one.</param>
public sealed record FinderScale(FoundFigure Figure, double Low, double High, double Step, double? Here)
{
    /// <summary>Heavier than so many grains a pound few arrows are (common practice, no source).</summary>
    private const double Heavy = 9;

    /// <summary>Every figure's scale for a bow: as wide as its arrows are, and the present one in it.</summary>
    /// <param name="bow">The bow.</param>
    /// <param name="here">The present arrow's figures; null without one.</param>
    public static IReadOnlyList<FinderScale> Of(Bow bow, FoundFigures? here)
    {
        var light = ArrowCautions.LeastGrainsPerPound * bow.DrawWeight;
        var heavy = Heavy * bow.DrawWeight;
        var (fast, slow) = (LaunchSpeed.Of(bow, light).Speed, LaunchSpeed.Of(bow, heavy).Speed);
        double Energy(double grains, double speed) => LaunchSpeed.KineticEnergy(grains, speed);
        double Momentum(double grains, double speed) => LaunchSpeed.Momentum(grains, speed);
        return
        [
            Scale(FoundFigure.Fit, .85, 1.25, .05, .01),
            Scale(FoundFigure.Weight, light, heavy, 20, 5),
            Scale(FoundFigure.FrontOfCenter, 6, 20, 2, .5),
            Scale(FoundFigure.Speed, slow, fast, 10, 1),
            Scale(FoundFigure.GrainsPerPound, ArrowCautions.LeastGrainsPerPound, Heavy, .5, .1),
            Scale(FoundFigure.KineticEnergy, Energy(light, fast), Energy(heavy, slow), 5, 1),
            Scale(FoundFigure.Momentum, Momentum(light, fast), Momentum(heavy, slow), .05, .005),
            Scale(FoundFigure.HonestRange, 10, 60, 10, 1),
            Scale(FoundFigure.Cost, 0, 40, 10, 1),
        ];

        FinderScale Scale(FoundFigure figure, double low, double high, double round, double step)
        {
            var of = here?[figure] is { } value && double.IsFinite(value) ? value : (double?)null;
            return new FinderScale(
                figure,
                Math.Round(Math.Floor((Math.Min(low, of ?? low) / round) + 1e-9) * round, 6),
                Math.Round(Math.Ceiling((Math.Max(high, of ?? high) / round) - 1e-9) * round, 6),
                step,
                of
            );
        }
    }

    /// <summary>What is wanted until something else is said: a good fit, and near the present arrow.</summary>
    public static IReadOnlyList<WantedRange> Usual(FoundFigures? here)
    {
        List<WantedRange> ranges = [new(FoundFigure.Fit, SpineFit.GoodFrom, SpineFit.GoodTo)];
        if (here is { } arrow)
        {
            var grains = Math.Round(arrow.Grains / 5) * 5;
            ranges.Add(new(FoundFigure.Weight, grains - 20, grains + 40));
            ranges.Add(new(FoundFigure.FrontOfCenter, Math.Floor(arrow.FrontOfCenter * 2) / 2, null));
            ranges.Add(new(FoundFigure.Speed, Math.Floor((arrow.Speed - 10) / 2) * 2, null));
        }

        return ranges;
    }

    /// <summary>An arrow like the present one, so much heavier, with the same front of center.</summary>
    /// <param name="here">The present arrow's figures.</param>
    /// <param name="heavier">Grains; less than 0 for lighter.</param>
    public static IReadOnlyList<WantedRange> Like(FoundFigures here, double heavier)
    {
        var grains = here.Grains + heavier;
        var near = Math.Max(5, grains * .015);
        return
        [
            new(FoundFigure.Fit, SpineFit.GoodFrom, SpineFit.GoodTo),
            new(FoundFigure.Weight, Math.Round(grains - near), Math.Round(grains + near)),
            new(
                FoundFigure.FrontOfCenter,
                Math.Round(here.FrontOfCenter - .5, 1),
                Math.Round(here.FrontOfCenter + .5, 1)
            ),
        ];
    }
}

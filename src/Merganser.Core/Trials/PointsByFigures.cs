using Merganser.Core.Arrows;
using Merganser.Core.Bows;
using Merganser.Core.Figures;
using Merganser.Core.Spine;
using Merganser.Core.Units;

namespace Merganser.Core.Trials;

/// <summary>
/// The points with which an arrow's fit stays good on a bow, all else as it is. A heavier point asks for a stiffer
/// shaft, so the fit falls with its weight and there is one range at the most.
/// </summary>
/// <param name="Lightest">Grains: there the fit is at the stiff end of good, or the arrow as light as its bow stands.
/// </param>
/// <param name="Heaviest">Grains: there it is at the weak end.</param>
public sealed record PointsByFigures(double Lightest, double Heaviest)
{
    /// <summary>Points that are thought of, grains.</summary>
    public static AllowedRange Thought { get; } = new(40, 400, Unit.Grain, Why.HeadWeights);

    private const double Near = .01;

    /// <summary>Grains between its ends.</summary>
    public double Width => Heaviest - Lightest;

    /// <summary>True for a point inside.</summary>
    public bool Holds(double grains) => grains >= Lightest - Near && grains <= Heaviest + Near;

    /// <summary>Of an arrow on a bow; null where no point makes its fit good.</summary>
    public static PointsByFigures? Of(Bow bow, Arrow arrow)
    {
        var lightest = Where(grains => With(grains).Fit.Ratio <= SpineFit.GoodTo);
        var stands = Where(grains => With(grains).GrainsPerPound >= ArrowCautions.LeastGrainsPerPound);
        var beyond = Where(grains => With(grains).Fit.Ratio < SpineFit.GoodFrom);
        return Math.Max(lightest, stands) is var low && beyond > low + Near ? new PointsByFigures(low, beyond) : null;

        ArrowNumbers With(double grains) =>
            new(bow, arrow with { Point = arrow.Point with { Grains = grains, MeasuredGrains = null } });
    }

    /// <summary>The first weight from which it holds, to a hundredth of a grain; an end where it always or never does.
    /// </summary>
    private static double Where(Func<double, bool> holds)
    {
        var (low, high) = (Thought.Low, Thought.High);
        if (holds(low))
        {
            return low;
        }

        while (high - low > Near)
        {
            var middle = (low + high) / 2;
            (low, high) = holds(middle) ? (low, middle) : (middle, high);
        }

        return high;
    }
}

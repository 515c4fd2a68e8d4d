using Merganser.Core.Bows;
using Merganser.Core.Spine;

namespace Merganser.Core.Arrows;

/// <summary>
/// A line on the chart: the point weight at which a spine fits just right, over cut length; null where no weight does.
/// </summary>
/// <param name="Label">The shaft's size.</param>
/// <param name="Spine">Its spine.</param>
/// <param name="Points">Point weight for each length of the chart.</param>
public sealed record SpineLine(string Label, double Spine, IReadOnlyList<double?> Points);

/// <summary>
/// Fit over cut length and point weight for one shaft on one bow, with the other spines of its family as lines where R
/// = 1. The rule is that of <see cref="NeededSpine"/>; each cell is computed with the whole arrow, not by a derivative.
/// </summary>
/// <param name="Lengths">Columns, inches.</param>
/// <param name="PointWeights">Rows, grains.</param>
/// <param name="Ratios">R by row, then column.</param>
/// <param name="Least">The shortest safe length: 1 in ahead of the rest at full draw.</param>
/// <param name="Lines">Other spines that exist.</param>
public sealed record SpineChart(
    IReadOnlyList<double> Lengths,
    IReadOnlyList<double> PointWeights,
    IReadOnlyList<IReadOnlyList<double>> Ratios,
    double Least,
    IReadOnlyList<SpineLine> Lines
)
{
    private const double LengthStep = 0.25;
    private const double PointStep = 10;
    private const double LightestPoint = 50;
    private const double HeaviestPoint = 300;
    private const double Reach = 3;
    private const int Halvings = 40;

    /// <summary>Lengths and point weights at which the shafts of a family fit the bow.</summary>
    public static SpineChart Of(Bow bow, Arrow arrow, IReadOnlyList<Shaft> family)
    {
        var middle = Math.Round(arrow.CutLength / LengthStep) * LengthStep;
        double[] lengths =
        [
            .. Steps(
                Math.Max(ArrowRanges.CutLength.Low, middle - Reach),
                Math.Min(ArrowRanges.CutLength.High, middle + Reach),
                LengthStep
            ),
        ];
        double[] points = [.. Steps(LightestPoint, HeaviestPoint, PointStep)];
        var ratios = points
            .Select(p => (IReadOnlyList<double>)[.. lengths.Select(l => Ratio(bow, arrow, arrow.Shaft, l, p))])
            .ToArray();
        var lines = family
            .OrderBy(s => s.SpineInUse)
            .Select(s => new SpineLine(s.Name, s.SpineInUse, [.. lengths.Select(l => PointAt(bow, arrow, s, l))]))
            .ToArray();
        return new SpineChart(lengths, points, ratios, bow.RestAtFullDraw + ArrowCautions.LeastToSpare, lines);
    }

    /// <summary>R of the arrow with this shaft, length and point weight.</summary>
    public static double Ratio(Bow bow, Arrow arrow, Shaft shaft, double length, double pointGrains) =>
        new ArrowNumbers(
            bow,
            arrow with
            {
                Shaft = shaft,
                CutLength = length,
                Point = arrow.Point with { Grains = pointGrains, MeasuredGrains = null },
            }
        )
            .Fit
            .Ratio;

    /// <summary>The point weight at which R = 1, by halving: a heavier point never makes the fit stiffer.</summary>
    private static double? PointAt(Bow bow, Arrow arrow, Shaft shaft, double length)
    {
        var low = LightestPoint;
        var high = HeaviestPoint;
        if (Ratio(bow, arrow, shaft, length, low) < 1 || Ratio(bow, arrow, shaft, length, high) > 1)
        {
            return null;
        }

        for (var i = 0; i < Halvings; i++)
        {
            var middle = (low + high) / 2;
            if (Ratio(bow, arrow, shaft, length, middle) > 1)
            {
                low = middle;
            }
            else
            {
                high = middle;
            }
        }

        return (low + high) / 2;
    }

    private static IEnumerable<double> Steps(double from, double to, double step)
    {
        for (var i = 0; from + (i * step) <= to + 1e-9; i++)
        {
            yield return from + (i * step);
        }
    }
}

using MathNet.Numerics.Distributions;
using MathNet.Numerics.Statistics;
using Merganser.Core.Bows;

namespace Merganser.Core.Arrows;

/// <summary>One arrow on one bow out of all that what is known allows.</summary>
/// <param name="Numbers">Its numbers.</param>
/// <param name="Fit">R of its fit, with an error of the spine rule drawn in.</param>
public readonly record struct Drawn(ArrowNumbers Numbers, double Fit);

/// <summary>
/// What of an arrow and its bow nobody knows but within a range. Each unknown is drawn evenly from its range and apart
/// from the others, the spine rule's own error normally; nine in ten of the draws lie between the ends of a band. The
/// draws are those of an additive sequence (Roberts, "The unreasonable effectiveness of quasirandom sequences", from
/// memory): the same every time.
/// </summary>
public static class NotKnown
{
    /// <summary>Share of the draws below a band, and above it.</summary>
    private const double Tail = 0.05;

    /// <summary>A shaft is never all vanes, inches.</summary>
    private const double LeastBare = 1;

    /// <summary>True when something of the two is known within a range alone.</summary>
    public static bool Any(Bow bow, Arrow arrow) => Of(bow, arrow).Count > 0;

    /// <summary>So many draws of an arrow on its bow.</summary>
    public static IReadOnlyList<Drawn> Draw(Bow bow, Arrow arrow, int count)
    {
        var unknowns = Of(bow, arrow);
        var steps = Steps(unknowns.Count + 1);
        return
        [
            .. Enumerable
                .Range(1, count)
                .Select(n =>
                {
                    var (onBow, drawn) = (bow, arrow);
                    for (var i = 0; i < unknowns.Count; i++)
                    {
                        (onBow, drawn) = unknowns[i](onBow, drawn, (2 * Place(n, steps[i])) - 1);
                    }

                    var numbers = new ArrowNumbers(onBow, drawn);
                    var error = Normal.InvCDF(0, 1, Place(n, steps[^1]));
                    return new Drawn(numbers, numbers.Fit.Ratio * (1 + (numbers.Fit.Relative * error)));
                }),
        ];
    }

    /// <summary>Nine in ten of some values lie between these.</summary>
    public static (double Low, double High) NineInTen(IEnumerable<double> values) => NineInTen([.. values.Order()]);

    /// <summary>The same of values that stand in order.</summary>
    internal static (double Low, double High) NineInTen(double[] sorted) =>
        (SortedArrayStatistics.Quantile(sorted, Tail), SortedArrayStatistics.Quantile(sorted, 1 - Tail));

    /// <summary>How each unknown is set, from −1 at its low end to 1.</summary>
    private static IReadOnlyList<Func<Bow, Arrow, double, (Bow, Arrow)>> Of(Bow bow, Arrow arrow)
    {
        List<Func<Bow, Arrow, double, (Bow, Arrow)>> found = [];
        Add(bow.DrawWeightBand, (b, a, off) => (b with { NominalWeight = b.NominalWeight + off }, a));
        Add(bow.DrawLengthBand, (b, a, off) => (b with { DrawLength = b.DrawLength + off }, a));
        Add(bow.BraceHeightBand, (b, a, off) => (b with { BraceHeight = b.BraceHeight + off }, a));
        Add(
            arrow.CutLengthBand,
            (b, a, off) => (b, a with { CutLength = Math.Max(a.VaneFront + LeastBare, a.CutLength + off) })
        );
        Add(
            arrow.Shaft.MeasuredSpine is null ? arrow.Shaft.SpineBand : 0,
            (b, a, off) => (b, a with { Shaft = a.Shaft with { Spine = a.Shaft.Spine + off } })
        );
        Add(
            arrow.Shaft.MeasuredGrainsPerInch is null ? arrow.Shaft.GrainsPerInchBand : 0,
            (b, a, off) =>
                (b, a with { Shaft = a.Shaft with { GrainsPerInch = Math.Max(1, a.Shaft.GrainsPerInch + off) } })
        );
        Add(
            arrow.Insert?.Band ?? 0,
            (b, a, off) => (b, a with { Insert = a.Insert! with { Grains = a.Insert.Grains + off } })
        );
        Add(arrow.Point.Band, (b, a, off) => (b, a with { Point = a.Point with { Grains = a.Point.Grains + off } }));
        Add(
            arrow.Nock.Band,
            (b, a, off) => (b, a with { Nock = a.Nock with { Grains = Math.Max(0, a.Nock.Grains + off) } })
        );
        Add(
            arrow.Vane?.Band ?? 0,
            (b, a, off) => (b, a with { Vane = a.Vane! with { Grains = Math.Max(0, a.Vane.Grains + off) } })
        );
        return found;

        void Add(double band, Func<Bow, Arrow, double, (Bow, Arrow)> set)
        {
            if (band > 0)
            {
                found.Add((b, a, place) => set(b, a, place * band));
            }
        }
    }

    /// <summary>The n-th place along one unknown, between 0 and 1.</summary>
    private static double Place(int n, double step)
    {
        var place = (0.5 + (n * step)) % 1;
        return Math.Clamp(place, 1e-6, 1 - 1e-6);
    }

    /// <summary>Powers of the positive root of x^(d+1) = x + 1, one for each of d unknowns.</summary>
    private static double[] Steps(int unknowns)
    {
        var root = 2.0;
        for (var i = 0; i < 50; i++)
        {
            root = Math.Pow(1 + root, 1.0 / (unknowns + 1));
        }

        return [.. Enumerable.Range(1, unknowns).Select(i => Math.Pow(1 / root, i) % 1)];
    }
}

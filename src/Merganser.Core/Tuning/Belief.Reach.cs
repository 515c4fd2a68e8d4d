namespace Merganser.Core.Tuning;

/// <summary>What can be reached at all.</summary>
public sealed partial class Belief
{
    /// <summary>
    /// P(reach): chance that some setting of these adjusters brings the tear inside. On each axis every adjuster stands
    /// at the end that helps; the mean then lies at zero, beyond it, or nearer than .8 of the tolerance.
    /// </summary>
    /// <param name="setting">Where the adjusters stand.</param>
    /// <param name="levers">What may be moved.</param>
    /// <param name="tolerance">Radius of the circle, inches.</param>
    /// <param name="deafToo">False once a control has shown that the arrow is not the cause.</param>
    public double ChanceOfReach(double[] setting, IReadOnlyList<Lever> levers, double tolerance, bool deafToo = true)
    {
        var now = At(setting);
        Component[] masks = [.. Masks.Where(m => deafToo || !m.Mask.Deaf)];
        return masks.Sum(mask =>
                mask.Weight
                * AxisReached(mask, setting, levers.Where(l => unknowns.Sideways(l.Index)), now.X, true, tolerance)
                * AxisReached(mask, setting, levers.Where(l => !unknowns.Sideways(l.Index)), now.Y, false, tolerance)
            ) / masks.Sum(m => m.Weight);
    }

    private double AxisReached(
        Component mask,
        double[] setting,
        IEnumerable<Lever> levers,
        double now,
        bool sideways,
        double tolerance
    )
    {
        var (end, away) = ((double[])setting.Clone(), now < 0 ? -1 : 1);
        foreach (var lever in levers)
        {
            var drives = away * mask.Mean[unknowns.Gain(lever.Index)];
            end[lever.Index] =
                drives > 0 ? Math.Min(end[lever.Index], lever.Lower) : Math.Max(end[lever.Index], lever.Upper);
        }

        var at = At(mask, end);
        var (mean, variance) = sideways ? (at.X, at.VarianceX) : (at.Y, at.VarianceY);
        return Normal(((ReachShare * tolerance) - (away * mean)) / Math.Sqrt(variance));
    }

    /// <summary>Nearer than this share of the tolerance on one axis leaves room on the other (measured).</summary>
    private const double ReachShare = 0.8;
}

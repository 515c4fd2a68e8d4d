using MathNet.Numerics;
using MathNet.Numerics.Distributions;

namespace Merganser.Core.Groups;

/// <summary>The chance that an F test shows a true effect.</summary>
public static class NoncentralF
{
    /// <summary>What is planned shows four times in five.</summary>
    public const double Wanted = .8;

    /// <summary>
    /// Σ Poisson(λ/2) (1 − I_x(q/2 + j, ν/2)), x = qF/(ν + qF), F the point of F(q, ν) that is passed with chance α.
    /// </summary>
    /// <param name="top">q, degrees of freedom of the effect, above 0.</param>
    /// <param name="bottom">ν, of the spread, above 0.</param>
    /// <param name="lambda">λ, 0 or more.</param>
    /// <param name="alpha">α, the test's own error.</param>
    public static double Power(double top, double bottom, double lambda, double alpha)
    {
        var half = lambda / 2;
        var ratio = top / bottom * Critical(top, bottom, alpha);
        var x = ratio / (1 + ratio);
        var terms = (int)Math.Ceiling(half + (12 * Math.Sqrt(half)) + 20);
        return Enumerable
            .Range(0, terms)
            .Sum(j => Weight(half, j) * (1 - SpecialFunctions.BetaRegularized((top / 2) + j, bottom / 2, x)));
    }

    /// <summary>The point of F(q, ν) that is passed with this chance.</summary>
    public static double Critical(double top, double bottom, double alpha) =>
        FisherSnedecor.InvCDF(top, bottom, 1 - alpha);

    /// <summary>The chance of passing a point of F(q, ν).</summary>
    public static double Chance(double top, double bottom, double f) =>
        SpecialFunctions.BetaRegularized(bottom / 2, top / 2, bottom / (bottom + (top * f)));

    private static double Weight(double mean, int j) =>
        mean == 0 ? (j == 0 ? 1 : 0) : Math.Exp((j * Math.Log(mean)) - mean - SpecialFunctions.GammaLn(j + 1));
}

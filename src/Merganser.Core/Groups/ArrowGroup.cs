using MathNet.Numerics;
using MathNet.Numerics.Distributions;
using Merganser.Core.Paper;

namespace Merganser.Core.Groups;

/// <summary>
/// Where an arrow struck, inches from the aiming point of its kind: X right and Y up, as the archer sees the target.
/// </summary>
public readonly record struct Impact(double X, double Y)
{
    public static Impact operator -(Impact a, Impact b) => new(a.X - b.X, a.Y - b.Y);

    public static Impact operator +(Impact a, Impact b) => new(a.X + b.X, a.Y + b.Y);

    /// <summary>From the aiming point, inches.</summary>
    public double Length => Math.Sqrt(Square);

    /// <summary>The square of it, in².</summary>
    public double Square => (X * X) + (Y * Y);
}

/// <summary>
/// A group: its centre, its spread and its size, for shots that scatter alike both ways. Closed forms of the normal
/// distribution in two dimensions; a size grows with the number of arrows, a spread does not.
/// </summary>
public sealed class ArrowGroup
{
    /// <summary>Nobody marks a place closer than this, inches: hits on one place are no closer either.</summary>
    public const double MarkedTo = .02;

    /// <summary>Sizes are told as if so many arrows had been shot.</summary>
    public const int UsualArrows = 6;

    /// <param name="impacts">At least two.</param>
    /// <exception cref="ArgumentException">Fewer than two: one arrow is no group.</exception>
    public ArrowGroup(IReadOnlyList<Impact> impacts)
    {
        Count = impacts.Count >= 2 ? impacts.Count : throw new ArgumentException("At least two.", nameof(impacts));
        Centre = new Impact(impacts.Average(i => i.X), impacts.Average(i => i.Y));
        Squares = impacts.Sum(i => (i - Centre).Square);
        MeanRadius = impacts.Average(i => (i - Centre).Length);
        Impacts = impacts;
    }

    /// <summary>The arrows.</summary>
    public IReadOnlyList<Impact> Impacts { get; }

    /// <summary>How many.</summary>
    public int Count { get; }

    /// <summary>Their middle, inches.</summary>
    public Impact Centre { get; }

    /// <summary>Sum of the squares about the centre, in².</summary>
    public double Squares { get; }

    /// <summary>Each arrow from the centre, times √(n/(n−1)): as far as it strays from the true one in the
    /// mean.</summary>
    public IEnumerable<Impact> Strays
    {
        get
        {
            var about = Math.Sqrt(Count / (Count - 1.0));
            return Impacts.Select(i => new Impact(about * (i.X - Centre.X), about * (i.Y - Centre.Y)));
        }
    }

    /// <summary>Degrees of freedom of the spread, both axes together.</summary>
    public int Freedom => 2 * (Count - 1);

    /// <summary>Mean distance from the group's own centre, inches.</summary>
    public double MeanRadius { get; }

    /// <summary>Spread on one axis without bias, inches: √(SS/ν) over c(ν).</summary>
    public double Spread => SpreadOf(Squares, Freedom);

    /// <summary>The true spread on one axis lies here with 95 %: √(SS/χ²), inches.</summary>
    public (double Low, double High) SpreadBand => BandOf(Squares, Freedom);

    /// <summary>The same of squares that were pooled: each group about its own centre.</summary>
    /// <param name="squares">Sum of squares, in².</param>
    /// <param name="freedom">ν, above 0.</param>
    public static (double Low, double High) BandOf(double squares, int freedom) =>
        (
            Math.Sqrt(squares / ChiSquared.InvCDF(freedom, Upper)),
            Math.Sqrt(squares / ChiSquared.InvCDF(freedom, 1 - Upper))
        );

    /// <summary>Spread on one axis of squares that were pooled, without bias.</summary>
    public static double SpreadOf(double squares, int freedom) => Math.Sqrt(squares / freedom) / Bias(freedom);

    private const double Upper = .975;

    /// <summary>The mean radius that the usual number of arrows would show, inches.</summary>
    public double MeanRadiusOfUsual => MeanRadius * ExpectedMeanRadius(UsualArrows) / ExpectedMeanRadius(Count);

    /// <summary>Radius of the circle that holds the true centre with 95 %, inches.</summary>
    public double Radius => MeanTear.RegionRadius(Math.Sqrt(Squares / Freedom), Freedom, Count);

    /// <summary>
    /// What √(SS/ν) is of the true spread in the mean: c = √(2/ν) Γ((ν+1)/2) / Γ(ν/2), the mean of a chi variable.
    /// </summary>
    public static double Bias(int freedom) =>
        Math.Sqrt(2.0 / freedom)
        * Math.Exp(SpecialFunctions.GammaLn((freedom + 1) / 2.0) - SpecialFunctions.GammaLn(freedom / 2.0));

    /// <summary>Mean radius about the own centre in spreads: √(π(n−1)/2n).</summary>
    public static double ExpectedMeanRadius(int arrows) => Math.Sqrt(Math.PI * (arrows - 1) / (2.0 * arrows));
}

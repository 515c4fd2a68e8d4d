using Merganser.Core.Arrows;

namespace Merganser.Core.Spine;

/// <summary>
/// The static spine that a bow needs: need = 0.400·(60/W)·(28/L)^2.5·(0.613065/LF)^1.2 with the load share
/// LF = (front + shaft/2)/total. Origin: an Euler column under the shot's inertial compression; exponents from a
/// transient beam model; agrees with the usual charts (from memory).
/// </summary>
public static class NeededSpine
{
    /// <summary>Exponent of the length.</summary>
    public const double LengthExponent = 2.5;

    /// <summary>Exponent of the load share.</summary>
    public const double LoadExponent = 1.2;
    private const double ReferenceSpine = 0.400;
    private const double ReferenceWeight = 60;
    private const double ReferenceLength = 28;
    private const double ReferenceLoadShare = 0.613065;

    /// <summary>LF: the share of the arrow's mass that the middle of the shaft has to push.</summary>
    public static double LoadShare(double frontGrains, double shaftGrains, double totalGrains) =>
        (frontGrains + (shaftGrains / 2)) / totalGrains;

    /// <summary>Needed ASTM spine in inches.</summary>
    /// <param name="effectiveWeight">Measured draw weight times bow factor, lb, above 0.</param>
    /// <param name="length">Cut length L, inches, above 0.</param>
    /// <param name="loadShare">LF, above 0.</param>
    /// <exception cref="ArgumentOutOfRangeException">An argument is not positive.</exception>
    public static double Of(double effectiveWeight, double length, double loadShare)
    {
        ArgumentOutOfRangeException.ThrowIfNegativeOrZero(effectiveWeight);
        ArgumentOutOfRangeException.ThrowIfNegativeOrZero(length);
        ArgumentOutOfRangeException.ThrowIfNegativeOrZero(loadShare);
        return ReferenceSpine
            * (ReferenceWeight / effectiveWeight)
            * Math.Pow(ReferenceLength / length, LengthExponent)
            * Math.Pow(ReferenceLoadShare / loadShare, LoadExponent);
    }
}

/// <summary>The verdict bands of the fit R = needed/actual spine (common practice, no source).</summary>
public enum FitBand
{
    Weak,
    BorderlineWeak,
    Good,
    Stiff,
}

/// <summary>How well a shaft's spine suits the bow, with the interval that the inputs' uncertainty leaves.</summary>
/// <param name="Ratio">R = needed/actual: above 1 the shaft is stiffer than needed.</param>
/// <param name="Relative">Relative uncertainty √(f² + (2.5 u_L/L)² + (u_W/W)²).</param>
public readonly record struct SpineFit(double Ratio, double Relative)
{
    /// <summary>Below this R a shaft is weak.</summary>
    public const double WeakBelow = 0.90;

    /// <summary>From this R it is good.</summary>
    public const double GoodFrom = 0.97;

    /// <summary>Above this R it is stiff.</summary>
    public const double GoodTo = 1.15;

    /// <summary>Uncertainty of a cut length, inches.</summary>
    public const double LengthUncertainty = 1.0 / 16;

    /// <summary>Uncertainty of a measured draw weight, lb.</summary>
    public const double MeasuredWeightUncertainty = 0.5;

    /// <summary>
    /// Uncertainty of a draw weight that is only the bow's marking, lb: a nominal 80 can read 85 (common practice, no
    /// source).
    /// </summary>
    public const double NominalWeightUncertainty = 3;

    /// <summary>The least R that the inputs leave.</summary>
    public double Low => Ratio * (1 - Relative);

    /// <summary>The most.</summary>
    public double High => Ratio * (1 + Relative);

    /// <summary>The band of R itself.</summary>
    public FitBand Band => BandOf(Ratio);

    /// <summary>The verdict; an interval that crosses a band names the others.</summary>
    public FitIs Words => Said(Ratio, Low, High);

    /// <summary>The verdict on a ratio whose interval is known.</summary>
    public static FitIs Said(double ratio, double low, double high)
    {
        var band = BandOf(ratio);
        return new FitIs(band, [.. new[] { BandOf(low), BandOf(high) }.Where(b => b != band).Distinct()]);
    }

    /// <summary>The fit of an actual spine to a needed one.</summary>
    public static SpineFit Of(
        double needed,
        double actual,
        double length,
        double weight,
        bool weightMeasured,
        double modelSpread
    )
    {
        var weightUncertainty = weightMeasured ? MeasuredWeightUncertainty : NominalWeightUncertainty;
        var relative = Math.Sqrt(
            (modelSpread * modelSpread)
                + Math.Pow(NeededSpine.LengthExponent * LengthUncertainty / length, 2)
                + Math.Pow(weightUncertainty / weight, 2)
        );
        return new SpineFit(needed / actual, relative);
    }

    /// <summary>The band of a ratio.</summary>
    public static FitBand BandOf(double ratio) =>
        ratio switch
        {
            < WeakBelow => FitBand.Weak,
            < GoodFrom => FitBand.BorderlineWeak,
            <= GoodTo => FitBand.Good,
            _ => FitBand.Stiff,
        };
}

using Merganser.Core.Bows;
using Merganser.Core.Units;

namespace Merganser.Core.Speed;

/// <summary>A mean chronograph speed of one arrow mass.</summary>
/// <param name="Grains">Arrow mass.</param>
/// <param name="Speed">ft/s.</param>
/// <param name="Spread">Standard deviation of one reading, ft/s, above 0.</param>
public readonly record struct ChronographShot(double Grains, double Speed, double Spread);

/// <summary>
/// This bow's virtual mass K and energy E from chronograph readings: 1/v² = a + b·m by weighted least squares, K = a/b,
/// 2E = 1/b (Klopsteg's virtual mass, 1943; weighted least squares as in NIST/SEMATECH e-Handbook 4.1.4.3).
/// </summary>
public sealed class SpeedCalibration
{
    /// <summary>K before any second mass was shot, grains, and its spread (trade-like guess, no source).</summary>
    public const double PriorVirtualMass = 110;

    /// <summary>Its spread, grains.</summary>
    public const double PriorSpread = 40;

    private readonly double a;
    private readonly double b;
    private readonly double varianceA;
    private readonly double varianceB;
    private readonly double covariance;

    /// <param name="shots">Readings with at least two different masses.</param>
    /// <exception cref="ArgumentException">Fewer than two masses, or readings that give no positive energy.</exception>
    public SpeedCalibration(IReadOnlyList<ChronographShot> shots)
    {
        if (shots.Select(s => s.Grains).Distinct().Count() < 2)
        {
            throw new ArgumentException("Two arrow masses are needed.", nameof(shots));
        }

        double sw = 0,
            swx = 0,
            swy = 0,
            swxx = 0,
            swxy = 0;
        foreach (var shot in shots)
        {
            var spread = 2 * shot.Spread / Math.Pow(shot.Speed, 3);
            var weight = 1 / (spread * spread);
            var y = 1 / (shot.Speed * shot.Speed);
            sw += weight;
            swx += weight * shot.Grains;
            swy += weight * y;
            swxx += weight * shot.Grains * shot.Grains;
            swxy += weight * shot.Grains * y;
        }

        var determinant = (sw * swxx) - (swx * swx);
        b = ((sw * swxy) - (swx * swy)) / determinant;
        a = ((swxx * swy) - (swx * swxy)) / determinant;
        if (b <= 0)
        {
            throw new ArgumentException("A heavier arrow was not slower: these readings fit no bow.", nameof(shots));
        }

        varianceA = swxx / determinant;
        varianceB = sw / determinant;
        covariance = -swx / determinant;
    }

    /// <summary>A calibration that was kept on the bow.</summary>
    public SpeedCalibration(SpeedFit kept) =>
        (a, b, varianceA, varianceB, covariance) = (kept.A, kept.B, kept.VarianceA, kept.VarianceB, kept.Covariance);

    /// <summary>
    /// Readings of one arrow mass only: K is the prior 110 ± 40 gr, the energy follows from the mean speed, and the ±
    /// of both is carried on.
    /// </summary>
    /// <param name="shots">Readings of one mass, at least one.</param>
    public static SpeedFit OfOneMass(IReadOnlyList<ChronographShot> shots)
    {
        var grains = shots[0].Grains;
        var mean = shots.Average(s => s.Speed);
        var spread = shots[0].Spread / Math.Sqrt(shots.Count);
        // 1/v² = b (K + m): b from the mean, K from the prior; da and db by the delta method.
        var slope = 1 / (mean * mean * (PriorVirtualMass + grains));
        var byK = -slope / (PriorVirtualMass + grains);
        var bySpeed = -2 * slope / mean;
        var varianceB = Square(byK * PriorSpread) + Square(bySpeed * spread);
        var aByK = slope + (PriorVirtualMass * byK);
        var aBySpeed = PriorVirtualMass * bySpeed;
        return new SpeedFit(
            slope * PriorVirtualMass,
            slope,
            Square(aByK * PriorSpread) + Square(aBySpeed * spread),
            varianceB,
            (aByK * byK * PriorSpread * PriorSpread) + (aBySpeed * bySpeed * spread * spread),
            shots.Count,
            1
        );

        static double Square(double x) => x * x;
    }

    /// <summary>The fit of any readings: the line through two or more masses, else the prior's K with one.</summary>
    /// <exception cref="ArgumentException">No readings, or readings that fit no bow.</exception>
    public static SpeedFit Fit(IReadOnlyList<ChronographShot> shots)
    {
        var masses = shots.Select(s => s.Grains).Distinct().Count();
        if (masses < 2)
        {
            return shots.Count == 0 ? throw new ArgumentException("No readings.", nameof(shots)) : OfOneMass(shots);
        }

        var line = new SpeedCalibration(shots);
        return new SpeedFit(line.a, line.b, line.varianceA, line.varianceB, line.covariance, shots.Count, masses);
    }

    /// <summary>K, grains.</summary>
    public double VirtualMass => a / b;

    /// <summary>Standard error of K by the delta method, grains.</summary>
    public double VirtualMassError =>
        Math.Sqrt(varianceA - (2 * VirtualMass * covariance) + (VirtualMass * VirtualMass * varianceB)) / b;

    /// <summary>E, ft·lb.</summary>
    public double Energy => 1 / (2 * b * Physical.GrainsPerSlug);

    /// <summary>Standard error of E, ft·lb.</summary>
    public double EnergyError => Energy * Math.Sqrt(varianceB) / b;

    /// <summary>Predicted speed and its standard error for an arrow mass, ft/s.</summary>
    public (double Speed, double Error) Predict(double grains)
    {
        var inverse = a + (b * grains);
        var speed = 1 / Math.Sqrt(inverse);
        var variance = varianceA + (2 * grains * covariance) + (grains * grains * varianceB);
        return (speed, 0.5 * Math.Pow(speed, 3) * Math.Sqrt(variance));
    }
}

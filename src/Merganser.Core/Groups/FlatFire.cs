using Merganser.Core.Arrows;
using Merganser.Core.Bows;
using Merganser.Core.Speed;
using Merganser.Core.Units;

namespace Merganser.Core.Groups;

/// <summary>
/// An arrow in flat fire with drag as the square of speed: k = ρ C_d A/(2m), ρ of ISO 2533 at sea level, C_d on the
/// section of the shaft (2 with a field point; wind-tunnel papers, from memory: 1.5 to 2.6).
/// </summary>
/// <param name="Grains">Its weight, grains, above 0.</param>
/// <param name="Speed">Launch speed, ft/s, above 0.</param>
/// <param name="Diameter">Of the shaft, inches, above 0.</param>
public sealed record FlatFire(double Grains, double Speed, double Diameter)
{
    /// <summary>Air of the standard atmosphere at sea level, kg/m³ (ISO 2533).</summary>
    private const double AirDensity = 1.225;

    private const double MetresPerInch = Physical.MillimetresPerInch / 1000;
    private const double InchesPerYard = 36;
    private const double InchesPerFoot = 12;

    /// <summary>Drag coefficient on the section of the shaft.</summary>
    public double Drag { get; init; } = 2;

    /// <summary>An arrow as it leaves a bow, by weight and estimated or measured speed.</summary>
    public static FlatFire Of(Bow bow, Arrow arrow)
    {
        var grains = new ArrowNumbers(bow, arrow).Balance.Grains;
        return new FlatFire(grains, LaunchSpeed.Of(bow, grains).Speed, arrow.Shaft.OuterDiameter);
    }

    /// <summary>
    /// How far it has dropped, inches: g/(4k²v²)(e^{2kx} − 1 − 2kx).
    /// </summary>
    /// <param name="yards">Distance, yards.</param>
    public double Drop(double yards)
    {
        var (k, x, v) = Metric(yards);
        var drop = Physical.StandardGravity / (4 * k * k * v * v) * (Math.Exp(2 * k * x) - 1 - (2 * k * x));
        return drop / MetresPerInch;
    }

    /// <summary>
    /// How far a wind straight across carries it at the least, inches: w (t − x/v), t = (e^{kx} − 1)/(kv), the lag rule
    /// of exterior ballistics. An arrow shows the wind its side as well, so it drifts farther than this.
    /// </summary>
    /// <param name="mph">The wind across, miles an hour.</param>
    /// <param name="yards">Distance, yards.</param>
    public double LeastDrift(double mph, double yards)
    {
        var (k, x, v) = Metric(yards);
        var lag = ((Math.Exp(k * x) - 1) / (k * v)) - (x / v);
        return mph * Physical.MetresPerSecondInMph * lag / MetresPerInch;
    }

    private (double K, double X, double V) Metric(double yards)
    {
        var area = Math.PI * Math.Pow(Possible.Positive(Diameter) * MetresPerInch / 2, 2);
        var k = AirDensity * Drag * area / (2 * Possible.Positive(Grains) * Physical.MilligramsPerGrain * 1e-6);
        return (k, yards * InchesPerYard * MetresPerInch, Possible.Positive(Speed) * InchesPerFoot * MetresPerInch);
    }
}

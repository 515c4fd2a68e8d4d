using Merganser.Core.Bows;
using Merganser.Core.Units;

namespace Merganser.Core.Speed;

/// <summary>A launch speed with its band, ft/s.</summary>
/// <param name="Speed">The figure to show.</param>
/// <param name="Low">Lower end of the band.</param>
/// <param name="High">Upper end.</param>
/// <param name="Bare">What the formula gave before the usual allowance.</param>
/// <param name="FromRating">True when a rated speed was used, false when the stored energy was estimated.</param>
/// <param name="Measured">True when a chronograph taught it.</param>
public readonly record struct Launch(
    double Speed,
    double Low,
    double High,
    double Bare,
    bool FromRating,
    bool Measured = false
);

/// <summary>Launch speed v = √(2E/(m + K)), K the virtual mass of string and limbs (Klopsteg 1943).</summary>
public static class LaunchSpeed
{
    /// <summary>K for an estimate without a chronograph, grains.</summary>
    public const double VirtualMass = 100;

    /// <summary>The arrow of a maker's rating, grains (AMO).</summary>
    public const double RatedArrow = 350;

    /// <summary>The draw weight of a maker's rating, lb.</summary>
    public const double RatedWeight = 70;

    /// <summary>The draw length of a maker's rating, inches.</summary>
    public const double RatedDraw = 30;

    /// <summary>Real bows come in 3 to 8 % below a rating (common practice): the share shown, and its band.</summary>
    public const double ShareShown = 0.95;

    /// <summary>The least of the band.</summary>
    public const double ShareLow = 0.91;

    /// <summary>The most of the band.</summary>
    public const double ShareHigh = 0.99;

    /// <summary>Half the band of an estimate without a rating (trade-like guess, no source).</summary>
    public const double EstimateBand = 0.10;

    /// <summary>The same where the draw-force curve was measured (trade-like guess, no source).</summary>
    public const double CurveBand = 0.06;

    private const double TwoSided = 1.96;

    /// <summary>v = v_r·√[(W·S)/(70·S_r)·(350 + K)/(m + K)], the bare formula from a rated speed, ft/s.</summary>
    public static double FromRating(
        double rated,
        double drawWeight,
        double stroke,
        double ratedStroke,
        double arrowGrains,
        double virtualMass
    ) =>
        rated
        * Math.Sqrt(
            drawWeight * stroke / (RatedWeight * ratedStroke) * (RatedArrow + virtualMass) / (arrowGrains + virtualMass)
        );

    /// <summary>v = √(2E/(m + K)) from stored energy given to the arrow and string, E in ft·lb.</summary>
    public static double FromEnergy(double footPounds, double arrowGrains, double virtualMass) =>
        Math.Sqrt(2 * footPounds * Physical.GrainsPerSlug / (arrowGrains + virtualMass));

    /// <summary>
    /// Energy given to arrow and string, ft·lb, for a bow without a rating: what comes back of its draw-force curve,
    /// else E = c·W·S/12.
    /// </summary>
    public static double EstimatedEnergy(Bow bow) =>
        bow.Force is { } curve
            ? ForceCurve.Returned * curve.Energy
            : EnergyShare(bow.Kind) * bow.DrawWeight * bow.PowerStroke / 12;

    /// <summary>The energy that the bow stores by its draw-force curve, else the estimate, ft·lb.</summary>
    public static double StoredEnergy(Bow bow) => bow.Force?.Energy ?? EstimatedEnergy(bow);

    /// <summary>c: share of peak weight times stroke that reaches arrow and string (from memory).</summary>
    public static double EnergyShare(BowKind kind) =>
        kind switch
        {
            BowKind.Compound => 0.78,
            BowKind.Longbow => 0.43,
            _ => 0.58,
        };

    /// <summary>
    /// K of this bow: the prior plus weight on the string by the square of its distance from the tip over half the
    /// string.
    /// </summary>
    public static double VirtualMassOf(Bow bow) =>
        VirtualMass + (bow.StringWeight * bow.StringWeightFromTip * bow.StringWeightFromTip);

    /// <summary>The speed to show for a bow and an arrow of so many grains (above 0).</summary>
    public static Launch Of(Bow bow, double arrowGrains)
    {
        ArgumentOutOfRangeException.ThrowIfNegativeOrZero(arrowGrains);
        if (bow.Chronograph is { } fit)
        {
            var (measured, error) = new SpeedCalibration(fit).Predict(arrowGrains);
            return new Launch(
                measured,
                measured - (TwoSided * error),
                measured + (TwoSided * error),
                measured,
                false,
                true
            );
        }

        var virtualMass = VirtualMassOf(bow);
        if (bow.RatedSpeed is { } rated)
        {
            var ratedStroke = RatedDraw - Bow.AmoAllowance - bow.BraceHeight;
            var bare = FromRating(rated, bow.DrawWeight, bow.PowerStroke, ratedStroke, arrowGrains, virtualMass);
            return new Launch(bare * ShareShown, bare * ShareLow, bare * ShareHigh, bare, true);
        }

        var speed = FromEnergy(EstimatedEnergy(bow), arrowGrains, virtualMass);
        var band = bow.Force is null ? EstimateBand : CurveBand;
        return new Launch(speed, speed * (1 - band), speed * (1 + band), speed, false);
    }

    /// <summary>Kinetic energy m v²/(2·7000·32.17405), ft·lb.</summary>
    public static double KineticEnergy(double grains, double speed) =>
        grains * speed * speed / (2 * Physical.GrainsPerSlug);

    /// <summary>Momentum m v/(7000·32.17405), slug·ft/s.</summary>
    public static double Momentum(double grains, double speed) => grains * speed / Physical.GrainsPerSlug;
}

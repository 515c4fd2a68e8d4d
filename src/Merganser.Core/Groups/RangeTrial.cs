using Merganser.Core.Figures;
using Merganser.Core.Units;

namespace Merganser.Core.Groups;

/// <summary>
/// A range-error trial: shot at one distance with the sight set for so much less and so much more, as often and in
/// mixed order. What it costs to be wrong is half of what lies between the two middles: the zero's own error leaves.
/// </summary>
public static class RangeTrial
{
    /// <summary>From where it is shot.</summary>
    public static AllowedRange Distances { get; } = new(10, 100, Unit.Yard, Why.WaysDistance);

    /// <summary>How wrong the sight is set, yards.</summary>
    public static AllowedRange Errors { get; } = new(1, 10, Unit.Yard, Why.RangeErrorTried);

    /// <summary>What a sight can be set for in a trial.</summary>
    public static AllowedRange Settings { get; } = new(1, 110, Unit.Yard, Why.WaysDistance);

    /// <summary>Two yards wrong (common practice, no source).</summary>
    public const double Usual = 2;

    /// <summary>Hits with each setting before anything is read (common practice, no source).</summary>
    public const int LeastOfEach = 3;

    /// <summary>Hits with each setting from which more are no longer asked for.</summary>
    public const int MostOfEach = 12;

    /// <summary>What the range error alone may cost, inches either way (common practice, no source).</summary>
    public const double Allowed = 3;

    /// <summary>From the line of sight down to the arrow at full draw, inches (common practice, no source).</summary>
    public const double EyeAboveArrow = 4.5;

    /// <summary>
    /// Where an arrow strikes at a distance with the sight set for another, inches up from the aiming point: the line
    /// of sight and the arrow's path meet at the set distance, (drop(s) + h) d/s − drop(d) − h.
    /// </summary>
    /// <param name="flies">The arrow in flight.</param>
    /// <param name="set">Sight set for, yards, above 0.</param>
    /// <param name="at">Shot at, yards, above 0.</param>
    /// <param name="above">h, from the arrow up to the eye, inches.</param>
    public static double Strikes(FlatFire flies, double set, double at, double above = EyeAboveArrow) =>
        ((flies.Drop(set) + above) * at / set) - flies.Drop(at) - above;
}

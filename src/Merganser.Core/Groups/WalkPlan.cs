using Merganser.Core.Figures;
using Merganser.Core.Units;

namespace Merganser.Core.Groups;

/// <summary>With which pin the farther distances of a walk-back are shot.</summary>
public enum WalkPins
{
    /// <summary>Each distance with its own pin, or its own mark: all of them levelled first.</summary>
    Own,

    /// <summary>All with the pin of the first distance: the arrow drops, and the backstop is tall.</summary>
    One,
}

/// <summary>Where a walk-back is shot from, and how many hits it wants.</summary>
public static class WalkPlan
{
    /// <summary>The distance of the zero, from which it is walked back.</summary>
    public static AllowedRange Zeros { get; } = new(10, 40, Unit.Yard, Why.WalkZero);

    /// <summary>Every distance of a walk, and of a pin that is set.</summary>
    public static AllowedRange Distances { get; } = new(5, 110, Unit.Yard, Why.WalkDistance);

    /// <summary>How far above or below its aiming point a hit may be marked with one pin, inches.</summary>
    public static AllowedRange Heights { get; } = new(-240, 24, Unit.Inch, Why.OnePinDrops);

    /// <summary>Hits at each distance before anything is read (common practice, no source).</summary>
    public const int LeastOfEach = 3;

    /// <summary>Hits at each distance that are advised (measured: docs/benchmarks.md).</summary>
    public const int Advised = 5;

    /// <summary>Hits at each distance from which more are no longer asked for.</summary>
    public const int MostOfEach = 20;

    /// <summary>
    /// A drift that matters, inches a yard: 3 in at 60 yd (common practice, no source); strict
    /// half.
    /// </summary>
    public const double EnoughPerYard = .05;

    /// <summary>Distances of a walk before anything is read: two never tell straight from curved.</summary>
    public const int LeastDistances = 3;

    /// <summary>
    /// The distances of a walk, ascending: the zero and those that were shot, up to three with twice and three times
    /// the zero.
    /// </summary>
    public static IReadOnlyList<double> Wanted(double zero, IEnumerable<double> shot)
    {
        double[] own = [.. shot.Append(zero).Distinct()];
        var usual = Enumerable.Range(1, LeastDistances).Select(times => times * zero).Except(own);
        return [.. own.Concat(usual.Take(Math.Max(0, LeastDistances - own.Length))).Order()];
    }
}

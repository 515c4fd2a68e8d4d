using MathNet.Numerics.Distributions;
using Merganser.Core.Units;

namespace Merganser.Core.Groups;

/// <summary>One shot of a walk-back.</summary>
/// <param name="Yards">Distance, yards, above 0.</param>
/// <param name="Sideways">Right of the aiming line, inches.</param>
public readonly record struct WalkedShot(double Yards, double Sideways);

/// <summary>
/// The drift of a walk-back: y = a + b d by least squares with weights 1/d², since a hand's spread is an angle. a is
/// the sight line beside the arrow, b what the sight takes out. At least three shots at two distances.
/// </summary>
public sealed class WalkBack
{
    /// <param name="shots">At least three, at two distances or more.</param>
    /// <exception cref="ArgumentException">Too few.</exception>
    public WalkBack(IReadOnlyList<WalkedShot> shots)
    {
        if (shots.Count < 3 || shots.Select(s => Possible.Positive(s.Yards)).Distinct().Count() < 2)
        {
            throw new ArgumentException("At least three shots at two distances.", nameof(shots));
        }

        var sums = new WeightedSums(shots);
        Count = shots.Count;
        Slope = ((sums.W * sums.DY) - (sums.D * sums.Y)) / sums.Determinant;
        AtTheBow = ((sums.DD * sums.Y) - (sums.D * sums.DY)) / sums.Determinant;
        Spread = Math.Sqrt(
            shots.Sum(s => Math.Pow((s.Sideways - AtTheBow - (Slope * s.Yards)) / s.Yards, 2)) / (Count - 2)
        );
        SlopeError = Spread * Math.Sqrt(sums.W / sums.Determinant);
        P = 2 * StudentT.CDF(0, 1, Count - 2, -Math.Abs(Slope / SlopeError));
    }

    /// <summary>Shots.</summary>
    public int Count { get; }

    /// <summary>b, inches a yard.</summary>
    public double Slope { get; }

    /// <summary>Its standard error, inches a yard.</summary>
    public double SlopeError { get; }

    /// <summary>a, inches right of the line at the bow.</summary>
    public double AtTheBow { get; }

    /// <summary>Spread of the hand, inches a yard.</summary>
    public double Spread { get; }

    /// <summary>Chance of a slope at least as steep by chance alone.</summary>
    public double P { get; }

    /// <summary>
    /// The slope's standard error, inches a yard, for a hand whose spread is known and with a sight line that geometry
    /// bounds to N(0, σ_a²) at the bow: an own row of the same least squares.
    /// </summary>
    /// <param name="yards">The distance of each shot, yards.</param>
    /// <param name="spread">Spread of the hand, inches a yard.</param>
    /// <param name="atTheBow">σ_a, inches, or null for any.</param>
    public static double SlopeErrorOf(IReadOnlyList<double> yards, double spread, double? atTheBow)
    {
        var sums = new WeightedSums([.. yards.Select(d => new WalkedShot(d, 0))]);
        var w = sums.W + (atTheBow is { } sd ? spread * spread / (sd * sd) : 0);
        return spread * Math.Sqrt(w / ((w * sums.DD) - (sums.D * sums.D)));
    }

    /// <summary>Sums with weights 1/d².</summary>
    private sealed record WeightedSums(IReadOnlyList<WalkedShot> Shots)
    {
        public double W { get; } = Shots.Sum(s => 1 / (s.Yards * s.Yards));
        public double D { get; } = Shots.Sum(s => 1 / s.Yards);
        public double DD { get; } = Shots.Count;
        public double Y { get; } = Shots.Sum(s => s.Sideways / (s.Yards * s.Yards));
        public double DY { get; } = Shots.Sum(s => s.Sideways / s.Yards);
        public double Determinant => (W * DD) - (D * D);
    }
}

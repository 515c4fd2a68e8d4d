using MathNet.Numerics.Distributions;
using MathNet.Numerics.LinearAlgebra;

namespace Merganser.Core.Groups;

/// <summary>What a walk-back shows.</summary>
public enum DriftVerdict
{
    /// <summary>No drift is shown.</summary>
    NoneShown,

    /// <summary>p is below 5 % at this look.</summary>
    Likely,

    /// <summary>p is below what holds 5 % over all the looks of a session.</summary>
    Clear,
}

/// <summary>How a drift grows with distance.</summary>
public enum DriftShape
{
    /// <summary>Two distances, or hits that do not tell.</summary>
    NotKnown,

    /// <summary>Straight with distance.</summary>
    Straight,

    /// <summary>Faster than distance.</summary>
    Curved,
}

/// <summary>
/// The drift of a walk-back, y = a + b d + c d², by least squares with weights 1/d², since a hand's spread is an angle;
/// the spread is pooled within the distances. a, the sight line beside the arrow at the bow, has the prior N(0, .15²)
/// in: geometry bounds it, so that windage is known from three shots at each distance. The drift is tested by F(q, ν)
/// of b, and c where three distances carry it; the curve by its own t.
/// </summary>
public sealed class WalkFit
{
    /// <summary>σ of the sight line beside the arrow at the bow, inches (a guess by geometry).</summary>
    public const double SightLineSd = .15;

    /// <summary>
    /// p that holds 5 % over the looks of a session, after each arrow to twenty at each distance (20,000 simulated
    /// walk-backs without any drift: docs/benchmarks.md).
    /// </summary>
    public const double Threshold = .010;

    /// <summary>p below which a drift is likely at one look.</summary>
    public const double LikelyBelow = .05;

    /// <summary>Distances that carry a curve.</summary>
    private const int LeastForCurve = 3;

    /// <summary>Nobody marks a place closer than .02 in at 20 yd: a spread is no smaller, inches a yard.</summary>
    internal const double LeastSpread = .001;

    private readonly Matrix<double> covariance;
    private readonly Vector<double> line;
    private readonly Matrix<double>? curveCovariance;
    private readonly Vector<double>? curve;

    /// <param name="shots">At least one more than there are distances, at two distances or more.</param>
    /// <exception cref="ArgumentException">Too few.</exception>
    public WalkFit(IReadOnlyList<WalkedShot> shots)
    {
        var places = shots.ToLookup(s => s.Yards, s => s.Sideways / s.Yards);
        Freedom = shots.Count - places.Count;
        if (places.Count < 2 || Freedom < 1)
        {
            throw new ArgumentException("More shots than distances, and two distances at the least.", nameof(shots));
        }

        HalfWidth = StudentT.InvCDF(0, 1, Freedom, .975);
        var squares = places.Sum(place => place.Sum(y => Math.Pow(y - place.Average(), 2)));
        Spread = Math.Max(LeastSpread, Math.Sqrt(squares / Freedom));
        Distances = [.. places.Select(p => p.Key).Order()];
        Counts = [.. Distances.Select(d => places[d].Count())];
        (line, covariance) = Solve(shots, Spread, curved: false);
        if (places.Count >= LeastForCurve)
        {
            (curve, curveCovariance) = Solve(shots, Spread, curved: true);
            CurveP = TwoSided(curve[2] / Math.Sqrt(curveCovariance[2, 2]));
        }

        Top = curve is null ? 1 : 2;
        F = Form(curve ?? line, curveCovariance ?? covariance) / Top;
        P = NoncentralF.Chance(Top, Freedom, F);
    }

    /// <summary>The distances, yards, ascending.</summary>
    public IReadOnlyList<double> Distances { get; }

    /// <summary>Shots at each.</summary>
    public IReadOnlyList<int> Counts { get; }

    /// <summary>ν, of the spread.</summary>
    public int Freedom { get; }

    /// <summary>q: 1 for a slope alone, 2 where a curve is tested with it.</summary>
    public int Top { get; }

    /// <summary>Spread of the hand, inches a yard.</summary>
    public double Spread { get; }

    /// <summary>F(q, ν) of the drift.</summary>
    public double F { get; }

    /// <summary>Chance of a drift at least as far out by chance alone.</summary>
    public double P { get; }

    /// <summary>The curve's own, or null at two distances.</summary>
    public double? CurveP { get; }

    /// <summary>b of the straight line, inches a yard.</summary>
    public double Slope => line[1];

    /// <summary>Its standard error.</summary>
    public double SlopeError => Math.Sqrt(covariance[1, 1]);

    /// <summary>Half width of its 95 %.</summary>
    public double SlopePlus => HalfWidth * SlopeError;

    /// <summary>c, inches a yard², or null at two distances.</summary>
    public double? Curvature => curve?[2];

    /// <summary>What is shown.</summary>
    public DriftVerdict Verdict =>
        P < Threshold ? DriftVerdict.Clear
        : P < LikelyBelow ? DriftVerdict.Likely
        : DriftVerdict.NoneShown;

    /// <summary>How it grows.</summary>
    public DriftShape Shape =>
        CurveP switch
        {
            < Threshold => DriftShape.Curved,
            >= LikelyBelow => DriftShape.Straight,
            _ => DriftShape.NotKnown,
        };

    /// <summary>Where it lies at a distance, by the line, or by the curve where one is shown; and the half width of
    /// its 95 %.</summary>
    public (double At, double Plus) At(double yards) => Of(1, yards, yards * yards);

    /// <summary>How far it drifts from one distance to another, inches, and the half width of its 95 %.</summary>
    public (double Drift, double Plus) Between(double from, double to) => Of(0, to - from, (to * to) - (from * from));

    /// <summary>Half width of the 95 % of a mean of so many hits at a distance, inches.</summary>
    public double MeanPlus(double yards, int count) => HalfWidth * Spread * yards / Math.Sqrt(count);

    /// <summary>Chance that so many shots at each distance show a straight drift.</summary>
    /// <param name="slope">The drift that matters, inches a yard.</param>
    /// <param name="more">More shots at each distance than there are.</param>
    public double Power(double slope, int more = 0) => Power(slope, more, FormOfOne(more));

    /// <summary>The straight drift that shows four times in five, inches a yard.</summary>
    public double SmallestSlope()
    {
        var one = FormOfOne(0);
        var (low, high) = (0.0, 100 * Spread);
        for (var i = 0; i < Halvings; i++)
        {
            var middle = (low + high) / 2;
            (low, high) = Power(middle, 0, one) < NoncentralF.Wanted ? (middle, high) : (low, middle);
        }

        return high;
    }

    private double Power(double slope, int more, double formOfOne) =>
        NoncentralF.Power(Top, Freedom + (more * Counts.Count), slope * slope * formOfOne, Threshold);

    /// <summary>λ of a slope of one with so many more shots at each distance; it grows with its square.</summary>
    private double FormOfOne(int more)
    {
        var planned = Distances
            .Zip(Counts)
            .SelectMany(p => Enumerable.Repeat(new WalkedShot(p.First, 0), p.Second + more));
        var (one, error) = Solve([.. planned], Spread, Top == 2);
        one[1] = 1;
        return Form(one, error);
    }

    private const int Halvings = 40;

    private (double Value, double Plus) Of(params double[] at)
    {
        var curved = Shape == DriftShape.Curved;
        var (fit, error) = curved ? (curve!, curveCovariance!) : (line, covariance);
        var row = Vector<double>.Build.DenseOfArray(at[..fit.Count]);
        return (row * fit, HalfWidth * Math.Sqrt(row * (error * row)));
    }

    /// <summary>Half width of a 95 % interval in standard errors.</summary>
    private double HalfWidth { get; }

    private double TwoSided(double t) => 2 * StudentT.CDF(0, 1, Freedom, -Math.Abs(t));

    /// <summary>The drift alone, without the sight line, against its own error.</summary>
    private static double Form(Vector<double> fit, Matrix<double> error)
    {
        var q = fit.Count - 1;
        var drift = fit.SubVector(1, q);
        return drift * error.SubMatrix(1, q, 1, q).Cholesky().Solve(drift);
    }

    private static (Vector<double> Fit, Matrix<double> Covariance) Solve(
        IReadOnlyList<WalkedShot> shots,
        double spread,
        bool curved
    )
    {
        var rows = Matrix<double>.Build.Dense(
            shots.Count + 1,
            curved ? 3 : 2,
            (i, j) =>
                i < shots.Count ? Math.Pow(shots[i].Yards, j - 1) / spread
                : j == 0 ? 1 / SightLineSd
                : 0
        );
        var seen = Vector<double>.Build.Dense(
            shots.Count + 1,
            i => i < shots.Count ? shots[i].Sideways / shots[i].Yards / spread : 0
        );
        var covariance = rows.TransposeThisAndMultiply(rows).Inverse();
        return (covariance * rows.TransposeThisAndMultiply(seen), covariance);
    }
}

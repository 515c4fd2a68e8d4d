using MathNet.Numerics.LinearAlgebra;
using Merganser.Core.Figures;
using Merganser.Core.Units;

namespace Merganser.Core.Ballistics;

/// <summary>What an archer found on the range with one arrow.</summary>
public enum ProvenKind
{
    /// <summary>Where the pin stands for a distance, inches down its bar.</summary>
    Mark,

    /// <summary>A chronograph's reading down range, ft/s.</summary>
    Speed,
}

/// <summary>A proven mark, or a speed measured down range.</summary>
/// <param name="Kind">Which.</param>
/// <param name="Yards">Distance, yards.</param>
/// <param name="Value">Inches on the bar, or ft/s.</param>
public sealed record Proven(ProvenKind Kind, double Yards, double Value)
{
    /// <summary>Distances of marks and readings.</summary>
    public static AllowedRange Distances { get; } = new(3, 120, Unit.Yard, Why.DistanceOfATarget);

    /// <summary>The bar of a sight, inches.</summary>
    public static AllowedRange Bars { get; } = new(-6, 12, Unit.Inch, Why.SightBar);
}

/// <summary>What is known before any mark: each with its error, one standard deviation.</summary>
/// <param name="Speed">Launch speed, ft/s.</param>
/// <param name="SpeedError">Its error.</param>
/// <param name="Drag">Drag coefficient.</param>
/// <param name="DragError">Error of its logarithm.</param>
/// <param name="SightHeight">From the eye down to the arrow, inches.</param>
/// <param name="SightHeightError">Its error.</param>
/// <param name="EyeToPin">Inches.</param>
/// <param name="EyeToPinError">Its error.</param>
public sealed record FlightPrior(
    double Speed,
    double SpeedError,
    double Drag,
    double DragError,
    double SightHeight,
    double SightHeightError,
    double EyeToPin,
    double EyeToPinError
);

/// <summary>A proven mark against the fit.</summary>
/// <param name="Proven">It.</param>
/// <param name="Fitted">What the fit says, in its unit; null where the arrow does not carry so far.</param>
/// <param name="Doubted">True where all the others say clearly otherwise.</param>
public sealed record ProvenAgainst(Proven Proven, double? Fitted, bool Doubted)
{
    /// <summary>Found less fitted; null where the arrow does not carry so far.</summary>
    public double? Off => Proven.Value - Fitted;
}

/// <summary>
/// Speed, drag, sight height, eye to pin and the place of the scale, fitted to an archer's own marks and down-range
/// speeds. What was known before counts as one more reading each, so that any number of marks is used as far as it
/// carries: Gauss and Newton's least squares with normal priors (any textbook of statistics; NIST/SEMATECH e-Handbook
/// 4.4.3).
/// </summary>
public sealed class MarkFit
{
    private const int Unknowns = 5;
    private const int Rounds = 12;
    private const double Nowhere = 1e4;

    /// <summary>Arrows that an archer proves a mark with (common practice, no source).</summary>
    private const int ArrowsOfAMark = 6;

    /// <summary>A reading down range is as good as a chronograph is, ft/s (a guess, no source).</summary>
    private const double SpeedReading = 1.5;

    /// <summary>The others must leave a mark by so many of its errors before it is doubted.</summary>
    private const double Far = 3;

    private const double Widest = 6;
    private const double Slowest = 30;
    private const double InchesPerYard = 36;
    private static readonly double[] Nudges = [.5, .01, .05, .1, .01];

    private readonly FlyingArrow arrow;
    private readonly IReadOnlyList<Proven> proven;
    private readonly FlightPrior prior;
    private readonly double markError;
    private readonly Matrix<double> covariance;
    private readonly double[] found;
    private readonly Lazy<IReadOnlyList<ProvenAgainst>> against;

    /// <param name="arrow">The arrow; its drag coefficient is the prior's.</param>
    /// <param name="proven">Marks and readings with this arrow.</param>
    /// <param name="prior">What is known before.</param>
    /// <param name="spread">The archer's: a mark is as sharp as the group it was proven with.</param>
    public MarkFit(FlyingArrow arrow, IReadOnlyList<Proven> proven, FlightPrior prior, ShotSpread spread)
    {
        (this.arrow, this.proven, this.prior) = (arrow, proven, prior);
        markError = spread.PerYard / InchesPerYard * prior.EyeToPin / Math.Sqrt(ArrowsOfAMark);
        Sign = CountsUp(proven) ? -1 : 1;
        (found, covariance) = Fit(proven);
        against = new(Compare);
    }

    /// <summary>−1 where the archer's scale counts up as the pin goes up, else 1.</summary>
    public int Sign { get; }

    /// <summary>The arrow in flight as it was fitted.</summary>
    public Trajectory Flight => Of(found);

    /// <summary>Launch speed, ft/s, with its error.</summary>
    public (double Value, double Error) Speed => (found[0], Error(0));

    /// <summary>Drag coefficient, with the error of its logarithm.</summary>
    public (double Value, double Error) Drag => (Math.Exp(found[1]), Error(1));

    /// <summary>From the eye down to the arrow, inches, with its error.</summary>
    public (double Value, double Error) SightHeight => (found[2], Error(2));

    /// <summary>Eye to pin, inches, with its error.</summary>
    public (double Value, double Error) EyeToPin => (found[3], Error(3));

    /// <summary>
    /// Marks against the fit, in their order. Of those that all others contradict the one that they contradict most is
    /// doubted: a bad one makes its neighbours look bad.
    /// </summary>
    public IReadOnlyList<ProvenAgainst> Against => against.Value;

    /// <summary>
    /// Where the pin stands for a distance on the archer's own scale, inches, with its error; null where the arrow does
    /// not carry so far. Without a mark of the archer the scale begins at <paramref name="from"/>.
    /// </summary>
    /// <param name="yards">The distance.</param>
    /// <param name="from">Where the scale begins while nobody has marked it, yards.</param>
    public (double Inches, double Error)? MarkAt(double yards, double from)
    {
        var asked = new Proven(ProvenKind.Mark, yards, 0);
        if (HasMarks)
        {
            return Said(found, asked) is { } mark ? (mark, ErrorOf(v => Said(v, asked))) : null;
        }

        double? Travel(double[] at) => Said(at, asked) - Said(at, asked with { Yards = from });
        return Travel(found) is { } travel ? (travel, ErrorOf(Travel)) : null;
    }

    /// <summary>True with a mark of the archer.</summary>
    public bool HasMarks => proven.Any(p => p.Kind == ProvenKind.Mark);

    private double Error(int unknown) => Math.Sqrt(Math.Max(0, covariance[unknown, unknown]));

    /// <summary>Error of anything that follows from the unknowns, by the delta method.</summary>
    private double ErrorOf(Func<double[], double?> said)
    {
        var slopes = Vector<double>.Build.DenseOfArray(SlopesOf(found, said));
        return Math.Sqrt(Math.Max(0, slopes * covariance * slopes));
    }

    private static double[] SlopesOf(double[] at, Func<double[], double?> said)
    {
        var slopes = new double[Unknowns];
        for (var i = 0; i < Unknowns; i++)
        {
            var (less, more) = ((double[])at.Clone(), (double[])at.Clone());
            (less[i], more[i]) = (at[i] - Nudges[i], at[i] + Nudges[i]);
            slopes[i] = (said(more) - said(less)) / (2 * Nudges[i]) ?? 0;
        }

        return slopes;
    }

    private ProvenAgainst[] Compare()
    {
        var worst = proven.Count == 0 ? null : proven.MaxBy(Contradicted);
        var doubted = worst is not null && Contradicted(worst) > Far ? worst : null;
        return [.. proven.Select(p => new ProvenAgainst(p, Said(found, p), ReferenceEquals(p, doubted)))];
    }

    /// <summary>By how many of its errors all the other marks put it elsewhere.</summary>
    private double Contradicted(Proven mark)
    {
        Proven[] others = [.. proven.Where(p => !ReferenceEquals(p, mark))];
        if (others.Length < 2 || mark.Kind != ProvenKind.Mark || others.All(p => p.Kind != ProvenKind.Mark))
        {
            return 0;
        }

        var (without, spread) = Fit(others);
        var slopes = Vector<double>.Build.DenseOfArray(SlopesOf(without, v => Said(v, mark)));
        var error = Math.Sqrt((slopes * spread * slopes) + (markError * markError));
        return Said(without, mark) is { } said ? Math.Abs(said - mark.Value) / error : 0;
    }

    private (double[] Found, Matrix<double> Covariance) Fit(IReadOnlyList<Proven> readings)
    {
        double[] start = [prior.Speed, Math.Log(prior.Drag), prior.SightHeight, prior.EyeToPin, 0];
        double[] errors = [prior.SpeedError, prior.DragError, prior.SightHeightError, prior.EyeToPinError, Nowhere];
        var at = (double[])start.Clone();
        var information = Matrix<double>.Build.Dense(Unknowns, Unknowns);
        for (var round = 0; round < Rounds; round++)
        {
            var right = Vector<double>.Build.Dense(Unknowns);
            information.Clear();
            for (var i = 0; i < Unknowns; i++)
            {
                var weight = 1 / (errors[i] * errors[i]);
                information[i, i] += weight;
                right[i] += weight * (start[i] - at[i]);
            }

            foreach (var reading in readings)
            {
                if (Said(at, reading) is not { } said)
                {
                    continue;
                }

                var error = reading.Kind == ProvenKind.Mark ? markError : SpeedReading;
                var slopes = Vector<double>.Build.DenseOfArray(SlopesOf(at, v => Said(v, reading)));
                information += slopes.OuterProduct(slopes) / (error * error);
                right += slopes * ((reading.Value - said) / (error * error));
            }

            var step = information.Solve(right);
            for (var i = 0; i < Unknowns; i++)
            {
                at[i] += step[i];
            }

            // No mark says more than six errors of what was known: a slip of the pen does not bend the flight.
            for (var i = 0; i < Unknowns; i++)
            {
                at[i] = Math.Clamp(at[i], start[i] - (Widest * errors[i]), start[i] + (Widest * errors[i]));
            }

            (at[0], at[2], at[3]) = (Math.Max(at[0], Slowest), Math.Max(at[2], 0), Math.Max(at[3], 1));
        }

        return (at, information.Inverse());
    }

    private double? Said(double[] at, Proven reading)
    {
        var flight = Of(at);
        return reading.Kind == ProvenKind.Mark ? at[4] + (Sign * at[3] * flight.Zero(reading.Yards))
            : flight.Zero(reading.Yards) is { } tangent ? flight.At(tangent, reading.Yards)?.Speed
            : null;
    }

    private Trajectory Of(double[] at) =>
        new(arrow with { Drag = Math.Exp(at[1]) }, Math.Max(Slowest, at[0]), Math.Max(0, at[2]));

    /// <summary>Marks that fall with the distance stand on a scale that counts the other way.</summary>
    private static bool CountsUp(IReadOnlyList<Proven> proven)
    {
        Proven[] marks = [.. proven.Where(p => p.Kind == ProvenKind.Mark).OrderBy(p => p.Yards)];
        return marks.Length > 1 && marks[^1].Value < marks[0].Value;
    }
}

using MathNet.Numerics.LinearAlgebra;

namespace Merganser.Core.Ballistics;

/// <summary>
/// Speed, drag, sight height, eye to pin and the place of the scale, fitted to an archer's own marks and down-range
/// speeds. What was known before counts as one more reading each, so that any number of marks is used as far as it
/// carries: Gauss and Newton's least squares with normal priors (any textbook of statistics; NIST/SEMATECH e-Handbook
/// 4.4.3).
/// </summary>
public sealed class MarkFit
{
    private const int Unknowns = 5;

    /// <summary>Speed, drag and sight height bend the path.</summary>
    private const int Paths = 3;

    private const int Rounds = 12;
    private const double Nowhere = 1e4;

    /// <summary>Arrows that an archer proves a mark with (common practice, no source).</summary>
    private const int ArrowsOfAMark = 6;

    /// <summary>A reading down range is as good as a chronograph is, ft/s (a guess, no source).</summary>
    private const double SpeedReading = 1.5;

    /// <summary>The others must leave a mark by so many of its errors before it is doubted.</summary>
    private const double Far = 3;

    private const double Widest = 6;
    private const double Settled = 1e-4;
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
        (found, covariance) = Fit(proven, null);
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

    /// <summary>
    /// How a reading hangs on the unknowns. On eye to pin and the scale's place a mark hangs in a straight line: no
    /// path is followed for those.
    /// </summary>
    private double[] SlopesOf(double[] at, Proven reading, double said)
    {
        var slopes = new double[Unknowns];
        for (var i = 0; i < Paths; i++)
        {
            var (less, more) = ((double[])at.Clone(), (double[])at.Clone());
            (less[i], more[i]) = (at[i] - Nudges[i], at[i] + Nudges[i]);
            slopes[i] = (Said(more, reading) - Said(less, reading)) / (2 * Nudges[i]) ?? 0;
        }

        if (reading.Kind == ProvenKind.Mark)
        {
            (slopes[3], slopes[4]) = ((said - at[4]) / at[3], 1);
        }

        return slopes;
    }

    private ProvenAgainst[] Compare()
    {
        var doubted = proven
            .Select(p => (Proven: p, By: Contradicted(p)))
            .Where(p => p.By > Far)
            .DefaultIfEmpty()
            .MaxBy(p => p.By)
            .Proven;
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

        var (without, spread) = Fit(others, found);
        if (Said(without, mark) is not { } said)
        {
            return 0;
        }

        var slopes = Vector<double>.Build.DenseOfArray(SlopesOf(without, mark, said));
        return Math.Abs(said - mark.Value) / Math.Sqrt((slopes * spread * slopes) + (markError * markError));
    }

    /// <param name="readings">Marks and speeds.</param>
    /// <param name="near">Where to begin; null for what was known before.</param>
    private (double[] Found, Matrix<double> Covariance) Fit(IReadOnlyList<Proven> readings, double[]? near)
    {
        double[] start = [prior.Speed, Math.Log(prior.Drag), prior.SightHeight, prior.EyeToPin, 0];
        double[] errors = [prior.SpeedError, prior.DragError, prior.SightHeightError, prior.EyeToPinError, Nowhere];
        var at = (double[])(near ?? start).Clone();
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
                var slopes = Vector<double>.Build.DenseOfArray(SlopesOf(at, reading, said));
                information += slopes.OuterProduct(slopes) / (error * error);
                right += slopes * ((reading.Value - said) / (error * error));
            }

            var step = information.Solve(right);
            if (Enumerable.Range(0, Unknowns).All(i => Math.Abs(step[i]) < Nudges[i] * Settled))
            {
                break;
            }

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

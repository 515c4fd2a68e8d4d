using Merganser.Core.Figures;
using Merganser.Core.Units;

namespace Merganser.Core.Ballistics;

/// <summary>How wrong a distance is read.</summary>
/// <param name="Yards">So many yards at any distance, 0 or more.</param>
/// <param name="Share">And this share of the distance, 0 or more.</param>
public readonly record struct DistanceError(double Yards, double Share = 0)
{
    /// <summary>What may be typed, yards.</summary>
    public static AllowedRange Allowed { get; } = new(0, 15, Unit.Yard, Why.DistanceReadWrong);

    /// <summary>Until it is measured (common practice, no source).</summary>
    public static DistanceError Usual { get; } = new(2);

    /// <summary>Measured and dialled.</summary>
    public static DistanceError None { get; } = new(0);

    /// <summary>Near at hand nobody is farther off than this share of the distance (a guess, no source).</summary>
    private const double MostOfIt = 1.0 / 3;

    /// <summary>At a distance, yards: never more than a third of it.</summary>
    public double At(double yards) => Math.Min(Yards + (Share * yards), MostOfIt * yards);
}

/// <summary>What is struck at a distance with the sight set for it, the target really nearer or farther.</summary>
/// <param name="Yards">What the sight is set for, yards.</param>
/// <param name="Error">How wrong the distance is read, yards.</param>
/// <param name="Above">Height of the middle of the group where the target is nearer, inches.</param>
/// <param name="Below">The same where it is farther: negative for low.</param>
/// <param name="Ring">Radius of the ring of nine shots in ten, inches.</param>
/// <param name="Chance">Chance to be inside the circle at the worse end.</param>
public sealed record AtDistance(double Yards, double Error, double Above, double Below, double Ring, double Chance)
{
    /// <summary>How far the middle is off at the worse end, inches.</summary>
    public double Miss => Math.Max(Math.Abs(Above), Math.Abs(Below));

    /// <summary>How far out the ring reaches at the worse end, inches.</summary>
    public double Reach => Miss + Ring;
}

/// <summary>Which of the two limits is reached first.</summary>
public enum RangeLimit
{
    /// <summary>The archer's own group.</summary>
    Group,

    /// <summary>A distance that is read wrong.</summary>
    RangeError,
}

/// <summary>
/// How far a shot is honest: with the sight set for a distance and the target really nearer or farther by the range
/// error, the ring of nine shots in ten must not touch the circle that is allowed. A rule that the eye can check and
/// that errs short; the chance itself stands beside it.
/// </summary>
public sealed class HonestRange
{
    /// <summary>Nobody is told that farther is honest, yards.</summary>
    public const double Farthest = 100;

    /// <summary>The circle that is allowed across, inches.</summary>
    public static AllowedRange Circles { get; } = new(1, 60, Unit.Inch, Why.CircleOfATarget);

    /// <summary>The circle until another is typed: 8 in across (common practice, no source).</summary>
    public const double UsualCircle = 8;

    /// <summary>The range error by itself may take this share of the radius: 3 in of 4 (common practice, no
    /// source).</summary>
    public const double ErrorsShare = .75;

    private const double Nearest = 3;

    /// <summary>Up to here a distance is paced and not read, yards (common practice, no source).</summary>
    private const double Paced = 10;

    private const double Near = .02;

    private readonly Trajectory flight;
    private readonly DistanceError error;
    private readonly Dictionary<double, (double Above, double Below)> missed = [];

    /// <param name="flight">The arrow in flight.</param>
    /// <param name="error">How wrong distances are read.</param>
    /// <param name="circle">The circle that is allowed across, inches, above 0.</param>
    /// <param name="spread">The archer's.</param>
    /// <param name="slow">The same at the lower end of a speed that is not measured; null where it is.</param>
    /// <param name="fast">At its upper end.</param>
    public HonestRange(
        Trajectory flight,
        DistanceError error,
        double circle,
        ShotSpread spread,
        Trajectory? slow = null,
        Trajectory? fast = null
    )
    {
        this.flight = flight;
        this.error = error;
        Radius = Possible.Positive(circle) / 2;
        Spread = spread;
        Yards = With(spread);
        // What is unknown of the spread and of the speed does not go together.
        Low = Yards - Both(Yards - Until(d => Reach(d, spread.High) <= Radius), Yards - At(slow));
        High = Yards + Both(Until(d => Reach(d, spread.Low) <= Radius) - Yards, At(fast) - Yards);
        GroupAlone = Until(d => spread.RingAt(d) <= Radius);
        ErrorAlone = Until(d => Miss(d) <= ErrorsShare * Radius);
    }

    /// <summary>Radius of the circle, inches.</summary>
    public double Radius { get; }

    /// <summary>The archer's spread.</summary>
    public ShotSpread Spread { get; }

    /// <summary>The honest range, yards; <see cref="Farthest"/> where it goes on beyond.</summary>
    public double Yards { get; }

    /// <summary>Lower end of what is known of it, yards: by 95 % of the spread, and of a speed not measured.</summary>
    public double Low { get; }

    /// <summary>Upper end, yards.</summary>
    public double High { get; }

    /// <summary>With the distance known exactly, yards: the range that is measured and dialled.</summary>
    public double GroupAlone { get; }

    /// <summary>With a hand that never strays, yards, for three quarters of the radius.</summary>
    public double ErrorAlone { get; }

    /// <summary>Which limit sets it.</summary>
    public RangeLimit SetBy => GroupAlone <= ErrorAlone ? RangeLimit.Group : RangeLimit.RangeError;

    private HonestRange(Trajectory flight, HonestRange like)
    {
        (this.flight, error, Radius, Spread) = (flight, like.error, like.Radius, like.Spread);
    }

    private double At(Trajectory? other) => other is null ? Yards : new HonestRange(other, this).With(Spread);

    private static double Both(double one, double other) => Math.Sqrt((one * one) + (other * other));

    /// <summary>What is struck at a distance.</summary>
    public AtDistance At(double yards)
    {
        var (above, below) = Missed(yards);
        return new AtDistance(
            yards,
            error.At(yards),
            above,
            below,
            Spread.RingAt(yards),
            ShotSpread.ChanceInside(Miss(yards), Spread.PerYard * yards, Radius)
        );
    }

    /// <summary>The same arrow and hand by another spread, yards.</summary>
    public double With(ShotSpread spread) => Until(d => Reach(d, spread.PerYard) <= Radius);

    private double Reach(double yards, double perYard) => Miss(yards) + (perYard * ShotSpread.NineInTen * yards);

    private double Miss(double yards)
    {
        var (above, below) = Missed(yards);
        return Math.Max(Math.Abs(above), Math.Abs(below));
    }

    /// <summary>Where the middle strikes at both ends; endless where the arrow does not carry.</summary>
    private (double Above, double Below) Missed(double yards)
    {
        if (missed.TryGetValue(yards, out var known))
        {
            return known;
        }

        var off = error.At(yards);
        var found = (Above: 0.0, Below: 0.0);
        if (off > 0)
        {
            var path = flight.Zero(yards) is { } tangent
                ? flight.Path(tangent, [yards - off, yards + off])
                : [null, null];
            found = (path[0]?.Height ?? double.PositiveInfinity, path[1]?.Height ?? double.NegativeInfinity);
        }

        missed[yards] = found;
        return found;
    }

    /// <summary>
    /// The farthest distance up to which it holds at every yard, to a fiftieth of one. Where it holds at ten yards it
    /// is not asked nearer: there the eye stands over the arrow, and what is misread is paced.
    /// </summary>
    private static double Until(Func<double, bool> holds)
    {
        var from = holds(Paced) ? Paced : Nearest;
        if (!holds(from))
        {
            return 0;
        }

        for (var yards = from + 1; yards <= Farthest; yards++)
        {
            if (holds(yards))
            {
                continue;
            }

            var (low, high) = (yards - 1, yards);
            while (high - low > Near)
            {
                var middle = (low + high) / 2;
                (low, high) = holds(middle) ? (middle, high) : (low, middle);
            }

            return low;
        }

        return Farthest;
    }
}

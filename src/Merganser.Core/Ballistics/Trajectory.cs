using Merganser.Core.Units;

namespace Merganser.Core.Ballistics;

/// <summary>An arrow somewhere on its way.</summary>
/// <param name="Yards">Along the line of sight, yards.</param>
/// <param name="Seconds">Since it left.</param>
/// <param name="Height">Above the line of sight, inches; negative below it.</param>
/// <param name="Along">Its speed along the line of sight, ft/s.</param>
/// <param name="Across">Its speed up from the line of sight, ft/s.</param>
public readonly record struct FlightPoint(double Yards, double Seconds, double Height, double Along, double Across)
{
    /// <summary>Its speed, ft/s.</summary>
    public double Speed => Math.Sqrt((Along * Along) + (Across * Across));
}

/// <summary>An arrow as the air sees it.</summary>
/// <param name="Grains">Its weight, grains, above 0.</param>
/// <param name="Diameter">Of the shaft, inches, above 0.</param>
/// <param name="Drag">Drag coefficient on the section of the shaft, 0 or more.</param>
/// <param name="AirDensity">kg/m³, 0 or more.</param>
public readonly record struct FlyingArrow(
    double Grains,
    double Diameter,
    double Drag = 2,
    double AirDensity = Air.Standard
)
{
    /// <summary>k = ρ C_d A/(2 m), a metre: what the square of speed is multiplied with.</summary>
    public double DragPerMetre
    {
        get
        {
            var radius = Possible.Positive(Diameter) * Physical.MillimetresPerInch / 2000;
            var kilograms = Possible.Positive(Grains) * Physical.MilligramsPerGrain * 1e-6;
            return Possible.NotNegative(AirDensity)
                * Possible.NotNegative(Drag)
                * Math.PI
                * radius
                * radius
                / (2 * kilograms);
        }
    }
}

/// <summary>
/// The way of an arrow as a point mass with drag as the square of its speed, seen from the archer's line of sight,
/// which may go up or down a slope. Integrated over the distance by Runge and Kutta's fourth-order rule (any textbook
/// of numerics), steps of three yards at the most.
/// </summary>
public sealed class Trajectory
{
    private const double LongestStep = 3 * Physical.MetresPerYard;
    private const double MetresPerInch = Physical.MillimetresPerInch / 1000;
    private const double Stalled = 1;
    private const double Settled = 1e-11;
    private const int Tries = 60;

    private readonly double drag;
    private readonly double speed;
    private readonly double eye;
    private readonly double down;
    private readonly double back;

    /// <param name="arrow">The arrow in its air.</param>
    /// <param name="feetPerSecond">Launch speed, ft/s, above 0.</param>
    /// <param name="sightHeight">How far the arrow leaves below the eye, inches, 0 or more.</param>
    /// <param name="slope">The line of sight's, degrees, up positive, between −90 and 90.</param>
    public Trajectory(FlyingArrow arrow, double feetPerSecond, double sightHeight, double slope = 0)
    {
        drag = arrow.DragPerMetre;
        speed = Possible.Positive(feetPerSecond) * Physical.MetresPerFoot;
        eye = Possible.NotNegative(sightHeight) * MetresPerInch;
        var angle = Possible.Finite(slope) * Math.PI / 180;
        (back, down) = (Physical.StandardGravity * Math.Sin(angle), Physical.StandardGravity * Math.Cos(angle));
        (Arrow, Speed, SightHeight) = (arrow, feetPerSecond, sightHeight);
    }

    /// <summary>The arrow in its air.</summary>
    public FlyingArrow Arrow { get; }

    /// <summary>Launch speed, ft/s.</summary>
    public double Speed { get; }

    /// <summary>How far the arrow leaves below the eye, inches.</summary>
    public double SightHeight { get; }

    /// <summary>
    /// Where an arrow is that leaves at an angle to the line of sight; null where it never gets there.
    /// </summary>
    /// <param name="tangent">Of the launch angle.</param>
    /// <param name="yards">Along the line of sight, 0 or more.</param>
    public FlightPoint? At(double tangent, double yards) => Path(tangent, [yards])[0];

    /// <summary>The same at several distances.</summary>
    /// <param name="tangent">Of the launch angle.</param>
    /// <param name="yards">Ascending, yards.</param>
    public IReadOnlyList<FlightPoint?> Path(double tangent, IReadOnlyList<double> yards)
    {
        var path = new FlightPoint?[yards.Count];
        var cos = 1 / Math.Sqrt(1 + (tangent * tangent));
        var now = new State(0, -eye, speed * cos, speed * cos * tangent);
        var here = 0.0;
        for (var i = 0; i < path.Length; i++)
        {
            var there = yards[i] * Physical.MetresPerYard;
            var steps = (int)Math.Ceiling((there - here) / LongestStep);
            for (var n = 0; n < steps; n++)
            {
                now = Step(now, (there - here) / steps);
                if (!(now.Along > Stalled))
                {
                    return path;
                }
            }

            here = there;
            path[i] = new FlightPoint(
                yards[i],
                now.Seconds,
                now.Height / MetresPerInch,
                now.Along / Physical.MetresPerFoot,
                now.Across / Physical.MetresPerFoot
            );
        }

        return path;
    }

    /// <summary>
    /// The tangent of the launch angle at which the arrow meets the line of sight at a distance, by the secant rule;
    /// null where it does not carry so far.
    /// </summary>
    /// <param name="yards">Above 0.</param>
    public double? Zero(double yards)
    {
        var metres = Possible.Positive(yards) * Physical.MetresPerYard;
        var flat = (eye / metres) + (down * metres / (2 * speed * speed));
        var (before, tangent) = (flat, flat * 1.05);
        if (At(before, yards) is not { } first)
        {
            return null;
        }

        var missed = first.Height;
        for (var n = 0; n < Tries; n++)
        {
            if (At(tangent, yards) is not { } struck)
            {
                return null;
            }

            if (Math.Abs(struck.Height) < Settled)
            {
                return tangent;
            }

            var slope = (struck.Height - missed) / (tangent - before);
            (before, missed) = (tangent, struck.Height);
            tangent -= struck.Height / slope;
            if (!double.IsFinite(tangent) || tangent == before)
            {
                return double.IsFinite(tangent) && Math.Abs(missed) < 1e-6 ? tangent : null;
            }
        }

        return null;
    }

    /// <summary>
    /// How far above its aiming point an arrow strikes with the sight set for another distance, inches; null where it
    /// does not carry so far.
    /// </summary>
    /// <param name="set">What the sight is set for, yards.</param>
    /// <param name="at">Where the target really is, yards.</param>
    public double? Strikes(double set, double at) => Zero(set) is { } tangent ? At(tangent, at)?.Height : null;

    private State Step(State from, double metres)
    {
        var a = Rate(from);
        var b = Rate(from.Moved(a, metres / 2));
        var c = Rate(from.Moved(b, metres / 2));
        var d = Rate(from.Moved(c, metres));
        return from.Moved(a, metres / 6).Moved(b, metres / 3).Moved(c, metres / 3).Moved(d, metres / 6);
    }

    private State Rate(State at)
    {
        var braked = drag * Math.Sqrt((at.Along * at.Along) + (at.Across * at.Across));
        return new State(
            1 / at.Along,
            at.Across / at.Along,
            -((braked * at.Along) + back) / at.Along,
            -((braked * at.Across) + down) / at.Along
        );
    }

    /// <summary>Time, height and both speeds, or what a metre changes of them; metres and seconds.</summary>
    private readonly record struct State(double Seconds, double Height, double Along, double Across)
    {
        public State Moved(State rate, double metres) =>
            new(
                Seconds + (rate.Seconds * metres),
                Height + (rate.Height * metres),
                Along + (rate.Along * metres),
                Across + (rate.Across * metres)
            );
    }
}

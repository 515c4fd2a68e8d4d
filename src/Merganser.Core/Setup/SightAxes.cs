using Merganser.Core.Units;

namespace Merganser.Core.Setup;

/// <summary>
/// What a sight or a bow that is not square costs, in inches at the target. Drop in vacuum H = g t²/2 with t = distance
/// over speed; elementary trigonometry. All angles in degrees, distances in yards, speeds in ft/s (above 0).
/// </summary>
public static class SightAxes
{
    private const double FeetPerYard = 3;
    private const double InchesPerFoot = 12;
    private const double InchesPerYard = 36;

    /// <summary>Drop H below the line of departure, inches.</summary>
    public static double Drop(double speed, double yards)
    {
        ArgumentOutOfRangeException.ThrowIfNegativeOrZero(speed);
        var time = yards * FeetPerYard / speed;
        return Physical.StandardGravityFeet * time * time / 2 * InchesPerFoot;
    }

    /// <summary>Sideways by a canted bow: H sin c.</summary>
    public static double Cant(double speed, double yards, double degrees) => Drop(speed, yards) * Sin(degrees);

    /// <summary>
    /// Sideways by a canted bow after the sight was zeroed at d₀ with the same cant: sin c (H(d) − H(d₀) d/d₀).
    /// </summary>
    public static double CantAfterZero(double speed, double yards, double degrees, double zeroYards) =>
        Sin(degrees) * (Drop(speed, yards) - (Drop(speed, zeroYards) * yards / zeroYards));

    /// <summary>
    /// Sideways by a bar that is not plumb: d (p/R) tan c, p the pin's travel from the zero and R eye to pin, both in
    /// inches.
    /// </summary>
    public static double TiltedBar(double yards, double pinTravel, double eyeToPin, double degrees) =>
        yards * InchesPerYard * pinTravel / eyeToPin * Math.Tan(Radians(degrees));

    /// <summary>The cant that a third axis off by e gives on a slope a: sin(cant) = tan e · tan a, degrees.</summary>
    public static double ThirdAxisCant(double error, double slope) =>
        Math.Asin(Math.Tan(Radians(error)) * Math.Tan(Radians(slope))) * 180 / Math.PI;

    /// <summary>Sideways by it: H cos a · sin(cant); to the other side downhill.</summary>
    public static double ThirdAxis(double speed, double yards, double error, double slope) =>
        Drop(speed, yards) * Math.Cos(Radians(slope)) * Math.Tan(Radians(error)) * Math.Tan(Radians(slope));

    private static double Sin(double degrees) => Math.Sin(Radians(degrees));

    private static double Radians(double degrees) => degrees * Math.PI / 180;
}

/// <summary>One row of the table: what a degree costs at a distance, inches.</summary>
public sealed record CantRow(double Yards, double Cant, double CantAfterZero, double ThirdAxisUphill);

/// <summary>The table for a bow's speed and an archer's distances.</summary>
public sealed record CantTable(
    double Speed,
    double Degrees,
    double ZeroYards,
    double Slope,
    IReadOnlyList<CantRow> Rows
)
{
    /// <summary>Distances when nothing else is asked for, yards.</summary>
    public static IReadOnlyList<double> UsualYards { get; } = [20, 30, 40, 50, 60];

    /// <summary>The table for a speed in ft/s, a cant in degrees, a zero in yards and a slope in degrees.</summary>
    public static CantTable Of(
        double speed,
        double degrees,
        double zeroYards,
        double slope,
        IReadOnlyList<double> yards
    ) =>
        new(
            speed,
            degrees,
            zeroYards,
            slope,
            [
                .. yards.Select(d => new CantRow(
                    d,
                    SightAxes.Cant(speed, d, degrees),
                    SightAxes.CantAfterZero(speed, d, degrees, zeroYards),
                    SightAxes.ThirdAxis(speed, d, degrees, slope)
                )),
            ]
        );
}

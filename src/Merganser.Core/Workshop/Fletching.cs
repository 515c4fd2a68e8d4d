using Merganser.Core.Arrows;
using Merganser.Core.Dozens;

namespace Merganser.Core.Workshop;

/// <summary>How the vanes of a dozen are set in the jig. Places are inches from the nock's throat.</summary>
/// <param name="Count">Vanes on an arrow.</param>
/// <param name="Clocking">From one to the next around the shaft, degrees.</param>
/// <param name="Setting">Straight, offset or helical.</param>
/// <param name="Degrees">The jig's angle, to the right above 0; null until it is said.</param>
/// <param name="Front">Front edge.</param>
/// <param name="Back">Rear edge.</param>
/// <param name="FromTube">Rear edge from the end of the tube, inches.</param>
/// <param name="Area">Of one vane, square inches.</param>
/// <param name="Across">How far the front stands beside the rear at that angle, inches; null until it is said.</param>
public sealed record Fletching(
    int Count,
    double Clocking,
    VaneSetting Setting,
    double? Degrees,
    double Front,
    double Back,
    double FromTube,
    double Area,
    double? Across
)
{
    /// <summary>
    /// Area of a vane by length times height: its front slopes over most of its length (geometry of a vane whose slope
    /// takes seven tenths of the length; common practice, no source).
    /// </summary>
    public const double Fullness = 0.65;

    /// <summary>Of one vane, square inches, by its length and height in inches.</summary>
    public static double AreaOf(double length, double height) => length * height * Fullness;

    /// <summary>The vanes of a dozen; null for arrows without.</summary>
    public static Fletching? Of(Dozen dozen)
    {
        var arrow = dozen.Arrow;
        if (arrow.Vane is not { } vane || arrow.VaneCount == 0)
        {
            return null;
        }

        var degrees = dozen.Events.Select(e => e.Act).OfType<JigTurned>().LastOrDefault()?.Degrees;
        var back = arrow.VaneFront - vane.Length;
        return new Fletching(
            arrow.VaneCount,
            360.0 / arrow.VaneCount,
            vane.Setting,
            degrees,
            arrow.VaneFront,
            back,
            back - arrow.Nock.TubeStart,
            AreaOf(vane.Length, vane.Height),
            degrees is { } turn ? Math.Abs(vane.Length * Math.Sin(turn * Math.PI / 180)) : null
        );
    }
}

/// <summary>
/// A strip that goes once around the shaft, drawn to scale: the wrap's outline, where the index and the vanes stand.
/// </summary>
/// <param name="Around">The shaft's circumference, inches.</param>
/// <param name="Length">The wrap's length, inches; of arrows without one, as far as the vanes reach.</param>
/// <param name="IsWrap">True when a wrap is cut by it.</param>
/// <param name="Lines">Where the vanes stand around the shaft, inches from the index; the first on it.</param>
/// <param name="VaneBack">Rear edge of the vanes from the end of the tube, inches; null without vanes.</param>
/// <param name="VaneFront">Front edge of them likewise.</param>
public sealed record WrapTemplate(
    double Around,
    double Length,
    bool IsWrap,
    IReadOnlyList<double> Lines,
    double? VaneBack,
    double? VaneFront
)
{
    /// <summary>How wide the strip is without vanes or wrap, inches.</summary>
    private const double Bare = 2;

    /// <summary>The strip of an arrow.</summary>
    public static WrapTemplate Of(Arrow arrow)
    {
        var around = Math.PI * arrow.Shaft.OuterDiameter;
        var start = arrow.Nock.TubeStart;
        var front = arrow.Vane is null ? (double?)null : arrow.VaneFront - start;
        var step = arrow.VaneCount > 0 ? around / arrow.VaneCount : around;
        return new WrapTemplate(
            around,
            arrow.Wrap?.Length ?? (front + 0.5) ?? Bare,
            arrow.Wrap is not null,
            front is null ? [] : [.. Enumerable.Range(0, arrow.VaneCount).Select(i => i * step)],
            front - arrow.Vane?.Length,
            front
        );
    }
}

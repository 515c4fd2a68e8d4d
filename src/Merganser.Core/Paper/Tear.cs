using Merganser.Core.Bows;
using Merganser.Core.Figures;
using Merganser.Core.Messages;
using Merganser.Core.Units;

namespace Merganser.Core.Paper;

/// <summary>The face of the sheet that was read.</summary>
public enum SheetSide
{
    ShootingSide,
    TargetSide,
}

/// <summary>A place on the sheet as it was read, inches, x right and y up; finite.</summary>
public sealed record Hole(double X, double Y)
{
    /// <summary>Right, inches.</summary>
    public double X { get; } = double.IsFinite(X) ? X : throw new ArgumentOutOfRangeException(nameof(X));

    /// <summary>Up, inches.</summary>
    public double Y { get; } = double.IsFinite(Y) ? Y : throw new ArgumentOutOfRangeException(nameof(Y));
}

/// <summary>
/// A tear: the vector from the point's round hole to the tail's vane cuts, as the archer sees it from the shooting
/// side. x right, y up, inches; finite.
/// </summary>
public sealed record Tear(double X, double Y)
{
    /// <summary>Right, inches.</summary>
    public double X { get; } = double.IsFinite(X) ? X : throw new ArgumentOutOfRangeException(nameof(X));

    /// <summary>Up, inches.</summary>
    public double Y { get; } = double.IsFinite(Y) ? Y : throw new ArgumentOutOfRangeException(nameof(Y));

    /// <summary>Length of the tear, inches.</summary>
    public double Length => Math.Sqrt((X * X) + (Y * Y));

    /// <summary>
    /// How far off it may have been read, inches per axis and one sd: 0 for holes that were marked, more for a tear
    /// that was only said.
    /// </summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public double ReadWithin { get; init; }

    /// <summary>Where the tail lies from the point's hole.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public Message Place => new TailAt(Measure.Inches(X), Measure.Inches(Y));

    /// <summary>The mean of some tears, at least one.</summary>
    public static Tear Mean(IReadOnlyCollection<Tear> tears) => new(tears.Average(t => t.X), tears.Average(t => t.Y));

    /// <summary>Reads the two holes; a sheet read from the target side is mirrored.</summary>
    public static Tear Between(Hole point, Hole tail, SheetSide side)
    {
        var right = tail.X - point.X;
        return new Tear(side == SheetSide.ShootingSide ? right : -right, tail.Y - point.Y);
    }

    /// <summary>The same tear on a mirrored bow.</summary>
    public Tear Mirrored() => new(-X, Y);

    /// <summary>The component along an axis, inches.</summary>
    public double Along(TearAxis axis) => axis == TearAxis.Sideways ? X : Y;

    /// <summary>The square of the distance to another, in².</summary>
    public double SquareTo(Tear other) => Math.Pow(X - other.X, 2) + Math.Pow(Y - other.Y, 2);
}

/// <summary>Limits of a marked sheet.</summary>
public static class SheetLimits
{
    /// <summary>From where paper is shot, yards.</summary>
    public static AllowedRange Distances { get; } = new(1, 100, Unit.Yard, Why.PaperDistance);

    /// <summary>Where a tail may lie from the point's hole, inches on each axis.</summary>
    public static AllowedRange Reach { get; } = new(-LongestTear, LongestTear, Unit.Inch, Why.LongestTear);

    /// <summary>How close to one clean hole may be asked for, inches.</summary>
    public static AllowedRange Tolerance { get; } = new(0.05, 1, Unit.Inch, Why.CleanHoleToRoughSetting);

    /// <summary>Half the width of the sheet that can be marked, inches.</summary>
    public const double HalfSheet = 12;

    /// <summary>Longest tear that an arrow can leave and still be read, inches.</summary>
    public const double LongestTear = 12;

    /// <summary>Refuses holes that lie off the sheet, or too far apart for one arrow.</summary>
    /// <exception cref="RefusedException">A hole is off the sheet, or the tear is longer than any arrow
    /// leaves.</exception>
    public static void Check(Hole point, Hole tail)
    {
        var fields = new FieldReader();
        fields.Check(OnSheet(point), "point", "off-sheet", new OffSheet(false, Measure.Inches(HalfSheet, 0)));
        fields.Check(OnSheet(tail), "tail", "off-sheet", new OffSheet(true, Measure.Inches(HalfSheet, 0)));
        var tooLong =
            fields.Problems.Count == 0 && Tear.Between(point, tail, SheetSide.ShootingSide).Length > LongestTear;
        fields.Check(!tooLong, "tail", "tear-too-long", new TearTooLong(Measure.Inches(LongestTear, 0)));
        if (fields.Problems.Count > 0)
        {
            throw new RefusedException("holes", fields.Problems[0].Message, [.. fields.Problems]);
        }
    }

    private static bool OnSheet(Hole hole) => Math.Abs(hole.X) <= HalfSheet && Math.Abs(hole.Y) <= HalfSheet;
}

using System.Text.Json.Serialization;
using Merganser.Core.Bows;
using Merganser.Core.Figures;
using Merganser.Core.Units;

namespace Merganser.Core.Paper;

/// <summary>The face of the sheet that was read.</summary>
public enum SheetSide { ShootingSide, TargetSide }

/// <summary>A place on the sheet as it was read, inches, x right and y up.</summary>
public sealed record Hole(double X, double Y);

/// <summary>
/// A tear: the vector from the point's round hole to the tail's vane cuts, as the archer sees it from the shooting side.
/// x right, y up, inches.
/// </summary>
public sealed record Tear(double X, double Y)
{
    /// <summary>Length of the tear, inches.</summary>
    public double Length => Math.Sqrt((X * X) + (Y * Y));

    /// <summary>Reads the two holes; a sheet read from the target side is mirrored.</summary>
    public static Tear Between(Hole point, Hole tail, SheetSide side)
    {
        var right = tail.X - point.X;
        return new Tear(side == SheetSide.ShootingSide ? right : -right, tail.Y - point.Y);
    }

    /// <summary>The same tear on a mirrored bow.</summary>
    public Tear Mirrored() => new(-X, Y);

    /// <summary>Where the tail lies from the point's hole, as a person says it: never a minus sign.</summary>
    [JsonIgnore]
    public string Words => $"{Sideways}, {Height}";

    /// <summary>The same, sideways alone: <c>0.94 in left</c>.</summary>
    [JsonIgnore]
    public string Sideways => Said(X, "right", "left", "sideways");

    /// <summary>The same, in height alone: <c>0.32 in high</c>.</summary>
    [JsonIgnore]
    public string Height => Said(Y, "high", "low", "in height");

    private static string Said(double inches, string plus, string minus, string none) =>
        Math.Abs(inches) < Shown ? $"0 in {none}" : $"{Show.Number(Math.Abs(inches), 2)} in {(inches > 0 ? plus : minus)}";

    /// <summary>Half of the last decimal that is shown, inches.</summary>
    private const double Shown = 0.005;

    /// <summary>The component along an axis.</summary>
    public double Along(TearAxis axis) => axis == TearAxis.Sideways ? X : Y;
}

/// <summary>Limits of a marked sheet.</summary>
public static class SheetLimits
{
    /// <summary>From where paper is shot, yards.</summary>
    public static AllowedRange Distances { get; } = new(1, 100, "yd", "close enough that the hole shows, far enough to clear the bow");

    /// <summary>Where a tail may lie from the point's hole, inches on each axis.</summary>
    public static AllowedRange Reach { get; } = new(-LongestTear, LongestTear, "in", "no arrow tears farther");

    /// <summary>Half the width of the sheet that can be marked, inches.</summary>
    public const double HalfSheet = 12;

    /// <summary>Longest tear that an arrow can leave and still be read, inches.</summary>
    public const double LongestTear = 12;
}

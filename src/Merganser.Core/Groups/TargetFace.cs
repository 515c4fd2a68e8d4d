using Merganser.Core.Figures;
using Merganser.Core.Units;

namespace Merganser.Core.Groups;

/// <summary>A face as it hangs on the butt: plain rings of one width about its middle, or a blank sheet.</summary>
/// <param name="Diameter">Across the outermost ring, or the sheet, inches.</param>
/// <param name="Rings">How many; 0 for a blank sheet with an aiming point.</param>
public sealed record TargetFace(double Diameter, int Rings)
{
    /// <summary>Nobody reads more of them.</summary>
    public const int MostRings = 12;

    /// <summary>How wide a face may be, inches.</summary>
    public static AllowedRange Diameters { get; } = new(2, 60, Unit.Inch, Why.FaceOnAButt);

    /// <summary>A face as typed; null where none was said.</summary>
    /// <param name="fields">Collects what cannot be read.</param>
    /// <param name="across">Its width; empty for none.</param>
    /// <param name="rings">How many rings.</param>
    public static TargetFace? Read(FieldReader fields, string? across, int rings)
    {
        fields.Check(rings is >= 0 and <= MostRings, "rings", "range", new RingsFromTo(MostRings));
        return fields.Optional("face", across, Quantity.Length, Diameters) is { } wide
            ? new TargetFace(wide.Value, rings)
            : null;
    }
}

using System.Text.Json.Serialization;
using Merganser.Core.Figures;
using Merganser.Core.Units;

namespace Merganser.Core.Groups;

/// <summary>
/// A face as it hangs on the butt: rings of one width about its middle, rings of their own sizes, or a blank sheet.
/// </summary>
/// <param name="Diameter">Across the whole of it, inches.</param>
/// <param name="Rings">How many; 0 for a blank sheet with an aiming point.</param>
/// <param name="RingDiameters">How wide each ring is across, inches, the widest first; null for rings of one
/// width.</param>
public sealed record TargetFace(
    double Diameter,
    int Rings,
    [property: JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)] IReadOnlyList<double>? RingDiameters = null
)
{
    /// <summary>Nobody reads more of them.</summary>
    public const int MostRings = 12;

    /// <summary>How wide a face may be, inches.</summary>
    public static AllowedRange Diameters { get; } = new(2, 60, Unit.Inch, Why.FaceOnAButt);

    /// <summary>How wide a ring may be across, inches.</summary>
    public static AllowedRange RingsAcross { get; } = new(.25, 60, Unit.Inch, Why.FaceOnAButt);

    /// <summary>A face as typed; null where none was said.</summary>
    /// <param name="fields">Collects what cannot be read.</param>
    /// <param name="across">Its width; empty for none.</param>
    /// <param name="rings">How many rings.</param>
    /// <param name="ringsAcross">Each ring's own width across, one after the other with <c>;</c> between two; empty
    /// for rings of one width, and then <paramref name="rings"/> says how many.</param>
    public static TargetFace? Read(FieldReader fields, string? across, int rings, string? ringsAcross = null)
    {
        fields.Check(rings is >= 0 and <= MostRings, "rings", "range", new RingsFromTo(MostRings));
        var wide = fields.Optional("face", across, Quantity.Length, Diameters);
        var own = Own(fields, wide?.Value, ringsAcross);
        return wide is null ? null : new TargetFace(wide.Value, own?.Length ?? rings, own);
    }

    private static double[]? Own(FieldReader fields, double? wide, string? ringsAcross)
    {
        const string field = "ringsAcross";
        if (wide is null || string.IsNullOrWhiteSpace(ringsAcross))
        {
            return null;
        }

        var typed = ringsAcross.Split(';', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries);
        fields.Check(typed.Length is > 0 and <= MostRings, field, "range", new RingsFromTo(MostRings));
        double[] rings =
        [
            .. typed
                .Take(MostRings)
                .Select(ring => fields.Required(field, ring, Quantity.Length, RingsAcross)?.Value)
                .OfType<double>()
                .Distinct()
                .OrderDescending(),
        ];
        fields.Check(rings.All(ring => ring <= wide), field, "range", GroupSays.RingWiderThanFace);
        return rings;
    }
}

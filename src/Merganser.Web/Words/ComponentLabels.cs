using Merganser.Core.Arrows;

namespace Merganser.Web.Words;

/// <summary>The fields of the catalogue.</summary>
public static class ComponentLabels
{
    /// <summary>The label of a field of a class.</summary>
    public static string Of(ComponentClass kind, string field) =>
        Labels.TryGetValue((kind, field), out var own) ? own : Labels[(null, field)];

    private static readonly Dictionary<(ComponentClass? Class, string Field), string> Labels = new()
    {
        [(null, "maker")] = "Maker",
        [(null, "name")] = "Name",
        [(ComponentClass.Shaft, "name")] = "Family and size",
        [(null, "tubeCode")] = "Tube code",
        [(null, "spine")] = "Spine",
        [(null, "grainsPerInch")] = "Weight per length",
        [(null, "outerDiameter")] = "Outer diameter",
        [(null, "diameter")] = "Diameter in the tube",
        [(null, "innerDiameter")] = "Inner diameter",
        [(null, "maxLength")] = "Length as sold",
        [(null, "straightness")] = "Straightness",
        [(null, "weightTolerance")] = "Weight tolerance",
        [(null, "material")] = "Material",
        [(null, "measuredDeflection")] = "Measured deflection",
        [(null, "measuredSpan")] = "on a span of",
        [(null, "measuredLoad")] = "under",
        [(null, "grainsPerInchBand")] = "Weight per length, give or take",
        [(null, "spineBand")] = "Spine, give or take",
        [(null, "grainsBand")] = "Weight, give or take",
        [(null, "measuredGrainsPerInch")] = "Measured weight per length",
        [(null, "grains")] = "Weight",
        [(ComponentClass.Nock, "grains")] = "Weight, with its pin or bushing",
        [(ComponentClass.Vane, "grains")] = "Weight of one",
        [(null, "length")] = "Length",
        [(ComponentClass.Point, "length")] = "Length ahead of the shaft",
        [(null, "centreAhead")] = "Centre ahead of the shaft's end",
        [(ComponentClass.EndPart, "centreAhead")] = "Centre from its end of the shaft, towards the point",
        [(null, "breakOff")] = "Break-off step",
        [(null, "breakOffSteps")] = "Steps",
        [(null, "measuredGrains")] = "Measured weight",
        [(null, "kind")] = "Kind",
        [(null, "blades")] = "Blades",
        [(null, "tubeStart")] = "Throat to the tube",
        [(null, "centre")] = "Throat to its centre",
        [(null, "height")] = "Height",
        [(null, "setting")] = "Set",
        [(null, "glue")] = "Glue for one",
        [(null, "owned")] = "Owned",
        [(null, "price")] = "Price of one",
        [(null, "orderNumber")] = "Order number",
    };
}

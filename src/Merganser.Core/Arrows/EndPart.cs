using System.Text.Json.Serialization;
using Merganser.Core.Units;

namespace Merganser.Core.Arrows;

/// <summary>What stands at an end of an arrow besides insert, point and nock.</summary>
public enum EndPartKind
{
    /// <summary>Goes over the shaft's end, and holds the point in line with it.</summary>
    Outsert,

    /// <summary>A ring over the shaft's end.</summary>
    Collar,

    /// <summary>Screwed behind the insert, inside the shaft.</summary>
    FrontWeight,

    /// <summary>In the tube at the nock's end; the nock goes over it.</summary>
    Pin,

    /// <summary>In the tube at the nock's end; the nock goes into it.</summary>
    Bushing,

    /// <summary>A ring over the tube at the nock's end.</summary>
    NockCollar,
}

/// <summary>A part at an end of an arrow besides insert, point and nock.</summary>
/// <param name="Maker">Maker.</param>
/// <param name="Name">Name.</param>
/// <param name="Kind">What it is, and so at which end.</param>
/// <param name="Grains">Nominal mass, 0 or more.</param>
/// <param name="Length">Length, inches.</param>
/// <param name="CentreAhead">Its centre of mass from its own end of the shaft towards the point, inches: negative
/// inside the shaft in front, positive inside it behind.</param>
/// <param name="MeasuredGrains">Measured mass, or null; it wins.</param>
/// <param name="Diameter">Of what goes into the tube, inches; 0 for a part that goes over it, or not known.</param>
public sealed record EndPart(
    string Maker,
    string Name,
    EndPartKind Kind,
    double Grains,
    double Length,
    double CentreAhead,
    double? MeasuredGrains = null,
    double Diameter = 0
) : IComponent
{
    /// <summary>Nominal mass, 0 or more.</summary>
    public double Grains
    {
        get;
        init => field = Possible.NotNegative(value);
    } = Possible.NotNegative(Grains);

    /// <summary>Length, inches.</summary>
    public double Length
    {
        get;
        init => field = Possible.NotNegative(value);
    } = Possible.NotNegative(Length);

    /// <summary>Its centre of mass from its own end of the shaft towards the point, inches.</summary>
    public double CentreAhead
    {
        get;
        init => field = Possible.Finite(value);
    } = Possible.Finite(CentreAhead);

    /// <summary>Measured mass, or null; it wins.</summary>
    public double? MeasuredGrains
    {
        get;
        init => field = Possible.NotNegative(value);
    } = Possible.NotNegative(MeasuredGrains);

    /// <summary>Of what goes into the tube, inches; 0 for a part that goes over it, or not known.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public double Diameter
    {
        get;
        init => field = Possible.NotNegative(value);
    } = Possible.NotNegative(Diameter);

    /// <summary>The mass to reckon with.</summary>
    public double Weight => MeasuredGrains ?? Grains;

    /// <summary>True for a part in front: it moves with the shaft's end when that is cut.</summary>
    [JsonIgnore]
    public bool InFront => Kind is EndPartKind.Outsert or EndPartKind.Collar or EndPartKind.FrontWeight;

    /// <summary>True for a part that the nock is held by: the nock itself does not go into the tube then.</summary>
    [JsonIgnore]
    public bool HoldsNock => Kind is EndPartKind.Pin or EndPartKind.Bushing;

    /// <summary>True for a part that goes over the shaft, not into it.</summary>
    [JsonIgnore]
    public bool GoesOver => Kind is EndPartKind.Outsert or EndPartKind.Collar or EndPartKind.NockCollar;

    /// <summary>
    /// The names under which the parts of one arrow are weighed, in their order: another collar is "Second collar".
    /// </summary>
    public static IReadOnlyList<string> NamesOf(IReadOnlyList<EndPart> parts) =>
        [.. parts.Select((part, i) => NameOf(part.Kind, parts.Take(i).Count(p => p.Kind == part.Kind)))];

    private static readonly string[] Another = ["Second", "Third", "Fourth", "Fifth", "Sixth", "Seventh", "Eighth"];

    private static string NameOf(EndPartKind kind, int before) =>
        before == 0 ? NameOf(kind) : $"{Another[before - 1]} {NameOf(kind).ToLowerInvariant()}";

    private static string NameOf(EndPartKind kind) =>
        kind switch
        {
            EndPartKind.FrontWeight => "Front weight",
            EndPartKind.NockCollar => "Nock collar",
            _ => $"{kind}",
        };
}

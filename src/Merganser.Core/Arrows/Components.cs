using System.Text.Json.Serialization;
using Merganser.Core.Units;

namespace Merganser.Core.Arrows;

/// <summary>What an arrow is made of.</summary>
public enum ComponentClass
{
    Shaft,
    Insert,
    Point,
    Nock,
    Vane,
    Wrap,
    EndPart,
}

/// <summary>What stands at the front of an arrow.</summary>
public enum PointKind
{
    Target,
    Field,
    GlueIn,
    FixedHead,
    MechanicalHead,
}

/// <summary>Kinds of points told apart.</summary>
public static class PointKinds
{
    /// <summary>True for a head with blades.</summary>
    public static bool IsHead(this PointKind kind) => kind is PointKind.FixedHead or PointKind.MechanicalHead;
}

/// <summary>How a nock is held.</summary>
public enum NockKind
{
    PressIn,
    Pin,
    Bushing,
    Lit,
}

/// <summary>How a vane is set on the shaft.</summary>
public enum VaneSetting
{
    Straight,
    Offset,
    Helical,
}

/// <summary>A part of the catalogue.</summary>
public interface IComponent
{
    /// <summary>Its maker.</summary>
    string Maker { get; }

    /// <summary>Its name.</summary>
    string Name { get; }
}

/// <summary>An insert: what the point is screwed or pressed into.</summary>
/// <param name="Maker">Maker.</param>
/// <param name="Name">Name.</param>
/// <param name="Grains">Nominal mass, whole.</param>
/// <param name="Length">Length, inches.</param>
/// <param name="CentreAhead">Its centre of mass ahead of the shaft's end; negative inside the shaft.</param>
/// <param name="BreakOff">Grains of one break-off step, 0 for none.</param>
/// <param name="BreakOffSteps">How many steps can be broken off.</param>
/// <param name="MeasuredGrains">Measured mass, or null; it wins over the nominal one.</param>
/// <param name="Diameter">Of what goes into the tube, inches; 0 for a part that goes over it, or not known.</param>
/// <param name="GrainsBand">Half the range of a mass that nobody knows, grains; 0 for a known one.</param>
public sealed record Insert(
    string Maker,
    string Name,
    double Grains,
    double Length,
    double CentreAhead,
    double BreakOff = 0,
    int BreakOffSteps = 0,
    double? MeasuredGrains = null,
    double Diameter = 0,
    [property: JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)] double GrainsBand = 0
) : IComponent
{
    /// <summary>Nominal mass, whole.</summary>
    public double Grains
    {
        get;
        init => field = Possible.Finite(value);
    } = Possible.Finite(Grains);

    /// <summary>Length, inches.</summary>
    public double Length
    {
        get;
        init => field = Possible.NotNegative(value);
    } = Possible.NotNegative(Length);

    /// <summary>Its centre of mass ahead of the shaft's end; negative inside the shaft.</summary>
    public double CentreAhead
    {
        get;
        init => field = Possible.Finite(value);
    } = Possible.Finite(CentreAhead);

    /// <summary>Grains of one break-off step, 0 for none.</summary>
    public double BreakOff
    {
        get;
        init => field = Possible.NotNegative(value);
    } = Possible.NotNegative(BreakOff);

    /// <summary>Measured mass, or null; it wins over the nominal one.</summary>
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

    /// <summary>Half the range in which the mass to reckon with lies, grains: a weighed one has none.</summary>
    [JsonIgnore]
    public double Band => MeasuredGrains is null ? GrainsBand : 0;

    /// <summary>The mass to reckon with.</summary>
    public double Weight => MeasuredGrains ?? Grains;
}

/// <summary>A point or head.</summary>
/// <param name="Maker">Maker.</param>
/// <param name="Name">Name.</param>
/// <param name="Kind">Target, field, glue-in or head.</param>
/// <param name="Grains">Nominal mass, whole.</param>
/// <param name="Length">Length ahead of the shaft's end, inches.</param>
/// <param name="CentreAhead">Its centre of mass ahead of the shaft's end; negative for a shank inside it.</param>
/// <param name="Blades">Blades of a head, 0 for a point.</param>
/// <param name="BreakOff">Grains of one break-off step, 0 for none.</param>
/// <param name="BreakOffSteps">How many steps can be broken off.</param>
/// <param name="MeasuredGrains">Measured mass, or null; it wins.</param>
/// <param name="Diameter">Of what goes into the tube, inches; 0 for a part that goes over it, or not known.</param>
/// <param name="GrainsBand">Half the range of a mass that nobody knows, grains; 0 for a known one.</param>
public sealed record Point(
    string Maker,
    string Name,
    PointKind Kind,
    double Grains,
    double Length,
    double CentreAhead,
    int Blades = 0,
    double BreakOff = 0,
    int BreakOffSteps = 0,
    double? MeasuredGrains = null,
    double Diameter = 0,
    [property: JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)] double GrainsBand = 0
) : IComponent
{
    /// <summary>Nominal mass, whole.</summary>
    public double Grains
    {
        get;
        init => field = Possible.Finite(value);
    } = Possible.Finite(Grains);

    /// <summary>Length ahead of the shaft's end, inches.</summary>
    public double Length
    {
        get;
        init => field = Possible.NotNegative(value);
    } = Possible.NotNegative(Length);

    /// <summary>Its centre of mass ahead of the shaft's end; negative for a shank inside it.</summary>
    public double CentreAhead
    {
        get;
        init => field = Possible.Finite(value);
    } = Possible.Finite(CentreAhead);

    /// <summary>Grains of one break-off step, 0 for none.</summary>
    public double BreakOff
    {
        get;
        init => field = Possible.NotNegative(value);
    } = Possible.NotNegative(BreakOff);

    /// <summary>Measured mass, or null; it wins over the nominal one.</summary>
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

    /// <summary>Half the range in which the mass to reckon with lies, grains: a weighed one has none.</summary>
    [JsonIgnore]
    public double Band => MeasuredGrains is null ? GrainsBand : 0;

    /// <summary>The mass to reckon with.</summary>
    public double Weight => MeasuredGrains ?? Grains;
}

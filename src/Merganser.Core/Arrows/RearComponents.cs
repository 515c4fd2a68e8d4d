using System.Text.Json.Serialization;
using Merganser.Core.Units;

namespace Merganser.Core.Arrows;

/// <summary>A nock.</summary>
/// <param name="Maker">Maker.</param>
/// <param name="Name">Name.</param>
/// <param name="Grains">Nominal mass, with a pin or bushing that is no part of its own.</param>
/// <param name="TubeStart">Throat to where the shaft's tube starts, inches (x₀).</param>
/// <param name="Centre">Throat to its centre of mass, inches.</param>
/// <param name="Kind">How it is held; a lit one is heavier.</param>
/// <param name="MeasuredGrains">Measured mass, or null; it wins.</param>
/// <param name="Diameter">Of what goes into the tube, inches; 0 for a part that goes over it, or not known.</param>
/// <param name="GrainsBand">Half the range of a mass that nobody knows, grains; 0 for a known one.</param>
public sealed record Nock(
    string Maker,
    string Name,
    double Grains,
    double TubeStart,
    double Centre,
    NockKind Kind = NockKind.PressIn,
    double? MeasuredGrains = null,
    double Diameter = 0,
    [property: JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)] double GrainsBand = 0
) : IComponent
{
    /// <summary>Nominal mass, with pin or bushing.</summary>
    public double Grains
    {
        get;
        init => field = Possible.NotNegative(value);
    } = Possible.NotNegative(Grains);

    /// <summary>Throat to where the shaft's tube starts, inches (x₀).</summary>
    public double TubeStart
    {
        get;
        init => field = Possible.NotNegative(value);
    } = Possible.NotNegative(TubeStart);

    /// <summary>Throat to its centre of mass, inches.</summary>
    public double Centre
    {
        get;
        init => field = Possible.Finite(value);
    } = Possible.Finite(Centre);

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

    /// <summary>Half the range in which the mass to reckon with lies, grains: a weighed one has none.</summary>
    [JsonIgnore]
    public double Band => MeasuredGrains is null ? GrainsBand : 0;

    /// <summary>The mass to reckon with.</summary>
    public double Weight => MeasuredGrains ?? Grains;
}

/// <summary>One vane.</summary>
/// <param name="Maker">Maker.</param>
/// <param name="Name">Name.</param>
/// <param name="Grains">Nominal mass of one.</param>
/// <param name="Length">Length, inches.</param>
/// <param name="Height">Height, inches.</param>
/// <param name="Setting">How it is usually set.</param>
/// <param name="Glue">Glue allowance for one, grains.</param>
/// <param name="MeasuredGrains">Measured mass, or null; it wins.</param>
/// <param name="GrainsBand">Half the range of a mass that nobody knows, grains; 0 for a known one.</param>
public sealed record Vane(
    string Maker,
    string Name,
    double Grains,
    double Length,
    double Height,
    VaneSetting Setting = VaneSetting.Offset,
    double Glue = 0,
    double? MeasuredGrains = null,
    [property: JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)] double GrainsBand = 0
) : IComponent
{
    /// <summary>Nominal mass of one.</summary>
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

    /// <summary>Height, inches.</summary>
    public double Height
    {
        get;
        init => field = Possible.NotNegative(value);
    } = Possible.NotNegative(Height);

    /// <summary>Glue allowance for one, grains.</summary>
    public double Glue
    {
        get;
        init => field = Possible.NotNegative(value);
    } = Possible.NotNegative(Glue);

    /// <summary>Measured mass, or null; it wins.</summary>
    public double? MeasuredGrains
    {
        get;
        init => field = Possible.NotNegative(value);
    } = Possible.NotNegative(MeasuredGrains);

    /// <summary>Half the range in which the mass to reckon with lies, grains: a weighed one has none.</summary>
    [JsonIgnore]
    public double Band => MeasuredGrains is null ? GrainsBand : 0;

    /// <summary>The mass to reckon with.</summary>
    public double Weight => MeasuredGrains ?? Grains;
}

/// <summary>A wrap.</summary>
/// <param name="Maker">Maker.</param>
/// <param name="Name">Name.</param>
/// <param name="Grains">Nominal mass.</param>
/// <param name="Length">Length from the start of the tube, inches.</param>
/// <param name="MeasuredGrains">Measured mass, or null; it wins.</param>
public sealed record Wrap(string Maker, string Name, double Grains, double Length, double? MeasuredGrains = null)
    : IComponent
{
    /// <summary>Nominal mass.</summary>
    public double Grains
    {
        get;
        init => field = Possible.NotNegative(value);
    } = Possible.NotNegative(Grains);

    /// <summary>Length from the start of the tube, inches.</summary>
    public double Length
    {
        get;
        init => field = Possible.NotNegative(value);
    } = Possible.NotNegative(Length);

    /// <summary>Measured mass, or null; it wins.</summary>
    public double? MeasuredGrains
    {
        get;
        init => field = Possible.NotNegative(value);
    } = Possible.NotNegative(MeasuredGrains);

    /// <summary>The mass to reckon with.</summary>
    public double Weight => MeasuredGrains ?? Grains;
}

using System.Text.Json.Serialization;
using Merganser.Core.Units;

namespace Merganser.Core.Arrows;

/// <summary>A shaft of one spine. Positions along the arrow are inches from the nock throat.</summary>
/// <param name="Maker">Maker.</param>
/// <param name="Name">Family and size.</param>
/// <param name="Spine">Nominal static spine, ASTM: deflection in inches at 28 in span under 1.94 lb.</param>
/// <param name="GrainsPerInch">Nominal mass of an inch.</param>
/// <param name="OuterDiameter">Outer diameter, inches.</param>
/// <param name="MaxLength">Length as sold, inches.</param>
/// <param name="Material">Carbon, aluminium, wood …</param>
/// <param name="InnerDiameter">Inner diameter, inches; 0 where it is not known or the shaft is solid.</param>
/// <param name="Straightness">The maker's straightness, inches; 0 where not known.</param>
/// <param name="WeightTolerance">The maker's weight tolerance, grains; 0 where not known.</param>
/// <param name="TubeCode">Aluminium tube code, or null.</param>
/// <param name="MeasuredSpine">ASTM spine measured on these very shafts, or null; it wins over the nominal one.</param>
/// <param name="MeasuredGrainsPerInch">Mass of an inch measured on these very shafts, or null; it wins.</param>
/// <param name="GrainsPerInchBand">Half the band of a mass that is not known but taken from like shafts; 0 for a known
/// one.</param>
/// <param name="SpineBand">Half the range of a spine that nobody knows, inches; 0 for a known one.</param>
public sealed record Shaft(
    string Maker,
    string Name,
    double Spine,
    double GrainsPerInch,
    double OuterDiameter,
    double MaxLength,
    string Material,
    double InnerDiameter = 0,
    double Straightness = 0,
    double WeightTolerance = 0,
    string? TubeCode = null,
    double? MeasuredSpine = null,
    double? MeasuredGrainsPerInch = null,
    double GrainsPerInchBand = 0,
    [property: JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)] double SpineBand = 0
) : IComponent
{
    /// <summary>Nominal static spine, ASTM: deflection in inches at 28 in span under 1.94 lb.</summary>
    public double Spine
    {
        get;
        init => field = Possible.Positive(value);
    } = Possible.Positive(Spine);

    /// <summary>Nominal mass of an inch.</summary>
    public double GrainsPerInch
    {
        get;
        init => field = Possible.Positive(value);
    } = Possible.Positive(GrainsPerInch);

    /// <summary>Outer diameter, inches.</summary>
    public double OuterDiameter
    {
        get;
        init => field = Possible.Positive(value);
    } = Possible.Positive(OuterDiameter);

    /// <summary>Length as sold, inches.</summary>
    public double MaxLength
    {
        get;
        init => field = Possible.Positive(value);
    } = Possible.Positive(MaxLength);

    /// <summary>Inner diameter, inches; 0 where it is not known or the shaft is solid.</summary>
    public double InnerDiameter
    {
        get;
        init => field = Possible.NotNegative(value);
    } = Possible.NotNegative(InnerDiameter);

    /// <summary>The maker's straightness, inches; 0 where not known.</summary>
    public double Straightness
    {
        get;
        init => field = Possible.NotNegative(value);
    } = Possible.NotNegative(Straightness);

    /// <summary>The maker's weight tolerance, grains; 0 where not known.</summary>
    public double WeightTolerance
    {
        get;
        init => field = Possible.NotNegative(value);
    } = Possible.NotNegative(WeightTolerance);

    /// <summary>ASTM spine measured on these very shafts, or null; it wins over the nominal one.</summary>
    public double? MeasuredSpine
    {
        get;
        init => field = Possible.Positive(value);
    } = Possible.Positive(MeasuredSpine);

    /// <summary>Mass of an inch measured on these very shafts, or null; it wins.</summary>
    public double? MeasuredGrainsPerInch
    {
        get;
        init => field = Possible.Positive(value);
    } = Possible.Positive(MeasuredGrainsPerInch);

    /// <summary>Half the band of a mass that is not known but taken from like shafts; 0 for a known one.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public double GrainsPerInchBand
    {
        get;
        init => field = Possible.NotNegative(value);
    } = Possible.NotNegative(GrainsPerInchBand);

    /// <summary>The spine to reckon with: measured where it was, else nominal.</summary>
    public double SpineInUse => MeasuredSpine ?? Spine;

    /// <summary>The mass of an inch to reckon with.</summary>
    public double GrainsPerInchInUse => MeasuredGrainsPerInch ?? GrainsPerInch;
}

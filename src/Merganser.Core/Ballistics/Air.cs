using Merganser.Core.Figures;
using Merganser.Core.Units;

namespace Merganser.Core.Ballistics;

/// <summary>The air an arrow flies through: the standard atmosphere below 11 km (ISO 2533).</summary>
public static class Air
{
    /// <summary>At sea level and 15 °C, kg/m³.</summary>
    public const double Standard = 1.225;

    /// <summary>Where a field may lie, feet above the sea.</summary>
    public static AllowedRange Altitudes { get; } = new(-1500, 16000, Unit.Foot, Why.AltitudeOfAField);

    /// <summary>The air that people shoot in, °F.</summary>
    public static AllowedRange Temperatures { get; } = new(-40, 125, Unit.Fahrenheit, Why.AirOfADay);

    private const double SeaLevelPressure = 101325;
    private const double SeaLevelKelvin = 288.15;
    private const double LapsePerMetre = 0.0065;
    private const double EarthRadius = 6356766;
    private const double GasConstant = 287.05287;
    private const double FreezingKelvin = 273.15;

    /// <summary>
    /// Density, kg/m³: pressure of the standard atmosphere at the altitude, by the temperature that there is.
    /// </summary>
    /// <param name="feet">Above the sea, inside <see cref="Altitudes"/>; null for sea level.</param>
    /// <param name="fahrenheit">Of the air, inside <see cref="Temperatures"/>; null for the standard's there.</param>
    public static double Density(double? feet, double? fahrenheit)
    {
        var geometric = (feet ?? 0) * Physical.MetresPerFoot;
        var metres = EarthRadius * geometric / (EarthRadius + geometric);
        var standard = SeaLevelKelvin - (LapsePerMetre * metres);
        var exponent = Physical.StandardGravity / (GasConstant * LapsePerMetre);
        var pressure = SeaLevelPressure * Math.Pow(standard / SeaLevelKelvin, exponent);
        var kelvin = fahrenheit is { } warm
            ? ((warm - Physical.FreezingFahrenheit) / Physical.FahrenheitPerKelvin) + FreezingKelvin
            : standard;
        return pressure / (GasConstant * kelvin);
    }
}

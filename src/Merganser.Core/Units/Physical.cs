namespace Merganser.Core.Units;

/// <summary>Fixed conversion factors. Masses by the international pound of 1959, gravity by ISO 80000-3.</summary>
public static class Physical
{
    /// <summary>Grains in one avoirdupois pound, exact (international yard and pound agreement, 1959).</summary>
    public const double GrainsPerPound = 7000;

    /// <summary>Milligrams in one grain, exact (international yard and pound agreement, 1959).</summary>
    public const double MilligramsPerGrain = 64.79891;

    /// <summary>Millimetres in one inch, exact (1959).</summary>
    public const double MillimetresPerInch = 25.4;

    /// <summary>Standard gravity in m/s², exact (ISO 80000-3).</summary>
    public const double StandardGravity = 9.80665;

    /// <summary>Standard gravity in ft/s², derived from the metric value.</summary>
    public const double StandardGravityFeet = StandardGravity / (MillimetresPerInch * 12 / 1000);

    /// <summary>Newtons in one pound-force: a pound's mass under standard gravity.</summary>
    public const double NewtonsPerPound = GrainsPerPound * MilligramsPerGrain * 1e-6 * StandardGravity;

    /// <summary>Metres in one foot, exact.</summary>
    public const double MetresPerFoot = 0.3048;

    /// <summary>Metres in one yard, exact.</summary>
    public const double MetresPerYard = 0.9144;

    /// <summary>Metres a second in one mile an hour, exact: 1,609.344 m in 3,600 s.</summary>
    public const double MetresPerSecondInMph = 0.44704;

    /// <summary>Degrees Fahrenheit in one kelvin, exact.</summary>
    public const double FahrenheitPerKelvin = 1.8;

    /// <summary>Nought degrees Celsius in degrees Fahrenheit, exact.</summary>
    public const double FreezingFahrenheit = 32;

    /// <summary>Joules in one foot-pound.</summary>
    public const double JoulesPerFootPound = NewtonsPerPound * MetresPerFoot;

    /// <summary>Grains that one slug weighs: what turns grain and ft/s into ft·lb and slug·ft/s.</summary>
    public const double GrainsPerSlug = GrainsPerPound * StandardGravityFeet;
}

namespace Merganser.Core.Units;

/// <summary>What an entry measures. Its trade unit is the one in which the Core computes.</summary>
public enum Quantity
{
    /// <summary>Length in inches.</summary>
    Length,

    /// <summary>Mass of arrow parts in grains.</summary>
    Weight,

    /// <summary>Draw weight in pounds-force.</summary>
    DrawWeight,

    /// <summary>Speed in ft/s.</summary>
    Speed,

    /// <summary>Distance to a target in yards.</summary>
    Distance,

    /// <summary>Wind in miles an hour.</summary>
    Wind,

    /// <summary>Mass of a length of shaft in grains an inch.</summary>
    MassPerLength,

    /// <summary>Height above the sea in feet.</summary>
    Altitude,

    /// <summary>Temperature in degrees Fahrenheit.</summary>
    Temperature,

    /// <summary>Energy in foot-pounds.</summary>
    Energy,

    /// <summary>Momentum in slug·ft/s.</summary>
    Momentum,

    /// <summary>Weight of an arrow over a draw weight, in grains a pound.</summary>
    WeightPerForce,

    /// <summary>A plain number, a count or a factor.</summary>
    Number,
}

/// <summary>The units a person may write after a number, and the trade unit each stands for.</summary>
public static class UnitTable
{
    private static readonly (Quantity Quantity, string Written, double Factor)[] Rows =
    [
        (Quantity.Length, "in", 1),
        (Quantity.Length, "\"", 1),
        (Quantity.Length, "″", 1),
        (Quantity.Length, "inch", 1),
        (Quantity.Length, "mm", 1 / Physical.MillimetresPerInch),
        (Quantity.Length, "cm", 10 / Physical.MillimetresPerInch),
        (Quantity.Weight, "gr", 1),
        (Quantity.Weight, "grain", 1),
        (Quantity.Weight, "grains", 1),
        (Quantity.Weight, "g", 1000 / Physical.MilligramsPerGrain),
        (Quantity.MassPerLength, "gr/in", 1),
        (Quantity.MassPerLength, "gr/cm", Physical.MillimetresPerInch / 10),
        (Quantity.MassPerLength, "gr/mm", Physical.MillimetresPerInch),
        (Quantity.MassPerLength, "g/in", 1000 / Physical.MilligramsPerGrain),
        (Quantity.MassPerLength, "g/cm", 100 * Physical.MillimetresPerInch / Physical.MilligramsPerGrain),
        (Quantity.MassPerLength, "g/mm", 1000 * Physical.MillimetresPerInch / Physical.MilligramsPerGrain),
        (Quantity.MassPerLength, "g/m", Physical.MillimetresPerInch / Physical.MilligramsPerGrain),
        (Quantity.DrawWeight, "lb", 1),
        (Quantity.DrawWeight, "lbs", 1),
        (Quantity.DrawWeight, "#", 1),
        (Quantity.DrawWeight, "N", 1 / Physical.NewtonsPerPound),
        (Quantity.DrawWeight, "kg", Physical.StandardGravity / Physical.NewtonsPerPound),
        (Quantity.Speed, "ft/s", 1),
        (Quantity.Speed, "fps", 1),
        (Quantity.Speed, "m/s", 1 / Physical.MetresPerFoot),
        (Quantity.Wind, "mph", 1),
        (Quantity.Wind, "m/s", 1 / Physical.MetresPerSecondInMph),
        (Quantity.Wind, "km/h", 1 / (3.6 * Physical.MetresPerSecondInMph)),
        (Quantity.Distance, "yd", 1),
        (Quantity.Distance, "m", 1 / Physical.MetresPerYard),
        (Quantity.Altitude, "ft", 1),
        (Quantity.Altitude, "m", 1 / Physical.MetresPerFoot),
        (Quantity.Energy, "ft·lb", 1),
        (Quantity.Energy, "ft-lb", 1),
        (Quantity.Energy, "ft lb", 1),
        (Quantity.Energy, "J", 1 / Physical.JoulesPerFootPound),
        (Quantity.Momentum, "slug·ft/s", 1),
        (Quantity.Momentum, "slug ft/s", 1),
        (Quantity.Momentum, "kg·m/s", 1 / Physical.NewtonsPerPound),
        (Quantity.Momentum, "kg m/s", 1 / Physical.NewtonsPerPound),
        (Quantity.WeightPerForce, "gr/lb", 1),
        (Quantity.WeightPerForce, "g/lb", 1000 / Physical.MilligramsPerGrain),
        (Quantity.WeightPerForce, "gr/N", Physical.NewtonsPerPound),
        (Quantity.WeightPerForce, "g/N", 1000 * Physical.NewtonsPerPound / Physical.MilligramsPerGrain),
        (Quantity.WeightPerForce, "gr/kg", Physical.NewtonsPerPound / Physical.StandardGravity),
        (
            Quantity.WeightPerForce,
            "g/kg",
            1000 * Physical.NewtonsPerPound / Physical.StandardGravity / Physical.MilligramsPerGrain
        ),
        (Quantity.Temperature, "°F", 1),
        (Quantity.Temperature, "F", 1),
        (Quantity.Temperature, "°C", Physical.FahrenheitPerKelvin),
        (Quantity.Temperature, "C", Physical.FahrenheitPerKelvin),
    ];

    /// <summary>What is added after the factor: the trade unit's value where this unit counts nought.</summary>
    public static double Nought(Quantity quantity, string written) =>
        quantity == Quantity.Temperature && written.EndsWith('C') ? Physical.FreezingFahrenheit : 0;

    /// <summary>The factor to the trade unit, or null when this quantity has no such unit.</summary>
    public static double? Factor(Quantity quantity, string written)
    {
        foreach (var row in Rows)
        {
            if (row.Quantity == quantity && string.Equals(row.Written, written, StringComparison.OrdinalIgnoreCase))
            {
                return row.Factor;
            }
        }

        return null;
    }

    /// <summary>The units that this quantity understands.</summary>
    public static IReadOnlyList<string> Known(Quantity quantity) =>
        [
            .. Rows.Where(r => r.Quantity == quantity)
                .Select(r => r.Written)
                .Where(w => w.Length > 1 || char.IsLetter(w[0]))
                .Distinct(),
        ];
}

namespace Merganser.Core.Units;

/// <summary>Units that lengths are shown in.</summary>
public enum LengthUnit
{
    Inches,
    Centimetres,
    Millimetres,
}

/// <summary>Units that masses are shown in.</summary>
public enum MassUnit
{
    Grains,
    Grams,
}

/// <summary>Units that draw weights are shown in.</summary>
public enum ForceUnit
{
    Pounds,
    Newtons,
    Kilograms,
}

/// <summary>Units that speeds are shown in.</summary>
public enum SpeedUnit
{
    FeetPerSecond,
    MetresPerSecond,
}

/// <summary>Units that energies are shown in.</summary>
public enum EnergyUnit
{
    FootPounds,
    Joules,
}

/// <summary>Units that distances are shown in.</summary>
public enum DistanceUnit
{
    Yards,
    Metres,
}

/// <summary>A display choice only: everything is computed and kept in the trade's units.</summary>
public sealed record DisplayUnits(
    LengthUnit Length,
    MassUnit Mass,
    ForceUnit Force,
    SpeedUnit Speed,
    EnergyUnit Energy,
    DistanceUnit Distance = DistanceUnit.Yards
)
{
    /// <summary>Inches, grains, pounds, ft/s, ft·lb, yards.</summary>
    public static DisplayUnits Trade { get; } =
        new(LengthUnit.Inches, MassUnit.Grains, ForceUnit.Pounds, SpeedUnit.FeetPerSecond, EnergyUnit.FootPounds);

    /// <summary>Centimetres, grams, newtons, m/s, joules, metres.</summary>
    public static DisplayUnits Metric { get; } =
        new(
            LengthUnit.Centimetres,
            MassUnit.Grams,
            ForceUnit.Newtons,
            SpeedUnit.MetresPerSecond,
            EnergyUnit.Joules,
            DistanceUnit.Metres
        );
}

/// <summary>How a trade unit is shown.</summary>
/// <param name="Unit">The unit's symbol.</param>
/// <param name="Factor">Shown value over the trade unit's.</param>
/// <param name="Finer">Decimals more, or fewer, than in the trade unit for the same fineness.</param>
/// <param name="Nought">The trade unit's value where this unit counts nought.</param>
public readonly record struct DisplayWay(string Unit, double Factor, int Finer, double Nought = 0);

/// <summary>
/// Figures in the units of a person (factors: international yard and pound of 1959; NIST SP 811, Appendix B). The
/// browser's
/// <c>units.ts</c> does the same for what it must draw itself; both run the cases of
/// <c>tests/vectors/quantities.json</c>.
/// </summary>
public static class Display
{
    private const int FinestRule = 32;

    /// <summary>How a trade unit is shown to this person.</summary>
    public static DisplayWay WayOf(string unit, DisplayUnits units) =>
        unit switch
        {
            Unit.Inch => Length(units),
            Unit.Grain => Mass(units),
            Unit.Pound => Force(units),
            Unit.Yard => units.Distance == DistanceUnit.Metres ? new("m", Physical.MetresPerYard, 0) : new(unit, 1, 0),
            Unit.FootPerSecond => Metric(units) ? new("m/s", Physical.MetresPerFoot, 1) : new(unit, 1, 0),
            Unit.Foot => Metric(units) ? new("m", Physical.MetresPerFoot, 0) : new(unit, 1, 0),
            Unit.Fahrenheit => Metric(units)
                ? new("°C", 1 / Physical.FahrenheitPerKelvin, 0, Physical.FreezingFahrenheit)
                : new(unit, 1, 0),
            Unit.MilePerHour => Metric(units) ? new("m/s", Physical.MetresPerSecondInMph, 1) : new(unit, 1, 0),
            Unit.SlugFootPerSecond => Metric(units) ? new("kg·m/s", Physical.NewtonsPerPound, -1) : new(unit, 1, 0),
            Unit.FootPound => units.Energy == EnergyUnit.Joules
                ? new("J", Physical.JoulesPerFootPound, 0)
                : new(unit, 1, 0),
            Unit.GrainPerPound => Over(Mass(units), Force(units)),
            Unit.GrainPerInch => Over(Mass(units), Length(units)),
            Unit.GrainInch => Times(Mass(units), Length(units)),
            Unit.PoundSquareInch => units.Length == LengthUnit.Inches
                ? new(unit, 1, 0)
                : new("N·m²", Physical.NewtonsPerPound * Math.Pow(Physical.MillimetresPerInch / 1000, 2), 2),
            Unit.Spine => new(units.Length == LengthUnit.Inches ? Unit.Inch : "ASTM", 1, 0),
            _ => new(unit, 1, 0),
        };

    /// <summary>Yards in one of the person's units of distance: what they count in.</summary>
    public static double YardsInUnit(DisplayUnits units) => 1 / WayOf(Unit.Yard, units).Factor;

    /// <summary>The figure alone, in the person's unit.</summary>
    public static string Number(Measure measure, DisplayUnits units)
    {
        var way = WayOf(measure.Unit, units);
        if (measure.Fraction && way.Unit == Unit.Inch)
        {
            return Ruled(measure.Value);
        }

        var text = Show.Number((measure.Value - way.Nought) * way.Factor, Math.Max(0, measure.Decimals + way.Finer));
        return measure.Unit switch
        {
            Unit.Spine => text.StartsWith("0.", StringComparison.Ordinal) ? text[1..] : text,
            Unit.Yard => text.EndsWith(".0", StringComparison.Ordinal) ? text[..^2] : text,
            _ => text,
        };
    }

    /// <summary>The figure with its sign always shown.</summary>
    public static string Signed(Measure measure, DisplayUnits units)
    {
        var text = Number(measure, units);
        return measure.Value > 0 && text.Any(c => c is >= '1' and <= '9') ? "+" + text : text;
    }

    /// <summary>The figure with its unit.</summary>
    public static string Text(Measure measure, DisplayUnits units) =>
        (Number(measure, units), WayOf(measure.Unit, units).Unit) switch
        {
            var (number, unit) when unit.Length == 0 => number,
            var (number, unit) when unit == Unit.Degree => number + unit,
            var (number, unit) when unit == Unit.Percent => number + "\u2009" + unit,
            var (number, unit) => $"{number} {unit}",
        };

    private static DisplayWay Length(DisplayUnits units) =>
        units.Length switch
        {
            LengthUnit.Centimetres => new("cm", Physical.MillimetresPerInch / 10, 0),
            LengthUnit.Millimetres => new("mm", Physical.MillimetresPerInch, -1),
            _ => new(Unit.Inch, 1, 0),
        };

    private static DisplayWay Mass(DisplayUnits units) =>
        units.Mass == MassUnit.Grams ? new("g", Physical.MilligramsPerGrain / 1000, 1) : new(Unit.Grain, 1, 0);

    private static DisplayWay Force(DisplayUnits units) =>
        units.Force switch
        {
            ForceUnit.Newtons => new("N", Physical.NewtonsPerPound, 0),
            ForceUnit.Kilograms => new("kg", Physical.NewtonsPerPound / Physical.StandardGravity, 0),
            _ => new(Unit.Pound, 1, 0),
        };

    /// <summary>A ratio of two: as many decimals as its size against the trade's asks for.</summary>
    private static DisplayWay Over(DisplayWay top, DisplayWay bottom)
    {
        var factor = top.Factor / bottom.Factor;
        var finer = factor switch
        {
            < 0.05 => 2,
            < 0.5 => 1,
            _ => 0,
        };
        return new($"{top.Unit}/{bottom.Unit}", factor, finer);
    }

    private static DisplayWay Times(DisplayWay one, DisplayWay other) =>
        new($"{one.Unit}·{other.Unit}", one.Factor * other.Factor, one.Finer + other.Finer);

    private static bool Metric(DisplayUnits units) => units.Speed == SpeedUnit.MetresPerSecond;

    /// <summary>Inches as a rule is read, to a thirty-second: <c>13/16</c>, <c>1 3/4</c>.</summary>
    private static string Ruled(double inches)
    {
        var parts = (int)Math.Round(Math.Abs(inches) * FinestRule);
        var (whole, part, under) = (parts / FinestRule, parts % FinestRule, FinestRule);
        while (part > 0 && part % 2 == 0)
        {
            (part, under) = (part / 2, under / 2);
        }

        var text = (whole, part) switch
        {
            (_, 0) => $"{whole}",
            (0, _) => $"{part}/{under}",
            _ => $"{whole} {part}/{under}",
        };
        return inches < 0 && parts > 0 ? "−" + text : text;
    }
}

namespace Merganser.Core.Units;

/// <summary>The trade units in which figures are computed and kept, by the symbol that is written.</summary>
public static class Unit
{
    /// <summary>A plain number.</summary>
    public const string None = "";

    /// <summary>Inch.</summary>
    public const string Inch = "in";

    /// <summary>Grain.</summary>
    public const string Grain = "gr";

    /// <summary>Pound of force.</summary>
    public const string Pound = "lb";

    /// <summary>Yard.</summary>
    public const string Yard = "yd";

    /// <summary>Foot, of an altitude.</summary>
    public const string Foot = "ft";

    /// <summary>Degree Fahrenheit.</summary>
    public const string Fahrenheit = "°F";

    /// <summary>Second.</summary>
    public const string Second = "s";

    /// <summary>Foot per second.</summary>
    public const string FootPerSecond = "ft/s";

    /// <summary>Mile an hour, of wind.</summary>
    public const string MilePerHour = "mph";

    /// <summary>Foot-pound of energy.</summary>
    public const string FootPound = "ft·lb";

    /// <summary>Slug foot per second of momentum.</summary>
    public const string SlugFootPerSecond = "slug·ft/s";

    /// <summary>Grain of arrow per pound of draw weight.</summary>
    public const string GrainPerPound = "gr/lb";

    /// <summary>Grain per inch of shaft.</summary>
    public const string GrainPerInch = "gr/in";

    /// <summary>Moment of a mass.</summary>
    public const string GrainInch = "gr·in";

    /// <summary>Bending stiffness EI.</summary>
    public const string PoundSquareInch = "lbf·in²";

    /// <summary>Per cent.</summary>
    public const string Percent = "%";

    /// <summary>Degree of arc.</summary>
    public const string Degree = "°";

    /// <summary>
    /// A spine by its deflection in inches under the standard's span and load: a size's name, the same in every unit.
    /// </summary>
    public const string Spine = "spine";

    /// <summary>AMO spine in pounds: a size's name as well.</summary>
    public const string AmoPound = "AMO lb";
}

/// <summary>
/// A quantity as it is to be said: a value in its trade unit, with the decimals that make sense in it.
/// </summary>
/// <param name="Value">The value in the trade unit; finite.</param>
/// <param name="Unit">One of <see cref="Units.Unit"/>.</param>
/// <param name="Decimals">Decimals in the trade unit, 0 or more.</param>
/// <param name="Fraction">True for inches that a rule is read in: said in sixteenths or thirty-seconds.</param>
public readonly record struct Measure(double Value, string Unit, int Decimals, bool Fraction = false)
{
    /// <summary>The value in the trade unit.</summary>
    public double Value { get; } =
        double.IsFinite(Value)
            ? Value
            : throw new ArgumentOutOfRangeException(nameof(Value), "A quantity is a finite number.");

    /// <summary>The same without its sign.</summary>
    public Measure Size => new(Math.Abs(Value), Unit, Decimals, Fraction);

    /// <summary>As the trade writes it.</summary>
    public override string ToString() => Display.Text(this, DisplayUnits.Trade);

    /// <summary>So many times as much.</summary>
    public Measure Times(double count) => new(Value * count, Unit, Decimals, Fraction);

    /// <summary>A length in inches.</summary>
    public static Measure Inches(double value, int decimals = 2) => new(value, Units.Unit.Inch, decimals);

    /// <summary>Inches as a rule is read: 13/16.</summary>
    public static Measure Ruled(double inches) => new(inches, Units.Unit.Inch, 2, true);

    /// <summary>
    /// Inches as they were read: a fraction where the value stands on a thirty-second, thousandths where it does not.
    /// </summary>
    public static Measure AsRead(double inches) =>
        new(inches, Units.Unit.Inch, 3, Math.Abs((inches * 32) - Math.Round(inches * 32)) < OnTheRule);

    /// <summary>So near a rule's line a reading stands on it, thirty-seconds.</summary>
    private const double OnTheRule = 0.02;

    /// <summary>A mass in grains.</summary>
    public static Measure Grains(double value, int decimals = 1) => new(value, Units.Unit.Grain, decimals);

    /// <summary>A draw weight in pounds.</summary>
    public static Measure Pounds(double value, int decimals = 1) => new(value, Units.Unit.Pound, decimals);

    /// <summary>A mass per length in grains an inch.</summary>
    public static Measure GrainsPerInch(double value) => new(value, Units.Unit.GrainPerInch, 2);

    /// <summary>A distance in yards.</summary>
    public static Measure Yards(double value) => new(value, Units.Unit.Yard, 1);

    /// <summary>A speed in ft/s.</summary>
    public static Measure Speed(double feetPerSecond, int decimals = 0) =>
        new(feetPerSecond, Units.Unit.FootPerSecond, decimals);

    /// <summary>A wind in miles an hour.</summary>
    public static Measure Wind(double milesPerHour) => new(milesPerHour, Units.Unit.MilePerHour, 0);

    /// <summary>An energy in ft·lb.</summary>
    public static Measure Energy(double footPounds, int decimals = 1) =>
        new(footPounds, Units.Unit.FootPound, decimals);

    /// <summary>A spine, inches by the standard.</summary>
    public static Measure Spine(double inches) => new(inches, Units.Unit.Spine, 3);

    /// <summary>A share in per cent.</summary>
    public static Measure Percent(double value, int decimals = 0) => new(value, Units.Unit.Percent, decimals);

    /// <summary>An angle in degrees.</summary>
    public static Measure Degrees(double value, int decimals = 0) => new(value, Units.Unit.Degree, decimals);

    /// <summary>A plain number.</summary>
    public static Measure Plain(double value, int decimals = 2) => new(value, Units.Unit.None, decimals);
}
